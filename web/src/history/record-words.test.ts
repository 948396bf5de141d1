import { recordWords } from './record-words';

describe('the record in sentences', () => {
  it.each([
    [
      'signed-off',
      { pack: 'P-0004', revision: 7, reason: 'asked for early' },
      'Signed off P-0004, revision 7: asked for early',
    ],
    [
      'event-entered',
      { kind: 'answered', answer: 'accepted-if', day: '2026-11-25', reference: 'OP-1' },
      'Answered by the operator: accepted on a condition, Wed, 25 Nov 2026, reference OP-1',
    ],
    [
      'hold-overridden',
      { fault: 'Heat damage', by: 'Isla', reason: 'made safe' },
      'Hold overridden for Heat damage by Isla: made safe',
    ],
    ['option-chosen', { option: 'managed' }, 'Option chosen: Managed by clamp'],
    ['charge-point-asked', { name: 'KG-1', ask: 'limit', limitA: 6 }, 'Charge point KG-1 asked to hold to 6 A'],
    ['job-assigned', { to: 'Tobin' }, 'Assigned to Tobin'],
    ['job-assigned', { to: '' }, 'Assigned to nobody'],
    ['job-archived', {}, 'Archived'],
    ['job-restored', {}, 'Restored from the archive'],
    ['signed-in', { on: 'Firefox on Linux' }, 'Signed in: Firefox on Linux'],
    ['session-ended', { sessions: 1 }, 'Signed out of one other session'],
    ['session-ended', { sessions: 3 }, 'Signed out of 3 other sessions'],
    ['person-joined', { name: 'Fern', role: 'surveyor' }, 'Fern joined as a surveyor'],
    [
      'person-changed',
      { who: 'Olga', role: { was: 'office', is: 'supervisor' }, maySignOff: { was: false, is: true } },
      'Olga: role changed from office to supervisor, may sign surveys off changed from no to yes',
    ],
    ['something-new', {}, 'something-new'],
  ])('%s', (what, details, words) => {
    expect(recordWords({ what, details })).toBe(words);
  });
});
