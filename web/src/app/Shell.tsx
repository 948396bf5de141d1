import { CalendarDays, CircleHelp, Gauge, LogOut, SlidersHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { signOut, useMe, type Me } from '../api/me';
import { BareButton, Button } from '../kit/Button';
import { LightSwitch } from './LightSwitch';
import { Mark } from './Mark';
import { useNewerVersion } from './newer-version';
import { ShortcutSheet, useShortcuts } from './shortcuts';

const Bar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.2rem 0.5rem;
  padding: 0.3rem clamp(0.7rem, 2vw, 1.4rem);
  background: var(--surface);
  border-bottom: 1px solid var(--line);
  @media (max-width: 44rem) {
    gap: 0 0.1rem;
    /* No keyboard, no shortcuts: one row for what is left. */
    & > [aria-label='Keyboard shortcuts'] {
      display: none;
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

const Wide = styled.span`
  @media (max-width: 44rem) {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
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

/** What every signed-in page has around it. */
export function Shell({ me, children }: { readonly me: Me; readonly children: React.ReactNode }) {
  const [help, setHelp] = useState(false);
  const navigate = useNavigate();
  const { refresh } = useMe();
  const newer = useNewerVersion();
  useShortcuts({
    '?': () => {
      setHelp(true);
    },
    'g j': () => void navigate('/'),
  });
  return (
    <>
      <Skip href="#main">Skip to the main part</Skip>
      <Bar className="no-print">
        <Home to="/">
          <Mark /> <Wide>Keen Gauge</Wide>
        </Home>
        <span className="quiet" style={{ marginRight: 'auto', fontSize: '0.92rem' }}>
          <Wide>{me.firm}</Wide>
        </span>
        <Bench to="/diary">
          <CalendarDays size={19} aria-hidden /> <Wide>Diary</Wide>
        </Bench>
        <Bench to="/firm">
          <SlidersHorizontal size={19} aria-hidden /> <Wide>The firm’s own</Wide>
        </Bench>
        <Bench to="/instruments">
          <Gauge size={19} aria-hidden /> <Wide>Instruments</Wide>
        </Bench>
        <LightSwitch />
        <BareButton
          aria-label="Keyboard shortcuts"
          onPress={() => {
            setHelp(true);
          }}
        >
          <CircleHelp size={20} aria-hidden />
        </BareButton>
        <BareButton
          onPress={() => {
            void signOut().finally(() => {
              refresh(null);
            });
          }}
          aria-label={`Sign out ${me.name}`}
        >
          <LogOut size={18} aria-hidden />
          <Wide style={{ fontWeight: 500 }}>{me.name}</Wide>
        </BareButton>
      </Bar>
      {newer && (
        <Newer role="status" className="no-print">
          <span>A newer version of Keen Gauge is here. What you typed is kept.</span>
          <Button
            onPress={() => {
              window.location.reload();
            }}
          >
            Load it
          </Button>
        </Newer>
      )}
      {children}
      <ShortcutSheet
        isOpen={help}
        onClose={() => {
          setHelp(false);
        }}
      />
    </>
  );
}
