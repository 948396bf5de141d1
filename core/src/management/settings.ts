import type { RulePack } from '../rules/rule-pack';
import type { Proposal } from '../survey/proposal';

/** The currents equipment can be held to below its rating, in amperes, largest first: its own steps, or those usually met. */
export function settingsOf({ stepsA, ratedA }: Proposal, pack: RulePack): number[] {
  const steps = stepsA && stepsA.length > 0 ? stepsA : pack.circuit.settingsA.value;
  return [...new Set(steps)].filter((step) => ratedA === undefined || step < ratedA).sort((a, b) => b - a);
}
