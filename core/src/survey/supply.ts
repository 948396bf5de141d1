import { Count, Id, IdOf, ListOf, OneOf, Part, Quantity, Reference, RequiredOneOf, Text, YesNo } from './fields';
import { Laying } from './circuit';
import { CPC_KINDS, type CpcKind } from './words/circuit-words';
import {
  ANSWERS,
  BOARD_PLACES,
  CABLE_TYPES,
  CHECKS,
  CURVES,
  DEVICE_TYPES,
  ENCLOSURES,
  EVIDENCE,
  HEAD_KINDS,
  LAID,
  LOOKS,
  NODE_KINDS,
  RCD_TYPES,
  type Answer,
  type BoardPlace,
  type CableType,
  type Check,
  type Curve,
  type DeviceType,
  type Enclosure,
  type Evidence,
  type HeadKind,
  type Laid,
  type Look,
  type NodeKind,
  type Phase,
  type RcdType,
} from './words/words';

/** The conductors that come into a node from what feeds it; of a device or feeder, the cable it protects. */
export class Cable extends Laying {
  @OneOf(CABLE_TYPES) type?: CableType;
  @Quantity('mm²', 0.5, 1000) sizeMm2?: number;
  @Quantity('m', 0, 5000) lengthM?: number;
  @OneOf(LAID) laid?: Laid;
  /** Loaded circuits that run together with it, this one counted. */
  @Count(1, 50) circuitsTogether?: number;
  @Quantity('°C', -20, 80) ambientC?: number;
  /** Length within it that thermal insulation surrounds on every side; 0 for none. */
  @Quantity('mm', 0, 100000) insulationMm?: number;
  @OneOf(CPC_KINDS) cpc?: CpcKind;
  @Quantity('mm²', 0.5, 1000) cpcMm2?: number;
  /** Armour: its resistance as the maker states it, at 20 °C. */
  @Quantity('mΩ/m', 0, 1000) cpcMOhmPerM?: number;
  /** Are the terminals at both its ends declared for conductors at 90 °C? Otherwise its 70 °C figures are used. */
  @OneOf(ANSWERS) terminalsFor90?: Answer;
  /** Not there yet: to be laid with this work. */
  @YesNo() planned?: boolean;
}

/** What came of one check of a node. Its id is the check's own name, so that a node has one answer a check. */
export class NodeCheck {
  @IdOf(CHECKS) id: Check;
  @OneOf(LOOKS) answer?: Look;
  /** Ticked together with others rather than looked at by itself, and confirmed by nobody yet. */
  @YesNo() assumed?: boolean;
  @Text(500) note?: string;
}

/** One thing between the street and the loads. Its rating is per phase; a board's is that of its main switch. */
export class SupplyNode {
  @Id() id: string;
  @RequiredOneOf(NODE_KINDS) kind: NodeKind;
  /** The node this one is fed from; only the first node, nearest the street, has none. */
  @Reference('supply.nodes') fedFrom?: string;
  @Text(100) label?: string;
  /** For a cut-out: the fuse inside, not the holder. */
  @Quantity('A', 1, 3000) ratingA?: number;
  @OneOf(EVIDENCE) evidence?: Evidence;
  @Text(500) evidenceNote?: string;
  /** The line it hangs from, where it is single-phase on a three-phase supply; loads below it are on that line too. */
  @OneOf(['L1', 'L2', 'L3']) phase?: Phase;
  @Part(() => Cable) cable?: Cable;
  @ListOf(() => NodeCheck, CHECKS.length) checks?: NodeCheck[];

  /** Cut-out: what the service ends in. */
  @OneOf(HEAD_KINDS) head?: HeadKind;
  /** Cut-out: the most the carrier may hold, as moulded on it. */
  @Quantity('A', 1, 3000) holderMaximumA?: number;

  /** RCD, or a device that is one as well. */
  @OneOf(RCD_TYPES) rcdType?: RcdType;
  @Quantity('mA', 1, 3000) residualMa?: number;
  @YesNo() timeDelayed?: boolean;
  /** Why new equipment may share it with other circuits all the same. */
  @Text(500) sharedReason?: string;

  /** Device. */
  @OneOf(DEVICE_TYPES) deviceType?: DeviceType;
  @OneOf(CURVES) curve?: Curve;
  @Count(1, 4) poles?: number;

  /** Feeder: what somebody believes its cable would carry, to be tested. */
  @Quantity('A', 1, 3000) claimedRatingA?: number;

  /** Not there yet: to be fitted with this work. */
  @YesNo() planned?: boolean;
  /** Taken out by this work: what hangs from it goes as well, or needs another place. */
  @YesNo() goes?: boolean;

  /** Board or device: the family its maker names, free text. */
  @Text(100) makersFamily?: string;
  @Count(0, 200) spareWays?: number;
  @OneOf(ENCLOSURES) enclosure?: Enclosure;
  @OneOf(BOARD_PLACES) place?: BoardPlace;
  /** Board: does its maker allow the new device in it? */
  @OneOf(ANSWERS) acceptsNewDevice?: Answer;
}

/** The supply tree, as a list whose members say what feeds them. */
export class Supply {
  @OneOf([1, 3]) phases?: 1 | 3;
  /** Of several supplies behind one intake, the fuse of the one this survey is about; left out, the outermost on the way to the new equipment. */
  @Reference('supply.nodes') deviceId?: string;
  @ListOf(() => SupplyNode, 400) nodes: SupplyNode[] = [];
}
