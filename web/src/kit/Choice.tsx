import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { FieldHelp, FieldLabel } from './fields';
import { useChosen } from './use-chosen';

const Tiles = styled.div`
  display: grid;
  gap: 0.45rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, var(--tile, 10rem)), 1fr));
`;

const Tile = styled(RadioButton)`
  height: 100%;
  display: grid;
  grid-template-columns: 1.25rem 1fr;
  column-gap: 0.55rem;
  align-items: start;
  min-height: 46px;
  padding: 0.55rem 0.7rem;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  cursor: pointer;
  &[data-hovered] {
    border-color: var(--strong-line);
  }
  &[data-disabled] {
    cursor: default;
    color: var(--quiet);
  }
  &[data-selected] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 1.5px var(--ink);
    background: var(--raised);
  }
`;

const Dot = styled.span`
  width: 1.1rem;
  height: 1.1rem;
  margin-top: 0.12rem;
  border: 2px solid var(--strong-line);
  border-radius: 50%;
  [data-selected] > & {
    border-color: var(--ink);
    background: radial-gradient(circle, var(--ink) 45%, transparent 50%);
  }
`;

export interface ChoiceOption<V extends string> {
  readonly value: V;
  readonly label: string;
  readonly note?: string;
  readonly mark?: React.ReactNode;
  /** What it looks like, above its note. */
  readonly picture?: React.ReactNode;
}

export interface ChoiceProps<V extends string> {
  readonly label: string;
  readonly value: V | undefined;
  readonly options: readonly ChoiceOption<V>[];
  readonly onChange: (value: V) => void;
  readonly isDisabled?: boolean;
  readonly help?: string;
  /** Least width of a tile. */
  readonly tile?: string;
  /** Said to those who hear the page, and not seen where the question stands above already. */
  readonly hideLabel?: boolean;
}

/** One of a few, each on a tile big enough for a thumb. Nothing is chosen until someone chooses. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  isDisabled = false,
  help,
  tile,
  hideLabel = false,
}: ChoiceProps<V>) {
  const [chosen, choose] = useChosen(value);
  return (
    <RadioGroup
      value={chosen ?? null}
      isDisabled={isDisabled}
      onChange={(next) => {
        const found = options.find((option) => option.value === next);
        if (!found) return;
        choose(found.value);
        onChange(found.value);
      }}
    >
      <Label>
        <FieldLabel className={hideLabel ? 'unseen' : ''}>{label}</FieldLabel>
      </Label>
      {help !== undefined && <FieldHelp style={{ margin: '0 0 0.4rem' }}>{help}</FieldHelp>}
      <Tiles style={tile ? { '--tile': tile } : undefined}>
        {options.map((option) => (
          <RadioField key={option.value} value={option.value}>
            <Tile>
              <Dot aria-hidden />
              <span>
                <span style={{ fontWeight: 600 }}>
                  {option.mark} {option.label}
                </span>
                {option.picture}
                {option.note !== undefined && <FieldHelp>{option.note}</FieldHelp>}
              </span>
            </Tile>
          </RadioField>
        ))}
      </Tiles>
    </RadioGroup>
  );
}
