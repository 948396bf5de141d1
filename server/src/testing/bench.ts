import type { Survey } from '@keen-gauge/core/survey/survey';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { Client, Pool } from 'pg';
import type { Logger } from 'pino';
import request, { type Agent } from 'supertest';
import { openPool } from '../db/pool';
import { prepareDatabase } from '../db/prepare';
import { makeFirm } from '../demo/load';
import type { DemoPerson } from '../demo/people';
import { closeThreads } from '../heavy/threads';
import { makeApp } from '../http/app';
import type { Mailer } from '../mail/mailer';
import type { OperatorAddresses } from '../operator/addresses';
import { openLog } from '../signals/log';
import { openMetrics } from '../signals/metrics';
import { taskHandlers } from '../tasks/handlers';
import { TASK_KINDS, type TaskKind } from '../tasks/queue';
import { startWorkers, workOnce } from '../tasks/worker';

/** A whole application on a database of its own, with two firms that must never see each other. */
export interface TestBench {
  readonly owner: Pool;
  readonly app: Pool;
  readonly firms: readonly { readonly firmId: string; readonly personIds: readonly string[] }[];
  /** A browser’s worth of cookies, signed in as that person. */
  readonly as: (email: string) => Promise<Agent>;
  readonly anyone: () => Agent;
  readonly log: Logger;
  /** Does one task of these kinds that is due, or of any; false where none is. */
  readonly workOn: (...kinds: TaskKind[]) => Promise<boolean>;
  /** What was logged, as text. */
  readonly logged: () => string;
  readonly close: () => Promise<void>;
}

export const PASSWORD = 'a long test password';

const person = (email: string, maySignOff: boolean, role: DemoPerson['role'] = 'surveyor'): DemoPerson => ({
  email,
  name: email.split('@')[0] ?? email,
  role,
  maySignOff,
  registration: 'T-1',
});

/** Tasks are worked through as in a real instance, unless they are to be done by hand. */
export async function testBench(
  operators?: OperatorAddresses,
  tasks: 'worked' | 'by hand' = 'worked',
  mailer?: Mailer,
): Promise<TestBench> {
  const base = process.env['TEST_DATABASE_URL'];
  if (!base) throw new Error('TEST_DATABASE_URL is not set; run through Jest’s own configuration.');
  const name = `t_${randomUUID().replaceAll('-', '')}`;
  const admin = new Client({ connectionString: base });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.end();
  const url = new URL(base);
  url.pathname = `/${name}`;
  const appUrl = await prepareDatabase(url.toString(), join(__dirname, '../db/migrations'));
  const lines: string[] = [];
  const log = openLog('trace', { write: (line: string) => lines.push(line) });
  const [owner, app] = [new Pool({ connectionString: url.toString() }), openPool(appUrl, log)];
  const rules = { rulesId: 'gb-default' };
  const firms = [
    await makeFirm(
      owner,
      { name: 'Firm A', ...rules },
      [
        person('anna@a.example', true, 'supervisor'),
        person('alan@a.example', false),
        person('olga@a.example', false, 'office'),
      ],
      PASSWORD,
    ),
    await makeFirm(owner, { name: 'Firm B', ...rules }, [person('bea@b.example', true, 'supervisor')], PASSWORD),
  ];
  const metrics = openMetrics(app);
  const server = makeApp({
    pool: app,
    sessionSecret: 'test',
    log,
    metrics,
    trustedProxies: 1,
    ...(operators ? { operators } : {}),
    ...(mailer ? { mailer } : {}),
  });
  const handlers = taskHandlers(app, operators ?? new Map(), mailer);
  const workers = tasks === 'worked' ? startWorkers(app, log, metrics, handlers) : undefined;
  return {
    owner,
    app,
    firms,
    anyone: () => request.agent(server),
    as: async (email) => {
      const agent = request.agent(server);
      await agent.post('/api/session').send({ email, password: PASSWORD }).expect(200);
      return agent;
    },
    log,
    workOn: (...kinds) => workOnce(app, log, metrics, handlers, kinds.length > 0 ? kinds : TASK_KINDS),
    logged: () => lines.join(''),
    close: async () => {
      await workers?.stop();
      await Promise.all([owner.end(), app.end(), closeThreads()]);
    },
  };
}

export interface MadeJob {
  readonly id: string;
  readonly revisionId: string;
  readonly survey: Survey;
}

/** A new job, as its maker sees it. */
export async function makeJob(agent: Agent): Promise<MadeJob> {
  const id = randomUUID();
  await agent.post('/api/jobs').send({ id, place: '1 Test Lane', wanted: 'A charger' }).expect(201);
  const head = await agent.get(`/api/jobs/${id}/survey`).expect(200);
  const { revisionId, survey } = head.body as { revisionId: string; survey: Survey };
  return { id, revisionId, survey };
}

/** Signs a job off as it stands: every question of safety that is open is answered for by itself, and the rest together. */
export async function signAsItStands(
  agent: Agent,
  jobId: string,
  revisionId: string,
  reason: string,
  more: { readonly supplyId?: string } = {},
) {
  const sign = (body: object) => agent.post(`/api/jobs/${jobId}/packs`).send({ revisionId, ...more, ...body });
  const asked = await sign({});
  if (asked.status !== 422) return asked;
  const { missing } = asked.body as { missing: { key: string; safety: boolean }[] };
  const reasons = missing.filter(({ safety }) => safety).map(({ key }) => ({ key, reason: `${reason} Answered for.` }));
  return sign({ reason, reasons });
}
