import type { Finding } from './finding';

/** Lists whose members have ids: a finding names the list and the field, and the member apart. */
const LISTS = [
  'proposals',
  'loads',
  'generation',
  'readings',
  'measurements',
  'supply.nodes',
  'intake.faults',
] as const;

/** The path of the very field that settles a finding, members of lists by their ids; undefined where it names none. */
export function fieldPath({ field, subjectId }: Pick<Finding, 'field' | 'subjectId'>): string | undefined {
  if (field === undefined || subjectId === undefined) return field;
  const list = LISTS.find((each) => field.startsWith(`${each}.`));
  return list === undefined ? field : `${list}.${subjectId}${field.slice(list.length)}`;
}
