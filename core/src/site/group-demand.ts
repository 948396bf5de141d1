import type { Assessment } from '../assessment';
import type { PerPhase } from '../demand/per-phase-figures';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { Phase } from '../survey/words/words';
import { given, reckon, sum, written, type Worked } from '../worked';
import type { SupplyOfSite } from './supplies';

/**
 * What so many dwellings take together for planning, in kilowatts: N × A + C. A and C are the operator’s, by how the dwellings are heated. Source: guide section 16.
 *
 * @example groupDemand(24, 1.6, 12) // 24 × 1.6 + 12 = 50.4 kW
 */
export function groupDemand(dwellings: number, eachKw: number, onceKw: number): Worked {
  const value = dwellings * eachKw + onceKw;
  return reckon('Group demand, by the operator’s formula', value, 'kW', () => ({
    expression: 'dwellings × A + C',
    substituted: `${dwellings} × ${written(eachKw)} + ${written(onceKw)} = ${written(value)} kW`,
  }));
}

/** One way of saying what a building takes; null where it cannot be said, and why. */
export interface GroupFigure {
  readonly figure: Worked | null;
  /** Only a lower bound: something of it is not known, or the formula is for less. */
  readonly atLeast: boolean;
  readonly why?: string;
}

/** The demand of a building three ways, in kilowatts at a power factor of one. */
export interface GroupDemand {
  readonly dwellings: number;
  readonly formula: GroupFigure;
  /** Each dwelling’s own maximum demand added up, as if all came at once: an upper bound. */
  readonly sum: GroupFigure;
  /** Measured at the building’s own service. */
  readonly measured: GroupFigure;
  /** Everything behind the intake that is no dwelling’s: the landlord’s, on top of the first. */
  readonly landlord: GroupFigure;
}

/** The demand of a building’s dwellings by the operator’s formula, added up, and as measured, side by side. Source: guide section 16. */
export function groupThreeWays(
  survey: Survey,
  assessment: Assessment,
  supplies: readonly SupplyOfSite[],
  rules: Rules,
): GroupDemand {
  const volts = rules.nominalVoltageV.value;
  const dwellings = supplies.filter(({ whose }) => whose === 'dwelling');
  const landlords = supplies.filter(({ whose }) => whose === 'landlord');
  return {
    dwellings: dwellings.length,
    formula: byFormula(survey, dwellings.length, rules),
    sum: added('Sum of the dwellings', dwellings, volts),
    measured: asMeasured(assessment, supplies, volts),
    landlord: added('Landlord’s', landlords, volts),
  };
}

const HEATS: readonly string[] = ['storage-heating', 'heat-pump', 'floor-warming'];

function byFormula({ site, loads }: Survey, dwellings: number, rules: Rules): GroupFigure {
  if (dwellings === 0) return { figure: null, atLeast: false, why: 'No dwelling recorded.' };
  const figure = groupDemand(
    dwellings,
    site?.groupEachKw ?? rules.groupEachKw.value,
    site?.groupOnceKw ?? rules.groupOnceKw.value,
  );
  const electric = site?.groupEachKw === undefined && loads.some((load) => HEATS.includes(load.class));
  return electric
    ? {
        figure,
        atLeast: true,
        why: 'Electric heating recorded: ask the operator for A with electric heating, which is higher.',
      }
    : { figure, atLeast: false };
}

function added(label: string, supplies: readonly SupplyOfSite[], volts: number): GroupFigure {
  if (supplies.length === 0) return { figure: null, atLeast: false, why: 'None recorded.' };
  const known = supplies.filter(({ empty }) => !empty);
  const short = known.length < supplies.length || known.some(({ before }) => !isWhole(before));
  const terms = known.map((each) => given(each.label, kilowatts(each, volts), 'kW'));
  if (terms.length === 0) return { figure: null, atLeast: false, why: 'No loads recorded.' };
  return {
    figure: sum(label, 'kW', terms),
    atLeast: short,
    ...(short
      ? { why: `Demand not fully known for ${supplies.length - known.length || 'some'} of ${supplies.length}.` }
      : {}),
  };
}

/** A supply’s demand on all its lines; of one on a single line, that line’s. */
function kilowatts({ before, line }: SupplyOfSite, volts: number): number {
  const lines = line === undefined ? (Object.keys(before) as Phase[]) : [line];
  return lines.reduce((total, each) => total + ((before[each]?.value ?? 0) * volts) / 1000, 0);
}

function isWhole(figures: PerPhase): boolean {
  return Object.values(figures).every(({ value, bound }) => value !== null && bound === 'exact');
}

/** Measured by a log of the whole building, where the limiting device is the building’s own. */
function asMeasured(
  { demand: { byMeasurement }, supply }: Assessment,
  supplies: readonly SupplyOfSite[],
  volts: number,
): GroupFigure {
  const whole = supplies.length === 1 || !supplies.some(({ nodeId }) => nodeId === supply.deviceId);
  if (!whole) return { figure: null, atLeast: false, why: 'The log covers one supply only.' };
  const lines = Object.entries(byMeasurement);
  const missing = lines.find(([, { value }]) => value === null);
  if (lines.length === 0 || missing)
    return { figure: null, atLeast: false, why: missing?.[1].why ?? 'Nothing has been logged.' };
  const terms = lines.map(([line, { value }]) => given(line, ((value ?? 0) * volts) / 1000, 'kW'));
  return { figure: sum('Measured', 'kW', terms), atLeast: false };
}
