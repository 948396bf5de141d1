import { ArrowLeft } from 'lucide-react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import { jobNumber, useJob } from '../api/jobs';
import { useHistory, type HistoryEntry } from '../api/surveys';
import { Waiting } from '../app/Waiting';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { RecordPanel } from './RecordPanel';
import { changeWords } from '../survey/change-words';

const Page = styled.main`
  max-width: 56rem;
  margin: 0 auto;
  padding: 0.8rem clamp(0.7rem, 2vw, 1.4rem) 4rem;
  display: grid;
  gap: 0.9rem;
`;

const List = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: calc(var(--corner) + 2px);
  background: var(--surface);
  & > li {
    display: grid;
    grid-template-columns: 13rem minmax(0, 1fr);
    gap: 0.3rem 1rem;
    padding: 0.6rem 0.9rem;
    border-top: 1px solid var(--line);
  }
  & > li:first-child {
    border-top: 0;
  }
  @media (max-width: 40rem) {
    & > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const SHOWN = 12;

/** Who changed what, and when, newest first. */
export default function HistoryPage() {
  const { jobId = '' } = useParams();
  const { data: job } = useJob(jobId);
  useTitle('History', job?.place, job && jobNumber(job.number));
  const { data, error, size, setSize, isLoading } = useHistory(jobId);
  const entries = data?.flatMap((page) => page.entries) ?? [];
  return (
    <Page id="main">
      <Link
        to={`/jobs/${jobId}`}
        style={{ minHeight: 44, display: 'inline-flex', alignItems: 'center', gap: '0.4rem' }}
      >
        <ArrowLeft size={18} aria-hidden /> Back to the survey
      </Link>
      <h1>History{job ? ` of ${jobNumber(job.number)}` : ''}</h1>
      <RecordPanel jobId={jobId} />
      <h2>Every change to the survey</h2>
      {error && <Notice kind="act" title={error.message} />}
      {isLoading && <Waiting />}
      {data && entries.length === 0 && <p className="quiet">Nothing has been entered yet.</p>}
      {entries.length > 0 && (
        <List>
          {entries.map((entry) => (
            <Entry key={entry.id} entry={entry} />
          ))}
        </List>
      )}
      {data?.at(-1)?.more && (
        <Button
          onPress={() => {
            void setSize(size + 1);
          }}
        >
          Earlier changes
        </Button>
      )}
    </Page>
  );
}

function Entry({ entry }: { readonly entry: HistoryEntry }) {
  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'medium' }).format(
    new Date(entry.madeAt),
  );
  const rest = entry.changes.length - SHOWN;
  return (
    <li>
      <span>
        <strong>{entry.person}</strong>
        <span className="quiet" style={{ display: 'block', fontSize: '0.88rem' }}>
          {when} · revision {entry.seq}
        </span>
      </span>
      <ul style={{ margin: 0, paddingLeft: '1.1rem' }}>
        {entry.changes.slice(0, SHOWN).map((change, index) => (
          <li key={index}>{changeWords(change)}</li>
        ))}
        {rest > 0 && <li className="quiet">and {rest} more</li>}
      </ul>
    </li>
  );
}
