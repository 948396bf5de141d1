/** What the supply itself takes: planned boards, blocks and tails, feeders laid anew, earth and bonding, and what is taken out. */
import type { Decided } from '../assessment';
import { coresNeeded } from '../circuit/reuse';
import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import { nodeName } from '../survey/words/words';
import { isGoing } from '../tree/going';
import { phaseAt, type SupplyTree } from '../tree/supply-tree';
import { nodeOf } from '../tree/sets-below';
import { deviceItem, deviceWords, PLAIN_ITEMS, type PlainItem } from './items';
import { lineId, type Line, type WorkLine } from './line';
import { runLines, type RunTerms } from './run';
import { BONDING_M, TAILS_M } from './usual';

const PLANNED: Readonly<Partial<Record<SupplyNode['kind'], PlainItem>>> = {
  'split-block': 'split-block',
  isolator: 'isolator-100',
  'switch-fuse': 'switch-fuse',
  rcd: 'rcd-100-s',
};

/** Everything of the supply that this work fits, lays or takes out. */
export function supplyLines(survey: Survey, assessment: Decided, tree: SupplyTree, terms: RunTerms): Line[] {
  return [
    ...survey.supply.nodes.flatMap((node) => (node.planned ? plannedLines(node, survey) : [])),
    ...survey.supply.nodes.flatMap((node) => (node.cable?.planned ? feederLines(node, survey, tree, terms) : [])),
    ...earthLines(assessment),
    ...goingLines(survey),
    ...phasesLines(survey),
  ];
}

function plannedLines(node: SupplyNode, { supply, proposals }: Survey): Line[] {
  const { id, kind, cable } = node;
  const from = { station: 'line-up', subjectId: id, says: `${nodeName(node)}, to be fitted` } as const;
  const material = (role: string, item: PlainItem, unit: 'each' | 'm', quantity: number, assumes?: string): Line => ({
    id: lineId(id, role),
    kind: 'material',
    item,
    text: PLAIN_ITEMS[item],
    unit,
    quantity,
    from,
    ...(assumes === undefined ? {} : { assumes }),
  });
  const work = (task: WorkLine['task'], text: string): Line => ({
    id: lineId(id, 'work'),
    kind: 'work',
    task,
    text,
    quantity: 1,
    from,
  });
  const tails = (): Line =>
    material(
      'tails',
      'tails-25',
      'm',
      2 * (cable?.lengthM ?? TAILS_M),
      cable?.lengthM === undefined ? `${nodeName(node)} is within ${TAILS_M} m of what feeds it.` : undefined,
    );
  if (kind === 'board') {
    const larger = proposals.some(({ nodeId, way }) => nodeId === id && way?.plan === 'larger-board');
    const item = node.place === 'outdoors' ? 'board-outdoor' : larger ? 'board-10-way' : 'board-small';
    return [material('board', item, 'each', 1), tails(), work('fit-board', PLAIN_ITEMS[item])];
  }
  if (kind === 'device') {
    const { ratingA, curve = 'B', poles } = node;
    if (ratingA === undefined)
      return [
        {
          id: lineId(id, 'device'),
          kind: 'material',
          item: null,
          text: nodeName(node),
          unit: 'each',
          quantity: 1,
          gap: `the rating of ${nodeName(node)} is not recorded`,
          from,
        },
        work('fit-device', `Fit ${nodeName(node)}`),
      ];
    const wide = poles === undefined ? (supply.phases === 3 && node.phase === undefined ? 3 : 1) : poles > 2 ? 3 : 1;
    return [
      {
        id: lineId(id, 'device'),
        kind: 'material',
        item: deviceItem(curve, ratingA, wide, null),
        text: deviceWords(curve, ratingA, wide, null),
        unit: 'each',
        quantity: 1,
        from,
      },
      work('fit-device', `Fit ${nodeName(node)}`),
    ];
  }
  const item = PLANNED[kind];
  return item === undefined ? [] : [material('part', item, 'each', 1), tails(), work('tails', PLAIN_ITEMS[item])];
}

