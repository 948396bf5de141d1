import { Day, Id, OneOf, Quantity, Text } from './fields';
import { OPTION_KINDS, type OptionKind } from './words/option-words';

/** One step of a plan in time, as an option with its own settings: “held to 16 A now”, “a new cable in spring”. In the order they are done. */
export class Stage {
  @Id() id: string;
  @Text(100) name?: string;
  /** Left out: the survey as it is recorded. */
  @OneOf(OPTION_KINDS) option?: OptionKind;
  @OneOf(OPTION_KINDS) also?: OptionKind;
  /** The limit of this step, where it is not the option’s own. */
  @Quantity('A', 0, 1000) fixedA?: number;
  @Day() plannedOn?: string;
  @Text(300) note?: string;
}
