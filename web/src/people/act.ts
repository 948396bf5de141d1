import type { Team } from '../api/members';

/** Does something to the team and shows how it stands then; a link that was made with it is for this person. */
export type Act = (forWhom: string, work: () => Promise<Team>) => Promise<void>;
