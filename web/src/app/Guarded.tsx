import { Navigate, Outlet, useLocation } from 'react-router';
import { useMe } from '../api/me';
import { Notice } from '../kit/Notice';
import { Boundary } from './Boundary';
import { Shell } from './Shell';
import { Waiting } from './Waiting';

/** Pages for signed-in people; others sign in first and come back to where they were going. */
export function Guarded() {
  const { me, error } = useMe();
  const { pathname } = useLocation();
  if (me === null) return <Navigate to={`/sign-in?next=${encodeURIComponent(pathname)}`} replace />;
  if (me === undefined)
    return error ? (
      <main style={{ padding: '2rem', maxWidth: '40rem', margin: '0 auto' }}>
        <h1 className="unseen">Keen Gauge</h1>
        <Notice kind="act" title="The server cannot be reached.">
          It is tried again every few seconds. What was typed on this device is kept.
        </Notice>
      </main>
    ) : (
      <Waiting />
    );
  return (
    <Shell me={me}>
      <Boundary at={pathname}>
        <Outlet context={me} />
      </Boundary>
    </Shell>
  );
}
