import { ChevronDown } from 'lucide-react';
import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from './Button';
import { dropItem, dropList } from './drop-list';

const Drop = styled(Popover)`
  ${dropList}
`;

const Item = styled(MenuItem)`
  ${dropItem}
`;

export interface MenuOption<V extends string> {
  readonly value: V;
  readonly label: string;
}

/** A button that opens a short list of things to do. */
export function MenuButton<V extends string>({
  label,
  icon,
  options,
  onChoose,
  isDisabled = false,
}: {
  readonly label: string;
  readonly icon?: React.ReactNode;
  readonly options: readonly MenuOption<V>[];
  readonly onChoose: (value: V) => void;
  readonly isDisabled?: boolean;
}) {
  return (
    <MenuTrigger>
      <Button isDisabled={isDisabled || options.length === 0}>
        {icon} {label} <ChevronDown size={16} aria-hidden />
      </Button>
      <MenuList label={label} options={options} onChoose={onChoose} />
    </MenuTrigger>
  );
}

/** The list itself, under the button that opens it. */
export function MenuList<V extends string>({
  label,
  options,
  onChoose,
}: {
  readonly label: string;
  readonly options: readonly MenuOption<V>[];
  readonly onChoose: (value: V) => void;
}) {
  return (
    <Drop>
      <Menu
        aria-label={label}
        items={options}
        onAction={(key) => {
          const found = options.find(({ value }) => value === key);
          if (found) onChoose(found.value);
        }}
      >
        {(option) => (
          <Item id={option.value} textValue={option.label}>
            {option.label}
          </Item>
        )}
      </Menu>
    </Drop>
  );
}
