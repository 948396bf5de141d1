import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { fuseRatingLetter } from './fuse-letter';

const FROM = { firm: 'Fennel Lane Electrical', name: 'M. Oakhanger', registration: 'FLE-QS-001' };

function letter(change: (survey: Survey) => void): string {
  const survey = blankSurvey();
  change(survey);
  const { subject, body } = fuseRatingLetter(survey, assess(survey, gbDefault), FROM, 'KG-0007');
  return `${subject}\n${body}`;
}

describe('the question what fuse is in the cut-out', () => {
  it('names site, meter point, what was seen, and the photographs that show the cut-out', () => {
    const text = letter((survey) => {
      Object.assign(survey.place, {
        addressLine1: '3 Withy Close',
        postcode: 'ZZ1 3WC',
        meterPointNumber: '9700000012340',
        operatorName: 'Wold and Weir Networks',
      });
      Object.assign(survey.supply.nodes[1] ?? {}, { holderMaximumA: 100, evidence: 'moulding' });
      survey.photos = [
        { id: 'a', subject: 'place', caption: 'The house' },
        { id: 'b', subject: 'node', subjectId: 'cut-out', caption: 'Cut-out close up' },
      ];
    });
    for (const words of [
      'Cut-out fuse rating, 3 Withy Close, ZZ1 3WC, MPAN 9700000012340',
      'To Wold and Weir Networks',
      '97 0000 0012 340',
      'The carrier is moulded 100 A at most.',
      'Photograph 2: Cut-out close up',
      'we work with 60 A',
      'M. Oakhanger, Fennel Lane Electrical, FLE-QS-001',
      'KG-0007',
    ])
      expect(text).toContain(words);
    expect(text).not.toContain('The house');
  });

  it('claims nothing that is not recorded', () => {
    const text = letter((survey) => {
      survey.place.meterPointNumber = '9700000012341';
    });
    expect(text).toContain('9700000012341 (as read; it does not check)');
    expect(text).toContain('Site: not recorded yet');
    expect(text).not.toMatch(/moulded|undefined|null|Photographs/);
  });
});
