import type { Moment } from '@keen-gauge/core/trial/evening';
import type { LogDays } from '@keen-gauge/core/trial/log-year';
import { playDay, playHousehold } from '@keen-gauge/core/trial/play';
import type { TrialPlan } from '@keen-gauge/core/trial/plan';
import type { YearFigures } from '@keen-gauge/core/trial/year';
import type { TrialFault } from '@keen-gauge/core/survey/words/trial-words';
import { expose } from 'comlink';

let days: LogDays = {};

/** The log's days, for a plan that takes its house from one; sent once, however many years are played. */
function takeDays(of: LogDays): void {
  days = of;
}

function year(plan: TrialPlan, index: number): YearFigures[] {
  return playHousehold(plan, index, days);
}

function evening(
  plan: TrialPlan,
  at: { readonly index: number; readonly day: number; readonly way: number },
  fault: TrialFault | undefined,
): Moment[] {
  return playDay(plan, at, fault, days);
}

const worker = { takeDays, year, evening };
export type TrialWorker = typeof worker;
expose(worker);
