import { diff, type Value } from '@keen-gauge/core/record/changes';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { hash } from '@node-rs/argon2';
import type { Pool } from 'pg';
import { randomUUID as newId } from 'node:crypto';
import { inFirm } from '../db/firm-scope';
import { putInstrument } from '../instruments/queries';
import { assignJob, insertJob } from '../jobs/queries';
import { insertEvent } from '../events/queries';
import { addDays, ukDay, weekday, type Day } from '@keen-gauge/core/calendar/days';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { summarise } from '../jobs/summary';
import { makePack } from '../packs/make';
import { signOff } from '../packs/sign-off';
import { headOf } from '../surveys/queries';
import { saveRevision } from '../surveys/save';
import { handInLog } from './logs';
import { sendReplies } from './customer';
import { putProfile, putTerms } from '../firm/queries';
import { putPriceBook, putSchemes } from '../prices/queries';
import { demoBook, DEMO_SCHEMES } from './prices';
import { quote } from './quotation';
import { DEMO_EQUIPMENT } from './equipment';
import { DEMO_INSTRUMENTS } from './instruments';
import type { EventKind } from '@keen-gauge/core/calendar/job-events';
import { DEMO_CONTACT, DEMO_FIRM, DEMO_PASSWORD, DEMO_PEOPLE, type DemoPerson } from './people';
import { handIn } from './pictures';
import type { Scenario } from './scenario';
import { SCENARIOS } from './scenarios';
import { WEEK } from './week';

/** Makes a firm with people, as the database's owner; their ids in the order given. */
export async function makeFirm(
  owner: Pool,
  firm: { name: string; rulesId: string },
  people: readonly DemoPerson[],
  password: string,
): Promise<{ firmId: string; personIds: string[] }> {
  const made = await owner.query<{ id: string }>(
    'INSERT INTO firms (name, rule_pack_id) VALUES ($1, $2) RETURNING id',
    [firm.name, firm.rulesId],
  );
  const firmId = made.rows[0]?.id ?? '';
  const passwordHash = await hash(password);
  const personIds: string[] = [];
  for (const { email, name, role, maySignOff, registration } of people) {
    const person = await owner.query<{ id: string }>(
      `INSERT INTO people (firm_id, email, name, role, may_sign_off, registration, password_hash)
       VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING id`,
      [firmId, email, name, role, maySignOff, registration, passwordHash],
    );
    personIds.push(person.rows[0]?.id ?? '');
  }
  return { firmId, personIds };
}

/** The demo firm with its jobs, unless a firm is there already. Everything goes in the way people would put it in. */
export async function loadDemo(owner: Pool, app: Pool): Promise<void> {
  const firms = await owner.query('SELECT 1 FROM firms LIMIT 1');
  if (firms.rowCount !== 0) return;
  const { firmId, personIds } = await makeFirm(owner, DEMO_FIRM, DEMO_PEOPLE, DEMO_PASSWORD);
  await inFirm(app, { firmId }, async (db) => {
    await putTerms(db, { firmId, personId: personIds[0] ?? '' }, { options: [], bands: [], contact: DEMO_CONTACT });
    for (const profile of DEMO_EQUIPMENT) {
      await putProfile(db, { firmId, personId: personIds[0] ?? '' }, profile.id, profile);
    }
    await putPriceBook(db, { firmId, personId: personIds[0] ?? '' }, demoBook(), 0);
    await putSchemes(db, { firmId, personId: personIds[0] ?? '' }, { schemes: [...DEMO_SCHEMES] });
    for (const instrument of DEMO_INSTRUMENTS)
      await putInstrument(db, { firmId, personId: personIds[0] ?? '' }, { id: newId(), retired: false, ...instrument });
  });
  // Last changed first is how jobs are listed, so the first scenario goes in last.
  for (const scenario of [...SCENARIOS, ...WEEK].reverse()) {
    const id = await loadScenario(app, firmId, personIds, scenario);
    // So that the list has a past; only the owner may write one.
    await owner.query('UPDATE jobs SET changed_at = changed_at - make_interval(days => $2) WHERE id = $1', [
      id,
      scenario.changedDaysAgo ?? 0,
    ]);
  }
}

/** Nobody is booked on a Saturday or Sunday: those are put on the Monday after. */
function dayFor(kind: EventKind, day: Day): Day {
  if (!kind.endsWith('-booked')) return day;
  const on = weekday(day);
  return on === 6 ? addDays(day, 2) : on === 0 ? addDays(day, 1) : day;
}

async function loadScenario(
  app: Pool,
  firmId: string,
  personIds: readonly string[],
  scenario: Scenario,
): Promise<string> {
  const id = newId();
  const askerOf = (index: number): { firmId: string; personId: string } => ({
    firmId,
    personId: personIds[index] ?? '',
  });
  const survey = blankSurvey();
  scenario.known?.(survey);
  const summary = summarise(survey, gbDefault, scenario.place);
  const { place, wanted } = scenario;
  await inFirm(app, { firmId }, (db) =>
    insertJob(db, { ...askerOf(scenario.by), id, place, wanted, survey, revisionId: newId(), summary }),
  );
  for (const { by, change } of scenario.stages)
    await inFirm(app, { firmId }, async (db) => {
      const head = await headOf(db, id);
      if (!head) return;
      const next = structuredClone(head.survey);
      change(next);
      if (scenario.log && scenario.stages.at(-1)?.change === change)
        await handInLog(app, askerOf(scenario.log.by), id, scenario.log, next);
      const changes = diff(head.survey as unknown as Value, next as unknown as Value);
      await saveRevision(db, askerOf(by), id, { id: newId(), parentId: head.revisionId, changes });
    });
  for (const picture of scenario.pictures ?? []) await handIn(app, askerOf(picture.by), id, picture);
  if (scenario.sent) await sendReplies(app, askerOf(scenario.sent.askedBy), id, scenario.sent.replies);
  if (scenario.quoted) await quote(app, askerOf(scenario.quoted.by), id, scenario.quoted, wanted);
  const head = await inFirm(app, { firmId }, (db) => headOf(db, id));
  if (scenario.signedBy !== undefined && head) {
    const pack = await signOff(app, askerOf(scenario.signedBy), id, { revisionId: head.revisionId });
    await makePack(app, firmId, pack.id);
  }
  const today = ukDay(new Date());
  await inFirm(app, { firmId }, async (db) => {
    for (const { kind, inDays, by, details = {} } of scenario.days ?? [])
      await insertEvent(db, askerOf(by), {
        id: newId(),
        jobId: id,
        kind,
        day: dayFor(kind, addDays(today, inDays)),
        details,
      });
    const { assignedTo } = scenario;
    if (assignedTo !== undefined) await assignJob(db, id, assignedTo === null ? null : (personIds[assignedTo] ?? null));
  });
  return id;
}
