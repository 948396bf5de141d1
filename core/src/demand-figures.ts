import type { Assessment } from './assessment';
import { compareBases, emptiestPhase, everythingOn, unbalancePercent } from './demand/comparison';
import type { Connected } from './demand/connected';
import { basisGap, basisShortfall, inBasis } from './demand/maximum-demand';
import { apparentPower, headroomOf, perPhase } from './demand/per-phase';
import type { PerPhase } from './demand/per-phase-figures';
import type { FuseRating } from './intake/fuse-rating';
import type { Limited } from './limited-nodes';
import type { Reckoner } from './node-assessments';
import type { ReckonedDemand } from './reckoned-demand';
import type { Rules } from './rules/rules';
import type { ListBasis, Phase } from './survey/words/words';

/** Demand on each phase in every reckoning, and what is left. */
export function demandFigures({
  rules,
  demand,
  fuse,
  limited: { afterManaged, limiter },
}: {
  readonly rules: Rules;
  readonly demand: ReckonedDemand;
  readonly fuse: FuseRating;
  readonly limited: Limited;
}): Assessment['demand'] {
  const { phases, premises, connected, counted, declared, measured, before, afterUnmanaged, byLists } = demand;
  return {
    basis: declared.basis,
    byCircuits: inOneBasis('circuits', 'MD by circuits', connected, byLists),
    byAppliances: inOneBasis('appliances', 'MD by appliances', connected, byLists),
    byMeasurement: measured.byMeasurement,
    baseLoad: measured.base,
    // Read at one station only: reckoned when somebody reads them, not on every keystroke everywhere.
    get everythingOn() {
      return eachPhase(phases, (phase) =>
        everythingOn(
          connected,
          phase,
          premises,
          rules,
          greatest(before[phase]?.value, measured.byMeasurement[phase]?.value),
        ),
      );
    },
    get comparison() {
      return eachPhase(phases, (phase) => compareBases(connected, phase, premises, rules));
    },
    get emptiestPhase() {
      return emptiestPhase(counted, phases, premises, rules) ?? null;
    },
    unbalancePercent: unbalancePercent(phases.map((phase) => before[phase]?.value ?? 0)),
    before,
    afterUnmanaged,
    afterManaged,
    headroom: headroomOf(fuse.figure, afterManaged),
    beforeKva: apparentPower('MD now', before, rules, demand.oneLineBefore),
    afterKva: apparentPower('MD after', afterManaged, rules, demand.oneLineAfter),
    limiter,
  };
}

function greatest(...values: readonly (number | null | undefined)[]): number | undefined {
  const known = values.filter((value) => value != null);
  return known.length === 0 ? undefined : Math.max(...known);
}

function eachPhase<T>(phases: readonly Phase[], make: (phase: Phase) => T): Partial<Record<Phase, T>> {
  return Object.fromEntries(phases.map((phase) => [phase, make(phase)]));
}

function inOneBasis(basis: ListBasis, label: string, connected: readonly Connected[], reckoner: Reckoner): PerPhase {
  const demands = reckoner(inBasis(connected, basis));
  return perPhase(demands, label, basisGap(connected, basis), basisShortfall(connected, basis));
}
