import type { HabitId } from './habits';

/** Something usually plugged in, in amperes at 230 V. */
interface Plugged {
  readonly name: string;
  readonly currentA: number;
  readonly habit: HabitId;
}

/** What is usually found on the sockets of a home, where only its circuits are known: an assumption, marked as one. */
const ON_THE_FIRST: readonly Plugged[] = [
  { name: 'kettle', currentA: 13, habit: 'kettle' },
  { name: 'washing-machine', currentA: 9.1, habit: 'machine' },
  { name: 'dishwasher', currentA: 8.7, habit: 'machine' },
  { name: 'cold', currentA: 0.9, habit: 'cold-and-standby' },
  { name: 'screens', currentA: 1.7, habit: 'screens' },
  { name: 'toaster', currentA: 5, habit: 'short-use' },
];

const ON_ANOTHER: readonly Plugged[] = [
  { name: 'screens', currentA: 0.9, habit: 'screens' },
  { name: 'cleaner', currentA: 7, habit: 'short-use' },
];

/** What is taken to be plugged into a socket circuit: the kitchen's into the first listed, a room's into any other. */
export function pluggedInto(circuitIndex: number): readonly Plugged[] {
  return circuitIndex === 0 ? ON_THE_FIRST : ON_ANOTHER;
}
