import type { CableForm, CableRow, CircuitRules } from '../rules/circuit-rules';
import type { Laid } from '../survey/words/words';
import { reckon, written, type Worked } from '../worked';
import { found, notInTable, notKnown, type Lookup } from './lookup';

/** A stretch of cable laid in one way throughout; what is left out is not known. */
export interface Stretch {
  readonly lengthM?: number;
  readonly laid?: Laid;
  readonly circuitsTogether?: number;
  readonly ambientC?: number;
  readonly insulationMm?: number;
}

const LAID_NAMES: Readonly<Record<Laid, string>> = {
  clipped: 'clipped direct',
  enclosed: 'in trunking or conduit',
  'insulated-wall': 'in an insulated wall',
  buried: 'in the ground or a duct',
};

/** Temperatures the tables are made for, taken where nobody has given one. */
const REFERENCE_C: Readonly<Record<'air' | 'ground', number>> = { air: 30, ground: 20 };

/**
 * What a cable carries along one stretch, in amperes: the tabulated current times the factors for ambient temperature,
 * grouping and thermal insulation. Source: BS 7671 523 and appendix 4. Where the temperature or the grouping is not
 * recorded the table's own conditions are taken, which `assumptionsOf` says; nothing is interpolated.
 */
export function stretchCapacity(rules: CircuitRules, form: CableForm, row: CableRow, stretch: Stretch): Lookup<Worked> {
  const { laid } = stretch;
  if (laid === undefined) return notKnown('how it is laid not known');
  const tabulatedA = row.capacityA[laid];
  if (tabulatedA === undefined)
    return notInTable(`${form.name} ${row.sizeMm2} mm² ${LAID_NAMES[laid]} is not in the table`);
  const medium = laid === 'buried' ? 'ground' : 'air';
  const ambient = medium === 'ground' ? rules.ambientInGround : rules.ambientInAir;
  const ambientC = stretch.ambientC ?? REFERENCE_C[medium];
  const ca = ambient.value[form.insulation][ambientC];
  if (ca === undefined) return notInTable(`${ambientC} °C in the ${medium} is not in the table`);
  const together = stretch.circuitsTogether ?? 1;
  const cg = rules.grouping.value[laid][together];
  if (cg === undefined) return notInTable(`${together} circuits together ${LAID_NAMES[laid]} is not in the table`);
  const ci = insulationFactor(rules, stretch.insulationMm ?? 0);
  if (ci === undefined)
    return notInTable(`${stretch.insulationMm ?? 0} mm of insulation around it is not in the table`);
  const capacityA = tabulatedA * ca * cg * ci;
  return found(
    reckon('Current-carrying capacity', capacityA, 'A', () => ({
      expression: `tabulated, ${LAID_NAMES[laid]} × ambient ${ambientC} °C × grouping of ${together} × insulation`,
      substituted: `${written(tabulatedA)} × ${written(ca)} × ${written(cg)} × ${written(ci)} = ${written(capacityA)} A`,
      source: rules.cables.source,
    })),
  );
}

function insulationFactor({ surrounded, surroundedLonger }: CircuitRules, lengthMm: number): number | undefined {
  const longest = Math.max(...Object.keys(surrounded.value).map(Number));
  return lengthMm > longest ? surroundedLonger.value : surrounded.value[lengthMm];
}

/** The least of all stretches, since the worst of them decides. */
export function capacityOf(
  rules: CircuitRules,
  form: CableForm,
  row: CableRow,
  stretches: readonly Stretch[],
): Lookup<Worked> {
  if (stretches.length === 0) return notKnown('its route is not recorded');
  let least: Worked | undefined;
  for (const stretch of stretches) {
    const here = stretchCapacity(rules, form, row, stretch);
    if (!here.ok) return here;
    if (least === undefined || here.value.value < least.value) least = here.value;
  }
  return least ? found(least) : notKnown('its route is not recorded');
}

/** The length of the whole route in metres, or that part of it is not measured. */
export function lengthOf(stretches: readonly Stretch[]): Lookup<number> {
  if (stretches.length === 0) return notKnown('its route is not recorded');
  let total = 0;
  for (const { lengthM } of stretches) {
    if (lengthM === undefined) return notKnown('its length is not known');
    total += lengthM;
  }
  return found(total);
}

/** What was taken for want of a record, in words; empty when everything was recorded. */
export function assumptionsOf(stretches: readonly Stretch[]): string[] {
  const taken: string[] = [];
  if (stretches.some(({ circuitsTogether }) => circuitsTogether === undefined)) taken.push('running alone');
  if (stretches.some(({ ambientC, laid }) => ambientC === undefined && laid !== 'buried')) taken.push('air at 30 °C');
  if (stretches.some(({ ambientC, laid }) => ambientC === undefined && laid === 'buried'))
    taken.push('ground at 20 °C');
  if (stretches.some(({ insulationMm }) => insulationMm === undefined)) taken.push('no insulation around it');
  return taken;
}
