/** What can be done, each option reckoned as a survey of its own by the same assessment as everything else. */
import { assess } from '../assess';
import type { Assessment } from '../assessment';
import type { Ground } from '../grounds/verdict';
import { loopVerdict } from '../intake/loop-status';
import { setPointWithin } from '../management/clamp-limit';
import { settingBounds } from '../management/set-points';
import { settingsOf } from '../management/settings';
import type { RulePack } from '../rules/rule-pack';
import { COST_BANDS, type CostBand, type OptionKind, type Priority } from '../survey/option-words';
import { isCharger } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { supplyTree, towardsStreet } from '../tree/supply-tree';
import { written } from '../worked';
import { chargingTime, type ChargingTime } from './charging-time';
import { fits } from './fits';

/** One option, compared in one view with the others. */
export interface Option {
  readonly kind: OptionKind;
  readonly title: string;
  /** Null where something unknown decides it. */
  readonly holds: boolean | null;
  readonly why: string;
  /** Everything that rests on. */
  readonly grounds: readonly Ground[];
  /** The node with least left under this option. */
  readonly weakest: string | null;
  readonly route: Assessment['route']['way'];
  /** For each charger at its least when everything else runs, and at its most. */
  readonly charging: ChargingTime | null;
  readonly whoMustAgree: string;
  /** Weeks, from and to. */
  readonly waitWeeks: readonly [number, number];
  readonly costBand: CostBand;
  readonly costWords: string;
  readonly cautions: readonly string[];
  /** The survey under this option, to be taken over when it is chosen. */
  readonly survey: Survey;
}

interface Draft {
  /** What keeps it from being known, whatever this supply says. */
  readonly open?: string;
  /** What is taken over when it is chosen, where that is not what was reckoned. */
  readonly takes?: Survey;
  readonly kind: OptionKind;
  readonly title: string;
  readonly survey: Survey;
  readonly chargingA: number | null;
  readonly cautions: readonly string[];
}

/** Every option for the equipment proposed, those that hold first, then by what the customer cares about most. */
export function options(survey: Survey, pack: RulePack): Option[] {
  const first = survey.proposals.find(isCharger) ?? survey.proposals[0];
  if (!first || survey.proposals.some(({ ratedA }) => ratedA === undefined)) return [];
  const drafts = [
    fullRate(survey),
    fixedLimit(survey, pack),
    managed(survey, pack),
    fuseUpgrade(survey, pack),
    unLoop(survey),
    threePhase(survey),
    otherSupply(survey),
    fewerChargers(survey),
  ].filter((each) => each !== null);
  const made = drafts.map((draft) => judged(draft, first, pack));
  return made.sort((a, b) => rank(a, survey.driver?.priority) - rank(b, survey.driver?.priority));
}

/** Why the first is first, in a sentence. */
export function whyFirst(found: readonly Option[], priority: Priority | undefined): string {
  const [first] = found;
  if (!first) return '';
  if (first.holds !== true) return 'None of them is shown to hold yet; the first has least standing in its way.';
  const by = {
    soonest: 'the shortest wait',
    cheapest: 'the lowest cost',
    'fastest-charging': 'the fastest charging',
  } as const;
  return priority === undefined
    ? `“${first.title}” holds at every node, charges at a useful rate and keeps nobody waiting long; say what matters most to change the order.`
    : `“${first.title}” is first because it holds at every node with ${by[priority]}.`;
}

function withLimiter(survey: Survey, limiter: (proposal: Proposal) => Proposal['limiter']): Survey {
  return {
    ...survey,
    proposals: survey.proposals.map((each) => (isCharger(each) ? { ...each, limiter: limiter(each) } : each)),
  };
}

/** The charger that options speak of; other equipment is limited by nothing and charges nothing. */
function firstCharger({ proposals }: Survey): Proposal | undefined {
  return proposals.find(isCharger);
}

function fullRate(survey: Survey): Draft {
  return {
    kind: 'full-rate',
    title: 'Full rate',
    survey: withLimiter(survey, () => ({ kind: 'none' })),
    chargingA: firstCharger(survey)?.ratedA ?? null,
    cautions: [],
  };
}

