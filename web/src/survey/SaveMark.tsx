import { Check, CloudOff, LogIn, PencilLine, RefreshCw, TriangleAlert } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import { useSyncExternalStore } from 'react';
import { BareButton } from '../kit/Button';
import { useConnection } from '../offline/connection';
import type { SurveyStore } from './survey-store';

const MARKS = {
  saved: [Check, 'Saved'],
  waiting: [PencilLine, 'Not saved'],
  saving: [RefreshCw, 'Saving'],
  offline: [CloudOff, 'Not saved: no connection.'],
  unavailable: [CloudOff, 'Not saved: the server is not ready. It is sent again by itself.'],
  failed: [TriangleAlert, 'Not saved: something is wrong at the server.'],
  'signed-out': [LogIn, 'Not saved: signed out.'],
  refused: [TriangleAlert, 'Not saved: something is not valid.'],
} as const;

const Frame = styled.span`
  display: inline-grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 0 0.35rem;
  font-size: 0.9rem;
  /* As wide whichever of the usual three it says: keys below must not move under a thumb because something was saved. */
  min-width: 5.8rem;
  /* What there is to press stands under the words where there is little room, and beside them otherwise. */
  & > :nth-child(n + 3) {
    grid-column: 2;
    justify-self: start;
    white-space: nowrap;
  }
  @media (min-width: 40rem) {
    display: inline-flex;
    min-width: 7.5rem;
    & > svg {
      flex: none;
    }
  }
`;

/** Whether the server has what was typed. */
export function SaveMark({
  store,
  isNew = false,
}: {
  readonly store: SurveyStore;
  /** The server has not heard of the job yet: nothing of it is saved, whatever else is said. */
  readonly isNew?: boolean;
}) {
  const saveState = useSyncExternalStore(store.subscribe, () => store.get().saveState);
  const notKept = useSyncExternalStore(store.subscribe, () => store.get().notKept);
  const failedUnder = useSyncExternalStore(store.subscribe, () => store.get().failedUnder);
  // Without a connection what was typed goes nowhere, however often it is tried: the same words stand, and nothing below them moves from key to key.
  const goesNowhere = useConnection() === 'without' && (saveState === 'waiting' || saveState === 'saving');
  const state = goesNowhere || (isNew && saveState === 'saved') ? 'offline' : saveState;
  const [Shape, words] = MARKS[state];
  const { pathname } = useLocation();
  const trouble = !['saved', 'waiting', 'saving'].includes(state);
  return (
    <Frame
      role="status"
      aria-label="Saving"
      style={trouble ? { color: 'var(--hold)', fontWeight: 600 } : { color: 'var(--quiet)' }}
    >
      <Shape size={17} aria-hidden />
      <span>
        {words}
        {trouble && (notKept ? ' Not kept on this device either: leave this page open.' : ' Kept on this device.')}
        {!trouble && notKept && state !== 'saved' && ' This browser keeps nothing: leave the page open.'}
        {failedUnder !== undefined && failedUnder !== '' && ` Say ${failedUnder} when you ask.`}
      </span>
      {state === 'failed' && (
        <BareButton
          onPress={() => {
            store.retry();
          }}
        >
          Try again
        </BareButton>
      )}
      {state === 'signed-out' && (
        <Link to={`/sign-in?next=${encodeURIComponent(pathname)}`} reloadDocument>
          Sign in
        </Link>
      )}
    </Frame>
  );
}
