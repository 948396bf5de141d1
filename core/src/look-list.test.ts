import { fc, lawRuns } from './testing/laws';
import { assess } from './assess';
import { lookList } from './look-list';
import { gbDefault } from './rules/gb-default';
import { blankSurvey } from './survey/blank';
import type { Survey } from './survey/survey';
import { settledSurvey, type Change } from './testing/settled-survey';

function stops(survey: Survey): [string, string[]][] {
  return lookList(survey, assess(survey, gbDefault)).map(({ id, questions }) => [id, questions.map((each) => each.id)]);
}

const outbuilding: Change = (survey) => {
  survey.supply.nodes.push(
    { id: 'feeder', kind: 'feeder', fedFrom: 'board', label: 'Shed feeder' },
    { id: 'shed', kind: 'board', fedFrom: 'feeder', label: 'Shed board', ratingA: 63 },
  );
  for (const proposal of survey.proposals) {
    proposal.nodeId = 'shed';
    delete proposal.position;
    delete proposal.rcd;
    proposal.circuit = { deviceRatingA: 40, curve: 'B', cableType: 'flat-twin', concealed: 'no' };
  }
  delete survey.earthing.services;
  delete survey.place.meterPointNumber;
};

describe('what to go and look at', () => {
  it('is nothing where nothing is open', () => {
    expect(stops(settledSurvey())).toEqual([]);
  });

  it('goes from the intake by the entries, the boards, the route and the parking place to what is asked of others', () => {
    expect(stops(settledSurvey(outbuilding)).map(([id]) => id)).toEqual([
      'entries',
      'board board',
      'board shed',
      'rooms',
      'route',
      'parking',
      'data',
      'customer',
    ]);
  });

  it('puts a feeder’s questions at the board it comes from', () => {
    const at = new Map(stops(settledSurvey(outbuilding)));
    expect(at.get('board board')).toEqual(expect.arrayContaining(['node-rating-not-known', 'feeder-cable']));
    expect(at.get('parking')).toEqual(['position-not-settled']);
    expect(at.get('data')).toEqual(['own-rcd-not-said']);
  });

  it('loses no question and asks none twice, however little is recorded', () => {
    const parts = ['place', 'intake', 'earthing', 'loads', 'proposals', 'readings'] as const;
    fc.assert(
      fc.property(fc.subarray([...parts]), (gone) => {
        const survey = settledSurvey(outbuilding);
        const blank = blankSurvey();
        for (const part of gone) Object.assign(survey, { [part]: blank[part] });
        const assessment = assess(survey, gbDefault);
        const asked = assessment.questions.filter(({ taken }) => taken === undefined);
        const listed = lookList(survey, assessment).flatMap(({ questions }) => questions);
        expect(new Set(listed)).toEqual(new Set(asked));
        expect(listed).toHaveLength(asked.length);
      }),
      { numRuns: lawRuns(30) },
    );
  });
});
