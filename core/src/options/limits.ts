import { wholeBelow } from '../rules/rounding';
/** The ways of limiting chargers: not at all, a fixed setting, a clamp; each as a change of a survey that is then judged like any other. */
import { decide } from '../assess';
import { setPointWithin } from '../management/clamp-limit';
import { customersSide } from '../management/placement';
import { settingBounds, stepAtMost } from '../management/set-points';
import { settingsOf } from '../management/settings';
import type { Rules } from '../rules/rules';
import { isCharger } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { supplyTree, towardsStreet, type TreeNode } from '../tree/supply-tree';
import type { Draft } from './draft';
import { fits } from './fits';

type Limiter = Proposal['limiter'];

/** Every charger limited in one way; other equipment stays as it is. */
export function withLimiter(survey: Survey, limiter: (proposal: Proposal) => Limiter): Survey {
  return {
    ...survey,
    proposals: survey.proposals.map((each) => (isCharger(each) ? { ...each, limiter: limiter(each) } : each)),
  };
}

export function unlimited(survey: Survey): Survey {
  return withLimiter(survey, () => ({ kind: 'none' }));
}

/**
 * The largest usual setting that fits, or, while something else is not known, the largest at which nothing known is over; the least of them
 * where every one is. Null where there is no charger, or none that can be set lower.
 */
export function fixedLimit(survey: Survey, rules: Rules): Draft | null {
  const chargers = survey.proposals.filter(isCharger);
  const most = Math.max(...chargers.map(({ ratedA }) => ratedA ?? 0));
  const widest = chargers.find(({ ratedA }) => ratedA === most);
  const steps = widest ? settingsOf(widest, rules) : [];
  if (steps.length === 0) return null;
  const at = (fixedA: number): Survey =>
    withLimiter(survey, ({ ratedA }) => ({ kind: 'fixed', fixedA: Math.min(fixedA, ratedA ?? fixedA) }));
  // The settings are in order and what fits at one fits at every lower one: halve the way between.
  let [low, high] = [0, steps.length - 1];
  let found: Pick<Draft, 'survey' | 'decided'> | undefined;
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    const tried = at(steps[middle] ?? 0);
    const decided = decide(tried, rules);
    if (fits(decided).answer === false) low = middle + 1;
    else [high, found] = [middle, { survey: tried, decided }];
  }
  const best = steps[low] ?? 0;
  return {
    kind: 'fixed-limit',
    title: `Held to ${best} A`,
    ...(found ?? { survey: at(best) }),
    cautions: ['The setting is sealed or locked by whoever sets it; the next owner has to know of it.'],
  };
}

/**
 * Every charger behind the same clamps, at the largest set-point that holds less the pack’s margin, with complete settings: the one after the
 * meter where a clamp is recorded there, otherwise on the first conductor of the customer’s, and one more on each feeder. Null without a charger.
 */
export function managed(survey: Survey, rules: Rules): Draft | null {
  const chargers = survey.proposals.filter(isCharger);
  const [charger] = chargers;
  if (!charger) return null;
  const tree = supplyTree(survey);
  const ways = chargers.map(({ nodeId }) => towardsStreet(nodeOf(tree, nodeId)));
  const shared = (ways[0] ?? []).filter((here) => ways.every((way) => way.includes(here)));
  const main = mainClamp(chargers, shared);
  if (main === null)
    return {
      kind: 'managed',
      title: 'Managed by clamp',
      survey: unlimited(survey),
      takes: survey,
      open: 'Nothing is recorded after the meter that carries every charger and that a clamp could sit on.',
      cautions: [],
    };
  const recorded = chargers.find(({ limiter }) => limiter.clampNodeId === main.node.id)?.limiter;
  const moreClamps = feederClamps(shared, main, recorded, rules);
  const first = withLimiter(survey, ({ limiter }) => ({
    kind: 'clamp',
    clampNodeId: main.node.id,
    setPointA: recorded?.setPointA ?? tree.device?.node.ratingA ?? rules.fallbackFuseA.value,
    failSafeA: rules.leastChargingA.value,
    ...(moreClamps.length > 0 ? { moreClamps } : {}),
    fit: { ...limiter.fit, conductor: 'line', arrowAlong: 'yes', insideSealed: 'no', phase: 'all' },
  }));
  const bounds = settingBounds(decide(first, rules), chargers.length, rules);
  const setPointA = bounds?.withMarginA ?? undefined;
  const made = withLimiter(first, ({ limiter, failSafesA }) => ({
    ...limiter,
    ...(setPointA === undefined ? {} : { setPointA }),
    failSafeA: failSafeWithin(bounds?.failSafeA ?? 0, failSafesA, rules),
  }));
  return {
    kind: 'managed',
    title: setPointA === undefined ? 'Managed by clamp' : `Managed by clamp at ${setPointA} A`,
    survey: made,
    // How the clamp is put on was taken as it is meant to be; what is recorded of it stays what somebody saw.
    takes: withLimiter(made, (each) =>
      asRecorded(each.limiter, survey.proposals.find(({ id }) => id === each.id)?.limiter),
    ),
    cautions: [
      'Charging gives way to the house, and pauses when less than 6 A is left.',
      ...(chargers.length > 1 ? ['The chargers share what is left: one controller has to run them all.'] : []),
      ...(rules.acceptsLimiting ? [] : ['This operator does not accept limiting in place of a larger fuse.']),
    ],
  };
}

/** The largest fail-safe current within a bound that the equipment has, in amperes; of the usual two, least charging current or stopped, where that is not recorded. */
function failSafeWithin(boundA: number, settingsA: readonly number[] | undefined, rules: Rules): number {
  const least = rules.leastChargingA.value;
  return stepAtMost(boundA, settingsA?.length ? settingsA : [0, least]) ?? 0;
}

/** Where the controller's own clamp sits: as recorded where that carries every charger on the customer's side, else the first such part after the meter. */
function mainClamp(chargers: readonly Proposal[], shared: readonly TreeNode[]): TreeNode | null {
  const usable = customersSide(shared);
  const recorded = chargers.flatMap(({ limiter }) => usable.find(({ node }) => node.id === limiter.clampNodeId) ?? []);
  return recorded[0] ?? usable.at(-1) ?? null;
}

/** A feeder is kept by a clamp of its own: one at the intake would have to hold the whole house to what the feeder may carry. */
function feederClamps(
  shared: readonly TreeNode[],
  main: TreeNode,
  recorded: Limiter | undefined,
  rules: Rules,
): NonNullable<Limiter['moreClamps']> {
  const known = (recorded?.moreClamps ?? []).filter(({ nodeId }) => shared.some(({ node }) => node.id === nodeId));
  return shared.flatMap((here) => {
    const { id, kind, ratingA } = here.node;
    if (kind !== 'feeder' || here === main || ratingA === undefined) return [];
    const there = known.find(({ nodeId }) => nodeId === id);
    // As far below as the clamp may err.
    const setPointA = Math.max(0, wholeBelow(setPointWithin(ratingA, rules)));
    return [
      {
        ...(there ?? { id: `on-${id}`.slice(0, 64), nodeId: id }),
        setPointA: Math.min(there?.setPointA ?? setPointA, setPointA),
      },
    ];
  });
}

function asRecorded(limiter: Limiter, recorded: Limiter | undefined): Limiter {
  const { fit: _fit, ...settings } = limiter;
  return {
    ...settings,
    ...(recorded?.fit ? { fit: recorded.fit } : {}),
    ...(recorded?.test ? { test: recorded.test } : {}),
  };
}
