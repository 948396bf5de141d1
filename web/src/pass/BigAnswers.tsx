import styled from 'styled-components';
import { Button } from '../kit/Button';
import { SHOWS_ITSELF } from '../kit/pressed';
import { useChosen } from '../kit/use-chosen';

const Answers = styled.div`
  display: grid;
  gap: 0.45rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, var(--least)), 1fr));
  & > button {
    justify-content: start;
    text-align: left;
    min-height: 50px;
  }
  & > button[aria-pressed='true'] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 1.5px var(--ink);
    background: var(--raised);
  }
`;

/** Answers that do something each, big enough for a gloved thumb. The one that is pressed shows it until the card goes; a second tap meanwhile does nothing a second time. */
export function BigAnswers({
  answers,
  least = '14rem',
  isDisabled = false,
}: {
  readonly answers: readonly { readonly id: string; readonly says: React.ReactNode; readonly take: () => void }[];
  /** Least width of one. */
  readonly least?: string;
  readonly isDisabled?: boolean;
}) {
  // Nothing records which was pressed: where the card stays, as after an undo, it can be pressed again in a moment.
  const [taken, setTaken] = useChosen<string | null>(null);
  return (
    <Answers style={{ '--least': least }}>
      {answers.map(({ id, says, take }) => (
        <Button
          key={id}
          {...SHOWS_ITSELF}
          aria-pressed={taken === id}
          isDisabled={isDisabled}
          onPress={() => {
            if (taken !== null) return;
            setTaken(id);
            take();
          }}
        >
          {says}
        </Button>
      ))}
    </Answers>
  );
}
