import type { Pool, PoolOutlet } from '../survey/pool';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { isCharger } from '../survey/words/kinds';
import { supplyTree } from '../tree/supply-tree';
import { outletA } from './on-supply';
import type { Outlet } from './pool-year';

/** The outlets of a row that are not among the survey’s new equipment yet: one that is bears the same id. A bay that is only prepared is none of them. */
export function outletsMissing({ pool, proposals }: Survey): PoolOutlet[] {
  const there = new Set(proposals.map(({ id }) => id));
  return (pool?.outlets ?? []).filter(({ id, prepared }) => !there.has(id) && prepared !== true);
}

/**
 * The survey with every outlet of its row among the new equipment, on the lines it stands on, all behind the row’s clamps: then circuits, commissioning, the operator’s triggers and the pack know each of
 * them. What is alike is taken from an outlet that is there already, or the first charger. What is recorded of those that are there stays, but for how they are limited.
 */
export function withOutletsAsEquipment(survey: Survey, onLines: readonly Outlet[]): Survey {
  const { pool } = survey;
  if (!pool) return survey;
  const outlets = new Map(pool.outlets.map((outlet, at) => [outlet.id, { outlet, at }]));
  const like = survey.proposals.find(({ id }) => outlets.has(id)) ?? survey.proposals.find(isCharger);
  const limiter = limiterOf(survey, pool, like);
  const made = outletsMissing(survey).map((outlet): Proposal => {
    const place = outlets.get(outlet.id)?.at ?? 0;
    const on = onLines.find(({ id }) => id === outlet.id);
    const single = on?.lines.length === 1 && survey.supply.phases === 3 ? on.lines[0] : undefined;
    return {
      ...alike(like),
      id: outlet.id,
      label: outlet.label ?? `Bay ${place + 1}`,
      ratedA: outletA(outlet),
      phases: (on?.lines.length ?? 1) === 3 ? 3 : 1,
      ...(single === undefined ? {} : { phase: single }),
      ...(pool.nodeId === undefined ? {} : { nodeId: pool.nodeId }),
      limiter,
    };
  });
  return {
    ...survey,
    proposals: [
      ...survey.proposals.map((each) =>
        outlets.has(each.id) ? { ...each, limiter: { ...each.limiter, ...limiter } } : each,
      ),
      ...made,
    ],
  };
}

/** What outlets of one make have in common; where each stands and what was seen of it is its own. */
function alike(like: Proposal | undefined): Pick<Proposal, 'kind'> & Partial<Proposal> {
  if (!like) return { kind: 'vehicle-charger' };
  const { tested: _tested, position: _position, way: _way, phase: _phase, nodeId: _node, circuit, ...rest } = like;
  const { segments: _segments, ...kind } = circuit ?? {};
  return { ...rest, ...(circuit ? { circuit: kind } : {}) };
}

/** All behind the row’s clamps, held to its set-point and fail-safe. */
function limiterOf(survey: Survey, pool: Pool, like: Proposal | undefined): Proposal['limiter'] {
  const clampNodeId = pool.clampNodeId ?? pool.nodeId ?? supplyTree(survey).device?.node.id;
  const { setPointA, failSafeA } = pool;
  return {
    kind: 'clamp',
    ...(clampNodeId === undefined ? {} : { clampNodeId }),
    ...(setPointA === undefined ? {} : { setPointA }),
    ...(failSafeA === undefined ? {} : { failSafeA }),
    ...(like?.limiter.fit ? { fit: like.limiter.fit } : {}),
  };
}
