import { Check, CloudOff, LogIn, PencilLine, RefreshCw, TriangleAlert } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import type { SaveState } from './survey-store';

const MARKS = {
  saved: [Check, 'Saved'],
  waiting: [PencilLine, 'Not saved yet'],
  saving: [RefreshCw, 'Saving'],
  offline: [CloudOff, 'Not saved: no connection. Kept on this device.'],
  'signed-out': [LogIn, 'Not saved: signed out. Kept on this device.'],
  refused: [TriangleAlert, 'Not saved: something is not valid. Kept on this device.'],
} as const;

const Frame = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 0.35rem;
  font-size: 0.9rem;
  @media (min-width: 40rem) {
    min-width: 7.5rem;
  }
`;

/** Whether the server has what was typed. */
export function SaveMark({ state }: { readonly state: SaveState }) {
  const [Shape, words] = MARKS[state];
  const { pathname } = useLocation();
  const trouble = state === 'offline' || state === 'signed-out' || state === 'refused';
  return (
    <Frame
      role="status"
      aria-label="Saving"
      style={trouble ? { color: 'var(--hold)', fontWeight: 600 } : { color: 'var(--quiet)' }}
    >
      <Shape size={17} aria-hidden /> {words}
      {state === 'signed-out' && (
        <Link to={`/sign-in?next=${encodeURIComponent(pathname)}`} reloadDocument>
          Sign in
        </Link>
      )}
    </Frame>
  );
}
