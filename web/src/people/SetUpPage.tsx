import { useState } from 'react';
import { Form } from 'react-aria-components';
import { Navigate, useNavigate } from 'react-router';
import { setUp, useAccess } from '../api/access';
import { useMe } from '../api/me';
import { useTitle } from '../app/use-title';
import { MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { NewPassword } from './NewPassword';
import { OpenPage } from './OpenPage';
import { useSubmit } from '../api/use-submit';

const EMPTY = { code: '', firm: '', name: '', email: '', registration: '', password: '' };

/** A server nobody has used yet: the firm and its first supervisor, made by whoever holds the code it printed. */
export default function SetUpPage() {
  useTitle('Set up');
  const access = useAccess();
  const { refresh } = useMe();
  const navigate = useNavigate();
  const [first, setFirst] = useState(EMPTY);
  const { isBusy, problem, submit } = useSubmit();
  if (access?.isSetUp) return <Navigate to="/" replace />;
  const field = (key: keyof typeof EMPTY) => ({
    value: first[key],
    onChange: (value: string) => {
      setFirst((now) => ({ ...now, [key]: value }));
    },
  });
  return (
    <OpenPage
      title="Set up Keen Gauge"
      lead="Your firm and its first supervisor. Everybody else is invited afterwards."
    >
      <Panel>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            void submit(async () => {
              refresh(await setUp(first));
              await navigate('/firm/people', { replace: true });
            });
          }}
        >
          <Stack>
            <TextInput
              label="Code"
              {...field('code')}
              maxLength={40}
              help="The server printed it when it started. It is good for a day; start the server again for another."
            />
            <TextInput label="Firm" {...field('firm')} autoComplete="organization" maxLength={100} />
            <TextInput label="Your name" {...field('name')} autoComplete="name" maxLength={100} />
            <TextInput
              label="E-mail address"
              type="email"
              {...field('email')}
              autoComplete="username"
              maxLength={200}
            />
            <TextInput
              label="Registration"
              {...field('registration')}
              maxLength={60}
              help="Your registration with a competent person scheme, for packs. It can be added later."
            />
            <NewPassword {...field('password')} />
            {problem !== undefined && (
              <div role="alert">
                <Notice kind="act" title={problem} />
              </div>
            )}
            <MainButton type="submit" isDisabled={isBusy}>
              {isBusy ? 'Setting up …' : 'Set up the firm'}
            </MainButton>
          </Stack>
        </Form>
      </Panel>
    </OpenPage>
  );
}
