import type { Load } from '../survey/load';
import { typedNumber } from '../survey/typed-number';
import type { LoadClass } from '../survey/words/words';
import { findAppliances } from './appliances';

/** What is not sure of a line, as a question; the line is taken once it is answered. */
export type PasteDoubt = 'class' | 'size';

/** A pasted line as a load, with what is not sure of it; or why it is none. */
export type PastedLine =
  | {
      readonly line: string;
      readonly load: Omit<Load, 'id'>;
      /** What its class was told by; null where nothing in the line says. */
      readonly by: string | null;
      readonly doubts: readonly PasteDoubt[];
    }
  | { readonly line: string; readonly says: string };

/** `3 ×`, `3 x`, `3 of`, at the start; `× 3`, `x3`, at the end. */
const COUNT_BEFORE = /^(\d{1,3})\s*(?:[x×*](?=\s|\d)|of\b|no\.?\s)\s*/i;
const COUNT_AFTER = /\s*[x×*]\s*(\d{1,3})\s*$/i;
/** `2.4 kW`, `2400W`, `10 A`, `500 VA`, `1.200,5 W`, anywhere. */
const SIZE = /(\d[\d.,\u00a0\u202f ]*\d|\d)\s*(kw|w|watts?|kva|va|amps?|amperes?|a)\b/i;

/** Words that name a circuit rather than an appliance: its size in amperes is its device's. */
const CIRCUITS: readonly (readonly [RegExp, LoadClass])[] = [
  [/\b(ring|radial|sockets?|outlets?|ring final|rfc|spurs?)\b/i, 'socket-circuit'],
];

/** What a thing is, by the words in its name, the more telling first. A size says nothing of what takes it. */
const CLASSES: readonly (readonly [RegExp, LoadClass])[] = [
  [/\bheat[ -]?pumps?\b|\bashp\b|\bgshp\b/i, 'heat-pump'],
  [/\b(ev|evse|car|vehicle|van)\b.*\b(charg\w*|point)\b|\bcharge ?points?\b/i, 'ev-charging'],
  [/\b(hot tubs?|saunas?|kilns?|welders?|steam rooms?|spas?)\b/i, 'hot-tub-sauna-kiln-welder'],
  [/\b(showers?|instantaneous)\b(?!.*\bpumps?\b)|\bover-?sink\b|\bhand ?wash\b/i, 'instantaneous-water-heating'],
  [
    /\b(immersions?|urns?|water boilers?|boiling[ -]water taps?|water heaters?|under-?sink|cylinders?)\b/i,
    'thermostatic-water-heating',
  ],
  [/\b(storage heaters?|storage heating|electric boilers?)\b/i, 'storage-heating'],
  [/\b(under-?floor|floor) (heating|warming|heat)\b|\bufh\b/i, 'floor-warming'],
  [/\b(cookers?|ovens?|hobs?|range|grill|fryers?|griddle|bain-marie)\b(?!.*\bhoods?\b)/i, 'cooking'],
  [/\b(lights?|lighting|lamps?|downlights?|leds?)\b/i, 'lighting'],
  [/\b(pumps?|motors?|fans?|air con\w*|a\/?c|lifts?|compressors?|lathes?|extractors?)\b/i, 'motor'],
  [
    /\b(panel|wall|convector|towel|bathroom|infra-?red|plinth|kickspace) ?(heaters?|rails?)?\b|\bheaters?\b|\bboilers?\b|\bhoods?\b/i,
    'heating-and-power',
  ],
];

/** Appliances that are plugged in although a word of theirs names something fixed. */
const PLUGGED =
  /\b(microwave|tumble|hair|stair ?lift|portable|table-?top|fan heaters?|halogen|oil-filled|pedestal|slow|rice|air fryer|deep fryer|lamp)\b/i;

/**
 * Lines as people write them, “3 × 2.4 kW panel heater”, “oven 3.6 kW x 2”, “32A ring”, each as a load. What it is is told by its words, never
 * by its size; where no word tells, or a number can be read two ways, that is asked. A line without a size takes the usual one of what it names.
 */
export function readPasted(text: string): PastedLine[] {
  return text
    .split(/\r?\n/)
    .map((line) => line.trim().replace(/^[-•·]\s*/, ''))
    .filter((line) => line !== '')
    .map(readLine);
}

