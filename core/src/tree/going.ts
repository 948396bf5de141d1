import type { Load } from '../survey/load';
import type { Survey } from '../survey/survey';

/** Whether this work takes a load away or puts something else in its place: demand before counts it, demand after does not. */
export function isGoing({ fate }: Pick<Load, 'fate'>): boolean {
  return fate !== undefined;
}

/** The loads that are there when the work is done; the very list where nothing goes. */
export function staying(loads: readonly Load[]): readonly Load[] {
  return loads.some(isGoing) ? loads.filter((load) => !isGoing(load)) : loads;
}

/** The survey without the loads that go. */
export function withoutGone(survey: Survey): Survey {
  const kept = staying(survey.loads);
  return kept === survey.loads ? survey : { ...survey, loads: [...kept] };
}
