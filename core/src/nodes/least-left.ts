import type { PerPhase } from '../demand/per-phase-figures';
import type { Phase } from '../survey/words/words';
import type { NodeAssessment } from './node-assessment';

/** The node with least headroom, and how much is left there. */
export function weakestNode(nodes: readonly NodeAssessment[]): { nodeId: string; headroomA: number } | null {
  let weakest: { nodeId: string; headroomA: number } | null = null;
  for (const { id, headroom } of nodes) {
    const leastA = leastHeadroom(headroom);
    if (leastA !== null && (weakest === null || leastA < weakest.headroomA))
      weakest = { nodeId: id, headroomA: leastA };
  }
  return weakest;
}

/** The least left on any phase; null where none is known. */
export function leastHeadroom(headroom: PerPhase): number | null {
  let least: number | null = null;
  for (const phase in headroom) {
    const value = headroom[phase as Phase]?.value ?? null;
    if (value !== null && (least === null || value < least)) least = value;
  }
  return least;
}
