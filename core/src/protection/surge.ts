import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { exceeds } from '../worked';

/** Something of the surge protection that nobody has recorded; null where nothing is open. */
export type SurgeGap = 'decision' | 'decided-by' | 'leads';

/** Surge protection is offered by default; leaving it out is the owner's decision, in a dwelling alone, and recorded. */
export function surgeGap({ surge }: Proposal, survey: Survey): SurgeGap | null {
  switch (surge?.decision) {
    case undefined:
      return 'decision';
    case 'there-already':
      return null;
    case 'owner-declined':
      return survey.place.premises === 'household' && !(surge.decidedBy && surge.reason) ? 'decided-by' : null;
    case 'fit':
      return surge.leadsM === undefined ? 'leads' : null;
  }
}

/** What is wrong with the surge protection as decided. */
export function surgeFindings(survey: Survey, proposal: Proposal, rules: Rules): Statement[] {
  const { id: subjectId, surge } = proposal;
  const label = equipmentName(proposal);
  const { value: longest, source } = rules.circuit.longestSurgeLeadsM;
  const about = { station: 'circuit', subjectId, ownUse: true, grade: 'act', on: 'workmanship' } as const;
  if (surge?.decision === 'owner-declined' && survey.place.premises !== 'household')
    return [
      {
        ...about,
        id: 'surge-declined-elsewhere',
        title: `${label}: surge protection may be left out on the owner’s word in a single dwelling only.`,
        remedy: 'Fit it, or record the assessment that shows it is not needed.',
        source: 'BS 7671 443.4',
        field: 'proposals.surge.decision',
      },
    ];
  if (surge?.decision !== 'fit' || surge.leadsM === undefined || !exceeds(surge.leadsM, longest)) return [];
  return [
    {
      ...about,
      id: 'surge-leads-too-long',
      title: `${label}: ${surge.leadsM} m of leads to the surge protection, ${longest} m at most.`,
      remedy: 'Sit it nearer the main terminals: every half metre adds to what gets past it.',
      source,
      field: 'proposals.surge.leadsM',
    },
  ];
}
