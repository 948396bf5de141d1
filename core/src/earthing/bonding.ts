import type { Statement } from '../finding';
import type { FuseRating } from '../intake/fuse-rating';
import type { Rules } from '../rules/rules';
import type { BondedService } from '../survey/earthing';
import { BONDED_PART_NAMES, type BondedPart } from '../survey/words/earthing-words';
import type { Survey } from '../survey/survey';
import type { SupplyTree } from '../tree/supply-tree';
import { exceeds, figure, reckon, unknownFigure, written, type Figure, type Worked } from '../worked';
import { earthingConductorSize, tailsSize } from './conductor-size';

/** The main bonding conductor a supply asks for, or why that cannot be said yet. */
export interface BondingSize {
  readonly worked: Worked | undefined;
  readonly why: string;
  /** The neutral was taken as one usual behind such a fuse. */
  readonly taken: boolean;
}

/** One service: whether it has to be bonded, and whether it is well enough. */
export interface ServiceVerdict {
  readonly id: BondedPart;
  readonly name: string;
  readonly need: 'needed' | 'not-needed' | 'not-known';
  readonly why: string;
  readonly state: 'holds' | 'fails' | 'not-known';
}

export interface BondingAssessment {
  readonly least: Figure;
  readonly services: readonly ServiceVerdict[];
}

/**
 * Main protective bonding conductor, copper, in mm²: on PME by the supply neutral’s copper-equivalent size, otherwise
 * half the earthing conductor within two bounds. Source: BS 7671 544.1.1, table 54.8.
 */
export function bondingSize(survey: Survey, tree: SupplyTree, fuse: FuseRating, rules: Rules): BondingSize {
  const { arrangement, supplyNeutralMm2 } = survey.earthing;
  if (arrangement === undefined || arrangement === 'unknown')
    return { worked: undefined, why: 'The earthing arrangement is not known.', taken: false };
  if (arrangement === 'tn-c-s') {
    const { usualNeutral } = rules.earthing;
    const usual = fuse.established && fuse.ratingA <= usualNeutral.value.upToFuseA ? usualNeutral.value.mm2 : undefined;
    const neutralMm2 = supplyNeutralMm2 ?? usual;
    if (neutralMm2 === undefined)
      return { worked: undefined, why: 'Neither the supply neutral nor the fuse is known.', taken: false };
    return { worked: pmeBonding(neutralMm2, rules), why: '', taken: supplyNeutralMm2 === undefined };
  }
  const tailsMm2 = tailsSize(tree);
  if (tailsMm2 === undefined) return { worked: undefined, why: 'The size of the tails is not known.', taken: false };
  return { worked: otherBonding(earthingConductorSize(tailsMm2, rules), rules), why: '', taken: false };
}

/** Bonding on PME for a supply neutral of a copper-equivalent size, in mm². */
export function pmeBonding(neutralMm2: number, { earthing }: Rules): Worked {
  const step = earthing.pmeBonding.value.find(({ neutralUpToMm2 }) => neutralMm2 <= neutralUpToMm2);
  const value = step?.sizeMm2 ?? earthing.pmeBondingAboveMm2.value;
  return reckon('Least main bonding conductor', value, 'mm²', () => ({
    expression: 'by the supply neutral’s copper-equivalent size',
    substituted: `neutral ${neutralMm2} mm² → ${value} mm²`,
    source: earthing.pmeBonding.source,
  }));
}

/** Bonding on TN-S and TT: half the earthing conductor, from the table’s next size up, within its bounds. */
export function otherBonding(conductor: Worked, { earthing }: Rules): Worked {
  const { share, leastMm2, mostMm2 } = earthing.otherBonding.value;
  const half = conductor.value * share;
  const bounded = Math.min(mostMm2, Math.max(leastMm2, half));
  const value = earthing.sizesMm2.value.find((size) => size >= bounded) ?? bounded;
  return reckon(
    'Least main bonding conductor',
    value,
    'mm²',
    () => ({
      expression: `half the earthing conductor, at least ${leastMm2}, need not exceed ${mostMm2} mm²; the next size made`,
      substituted: `${written(conductor.value)} × ${share} = ${written(half)} → ${value} mm²`,
      source: earthing.otherBonding.source,
    }),
    [conductor],
  );
}

