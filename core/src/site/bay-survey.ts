import { BEFORE_THE_METER } from '../management/placement';
import { outletA } from '../pool/on-supply';
import type { Outlet } from '../pool/pool-year';
import type { PoolOutlet } from '../survey/pool';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { LoadPhase } from '../survey/words/words';
import { phaseAt, supplyTree, towardsStreet, type SupplyTree } from '../tree/supply-tree';
import { boardOf } from './supplies';
import { asLoad } from './supply-survey';

/** The survey with this new equipment for its bays and no row; what else is to be connected counts as there already. */
export function withEquipment({ pool, ...survey }: Survey, proposals: readonly Proposal[]): Survey {
  const bays = new Set([...(pool?.outlets ?? []), ...proposals].map(({ id }) => id));
  const others = survey.proposals.filter(({ id }) => !bays.has(id));
  return { ...survey, loads: [...survey.loads, ...others.flatMap((each) => asLoad(each))], proposals: [...proposals] };
}

/** A bay’s charger on its owner’s board, on three lines only where the board has them. */
export function ownEquipment(survey: Survey, bay: PoolOutlet): Proposal {
  const tree = supplyTree(survey);
  const nodeId = boardOf(tree, bay.ownNodeId ?? '');
  const three = survey.supply.phases === 3 && bay.phases !== 1 && phaseAt(tree.byId.get(nodeId) ?? null) === undefined;
  return {
    id: bay.id,
    kind: 'vehicle-charger',
    label: bay.label ?? 'Bay charger',
    ratedA: outletA(bay),
    phases: three ? 3 : 1,
    nodeId,
    limiter: { kind: 'none' },
    ...(bay.ownRouteM === undefined
      ? {}
      : {
          circuit: {
            cableType: 'armoured',
            cpc: 'core',
            segments: [
              {
                id: 'way',
                lengthM: bay.ownRouteM,
                laid: 'clipped',
              },
            ],
          },
        }),
  };
}

/**
 * Where a row’s clamps go that nobody has put anywhere: as near the street as what is not the operator’s reaches, so that they see everything the row shares with the dwellings. A dwelling’s own clamp
 * goes after its meter instead.
 */
export function clampPlace(tree: SupplyTree, nodeId: string): string {
  const usable = towardsStreet(tree.byId.get(nodeId) ?? null).filter(
    ({ node }) => !BEFORE_THE_METER.includes(node.kind),
  );
  return usable.at(-1)?.node.id ?? nodeId;
}

/**
 * A row as new equipment behind its clamps, outlets on the same lines together: how it bears on everything it shares. Nothing where the row hangs nowhere, or is held to nothing.
 */
export function rowEquipment({ pool }: Survey, outlets: readonly Outlet[]): Proposal[] {
  if (!pool?.nodeId || pool.setPointA === undefined) return [];
  const groups = new Map<string, Outlet[]>();
  for (const outlet of outlets) {
    const on = outlet.lines.length === 1 ? (outlet.lines[0] ?? 'L1') : 'all';
    groups.set(on, [...(groups.get(on) ?? []), outlet]);
  }
  const { nodeId, clampNodeId = nodeId, setPointA, failSafeA = 0 } = pool;
  return [...groups].map(([on, members]): Proposal => ({
    id: `row-${on}`,
    kind: 'vehicle-charger',
    label: `The row of bays${on === 'all' ? '' : `, ${on}`}`,
    ratedA: members.reduce((total, { mostA }) => total + mostA, 0),
    phases: on === 'all' ? 3 : 1,
    phase: on as LoadPhase,
    nodeId,
    limiter: {
      kind: 'clamp',
      clampNodeId,
      setPointA,
      failSafeA: members.length * failSafeA,
      fit: { conductor: 'line', arrowAlong: 'yes', insideSealed: 'no', phase: 'all' },
    },
  }));
}
