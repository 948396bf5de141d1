import type { PerPhase } from '../assessment';
import type { Finding } from '../finding';
import type { FuseRating } from '../intake/fuse-rating';
import type { RulePack } from '../rules/rule-pack';
import { isCharger } from '../survey/kinds';
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
  readonly pack: RulePack;
  /** Maximum demand after the work, chargers free to draw their limits. */
  readonly after: PerPhase;
}

export function assessEarthing({ survey, tree, fuse, pack, after }: EarthingFacts): EarthingAssessment {
  return {
    recognition: recognise(survey.earthing),
    conductor: assessEarthingConductor(survey, tree, fuse, pack),
    bonding: assessBonding(survey, tree, fuse, pack),
    rcdCover: rcdCover(survey, tree),
    openPen: survey.proposals.filter(isCharger).map((proposal) => assessOpenPen(survey, proposal, after, pack)),
  };
}

/** The findings of the earth; those about no node of their own concern where the supply comes in. */
export function earthingFindings({ survey, tree, pack }: EarthingFacts, assessed: EarthingAssessment): Finding[] {
  const originId = (tree.nodes.find(({ node }) => node.kind === 'cut-out') ?? tree.device ?? tree.root)?.node.id;
  const unknown = survey.earthing.arrangement === undefined || survey.earthing.arrangement === 'unknown';
  return [
    ...arrangementFindings(survey),
    // Everything else follows from the arrangement, and is not asked before it is known.
    ...(unknown
      ? []
      : [
          ...earthReadingFindings(survey, pack),
          ...earthingConductorFindings(assessed.conductor),
          ...bondingFindings(survey, assessed.bonding),
          ...rcdCoverFindings(survey, tree, pack),
          ...openPenFindings(survey, assessed.openPen, pack),
        ]),
  ].map((finding) =>
    finding.subjectId === undefined && originId !== undefined ? { ...finding, subjectId: originId } : finding,
  );
}
