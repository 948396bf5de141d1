import type { RulePack } from '../rules/rule-pack';
import type { LimiterTest, Proposal } from '../survey/proposal';
import type { CommissioningStepId } from '../survey/words';
import { exceeds, written } from '../worked';
import { chargerLimitA } from './limiter';

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
export function commissioningSteps(proposal: Proposal, pack: RulePack): CommissioningStep[] {
  const { test = {}, setPointA, failSafeA } = proposal.limiter;
  const limitA = chargerLimitA(proposal) ?? undefined;
  const tolerance = (of: number): number => Math.max(1, (Math.abs(of) * pack.commissioningPercent.value) / 100);
  const near = (seen: number, meant: number): boolean => !exceeds(Math.abs(seen - meant), tolerance(meant));
  const over = (seen: number | undefined, meant: number | undefined, by = 0): boolean =>
    seen !== undefined && meant !== undefined && exceeds(seen, meant + by);
  const { knownLoadA, readingRoseA, heldAtA, chargerThenA, pulledA, setPointSetA, failSafeSetA } = test;
  // What is seen to be wrong fails its step, whether or not the rest of the step was recorded.
  const steps = [
    judged(
      'reading',
      [
        readingRoseA !== undefined && readingRoseA < 0
          ? `it fell by ${written(-readingRoseA)} A: the clamp is reversed`
          : readingRoseA === 0
            ? 'it did not move: the clamp does not see the load'
            : null,
      ],
      [knownLoadA, readingRoseA],
      ([known, rose]) => [near(rose, known), `${written(known)} A on, the reading rose by ${written(rose)} A`],
    ),
    judged(
      'gives-way',
      [
        chargerThenA !== undefined && limitA !== undefined && chargerThenA >= limitA
          ? `the charger still drew ${written(chargerThenA)} A: it did not give way`
          : null,
        over(heldAtA, setPointA, tolerance(setPointA ?? 0))
          ? `held at ${written(heldAtA ?? 0)} A for a set-point of ${written(setPointA ?? 0)} A`
          : null,
      ],
      [heldAtA, chargerThenA, setPointA, limitA],
      ([held, charger, set]) => [
        true,
        `held at ${written(held)} A for a set-point of ${written(set)} A, charger at ${written(charger)} A`,
      ],
    ),
    judged('clamp-pulled', [], [pulledA, failSafeA], ([pulled, meant]) => [
      !exceeds(pulled, meant + 0.5),
      `it went to ${written(pulled)} A, fail-safe ${written(meant)} A`,
    ]),
    judged(
      'settings',
      [
        over(setPointSetA, setPointA)
          ? `set-point ${written(setPointSetA ?? 0)} A, ${written(setPointA ?? 0)} A was worked out`
          : null,
        over(failSafeSetA, failSafeA)
          ? `fail-safe ${written(failSafeSetA ?? 0)} A, ${written(failSafeA ?? 0)} A was worked out`
          : null,
      ],
      [setPointSetA, failSafeSetA, setPointA, failSafeA],
      ([set, fail, meantSet, meantFail]) => [
        true,
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

/** A step fails by anything seen to be wrong; it holds once everything it needs was seen and is right. */
function judged<const T extends readonly (number | undefined)[]>(
  id: CommissioningStep['id'],
  wrong: readonly (string | null)[],
  seen: T,
  judge: (values: Numbers<T>) => readonly [holds: boolean, says: string],
): CommissioningStep {
  const title = STEP_TITLES[id];
  const fault = wrong.find((each) => each !== null);
  if (fault) return { id, title, state: 'fails', says: fault };
  if (seen.includes(undefined)) return { id, title, state: 'not-known', says: 'not recorded in full' };
  const [holds, says] = judge(seen as Numbers<T>);
  return { id, title, state: holds ? 'holds' : 'fails', says };
}

/** Whether a record was begun at all: before the work nothing is asked of it. */
export function commissioningBegun({ limiter: { test } }: Proposal): boolean {
  return test !== undefined && Object.values(test).some((value) => typeof value === 'number');
}