/**
 * The largest usual setting that fits, or, while something else is not known, the largest at which nothing known is over; the least of them
 * where every one is.
 */
function fixedLimit(survey: Survey, pack: RulePack): Draft | null {
  const chargers = survey.proposals.filter(isCharger);
  const most = Math.max(...chargers.map(({ ratedA }) => ratedA ?? 0));
  const widest = chargers.find(({ ratedA }) => ratedA === most);
  const steps = widest ? settingsOf(widest, pack) : [];
  const at = (fixedA: number): Survey => withLimiter(survey, () => ({ kind: 'fixed', fixedA }));
  let best = steps.at(-1);
  if (best === undefined) return null;
  // The settings are in order and what fits at one fits at every lower one: halve the way between.
  let [low, high] = [0, steps.length - 1];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    const step = steps[middle];
    if (step !== undefined && fits(assess(at(step), pack)).answer !== false) high = middle;
    else low = middle + 1;
  }
  best = steps[low] ?? best;
  return {
    kind: 'fixed-limit',
    title: `Held to ${best} A`,
    survey: at(best),
    chargingA: best,
    cautions: ['The setting is sealed or locked by whoever sets it; the next owner has to know of it.'],
  };
}

/** A clamp after the meter, before any split, at the largest set-point that holds less the pack’s margin. */
function managed(survey: Survey, pack: RulePack): Draft | null {
  const chargers = survey.proposals.filter(isCharger).length;
  if (chargers === 0) return null;
  const tree = supplyTree(survey);
  const charger = nodeOf(tree, firstCharger(survey)?.nodeId);
  const way = towardsStreet(charger);
  const meter = way.findIndex(({ node }) => node.kind === 'meter');
  const clampNodeId = firstCharger(survey)?.limiter.clampNodeId ?? (meter > 0 ? way[meter - 1] : way.at(-1))?.node.id;
  if (clampNodeId === undefined) return null;
  const { device } = tree;
  // A feeder is kept by a clamp of its own: one at the intake would have to hold the whole house to what the feeder may carry.
  const moreClamps = way.flatMap(({ node }) =>
    node.kind === 'feeder' && node.ratingA !== undefined
      ? [
          {
            id: `on-${node.id}`.slice(0, 64),
            nodeId: node.id,
            // As far below as the clamp may err.
            setPointA: Math.max(0, Math.floor(setPointWithin(node.ratingA, pack) + 1e-6)),
          },
        ]
      : [],
  );
  const first = withLimiter(survey, ({ limiter }) =>
    limiter.kind === 'clamp'
      ? asDesigned(limiter)
      : asDesigned({
          kind: 'clamp',
          clampNodeId,
          setPointA: device?.node.ratingA ?? pack.fallbackFuseA.value,
          failSafeA: 6,
          ...(moreClamps.length > 0 ? { moreClamps } : {}),
        }),
  );
  const bounds = settingBounds(assess(first, pack), chargers, pack);
  const setPointA = bounds?.withMarginA ?? undefined;
  const failSafe = bounds?.failSafeA ?? 0;
  const failSafeA = failSafe >= pack.leastChargingA.value ? pack.leastChargingA.value : 0;
  const made = withLimiter(first, ({ limiter }) => ({
    ...limiter,
    ...(setPointA === undefined ? {} : { setPointA }),
    failSafeA,
  }));
  return {
    kind: 'managed',
    title: setPointA === undefined ? 'Managed by clamp' : `Managed by clamp at ${setPointA} A`,
    survey: made,
    // How the clamp is put on was taken as it is meant to be; what is recorded of it stays what somebody saw.
    takes: withLimiter(made, ({ id, limiter }) =>
      asRecorded(limiter, survey.proposals.find((each) => each.id === id)?.limiter),
    ),
    chargingA: mostManaged(made),
    cautions: [
      'Charging gives way to the house, and pauses when less than 6 A is left.',
      ...(pack.acceptsLimiting ? [] : ['This operator does not accept limiting in place of a larger fuse.']),
    ],
  };
}

