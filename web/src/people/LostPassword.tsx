import { useState } from 'react';
import { Form } from 'react-aria-components';
import { askForNewPassword } from '../api/access';
import { BareButton, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { useSubmit } from '../api/use-submit';

/** Asks for a new password by mail; where the server sends none, says who helps instead. */
export function LostPassword({
  mails,
  email: typed,
  onClose,
}: {
  readonly mails: boolean;
  readonly email: string;
  readonly onClose: () => void;
}) {
  const [email, setEmail] = useState(typed);
  const [isAsked, setAsked] = useState(false);
  const { isBusy, problem, submit } = useSubmit();
  if (!mails || isAsked)
    return (
      <Panel>
        <Stack>
          <h2>A new password</h2>
          <p role="status">
            {isAsked
              ? `If somebody signs in as ${email.trim()}, a link to a new password is on its way there. It works once, within two hours.`
              : 'This server sends no mail. A supervisor of your firm can give you a link to a new password: Firm settings, People.'}
          </p>
          <div>
            <BareButton onPress={onClose}>Back to signing in</BareButton>
          </div>
        </Stack>
      </Panel>
    );
  return (
    <Panel>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void submit(async () => {
            await askForNewPassword(email);
            setAsked(true);
          });
        }}
      >
        <Stack>
          <h2>A new password</h2>
          <TextInput
            label="E-mail address"
            type="email"
            autoComplete="username"
            value={email}
            onChange={setEmail}
            maxLength={200}
            help="A link is sent there. Until it is used, your password stays as it is."
          />
          {problem !== undefined && (
            <div role="alert">
              <Notice kind="act" title={problem} />
            </div>
          )}
          <Row>
            <MainButton type="submit" isDisabled={isBusy}>
              Send me a link
            </MainButton>
            <BareButton onPress={onClose}>Back to signing in</BareButton>
          </Row>
        </Stack>
      </Form>
    </Panel>
  );
}
