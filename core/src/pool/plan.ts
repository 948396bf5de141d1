import { assess } from '../assess';
import type { Assessment } from '../assessment';
import type { NodeAssessment } from '../nodes/node-assessment';
import type { Rules } from '../rules/rules';
import type { Pool, PoolDrivers, PoolOutlet } from '../survey/pool';
import type { Survey } from '../survey/survey';
import { nodeName, type Phase } from '../survey/words/words';
import { supplyTree, towardsStreet, hangsFrom, protects, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import { nodeOf } from '../tree/sets-below';
import type { Appliance } from '../trial/appliance';
import { isCharger } from '../survey/words/kinds';
import { applianceOf, Caps, foundEquipment, foundLoads, ownEquipment, ownLoads, Sums } from '../trial/house-plan';
import { householdYear, MINUTES_A_DAY, MINUTES_A_YEAR } from '../trial/household';
import { USUAL_DRIVERS, type DriverKind } from './drivers';
import { carsAlong, carsTyped, type YearOfCars } from './growth';
import type { SharedPart } from './guarantees';
import type { Outlet, PoolTerms } from './pool-year';
import { turnedAlong } from './rotation';

/** Everything else of a supply: played from its loads, or as somebody says it is in the evening and otherwise. */
export type Elsewhere =
  | {
      readonly from: 'loads';
      readonly appliances: readonly Appliance[];
      readonly sums: number;
      readonly lines: readonly (number | null)[];
      readonly nominalV: number;
    }
  | { readonly from: 'said'; readonly eveningA: number; readonly elseA: number };

/** What a pool is played from; with a seed it gives the same figures anywhere. */
export interface PlannedPool {
  readonly outlets: readonly Outlet[];
  readonly kinds: readonly DriverKind[];
  readonly setPointA: number;
  readonly elsewhere: Elsewhere;
  readonly terms: PoolTerms;
  /** Cars year by year, as typed or along the curve; none where neither is known. */
  readonly years: readonly YearOfCars[];
}

/** A pool as it stands in the survey: its outlets on their lines, and the parts it shares, whatever is still missing. */
export interface PoolOnSupply {
  readonly outlets: readonly Outlet[];
  readonly parts: readonly SharedPart[];
}

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];
/** Taken where the outlet does not say. */
const USUAL_OUTLET_A = 32;
const USUAL_TURN_MIN = 15;
const EVENING = [17 * 60, 22 * 60] as const;

/**
 * The outlets of a survey’s pool on their lines, as recorded or as proposed, and every part of the supply between them and its own fuse, each with what else is to be
 * connected there, the survey’s new equipment included.
 */
export function poolOnSupply(survey: Survey, assessment: Assessment, rules: Rules): PoolOnSupply {
  const pool = survey.pool ?? { outlets: [] };
  const tree = supplyTree(survey);
  const lines = assessment.supply.phases;
  const beside = withoutOutlets(survey, tree);
  const { nodes: found } = beside === survey ? assessment : assess(beside, rules);
  const nodes = new Map(found.map((each) => [each.id, each]));
  const top = tree.device ?? tree.root;
  const way = towardsStreet(pool.nodeId === undefined ? top : nodeOf(tree, pool.nodeId)).filter(
    // Of what stands before this supply’s own fuse, the other fuses are shared as well.
    (here: TreeNode) => top === null || hangsFrom(here, top) || protects(here),
  );
  const clamps = clampedAt(survey, tree);
  const unseen = clamps === null ? null : nodesWithout(beside, tree, clamps, rules);
  const parts = way.flatMap((here): SharedPart[] => {
    const { node } = here;
    const found = nodes.get(node.id);
    // What bears no rating and breaks nothing is asked about by the checks of the chain, as for any other equipment.
    if (!found || (found.ratingA === null && !protects(here))) return [];
    const sees = clamps === null || hangsFrom(here, clamps);
    return [
      {
        id: node.id,
        label: nodeName(node),
        ratingA: found.ratingA,
        otherA: demandOn(found),
        unseenA: sees || unseen === null ? { L1: 0, L2: 0, L3: 0 } : demandOn(unseen.get(node.id)),
      },
    ];
  });
  return { outlets: onLines(pool.outlets, lines, parts.at(-1)?.otherA), parts };
}

