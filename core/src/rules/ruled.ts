/** A value that a code, a standard or an operator sets, with where it comes from. */
export interface Ruled<T> {
  readonly value: T;
  readonly source: string;
}
