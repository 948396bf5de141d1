import { behindOneClamp } from '@keen-gauge/core/management/clamp-fit';
import { shown } from '@keen-gauge/core/rules/rounding';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Button } from '../../kit/Button';
import { Row } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';

/** Of a row of outlets one lead is pulled, and all of them let go: recorded for all at once, and each that did otherwise by itself. */
export function RowPulled({ proposal }: { readonly proposal: Proposal }) {
  const { survey, store } = useSurvey();
  const row = behindOneClamp(proposal, survey);
  const { failSafeA } = proposal.limiter;
  if (row.length < 2 || failSafeA === undefined) return null;
  const without = row.filter(({ limiter }) => limiter.test?.pulledA === undefined);
  const most = Math.max(...row.map(({ limiter }) => limiter.test?.pulledA ?? 0));
  const recordAll = (): void => {
    const ids = new Set(without.map(({ id }) => id));
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) =>
        ids.has(each.id)
          ? { ...each, limiter: { ...each.limiter, test: { ...each.limiter.test, pulledA: failSafeA } } }
          : each,
      ),
    });
  };
  return (
    <Row>
      <span>
        One lead for {row.length} outlets: {row.length - without.length} recorded
        {without.length < row.length && `, the highest went to ${shown(most)} A`}.
      </span>
      {without.length > 0 && (
        <Button onPress={recordAll}>
          {without.length === row.length ? `All ${row.length}` : `The other ${without.length}`} went to{' '}
          {shown(failSafeA)} A
        </Button>
      )}
    </Row>
  );
}
