/**
 * `npm run faults`: thirty people saving, entering and signing while instances are killed, the database is restarted, stopped and cut off, and its disk is full. Prints what was
 * acknowledged, is there, is there twice, and is lost; the last two are to be nought. `--short` is the form that the tests run.
 */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { ensureBuilt } from './machine/build.mjs';
import { ensureDebian } from './machine/debian.mjs';
import { ensureDependencies } from './machine/dependencies.mjs';
import { prepareDatabase, startServer } from './machine/instance.mjs';
import { killAtMoments } from './machine/moments.mjs';
import { startBench } from './machine/postgres.mjs';
import { ROOT } from './machine/root.mjs';
import { smallPlace } from './machine/small-place.mjs';
import { tellFaults } from './machine/tell-faults.mjs';
import { query } from './machine/sql.mjs';

const SHORT = process.argv.includes('--short');
/** After each fault everybody has to be acknowledged something new within this. */
const PATIENCE_MS = 60_000;

async function main() {
  ensureDebian({ postgres: true, chromium: false });
  ensureDependencies();
  ensureBuilt('server');
  const database = await startBench();
  const small = smallPlace(database.ownedByPostgres);
  try {
    const failed = await withDatabase(database, small);
    process.exitCode = failed ? 1 : 0;
  } finally {
    database.stop();
    small?.close();
  }
}

/** A database of its own in the small place, where there is one. */
async function ownDatabase(database, small) {
  if (small) await query(database.url, `CREATE TABLESPACE small LOCATION '${small.tables}'`);
  await query(database.url, `CREATE DATABASE gauge ${small ? 'TABLESPACE small' : ''}`);
  const url = new URL(database.url);
  url.pathname = '/gauge';
  return url.toString();
}

async function withDatabase(database, small) {
  const ownerUrl = await ownDatabase(database, small);
  const appUrl = prepareDatabase(ownerUrl, { demo: false });
  const ports = [4740, 4750];
  const instances = [];
  try {
    for (const port of ports) instances.push(await startServer(appUrl, port, 'fatal'));
    return await withInstances({ database, small, ownerUrl, appUrl, instances });
  } finally {
    // Whatever happened: what goes on running keeps whoever started this waiting.
    for (const instance of instances) await instance.stop();
  }
}

async function withInstances({ database, small, ownerUrl, appUrl, instances }) {
  const replace = async (at) => {
    await instances[at].stop('SIGKILL');
    instances[at] = await startServer(appUrl, instances[at].port, 'fatal');
  };
  const urls = instances.map(({ url }) => url);
  const load = startLoad(ownerUrl, urls);
  try {
    const { person } = await load.next('started');
    const told = await goThrough(stepsOf({ database, small, ownerUrl, replace }), load);
    load.end();
    const result = await load.next('reckoned');
    const replaceAll = () => Promise.all(instances.map((_each, at) => replace(at)));
    const wrong = await killAtMoments({ urls, ownerUrl, person, replaceAll, short: SHORT });
    return tellFaults({ ...result, broken: [...result.broken, ...wrong] }, told, small !== null);
  } finally {
    load.stop();
  }
}

/** Each fault in turn, with how long everybody waited after it. */
async function goThrough(steps, load) {
  const told = [];
  // Something to lose first.
  await setTimeout(SHORT ? 1500 : 4000);
  for (const { name, fault } of steps) {
    process.stdout.write(`${name} … `);
    const backAt = await fault();
    const waits = await load.allBack(backAt ?? Date.now());
    told.push({ name, ...waits });
    console.log(
      waits.all === null
        ? 'NOT everybody back in a minute'
        : `first save ${waits.first} ms, everybody ${waits.all} ms after`,
    );
  }
  return told;
}

/** What goes wrong, each once everybody has got over the one before. A fault gives the moment at which all is well again. */
function stepsOf({ database, small, ownerUrl, replace }) {
  const times = (count, step) => Array.from({ length: SHORT ? 1 : count }, (_, at) => step(at));
  const wait = (ms) => setTimeout(SHORT ? ms / 4 : ms);
  const cut = () =>
    query(ownerUrl, "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = 'keen_gauge_app'");
  return [
    ...times(5, (at) => ({
      name: `kill -9 of instance ${(at % 2) + 1}`,
      fault: () => replace(at % 2).then(() => Date.now()),
    })),
    ...times(3, () => ({
      name: 'database restarted as after a power cut',
      fault: async () => {
        database.kill();
        database.again();
        return Date.now();
      },
    })),
    {
      name: `database stopped for ${SHORT ? 5 : 20} s`,
      fault: async () => {
        database.kill();
        await wait(20_000);
        database.again();
        return Date.now();
      },
    },
    ...times(3, () => ({ name: 'every connection to the database cut', fault: () => cut().then(() => Date.now()) })),
    ...(small
      ? [
          {
            name: 'disk of the database full',
            fault: async () => {
              small.fill();
              await wait(10_000);
              small.empty();
              return Date.now();
            },
          },
        ]
      : []),
    {
      name: 'both instances killed and the database restarted at one moment',
      fault: async () => {
        database.kill();
        database.again();
        await Promise.all([replace(0), replace(1)]);
        return Date.now();
      },
    },
  ];
}

/** The people, in a process of their own. */
function startLoad(ownerUrl, urls) {
  const child = spawn(process.execPath, [join(ROOT, 'dist/server/faults-load.js')], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    env: { ...process.env, FAULTS_URLS: urls.join(','), FAULTS_OWNER_URL: ownerUrl },
  });
  const ended = new Promise((_resolve, reject) =>
    child.once('exit', (code) => code && reject(new Error('The people at work ended: see above.'))),
  );
  const next = (key) => {
    const heard = new Promise((resolve) => {
      const hear = (message) => {
        if (!(key in message)) return;
        child.off('message', hear);
        resolve(message);
      };
      child.on('message', hear);
    });
    return Promise.race([heard, ended]);
  };
  return {
    next,
    end: () => child.send({ over: true }),
    stop: () => child.kill('SIGKILL'),
    /** How long until the first, and until everybody, was acknowledged something after a moment. */
    allBack: async (since) => {
      let first = null;
      while (Date.now() - since < PATIENCE_MS) {
        const answer = next('back');
        child.send({ since });
        const { back, of } = await answer;
        if (back > 0) first ??= Date.now() - since;
        if (back === of) return { first, all: Date.now() - since };
        await setTimeout(50);
      }
      return { first, all: null };
    },
  };
}

main().catch((error) => {
  console.error(error.message);
  process.exitCode = 1;
});
