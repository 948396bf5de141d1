import type { Assessment } from '../assessment';
import { FAULT_NAMES } from '../intake/condition';
import { groupedMeterPoint, meterPoint } from '../route/meter-point';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import { isManaged, type SignedBy } from './compose';
import { namedClamps } from './equipment-sections';
import { noticeWords } from './notice';
import { fuseRatingLetter, type Letter } from './fuse-letter';
import { figureText, phasesText } from './rows';

export const LETTERS = ['application', 'notice', 'fuse-rating', 'fuse-upgrade', 'un-loop', 'fault-report'] as const;
export type LetterKind = (typeof LETTERS)[number];

export const LETTER_NAMES: Readonly<Record<LetterKind, string>> = {
  application: 'Application, with the pack',
  notice: 'Notice after fitting, with the pack',
  'fuse-rating': 'Question: what fuse is it?',
  'fuse-upgrade': 'Request: a larger fuse',
  'un-loop': 'Request: un-looping',
  'fault-report': 'Report: a fault at the intake',
};

/** What letters are written from. */
export interface LetterFacts {
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
  readonly from: Pick<SignedBy, 'firm' | 'name' | 'registration' | 'contact'>;
  /** The day it is written, by the local calendar. */
  readonly today: string;
  readonly jobNumber: string;
  /** The day it was commissioned, where it was. */
  readonly commissionedOn?: string | undefined;
  /** What the operator calls it, once it has given a reference. */
  readonly reference?: string | undefined;
}

/** The letter that suits where the survey stands: what is dangerous first, then the loop, then what the route asks. */
export function usualLetter({ survey, assessment, commissionedOn }: LetterFacts): LetterKind {
  if (assessment.supply.condition === 'make-safe') return 'fault-report';
  if (assessment.supply.loop === 'looped') return 'un-loop';
  if (survey.request.fuseUpgrade) return 'fuse-upgrade';
  if (assessment.route.way === 'fit-then-notify' || commissionedOn !== undefined) return 'notice';
  return assessment.supply.ratingEstablished ? 'application' : 'fuse-rating';
}

/** A letter to the operator from what is recorded. It claims nothing that is not; what is missing says so. */
export function letter(kind: LetterKind, facts: LetterFacts): Letter {
  if (kind === 'fuse-rating') return fuseRatingLetter(facts.survey, facts.assessment, facts.from, facts.jobNumber);
  const { place } = facts.survey;
  const [what, lines] = BODIES[kind](facts);
  const number = meterPoint(place.meterPointNumber);
  return {
    subject: [
      what,
      addressOf(facts.survey),
      number.state === 'good' ? `MPAN ${number.core}` : '',
      facts.reference ?? '',
    ]
      .filter(Boolean)
      .join(', '),
    body: [
      `To ${place.operatorName ?? 'the network operator'}`,
      '',
      ...lines,
      '',
      `Site: ${addressOf(facts.survey) || 'not recorded yet'}`,
      `Meter point number (MPAN): ${number.state === 'good' ? groupedMeterPoint(number.core) : `${place.meterPointNumber ?? 'not recorded yet'}${number.state === 'faulty' ? ' (as read; it does not check)' : ''}`}`,
      `Customer: ${place.customerName ?? 'not recorded yet'}`,
      '',
      [facts.from.name, facts.from.firm, facts.from.registration].filter(Boolean).join(', '),
      ...contactLines(facts),
      `Our reference: ${facts.jobNumber}`,
      ...(facts.reference === undefined ? [] : [`Your reference: ${facts.reference}`]),
      '',
    ].join('\n'),
  };
}

const BODIES: Readonly<
  Record<Exclude<LetterKind, 'fuse-rating'>, (facts: LetterFacts) => readonly [string, readonly string[]]>
