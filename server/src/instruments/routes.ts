import { IsBoolean, IsISO8601, IsNotEmpty, IsOptional, IsString, MaxLength } from 'class-validator';
import { Router } from 'express';
import type { Pool } from 'pg';
import { inFirm } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { once } from '../http/once';
import { bodyAs } from '../http/body';
import { mustBeAllowed } from '../people/rights';
import { instrumentsOf, putInstrument } from './queries';

class InstrumentBody {
  @IsString({ message: 'text' })
  @IsNotEmpty({ message: 'what it is' })
  @MaxLength(60, { message: 'at most 60 characters' })
  name: string;
  @IsString({ message: 'text' }) @MaxLength(30, { message: 'at most 30 characters' }) serial: string;
  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'a date, YYYY-MM-DD' })
  @MaxLength(10, { message: 'a date, YYYY-MM-DD' })
  calibrationDue?: string;
  @IsBoolean({ message: 'true or false' }) retired: boolean;
}

/** The firm's instruments: the list, and adding or changing one under an id the client made. */
export function instrumentRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    response.json({ instruments: await inFirm(pool, askerOf(request), instrumentsOf) });
  });

  router.post('/:instrumentId', async (request, response) => {
    const asker = askerOf(request);
    const id = idParameter(request, 'instrumentId', 'instrument');
    const { name, serial, calibrationDue, retired } = bodyAs(InstrumentBody, request.body);
    const answer = await inFirm(pool, asker, async (db) => {
      await mustBeAllowed(db, asker, 'change-equipment');
      return once(db, asker, request, async () => {
        await putInstrument(db, asker, { id, name, serial, calibrationDue: calibrationDue ?? null, retired });
        return { instruments: await instrumentsOf(db) };
      });
    });
    response.status(201).json(answer);
  });

  return router;
}
