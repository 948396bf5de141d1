import { settledSurvey } from '../testing/settled-survey';
import { sealedText, withoutPhotos } from './sealed-text';

const PHOTO = { id: 'p-1', fileName: 'label.jpg', width: 400, height: 300, sha256: 'a'.repeat(64) };

describe('the text that what is signed on a device is held to', () => {
  it('does not depend on the order in which fields were set', () => {
    const survey = settledSurvey();
    const turnedRound = (value: unknown): unknown =>
      typeof value !== 'object' || value === null
        ? value
        : Array.isArray(value)
          ? value.map(turnedRound)
          : Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([name, each]) => [name, turnedRound(each)]),
            );
    const turned = turnedRound(survey);
    expect(JSON.stringify(turned)).not.toBe(JSON.stringify(survey));
    expect(sealedText(turned)).toBe(sealedText(survey));
  });

  it('differs where one field does, and is none where the survey has a fault', () => {
    const survey = settledSurvey();
    expect(sealedText({ ...survey, place: { ...survey.place, postcode: 'ZZ1 1ZZ' } })).not.toBe(sealedText(survey));
    expect(sealedText({ ...survey, loads: 'many' })).toBeUndefined();
  });

  it('without the photographs that came after, is what it was', () => {
    const survey = settledSurvey();
    const later = { ...survey, photos: [...survey.photos, PHOTO as never] };
    expect(withoutPhotos(later, ['p-1'])).toEqual(survey);
    expect(withoutPhotos(later, ['p-2'])).toEqual(later);
  });
});
