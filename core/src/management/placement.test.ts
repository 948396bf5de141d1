import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import type { ClampFit } from '../survey/proposal';
import { nodeOf, settledSurvey, type Change } from '../testing/settled-survey';
import { settingBounds, stepAtMost } from './set-points';

const right: ClampFit = { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no', seesExport: 'no' };

/** A clamp on a node, put on as said, with a second board of 12 A beside the first behind a split. */
function clamp(clampNodeId: string, fit: ClampFit = right): Change {
  return (survey) => {
    survey.supply.nodes.push({ id: 'annexe', kind: 'board', fedFrom: 'isolator', ratingA: 63, label: 'Annexe' });
    survey.loads.push({ id: 'there', class: 'motor', label: 'Pump', currentA: 12, nodeId: 'annexe' });
    for (const load of survey.loads) load.nodeId ??= 'board';
    // Nobody has said whether there is generation: the clamp's own record decides.
    delete survey.generation;
    for (const proposal of survey.proposals) {
      proposal.nodeId = 'board';
      proposal.limiter = { kind: 'clamp', clampNodeId, setPointA: 70, failSafeA: 6, fit };
    }
  };
}

function open(...changes: Change[]): string[] {
  return assess(settledSurvey(...changes), gbDefault)
    .findings.filter(({ id }) => id.startsWith('clamp-') && id !== 'clamp-link-not-said')
    .map(({ id, grade }) => `${id} ${grade}`);
}

describe('where a clamp sits and how it is put on', () => {
  it.each<[string, Change, readonly string[]]>([
    ['after the meter, before the split: it sees everything', clamp('isolator'), []],
    ['before the meter, on conductors that are not the customer’s', clamp('meter'), ['clamp-before-meter act']],
    ['after the split: blind to the other board', clamp('board'), ['clamp-blind note']],
    ['on the other side of the split: it does not carry the charger', clamp('annexe'), ['clamp-wrong-side act']],
    ['arrow against the current', clamp('isolator', { ...right, arrowAlong: 'no' }), ['clamp-reversed act']],
    [
      'on the neutral with its arrow along',
      clamp('isolator', { ...right, conductor: 'neutral' }),
      ['clamp-reversed act'],
    ],
    [
      'on the neutral with its arrow reversed',
      clamp('isolator', { ...right, conductor: 'neutral', arrowAlong: 'no' }),
      [],
    ],
    ['inside sealed equipment', clamp('isolator', { ...right, insideSealed: 'yes' }), ['clamp-inside-sealed act']],
    [
      'export taken for import',
      clamp('isolator', { ...right, seesExport: 'yes', signedReading: 'no' }),
      ['clamp-export-as-import act'],
    ],
    [
      'nothing said of it',
      clamp('isolator', {}),
      [
        'clamp-conductor-not-known ask',
        'clamp-arrow-not-known ask',
        'clamp-sealed-not-known ask',
        'clamp-export-not-known ask',
      ],
    ],
  ])('%s', (_name, change, expected) => {
    expect(open(change)).toEqual(expected);
  });

  it('on three phases: the wrong one, and one alone for a charger on all of them', () => {
    const three =
      (phases: 1 | 3): Change =>
      (survey) => {
        clamp('isolator', { ...right, phase: 'L1' })(survey);
        survey.supply.phases = 3;
        for (const proposal of survey.proposals)
          Object.assign(proposal, { phases, ...(phases === 1 ? { phase: 'L2' } : {}) });
      };
    expect(open(three(1))).toEqual(['clamp-wrong-phase act']);
    expect(open(three(3))).toEqual(['clamp-one-phase-only act']);
  });
});

describe('what the nodes allow of the settings', () => {
  const bounds = (...changes: Change[]) => settingBounds(assess(settledSurvey(...changes), gbDefault), 1, gbDefault);
  const fuse =
    (ratingA: number): Change =>
    (survey) =>
      Object.assign(nodeOf(survey, 'cut-out'), { ratingA });

  it('60 A fuse, all seen: set-point 60 × 0.98 − 1 = 57 A, 50 or 54 A; that becomes (57 + 1) ÷ 0.98 = 59.18 A; fail-safe 60 − 32.52 = 27 A', () => {
    expect(bounds(clamp('isolator'), fuse(60))).toMatchObject({
      setPointA: 57,
      withMarginA: 50,
      withMarginPercentA: 54,
      failSafeA: 27,
    });
    expect(bounds(clamp('isolator'), fuse(60))?.withErrorA).toBeCloseTo(59.18, 2);
  });
  it('blind to 12 A: the set-point may be (60 − 12) × 0.98 − 1 = 46 A', () => {
    expect(bounds(clamp('board'), fuse(60))?.setPointA).toBe(46);
  });
  it('room for everything at once sets none', () => {
    expect(bounds(clamp('isolator'))?.setPointA).toBeNull();
  });
  it('a dial of steps takes the one below', () => {
    expect(stepAtMost(15.9, [6, 10, 13, 16, 20])).toBe(13);
    expect(stepAtMost(5, [6, 10])).toBeNull();
  });
});
