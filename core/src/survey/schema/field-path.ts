import type { Survey } from '../survey';

/** Every field of a thing as a path; a list is passed through, its member being named apart. */
type PathsOf<T> = T extends readonly (infer Member)[]
  ? PathsOf<Member>
  : T extends object
    ? { [K in keyof T & string]: K | `${K}.${PathsOf<NonNullable<T[K]>>}` }[keyof T & string]
    : never;

/**
 * A field of the survey as the register, findings and checks name it: `proposals.rcd.place`, whichever member of the list it is in. Checked by
 * the compiler, so that a field that is not there cannot be named.
 */
export type FieldPath = PathsOf<Survey>;

type PlacesWithin<T, V> = T extends readonly (infer Member)[]
  ? Member extends { id: string }
    ? (Member extends V ? readonly [Member['id']] : never) | Under<Member['id'], PlacesWithin<Member, V>>
    : never
  : T extends object
    ? {
        [K in keyof T & string]-?:
          (NonNullable<T[K]> extends V ? readonly [K] : never) | Under<K, PlacesWithin<NonNullable<T[K]>, V>>;
      }[keyof T & string]
    : never;
type Under<K extends string, Rest> = Rest extends readonly string[] ? readonly [K, ...Rest] : never;

/**
 * The places of one survey that hold a value of a type, from the top of the document, members of lists by their ids:
 * `['proposals', 'car-1', 'limiter', 'setPointA']` is a `Place<number>`.
 */
export type Place<V = unknown> = PlacesWithin<Survey, V>;

/** Places of free text: those whose words are not of a closed list. */
export type TextPlace = FreeText<Survey>;
type FreeText<T> = T extends readonly (infer Member)[]
  ? Member extends { id: string }
    ? Under<Member['id'], FreeText<Member>>
    : never
  : T extends object
    ? {
        [K in keyof T & string]-?:
          (string extends NonNullable<T[K]> ? readonly [K] : never) | Under<K, FreeText<NonNullable<T[K]>>>;
      }[keyof T & string]
    : never;

/** What a place holds. */
export type ValueAt<P extends readonly string[], T = Survey> = P extends readonly [
  infer K,
  ...infer Rest extends readonly string[],
]
  ? T extends readonly (infer Member)[]
    ? Held<Member, Rest>
    : K extends keyof T
      ? Held<NonNullable<T[K]>, Rest>
      : never
  : never;
type Held<T, Rest extends readonly string[]> = Rest extends readonly [] ? T : ValueAt<Rest, T>;
