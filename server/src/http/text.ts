import { isText } from '@keen-gauge/core/survey/opening/plain';
import type { RequestHandler } from 'express';
import { Problem } from './problem';

const NO_TEXT = new Problem(400, 'Not readable', 'The address holds something that is no text. Nothing was changed.');

/** Refuses an address with what no text can hold, in its path or in what is searched for: nothing further in has to think of it. */
export const onlyText: RequestHandler = (request, _response, next) => {
  if (
    ![decoded(request.path), ...Object.entries(request.query).flat(2)].every(
      (part) => typeof part !== 'string' || isText(part),
    )
  )
    throw NO_TEXT;
  next();
};

function decoded(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    throw NO_TEXT;
  }
}
