import { assess } from '../assess';
import { carriedSpread, type CarriedSpread } from '../pool/growth';
import { poolGuarantees, type SharedPart } from '../pool/guarantees';
import { plannedPool, poolOnSupply, type PlannedPool } from '../pool/plan';
import { playSeed } from '../pool/play';
import type { Rules } from '../rules/rules';
import type { Pool } from '../survey/pool';
import type { SitePrices } from '../survey/site';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, supplyTree } from '../tree/supply-tree';
import { boardOf } from './supplies';
import { clampPlace, rowEquipment, withEquipment } from './bay-survey';

/** How far a shared supply reaches: whether its row is kept within every rating, and how many cars it carries. */
export interface SharedReach {
  /** Null while something that decides it is not known. */
  readonly holds: boolean | null;
  readonly why: string;
  readonly setPointA: number | null;
  readonly carries: CarriedSpread | null;
  readonly weeks: readonly [number, number];
  readonly prices: SitePrices | undefined;
  /** The row as new equipment, as it was judged; none where nothing could be. */
  readonly equipment: readonly Proposal[];
}

/** What was played already of one building. */
export type Carried = { readonly setPointA: number; readonly outlets: number; readonly carries: CarriedSpread }[];

const POLICY = 'equal';

/**
 * Every bay on the landlord’s supply: the row of the survey hung there, its clamps as near the street as may be unless they are recorded elsewhere, held to the recorded set-point or the
 * largest that holds beside the new equipment of other supplies. Source: guide section 16.
 */
export function landlordReach(
  survey: Survey,
  seeds: number,
  rules: Rules,
  beside: readonly Proposal[] = [],
  carried: Carried = [],
): SharedReach {
  const weeks = rules.optionTerms.value['other-supply'].waitWeeks;
  const prices = survey.site?.landlord;
  const open = (why: string): SharedReach => ({
    holds: null,
    why,
    setPointA: null,
    carries: null,
    weeks,
    prices,
    equipment: [],
  });
  const device = survey.site?.supplies?.find(({ whose }) => whose === 'landlord')?.nodeId;
  if (device === undefined) return open('Which supply is the landlord’s is not recorded.');
  if (!survey.pool) return open('The bays are not laid out.');
  const tree = supplyTree(survey);
  const above = tree.byId.get(device);
  const hangsThere =
    above !== undefined && survey.pool.nodeId !== undefined && hangsFrom(nodeOf(tree, survey.pool.nodeId), above);
  const nodeId = hangsThere ? (survey.pool.nodeId ?? device) : boardOf(tree, device);
  const pool: Pool = { ...survey.pool, nodeId, clampNodeId: survey.pool.clampNodeId ?? clampPlace(tree, nodeId) };
  return reached({ ...withEquipment(survey, beside), pool }, seeds, rules, { weeks, prices }, carried);
}

/** Every bay on a supply made for charging alone, whose fuse somebody proposes. */
export function newReach(survey: Survey, seeds: number, rules: Rules): SharedReach {
  const { newFuseA, newWeeks, anew: prices } = survey.site ?? {};
  const weeks =
    newWeeks === undefined ? rules.optionTerms.value['three-phase'].waitWeeks : ([newWeeks, newWeeks] as const);
  const open = (why: string): SharedReach => ({
    holds: null,
    why,
    setPointA: null,
    carries: null,
    weeks,
    prices,
    equipment: [],
  });
  if (newFuseA === undefined) return open('What fuse a new supply would have is not recorded.');
  if (!survey.pool) return open('The bays are not laid out.');
  const { nodeId: _hangs, clampNodeId: _clamps, setPointA: _held, ...pool } = survey.pool;
  const alone: Survey = {
    ...withEquipment(survey, []),
    supply: {
      phases: 3,
      nodes: [{ id: 'new-fuse', kind: 'cut-out', label: 'New supply', ratingA: newFuseA, evidence: 'attended' }],
    },
    loads: [],
    measurements: [],
    pool: { ...pool, nodeId: 'new-fuse', otherEveningA: 0, otherElseA: 0 },
  };
  const nothing = { L1: 0, L2: 0, L3: 0 };
  const fuse = { id: 'new-fuse', label: 'New supply', ratingA: newFuseA, otherA: nothing, unseenA: nothing };
  return reached(alone, seeds, rules, { weeks, prices }, [], [fuse]);
}

function reached(
  survey: Survey,
  seeds: number,
  rules: Rules,
  { weeks, prices }: Pick<SharedReach, 'weeks' | 'prices'>,
  carried: Carried,
  only?: readonly SharedPart[],
): SharedReach {
  const assessment = assess(survey, rules);
  const { outlets, parts: found } = poolOnSupply(survey, assessment, rules);
  const parts = only ?? found;
  const free = poolGuarantees(parts, outlets, { setPointA: 0, failSafeA: survey.pool?.failSafeA ?? 0 }, rules);
  const setPointA = survey.pool?.setPointA ?? free.mostSetPointA ?? null;
  const about = { setPointA, weeks, prices };
  if (free.unknown.length > 0 || setPointA === null) {
    const where = [...new Set(free.unknown.map(({ label }) => label))].join(', ');
    return {
      ...about,
      holds: null,
      why: `A rating, or what else is drawn, is not known${where === '' ? '' : ` at ${where}`}.`,
      carries: null,
      equipment: [],
    };
  }
  const held: Survey = { ...survey, pool: { ...(survey.pool as Pool), setPointA } };
  const { guards } = poolGuarantees(parts, outlets, { setPointA, failSafeA: survey.pool?.failSafeA ?? 0 }, rules);
  const failing = guards.find(({ holds }) => !holds);
  if (failing)
    return {
      ...about,
      holds: false,
      why: `${failing.label}, ${failing.line}: over its rating with the set-point at ${setPointA} A.`,
      carries: null,
      equipment: rowEquipment(held, outlets),
    };
  const planned = plannedPool(held, assessment, rules);
  if ('needs' in planned)
    return {
      ...about,
      holds: null,
      why: `Not known yet: ${planned.needs}`,
      carries: null,
      equipment: rowEquipment(held, outlets),
    };
  const carries = carriedBy(held, planned, seeds, carried);
  return {
    ...about,
    holds: carries.least > 0,
    why: `At ${setPointA} A it carries ${carries.least === carries.most ? carries.least : `${carries.least} to ${carries.most}`} cars.`,
    carries,
    equipment: rowEquipment(held, outlets),
  };
}

/**
 * How many cars a row carries over so many seeds, played once for each set-point and number of outlets. What was carried at no more amperes by no fewer outlets is carried here: a larger set-point and
 * fewer cars give nobody less.
 */
function carriedBy({ pool }: Survey, planned: PlannedPool, seeds: number, known: Carried): CarriedSpread {
  const outlets = planned.outlets.length;
  const sure = known.find(
    (each) => each.setPointA <= planned.setPointA && each.outlets >= outlets && each.carries.least >= outlets,
  );
  if (sure) return { least: outlets, median: outlets, most: outlets };
  const found = Array.from({ length: seeds }, (_each, at) => playSeed(planned, pool?.policy ?? POLICY, at + 1).carried);
  const carries = carriedSpread(found);
  known.push({ setPointA: planned.setPointA, outlets, carries });
  return carries;
}
