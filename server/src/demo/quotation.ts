import { ukDay } from '@keen-gauge/core/calendar/days';
import { diff, type Value } from '@keen-gauge/core/record/changes';
import { AS_RECORDED } from '@keen-gauge/core/quote/compose';
import { randomUUID as newId } from 'node:crypto';
import type { Pool } from 'pg';
import { inFirm, type Actor } from '../db/firm-scope';
import { termsOf } from '../firm/queries';
import { firmRules } from '../firm/rules';
import { priceBookOf, schemesOf } from '../prices/queries';
import {
  addAnswer,
  insertQuotation,
  quotationById,
  quotationNumber,
  setState,
  takeQuotationNumber,
} from '../quotations/queries';
import { quoteOf } from '../quotations/quote-of';
import { headOf } from '../surveys/queries';
import { saveRevision } from '../surveys/save';
import { DEMO_FIRM } from './people';
import type { DemoQuotation } from './scenario';

/** Makes a quotation of a made-up job, sends it to nobody, and has its customer answer; hours of a job that was done are entered. */
export async function quote(
  pool: Pool,
  asker: Actor,
  jobId: string,
  { answer, question, took, cable }: DemoQuotation,
  about: string,
): Promise<void> {
  await inFirm(pool, asker, async (db) => {
    const head = await headOf(db, jobId);
    if (!head) return;
    const { contact } = await termsOf(db);
    const {
      quote: made,
      basis,
      faults,
    } = quoteOf({
      survey: head.survey,
      rules: await firmRules(db),
      book: (await priceBookOf(db)).book,
      schemes: (await schemesOf(db)).schemes,
      offered: [AS_RECORDED],
      date: ukDay(new Date()),
      firm: {
        name: DEMO_FIRM.name,
        address: contact?.address ?? '',
        telephone: contact?.telephone ?? '',
        email: contact?.email ?? '',
      },
      about,
      pictures: [],
    });
    if (faults.length > 0) throw new Error(`${head.place}: ${faults.join(' ')}`);
    const [id, number] = [newId(), await takeQuotationNumber(db, asker.firmId)];
    await insertQuotation(db, asker, {
      id,
      jobId,
      number,
      revision: 1,
      quote: { ...made, number: quotationNumber(number), revision: 1 },
      basis,
      surveySeq: head.seq,
    });
    await setState(db, id, 'sent');
    const stored = await quotationById(db, id);
    const by = {
      quotationId: id,
      name: head.survey.place.customerName ?? 'The customer',
      fingerprint: stored?.fingerprint ?? '',
    };
    if (question !== undefined)
      await addAnswer(db, asker.firmId, { ...by, id: newId(), kind: 'question', choice: null, words: question });
    if (answer !== undefined) {
      const choice = answer === 'accepted' ? AS_RECORDED : null;
      await addAnswer(db, asker.firmId, { ...by, id: newId(), kind: answer, choice, words: null });
      await setState(db, id, answer);
    }
    const estimated = basis.choices[0]?.hours ?? {};
    const hours = Object.entries(took ?? {}).flatMap(([task, share]) => {
      const planned = estimated[task as keyof typeof estimated];
      return planned === undefined ? [] : [{ id: task, hours: Math.round(planned * share * 100) / 100 }];
    });
    if (hours.length === 0) return;
    const used = (basis.choices[0]?.materials ?? []).flatMap(({ id: line, item, quantity }) =>
      cable !== undefined && item?.startsWith('cable-') ? [{ id: line, quantity: Math.round(quantity * cable) }] : [],
    );
    const next = { ...head.survey, fit: { ...head.survey.fit, hours, ...(used.length > 0 ? { used } : {}) } };
    const changes = diff(head.survey as unknown as Value, next as unknown as Value);
    await saveRevision(db, asker, jobId, { id: newId(), parentId: head.revisionId, changes });
  });
}
