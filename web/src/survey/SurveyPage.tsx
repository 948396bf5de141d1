import { assess } from '@keen-gauge/core/assess';
import { Memory } from '@keen-gauge/core/memory';
import { STATIONS } from '@keen-gauge/core/finding';
import { missingItems } from '@keen-gauge/core/pack/missing';
import { answeredWords } from '@keen-gauge/core/route/answered-words';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useOutletContext, useParams } from 'react-router';
import { ServerProblem } from '../api/client';
import { jobNumber, useJob, type Job } from '../api/jobs';
import type { Me } from '../api/me';
import { Boundary } from '../app/Boundary';
import { useShortcuts } from '../app/shortcuts';
import { useTitle } from '../app/use-title';
import { Waiting } from '../app/Waiting';
import { Gauge } from '../gauge/Gauge';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { useUploadQueue } from '../photos/use-upload-queue';
import { useArrival, useArrivalField } from '../stations/arrival';
import { STATION_NAMES, VIEW_NAMES, type View } from '../stations/station-names';
import { Walk } from '../walk/Walk';
import { Conflicts } from './Conflicts';
import { OpenedNote } from './OpenedNote';
import { Aside, Columns, GaugeBand, Page, StepLink, Steps } from './survey-layout';
import { Refused } from './Refused';
import { SurveyFoot } from './SurveyFoot';
import { SurveyTop } from './SurveyTop';
import { SurveyProvider } from './SurveyContext';
import type { SurveyStore } from './survey-store';
import { useShown } from './use-shown';
import { useSurveyStore } from './use-survey-store';
import { fetchEveryView, viewAt, ViewPart } from './view-parts';

const LOOK_AGAIN_MS = 50;
const LOOKS = 100;

/** Does something with what is looked for at once, or as soon as it is drawn: a station that was not opened before has to come first. The function it returns gives up. */
function whenThere<T>(look: () => T | null | undefined, found: (there: T) => void): () => void {
  let timer = 0;
  const again = (left: number): void => {
    const there = look();
    if (there) found(there);
    else if (left > 0) timer = window.setTimeout(again, LOOK_AGAIN_MS, left - 1);
  };
  again(LOOKS);
  return () => {
    clearTimeout(timer);
  };
}

/** One job’s survey. Opening another job, or trying again, starts afresh. */
export default function SurveyPage() {
  const { jobId = '', station } = useParams();
  const [attempt, setAttempt] = useState(0);
  return (
    <OpeningSurvey
      key={`${jobId} ${attempt}`}
      jobId={jobId}
      station={viewAt(station)}
      onRetry={() => {
        setAttempt(attempt + 1);
      }}
    />
  );
}

interface OpeningProps {
  readonly jobId: string;
  readonly station: View;
  readonly onRetry: () => void;
}

function OpeningSurvey({ jobId, station, onRetry }: OpeningProps) {
  const me = useOutletContext<Me>();
  const { data: job, error } = useJob(jobId);
  const opening = useSurveyStore(jobId, me.id);

  if (error instanceof ServerProblem && error.status === 404)
    return (
      <Page as="main" id="main">
        <Notice kind="ask" title="There is no such job, or it is not your firm’s.">
          <Link to="/">Back to the jobs</Link>
        </Notice>
      </Page>
    );
  if (opening.kind === 'failed')
    return (
      <Page as="main" id="main">
        <Notice kind="act" title="The survey could not be opened.">
          {opening.error.message} Anything typed before on this device is still kept.
          <div style={{ marginTop: '0.5rem' }}>
            <Button onPress={onRetry}>Try again</Button>
          </div>
        </Notice>
      </Page>
    );
  if (opening.kind === 'opening' || !job) return <Waiting what="Opening the survey …" />;
  return <SurveyView job={job} me={me} store={opening.store} look={opening.look} station={station} />;
}

