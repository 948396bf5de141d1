import { useState } from 'react';
import styled from 'styled-components';
import { changeMember, endMember, passwordLink, returnMember, type Member } from '../api/members';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { MemberForm } from './MemberForm';
import type { Act } from './act';
import { ROLE_WORDS } from './role-words';
import { useSubmit } from '../api/use-submit';

const Line = styled.div`
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
`;

/** Somebody of the firm: what they are, and what a supervisor may do about it. Letting somebody go is asked twice. */
export function MemberRow({
  member,
  isMe,
  mails,
  onAct,
}: {
  readonly member: Member;
  readonly isMe: boolean;
  readonly mails: boolean;
  readonly onAct: Act;
}) {
  const { name, email, role, maySignOff, registration, endedAt } = member;
  const [open, setOpen] = useState<'change' | 'password' | 'end'>();
  const { isBusy, problem, submit } = useSubmit();
  const close = (): void => {
    setOpen(undefined);
  };
  const act: Act = (forWhom, work) =>
    submit(async () => {
      await onAct(forWhom, work);
      close();
    });
  const about = [
    ROLE_WORDS[role].name,
    ...(maySignOff ? ['signs surveys off'] : []),
    ...(registration === '' ? [] : [registration]),
  ].join(' · ');
  return (
    <Line>
      <Row>
        <span style={{ marginRight: 'auto', overflowWrap: 'anywhere', flex: '1 1 20rem' }}>
          <strong>{name}</strong>
          {isMe ? ' (you)' : ''}
          <br />
          <span className="quiet">
            {about}
            <br />
            {email}
          </span>
        </span>
        {endedAt === null ? (
          <>
            <BareButton
              aria-label={`Change ${name}`}
              onPress={() => {
                setOpen('change');
              }}
            >
              Change
            </BareButton>
            <BareButton
              aria-label={`New password for ${name}`}
              onPress={() => {
                setOpen('password');
              }}
            >
              New password
            </BareButton>
            {!isMe && (
              <BareButton
                aria-label={`Let ${name} go`}
                onPress={() => {
                  setOpen('end');
                }}
              >
                Let go
              </BareButton>
            )}
          </>
        ) : (
          <Button
            isDisabled={isBusy}
            aria-label={`Take ${name} back`}
            onPress={() => void act(name, () => returnMember(member.id))}
          >
            Take back
          </Button>
        )}
      </Row>
      {open === 'change' && <ChangeForm member={member} isBusy={isBusy} onAct={act} onClose={close} />}
      {open === 'password' && (
        <Stack>
          <p>
            {name} gets a link to choose a new password. It works once, within two hours; until then the old password
            stays.
          </p>
          <Row>
            {mails && (
              <MainButton isDisabled={isBusy} onPress={() => void act(name, () => passwordLink(member.id, true))}>
                Send the link to {email}
              </MainButton>
            )}
            <Button isDisabled={isBusy} onPress={() => void act(name, () => passwordLink(member.id, false))}>
              Make a link to hand over
            </Button>
            <BareButton onPress={close}>Cancel</BareButton>
          </Row>
        </Stack>
      )}
      {open === 'end' && (
        <Stack role="alert">
          <p>
            {name} is signed out everywhere at once and cannot sign in any more. What their devices keep is taken away
            at their next contact with the server. Their surveys and signatures stay.
          </p>
          <Row>
            <MainButton isDisabled={isBusy} onPress={() => void act(name, () => endMember(member.id))}>
              Let {name} go
            </MainButton>
            <BareButton onPress={close}>Cancel</BareButton>
          </Row>
        </Stack>
      )}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
    </Line>
  );
}

function ChangeForm({
  member,
  isBusy,
  onAct,
  onClose,
}: {
  readonly member: Member;
  readonly isBusy: boolean;
  readonly onAct: Act;
  readonly onClose: () => void;
}) {
  const { name, role, maySignOff, registration } = member;
  const [who, setWho] = useState({ name, role, maySignOff, registration });
  return (
    <Stack>
      <MemberForm who={who} onChange={setWho} />
      <Row>
        <MainButton
          isDisabled={isBusy || who.name.trim() === ''}
          onPress={() => void onAct(name, () => changeMember(member.id, who))}
        >
          Save
        </MainButton>
        <BareButton onPress={onClose}>Cancel</BareButton>
      </Row>
    </Stack>
  );
}
