import type { Look } from '@keen-gauge/core/survey/words/words';
import { Check, CircleAlert, CircleSlash, EyeOff } from 'lucide-react';
import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { FieldLabel } from './fields';
import { useChosen } from './use-chosen';

const Tiles = styled.div`
  display: grid;
  gap: 0.3rem;
  grid-template-columns: repeat(auto-fit, minmax(min(8.6rem, 100%), 1fr));
  /* In one row where there is room for it, with no one left over in a second. */
  @media (min-width: 70rem) {
    grid-template-columns: repeat(var(--answers), minmax(0, 1fr));
  }
`;

const Tile = styled(RadioButton)`
  display: flex;
  align-items: center;
  gap: 0.4rem;
  min-height: 44px;
  padding: 0.25rem 0.6rem;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  cursor: pointer;
  font-size: 0.94rem;
  line-height: 1.15;
  & > svg {
    color: var(--quiet);
    flex: none;
  }
  &[data-selected] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 1.5px var(--ink);
    background: var(--raised);
    font-weight: 700;
  }
  &[data-selected] > svg {
    color: var(--ink);
  }
`;

export const LOOK_WORDS: Readonly<Record<Look, string>> = {
  fine: 'Looked, fine',
  'not-fine': 'Looked, not fine',
  'could-not-see': 'Could not see',
  'not-there': 'Not there',
};

const SHAPES = { fine: Check, 'not-fine': CircleAlert, 'could-not-see': EyeOff, 'not-there': CircleSlash } as const;

/** What came of looking at one thing. Nothing is chosen until somebody has looked. */
export function LookChoice({
  label,
  hideLabel = false,
  value,
  onChange,
  words = LOOK_WORDS,
}: {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: Look | undefined;
  readonly onChange: (value: Look) => void;
  readonly words?: Partial<Readonly<Record<Look, string>>>;
}) {
  const [chosen, choose] = useChosen(value);
  return (
    <RadioGroup
      value={chosen ?? null}
      onChange={(next) => {
        choose(next as Look);
        onChange(next as Look);
      }}
    >
      <Label>
        <FieldLabel className={hideLabel ? 'unseen' : ''} style={{ fontWeight: 500 }}>
          {label}
        </FieldLabel>
      </Label>
      <Tiles style={{ '--answers': Object.keys(words).length }}>
        {(Object.keys(words) as Look[]).map((look) => {
          const Shape = SHAPES[look];
          return (
            <RadioField key={look} value={look}>
              <Tile>
                <Shape size={17} aria-hidden /> {words[look]}
              </Tile>
            </RadioField>
          );
        })}
      </Tiles>
    </RadioGroup>
  );
}
