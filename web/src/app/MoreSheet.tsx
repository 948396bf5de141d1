import { LogOut } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Me } from '../api/me';
import { BareButton } from '../kit/Button';
import { Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';
import { LightSwitch } from './LightSwitch';

const Away = styled(Link)`
  min-height: 44px;
  display: inline-flex;
  align-items: center;
`;

/** What a phone has behind “More”: the light, help, this device, signing out. */
export default function MoreSheet({
  me,
  onSignOut,
  onClose,
}: {
  readonly me: Me;
  readonly onSignOut: () => void;
  readonly onClose: () => void;
}) {
  return (
    <Sheet title="More" isOpen onClose={onClose}>
      <Stack>
        <div>
          <LightSwitch />
        </div>
        <Away to="/order" replace onClick={onClose}>
          Order: what to buy over several jobs
        </Away>
        <Away to="/help" replace onClick={onClose}>
          Help: words, and how the figures are made
        </Away>
        <Away to="/device" replace onClick={onClose}>
          This device: what is here, and what is still to be sent
        </Away>
        <Away to="/account" replace onClick={onClose}>
          Your account: password, where you are signed in
        </Away>
        <p className="quiet">
          {me.name}, {me.firm}
        </p>
        <div>
          <BareButton onPress={onSignOut}>
            <LogOut size={18} aria-hidden /> Sign out
          </BareButton>
        </div>
      </Stack>
    </Sheet>
  );
}
