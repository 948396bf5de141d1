import type { SupplyNode } from '../survey/supply';
import type { NodeKind, Phase } from '../survey/words/words';

/** A usual shape of a supply, to start from. Data only: nothing in it is known of any one supply. */
export interface StartingShape {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** Set where the shape is of that many phases and no other. */
  readonly phases?: 1 | 3;
  readonly nodes: readonly SupplyNode[];
}

type Line = readonly [id: string, kind: NodeKind, more?: Partial<SupplyNode>];

/** Nodes in a line, each fed from the one before it; the first from `from`. */
function line(from: string | undefined, ...links: readonly Line[]): SupplyNode[] {
  return links.map(([id, kind, more], at) => {
    const fedFrom = links[at - 1]?.[0] ?? from;
    return { id, kind, ...(fedFrom === undefined ? {} : { fedFrom }), ...more };
  });
}

const usual = line(
  undefined,
  ['service', 'service'],
  ['cut-out', 'cut-out'],
  ['meter', 'meter'],
  ['isolator', 'isolator'],
);

/** A flat's own supply off a common block: switch-fuse, meter, board. */
function flat(number: number, from: string, phase?: Phase): SupplyNode[] {
  const on = phase === undefined ? {} : { phase };
  return line(
    from,
    [`flat-${number}-switch-fuse`, 'switch-fuse', { label: `Flat ${number} switch-fuse`, ...on }],
    [`flat-${number}-meter`, 'meter', { label: `Flat ${number} meter` }],
    [`flat-${number}-board`, 'board', { label: `Flat ${number} board` }],
  );
}

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];

export const STARTING_SHAPES: readonly StartingShape[] = [
  {
    id: 'one-board',
    name: 'One board',
    note: 'Cut-out, meter, isolator, board',
    nodes: [...usual, ...line('isolator', ['board', 'board'])],
  },
  {
    id: 'two-boards',
    name: 'Two boards',
    note: 'Tails split to two boards',
    nodes: [
      ...usual,
      ...line('isolator', ['split-block', 'split-block'], ['board', 'board', { label: 'House board' }]),
      ...line('split-block', ['board-2', 'board', { label: 'Second board' }]),
    ],
  },
  {
    id: 'outbuilding',
    name: 'With an outbuilding',
    note: 'A feeder from the board to another',
    nodes: [
      ...usual,
      ...line(
        'isolator',
        ['board', 'board', { label: 'House board' }],
        ['feeder', 'feeder', { label: 'Outbuilding feeder' }],
        ['outbuilding', 'board', { label: 'Outbuilding board' }],
      ),
    ],
  },
  {
    id: 'three-phase',
    name: 'Three-phase intake',
    note: 'Three fuses, one three-phase board',
    phases: 3,
    nodes: [...usual, ...line('isolator', ['board', 'board', { label: 'Three-phase board' }])],
  },
  {
    id: 'flat-switch-fuse',
    name: 'Flat on a switch-fuse',
    note: 'Solid link at the head; the switch-fuse limits',
    nodes: line(
      undefined,
      ['service', 'service'],
      ['cut-out', 'cut-out', { label: 'Head', head: 'solid-link' }],
      ['switch-fuse', 'switch-fuse'],
      ['meter', 'meter'],
      ['board', 'board', { label: 'Flat board' }],
    ),
  },
  {
    id: 'landlord-and-flats',
    name: 'Landlord beside flats',
    note: 'Three-phase head, landlord supply and six flats',
    phases: 3,
    nodes: [
      ...line(undefined, ['service', 'service'], ['cut-out', 'cut-out'], ['split-block', 'split-block']),
      ...line(
        'split-block',
        ['landlord-switch-fuse', 'switch-fuse', { label: 'Landlord switch-fuse' }],
        ['meter', 'meter', { label: 'Landlord meter' }],
        ['board', 'board', { label: 'Landlord board' }],
      ),
      ...[1, 2, 3, 4, 5, 6].flatMap((number) => flat(number, 'split-block', LINES[(number - 1) % 3])),
    ],
  },
  {
    id: 'check-meter',
    name: 'With a check meter',
    note: 'A second meter on part of the house',
    nodes: [
      ...usual,
      ...line('isolator', ['split-block', 'split-block'], ['board', 'board', { label: 'House board' }]),
      ...line('split-block', ['check-meter', 'check-meter'], ['annexe', 'board', { label: 'Annexe board' }]),
    ],
  },
];
