import { Tested } from './after';
import { Needs, Reuse } from './works';
import { NewCircuit } from './circuit';
import { CLAMP_LINKS, type ClampLink } from './words/circuit-words';
import {
  Day,
  Count,
  Id,
  IdOf,
  ListOf,
  Moment,
  OneOf,
  Part,
  Quantities,
  Quantity,
  Reference,
  RequiredOneOf,
  SomeOf,
  Text,
  YesNo,
} from './fields';
import { HARMONICS, PROPOSAL_KINDS, type Harmonics, type ProposalKind } from './words/kinds';
import {
  ANSWERS,
  CLAMP_CONDUCTORS,
  COMMISSIONING_STEPS,
  LIMITER_KINDS,
  OPEN_PEN_METHODS,
  PARKING,
  PHASES,
  type Answer,
  type ClampConductor,
  type CommissioningStepId,
  type LimiterKind,
  type LoadPhase,
  type OpenPenMethod,
  type Parking,
} from './words/words';

/** One more clamp of the same controller: on a feeder as well as at the intake. */
export class MoreClamp {
  @Id() id: string;
  @Reference('supply.nodes') nodeId?: string;
  @Quantity('A', 0, 3000) setPointA?: number;
}

/** How the clamp was, or is to be, put on its conductor. */
export class ClampFit {
  @OneOf(CLAMP_CONDUCTORS) conductor?: ClampConductor;
  /** Does its arrow point along the current, from the street to the house? */
  @OneOf(ANSWERS) arrowAlong?: Answer;
  /** The line it is on; `all` where there is one on each. */
  @OneOf(PHASES) phase?: LoadPhase;
  /** Would it sit inside equipment that is sealed, or the operator's? */
  @OneOf(ANSWERS) insideSealed?: Answer;
  /** Is there generation or a battery whose power passes it? Export then reads negative. */
  @OneOf(ANSWERS) seesExport?: Answer;
  /** Can the controller tell export from import? */
  @OneOf(ANSWERS) signedReading?: Answer;
}

/** That a step's figure was read over the charge point's own link rather than typed. */
export class LinkReading {
  @IdOf(COMMISSIONING_STEPS) id: CommissioningStepId;
  /** The figure as it came; where the record says something else by now, it was typed since. */
  @Quantity('A', -3000, 3000) valueA?: number;
  @Moment() readAt?: string;
  @Text(100) readBy?: string;
}

/** What was seen at one clamp on one line, beyond the first of them, which is recorded with the test itself. */
export class ClampPlaceTest {
  @Id() id: string;
  @Quantity('A', 0, 1000) knownLoadA?: number;
  @Quantity('A', -1000, 1000) readingRoseA?: number;
  @Quantity('A', 0, 3000) heldAtA?: number;
  @Quantity('A', 0, 1000) chargerThenA?: number;
  @Quantity('A', 0, 1000) pulledA?: number;
  /** Of a further clamp: its set-point as set in the equipment. */
  @Quantity('A', 0, 3000) setPointSetA?: number;
}

/** What was seen when the limiter was commissioned, step by step. */
export class LimiterTest {
  /** A known load switched on, and by how much the clamp's reading rose; negative where it fell. */
  @Quantity('A', 0, 1000) knownLoadA?: number;
  @Quantity('A', -1000, 1000) readingRoseA?: number;
  /** With more and more load on: the clamp's steady reading, and what the charger had gone down to. */
  @Quantity('A', 0, 3000) heldAtA?: number;
  @Quantity('A', 0, 1000) chargerThenA?: number;
  /** With the clamp's lead pulled: what the charger went to. */
  @Quantity('A', 0, 1000) pulledA?: number;
  /** As set in the equipment. */
  @Quantity('A', 0, 3000) setPointSetA?: number;
  @Quantity('A', 0, 1000) failSafeSetA?: number;
  /** The same for every further clamp and line, each by itself. */
  @ListOf(() => ClampPlaceTest, 20) places?: ClampPlaceTest[];
  @ListOf(() => LinkReading, 4) overLink?: LinkReading[];
  @Text(100) doneBy?: string;
  @Moment() doneAt?: string;
  @Text(500) note?: string;
}

