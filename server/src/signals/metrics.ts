import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import { createServer, type Server } from 'node:http';
import type { Pool } from 'pg';

/** A figure with what it is of. */
export interface Reading {
  readonly labels: Readonly<Record<string, string>>;
  readonly value: number;
}

/** What an instance counts of itself. */
export interface Metrics {
  readonly request: (method: string, route: string, status: number, seconds: number) => void;
  readonly signIn: (outcome: 'right' | 'wrong' | 'stopped') => void;
  readonly task: (kind: string, outcome: 'done' | 'again' | 'failed', seconds: number) => void;
  readonly browserReport: () => void;
  /** Has a figure read whenever the counts are. */
  readonly gauge: (name: string, help: string, labels: readonly string[], read: () => Promise<Reading[]>) => void;
  /** Everything counted, in the text format that collectors read. */
  readonly text: () => Promise<string>;
  readonly contentType: string;
}

/** Counts of one instance; `pool` adds how its connections are used. */
export function openMetrics(pool?: Pool): Metrics {
  const registry = new Registry();
  const of = { registers: [registry] };
  const requests = new Histogram({
    ...of,
    name: 'keen_gauge_request_seconds',
    help: 'Requests by route and status: how many, and how long they took',
    labelNames: ['method', 'route', 'status'],
    buckets: [0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
  });
  const signIns = new Counter({
    ...of,
    name: 'keen_gauge_sign_ins_total',
    help: 'Tries to sign in',
    labelNames: ['outcome'],
  });
  const tasks = new Histogram({
    ...of,
    name: 'keen_gauge_task_seconds',
    help: 'Background tasks by kind and what came of them',
    labelNames: ['kind', 'outcome'],
    buckets: [0.05, 0.25, 1, 5, 30],
  });
  const reports = new Counter({ ...of, name: 'keen_gauge_browser_reports_total', help: 'Failures told by browsers' });
  if (pool)
    new Gauge({
      ...of,
      name: 'keen_gauge_database_connections',
      help: 'Connections to the database, and requests waiting for one',
      labelNames: ['state'],
      collect() {
        this.set({ state: 'open' }, pool.totalCount);
        this.set({ state: 'idle' }, pool.idleCount);
        this.set({ state: 'waited-for' }, pool.waitingCount);
      },
    });
  return {
    request: (method, route, status, seconds) => {
      requests.observe({ method, route, status: String(status) }, seconds);
    },
    signIn: (outcome) => {
      signIns.inc({ outcome });
    },
    task: (kind, outcome, seconds) => {
      tasks.observe({ kind, outcome }, seconds);
    },
    browserReport: () => {
      reports.inc();
    },
    gauge: (name, help, labelNames, read) => {
      new Gauge({
        ...of,
        name,
        help,
        labelNames: [...labelNames],
        async collect() {
          this.reset();
          for (const { labels, value } of await read().catch(() => [])) this.set(labels, value);
        },
      });
    },
    text: () => {
      if (!registry.getSingleMetric('process_cpu_seconds_total')) collectDefaultMetrics({ register: registry });
      return registry.metrics();
    },
    contentType: registry.contentType,
  };
}

/** Serves the counts on a port of their own, which is not for the world. */
export function serveMetrics(metrics: Metrics, port: number, host: string): Server {
  return createServer((request, response) => {
    if (request.url !== '/metrics') {
      response.writeHead(404).end();
      return;
    }
    metrics.text().then(
      (text) => response.writeHead(200, { 'Content-Type': metrics.contentType }).end(text),
      () => response.writeHead(500).end(),
    );
  }).listen(port, host);
}

/** How many tasks wait and are stuck, over all firms. */
export function countTasks(metrics: Metrics, pool: Pool): void {
  metrics.gauge('keen_gauge_tasks', 'Background tasks that wait and that are stuck', ['kind', 'state'], async () => {
    const found = await pool.query<{ kind: string; waiting: string; stuck: string }>(
      'SELECT kind, waiting, stuck FROM task_counts()',
    );
    return found.rows.flatMap(({ kind, waiting, stuck }) => [
      { labels: { kind, state: 'waiting' }, value: Number(waiting) },
      { labels: { kind, state: 'stuck' }, value: Number(stuck) },
    ]);
  });
}
