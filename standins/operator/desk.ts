/** The operator's desk: what came in, what will be answered and when, and how well the service runs. Plain data and pure rules. */
import { addWorkingDays, type Day } from '@keen-gauge/core/calendar/days';

export const ANSWERS = ['accepted', 'accepted-if', 'asks-for-more', 'un-loop-first', 'refused'] as const;
export type Answer = (typeof ANSWERS)[number];
export const CONDITIONS = ['fuse-visit', 'limit', 'other'] as const;

/**
 * How the service behaves: `slow` answers after seconds; `down` not at all; `drops` takes what it is sent and lets the line fall before it
 * says so; `twice` tells every answer again, once under the same id and once under another.
 */
export const MOODS = ['well', 'slow', 'down', 'drops', 'twice'] as const;
export type Mood = (typeof MOODS)[number];

export interface Verdict {
  readonly answer: Answer;
  readonly condition?: (typeof CONDITIONS)[number];
  readonly limitA?: number;
  readonly note?: string;
}

export interface GivenAnswer extends Verdict {
  readonly id: string;
  readonly on: Day;
}

export interface Handed {
  readonly key: string;
  readonly reference: string;
  readonly pack: string;
  readonly title: string;
  readonly site: string;
  readonly fingerprint: string;
  readonly receivedOn: Day;
  readonly dueOn: Day;
  /** How often it came: more than once where the sender did not hear us the first time. */
  readonly times: number;
  readonly verdict: Verdict;
  readonly answers: readonly GivenAnswer[];
}

/** The desk's own time: it was `deskMs` when the world's was `realMs`, and runs so many seconds of the world to a day. */
export interface DeskClock {
  readonly realMs: number;
  readonly deskMs: number;
  readonly secondsPerDay: number;
}

export interface Desk {
  readonly clock: DeskClock;
  readonly mood: Mood;
  /** What the next ones are answered; `judge` looks into the pack. */
  readonly answerNext: Verdict | 'judge';
  readonly workingDays: number;
  readonly counter: number;
  readonly handed: readonly Handed[];
}

const DAY_MS = 86_400_000;

export function newDesk(nowMs: number, secondsPerDay: number): Desk {
  return {
    clock: { realMs: nowMs, deskMs: nowMs, secondsPerDay },
    mood: 'well',
    answerNext: 'judge',
    workingDays: 10,
    counter: 1,
    handed: [],
  };
}

/** The desk's day. A day of it may last a second; it never goes back. */
export function today({ clock }: Desk, nowMs: number): Day {
  return new Date(deskMs(clock, nowMs)).toISOString().slice(0, 10);
}

function deskMs({ realMs, deskMs: at, secondsPerDay }: DeskClock, nowMs: number): number {
  return at + ((nowMs - realMs) / 1000 / secondsPerDay) * DAY_MS;
}

/** The clock at another pace, or so many days on, from where it stands. */
export function wound(desk: Desk, nowMs: number, change: { secondsPerDay?: number; skipDays?: number }): Desk {
  const at = deskMs(desk.clock, nowMs) + (change.skipDays ?? 0) * DAY_MS;
  const secondsPerDay = change.secondsPerDay ?? desk.clock.secondsPerDay;
  return { ...desk, clock: { realMs: nowMs, deskMs: at, secondsPerDay } };
}

/** A desk taken up again after it was stopped, its clock where it stood. */
export function resumed(desk: Desk, nowMs: number): Desk {
  return { ...desk, clock: { ...desk.clock, realMs: nowMs } };
}

/** What is read of a pack to judge it. */
export interface ReadPack {
  readonly number: string;
  readonly title: string;
  readonly site: string;
  readonly fingerprint: string;
  readonly looped: boolean;
  readonly ratingEstablished: boolean;
  readonly missing: number;
  readonly afterA: number | null;
  readonly ratingA: number | null;
}

/** What a plain desk would say: danger and doubt of the street first, then what is missing, then the fuse, then yes. */
export function judge(pack: ReadPack): Verdict {
  if (pack.looped) return { answer: 'un-loop-first', note: 'Our record shows one service for two premises.' };
  if (pack.missing > 5) return { answer: 'asks-for-more', note: `${pack.missing} items are not known.` };
  if (!pack.ratingEstablished)
    return {
      answer: 'accepted-if',
      condition: 'fuse-visit',
      note: 'We look at the fuse before anything is connected.',
    };
  if (pack.afterA !== null && pack.ratingA !== null && pack.afterA > pack.ratingA)
    return { answer: 'refused', note: `${pack.afterA.toFixed(1)} A against a fuse of ${pack.ratingA} A.` };
  return { answer: 'accepted' };
}

/** Takes a pack in. The same key again is the same submission, told again and counted, and nothing else. */
export function take(
  desk: Desk,
  key: string,
  pack: ReadPack,
  nowMs: number,
): { desk: Desk; handed: Handed; fresh: boolean } {
  const known = desk.handed.find((each) => each.key === key);
  if (known) {
    const again = { ...known, times: known.times + 1 };
    return { desk: replaced(desk, again), handed: again, fresh: false };
  }
  const receivedOn = today(desk, nowMs);
  const handed: Handed = {
    key,
    reference: `DESK-${String(desk.counter).padStart(5, '0')}`,
    pack: pack.number,
    title: pack.title,
    site: pack.site,
    fingerprint: pack.fingerprint,
    receivedOn,
    dueOn: addWorkingDays(receivedOn, desk.workingDays, new Set()),
    times: 1,
    verdict: desk.answerNext === 'judge' ? judge(pack) : desk.answerNext,
    answers: [],
  };
  return { desk: { ...desk, counter: desk.counter + 1, handed: [...desk.handed, handed] }, handed, fresh: true };
}

/** The desk after everything due has been answered. */
export function answered(desk: Desk, nowMs: number, newId: () => string): Desk {
  const day = today(desk, nowMs);
  const due = desk.handed.filter(({ answers, dueOn }) => answers.length === 0 && dueOn <= day);
  return due.reduce((at, handed) => give(at, handed, handed.verdict, day, newId()), desk);
}

/** One more answer to a submission: the first, or one that takes the place of it. */
export function give(desk: Desk, handed: Handed, verdict: Verdict, on: Day, id: string): Desk {
  return replaced(desk, { ...handed, answers: [...handed.answers, { id, on, ...verdict }] });
}

/** The answers as they are told: in the mood for it, each once more under its id and once under another. */
export function told({ mood }: Desk, { answers }: Handed): GivenAnswer[] {
  if (mood !== 'twice') return [...answers];
  return answers.flatMap((answer) => [answer, answer, { ...answer, id: `${answer.id}-again` }]);
}

function replaced(desk: Desk, handed: Handed): Desk {
  return { ...desk, handed: desk.handed.map((each) => (each.key === handed.key ? handed : each)) };
}
