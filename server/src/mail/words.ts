import type { Day } from '@keen-gauge/core/calendar/days';
import { LINK } from './queries';

export interface Words {
  readonly subject: string;
  readonly body: string;
}

/** To somebody who is to join the firm. */
export function invitationWords(firm: string, name: string, invitedBy: string): Words {
  return {
    subject: `Your sign-in at ${firm}`,
    body: `Hello ${name},

${invitedBy} has invited you to ${firm}'s surveys in Keen Gauge.

Open this link and choose a password:
${LINK}

It works once, within seven days. If you did not expect it, do nothing.`,
  };
}

/** To somebody who asked for a new password, or whose supervisor did. */
export function recoveryWords(name: string): Words {
  return {
    subject: 'A new password for Keen Gauge',
    body: `Hello ${name},

Open this link and choose a new password:
${LINK}

It works once, within two hours. You will be signed out everywhere.

If you did not ask for it, do nothing: your password stays as it is.`,
  };
}

/** To a customer who is to make their part of the survey. Nothing of the job stands in it: whoever reads it over a shoulder learns a firm’s name. */
export function customerWords(firm: string, by: string, days: number): Words {
  return {
    subject: `A few questions from ${firm}`,
    body: `Hello,

${by} of ${firm} would like to see your electricity supply before anything is planned. It takes about a quarter of an hour with your phone, one photo or one answer at a time. You can stop and go on later.

Open this link on your phone:
${LINK}

You will not be asked to open or touch anything. If something near your meter is hot, scorched, buzzing or smells of burning, keep away from it and ring your network operator on 105.

The link works for ${days} days.`,
  };
}

/** To a customer of whom something is asked again. */
export function customerAgainWords(firm: string, by: string): Words {
  return {
    subject: `A question from ${firm}`,
    body: `Hello,

thank you: most of it is here. ${by} of ${firm} asks for something again, and says why.

Open this link on your phone; it shows only that:
${LINK}`,
  };
}

/** To a customer who is quoted a price. No sum and no place stand in it: the page says them. */
export function quotationWords(firm: string, number: string, validUntil: Day): Words {
  return {
    subject: `Quotation ${number} from ${firm}`,
    body: `Hello,

here is our quotation ${number}. It is attached, and you can read it on this page, choose, ask something, accept or decline:
${LINK}

It stands until ${writtenDay(validUntil)}.`,
  };
}

const QUOTATION_WORDS = {
  accepted: ['was accepted', 'The customer has accepted it.'],
  declined: ['was declined', 'The customer has declined it.'],
  question: ['raised a question', 'The customer asks something about it.'],
} as const;

/** To whoever has the job, of what a customer answered to a quotation. */
export function quotationAnsweredWords(kind: keyof typeof QUOTATION_WORDS, job: string, number: string): Words {
  const [subject, says] = QUOTATION_WORDS[kind];
  return { subject: `${job}: ${number} ${subject}`, body: `${says}\n\nIt stands in the job, under Quotation.` };
}

const CLOCK_WORDS = {
  reply: ['the operator’s reply is late', 'The operator’s reply was due on'],
  chase: ['ask the operator where it is', 'The operator should have been asked again by'],
  notice: ['the notice is due', 'The notice to the operator is due on'],
} as const;

/** Of a clock of a job that has run out, or will in a moment. No place and no customer: the job says them. */
export function clockWords(what: keyof typeof CLOCK_WORDS, job: string, dueOn: Day, isLate: boolean): Words {
  const [subject, says] = CLOCK_WORDS[what];
  return {
    subject: `${job}: ${subject}`,
    body: `${says} ${writtenDay(dueOn)}${isLate && what === 'notice' ? ', which is past' : ''}.

Open ${job} in Keen Gauge: Route and dates.`,
  };
}

/** That a customer has answered; what, only the job says. */
export function answeredWords(job: string): Words {
  return {
    subject: `${job}: the customer has answered`,
    body: `Open ${job} in Keen Gauge: From the customer. Nothing of it counts before you have looked at it.`,
  };
}

/** Of an instrument whose calibration ends. */
export function calibrationWords(name: string, serial: string, dueOn: Day, isLate: boolean): Words {
  return {
    subject: 'A calibration is due',
    body: `The calibration of ${name}${serial === '' ? '' : ` (${serial})`} ${isLate ? 'ended' : 'ends'} on ${writtenDay(dueOn)}.

Readings taken with it after that day say so in every pack.`,
  };
}

/** A day as people write it. */
function writtenDay(day: Day): string {
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(`${day}T00:00:00Z`));
}

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The same words as plain HTML: paragraphs, lines, and addresses that can be pressed. Nothing in it is anybody's markup. */
export function htmlOf(text: string): string {
  const paragraphs = text.split(/\n{2,}/).map((paragraph) => {
    const lines = escaped(paragraph)
      .replace(/https?:\/\/[^\s<]+/g, (url) => `<a href="${url}">${url}</a>`)
      .replaceAll('\n', '<br>');
    return `<p>${lines}</p>`;
  });
  return `<!doctype html><html lang="en-GB"><body style="font: 16px/1.5 sans-serif">${paragraphs.join('')}</body></html>`;
}
