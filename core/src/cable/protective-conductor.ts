import type { CableForm, CableRow, CircuitRules } from '../rules/circuit-rules';
import type { CpcKind } from '../survey/words/circuit-words';
import { found, notInTable, notKnown, type Lookup } from './lookup';

/** What was recorded of the protective conductor of a run. */
export interface RecordedCpc {
  readonly cpc?: CpcKind;
  readonly cpcMm2?: number;
  readonly cpcMOhmPerM?: number;
}

/** The protective conductor of a run: its resistance, and what its size must stand up to. */
export interface ProtectiveConductor {
  /** Not known for an armour whose section nobody gave. */
  readonly sizeMm2: number | undefined;
  readonly mOhmPerM: number;
  readonly k: number;
}

/**
 * The protective conductor that goes with a size of cable. A core of an armoured cable is as large as the others; flat
 * twin has the usual one of its make; an armour has the resistance its maker states, which no table here holds.
 */
export function protectiveConductor(
  rules: CircuitRules,
  form: CableForm,
  row: CableRow,
  recorded: RecordedCpc,
): Lookup<ProtectiveConductor> {
  const k = rules.adiabaticK.value;
  if (recorded.cpc === 'armour')
    return recorded.cpcMOhmPerM === undefined
      ? notKnown('resistance of the armour not known: take it from the maker’s data')
      : found({ sizeMm2: recorded.cpcMm2, mOhmPerM: recorded.cpcMOhmPerM, k: k.armour[form.insulation] });
  const separate = recorded.cpc === 'separate';
  const sizeMm2 = separate ? recorded.cpcMm2 : coreSize(form, row, recorded);
  if (sizeMm2 === undefined)
    return notKnown(separate ? 'size of the separate cpc not known' : 'what serves as protective conductor not known');
  const mOhmPerM = rules.resistanceMOhmPerM.value[sizeMm2];
  if (mOhmPerM === undefined) return notInTable(`a cpc of ${sizeMm2} mm² is not in the table`);
  return found({ sizeMm2, mOhmPerM, k: separate ? k.separate : k.core[form.insulation] });
}

function coreSize(form: CableForm, row: CableRow, { cpc, cpcMm2 }: RecordedCpc): number | undefined {
  if (cpcMm2 !== undefined) return cpcMm2;
  if (row.usualCpcMm2 !== undefined) return row.usualCpcMm2;
  return cpc === 'core' && form.type === 'armoured' ? row.sizeMm2 : undefined;
}
