import { clampsOf } from '../management/limiter';
import type { Assessment } from '../assessment';
import type { NodeAssessment } from '../nodes/node-assessment';
import type { PerPhase } from '../demand/per-phase-figures';
import type { Finding } from '../finding';
import type { SupplyNode } from '../survey/supply';
import type { Evidence, NodeKind, Phase } from '../survey/words/words';
import type { Survey } from '../survey/survey';
import { findingsOn } from './findings-on';
import { phaseAt, supplyTree, type TreeNode } from '../tree/supply-tree';
import { exceeds } from '../worked';

/** What one phase carries at a node, for its bar. */
export interface PhaseBar {
  readonly nowA: number | null;
  readonly afterA: number | null;
}

/** One node of the line-up: where it stands and what is written beside it. */
export interface LineupRow {
  readonly id: string;
  readonly kind: NodeKind;
  readonly name: string;
  /** How many branches the node is away from the straight way down from the street. */
  readonly lane: number;
  readonly ratingA: number | null;
  readonly evidence: Evidence | null;
  /** Whether the rating is one somebody read, rather than a fallback. */
  readonly ratingSure: boolean;
  readonly bars: readonly PhaseBar[];
  /** The fullest phase: demand now, after the work, and what is left; null where not known. */
  readonly nowA: number | null;
  readonly afterA: number | null;
  readonly headroomA: number | null;
  /** Nothing was put on it: what is left of it says nothing. */
  readonly empty: boolean;
  readonly weakest: boolean;
  readonly over: boolean;
  /** In one way of running the charger: whether it holds there; null where not known, left out where nothing is asked. */
  readonly held?: boolean | null;
  /** The conductors into it, in a few words. */
  readonly cable: string;
  /** Clamps on its incoming conductor, with set-point and fail-safe; left out of packs made before they were drawn. */
  readonly clamps?: string;
  /** Rows of its parent and of the nodes it feeds, by place in the list. */
  readonly parent: number | null;
  readonly children: readonly number[];
  readonly loads: number;
  readonly equipment: number;
  /** How many findings are open on it: danger or to do, and to ask. */
  readonly toDo: number;
  readonly toAsk: number;
}

/** The supply tree as rows from the street down, ready to be drawn on a scale common to all of them. */
export interface Lineup {
  readonly rows: readonly LineupRow[];
  readonly lanes: number;
  /** The end of the common scale, in amperes. */
  readonly scaleA: number;
}

/**
 * The line-up of a survey: a node a row, each before what it feeds. What feeds one thing runs straight on; what feeds
 * several sends each of them one lane to the side, so that the way back to the street is always plain.
 */
export function lineupOf(survey: Survey, assessment: Assessment): Lineup {
  const tree = supplyTree(survey);
  const assessed = new Map(assessment.nodes.map((node) => [node.id, node]));
  const counts = countsByNode(survey, tree.unplaced?.node.id);
  const findings = findingsOn(survey, assessment);
  const order: { here: TreeNode; lane: number; parent: number | null; children: number[] }[] = [];
  const visit = (here: TreeNode, lane: number, parent: number | null): void => {
    const at = order.push({ here, lane, parent, children: [] }) - 1;
    if (parent !== null) order[parent]?.children.push(at);
    const aside = here.children.length > 1 ? 1 : 0;
    for (const child of here.children) visit(child, lane + aside, at);
  };
  if (tree.root) visit(tree.root, 0, null);

  const clamps = clampWords(survey);
  // What a limiter would let through is drawn only where it is known to.
  const managed = assessment.demand.limiter.holds === true;
  const afterOf = ({ managed: held, after }: NodeAssessment): PerPhase => (managed ? (held ?? after) : after);
  const rows = order.map(({ here, lane, parent, children }): LineupRow => {
    const { node } = here;
    const found = assessed.get(node.id);
    const isDevice = node.id === assessment.supply.deviceId;
    const headroomA = least(found?.headroom);
    const empty = found?.empty === true && (most(afterOf(found)) ?? 0) === 0;
    return {
      id: node.id,
      kind: node.kind,
      name: found?.label ?? node.kind,
      lane,
      parent,
      children,
      ratingA: found?.ratingA ?? null,
      evidence: isDevice ? assessment.supply.evidence : (node.evidence ?? null),
      // What a service may carry is the operator's to say, and used only where it was said.
      ratingSure: isDevice
        ? assessment.supply.ratingEstablished === true
        : node.ratingA !== undefined || node.kind === 'service',
      bars: barsOf(found, found && afterOf(found), phaseAt(here)),
      nowA: most(found?.before),
      afterA: most(found && afterOf(found)),
      headroomA: empty ? null : headroomA,
      empty,
      weakest: assessment.weakest?.nodeId === node.id,
      over: headroomA !== null && exceeds(0, headroomA),
      cable: cableWords(node),
      clamps: clamps.get(node.id) ?? '',
      loads: counts.loads.get(node.id) ?? 0,
      equipment: counts.equipment.get(node.id) ?? 0,
      ...openCounts(findings.get(node.id)),
    };
  });
  const lanes = Math.max(0, ...rows.map(({ lane }) => lane)) + 1;
  const amperes = rows.flatMap(({ ratingA, afterA }) => [ratingA ?? 0, afterA ?? 0]);
  return { rows, lanes, scaleA: Math.max(20, Math.ceil((Math.max(0, ...amperes) * 1.08) / 10) * 10) };
}

