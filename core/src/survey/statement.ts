import { Id, Moment, RequiredText, Text } from './fields';

/**
 * Something the customer said or showed, taken into the survey by a surveyor who has looked at it. Its evidence is the customer’s: it establishes no rating, whatever it says.
 */
export class Statement {
  /** The customer’s answer, by its id. */
  @Id() id: string;
  /** What was asked, in the words it was asked in. */
  @RequiredText(300, 'what was asked') asked: string;
  @RequiredText(1000, 'what the customer said') says: string;
  @Moment() saidAt?: string;
  /** Who took it into the survey, and when. */
  @Text(100) takenBy?: string;
  @Moment() takenAt?: string;
}
