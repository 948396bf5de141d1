import type { Check } from '@keen-gauge/core/survey/words';
import { LookChoice } from '../kit/LookChoice';
import { useSet, useSurvey } from '../survey/SurveyContext';
import { BoundText } from './bound';

/** One check of a node, answered by looking; whatever is not simply fine can be said in words. */
export function CheckAnswer({
  nodeId,
  check,
  question,
}: {
  readonly nodeId: string;
  readonly check: Check;
  readonly question: string;
}) {
  const { survey } = useSurvey();
  const set = useSet();
  const node = survey.supply.nodes.find(({ id }) => id === nodeId);
  const answered = node?.checks?.find(({ id }) => id === check);
  const path = ['supply', 'nodes', nodeId, 'checks', check];
  return (
    <div>
      <LookChoice
        label={question}
        value={answered?.answer}
        onChange={(answer) => {
          if (answered) set([...path, 'answer'], answer);
          else set(path, { id: check, answer });
        }}
      />
      {answered?.answer !== undefined && answered.answer !== 'fine' && (
        <div style={{ marginTop: '0.4rem' }}>
          <BoundText path={[...path, 'note']} label="In words" maxLength={500} />
        </div>
      )}
    </div>
  );
}
