import { Count, Day, Id, ListOf, OneOf, Quantity, RequiredText, SomeOf, Text, YesNo } from '../survey/fields';
import { APPLICANTS, type Applicant } from '../survey/words/works-words';
import { NATIONS, PREMISES, type Nation, type Premises } from '../survey/words/words';

/** Evidence a scheme wants, under an id that stays when its words change. */
export class SchemeEvidence {
  @Id() id: string;
  @RequiredText(200, 'what is wanted') text: string;
}

/** A scheme of money help as a firm keeps it. Schemes change: they are data of the firm and no rules of ours. */
export class Scheme {
  @Id() id: string;
  @RequiredText(100, 'a name') name: string;
  /** Where its terms were read. */
  @Text(300) source?: string;
  /** Who may claim; left out, anybody. */
  @SomeOf(APPLICANTS) who?: Applicant[];
  @SomeOf(PREMISES) premises?: Premises[];
  @SomeOf(NATIONS) nations?: Nation[];
  /** Is parking off the street asked for? */
  @YesNo() offStreet?: boolean;
  /** A share of what each outlet costs, tax included, in percent; left out, the whole of it up to the cap. */
  @Quantity('%', 0, 100) sharePercent?: number;
  /** At most so much for each outlet. */
  @Count(0, 1_000_000_000) outletCapPence?: number;
  /** For each bay prepared for an outlet later. */
  @Count(0, 1_000_000_000) preparedPence?: number;
  /** At most so much for a building. */
  @Count(0, 1_000_000_000) buildingCapPence?: number;
  /** Bays at least, with an outlet or prepared. */
  @Count(1, 1000) leastBays?: number;
  @Count(1, 1000) mostOutlets?: number;
  /** Left out: open. The last day counts. */
  @Day() from?: string;
  @Day() to?: string;
  /** Is it for chargers alone? */
  @OneOf(['chargers', 'anything']) what?: 'chargers' | 'anything';
  @ListOf(() => SchemeEvidence, 40) evidence: SchemeEvidence[] = [];
}

/** Every scheme of a firm. */
export class Schemes {
  @ListOf(() => Scheme, 60) schemes: Scheme[] = [];
}
