import type { Assessment } from './assessment';
import { compareBases, emptiestPhase, everythingOn, unbalancePercent } from './demand/comparison';
import { basisGap, basisShortfall } from './demand/maximum-demand';
import { apparentPower, headroomOf, perPhase } from './demand/per-phase';
import type { PerPhase } from './demand/per-phase-figures';
import type { FuseRating } from './intake/fuse-rating';
import type { Limited } from './nodes/limited-nodes';
import type { SupplyDemand } from './demand/supply-demand';
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
  readonly demand: SupplyDemand;
  readonly fuse: FuseRating;
  readonly limited: Limited;
}): Assessment['demand'] {
  const { phases, premises, connected, counted, declared, measured, before, afterUnmanaged } = demand;
  return {
    basis: declared.basis,
    byCircuits: inOneBasis('circuits', 'MD by circuits', demand),
    byAppliances: inOneBasis('appliances', 'MD by appliances', demand),
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

function inOneBasis(basis: ListBasis, label: string, { connected, listed, byLists }: SupplyDemand): PerPhase {
  return perPhase(byLists(listed(basis)), label, basisGap(connected, basis), basisShortfall(connected, basis));
}
