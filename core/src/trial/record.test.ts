import { gbDefault } from '../rules/gb-default';
import { assess } from '../assess';
import { composePack } from '../pack/compose';
import { readSurvey } from '../survey/opening/read';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { playHousehold } from './play';
import { trialPlan, type TrialPlan } from './plan';
import { stillTrue, trialRecord } from './record';

const survey = settledSurvey((s) => {
  s.loads.push({ id: 'shower', class: 'instantaneous-water-heating', currentA: 37 });
  s.driver = { milesPerDay: 40, cheapFromH: 0.5, cheapToH: 4.5 };
});

function planOf(seed: number, of = survey): TrialPlan {
  const [proposal] = of.proposals;
  const plan = proposal && trialPlan(of, assess(of, gbDefault), proposal, gbDefault, { seed });
  if (!plan || 'needs' in plan) throw new Error('no plan');
  return plan;
}

describe('a trial kept with its survey', () => {
  const plan = planOf(3);
  const years = [0, 1, 2].map((index) => playHousehold(plan, index, {}));
  const record = trialRecord('car', plan, years, { by: 'Isla', at: '2026-11-25T19:00:00Z' });

  it('is played from what the survey says: 40 miles at 0.28 kWh are 11.2, charging from 0:30 to 4:30', () => {
    expect(plan.chargers[0]?.needs).toMatchObject({ kwhPerDay: 11.2, cheap: { fromH: 0.5, toH: 4.5 }, onboardA: 32 });
    expect(plan.ways).toHaveLength(6);
    // A socket circuit is not used by itself: what is usually plugged in is, and says so.
    const [lights, ...others] = plan.appliances;
    expect(lights).toMatchObject({ class: 'lighting', id: 'lights' });
    expect(others.filter(({ assumed }) => assumed).map(({ class: kind }) => kind)).toEqual(
      Array.from({ length: 6 }, () => 'socket-circuit'),
    );
    expect(others.at(-1)).toMatchObject({ id: 'shower', currentA: 37, mostA: 37 });
  });
  it('holds its seed, its parameters and the figures, and reads back as part of the survey', () => {
    expect(record).toMatchObject({ id: 'car', seed: 3, years: 3, playedBy: 'Isla', source: 'habits', kwhPerDay: 11.2 });
    const [full] = record.ways ?? [];
    const highest = years.map(([first]) => first?.highestA ?? 0).sort((a, b) => a - b);
    expect(full?.highestA?.median).toBeCloseTo(highest[1] ?? 0, 2);
    expect(full?.highestA?.most).toBeCloseTo(highest[2] ?? 0, 2);
    const read = readSurvey(JSON.parse(JSON.stringify({ ...survey, trials: [record] })));
    expect('faults' in read ? read.faults : read.survey.trials).toEqual([record]);
  });
  it('the same seed plays the same figures again, another does not', () => {
    const again = [0, 1, 2].map((index) => playHousehold(planOf(3), index, {}));
    expect(again).toEqual(years);
    expect(playHousehold(planOf(4), 2, {})).not.toEqual(years[2]);
  });
  it('tells when what it was played from has changed', () => {
    expect(stillTrue(record, plan)).toBe(true);
    expect(stillTrue(JSON.parse(JSON.stringify(record)) as typeof record, planOf(3))).toBe(true);
    expect(stillTrue(record, planOf(4))).toBe(false);
    const more = settledSurvey((s) => (s.loads = [...survey.loads, { id: 'oven', class: 'cooking', currentA: 20 }]));
    expect(stillTrue(record, planOf(3, more))).toBe(false);
  });
});

describe('a kept trial in the pack', () => {
  const signedBy = { firm: 'F', name: 'N', registration: 'R', at: '2026-11-25T19:00:00Z' };
  const plan = planOf(3);
  const record = trialRecord('car', plan, [playHousehold(plan, 0, {})], { by: 'Isla', at: '2026-11-25T19:00:00Z' });
  const section = (of: Survey) =>
    composePack(of, assess(of, gbDefault), gbDefault, signedBy).sections.find(({ title }) => title.startsWith('Trial'));

  it('says what it was played from and each way, and whether the survey still says so', () => {
    const now = section({ ...survey, trials: [record] });
    expect(now?.rows).toHaveLength(7);
    expect(now?.rows[0]).toMatchObject({
      value: '1 household-years from the appliances listed and plain habits, seed 3',
    });
    expect(now?.rows[0]?.note).not.toContain('changed since');
    const later = section({ ...survey, trials: [record], loads: survey.loads.slice(0, 1) });
    expect(later?.rows[0]?.note).toContain('the survey has changed since it was played');
    expect(section(survey)).toBeUndefined();
  });
});
