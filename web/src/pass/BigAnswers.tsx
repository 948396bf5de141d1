import styled from 'styled-components';
import { Button } from '../kit/Button';

const Answers = styled.div`
  display: grid;
  gap: 0.45rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, var(--least)), 1fr));
  & > button {
    justify-content: start;
    text-align: left;
    min-height: 50px;
  }
`;

/** Answers that do something each, big enough for a gloved thumb. */
export function BigAnswers({
  answers,
  least = '14rem',
}: {
  readonly answers: readonly { readonly id: string; readonly says: string; readonly take: () => void }[];
  /** Least width of one. */
  readonly least?: string;
}) {
  return (
    <Answers style={{ '--least': least }}>
      {answers.map(({ id, says, take }) => (
        <Button key={id} onPress={take}>
          {says}
        </Button>
      ))}
    </Answers>
  );
}
