/** What a row of bays takes: its trunk by the metre, a tap for every bay, an outlet for every bay that has one now. */
import type { Pool } from '../survey/pool';
import { equipmentItem, PLAIN_ITEMS } from './items';
import { lineId, type Line } from './line';
import { runLines, type RunTerms } from './run';

export function rowLines(pool: Pool | undefined, profileId: string | undefined, terms: RunTerms): Line[] {
  if (!pool || pool.outlets.length === 0) return [];
  const trunk = pool.trunk ?? {};
  const ends = pool.outlets.map(({ alongM }) => alongM);
  const known = ends.filter((each) => each !== undefined);
  // To the millimetre: distances that were added up may carry a hair.
  const lengthM = known.length === ends.length ? Math.round(Math.max(...known) * 1000) / 1000 : undefined;
  const now = pool.outlets.filter(({ prepared }) => !prepared).length;
  const from = { station: 'circuit', says: `The row, ${pool.outlets.length} bays` } as const;
  return [
    ...runLines(
      {
        subjectId: 'row',
        station: 'circuit',
        name: 'the trunk of the row',
        type: 'armoured',
        cores: 5,
        sizeMm2: trunk.sizeMm2 ?? null,
        sizeTaken: false,
        stretches: [{ id: 'row-trunk', lengthM, laid: trunk.laid }],
      },
      terms,
    ),
    {
      id: 'row-taps',
      kind: 'material',
      item: 'tap-box',
      text: PLAIN_ITEMS['tap-box'],
      unit: 'each',
      quantity: pool.outlets.length,
      from: { ...from, says: `${from.says}, a tap for each, ${pool.outlets.length - now} of them prepared only` },
    },
    {
      id: 'row-outlets',
      kind: 'material',
      item: profileId === undefined ? null : equipmentItem(profileId),
      text: 'Outlets of the row',
      unit: 'each',
      quantity: now,
      from: { ...from, says: `${from.says}, ${now} with an outlet now` },
      ...(profileId === undefined ? { gap: 'the outlets of the row are not chosen from the list' } : {}),
    },
    {
      id: 'row-fit',
      kind: 'work',
      task: 'fit-equipment',
      text: 'Fit the outlets of the row',
      quantity: now,
      from,
    },
    {
      id: lineId('row', 'taps-work'),
      kind: 'work',
      task: 'terminate',
      text: 'Connect the taps of the row',
      quantity: pool.outlets.length * 2,
      from,
    },
    { id: 'row-test', kind: 'work', task: 'test', text: 'Inspect and test the outlets', quantity: now, from },
  ];
}
