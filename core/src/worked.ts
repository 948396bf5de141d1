import { fixed, SHOWN_DECIMALS, toleranceOf, type ShownUnit } from './rules/rounding';

/** A figure that carries its unit and its working, and small combinators that write the working as they reckon. */

export type Unit = 'A' | 'kVA' | 'W' | 'kW' | 'Ω' | 'V' | '%' | 'm' | 'mm²';

/** One line of working. */
export interface Step {
  /** What this line finds. */
  readonly label: string;
  /** The rule in symbols or words. */
  readonly expression: string;
  /** The same with this survey's values put in. */
  readonly substituted: string;
  readonly value: number;
  readonly unit: Unit;
  /** Where the rule comes from. */
  readonly source?: string;
}

/**
 * A figure as shown to people: the value (null when it cannot be known yet, with the reason in `why`),
 * and whether it is the whole of it or only a lower bound because something is still missing.
 */
export interface Figure {
  readonly label: string;
  readonly value: number | null;
  readonly unit: Unit;
  readonly bound: 'exact' | 'at-least';
  readonly why?: string | undefined;
  readonly working: readonly Step[];
}

/**
 * A known value on its way through a calculation. Its working is written only when somebody asks for it, since most
 * figures are reckoned on every keystroke and read by nobody.
 */
export interface Worked {
  readonly label: string;
  readonly value: number;
  readonly unit: Unit;
  readonly steps: () => readonly Step[];
}

/** The words of a step; its label, value and unit are those of the value it explains. */
export interface StepWords {
  readonly expression: string;
  readonly substituted: string;
  readonly source?: string;
}

const NO_STEPS = (): readonly Step[] => [];

/** Two decimals, as a line of working is written; whole numbers plain. What is said of a value outside its working is `shown`. */
export function written(value: number): string {
  return Number.isInteger(value) ? String(value) : fixed(value, 2);
}

/** How many decimals a figure of a unit is shown with. */
export function digitsOf(value: number, unit: Unit): number {
  return unit === 'mm²' && Number.isInteger(value) ? 0 : SHOWN_DECIMALS[unit];
}

/** A starting value that needs no working of its own. */
export function given(label: string, value: number, unit: Unit): Worked {
  return { label, value, unit, steps: NO_STEPS };
}

/** A value found by one stated rule from inputs, whose own steps come first. */
export function reckon(
  label: string,
  value: number,
  unit: Unit,
  words: () => StepWords,
  inputs: readonly { readonly steps: () => readonly Step[] }[] = [],
): Worked {
  return {
    label,
    value,
    unit,
    steps: () => [...inputs.flatMap((input) => input.steps()), { label, ...words(), value, unit }],
  };
}

/** The sum of several values in one unit; a single term passes through without a needless step. */
export function sum(label: string, unit: Unit, terms: readonly Worked[]): Worked {
  const value = terms.reduce((total, term) => total + term.value, 0);
  if (terms.length === 1 && terms[0]) return { label, value, unit, steps: terms[0].steps };
  return reckon(
    label,
    value,
    unit,
    () => ({
      expression: terms.map((term) => term.label).join(' + ') || 'nothing to add',
      substituted: `${terms.map((term) => written(term.value)).join(' + ') || '0'} = ${written(value)} ${unit}`,
    }),
    terms,
  );
}

/** What is left of the first after the second is taken away. Units must agree. */
export function difference(label: string, from: Worked, less: Worked): Worked {
  const value = from.value - less.value;
  return reckon(
    label,
    value,
    from.unit,
    () => ({
      expression: `${from.label} − ${less.label}`,
      substituted: `${written(from.value)} − ${written(less.value)} = ${written(value)} ${from.unit}`,
    }),
    [from, less],
  );
}

/**
 * A figure whose working is written on first reading. A class, because a getter in an object literal would cost a
 * hidden class for every figure made.
 */
class LazyFigure implements Figure {
  private written: readonly Step[] | undefined;

  constructor(
    readonly label: string,
    readonly value: number,
    readonly unit: Unit,
    readonly bound: Figure['bound'],
    readonly why: string | undefined,
    private readonly steps: () => readonly Step[],
  ) {}

  get working(): readonly Step[] {
    return (this.written ??= this.steps());
  }

  toJSON(): Figure {
    const { label, value, unit, bound, why, working } = this;
    return { label, value, unit, bound, ...(why === undefined ? {} : { why }), working };
  }
}

/** A finished figure from a worked value, under another name if one is given. */
export function figure(worked: Worked, bound: Figure['bound'] = 'exact', why?: string, label = worked.label): Figure {
  return new LazyFigure(label, worked.value, worked.unit, bound, why, worked.steps);
}

/** A figure taken up again as an input; `value` is its value, known not to be null. */
export function fromFigure(from: Figure, value: number): Worked {
  return { label: from.label, value, unit: from.unit, steps: () => from.working };
}

/** The same figure, known to be only a lower bound. */
export function atLeast(from: Figure, why: string): Figure {
  return from.value === null ? from : figure(fromFigure(from, from.value), 'at-least', why);
}

/** A figure that cannot be known yet, and why. */
export function unknownFigure(label: string, unit: Unit, why: string): Figure {
  return { label, value: null, unit, bound: 'at-least', why, working: [] };
}

/** Greater than by more than the tolerance of its unit, so that whatever is over is shown to be over by something. */
export function exceeds(value: number, limit: number, unit: ShownUnit = 'A'): boolean {
  return value > limit + toleranceOf(unit);
}
