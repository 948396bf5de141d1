import { KeyRound } from 'lucide-react';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import { addPasskey, hasPasskeys, removePasskey, usePasskeys } from '../api/passkeys';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { useSubmit } from '../api/use-submit';

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
const day = (at: string): string => DAY.format(new Date(at));

/** My passkeys: signing in by the finger, the face or the code that opens the device. */
export function PasskeysPanel() {
  const { data, error, mutate } = usePasskeys();
  const [isAdding, setAdding] = useState(false);
  const [current, setCurrent] = useState('');
  const { isBusy, problem, submit } = useSubmit();
  const passkeys = data?.passkeys ?? [];
  const close = (): void => {
    setAdding(false);
    setCurrent('');
  };
  return (
    <Panel aria-label="Passkeys">
      <h2>Passkeys</h2>
      <p className="quiet">
        A passkey signs you in by what opens your device: finger, face or code. Nobody can guess it, or talk you out of
        it.
      </p>
      {error && !data && <Notice kind="act" title="Your passkeys could not be loaded." />}
      {passkeys.length > 0 && (
        <Stack as="ul" style={{ '--gap': '0.2rem', listStyle: 'none', padding: 0, margin: 0 }}>
          {passkeys.map(({ id, device, madeAt, usedAt }) => (
            <Row as="li" key={id}>
              <span style={{ marginRight: 'auto' }}>
                <strong>{device}</strong>
                <br />
                <span className="quiet">
                  Since {day(madeAt)}, {usedAt === null ? 'not used yet' : `last used ${day(usedAt)}`}
                </span>
              </span>
              <BareButton
                isDisabled={isBusy}
                aria-label={`Remove the passkey of ${device}`}
                onPress={() =>
                  void submit(async () => {
                    await mutate(await removePasskey(id), false);
                  })
                }
              >
                Remove
              </BareButton>
            </Row>
          ))}
        </Stack>
      )}
      {!hasPasskeys() && <p className="quiet">This browser knows no passkeys.</p>}
      {isAdding ? (
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            void submit(async () => {
              await mutate(await addPasskey(current), false);
              close();
            });
          }}
        >
          <Stack>
            <TextInput
              label="Your password, once more"
              type="password"
              autoComplete="current-password"
              value={current}
              onChange={setCurrent}
              maxLength={200}
              autoFocus
            />
            <Row>
              <MainButton type="submit" isDisabled={isBusy || current === ''}>
                Make a passkey on this device
              </MainButton>
              <BareButton onPress={close}>Cancel</BareButton>
            </Row>
          </Stack>
        </Form>
      ) : (
        hasPasskeys() && (
          <div>
            <Button
              onPress={() => {
                setAdding(true);
              }}
            >
              <KeyRound size={18} aria-hidden /> Add a passkey
            </Button>
          </div>
        )
      )}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
    </Panel>
  );
}
