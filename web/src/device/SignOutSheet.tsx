import { useState } from 'react';
import { Link } from 'react-router';
import { Button, MainButton } from '../kit/Button';
import { Row, Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';
import { forgetUnsent } from './unsent';
import { useUnsent } from './use-unsent';

/** Asked before signing out takes away what only this device has. */
export default function SignOutSheet({
  personId,
  isOpen,
  onClose,
  onGo,
}: {
  readonly personId: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onGo: () => void;
}) {
  const waiting = useUnsent(personId);
  const [sure, setSure] = useState(false);
  return (
    <Sheet title="Sign out?" isOpen={isOpen} onClose={onClose}>
      <Stack>
        <p>
          {waiting === undefined
            ? 'Checking what is here …'
            : waiting.length === 0
              ? 'Everything you did is with the server now.'
              : `${waiting.length} job${waiting.length === 1 ? ' has' : 's have'} work of yours that only this device has. Signing out takes it away.`}
        </p>
        <Row>
          <MainButton onPress={onClose}>Stay signed in</MainButton>
          <Link
            to="/device"
            replace
            onClick={onClose}
            style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}
          >
            See what it is, and send it
          </Link>
        </Row>
        {waiting === undefined ? null : waiting.length > 0 && !sure ? (
          <Button
            onPress={() => {
              setSure(true);
            }}
          >
            Sign out all the same …
          </Button>
        ) : (
          <Button onPress={() => void forgetUnsent(personId).finally(onGo)}>
            {waiting.length === 0 ? 'Sign out' : 'Yes, take away what was not sent, and sign out'}
          </Button>
        )}
      </Stack>
    </Sheet>
  );
}
