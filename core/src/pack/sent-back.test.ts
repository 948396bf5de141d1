import { settledSurvey, type Change } from '../testing/settled-survey';
import { sentBackFor, type Installer } from './sent-back';

const whole: Installer = {
  registration: 'R-1',
  contact: { address: '1 Firm Road', telephone: '01632 960 001', email: 'office@firm.example' },
};
const complete: Change = (survey) => {
  survey.request.plannedOn = '2026-12-01';
  survey.photos = [{ id: 'p', subject: 'node', subjectId: 'cut-out' }];
};
const ids = (installer: Installer, ...changes: Change[]): string[] =>
  sentBackFor(settledSurvey(complete, ...changes), installer).map(({ id }) => id);

describe('what an operator sends a pack back without', () => {
  it('is nothing where all of it is there', () => {
    expect(ids(whole)).toEqual([]);
  });
  it('is the installer’s address, telephone, e-mail and registration', () => {
    expect(ids({ registration: ' ', contact: undefined })).toEqual(['address', 'telephone', 'email', 'registration']);
  });
  it.each<[string, Change, string]>([
    ['the planned day', (s) => delete s.request.plannedOn, 'planned'],
    ['generation nobody asked about', (s) => delete s.generation, 'generation'],
    ['a photograph of the cut-out', (s) => (s.photos = []), 'photograph'],
    [
      'the line of single-phase equipment',
      (s) => {
        s.supply.phases = 3;
        s.proposals.forEach((each) => delete each.phase);
      },
      'line car',
    ],
  ])('is %s', (_name, change, id) => {
    expect(ids(whole, change)).toEqual([id]);
  });
});
