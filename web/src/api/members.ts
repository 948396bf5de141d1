import useSWR from 'swr';
import { call } from './client';
import type { Me } from './me';

/** Somebody as a supervisor sees them. */
export interface Member {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Me['role'];
  readonly maySignOff: boolean;
  readonly registration: string;
  /** Since when they are no longer of the firm. */
  readonly endedAt: string | null;
}

/** An invitation that nobody has taken up yet. */
export interface Invitation {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly role: Me['role'];
  readonly madeBy: string | null;
  readonly expiresAt: string;
}

/** Everybody of the firm, and what a link to hand over says, where one was just made. */
export interface Team {
  readonly people: readonly Member[];
  readonly invitations: readonly Invitation[];
  readonly mails: boolean;
  readonly token?: string;
}

export type Changed = Pick<Member, 'name' | 'role' | 'maySignOff' | 'registration'>;

// Asked of the server each time: who may do what is nothing to take along.
export const useTeam = () => useSWR<Team, Error>('/firm/people', (path: string) => call<Team>('GET', path));

export const invite = (who: Changed & { readonly email: string; readonly mail: boolean }): Promise<Team> =>
  call('POST', '/firm/people/invitations', who);
export const redrawInvitation = (id: string): Promise<Team> => call('POST', `/firm/people/invitations/${id}`);
export const revokeInvitation = (id: string): Promise<Team> => call('DELETE', `/firm/people/invitations/${id}`);
export const changeMember = (id: string, to: Changed): Promise<Team> => call('POST', `/firm/people/${id}`, to);
export const endMember = (id: string): Promise<Team> => call('POST', `/firm/people/${id}/end`);
export const returnMember = (id: string): Promise<Team> => call('POST', `/firm/people/${id}/return`);
export const passwordLink = (id: string, mail: boolean): Promise<Team> =>
  call('POST', `/firm/people/${id}/link`, { mail });

/** The address that a link's token stands in: after the #, so that no server on the way writes it down. */
export const linkAddress = (token: string): string => `${window.location.origin}/link#${token}`;
