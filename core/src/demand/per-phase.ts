import type { PerPhase } from './per-phase-figures';
import type { Rules } from '../rules/rules';
import type { Phase } from '../survey/words/words';
import {
  atLeast,
  difference,
  figure,
  fromFigure,
  reckon,
  unknownFigure,
  written,
  type Figure,
  type Worked,
} from '../worked';
import { demandFigure, type PhaseDemand } from './maximum-demand';

/** Demands as figures by phase; `gap` says why none can be given, `shortfall` why each is only a lower bound. */
export function perPhase(demands: readonly PhaseDemand[], label: string, gap?: string, shortfall?: string): PerPhase {
  const figures: Partial<Record<Phase, Figure>> = {};
  for (const demand of demands) {
    const name = demands.length > 1 ? `${label}, ${demand.phase}` : label;
    figures[demand.phase] = demandFigure(name, demand, gap, shortfall);
  }
  return figures;
}

/** The figure of the most loaded phase: the greatest known one, or one that is not known if none is. */
export function worstPhase(figures: PerPhase): Figure {
  const found = Object.values(figures);
  const known = found.filter(({ value }) => value !== null);
  const worst = known.reduce<Figure | undefined>(
    (best, next) => ((next.value ?? 0) > (best?.value ?? -Infinity) ? next : best),
    undefined,
  );
  const incomplete = found.find(({ bound, value }) => bound === 'at-least' || value === null);
  if (!worst) return found[0] ?? unknownFigure('Demand', 'A', 'Nothing is known of the supply.');
  return incomplete && worst.bound === 'exact'
    ? atLeast(worst, incomplete.why ?? 'Another phase is not complete.')
    : worst;
}

/** What is left of a rating on each phase. Demand that is only a lower bound leaves a headroom that is not known. */
export function headroomOf(rating: Figure, after: PerPhase): PerPhase {
  const figures: Partial<Record<Phase, Figure>> = {};
  for (const name in after) {
    const phase = name as Phase;
    const demand = after[phase];
    if (demand) figures[phase] = headroom(rating, demand);
  }
  return figures;
}

function headroom(rating: Figure, demand: Figure): Figure {
  const [from, less] = [rating.value, demand.value];
  if (from === null || less === null || demand.bound === 'at-least')
    return unknownFigure('Headroom', 'A', demand.why ?? rating.why ?? 'Not known yet.');
  const worked = (): Worked => difference('Headroom', fromFigure(rating, from), fromFigure(demand, less));
  return figure({ label: 'Headroom', value: from - less, unit: 'A', steps: () => worked().steps() });
}

/**
 * Demand on every phase together as kVA at the nominal voltage. What is on one line of three, and nobody has said which, counts on each line
 * but once in the total: on whichever line makes that greatest. `oneLine` is each line's demand without such loads, where there are any.
 */
export function apparentPower(label: string, demand: PerPhase, rules: Rules, oneLine?: readonly PhaseDemand[]): Figure {
  const found = Object.values(demand);
  const known = found.flatMap(({ value }) => (value === null ? [] : [value]));
  if (known.length < found.length || known.length === 0)
    return unknownFigure(label, 'kVA', found.find(({ value }) => value === null)?.why ?? 'Not known yet.');
  const volts = rules.nominalVoltageV.value;
  const terms = oneLine ? onWorstLine(known, oneLine) : known;
  const kva = (terms.reduce((total, value) => total + value, 0) * volts) / 1000;
  const partial = found.find(({ bound }) => bound === 'at-least');
  return figure(
    reckon(label, kva, 'kVA', () => ({
      expression: `amperes on each phase × V ÷ 1000${oneLine ? ', loads on no named line counted once' : ''}`,
      substituted: `${terms.length > 1 ? `(${terms.map(written).join(' + ')})` : terms.map(written).join('')} × ${volts} ÷ 1000 = ${written(kva)} kVA`,
      source: rules.nominalVoltageV.source,
    })),
    partial ? 'at-least' : 'exact',
    partial?.why,
  );
}

/** One line with everything, the others without what may be on any: the choice of line whose total is greatest. */
function onWorstLine(all: readonly number[], without: readonly PhaseDemand[]): number[] {
  const choices = all.map((_each, line) =>
    all.map((full, at) => (at === line ? full : Math.min(full, without[at]?.worked.value ?? full))),
  );
  const total = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);
  return choices.reduce((worst, each) => (total(each) > total(worst) ? each : worst));
}
