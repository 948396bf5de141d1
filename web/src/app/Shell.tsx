import {
  CalendarDays,
  CircleHelp,
  ClipboardList,
  Gauge,
  HardDriveDownload,
  LogOut,
  SlidersHorizontal,
  Truck,
  UserRound,
} from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useLocation, useMatch, useNavigate } from 'react-router';
import styled from 'styled-components';
import { onLeftElsewhere, signOut, useMe, type Me } from '../api/me';
import { BareButton, Button } from '../kit/Button';
import { lazyPart } from '../kit/lazy-part';
import { takeNewer } from '../offline/worker';
import { ConnectionBand } from '../device/ConnectionBand';
import { unsent } from '../device/unsent';
import { useDevice } from '../device/use-device';
import { AppFoot } from './AppFoot';
import { LightSwitch } from './LightSwitch';
import { Mark } from './Mark';
import { useNewerVersion } from './newer-version';
import { PrintHead } from './PrintHead';
import { useShortcuts } from './shortcuts';

const Bar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.2rem 0.5rem;
  padding: 0.3rem clamp(0.7rem, 2vw, 1.4rem);
  background: var(--surface);
  border-bottom: 1px solid var(--line);
  @media (max-width: 44rem) {
    /* On a phone the way about is at the foot. */
    & > :not(:first-child, :nth-child(2)) {
      display: none;
    }
    &[data-survey] {
      display: none;
    }
  }
  & > :nth-child(2) {
    margin-right: auto;
    /* Whoever sits there knows which firm it is; the way about has the room. */
    @media (min-width: 44rem) and (max-width: 90rem) {
      visibility: hidden;
      width: 0;
    }
  }
`;

const Home = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
  color: var(--ink);
  font-weight: 700;
  font-size: 1.08rem;
  text-decoration: none;
`;

const Bench = styled(Link)`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.4rem;
  text-decoration: none;
  min-height: 44px;
  min-width: 44px;
  color: var(--ink);
`;

const Newer = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem 1rem;
  padding: 0.4rem clamp(0.7rem, 2vw, 1.4rem);
  background: var(--surface);
  border-bottom: 1px solid var(--line);
`;

const Skip = styled.a`
  position: absolute;
  left: -100vw;
  &:focus {
    left: 1rem;
    top: 0.5rem;
    z-index: 30;
    background: var(--surface);
    padding: 0.7rem 1rem;
  }
`;

const SignOutSheet = lazyPart(() => import('../device/SignOutSheet'));
const ShortcutSheet = lazyPart(() => import('./ShortcutSheet'));

/** What every signed-in page has around it. */
export function Shell({ me, children }: { readonly me: Me; readonly children: React.ReactNode }) {
  const [help, setHelp] = useState(false);
  const navigate = useNavigate();
  const { refresh } = useMe();
  const newer = useNewerVersion();
  const { pathname } = useLocation();
  // A survey has its own way about.
  const survey = useMatch('/jobs/:jobId/*') !== null && !pathname.endsWith('/history');
  useEffect(() => {
    ShortcutSheet.fetchAhead();
    SignOutSheet.fetchAhead();
  }, []);
  // Whatever this tab still shows and holds goes with the page.
  useEffect(
    () =>
      onLeftElsewhere(() => {
        window.location.assign('/sign-in');
      }),
    [],
  );
  const [leaving, setLeaving] = useState(false);
  useDevice(me);
  const go = (): void => {
    void signOut()
      .catch(() => undefined)
      .finally(() => {
        refresh(null);
      });
  };
  const leave = (): void => {
    void unsent(me.id).then((waiting) => {
      if (waiting.length === 0) go();
      else setLeaving(true);
    }, go);
  };
  useShortcuts({
    '?': () => {
      setHelp(true);
    },
    'g j': () => void navigate('/'),
  });
  return (
    <>
      <Skip href="#main">Skip to the main part</Skip>
      <Bar className="no-print" {...(survey ? { 'data-survey': '' } : {})}>
        <Home to="/">
          <Mark /> Keen Gauge
        </Home>
        <span className="quiet" style={{ fontSize: '0.92rem', whiteSpace: 'nowrap' }}>
          {me.firm}
        </span>
        <Bench to="/">
          <ClipboardList size={19} aria-hidden /> Jobs
        </Bench>
        <Bench to="/diary">
          <CalendarDays size={19} aria-hidden /> Diary
        </Bench>
        <Bench to="/order">
          <Truck size={19} aria-hidden /> Order
        </Bench>
        <Bench to="/firm">
          <SlidersHorizontal size={19} aria-hidden /> Firm settings
        </Bench>
        <Bench to="/instruments">
          <Gauge size={19} aria-hidden /> Instruments
        </Bench>
        <LightSwitch />
        <BareButton
          aria-label="Help"
          onPress={() => {
            setHelp(true);
          }}
        >
          <CircleHelp size={20} aria-hidden />
        </BareButton>
        <Bench to="/device" aria-label="This device">
          <HardDriveDownload size={19} aria-hidden />
        </Bench>
        <Bench to="/account" aria-label="Your account">
          <UserRound size={19} aria-hidden />
        </Bench>
        <BareButton onPress={leave} aria-label={`Sign out ${me.name}`}>
          <LogOut size={18} aria-hidden />
          {me.name}
        </BareButton>
      </Bar>
      {newer && (
        <Newer role="status" className="no-print">
          <span>A newer version of Keen Gauge is here. What you typed is kept.</span>
          <Button onPress={takeNewer}>Load it</Button>
        </Newer>
      )}
      <ConnectionBand personId={me.id} />
      <PrintHead firm={me.firm} />
      {children}
      {!survey && <AppFoot me={me} pathname={pathname} onSignOut={leave} />}
      {leaving && (
        <SignOutSheet
          personId={me.id}
          isOpen
          onClose={() => {
            setLeaving(false);
          }}
          onGo={go}
        />
      )}
      {help && (
        <ShortcutSheet
          isOpen
          onClose={() => {
            setHelp(false);
          }}
        />
      )}
    </>
  );
}
