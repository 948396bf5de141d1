import { assess } from '@keen-gauge/core/assess';
import { packEntries } from '@keen-gauge/core/calendar/ics-events';
import type { JobDays } from '@keen-gauge/core/calendar/clocks';
import type { Day } from '@keen-gauge/core/calendar/days';
import type { PackContent, SignedBy } from '@keen-gauge/core/pack/compose';
import { packTexts } from '@keen-gauge/core/pack/files';
import type { Rules } from '@keen-gauge/core/rules/rules';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import { holidaysAbout } from '../calendar/holidays';
import { icsOf } from '../calendar/ics';
import { jobNumber } from '../jobs/numbers';
import { packBundle, type PackedPicture } from './bundle';
import type { PackedFile } from './manifest';
import { packPdf } from './pdf/document';
import type { PrintedPicture } from './pdf/photos';

/** What a pack's files are made of beside its content, as it was when it was signed. */
export interface Making {
  readonly signedBy: SignedBy;
  readonly rules: Rules;
  readonly job: { readonly id: string; readonly number: number; readonly place: string };
  readonly days: JobDays;
  readonly today: Day;
}

/** Everything a pack's files are made of: the same every time, so that they come out the same. */
export interface PackInput extends Making {
  readonly number: string;
  readonly fingerprint: string;
  readonly surveyText: string;
  readonly content: PackContent;
  readonly printed: readonly (readonly [id: string, picture: PrintedPicture])[];
  readonly pictures: readonly PackedPicture[];
  readonly missing: readonly PackedFile[];
}

export interface PackFiles {
  readonly pdf: Uint8Array;
  readonly bundle: Uint8Array;
}

/** The document of a pack and its archive. Takes seconds where there are many photographs: done in a thread. */
export async function makePackFiles(input: PackInput): Promise<PackFiles> {
  const { signedBy, rules, job, days, today, number, fingerprint, surveyText, content } = input;
  const read = readSurvey(JSON.parse(surveyText));
  if ('faults' in read) throw new Error('A signed survey could not be read.');
  const { survey } = read;
  const assessment = assess(survey, rules);
  const label = { number, job: jobNumber(job.number), fingerprint };
  const printed = new Map(
    input.printed.map(([id, picture]) => [id, { ...picture, bytes: Buffer.from(picture.bytes) }]),
  );
  const pdf = await packPdf(content, signedBy, label, printed);
  const holidays = new Set(holidaysAbout(survey.place.nation ?? 'england', today));
  const calendar = icsOf(
    packEntries(number, job, assessment.route.way, rules, days, today, holidays),
    new Date(signedBy.at),
  );
  const bundle = await packBundle(
    { ...label, title: content.title, signedBy: signedBy.name, signedAt: signedBy.at },
    [
      { name: 'calendar.ics', bytes: Buffer.from(calendar) },
      ...packTexts(surveyText, survey, assessment, content, `${number} ${label.job} ${job.place}`).map(
        ({ name, text }) => ({
          name,
          bytes: Buffer.from(text),
        }),
      ),
      ...input.missing.map(({ name, bytes }) => ({ name, bytes: Buffer.from(bytes) })),
    ],
    input.pictures,
    [{ name: `${number}.pdf`, bytes: pdf }],
  );
  return { pdf, bundle };
}
