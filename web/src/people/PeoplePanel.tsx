import { UserPlus } from 'lucide-react';
import { useState } from 'react';
import type { Me } from '../api/me';
import {
  invite,
  linkAddress,
  redrawInvitation,
  revokeInvitation,
  useTeam,
  type Changed,
  type Invitation,
} from '../api/members';
import { Waiting } from '../app/Waiting';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { LinkToHandOver } from '../kit/LinkToHandOver';
import { MemberForm } from './MemberForm';
import { MemberRow } from './MemberRow';
import type { Act } from './act';
import { ROLE_WORDS } from './role-words';
import { useSubmit } from '../api/use-submit';

/** A link just made, and whose it is. */
interface Made {
  readonly token: string;
  readonly forWhom: string;
}

/** The people of the firm: who is here, who is invited, who has left. Its supervisors' alone. */
export function PeoplePanel({ me }: { readonly me: Me }) {
  if (me.role !== 'supervisor')
    return (
      <Panel aria-label="People">
        <h2>People</h2>
        <p>People are invited and changed by your firm’s supervisors.</p>
      </Panel>
    );
  return <Managed me={me} />;
}

function Managed({ me }: { readonly me: Me }) {
  const { data: team, error, mutate } = useTeam();
  const [made, setMade] = useState<Made>();
  const [isInviting, setInviting] = useState(false);
  const act: Act = async (forWhom, work) => {
    const next = await work();
    setMade(next.token === undefined ? undefined : { token: next.token, forWhom });
    await mutate(next, false);
  };
  if (!team) return error ? <Notice kind="act" title="The people could not be loaded." /> : <Waiting />;
  const [here, left] = [
    team.people.filter((each) => each.endedAt === null),
    team.people.filter((each) => each.endedAt),
  ];
  return (
    <>
      {made && (
        <div role="status">
          <LinkToHandOver key={made.token} address={linkAddress(made.token)} forWhom={made.forWhom} />
        </div>
      )}
      <Panel aria-label="People">
        <Row style={{ justifyContent: 'space-between' }}>
          <h2>People</h2>
          {!isInviting && (
            <MainButton
              onPress={() => {
                setInviting(true);
              }}
            >
              <UserPlus size={18} aria-hidden /> Invite somebody
            </MainButton>
          )}
        </Row>
        {isInviting && (
          <InviteForm
            mails={team.mails}
            onAct={act}
            onClose={() => {
              setInviting(false);
            }}
          />
        )}
        <Stack style={{ '--gap': '0' }}>
          {here.map((member) => (
            <MemberRow key={member.id} member={member} isMe={member.id === me.id} mails={team.mails} onAct={act} />
          ))}
        </Stack>
      </Panel>
      {team.invitations.length > 0 && (
        <Panel aria-label="Invited">
          <h2>Invited</h2>
          {team.invitations.map((invitation) => (
            <InvitedRow key={invitation.id} invitation={invitation} onAct={act} />
          ))}
        </Panel>
      )}
      {left.length > 0 && (
        <Panel aria-label="Left">
          <h2>Left</h2>
          <p className="quiet">What they surveyed and signed stays under their name.</p>
          <Stack style={{ '--gap': '0' }}>
            {left.map((member) => (
              <MemberRow key={member.id} member={member} isMe={false} mails={team.mails} onAct={act} />
            ))}
          </Stack>
        </Panel>
      )}
    </>
  );
}

const NOBODY: Changed = { name: '', role: 'surveyor', maySignOff: false, registration: '' };

function InviteForm({ mails, onAct, onClose }: { mails: boolean; onAct: Act; onClose: () => void }) {
  const [who, setWho] = useState(NOBODY);
  const [email, setEmail] = useState('');
  const { isBusy, problem, submit } = useSubmit();
  const send = (mail: boolean) =>
    void submit(async () => {
      await onAct(who.name.trim(), () => invite({ ...who, email, mail }));
      onClose();
    });
  const isReady = who.name.trim() !== '' && email.trim() !== '' && !isBusy;
  return (
    <Panel aria-label="Invite somebody">
      <TextInput
        label="E-mail address"
        type="email"
        value={email}
        onChange={setEmail}
        maxLength={200}
        help="They sign in with it."
      />
      <MemberForm who={who} onChange={setWho} />
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      <Row>
        {mails && (
          <MainButton
            isDisabled={!isReady}
            onPress={() => {
              send(true);
            }}
          >
            Send the invitation
          </MainButton>
        )}
        <Button
          isDisabled={!isReady}
          onPress={() => {
            send(false);
          }}
        >
          Make a link to hand over
        </Button>
        <BareButton onPress={onClose}>Cancel</BareButton>
      </Row>
    </Panel>
  );
}

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

function InvitedRow({ invitation, onAct }: { invitation: Invitation; onAct: Act }) {
  const { id, name, email, role, expiresAt } = invitation;
  const { isBusy, problem, submit } = useSubmit();
  return (
    <div>
      <Row>
        <span style={{ marginRight: 'auto', overflowWrap: 'anywhere' }}>
          <strong>{name}</strong> · {ROLE_WORDS[role].name}
          <br />
          <span className="quiet">
            {email}, until {DAY.format(new Date(expiresAt))}
          </span>
        </span>
        <Button
          isDisabled={isBusy}
          aria-label={`Make a new link for ${name}`}
          onPress={() => void submit(() => onAct(name, () => redrawInvitation(id)))}
        >
          New link
        </Button>
        <BareButton
          isDisabled={isBusy}
          aria-label={`Withdraw the invitation of ${name}`}
          onPress={() => void submit(() => onAct(name, () => revokeInvitation(id)))}
        >
          Withdraw
        </BareButton>
      </Row>
      {problem !== undefined && <Notice kind="act" title={problem} />}
    </div>
  );
}
