import type { Question } from '@keen-gauge/core/questions/question';
import type { PhotoSubject } from '@keen-gauge/core/survey/photo';

/** What a photograph taken for a question shows; null where it belongs to nothing that has photographs. */
export function photoSubject({
  field,
  subjectId,
}: Pick<Question, 'field' | 'subjectId'>): { subject: PhotoSubject; subjectId?: string } | null {
  const of = subjectId === undefined ? {} : { subjectId };
  if (field.startsWith('supply.nodes')) return { subject: 'node', ...of };
  if (field.startsWith('proposals')) return { subject: 'proposal', ...of };
  if (field.startsWith('intake.loop')) return { subject: 'loop' };
  if (field.startsWith('earthing')) return { subject: 'earthing' };
  if (field.startsWith('loads') && subjectId !== undefined) return { subject: 'load', subjectId };
  return null;
}
