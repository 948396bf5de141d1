import { Plus } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import useSWR from 'swr';
import { JOB_STATES, JOBS_PAGE } from '@keen-gauge/core/calendar/job-list';
import { changeJob, jobNumber, STATE_WORDS, type Job } from '../api/jobs';
import { problemWords } from '../api/problem-words';
import type { Me } from '../api/me';
import { useMedia } from '../app/use-media';
import { useShortcuts } from '../app/shortcuts';
import { Waiting } from '../app/Waiting';
import { Button, MainButton } from '../kit/Button';
import { Hint } from '../kit/Hint';
import { lazyPart } from '../kit/lazy-part';
import { Notice } from '../kit/Notice';
import { Row } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { carryNow } from '../device/use-device';
import { useUnsent } from '../device/use-unsent';
import { chooseJob, chosenJobs } from '../offline/chosen';
import { useConnection } from '../offline/connection';
import { filtersSet, useJobQuery, writeQuery, type JobQuery } from './job-query';
import { JobRow, type JobAct } from './JobRow';
import { surveysHere } from './jobs-here';
import { useJobs } from './use-jobs';

// Pressed for, they come; the list does not wait for them.
const AssignSheet = lazyPart(() => import('./AssignSheet'));
const NewJobSheet = lazyPart(() => import('./NewJobSheet'));
const JobFilters = lazyPart(() => import('./JobFilters'));

/** Which surveys this device has, and which jobs somebody wants on it. */
interface WhatIsHere {
  readonly surveys: ReadonlyMap<string, number>;
  readonly chosen: ReadonlySet<string>;
}

const NOTHING_HERE: WhatIsHere = { surveys: new Map(), chosen: new Set() };

async function whatIsHere(personId: string): Promise<WhatIsHere> {
  return { surveys: await surveysHere(), chosen: new Set(await chosenJobs(personId)) };
}

const Page = styled.main`
  max-width: 78rem;
  margin: 0 auto;
  padding: 1.2rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1rem;
`;

const Top = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 24rem) auto;
  grid-template-areas: 'title search new';
  align-items: end;
  gap: 0.6rem 1rem;
  @media (max-width: 44rem) {
    /* The button goes under the heading where letters are so large that both do not fit. */
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    & > h1 {
      flex: 1 0 auto;
    }
    & > div {
      order: 1;
      flex: 1 0 100%;
    }
  }
`;

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: calc(var(--corner) + 2px);
  background: var(--surface);
`;

const StageName = styled.h2`
  font-size: 1rem;
  margin: 0.4rem 0 -0.4rem;
`;

