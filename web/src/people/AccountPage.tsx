import { useState } from 'react';
import { Form } from 'react-aria-components';
import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import type { Me } from '../api/me';
import { changePassword, endOtherSessions, endSession, useSessions } from '../api/sessions';
import { useTitle } from '../app/use-title';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { NewPassword } from './NewPassword';
import { PasskeysPanel } from './PasskeysPanel';
import { ROLE_WORDS } from './role-words';
import { useSubmit } from '../api/use-submit';

const Page = styled.main`
  max-width: 44rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

/** Who I am here, my password, and where I am signed in. */
export default function AccountPage() {
  const me = useOutletContext<Me>();
  useTitle('Your account');
  return (
    <Page id="main">
      <Stack>
        <div>
          <h1>Your account</h1>
          <p>
            {me.name}, {ROLE_WORDS[me.role].name.toLowerCase()} at {me.firm}
            {me.maySignOff ? ', signs surveys off' : ''}
            {me.registration === '' ? '' : ` · ${me.registration}`}
          </p>
          <p className="quiet">You sign in as {me.email}. Your supervisor changes what stands here.</p>
        </div>
        <SessionsPanel />
        <PasskeysPanel />
        <PasswordPanel me={me} />
      </Stack>
    </Page>
  );
}

const WHEN = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

function SessionsPanel() {
  const { data, error, mutate } = useSessions();
  const { isBusy, problem, submit } = useSubmit();
  const end = (work: () => ReturnType<typeof endOtherSessions>): void =>
    void submit(async () => {
      await mutate(await work(), false);
    });
  const sessions = data?.sessions ?? [];
  return (
    <Panel aria-label="Where you are signed in">
      <h2>Where you are signed in</h2>
      {error && !data && <Notice kind="act" title="Your sessions could not be loaded." />}
      <Stack as="ul" style={{ '--gap': '0.2rem', listStyle: 'none', padding: 0, margin: 0 }}>
        {sessions.map(({ id, device, begunAt, here }) => (
          <Row as="li" key={id}>
            <span style={{ marginRight: 'auto' }}>
              <strong>{device}</strong>
              {here ? ' (this one)' : ''}
              <br />
              <span className="quiet">
                {begunAt === null ? 'Since before this was noted' : `Since ${WHEN.format(new Date(begunAt))}`}
              </span>
            </span>
            {!here && (
              <BareButton
                isDisabled={isBusy}
                aria-label={`Sign out ${device}`}
                onPress={() => {
                  end(() => endSession(id));
                }}
              >
                Sign out
              </BareButton>
            )}
          </Row>
        ))}
      </Stack>
      {sessions.length > 1 && (
        <div>
          <Button
            isDisabled={isBusy}
            onPress={() => {
              end(endOtherSessions);
            }}
          >
            Sign out everywhere else
          </Button>
        </div>
      )}
      <p className="quiet">
        A phone that was lost: sign it out here. What it keeps of the firm’s is taken away at its next contact with the
        server.
      </p>
      {problem !== undefined && <Notice kind="act" title={problem} />}
    </Panel>
  );
}

function PasswordPanel({ me }: { readonly me: Me }) {
  const { mutate } = useSessions();
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const [isDone, setDone] = useState(false);
  const { isBusy, problem, submit } = useSubmit();
  return (
    <Panel aria-label="Change your password">
      <h2>Change your password</h2>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          setDone(false);
          void submit(async () => {
            await changePassword(current, password);
            setCurrent('');
            setPassword('');
            setDone(true);
            await mutate();
          });
        }}
      >
        <Stack>
          <input type="email" autoComplete="username" value={me.email} readOnly hidden />
          <TextInput
            label="Password now"
            type="password"
            autoComplete="current-password"
            value={current}
            onChange={setCurrent}
            maxLength={200}
          />
          <NewPassword label="New password" value={password} onChange={setPassword} />
          {problem !== undefined && (
            <div role="alert">
              <Notice kind="act" title={problem} />
            </div>
          )}
          {isDone && (
            <div role="status">
              <Notice kind="note" title="Changed. You are signed out everywhere else." />
            </div>
          )}
          <div>
            <MainButton type="submit" isDisabled={isBusy || current === '' || password === ''}>
              Change the password
            </MainButton>
          </div>
        </Stack>
      </Form>
    </Panel>
  );
}
