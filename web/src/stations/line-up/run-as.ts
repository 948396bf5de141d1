import type { Assessment } from '@keen-gauge/core/assessment';
import { guardTable, type GuardCell, type GuardMode } from '@keen-gauge/core/options/guard-table';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { useDeferredValue, useMemo } from 'react';
import { useSurvey } from '../../survey/SurveyContext';

/** One way of running one charger, with what it does at every node on its way. */
export interface RunAs {
  readonly id: string;
  readonly name: string;
  readonly mode: GuardMode;
  readonly cells: ReadonlyMap<string, GuardCell>;
}

/** Every way of running every charger whose rating is known; follows the survey a moment behind what is being typed. */
export function useRunAs(): readonly RunAs[] {
  const { survey, assessment, rules } = useSurvey();
  const now = useMemo(() => ({ survey, assessment, rules }), [survey, assessment, rules]);
  return waysOf(useDeferredValue(now));
}

export interface Reckoned {
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
}

/** Kept by what it was reckoned from, since the drawing and the node beside it both show it. */
const kept = new WeakMap<Reckoned['assessment'], readonly RunAs[]>();

/** The same, at once. */
export function waysOf({ survey, assessment, rules }: Reckoned): readonly RunAs[] {
  const found = kept.get(assessment);
  if (found) return found;
  const several = survey.proposals.length > 1;
  const made = survey.proposals.flatMap((proposal) => {
    const { nodes, modes } = guardTable(survey, assessment, proposal, rules);
    return modes.map((mode) => ({
      id: `${proposal.id} ${mode.id}`,
      name: several ? `${proposal.label ?? 'Charger'}: ${mode.name}` : mode.name,
      mode,
      cells: new Map(nodes.flatMap(({ id }, at) => (mode.cells[at] ? [[id, mode.cells[at]] as const] : []))),
    }));
  });
  kept.set(assessment, made);
  return made;
}
