import type { Station } from '@keen-gauge/core/finding';
import type { Question } from '@keen-gauge/core/questions/question';
import { openedBy, type OpenedSoFar } from './opened';

const question = (id: string, station: Station): Question => ({
  // A made-up name: only whether two are the same matters here.
  id: id as Question['id'],
  station,
  title: `${id}?`,
  remedy: '',
  field: 'place.premises',
  askOf: 'surveyor',
  stop: 'desk',
  on: 'earthing',
  why: '',
});
const [old, fresh, here] = [question('old', 'loop'), question('fresh', 'earthing'), question('here', 'charger')];
const start: OpenedSoFar = { station: 'charger', questions: [old], opened: [] };

describe('what an edit opened elsewhere', () => {
  it('is told; what was open before, and what is open here, is not', () => {
    expect(openedBy(start, 'charger', [old, fresh, here]).opened).toEqual([fresh]);
  });
  it('stays told while later edits leave it open, and is gone once it is answered', () => {
    const once = openedBy(start, 'charger', [old, fresh]);
    const still = openedBy(once, 'charger', [old, fresh, here]);
    expect(still.opened).toEqual([fresh]);
    expect(openedBy(still, 'charger', [old]).opened).toEqual([]);
  });
  it('starts afresh at another station', () => {
    expect(openedBy(openedBy(start, 'charger', [fresh]), 'circuit', [fresh]).opened).toEqual([]);
  });
  it('leaves out what is taken at its worst, which nobody is asked', () => {
    expect(openedBy(start, 'charger', [old, { ...fresh, taken: 'at-worst' }]).opened).toEqual([]);
  });
});