/** The walk, the gauge, and the station at hand. */
function SurveyView({
  job,
  me,
  store,
  look,
  station,
}: {
  readonly job: Job;
  readonly me: Me;
  readonly store: SurveyStore;
  readonly look: () => void;
  readonly station: View;
}) {
  const survey = useShown(store);
  const { meterPointNumber } = survey.place;
  const rules = useMemo(() => rulesFor(meterPointNumber, me.rules), [meterPointNumber, me.rules]);
  const [memory] = useState(() => new Memory());
  const assessment = useMemo(() => assess(survey, rules, memory), [survey, rules, memory]);
  const missing = useMemo(() => missingItems(assessment).length, [assessment]);
  const navigate = useNavigate();
  const uploads = useUploadQueue(job.id, me.id, look);
  const index = STATIONS.findIndex((each) => each === station);
  const [before, after] = index < 0 ? [] : [STATIONS[index - 1], STATIONS[index + 1]];
  const main = useRef<HTMLElement>(null);
  const first = useRef(true);

  useShortcuts({
    'Ctrl+Z': () => {
      store.undo();
    },
    'Ctrl+Y': () => {
      store.redo();
    },
    '[': () => {
      if (before) void navigate(`/jobs/${job.id}/${before}`);
    },
    ']': () => {
      if (after) void navigate(`/jobs/${job.id}/${after}`);
    },
    'g n': () => void navigate(`/jobs/${job.id}/next`),
    'g p': () => void navigate(`/jobs/${job.id}/photos`),
    'g l': () => void navigate(`/jobs/${job.id}/to-look`),
    'g h': () => void navigate(`/jobs/${job.id}/history`),
  });

  // Once the first is there.
  useEffect(() => {
    const left = new AbortController();
    const timer = setTimeout(() => void fetchEveryView(left.signal), 400);
    return () => {
      clearTimeout(timer);
      left.abort();
    };
  }, []);
  useTitle(VIEW_NAMES[station], survey.place.addressLine1 ?? job.place, jobNumber(job.number));
  useArrival();
  const field = useArrivalField();

  // Arriving at another station, readers of the screen and the eye both start at its name.
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return undefined;
    }
    if (field !== null) return undefined;
    window.scrollTo({ top: 0 });
    return whenThere(
      () => main.current?.querySelector<HTMLElement>('#station-name'),
      (name) => {
        // Whoever has begun to type there meanwhile is left where they are.
        if (!document.activeElement?.matches('input, textarea')) name.focus({ preventScroll: true });
      },
    );
  }, [station, field]);

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent): void => {
      const isHereOnly = uploads.get().some(({ state: upload, notKept }) => upload === 'keeping' || notKept === true);
      if (store.get().saveState === 'refused' || isHereOnly) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => {
      window.removeEventListener('beforeunload', warn);
    };
  }, [store, uploads]);

  const here = useMemo(
    () => ({ job, me, store, survey, assessment, rules, uploads }),
    [job, me, store, survey, assessment, rules, uploads],
  );
  return (
    <SurveyProvider value={here}>
      <Page>
        <SurveyTop job={job} store={store} view={station} />
        <Columns>
          <Aside className="no-print">
            <Walk jobId={job.id} current={station} assessment={assessment} missing={missing} />
          </Aside>
          <div>
            <GaugeBand>
              <Gauge assessment={assessment} routeWords={answeredWords(assessment.route, job.answer)} />
            </GaugeBand>
            <main id="main" ref={main}>
              {station !== 'next' && <OpenedNote station={station} />}
              <Conflicts jobId={job.id} store={store} />
              <Refused />
              <Boundary at={station} of="part">
                <ViewPart view={station} />
              </Boundary>
              <Steps aria-label="Stations before and after" className="no-print">
                {before ? (
                  <StepLink to={`/jobs/${job.id}/${before}`}>
                    <ArrowLeft size={18} aria-hidden /> {STATION_NAMES[before]}
                  </StepLink>
                ) : (
                  <span />
                )}
                {after && (
                  <StepLink to={`/jobs/${job.id}/${after}`}>
                    {STATION_NAMES[after]} <ArrowRight size={18} aria-hidden />
                  </StepLink>
                )}
              </Steps>
            </main>
          </div>
        </Columns>
      </Page>
      <SurveyFoot job={job} view={station} assessment={assessment} missing={missing} />
    </SurveyProvider>
  );
}