/** The survey without the outlets of its row among the new equipment: an outlet that is there already bears the same id. The limiting device stays the one it is. */
function withoutOutlets(survey: Survey, tree: SupplyTree): Survey {
  const outlets = new Set(survey.pool?.outlets.map(({ id }) => id));
  const proposals = survey.proposals.filter(({ id }) => !outlets.has(id));
  if (proposals.length === survey.proposals.length) return survey;
  return {
    ...survey,
    supply: { ...survey.supply, ...(tree.device ? { deviceId: tree.device.node.id } : {}) },
    proposals,
  };
}

/** The part a row’s clamps sit on: as recorded, or where the row hangs. */
function clampedAt({ pool }: Survey, tree: SupplyTree): TreeNode | null {
  return tree.byId.get(pool?.clampNodeId ?? pool?.nodeId ?? '') ?? tree.device ?? tree.root;
}

/** What every part carries of what does not pass the clamps; null where nothing passes them by. */
function nodesWithout(
  survey: Survey,
  tree: SupplyTree,
  clamps: TreeNode,
  rules: Rules,
): Map<string, NodeAssessment> | null {
  const passes = ({ nodeId }: { readonly nodeId?: string }): boolean => !hangsFrom(nodeOf(tree, nodeId), clamps);
  const [loads, proposals] = [survey.loads.filter(passes), survey.proposals.filter(passes)];
  if (loads.length + proposals.length === 0) return null;
  const { nodes } = assess(
    {
      ...survey,
      // The limiting device stays the one it is, whatever equipment is left.
      supply: { ...survey.supply, ...(tree.device ? { deviceId: tree.device.node.id } : {}) },
      loads,
      proposals,
    },
    rules,
  );
  return new Map(nodes.map((each) => [each.id, each]));
}

/** What a part carries on each line; a demand with something missing is a lower bound, and nothing is guaranteed beside it. */
function demandOn(node: NodeAssessment | undefined): SharedPart['otherA'] {
  const of = (line: Phase): number | null => {
    const figure = node?.after[line];
    return figure === undefined || figure.bound === 'at-least' ? null : figure.value;
  };
  return { L1: of('L1'), L2: of('L2'), L3: of('L3') };
}

function onLines(
  outlets: readonly PoolOutlet[],
  lines: readonly Phase[],
  otherA: SharedPart['otherA'] | undefined,
): Outlet[] {
  const most = (each: PoolOutlet): number => each.mostA ?? USUAL_OUTLET_A;
  if (lines.length < 3) return outlets.map((each) => ({ id: each.id, lines: lines.slice(0, 1), mostA: most(each) }));
  const present = { L1: otherA?.L1 ?? 0, L2: otherA?.L2 ?? 0, L3: otherA?.L3 ?? 0 };
  const { lines: proposed } = turnedAlong(
    outlets.map((each) => ({ id: each.id, phases: each.phases ?? 3, mostA: most(each) })),
    present,
  );
  return outlets.map((each) => {
    const order = proposed.get(each.id) ?? [];
    const first = LINES.indexOf(each.firstLine ?? order[0] ?? 'L1');
    const turned = [0, 1, 2].map((step) => LINES[(first + step) % 3] ?? 'L1');
    return { id: each.id, lines: (each.phases ?? 3) === 3 ? turned : turned.slice(0, 1), mostA: most(each) };
  });
}

