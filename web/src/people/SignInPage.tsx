import { KeyRound } from 'lucide-react';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import { Navigate, useSearchParams } from 'react-router';
import { useAccess } from '../api/access';
import { signIn, useMe } from '../api/me';
import { hasPasskeys, signInWithPasskey } from '../api/passkeys';
import { useTitle } from '../app/use-title';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { LostPassword } from './LostPassword';
import { OpenPage } from './OpenPage';
import { useSubmit } from '../api/use-submit';

/** Only addresses of our own: a link must not send someone who signs in to another site. */
function safeNext(next: string | null): string {
  return next !== null && /^\/(?![/\\])/.test(next) ? next : '/';
}

export default function SignInPage() {
  useTitle('Sign in');
  const { me, refresh } = useMe();
  const access = useAccess();
  const [search] = useSearchParams();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [isLost, setLost] = useState(false);
  const { isBusy, problem, submit } = useSubmit();
  if (me) return <Navigate to={safeNext(search.get('next'))} replace />;
  if (access?.isSetUp === false) return <Navigate to="/set-up" replace />;

  return (
    <OpenPage title="Keen Gauge" lead="Will the supply carry it, what must be limited, and may it be fitted now?">
      {isLost ? (
        <LostPassword
          mails={access?.mails ?? true}
          email={email}
          onClose={() => {
            setLost(false);
          }}
        />
      ) : (
        <Panel>
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              void submit(async () => {
                refresh(await signIn(email, password));
              });
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
              <MainButton type="submit" isDisabled={isBusy}>
                {isBusy ? 'Signing in …' : 'Sign in'}
              </MainButton>
              {hasPasskeys() && (
                <Button
                  isDisabled={isBusy}
                  onPress={() =>
                    void submit(async () => {
                      refresh(await signInWithPasskey());
                    })
                  }
                >
                  <KeyRound size={18} aria-hidden /> Use a passkey
                </Button>
              )}
              <BareButton
                onPress={() => {
                  setLost(true);
                }}
              >
                Lost your password?
              </BareButton>
            </Stack>
          </Form>
        </Panel>
      )}
    </OpenPage>
  );
}
