import { gbDefault } from '../rules/gb-default';
import type { LimiterTest, Proposal } from '../survey/proposal';
import { packPhotos } from '../pack/photos';
import { settledSurvey } from '../testing/settled-survey';
import { commissioningBegun, commissioningSteps, STEP_TITLES, stepSubject, testPlaces } from './commissioning';

const good: LimiterTest = {
  knownLoadA: 13,
  readingRoseA: 12.8,
  heldAtA: 51,
  chargerThenA: 9,
  pulledA: 6,
  setPointSetA: 50,
  failSafeSetA: 6,
};

function proposal(test: LimiterTest): Proposal {
  const limiter = { kind: 'clamp', clampNodeId: 'meter', setPointA: 50, failSafeA: 6, test } as const;
  return { id: 'car', kind: 'vehicle-charger', ratedA: 32, limiter };
}

function states(test: LimiterTest): string {
  return commissioningSteps(proposal(test), settledSurvey(), gbDefault)
    .map(({ state }) => state)
    .join(' ');
}

describe('commissioning a limiter', () => {
  it.each<[string, LimiterTest, string]>([
    ['everything as it should be', good, 'holds holds holds holds'],
    ['nothing recorded', {}, 'not-known not-known not-known not-known'],
    ['13 A on, 12 A read: within the ampere', { ...good, readingRoseA: 12 }, 'holds holds holds holds'],
    ['13 A on, 11.9 A read: 1.1 A off', { ...good, readingRoseA: 11.9 }, 'fails holds holds holds'],
    ['the reading fell: reversed', { ...good, readingRoseA: -13 }, 'fails holds holds holds'],
    ['held at 52.5 A: 50 + 5 %', { ...good, heldAtA: 52.5 }, 'holds holds holds holds'],
    ['held at 52.6 A', { ...good, heldAtA: 52.6 }, 'holds fails holds holds'],
    ['the charger did not give way', { ...good, chargerThenA: 32 }, 'holds fails holds holds'],
    ['pulled: 10 A where 6 A are meant', { ...good, pulledA: 10 }, 'holds holds fails holds'],
    ['pulled: stopped, which is safer', { ...good, pulledA: 0 }, 'holds holds holds holds'],
    ['set to 60 A where 50 A were reckoned with', { ...good, setPointSetA: 60 }, 'holds holds holds fails'],
    ['the reading did not move', { ...good, readingRoseA: 0 }, 'fails holds holds holds'],
    ['it fell, by which load nobody wrote down', { readingRoseA: -3 }, 'fails not-known not-known not-known'],
    ['it drew all it may, the reading not written down', { chargerThenA: 32 }, 'not-known fails not-known not-known'],
    ['held too high, the charger not written down', { heldAtA: 60 }, 'not-known fails not-known not-known'],
    ['a fail-safe set too high alone', { failSafeSetA: 16 }, 'not-known not-known not-known fails'],
    ['a dead clamp with a load of 1 A', { ...good, knownLoadA: 1, readingRoseA: 0 }, 'fails holds holds holds'],
    [
      '1 A on, 0.2 A read: nothing can be told from so little',
      { ...good, knownLoadA: 1, readingRoseA: 0.2 },
      'not-known holds holds holds',
    ],
    ['5 A on, 4.2 A read', { ...good, knownLoadA: 5, readingRoseA: 4.2 }, 'holds holds holds holds'],
    [
      'held at 30 A under 50, the charger at full: nothing had to give way',
      { ...good, heldAtA: 30, chargerThenA: 32 },
      'holds not-known holds holds',
    ],
    ['held at 30 A under 50, the charger down', { ...good, heldAtA: 30 }, 'holds not-known holds holds'],
    ['held at 47 A: 50 − 2.5 − 1', { ...good, heldAtA: 47 }, 'holds holds holds holds'],
    ['the charger at 31 of 32 A is not clearly down', { ...good, chargerThenA: 31 }, 'holds fails holds holds'],
    [
      'over it with the charger stopped: the house alone',
      { ...good, heldAtA: 58, chargerThenA: 0 },
      'holds not-known holds holds',
    ],
    ['set lower than reckoned with', { ...good, setPointSetA: 45 }, 'holds holds holds holds'],
  ])('%s', (_name, test, expected) => {
    expect(states(test)).toBe(expected);
  });

  it('each clamp and each line is commissioned by itself', () => {
    const three = settledSurvey((survey) => {
      survey.supply.phases = 3;
    });
    const { phases: _phases, ...one } = proposal(good);
    const wide: Proposal = { ...one, phases: 3 };
    expect(testPlaces(wide, three).map(({ id, label }) => [id, label])).toEqual([
      [null, 'Meter, L1'],
      ['clamp-1-L2', 'Meter, L2'],
      ['clamp-1-L3', 'Meter, L3'],
    ]);
    const judged = (of: Proposal, survey = three): string =>
      commissioningSteps(of, survey, gbDefault)
        .map(({ state }) => state)
        .join(' ');
    const withPlaces = (...places: NonNullable<LimiterTest['places']>): Proposal => ({
      ...wide,
      limiter: { ...wide.limiter, test: { ...good, places } },
    });
    // One record of L1 says nothing of the others; the settings are of the clamp.
    expect(judged(wide)).toBe('not-known not-known not-known holds');
    const { setPointSetA: _set, failSafeSetA: _fail, ...place } = good;
    expect(judged(withPlaces({ id: 'clamp-1-L2', ...place }))).toBe('not-known not-known not-known holds');
    const all = withPlaces({ id: 'clamp-1-L2', ...place }, { id: 'clamp-1-L3', ...place });
    expect(judged(all)).toBe('holds holds holds holds');
    const dead = withPlaces({ id: 'clamp-1-L2', ...place, readingRoseA: 0 }, { id: 'clamp-1-L3', ...place });
    expect(judged(dead)).toBe('fails holds holds holds');
    // Two clamps on one line: the second held at its own set-point, and set as it was worked out.
    const { limiter } = proposal(good);
    const twice: Proposal = {
      ...proposal(good),
      limiter: { ...limiter, moreClamps: [{ id: 'on-feeder', nodeId: 'board', setPointA: 20 }] },
    };
    expect(judged(twice, settledSurvey())).toBe('not-known not-known not-known not-known');
    const both: Proposal = {
      ...twice,
      limiter: {
        ...twice.limiter,
        test: { ...good, places: [{ id: 'clamp-2', ...place, heldAtA: 20, setPointSetA: 20 }] },
      },
    };
    expect(judged(both, settledSurvey())).toBe('holds holds holds holds');
  });

  it('is begun once anything is recorded', () => {
    expect(commissioningBegun(proposal({}))).toBe(false);
    expect(commissioningBegun(proposal({ pulledA: 6 }))).toBe(true);
  });
});

