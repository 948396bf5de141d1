import type { CableType, Curve, Laid } from '../survey/words/words';
import type { Ruled } from './ruled';

/** What the conductors are insulated with, which sets how hot they may run. */
export type Insulation = 'thermoplastic-70' | 'thermosetting-90';

/** One size of a cable. What a column has no figure for is not in the table, and nothing is put in its place. */
export interface CableRow {
  readonly sizeMm2: number;
  /** Of the whole run, out and back; between lines for three-phase cables. */
  readonly mVPerAM: number;
  readonly capacityA: Readonly<Partial<Record<Laid, number>>>;
  /** Protective conductor of the usual make, where the make has one. */
  readonly usualCpcMm2?: number;
}

/** A kind of cable, one conductor material, with every size there is a figure for. */
export interface CableForm {
  readonly id: string;
  readonly name: string;
  readonly type: CableType;
  readonly phases: 1 | 3;
  readonly conductor: 'copper' | 'aluminium';
  readonly insulation: Insulation;
  readonly rows: readonly CableRow[];
}

/** A factor for each tabulated value; what lies between two values is not in the table. */
export type Factors = Readonly<Record<number, number>>;

/** Everything about circuits, their cables and their protection that is set from outside. */
export interface CircuitRules {
  readonly cables: Ruled<readonly CableForm[]>;
  /** Copper at 20 °C, milliohms per metre by size in mm². */
  readonly resistanceMOhmPerM: Ruled<Factors>;
  /** By temperature in °C: in air about 30 °C, in the ground about 20 °C. */
  readonly ambientInAir: Ruled<Readonly<Record<Insulation, Factors>>>;
  readonly ambientInGround: Ruled<Readonly<Record<Insulation, Factors>>>;
  /** By number of circuits together, by how they are laid. */
  readonly grouping: Ruled<Readonly<Record<Laid, Factors>>>;
  /** By length surrounded in mm; anything longer than the last takes `surroundedLonger`. */
  readonly surrounded: Ruled<Factors>;
  readonly surroundedLonger: Ruled<number>;
  readonly largestDropPercent: Ruled<number>;
  readonly lineVoltageV: Ruled<number>;
  /** From 20 °C to the temperature a conductor reaches at the limit of its insulation. */
  readonly hotFactor: Ruled<Readonly<Record<Insulation, number>>>;
  /** Lowest voltage as a share of the nominal one, for disconnection. */
  readonly leastVoltageShare: Ruled<number>;
  /** The multiple of its rating at which a circuit-breaker surely trips at once. */
  readonly instantMultiple: Ruled<Readonly<Record<Curve, number>>>;
  readonly instantS: Ruled<number>;
  /** Taken for a fault an RCD clears, time-delayed ones included. */
  readonly rcdClearsS: Ruled<number>;
  /** k of the adiabatic equation, copper. */
  readonly adiabaticK: Ruled<{
    readonly separate: number;
    readonly core: Readonly<Record<Insulation, number>>;
    readonly armour: Readonly<Record<Insulation, number>>;
  }>;
  readonly deviceRatingsA: Ruled<readonly number[]>;
  readonly rcd: Ruled<{ readonly residualMa: number; readonly leakageSharePercent: number }>;
  /** Insulation at 500 V between live conductors and earth. */
  readonly leastInsulationMOhm: Ruled<number>;
  /** Longest trip time of an RCD at its rated residual current. */
  readonly rcdTripMs: Ruled<number>;
  /** What usual devices break by themselves, and the most a board may stand with the fuse before it. */
  readonly breakingKA: Ruled<readonly [number, number]>;
  readonly touchLimitV: Ruled<number>;
  readonly longestSurgeLeadsM: Ruled<number>;
  readonly heightBandM: Ruled<readonly [number, number]>;
  /** Wireless is good from the first on, and worth a trial from the second on. */
  readonly signalDbm: Ruled<readonly [number, number]>;
  /** Settings charging equipment usually has, largest first. */
  readonly settingsA: Ruled<readonly number[]>;
}
