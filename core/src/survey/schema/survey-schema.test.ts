import { fc, lawRuns } from '../../testing/laws';
import { REGISTER } from '../../questions/register';
import { completeSurveys } from '../../testing/random-surveys';
import { settledSurvey } from '../../testing/settled-survey';
import type { Survey } from '../survey';
import type { FieldPath, Place, TextPlace, ValueAt } from './field-path';
import type { FieldSpec } from './field-spec';
import { COLLECTIONS, fieldAt, specAt, SURVEY_SCHEMA } from './survey-schema';

/** Every value of a survey that is no part or list, with its place. */
function leaves(at: unknown, place: readonly string[] = []): { place: readonly string[]; value: unknown }[] {
  if (Array.isArray(at) && at.every((member) => typeof member === 'object' && member !== null && 'id' in member))
    return at.flatMap((member: { id: string }) => leaves(member, [...place, member.id]));
  if (typeof at !== 'object' || at === null || Array.isArray(at)) return [{ place, value: at }];
  return Object.entries(at).flatMap(([key, value]) => leaves(value, [...place, key]));
}

/** Whether a value is one that a field may hold, read off its entry in the schema alone. */
function allows(spec: FieldSpec, value: unknown): boolean {
  switch (spec.kind) {
    case 'number':
      return typeof value === 'number' && value >= spec.least && value <= spec.most;
    case 'choice':
      return spec.choices.includes(value as string);
    case 'choices':
      return (value as string[]).every((each) => spec.choices.includes(each));
    case 'text':
      return typeof value === 'string' && value.length <= spec.longest;
    case 'numbers':
      return (value as number[]).every((each) => each >= spec.least && each <= spec.most);
    case 'yes-no':
      return typeof value === 'boolean';
    case 'part':
    case 'list':
      return false;
    default:
      return typeof value === 'string';
  }
}

describe('the schema of the survey', () => {
  it('has every field of every survey, and what it holds is what the schema allows', () => {
    fc.assert(
      fc.property(completeSurveys(), (survey) => {
        for (const { place, value } of leaves(JSON.parse(JSON.stringify(survey)) as Survey)) {
          if (place[0] === 'format' || place[0] === 'version') continue;
          const spec = specAt(place);
          expect([place, spec !== undefined && allows(spec, value)]).toEqual([place, true]);
        }
      }),
      { numRuns: lawRuns(40) },
    );
  });

  it('has the fields that the register of questions names', () => {
    expect(REGISTER.map(({ field }) => field).filter((field) => !SURVEY_SCHEMA.has(field))).toEqual([]);
  });

  it('has every list of members, those that were once forgotten in hand-kept ones too', () => {
    expect(COLLECTIONS).toEqual(
      expect.arrayContaining([
        'supply.nodes',
        'supply.nodes.checks',
        'generation',
        'trials',
        'after.ticks',
        'proposals',
      ]),
    );
  });

  it.each<[readonly string[], FieldPath | undefined]>([
    [['proposals', 'car', 'limiter', 'setPointA'], 'proposals.limiter.setPointA'],
    [['supply', 'nodes', 'cut-out', 'checks', 'isolator', 'answer'], 'supply.nodes.checks.answer'],
    [['supply', 'nodes'], 'supply.nodes'],
    // A member is no field, nor is what is not there.
    [['supply', 'nodes', 'cut-out'], undefined],
    [['proposals', 'car', 'setPointA'], undefined],
    [['nowhere'], undefined],
  ])('names the field at %j', (place, field) => {
    expect(fieldAt(place)).toBe(field);
  });

  it('gives unit and bounds as the model declares them', () => {
    expect(specAt(['proposals', 'car', 'ratedA'])).toEqual({
      kind: 'number',
      unit: 'A',
      least: 1,
      most: 1000,
      whole: false,
    });
    expect(specAt(['loads', 'l', 'quantity'])).toMatchObject({ kind: 'number', whole: true, least: 1, most: 1000 });
    expect(specAt(['loads', 'l', 'nodeId'])).toEqual({ kind: 'reference', to: 'supply.nodes' });
  });

  it('is checked by the compiler where places are written down', () => {
    const setPoint: Place<number> = ['proposals', 'car', 'limiter', 'setPointA'];
    const name: TextPlace = ['loads', 'kettle', 'label'];
    const value: ValueAt<['supply', 'phases']> = 3;
    // @ts-expect-error -- a misspelt field
    const misspelt: Place = ['proposals', 'car', 'limiter', 'setpointA'];
    // @ts-expect-error -- no number
    const noNumber: Place<number> = ['place', 'town'];
    // @ts-expect-error -- words of a closed list are no free text
    const notFree: TextPlace = ['earthing', 'arrangement'];
    // @ts-expect-error -- a misspelt field in a path without ids
    const noField: FieldPath = 'proposals.limiter.setpointA';
    // One by one: a list of them would be of more types than the compiler counts.
    const count = (...given: readonly unknown[]): number => given.length;
    expect(count(setPoint, name, value, misspelt, noNumber, notFree, noField)).toBe(7);
    expect(specAt(setPoint)?.kind).toBe('number');
    expect(settledSurvey().supply.phases).toBeDefined();
  });
});
