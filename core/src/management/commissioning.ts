import type { RulePack } from '../rules/rule-pack';
import type { LimiterTest, Proposal } from '../survey/proposal';
import type { CommissioningStepId } from '../survey/words';
import { exceeds, written } from '../worked';

/** One step of commissioning a limiter, judged from what was seen. */
export interface CommissioningStep {
  readonly id: CommissioningStepId;
  readonly title: string;
  readonly state: 'holds' | 'fails' | 'not-known';
  readonly says: string;
  /** Read over the charge point’s link, when and by whom; absent where it was typed. */
  readonly overLink?: { readonly readAt: string; readonly readBy: string } | undefined;
}

/** What each step is called. */
export const STEP_TITLES: Readonly<Record<CommissioningStepId, string>> = {
  reading: 'A known load on: size and sign',
  'gives-way': 'Load on until the charger gives way',
  'clamp-pulled': 'The clamp’s lead pulled',
  settings: 'The settings as they are set',
};

/** The figure a step is known again by: the one that was read. */
const FIGURE = {
  reading: 'readingRoseA',
  'gives-way': 'heldAtA',
  'clamp-pulled': 'pulledA',
  settings: 'setPointSetA',
} as const satisfies Record<CommissioningStepId, keyof LimiterTest>;

/** A photograph’s subject id for a step of a proposal’s commissioning. */
export function stepSubject(step: CommissioningStepId, proposalId: string): string {
  return `${step}.${proposalId}`.slice(0, 64);
}

/**
 * The steps of section 10 of the guide: the clamp reads a known load with the right size and sign; the charger gives way so
 * that the reading stays at the set-point; with the lead pulled it goes to the fail-safe current; the settings are those
 * that were reckoned with. Readings may err by the pack’s tolerance, at least an ampere.
 */
export function commissioningSteps({ limiter, ratedA }: Proposal, pack: RulePack): CommissioningStep[] {
  const { test = {}, setPointA, failSafeA } = limiter;
  const tolerance = (of: number): number => Math.max(1, (Math.abs(of) * pack.commissioningPercent.value) / 100);
  const near = (seen: number, meant: number): boolean => !exceeds(Math.abs(seen - meant), tolerance(meant));
  const steps = [
    judged('reading', [test.knownLoadA, test.readingRoseA], ([known, rose]) =>
      rose < 0
        ? [false, `it fell by ${written(-rose)} A: the clamp is reversed`]
        : [near(rose, known), `${written(known)} A on, the reading rose by ${written(rose)} A`],
    ),
    judged('gives-way', [test.heldAtA, test.chargerThenA, setPointA, ratedA], ([held, charger, set, rated]) =>
      charger >= rated
        ? [false, `the charger still drew ${written(charger)} A: it did not give way`]
        : [
            !exceeds(held, set + tolerance(set)),
            `held at ${written(held)} A for a set-point of ${written(set)} A, charger at ${written(charger)} A`,
          ],
    ),
    judged('clamp-pulled', [test.pulledA, failSafeA], ([pulled, meant]) => [
      !exceeds(pulled, meant + 0.5),
      `it went to ${written(pulled)} A, fail-safe ${written(meant)} A`,
    ]),
    judged(
      'settings',
      [test.setPointSetA, test.failSafeSetA, setPointA, failSafeA],
      ([set, fail, meantSet, meantFail]) => [
        !exceeds(set, meantSet) && !exceeds(fail, meantFail),
        `set-point ${written(set)} A of ${written(meantSet)} A, fail-safe ${written(fail)} A of ${written(meantFail)} A`,
      ],
    ),
  ];
  return steps.map((each) => ({ ...each, overLink: overLink(each.id, test) }));
}

/** A figure that was changed by hand after it was read counts as typed. */
function overLink(id: CommissioningStepId, test: LimiterTest): CommissioningStep['overLink'] {
  const read = test.overLink?.find((each) => each.id === id);
  if (!read || read.valueA === undefined || read.valueA !== test[FIGURE[id]]) return undefined;
  return { readAt: read.readAt ?? '', readBy: read.readBy ?? '' };
}

type Numbers<T> = { readonly [K in keyof T]: number };

/** A step is judged once everything it needs was seen. */
function judged<const T extends readonly (number | undefined)[]>(
  id: CommissioningStep['id'],
  seen: T,
  judge: (values: Numbers<T>) => readonly [holds: boolean, says: string],
): CommissioningStep {
  const title = STEP_TITLES[id];
  if (seen.includes(undefined)) return { id, title, state: 'not-known', says: 'not recorded in full' };
  const [holds, says] = judge(seen as Numbers<T>);
  return { id, title, state: holds ? 'holds' : 'fails', says };
}

/** Whether a record was begun at all: before the work nothing is asked of it. */
export function commissioningBegun({ limiter: { test } }: Proposal): boolean {
  return test !== undefined && Object.values(test).some((value) => typeof value === 'number');
}
