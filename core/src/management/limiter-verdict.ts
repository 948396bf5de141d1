import type { NodeAssessment } from '../nodes/node-assessment';
import { verdictOf, type Ground, type Verdict } from '../grounds/verdict';
import type { FuseRating } from '../intake/fuse-rating';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeName } from '../survey/words/words';
import type { SupplyTree } from '../tree/supply-tree';
import { exceeds } from '../worked';
import type { ClampLimit } from './clamp-limit';
import { clampFit } from './clamp-fit';
import { commissioningBegun, commissioningSteps, type CommissioningStep } from './commissioning';
import { clampSettings, limitFaults } from './limiter';
import { beforeMeter } from './placement';
import { signalVerdict } from '../circuit/data-link';

/** How far the commissioning record confirms or breaks what was worked out. */
export type Commissioned = 'not-begun' | 'in-part' | 'passed' | 'failed' | 'not-needed';

/** Everything a limiter is judged from. */
export interface LimiterFacts {
  readonly survey: Survey;
  readonly tree: SupplyTree;
  readonly rules: Rules;
  readonly fuses: readonly FuseRating[];
  readonly limit: ClampLimit | null;
  readonly nodes: readonly Pick<NodeAssessment, 'id' | 'kind' | 'label' | 'guard'>[];
  /** Least left on the service all properties share with the limiter working; null where not known, undefined where it is not shared. */
  readonly sharedLeftA: number | null | undefined;
  /** The record of commissioning of each charger a clamp holds. */
  readonly commissioning: readonly Commissioning[];
}

/** How far the limiter of one charger was commissioned. */
export interface Commissioning {
  readonly proposal: Proposal;
  readonly begun: boolean;
  readonly steps: readonly CommissioningStep[];
}

/** The record of commissioning of every charger a clamp holds. */
export function commissioningOf({
  survey,
  rules,
  tree,
}: Pick<LimiterFacts, 'survey' | 'rules' | 'tree'>): Commissioning[] {
  return survey.proposals
    .filter(({ limiter }) => limiter.kind === 'clamp')
    .map((proposal) => ({
      proposal,
      begun: commissioningBegun(proposal),
      steps: commissioningSteps(proposal, survey, rules, tree),
    }));
}

/** How the new equipment is limited, and whether that can be relied on. */
export interface LimiterAssessment {
  readonly kind: 'none' | 'fixed' | 'clamp';
  /** Before it is commissioned: whether it will, if it is put on and set as recorded. Null while not known. */
  readonly holds: boolean | null;
  readonly why: string;
  readonly commissioned: Commissioned;
}

/** Whether the way the new equipment is limited can be relied on, at every node to the street, and what that rests on. */
export function limiterVerdict(facts: LimiterFacts): {
  readonly limiter: LimiterAssessment;
  readonly verdict: Verdict | null;
} {
  const limited = facts.survey.proposals.filter(({ limiter: { kind } }) => kind === 'fixed' || kind === 'clamp');
  const clamped = limited.filter(({ limiter }) => limiter.kind === 'clamp');
  if (limited.length === 0)
    return {
      limiter: { kind: 'none', holds: false, why: 'No limiter.', commissioned: 'not-needed' },
      verdict: null,
    };
  const kind = clamped.length > 0 ? 'clamp' : 'fixed';
  const commissioned = commissionedOf(facts.commissioning);
  const grounds = [
    ...limited.flatMap((proposal) => equipmentGrounds(proposal, facts.rules)),
    ...(kind === 'clamp' ? clampGrounds(clamped, facts) : []),
  ];
  const verdict = verdictOf(
    'limiter',
    grounds,
    kind === 'fixed'
      ? 'A fixed setting, counted in full.'
      : commissioned === 'passed'
        ? 'Every part between the street and the new equipment stays within its rating; commissioned.'
        : 'Every part between the street and the new equipment stays within its rating, if it is put on and set like this.',
  );
  return { limiter: { kind, holds: verdict.answer, why: verdict.why, commissioned }, verdict };
}

