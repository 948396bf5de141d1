import { ChevronDown } from 'lucide-react';
import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton, Button } from './Button';
import { dropItem, dropList } from './drop-list';

const Drop = styled(Popover)`
  ${dropList}
`;

const Item = styled(MenuItem)`
  ${dropItem}
`;

/** A button that opens a short list of things to do. */
export function MenuButton<V extends string>({
  label,
  icon,
  options,
  onChoose,
  isDisabled = false,
  iconOnly = false,
}: {
  readonly label: string;
  readonly icon?: React.ReactNode;
  readonly options: readonly { readonly value: V; readonly label: string }[];
  readonly onChoose: (value: V) => void;
  readonly isDisabled?: boolean;
  /** Its name is said and not seen: for a row where every one has the same. */
  readonly iconOnly?: boolean;
}) {
  return (
    <MenuTrigger>
      {iconOnly ? (
        <BareButton aria-label={label} isDisabled={isDisabled || options.length === 0}>
          {icon}
        </BareButton>
      ) : (
        <Button isDisabled={isDisabled || options.length === 0}>
          {icon} {label} <ChevronDown size={16} aria-hidden />
        </Button>
      )}
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
    </MenuTrigger>
  );
}
