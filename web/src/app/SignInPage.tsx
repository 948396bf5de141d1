import { useState } from 'react';
import { Form } from 'react-aria-components';
import { Navigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useTitle } from './use-title';
import { NoAnswer, ServerProblem } from '../api/client';
import { signIn, useMe } from '../api/me';
import { MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { LightSwitch } from './LightSwitch';
import { Mark } from './Mark';

const Page = styled.main`
  min-height: 100vh;
  display: grid;
  place-content: center;
  grid-template-columns: min(26rem, 100% - 2rem);
  gap: 1.2rem;
  padding: 1rem 0;
`;

/** Only addresses of our own: a link must not send someone who signs in to another site. */
function safeNext(next: string | null): string {
  return next !== null && /^\/(?![/\\])/.test(next) ? next : '/';
}

export default function SignInPage() {
  useTitle('Sign in');
  const { me, refresh } = useMe();
  const [search] = useSearchParams();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (me) return <Navigate to={safeNext(search.get('next'))} replace />;

  const submit = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      refresh(await signIn(email, password));
    } catch (error) {
      setProblem(
        error instanceof ServerProblem
          ? error.detail
          : error instanceof NoAnswer
            ? error.message
            : 'Signing in failed. Try again.',
      );
    } finally {
      setBusy(false);
    }
  };

  return (
    <Page>
      <Stack style={{ justifyItems: 'center', textAlign: 'center' }}>
        <Mark size={54} />
        <h1>Keen Gauge</h1>
        <p className="quiet">Will the supply carry it, what must be limited, and may it be fitted now?</p>
      </Stack>
      <Panel>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            void submit();
          }}
        >
          <Stack>
            <TextInput
              label="E-mail address"
              type="email"
              autoComplete="username"
              value={email}
              onChange={setEmail}
              maxLength={200}
            />
            <TextInput
              label="Password"
              type="password"
              autoComplete="current-password"
              value={password}
              onChange={setPassword}
              maxLength={200}
            />
            {problem !== undefined && (
              <div role="alert">
                <Notice kind="act" title={problem} />
              </div>
            )}
            <MainButton type="submit" isDisabled={busy}>
              {busy ? 'Signing in …' : 'Sign in'}
            </MainButton>
          </Stack>
        </Form>
      </Panel>
      <div style={{ justifySelf: 'center' }}>
        <LightSwitch />
      </div>
    </Page>
  );
}
