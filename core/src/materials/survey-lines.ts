/** Every line that a survey asks for, to buy and to do, each saying which part of the survey it comes from. */
import type { Decided } from '../assessment';
import type { Survey } from '../survey/survey';
import { supplyTree } from '../tree/supply-tree';
import { equipmentLines } from './equipment-lines';
import type { Line } from './line';
import { rowLines } from './row-lines';
import type { RunTerms } from './run';
import { siteLines } from './site-lines';
import { supplyLines } from './supply-lines';

/** In the order of the walk. A survey of a request alone, with nothing to connect, has none. */
export function surveyLines(survey: Survey, assessment: Decided, terms: RunTerms): Line[] {
  const tree = supplyTree(survey);
  const row = survey.pool?.outlets.length
    ? survey.proposals.find(({ profileId }) => profileId !== undefined)
    : undefined;
  return [
    ...supplyLines(survey, assessment, tree, terms),
    ...survey.proposals.flatMap((proposal) =>
      equipmentLines(proposal, {
        tree,
        circuit: assessment.circuits.find(({ proposalId }) => proposalId === proposal.id),
        terms,
      }),
    ),
    ...rowLines(survey.pool, row?.profileId, terms),
    ...siteLines(survey),
  ];
}
