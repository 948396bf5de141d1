import { CLOCKS } from '@keen-gauge/core/calendar/clocks';
import { addDays, isDay, type Day } from '@keen-gauge/core/calendar/days';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import { useDiary, type DiaryEntry } from '../api/diary';
import { Waiting } from '../app/Waiting';
import { Button } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';
import { Agenda, EntryLines } from './Agenda';
import { DayGrid } from './DayGrid';
import { dayWords } from './day-words';
import { FeedsPanel } from './FeedsPanel';
import { byDueDay, DIARY_VIEWS, monthOf, monthsOn, weekOf, type DiaryView } from './grid';
import { passes, weeksOf } from './weeks';

const Page = styled.main`
  max-width: 84rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

const KIND_WORDS: Readonly<Record<DiaryEntry['id'], string>> = {
  answer: 'Answers to act on',
  'survey-visit': 'Visits to survey',
  'fitting-visit': 'Fittings',
  reply: 'Replies due',
  chase: 'To be asked after',
  'fuse-visit': 'Fuse visits',
  'un-loop': 'Un-looping',
  notice: 'Notices due',
};

const VIEW_NAMES: Readonly<Record<DiaryView, string>> = { month: 'Month', week: 'Week', agenda: 'Agenda' };

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** What is due on every job of the firm: what is late first, then a month, a week or all that is to come. */
export default function DiaryPage() {
  useTitle('Diary');
  const { data, error } = useDiary();
  const [kind, setKind] = useState<DiaryEntry['id'] | 'all'>('all');
  const [words, setWords] = useState('');
  const [address, setAddress] = useSearchParams();
  const view = DIARY_VIEWS.find((each) => each === address.get('view')) ?? 'month';
  const asked = address.get('on');
  const today = data?.today ?? new Date().toISOString().slice(0, 10);
  const on = asked !== null && isDay(asked) ? asked : today;
  const look = (next: { view?: DiaryView; on?: Day }): void => {
    setAddress({ view: next.view ?? view, on: next.on ?? on });
  };
  const entries = (data?.entries ?? []).filter((entry) => passes(entry, { kind, words }));
  const late = entries.filter(({ state }) => state === 'late');
  const toCome = entries.filter(({ state }) => state !== 'late');
  const step = (by: -1 | 1): Day => (view === 'month' ? monthsOn(on, by) : addDays(on, 7 * by));
  const [first, last] = [weekOf(on)[0] ?? on, weekOf(on).at(-1) ?? on];
  return (
    <Page id="main">
      <Stack>
        <div>
          <h1>Diary</h1>
          <p className="quiet">Everything due on the firm’s jobs, and every booked visit.</p>
        </div>
        <Row style={{ alignItems: 'end' }}>
          <span style={{ minWidth: 'min(100%, 22rem)' }}>
            <Choice
              label="Look at"
              tile="6.4rem"
              value={view}
              options={DIARY_VIEWS.map((value) => ({ value, label: VIEW_NAMES[value] }))}
              onChange={(next) => {
                look({ view: next });
              }}
            />
          </span>
          <span style={{ minWidth: 'min(14rem, 100%)' }}>
            <Select
              label="Type"
              value={kind}
              options={[
                { value: 'all' as const, label: 'All kinds' },
                ...CLOCKS.map((value) => ({ value, label: KIND_WORDS[value] })),
              ]}
              onChange={setKind}
            />
          </span>
          <span style={{ minWidth: 'min(14rem, 100%)' }}>
            <TextInput label="Search the diary" type="search" value={words} onChange={setWords} />
          </span>
        </Row>
        {error && !data && <Notice kind="act" title="The diary could not be loaded." />}
        {!data && !error && <Waiting />}
        {data && data.entries.length === 0 && <p>Nothing due. Enter what was sent, or a visit, at a job’s route.</p>}
        {data && data.entries.length > 0 && entries.length === 0 && <p>Nothing of that kind.</p>}
        {late.length > 0 && (
          <Panel aria-label="Late">
            <h2>Late: {late.length}</h2>
            <EntryLines entries={late} />
          </Panel>
        )}
        {data && view !== 'agenda' && (
          <section aria-label={VIEW_NAMES[view]} style={{ display: 'grid', gap: '0.6rem' }}>
            <Row>
              <Button
                aria-label={view === 'month' ? 'The month before' : 'The week before'}
                onPress={() => {
                  look({ on: step(-1) });
                }}
              >
                <ChevronLeft size={20} aria-hidden />
              </Button>
              <Button
                onPress={() => {
                  look({ on: today });
                }}
              >
                Today
              </Button>
              <Button
                aria-label={view === 'month' ? 'The month after' : 'The week after'}
                onPress={() => {
                  look({ on: step(1) });
                }}
              >
                <ChevronRight size={20} aria-hidden />
              </Button>
              <h2 aria-live="polite">
                {view === 'month'
                  ? MONTH.format(new Date(`${on}T00:00:00Z`))
                  : `${dayWords(first)} to ${dayWords(last)}`}
              </h2>
            </Row>
            <DayGrid
              days={view === 'month' ? monthOf(on) : weekOf(on)}
              entries={byDueDay(entries)}
              today={today}
              most={view === 'month' ? 3 : 20}
              {...(view === 'month' ? { month: on.slice(0, 7) } : {})}
              onMore={(day) => {
                look({ view: 'week', on: day });
              }}
            />
          </section>
        )}
        {data && view === 'agenda' && <Agenda weeks={weeksOf(toCome)} />}
        <FeedsPanel />
      </Stack>
    </Page>
  );
}