> = {
  application: ({ survey, assessment, rules }) => [
    'Application to connect new equipment',
    [
      'We apply to connect the equipment below. It will not be connected until you have replied.',
      `We look for your reply within ${rules.replyWorkingDays.value} working days.`,
      '',
      ...equipment(survey),
      ...demand(assessment),
      '',
      'We ask first because:',
      ...assessment.route.triggers.map(({ title, evidence }) => `- ${title}. ${evidence}`),
      '',
      `The pack with this message has the particulars, the supply drawn${survey.photos.length > 0 ? ', photographs' : ''} and the working.`,
    ],
  ],
  notice: ({ survey, assessment, rules, commissionedOn, today }) => [
    'Notice of new equipment',
    [
      commissionedOn === undefined
        ? `The equipment below will be commissioned; this notice is to be sent within ${rules.noticeWithinDays.value} days after that.`
        : `This is notice of the equipment below. ${noticeWords(commissionedOn, today, rules)}`,
      '',
      ...equipment(survey),
      ...demand(assessment),
      '',
      `The pack with this message has the particulars${survey.readings.some(({ proposalId }) => proposalId !== undefined) ? ', test results' : ''}${survey.photos.length > 0 ? ', photographs' : ''} and the supply drawn.`,
    ],
  ],
  'fuse-upgrade': ({ survey, assessment }) => [
    'Request for a larger cut-out fuse',
    [
      `Please say whether the cut-out fuse can be made larger${survey.request.wantedFuseA === undefined ? '' : `, to ${survey.request.wantedFuseA} A`}, and change it if so.`,
      assessment.supply.ratingEstablished === true
        ? `Now: ${figureText(assessment.supply.rating)}.`
        : `Its rating now is not known to us; we work with ${figureText(assessment.supply.rating)} until you have said what it is.`,
      ...demand(assessment),
      ...equipment(survey),
      '',
      'What stands behind the fuse:',
      ...assessment.nodes
        .filter(({ kind }) => kind !== 'service' && kind !== 'cut-out')
        .map(({ label, ratingA }) => `- ${label}: ${ratingA === null ? 'rating not known' : `${ratingA} A`}`),
      '',
      'The street and the service decide; we connect nothing that rests on it before you have done so.',
    ],
  ],
  'un-loop': ({ survey, assessment }) => [
    'Request to un-loop the service',
    [
      `The service to this supply ${assessment.supply.loop === 'looped' ? 'is shared with' : 'may be shared with'} another property. Please give this supply a service of its own.`,
      `How we know: ${survey.intake.loop.evidence?.replaceAll('-', ' ') ?? 'not established; please look in your record'}.`,
      ...(survey.intake.loop.status === 'feeds-next-door' ? ['The cable goes on from here to next door.'] : []),
      ...(survey.intake.loop.status === 'fed-from-next-door' ? ['The cable comes from next door.'] : []),
      ...demand(assessment),
      ...equipment(survey),
      '',
      'Please say who pays for what, what is dug up, and when. Nothing is connected before it is done.',
    ],
  ],
  'fault-report': ({ survey, rules }) => [
    'Report of a fault at the intake',
    [
      `Where it is dangerous it is reported by telephone first (${rules.emergencyNumber.value}); this is for the record.`,
      '',
      ...(survey.intake.faults.length === 0 ? ['- No fault is recorded.'] : []),
      ...survey.intake.faults.map(({ fault, grade, note }) =>
        [`- ${FAULT_NAMES[fault]}`, GRADE_WORDS[grade ?? 'none'], note ?? ''].filter(Boolean).join('; '),
      ),
      ...photographs(survey),
      '',
      'We broke no seal and opened nothing of yours.',
    ],
  ],
};

const GRADE_WORDS = {
  'make-safe-now': 'make safe now',
  'before-load-added': 'before any load is added',
  note: 'noted',
  none: 'not graded',
} as const;

function addressOf({ place }: Survey): string {
  return [place.addressLine1, place.addressLine2, place.town, place.postcode].filter(Boolean).join(', ');
}

function equipment({ proposals, supply }: Survey): string[] {
  return proposals.map((each) =>
    [
      `- ${equipmentName(each)}`,
      each.makeAndModel ?? 'make and model not recorded yet',
      each.ratedA === undefined ? 'rating not known' : `${each.ratedA} A${each.phases === 3 ? ', three-phase' : ''}`,
      each.limiter.kind === 'fixed' && each.limiter.fixedA !== undefined ? `held to ${each.limiter.fixedA} A` : '',
      ...namedClamps(each, supply.nodes).map(
        ({ name, setPointA }) => `clamp on ${name ?? 'a part not recorded yet'}, set-point ${setPointA ?? '?'} A`,
      ),
      each.limiter.kind === 'clamp' ? `fail-safe ${each.limiter.failSafeA ?? '?'} A` : '',
      each.registerReference === undefined ? '' : `register reference ${each.registerReference}`,
    ]
      .filter(Boolean)
      .join('; '),
  );
}

function demand({ demand: { before, afterUnmanaged, afterManaged, limiter } }: Assessment): string[] {
  const now = `Maximum demand now: ${phasesText(before)}; after the work: ${phasesText(afterUnmanaged)}.`;
  if (limiter.kind !== 'clamp') return [now];
  if (isManaged({ limiter })) return [now, `Managed: ${phasesText(afterManaged)}. ${limiter.why}`];
  return [
    now,
    `The clamp is not counted: it ${limiter.holds === false ? 'does not hold' : 'is not known to hold'}. ${limiter.why}`,
  ];
}

/** Where the firm is answered, as far as it has set that. */
function contactLines({ from: { contact = {} } }: LetterFacts): string[] {
  const { address, telephone, email } = contact;
  return [address, telephone && `Telephone ${telephone}`, email].flatMap((line) => (line ? [line] : []));
}

/** Those of the intake, by the number they have in the pack. */
function photographs({ photos, intake }: Survey): string[] {
  const faults = new Set(intake.faults.map(({ id }) => id));
  const found = photos
    .map((photo, at) => ({ photo, number: at + 1 }))
    .filter(({ photo }) => photo.subject === 'fault' || (photo.subjectId !== undefined && faults.has(photo.subjectId)));
  if (found.length === 0) return [];
  return [
    '',
    'Photographs with this message:',
    ...found.map(({ photo, number }) => `- Photograph ${number}: ${photo.caption ?? 'the fault'}`),
  ];
}
