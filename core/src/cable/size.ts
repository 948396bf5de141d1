import type { CableForm, CableRow, CircuitRules } from '../rules/circuit-rules';
import { exceeds, figure, reckon, sum, unknownFigure, written, type Figure, type Unit, type Worked } from '../worked';
import { adiabaticSize } from './adiabatic';
import { capacityOf, lengthOf, type Stretch } from './capacity';
import { runImpedance } from './fault-loop';
import { found, notKnown, type Lookup } from './lookup';
import { protectiveConductor, type ProtectiveConductor, type RecordedCpc } from './protective-conductor';
import { voltDrop, type CableCurrent } from './volt-drop';

/** What may rule a size out. */
export const LIMITS = ['capacity', 'volt-drop', 'loop-impedance', 'protective-conductor'] as const;
export type Limit = (typeof LIMITS)[number];

export const LIMIT_NAMES: Readonly<Record<Limit, string>> = {
  capacity: 'current-carrying capacity',
  'volt-drop': 'volt drop',
  'loop-impedance': 'loop impedance',
  'protective-conductor': 'protective conductor',
};

/** What a run of cable has to do, whatever size it is made in. */
export interface Run {
  readonly rules: CircuitRules;
  readonly nominalV: number;
  readonly form: CableForm;
  readonly stretches: readonly Stretch[];
  readonly current: CableCurrent;
  /** Rating of the device that protects it; its capacity must not lie below that, nor below the current it carries. */
  readonly deviceA: Lookup<Worked>;
  /** From the origin to where the run begins: volt drop in percent, loop impedance in Ω. */
  readonly dropBefore: Lookup<Worked>;
  readonly loopBefore: Lookup<Worked>;
  /** The largest loop impedance at its far end, and how long a fault may then last. */
  readonly loopLimit: Lookup<Worked>;
  readonly clearsS: number;
  readonly cpc: RecordedCpc;
}

/** How one size of cable does on a run. */
export interface SizeVerdict {
  readonly sizeMm2: number;
  readonly state: 'passes' | 'fails' | 'not-known';
  /** What it fails by, and what is not known of it, in words. */
  readonly failsBy: readonly Limit[];
  readonly notKnown: readonly string[];
  readonly capacity: Figure;
  /** Of this run alone, and from the origin to its far end, in percent. */
  readonly ownDrop: Figure;
  readonly drop: Figure;
  readonly loop: Figure;
  /** The least its protective conductor may be; what it has is `cpcMm2`. */
  readonly leastCpc: Figure;
  readonly cpcMm2: number | null;
}

/** One size of cable held against everything the run asks of it. */
export function judgeSize(run: Run, row: CableRow): SizeVerdict {
  const { rules, form, stretches } = run;
  const cpc = protectiveConductor(rules, form, row, run.cpc);
  const capacity = capacityOf(rules, form, row, stretches);
  const length = lengthOf(stretches);
  const own = length.ok ? found(voltDrop(rules, run.nominalV, form, row, length.value, run.current)) : length;
  const drop = together('Volt drop from the origin', '%', run.dropBefore, own);
  const loop = loopAtEnd(run, row, cpc, length);
  const leastCpc = leastConductor(run, cpc, loop);
  const judged: readonly (readonly [Limit, Lookup<boolean>])[] = [
    // Behind a device smaller than what is drawn the cable still carries what is drawn, until the device trips or is changed.
    [
      'capacity',
      both(run.deviceA, capacity, (deviceA, carriesA) => !exceeds(Math.max(deviceA, run.current.lineA), carriesA)),
    ],
    ['volt-drop', mapped(drop, (percent) => !exceeds(percent, rules.largestDropPercent.value, '%'))],
    ['loop-impedance', both(loop, run.loopLimit, (ohm, limit) => !exceeds(ohm, limit, 'Ω'))],
    ['protective-conductor', conductorHolds(cpc, leastCpc)],
  ];
  const failsBy = judged.flatMap(([limit, holds]) => (holds.ok && !holds.value ? [limit] : []));
  // Where the device does not trip at once there is no time to reckon the conductor with: that failure says enough.
  const moot: Limit | undefined = failsBy.includes('loop-impedance') ? 'protective-conductor' : undefined;
  const unknown = judged.flatMap(([limit, holds]) =>
    holds.ok || limit === moot ? [] : [`${LIMIT_NAMES[limit]}: ${holds.says}`],
  );
  return {
    sizeMm2: row.sizeMm2,
    state: failsBy.length > 0 ? 'fails' : unknown.length > 0 ? 'not-known' : 'passes',
    failsBy,
    notKnown: unknown,
    capacity: shownFigure('Current-carrying capacity', 'A', capacity),
    ownDrop: shownFigure('Volt drop of this run', '%', own),
    drop: shownFigure('Volt drop from the origin', '%', drop),
    loop: shownFigure('Loop impedance at the far end', 'Ω', loop),
    leastCpc: shownFigure('Least protective conductor', 'mm²', leastCpc),
    cpcMm2: cpc.ok ? (cpc.value.sizeMm2 ?? null) : null,
  };
}