function readLine(line: string): PastedLine {
  const before = COUNT_BEFORE.exec(line);
  const uncounted = line.replace(COUNT_BEFORE, '');
  const after = before ? null : COUNT_AFTER.exec(uncounted);
  const rest = after ? uncounted.replace(COUNT_AFTER, '') : uncounted;
  const quantity = Number(before?.[1] ?? after?.[1] ?? 1);
  const size = SIZE.exec(rest);
  const name = rest
    .replace(SIZE, ' ')
    .replace(/[,;:@()]+/g, ' ')
    .replace(/\s+(each|ea)\b/i, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (name.length > 100) return { line, says: 'The name is longer than 100 characters.' };
  if (quantity < 1) return { line, says: 'There are none of it.' };
  const number = size ? typedNumber(size[1] ?? '') : null;
  if (number && number.kind !== 'number' && number.kind !== 'either')
    return { line, says: `“${size?.[1] ?? ''}” is no number: write 1200.5 or 1200,5.` };
  const told = classOf(name);
  const usual = usualOf(name, told?.class);
  if (!number && !usual) return { line, says: 'No size is given, and no usual appliance has that name.' };
  const value = number?.kind === 'either' ? number.whole : number?.value;
  const sized = value === undefined ? { powerW: usual?.powerW ?? 0 } : sizeOf(value, (size?.[2] ?? '').toLowerCase());
  const doubts: PasteDoubt[] = [
    ...(told === null ? (['class'] as const) : []),
    ...(number?.kind === 'either' ? (['size'] as const) : []),
  ];
  return {
    line,
    by: told?.by ?? null,
    doubts,
    load: {
      class: told?.class ?? 'socket-appliance',
      ...(name === '' ? {} : { label: name }),
      ...sized,
      ...('powerW' in sized && usual?.powerFactor !== undefined ? { powerFactor: usual.powerFactor } : {}),
      ...(quantity > 1 ? { quantity } : {}),
      // A usual power nobody has read off a plate is a guess.
      ...(value === undefined ? { assumed: true } : {}),
    },
  };
}

/** What the words of a line say it is, and by which; null where none does. */
function classOf(name: string): { readonly class: LoadClass; readonly by: string } | null {
  const plugged = PLUGGED.exec(name);
  if (plugged) return { class: 'socket-appliance', by: plugged[0].toLowerCase() };
  for (const [words, kind] of [...CLASSES, ...CIRCUITS]) {
    const found = words.exec(name);
    if (found) return { class: kind, by: found[0].toLowerCase() };
  }
  const known = bestKnown(name);
  return known ? { class: known.class, by: known.name } : null;
}

/** The usual appliance of that name, if it is of that class. */
function usualOf(name: string, kind: LoadClass | undefined): ReturnType<typeof bestKnown> {
  const known = bestKnown(name);
  return known && (kind === undefined || known.class === kind) ? known : undefined;
}

/** The appliance whose own name or other words these are, or that has the most of them; the name of its class does not count. */
function bestKnown(name: string): ReturnType<typeof findAppliances>[number] | undefined {
  const words = name
    .toLowerCase()
    .split(/\s+/)
    .map((word) => word.replace(/(?<=[a-z]{3})s$/, ''));
  for (let length = words.length; length > 0; length -= 1)
    for (let from = 0; from + length <= words.length; from += 1) {
      const part = words.slice(from, from + length);
      if (part.join('').length <= 3) continue;
      const found = findAppliances(part.join(' '), 12).find(({ name: own, also = '' }) =>
        // One word alone names a thing only where its name begins with it: “machine” names none.
        part.length === 1
          ? own.toLowerCase().startsWith(part.join('')) || also.toLowerCase().includes(part.join(''))
          : part.every((word) => `${own} ${also}`.toLowerCase().includes(word)),
      );
      if (found) return found;
    }
  return undefined;
}

function sizeOf(value: number, unit: string): Pick<Load, 'powerW' | 'currentA' | 'apparentVA'> {
  if (unit === 'kw') return { powerW: Math.round(value * 1000) };
  if (unit.startsWith('w')) return { powerW: value };
  if (unit === 'kva') return { apparentVA: Math.round(value * 1000) };
  if (unit === 'va') return { apparentVA: value };
  return { currentA: value };
}
