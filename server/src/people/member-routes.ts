import { RequiredOneOf, RequiredText, Text, YesNo } from '@keen-gauge/core/survey/fields';
import { IsEmail, MaxLength } from 'class-validator';
import { randomUUID } from 'node:crypto';
import { Router, type Request } from 'express';
import { DatabaseError, type Pool, type PoolClient } from 'pg';
import { audit } from '../audit/queries';
import { inFirm, type Asker } from '../db/firm-scope';
import { askerOf, idParameter } from '../http/asker';
import { bodyAs } from '../http/body';
import { notFound, Problem } from '../http/problem';
import type { Mailer } from '../mail/mailer';
import { queueMail } from '../mail/queries';
import { invitationWords, recoveryWords } from '../mail/words';
import { drawToken, insertInvitation, insertRecovery, openInvitations, openLink, revokeLink } from './access-links';
import { changePerson, membersOf, personById, setEnded, type Changed, type Person } from './queries';
import { mustBeAllowed } from './rights';

const ROLES: readonly Person['role'][] = ['surveyor', 'office', 'supervisor'];

class MemberBody {
  @RequiredText(100, 'a name') name: string;
  @RequiredOneOf(ROLES) role: Person['role'];
  @YesNo() maySignOff?: boolean;
  @Text(60) registration?: string;
}

class InvitationBody extends MemberBody {
  @IsEmail({}, { message: 'an e-mail address' }) @MaxLength(200, { message: 'at most 200 characters' }) email: string;
  /** Whether the link goes by mail; it is handed over otherwise. */
  @YesNo() mail?: boolean;
}

class LinkBody {
  @YesNo() mail?: boolean;
}

/** The people of the firm and who is invited, for its supervisors. */
export function memberRoutes(pool: Pool, mailer: Mailer | undefined): Router {
  const router = Router();

  /** In the name of a supervisor; answers with everybody as they are then, and with a link where one was made to be handed over. */
  const bySupervisor = async (
    request: Request,
    work: (db: PoolClient, asker: Asker, me: Person) => Promise<string | undefined>,
  ): Promise<object> => {
    const asker = askerOf(request);
    try {
      return await inFirm(pool, asker, async (db) => {
        const me = await mustBeAllowed(db, asker, 'manage-people');
        const token = await work(db, asker, me);
        return {
          people: await membersOf(db),
          invitations: await openInvitations(db),
          mails: mailer !== undefined,
          ...(token === undefined ? {} : { token }),
        };
      });
    } catch (error) {
      if (error instanceof DatabaseError && error.code === 'KG001')
        throw new Problem(409, 'The last supervisor', 'The firm needs a supervisor. Make somebody else one first.');
      throw error;
    }
  };

  /** A link by mail, or what stands in it. */
  const given = async (
    db: PoolClient,
    { firmId, personId }: Asker,
    linkId: string,
    mail: { readonly to: string; readonly subject: string; readonly body: string } | null,
    kind: 'invitation' | 'recovery',
  ): Promise<string | undefined> => {
    if (!mail) return drawToken(db, linkId);
    if (!mailer) throw new Problem(409, 'No mail here', 'This server sends no mail. Hand the link over yourself.');
    await queueMail(db, firmId, { id: randomUUID(), kind, linkId, madeBy: personId, ...mail });
    return undefined;
  };

  router.get('/', async (request, response) => {
    response.json(await bySupervisor(request, () => Promise.resolve(undefined)));
  });

  router.post('/invitations', async (request, response) => {
    const answer = await bySupervisor(request, async (db, asker, me) => {
      const {
        name,
        email,
        role,
        maySignOff = false,
        registration = '',
        mail = false,
      } = bodyAs(InvitationBody, request.body);
      const invited = { email: email.trim().toLowerCase(), name: name.trim(), role, maySignOff, registration };
      if ((await membersOf(db)).some((each) => each.email === invited.email))
        throw new Problem(
          409,
          'Already here',
          'Somebody of the firm has this e-mail address. Take them back, or change what they may do.',
        );
      const linkId = await insertInvitation(db, asker.firmId, asker.personId, invited);
      await audit(db, asker, null, 'person-invited', { name: invited.name, role });
      const words = invitationWords(me.firm, invited.name, me.name);
      return given(db, asker, linkId, mail ? { to: invited.email, ...words } : null, 'invitation');
    });
    response.status(201).json(answer);
  });

  /** The link of an invitation anew, to be handed over: one made before opens nothing any more. */
  router.post('/invitations/:linkId', async (request, response) => {
    const answer = await bySupervisor(request, async (db) => {
      const link = await openLink(db, idParameter(request, 'linkId', 'invitation'));
      if (link?.kind !== 'invitation') throw notFound('invitation');
      return drawToken(db, link.id);
    });
    response.json(answer);
  });

  router.delete('/invitations/:linkId', async (request, response) => {
    const answer = await bySupervisor(request, async (db, asker) => {
      if (!(await revokeLink(db, idParameter(request, 'linkId', 'invitation')))) throw notFound('invitation');
      await audit(db, asker, null, 'invitation-revoked');
      return undefined;
    });
    response.json(answer);
  });

  router.post('/:personId', async (request, response) => {
    const answer = await bySupervisor(request, async (db, asker) => {
      const person = await memberOf(db, request);
      const { name, role, maySignOff = false, registration = '' } = bodyAs(MemberBody, request.body);
      const to: Changed = { name: name.trim(), role, maySignOff, registration: registration.trim() };
      await changePerson(db, person.id, to);
      const was = Object.entries(to).filter(([key, value]) => person[key as keyof Changed] !== value);
      if (was.length > 0)
        await audit(db, asker, null, 'person-changed', {
          who: person.name,
          ...Object.fromEntries(was.map(([key, value]) => [key, { was: person[key as keyof Changed], is: value }])),
        });
      return undefined;
    });
    response.json(answer);
  });

  for (const [path, ended] of [
    ['end', true],
    ['return', false],
  ] as const)
    router.post(`/:personId/${path}`, async (request, response) => {
      const answer = await bySupervisor(request, async (db, asker) => {
        const person = await memberOf(db, request);
        if (await setEnded(db, person.id, ended))
          await audit(db, asker, null, ended ? 'person-ended' : 'person-returned', { name: person.name });
        return undefined;
      });
      response.json(answer);
    });

  /** A link to a new password. The old one goes on until it is used. */
  router.post('/:personId/link', async (request, response) => {
    const answer = await bySupervisor(request, async (db, asker) => {
      const person = await memberOf(db, request);
      const { mail = false } = bodyAs(LinkBody, request.body);
      const linkId = await insertRecovery(db, asker.firmId, asker.personId, person);
      await audit(db, asker, null, 'access-link-made', { name: person.name });
      return given(db, asker, linkId, mail ? { to: person.email, ...recoveryWords(person.name) } : null, 'recovery');
    });
    response.status(201).json(answer);
  });

  return router;
}

async function memberOf(db: PoolClient, request: Request): Promise<Person> {
  const person = await personById(db, idParameter(request, 'personId', 'person'));
  if (!person) throw notFound('person');
  return person;
}
