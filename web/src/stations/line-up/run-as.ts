import { guardTable, type GuardCell, type GuardMode } from '@keen-gauge/core/options/guard-table';
import { useSurvey } from '../../survey/SurveyContext';

/** One way of running one charger, with what it does at every node on its way. */
export interface RunAs {
  readonly id: string;
  readonly name: string;
  readonly mode: GuardMode;
  readonly cells: ReadonlyMap<string, GuardCell>;
}

/** Every way of running every charger whose rating is known. */
export function useRunAs(): readonly RunAs[] {
  const { survey, assessment, pack } = useSurvey();
  const several = survey.proposals.length > 1;
  return survey.proposals.flatMap((proposal) => {
    const { nodes, modes } = guardTable(survey, assessment, proposal, pack);
    return modes.map((mode) => ({
      id: `${proposal.id} ${mode.id}`,
      name: several ? `${proposal.label ?? 'Charger'}: ${mode.name}` : mode.name,
      mode,
      cells: new Map(nodes.flatMap(({ id }, at) => (mode.cells[at] ? [[id, mode.cells[at]] as const] : []))),
    }));
  });
}
