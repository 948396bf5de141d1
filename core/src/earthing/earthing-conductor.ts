import { adiabaticSize } from '../cable/adiabatic';
import type { Statement } from '../finding';
import type { FuseRating } from '../intake/fuse-rating';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { SupplyTree } from '../tree/supply-tree';
import { exceeds, figure, unknownFigure, written, type Figure } from '../worked';
import { bondingSize } from './bonding';
import { earthingConductorSize, tailsSize } from './conductor-size';

/** What the earthing conductor has to be, by the table and by the adiabatic equation, and what it is. */
export interface EarthingConductorAssessment {
  readonly byTable: Figure;
  readonly byEquation: Figure;
  /** The smaller of the two, on PME never under the main bonding conductor. */
  readonly least: Figure;
  readonly recordedMm2: number | null;
  readonly holds: boolean | null;
}

export function assessEarthingConductor(
  survey: Survey,
  tree: SupplyTree,
  fuse: FuseRating,
  rules: Rules,
): EarthingConductorAssessment {
  const { conductor, arrangement } = survey.earthing;
  const { sizeMm2, faultCurrentA, disconnectionS } = conductor ?? {};
  const tailsMm2 = tailsSize(tree);
  const table = tailsMm2 === undefined ? undefined : earthingConductorSize(tailsMm2, rules);
  const { separate } = rules.circuit.adiabaticK.value;
  const equation =
    faultCurrentA === undefined || disconnectionS === undefined
      ? undefined
      : adiabaticSize(
          'Earthing conductor by the adiabatic equation',
          faultCurrentA,
          disconnectionS,
          separate,
          rules.circuit.adiabaticK.source,
        );
  const smaller = table && equation ? (equation.value < table.value ? equation : table) : (table ?? equation);
  const bonding = arrangement === 'tn-c-s' ? bondingSize(survey, tree, fuse, rules) : undefined;
  const least =
    smaller && bonding?.worked && exceeds(bonding.worked.value, smaller.value, 'mm²') ? bonding.worked : smaller;
  const why = 'The size of the tails is not known.';
  return {
    byTable: table ? figure(table) : unknownFigure('Earthing conductor by the table', 'mm²', why),
    byEquation: equation
      ? figure(equation)
      : unknownFigure('Earthing conductor by the adiabatic equation', 'mm²', 'Fault current and time are not given.'),
    least: least
      ? figure(least, 'exact', undefined, 'Least earthing conductor')
      : unknownFigure('Least earthing conductor', 'mm²', why),
    recordedMm2: sizeMm2 ?? null,
    holds: least && sizeMm2 !== undefined ? !exceeds(least.value, sizeMm2, 'mm²') : null,
  };
}

/** An earthing conductor that is too small. */
export function earthingConductorFindings(of: EarthingConductorAssessment): Statement[] {
  const { recordedMm2, least, holds } = of;
  if (holds !== false) return [];
  return [
    {
      station: 'earthing',
      field: 'earthing.conductor.sizeMm2',
      id: 'earthing-conductor-too-small',
      grade: 'act',
      on: 'earthing',
      title: `The earthing conductor of ${recordedMm2 ?? '?'} mm² is smaller than ${written(least.value ?? 0)} mm².`,
      remedy:
        of.byEquation.value === null
          ? 'A larger one; or work it out by the adiabatic equation, fault current and time known.'
          : 'A larger one before the new equipment is connected.',
      source: 'BS 7671 542.3, 543.1, 544.1.1',
      working: least.working,
    },
  ];
}
