import type { Fault } from '@keen-gauge/core/survey/opening/plain';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { RIGHTS, type Right } from '../people/rights';
import type { Person } from '../people/queries';

/** A place of a survey where somebody answers for something by name. */
interface AnsweredFor {
  readonly path: string;
  readonly right: Right;
  /** Whose name stands there; undefined where the place bears none. */
  readonly name: string | undefined;
  /** All that is answered for there: a change of any of it is theirs who make it. */
  readonly what: unknown;
}

/** Every place where somebody answers for something, by what it belongs to rather than where it stands. */
function answeredForIn(survey: Survey): Map<string, AnsweredFor> {
  const { intake, declaration, choice, proposals } = survey;
  const places: [string, AnsweredFor][] = [
    ...intake.faults.map(({ id, overriddenBy, overrideReason }, at): [string, AnsweredFor] => [
      `fault ${id}`,
      {
        path: `$.intake.faults[${at}].overriddenBy`,
        right: 'override-hold',
        name: overriddenBy,
        what: overriddenBy && [overriddenBy, overrideReason],
      },
    ]),
    [
      'basis',
      {
        path: '$.declaration.declaredBy',
        right: 'judge-survey',
        name: declaration.declaredBy,
        what: declaration.basis && [declaration.basis, declaration.declaredBy],
      },
    ],
    [
      'choice',
      {
        path: '$.choice.chosenBy',
        right: 'judge-survey',
        name: choice?.chosenBy,
        what: choice?.option && [choice.option, choice.also, choice.chosenBy],
      },
    ],
    ...proposals.map(({ id, limiter: { test } }, at): [string, AnsweredFor] => [
      `test ${id}`,
      {
        path: `$.proposals[${at}].limiter.test.doneBy`,
        right: 'commission',
        name: test?.doneBy,
        what: test && (test.doneBy ?? test.doneAt) && [test.doneBy, test.doneAt],
      },
    ]),
    ...(survey.comments ?? []).flatMap(({ id, says, by, settledBy, settledAt }, at): [string, AnsweredFor][] => [
      [`comment ${id}`, { path: `$.comments[${at}].by`, right: 'judge-survey', name: by, what: [says, by] }],
      [
        `settled ${id}`,
        {
          path: `$.comments[${at}].settledBy`,
          right: 'judge-survey',
          name: settledBy,
          what: settledAt && [settledAt, settledBy],
        },
      ],
    ]),
  ];
  return new Map(places);
}

/** What a save newly answers for: a name, or what stands under it. Taking a name away answers for nothing. */
export function newlyAnsweredFor(before: Survey, after: Survey): AnsweredFor[] {
  const known = answeredForIn(before);
  return [...answeredForIn(after)].flatMap(([key, now]) =>
    now.what === undefined || now.what === '' || JSON.stringify(now.what) === JSON.stringify(known.get(key)?.what)
      ? []
      : [now],
  );
}

/** Why somebody cannot answer for this: it takes a right they do not have, or bears a name that is not theirs. What others have to say goes in the note beside it. */
export function notTheirs(places: readonly AnsweredFor[], who: Person): Fault[] {
  return places.flatMap(({ path, right, name }) => {
    if (!RIGHTS[right](who))
      return [{ path, wrong: 'is not yours to set', expected: REQUIRED[right] ?? 'somebody who may' }];
    if (name !== undefined && name !== who.name)
      return [{ path, wrong: 'is somebody else’s name', expected: `your own, ${who.name}: you are signed in` }];
    return [];
  });
}

const REQUIRED: Readonly<Partial<Record<Right, string>>> = {
  'override-hold': 'somebody who may sign surveys off',
  'judge-survey': 'a surveyor or a supervisor',
  commission: 'a surveyor or a supervisor',
};