/** What a survey’s pool is played from; or what it still needs, in a sentence. */
export function plannedPool(
  survey: Survey,
  assessment: Assessment,
  rules: Rules,
): PlannedPool | { readonly needs: string } {
  const { pool } = survey;
  if (!pool || pool.outlets.length === 0) return { needs: 'The bays of the row.' };
  if (pool.setPointA === undefined) return { needs: 'The set-point.' };
  const elsewhere = elsewhereOf(survey, assessment, rules);
  if ('needs' in elsewhere) return elsewhere;
  return {
    outlets: poolOnSupply(survey, assessment, rules).outlets,
    kinds: pool.drivers === undefined || pool.drivers.length === 0 ? USUAL_DRIVERS : pool.drivers.map(kindOf),
    setPointA: pool.setPointA,
    elsewhere,
    terms: {
      policy: pool.policy ?? 'equal',
      leastA: rules.leastChargingA.value,
      turnMin: pool.turnMin ?? USUAL_TURN_MIN,
      nominalV: rules.nominalVoltageV.value,
    },
    years: yearsOf(pool),
  };
}

/** Years looked ahead along a curve. */
const YEARS = 15;

function yearsOf({ carsByYear, firstYear, startCars = 0, ceilingCars, middleYear, outlets }: Pool): YearOfCars[] {
  if (carsByYear && carsByYear.length > 0) return carsTyped(carsByYear);
  if (firstYear === undefined || middleYear === undefined) return [];
  return carsAlong({ firstYear, startCars, ceiling: ceilingCars ?? outlets.length, middleYear }, YEARS);
}

/** Drivers as typed; what is left out is a usual commuter’s. */
function kindOf(typed: PoolDrivers): DriverKind {
  const [usual] = USUAL_DRIVERS;
  const said = Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== undefined));
  return { ...(usual as DriverKind), label: 'Drivers', share: 1, ...said };
}

function elsewhereOf(survey: Survey, assessment: Assessment, rules: Rules): Elsewhere | { readonly needs: string } {
  const { otherEveningA, otherElseA } = survey.pool ?? {};
  if (otherEveningA !== undefined && otherElseA !== undefined)
    return { from: 'said', eveningA: otherEveningA, elseA: otherElseA };
  const tree = supplyTree(survey);
  const loads = ownLoads(survey, tree, rules);
  const asChargers = new Set(survey.proposals.filter(isCharger).map(({ id }) => id));
  const equipment = ownEquipment(survey, tree).filter(({ id }) => !asChargers.has(id));
  if (loads.length === 0)
    return { needs: 'The loads of the supply, or what everything else draws in the evening and otherwise.' };
  const unsized = [...loads, ...equipment].filter(({ currentA }) => currentA === null);
  if (unsized.length > 0) return { needs: `The size of ${unsized.map(({ label }) => label).join(', ')}.` };
  const sums = new Sums(survey, [...loads, ...equipment]);
  const clamps = clampedAt(survey, tree);
  if (!clamps) return { needs: 'The supply.' };
  const seen = assessment.supply.phases.map((phase) => sums.at(clamps, phase));
  const caps = new Caps(survey, assessment, tree, [...loads, ...equipment], rules);
  const appliances = [...foundLoads(survey, loads, rules), ...foundEquipment(survey, equipment)].map((each) =>
    applianceOf(each, sums, caps),
  );
  return {
    from: 'loads',
    appliances,
    sums: sums.all.length,
    lines: LINES.map((line) => {
      const at = assessment.supply.phases.indexOf(line);
      return at < 0 ? null : (seen[at] ?? null);
    }),
    nominalV: rules.nominalVoltageV.value,
  };
}

/** A year of everything else on each line, in amperes a minute. */
export function elsewhereYear(elsewhere: Elsewhere, seed: number): Float32Array[] {
  if (elsewhere.from === 'said') {
    const { eveningA, elseA } = elsewhere;
    const line = new Float32Array(MINUTES_A_YEAR).fill(elseA);
    for (let day = 0; day < MINUTES_A_YEAR; day += MINUTES_A_DAY)
      line.fill(eveningA, day + EVENING[0], day + EVENING[1]);
    return [line, line, line];
  }
  const { appliances, sums, lines, nominalV } = elsewhere;
  const year = householdYear({ appliances, sums, nominalV }, seed);
  return lines.map((sum) => (sum === null ? undefined : year.sums[sum]) ?? new Float32Array(MINUTES_A_YEAR));
}
