import { CloudOff, Download, Send } from 'lucide-react';
import { Link, useOutletContext } from 'react-router';
import styled from 'styled-components';
import useSWR from 'swr';
import { jobNumber, type Job } from '../api/jobs';
import type { Me } from '../api/me';
import { useTitle } from '../app/use-title';
import { jobsKnownHere, surveysHere } from '../jobs/jobs-here';
import { Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { useConnection, type Connection } from '../offline/connection';
import { useFull } from '../offline/full';
import { keptDaysOf } from '../offline/person';
import { askToLast, isNearlyFull, roomHere, sizeWords } from './room';
import { sendEverything } from './sender';
import { useSending } from './sending';
import { carryNow, useCarrying } from './use-device';
import type { Unsent } from './unsent';
import { useUnsent } from './use-unsent';

const Page = styled.main`
  max-width: 52rem;
  margin: 0 auto;
  padding: 1.2rem clamp(0.7rem, 2vw, 1.4rem) 4rem;
`;

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  & > li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0 1rem;
    min-height: 44px;
    padding: 0.3rem 0;
    border-top: 1px solid var(--line);
  }
`;

const CONNECTION_WORDS: Readonly<Record<Connection, string>> = {
  connected: 'The server answers.',
  slow: 'The server answers slowly.',
  without: 'No connection. What you do is kept here and goes by itself when there is one.',
};

const time = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** What of the work is on this device: what waits to be sent, what is carried along, and how much room it takes. */
export default function DevicePage() {
  useTitle('This device');
  const me = useOutletContext<Me>();
  const connection = useConnection();
  const { data: known } = useSWR(['known-here', me.id], knownHere, { refreshInterval: 4000 });
  return (
    <Page id="main">
      <Stack>
        <div>
          <h1>This device</h1>
          <p className="quiet">
            What is here and not yet with the server, and what you can work with where there is no signal.
          </p>
        </div>
        <ToSend me={me} connection={connection} jobs={known?.jobs ?? []} />
        <Carried me={me} jobs={known?.jobs ?? []} surveys={known?.surveys ?? new Map<string, number>()} />
        <RoomPanel />
      </Stack>
    </Page>
  );
}

async function knownHere() {
  const [jobs, surveys] = await Promise.all([jobsKnownHere(), surveysHere()]);
  return { jobs, surveys };
}

function ToSend({
  me,
  connection,
  jobs,
}: {
  readonly me: Me;
  readonly connection: Connection;
  readonly jobs: readonly Job[];
}) {
  const found = useUnsent(me.id);
  const waiting = found ?? [];
  const { isRunning, toDecide } = useSending();
  return (
    <Panel aria-label="To be sent">
      <h2>To be sent</h2>
      <p role="status">
        {connection === 'without' && <CloudOff size={17} aria-hidden style={{ verticalAlign: '-0.2em' }} />}{' '}
        {CONNECTION_WORDS[connection]}{' '}
        {found?.length === 0 ? 'Everything you did is with the server.' : isRunning ? 'Sending now.' : ''}
      </p>
      {waiting.length > 0 && (
        <List>
          {waiting.map((each) => (
            <li key={each.jobId}>
              <JobLink job={jobs.find(({ id }) => id === each.jobId)} id={each.jobId} />
              <span className="quiet">
                {toDecide.has(each.jobId)
                  ? (each.refused ?? 'Open it: something there needs your answer')
                  : unsentWords(each)}
              </span>
            </li>
          ))}
        </List>
      )}
      <Row>
        <MainButton isDisabled={isRunning || waiting.length === 0} onPress={() => void sendEverything(me.id, true)}>
          <Send size={18} aria-hidden /> Send now
        </MainButton>
      </Row>
    </Panel>
  );
}

/** What of a job waits: new job, answers, 3 photographs. */
export function unsentWords({ isNew, isTyped, pictures, logs, signatures, refused }: Unsent): string {
  if (refused !== undefined) return `The server would not take it: ${refused}`;
  return [
    isNew ? 'new job' : '',
    isTyped ? 'answers' : '',
    pictures > 0 ? `${pictures} photograph${pictures === 1 ? '' : 's'}` : '',
    logs > 0 ? `${logs} log${logs === 1 ? '' : 's'}` : '',
    signatures > 0 ? 'a signature' : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}

function Carried({
  me,
  jobs,
  surveys,
}: {
  readonly me: Me;
  readonly jobs: readonly Job[];
  readonly surveys: ReadonlyMap<string, number>;
}) {
  const carrying = useCarrying();
  const connection = useConnection();
  const here = jobs.filter(({ id }) => surveys.has(id)).sort((a, b) => a.place.localeCompare(b.place));
  return (
    <Panel aria-label="Carried along">
      <h2>Carried along</h2>
      <p className="quiet">
        Jobs given to you, those you opened in the last week, and those you chose from the list of jobs. Kept for{' '}
        {keptDaysOf(me)} days without word from the server, and gone when you sign out.
      </p>
      <Row>
        <Button isDisabled={carrying !== null || connection === 'without'} onPress={() => void carryNow(me)}>
          <Download size={18} aria-hidden /> Take along now
        </Button>
        {carrying && (
          <span role="status">
            {carrying.done} of {carrying.of} jobs
          </span>
        )}
      </Row>
      {here.length === 0 ? (
        <p>No job is here yet.</p>
      ) : (
        <List>
          {here.map((job) => (
            <li key={job.id}>
              <JobLink job={job} id={job.id} />
              <span className="quiet">as of {time.format(surveys.get(job.id))}</span>
            </li>
          ))}
        </List>
      )}
    </Panel>
  );
}

function JobLink({ job, id }: { readonly job: Job | undefined; readonly id: string }) {
  return (
    <Link to={`/jobs/${id}`} style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center' }}>
      {job ? `${jobNumber(job.number)} ${job.place}` : 'A job'}
    </Link>
  );
}

function RoomPanel() {
  const isFull = useFull();
  const { data: room, mutate } = useSWR('room-here', roomHere, { refreshInterval: 10_000 });
  return (
    <Panel aria-label="Storage">
      <h2>Storage</h2>
      {room ? (
        <>
          <p>
            {sizeWords(room.taken)} of the {sizeWords(room.given)} this browser gives.
          </p>
          {(isFull || isNearlyFull(room)) && (
            <Notice kind="act" title={isFull ? 'This device is full.' : 'This device is nearly full.'}>
              Send what waits, or make room on the device, before taking more photographs.
            </Notice>
          )}
          <p className="quiet">
            When it is full the small pictures of photographs go first. A photograph that does not fit even then is in
            its open page only, which says so; answers are kept as long as they fit.
          </p>
          {room.isLasting ? (
            <p className="quiet">The browser keeps it even when it runs short.</p>
          ) : (
            <Row>
              <Button onPress={() => void askToLast().then(() => mutate())}>Ask the browser to keep it</Button>
              <span className="quiet">It may take it away when it runs short.</span>
            </Row>
          )}
        </>
      ) : (
        <p className="quiet">This browser does not say how much room there is.</p>
      )}
    </Panel>
  );
}
