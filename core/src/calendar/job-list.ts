/** How far a job has come, in order. */
export const JOB_STATES = [
  'to-survey',
  'surveying',
  'signed-off',
  'with-operator',
  'answered',
  'fitted',
  'closed',
] as const;
export type JobState = (typeof JOB_STATES)[number];

/** What the list of jobs can be sorted by. */
export const JOB_ORDERS = ['changed', 'next', 'stage', 'route', 'person', 'place', 'number'] as const;
export type JobOrder = (typeof JOB_ORDERS)[number];

/** Jobs to a page of the list. */
export const JOBS_PAGE = 50;
