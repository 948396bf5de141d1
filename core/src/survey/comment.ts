import { Id, Moment, RequiredText, Text } from './fields';

/** What a supervisor asks of a survey that is handed back; open until the surveyor has settled it. */
export class ReviewComment {
  @Id() id: string;
  /** The station it concerns, by its name in addresses. */
  @Text(40) station?: string;
  @RequiredText(1000, 'what is asked') says: string;
  @Text(100) by?: string;
  @Moment() at?: string;
  /** What was done about it, or why it stands. */
  @Text(1000) reply?: string;
  @Text(100) settledBy?: string;
  @Moment() settledAt?: string;
}
