import { HAIR } from '../rules/rounding';
import type { Rules } from '../rules/rules';
import type { ListBasis, LoadClass, Phase, Premises } from '../survey/words/words';
import { LOAD_CLASSES } from '../survey/words/words';
import { figure, reckon, written, type Figure } from '../worked';
import { allowedCurrent } from './allowance';
import type { Connected } from './connected';
import { CLASS_NAMES, demandOnPhase, inBasis, runningOn } from './maximum-demand';

/** What one class adds to the demand in each list basis, in amperes. */
export interface ClassShare {
  readonly class: LoadClass;
  readonly name: string;
  readonly circuitsA: number;
  readonly appliancesA: number;
}

/**
 * The demand of two bases class by class on one phase. The parts of each add up to its demand, and so the differences of
 * the parts to the difference of the two.
 */
export function compareBases(
  loads: readonly Connected[],
  phase: Phase,
  premises: Premises,
  rules: Rules,
): readonly ClassShare[] {
  const [circuits, appliances] = [
    shares(loads, 'circuits', phase, premises, rules),
    shares(loads, 'appliances', phase, premises, rules),
  ];
  return LOAD_CLASSES.flatMap((kind) => {
    const [circuitsA, appliancesA] = [circuits.get(kind) ?? 0, appliances.get(kind) ?? 0];
    if (circuitsA === 0 && appliancesA === 0) return [];
    return [{ class: kind, name: CLASS_NAMES[kind], circuitsA, appliancesA }];
  });
}

function shares(
  loads: readonly Connected[],
  basis: ListBasis,
  phase: Phase,
  premises: Premises,
  rules: Rules,
): Map<LoadClass, number> {
  const table = rules.allowances.value[premises];
  const running = runningOn(inBasis(loads, basis), phase, table);
  const made = new Map<LoadClass, number>();
  for (const kind of LOAD_CLASSES) {
    const members = running.filter((load) => load.class === kind);
    if (members.length > 0) made.set(kind, allowedCurrent(table[kind], members));
  }
  return made;
}

/**
 * The most that could be drawn with everything on at once and no allowance taken: sockets at their device rating or by their appliances,
 * whichever is more, and what a cooker's own socket is allowed. An upper bound, not a demand: never below what was seen to flow, which
 * shows that something is missing from the list.
 */
export function everythingOn(
  loads: readonly Connected[],
  phase: Phase,
  premises: Premises,
  rules: Rules,
  seen: number | undefined,
): Figure {
  const table = rules.allowances.value[premises];
  const here = loads.filter(({ phases }) => phases.includes(phase));
  const drawn = (basis: ListBasis): number =>
    inBasis(here, basis).reduce((total, { class: kind, currentA, count, controlSockets }) => {
      const allowance = table[kind];
      const socketA = allowance.form === 'threshold' ? allowance.perControlSocketA : 0;
      return total + (currentA ?? 0) * count + controlSockets * socketA;
    }, 0);
  const listed = { circuits: drawn('circuits'), appliances: drawn('appliances') };
  const listedA = Math.max(listed.circuits, listed.appliances);
  const amperes = Math.max(listedA, seen ?? 0);
  const why = here.some(({ currentA }) => currentA === null)
    ? 'Something here has no size given.'
    : amperes > listedA
      ? 'More was measured than is listed.'
      : undefined;
  return figure(
    reckon('Everything on', amperes, 'A', () => ({
      expression:
        'every load in full, sockets by circuits or by appliances, whichever is more; never less than was seen',
      substituted: `greatest of ${[listed.circuits, listed.appliances, ...(seen === undefined ? [] : [seen])].map(written).join(', ')} = ${written(amperes)} A`,
    })),
    why === undefined ? 'exact' : 'at-least',
    why,
  );
}

/** How far one phase is above the mean of all, in percent of that mean; null where there is one phase or nothing flows. */
export function unbalancePercent(amperes: readonly number[]): number | null {
  const mean = amperes.reduce((total, each) => total + each, 0) / amperes.length;
  if (amperes.length < 2 || mean <= 0) return null;
  return (Math.max(...amperes.map((each) => Math.abs(each - mean))) / mean) * 100;
}

/** The phase a new single-phase load is best put on: the one that takes least now; the first of several alike. */
export function emptiestPhase(
  loads: readonly Connected[],
  phases: readonly Phase[],
  premises: Premises,
  rules: Rules,
): Phase | undefined {
  let best: { phase: Phase; amperes: number } | undefined;
  for (const phase of phases) {
    const amperes = demandOnPhase(loads, phase, premises, rules).worked.value;
    if (!best || amperes < best.amperes - HAIR) best = { phase, amperes };
  }
  return phases.length > 1 ? best?.phase : undefined;
}
