import type { PlainItem } from '../materials/items';

/** What a row of the comparison comes to. An addition is something that is bought or fitted besides. */
export const EQUIPMENT_VERDICTS = ['fits', 'with-addition', 'not-known', 'does-not-fit'] as const;
export type EquipmentVerdictWord = (typeof EQUIPMENT_VERDICTS)[number];

/** What is compared, row by row. */
export const EQUIPMENT_ROWS = [
  'phases',
  'rate',
  'clamp',
  'open-pen',
  'rcd',
  'direct-current',
  'network',
  'outlet',
  'reach',
  'access',
  'billing',
  'tariff',
  'generation',
  'surface',
  'sun',
  'weather',
  'height',
  'both-directions',
] as const;
export type EquipmentRowId = (typeof EQUIPMENT_ROWS)[number];

/** One row: the verdict, what it rests on, and what it adds. */
export interface EquipmentRow {
  readonly id: EquipmentRowId;
  readonly verdict: EquipmentVerdictWord;
  readonly says: string;
  readonly adds: readonly PlainItem[];
}

/** The worst of several: what does not fit decides, then what is not known. */
export function worstOf(rows: readonly Pick<EquipmentRow, 'verdict'>[]): EquipmentVerdictWord {
  const at = Math.max(0, ...rows.map(({ verdict }) => EQUIPMENT_VERDICTS.indexOf(verdict)));
  return EQUIPMENT_VERDICTS[at] ?? 'not-known';
}
