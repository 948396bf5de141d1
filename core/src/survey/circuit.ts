import { Count, Id, ListOf, OneOf, Part, Quantity, Text } from './fields';
import {
  CPC_KINDS,
  LINKS,
  RCD_PLACES,
  SURGE_DECISIONS,
  WAY_PLANS,
  type CpcKind,
  type Link,
  type RcdPlace,
  type SurgeDecision,
  type WayPlan,
} from './words/circuit-words';
import {
  CONTAINMENTS,
  DIGGERS,
  GROUNDS,
  SURFACES,
  type Containment,
  type Digger,
  type Surface,
  type TrenchGround,
} from './words/works-words';
import { PEN_DETECTIONS, type PenDetection } from './words/earthing-words';
import {
  ANSWERS,
  CABLE_TYPES,
  CURVES,
  LAID,
  RCD_TYPES,
  type Answer,
  type CableType,
  type Curve,
  type Laid,
  type RcdType,
} from './words/words';

/** What the work on one stretch of cable depends on, beside how the cable is laid. */
export class Laying {
  @OneOf(SURFACES) fixedTo?: Surface;
  @OneOf(CONTAINMENTS) containment?: Containment;
  /** Above the ground or floor one stands on. */
  @Quantity('m', 0, 30) heightM?: number;
  /** Buried: what the trench goes through, and who digs it. */
  @OneOf(GROUNDS) ground?: TrenchGround;
  @OneOf(DIGGERS) dug?: Digger;
}

/** One stretch of a route, laid in one way throughout. */
export class RouteSegment extends Laying {
  @Id() id: string;
  @Quantity('m', 0, 5000) lengthM?: number;
  @OneOf(LAID) laid?: Laid;
  /** Loaded circuits that run together here, this one counted. */
  @Count(1, 50) circuitsTogether?: number;
  @Quantity('°C', -20, 80) ambientC?: number;
  /** Length within it that thermal insulation surrounds on every side; 0 for none. */
  @Quantity('mm', 0, 100000) insulationMm?: number;
  @Text(200) note?: string;
}

/** The circuit that carries new equipment: its device, its cable and the way it goes. */
export class Circuit {
  @Quantity('A', 1, 1000) deviceRatingA?: number;
  @OneOf(CURVES) curve?: Curve;
  /** Marked for power in both directions; asked where power can flow back. */
  @OneOf(ANSWERS) bothDirections?: Answer;
  @OneOf(CABLE_TYPES) cableType?: CableType;
  /** Left out, the smallest size that passes is looked for. */
  @Quantity('mm²', 0.5, 1000) sizeMm2?: number;
  @OneOf(CPC_KINDS) cpc?: CpcKind;
  @Quantity('mm²', 0.5, 1000) cpcMm2?: number;
  /** Armour: its resistance as the maker states it, at 20 °C. */
  @Quantity('mΩ/m', 0, 1000) cpcMOhmPerM?: number;
  /** Are the terminals at both ends declared for conductors at 90 °C? Otherwise a cable's 70 °C figures are used. */
  @OneOf(ANSWERS) terminalsFor90?: Answer;
  @ListOf(() => RouteSegment, 40) segments?: RouteSegment[];
  /** Anywhere in a wall less than 50 mm deep without earthed protection. */
  @OneOf(ANSWERS) concealed?: Answer;
}

/** The RCD that protects new equipment. */
export class OwnRcd {
  @OneOf(RCD_PLACES) place?: RcdPlace;
  @OneOf(RCD_TYPES) rcdType?: RcdType;
  @Quantity('mA', 1, 3000) residualMa?: number;
  @Quantity('A', 1, 1000) ratedA?: number;
  @OneOf(ANSWERS) breaksNeutral?: Answer;
  /** Does the equipment detect 6 mA of direct current and disconnect? */
  @OneOf(ANSWERS) dcDetection?: Answer;
  /** Built in: does the maker declare it? */
  @OneOf(ANSWERS) declared?: Answer;
}

/** Surge protection: offered always, left out only as the owner's own recorded decision. */
export class Surge {
  @OneOf(SURGE_DECISIONS) decision?: SurgeDecision;
  @Text(100) decidedBy?: string;
  @Text(500) reason?: string;
  /** Line and earth leads of the device added together. */
  @Quantity('m', 0, 20) leadsM?: number;
}

/** Protection of a vehicle outdoors against an open PEN conductor; the way chosen is `openPen` of the equipment. */
export class PenProtection {
  @Text(500) reason?: string;
  @OneOf(PEN_DETECTIONS) detection?: PenDetection;
  /** Does its maker declare that it disconnects line, neutral and protective conductor? */
  @OneOf(ANSWERS) declared?: Answer;
  /** Is the equipment's frame joined to the installation's earth by a second path? */
  @OneOf(ANSWERS) secondEarthPath?: Answer;
  /** To the nearest metal earthed through the supply that could be touched at the same time. */
  @Quantity('m', 0, 1000) islandDistanceM?: number;
  /** Is everything of the electrode that is buried clear of buried metal bonded to the supply's earth? */
  @OneOf(ANSWERS) islandClear?: Answer;
  /** Of the electrode for this equipment alone, or of the one meant to hold the touch voltage down. */
  @Quantity('Ω', 0, 100000) electrodeOhm?: number;
}

/** Where the equipment hangs. */
export class Position {
  @Quantity('m', 0, 10) heightM?: number;
  @OneOf(ANSWERS) reachable?: Answer;
  /** Would it, or its lead in use, stand in anybody's way? */
  @OneOf(ANSWERS) obstructs?: Answer;
  /** From the equipment to the vehicle's inlet, along the way the lead lies. */
  @Quantity('m', 0, 100) toInletM?: number;
  @Quantity('m', 0, 100) leadM?: number;
  /** Was the other side of the wall looked at for pipes and cables before drilling? */
  @OneOf(ANSWERS) otherSideLooked?: Answer;
}

/** How the clamp and the network reach the equipment. */
export class DataLink {
  @OneOf(LINKS) clamp?: Link;
  @OneOf(LINKS) network?: Link;
  @Quantity('m', 0, 5000) lengthM?: number;
  /** At the place of the equipment, through the real walls. */
  @Quantity('dBm', -120, 0) signalDbm?: number;
}

/** Where the new circuit's device goes in the board. */
export class BoardWay {
  @OneOf(WAY_PLANS) plan?: WayPlan;
  @Text(300) note?: string;
}

/** Everything of the circuit that carries new equipment. */
export class NewCircuit {
  @Part(() => Circuit) circuit?: Circuit;
  @Part(() => OwnRcd) rcd?: OwnRcd;
  @Part(() => Surge) surge?: Surge;
  @Part(() => PenProtection) pen?: PenProtection;
  @Part(() => Position) position?: Position;
  @Part(() => DataLink) dataLink?: DataLink;
  @Part(() => BoardWay) way?: BoardWay;
  /** Standing current in the protective conductor. */
  @Quantity('mA', 0, 1000) leakageMa?: number;
}
