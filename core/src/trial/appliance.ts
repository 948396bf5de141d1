import type { LoadClass, Season } from '../survey/words/words';
import type { HabitId } from './habits';

/** What a class of load may draw at once at one part of the supply on one line: `cell` numbers the sets, `capA` is what this one has to keep. */
export interface Cap {
  readonly cell: number;
  readonly capA: number;
}

/** Something that is played: so many alike, each at most once at a time and within its own current. */
export interface Appliance {
  readonly id: string;
  readonly class: LoadClass;
  readonly habit: HabitId;
  /** Of one, on each of its lines; what a back-up heater adds to it is told apart. */
  readonly currentA: number;
  readonly backupA?: number | undefined;
  readonly count: number;
  /** The most one may draw where its allowance counts it at less than its current, in amperes. */
  readonly mostA: number;
  /** How many lines its energy is drawn from. */
  readonly lines: number;
  /** Which of the plan's sums it is part of. */
  readonly sums: readonly number[];
  /** Sets it shares an allowance with others in; empty where nothing could pass one. */
  readonly caps: readonly Cap[];
  readonly season?: Season | undefined;
  readonly interlock?: string | undefined;
  /** Taken as usual, since only the circuit is known. */
  readonly assumed?: boolean | undefined;
}
