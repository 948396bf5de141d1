import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import type { Survey } from '../survey/survey';
import type { Basis, ListBasis, Phase } from '../survey/words';
import { exceeds, sum, written, type Worked } from '../worked';
import type { Connected } from './connected';
import { basisGap, type PhaseDemand } from './maximum-demand';
import type { MeasuredDemand } from './measured/verdict';

/** Demand per phase of a list of loads. */
export type Reckon = (loads: readonly Connected[]) => readonly PhaseDemand[];

/** What the surveyor stands by, as far as it holds, and what is done where it does not. */
export interface Declared {
  readonly basis: Basis;
  /** The list basis that parts of the supply are reckoned in: a measurement says nothing of one board alone. */
  readonly lists: ListBasis;
  /** Demand of all that is there, where it does not come from the lists: measured, or lifted to what was seen. */
  readonly whole: Readonly<Partial<Record<Phase, Worked>>>;
  readonly findings: readonly Finding[];
}

/**
 * The basis declared, if it has what it needs and a reason; otherwise the pack's own. A declared demand below what was
 * seen to flow is refused: what was seen stands in its place.
 */
export function declaredDemand(
  survey: Survey,
  connected: readonly Connected[],
  measured: MeasuredDemand,
  reckon: Reckon,
  listed: (basis: ListBasis) => readonly Connected[],
  pack: RulePack,
): Declared {
  const basis = usableBasis(survey, connected, measured, pack);
  const lists = basis === 'measurement' ? pack.defaultBasis : basis;
  const whole: Partial<Record<Phase, Worked>> = {};
  const findings: Finding[] = [];
  for (const { phase, worked } of reckon(listed(lists))) {
    const logged = basis === 'measurement' ? measured.byMeasurement[phase] : undefined;
    const own: Worked =
      logged?.value == null
        ? worked
        : { label: logged.label, value: logged.value, unit: 'A', steps: () => logged.working };
    const seen = measured.seen[phase];
    if (seen && exceeds(seen.value, own.value) && basisGap(connected, lists) === undefined) {
      whole[phase] = { ...seen, label: 'Seen to flow, in place of a lower declaration' };
      findings.push({
        id: 'declared-below-measured',
        grade: 'act',
        station: 'loads',
        title: `${written(own.value)} A by ${basis} is less than the ${written(seen.value)} A seen to flow. What was seen is used.`,
        remedy: 'Something is missing from the list, or the log ran while something unusual did: find which.',
        askOf: 'surveyor',
        working: seen.steps(),
      });
    } else if (logged?.value != null) whole[phase] = own;
  }
  return { basis, lists, whole, findings };
}

function usableBasis(survey: Survey, connected: readonly Connected[], measured: MeasuredDemand, pack: RulePack): Basis {
  const { basis, reason } = survey.declaration;
  if (basis === undefined || basis === 'circuits') return basis ?? pack.defaultBasis;
  if (!reason?.trim()) return pack.defaultBasis;
  const gap = basis === 'measurement' ? measured.gap : basisGap(connected, basis);
  return gap === undefined ? basis : pack.defaultBasis;
}

/**
 * A reckoning in which all that is there together takes what was measured or seen: new equipment, and whatever else is
 * in the list, comes on top in full. Parts of it are reckoned from their lists as before.
 */
export function withWhole(reckon: Reckon, existing: readonly Connected[], whole: Declared['whole']): Reckon {
  if (Object.keys(whole).length === 0 || existing.length === 0) return reckon;
  const there = new Set(existing.map(({ id }) => id));
  return (loads) => {
    const added = loads.filter(({ id }) => !there.has(id));
    const listed = reckon(loads);
    if (loads.length - added.length < existing.length) return listed;
    const more = reckon(added);
    return listed.map((demand, at) => {
      const measured = whole[demand.phase];
      if (!measured) return demand;
      const on = more[at];
      const terms = on && on.worked.value > 0 ? [measured, { ...on.worked, label: 'What comes on top' }] : [measured];
      return { ...demand, worked: sum('Maximum demand', 'A', terms), complete: on?.complete ?? true };
    });
  };
}
