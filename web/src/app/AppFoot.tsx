import { CalendarDays, ClipboardList, Gauge, Menu, SlidersHorizontal } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Me } from '../api/me';
import { FootBar, type FootItem } from '../kit/FootBar';
import { lazyPart } from '../kit/lazy-part';

const MoreSheet = lazyPart(() => import('./MoreSheet'));

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
  useEffect(() => {
    MoreSheet.fetchAhead();
  }, []);
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
      {more && (
        <MoreSheet
          me={me}
          onSignOut={onSignOut}
          onClose={() => {
            setMore(false);
          }}
        />
      )}
    </>
  );
}
