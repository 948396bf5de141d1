import { OneOf, Quantity, Text } from './fields';
import { ARRANGEMENTS, type Arrangement } from './words';

/** The earthing arrangement and the highest readings taken of it. */
export class Earthing {
  @OneOf(ARRANGEMENTS) arrangement?: Arrangement;
  @Text(500) recognisedBy?: string;
  /** External loop impedance, the highest reading. */
  @Quantity('Ω', 0, 100000) zeOhm?: number;
  /** TT: resistance of the installation's own electrode. */
  @Quantity('Ω', 0, 100000) electrodeOhm?: number;
}
