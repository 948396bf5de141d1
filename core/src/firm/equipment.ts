import { Id, OneOf, Quantities, Quantity, RequiredText, SomeOf, Text, YesNo } from '../survey/fields';
import { PEN_DETECTIONS, type PenDetection } from '../survey/words/earthing-words';
import { CLAMP_LINKS, type ClampLink } from '../survey/words/circuit-words';
import type { Proposal } from '../survey/proposal';
import {
  LOCKS,
  OUTLETS,
  SURFACES,
  TALKS,
  type Lock,
  type Outlet,
  type Surface,
  type Talk,
} from '../survey/words/works-words';
import { ANSWERS, RCD_TYPES, type Answer, type RcdType } from '../survey/words/words';

/** A kind of charging equipment as a firm knows it: what a survey is filled in from, so that nobody types it again. */
export class EquipmentProfile {
  @Id() id: string;
  @RequiredText(100, 'a name') name: string;
  /** As its plate says. */
  @Text(100) makeAndModel?: string;
  @Quantity('A', 1, 1000) ratedA?: number;
  @OneOf([1, 3]) phases?: 1 | 3;
  /** The currents it can be set to, where that is not any whole ampere. */
  @Quantities('A', 1, 1000, 40) stepsA?: number[];
  /** How its clamps are joined to it; none where it manages nothing. */
  @SomeOf(CLAMP_LINKS) clamps?: ClampLink[];
  /** What it drops to when the clamp or its link is lost: the currents it can be set to, 0 for stopping. */
  @Quantities('A', 0, 1000, 40) failSafesA?: number[];
  /** Built in: an RCD of this type, and detection of 6 mA of direct current. */
  @OneOf(RCD_TYPES) rcdType?: RcdType;
  @OneOf(ANSWERS) dcDetection?: Answer;
  /** Built in: detection of an open PEN conductor. */
  @OneOf(PEN_DETECTIONS) penDetection?: PenDetection;
  @OneOf(ANSWERS) typeTested?: Answer;
  @Text(60) registerReference?: string;
  @OneOf(ANSWERS) canExport?: Answer;
  /** A clamp comes with it. */
  @OneOf(ANSWERS) clampIncluded?: Answer;
  /** Longest lead of a wired clamp. */
  @Quantity('m', 0, 1000) clampReachM?: number;
  @OneOf(OUTLETS) outlet?: Outlet;
  /** Of a tethered lead. */
  @Quantity('m', 0, 100) leadM?: number;
  /** Its ways of talking to the network; none where it has none. */
  @SomeOf(TALKS) talks?: Talk[];
  @SomeOf(LOCKS) locks?: Lock[];
  /** Does its meter do for billing? */
  @OneOf(ANSWERS) metersForBilling?: Answer;
  /** Does it time charging by the tariff itself? */
  @OneOf(ANSWERS) timesByTariff?: Answer;
  @OneOf(ANSWERS) followsGeneration?: Answer;
  /** Where its maker lets it hang. */
  @OneOf(ANSWERS) mayHangInSun?: Answer;
  @OneOf(ANSWERS) mayHangInWeather?: Answer;
  @OneOf(ANSWERS) mayStandOnPost?: Answer;
  /** Surfaces it may be fixed to; left out, not known. */
  @SomeOf(SURFACES) fixesTo?: Surface[];
  @Quantity('m', 0, 10) leastHeightM?: number;
  @Quantity('m', 0, 10) mostHeightM?: number;
  /** For whoever fits it: conductors its terminals take, torque, how they are prepared, its cable entry, how its setting is made. */
  @Quantity('mm²', 0.5, 1000) largestMm2?: number;
  @Quantity('N·m', 0, 100) torqueNm?: number;
  @Quantity('mm', 0, 100) stripMm?: number;
  @Text(200) preparation?: string;
  @Text(60) cableEntry?: string;
  @Text(200) settingMade?: string;
  /** Kept for the surveys filled in from it, and offered no more. */
  @YesNo() retired?: boolean;
}

/** Kinds usually met, without a maker: to start from, or to use as they are. What only a maker can say is left open. */
export const USUAL_EQUIPMENT: readonly EquipmentProfile[] = [
  {
    id: 'usual-dial',
    name: 'Wall charger, 32 A, dial of steps, no clamp',
    ratedA: 32,
    phases: 1,
    stepsA: [10, 13, 16, 20, 25, 32],
    clamps: [],
    dcDetection: 'yes',
  },
  {
    id: 'usual-wired',
    name: 'Wall charger, 32 A, wired clamp',
    ratedA: 32,
    phases: 1,
    clamps: ['wired'],
    failSafesA: [0, 6, 10, 16],
    dcDetection: 'yes',
    penDetection: 'voltage-window',
  },
  {
    id: 'usual-wireless',
    name: 'Wall charger, 32 A, wireless clamp',
    ratedA: 32,
    phases: 1,
    clamps: ['wireless'],
    failSafesA: [0, 6],
    dcDetection: 'yes',
    penDetection: 'voltage-window',
  },
  {
    id: 'usual-small',
    name: 'Small charger, 16 A, fixed',
    ratedA: 16,
    phases: 1,
    stepsA: [6, 8, 10, 13, 16],
    clamps: [],
  },
  {
    id: 'usual-three-phase',
    name: 'Three-phase charger, 3 × 32 A, wired clamps',
    ratedA: 32,
    phases: 3,
    clamps: ['wired'],
    failSafesA: [0, 6, 10, 16],
    dcDetection: 'yes',
  },
];

/**
 * New equipment filled in from a profile. What the profile says replaces what was there, what it leaves open stays; where it
 * cannot be managed, or cannot be set as it was, that is left for the guards and findings to tell.
 */
export function withProfile(proposal: Proposal, profile: EquipmentProfile): Proposal {
  const { name, ratedA, phases, stepsA, failSafesA, rcdType, dcDetection, penDetection, clamps } = profile;
  const { typeTested, registerReference, canExport, makeAndModel } = profile;
  const { stepsA: _steps, failSafesA: _failSafes, clampLinks: _links, ...kept } = proposal;
  const [only, another] = clamps ?? [];
  return {
    ...kept,
    profile: name,
    profileId: profile.id,
    ...(profile.leadM === undefined ? {} : { position: { ...proposal.position, leadM: profile.leadM } }),
    ...given({
      ratedA,
      phases,
      stepsA,
      failSafesA,
      clampLinks: clamps,
      typeTested,
      registerReference,
      canExport,
      makeAndModel,
    }),
    ...(rcdType === undefined && dcDetection === undefined
      ? {}
      : {
          rcd: {
            ...proposal.rcd,
            ...given({ dcDetection, rcdType }),
            ...(rcdType === undefined ? {} : { place: 'built-in' as const }),
          },
        }),
    ...(penDetection === undefined
      ? {}
      : { openPen: 'built-in' as const, pen: { ...proposal.pen, detection: penDetection } }),
    ...(only === undefined || another !== undefined ? {} : { dataLink: { ...proposal.dataLink, clamp: only } }),
  };
}

/** Only what is there: a survey has no field that is undefined. */
function given<T extends object>(of: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(of).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
}
