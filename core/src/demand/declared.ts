import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { Basis, ListBasis, Phase } from '../survey/words/words';
import { exceeds, sum, type Worked } from '../worked';
import type { Connected } from './connected';
import { basisGap, type PhaseDemand } from './maximum-demand';
import type { MeasuredDemand } from './measured/verdict';
import { shown } from '../rules/rounding';

/** Demand per phase of a list of loads. */
export type Reckon = (loads: readonly Connected[]) => readonly PhaseDemand[];

/** Demand of all that is there on one phase, where it does not come from the lists. */
export interface WholeDemand {
  readonly worked: Worked;
  /** Only what was seen to flow, in place of a lower declaration: the demand may be more. */
  readonly least: boolean;
}

/** What the surveyor stands by, as far as it holds, and what is done where it does not. */
export interface Declared {
  readonly basis: Basis;
  /** The list basis that parts of the supply are reckoned in: a measurement says nothing of one board alone. */
  readonly lists: ListBasis;
  readonly whole: Readonly<Partial<Record<Phase, WholeDemand>>>;
  readonly findings: readonly Statement[];
}

/**
 * The basis declared, if it has what it needs and a reason; otherwise the pack's own. A declared demand below what was
 * seen to flow is refused: what was seen stands in its place, as a lower bound.
 */
export function declaredDemand(
  survey: Survey,
  connected: readonly Connected[],
  measured: MeasuredDemand,
  reckon: Reckon,
  listed: (basis: ListBasis) => readonly Connected[],
  rules: Rules,
): Declared {
  const basis = usableBasis(survey, connected, measured, rules);
  const lists = basis === 'measurement' ? rules.defaultBasis : basis;
  const whole: Partial<Record<Phase, WholeDemand>> = {};
  const findings: Statement[] = [];
  for (const { phase, worked } of reckon(listed(lists))) {
    const logged = basis === 'measurement' ? measured.byMeasurement[phase] : undefined;
    const own: Worked =
      logged?.value == null
        ? worked
        : { label: logged.label, value: logged.value, unit: 'A', steps: () => logged.working };
    const seen = measured.seen[phase];
    const listedAtAll = logged?.value != null || basisGap(connected, lists) === undefined;
    if (seen && exceeds(seen.value, own.value) && listedAtAll) {
      whole[phase] = { worked: { ...seen, label: 'Measured, in place of a lower declaration' }, least: true };
      findings.push({
        id: 'declared-below-measured',
        grade: 'act',
        on: 'demand',
        station: 'loads',
        title: `Maximum demand by ${basis} is ${shown(own.value)} A, but ${shown(seen.value)} A was measured. What was measured is used.`,
        remedy: 'Something is missing from the list, or something unusual ran while it was measured: find out which.',
        askOf: 'surveyor',
        field: 'declaration.basis',
        working: seen.steps(),
      });
    } else if (logged?.value != null) whole[phase] = { worked: own, least: false };
  }
  return { basis, lists, whole, findings };
}

function usableBasis(survey: Survey, connected: readonly Connected[], measured: MeasuredDemand, rules: Rules): Basis {
  const { basis, reason } = survey.declaration;
  if (basis === undefined || basis === 'circuits') return basis ?? rules.defaultBasis;
  if (!reason?.trim()) return rules.defaultBasis;
  if (basis === 'measurement') return measured.gap === undefined ? basis : rules.defaultBasis;
  return basisGap(connected, basis) === undefined ? basis : rules.defaultBasis;
}

/**
 * Demand of lists of loads where the whole was measured or seen: a list with everything in it takes that figure, with
 * what comes on top; any other is reckoned as a list.
 */
export function withWhole(reckon: Reckon, existing: readonly Connected[], whole: Declared['whole']): Reckon {
  if (Object.keys(whole).length === 0) return reckon;
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
      const { worked, least } = measured;
      const terms = on && on.worked.value > 0 ? [worked, { ...on.worked, label: 'What comes on top' }] : [worked];
      return { ...demand, worked: sum('Maximum demand', 'A', terms), complete: !least && (on?.complete ?? true) };
    });
  };
}
