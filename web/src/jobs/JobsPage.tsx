import { CloudOff, Plus } from 'lucide-react';
import { useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import useSWR from 'swr';
import { jobNumber, JOBS_PAGE, stateWords, useJobs, type Job } from '../api/jobs';
import type { Me } from '../api/me';
import { useShortcuts } from '../app/shortcuts';
import { Waiting } from '../app/Waiting';
import { Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row } from '../kit/Panel';
import { RouteMark } from '../kit/RouteMark';
import { TextInput } from '../kit/TextInput';
import { keptJobs } from '../survey/kept';
import { NewJobSheet } from './NewJobSheet';

const NOTHING_KEPT: ReadonlySet<string> = new Set();

const Page = styled.main`
  max-width: 78rem;
  margin: 0 auto;
  padding: 1.2rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1rem;
`;

const Top = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.8rem 1rem;
`;

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: calc(var(--corner) + 2px);
  background: var(--surface);
`;

const Item = styled(Link)`
  display: grid;
  grid-template-columns: 5.2rem minmax(0, 1.2fr) 10.5rem minmax(0, 1fr);
  gap: 0.2rem 1rem;
  align-items: center;
  padding: 0.6rem 0.9rem;
  min-height: 62px;
  color: var(--ink);
  text-decoration: none;
  border-top: 1px solid var(--line);
  li:first-child > & {
    border-top: 0;
  }
  &:hover {
    background: var(--raised);
    box-shadow: inset 4px 0 0 var(--accent);
  }
  @media (max-width: 56rem) {
    grid-template-columns: minmax(0, 1fr) auto;
    & > :nth-child(2),
    & > :nth-child(4) {
      grid-column: 1 / -1;
    }
    & > :nth-child(2) {
      order: -1;
    }
  }
`;

const Number = styled.span`
  font-family: var(--figures);
  font-weight: 600;
  color: var(--quiet);
  font-size: 0.92rem;
`;

/** The firm's jobs: what each waits for, and which way it goes. */
export function JobsPage() {
  useTitle('Jobs');
  const [search, setSearch] = useState('');
  const [page, setPage] = useState(0);
  const [making, setMaking] = useState(false);
  const { data, error, isLoading } = useJobs(search, page);
  const me = useOutletContext<Me>();
  const { data: kept = NOTHING_KEPT } = useSWR(
    ['kept-here', me.id],
    ([, id]) => keptJobs(id).catch(() => NOTHING_KEPT),
    {
      refreshInterval: 3000,
    },
  );
  useShortcuts({
    '/': () => document.querySelector<HTMLInputElement>('input[type="search"]')?.focus(),
    n: () => {
      setMaking(true);
    },
  });

  return (
    <Page id="main">
      <Top>
        <h1 style={{ marginRight: 'auto' }}>Jobs</h1>
        <div style={{ flex: '0 1 22rem' }}>
          <TextInput
            label="Search jobs"
            help="Address, customer, telephone, postcode, meter point, number or state."
            type="search"
            value={search}
            onChange={(next) => {
              setSearch(next);
              setPage(0);
            }}
            maxLength={100}
          />
        </div>
        <MainButton
          onPress={() => {
            setMaking(true);
          }}
        >
          <Plus size={19} aria-hidden /> New job
        </MainButton>
      </Top>
      {error && !data && (
        <Notice kind="act" title="The jobs could not be loaded.">
          The server is asked again every few seconds.
        </Notice>
      )}
      {isLoading && !data && <Waiting />}
      {data && <JobList jobs={data.jobs} search={search} kept={kept} />}
      {data && data.total > JOBS_PAGE && (
        <Row style={{ justifyContent: 'center' }}>
          <Button
            isDisabled={page === 0}
            onPress={() => {
              setPage(page - 1);
            }}
          >
            Newer
          </Button>
          <span className="figures">
            {page * JOBS_PAGE + 1}–{Math.min(data.total, (page + 1) * JOBS_PAGE)} of {data.total}
          </span>
          <Button
            isDisabled={(page + 1) * JOBS_PAGE >= data.total}
            onPress={() => {
              setPage(page + 1);
            }}
          >
            Older
          </Button>
        </Row>
      )}
      <NewJobSheet
        isOpen={making}
        onClose={() => {
          setMaking(false);
        }}
      />
    </Page>
  );
}

function JobList({
  jobs,
  search,
  kept,
}: {
  readonly jobs: readonly Job[];
  readonly search: string;
  readonly kept: ReadonlySet<string>;
}) {
  if (jobs.length === 0)
    return (
      <p className="quiet" role="status" style={{ padding: '2rem', textAlign: 'center' }}>
        {search.trim() === ''
          ? 'No jobs yet. Press “New job” to start the first.'
          : `No job has “${search.trim()}” in it.`}
      </p>
    );
  return (
    <List aria-label="Jobs">
      {jobs.map((job) => (
        <li key={job.id}>
          <Item to={`/jobs/${job.id}`}>
            <span>
              <Number>{jobNumber(job.number)}</Number>
              <span className="quiet" style={{ display: 'block', fontSize: '0.85rem' }}>
                {stateWords(job)}
              </span>
            </span>
            <span>
              <strong>{job.place}</strong>
              <span className="quiet" style={{ display: 'block', fontSize: '0.92rem' }}>
                {job.wanted}
              </span>
              {kept.has(job.id) && (
                <span style={{ color: 'var(--hold)', fontWeight: 600, fontSize: '0.92rem' }}>
                  <CloudOff size={16} aria-hidden style={{ verticalAlign: '-0.2em' }} /> Typed on this device and not
                  sent yet: open it to send it.
                </span>
              )}
            </span>
            <RouteMark way={job.route} />
            <span style={{ fontSize: '0.92rem' }}>
              {job.nextQuestion ?? <span className="quiet">Nothing open</span>}
            </span>
          </Item>
        </li>
      ))}
    </List>
  );
}
