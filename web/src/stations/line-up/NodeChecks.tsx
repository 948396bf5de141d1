import { fuseRating } from '@keen-gauge/core/intake/fuse-rating';
import { checksOf, settledByLooking } from '@keen-gauge/core/intake/checks/findings';
import { hangsFrom, supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { CheckCheck } from 'lucide-react';
import { Button } from '../../kit/Button';
import { Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { CheckAnswer } from '../CheckAnswer';

/** The checks of a node: those the record settles say so, the others are answered by looking. */
export function NodeChecks({ nodeId }: { readonly nodeId: string }) {
  const { survey, rules, store } = useSurvey();
  const tree = supplyTree(survey);
  const here = tree.byId.get(nodeId);
  if (!here || !tree.device || here === tree.device || !hangsFrom(here, tree.device)) return null;
  const facts = { survey, rules, tree, fuse: fuseRating(tree.device.node, rules) };
  const checks = checksOf(here, facts).map((rule) => ({ rule, verdict: rule.judge(here, facts) }));
  if (checks.length === 0) return null;
  const answers = here.node.checks ?? [];
  const open = checks.filter(
    ({ rule }) => settledByLooking(here, rule, facts) && !answers.some(({ id, answer }) => id === rule.id && answer),
  );
  return (
    <Stack as="section" aria-label="Checks" style={{ '--gap': '0.7rem' }}>
      <h3>Checks</h3>
      {checks.map(({ rule, verdict }) =>
        verdict.state === 'holds' && !answers.some(({ id }) => id === rule.id) ? (
          <p key={rule.id} className="quiet" style={{ fontSize: '0.92rem' }}>
            ✓ {rule.question} <strong>The record says so.</strong>
          </p>
        ) : (
          <CheckAnswer key={rule.id} nodeId={nodeId} check={rule.id} question={rule.question} />
        ),
      )}
      {open.length > 1 && (
        <div>
          <Button
            onPress={() => {
              const added = open.map(({ rule }) => ({ id: rule.id, answer: 'fine' as const, assumed: true }));
              const kept = answers.filter(({ id }) => !added.some((each) => each.id === id));
              const nodes = survey.supply.nodes.map((node) =>
                node.id === nodeId ? { ...node, checks: [...kept, ...added] } : node,
              );
              store.edit({ ...survey, supply: { ...survey.supply, nodes } });
            }}
          >
            <CheckCheck size={18} aria-hidden /> Take the other {open.length} as fine, not looked at singly
          </Button>
        </div>
      )}
    </Stack>
  );
}