function loopAtEnd(run: Run, row: CableRow, cpc: Lookup<ProtectiveConductor>, length: Lookup<number>): Lookup<Worked> {
  if (!cpc.ok) return cpc;
  if (!length.ok) return length;
  const r1 = run.rules.resistanceMOhmPerM.value[row.sizeMm2];
  if (r1 === undefined) return notKnown(`resistance of ${row.sizeMm2} mm² is not in the table`);
  const own = runImpedance(
    run.rules,
    run.form.insulation,
    `R1 + R2, ${row.sizeMm2} mm²`,
    r1,
    cpc.value.mOhmPerM,
    length.value,
  );
  return together('Loop impedance at the far end', 'Ω', run.loopBefore, found(own));
}

/** Above the limit the device does not trip at once, and the equation has no time to go by. */
function leastConductor(run: Run, cpc: Lookup<ProtectiveConductor>, loop: Lookup<Worked>): Lookup<Worked> {
  if (!cpc.ok) return cpc;
  if (!loop.ok) return loop;
  if (!run.loopLimit.ok) return run.loopLimit;
  if (exceeds(loop.value.value, run.loopLimit.value.value, 'Ω')) return notKnown('the device does not trip at once');
  const faultA = run.nominalV / loop.value.value;
  const fault = reckon(
    'Earth fault current',
    faultA,
    'A',
    () => ({
      expression: 'nominal voltage ÷ loop impedance',
      substituted: `${run.nominalV} ÷ ${written(loop.value.value)} = ${written(faultA)} A`,
    }),
    [loop.value],
  );
  const least = adiabaticSize(
    'Least protective conductor',
    faultA,
    run.clearsS,
    cpc.value.k,
    run.rules.adiabaticK.source,
  );
  return found({ ...least, steps: () => [...fault.steps(), ...least.steps()] });
}

function conductorHolds(cpc: Lookup<ProtectiveConductor>, least: Lookup<Worked>): Lookup<boolean> {
  if (!cpc.ok) return cpc;
  if (!least.ok) return least;
  if (cpc.value.sizeMm2 === undefined) return notKnown('section of the armour not known');
  return found(!exceeds(least.value.value, cpc.value.sizeMm2, 'mm²'));
}

function together(label: string, unit: Unit, before: Lookup<Worked>, own: Lookup<Worked>): Lookup<Worked> {
  if (!own.ok) return own;
  if (!before.ok) return before;
  return found(before.value.value === 0 ? { ...own.value, label } : sum(label, unit, [before.value, own.value]));
}

function mapped(of: Lookup<Worked>, holds: (value: number) => boolean): Lookup<boolean> {
  return of.ok ? found(holds(of.value.value)) : of;
}

function both(a: Lookup<Worked>, b: Lookup<Worked>, holds: (a: number, b: number) => boolean): Lookup<boolean> {
  if (!a.ok) return a;
  if (!b.ok) return b;
  return found(holds(a.value.value, b.value.value));
}

/** A value looked up, as a figure; where there is none, one that says why. */
export function shownFigure(label: string, unit: Unit, of: Lookup<Worked>): Figure {
  return of.ok ? figure(of.value, 'exact', undefined, label) : unknownFigure(label, unit, sentence(of.says));
}

export function sentence(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
