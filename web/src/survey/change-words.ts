import type { Change, Path, Value } from '@keen-gauge/core/record/changes';

/** Changes as people read them in the history and when asked which to keep. */

const NAMES: Readonly<Record<string, string>> = {
  place: 'Place',
  supply: 'Supply',
  intake: 'Intake',
  earthing: 'Earthing',
  loads: 'Loads',
  proposals: 'New equipment',
  request: 'Request',
  declaration: 'Declaration',
  driver: 'Driver',
  choice: 'Option chosen',
  nodes: 'nodes',
  faults: 'faults',
  readings: 'Readings',
  photos: 'Photographs',
  statements: 'From the customer',
  comments: 'Review',
  looks: 'looked for',
  signs: 'signs',
  checks: 'checks',
  services: 'bonding',
  segments: 'route',
  pen: 'open PEN',
  rcd: 'RCD',
  marks: 'marks',
};

const UNITS: Readonly<Record<string, string>> = {
  MOhmPerM: 'mΩ/m',
  KOhm: 'kΩ',
  Ohm: 'Ω',
  Mm2: 'mm²',
  Ma: 'mA',
  Mm: 'mm',
  M: 'm',
  C: '°C',
  S: 's',
  Dbm: 'dBm',
};

/** A field's name out of its key: `meterPointNumber` becomes “meter point number”, `ratingA` “rating (A)”. */
function fieldName(key: string): string {
  const unit = /(?<=[a-z])(A|W|VA|MOhmPerM|KOhm|Ohm|Mm2|Mm|Ma|M|C|S|Dbm)$/.exec(key)?.[1];
  const bare = unit ? key.slice(0, -unit.length) : key;
  const words = bare.replace(/([A-Z])/g, ' $1').toLowerCase();
  return unit ? `${words} (${UNITS[unit] ?? unit})` : words;
}

/** An id by lot says nothing to anybody: what it is of says itself in its value. */
const BY_LOT = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}(-\d+)?$/;

/** Where a change is: “Place: postcode”, “Loads: cooker: power (W)”. */
export function placeWords(path: Path): string {
  return path
    .filter((key) => key !== 'nodes' && !BY_LOT.test(key))
    .map(
      (key, index, kept) =>
        NAMES[key] ?? (index === kept.length - 1 && !/[-_]/.test(key) ? fieldName(key) : key.replaceAll('-', ' ')),
    )
    .join(': ');
}

/** The same where a fault of the server’s is, which names members of lists by their place: `$.loads[3].powerW` is “Loads: 4: power (W)”. */
export function faultPlaceWords(jsonPath: string): string {
  const keys = jsonPath.match(/[^.[\]$]+/g) ?? [];
  return keys.length === 0
    ? 'The survey'
    : placeWords(keys.map((key) => (/^\d+$/.test(key) ? `${Number(key) + 1}` : key)));
}

/** A value in a few words. */
export function valueWords(value: Value | undefined): string {
  if (value === undefined) return 'not known';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'object') return String(value);
  for (const name of ['label', 'caption', 'fileName'])
    if (name in value) {
      const words = (value as Readonly<Record<string, Value>>)[name];
      if (typeof words === 'string') return words;
    }
  if ('asked' in value && 'says' in value && typeof value.asked === 'string' && typeof value.says === 'string')
    return `${value.asked} ${value.says}`;
  if ('answer' in value && typeof value.answer === 'string') return value.answer.replaceAll('-', ' ');
  if ('class' in value && typeof value.class === 'string') return value.class.replaceAll('-', ' ');
  if ('kind' in value && typeof value.kind === 'string') return value.kind.replaceAll('-', ' ');
  return Array.isArray(value) ? `${value.length} entries` : 'several fields';
}

export function changeWords(change: Change): string {
  const where = placeWords(change.path);
  if (change.kind === 'order') return `${where}: put in another order`;
  const whole = typeof (change.to ?? change.from) === 'object';
  if (whole && change.from === undefined) return `${where}: added ${valueWords(change.to)}`;
  if (whole && change.to === undefined) return `${where}: removed ${valueWords(change.from)}`;
  return `${where}: ${valueWords(change.from)} → ${valueWords(change.to)}`;
}
