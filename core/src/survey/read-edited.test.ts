import fc from 'fast-check';
import { apply, type Change, type Value } from '../record/changes';
import { blankSurvey } from './blank';
import { plainSurvey, readSurvey } from './read';
import { readEdited } from './read-edited';
import type { Survey } from './survey';

const start = { ...blankSurvey(), loads: [{ id: 'a', class: 'motor', powerW: 1 }], proposals: [] } as unknown as Survey;

/** Changes of every sort, good and bad, at places of every depth. */
const anyChange: fc.Arbitrary<Change> = fc
  .record({
    path: fc.constantFrom(
      [],
      ['loads'],
      ['loads', 'a'],
      ['loads', 'a', 'powerW'],
      ['loads', 'b'],
      ['supply'],
      ['supply', 'phases'],
      ['supply', 'nodes'],
      ['supply', 'nodes', 'meter'],
      ['supply', 'nodes', 'meter', 'ratingA'],
      ['intake', 'loop', 'status'],
      ['intake', 'faults'],
      ['place', 'town'],
      ['place'],
      ['notes'],
      ['version'],
      ['other'],
    ),
    to: fc.constantFrom<Value | undefined>(
      undefined,
      5,
      -5,
      'text',
      'unknown',
      [],
      {},
      { id: 'b', class: 'motor' },
      { id: 'b', class: 'motor', nodeId: 'nowhere' },
      [{ id: 'x', kind: 'board' }],
      { id: 'meter', kind: 'meter', fedFrom: 'board' },
    ),
  })
  .map(({ path, to }) => ({ kind: 'set', path, ...(to === undefined ? {} : { to }) }));

describe('reading what was edited', () => {
  it('finds exactly the faults that reading the whole finds', () => {
    fc.assert(
      fc.property(fc.array(anyChange, { maxLength: 3 }), (wanted) => {
        let document = start as unknown as Value;
        const made: Change[] = [];
        for (const change of wanted) {
          if (change.kind !== 'set') continue;
          const now = apply(document, [change]).conflicts[0]?.theirs;
          const fitting = now === undefined ? change : { ...change, from: now };
          const next = apply(document, [fitting]);
          if (next.conflicts.length > 0) continue;
          document = next.document;
          made.push(fitting);
        }
        const whole = readSurvey(document);
        const edited = readEdited(
          document as unknown as Survey,
          made.map(({ path }) => path),
        );
        if ('faults' in whole) expect(edited).toEqual(whole);
        else expect('survey' in edited && plainSurvey(edited.survey)).toEqual(plainSurvey(whole.survey));
      }),
      { numRuns: 600 },
    );
  });
});
