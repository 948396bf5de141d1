import type { Check } from '@keen-gauge/core/survey/words/words';
import { BareButton } from '../kit/Button';
import { LOOK_WORDS, LookChoice } from '../kit/LookChoice';
import { useSet, useSurvey } from '../survey/SurveyContext';
import { AsLine } from './AsLine';
import { BoundText } from './bound';

/** One check of a node, answered by looking; whatever is not simply fine can be said in words. */
export function CheckAnswer({
  nodeId,
  check,
  question,
  hideLabel = false,
}: {
  readonly nodeId: string;
  readonly check: Check;
  readonly question: string;
  /** Where the question is said already, as on its card. */
  readonly hideLabel?: boolean;
}) {
  const { survey } = useSurvey();
  const set = useSet();
  const node = survey.supply.nodes.find(({ id }) => id === nodeId);
  const answered = node?.checks?.find(({ id }) => id === check);
  const path = ['supply', 'nodes', nodeId, 'checks', check] as const;
  return (
    <div>
      <AsLine
        field={path.join('.')}
        label={question}
        says={answered?.answer === undefined || answered.assumed ? undefined : LOOK_WORDS[answered.answer]}
      >
        <LookChoice
          label={question}
          hideLabel={hideLabel}
          value={answered?.answer}
          onChange={(answer) => {
            // Answered by itself: no longer taken together with others.
            if (answered) {
              const { assumed: _assumed, answer: _answer, ...rest } = answered;
              set(path, { ...rest, answer });
            } else set(path, { id: check, answer });
          }}
        />
      </AsLine>
      {answered?.assumed === true && (
        <div className="quiet" role="note">
          Assumed: ticked together with others.{' '}
          <BareButton
            aria-label={`Confirm: ${question}`}
            onPress={() => {
              set([...path, 'assumed'], undefined);
            }}
          >
            Confirm
          </BareButton>
        </div>
      )}
      {answered?.answer !== undefined && answered.answer !== 'fine' && (
        <div style={{ marginTop: '0.4rem' }}>
          <BoundText path={[...path, 'note']} label="In words" />
        </div>
      )}
    </div>
  );
}
