import type { Rules } from '../rules/rules';
import type { ClampPlaceTest, LimiterTest, Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { COMMISSIONING_STEPS, type CommissioningStepId, type Phase, nodeName } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { phaseAt, supplyTree } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { chargerLimitA } from './limiter';
import { shown } from '../rules/rounding';

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

/** One clamp on one line: the first is recorded with the test itself, the others by their id. */
export interface TestPlace {
  /** Null for the first. */
  readonly id: string | null;
  /** What it is called where there are several. */
  readonly label: string;
  readonly phase: Phase | null;
  /** The clamp's set-point; undefined while that is not recorded. */
  readonly setPointA: number | undefined;
  /** The first line of its clamp, which its set-point is recorded with. */
  readonly first: boolean;
}

/** Every clamp of a limiter on every line of its charger, each of which is commissioned by itself. */
export function testPlaces(
  { limiter, phases, phase, nodeId }: Proposal,
  survey: Survey,
  tree = supplyTree(survey),
): TestPlace[] {
  const { clampNodeId, setPointA, moreClamps = [] } = limiter;
  const own = phase ?? phaseAt(nodeOf(tree, nodeId));
  const three = survey.supply.phases === 3;
  const lines: readonly (Phase | null)[] =
    three && (phases === 3 || own === 'all')
      ? ['L1', 'L2', 'L3']
      : [three && own !== undefined && own !== 'all' ? own : null];
  const clamps = [{ nodeId: clampNodeId, setPointA }, ...moreClamps];
  return clamps.flatMap((clamp, at) => {
    const node = tree.byId.get(clamp.nodeId ?? '')?.node;
    const name = node ? nodeName(node) : `Clamp ${at + 1}`;
    return lines.map((line, of): TestPlace => ({
      id: at === 0 && of === 0 ? null : `clamp-${at + 1}${line === null ? '' : `-${line}`}`,
      label: lines.length > 1 ? `${name}, ${line ?? ''}` : name,
      phase: line,
      setPointA: clamp.setPointA,
      first: of === 0,
    }));
  });
}

/** What was seen at one place. */
export function seenAt({ id }: TestPlace, test: LimiterTest): Omit<ClampPlaceTest, 'id'> {
  return id === null ? test : (test.places?.find((each) => each.id === id) ?? {});
}

/**
 * The steps of section 10 of the guide, each at every clamp and on every line of the charger: the clamp reads a known load, large enough to
 * tell, with the right size and sign; with load on, the reading stays near the set-point and the charger is clearly down; with the lead pulled
 * it goes to the fail-safe current; the settings are those that were reckoned with. Readings may err by the pack’s tolerance, at least an
 * ampere. A step holds once it holds everywhere, and fails where it fails anywhere.
 */
export function commissioningSteps(
  proposal: Proposal,
  survey: Survey,
  rules: Rules,
  tree = supplyTree(survey),
): CommissioningStep[] {
  const { test = {} } = proposal.limiter;
  const places = testPlaces(proposal, survey, tree);
  return COMMISSIONING_STEPS.map((id): CommissioningStep => {
    const each = places
      // A set-point is of a clamp, whatever lines it is on.
      .filter(({ first }) => id !== 'settings' || first)
      .map((place) => ({ place, ...JUDGES[id](place, seenAt(place, test), proposal, rules) }));
    const several = each.length > 1;
    const says = each.map((one) => (several ? `${one.place.label}: ${one.says}` : one.says)).join('; ');
    const states = each.map(({ state }) => state);
    const state = states.includes('fails') ? 'fails' : states.includes('not-known') ? 'not-known' : 'holds';
    return { id, title: STEP_TITLES[id], state, says, overLink: overLink(id, test) };
  });
}

type Seen = Omit<ClampPlaceTest, 'id'>;
type Judged = Pick<CommissioningStep, 'state' | 'says'>;

const NOT_RECORDED: Judged = { state: 'not-known', says: 'not recorded in full' };

function fails(says: string): Judged {
  return { state: 'fails', says };
}

function tolerance(of: number, rules: Rules): number {
  return Math.max(1, (Math.abs(of) * rules.commissioningPercent.value) / 100);
}

/** Each step at one place. What is seen to be wrong fails it, whether or not the rest of it was recorded. */
const JUDGES: Readonly<
  Record<CommissioningStepId, (place: TestPlace, seen: Seen, proposal: Proposal, rules: Rules) => Judged>
> = {
  reading: (_place, { knownLoadA, readingRoseA }, _proposal, rules) => {
    if (readingRoseA !== undefined && readingRoseA < 0)
      return fails(`it fell by ${shown(-readingRoseA)} A: the clamp is reversed`);
    if (readingRoseA === 0) return fails('it did not move: the clamp does not see the load');
    if (knownLoadA === undefined || readingRoseA === undefined) return NOT_RECORDED;
    const says = `${shown(knownLoadA)} A on, the reading rose by ${shown(readingRoseA)} A`;
    if (exceeds(Math.abs(readingRoseA - knownLoadA), tolerance(knownLoadA, rules))) return fails(says);
    const { value: leastA } = rules.commissioningLeastA;
    return exceeds(leastA, knownLoadA)
      ? { state: 'not-known', says: `${says}: too small a load to tell, ${shown(leastA)} A or more are needed` }
      : { state: 'holds', says };
  },
  'gives-way': ({ setPointA }, { heldAtA, chargerThenA }, proposal, rules) => {
    const limitA = chargerLimitA(proposal);
    const atFull =
      chargerThenA !== undefined && limitA !== null && exceeds(chargerThenA, limitA - tolerance(limitA, rules));
    const far =
      heldAtA !== undefined && setPointA !== undefined && exceeds(setPointA - heldAtA, tolerance(setPointA, rules) + 1);
    if (far)
      return {
        state: 'not-known',
        says: `held at ${shown(heldAtA)} A, far under the set-point of ${shown(setPointA)} A: put more load on`,
      };
    if (atFull) return fails(`the charger still drew ${shown(chargerThenA)} A: it did not give way`);
    if (heldAtA !== undefined && setPointA !== undefined && exceeds(heldAtA, setPointA + tolerance(setPointA, rules)))
      return chargerThenA === 0
        ? {
            state: 'not-known',
            says: `${shown(heldAtA)} A with the charger stopped: the rest alone is over the set-point`,
          }
        : fails(`held at ${shown(heldAtA)} A for a set-point of ${shown(setPointA)} A`);
    if (heldAtA === undefined || chargerThenA === undefined || setPointA === undefined || limitA === null)
      return NOT_RECORDED;
    return {
      state: 'holds',
      says: `held at ${shown(heldAtA)} A for a set-point of ${shown(setPointA)} A, charger at ${shown(chargerThenA)} A`,
    };
  },
  'clamp-pulled': (_place, { pulledA }, { limiter: { failSafeA } }) => {
    if (pulledA === undefined || failSafeA === undefined) return NOT_RECORDED;
    const says = `it went to ${shown(pulledA)} A, fail-safe ${shown(failSafeA)} A`;
    return exceeds(pulledA, failSafeA + 0.5) ? fails(says) : { state: 'holds', says };
  },
  settings: ({ setPointA, id }, { setPointSetA }, { limiter: { failSafeA, test } }) => {
    const failSafeSetA = test?.failSafeSetA;
    if (setPointSetA !== undefined && setPointA !== undefined && exceeds(setPointSetA, setPointA))
      return fails(`set-point ${shown(setPointSetA)} A, ${shown(setPointA)} A was worked out`);
    // The fail-safe is the charger's, and said once.
    if (id === null && failSafeSetA !== undefined && failSafeA !== undefined && exceeds(failSafeSetA, failSafeA))
      return fails(`fail-safe ${shown(failSafeSetA)} A, ${shown(failSafeA)} A was worked out`);
    if (setPointSetA === undefined || setPointA === undefined) return NOT_RECORDED;
    const set = `set-point ${shown(setPointSetA)} A of ${shown(setPointA)} A`;
    if (id !== null) return { state: 'holds', says: set };
    if (failSafeSetA === undefined || failSafeA === undefined) return NOT_RECORDED;
    return { state: 'holds', says: `${set}, fail-safe ${shown(failSafeSetA)} A of ${shown(failSafeA)} A` };
  },
};

/** A figure that was changed by hand after it was read counts as typed. */
function overLink(id: CommissioningStepId, test: LimiterTest): CommissioningStep['overLink'] {
  const read = test.overLink?.find((each) => each.id === id);
  if (!read || read.valueA === undefined || read.valueA !== test[FIGURE[id]]) return undefined;
  return { readAt: read.readAt ?? '', readBy: read.readBy ?? '' };
}

/** Whether a record was begun at all: before the work nothing is asked of it. */
export function commissioningBegun({ limiter: { test } }: Proposal): boolean {
  const begun = (of: object): boolean => Object.values(of).some((value) => typeof value === 'number');
  return test !== undefined && (begun(test) || (test.places ?? []).some(begun));
}