/** A feeder, or any other part’s cable, that is laid with this work; and its device, where that changes with it. */
function feederLines(node: SupplyNode, { supply }: Survey, tree: SupplyTree, terms: RunTerms): Line[] {
  const { id, cable = {}, ratingA } = node;
  const name = nodeName(node);
  const lines = supply.phases === 3 && phaseAt(nodeOf(tree, id)) === undefined ? 3 : 1;
  const from = { station: 'line-up', subjectId: id, says: `${name}, laid anew` } as const;
  return [
    ...(node.planned || ratingA === undefined
      ? []
      : [
          {
            id: lineId(id, `device-${ratingA}`),
            kind: 'material' as const,
            item: deviceItem(node.curve ?? 'B', ratingA, lines, null),
            text: deviceWords(node.curve ?? 'B', ratingA, lines, null),
            unit: 'each' as const,
            quantity: 1,
            from,
            ...(node.curve === undefined ? { assumes: `The device of ${name} is B${ratingA}.` } : {}),
          },
          {
            id: lineId(id, 'device-work'),
            kind: 'work' as const,
            task: 'fit-device' as const,
            text: `Fit the device of ${name}`,
            quantity: 1,
            from,
          },
        ]),
    ...runLines(
      {
        subjectId: id,
        station: 'line-up',
        name,
        type: cable.type,
        cores: cable.type === 'flat-twin' ? 3 : coresNeeded(lines, cable.cpc),
        sizeMm2: cable.sizeMm2 ?? null,
        sizeTaken: false,
        stretches: [{ ...cable, id: `${id}-way` }],
      },
      terms,
    ),
    { id: lineId(id, 'test'), kind: 'work', task: 'test', text: `Inspect and test ${name}`, quantity: 1, from },
  ];
}

/** Earthing conductor sizes that a list has, in mm². */
const EARTH_SIZES = [10, 16] as const;

/** Bonding and earthing conductors that are missing or too small, of the size the assessment asks for. */
function earthLines({ earthing: { bonding, conductor } }: Decided): Line[] {
  const run = (part: string, says: string, leastMm2: number | null): Line[] => {
    const sizeMm2 = leastMm2 === null ? undefined : EARTH_SIZES.find((each) => each >= leastMm2);
    const item = sizeMm2 === undefined ? null : (`earth-conductor-${sizeMm2}` as const);
    const from = { station: 'earthing', says } as const;
    return [
      {
        id: lineId(part, 'earth-cable'),
        kind: 'material',
        item,
        text: item === null ? 'Earthing or bonding conductor' : PLAIN_ITEMS[item],
        unit: 'm',
        quantity: BONDING_M,
        ...(item === null ? { gap: `the size of the conductor is not known or not in the list: ${says}` } : {}),
        assumes: `${says}: taken to be ${BONDING_M} m.`,
        from,
      },
      {
        id: lineId(part, 'earth-work'),
        kind: 'work',
        task: 'bonding',
        text: 'Run a bonding or earthing conductor',
        quantity: 1,
        from,
      },
    ];
  };
  return [
    ...bonding.services
      .filter(({ state }) => state === 'fails')
      .flatMap(({ id, name }): Line[] => {
        const says = `Bonding of ${name.toLowerCase()}`;
        return [
          ...run(id, says, bonding.least.value),
          {
            id: lineId(id, 'bond-clamp'),
            kind: 'material',
            item: 'bonding-clamp',
            text: PLAIN_ITEMS['bonding-clamp'],
            unit: 'each',
            quantity: 1,
            from: { station: 'earthing', says },
          },
        ];
      }),
    ...(conductor.holds === false ? run('conductor', 'Earthing conductor', conductor.least.value) : []),
  ];
}

/** Taking out what goes: each load that is removed or replaced, and each part. */
function goingLines({ loads, supply }: Survey): Line[] {
  const line = (id: string, name: string, station: 'loads' | 'line-up', quantity: number): Line => ({
    id: lineId(id, 'remove'),
    kind: 'work',
    task: 'remove',
    text: `Take out ${name}`,
    quantity,
    from: { station, subjectId: id, says: `${name}, goes with this work` },
  });
  return [
    ...loads
      .filter(isGoing)
      .map(({ id, label, class: kind, quantity = 1 }) =>
        line(id, label ?? kind.replaceAll('-', ' '), 'loads', quantity),
      ),
    ...supply.nodes.filter(({ goes }) => goes).map((node) => line(node.id, nodeName(node), 'line-up', 1)),
  ];
}

/** More phases need a board for them, and nothing in a survey plans it by itself. */
function phasesLines({ request, supply }: Survey): Line[] {
  if (!request.newPhases || supply.nodes.some(({ kind, planned }) => kind === 'board' && planned)) return [];
  return [
    {
      id: 'new-phases-board',
      kind: 'material',
      item: null,
      text: 'Board and meter equipment for three phases',
      unit: 'each',
      quantity: null,
      gap: 'the board and meter equipment for three phases are not planned',
      from: { station: 'route', says: 'More phases are asked for' },
    },
  ];
}
