import { CLOCK_TITLES } from '@keen-gauge/core/calendar/clocks';
import { CloudOff, EllipsisVertical, HardDriveDownload, MessageCircleQuestion, FileText } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { jobNumber, stateWords, type Job } from '../api/jobs';
import { shortDayWords } from '../calendar/day-words';
import { RowMenu } from '../kit/RowMenu';
import { QUOTATION_WORDS } from '../stations/quotation/quotation-words';
import { RouteMark } from '../kit/RouteMark';

const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  border-top: 1px solid var(--line);
  li:first-child > & {
    border-top: 0;
  }
  &:hover {
    background: var(--raised);
    box-shadow: inset 4px 0 0 var(--accent);
  }
`;

const Item = styled(Link)`
  display: grid;
  grid-template-columns: 7.4rem minmax(0, 1.3fr) 10.5rem minmax(0, 1fr) minmax(0, 0.9fr);
  gap: 0.2rem 1rem;
  align-items: center;
  padding: 0.6rem 0 0.6rem 0.9rem;
  min-height: 62px;
  color: var(--ink);
  text-decoration: none;
  @media (max-width: 60rem) {
    /* Its number and its route beside each other while both fit, however large the letters are. */
    display: flex;
    flex-wrap: wrap;
    & > :first-child {
      flex: 1 1 auto;
    }
    & > :nth-child(2),
    & > :nth-child(4),
    & > :nth-child(5) {
      flex: 1 0 100%;
    }
    & > :nth-child(2) {
      order: -1;
    }
    & > .at-desk {
      display: none;
    }
  }
`;

const Number = styled.span`
  font-family: var(--figures);
  font-weight: 600;
  color: var(--quiet);
  font-size: 0.92rem;
`;

const Small = styled.span`
  display: block;
  font-size: 0.92rem;
  color: var(--quiet);
`;

const Here = styled.span`
  display: inline-flex;
  margin-left: 0.5rem;
  vertical-align: -0.15em;
  align-items: center;
  gap: 0.3rem;
  font-size: 0.88rem;
  color: var(--quiet);
`;

export type JobAct = 'assign' | 'duplicate' | 'archive' | 'restore' | 'take' | 'leave';

/** One job of the list: where it is and whose, how far it has come, its route, what is open, what is next and who has it. */
export function JobRow({
  job,
  isKept,
  hereAt,
  isWithout,
  isChosen,
  onAct,
}: {
  readonly job: Job;
  /** Something of it is on this device and has not been sent. */
  readonly isKept: boolean;
  /** It is wanted on this device whoever has it. */
  readonly isChosen: boolean;
  /** When its survey was taken onto this device last, in milliseconds since 1970; undefined where it is not here. */
  readonly hereAt: number | undefined;
  /** There is no connection: what is not here cannot be opened. */
  readonly isWithout: boolean;
  readonly onAct: (act: JobAct) => void;
}) {
  return (
    <Line>
      <Item to={`/jobs/${job.id}`}>
        <span>
          <Number>{jobNumber(job.number)}</Number>
          <Small as="span">{stateWords(job)}</Small>
        </span>
        <span>
          <strong>{job.place}</strong>
          {hereAt !== undefined && (
            <Here title={`As of ${new Date(hereAt).toLocaleString('en-GB')}`}>
              <HardDriveDownload size={15} aria-hidden />
              {isWithout || isChosen ? ' On this device' : <span className="unseen">On this device</span>}
            </Here>
          )}
          <Small>{[job.wanted, job.customer].filter(Boolean).join(' · ')}</Small>
          {(job.fromCustomer ?? 0) > 0 && (
            <span style={{ color: 'var(--accent)', fontWeight: 600, fontSize: '0.92rem', display: 'block' }}>
              <MessageCircleQuestion size={16} aria-hidden style={{ verticalAlign: '-0.2em' }} /> From the customer:{' '}
              {job.fromCustomer} to review
            </span>
          )}
          {job.quotation != null && job.quotation !== 'withdrawn' && (
            <span style={{ fontWeight: 600, fontSize: '0.92rem', display: 'block' }}>
              <FileText size={16} aria-hidden style={{ verticalAlign: '-0.2em' }} /> Quotation{' '}
              {QUOTATION_WORDS[job.quotation]}
            </span>
          )}
          {hereAt === undefined && isWithout && <Small as="span">Not on this device.</Small>}
          {isKept && (
            <span style={{ color: 'var(--hold)', fontWeight: 600, fontSize: '0.92rem' }}>
              <CloudOff size={16} aria-hidden style={{ verticalAlign: '-0.2em' }} /> On this device only, not sent yet.
            </span>
          )}
        </span>
        <RouteMark way={job.route} />
        <span className={job.nextQuestion === null ? 'quiet at-desk' : ''} style={{ fontSize: '0.92rem' }}>
          {job.nextQuestion ?? 'Nothing open'}
        </span>
        <span style={{ fontSize: '0.92rem' }}>
          <NextDay job={job} />
          <Small as="span">{job.assignedTo?.name ?? 'Not assigned'}</Small>
        </span>
      </Item>
      <RowMenu
        label={`More for ${jobNumber(job.number)}`}
        icon={<EllipsisVertical size={20} aria-hidden />}
        options={[
          { value: 'assign' as const, label: 'Assign' },
          isChosen
            ? { value: 'leave' as const, label: 'Do not take along' }
            : { value: 'take' as const, label: 'Take along on this device' },
          { value: 'duplicate' as const, label: 'Duplicate for a house like it' },
          job.archived
            ? { value: 'restore' as const, label: 'Restore' }
            : { value: 'archive' as const, label: 'Archive' },
        ]}
        onChoose={onAct}
      />
    </Line>
  );
}

function NextDay({ job }: { readonly job: Job }) {
  if (job.nextOn === null || job.nextWhat === null) return null;
  return (
    <span style={job.late ? { color: 'var(--hold)', fontWeight: 700, display: 'block' } : { display: 'block' }}>
      {job.late ? 'Late: ' : ''}
      {CLOCK_TITLES[job.nextWhat]}, {shortDayWords(job.nextOn)}
    </span>
  );
}
