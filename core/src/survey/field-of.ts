import type { Survey } from './survey';

/** Every field of a thing as a path; a list is passed through, its member being named apart. */
type PathsOf<T> = T extends readonly (infer Member)[]
  ? PathsOf<Member>
  : T extends object
    ? { [K in keyof T & string]: K | `${K}.${PathsOf<NonNullable<T[K]>>}` }[keyof T & string]
    : never;

/** A field of the survey, `proposals.rcd.place`: checked by the compiler, so that no question names one that is not there. */
export type FieldOf = PathsOf<Survey>;
