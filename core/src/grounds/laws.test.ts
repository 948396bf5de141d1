import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { questionKey } from '../questions/question';
import { gbDefault } from '../rules/gb-default';
import { readSurvey } from '../survey/opening/read';
import type { Survey } from '../survey/survey';
import type { LimiterTest } from '../survey/proposal';
import { nodeOf } from '../testing/settled-survey';
import { completeSurveys } from '../testing/random-surveys';
import type { VerdictId } from './verdict-ids';

const of = (survey: Survey): Assessment => assess(survey, gbDefault);
/** Questions that only looking, measuring or deciding answers, with no few answers that are plausible. */
const ONLY_A_FIGURE: ReadonlySet<string> = new Set([
  // Measured or traced: any value may come out.
  'ze-not-measured',
  'electrode-not-measured',
  'measurement-without-figure',
  'earthing-recognition-missing',
  'bonding-not-looked',
  'bonding-not-known',
  'cable-not-known',
  'check-tails-length',
  'cable-not-judged',
  'route-conditions-taken',
  'earthing-conductor-not-known',
  // Decided, or designed.
  'nothing-proposed',
  'clamp-not-settled',
  'own-rcd-not-settled',
  // Answered by the question of the device before it, or by the cut-out that is not there.
  'check-main-switch-rating',
  'check-isolator-rating',
  'check-meter-rating',
  'check-split-block-rating',
  'fuse-rating-not-established',
]);

const RUNS = { numRuns: lawRuns(300) };
const HAIR_A = 1e-6;

/** Every field of a survey, its path as a register names it and the survey without it; ids and what a survey cannot do without left out. */
function withoutEach(survey: Survey): { readonly field: string; readonly without: () => Survey | null }[] {
  const found: { field: string; without: () => Survey | null }[] = [];
  const walk = (at: unknown, keys: readonly (string | number)[]): void => {
    if (at === null || typeof at !== 'object') return;
    for (const key of Object.keys(at)) {
      const value = (at as Record<string, unknown>)[key];
      const path = [...keys, Array.isArray(at) ? Number(key) : key];
      if (typeof value === 'object' && value !== null) walk(value, path);
      if (Array.isArray(at) || key === 'id') continue;
      const field = path.filter((part) => typeof part === 'string').join('.');
      found.push({ field, without: () => readWithout(survey, path) });
    }
  };
  walk(survey, []);
  return found;
}

function readWithout(survey: Survey, path: readonly (string | number)[]): Survey | null {
  const copy = JSON.parse(JSON.stringify(survey)) as Record<string | number, unknown>;
  let here: Record<string | number, unknown> = copy;
  for (const part of path.slice(0, -1)) here = here[part] as Record<string | number, unknown>;
  const last = path.at(-1) ?? '';
  // oxlint-disable-next-line typescript/no-dynamic-delete -- a field is taken out by its path
  delete here[last];
  const read = readSurvey(copy);
  return 'faults' in read ? null : read.survey;
}

const STRICTNESS = { 'fit-then-notify': 0, 'ask-then-fit': 1, hold: 2 } as const;

/** What is less careful in one assessment than in another; empty where nothing is. */
function lessCareful(before: Assessment, now: Assessment): string[] {
  const said: string[] = [];
  if (STRICTNESS[now.route.way] < STRICTNESS[before.route.way]) said.push('the route is less strict');
  if (now.demand.limiter.holds === true && before.demand.limiter.holds !== true) said.push('the limiter holds');
  const least = ({ demand }: Assessment): number | null => {
    const values = Object.values(demand.headroom).map(({ value }) => value);
    return values.includes(null) ? null : Math.min(...values.map((value) => value ?? 0));
  };
  const [was, is] = [least(before), least(now)];
  if (was !== null && is !== null && is > was + HAIR_A) said.push(`headroom ${was} became ${is}`);
  return said;
}

/** A sign, a reading or a commissioning result against what is recorded, with the verdict it speaks against; false where it does not apply. */
const CONTRADICTIONS: readonly (readonly [VerdictId, (survey: Survey) => boolean])[] = [
  ['loop', ({ intake }) => ((intake.loop.signs = [{ id: 'two-service-cables', answer: 'not-fine' }]), true)],
  ['fuse', (survey) => ((nodeOf(survey, 'cut-out').holderMaximumA = 45), true)],
  ['intake', ({ intake }) => intake.faults.push({ id: 'f', fault: 'heat-damage', grade: 'before-load-added' }) > 0],
  ['intake', (survey) => ((nodeOf(survey, 'board').checks = [{ id: 'tails-size', answer: 'not-fine' }]), true)],
  ['earthing', ({ earthing }) => ((earthing.signs = [{ id: 'conductor-to-rod', answer: 'yes' }]), true)],
  [
    'demand',
    ({ measurements }) => measurements.push({ id: 's', kind: 'spot', phases: [{ id: 'L1', peakA: 900 }] }) > 0,
  ],
  ['limiter', (survey) => commissioned(survey, { knownLoadA: 12, readingRoseA: -12 })],
  ['limiter', (survey) => commissioned(survey, { pulledA: 32 })],
  ['limiter', (survey) => commissioned(survey, { setPointSetA: 400 })],
];

