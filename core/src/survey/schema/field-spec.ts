/** What a field of the survey holds, as its model says it: noted once, where the field is declared. */
export type FieldSpec =
  | NumberSpec
  | {
      readonly kind: 'numbers';
      readonly unit: string;
      readonly least: number;
      readonly most: number;
      readonly longest: number;
    }
  | TextSpec
  | { readonly kind: 'choice'; readonly choices: readonly (string | number)[] }
  | { readonly kind: 'choices'; readonly choices: readonly string[] }
  | { readonly kind: 'day' | 'moment' | 'yes-no' | 'id' }
  /** The id of another member of the survey; `to` is the list it is in, where it has to be there still. */
  | { readonly kind: 'reference'; readonly to?: string }
  | { readonly kind: 'part' | 'list'; readonly of: () => Model; readonly most?: number };

/** A number in a unit, within its bounds; `whole` numbers count something. */
export interface NumberSpec {
  readonly kind: 'number';
  readonly unit: string;
  readonly least: number;
  readonly most: number;
  readonly whole: boolean;
}

/** Free text, up to so many characters. */
export interface TextSpec {
  readonly kind: 'text';
  readonly longest: number;
}

export type Model = new () => object;

const NOTED = new Map<object, Map<string, FieldSpec>>();

/** Notes what a field of a model holds; for the decorators of `fields.ts` alone. */
export function note(prototype: object, name: string | symbol, spec: FieldSpec): void {
  const fields = NOTED.get(prototype) ?? new Map<string, FieldSpec>();
  NOTED.set(prototype, fields.set(String(name), spec));
}

const GATHERED = new Map<Model, ReadonlyMap<string, FieldSpec>>();

/** The fields of a model in the order they are declared, those it inherits first. */
export function fieldsOf(model: Model): ReadonlyMap<string, FieldSpec> {
  const known = GATHERED.get(model);
  if (known) return known;
  const found = new Map<string, FieldSpec>();
  const chain: object[] = [];
  for (let at = model.prototype as object | null; at !== null; at = Object.getPrototypeOf(at) as object | null)
    chain.unshift(at);
  for (const prototype of chain) for (const [name, spec] of NOTED.get(prototype) ?? []) found.set(name, spec);
  GATHERED.set(model, found);
  return found;
}