/** A bar for each phase; one only where the node is on one line of several. */
function barsOf(found: NodeAssessment | undefined, after: PerPhase | undefined, line: Phase | undefined): PhaseBar[] {
  if (!found || !after) return [];
  const phases = Object.keys(found.after) as Phase[];
  return phases
    .filter((phase) => line === undefined || phases.length === 1 || phase === line)
    .map((phase) => ({
      nowA: found.before[phase]?.value ?? null,
      afterA: after[phase]?.value ?? null,
    }));
}

function least(figures: PerPhase | undefined): number | null {
  const values = Object.values(figures ?? {}).map(({ value }) => value);
  return values.length === 0 || values.includes(null) ? null : Math.min(...values.map((value) => value ?? 0));
}

function most(figures: PerPhase | undefined): number | null {
  const values = Object.values(figures ?? {}).flatMap(({ value }) => (value === null ? [] : [value]));
  return values.length === 0 ? null : Math.max(...values);
}

/** Every clamp of the survey by the node it sits on, in a few words. */
function clampWords({ proposals }: Survey): Map<string, string> {
  const found = new Map<string, string>();
  for (const proposal of proposals) {
    for (const { nodeId, setPointA } of clampsOf(proposal)) {
      if (nodeId === undefined) continue;
      // Chargers of one controller share its clamps: said once.
      found.set(nodeId, `clamp, set-point ${setPointA ?? '?'} A, fail-safe ${proposal.limiter.failSafeA ?? '?'} A`);
    }
  }
  return found;
}

function cableWords({ cable }: SupplyNode): string {
  if (!cable) return '';
  const parts = [
    cable.sizeMm2 === undefined ? '' : `${cable.sizeMm2} mm²`,
    cable.type === undefined ? '' : cable.type.replace('-', ' '),
    cable.lengthM === undefined ? '' : `${cable.lengthM} m`,
  ];
  return parts.filter((part) => part !== '').join(' ');
}

function countsByNode(
  survey: Survey,
  unplaced: string | undefined,
): Record<'loads' | 'equipment', Map<string, number>> {
  const count = (things: readonly { nodeId?: string }[]): Map<string, number> => {
    const counts = new Map<string, number>();
    for (const { nodeId = unplaced } of things)
      if (nodeId !== undefined) counts.set(nodeId, (counts.get(nodeId) ?? 0) + 1);
    return counts;
  };
  return { loads: count(survey.loads), equipment: count(survey.proposals) };
}

function openCounts(findings: readonly Finding[] = []): { toDo: number; toAsk: number } {
  const toAsk = findings.filter(({ grade }) => grade === 'ask').length;
  return { toAsk, toDo: findings.filter(({ grade }) => grade === 'act' || grade === 'danger').length };
}