/** The firm's jobs: what each waits for, and which way it goes. */
export function JobsPage() {
  useTitle('Jobs');
  const [query, ask] = useJobQuery();
  const wide = useMedia('(min-width: 44rem)');
  const { page } = query;
  const [making, setMaking] = useState<{ readonly like?: Job }>();
  const [assigning, setAssigning] = useState<Job>();
  const [told, setTold] = useState<{ readonly says: string; readonly undo?: () => void }>();
  const me = useOutletContext<Me>();
  const { data, error, isLoading, mutate } = useJobs(writeQuery(query).toString(), me.id);
  const kept = new Set(useUnsent(me.id)?.map(({ jobId }) => jobId));
  const { data: here = NOTHING_HERE, mutate: lookHere } = useSWR(['here', me.id], ([, id]) => whatIsHere(id), {
    refreshInterval: 5000,
  });
  // A key or a press away, it is there.
  useEffect(() => {
    NewJobSheet.fetchAhead();
  }, []);
  useShortcuts({
    '/': () => document.querySelector<HTMLInputElement>('input[type="search"]')?.focus(),
    n: () => {
      setMaking({});
    },
  });
  const archive = async (job: Job, archived: boolean): Promise<void> => {
    try {
      await changeJob(job.id, { archived });
      setTold({
        says: `${jobNumber(job.number)} ${job.place}: ${archived ? 'archived' : 'restored'}.`,
        undo: () => void archive(job, !archived),
      });
    } catch (failed) {
      setTold({ says: problemWords(failed) });
    }
    await mutate();
  };
  const takeAlong = async (job: Job, isChosen: boolean): Promise<void> => {
    try {
      await chooseJob(me.id, job.id, isChosen);
      if (isChosen) await carryNow(me);
      setTold({
        says: `${jobNumber(job.number)} ${job.place}: ${isChosen ? 'taken along on this device' : 'no longer taken along'}.`,
      });
    } catch {
      setTold({ says: 'This browser keeps nothing.' });
    }
    await lookHere();
  };
  const act = (job: Job, what: JobAct): void => {
    if (what === 'assign') setAssigning(job);
    else if (what === 'duplicate') setMaking({ like: job });
    else if (what === 'take' || what === 'leave') void takeAlong(job, what === 'take');
    else void archive(job, what === 'archive');
  };

  return (
    <Page id="main">
      <Top>
        <h1 style={{ gridArea: 'title' }}>Jobs</h1>
        <div style={{ gridArea: 'search' }}>
          <TextInput
            label="Search jobs"
            help={wide ? 'Address, name, telephone, postcode, meter point number, job number.' : undefined}
            type="search"
            value={query.search}
            onChange={(search) => {
              ask({ search });
            }}
            maxLength={100}
          />
        </div>
        <MainButton
          style={{ gridArea: 'new' }}
          onPress={() => {
            setMaking({});
          }}
        >
          <Plus size={19} aria-hidden /> New job
        </MainButton>
      </Top>
      <Hint id="jobs">
        New here? Start with <strong>New job</strong>, then press <strong>Next question</strong>: it asks one thing at a
        time. <Link to="/help">Help</Link> has the words, the keys and how every figure is made.
      </Hint>
      <JobFilters query={query} stages={data?.stages ?? {}} ask={ask} />
      {told && (
        <div role="status">
          <Notice kind="note" title={told.says}>
            {told.undo && <Button onPress={told.undo}>Undo</Button>}
          </Notice>
        </div>
      )}
      {error && !data && (
        <Notice kind="act" title="The jobs could not be loaded.">
          The server is asked again every few seconds.
        </Notice>
      )}
      {isLoading && !data && <Waiting />}
      {data && <JobList jobs={data.jobs} query={query} kept={kept} here={here} onAct={act} />}
      {data && data.total > JOBS_PAGE && (
        <Row style={{ justifyContent: 'center' }}>
          <Button
            isDisabled={page === 0}
            onPress={() => {
              ask({ page: page - 1 });
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
              ask({ page: page + 1 });
            }}
          >
            Older
          </Button>
        </Row>
      )}
      {making && (
        <NewJobSheet
          isOpen
          like={making.like}
          onClose={() => {
            setMaking(undefined);
          }}
        />
      )}
      {assigning && (
        <AssignSheet
          job={assigning}
          onDone={() => void mutate()}
          onClose={() => {
            setAssigning(undefined);
          }}
        />
      )}
    </Page>
  );
}

/** The jobs found, stage by stage where that is asked for. */
function JobList({
  jobs,
  query,
  kept,
  here,
  onAct,
}: {
  readonly jobs: readonly Job[];
  readonly query: JobQuery;
  readonly kept: ReadonlySet<string>;
  readonly here: WhatIsHere;
  readonly onAct: (job: Job, act: JobAct) => void;
}) {
  const isWithout = useConnection() === 'without';
  if (jobs.length === 0)
    return (
      <p className="quiet" role="status" style={{ padding: '2rem', textAlign: 'center' }}>
        {nothingWords(query)}
      </p>
    );
  const stages = query.byStage ? JOB_STATES.filter((stage) => jobs.some(({ state }) => state === stage)) : [null];
  return stages.map((stage) => (
    <section key={stage ?? 'all'} style={{ display: 'grid', gap: '0.8rem' }}>
      {stage !== null && <StageName>{STATE_WORDS[stage]}</StageName>}
      <List aria-label={stage === null ? 'Jobs' : `Jobs: ${STATE_WORDS[stage]}`}>
        {jobs
          .filter(({ state }) => stage === null || state === stage)
          .map((job) => (
            <li key={job.id}>
              <JobRow
                job={job}
                isKept={kept.has(job.id)}
                isChosen={here.chosen.has(job.id)}
                hereAt={here.surveys.get(job.id)}
                isWithout={isWithout}
                onAct={(act) => {
                  onAct(job, act);
                }}
              />
            </li>
          ))}
      </List>
    </section>
  ));
}

function nothingWords(query: JobQuery): string {
  const search = query.search.trim();
  if (filtersSet(query) > 0)
    return search === '' ? 'No job matches these filters.' : `No job that matches these filters has “${search}” in it.`;
  return search === '' ? 'No jobs yet. Press “New job” to start the first.' : `No job has “${search}” in it.`;
}
