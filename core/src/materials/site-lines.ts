/** What the place itself takes: walls drilled, rooms cleared, travel, labels. */
import type { Survey } from '../survey/survey';
import { DISRUPTION_NAMES, SURFACE_NAMES, type Disruption } from '../survey/words/works-words';
import type { Task } from '../price/tasks';
import { PLAIN_ITEMS } from './items';
import { lineId, type Line } from './line';

const TASK_OF: Readonly<Record<Disruption, Task>> = {
  furniture: 'furniture',
  floor: 'floor',
  decoration: 'decoration',
  garden: 'garden',
};

export function siteLines({ works, proposals, pool }: Survey): Line[] {
  if (proposals.length === 0 && (pool?.outlets.length ?? 0) === 0) return [];
  const { drillings = [], rooms = [], travelMin } = works ?? {};
  return [
    ...drillings.flatMap(({ id, through, thicknessMm, where }, at): Line[] => {
      const says = `Wall ${at + 1}${where === undefined ? '' : `, ${where}`}${
        through === undefined ? '' : `, ${SURFACE_NAMES[through].toLowerCase()}`
      }${thicknessMm === undefined ? '' : `, ${thicknessMm} mm`}`;
      const from = { station: 'works', subjectId: id, says } as const;
      return [
        {
          id: lineId(id, 'seal'),
          kind: 'material',
          item: 'wall-seal',
          text: PLAIN_ITEMS['wall-seal'],
          unit: 'each',
          quantity: 1,
          from,
        },
        {
          id: lineId(id, 'drill'),
          kind: 'work',
          task: 'drill',
          text: 'Drill a wall',
          quantity: thicknessMm === undefined ? null : thicknessMm / 100,
          ...(through === undefined ? {} : { by: through }),
          from,
          ...(thicknessMm === undefined ? { gap: `how thick wall ${at + 1} is, is not recorded` } : {}),
        },
      ];
    }),
    ...rooms.flatMap(({ id, room, disrupts = [] }) =>
      disrupts.map((each): Line => ({
        id: lineId(id, each),
        kind: 'work',
        task: TASK_OF[each],
        text: DISRUPTION_NAMES[each],
        quantity: 1,
        from: { station: 'works', subjectId: id, says: `${room ?? 'A room'}: ${DISRUPTION_NAMES[each].toLowerCase()}` },
      })),
    ),
    {
      id: 'site-labels',
      kind: 'material',
      item: 'labels-set',
      text: PLAIN_ITEMS['labels-set'],
      unit: 'each',
      quantity: 1,
      from: { station: 'after', says: 'Labels and notices of the new circuit and its limit' },
    },
    {
      id: 'site-travel',
      kind: 'work',
      task: 'travel',
      text: 'Travel, there and back',
      quantity: 1,
      ...(travelMin === undefined
        ? { gap: 'how long the way to the site takes is not recorded' }
        : { hours: (2 * travelMin) / 60 }),
      from: {
        station: 'works',
        says: travelMin === undefined ? 'Travel to site' : `Travel to site, ${travelMin} min each way`,
      },
    },
  ];
}
