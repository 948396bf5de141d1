import type { Place } from './place';

export type AddressParts = Pick<Place, 'addressLine1' | 'addressLine2' | 'town' | 'postcode'>;

/** A postcode of the United Kingdom, whole: area and district, then sector and unit. */
const POSTCODE = /\b([A-Z]{1,2}\d[A-Z\d]?)\s*(\d[A-Z]{2})\b/i;

/** A postcode as it is written on letters: capitals, one space; anything else as it was typed. */
export function writtenPostcode(typed: string): string {
  const found = POSTCODE.exec(typed.trim());
  return found?.[0] === typed.trim() ? `${found[1] ?? ''} ${found[2] ?? ''}`.toUpperCase() : typed;
}

/**
 * An address pasted or typed in one line, in its parts: the postcode wherever it stands, the first part, the town last, what is between in the second line.
 * What has no comma and no line break is one line and nothing else.
 * @example addressOf('7 Hollow Row, Netherby, zz1 1tl') // { addressLine1: '7 Hollow Row', town: 'Netherby', postcode: 'ZZ1 1TL' }
 */
export function addressOf(text: string): AddressParts {
  const found = POSTCODE.exec(text);
  const rest = found ? text.replace(found[0], ' ') : text;
  const parts = rest
    .split(/[,\n]/)
    .map((part) => part.replace(/\s+/g, ' ').trim())
    .filter((part) => part !== '');
  const [first, ...more] = parts;
  const town = more.pop();
  return {
    ...(first === undefined ? {} : { addressLine1: first }),
    ...(more.length > 0 ? { addressLine2: more.join(', ') } : {}),
    ...(town === undefined ? {} : { town }),
    ...(found ? { postcode: writtenPostcode(found[0]) } : {}),
  };
}
