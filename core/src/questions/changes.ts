/** Answers as changes of a survey, for the questions that have plausible ones. */
import type { Load } from '../survey/load';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { SupplyNode } from '../survey/supply';
import type { PlausibleAnswer } from './question';

type Change = (survey: Survey) => Survey;

export const onNode =
  (id: string, values: Partial<SupplyNode>): Change =>
  (survey) => ({
    ...survey,
    supply: {
      ...survey.supply,
      nodes: survey.supply.nodes.map((node) => (node.id === id ? { ...node, ...values } : node)),
    },
  });

export const onLoad =
  (id: string, values: Partial<Load>): Change =>
  (survey) => ({
    ...survey,
    loads: survey.loads.map((load) => (load.id === id ? { ...load, ...values } : load)),
  });

export const onProposal =
  (id: string, change: (proposal: Proposal) => Proposal): Change =>
  (survey) => ({
    ...survey,
    proposals: survey.proposals.map((each) => (each.id === id ? change(each) : each)),
  });

/** Yes and no, each as the change it makes. */
export function yesOrNo(change: (answer: 'yes' | 'no') => Change): PlausibleAnswer[] {
  return [
    { says: 'Yes', change: change('yes') },
    { says: 'No', change: change('no') },
  ];
}

/** Each of some ratings, in amperes. */
export function amperes(ratings: readonly number[], change: (ratingA: number) => Change): PlausibleAnswer[] {
  return ratings.map((ratingA) => ({ says: `${ratingA} A`, change: change(ratingA) }));
}
