import { meterPoint } from '../route/meter-point';
import { Text } from '../survey/fields';
import type { CustomerStep } from './steps';

/** What a customer answered in one step, pictures aside. */
export class CustomerSays {
  @Text(40) choice?: string;
  @Text(500) words?: string;
  /** As typed; judged by its check digit. */
  @Text(40) number?: string;
}

/** More pictures than this nobody looks at, of one step. */
export const MOST_PICTURES = 4;

/** Why an answer cannot be sent as it is, in words for the customer; null where it can. Words may stand for a picture that cannot be taken. */
export function answerFault(
  step: Pick<CustomerStep, 'parts' | 'choices'>,
  says: CustomerSays,
  pictures: number,
): string | null {
  const { choice, words = '', number = '' } = says;
  if (choice !== undefined && !step.choices?.some(({ value }) => value === choice)) return 'Choose one of the answers.';
  if (number.trim() !== '') {
    const read = meterPoint(number);
    if (read.state === 'faulty') return `Look at the number again. ${read.says}`;
  }
  const has = {
    choice: choice !== undefined,
    picture: pictures > 0 || words.trim() !== '',
    words: words.trim() !== '',
    'meter-point': number.trim() !== '' || pictures > 0,
  };
  const [needed = 'words'] = step.parts;
  if (has[needed]) return null;
  return {
    choice: 'Choose one of the answers.',
    picture: 'Take a photo, or write why you cannot.',
    words: 'Write a few words.',
    'meter-point': 'Type the number, or take a photo of the page.',
  }[needed];
}

/** An answer in words, as a surveyor reads it: Yes, one. With “also a fan heater”. 2 photographs. */
export function saysWords(step: Pick<CustomerStep, 'choices'>, says: CustomerSays, pictures: number): string {
  const { choice, words = '', number = '' } = says;
  return [
    step.choices?.find(({ value }) => value === choice)?.label ?? '',
    words.trim() === '' ? '' : `“${words.trim()}”`,
    number.trim(),
    pictures === 0 ? '' : `${pictures} photograph${pictures === 1 ? '' : 's'}`,
  ]
    .filter((part) => part !== '')
    .join('. ');
}