function commissioned({ proposals }: Survey, seen: LimiterTest): boolean {
  const clamped = proposals.find(({ limiter }) => limiter.kind === 'clamp');
  if (!clamped) return false;
  clamped.limiter.test = { ...clamped.limiter.test, ...seen };
  return true;
}

describe('laws of the judgement, over random complete surveys', () => {
  it('nothing is fitted first while something wrong, or a question, stands on any verdict', () => {
    fc.assert(
      fc.property(completeSurveys(), (survey) => {
        const { route, findings, verdicts, questions } = of(survey);
        if (route.way !== 'fit-then-notify') return;
        const judged = new Set<string>(verdicts.map(({ id }) => id));
        expect(findings.filter(({ grade, on }) => grade !== 'note' && judged.has(on))).toEqual([]);
        expect(questions.filter(({ on, taken }) => taken === undefined && judged.has(on))).toEqual([]);
        expect(verdicts.filter(({ answer }) => answer !== true)).toEqual([]);
      }),
      RUNS,
    );
  });

  it('a verdict is no with a failed ground, not known with an open one, and yes only with all of them met', () => {
    fc.assert(
      fc.property(completeSurveys(), (survey) => {
        for (const { answer, grounds } of of(survey).verdicts) {
          const states = grounds.map(({ state }) => state);
          expect(answer).toBe(
            states.includes('failed') ? false : states.includes('open') || states.length === 0 ? null : true,
          );
        }
      }),
      RUNS,
    );
  });

  it('taking out any one field is never less careful without a question that names it', () => {
    fc.assert(
      fc.property(completeSurveys(), fc.nat(), (survey, pick) => {
        const fields = withoutEach(survey);
        const { field, without } = fields[pick % fields.length] ?? { field: '', without: () => null };
        const taken = without();
        if (taken === null) return;
        const now = of(taken);
        const said = lessCareful(of(survey), now);
        if (said.length === 0) return;
        const named = now.questions.some(
          (question) => question.field === field || question.field.startsWith(`${field}.`),
        );
        if (!named) throw new Error(`${field}: ${said.join('; ')}`);
      }),
      { numRuns: lawRuns(500) },
    );
  });

  it('a contradiction of what is recorded never leaves its verdict at yes', () => {
    fc.assert(
      fc.property(completeSurveys(), fc.constantFrom(...CONTRADICTIONS), (survey, [id, contradict]) => {
        const answer = ({ verdicts }: Assessment) => verdicts.find((verdict) => verdict.id === id)?.answer;
        if (answer(of(survey)) !== true) return;
        const contradicted = structuredClone(survey);
        if (!contradict(contradicted)) return;
        const found = of(contradicted);
        expect(answer(found)).not.toBe(true);
        expect(found.route.way).not.toBe('fit-then-notify');
      }),
      RUNS,
    );
  });

  it('a question on a verdict, opened by taking out a field, has plausible answers: what would change the answer covers it', () => {
    const bare = new Set<string>();
    fc.assert(
      fc.property(completeSurveys(), fc.nat(), (survey, pick) => {
        const fields = withoutEach(survey);
        const taken = fields[pick % fields.length]?.without();
        if (!taken) return;
        for (const { id, on, answers, taken: told } of of(taken).questions)
          if (told === undefined && on !== 'form' && on !== 'workmanship' && !answers?.length) bare.add(id);
      }),
      { numRuns: lawRuns(250) },
    );
    expect([...bare].filter((id) => !ONLY_A_FIGURE.has(id))).toEqual([]);
  });

  it('managed demand is never above unmanaged, and everything on is never below any demand', () => {
    fc.assert(
      fc.property(completeSurveys(), (survey) => {
        const { demand, supply } = of(survey);
        for (const phase of supply.phases) {
          const [managed, free] = [demand.afterManaged[phase]?.value, demand.afterUnmanaged[phase]?.value];
          if (typeof managed === 'number' && typeof free === 'number')
            expect(managed).toBeLessThanOrEqual(free + HAIR_A);
          const most = demand.everythingOn[phase]?.value ?? Infinity;
          for (const figures of [demand.byCircuits, demand.byAppliances, demand.byMeasurement, demand.before])
            expect(figures[phase]?.value ?? 0).toBeLessThanOrEqual(most + HAIR_A);
        }
      }),
      RUNS,
    );
  });

  it('a question that is answered closes', () => {
    let closed = 0;
    fc.assert(
      fc.property(completeSurveys(), fc.nat(), (survey, pick) => {
        const fields = withoutEach(survey);
        const taken = fields[pick % fields.length]?.without();
        if (!taken) return;
        for (const question of of(taken).questions)
          for (const { says, change } of question.answers ?? []) {
            const key = questionKey(question);
            const still = of(change(structuredClone(taken))).questions.some((each) => questionKey(each) === key);
            if (still) throw new Error(`${key} stays open although answered “${says}”`);
            closed += 1;
          }
      }),
      { numRuns: lawRuns(150) },
    );
    // Most answers are figures, which have no plausible list; enough of the others came up to have tried them.
    expect(closed).toBeGreaterThan(20);
  });
});
