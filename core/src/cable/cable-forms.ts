import type { CableForm, CableRow, CircuitRules, Insulation } from '../rules/circuit-rules';
import type { Answer, CableType } from '../survey/words/words';
import { found, notInTable, notKnown, type Lookup } from './lookup';

const CABLE_NAMES: Readonly<Record<CableType, string>> = {
  tails: 'Tails',
  'flat-twin': 'Flat twin',
  armoured: 'Armoured cable',
  'split-concentric': 'Split concentric',
  other: 'Cable of another kind',
};

/**
 * The table of a kind of cable for one or three phases, in copper. Its 90 °C figures are used only where the terminals at both ends are
 * declared for them; otherwise a cable is only as good as its terminals, 70 °C. Source: BS 7671 512.1.5.
 */
export function cableForm(
  rules: CircuitRules,
  type: CableType | undefined,
  phases: 1 | 3,
  terminalsFor90?: Answer,
): Lookup<CableForm> {
  if (type === undefined) return notKnown('kind of cable not known');
  const forms = rules.cables.value.filter(
    (each) => each.type === type && each.phases === phases && each.conductor === 'copper',
  );
  const hottest: Insulation = terminalsFor90 === 'yes' ? 'thermosetting-90' : 'thermoplastic-70';
  const form = forms.find(({ insulation }) => insulation === hottest) ?? (forms.length === 1 ? forms[0] : undefined);
  const lines = phases === 3 ? 'three-phase' : 'single-phase';
  return form ? found(form) : notInTable(`${CABLE_NAMES[type]}, ${lines}, is not in the table`);
}

/** One size of a cable; sizes between two tabulated ones are not made up. */
export function cableRow(form: CableForm, sizeMm2: number | undefined): Lookup<CableRow> {
  if (sizeMm2 === undefined) return notKnown('size of the cable not known');
  const row = form.rows.find((each) => each.sizeMm2 === sizeMm2);
  return row ? found(row) : notInTable(`${form.name}: ${sizeMm2} mm² is not in the table`);
}
