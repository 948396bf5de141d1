import type { Assessment } from '../assessment';
import type { PerPhase } from '../demand/per-phase-figures';
import { CLASS_NAMES } from '../demand/maximum-demand';
import { answerWords } from '../grounds/verdict';
import { lineupOf, type Lineup } from '../lineup/layout';
import { groupedMeterPoint, meterPoint } from '../route/meter-point';
import type { RouteWay } from '../route/ways';
import type { FirmContact } from '../firm/contact';
import type { Rules } from '../rules/rules';
import type { Measurement } from '../survey/measurement';
import { isUpgradeOnly } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { NATION_NAMES, PREMISES_NAMES } from '../survey/words/words';
import type { Figure } from '../worked';
import { circuitSections, circuitWorkings, feederSection } from './circuit-sections';
import { afterSection, testSections } from './after-sections';
import { choiceSection, commissioningSections, trialSections } from './decision-sections';
import { earthingSection } from './earthing-section';
import { equipmentSection, requestSection } from './equipment-sections';
import { changesSince, type PackChange } from './changes';
import type { StoredSection } from './former-sections';
import { missingItems, type Missing } from './missing';
import { noticeWords } from './notice';
import { packPhotos, type PackPhoto } from './photos';
import type { Signature } from './signature';
import { figureText, NOT_KNOWN, phasesText, row, rowOf, type Row, type Section } from './rows';
import { readingsSection, supplySection, thereSection } from './supply-sections';
import { verdictSection } from './verdict-section';

/** Who signs, for which firm, and when. */
export interface SignedBy {
  readonly firm: string;
  readonly name: string;
  readonly registration: string;
  /** Where the firm is answered, as far as it has set that. */
  readonly contact?: FirmContact;
  /** ISO date and time. */
  readonly at: string;
  /** ISO date and time by the device’s own clock, where it was signed there without a connection. */
  readonly onDeviceAt?: string;
  /** The day it was commissioned, where it was before it is signed. */
  readonly commissionedOn?: string;
  /** Why it is signed although something is missing. */
  readonly reason?: string;
  /** Why each thing that touches safety is answered for although it is open or wrong. */
  readonly answers?: readonly AnswerFor[];
  /** Drawn or typed by the one who signs; left out, the name alone is printed. */
  readonly signature?: Signature;
}

/** One thing that touches safety and is open or wrong, answered for by whoever signs. */
export interface AnswerFor {
  readonly text: string;
  readonly reason: string;
}

/** What a pack's document says, before anything is laid out on a page. */
export interface PackContent {
  readonly title: string;
  readonly purpose: string;
  readonly sections: readonly Section[];
  /** The supply tree, to be drawn. */
  readonly lineup: Lineup;
  readonly photos: readonly PackPhoto[];
  readonly workings: readonly Figure[];
  readonly declarations: readonly string[];
  readonly missing: readonly Missing[];
  readonly signature?: Signature;
  /** What it says differently from the pack before it, and that pack’s number. */
  readonly changed?: { readonly since: string; readonly lines: readonly PackChange[] };
}

/** The pack signed before this one, to say what has changed since. */
export interface EarlierPack {
  readonly number: string;
  readonly sections: readonly StoredSection[];
}

const TITLES: Readonly<Record<RouteWay, string>> = {
  'fit-then-notify': 'Notice of new equipment',
  'ask-then-fit': 'Application to connect new equipment',
  hold: 'Report of a dangerous intake: no work until made safe',
};

const UPGRADE_TITLE = 'Request for a change of supply';

/** The document that goes with a survey: every section the operator needs, with the working behind each figure. */
export function composePack(
  survey: Survey,
  assessment: Assessment,
  rules: Rules,
  signedBy: SignedBy,
  earlier?: EarlierPack,
): PackContent {
  const { route, demand, supply } = assessment;
  const sections = sectionsOf(survey, assessment, rules, signedBy);
  return {
    title: isUpgradeOnly(survey) && route.way !== 'hold' ? UPGRADE_TITLE : TITLES[route.way],
    purpose: purposeOf(route.way, rules, signedBy),
    sections,
    lineup: lineupOf(survey, assessment),
    photos: packPhotos(survey),
    workings: [
      supply.rating,
      ...figuresOf(demand.before),
      ...figuresOf(demand.afterUnmanaged),
      ...(isManaged(demand) ? figuresOf(demand.afterManaged) : []),
      ...figuresOf(demand.headroom).map(lastStep),
      demand.afterKva,
      ...assessment.circuits.flatMap(circuitWorkings),
    ],
    declarations: rules.declarations,
    missing: missingItems(assessment),
    ...(signedBy.signature ? { signature: signedBy.signature } : {}),
    ...(earlier ? { changed: { since: earlier.number, lines: changesSince(earlier.sections, sections) } } : {}),
  };
}

