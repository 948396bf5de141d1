import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import { equipmentName } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { exceeds } from '../worked';

/** Surge protection is offered by default; leaving it out is the owner's decision, in a dwelling alone, and recorded. */
export function surgeFindings(survey: Survey, proposal: Proposal, pack: RulePack): Finding[] {
  const { id: subjectId, surge } = proposal;
  const label = equipmentName(proposal);
  const { value: longest, source } = pack.circuit.longestSurgeLeadsM;
  const about = { station: 'circuit', subjectId, ownUse: true } as const;
  const ask = { ...about, grade: 'ask', source: 'BS 7671 443.4' } as const;
  switch (surge?.decision) {
    case undefined:
      return [
        {
          ...ask,
          id: 'surge-not-decided',
          title: `${label}: surge protection is offered by default; nothing is decided.`,
          remedy: 'See whether the board has it; otherwise offer it, and record what the owner says.',
          askOf: 'customer',
          field: 'proposals.surge.decision',
        },
      ];
    case 'there-already':
      return [];
    case 'owner-declined': {
      if (survey.place.premises !== 'household')
        return [
          {
            ...about,
            id: 'surge-declined-elsewhere',
            grade: 'act',
            title: `${label}: surge protection may be left out on the owner’s word in a single dwelling only.`,
            remedy: 'Fit it, or record the assessment that shows it is not needed.',
            source: 'BS 7671 443.4',
            field: 'proposals.surge.decision',
          },
        ];
      return surge.decidedBy && surge.reason
        ? []
        : [
            {
              ...ask,
              id: 'surge-decision-incomplete',
              title: `${label}: surge protection is declined, and not recorded by whom and why.`,
              remedy: 'The owner’s name and reason.',
              askOf: 'customer',
              field: 'proposals.surge.decidedBy',
            },
          ];
    }
    case 'fit':
      if (surge.leadsM === undefined)
        return [
          {
            ...ask,
            id: 'surge-leads-not-known',
            title: `${label}: length of the surge protection’s leads not known.`,
            remedy: `See where it can sit: ${longest} m of leads at most, line and earth together.`,
            askOf: 'surveyor',
            field: 'proposals.surge.leadsM',
          },
        ];
      return exceeds(surge.leadsM, longest)
        ? [
            {
              ...about,
              id: 'surge-leads-too-long',
              grade: 'act',
              title: `${label}: ${surge.leadsM} m of leads to the surge protection, ${longest} m at most.`,
              remedy: 'Sit it nearer the main terminals: every half metre adds to what gets past it.',
              source,
              field: 'proposals.surge.leadsM',
            },
          ]
        : [];
  }
}
