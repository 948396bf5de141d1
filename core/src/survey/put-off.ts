import { Id, Moment, Reference, RequiredOneOf, Text } from './fields';

export const PUT_OFF_TO = ['customer', 'operator', 'not-seen'] as const;
export type PutOffTo = (typeof PUT_OFF_TO)[number];

/** A question passed over on site: whom to ask it instead, or that the thing could not be seen. It stays open until its field is filled. */
export class PutOff {
  @Id() id: string;
  /** The entry of the register of questions, and what it is asked of. */
  @Text(64) question?: string;
  @Reference() subjectId?: string;
  @RequiredOneOf(PUT_OFF_TO) to: PutOffTo;
  @Text(300) note?: string;
  @Text(100) by?: string;
  @Moment() at?: string;
}
