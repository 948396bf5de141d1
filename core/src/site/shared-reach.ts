import { decide } from '../assess';
import { carriedSpread, type CarriedSpread } from '../pool/growth';
import { poolGuarantees, type SharedPart } from '../pool/guarantees';
import { poolOnSupply } from '../pool/on-supply';
import { plannedPool, type PlannedPool } from '../pool/plan';
import { playSeed } from '../pool/play';
import type { Rules } from '../rules/rules';
import type { Pool } from '../survey/pool';
import type { Proposal } from '../survey/proposal';
import type { SiteTerms } from '../survey/site';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, supplyTree } from '../tree/supply-tree';
import { clampPlace, rowEquipment, withEquipment } from './bay-survey';
import { boardOf } from './supplies';

/** A row on a shared supply, and whether every part it shares is kept within its rating; how many cars it carries is another question. */
export interface SharedRow {
  /** Null while something that decides it is not known. */
  readonly holds: boolean | null;
  readonly why: string;
  readonly setPointA: number | null;
  /** The row as new equipment, as it was judged; none where nothing could be. */
  readonly equipment: readonly Proposal[];
  /** What it is played from; null where that is not known. */
  readonly planned: PlannedPool | null;
}

/** A row with how many cars it carries. */
export interface SharedReach extends SharedRow {
  readonly carries: CarriedSpread | null;
  readonly weeks: readonly [number, number];
  readonly terms: SiteTerms | undefined;
}

const unknownRow = (why: string): SharedRow => ({ holds: null, why, setPointA: null, equipment: [], planned: null });

/**
 * Bays on the landlord’s supply: the row of the survey connected there, its clamps as near the street as may be unless they are recorded elsewhere. It is held to the recorded set-point or the largest
 * that holds; beside new equipment of other supplies never to more than holds there. Source: guide section 16.
 */
export function landlordRow(survey: Survey, beside: readonly Proposal[], rules: Rules): SharedRow {
  const device = survey.site?.supplies?.find(({ whose }) => whose === 'landlord')?.nodeId;
  if (device === undefined) return unknownRow('Landlord’s supply not recorded.');
  if (!survey.pool) return unknownRow('No bays recorded.');
  const tree = supplyTree(survey);
  const above = tree.byId.get(device);
  const recorded = survey.pool.nodeId;
  const isThere = above !== undefined && recorded !== undefined && hangsFrom(nodeOf(tree, recorded), above);
  const nodeId = isThere ? recorded : boardOf(tree, device);
  const pool: Pool = { ...survey.pool, nodeId, clampNodeId: survey.pool.clampNodeId ?? clampPlace(tree, nodeId) };
  return heldRow({ ...withEquipment(survey, beside), pool }, rules);
}

/** Every bay on a supply made for charging alone, whose fuse somebody proposes. */
function newRow(survey: Survey, rules: Rules): SharedRow {
  const newFuseA = survey.site?.newFuseA;
  if (newFuseA === undefined) return unknownRow('New supply fuse not recorded.');
  if (!survey.pool) return unknownRow('No bays recorded.');
  const { nodeId: _at, clampNodeId: _clamps, setPointA: _held, ...pool } = survey.pool;
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
  return heldRow(alone, rules, [fuse]);
}

function heldRow(survey: Survey, rules: Rules, only?: readonly SharedPart[]): SharedRow {
  const { pool } = survey;
  if (!pool) return unknownRow('No bays recorded.');
  const assessment = decide(survey, rules);
  const { outlets, parts: found } = poolOnSupply(survey, assessment, rules);
  const parts = only ?? found;
  const failSafeA = pool.failSafeA ?? 0;
  const { unknown, mostSetPointA } = poolGuarantees(parts, outlets, { setPointA: 0, failSafeA }, rules);
  if (unknown.length > 0 || mostSetPointA === null) {
    const where = [...new Set(unknown.map(({ label }) => label))].join(', ');
    return unknownRow(`Rating or demand not known${where === '' ? '' : ` at ${where}`}.`);
  }
  const isAlone = survey.proposals.length === 0;
  const setPointA = isAlone
    ? (pool.setPointA ?? mostSetPointA)
    : Math.min(pool.setPointA ?? mostSetPointA, mostSetPointA);
  const held: Survey = { ...survey, pool: { ...pool, setPointA } };
  const equipment = rowEquipment(held, outlets);
  const { guards } = poolGuarantees(parts, outlets, { setPointA, failSafeA }, rules);
  const failing = guards.find(({ holds }) => !holds);
  if (failing) {
    const why = `${failing.label}, ${failing.line}: over its rating with a set-point of ${setPointA} A.`;
    return { holds: false, why, setPointA, equipment, planned: null };
  }
  const planned = plannedPool(held, assessment, rules);
  if ('needs' in planned) return { holds: null, why: `Needs: ${planned.needs}`, setPointA, equipment, planned: null };
  return { holds: true, why: `Within every rating at ${setPointA} A.`, setPointA, equipment, planned };
}

/** How many cars a row carries over so many seeds; the same row is played once. */
export class Cars {
  private readonly known = new Map<string, CarriedSpread>();

  constructor(private readonly seeds: number) {}

  carriedBy(planned: PlannedPool): CarriedSpread {
    const { setPointA, besideA, elsewhere, outlets, terms } = planned;
    const key = JSON.stringify([
      setPointA,
      besideA,
      elsewhere,
      outlets.map(({ lines, mostA }) => [lines, mostA]),
      terms.policy,
    ]);
    const known = this.known.get(key);
    if (known) return known;
    const found = carriedSpread(
      Array.from({ length: this.seeds }, (_each, at) => playSeed(planned, terms.policy, at + 1).carried),
    );
    this.known.set(key, found);
    return found;
  }
}

/** How far the landlord’s supply and a new one reach with every bay on them. */
export function sharedReaches(
  survey: Survey,
  rules: Rules,
  cars: Cars,
): Readonly<Record<'landlord' | 'new', SharedReach>> {
  const { landlord, anew, newWeeks } = survey.site ?? {};
  const waits = rules.optionTerms.value;
  const weeks = newWeeks === undefined ? waits['three-phase'].waitWeeks : ([newWeeks, newWeeks] as const);
  return {
    landlord: reachOf(landlordRow(survey, [], rules), cars, landlord, waits['other-supply'].waitWeeks),
    new: reachOf(newRow(survey, rules), cars, anew, weeks),
  };
}

function reachOf(
  row: SharedRow,
  cars: Cars,
  terms: SiteTerms | undefined,
  weeks: readonly [number, number],
): SharedReach {
  if (row.holds !== true || row.planned === null) return { ...row, carries: null, weeks, terms };
  const carries = cars.carriedBy(row.planned);
  const { least, most } = carries;
  const why = `Enough for ${least === most ? least : `${least} to ${most}`} car${most === 1 ? '' : 's'} at ${row.setPointA ?? 0} A.`;
  return { ...row, holds: least > 0, why, carries, weeks, terms };
}
