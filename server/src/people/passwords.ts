import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { hash } from '@node-rs/argon2';
import { invalid } from '../http/problem';

/** Length is what makes a password; no rule says which signs have to be in it. */
export const LEAST_CHARACTERS = 12;
export const MOST_CHARACTERS = 200;

/** Guesses that a password must be worth, as a power of ten: what is on a list of the commonest, or made of who somebody is, falls short. */
const LEAST_GUESSES_LOG10 = 9;

/** Made when first asked for: its lists take a moment to read, and most instances never need them. */
let strength: ZxcvbnFactory | undefined;

/** What somebody would try who knows this of a person: the whole of it, and its words one by one. */
const asGuessed = (known: string): string[] => [known, ...known.split(/[\s@.,]+/).filter(({ length }) => length > 2)];

/** Why a password will not do, or null. `about`: what anybody knows of the person, which a password must not be made of. */
export function passwordFault(password: string, about: readonly string[]): string | null {
  const { length } = [...password];
  if (length < LEAST_CHARACTERS) return `has ${length} characters`;
  if (length > MOST_CHARACTERS) return 'is too long';
  strength ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  const { guessesLog10 } = strength.check(password, about.flatMap(asGuessed));
  return guessesLog10 < LEAST_GUESSES_LOG10 ? 'is among the first that anybody would try' : null;
}

/** The hash of a password that will do; refused with the reason otherwise. */
export async function hashOf(password: string, about: readonly string[]): Promise<string> {
  const wrong = passwordFault(password, about);
  if (wrong !== null)
    throw invalid([
      {
        path: '$.password',
        wrong,
        expected: `at least ${LEAST_CHARACTERS} characters that nobody would guess: four words that have nothing to do with each other, say`,
      },
    ]);
  return hash(password);
}
