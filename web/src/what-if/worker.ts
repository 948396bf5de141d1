import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { expose } from 'comlink';
import { WHAT_IF, type AnswerTo, type MoreFor, type WhatIf } from './reckon';

const worker = {
  reckon<K extends WhatIf>(what: K, survey: Survey, rules: Rules, more: MoreFor<K>): AnswerTo<K> {
    const reckon = WHAT_IF[what] as (survey: Survey, rules: Rules, more: MoreFor<K>) => AnswerTo<K>;
    return reckon(survey, rules, more);
  },
};
export type WhatIfWorker = typeof worker;
expose(worker);
