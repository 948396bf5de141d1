import { gbDefault as rules } from '../rules/gb-default';
import { settledSurvey } from '../testing/settled-survey';
import type { Survey } from '../survey/survey';
import { nextSteps } from './next-steps';
import { playSeed } from './play';

/** A home behind so many amperes with six bays. */
function row(fuseA: number, setPointA: number): Survey {
  const survey = settledSurvey();
  const cutOut = survey.supply.nodes.find(({ kind }) => kind === 'cut-out');
  if (cutOut) Object.assign(cutOut, { ratingA: fuseA });
  survey.proposals = [];
  survey.pool = {
    outlets: Array.from({ length: 6 }, (_each, at) => ({ id: `bay-${at}`, mostA: 32 })),
    setPointA,
    failSafeA: 0,
    otherEveningA: 15,
    otherElseA: 5,
  };
  return survey;
}

describe('the next cheapest steps of a row', () => {
  it('behind 80 A held to 30 A: its largest set-point 77 A, a fuse of 100 A with 97 A, three phases, a supply of its own', () => {
    // 80 × 0.98 − 1 = 77.4; 100 × 0.98 − 1 = 97.
    const found = nextSteps(row(80, 30), rules);
    expect(found.map(({ kind, costBand, planned }) => [kind, costBand, planned.setPointA])).toEqual([
      ['set-point', 'none', 77],
      ['fuse', 'low', 97],
      ['phases', 'high', 77],
      ['new-supply', 'high', 97],
    ]);
    expect(found[3]?.planned.elsewhere).toEqual({ from: 'said', eveningA: 0, elseA: 0 });
    expect(new Set(found[3]?.planned.outlets.map(({ lines }) => lines[0]))).toEqual(new Set(['L1', 'L2', 'L3']));
  });
  it('leaves out what gives no more: at its largest set-point behind the largest usual fuse', () => {
    expect(nextSteps(row(100, 97), rules).map(({ kind }) => kind)).toEqual(['phases', 'new-supply']);
  });
  it('takes the fuse that is proposed for a new supply', () => {
    const survey = row(100, 97);
    survey.site = { newFuseA: 200, newWeeks: 20 };
    expect(nextSteps(survey, rules).at(-1)).toMatchObject({
      kind: 'new-supply',
      weeks: [20, 20],
      planned: { setPointA: 195 },
    });
  });
  it('every step carries no fewer than the row does now', () => {
    const survey = row(80, 30);
    const [first] = nextSteps(survey, rules);
    if (!first) throw new Error('no step');
    const now = playSeed({ ...first.planned, setPointA: 30 }, 'equal', 1).carried;
    for (const { planned } of nextSteps(survey, rules))
      expect(playSeed(planned, 'equal', 1).carried).toBeGreaterThanOrEqual(now);
  });
  it('is nothing while the row cannot be played', () => {
    const survey = row(80, 30);
    delete survey.pool?.setPointA;
    expect(nextSteps(survey, rules)).toEqual([]);
  });
});
