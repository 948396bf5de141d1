import { EVENT_NAMES, type EventKind } from '@keen-gauge/core/calendar/job-events';
import { OPERATOR_ANSWER_NAMES, type AnswerOfOperator } from '@keen-gauge/core/calendar/operator-answers';
import { OPTION_NAMES, type OptionKind } from '@keen-gauge/core/survey/words/option-words';
import { dayWords } from '../calendar/day-words';
import type { RecordEntry } from '../api/record';

const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

/** One entry of the record in a sentence; one of a kind not known here says its own word, never nothing. */
export function recordWords({ what, details }: Pick<RecordEntry, 'what' | 'details'>): string {
  const of = (key: string): string => text(details[key]);
  const because = of('reason') === '' ? '' : `: ${of('reason')}`;
  switch (what) {
    case 'signed-off':
      return `Signed off ${of('pack')}, revision ${of('revision')}${because}`;
    case 'event-entered': {
      const answer = of('answer');
      const name = of('kind') in EVENT_NAMES ? EVENT_NAMES[of('kind') as EventKind] : of('kind');
      const words =
        answer in OPERATOR_ANSWER_NAMES ? `: ${OPERATOR_ANSWER_NAMES[answer as AnswerOfOperator].toLowerCase()}` : '';
      const reference = of('reference') === '' ? '' : `, reference ${of('reference')}`;
      const note = of('note') === '' ? '' : `; ${of('note')}`;
      return `${name}${words}, ${dayWords(of('day'))}${reference}${note}`;
    }
    case 'hold-overridden':
      return `Hold overridden for ${of('fault')} by ${of('by')}${because}`;
    case 'override-lifted':
      return `Override lifted: ${of('fault')}`;
    case 'basis-declared':
      return `Basis declared: ${of('basis')}`;
    case 'option-chosen':
      return `Option chosen: ${of('option') in OPTION_NAMES ? OPTION_NAMES[of('option') as OptionKind] : of('option')}`;
    case 'charge-point-linked':
      return `Charge point ${of('name')} linked`;
    case 'charge-point-let-go':
      return 'Link to the charge point ended';
    case 'charge-point-asked':
      return of('ask') === 'limit'
        ? `Charge point ${of('name')} asked to hold to ${of('limitA')} A`
        : `Charge point ${of('name')} sent set-point ${of('setPointA')} A, fail-safe ${of('failSafeA')} A`;
    case 'equipment-changed':
      return `Equipment “${of('name')}” ${details['retired'] === true ? 'offered no more' : 'set'}`;
    case 'prices-changed':
      return `Prices saved as version ${of('version')}: ${of('items')} items`;
    case 'schemes-changed':
      return `Schemes of money help saved: ${of('schemes')}`;
    case 'quotation-made':
      return `Quotation ${of('number')} made${of('edition') === '1' ? '' : `, revision ${of('edition')}`}`;
    case 'quotation-sent':
      return `Quotation ${of('number')}, revision ${of('edition')}, sent or handed over`;
    case 'quotation-withdrawn':
      return `Quotation ${of('number')}, revision ${of('edition')}, withdrawn`;
    case 'terms-changed':
      return 'What the options cost was set';
    case 'rules-changed':
    case 'rule-pack-changed':
      return `Rules “${of('title')}” saved as version ${of('version')}`;
    case 'house-rules-changed':
      return `Rules set: ${of('defaultRulesId') || of('defaultPackId')}${details['alwaysAsk'] === true ? ', always ask first' : ''}${areasText(details['areas'])}`;
    case 'checklists-changed':
      return 'Checklists set';
    case 'hand-in-asked':
      return `${of('pack')} put in the outbox for the operator`;
    case 'hand-in-stopped':
      return `Handing in of ${of('pack')} stopped`;
    case 'attachment-added':
      return `Attached: ${of('name')}`;
    case 'job-assigned':
      return of('to') === '' ? 'Assigned to nobody' : `Assigned to ${of('to')}`;
    case 'job-archived':
      return 'Archived';
    case 'job-restored':
      return 'Restored from the archive';
    case 'feed-made':
      return 'Calendar address made';
    case 'signed-in':
      return `Signed in${of('with') === 'passkey' ? ' with a passkey' : ''}${of('on') === '' ? '' : `: ${of('on')}`}`;
    case 'passkey-added':
      return `Passkey added: ${of('device')}`;
    case 'passkey-removed':
      return 'A passkey taken away';
    case 'password-changed':
      return of('by') === 'link' ? 'New password, set through a link' : 'Password changed';
    case 'recovery-asked':
      return 'A link to a new password was asked for and mailed';
    case 'session-ended':
      return of('sessions') === '1'
        ? 'Signed out of one other session'
        : `Signed out of ${of('sessions')} other sessions`;
    case 'person-invited':
      return `${of('name')} invited as ${roleText(of('role'))}`;
    case 'person-joined':
      return `${of('name')} joined as ${roleText(of('role'))}`;
    case 'person-changed':
      return `${of('who')}: ${changedText(details)}`;
    case 'person-ended':
      return `${of('name')} let go`;
    case 'person-returned':
      return `${of('name')} taken back`;
    case 'access-link-made':
      return `Link to a new password made for ${of('name')}`;
    case 'invitation-revoked':
      return 'An invitation withdrawn';
    case 'data-exported':
      return 'Everything of the customer taken out as a file';
    case 'erasure-asked':
      return 'Everything of the customer erased';
    case 'customer-asked':
      return `The customer asked for ${of('steps')} things, within ${of('days')} days`;
    case 'customer-revoked':
      return 'The customer’s link withdrawn';
    case 'customer-answer-taken':
      return `Taken from the customer: ${of('asked')}`;
    case 'customer-answer-set-aside':
      return `The customer’s answer set aside: ${of('asked')}`;
    case 'customer-asked-again':
      return `The customer asked again: ${of('asked')}${because}`;
    case 'mail-asked':
      return `Mail to ${of('to')}: ${of('subject')}`;
    case 'sign-in-failed':
      return 'Somebody tried to sign in under this name with a wrong password';
    case 'sign-in-stopped':
      return 'Too many wrong tries to sign in under this name: stopped there for a quarter of an hour';
    case 'feed-revoked':
      return 'Calendar address revoked';
    default:
      return what;
  }
}

/** A role in a sentence. */
const roleText = (role: string): string => (role === 'office' ? 'office' : role === '' ? 'somebody' : `a ${role}`);

const CHANGED_NAMES: Readonly<Record<string, string>> = {
  name: 'name',
  role: 'role',
  maySignOff: 'may sign surveys off',
  registration: 'registration',
};

/** What was changed of somebody: role office → supervisor. */
function changedText(details: Readonly<Record<string, unknown>>): string {
  const said = (value: unknown): string =>
    typeof value === 'boolean' ? (value ? 'yes' : 'no') : text(value) === '' ? 'none' : text(value);
  return Object.entries(CHANGED_NAMES)
    .flatMap(([key, name]) => {
      const change = details[key];
      if (typeof change !== 'object' || change === null) return [];
      const { was, is } = change as { was?: unknown; is?: unknown };
      return [`${name} changed from ${said(was)} to ${said(is)}`];
    })
    .join(', ');
}

function areasText(areas: unknown): string {
  if (!Array.isArray(areas) || areas.length === 0) return '';
  const each = (areas as { area?: unknown; rulesId?: unknown; packId?: unknown }[]).map(
    // Entries of before name it as it was called then.
    ({ area, rulesId, packId }) => `${text(area)} ${text(rulesId ?? packId)}`,
  );
  return `; areas ${each.join(', ')}`;
}
