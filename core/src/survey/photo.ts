import { Count, Id, ListOf, Moment, OneOf, Quantity, RequiredOneOf, Text } from './fields';
import { MARK_KINDS, type MarkKind } from './words/words';

/** Something drawn over a photograph; the picture beneath is not touched. Places are shares of its width and height. */
export class PhotoMark {
  @Id() id: string;
  @RequiredOneOf(MARK_KINDS) kind: MarkKind;
  /** Where it points: the head of an arrow, the centre of a ring, the start of a text. */
  @Quantity('', 0, 1) x: number;
  @Quantity('', 0, 1) y: number;
  /** The tail of an arrow; a point on a ring. */
  @Quantity('', 0, 1) toX?: number;
  @Quantity('', 0, 1) toY?: number;
  @Text(80) text?: string;
}

export const PHOTO_SUBJECTS = [
  'node',
  'fault',
  'loop',
  'earthing',
  'load',
  'proposal',
  /** A step of commissioning a limiter; the subject's id is the step, a point, and the proposal's. */
  'commissioning',
  'place',
  'reading',
] as const;
export type PhotoSubject = (typeof PHOTO_SUBJECTS)[number];

/** What a photograph shows. The picture itself is kept beside the survey, under the same id. */
export class Photo {
  @Id() id: string;
  @Text(300) caption?: string;
  @OneOf(PHOTO_SUBJECTS) subject?: PhotoSubject;
  /** The node, fault, load … it shows, by id. A subject that has gone leaves the photograph where it is. */
  @Text(64) subjectId?: string;
  @Text(200) fileName?: string;
  @Count(1, 100000) widthPx?: number;
  @Count(1, 100000) heightPx?: number;
  @Text(100) takenBy?: string;
  /** From the camera where it said, otherwise when it was handed in. */
  @Moment() takenAt?: string;
  @ListOf(() => PhotoMark, 50) marks?: PhotoMark[];
}
