import type { CircuitAssessment } from '../circuit/charger-circuit';
import { READING_FORMS, readingText } from '../intake/readings';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Reading } from '../survey/reading';
import type { Survey } from '../survey/survey';
import type { ReadingKind } from '../survey/words/words';
import { exceeds, written } from '../worked';

/** What is measured of a new circuit once it is fitted, in the order it is measured in. */
export const TEST_KINDS = [
  'r1-r2',
  'r1-rn',
  'insulation-resistance',
  'loop-impedance-circuit',
  'prospective-fault-current',
  'rcd-time',
] as const satisfies readonly ReadingKind[];
export type TestKind = (typeof TEST_KINDS)[number];

/** One test of one circuit, judged against its limit. */
export interface JudgedTest {
  readonly id: TestKind | 'polarity' | 'works';
  readonly title: string;
  /** As it was shown; “not taken” where it was not. */
  readonly measured: string;
  readonly limit: string;
  readonly state: 'passes' | 'fails' | 'not-known';
  /** Why, where it is not plain. */
  readonly says: string;
}

interface Limit {
  readonly says: string;
  /** Null where there is nothing to hold it against. */
  readonly most: number | null;
  readonly least: number | null;
  /** Above this it is not sure: something that is not recorded decides. */
  readonly sureUpTo?: number;
  readonly why?: string;
}

/** The readings that belong to one circuit: those that name it, and those that name none where there is only one. */
export function testsOf(survey: Survey, proposal: Proposal): readonly Reading[] {
  const only = survey.proposals.length === 1;
  return survey.readings.filter(
    ({ proposalId, kind, nodeId }) =>
      proposalId === proposal.id ||
      // Fault current at the intake is no test of the circuit.
      (only &&
        proposalId === undefined &&
        (kind !== 'prospective-fault-current' || (nodeId !== undefined && nodeId === proposal.nodeId))),
  );
}

/** Every test a new circuit needs, judged; a bound counts for what it is: “> 999” is above 999, and proves nothing about a most. */
export function judgeTests(
  survey: Survey,
  circuit: CircuitAssessment | undefined,
  proposal: Proposal,
  rules: Rules,
): JudgedTest[] {
  const readings = testsOf(survey, proposal);
  const limits = limitsOf(circuit, readings, rules);
  return [
    ...TEST_KINDS.map((kind): JudgedTest => {
      const taken = readings.filter((each) => each.kind === kind && each.value !== undefined);
      const title = READING_FORMS[kind].name;
      const limit = limits[kind];
      if (taken.length === 0)
        return { id: kind, title, measured: 'not taken', limit: limit.says, state: 'not-known', says: '' };
      const verdicts = taken.map((reading) => judged(reading, limit));
      const state = (['fails', 'not-known', 'passes'] as const).find((each) => verdicts.includes(each)) ?? 'passes';
      return {
        id: kind,
        title,
        measured: taken.map(readingText).join(', '),
        limit: limit.says,
        state,
        says:
          state === 'not-known' ? (limit.why ?? 'the instrument shows only a bound, and the limit lies beyond it') : '',
      };
    }),
    answered('polarity', 'Polarity', proposal.tested?.polarity),
    answered('works', 'Works as intended', proposal.tested?.works),
  ];
}

function answered(id: 'polarity' | 'works', title: string, answer: 'yes' | 'no' | 'unknown' | undefined): JudgedTest {
  const state = answer === 'yes' ? 'passes' : answer === 'no' ? 'fails' : 'not-known';
  const measured = answer === 'yes' ? 'right' : answer === 'no' ? 'wrong' : 'not looked at';
  return { id, title, measured, limit: 'right', state, says: '' };
}

function judged({ value = 0, bound = 'exact' }: Reading, { most, least, sureUpTo }: Limit): JudgedTest['state'] {
  if (most !== null) {
    if (bound !== 'below' && exceeds(value, most, 'Ω')) return 'fails';
    if (bound === 'above' || (bound === 'below' && exceeds(value, most, 'Ω'))) return 'not-known';
    if (sureUpTo !== undefined && exceeds(value, sureUpTo, 'Ω')) return 'not-known';
  }
  if (least !== null) {
    if (bound !== 'above' && exceeds(least, value, 'Ω')) return 'fails';
    if (bound === 'below' || (bound === 'above' && exceeds(least, value, 'Ω'))) return 'not-known';
  }
  return most === null && least === null ? 'not-known' : 'passes';
}

