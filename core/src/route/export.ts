import { supplyPhases } from '../demand/connected';
import { isGeneration, equipmentName } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { written } from '../worked';
import { GENERATION_NAMES, type LoadPhase, type Phase } from '../survey/words';

/** What may flow back to the street when nothing else runs, on the fullest line. */
export interface ExportTotal {
  /** Amperes; null while something of it is not known. */
  readonly amperes: number | null;
  /** What it is made up of, or what is not known of it. */
  readonly parts: string;
}

/** New equipment that can send power back. A charger that only says it can counts too. */
export function exporting({ proposals }: Survey): Proposal[] {
  return proposals.filter(
    (proposal) => isGeneration(proposal) || (proposal.kind === 'vehicle-charger' && proposal.canExport === 'yes'),
  );
}

/** Export per phase of one piece of equipment, in amperes: what it is set or rated to give; its rating for PV and storage. */
export function exportOf({ kind, exportA, ratedA }: Proposal): number | undefined {
  return exportA ?? (kind === 'vehicle-charger' ? undefined : ratedA);
}

/** All generation on the premises once the work is done, there already and new. A line nobody has named may be any. */
export function exportTotal(survey: Survey): ExportTotal {
  const lines = supplyPhases(survey.supply.phases);
  const sources = [
    ...(survey.generation ?? []).map(({ label, kind, ratedA, phases, phase }) => ({
      name: label ?? GENERATION_NAMES[kind],
      amperes: ratedA,
      phases,
      phase,
    })),
    ...exporting(survey).map((proposal) => ({
      name: equipmentName(proposal),
      amperes: exportOf(proposal),
      phases: proposal.phases,
      phase: proposal.phase,
    })),
  ];
  const unknown = sources.filter(({ amperes }) => amperes === undefined).map(({ name }) => `${name}: not known`);
  if (survey.generation === undefined) unknown.push('whether there is generation already: not known');
  if (unknown.length > 0) return { amperes: null, parts: unknown.join('; ') };
  const total = (line: Phase): number =>
    sources.reduce((sum, { amperes = 0, phases, phase }) => (gives(line, phases, phase) ? sum + amperes : sum), 0);
  return {
    amperes: Math.max(0, ...lines.map(total)),
    parts: sources.map(({ name, amperes = 0 }) => `${name} ${written(amperes)} A`).join(' + '),
  };
}

function gives(line: Phase, phases: 1 | 3 | undefined, phase: LoadPhase | undefined): boolean {
  return phases === 3 || phase === undefined || phase === 'all' || phase === line;
}
