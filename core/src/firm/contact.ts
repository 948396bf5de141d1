import { Text } from '../survey/fields';

/** Where an operator answers a firm: what packs and letters are written under. */
export class FirmContact {
  @Text(200) address?: string;
  @Text(40) telephone?: string;
  @Text(200) email?: string;
}
