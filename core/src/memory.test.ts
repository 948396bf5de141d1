import { fc, lawRuns } from './testing/laws';
import { assess } from './assess';
import type { Assessment } from './assessment';
import { Memory } from './memory';
import { REGISTER } from './questions/register';
import { RULE_SETS } from './rules/catalogue';
import { gbDefault } from './rules/gb-default';
import { openStored } from './survey/opening/open-stored';
import { readSurvey } from './survey/opening/read';
import type { Survey } from './survey/survey';
import { completeSurveys } from './testing/random-surveys';
import { settledSurvey } from './testing/settled-survey';

/** Everything an assessment says, lines of working and what each answer would make of the survey included. */
function everything(assessment: Assessment, survey: Survey): string {
  const answers = assessment.questions.flatMap(({ answers = [] }) => answers.map(({ change }) => change(survey)));
  return JSON.stringify([assessment, answers]);
}

/** A survey with one field of it gone, the parts that did not change the very same. */
function without(here: unknown, path: readonly (string | number)[]): unknown {
  const [key, ...rest] = path;
  if (Array.isArray(here)) return here.map((each: unknown, at) => (at === key ? without(each, rest) : each));
  const { [String(key)]: inside, ...others } = here as Record<string, unknown>;
  return rest.length === 0 ? others : { ...(here as object), [String(key)]: without(inside, rest) };
}

/** Where every value of a survey stands. */
function leaves(here: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof here !== 'object' || here === null) return [path];
  return Array.isArray(here)
    ? here.flatMap((each, at) => leaves(each, [...path, at]))
    : Object.entries(here).flatMap(([key, value]) => leaves(value, [...path, key]));
}

const isValid = (survey: unknown): survey is Survey => 'survey' in readSurvey(JSON.parse(JSON.stringify(survey)));

describe('a memory of steps', () => {
  it('law: whatever changes, one field gone or a whole part another, it says what reckoning afresh says', () => {
    fc.assert(
      fc.property(
        completeSurveys(),
        fc.array(fc.record({ other: completeSurveys(), pick: fc.nat(), rules: fc.nat(20) }), {
          minLength: 4,
          maxLength: 8,
        }),
        (first, edits) => {
          const memory = new Memory();
          let survey: Survey = openStored(JSON.parse(JSON.stringify(first)));
          let rules = gbDefault;
          for (const { other, pick, rules: which } of edits) {
            const parts = Object.keys(other) as (keyof Survey)[];
            const part = parts[pick % parts.length];
            const places = leaves(survey);
            const place = places[pick % places.length] ?? [];
            const next: unknown =
              pick % 3 === 0 && part !== undefined ? { ...survey, [part]: other[part] } : without(survey, place);
            if (!isValid(next)) continue;
            survey = next;
            // The rules change too, now and then.
            if (which < 2) rules = RULE_SETS[which] ?? gbDefault;
            expect(everything(assess(survey, rules, memory), survey)).toBe(everything(assess(survey, rules), survey));
          }
        },
      ),
      { numRuns: lawRuns(60) },
    );
  });

  it('law: every field of a settled survey taken out and put back, one after the other', () => {
    const memory = new Memory();
    const survey = openStored(JSON.parse(JSON.stringify(settledSurvey())));
    const whole = everything(assess(survey, gbDefault), survey);
    for (const place of leaves(survey)) {
      const next = without(survey, place);
      if (!isValid(next)) continue;
      expect([place, everything(assess(next, gbDefault, memory), next)]).toEqual([
        place,
        everything(assess(next, gbDefault), next),
      ]);
      expect(everything(assess(survey, gbDefault, memory), survey)).toBe(whole);
    }
  });

  it('makes again only what looked at something that changed', () => {
    const survey = openStored(JSON.parse(JSON.stringify(settledSurvey())));
    const made: string[] = [];
    const memory = new Memory();
    const counting = {
      joined: memory.joined,
      same: memory.same,
      each: memory.each,
      step: <F extends object, T>(name: string, facts: F, make: (of: F) => T): T =>
        memory.step(name, facts, (of) => {
          made.push(name);
          return make(of);
        }),
    };
    assess(survey, gbDefault, counting);
    expect(made.length).toBeGreaterThan(90);
    made.splice(0);
    assess(survey, gbDefault, counting);
    expect(made).toEqual([]);
    assess({ ...survey, place: { ...survey.place, town: 'Elsewhere' } }, gbDefault, counting);
    expect(made).not.toContain('demand');
    expect(made.length).toBeLessThan(10);
  });

  it('has a name of its own for every question', () => {
    expect(new Set(REGISTER.map(({ id }) => id)).size).toBe(REGISTER.length);
  });
});
