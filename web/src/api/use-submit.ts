import { useState } from 'react';
import { NoAnswer, ServerProblem } from './client';

/** What a form says of a refusal: the server’s own words, the field’s where it names one. */
export function refusalWords(failed: unknown): string {
  if (failed instanceof ServerProblem) {
    const [fault] = failed.faults;
    return fault ? `${NAMES[fault.path] ?? fault.path} ${fault.wrong}. Expected: ${fault.expected}.` : failed.detail;
  }
  if (failed instanceof NoAnswer) return failed.message;
  // What a browser says where the person, or the time, called it off.
  if (failed instanceof Error && /NotAllowedError|AbortError/.test(failed.name))
    return 'No passkey was given. Nothing has changed.';
  if (failed instanceof Error && failed.name === 'InvalidStateError') return 'This device has a passkey here already.';
  return 'That failed. Try again.';
}

const NAMES: Readonly<Record<string, string>> = {
  '$.password': 'The password',
  '$.email': 'The e-mail address',
  '$.name': 'The name',
  '$.firm': 'The firm’s name',
  '$.code': 'The code',
};

/** One thing sent at a time: whether it is on its way, and what went wrong last. */
export function useSubmit(): {
  readonly isBusy: boolean;
  readonly problem: string | undefined;
  readonly submit: (work: () => Promise<void>) => Promise<void>;
} {
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const submit = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      await work();
    } catch (failed) {
      setProblem(refusalWords(failed));
    } finally {
      setBusy(false);
    }
  };
  return { isBusy, problem, submit };
}
