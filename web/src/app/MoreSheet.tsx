import { LogOut } from 'lucide-react';
import { Link } from 'react-router';
import type { Me } from '../api/me';
import { BareButton } from '../kit/Button';
import { Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';
import { LightSwitch } from './LightSwitch';

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
        <Link
          to="/help"
          replace
          style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}
          onClick={onClose}
        >
          Help: words, and how the figures are made
        </Link>
        <Link
          to="/device"
          replace
          style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}
          onClick={onClose}
        >
          This device: what is here, and what is still to be sent
        </Link>
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
