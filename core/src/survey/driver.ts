import { OneOf, Quantity, Text } from './fields';
import { PRIORITIES, OPTION_KINDS, type OptionKind, type Priority } from './words/option-words';

/** What the vehicle has to be given, and what matters most to its driver. */
export class Driver {
  @Quantity('miles', 0, 2000) milesPerDay?: number;
  @Quantity('kWh/mile', 0.05, 5) kwhPerMile?: number;
  /** Hours between arriving and leaving again. */
  @Quantity('h', 0, 24) hoursThere?: number;
  /** What the vehicle’s own charger takes, each phase. */
  @Quantity('A', 1, 500) onboardA?: number;
  /** Charging between these hours of the day only, over midnight where the second is the earlier. */
  @Quantity('h', 0, 24) cheapFromH?: number;
  @Quantity('h', 0, 24) cheapToH?: number;
  @OneOf(PRIORITIES) priority?: Priority;
}

/** The option decided on, by whom and why. */
export class OptionChoice {
  @OneOf(OPTION_KINDS) option?: OptionKind;
  /** The second of two ways together. */
  @OneOf(OPTION_KINDS) also?: OptionKind;
  @Text(500) reason?: string;
  @Text(100) chosenBy?: string;
}