/** A limiter as it is meant to be put on, nothing commissioned yet; what generation does to it stays as recorded. */
function asDesigned({ test: _test, ...limiter }: Proposal['limiter']): Proposal['limiter'] {
  return {
    ...limiter,
    fit: { ...limiter.fit, conductor: 'line', arrowAlong: 'yes', insideSealed: 'no', phase: 'all' },
  };
}

function asRecorded(limiter: Proposal['limiter'], recorded: Proposal['limiter'] | undefined): Proposal['limiter'] {
  const { fit: _fit, ...settings } = limiter;
  return {
    ...settings,
    ...(recorded?.fit ? { fit: recorded.fit } : {}),
    ...(recorded?.test ? { test: recorded.test } : {}),
  };
}

/** The most a managed charger can ever be given: its rating, or the lowest of its set-points. */
function mostManaged(survey: Survey): number | null {
  const first = firstCharger(survey);
  if (first?.ratedA === undefined) return null;
  const { setPointA = Infinity, moreClamps = [] } = first.limiter;
  return Math.min(first.ratedA, setPointA, ...moreClamps.map((clamp) => clamp.setPointA ?? Infinity));
}

/** The next usual fuse up; it is the operator’s to give, and what stands behind it has to suit it. */
function fuseUpgrade(survey: Survey, pack: RulePack): Draft | null {
  const tree = supplyTree(survey);
  const { device } = tree;
  const present = device?.node.ratingA ?? pack.fallbackFuseA.value;
  const next = pack.usualFusesA.value.find((size) => size > present);
  if (!device || next === undefined || device.node.kind !== 'cut-out') return null;
  return {
    kind: 'fuse-upgrade',
    title: `Fuse upgraded to ${next} A`,
    survey: {
      ...withLimiter(survey, () => ({ kind: 'none' })),
      supply: {
        ...survey.supply,
        // The operator fits the holder that goes with it.
        nodes: survey.supply.nodes.map((node) =>
          node.id === device.node.id
            ? {
                ...node,
                ratingA: next,
                evidence: 'attended' as const,
                ...(node.holderMaximumA === undefined ? {} : { holderMaximumA: Math.max(next, node.holderMaximumA) }),
              }
            : node,
        ),
      },
      request: { ...survey.request, fuseUpgrade: true },
    },
    chargingA: firstCharger(survey)?.ratedA ?? null,
    cautions: [
      'Meter, isolator, tails and main switch have to suit the larger fuse.',
      'The service and the street decide: the operator may refuse.',
    ],
  };
}

function unLoop(survey: Survey): Draft | null {
  if (loopVerdict(survey.intake.loop) === 'own') return null;
  return {
    kind: 'un-loop',
    title: 'Un-looped first, then full rate',
    survey: {
      ...withLimiter(survey, () => ({ kind: 'none' })),
      intake: { ...survey.intake, loop: { status: 'not-looped', evidence: 'operator-record' } },
    },
    chargingA: firstCharger(survey)?.ratedA ?? null,
    cautions: ['A road or drive may be dug.'],
  };
}

/** Three phases of the present fuse: what is there stays on the first, the new equipment goes on the second. */
function threePhase(survey: Survey): Draft | null {
  if (survey.supply.phases === 3) return null;
  return {
    kind: 'three-phase',
    title: 'Three-phase supply',
    survey: {
      ...withLimiter(survey, () => ({ kind: 'none' })),
      supply: { ...survey.supply, phases: 3 },
      loads: survey.loads.map((load) => ({ ...load, phase: 'L1' as const })),
      proposals: survey.proposals.map((each, at) => ({
        ...each,
        limiter: { kind: 'none' as const },
        phases: 1 as const,
        phase: at % 2 === 0 ? ('L2' as const) : ('L3' as const),
      })),
      request: { ...survey.request, newPhases: true },
    },
    chargingA: firstCharger(survey)?.ratedA ?? null,
    cautions: ['A new service, meter and board; the present loads are taken to stay on one phase.'],
  };
}

