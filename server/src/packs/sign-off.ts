import { assess } from '@keen-gauge/core/assess';
import type { Assessment } from '@keen-gauge/core/assessment';
import { daysOf } from '@keen-gauge/core/calendar/job-events';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { isSigned, type Signature } from '@keen-gauge/core/pack/signature';
import { composePack, type AnswerFor, type SignedBy } from '@keen-gauge/core/pack/compose';
import { sealedText, withoutPhotos } from '@keen-gauge/core/pack/sealed-text';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { missingItems, type Missing } from '@keen-gauge/core/pack/missing';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { supplyDevices } from '@keen-gauge/core/site/supplies';
import { surveyOfSupply } from '@keen-gauge/core/site/supply-survey';
import { nodeName } from '@keen-gauge/core/survey/words/words';
import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { readSurvey } from '@keen-gauge/core/survey/opening/read';
import { createHash, randomUUID as newId } from 'node:crypto';
import type { Pool, PoolClient } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Actor } from '../db/firm-scope';
import { eventsOf } from '../events/queries';
import { firmRules } from '../firm/rules';
import { notFound, Problem, takenId } from '../http/problem';
import { packNumber } from '../jobs/numbers';
import { jobById } from '../jobs/queries';
import { mustBeAllowed } from '../people/rights';
import { headOf } from '../surveys/queries';
import { askFor } from '../tasks/queue';
import { insertPack, packById, packContent, packsOf, takePackNumber, type PackRow } from './queries';

export interface SignOff {
  /** Made by whoever asks, so that the request sent twice makes one pack. */
  readonly id?: string;
  readonly revisionId: string;
  /** Of one supply of the building only: the node of its own fuse. */
  readonly supplyId?: string;
  readonly reason?: string;
  /** Why each thing that touches safety is answered for, by the key it is missing under. */
  readonly reasons?: readonly { readonly key: string; readonly reason: string }[];
  readonly signature?: Signature;
  /** Where it was signed on a device without a connection: when by its clock, the SHA-256 of its sealed text, and the photographs that followed. */
  readonly signedThere?: { readonly at: string; readonly fingerprint: string; readonly photos?: readonly string[] };
}

/**
 * Fixes a job's survey as a numbered pack, in one short transaction: survey, assessment, content and number. Its document and archive are made afterwards, by a task that
 * is asked for in the same transaction. Refused when the person may not sign, when the survey has moved on since they looked at it, or when something is missing and
 * they have not said why they sign all the same. Asked twice under one id it answers the same.
 */
export async function signOff(pool: Pool, asker: Actor, jobId: string, request: SignOff): Promise<PackRow> {
  return inFirm(pool, asker, async (db) => {
    const head = await headOf(db, jobId, true);
    const job = await jobById(db, jobId);
    if (!head || !job) throw notFound('job');
    const id = request.id ?? newId();
    const already = await signedUnder(db, jobId, id, request.revisionId);
    if (already) return already;
    const me = await mustBeAllowed(db, asker, 'sign-off');
    if (request.signature && !isSigned(request.signature, me.name))
      throw new Problem(422, 'Not signed', `Type your own name, ${me.name}, or draw your signature.`);
    if (head.revisionId !== request.revisionId)
      throw new Problem(409, 'Changed since you looked', 'The survey has changed. Look it over again, then sign.');
    const read = readSurvey(head.survey);
    if ('faults' in read) throw new Error('The stored survey could not be read.');
    if (request.signedThere && !isWhatWasSigned(read.survey, request.signedThere))
      throw new Problem(
        409,
        'Changed since you signed',
        'The survey has changed since you signed it without a connection. Look it over, then sign again.',
      );

    const supply = request.supplyId === undefined ? null : supplyNamed(read.survey, request.supplyId);
    const firm = await firmRules(db);
    const whole = (): Assessment => assess(read.survey, rulesFor(read.survey.place.meterPointNumber, firm));
    const survey = supply ? surveyOfSupply(read.survey, supply.id, whole()) : read.survey;
    const rules = rulesFor(survey.place.meterPointNumber, firm);
    const days = daysOf(await eventsOf(db, jobId));
    const { commissionedOn } = days;
    const assessment = assess(survey, rules);
    const { reason, answers } = answeredFor(missingItems(assessment), request);
    const signedBy: SignedBy = {
      firm: me.firm,
      name: me.name,
      registration: me.registration,
      at: new Date().toISOString(),
      ...(firm.terms.contact ? { contact: firm.terms.contact } : {}),
      ...(commissionedOn === undefined ? {} : { commissionedOn }),
      ...(reason ? { reason } : {}),
      ...(answers.length > 0 ? { answers } : {}),
      ...(request.signature ? { signature: request.signature } : {}),
      ...(request.signedThere ? { onDeviceAt: request.signedThere.at } : {}),
    };
    const before = (await packsOf(db, jobId)).find(({ supplyId }) => supplyId === (supply?.id ?? null));
    const said = before && (await packContent(db, before.id));
    const content = composePack(
      survey,
      assessment,
      rules,
      signedBy,
      before && said ? { number: packNumber(before.number), sections: said.sections } : undefined,
    );
    const surveyText = `${JSON.stringify(survey, null, 2)}\n`;
    const fingerprint = sha256(surveyText);
    // The firm's count last: whoever else signs waits for no more than what follows.
    const number = await takePackNumber(db, asker.firmId);
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
      making: {
        signedBy,
        rules,
        job: { id: jobId, number: job.number, place: job.place },
        days,
        today: ukDay(new Date()),
      },
      fingerprint,
      signedAt: signedBy.at,
      reason: reason ?? null,
      supply,
    });
    await askFor(db, asker, 'make-pack', id);
    await audit(db, asker, jobId, 'signed-off', {
      pack: packNumber(number),
      fingerprint,
      revision: head.seq,
      ...(supply ? { supply: supply.name } : {}),
      ...(request.signature ? { signature: request.signature.kind } : {}),
      ...(request.signedThere ? { signedWithoutConnection: request.signedThere.at } : {}),
      ...(reason ? { reason } : {}),
      ...(answers.length > 0 ? { answeredFor: answers } : {}),
    });
    const stored = await packById(db, id);
    if (!stored) throw notFound('pack');
    return stored;
  });
}

/** The supply of a building with this node for its fuse; refused where there is none. */
function supplyNamed(survey: Survey, id: string): { readonly id: string; readonly name: string } {
  const found = supplyDevices(supplyTree(survey)).find(({ node }) => node.id === id);
  if (!found) throw new Problem(422, 'No such supply', 'There is no supply with its own fuse and meter at that part.');
  return { id, name: nodeName(found.node) };
}

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** Whether the survey is the one that was signed on a device, but for photographs that were waiting there. */
function isWhatWasSigned(survey: Survey, { fingerprint, photos = [] }: NonNullable<SignOff['signedThere']>): boolean {
  return sha256(sealedText(withoutPhotos(survey, photos)) ?? '') === fingerprint;
}

/** The pack that was signed under this id before, where the same is asked again; refused where something else was. */
async function signedUnder(
  db: PoolClient,
  jobId: string,
  id: string,
  revisionId: string,
): Promise<PackRow | undefined> {
  const found = await db.query<{ same: boolean }>(
    'SELECT job_id = $2 AND revision_id = $3 AS same FROM packs WHERE id = $1',
    [id, jobId, revisionId],
  );
  if (!found.rows[0]) return undefined;
  if (!found.rows[0].same) throw takenId();
  return packById(db, id);
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
