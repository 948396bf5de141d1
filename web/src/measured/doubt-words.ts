import type { LogDoubt } from '@keen-gauge/core/survey/words';

const WORDS: Readonly<Record<LogDoubt, string>> = {
  nought: 'it reads nought for days',
  noise: 'it shows only noise for days',
  frozen: 'one value stands for hours on end',
  reset: 'its register starts again',
  unit: 'the unit may be another',
  decimal: 'a mark may be of thousands or of decimals',
  dates: 'day and month may be the other way round',
};

/** Why a log may not be what it seems, in a few words. */
export function doubtWords(doubt: LogDoubt): string {
  return WORDS[doubt];
}
