import type { FinishedJob } from '@keen-gauge/core/learning/rates';
import { usedByItem, type MaterialsUsed } from '@keen-gauge/core/learning/materials';
import type { EndedQuote } from '@keen-gauge/core/learning/wins';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import type { QuoteBasis } from '@keen-gauge/core/quote/quote';
import { STARTER_TERMS } from '@keen-gauge/core/price/starter';
import { KIND_NAMES, type ProposalKind } from '@keen-gauge/core/survey/words/kinds';
import type { MaterialUsed, TaskHours } from '@keen-gauge/core/survey/fit';
import type { PoolClient } from 'pg';

interface Row {
  readonly jobId: string;
  readonly state: string;
  readonly validUntil: string;
  readonly basis: QuoteBasis;
  readonly choice: string | null;
  readonly hours: readonly TaskHours[] | null;
  readonly used: readonly MaterialUsed[] | null;
  readonly kind: ProposalKind | null;
}

/** Every quotation’s newest revision, with what was accepted of it and what the job took. */
async function endedQuotes(db: PoolClient): Promise<Row[]> {
  const found = await db.query<Row>(
    `SELECT DISTINCT ON (q.number) q.job_id AS "jobId", q.state, q.valid_until::text AS "validUntil", q.basis,
            a.choice, j.survey #> '{fit,hours}' AS hours, j.survey #> '{fit,used}' AS used, j.survey #>> '{proposals,0,kind}' AS kind
       FROM quotations q JOIN jobs j ON j.id = q.job_id
       LEFT JOIN quotation_answers a ON a.quotation_id = q.id AND a.kind = 'accepted'
      WHERE q.state <> 'withdrawn'
      -- An accepted one counts, whatever was written after it.
      ORDER BY q.number, (q.state = 'accepted') DESC, q.revision DESC`,
  );
  return found.rows;
}

/** What there is to learn from: finished jobs with hours estimated and worked, materials planned and used, and quotations as they ended. */
export async function lessonsOf(
  db: PoolClient,
  book: PriceBook,
  today: string,
): Promise<{ readonly jobs: FinishedJob[]; readonly materials: MaterialsUsed[]; readonly quotes: EndedQuote[] }> {
  const rows = await endedQuotes(db);
  const hourCost = book.terms.hourCostPence ?? STARTER_TERMS.hourCostPence;
  const jobs: FinishedJob[] = [];
  const materials: MaterialsUsed[] = [];
  const quotes = rows.map(({ jobId, state, validUntil, basis, choice, hours, used, kind }): EndedQuote => {
    const chosen = basis.choices.find(({ id }) => id === choice) ?? basis.choices[0];
    const worked = Object.fromEntries(
      (hours ?? []).flatMap((each) => (each.hours === undefined ? [] : [[each.id, each.hours]])),
    );
    if (state === 'accepted' && chosen && Object.keys(worked).length > 0)
      jobs.push({ jobId, estimated: chosen.hours, rates: chosen.rates, worked });
    if (state === 'accepted' && chosen && used !== null) materials.push(usedByItem(chosen.materials, used));
    const estimated = Object.values(chosen?.hours ?? {}).reduce((sum, each) => sum + each, 0);
    const took = Object.values(worked).reduce((sum, each) => sum + each, 0);
    return {
      kind: kind === null ? 'Other' : KIND_NAMES[kind],
      state: state === 'accepted' || state === 'declined' ? state : validUntil < today ? 'expired' : 'open',
      netPence: chosen?.netPence ?? 0,
      costPence: chosen?.costPence ?? 0,
      workedCostPence:
        state === 'accepted' && took > 0 ? Math.round((chosen?.costPence ?? 0) + (took - estimated) * hourCost) : null,
    };
  });
  return { jobs, materials, quotes };
}
