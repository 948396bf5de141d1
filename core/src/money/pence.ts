/** Money: whole pence throughout, each sum with its working. */
import { fixed, HAIR } from '../rules/rounding';

/** A whole number of pence; below nought it is taken off. */
export type Pence = number;

/** An amount to the whole penny, half a penny away from nought. @example pence(1234.5) // 1235 */
export function pence(amount: number): Pence {
  // A hair over half is left by floating point where half was meant.
  const whole = Math.floor(Math.abs(amount) + 0.5 + HAIR);
  return amount < 0 && whole !== 0 ? -whole : whole;
}

/** So many of something at so much each, rounded once. @example times(12.5, 199) // 2488 */
export function times(quantity: number, each: Pence): Pence {
  return pence(quantity * each);
}

/** A share of an amount in percent, rounded once. @example share(9999, 20) // 2000 */
export function share(amount: Pence, percent: number): Pence {
  return pence((amount * percent) / 100);
}

/** A price as bought with the mark-up on it, before it is multiplied: not rounded, so that it is rounded once. */
export function marked(buy: Pence, percent: number): number {
  return (buy * (100 + percent)) / 100;
}

/** Pounds and pence as people write them. @example pounds(123456) // '£1,234.56' */
export function pounds(amount: Pence): string {
  const [whole = '0', part = '00'] = fixed(Math.abs(amount) / 100, 2).split('.');
  return `${amount < 0 ? '−' : ''}£${whole.replace(/\B(?=(\d{3})+$)/g, ',')}.${part}`;
}

/** Pounds as somebody typed them, as pence; null where it is no amount. @example penceOf('1,234.5') // 123450 */
export function penceOf(typed: string): Pence | null {
  const plain = typed.replace(/[£\s\u2009,]/g, '');
  if (!/^-?\d+(\.\d{1,2})?$/.test(plain)) return null;
  const [whole = '', part = ''] = plain.replace('-', '').split('.');
  const amount = Number(whole) * 100 + Number(part.padEnd(2, '0'));
  return plain.startsWith('-') ? -amount : amount;
}

/** One line of working of a sum. */
export interface MoneyStep {
  readonly label: string;
  readonly expression: string;
  readonly substituted: string;
  readonly pence: Pence;
  readonly source?: string;
}

/** A sum, and how it was found, written when somebody asks. */
export interface Money {
  readonly label: string;
  readonly pence: Pence;
  readonly working: () => readonly MoneyStep[];
}

/** A sum found by one stated rule from others, whose steps come first. */
export function money(
  label: string,
  amount: Pence,
  words: () => Omit<MoneyStep, 'label' | 'pence'>,
  inputs: readonly Money[] = [],
): Money {
  return {
    label,
    pence: amount,
    working: () => [...inputs.flatMap((each) => each.working()), { label, pence: amount, ...words() }],
  };
}

/** Several sums added up; they add up to the penny, since each is whole pence. */
export function total(label: string, parts: readonly Money[]): Money {
  const amount = parts.reduce((all, each) => all + each.pence, 0);
  return money(
    label,
    amount,
    () => ({
      expression: parts.map((each) => each.label).join(' + ') || 'nothing to add',
      substituted: `${parts.map((each) => pounds(each.pence)).join(' + ') || pounds(0)} = ${pounds(amount)}`,
    }),
    parts,
  );
}
