import { pricesAt } from '../price/at-day';
import { starterBook } from '../price/starter';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey, type Change } from '../testing/settled-survey';
import { planEstimate, stageEstimate, stagePlans } from './stages';

const TERMS = { wastePercent: 10, endM: 0.5 };
const prices = pricesAt(starterBook(), '2026-12-01');

/** A garage on 2.5 mm² armoured behind 20 A, 30 m, with a charger of 32 A wanted there. */
const garage: Change = (survey) => {
  survey.works = { travelMin: 15 };
  survey.supply.nodes.push({
    id: 'garage',
    kind: 'feeder',
    label: 'Garage feeder',
    fedFrom: 'board',
    ratingA: 20,
    curve: 'B',
    deviceType: 'mcb',
    cable: {
      type: 'armoured',
      sizeMm2: 2.5,
      lengthM: 30,
      laid: 'buried',
      cpc: 'core',
      circuitsTogether: 1,
      ambientC: 20,
      insulationMm: 0,
      terminalsFor90: 'no',
    },
  });
  survey.loads.push({ id: 'freezer', class: 'motor', currentA: 2, nodeId: 'garage' });
  for (const car of survey.proposals) {
    Object.assign(car, { nodeId: 'garage', profileId: 'usual-dial' });
    for (const segment of car.circuit?.segments ?? []) Object.assign(segment, { lengthM: 3, fixedTo: 'brick' });
  }
  survey.stages = [
    { id: 'now', option: 'fixed-limit', plannedOn: '2026-12-15' },
    { id: 'spring', option: 'new-feeder', plannedOn: '2027-04-12', name: 'Own cable in spring' },
  ];
};

describe('a staged job at a garage', () => {
  const survey = settledSurvey(garage);
  const plans = stagePlans(survey, gbDefault, TERMS);
  const [now, spring] = plans;
  if (!now || !spring) throw new Error('two steps');

  it('each step has its own settings, its day and its own way to the operator', () => {
    expect(plans.map(({ name }) => name)).toEqual(['Held to 16 A', 'Own cable in spring']);
    expect(now.settings).toEqual(['New charger: held to 16 A']);
    expect(spring.settings).toEqual(['New charger: full rate, 32 A']);
    expect(plans.map(({ survey: each }) => each.request.plannedOn)).toEqual(['2026-12-15', '2027-04-12']);
    expect(plans.map(({ assessment, fit, gap }) => [assessment.route.way, fit.answer, gap])).toEqual([
      ['fit-then-notify', true, null],
      ['fit-then-notify', true, null],
    ]);
  });
  it('the second buys only what the first has not: the cable and its device, no second charger', () => {
    const items = (plan: typeof now): string[] =>
      plan.lines.flatMap((line) => (line.kind === 'material' ? (line.item ?? '?') : []));
    expect(items(now)).toContain('equipment-usual-dial');
    expect(items(now).some((item) => item.startsWith('cable-armoured'))).toBe(false);
    expect(items(spring)).not.toContain('equipment-usual-dial');
    expect(items(spring).some((item) => item.startsWith('cable-armoured-3c'))).toBe(true);
    expect(spring.lines.some((line) => line.kind === 'work' && line.task === 'travel')).toBe(true);
  });
  it('the steps add up to the whole, to the penny', () => {
    const [first, second] = plans.map((plan, at) => stageEstimate(plan, survey, prices, at === 0));
    const whole = planEstimate(plans, survey, prices);
    expect(whole.total.pence).toBe((first?.total.pence ?? 0) + (second?.total.pence ?? 0));
    expect(whole.net.pence + whole.tax.pence).toBe(whole.total.pence);
    expect(second?.total.pence).toBeGreaterThan(0);
  });
  it('a step may have a limit of its own', () => {
    const [low] = stagePlans(
      settledSurvey(garage, (s) => void Object.assign(s.stages?.[0] ?? {}, { fixedA: 10 })),
      gbDefault,
      TERMS,
    );
    expect(low?.settings).toEqual(['New charger: held to 10 A']);
  });
  it('an option that is none here is said to be none', () => {
    const [only] = stagePlans(
      settledSurvey((s) => void (s.stages = [{ id: 'x', option: 'new-feeder' }])),
      gbDefault,
      TERMS,
    );
    expect(only?.gap).toBe('“A new feeder” is no option of this survey.');
  });
  it('a line that somebody added counts once, in the first step', () => {
    const added = settledSurvey(
      garage,
      (s) => void (s.works = { ...s.works, lines: [{ id: 'own-1', item: 'post', quantity: 1 }] }),
    );
    const steps = stagePlans(added, gbDefault, TERMS).map((plan, at) => stageEstimate(plan, added, prices, at === 0));
    expect(steps.map(({ lines }) => lines.filter(({ line }) => line.id === 'own-1').length)).toEqual([1, 0]);
  });
});
