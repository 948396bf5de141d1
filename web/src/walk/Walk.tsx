import type { Assessment } from '@keen-gauge/core/assessment';
import type { Station } from '@keen-gauge/core/finding';
import { CircleHelp, ClipboardCheck, Footprints, MessageCircleQuestion } from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useCustomer } from '../api/customer';
import { customerWords } from '../customer/customer-words';
import { useOwed } from '../survey/use-owed';
import { LEGS, STATION_NAMES, VIEW_NAMES, type View } from '../stations/station-names';
import { dueAt, workAt, type StationWork } from './work';

const Rail = styled.nav`
  position: relative;
  padding: 0.2rem 0 0.4rem;
`;

const Stops = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  position: relative;
  &::before {
    content: '';
    position: absolute;
    left: 1.32rem;
    top: 0.2rem;
    bottom: 1rem;
    border-left: 4px solid var(--strong-line);
  }
`;

const Stop = styled(Link)`
  position: relative;
  display: grid;
  grid-template-columns: 1.9rem 1fr;
  gap: 0.65rem;
  align-items: center;
  min-height: 44px;
  padding: 0.1rem 0.6rem 0.1rem 0.5rem;
  border-radius: var(--corner);
  color: var(--ink);
  text-decoration: none;
  line-height: 1.2;
  &:hover {
    background: var(--raised);
  }
  &[aria-current='page'] {
    background: var(--surface);
    font-weight: 700;
    box-shadow: inset 0 0 0 1.5px var(--strong-line);
  }
`;

const ToLook = styled(Stop)`
  margin-top: 0.3rem;
  padding-left: 0.9rem;
`;

const NextLink = styled(ToLook)`
  margin: 0 0 0.3rem;
  border: 1.5px solid var(--strong-line);
`;

const Leg = styled.h3`
  padding: 0.3rem 0 0 0.5rem;
  font-size: 0.82rem;
  font-weight: 600;
  color: var(--quiet);
`;

const Small = styled.span`
  display: block;
  font-size: 0.82rem;
  font-weight: 400;
  color: var(--quiet);
`;

/** A clamp round the cable: filled when settled, open with the count when not, barred when dangerous. */
function StopMark({ open, danger, isPlain }: Omit<StationWork, 'words'>) {
  if (danger)
    return (
      <svg width={30} height={30} viewBox="0 0 30 30" aria-hidden focusable="false">
        <path d="M10 4h10l6 6v10l-6 6H10l-6-6V10z" fill="var(--surface)" stroke="var(--hold)" strokeWidth={2.5} />
        <path d="M15 9v8M15 20.500v.500" stroke="var(--hold)" strokeWidth={3} strokeLinecap="round" />
      </svg>
    );
  return (
    <svg width={30} height={30} viewBox="0 0 30 30" aria-hidden focusable="false">
      <rect
        x={5}
        y={5}
        width={20}
        height={20}
        rx={open > 0 ? 10 : 5}
        fill={open > 0 || isPlain ? 'var(--surface)' : 'var(--ink)'}
        stroke="var(--ink)"
        strokeWidth={2.2}
      />
      {open > 0 ? (
        <text
          x={15}
          y={20}
          textAnchor="middle"
          fontSize={open > 99 ? 10 : 14}
          fontWeight={700}
          fill="var(--ink)"
          fontFamily="var(--figures)"
        >
          {open > 99 ? '99+' : open}
        </text>
      ) : isPlain ? null : (
        <path
          d="M10.500 15.500l3.200 3.200 6-7"
          fill="none"
          stroke="var(--surface)"
          strokeWidth={2.4}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
    </svg>
  );
}

interface StopProps extends StationWork {
  readonly jobId: string;
  readonly station: Station;
  readonly isCurrent: boolean;
  readonly onGo: (() => void) | undefined;
}

/** One station and what is open there; a key that changes nothing of it leaves it as it is. */
const OneStop = memo(function OneStop({ jobId, station, isCurrent, onGo, words, ...work }: StopProps) {
  return (
    <Stop to={`/jobs/${jobId}/${station}`} aria-current={isCurrent ? 'page' : undefined} {...going(onGo)}>
      <StopMark {...work} />
      <span>
        {STATION_NAMES[station]}
        <Small>{words}</Small>
      </span>
    </Stop>
  );
});

/** In a sheet the way taken stands in place of the sheet. */
const going = (onGo: (() => void) | undefined): { readonly onClick?: () => void; readonly replace?: boolean } =>
  onGo ? { onClick: onGo, replace: true } : {};

export interface WalkProps {
  readonly jobId: string;
  readonly current: View;
  readonly assessment: Assessment;
  /** How many items the pack still lacks. */
  readonly missing: number;
  readonly onGo?: () => void;
}

/** The walk from the street inwards, along the cable: every station and what is open there. */
export function Walk({ jobId, current, assessment, missing, onGo }: WalkProps) {
  const owed = useOwed();
  const go = going(onGo);
  const { data: customer } = useCustomer(jobId);
  const due = owed && dueAt(owed);
  const open = assessment.findings.filter(({ grade }) => grade === 'ask').length;
  return (
    <Rail aria-label="Stations">
      <NextLink to={`/jobs/${jobId}/next`} aria-current={current === 'next' ? 'page' : undefined} {...go}>
        <CircleHelp size={20} aria-hidden />
        <span>
          Next question
          <Small>{open === 0 ? 'nothing open' : `${open} open`}</Small>
        </span>
      </NextLink>
      {LEGS.map(({ name, stations }) => (
        <section key={name} aria-label={name}>
          <Leg>{name}</Leg>
          <Stops>
            {stations.map((station) => (
              <li key={station}>
                <OneStop
                  jobId={jobId}
                  station={station}
                  isCurrent={station === current}
                  onGo={onGo}
                  {...workAt(station, assessment, missing, due)}
                />
              </li>
            ))}
          </Stops>
        </section>
      ))}
      <ToLook to={`/jobs/${jobId}/review`} aria-current={current === 'review' ? 'page' : undefined} {...go}>
        <ClipboardCheck size={20} aria-hidden />
        <span>
          Review
          <Small>before signing</Small>
        </span>
      </ToLook>
      <ToLook to={`/jobs/${jobId}/customer`} aria-current={current === 'customer' ? 'page' : undefined} {...go}>
        <MessageCircleQuestion size={20} aria-hidden />
        <span>
          {VIEW_NAMES.customer}
          <Small>{customerWords(customer)}</Small>
        </span>
      </ToLook>
      <ToLook to={`/jobs/${jobId}/to-look`} aria-current={current === 'to-look' ? 'page' : undefined} {...go}>
        <Footprints size={20} aria-hidden />
        <span>
          {VIEW_NAMES['to-look']}
          <Small>{open === 0 ? 'nothing' : 'the list, to print'}</Small>
        </span>
      </ToLook>
    </Rail>
  );
}
