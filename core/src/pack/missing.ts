import type { Assessment } from '../assessment';
import type { AskOf, Station } from '../finding';
import type { Survey } from '../survey/survey';

/** Something the operator will want that is not there yet, and where to put it. */
export interface Missing {
  readonly id: string;
  readonly text: string;
  readonly station: Station;
  readonly askOf: AskOf;
}

/** What is missing before the pack is complete, in the order of the walk: open questions, then the form's own needs. */
export function missingItems(survey: Survey, assessment: Assessment): Missing[] {
  const asked = assessment.findings
    .filter(({ grade, ownUse }) => grade === 'ask' && !ownUse)
    .map(({ id, title, station, askOf }): Missing => ({ id, text: title, station, askOf: askOf ?? 'surveyor' }));
  const { place } = survey;
  const needs: (Missing | false)[] = [
    !place.customerName && need('customer-name', 'The customer’s name.', 'place', 'customer'),
    !place.customerPhone &&
      !place.customerEmail &&
      need('customer-contact', 'A telephone number or e-mail address for the customer.', 'place', 'customer'),
    !place.postcode && need('postcode', 'The postcode.', 'place', 'customer'),
    !place.operatorName && need('operator-name', 'The network operator’s name.', 'place', 'surveyor'),
    ...survey.proposals.flatMap((proposal) => {
      const name = proposal.label ?? 'New charger';
      return [
        !proposal.makeAndModel &&
          need('make-and-model', `${name}: make and model as on its plate.`, 'charger', 'surveyor'),
        proposal.typeTested === 'yes' &&
          !proposal.registerReference &&
          need('register-reference', `${name}: its type-test register reference.`, 'charger', 'surveyor'),
      ];
    }),
  ];
  return [...asked, ...needs.filter((item) => item !== false)];
}

function need(id: string, text: string, station: Station, askOf: AskOf): Missing {
  return { id, text, station, askOf };
}
