import type { NodeKind } from '@keen-gauge/core/survey/words/words';

/** Ratings usually met on each kind of node, in amperes. */
export const USUAL_RATINGS_A: Readonly<Record<NodeKind, readonly number[]>> = {
  service: [],
  'cut-out': [60, 80, 100],
  meter: [80, 100],
  'check-meter': [40, 100],
  isolator: [100],
  'split-block': [100],
  'switch-fuse': [60, 63, 80, 100],
  board: [63, 80, 100],
  rcd: [40, 63, 80, 100],
  device: [6, 16, 20, 32, 40],
  feeder: [16, 20, 32, 40],
};

const LABELS: Partial<Readonly<Record<NodeKind, string>>> = {
  meter: 'Maximum current',
  'check-meter': 'Maximum current',
  board: 'Main switch rating',
  rcd: 'Rated current',
  service: 'What the service may carry',
};

/** What the rating of a kind of node is called. */
export function ratingLabel(kind: NodeKind): string {
  return LABELS[kind] ?? 'Rating, each phase';
}
