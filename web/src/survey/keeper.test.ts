import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { Keeper } from './keeper';
import type { Unsaved } from './survey-store';

const typed = (notes: string): Unsaved => ({
  base: blankSurvey(),
  document: { ...blankSurvey(), notes },
  conflicts: [],
});

/** A keeper with a clock of its own: `pass` lets time go by and what is due happen. */
function bench(put?: () => Promise<unknown>) {
  let at = 0;
  const due: { at: number; work: () => void }[] = [];
  const written: (string | null)[] = [];
  const kept: boolean[] = [];
  const keeper = new Keeper(
    put ??
      ((unsaved) => {
        written.push(unsaved?.document.notes ?? null);
        return Promise.resolve();
      }),
    (is) => kept.push(is),
    (milliseconds, work) => due.push({ at: at + milliseconds, work }),
    () => at,
  );
  const pass = async (milliseconds: number): Promise<void> => {
    at += milliseconds;
    for (const each of due.splice(0))
      if (each.at <= at) each.work();
      else due.push(each);
    await new Promise((resolve) => setTimeout(resolve));
  };
  return { keeper, written, kept, pass };
}

describe('keeping what is unsaved in this browser', () => {
  it('writes at once, then the newest at most every tenth of a second', async () => {
    const { keeper, written, pass } = bench();
    for (const notes of ['a', 'ab', 'abc']) keeper.keep(typed(notes));
    await pass(99);
    expect(written).toEqual(['a']);
    await pass(1);
    expect(written).toEqual(['a', 'abc']);
    await pass(500);
    expect(written).toEqual(['a', 'abc']);
  });

  it('writes what waits as soon as it is asked to', async () => {
    const { keeper, written, pass } = bench();
    keeper.keep(typed('a'));
    keeper.keep(typed('ab'));
    keeper.flush();
    await pass(0);
    expect(written).toEqual(['a', 'ab']);
  });

  it('takes away what is saved, and never writes an older state over that', async () => {
    const { keeper, written, pass } = bench();
    keeper.keep(typed('a'));
    keeper.keep(typed('ab'));
    keeper.keep(null);
    await pass(100);
    expect(written).toEqual(['a', null]);
  });

  it('lets a slow write end before the next begins', async () => {
    const began: (() => void)[] = [];
    const { keeper, pass } = bench(() => new Promise<void>((resolve) => began.push(resolve)));
    keeper.keep(typed('a'));
    await pass(100);
    keeper.keep(typed('ab'));
    await pass(100);
    expect(began).toHaveLength(1);
    began[0]?.();
    await pass(0);
    expect(began).toHaveLength(2);
  });

  it('says whether this browser keeps anything', async () => {
    let fails = true;
    const { keeper, kept, pass } = bench(() => (fails ? Promise.reject(new Error('full')) : Promise.resolve()));
    keeper.keep(typed('a'));
    await pass(100);
    fails = false;
    keeper.keep(typed('ab'));
    await pass(100);
    expect(kept).toEqual([false, true]);
  });
});
