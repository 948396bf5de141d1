import { makeFirm } from '../server/src/demo/load';
import type { Pool } from 'pg';

export const PASSWORD = 'a password for faults';

/** Thirty people of one firm, all of whom may sign. */
export async function thirtyPeople(owner: Pool, count: number): Promise<readonly string[]> {
  const people = Array.from({ length: count }, (_, at) => ({
    email: `person-${at}-${Date.now()}@faults.example`,
    name: `Person ${at}`,
    role: 'surveyor' as const,
    maySignOff: true,
    registration: '',
  }));
  await makeFirm(owner, { name: 'Faults', rulesId: 'gb-default' }, people, PASSWORD);
  return people.map(({ email }) => email);
}
