import type { PoolClient } from 'pg';
import type { Actor } from '../db/firm-scope';
import { Problem } from '../http/problem';
import { personById, type Person } from './queries';

/**
 * What not everybody in a firm may do, and who may. Everything else — making and surveying jobs, photographs, logs, readings, entries of what happened, handing in,
 * the diary — is everybody's. docs/operating.md says the same in a table.
 */
export const RIGHTS = {
  /** Sign a survey off: whoever the firm has given it to, by name. */
  'sign-off': (who: Person) => who.maySignOff,
  /** Lift a hold: answering for it takes what signing takes. */
  'override-hold': (who: Person) => who.maySignOff,
  /** Declare which reckoning is stood by, choose the way the work is done: a surveyor's judgement, not the office's. */
  'judge-survey': (who: Person) => who.role !== 'office',
  /** Link a charge point, set it, enter what commissioning found: done on site by who is trained for it. */
  commission: (who: Person) => who.role !== 'office',
  /** The firm's rules: sets of rules, house rules, checklists. */
  'change-rules': (who: Person) => who.role === 'supervisor',
  /** What things cost and how packs are headed. */
  'change-terms': (who: Person) => who.role !== 'surveyor',
  /** The firm's kinds of equipment and its instruments: those who use them, and those who answer for them. */
  'change-equipment': (who: Person) => who.role !== 'office',
  /** Revoke an address of the diary that somebody else made; one's own is everybody's to revoke. */
  'revoke-others-feeds': (who: Person) => who.role !== 'surveyor',
  /** Invite people, change what they may do, let them go. */
  'manage-people': (who: Person) => who.role === 'supervisor',
  /** Take everything of a customer out as a file. */
  'export-personal-data': (who: Person) => who.role !== 'surveyor',
  /** Erase everything of a customer. */
  'erase-personal-data': (who: Person) => who.role === 'supervisor',
  'see-stuck-work': (who: Person) => who.role === 'supervisor',
} as const satisfies Readonly<Record<string, (who: Person) => boolean>>;
export type Right = keyof typeof RIGHTS;

const REFUSED: Readonly<Record<Right, string>> = {
  'sign-off': 'Ask someone in the firm who may sign surveys off.',
  'override-hold': 'A hold is lifted by someone who may sign surveys off.',
  'judge-survey': 'This is judged by a surveyor or a supervisor.',
  commission: 'Commissioning is done by a surveyor or a supervisor.',
  'change-rules': 'Rules and lists are changed by the firm’s supervisors.',
  'change-terms': 'Terms are changed by the office and by supervisors.',
  'change-equipment': 'Equipment and instruments are changed by surveyors and supervisors.',
  'revoke-others-feeds': 'An address that somebody else made is revoked by the office or a supervisor.',
  'manage-people': 'People are invited and changed by the firm’s supervisors.',
  'export-personal-data': 'A customer’s data are handed out by the office or a supervisor.',
  'erase-personal-data': 'A customer’s data are erased by the firm’s supervisors.',
  'see-stuck-work': 'Only the firm’s supervisors handle stuck work.',
};

/** The person asking, where they may do this; refused otherwise, in the transaction that would do it. */
export async function mustBeAllowed(db: PoolClient, { personId }: Actor, right: Right): Promise<Person> {
  const who = await personById(db, personId);
  if (!who || !RIGHTS[right](who))
    throw new Problem(403, right === 'sign-off' ? 'Not yours to sign' : 'Not yours to do', REFUSED[right]);
  return who;
}
