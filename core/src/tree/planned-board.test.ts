import { assess } from '../assess';
import { readSurvey } from '../survey/opening/read';
import { gbDefault } from '../rules/gb-default';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { withWayPlan } from './planned-board';

let count = 0;
const fresh = (kind: string): string => `${kind}-new-${(count += 1)}`;

/** The settled survey with its board full. */
function full(): Survey {
  const survey = settledSurvey();
  const nodes = survey.supply.nodes.map((node) => (node.kind === 'board' ? { ...node, spareWays: 0 } : node));
  return { ...survey, supply: { ...survey.supply, nodes } };
}

describe('deciding where the new device goes', () => {
  it('adds the small board it names, puts the equipment on it, and no spare way is missing any more', () => {
    const survey = full();
    const [proposal] = survey.proposals;
    expect(assess(survey, gbDefault).findings.map(({ id }) => id)).toContain('way-not-decided');
    const planned = withWayPlan(survey, proposal?.id ?? '', 'small-board', fresh);
    const added = planned.supply.nodes.find(({ kind, planned: isPlanned }) => kind === 'board' && isPlanned);
    expect(planned.proposals[0]?.nodeId).toBe(added?.id);
    expect(readSurvey(planned)).not.toHaveProperty('faults');
    const { findings, nodes } = assess(planned, gbDefault);
    expect(findings.map(({ id }) => id)).not.toContain('way-not-decided');
    expect(nodes.map(({ id }) => id)).toContain(added?.id);
  });

  it('takes the board away again with another plan, and leaves the survey as it was', () => {
    const survey = full();
    const id = survey.proposals[0]?.id ?? '';
    const back = withWayPlan(withWayPlan(survey, id, 'small-board', fresh), id, 'larger-board', fresh);
    expect(back.supply.nodes.map((node) => node.id).sort()).toEqual(survey.supply.nodes.map((node) => node.id).sort());
    expect(back.proposals[0]?.nodeId).toBe(survey.supply.nodes.find(({ kind }) => kind === 'board')?.id);
    expect(back.proposals[0]?.way).toEqual({ plan: 'larger-board' });
  });
});