/**
 * The new equipment off this supply altogether, on the landlord’s or one of its own. What is left here is reckoned; the other
 * supply is not surveyed, so whether it holds there is not known.
 */
function otherSupply(survey: Survey): Draft | null {
  if (!hasOtherSupply(survey)) return null;
  return {
    kind: 'other-supply',
    title: 'On a different supply of the site',
    survey: { ...survey, proposals: [], request: { ...survey.request, upgradeOnly: true } },
    chargingA: firstCharger(survey)?.ratedA ?? null,
    cautions: [
      'The other supply needs a survey of its own before anything is said of it.',
      'Who pays for the energy has to be settled; two supplies’ earthing must not meet at the equipment.',
    ],
    open: 'The other supply is not surveyed.',
    takes: survey,
  };
}

/** Where there is usually another supply, or room for one: no single home, several fuses in one head, several installations. */
function hasOtherSupply({ place, supply, request }: Survey): boolean {
  const fuses = supply.nodes.filter(({ kind }) => kind === 'switch-fuse').length;
  return (place.premises ?? 'household') !== 'household' || fuses > 1 || (request.installationsOnDevelopment ?? 1) > 1;
}

function fewerChargers(survey: Survey): Draft | null {
  const [kept, ...others] = survey.proposals.filter(isCharger);
  if (!kept || others.length === 0) return null;
  return {
    kind: 'fewer-chargers',
    title: 'One charger, shared',
    survey: { ...survey, proposals: survey.proposals.filter((each) => !others.includes(each)) },
    chargingA: firstCharger(survey)?.ratedA ?? null,
    cautions: ['Drivers take turns.'],
  };
}

function judged(draft: Draft, first: Proposal, pack: RulePack): Option {
  const assessment = assess(draft.survey, pack);
  const fit = fits(assessment);
  const open = draft.open !== undefined && fit.answer === true ? draft.open : undefined;
  const terms = pack.optionTerms.value[draft.kind];
  const weakest = assessment.nodes.find(({ id }) => id === assessment.weakest?.nodeId);
  return {
    kind: draft.kind,
    title: draft.title,
    holds: open === undefined ? fit.answer : null,
    why: open ?? fit.why,
    grounds: fit.grounds,
    weakest: weakest && assessment.weakest ? weakestWords(weakest.label, assessment.weakest.headroomA) : null,
    route: assessment.route.way,
    charging:
      draft.chargingA === null || !isCharger(first)
        ? null
        : chargingTime(draft.survey.driver, draft.chargingA, first.phases ?? 1, pack),
    whoMustAgree: terms.whoMustAgree,
    waitWeeks: terms.waitWeeks,
    costBand: terms.costBand,
    costWords: pack.costBandWords[terms.costBand],
    cautions: draft.cautions,
    survey: draft.takes ?? draft.survey,
  };
}

function weakestWords(label: string, headroomA: number): string {
  return `${label}, ${written(Math.abs(headroomA))} A ${headroomA < -1e-6 ? 'over' : 'left'}`;
}

/** Under this a night hardly fills a battery: put behind what charges faster until the customer says what matters. */
const SLOW_KW = 3.6;

/** Those that hold before those not known before those that do not; then by wait, cost or charging power, least work last. */
function rank(option: Option, priority: Priority | undefined): number {
  const state = option.holds === true ? 0 : option.holds === null ? 1000 : 2000;
  const wait = option.waitWeeks[1];
  const cost = COST_BANDS.indexOf(option.costBand);
  const slow = 50 - (option.charging?.powerKw ?? 0);
  const short = option.charging?.enough === false ? 200 : 0;
  if (priority === 'cheapest') return state + short + cost * 60 + wait;
  if (priority === 'fastest-charging') return state + slow * 6 + wait / 10 + cost;
  const dull = priority === undefined && (option.charging?.powerKw ?? 0) < SLOW_KW ? 20 : 0;
  return state + short + dull + wait * 4 + cost + slow / 50;
}
