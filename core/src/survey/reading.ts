import { Day, Id, Moment, OneOf, Quantity, Reference, RequiredOneOf, Text, YesNo } from './fields';
import { BOUNDS, READING_KINDS, type Bound, type Phase, type ReadingKind } from './words/words';

/** Something measured: the value or the bound the instrument gave, with what, by whom and when. */
export class Reading {
  @Id() id: string;
  @RequiredOneOf(READING_KINDS) kind: ReadingKind;
  /** In the unit of its kind: Ω, kA, V, A, MΩ or ms. */
  @Quantity('', 0, 1000000) value?: number;
  /** `above` 999: the instrument showed “> 999”. Exact when left out. */
  @OneOf(BOUNDS) bound?: Bound;
  @OneOf(['L1', 'L2', 'L3']) phase?: Phase;
  /** Where it was taken. */
  @Reference('supply.nodes') nodeId?: string;
  /** The new equipment whose circuit was tested. */
  @Reference() proposalId?: string;
  @Text(500) note?: string;
  /** The instrument as the firm names it, and the last day its calibration holds. */
  @Text(100) instrument?: string;
  @Day() calibrationDue?: string;
  @Text(100) takenBy?: string;
  @Moment() takenAt?: string;
  /** Somebody looked again at an unlikely value and stands by it. */
  @YesNo() confirmed?: boolean;
}
