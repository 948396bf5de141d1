import { Id, ListOf, OneOf, Part, RequiredOneOf, Text } from './fields';
import {
  CONDITION_GRADES,
  CONDITION_LOOKS,
  FAULTS,
  LOOP_EVIDENCE,
  LOOP_STATUSES,
  type ConditionGrade,
  type ConditionLook,
  type Fault,
  type LoopEvidence,
  type LoopStatus,
} from './words';

/** Whether this supply shares its service cable with a neighbour. */
export class Loop {
  @OneOf(LOOP_STATUSES) status?: LoopStatus;
  @OneOf(LOOP_EVIDENCE) evidence?: LoopEvidence;
  @Text(500) note?: string;
}

/** A fault seen at the intake. */
export class ConditionFault {
  @Id() id: string;
  @RequiredOneOf(FAULTS) fault: Fault;
  /** How grave; a fault without a grade is taken as one to put right before any load is added. */
  @OneOf(CONDITION_GRADES) grade?: ConditionGrade;
  @Text(500) note?: string;
}

/** What was seen at the meter position. */
export class Intake {
  @OneOf(CONDITION_LOOKS) look?: ConditionLook;
  @ListOf(() => ConditionFault, 50) faults: ConditionFault[] = [];
  @Part(() => Loop) loop: Loop = new Loop();
}
