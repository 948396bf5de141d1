import { IdOf, ListOf, OneOf, Part, Quantity, Text } from './fields';
import {
  BONDED_PARTS,
  EARTHING_SIGNS,
  INCOMING,
  type BondedPart,
  type EarthingSign,
  type Incoming,
} from './words/earthing-words';
import { ANSWERS, ARRANGEMENTS, type Answer, type Arrangement } from './words/words';

/** Whether one sign of an arrangement is there. */
export class EarthingSignSeen {
  @IdOf(EARTHING_SIGNS) id: EarthingSign;
  @OneOf(ANSWERS) answer?: Answer;
}

/** The conductor from the means of earthing to the main earthing terminal. Copper. */
export class EarthingConductor {
  @Quantity('mm²', 0.5, 1000) sizeMm2?: number;
  /** For the adiabatic equation, where both are known: earth fault current, and how long it lasts. */
  @Quantity('A', 1, 50000) faultCurrentA?: number;
  @Quantity('s', 0.001, 5) disconnectionS?: number;
}

/** A service or part that may bring in a potential from outside. */
export class BondedService {
  @IdOf(BONDED_PARTS) id: BondedPart;
  @OneOf(INCOMING) incoming?: Incoming;
  /** Measured to the main earthing terminal with the bonding conductor off. */
  @Quantity('kΩ', 0, 1000000) resistanceKOhm?: number;
  @OneOf(ANSWERS) bonded?: Answer;
  @Quantity('mm²', 0.5, 1000) sizeMm2?: number;
  @Text(300) note?: string;
}

/** The earthing arrangement, what was seen and read of it, and what is bonded. */
export class Earthing {
  @OneOf(ARRANGEMENTS) arrangement?: Arrangement;
  @Text(500) recognisedBy?: string;
  @ListOf(() => EarthingSignSeen, EARTHING_SIGNS.length) signs?: EarthingSignSeen[];
  /** External loop impedance, the highest reading. */
  @Quantity('Ω', 0, 100000) zeOhm?: number;
  /** TT: resistance of the installation's own electrode. */
  @Quantity('Ω', 0, 100000) electrodeOhm?: number;
  @Part(() => EarthingConductor) conductor?: EarthingConductor;
  /** The supply neutral's copper-equivalent size, as the operator says. */
  @Quantity('mm²', 0.5, 1000) supplyNeutralMm2?: number;
  @ListOf(() => BondedService, BONDED_PARTS.length) services?: BondedService[];
}
