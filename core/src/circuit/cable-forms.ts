import type { CableForm, CableRow, CircuitRules } from '../rules/circuit-rules';
import type { CableType } from '../survey/words';
import { found, notInTable, notKnown, type Lookup } from './lookup';

const CABLE_NAMES: Readonly<Record<CableType, string>> = {
  tails: 'Tails',
  'flat-twin': 'Flat twin',
  armoured: 'Armoured cable',
  'split-concentric': 'Split concentric',
  other: 'Cable of another kind',
};

/** The table of a kind of cable for one or three phases, in copper. */
export function cableForm(rules: CircuitRules, type: CableType | undefined, phases: 1 | 3): Lookup<CableForm> {
  if (type === undefined) return notKnown('kind of cable not known');
  const form = rules.cables.value.find(
    (each) => each.type === type && each.phases === phases && each.conductor === 'copper',
  );
  const lines = phases === 3 ? 'three-phase' : 'single-phase';
  return form ? found(form) : notInTable(`${CABLE_NAMES[type]}, ${lines}, is not in the table`);
}

/** One size of a cable; sizes between two tabulated ones are not made up. */
export function cableRow(form: CableForm, sizeMm2: number | undefined): Lookup<CableRow> {
  if (sizeMm2 === undefined) return notKnown('size of the cable not known');
  const row = form.rows.find((each) => each.sizeMm2 === sizeMm2);
  return row ? found(row) : notInTable(`${form.name}: ${sizeMm2} mm² is not in the table`);
}
