import { ChevronDown } from 'lucide-react';
import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from './Button';
import { steady } from './steady';

const Drop = styled(Popover)`
  max-height: 60vh;
  overflow: auto;
  background: var(--surface);
  color: var(--ink);
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.28);
`;

const Item = styled(MenuItem)`
  padding: 0.6rem 0.9rem;
  min-height: 44px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: var(--raised);
    box-shadow: inset 3px 0 0 var(--accent);
  }
`;

/** A button that opens a short list of things to do. */
export const MenuButton = steady(OpeningMenu) as typeof OpeningMenu;

function OpeningMenu<V extends string>({
  label,
  icon,
  options,
  onChoose,
  isDisabled = false,
}: {
  readonly label: string;
  readonly icon?: React.ReactNode;
  readonly options: readonly { readonly value: V; readonly label: string }[];
  readonly onChoose: (value: V) => void;
  readonly isDisabled?: boolean;
}) {
  return (
    <MenuTrigger>
      <Button isDisabled={isDisabled || options.length === 0}>
        {icon} {label} <ChevronDown size={16} aria-hidden />
      </Button>
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
