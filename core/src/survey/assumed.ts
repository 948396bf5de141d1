import type { Load } from './load';
import type { Survey } from './survey';

/** A load nobody has confirmed yet: from a usual set, or with a usual power. */
export function assumedLoad(load: Load): Load {
  return { ...load, assumed: true };
}

/** A load that somebody has looked at, or has corrected. */
export function confirmedLoad(load: Load): Load {
  const { assumed: _assumed, ...rest } = load;
  return rest;
}

/** The survey with a load confirmed that a field of was just typed in: what somebody corrects, they have looked at. */
export function confirmedByEdit(survey: Survey, path: readonly string[]): Survey {
  const [list, id, field] = path;
  if (list !== 'loads' || field === undefined || field === 'assumed') return survey;
  if (survey.loads.find((load) => load.id === id)?.assumed !== true) return survey;
  return { ...survey, loads: survey.loads.map((load) => (load.id === id ? confirmedLoad(load) : load)) };
}

/** The survey with every load confirmed as it stands. */
export function allConfirmed(survey: Survey): Survey {
  return { ...survey, loads: survey.loads.map(confirmedLoad) };
}
