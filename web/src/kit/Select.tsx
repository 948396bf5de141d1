import { ChevronDown } from 'lucide-react';
import { Button, Label, ListBox, ListBoxItem, Popover, Select as AriaSelect, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { dropItem, dropList } from './drop-list';
import { boxed, FieldLabel } from './fields';
import { useChosen } from './use-chosen';

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
  ${dropList}
  min-width: var(--trigger-width);
`;

const Item = styled(ListBoxItem)`
  ${dropItem}
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
export function Select<V extends string>({
  label,
  hideLabel,
  value,
  options,
  onChange,
  placeholder = 'Not known',
}: SelectProps<V>) {
  const [chosen, choose] = useChosen(value);
  return (
    <AriaSelect
      value={chosen ?? null}
      placeholder={placeholder}
      onChange={(key) => {
        const found = options.find((option) => option.value === key);
        if (!found) return;
        choose(found.value);
        onChange(found.value);
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
