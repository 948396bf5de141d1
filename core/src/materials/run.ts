/** What one run of cable takes: cable, fixings, what it is laid in, the trench, its ends, and the work of each. */
import { HAIR } from '../rules/rounding';
import type { Station } from '../finding';
import type { Laying } from '../survey/circuit';
import type { Cable } from '../survey/supply';
import type { Laid } from '../survey/words/words';
import { CONTAINMENT_NAMES, GROUND_NAMES, SURFACE_NAMES, type Containment } from '../survey/words/works-words';
import { cableItem, cableWords, fixingItem, glandItem, PLAIN_ITEMS, type PlainItem, type RunCable } from './items';
import { lineId, type Line } from './line';
import { fixingDistanceM, glandFor } from './usual';

/** A stretch of a run, as the survey records it. */
export interface RunStretch extends Laying {
  readonly id: string;
  readonly lengthM?: number | undefined;
  readonly laid?: Laid | undefined;
}

/** A run of cable from one end to the other. */
export interface CableRun {
  /** The equipment or part it belongs to. */
  readonly subjectId: string;
  readonly station: Station;
  readonly name: string;
  readonly type: Cable['type'] | undefined;
  readonly cores: number;
  readonly sizeMm2: number | null;
  /** The size was worked out and chosen by nobody. */
  readonly sizeTaken: boolean;
  readonly stretches: readonly RunStretch[];
}

/** What the firm adds to every run: waste in percent, and metres at each end. */
export interface RunTerms {
  readonly wastePercent: number;
  readonly endM: number;
}

/** Up to the tenth of a metre above. @example tenthUp(13.21) // 13.3 */
function tenthUp(metres: number): number {
  return Math.ceil(metres * 10 - HAIR) / 10;
}

function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

function isRunCable(type: CableRun['type']): type is RunCable {
  return type === 'flat-twin' || type === 'armoured';
}

/** Every line of a run. Nothing is left out for want of a record: what is missing stands as a line that says so. */
export function runLines(run: CableRun, terms: RunTerms): Line[] {
  if (run.stretches.length === 0)
    return [
      {
        id: lineId(run.subjectId, 'cable'),
        kind: 'material',
        item: null,
        text: `Cable of ${run.name}`,
        unit: 'm',
        quantity: null,
        gap: `the route of ${run.name} is not recorded`,
        from: { station: run.station, subjectId: run.subjectId, says: capital(run.name) },
      },
    ];
  return [
    ...run.stretches.flatMap((stretch, at) => stretchLines(run, stretch, at, terms)),
    ...changes(run),
    ...ends(run, terms),
  ];
}

/** Which item the cable is, or what is missing. */
function cableOf({ name, type, cores, sizeMm2 }: CableRun): { item: string; words: string } | { gap: string } {
  if (type === undefined) return { gap: `the cable of ${name} is not chosen` };
  if (!isRunCable(type)) return { gap: `the cable of ${name} has no item in the list` };
  if (sizeMm2 === null) return { gap: `the size of the cable of ${name} is not known` };
  return { item: cableItem(type, cores, sizeMm2), words: cableWords(type, cores, sizeMm2) };
}