/** Every section there is something to say in, in the order of the document. */
function sectionsOf(survey: Survey, assessment: Assessment, rules: Rules, signedBy: SignedBy): Section[] {
  const [site, ...others] = factSections(survey, assessment, rules);
  return [...(site ? [site] : []), installerSection(signedBy), ...others, answeredSection(signedBy)].filter(
    ({ rows }) => rows.length > 0,
  );
}

/** What the document says of the survey, whoever signs it; what is decided from the facts is marked so. */
export function factSections(survey: Survey, assessment: Assessment, rules: Rules): Section[] {
  return [
    siteSection(survey),
    thereSection(survey),
    supplySection(survey, assessment),
    earthingSection(survey, assessment),
    readingsSection(survey),
    demandSection(survey, assessment),
    ...survey.proposals.flatMap((proposal) => [
      equipmentSection(proposal, survey, assessment),
      ...circuitSections(proposal, assessment),
      ...trialSections(proposal, survey, assessment, rules),
      ...commissioningSections(proposal, survey, rules),
      ...testSections(survey, assessment, proposal, rules),
    ]),
    ...assessment.feeders.map((feeder) => feederSection(feeder)),
    requestSection(survey),
    choiceSection(survey),
    routeSection(assessment),
    verdictSection(assessment),
    afterSection(survey),
    findingsSection(assessment),
  ].filter(({ rows }) => rows.length > 0);
}

/** What was open or wrong and touches safety, with the reason whoever signed gave for each. */
function answeredSection({ name, answers = [] }: SignedBy): Section {
  return {
    id: 'answered-for',
    title: 'Answered for when signed',
    derived: true,
    rows: answers.map(({ text, reason }) => rowOf('answered-for', text, `By ${name}`, text, reason)),
  };
}

function purposeOf(way: RouteWay, rules: Rules, { commissionedOn, at }: SignedBy): string {
  if (way === 'hold')
    return `Keep clear. The operator’s emergency line is ${rules.emergencyNumber.value}. This is not an application.`;
  if (way === 'ask-then-fit')
    return `The equipment below will not be connected until the network operator has replied (usually within ${rules.replyWorkingDays.value} working days).`;
  if (commissionedOn !== undefined) return noticeWords(commissionedOn, at.slice(0, 10), rules);
  return `To be sent to the network operator within ${rules.noticeWithinDays.value} days of commissioning.`;
}

/** Only what this figure adds to those printed before it. */
function lastStep({ label, value, unit, bound, why, working }: Figure): Figure {
  return { label, value, unit, bound, why, working: working.slice(-1) };
}

function figuresOf(figures: PerPhase): Figure[] {
  return Object.values(figures);
}

function siteSection({ place }: Survey): Section {
  const number = meterPoint(place.meterPointNumber);
  const address = [place.addressLine1, place.addressLine2, place.town, place.postcode].filter(Boolean).join(', ');
  return {
    id: 'site',
    title: 'Site and customer',
    rows: [
      row('customer', 'Customer', place.customerName),
      row('telephone', 'Telephone', place.customerPhone),
      row('e-mail', 'E-mail', place.customerEmail),
      row('address', 'Address', address),
      row('nation', 'Nation', place.nation && NATION_NAMES[place.nation]),
      row('premises', 'Premises', place.premises && PREMISES_NAMES[place.premises]),
      row(
        'meter-point-number',
        'Meter point number (MPAN)',
        number.state === 'good' ? groupedMeterPoint(number.core) : place.meterPointNumber,
        number.state === 'faulty' ? number.says : undefined,
      ),
      row('network-operator', 'Network operator', place.operatorName),
    ],
  };
}

function installerSection({ firm, name, registration, contact = {} }: SignedBy): Section {
  return {
    id: 'installer',
    title: 'Installer',
    rows: [
      row('firm', 'Firm', firm),
      row('address', 'Address', contact.address),
      row('telephone', 'Telephone', contact.telephone),
      row('e-mail', 'E-mail', contact.email),
      row('signed-for-by', 'Signed for by', name),
      row('registration', 'Registration', registration),
    ],
  };
}