function commissionedOf(clamped: readonly Commissioning[]): Commissioned {
  if (clamped.length === 0) return 'not-needed';
  const states = clamped.flatMap(({ steps }) => steps.map(({ state }) => state));
  if (states.includes('fails')) return 'failed';
  if (states.every((state) => state === 'holds')) return 'passed';
  return clamped.some(({ begun }) => begun) ? 'in-part' : 'not-begun';
}

/** Whether the equipment can be held the way it is to be. */
function equipmentGrounds(proposal: Proposal, rules: Rules): Ground[] {
  const name = equipmentName(proposal);
  const about = { subjectId: proposal.id } as const;
  const { kind, fixedA } = proposal.limiter;
  const faults = limitFaults(proposal);
  const grounds: Ground[] = faults.map(({ id, says }) => ({
    ...about,
    id,
    findingId: id,
    says: `${name}: ${says}`,
    state: 'failed',
  }));
  if (kind === 'fixed' && fixedA === undefined)
    grounds.push({
      ...about,
      id: 'setting',
      findingId: 'setting-not-known',
      says: `${name}: the setting is not recorded, so the full rating is counted`,
      state: 'open',
    });
  const least = rules.leastChargingA.value;
  if (fixedA !== undefined && fixedA < least)
    grounds.push({
      ...about,
      id: 'setting',
      findingId: 'setting-below-least',
      says: `${name}: a setting of ${fixedA} A is below ${least} A`,
      state: 'failed',
    });
  if (grounds.length > 0) return grounds;
  const assumed = assumedOf(proposal);
  return [
    {
      ...about,
      id: 'equipment',
      says: `${name}: its equipment can be limited like this`,
      state: 'met',
      ...(assumed === undefined ? {} : { assumed }),
    },
  ];
}

/** What is taken of the equipment for want of its maker’s data; undefined where everything is recorded. */
export function assumedOf({ limiter, stepsA, clampLinks, failSafesA, ratedA }: Proposal): string | undefined {
  const { kind, fixedA } = limiter;
  const taken = [
    kind !== 'none' && fixedA !== undefined && fixedA !== ratedA && !stepsA?.length ? 'that it has this setting' : '',
    kind === 'clamp' && clampLinks === undefined ? 'that it takes a clamp' : '',
    kind === 'clamp' && failSafesA === undefined ? 'that it has this fail-safe setting' : '',
  ].filter((each) => each !== '');
  return taken.length === 0 ? undefined : `Taken from no data: ${taken.join(', ')}.`;
}

function clampGrounds(clamped: readonly Proposal[], facts: LimiterFacts): Ground[] {
  const { survey, tree, rules, limit } = facts;
  const missing = clamped.flatMap((each): Ground[] => {
    const settings = clampSettings(each);
    return settings && 'missing' in settings
      ? [
          {
            id: 'settings',
            says: `the clamp’s settings are not complete: ${settings.missing}`,
            state: 'open',
            findingId: 'clamp-not-settled',
            subjectId: each.id,
          },
        ]
      : [];
  });
  const fit = clamped.flatMap((each): Ground[] => {
    const { wrong, open } = clampFit(each, survey, tree);
    const name = equipmentName(each);
    return [
      ...wrong.map(({ id, says, field }) => ground(id, `${name}: ${says}`, 'failed', each.id, field)),
      ...open.map(({ id, asks, field }) => ground(id, `${name}: ${asks}`, 'open', each.id, field)),
      ...linkGrounds(each, rules),
    ];
  });
  const sealed = clamped.flatMap(({ limiter }) => beforeMeter(limiter.clampNodeId, tree) ?? []);
  return [
    ...missing,
    ...(missing.length === 0 && limit === null ? [whyNotReckoned(clamped)] : []),
    ...(limit && !limit.seesChargers
      ? [
          ground(
            'clamp-wrong-side',
            'the clamp does not carry the charger’s current: it misleads the controller',
            'failed',
          ),
        ]
      : []),
    ...sealed.map(({ node }) =>
      ground('clamp-before-meter', `${nodeName(node)}: the clamp is before the meter`, 'failed', node.id),
    ),
    ...fit,
    ...(limit ? nodeGrounds(limit, facts) : []),
    ...commissioningGrounds(facts.commissioning),
  ];
}