function stretchLines(run: CableRun, stretch: RunStretch, at: number, { wastePercent }: RunTerms): Line[] {
  const { lengthM, laid, heightM } = stretch;
  const where = `${capital(run.name)}, section ${at + 1}${laid === undefined ? '' : `, ${LAID_WORDS[laid]}`}`;
  const from = { station: run.station, subjectId: stretch.id, says: where };
  const cable = cableOf(run);
  const short = lengthM === undefined ? `the length of section ${at + 1} of ${run.name} is not recorded` : undefined;
  const gap = 'gap' in cable ? cable.gap : short;
  const lines: Line[] = [
    {
      id: lineId(stretch.id, 'cable'),
      kind: 'material',
      item: 'gap' in cable ? null : cable.item,
      text: 'gap' in cable ? `Cable of ${run.name}` : cable.words,
      unit: 'm',
      quantity: lengthM === undefined ? null : tenthUp((lengthM * (100 + wastePercent)) / 100),
      from: { ...from, says: `${where}, ${lengthM ?? '?'} m and ${wastePercent} % for waste` },
      ...(gap === undefined ? {} : { gap }),
      ...(run.sizeTaken && run.sizeMm2 !== null
        ? { assumes: `The cable of ${run.name} is ${run.sizeMm2} mm², the smallest that passes.` }
        : {}),
    },
  ];
  if (lengthM === undefined) return lines;
  if (laid === 'buried') return [...lines, ...buriedLines(run, stretch, lengthM, from)];
  return [
    ...lines,
    ...holdingLines(run, stretch, lengthM, from),
    {
      id: lineId(stretch.id, 'run'),
      kind: 'work',
      task: 'run-cable',
      text: 'Run and fix cable',
      quantity: lengthM,
      ...(stretch.fixedTo === undefined ? {} : { by: stretch.fixedTo }),
      ...(heightM === undefined ? {} : { heightM }),
      from: {
        ...from,
        says: [
          where,
          stretch.fixedTo && `on ${SURFACE_NAMES[stretch.fixedTo].toLowerCase()}`,
          heightM !== undefined && `${heightM} m up`,
        ]
          .filter(Boolean)
          .join(', '),
      },
      ...(stretch.fixedTo === undefined ? { assumes: `${where}: what it is fixed to is not recorded.` } : {}),
    },
  ];
}

const LAID_WORDS: Readonly<Record<Laid, string>> = {
  clipped: 'clipped',
  enclosed: 'enclosed',
  'insulated-wall': 'in an insulated wall',
  buried: 'buried',
};

const HELD_IN: Readonly<Partial<Record<Containment, PlainItem>>> = {
  trunking: 'trunking-25',
  conduit: 'conduit-25',
  tray: 'tray-75',
  duct: 'duct-50',
};

/** What carries a cable above ground: what it is laid in by the metre, or clips by their distance. */
function holdingLines(run: CableRun, stretch: RunStretch, lengthM: number, from: Line['from']): Line[] {
  const item = stretch.containment && HELD_IN[stretch.containment];
  if (item !== undefined)
    return [
      {
        id: lineId(stretch.id, 'holding'),
        kind: 'material',
        item,
        text: PLAIN_ITEMS[item],
        unit: 'm',
        quantity: tenthUp(lengthM),
        from: {
          ...from,
          says: `${from.says}, in ${CONTAINMENT_NAMES[stretch.containment ?? 'trunking'].toLowerCase()}`,
        },
      },
    ];
  if (stretch.laid === 'insulated-wall' || !isRunCable(run.type) || run.sizeMm2 === null) return [];
  if (stretch.laid === 'enclosed')
    return [
      {
        id: lineId(stretch.id, 'holding'),
        kind: 'material',
        item: 'trunking-25',
        text: PLAIN_ITEMS['trunking-25'],
        unit: 'm',
        quantity: tenthUp(lengthM),
        from,
        assumes: `${from.says}: taken to be in trunking.`,
      },
    ];
  const apartM = fixingDistanceM(run.type, run.sizeMm2);
  return [
    {
      id: lineId(stretch.id, 'fixings'),
      kind: 'material',
      item: fixingItem(run.type, run.sizeMm2),
      text: `${run.type === 'flat-twin' ? 'Clips' : 'Cleats'} for ${run.sizeMm2} mm²`,
      unit: 'each',
      quantity: Math.floor(lengthM / apartM + HAIR) + 1,
      from: { ...from, says: `${from.says}, ${lengthM} m, a fixing every ${apartM} m` },
    },
  ];
}

