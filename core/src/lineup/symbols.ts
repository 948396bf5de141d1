import type { NodeKind } from '../survey/words/words';

/**
 * A small picture of each kind of node, our own, in a square of 20: what one sees in the cupboard rather than a code to
 * be learnt. Every subpath starts with an absolute point and goes on relatively.
 */
export const SYMBOLS: Readonly<Record<NodeKind, string>> = {
  // A cable coming up out of the ground.
  service: 'M2 17h16M10 17v-9M10 8l-4 -5M10 8l4 -5',
  // A carrier in its holder.
  'cut-out': 'M5 3h10v14h-10zM8 7h4v6h-4z',
  // A register window over a disc.
  meter: 'M3 3h14v14h-14zM6 6h8v3h-8zM7 13h6',
  'check-meter': 'M3 3h14v14h-14zM6 6h8v3h-8zM7 13l2 2l4 -4',
  // A lever in its slot.
  isolator: 'M6 2h8v16h-8zM10 13v-7M8 6h4',
  // One line becoming two.
  'split-block': 'M10 2v7M4 18v-9h12v9',
  // A lever beside a fuse.
  'switch-fuse': 'M3 3h14v14h-14zM7 14v-8M12 6h3v8h-3z',
  // A row of ways in a box.
  board: 'M2 4h16v12h-16zM5 8v4M8 8v4M11 8v4M14 8v4',
  // A ring round the conductors, and its test button.
  rcd: 'M4 10a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M10 2v16M8 10h4',
  // One way.
  device: 'M6 2h8v16h-8zM10 6v5M8 14h4',
  // On to another building.
  feeder: 'M2 10h10M9 6l4 4l-4 4M15 4v12',
};
