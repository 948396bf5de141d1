import type { Allowance, RulePack } from '../rules/rule-pack';
import { LOAD_CLASSES, type Basis, type LoadClass, type Phase, type Premises } from '../survey/words';
import { figure, reckon, sum, unknownFigure, type Figure, type Step, type StepWords, type Worked } from '../worked';
import { allowanceWords, allowedCurrent } from './allowance';
import type { Connected } from './connected';
import { worstTogether } from './interlock';

/** The demand of a set of loads on one phase: amperes, and whether something with no size given is missing from it. */
export interface PhaseDemand {
  readonly phase: Phase;
  readonly worked: Worked;
  readonly complete: boolean;
}

/** Names of the classes as people say them. */
export const CLASS_NAMES: Readonly<Record<LoadClass, string>> = {
  lighting: 'Lighting',
  'heating-and-power': 'Heating and power, fixed',
  cooking: 'Cooking',
  'instantaneous-water-heating': 'Instantaneous water heating',
  'thermostatic-water-heating': 'Thermostatic water heating',
  'floor-warming': 'Floor warming',
  'storage-heating': 'Storage heating',
  'socket-circuit': 'Socket circuits',
  'socket-appliance': 'Socket appliances',
  motor: 'Motors and pumps',
  'heat-pump': 'Heat pump',
  'ev-charging': 'Vehicle charging',
  'hot-tub-sauna-kiln-welder': 'Hot tub, sauna, kiln or welder',
};

/** Loads that stand for the sockets in the other basis, so that sockets are never counted twice. */
const LEFT_OUT: Readonly<Record<Basis, LoadClass>> = { circuits: 'socket-appliance', appliances: 'socket-circuit' };

/** The loads that count in a basis. */
export function inBasis(loads: readonly Connected[], basis: Basis): Connected[] {
  return loads.filter((load) => load.class !== LEFT_OUT[basis]);
}

type Sized = Connected & { readonly currentA: number };

/**
 * Maximum demand of a set of loads on one phase, in amperes: each class by its allowance, interlocked loads at their
 * worst, classes added up. The set is taken as a whole: demands of parts do not add up to the demand of the whole.
 * Source: the pack's allowances (BS 7671 311.1).
 */
export function demandOnPhase(
  loads: readonly Connected[],
  phase: Phase,
  premises: Premises,
  pack: RulePack,
): PhaseDemand {
  const table = pack.allowances.value[premises];
  const here = onPhase(loads, phase);
  const sized = here.every(isSized) ? here : here.filter(isSized);
  const running = sized.some(({ interlock }) => interlock) ? worstTogether(sized, (set) => totalOf(set, table)) : sized;
  const label = 'Maximum demand';
  const steps = (): readonly Step[] => sum(label, 'A', partsByClass(running, table, pack)).steps();
  return { phase, worked: { label, value: totalOf(running, table), unit: 'A', steps }, complete: sized === here };
}

type AllowanceTable = Readonly<Record<LoadClass, Allowance>>;

/** The demand of loads that all run, in amperes, without its working. Most nodes carry one load on a phase. */
function totalOf(running: readonly Sized[], table: AllowanceTable): number {
  const [only] = running;
  if (only && running.length === 1) return allowedCurrent(table[only.class], running);
  let amperes = 0;
  byClass(running).forEach((members, at) => {
    const kind = LOAD_CLASSES[at];
    if (kind) amperes += allowedCurrent(table[kind], members);
  });
  return amperes;
}

/** The loads on a phase; the list itself where all of them are, as on every single-phase supply. */
function onPhase(loads: readonly Connected[], phase: Phase): readonly Connected[] {
  const on = (load: Connected): boolean => load.phases.includes(phase);
  return loads.every(on) ? loads : loads.filter(on);
}

/** The same demand class by class, each with its working. */
function partsByClass(running: readonly Sized[], table: AllowanceTable, pack: RulePack): Worked[] {
  const classes = byClass(running);
  return LOAD_CLASSES.flatMap((kind, at) => {
    const members = classes[at];
    if (!members) return [];
    const words = (): StepWords => ({ ...allowanceWords(table[kind], members), source: pack.allowances.source });
    return [reckon(CLASS_NAMES[kind], allowedCurrent(table[kind], members), 'A', words, members)];
  });
}

function isSized(load: Connected): load is Sized {
  return load.currentA !== null;
}

const CLASS_PLACE = new Map(LOAD_CLASSES.map((kind, at) => [kind, at]));

/** Loads by the place of their class in the list of classes; places of absent classes are empty. */
function byClass(loads: readonly Sized[]): Sized[][] {
  const found: Sized[][] = [];
  for (const load of loads) {
    const at = CLASS_PLACE.get(load.class) ?? 0;
    const members = found[at];
    if (members) members.push(load);
    else found[at] = [load];
  }
  return found;
}

/** Maximum demand on each phase of a supply. */
export function demandPerPhase(
  loads: readonly Connected[],
  phases: readonly Phase[],
  premises: Premises,
  pack: RulePack,
): PhaseDemand[] {
  return phases.map((phase) => demandOnPhase(loads, phase, premises, pack));
}

/** Why a basis cannot give a figure, or undefined when it can. */
export function basisGap(loads: readonly Connected[], basis: Basis): string | undefined {
  if (loads.length === 0) return 'No loads have been entered.';
  if (basis === 'appliances' && !loads.some((load) => load.class === 'socket-appliance'))
    return 'No appliances on sockets have been listed.';
  return undefined;
}

/**
 * Why a figure in this basis is only a lower bound: a load without a size, or sockets known to be there but listed in
 * the other way only.
 */
export function basisShortfall(loads: readonly Connected[], basis: Basis): string | undefined {
  const unsized = inBasis(loads, basis).filter((load) => load.currentA === null);
  if (unsized.length > 0) return `No size given for ${unsized.map((load) => load.label).join(', ')}.`;
  const has = (kind: LoadClass) => loads.some((load) => load.class === kind);
  if (basis === 'circuits' && has('socket-appliance') && !has('socket-circuit'))
    return 'Appliances on sockets are listed but no socket circuit.';
  return undefined;
}

/** A phase's demand as a figure, named for people. */
export function demandFigure(label: string, demand: PhaseDemand, gap?: string, shortfall?: string): Figure {
  if (gap !== undefined) return unknownFigure(label, 'A', gap);
  const complete = demand.complete && shortfall === undefined;
  return figure(demand.worked, complete ? 'exact' : 'at-least', shortfall, label);
}