/** What a trench takes: digging by the ground, a duct where one is planned, a tape, and pulling the cable in. */
function buriedLines(run: CableRun, stretch: RunStretch, lengthM: number, from: Line['from']): Line[] {
  const { dug, ground, containment } = stretch;
  const lines: Line[] = [];
  if (dug !== 'duct-there') {
    if (containment === 'duct')
      lines.push({
        id: lineId(stretch.id, 'duct'),
        kind: 'material',
        item: 'duct-50',
        text: PLAIN_ITEMS['duct-50'],
        unit: 'm',
        quantity: tenthUp(lengthM),
        from,
      });
    lines.push({
      id: lineId(stretch.id, 'tape'),
      kind: 'material',
      item: 'warning-tape',
      text: PLAIN_ITEMS['warning-tape'],
      unit: 'm',
      quantity: tenthUp(lengthM),
      from,
    });
    if (dug !== 'customer')
      lines.push({
        id: lineId(stretch.id, 'dig'),
        kind: 'work',
        task: 'dig',
        text: 'Dig and fill a trench',
        quantity: lengthM,
        ...(ground === undefined ? {} : { by: ground }),
        from: {
          ...from,
          says: `${from.says}${ground === undefined ? '' : `, through ${GROUND_NAMES[ground].toLowerCase()}`}`,
        },
        ...(dug === undefined || ground === undefined
          ? {
              assumes: [
                dug === undefined ? `We dig the trench of ${run.name}.` : '',
                ground === undefined ? `What the trench of ${run.name} goes through is not recorded.` : '',
              ]
                .filter(Boolean)
                .join(' '),
            }
          : {}),
      });
  }
  lines.push({
    id: lineId(stretch.id, 'pull'),
    kind: 'work',
    task: 'lay-in-duct',
    text: 'Pull cable through a duct or trench',
    quantity: lengthM,
    from,
    ...(dug === 'customer' ? { assumes: `The customer has the trench of ${run.name} dug and filled.` } : {}),
  });
  return lines;
}

/** Where the way of laying changes between two sections, a bush or seal. */
function changes({ stretches, station, name }: CableRun): Line[] {
  return stretches.slice(1).flatMap((stretch, at): Line[] => {
    const before = stretches[at];
    if (!before || (before.laid === stretch.laid && before.containment === stretch.containment)) return [];
    return [
      {
        id: lineId(stretch.id, 'change'),
        kind: 'material',
        item: 'transition',
        text: PLAIN_ITEMS.transition,
        unit: 'each',
        quantity: 1,
        from: { station, subjectId: stretch.id, says: `${capital(name)}, between sections ${at + 1} and ${at + 2}` },
      },
    ];
  });
}

/** Both ends of a run: cable inside what it enters, glands where it is armoured, and terminating it. */
function ends(run: CableRun, { endM }: RunTerms): Line[] {
  const from = { station: run.station, subjectId: run.subjectId, says: `${capital(run.name)}, both ends` };
  const cable = cableOf(run);
  const gland = run.sizeMm2 === null ? null : glandFor(run.cores, run.sizeMm2);
  return [
    {
      id: lineId(run.subjectId, 'ends'),
      kind: 'material',
      item: 'gap' in cable ? null : cable.item,
      text: 'gap' in cable ? `Cable of ${run.name}` : cable.words,
      unit: 'm',
      quantity: tenthUp(2 * endM),
      from: { ...from, says: `${capital(run.name)}, ${endM} m inside at each end` },
      ...('gap' in cable ? { gap: cable.gap } : {}),
    },
    ...(run.type === 'armoured'
      ? [
          {
            id: lineId(run.subjectId, 'glands'),
            kind: 'material' as const,
            item: gland === null ? null : glandItem(gland),
            text: gland === null ? 'Glands' : `Gland, ${gland} mm`,
            unit: 'each' as const,
            quantity: 2,
            from,
            ...(gland === null ? { gap: `the gland of ${run.name} is not known` } : {}),
          },
        ]
      : []),
    {
      id: lineId(run.subjectId, 'terminate'),
      kind: 'work',
      task: 'terminate',
      text: 'Terminate a cable',
      quantity: 2,
      from,
    },
  ];
}
