import type { TrialWayResult } from '@keen-gauge/core/survey/trial';

/** The figures of a trial, each that of a year. */
export const FIGURES = [
  { id: 'highestA', name: 'Highest', unit: 'A', digits: 1 },
  { id: 'minutesOver', name: 'Minutes over', unit: 'min', digits: 0 },
  { id: 'longestOverMin', name: 'Longest run over', unit: 'min', digits: 0 },
  { id: 'warmestPercent', name: 'Fuse warmth', unit: '%', digits: 0 },
  { id: 'morningsShort', name: 'Mornings not ready', unit: '', digits: 0 },
  { id: 'shortKwh', name: 'Short', unit: 'kWh', digits: 0 },
  { id: 'pauses', name: 'Pauses', unit: '', digits: 0 },
] as const satisfies readonly { readonly id: keyof TrialWayResult; name: string; unit: string; digits: number }[];
export type TrialFigure = (typeof FIGURES)[number];
