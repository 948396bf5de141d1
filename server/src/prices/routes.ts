import { bookFaults } from '@keen-gauge/core/price/book-faults';
import { PriceBook } from '@keen-gauge/core/price/price-book';
import { withoutMoney } from '@keen-gauge/core/price/stored-book';
import { Schemes } from '@keen-gauge/core/schemes/scheme';
import { Router } from 'express';
import type { Pool } from 'pg';
import { audit } from '../audit/queries';
import { inFirm } from '../db/firm-scope';
import { askerOf } from '../http/asker';
import { bodyAs, bodyObject } from '../http/body';
import { once } from '../http/once';
import { invalid, Problem } from '../http/problem';
import { mustBeAllowed } from '../people/rights';
import { priceBookOf, putPriceBook, putSchemes, schemesOf } from './queries';
import { bookToSee, seesPrices } from './seeing';

/** A firm’s prices and schemes of money help. Whoever prices are kept from gets the list without them. */
export function priceRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/prices', async (request, response) => {
    const asker = askerOf(request);
    const shown = await inFirm(pool, asker, async (db) => {
      const stored = await priceBookOf(db);
      return (await seesPrices(db, asker, stored))
        ? { ...stored, hidden: false }
        : { version: stored.version, book: withoutMoney(stored.book), hidden: true };
    });
    response.json(shown);
  });

  router.post('/prices', async (request, response) => {
    const asker = askerOf(request);
    const { version, ...rest } = bodyObject(request.body);
    const book = bodyAs(PriceBook, rest['book']);
    const from = typeof version === 'number' && Number.isInteger(version) && version >= 0 ? version : null;
    if (from === null) throw invalid([{ path: '$.version', wrong: 'is no version', expected: 'a whole number' }]);
    const faults = bookFaults(book);
    if (faults.length > 0) throw invalid(faults);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-terms');
      const stored = await bookToSee(db, asker);
      return once(db, asker, request, async () => {
        // Who may see prices is the supervisors’ to say.
        if (JSON.stringify(book.terms.hiddenFrom ?? []) !== JSON.stringify(stored.book.terms.hiddenFrom ?? []))
          await mustBeAllowed(db, asker, 'change-rules');
        if (!(await putPriceBook(db, asker, book, from)))
          throw new Problem(
            409,
            'Changed meanwhile',
            'Somebody else has saved the prices. Yours are still here: look at theirs first.',
          );
        await audit(db, asker, null, 'prices-changed', { items: book.items.length, version: from + 1 });
        return { book, version: from + 1, hidden: false };
      });
    });
    response.status(201).json(answer);
  });

  router.get('/schemes', async (request, response) => {
    response.json(await inFirm(pool, askerOf(request), schemesOf));
  });

  router.post('/schemes', async (request, response) => {
    const asker = askerOf(request);
    const schemes = bodyAs(Schemes, request.body);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-terms');
      return once(db, asker, request, async () => {
        await putSchemes(db, asker, schemes);
        await audit(db, asker, null, 'schemes-changed', { schemes: schemes.schemes.length });
        return schemes;
      });
    });
    response.status(201).json(answer);
  });

  return router;
}