/** Settings complete, and yet no limit follows from them. */
function whyNotReckoned(clamped: readonly Proposal[]): Ground {
  const unrated = clamped.find(({ ratedA }) => ratedA === undefined);
  if (unrated)
    return ground('charger-without-rating', `${equipmentName(unrated)}: rated current not known`, 'open', unrated.id);
  return clamped.length > 1
    ? ground('several-clamps', 'chargers on clamps of their own would each fill the same room', 'failed')
    : ground('cannot-manage', 'nothing here gives way to a clamp', 'failed');
}

/** A clamp the charger cannot hear is no limiter. */
function linkGrounds({ id, dataLink }: Proposal, rules: Rules): Ground[] {
  if (dataLink?.clamp !== 'wireless') return [];
  if (dataLink.signalDbm === undefined)
    return [ground('signal-not-read', 'the clamp is wireless and no signal was read at the place', 'open', id)];
  return signalVerdict(dataLink.signalDbm, rules) === 'poor'
    ? [ground('signal-weak', 'the clamp’s signal is too weak at the place', 'failed', id)]
    : [];
}

/** Every node on the way: its rating known, and kept within it, clamp working or lost; then the service, where it is shared. */
function nodeGrounds(limit: ClampLimit, { nodes, fuses, sharedLeftA, tree }: LimiterFacts): Ground[] {
  const unsure = new Map(fuses.filter(({ established }) => established !== true).map((each) => [each.nodeId, each]));
  const way = new Set([...limit.way].map(({ node }) => node.id));
  const judged = nodes
    .filter(({ id, kind }) => way.has(id) && (kind !== 'service' || tree.byId.get(id)?.node.ratingA !== undefined))
    .map((node): Ground => {
      const { guard } = node;
      const fuse = unsure.get(node.id);
      if (guard?.holds === false) return ground('node-over-rating', `${node.label}: ${guard.why}`, 'failed', node.id);
      if (fuse) return ground('fuse-rating-not-established', `${node.label}: rating ${fuse.says}`, 'open', node.id);
      return ground(
        'guard',
        `${node.label}: ${guard?.why ?? 'not on the way'}`,
        guard?.holds === true ? 'met' : 'open',
        node.id,
      );
    });
  if (sharedLeftA === undefined) return judged;
  if (sharedLeftA === null)
    return [...judged, ground('shared-rating-not-known', 'what the shared service may carry is not known', 'open')];
  return [
    ...judged,
    exceeds(0, sharedLeftA)
      ? ground('shared-service-over', 'the shared service is over its rating with the neighbour’s demand', 'failed')
      : ground('shared-service', 'the shared service stays within its rating', 'met'),
  ];
}

/** The record of commissioning breaks a promise, or confirms it; without one nothing is known against it. */
function commissioningGrounds(clamped: readonly Commissioning[]): Ground[] {
  return clamped.flatMap(({ proposal, steps }) =>
    steps
      .filter(({ state }) => state !== 'not-known')
      .map(({ id, title, state, says }) =>
        ground(
          `commissioning-${id}`,
          `${equipmentName(proposal)}, commissioned: ${title.toLowerCase()}, ${says}`,
          state === 'fails' ? 'failed' : 'met',
          proposal.id,
        ),
      ),
  );
}

function ground(id: string, says: string, state: Ground['state'], subjectId?: string, field?: Ground['field']): Ground {
  return {
    id,
    says,
    state,
    ...(state === 'met' ? {} : { findingId: id }),
    ...(subjectId === undefined ? {} : { subjectId }),
    ...(field === undefined ? {} : { field }),
  };
}