/** Each service named, and whether its bonding is as it should be. */
export function assessBonding(survey: Survey, tree: SupplyTree, fuse: FuseRating, rules: Rules): BondingAssessment {
  const size = bondingSize(survey, tree, fuse, rules);
  return {
    least: size.worked
      ? figure(
          size.worked,
          'exact',
          size.taken ? 'The supply neutral is taken as one usual behind such a fuse.' : undefined,
        )
      : unknownFigure('Least main bonding conductor', 'mm²', size.why),
    services: (survey.earthing.services ?? []).map((service) => verdictOf(service, size.worked?.value, rules)),
  };
}

function verdictOf(service: BondedService, leastMm2: number | undefined, rules: Rules): ServiceVerdict {
  const { need, why } = needOf(service, rules);
  const about = { id: service.id, name: BONDED_PART_NAMES[service.id], need, why };
  if (need === 'not-needed') return { ...about, state: 'holds' };
  if (service.bonded === 'no') return { ...about, state: need === 'needed' ? 'fails' : 'not-known' };
  if (need === 'not-known' || service.bonded !== 'yes' || service.sizeMm2 === undefined || leastMm2 === undefined)
    return { ...about, state: 'not-known' };
  return { ...about, state: exceeds(leastMm2, service.sizeMm2, 'mm²') ? 'fails' : 'holds' };
}

/** Whether a service can bring in a potential: by what it is made of where it enters, unless it was measured. */
export function needOf(
  { incoming, resistanceKOhm }: BondedService,
  { earthing }: Rules,
): Pick<ServiceVerdict, 'need' | 'why'> {
  const { value: limit } = earthing.extraneousUpToKOhm;
  if (incoming === 'not-there') return { need: 'not-needed', why: 'there is none' };
  if (resistanceKOhm !== undefined)
    return exceeds(resistanceKOhm, limit, 'Ω')
      ? { need: 'not-needed', why: `${resistanceKOhm} kΩ to earth, above ${limit} kΩ: it brings nothing in` }
      : { need: 'needed', why: `${resistanceKOhm} kΩ to earth, not above ${limit} kΩ: it can bring a potential in` };
  if (incoming === 'plastic')
    return { need: 'not-needed', why: 'it comes in as plastic, whatever the pipework inside is' };
  if (incoming === 'metal') return { need: 'needed', why: 'it comes in as metal' };
  return { need: 'not-known', why: 'material where it comes in not recorded' };
}

/** Services a dwelling usually has, which somebody has to have looked for. */
const LOOKED_FOR: readonly BondedPart[] = ['gas', 'water'];

/** Services nobody has said anything of. */
export function servicesNotLookedFor(bonding: BondingAssessment): readonly BondedPart[] {
  const named = new Set(bonding.services.map(({ id }) => id));
  return LOOKED_FOR.filter((id) => !named.has(id));
}

/** Services that have to be bonded and are not, or not well enough. */
export function bondingFindings(survey: Survey, bonding: BondingAssessment): Statement[] {
  return bonding.services.flatMap(({ id, state, name, why }): Statement[] => {
    if (state !== 'fails') return [];
    const recorded = survey.earthing.services?.find((each) => each.id === id);
    const bonded = recorded?.bonded === 'yes';
    return [
      {
        station: 'earthing',
        field: 'earthing.services',
        ownUse: true,
        id: 'bonding-missing',
        grade: 'act',
        on: 'earthing',
        title: bonded
          ? `${name}: bonded with ${recorded.sizeMm2 ?? '?'} mm², ${written(bonding.least.value ?? 0)} mm² at least.`
          : `${name}: not bonded, and ${why}.`,
        remedy: bonded ? 'A larger conductor.' : 'Bond it at its entry, before any branch.',
        source: 'BS 7671 411.3.1.2, 544.1',
        working: bonding.least.working,
      },
    ];
  });
}
