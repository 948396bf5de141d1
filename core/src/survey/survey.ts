import { Equals } from 'class-validator';
import { AfterJob } from './after';
import { ReviewComment } from './comment';
import { Driver, OptionChoice } from './driver';
import { Earthing } from './earthing';
import { ListOf, OneOf, Part, Text } from './fields';
import { Fit } from './fit';
import { Generation } from './generation';
import { Intake } from './intake';
import { Load } from './load';
import { Measurement } from './measurement';
import { Photo } from './photo';
import { Place } from './place';
import { Pool } from './pool';
import { Proposal, SupplyRequest } from './proposal';
import { PutOff } from './put-off';
import { Reading } from './reading';
import { Site } from './site';
import { Stage } from './stage';
import { Statement } from './statement';
import { Supply } from './supply';
import { TrialRecord } from './trial';
import { MoneyHelp, Works } from './works';
import { BASES, type Basis } from './words/words';

export const SURVEY_FORMAT = 'keen-gauge-survey';
export const SURVEY_VERSION = 2;

/** Which reckoning of maximum demand the surveyor stands by, and why. */
export class Declaration {
  @OneOf(BASES) basis?: Basis;
  @Text(500) reason?: string;
  @Text(100) declaredBy?: string;
}

/**
 * A survey: everything recorded about one supply and what is to be connected to it. The open format; see
 * docs/formats/survey.md. Whatever is left out is not known, which is not the same as zero or no.
 */
export class Survey {
  @Equals(SURVEY_FORMAT, { message: `"${SURVEY_FORMAT}"` })
  format: typeof SURVEY_FORMAT = SURVEY_FORMAT;
  @Equals(SURVEY_VERSION, { message: `the number ${SURVEY_VERSION}` })
  version: typeof SURVEY_VERSION = SURVEY_VERSION;
  @Part(() => Place) place: Place = new Place();
  @Part(() => Supply) supply: Supply = new Supply();
  @Part(() => Intake) intake: Intake = new Intake();
  @Part(() => Earthing) earthing: Earthing = new Earthing();
  @ListOf(() => Reading, 500) readings: Reading[] = [];
  @ListOf(() => Measurement, 50) measurements: Measurement[] = [];
  @ListOf(() => Photo, 500) photos: Photo[] = [];
  @ListOf(() => Load, 500) loads: Load[] = [];
  /** Left out, nobody has said whether there is any. */
  @ListOf(() => Generation, 20) generation?: Generation[];
  @Part(() => Declaration) declaration: Declaration = new Declaration();
  @ListOf(() => Proposal, 250) proposals: Proposal[] = [];
  @Part(() => Driver) driver?: Driver;
  @Part(() => Pool) pool?: Pool;
  @Part(() => Site) site?: Site;
  @Part(() => OptionChoice) choice?: OptionChoice;
  /** Steps in time, where it is not all done at once. */
  @ListOf(() => Stage, 6) stages?: Stage[];
  /** What the work itself takes, and the lines of its materials that somebody changed. */
  @Part(() => Works) works?: Works;
  @Part(() => MoneyHelp) help?: MoneyHelp;
  @Part(() => Fit) fit?: Fit;
  @ListOf(() => TrialRecord, 50) trials?: TrialRecord[];
  @Part(() => SupplyRequest) request: SupplyRequest = new SupplyRequest();
  @Part(() => AfterJob) after?: AfterJob;
  /** Questions passed over on site; the last entry of a question counts. */
  @ListOf(() => PutOff, 300) putOff?: PutOff[];
  /** What was asked when the survey was handed back. */
  @ListOf(() => ReviewComment, 200) comments?: ReviewComment[];
  /** What the customer said or showed, as it was taken in. */
  @ListOf(() => Statement, 100) statements?: Statement[];
  @Text(5000) notes?: string;
}
