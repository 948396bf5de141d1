import { Count, Id, OneOf, Quantity, Reference, RequiredOneOf, Text, YesNo } from './fields';
import { LOAD_FATES, type LoadFate } from './words/works-words';
import {
  ANSWERS,
  LOAD_CLASSES,
  PHASES,
  SEASONS,
  type Answer,
  type LoadClass,
  type LoadPhase,
  type Season,
} from './words/words';

/**
 * Something that takes current. Its size is given one way only: watts, amperes (per phase), volt-amperes, or, for a
 * socket circuit, the rating of the device that protects it (`currentA`).
 */
export class Load {
  @Id() id: string;
  @RequiredOneOf(LOAD_CLASSES) class: LoadClass;
  @Text(100) label?: string;
  /** The board or circuit it hangs from; left out, it counts at the point every board hangs from. */
  @Reference('supply.nodes') nodeId?: string;
  /** Each; the whole of a three-phase load, not per phase. */
  @Quantity('W', 0, 1000000) powerW?: number;
  /** Each, per phase; for a socket circuit the rating of its device. */
  @Quantity('A', 0, 3000) currentA?: number;
  /** Each; the whole of a three-phase load, not per phase. */
  @Quantity('VA', 0, 1000000) apparentVA?: number;
  /** Goes with watts; 1 when left out. */
  @Quantity('', 0.05, 1) powerFactor?: number;
  /** How many alike (lighting: how many points); 1 when left out. */
  @Count(1, 1000) quantity?: number;
  /** Three-phase supplies; left out, a single-phase load counts on every phase until it is known. */
  @OneOf(PHASES) phase?: LoadPhase;
  /** Lighting: true when the lamps are fixed LED; otherwise each point counts at least the pack's filament figure. */
  @YesNo() fixedLed?: boolean;
  /** Cooking: control units with a socket in them; left out, one is counted. */
  @Count(0, 20) controlUnitsWithSocket?: number;
  /** Heat pump: back-up heater watts. */
  @Quantity('W', 0, 100000) backupHeaterW?: number;
  /** Heat pump: can the back-up heater run with the compressor? Anything but `no` counts both. */
  @OneOf(ANSWERS) backupWithCompressor?: Answer;
  /** Guest house sockets: in a main room? */
  @YesNo() mainRoom?: boolean;
  /** Loads with the same word here cannot run together (priority switch or contactor). */
  @Text(40) interlock?: string;
  /** In which season it runs; what heats and what cools never run together. Left out, all the year. */
  @OneOf(SEASONS) season?: Season;
  /** Runs for hours on end. */
  @YesNo() continuous?: boolean;
  /** Taken from a usual set or a usual power, and confirmed by nobody yet. */
  @YesNo() assumed?: boolean;
  /** What this work does with it; left out, it stays. Demand before counts it, demand after does not. */
  @OneOf(LOAD_FATES) fate?: LoadFate;
  /** The new equipment that takes its place. */
  @Reference() replacedBy?: string;
  /** Does the operator know of it: was it notified or applied for in its day? */
  @OneOf(ANSWERS) notified?: Answer;
  /** Standing current in the protective conductor, each. */
  @Quantity('mA', 0, 1000) leakageMa?: number;
}
