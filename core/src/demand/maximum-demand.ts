import type { Allowance, Rules } from '../rules/rules';
import { LOAD_CLASSES, type ListBasis, type LoadClass, type Phase, type Premises } from '../survey/words/words';
import { figure, reckon, sum, unknownFigure, type Figure, type Step, type StepWords, type Worked } from '../worked';
import { allowanceWords, allowedCurrent, allowedOf, needsOnlyTally, Tally } from './allowance';
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

/** Why a demand by circuits is only a lower bound where sockets are known by their appliances alone. */
export const SOCKETS_LEFT_OUT = 'Appliances on sockets are listed but no socket circuit.';

/** Loads that stand for the sockets in the other basis, so that sockets are never counted twice. */
const LEFT_OUT: Readonly<Record<ListBasis, LoadClass>> = { circuits: 'socket-appliance', appliances: 'socket-circuit' };

/** The loads that count in a basis. */
export function inBasis(loads: readonly Connected[], basis: ListBasis): Connected[] {
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
  rules: Rules,
): PhaseDemand {
  const table = rules.allowances.value[premises];
  // Without interlocks every load runs and no list of the running ones is needed until somebody asks for the working.
  const running = isLocked(loads) ? runningOn(loads, phase, table) : loads;
  const label = 'Maximum demand';
  const steps = (): readonly Step[] => sum(label, 'A', partsByClass(sizedOn(running, phase), table, rules)).steps();
  const complete = loads.every(({ currentA, phases }) => currentA !== null || !phases.includes(phase));
  return { phase, worked: { label, value: totalOn(running, phase, table), unit: 'A', steps }, complete };
}

/** Whether some of the loads exclude others, so that it has to be found which run at the worst moment. */
function isLocked(loads: readonly Connected[]): boolean {
  return loads.some(({ interlock, season }) => interlock !== undefined || season !== undefined);
}

/**
 * The loads on a phase that run at the worst moment: all that have a size, but of those interlocked only one, and of
 * heating and cooling only the one whose season comes to more.
 */
export function runningOn(loads: readonly Connected[], phase: Phase, table: AllowanceTable): Sized[] {
  const sized = sizedOn(loads, phase);
  if (!isLocked(sized)) return sized;
  const worst = (set: readonly Sized[]): Sized[] => worstTogether(set, (running) => totalOn(running, phase, table));
  const [winter, summer] = [
    sized.filter(({ season }) => season !== 'cooling'),
    sized.filter(({ season }) => season !== 'heating'),
  ];
  if (winter.length === sized.length || summer.length === sized.length) return worst(sized);
  const [inWinter, inSummer] = [worst(winter), worst(summer)];
  return totalOn(inWinter, phase, table) >= totalOn(inSummer, phase, table) ? inWinter : inSummer;
}

type AllowanceTable = Readonly<Record<LoadClass, Allowance>>;

/** One tally a class, used again by every reckoning: the demand of each node on each phase is reckoned on every keystroke. */
const TALLIES = LOAD_CLASSES.map(() => new Tally());

/** The demand of loads that all run, in amperes, without its working. Loads without a size count nothing. */
function totalOn(running: readonly Connected[], phase: Phase, table: AllowanceTable): number {
  for (const tally of TALLIES) tally.clear();
  for (const load of running) if (isSized(load) && load.phases.includes(phase)) TALLIES[placeOf(load.class)]?.add(load);
  let amperes = 0;
  for (let at = 0; at < TALLIES.length; at += 1) {
    const kind = LOAD_CLASSES[at];
    const tally = TALLIES[at];
    if (!kind || !tally || tally.loads === 0) continue;
    const allowance = table[kind];
    amperes += needsOnlyTally(allowance)
      ? allowedOf(allowance, tally)
      : allowedCurrent(
          allowance,
          sizedOn(running, phase).filter((load) => load.class === kind),
        );
  }
  return amperes;
}

/** The loads on a phase that have a size. */
function sizedOn(loads: readonly Connected[], phase: Phase): Sized[] {
  return loads.filter(isSized).filter(({ phases }) => phases.includes(phase));
}

/** The same demand class by class, each with its working. */
function partsByClass(running: readonly Sized[], table: AllowanceTable, rules: Rules): Worked[] {
  return LOAD_CLASSES.flatMap((kind) => {
    const members = running.filter((load) => load.class === kind);
    if (members.length === 0) return [];
    const words = (): StepWords => ({ ...allowanceWords(table[kind], members), source: rules.allowances.source });
    return [reckon(CLASS_NAMES[kind], allowedCurrent(table[kind], members), 'A', words, members)];
  });
}

function isSized(load: Connected): load is Sized {
  return load.currentA !== null;
}

const CLASS_PLACE = new Map(LOAD_CLASSES.map((kind, at) => [kind, at]));

function placeOf(kind: LoadClass): number {
  return CLASS_PLACE.get(kind) ?? 0;
}

/** Maximum demand on each phase of a supply. */
export function demandPerPhase(
  loads: readonly Connected[],
  phases: readonly Phase[],
  premises: Premises,
  rules: Rules,
): PhaseDemand[] {
  return phases.map((phase) => demandOnPhase(loads, phase, premises, rules));
}

/** Why a basis cannot give a figure, or undefined when it can. */
export function basisGap(loads: readonly Connected[], basis: ListBasis): string | undefined {
  if (loads.length === 0) return 'No loads have been entered.';
  if (basis === 'appliances' && !loads.some((load) => load.class === 'socket-appliance'))
    return 'No appliances on sockets have been listed.';
  return undefined;
}

/**
 * Why a figure in this basis is only a lower bound: a load without a size, or sockets known to be there but listed in
 * the other way only.
 */
export function basisShortfall(loads: readonly Connected[], basis: ListBasis): string | undefined {
  const unsized = inBasis(loads, basis).filter((load) => load.currentA === null);
  if (unsized.length > 0) return `No size given for ${unsized.map((load) => load.label).join(', ')}.`;
  const has = (kind: LoadClass) => loads.some((load) => load.class === kind);
  if (basis === 'circuits' && has('socket-appliance') && !has('socket-circuit')) return SOCKETS_LEFT_OUT;
  return undefined;
}

/** Loads that do not count in a basis although nothing listed in it stands for them: sockets known only as appliances, reckoned by circuits. */
export function leftOutOf(loads: readonly Connected[], basis: ListBasis): Connected[] {
  const stands = LEFT_OUT[basis === 'circuits' ? 'appliances' : 'circuits'];
  return loads.some((load) => load.class === stands) ? [] : loads.filter((load) => load.class === LEFT_OUT[basis]);
}

/** A phase's demand as a figure, named for people. */
export function demandFigure(label: string, demand: PhaseDemand, gap?: string, shortfall?: string): Figure {
  if (gap !== undefined) return unknownFigure(label, 'A', gap);
  const complete = demand.complete && shortfall === undefined;
  return figure(demand.worked, complete ? 'exact' : 'at-least', shortfall, label);
}
