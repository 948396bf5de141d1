import type { Me } from '../api/me';

/** The roles, and what each may do, as the server keeps to it. */
export const ROLE_WORDS: Readonly<Record<Me['role'], { readonly name: string; readonly may: string }>> = {
  surveyor: { name: 'Surveyor', may: 'Surveys, commissions, changes equipment and instruments' },
  office: { name: 'Office', may: 'Jobs, diary, letters, costs; does not judge a survey' },
  supervisor: { name: 'Supervisor', may: 'All that, and people, rules and checklists' },
};
