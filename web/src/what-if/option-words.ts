import type { Option } from '@keen-gauge/core/options/option';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** Whether new equipment fits under an option, in the words every screen uses. */
export function fitWords({ holds, kind, also }: Pick<Option, 'holds' | 'kind' | 'also'>): string {
  if (holds === null) return 'Not known yet';
  if (!holds) return 'Does not fit';
  const limited = [kind, also].some((each) => each === 'fixed-limit' || each === 'managed');
  return limited ? 'Fits if limited' : 'Fits';
}

/** The survey with an option taken over, and who chose it. */
export function withOption({ choice }: Survey, { kind, also, survey }: Option, chosenBy: string): Survey {
  // The second of two ways chosen before goes with them.
  const { also: _also, ...rest } = choice ?? {};
  return { ...survey, choice: { ...rest, option: kind, ...(also === undefined ? {} : { also }), chosenBy } };
}