describe('figures read over the link', () => {
  const test = {
    pulledA: 6,
    overLink: [{ id: 'clamp-pulled' as const, valueA: 6, readAt: '2026-11-25T18:00:00Z', readBy: 'Isla' }],
  };
  const step = (of: object) =>
    commissioningSteps(
      {
        id: 'c',
        kind: 'vehicle-charger',
        ratedA: 32,
        limiter: { kind: 'clamp', setPointA: 50, failSafeA: 6, test: of },
      },
      settledSurvey(),
      gbDefault,
    ).find(({ id }) => id === 'clamp-pulled');
  it('say so, until somebody types another', () => {
    expect(step(test)?.overLink).toEqual({ readAt: '2026-11-25T18:00:00Z', readBy: 'Isla' });
    expect(step({ ...test, pulledA: 10 })?.overLink).toBeUndefined();
    expect(step({ pulledA: 6 })?.overLink).toBeUndefined();
  });
  it('photographs of a step are named by it, and a step’s id is one that is kept', () => {
    const survey = settledSurvey((s) => {
      s.photos = [{ id: 'p', subject: 'commissioning', subjectId: stepSubject('clamp-pulled', 'car') }];
    });
    expect(packPhotos(survey)[0]?.under).toContain(STEP_TITLES['clamp-pulled']);
    expect(stepSubject('settings', 'x'.repeat(64))).toHaveLength(64);
  });
});
