import { fc } from '../../testing/laws';
import { STARTING_SETS } from '../../demand/starting-sets';
import { blankSurvey } from '../blank';
import { plainSurvey, readSurvey, type SurveyRead } from './read';

const head = { format: 'keen-gauge-survey', version: 2 };

function faultsOf(read: SurveyRead): string[] {
  return 'faults' in read
    ? read.faults.map(({ path, wrong, expected }) => `${path}: ${wrong}; expected ${expected}`)
    : [];
}
const faults = (input: unknown): string[] => faultsOf(readSurvey(input));

/** Lists within lists, so many deep. */
function nested(levels: number): unknown {
  let made: unknown = [];
  for (let level = 1; level < levels; level += 1) made = [made];
  return made;
}

describe('reading a survey', () => {
  it('fills what is absent with empty parts and keeps unknown fields unknown', () => {
    const read = readSurvey(head);
    expect('survey' in read && plainSurvey(read.survey)).toEqual({
      ...head,
      place: {},
      supply: { nodes: [] },
      intake: { faults: [], loop: {} },
      earthing: {},
      readings: [],
      measurements: [],
      photos: [],
      loads: [],
      declaration: {},
      proposals: [],
      request: {},
    });
  });

  it('reads back what it wrote', () => {
    for (const { loads } of STARTING_SETS) {
      const written = JSON.parse(JSON.stringify({ ...blankSurvey(), loads })) as unknown;
      const read = readSurvey(written);
      expect('survey' in read && plainSurvey(read.survey)).toEqual(written);
    }
  });

  it('names path, fault and expectation', () => {
    expect(
      faults({
        ...head,
        place: { premises: 'castle' },
        supply: { nodes: [{ id: 'a', kind: 'cut-out', ratingA: 1e9 }] },
        loads: [
          { id: 'x', class: 'cooking', powerW: -5, watts: 3 },
          { id: 'y', class: 'cooking', quantity: 1.5 },
        ],
      }),
    ).toEqual([
      '$.place.premises: is "castle"; expected one of household, small-shop-or-office, guest-house',
      '$.supply.nodes[0].ratingA: is 1000000000; expected a number from 1 to 3000 A',
      '$.loads[0].watts: is not a known field; expected a known field',
      '$.loads[0].powerW: is -5; expected a number from 0 to 1000000 W',
      '$.loads[1].quantity: is 1.5; expected a whole number from 1 to 1000',
    ]);
  });

  it.each<[string, unknown, string]>([
    ['a list', [], '$: is []; expected a survey object'],
    ['ten thousand nested lists', nested(10_000), '$: is a deeply nested list; expected a survey object'],
    ['null', null, '$: is null; expected a survey object'],
    ['no format', { version: 1 }, '$.format: is missing; expected "keen-gauge-survey"'],
    ['a later version', { ...head, version: 3 }, '$.version: is 3; expected 1 or 2'],
    [
      'null inside',
      { ...head, place: null },
      '$.place: is null; expected a value, or the field left out when not known',
    ],
    ['a part that is text', { ...head, earthing: 'TT' }, '$.earthing: is "TT"; expected an object'],
    ['a list that is an object', { ...head, loads: {} }, '$.loads: is {}; expected a list of at most 500'],
    ['a member that is a number', { ...head, loads: [5] }, '$.loads: is [5]; expected a list of objects'],
    [
      'a link to nowhere',
      { ...head, loads: [{ id: 'l', class: 'motor', nodeId: 'gone' }] },
      '$.loads[0].nodeId: "gone" is not a node of the supply; expected the id of a node in $.supply.nodes',
    ],
    [
      'two sizes',
      { ...head, loads: [{ id: 'l', class: 'motor', powerW: 1, currentA: 1 }] },
      '$.loads[0].currentA: is given as well as powerW; expected one of powerW, currentA and apparentVA',
    ],
    [
      'an id twice',
      {
        ...head,
        loads: [
          { id: 'l', class: 'motor' },
          { id: 'l', class: 'motor' },
        ],
      },
      '$.loads[1].id: "l" is used twice; expected an id of its own',
    ],
    [
      'a circle',
      {
        ...head,
        supply: {
          nodes: [
            { id: 'a', kind: 'board', fedFrom: 'b' },
            { id: 'b', kind: 'board', fedFrom: 'a' },
          ],
        },
      },
      '$.supply.nodes[0].fedFrom: leads round in a circle; expected a way back to the street',
    ],
    [
      'two streets',
      {
        ...head,
        supply: {
          nodes: [
            { id: 'a', kind: 'service' },
            { id: 'b', kind: 'service' },
          ],
        },
      },
      '$.supply.nodes[1].fedFrom: is missing on a second node; expected only one node without a feeder, nearest the street',
    ],
    [
      'nul characters',
      { ...head, notes: 'a\u0000b' },
      '$.notes: is "a\\u0000b"; expected text that can be kept and shown',
    ],
    [
      'half a character',
      { ...head, notes: 'a\ud83db' },
      '$.notes: is "a\\ud83db"; expected text that can be kept and shown',
    ],
    [
      'half a character in a name',
      { ...head, ['\ud83d']: 1 },
      '$.\ud83d: is not a known field; expected a known field',
    ],
  ])('refuses %s', (_name, input, expected) => {
    expect(faults(input)).toContain(expected);
  });

  it('names a hundred faults of two hundred thousand, and stops there', () => {
    expect(faults({ ...head, loads: Array(200_000).fill(null) })).toHaveLength(100);
    expect(faults({ ...head, loads: Array(200_000).fill({ a: null }) })).toHaveLength(100);
  });

  it('refuses names that reach past the document', () => {
    expect(faults(JSON.parse('{"format":"keen-gauge-survey","version":1,"__proto__":{"x":1}}'))).toHaveLength(1);
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const inside = { ...head, place: value, supply: value, loads: value, proposals: value, intake: value };
        expect(faults(value)).not.toEqual([]);
        expect(() => readSurvey(inside)).not.toThrow();
      }),
    );
  });
});
