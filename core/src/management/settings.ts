import type { Rules } from '../rules/rules';
import type { Proposal } from '../survey/proposal';

/** The currents equipment can be held to below its rating, in amperes, largest first: its own steps, or those usually met. */
export function settingsOf({ stepsA, ratedA }: Proposal, rules: Rules): number[] {
  const steps = stepsA && stepsA.length > 0 ? stepsA : rules.circuit.settingsA.value;
  return [...new Set(steps)].filter((step) => ratedA === undefined || step < ratedA).sort((a, b) => b - a);
}
