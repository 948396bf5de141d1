import { Count, Id, ListOf, OneOf, Quantity, SomeOf, Text, YesNo } from './fields';
import {
  APPLICANTS,
  CABLE_LOOKS,
  DISRUPTIONS,
  LOCKS,
  OUTLETS,
  SURFACES,
  TARIFF_CONTROLS,
  type Applicant,
  type CableLook,
  type Disruption,
  type Lock,
  type Outlet,
  type Surface,
  type TariffControl,
} from './words/works-words';
import { ANSWERS, type Answer } from './words/words';

/** A wall, floor or ceiling that a cable is taken through. */
export class Drilling {
  @Id() id: string;
  @OneOf(SURFACES) through?: Surface;
  @Quantity('mm', 1, 3000) thicknessMm?: number;
  @Text(100) where?: string;
}

/** A room in which something has to be cleared before the work and put back after it. */
export class RoomWork {
  @Id() id: string;
  @Text(100) room?: string;
  @SomeOf(DISRUPTIONS) disrupts?: Disruption[];
}

/**
 * A line of the materials or of the work as somebody changed it: another quantity, another item, struck, or a line of their own. Its id is that
 * of the line it changes; a line of their own has one that no line of the survey has.
 */
export class LineEdit {
  @Id() id: string;
  @YesNo() struck?: boolean;
  @Quantity('', 0, 100000) quantity?: number;
  /** Of the firm’s price list. */
  @Text(64) item?: string;
  /** A line of their own: what it is called where the list has no item for it. */
  @Text(200) text?: string;
  @Text(300) reason?: string;
  @Text(100) by?: string;
}

/** What has to be known of the site before the work can be priced. */
export class Works {
  @ListOf(() => Drilling, 40) drillings?: Drilling[];
  @ListOf(() => RoomWork, 40) rooms?: RoomWork[];
  /** From the firm to the site, one way. */
  @Quantity('min', 0, 600) travelMin?: number;
  /** How long the customer is without power. */
  @Quantity('h', 0, 100) powerOffH?: number;
  @ListOf(() => LineEdit, 300) lines?: LineEdit[];
  /** Seen or suspected where the work is: nothing of it is drilled, cut or lifted. */
  @OneOf(ANSWERS) asbestos?: Answer;
  /** Were the owner’s drawings or a locator used for what lies in the ground? */
  @OneOf(ANSWERS) groundSearched?: Answer;
  /** Is a gas pipe beside the way of the cable? */
  @OneOf(ANSWERS) gasBeside?: Answer;
  /** What the customer was promised. */
  @Text(1000) promised?: string;
  /** Whom to ring on the day, where that is not the customer. */
  @Text(200) contact?: string;
}

/** What the customer and the place ask of the equipment. */
export class Needs {
  /** The customer would have this and not the other. */
  @OneOf(OUTLETS) outlet?: Outlet;
  /** Can people who are no guests of the customer reach the bay? */
  @OneOf(ANSWERS) publicReach?: Answer;
  /** What is to keep strangers off, where one way is wished. */
  @OneOf(LOCKS) lock?: Lock;
  /** Has what is charged to be metered apart, to be billed or claimed back? */
  @OneOf(ANSWERS) billing?: Answer;
  @OneOf(TARIFF_CONTROLS) tariff?: TariffControl;
  /** Is it to charge by what the customer generates? */
  @OneOf(ANSWERS) followsGeneration?: Answer;
  /** Is it to give power back from the vehicle? */
  @OneOf(ANSWERS) bothDirections?: Answer;
  /** At its place: the mobile network, and whether a network cable can be run there. */
  @Quantity('dBm', -140, 0) mobileDbm?: number;
  @OneOf(ANSWERS) networkCable?: Answer;
  @OneOf(SURFACES) hangsOn?: Surface;
  /** Hung on a post or pedestal of its own. */
  @YesNo() onPost?: boolean;
  @OneOf(ANSWERS) inSun?: Answer;
  @OneOf(ANSWERS) inWeather?: Answer;
}

/** An old circuit that is to carry new equipment: what was seen of it before it is believed. */
export class Reuse {
  /** Is the circuit of the part the equipment hangs on to be used again, device and cable? */
  @YesNo() used?: boolean;
  @OneOf(CABLE_LOOKS) look?: CableLook;
  /** Where it is damaged, and how. */
  @Text(300) damage?: string;
  /** Conductors in the cable, its protective conductor counted; armour is not one. */
  @Count(2, 12) cores?: number;
  /** Insulation between conductors and to earth, the least reading. */
  @Quantity('MΩ', 0, 100000) insulationMOhm?: number;
}

/** A piece of evidence of a scheme that is there. */
export class EvidenceHad {
  @Id() id: string;
  @YesNo() there?: boolean;
}

/** What a scheme of money help asks of whoever applies. */
export class MoneyHelp {
  @OneOf(APPLICANTS) applicant?: Applicant;
  /** Parking of their own, off the street. */
  @OneOf(ANSWERS) offStreet?: Answer;
  /** Bays with a working outlet when the work is done, and bays prepared for one later. */
  @Count(0, 1000) outlets?: number;
  @Count(0, 1000) preparedBays?: number;
  /** Ids of the evidence that is there already, of the schemes’ lists. */
  @ListOf(() => EvidenceHad, 60) evidence?: EvidenceHad[];
}
