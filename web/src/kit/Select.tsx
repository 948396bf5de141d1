import { ChevronDown } from 'lucide-react';
import { Button, Label, ListBox, ListBoxItem, Popover, Select as AriaSelect, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { boxed, FieldLabel } from './fields';
import { steady } from './steady';

const Trigger = styled(Button)`
  ${boxed}
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem;
  text-align: left;
  cursor: pointer;
`;

const Drop = styled(Popover)`
  min-width: var(--trigger-width);
  max-height: 60vh;
  overflow: auto;
  background: var(--surface);
  color: var(--ink);
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.28);
`;

const Item = styled(ListBoxItem)`
  padding: 0.6rem 0.8rem;
  min-height: 44px;
  cursor: pointer;
  &[data-focused] {
    background: var(--raised);
    box-shadow: inset 3px 0 0 var(--accent);
  }
  &[data-selected] {
    font-weight: 700;
  }
`;

export interface SelectProps<V extends string> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: V | undefined;
  readonly options: readonly { readonly value: V; readonly label: string }[];
  readonly onChange: (value: V) => void;
  readonly placeholder?: string;
}

/** One of many, from a list that opens. */
export const Select = steady(OpeningList) as typeof OpeningList;

function OpeningList<V extends string>({
  label,
  hideLabel,
  value,
  options,
  onChange,
  placeholder = 'Not known',
}: SelectProps<V>) {
  return (
    <AriaSelect
      value={value ?? null}
      placeholder={placeholder}
      onChange={(key) => {
        const found = options.find((option) => option.value === key);
        if (found) onChange(found.value);
      }}
    >
      <Label>
        <FieldLabel className={hideLabel ? 'unseen' : ''}>{label}</FieldLabel>
      </Label>
      <Trigger>
        <SelectValue />
        <ChevronDown size={18} aria-hidden />
      </Trigger>
      <Drop>
        <ListBox items={options}>{(option) => <Item id={option.value}>{option.label}</Item>}</ListBox>
      </Drop>
    </AriaSelect>
  );
}