/** How a charger is kept inside the supply. */
export class Limiter {
  @OneOf(LIMITER_KINDS) kind?: LimiterKind;
  /** The charger's own current setting, per phase; left out, it may draw its full rating. */
  @Quantity('A', 0, 1000) fixedA?: number;
  /** Clamp: what the controller holds the measured current to. */
  @Quantity('A', 0, 3000) setPointA?: number;
  /** Clamp: what the charger drops to when the clamp or its link is lost; 0 stops it. */
  @Quantity('A', 0, 1000) failSafeA?: number;
  /** Clamp: the node on whose incoming conductor it sits. */
  @Reference('supply.nodes') clampNodeId?: string;
  @ListOf(() => MoreClamp, 4) moreClamps?: MoreClamp[];
  @Part(() => ClampFit) fit?: ClampFit;
  @Part(() => LimiterTest) test?: LimiterTest;
}

/** New equipment to be connected. */
export class Proposal extends NewCircuit {
  @Id() id: string;
  @RequiredOneOf(PROPOSAL_KINDS) kind: ProposalKind;
  @Text(100) label?: string;
  /** As the equipment's plate names it; free text. */
  @Text(100) makeAndModel?: string;
  @Quantity('A', 1, 1000) ratedA?: number;
  @OneOf([1, 3]) phases?: 1 | 3;
  /** The currents it can be set to, where that is not any; left out, those usually met are reckoned with. */
  @Quantities('A', 1, 1000, 40) stepsA?: number[];
  /** The fail-safe currents it can be set to; left out, any. */
  @Quantities('A', 0, 1000, 40) failSafesA?: number[];
  /** How its clamps can be joined to it; none where it manages nothing. */
  @SomeOf(CLAMP_LINKS) clampLinks?: ClampLink[];
  /** The firm's profile it was filled in from, as it was called then. */
  @Text(100) profile?: string;
  /** That profile, by which its data, its price and its place on the crew sheet are found. */
  @Text(64) profileId?: string;
  @OneOf(PHASES) phase?: LoadPhase;
  @Reference('supply.nodes') nodeId?: string;
  @Part(() => Limiter) limiter: Limiter = new Limiter();
  /** On the operators' type-tested register? */
  @OneOf(ANSWERS) typeTested?: Answer;
  @Text(60) registerReference?: string;
  /** Motors: the most it takes while it starts, each phase. */
  @Quantity('A', 0, 5000) startingA?: number;
  @OneOf(HARMONICS) harmonics?: Harmonics;
  /** What its export is limited to, each phase; its capacity stays its rating. Left out, it is not limited. */
  @Quantity('A', 0, 1000) exportA?: number;
  /** Can it send power back to the supply? */
  @OneOf(ANSWERS) canExport?: Answer;
  @OneOf(PARKING) parking?: Parking;
  @OneOf(OPEN_PEN_METHODS) openPen?: OpenPenMethod;
  @Text(40) interlock?: string;
  /** What the customer and the place ask of it. */
  @Part(() => Needs) needs?: Needs;
  /** Its circuit is one that is there. */
  @Part(() => Reuse) reuse?: Reuse;
  /** What was seen of its circuit when it was tested. */
  @Part(() => Tested) tested?: Tested;
}

/** What is asked of the operator besides the connection of the new equipment. */
export class SupplyRequest {
  @YesNo() fuseUpgrade?: boolean;
  @YesNo() newPhases?: boolean;
  /** The fuse asked for. */
  @Quantity('A', 1, 1000) wantedFuseA?: number;
  /** A request for the supply alone: nothing is to be connected now. */
  @YesNo() upgradeOnly?: boolean;
  /** Installations of the same kind on this development, this one included. */
  @Count(1, 1000) installationsOnDevelopment?: number;
  /** Import limitation scheme (EREC G100). */
  /** The day the work is planned for. */
  @Day() plannedOn?: string;
  @YesNo() importLimitation?: boolean;
  /** Export limitation scheme (EREC G100). */
  @YesNo() exportLimitation?: boolean;
}

/** Only the supply is asked about: said so, and nothing is to be connected. */
export function isUpgradeOnly(survey: {
  readonly request: SupplyRequest;
  readonly proposals: readonly Proposal[];
}): boolean {
  return survey.request.upgradeOnly === true && survey.proposals.length === 0;
}
