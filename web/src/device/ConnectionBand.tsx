import { CircleHelp, CloudOff, HardDriveDownload } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useConnection } from '../offline/connection';
import { useFull } from '../offline/full';
import { useSending } from './sending';
import { useUnsent } from './use-unsent';

const Band = styled.div`
  display: flex;
  align-items: center;
  gap: 0 0.6rem;
  padding: 0 clamp(0.7rem, 2vw, 1.4rem);
  min-height: 44px;
  background: var(--surface);
  border-bottom: 2px solid var(--ask);
  font-size: 0.95rem;
  & > svg {
    flex: none;
    color: var(--ask);
  }
  & > span {
    flex: 1;
    min-width: 0;
    line-height: 1.2;
  }
  & > a {
    flex: none;
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    color: var(--ink);
  }
`;

/** Says how the server is reached, while it is not as usual, and what waits for it. */
export function ConnectionBand({ personId }: { readonly personId: string }) {
  const connection = useConnection();
  const isFull = useFull();
  const waiting = useUnsent(personId) ?? [];
  const { isRunning, toDecide } = useSending();
  const jobs = `${waiting.length} job${waiting.length === 1 ? '' : 's'}`;
  if (isFull)
    return (
      <Band role="status" className="no-print">
        <HardDriveDownload size={18} aria-hidden />
        <span>
          <strong>This device is full.</strong> Not everything you add is kept here.
        </span>
        <Link to="/device">Make room</Link>
      </Band>
    );
  if (connection === 'without')
    return (
      <Band role="status" className="no-print">
        <CloudOff size={18} aria-hidden />
        <span>
          <strong>No connection.</strong> Work is kept here.
        </span>
        <Link to="/device">{waiting.length === 0 ? 'This device' : `${waiting.length} to send`}</Link>
      </Band>
    );
  if (toDecide.size > 0)
    return (
      <Band role="status" className="no-print">
        <CircleHelp size={18} aria-hidden />
        <span>Something waits for your decision.</span>
        <Link to="/device">Decide</Link>
      </Band>
    );
  if (isRunning && waiting.length > 0)
    return (
      <Band role="status" className="no-print">
        <HardDriveDownload size={18} aria-hidden />
        <span>Sending {jobs}.</span>
        <Link to="/device">This device</Link>
      </Band>
    );
  if (connection === 'slow')
    return (
      <Band role="status" className="no-print">
        <HardDriveDownload size={18} aria-hidden />
        <span>The connection is slow.</span>
      </Band>
    );
  return null;
}
