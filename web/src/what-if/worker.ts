import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { expose } from 'comlink';
import { WHAT_IF, type AnswerTo, type WhatIf } from './reckon';

const worker = {
  reckon<K extends WhatIf>(what: K, survey: Survey, rules: Rules): AnswerTo<K> {
    return WHAT_IF[what](survey, rules) as AnswerTo<K>;
  },
};
export type WhatIfWorker = typeof worker;
expose(worker);
