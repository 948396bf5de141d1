import type { Assessment } from '@keen-gauge/core/assessment';
import {
  CircleHelp,
  ClipboardCheck,
  FileCheck2,
  Footprints,
  History,
  Images,
  ListTree,
  Menu,
  MessageCircleQuestion,
} from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Job } from '../api/jobs';
import { LightSwitch } from '../app/LightSwitch';
import { FootBar } from '../kit/FootBar';
import { Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';
import type { View } from '../stations/station-names';
import { Walk } from '../walk/Walk';

const Away = styled(Link)`
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 48px;
  color: var(--ink);
`;

/** A phone’s way about a survey: the next question, the stations, the photographs, the pack, and what is needed less often. */
export function SurveyFoot({
  job,
  view,
  assessment,
  missing,
}: {
  readonly job: Job;
  readonly view: View;
  readonly assessment: Assessment;
  readonly missing: number;
}) {
  const [open, setOpen] = useState<'stations' | 'more' | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const to = (at: string): string => `/jobs/${job.id}/${at}`;
  return (
    <>
      <FootBar
        label="About this survey"
        items={[
          { name: 'Next', icon: <CircleHelp size={21} aria-hidden />, to: to('next'), isCurrent: view === 'next' },
          {
            name: 'Stations',
            icon: <ListTree size={21} aria-hidden />,
            onPress: () => {
              setOpen('stations');
            },
          },
          { name: 'Photos', icon: <Images size={21} aria-hidden />, to: to('photos'), isCurrent: view === 'photos' },
          { name: 'Pack', icon: <FileCheck2 size={21} aria-hidden />, to: to('pack'), isCurrent: view === 'pack' },
          {
            name: 'More',
            icon: <Menu size={21} aria-hidden />,
            onPress: () => {
              setOpen('more');
            },
          },
        ]}
      />
      <Sheet title="Stations" isOpen={open === 'stations'} onClose={close}>
        <Walk jobId={job.id} current={view} assessment={assessment} missing={missing} onGo={close} />
      </Sheet>
      <Sheet title="More" isOpen={open === 'more'} onClose={close}>
        <Stack>
          <div>
            <LightSwitch />
          </div>
          <Away to={to('review')} onClick={close} replace>
            <ClipboardCheck size={20} aria-hidden /> Review
          </Away>
          <Away to={to('to-look')} onClick={close} replace>
            <Footprints size={20} aria-hidden /> Still to find out
          </Away>
          <Away to={to('customer')} onClick={close} replace>
            <MessageCircleQuestion size={20} aria-hidden /> From the customer
          </Away>
          <Away to={to('history')} onClick={close} replace>
            <History size={20} aria-hidden /> History
          </Away>
        </Stack>
      </Sheet>
    </>
  );
}
