import type { EquipmentProfile } from '@keen-gauge/core/firm/equipment';

/** A profile in a line. */
export function profileWords({ ratedA, phases, stepsA, clamps, failSafesA }: EquipmentProfile): string {
  return [
    ratedA === undefined ? 'rating not known' : `${phases === 3 ? '3 × ' : ''}${ratedA} A`,
    stepsA?.length ? `steps ${stepsA.join(', ')} A` : 'any setting',
    clamps === undefined ? 'clamp not known' : clamps.length === 0 ? 'no clamp' : `${clamps.join(' or ')} clamp`,
    failSafesA?.length ? `fail-safe ${failSafesA.join(', ')} A` : '',
  ]
    .filter((part) => part !== '')
    .join(' · ');
}

/** Amperes as people write them in a row, smallest first; null where one is no number that can be meant. */
export function readAmperes(text: string): number[] | null {
  const parts = text.split(/[,;\s]+/).filter((part) => part !== '' && part !== 'A');
  const values = parts.map(Number);
  if (values.some((value) => !Number.isFinite(value) || value < 0 || value > 1000)) return null;
  return [...new Set(values)].sort((a, b) => a - b);
}
