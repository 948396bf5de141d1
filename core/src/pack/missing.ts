import type { Assessment } from '../assessment';
import type { AskOf, Station } from '../finding';
import { equipmentName } from '../survey/kinds';
import { fieldPath } from '../field-path';
import { isUpgradeOnly } from '../survey/proposal';
import type { Survey } from '../survey/survey';

/** Something the operator will want that is not there yet, and where to put it. */
export interface Missing {
  readonly id: string;
  readonly text: string;
  readonly station: Station;
  readonly askOf: AskOf;
  /** The path of the field that has it. */
  readonly field?: string;
}

/** What is missing before the pack is complete, in the order of the walk: open questions, then the form's own needs. */
export function missingItems(survey: Survey, assessment: Assessment): Missing[] {
  const asked = assessment.findings
    .filter(({ grade, ownUse }) => grade === 'ask' && !ownUse)
    .map((finding): Missing => {
      const { id, title, station, askOf = 'surveyor' } = finding;
      return { id, text: title, station, askOf, ...located(fieldPath(finding)) };
    });
  const { place } = survey;
  const needs: (Missing | false)[] = [
    !place.customerName && need('customer-name', 'The customer’s name.', 'place', 'customer', 'place.customerName'),
    !place.customerPhone &&
      !place.customerEmail &&
      need(
        'customer-contact',
        'A telephone number or e-mail address for the customer.',
        'place',
        'customer',
        'place.customerPhone',
      ),
    !place.postcode && need('postcode', 'The postcode.', 'place', 'customer', 'place.postcode'),
    !place.operatorName &&
      need('operator-name', 'The network operator’s name.', 'place', 'surveyor', 'place.operatorName'),
    isUpgradeOnly(survey) &&
      !survey.request.fuseUpgrade &&
      !survey.request.newPhases &&
      need('which-upgrade', 'Which change of supply is asked for.', 'route', 'surveyor', 'request.fuseUpgrade'),
    survey.request.fuseUpgrade === true &&
      survey.request.wantedFuseA === undefined &&
      need('wanted-fuse', 'The size of fuse asked for.', 'route', 'surveyor', 'request.wantedFuseA'),
    ...survey.proposals.flatMap((proposal) => {
      const name = equipmentName(proposal);
      return [
        !proposal.makeAndModel &&
          need(
            'make-and-model',
            `${name}: make and model as on its plate.`,
            'charger',
            'surveyor',
            `proposals.${proposal.id}.makeAndModel`,
          ),
        proposal.typeTested === 'yes' &&
          !proposal.registerReference &&
          need(
            'register-reference',
            `${name}: its type-test register reference.`,
            'charger',
            'surveyor',
            `proposals.${proposal.id}.registerReference`,
          ),
      ];
    }),
  ];
  return [...asked, ...needs.filter((item) => item !== false)];
}

function need(id: string, text: string, station: Station, askOf: AskOf, field: string): Missing {
  return { id, text, station, askOf, field };
}

function located(field: string | undefined): { field?: string } {
  return field === undefined ? {} : { field };
}
