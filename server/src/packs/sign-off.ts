import { assess } from '@keen-gauge/core/assess';
import { packEntries } from '@keen-gauge/core/calendar/ics-events';
import { daysOf } from '@keen-gauge/core/calendar/job-events';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { isSigned, type Signature } from '@keen-gauge/core/pack/signature';
import { composePack, type AnswerFor, type SignedBy } from '@keen-gauge/core/pack/compose';
import { packTexts } from '@keen-gauge/core/pack/files';
import { missingItems, type Missing } from '@keen-gauge/core/pack/missing';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { readSurvey } from '@keen-gauge/core/survey/read';
import { createHash, randomUUID as newId } from 'node:crypto';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { notFound, Problem } from '../http/problem';
import { jobNumber, packNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { holidaysAbout } from '../calendar/holidays';
import { icsOf } from '../calendar/ics';
import { eventsOf } from '../events/queries';
import { firmRules } from '../firm/rules';
import { personById } from '../people/queries';
import { packPictures } from '../photos/packed';
import { printedPictures } from '../photos/printed';
import { headOf } from '../surveys/queries';
import { packBundle } from './bundle';
import { packPdf } from './pdf/document';
import { insertPack, packById, packContent, packsOf, takePackNumber, type PackRow } from './queries';

export interface SignOff {
  readonly revisionId: string;
  readonly reason?: string;
  /** Why each thing that touches safety is answered for, by the key it is missing under. */
  readonly reasons?: readonly { readonly key: string; readonly reason: string }[];
  readonly signature?: Signature;
}

/**
 * Freezes a job's survey as a numbered pack. Refused when the person may not sign, when the survey has moved on since
 * they looked at it, or when something is missing and they have not said why they sign all the same.
 */
export async function signOff(pool: Pool, asker: Asker, jobId: string, request: SignOff): Promise<PackRow> {
  return inFirm(pool, asker, async (db) => {
    const [me, head, job] = [
      await personById(db, asker.personId),
      await headOf(db, jobId, true),
      await jobById(db, jobId),
    ];
    if (!me || !head || !job) throw notFound('job');
    if (!me.maySignOff)
      throw new Problem(403, 'Not yours to sign', 'Ask someone in the firm who may sign surveys off.');
    if (request.signature && !isSigned(request.signature, me.name))
      throw new Problem(422, 'Not signed', `Type your own name, ${me.name}, or draw your signature.`);
    if (head.revisionId !== request.revisionId)
      throw new Problem(409, 'Changed since you looked', 'The survey has changed. Look it over again, then sign.');
    const reading = readSurvey(head.survey);
    if ('faults' in reading) throw new Problem(500, 'Not readable', 'The stored survey could not be read.', reading);

    const rules = await firmRules(db);
    const pack = rulesFor(reading.survey.place.meterPointNumber, rules);
    const days = daysOf(await eventsOf(db, jobId));
    const { commissionedOn } = days;
    const assessment = assess(reading.survey, pack);
    const { reason, answers } = answeredFor(missingItems(assessment), request);
    const signedBy: SignedBy = {
      firm: me.firm,
      name: me.name,
      registration: me.registration,
      at: new Date().toISOString(),
      ...(rules.terms.contact ? { contact: rules.terms.contact } : {}),
      ...(commissionedOn === undefined ? {} : { commissionedOn }),
      ...(reason ? { reason } : {}),
      ...(answers.length > 0 ? { answers } : {}),
      ...(request.signature ? { signature: request.signature } : {}),
    };
    const [before] = await packsOf(db, jobId);
    const said = before && (await packContent(db, before.id));
    const content = composePack(
      reading.survey,
      assessment,
      pack,
      signedBy,
      before && said ? { number: packNumber(before.number), sections: said.sections } : undefined,
    );
    const surveyText = `${JSON.stringify(reading.survey, null, 2)}\n`;
    const fingerprint = createHash('sha256').update(surveyText).digest('hex');
    const number = await takePackNumber(db, asker.firmId);
    const label = { number: packNumber(number), job: jobNumber(job.number), fingerprint };
    const id = newId();
    const { way: route } = assessment.route;
    const holidays = new Set(holidaysAbout(reading.survey.place.nation ?? 'england', ukDay(new Date())));
    const signed = `${packNumber(number)} ${jobNumber(job.number)} ${job.place}`;
    const pdf = await packPdf(content, signedBy, label, await printedPictures(db, asker.firmId, content.photos));
    const photographs = await packPictures(db, reading.survey.photos);
    const bundle = await packBundle(
      { ...label, title: content.title, signedBy: signedBy.name, signedAt: signedBy.at },
      [
        { name: `${label.number}.pdf`, bytes: pdf },
        {
          name: 'calendar.ics',
          bytes: Buffer.from(icsOf(packEntries(label.number, job, route, pack, days, ukDay(new Date()), holidays))),
        },
        ...packTexts(surveyText, reading.survey, assessment, content, signed).map(({ name, text }) => ({
          name,
          bytes: Buffer.from(text),
        })),
        ...photographs.missing,
      ],
      photographs.pictures,
    );
    await insertPack(db, asker, {
      id,
      jobId,
      number,
      revisionId: head.revisionId,
      revisionSeq: head.seq,
      route: assessment.route.way,
      surveyText,
      assessment,
      content,
      pdf,
      bundle,
      pictures: photographs.pictures.map(({ name, key }) => ({ name, key })),
      fingerprint,
      signedAt: signedBy.at,
      reason: reason ?? null,
    });
    await audit(db, asker, jobId, 'signed-off', {
      pack: label.number,
      fingerprint,
      revision: head.seq,
      ...(request.signature ? { signature: request.signature.kind } : {}),
      ...(reason ? { reason } : {}),
      ...(answers.length > 0 ? { answeredFor: answers } : {}),
    });
    const stored = await packById(db, id);
    if (!stored) throw notFound('pack');
    return stored;
  });
}

/** Shorter than this says nothing of why. */
const LEAST_REASON = 10;

/**
 * The reasons a pack is signed for although something is missing: one for all of it, and for each thing that touches safety one of its own.
 * Refused while any is not given.
 */
function answeredFor(
  missing: readonly Missing[],
  request: Pick<SignOff, 'reason' | 'reasons'>,
): { readonly reason: string | undefined; readonly answers: readonly AnswerFor[] } {
  // A reason is for what is missing; where nothing is, there is nothing to give a reason for.
  if (missing.length === 0) return { reason: undefined, answers: [] };
  const given = new Map(request.reasons?.map(({ key, reason }) => [key, reason.trim()]));
  const safety = missing.filter((item) => item.safety);
  const unanswered = safety.filter(({ key }) => (given.get(key)?.length ?? 0) < LEAST_REASON);
  if (unanswered.length > 0)
    throw new Problem(
      422,
      'Safety is not settled',
      'Settle what touches safety, or give each a reason of its own: whoever signs answers for it.',
      {
        missing,
        faults: unanswered.map(({ key, text }) => ({
          path: '$.reasons',
          wrong: `has no reason for “${key}”: ${text}`,
          expected: `why it is signed all the same, in ${LEAST_REASON} letters or more`,
        })),
      },
    );
  const others = missing.length > safety.length;
  const reason = request.reason?.trim() === '' ? undefined : request.reason?.trim();
  if (others && !reason)
    throw new Problem(422, 'Something is missing', 'Say why it is signed all the same, or fill in what is missing.', {
      missing,
      faults: [{ path: '$.reason', wrong: 'is missing', expected: 'why it is signed with items missing' }],
    });
  return { reason, answers: safety.map(({ key, text }) => ({ text, reason: given.get(key) ?? '' })) };
}
