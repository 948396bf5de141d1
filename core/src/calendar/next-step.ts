import type { Station } from '../finding';
import { standing, type JobEvent } from './job-events';

/** What has to be done next about the operator's answer, and where. */
export interface NextStep {
  readonly says: string;
  readonly station: Station;
  /** The letter that does it, ready at the pack. */
  readonly letter?: 'un-loop' | 'fuse-upgrade';
}

/** What the newest answer makes the next step; what was done since moves it on. Null before there is an answer, and once it is fitted. */
export function nextStep(events: readonly JobEvent[]): NextStep | null {
  const found = standing(events);
  const at = found.map(({ kind }) => kind).lastIndexOf('answered');
  const answered = found[at];
  if (!answered) return null;
  const since = new Set(found.slice(at + 1).map(({ kind }) => kind));
  if (since.has('commissioned') || since.has('sent') || since.has('closed')) return null;
  const fit: NextStep = { says: 'Fit and commission; then send the notice in time.', station: 'commissioning' };
  const { answer, condition, limitA } = answered.details;
  if (answer === undefined) return fit;
  switch (answer) {
    case 'accepted':
      return fit;
    case 'accepted-if':
      if (condition === 'fuse-visit')
        return since.has('fuse-visited')
          ? fit
          : {
              says: 'The operator comes to the fuse first. Enter it when it was done, with the rating that was found; then fit.',
              station: 'cut-out',
            };
      if (condition === 'limit')
        return {
          says: `Set ${limitA === undefined ? 'the limit asked for' : `the equipment to ${limitA} A at most`}, record it when it is commissioned, then fit.`,
          station: 'charger',
        };
      return { says: 'See to the condition first, as the answer says. Then fit.', station: 'commissioning' };
    case 'asks-for-more':
      return { says: 'Find out what is asked for, sign off again and send the new pack.', station: 'pack' };
    case 'un-loop-first':
      if (since.has('unlooped'))
        return { says: 'Record the service as it is now, sign off again and send.', station: 'loop' };
      return since.has('unloop-asked')
        ? { says: 'The un-looping is asked for. Nothing is connected before it is done.', station: 'route' }
        : {
            says: 'Ask for the un-looping; nothing is connected before it is done.',
            station: 'pack',
            letter: 'un-loop',
          };
    case 'refused':
      return { says: 'Look at the options again with the reason given; nothing is connected.', station: 'compare' };
  }
}
