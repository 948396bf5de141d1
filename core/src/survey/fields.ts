/**
 * The kinds of field a survey has, as property decorators over class-validator. Each message says what is expected;
 * what was found is added by `validate.ts`. Every field may be left out (not known) unless marked required.
 */
import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

import { note, type FieldSpec } from './schema/field-spec';

type Decorator = PropertyDecorator;

/** Notes for the schema what a field holds, beside what checks it. */
function holds(spec: FieldSpec): Decorator {
  return (target, key) => {
    note(target, key, spec);
  };
}

function together(...decorators: Decorator[]): Decorator {
  return (target, key) => {
    for (const decorate of decorators) decorate(target, key);
  };
}

/** Absent is allowed and means "not known yet"; null is not, so that there is one way of not knowing. */
function optional(): Decorator {
  return (target, key) => {
    IsOptional()(target, key);
  };
}

/** A number between two bounds, in the unit named. */
export function Quantity(unit: string, least: number, most: number): Decorator {
  const message = `a number from ${least} to ${most}${unit === '' ? '' : ` ${unit}`}`;
  return together(
    holds({ kind: 'number', unit, least, most, whole: false }),
    optional(),
    IsNumber({ allowInfinity: false, allowNaN: false }, { message }),
    Min(least, { message }),
    Max(most, { message }),
  );
}

/** Numbers between two bounds, at most so many, in the unit named; one value as a whole, not members of their own. */
export function Quantities(unit: string, least: number, most: number, longest: number): Decorator {
  const message = `at most ${longest} numbers from ${least} to ${most} ${unit}`;
  return together(
    holds({ kind: 'numbers', unit, least, most, longest }),
    optional(),
    IsArray({ message }),
    ArrayMaxSize(longest, { message }),
    IsNumber({ allowInfinity: false, allowNaN: false }, { message, each: true }),
    Min(least, { message, each: true }),
    Max(most, { message, each: true }),
  );
}

/** Words of a closed list, at most as many as it has. */
export function SomeOf(choices: readonly string[]): Decorator {
  const message = `some of ${choices.join(', ')}`;
  return together(
    holds({ kind: 'choices', choices }),
    optional(),
    IsArray({ message }),
    ArrayMaxSize(choices.length, { message }),
    IsIn([...choices], { message, each: true }),
  );
}

/** A whole number between two bounds. */
export function Count(least: number, most: number): Decorator {
  const message = `a whole number from ${least} to ${most}`;
  // The order decides which type the JSON Schema made from these ends up with: whole numbers last.
  return together(
    holds({ kind: 'number', unit: '', least, most, whole: true }),
    optional(),
    Min(least, { message }),
    Max(most, { message }),
    IsInt({ message }),
  );
}

/** One of a closed list of words or numbers. */
export function OneOf(choices: readonly (string | number)[]): Decorator {
  return together(
    holds({ kind: 'choice', choices }),
    optional(),
    IsIn([...choices], { message: `one of ${choices.join(', ')}` }),
  );
}

/** As `OneOf`, and it must be there. */
export function RequiredOneOf(choices: readonly (string | number)[]): Decorator {
  return together(holds({ kind: 'choice', choices }), IsIn([...choices], { message: `one of ${choices.join(', ')}` }));
}

/** Free text up to a length in characters. */
export function Text(longest: number): Decorator {
  const message = `text of at most ${longest} characters`;
  return together(
    holds({ kind: 'text', longest }),
    optional(),
    IsString({ message }),
    MaxLength(longest, { message }),
    // PostgreSQL cannot hold the nul character, and no keyboard sends it.
    // oxlint-disable-next-line no-control-regex
    Matches(/^[^\u0000]*$/, { message }),
  );
}

/** Text that must be there, up to a length in characters; `what` says what it is. */
export function RequiredText(longest: number, what: string): Decorator {
  const message = `${what}, in at most ${longest} characters`;
  return together(
    holds({ kind: 'text', longest }),
    IsString({ message }),
    IsNotEmpty({ message }),
    MaxLength(longest, { message }),
  );
}

/** A day of the calendar: YYYY-MM-DD. */
export function Day(): Decorator {
  return together(
    holds({ kind: 'day' }),
    optional(),
    Matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, { message: 'a date, YYYY-MM-DD' }),
  );
}

/** A moment, ISO 8601 with its offset: 2026-11-24T09:30:00Z. */
export function Moment(): Decorator {
  return together(
    holds({ kind: 'moment' }),
    optional(),
    Matches(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/, {
      message: 'a date and time, ISO 8601 with its offset',
    }),
  );
}

/** Yes or no. */
export function YesNo(): Decorator {
  return together(holds({ kind: 'yes-no' }), optional(), IsBoolean({ message: 'true or false' }));
}

const ID_MESSAGE = 'an id of 1 to 64 letters, digits, - or _';

/** The stable id of a thing within its survey. */
export function Id(): Decorator {
  return together(
    holds({ kind: 'id' }),
    IsString({ message: ID_MESSAGE }),
    IsNotEmpty({ message: ID_MESSAGE }),
    Matches(/^[A-Za-z0-9_-]{1,64}$/, { message: ID_MESSAGE }),
  );
}

/** An id that is one of a closed list of words: one thing of each at most. */
export function IdOf(words: readonly string[]): Decorator {
  return together(RequiredOneOf(words), holds({ kind: 'id' }));
}

/** The id of another thing in the same survey; `to` is the list it has to be in. */
export function Reference(to?: 'supply.nodes'): Decorator {
  return together(
    holds({ kind: 'reference', ...(to === undefined ? {} : { to }) }),
    optional(),
    IsString({ message: ID_MESSAGE }),
    Matches(/^[A-Za-z0-9_-]{1,64}$/, { message: ID_MESSAGE }),
  );
}

/** A part of the survey with fields of its own. */
export function Part(of: () => new () => object): Decorator {
  return together(
    holds({ kind: 'part', of }),
    optional(),
    IsObject({ message: 'an object' }),
    ValidateNested({ message: 'an object' }),
    Type(of),
  );
}

/** A list of things with ids. */
export function ListOf(of: () => new () => object, most: number): Decorator {
  const message = `a list of at most ${most}`;
  return together(
    holds({ kind: 'list', of, most }),
    optional(),
    IsArray({ message }),
    ArrayMaxSize(most, { message }),
    IsObject({ each: true, message: 'a list of objects' }),
    ValidateNested({ each: true, message: 'an object' }),
    Type(of),
  );
}
