import { Id, OneOf, Quantity, Reference, RequiredOneOf, Text } from './fields';
import { ANSWERS, GENERATION_KINDS, PHASES, type Answer, type GenerationKind, type LoadPhase } from './words/words';

/** Something on the premises that sends power back: generation or storage. */
export class Generation {
  @Id() id: string;
  @RequiredOneOf(GENERATION_KINDS) kind: GenerationKind;
  @Text(100) label?: string;
  /** Where it is connected; left out, where loads without a place hang. */
  @Reference('supply.nodes') nodeId?: string;
  /** The most it gives, each phase. */
  @Quantity('A', 0, 1000) ratedA?: number;
  @OneOf([1, 3]) phases?: 1 | 3;
  @OneOf(PHASES) phase?: LoadPhase;
  /** Storage: is what it takes when it charges among the loads? */
  @OneOf(ANSWERS) chargingListed?: Answer;
}
