import { gbDefault } from '../rules/gb-default';
import type { LimiterTest, Proposal } from '../survey/proposal';
import { packPhotos } from '../pack/photos';
import { settledSurvey } from '../testing/settled-survey';
import { commissioningBegun, commissioningSteps, STEP_TITLES, stepSubject } from './commissioning';

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
  return commissioningSteps(proposal(test), gbDefault)
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
    ['set lower than reckoned with', { ...good, setPointSetA: 45 }, 'holds holds holds holds'],
  ])('%s', (_name, test, expected) => {
    expect(states(test)).toBe(expected);
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
