import type { Load } from '../survey/load';
import { findAppliances } from './appliances';

/** A pasted line as a load, or why it is none. */
export type PastedLine =
  { readonly line: string; readonly load: Omit<Load, 'id'> } | { readonly line: string; readonly says: string };

/** `3 ×`, `3 x`, `3 of`, at the start. */
const COUNT = /^(\d{1,3})\s*(?:[x×*]|of\b)\s*/i;
/** `2.4 kW`, `2400W`, `10 A`, `500 VA`, decimal comma allowed, anywhere. */
const SIZE = /(\d+(?:[.,]\d+)?)\s*(kw|w|kva|va|amps?|a)\b/i;

/**
 * Lines as people write them, “3 × 2.4 kW panel heater”, each as a load. What it is is known by its words; a line of an
 * appliance nobody knows is a socket appliance, to be corrected. A line without a size takes the usual one of what it
 * names; one with neither is told.
 */
export function readPasted(text: string): PastedLine[] {
  return text
    .split(/\r?\n/)
    .map((line) => line.trim().replace(/^[-•·]\s*/, ''))
    .filter((line) => line !== '')
    .map(readLine);
}

function readLine(line: string): PastedLine {
  const quantity = Number(COUNT.exec(line)?.[1] ?? 1);
  const rest = line.replace(COUNT, '');
  const size = SIZE.exec(rest);
  const name = rest
    .replace(SIZE, ' ')
    .replace(/[,;:@()]+/g, ' ')
    .replace(/\s+(each|ea)\b/i, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (name.length > 100) return { line, says: 'The name is longer than 100 characters.' };
  if (quantity < 1) return { line, says: 'There are none of it.' };
  const known = bestKnown(name);
  if (!size && !known) return { line, says: 'No size is given, and no usual appliance has that name.' };
  const sized = size ? sizeOf(Number((size[1] ?? '').replace(',', '.')), (size[2] ?? '').toLowerCase()) : {};
  const kind = known?.class ?? 'socket-appliance';
  return {
    line,
    load: {
      class: kind,
      ...(name === '' ? {} : { label: name }),
      ...(size ? sized : { powerW: known?.powerW ?? 0 }),
      ...('powerW' in sized || !size
        ? known?.powerFactor === undefined
          ? {}
          : { powerFactor: known.powerFactor }
        : {}),
      ...(quantity > 1 ? { quantity } : {}),
    },
  };
}

/** The appliance whose name these words are, or that has the most of them. */
function bestKnown(name: string): ReturnType<typeof findAppliances>[number] | undefined {
  const words = name
    .toLowerCase()
    .split(/\s+/)
    .map((word) => word.replace(/(?<=[a-z]{3})s$/, ''));
  for (let length = words.length; length > 0; length -= 1)
    for (let from = 0; from + length <= words.length; from += 1) {
      const [found] = findAppliances(words.slice(from, from + length).join(' '), 1);
      if (found && words.slice(from, from + length).join('').length > 3) return found;
    }
  return undefined;
}

function sizeOf(value: number, unit: string): Pick<Load, 'powerW' | 'currentA' | 'apparentVA'> {
  if (unit === 'kw') return { powerW: Math.round(value * 1000) };
  if (unit === 'w') return { powerW: value };
  if (unit === 'kva') return { apparentVA: Math.round(value * 1000) };
  if (unit === 'va') return { apparentVA: value };
  return { currentA: value };
}