function demandSection(survey: Survey, { demand }: Assessment): Section {
  const { reason, declaredBy } = survey.declaration;
  return {
    id: 'demand',
    title: 'Maximum demand',
    rows: [
      row(
        'basis-declared',
        'Basis declared',
        `By ${demand.basis}`,
        [reason, declaredBy && `declared by ${declaredBy}`].filter(Boolean).join('; '),
      ),
      row('before-the-work', 'Before the work', phasesText(demand.before), figureText(demand.beforeKva)),
      // What a limiter keeps it to is said only where one is known to.
      ...(isManaged(demand)
        ? [
            row('after-the-work-unmanaged', 'After the work, unmanaged', phasesText(demand.afterUnmanaged)),
            row(
              'after-the-work-managed',
              'After the work, managed',
              phasesText(demand.afterManaged),
              figureText(demand.afterKva),
            ),
          ]
        : [
            row(
              'after-the-work-unmanaged',
              'After the work, unmanaged',
              phasesText(demand.afterUnmanaged),
              figureText(demand.afterKva),
            ),
          ]),
      row('headroom', 'Headroom', phasesText(demand.headroom)),
      row('by-circuits', 'By circuits', phasesText(demand.byCircuits)),
      row('by-appliances', 'By appliances', phasesText(demand.byAppliances)),
      ...assumedRows(survey),
      ...survey.measurements.map(measuredRow),
    ],
  };
}

/** Whether a clamp is known to keep the demand to less than what everything at once takes. */
export function isManaged({ limiter }: Pick<Assessment['demand'], 'limiter'>): boolean {
  return limiter.kind === 'clamp' && limiter.holds === true;
}

/** Loads nobody has confirmed, said where the demand that rests on them stands. */
function assumedRows({ loads }: Survey): Row[] {
  const assumed = loads.filter((load) => load.assumed);
  if (assumed.length === 0) return [];
  const names = assumed.map((load) => load.label ?? CLASS_NAMES[load.class]);
  return [row('assumed', 'Assumed', `${assumed.length} of ${loads.length} loads`, names.join(', '))];
}

const MEASURED: Readonly<Record<Measurement['kind'], string>> = {
  spot: 'Spot reading',
  'full-load-test': 'Full-load test',
  logger: 'Logged',
  'half-hourly': 'Half-hourly consumption',
};

/** What was measured, with how far it reaches. */
function measuredRow({
  id: measurementId,
  kind,
  phases,
  days,
  coveragePercent,
  note,
  takenBy,
  fileName,
}: Measurement): Row {
  const log = kind === 'logger' || kind === 'half-hourly';
  const figures = phases.map(({ id, peakA, mean30A, onceAYearA }) => {
    const on = phases.length > 1 ? `${id} ` : '';
    if (!log) return `${on}${peakA === undefined ? NOT_KNOWN : `${peakA.toFixed(1)} A`}`;
    const year = onceAYearA === undefined ? '' : `, one day in a year ${onceAYearA.toFixed(1)} A`;
    return `${on}highest half hour ${mean30A === undefined ? NOT_KNOWN : `${mean30A.toFixed(1)} A`}${year}`;
  });
  const reach = log ? `${days ?? 0} whole days, ${(coveragePercent ?? 0).toFixed(1)} % covered` : note;
  return rowOf(
    'measured',
    measurementId,
    MEASURED[kind],
    figures.join(' · '),
    [reach, fileName, takenBy].filter(Boolean).join('; '),
  );
}

function routeSection({ route, demand, rules }: Assessment): Section {
  return {
    id: 'route',
    title: 'Route to the network operator',
    derived: true,
    rows: [
      row('route', 'Route', route.words, `Rules ${rules.id}, version ${rules.version}`),
      ...route.triggers.map(({ id, title, evidence, state }) =>
        rowOf('trigger', id, state === 'met' ? 'Because' : 'Because not known', title, evidence),
      ),
      ...(demand.limiter.kind === 'none'
        ? []
        : [row('limiter', 'Limiter', answerWords(demand.limiter.holds), demand.limiter.why)]),
    ],
  };
}

function findingsSection({ findings }: Assessment): Section {
  const words = { danger: 'Danger', act: 'To be done', ask: 'Open question', note: 'Noted' };
  return {
    id: 'findings',
    title: 'Findings',
    derived: true,
    rows: findings.map(({ id, subjectId = '', grade, title, remedy }) =>
      rowOf('finding', `${id} ${subjectId}`, words[grade], title, remedy),
    ),
  };
}
