import { supplyPhases } from '../demand/connected';
import { isGeneration, equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { exceeds } from '../worked';
import { GENERATION_NAMES, type LoadPhase, type Phase } from '../survey/words/words';
import { shown } from '../rules/rounding';

/** What may flow back to the street when nothing else runs, on the fullest line, by registered capacity. */
export interface ExportTotal {
  /** Amperes; null while something of it is not known. */
  readonly amperes: number | null;
  /** What is known already. */
  readonly atLeastA: number;
  /** What it is made up of, and what is not known of it. */
  readonly parts: string;
}

/** New equipment that can send power back. A charger that only says it can counts too. */
export function exporting({ proposals }: Survey): Proposal[] {
  return proposals.filter(
    (proposal) => isGeneration(proposal) || (proposal.kind === 'vehicle-charger' && proposal.canExport === 'yes'),
  );
}

/**
 * Registered capacity of one piece of equipment, each phase, in amperes: its rating, whatever its export is set to. Source: EREC G98, G99.
 */
export function capacityOf({ ratedA }: Proposal): number | undefined {
  return ratedA;
}

/** Equipment set to send back less than it can: a limitation scheme, which is asked for. Source: EREC G100. */
export function limitedExport(survey: Survey): Proposal[] {
  return exporting(survey).filter(
    ({ exportA, ratedA }) => exportA !== undefined && ratedA !== undefined && exceeds(ratedA, exportA),
  );
}

/** All generation on the premises once the work is done, there already and new. A line nobody has named may be any. */
export function exportTotal(survey: Survey): ExportTotal {
  const lines = supplyPhases(survey.supply.phases);
  const sources = [
    ...(survey.generation ?? []).map(({ label, kind, ratedA, phases, phase }) => ({
      name: label ?? GENERATION_NAMES[kind],
      amperes: ratedA,
      least: ratedA,
      phases,
      phase,
    })),
    ...exporting(survey).map((proposal) => ({
      name: equipmentName(proposal),
      amperes: capacityOf(proposal),
      // What it is set to send back shows the least it can.
      least: capacityOf(proposal) ?? proposal.exportA,
      phases: proposal.phases,
      phase: proposal.phase,
    })),
  ];
  const unknown = sources.filter(({ amperes }) => amperes === undefined).map(({ name }) => `${name}: not known`);
  if (survey.generation === undefined) unknown.push('whether there is generation already: not known');
  const total = (line: Phase): number =>
    sources.reduce((sum, { least = 0, phases, phase }) => (gives(line, phases, phase) ? sum + least : sum), 0);
  const atLeastA = Math.max(0, ...lines.map(total));
  const known = sources
    .filter(({ amperes }) => amperes !== undefined)
    .map(({ name, amperes = 0 }) => `${name} ${shown(amperes)} A`)
    .join(' + ');
  return {
    amperes: unknown.length > 0 ? null : atLeastA,
    atLeastA,
    parts: [known, ...unknown].filter((part) => part !== '').join('; '),
  };
}

function gives(line: Phase, phases: 1 | 3 | undefined, phase: LoadPhase | undefined): boolean {
  return phases === 3 || phase === undefined || phase === 'all' || phase === line;
}
