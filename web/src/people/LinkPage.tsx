import { useEffect, useState } from 'react';
import { Form } from 'react-aria-components';
import { Link, useLocation, useNavigate } from 'react-router';
import { shownLink, takeLink, type ShownLink } from '../api/access';
import { useMe } from '../api/me';
import { useTitle } from '../app/use-title';
import { Waiting } from '../app/Waiting';
import { MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { NewPassword } from './NewPassword';
import { OpenPage } from './OpenPage';
import { refusalWords, useSubmit } from '../api/use-submit';

/** Where an invitation or a link to a new password leads. What stands after the # is not sent to the server with the page. */
export default function LinkPage() {
  useTitle('Choose a password');
  const { hash } = useLocation();
  const token = hash.slice(1);
  const [link, setLink] = useState<ShownLink>();
  const [refused, setRefused] = useState<string>();
  useEffect(() => {
    let isOver = false;
    shownLink(token).then(
      (shown) => {
        if (!isOver) setLink(shown);
      },
      (failed: unknown) => {
        if (!isOver) setRefused(refusalWords(failed));
      },
    );
    return () => {
      isOver = true;
    };
  }, [token]);
  if (refused !== undefined)
    return (
      <OpenPage title="This link does not open anything" lead={refused}>
        <Link to="/sign-in" style={{ justifySelf: 'center', minHeight: 44 }}>
          Sign in, or ask for a new password
        </Link>
      </OpenPage>
    );
  if (!link) return <Waiting />;
  return link.kind === 'invitation' ? (
    <OpenPage title={`Join ${link.firm}`} lead={`You will sign in as ${link.email}.`}>
      <PasswordForm token={token} link={link} button={`Join ${link.firm}`} />
    </OpenPage>
  ) : (
    <OpenPage title="A new password" lead={`For ${link.email}. You will be signed out everywhere else.`}>
      <PasswordForm token={token} link={link} button="Set the new password" />
    </OpenPage>
  );
}

function PasswordForm({ token, link, button }: { token: string; link: ShownLink; button: string }) {
  const { refresh } = useMe();
  const navigate = useNavigate();
  const [name, setName] = useState(link.name);
  const [password, setPassword] = useState('');
  const { isBusy, problem, submit } = useSubmit();
  return (
    <Panel>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void submit(async () => {
            refresh(await takeLink(token, name, password));
            await navigate('/', { replace: true });
          });
        }}
      >
        <Stack>
          {/* For whatever keeps passwords on this device. */}
          <input type="email" autoComplete="username" value={link.email} readOnly hidden />
          {link.kind === 'invitation' && (
            <TextInput label="Your name" value={name} onChange={setName} autoComplete="name" maxLength={100} />
          )}
          <NewPassword value={password} onChange={setPassword} />
          {problem !== undefined && (
            <div role="alert">
              <Notice kind="act" title={problem} />
            </div>
          )}
          <MainButton type="submit" isDisabled={isBusy}>
            {button}
          </MainButton>
        </Stack>
      </Form>
    </Panel>
  );
}
