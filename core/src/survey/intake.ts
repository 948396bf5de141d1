import { Count, Id, IdOf, ListOf, OneOf, Part, Quantity, RequiredOneOf, Text } from './fields';
import {
  CONDITION_GRADES,
  CONDITION_LOOKS,
  FAULTS,
  LOOKS,
  LOOP_EVIDENCE,
  LOOP_SIGNS,
  LOOP_STATUSES,
  type ConditionGrade,
  type ConditionLook,
  type Fault,
  type Look,
  type LoopEvidence,
  type LoopSign,
  type LoopStatus,
} from './words/words';

/** Whether one outward sign of a loop was seen: `fine` is looked and no such sign, `not-fine` is seen. */
export class LoopSignSeen {
  @IdOf(LOOP_SIGNS) id: LoopSign;
  @OneOf(LOOKS) answer?: Look;
}

/** Whether this supply shares its service cable with a neighbour. */
export class Loop {
  @OneOf(LOOP_STATUSES) status?: LoopStatus;
  @OneOf(LOOP_EVIDENCE) evidence?: LoopEvidence;
  @Text(500) note?: string;
  @ListOf(() => LoopSignSeen, LOOP_SIGNS.length) signs?: LoopSignSeen[];
  /** How many other properties share the service; one when left out. */
  @Count(1, 20) neighbours?: number;
  /** Maximum demand of all the others together, per phase, where somebody gave a figure. */
  @Quantity('A', 0, 3000) neighbourDemandA?: number;
  /** What the shared service may carry, per phase, as the operator says. */
  @Quantity('A', 1, 3000) sharedRatingA?: number;
}

/** A fault seen at the intake. */
export class ConditionFault {
  @Id() id: string;
  @RequiredOneOf(FAULTS) fault: Fault;
  /** How grave; a fault without a grade is taken as one to put right before any load is added. */
  @OneOf(CONDITION_GRADES) grade?: ConditionGrade;
  @Text(500) note?: string;
  /** Who goes on in spite of “make safe now”, and why; both or neither. Printed in the pack. */
  @Text(100) overriddenBy?: string;
  @Text(1000) overrideReason?: string;
}

/** One fault looked for: `fine` is not there, `not-fine` is there, told by a fault of its own. */
export class FaultLook {
  @IdOf(FAULTS) id: Fault;
  @OneOf(LOOKS) answer?: Look;
}

/** What was seen at the meter position. */
export class Intake {
  @OneOf(CONDITION_LOOKS) look?: ConditionLook;
  /** The guided look, fault by fault. */
  @ListOf(() => FaultLook, FAULTS.length) looks?: FaultLook[];
  @ListOf(() => ConditionFault, 50) faults: ConditionFault[] = [];
  @Part(() => Loop) loop: Loop = new Loop();
}
