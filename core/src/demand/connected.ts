import { equipmentName, type ProposalKind } from '../survey/words/kinds';
import type { Load } from '../survey/load';
import type { Proposal } from '../survey/proposal';
import type { LoadClass, LoadPhase, Phase, Season } from '../survey/words/words';
import type { Rules } from '../rules/rules';
import { given, reckon, sum, written, type Step, type Worked } from '../worked';

/** A load reduced to what the allowances need: its class and the current of one of it, per phase it is on. */
export interface Connected {
  readonly id: string;
  readonly label: string;
  readonly class: LoadClass;
  /** Each, per phase; null when nobody has said how big it is. */
  readonly currentA: number | null;
  readonly count: number;
  readonly phases: readonly Phase[];
  /** On one line of three, and nobody has said which: it counts on each of them, and once in a total of all. */
  readonly anyLine: boolean;
  readonly controlSockets: number;
  readonly mainRoom: boolean;
  readonly interlock: string | undefined;
  readonly season: Season | undefined;
  /** What it hangs from, where somebody has said. */
  readonly nodeId: string | undefined;
  /** How watts became amperes; empty when amperes were given. */
  readonly steps: () => readonly Step[];
}

const NO_STEPS = (): readonly Step[] => [];

export const SINGLE_PHASE: readonly Phase[] = ['L1'];
export const THREE_PHASES: readonly Phase[] = ['L1', 'L2', 'L3'];

const ONE_LINE: Readonly<Record<Phase, readonly Phase[]>> = { L1: ['L1'], L2: ['L2'], L3: ['L3'] };

/** The phases of a supply; single-phase until somebody says otherwise. */
export function supplyPhases(phases: 1 | 3 | undefined): readonly Phase[] {
  return phases === 3 ? THREE_PHASES : SINGLE_PHASE;
}

/**
 * Where a load draws its current. On three phases, one whose phase is not known counts on every one of them (the worst
 * it could do); on a single-phase supply everything is on the one there is.
 */
function loadPhases(load: { readonly phase?: LoadPhase }, supply: readonly Phase[]): readonly Phase[] {
  if (supply.length === 1 || load.phase === undefined || load.phase === 'all') return supply;
  return ONE_LINE[load.phase];
}

/** A survey's load as connected current, per phase. Source: W ÷ power factor ÷ volts. */
export function connectedLoad(load: Load, supply: readonly Phase[], rules: Rules): Connected {
  const own = ownCurrent(load, supply, rules);
  return {
    id: load.id,
    label: load.label ?? load.class,
    class: load.class,
    currentA: own?.value ?? null,
    count: load.quantity ?? 1,
    phases: loadPhases(load, supply),
    anyLine: supply.length > 1 && load.phase === undefined,
    controlSockets: load.class === 'cooking' ? (load.controlUnitsWithSocket ?? 1) : 0,
    mainRoom: load.mainRoom ?? true,
    interlock: load.interlock,
    season: load.season,
    nodeId: load.nodeId,
    steps: own ? () => [...own.steps(), ...severalStep(own, load.quantity ?? 1)] : NO_STEPS,
  };
}

/** How one becomes several, where there are several. */
function severalStep({ label, value, unit }: Worked, count: number): Step[] {
  if (count === 1) return [];
  const total = value * count;
  const substituted = `${count} × ${Number(value.toPrecision(3))} = ${written(total)} ${unit}`;
  return [{ label: `${label}, all ${count}`, expression: 'how many × each', substituted, value: total, unit }];
}

/** The current of one, per phase it is on; null when nobody has said how big it is. */
function ownCurrent(load: Load, supply: readonly Phase[], rules: Rules): Worked | null {
  const volts = rules.nominalVoltageV.value;
  const label = load.label ?? load.class;
  const shares = load.phase === 'all' && supply.length === 3 ? 3 : 1;
  const running = runningCurrent(load, label, volts, shares);
  if (running === null) return null;
  if (load.class === 'lighting' && load.fixedLed !== true) {
    const { value: pointW, source } = rules.filamentPointW;
    // A point is on one line: of points spread over three, each line has a third.
    const leastA = pointW / volts / shares;
    if (running.value >= leastA) return running;
    return reckon(`${label}, each point`, leastA, 'A', () => ({
      expression: `not stated as fixed LED: each point at least the filament figure ÷ V${shares === 3 ? ', a third on each line' : ''}`,
      substituted: `${pointW} ÷ ${volts}${shares === 3 ? ' ÷ 3' : ''} = ${written(leastA)} A`,
      source,
    }));
  }
  if (load.class === 'heat-pump' && load.backupHeaterW !== undefined && load.backupWithCompressor !== 'no') {
    const backup = given('back-up heater', load.backupHeaterW / volts / shares, 'A');
    return sum(`${label}, back-up heater not shown to be locked out`, 'A', [running, backup]);
  }
  return running;
}

function runningCurrent(load: Load, label: string, volts: number, shares: number): Worked | null {
  if (load.currentA !== undefined) return given(label, load.currentA, 'A');
  const powerFactor = load.powerFactor ?? 1;
  const size = load.apparentVA ?? load.powerW;
  if (size === undefined) return null;
  const withFactor = load.apparentVA === undefined && powerFactor !== 1;
  const currentA = size / (withFactor ? powerFactor : 1) / volts / shares;
  return reckon(label, currentA, 'A', () => ({
    expression: `${load.apparentVA === undefined ? 'W' : 'VA'}${withFactor ? ' ÷ power factor' : ''} ÷ V${shares === 3 ? ' ÷ 3 phases' : ''}`,
    substituted: `${size}${withFactor ? ` ÷ ${powerFactor}` : ''} ÷ ${volts}${shares === 3 ? ' ÷ 3' : ''} = ${written(currentA)} A`,
  }));
}

/**
 * The class each kind of new equipment counts in: always one that no premises has an allowance on, since it may run for hours and
 * the operator is told of all of it. Storage takes its charging current as a vehicle does; PV takes none.
 */
const CLASSES: Readonly<Record<ProposalKind, LoadClass>> = {
  'vehicle-charger': 'ev-charging',
  'vehicle-to-home': 'ev-charging',
  'heat-pump': 'heat-pump',
  'electric-heating': 'storage-heating',
  pv: 'ev-charging',
  battery: 'ev-charging',
};

/** New equipment as a connected load drawing `currentA` on each of its phases. */
export function connectedProposal(proposal: Proposal, currentA: number | null, supply: readonly Phase[]): Connected {
  return {
    id: proposal.id,
    label: proposal.label ?? (proposal.kind === 'vehicle-charger' ? 'New vehicle charger' : equipmentName(proposal)),
    class: CLASSES[proposal.kind],
    currentA,
    count: 1,
    phases: proposal.phases === 3 ? supply : loadPhases(proposal, supply),
    anyLine: supply.length > 1 && proposal.phases !== 3 && proposal.phase === undefined,
    controlSockets: 0,
    mainRoom: true,
    interlock: proposal.interlock,
    season: undefined,
    nodeId: proposal.nodeId,
    steps: NO_STEPS,
  };
}