function limitsOf(
  circuit: CircuitAssessment | undefined,
  readings: readonly Reading[],
  rules: Rules,
): Readonly<Record<TestKind, Limit>> {
  const loopMost = circuit?.loopLimit.value ?? null;
  const before = circuit?.loopBefore.value ?? null;
  const hot = rules.circuit.hotFactor.value[circuit?.insulation ?? 'thermosetting-90'];
  const r1r2 = exact(readings, 'r1-r2');
  const open = (why: string): Limit => ({ says: 'not known', most: null, least: null, why });
  return {
    'r1-r2':
      loopMost === null || before === null
        ? open('the loop impedance before it, or the largest allowed, is not known')
        : cold(Math.max(0, loopMost - before), 0, hot, 'what the supply leaves of Zs'),
    'r1-rn': r1r2 === null ? open('R1 + R2 is not measured, and nothing else says what it should be') : plausible(r1r2),
    'insulation-resistance': atLeast(rules.circuit.leastInsulationMOhm.value, 'MΩ'),
    'loop-impedance-circuit':
      loopMost === null
        ? open('the largest loop impedance is not known')
        : cold(loopMost, Math.min(before ?? 0, loopMost), hot, 'for its device'),
    'prospective-fault-current': faultCurrent(rules),
    'rcd-time': atMost(rules.circuit.rcdTripMs.value, 'ms at its rated residual current'),
  };
}

/**
 * Resistance measured cold, which rises by `hot` as the circuit carries its current: over `most` it fails as it stands, and it is sure only as
 * far as it stays within it warm. `before` is no part of the circuit and does not rise with it.
 */
function cold(most: number, before: number, hot: number, what: string): Limit {
  const sureUpTo = before + (most - before) / hot;
  return {
    says: `at most ${written(sureUpTo)} Ω cold, ${written(most)} Ω warm, ${what}`,
    most,
    least: null,
    sureUpTo,
    why: 'within the limit as it was measured cold, over it once the cable is warm: work it out for the temperature it was measured at',
  };
}

/** In a radial circuit line and neutral are alike and the protective conductor is mostly no thicker: more than R1 + R2 wants a reason. */
function plausible(r1r2: number): Limit {
  return {
    says: `usually no more than R1 + R2, ${written(r1r2)} Ω`,
    most: Infinity,
    least: null,
    sureUpTo: r1r2 * 1.05,
    why: 'more than R1 + R2: a larger protective conductor or an armour may be why, otherwise a bad joint',
  };
}

/** What a device breaks by itself is sure; beyond that the board with the fuse before it has to be declared for it. */
function faultCurrent({ circuit }: Rules): Limit {
  const [alone, together] = circuit.breakingKA.value;
  return {
    says: `${alone} kA for usual devices, ${together} kA for a board declared for it`,
    most: together,
    least: null,
    sureUpTo: alone,
    why: `above ${alone} kA the board has to be declared for it with the fuse before it: look at its data`,
  };
}

function atMost(most: number, unit: string): Limit {
  return { says: `at most ${written(most)} ${unit}`, most, least: null };
}

function atLeast(least: number, unit: string): Limit {
  return { says: `at least ${written(least)} ${unit}`, most: null, least };
}

function exact(readings: readonly Reading[], kind: ReadingKind): number | null {
  const values = readings.flatMap(({ kind: each, value, bound = 'exact' }) =>
    each === kind && value !== undefined && bound === 'exact' ? [value] : [],
  );
  return values.length === 0 ? null : Math.max(...values);
}

/** Every new circuit’s tests, under its name. */
export function allTests(
  survey: Survey,
  circuits: readonly CircuitAssessment[],
  rules: Rules,
): { readonly proposalId: string; readonly name: string; readonly tests: readonly JudgedTest[] }[] {
  return survey.proposals.map((proposal) => ({
    proposalId: proposal.id,
    name: equipmentName(proposal),
    tests: judgeTests(
      survey,
      circuits.find(({ proposalId }) => proposalId === proposal.id),
      proposal,
      rules,
    ),
  }));
}
