import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { FieldHelp, FieldLabel } from './fields';
import { useChosen } from './use-chosen';

const Group = styled(RadioGroup)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.2rem 1rem;
  align-items: center;
  @media (max-width: 44rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Answers = styled.div`
  display: flex;
  flex-wrap: wrap;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  overflow: hidden;
  @media (max-width: 44rem) {
    justify-self: start;
  }
`;

const Tile = styled(RadioButton)`
  display: grid;
  place-items: center;
  min-height: 44px;
  min-width: 4.2rem;
  height: 100%;
  padding: 0.2rem 0.7rem;
  border-left: 1.5px solid var(--line);
  background: var(--surface);
  cursor: pointer;
  font-size: 0.94rem;
  line-height: 1.15;
  text-align: center;
  :first-child > & {
    border-left: 0;
  }
  &[data-hovered] {
    background: var(--raised);
  }
  &[data-selected] {
    background: var(--ink);
    color: var(--surface);
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline-offset: -4px;
  }
`;

export interface AnswerRowProps<V extends string> {
  readonly label: string;
  readonly value: V | undefined;
  readonly options: readonly { readonly value: V; readonly label: string }[];
  readonly onChange: (value: V) => void;
  readonly help?: string;
}

/** A question and its few short answers in one line; under each other on a phone. Nothing is chosen until it is answered. */
export function AnswerRow<V extends string>({ label, value, options, onChange, help }: AnswerRowProps<V>) {
  const [chosen, choose] = useChosen(value);
  return (
    <Group
      value={chosen ?? null}
      onChange={(next) => {
        const found = options.find((option) => option.value === next);
        if (!found) return;
        choose(found.value);
        onChange(found.value);
      }}
    >
      <span>
        <Label>
          <FieldLabel style={{ fontWeight: 500, margin: 0 }}>{label}</FieldLabel>
        </Label>
        {help !== undefined && <FieldHelp>{help}</FieldHelp>}
      </span>
      <Answers>
        {options.map((option) => (
          <RadioField key={option.value} value={option.value}>
            <Tile>{option.label}</Tile>
          </RadioField>
        ))}
      </Answers>
    </Group>
  );
}
