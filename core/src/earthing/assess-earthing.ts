import type { PerPhase } from '../demand/per-phase-figures';
import type { Statement } from '../finding';
import type { FuseRating } from '../intake/fuse-rating';
import type { Rules } from '../rules/rules';
import { isCharger } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import type { SupplyTree } from '../tree/supply-tree';
import { arrangementFindings } from './arrangement';
import { assessBonding, bondingFindings, type BondingAssessment } from './bonding';
import {
  assessEarthingConductor,
  earthingConductorFindings,
  type EarthingConductorAssessment,
} from './earthing-conductor';
import { earthReadingFindings } from './earth-readings';
import { assessOpenPen, type OpenPenAssessment } from './open-pen';
import { openPenFindings } from './open-pen-findings';
import { rcdCover, rcdCoverFindings, type BoardCover } from './rcd-cover';
import { recognise, type Recognition } from './signs';

/** Everything reckoned of the earth. */
export interface EarthingAssessment {
  readonly recognition: Recognition;
  readonly conductor: EarthingConductorAssessment;
  readonly bonding: BondingAssessment;
  readonly rcdCover: readonly BoardCover[];
  readonly openPen: readonly OpenPenAssessment[];
}

export interface EarthingFacts {
  readonly survey: Survey;
  readonly tree: SupplyTree;
  readonly fuse: FuseRating;
  readonly rules: Rules;
  /** Maximum demand after the work, chargers free to draw their limits. */
  readonly after: PerPhase;
}

export function assessEarthing({ survey, tree, fuse, rules, after }: EarthingFacts): EarthingAssessment {
  return {
    recognition: recognise(survey.earthing),
    conductor: assessEarthingConductor(survey, tree, fuse, rules),
    bonding: assessBonding(survey, tree, fuse, rules),
    rcdCover: rcdCover(survey, tree),
    openPen: survey.proposals.filter(isCharger).map((proposal) => assessOpenPen(survey, proposal, after, rules)),
  };
}

/** What is wrong with the earth; findings about no node of their own concern where the supply comes in. */
export function earthingFindings(facts: EarthingFacts, assessed: EarthingAssessment): Statement[] {
  const { survey, tree, rules } = facts;
  const originId = earthOrigin(tree);
  return [
    ...arrangementFindings(survey),
    // Everything else follows from the arrangement, and is not asked before it is known.
    ...(isArrangementKnown(survey)
      ? [
          ...earthReadingFindings(survey, rules),
          ...earthingConductorFindings(assessed.conductor),
          ...bondingFindings(survey, assessed.bonding),
          ...rcdCoverFindings(survey, tree, rules),
          ...openPenFindings(survey, assessed.openPen, rules),
        ]
      : []),
  ].map((finding) =>
    finding.subjectId === undefined && originId !== undefined ? { ...finding, subjectId: originId } : finding,
  );
}

export function isArrangementKnown({ earthing }: Survey): boolean {
  return earthing.arrangement !== undefined && earthing.arrangement !== 'unknown';
}

/** The node where the earth comes in. */
export function earthOrigin(tree: SupplyTree): string | undefined {
  return (tree.nodes.find(({ node }) => node.kind === 'cut-out') ?? tree.device ?? tree.root)?.node.id;
}
