import { CalendarDays, ClipboardList, Gauge, LogOut, Menu, SlidersHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Me } from '../api/me';
import { BareButton } from '../kit/Button';
import { FootBar, type FootItem } from '../kit/FootBar';
import { Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';
import { LightSwitch } from './LightSwitch';

const PLACES = [
  ['Jobs', '/', ClipboardList],
  ['Diary', '/diary', CalendarDays],
  ['Instruments', '/instruments', Gauge],
  ['Firm', '/firm', SlidersHorizontal],
] as const;

/** A phone’s way about the application. */
export function AppFoot({
  me,
  pathname,
  onSignOut,
}: {
  readonly me: Me;
  readonly pathname: string;
  readonly onSignOut: () => void;
}) {
  const [more, setMore] = useState(false);
  const items: FootItem[] = PLACES.map(([name, to, Icon]) => ({
    name,
    to,
    icon: <Icon size={21} aria-hidden />,
    isCurrent: to === '/' ? pathname === '/' : pathname.startsWith(to),
  }));
  const open = (): void => {
    setMore(true);
  };
  return (
    <>
      <FootBar
        label="Keen Gauge"
        items={[...items, { name: 'More', icon: <Menu size={21} aria-hidden />, onPress: open }]}
      />
      <Sheet
        title="More"
        isOpen={more}
        onClose={() => {
          setMore(false);
        }}
      >
        <Stack>
          <div>
            <LightSwitch />
          </div>
          <Link
            to="/help"
            replace
            style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}
            onClick={() => {
              setMore(false);
            }}
          >
            Help: words, and how the figures are made
          </Link>
          <Link
            to="/device"
            replace
            style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}
            onClick={() => {
              setMore(false);
            }}
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
    </>
  );
}
