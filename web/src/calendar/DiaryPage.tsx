import { CLOCKS } from '@keen-gauge/core/calendar/clocks';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import { useDiary, type DiaryEntry } from '../api/diary';
import { jobNumber } from '../api/jobs';
import { Waiting } from '../app/Waiting';
import { Choice } from '../kit/Choice';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';
import { dayWords } from './day-words';
import { FeedsPanel } from './FeedsPanel';
import { weeksOf } from './weeks';

const Page = styled.main`
  max-width: 60rem;
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

/** What is due on every job of the firm, week by week. */
export default function DiaryPage() {
  useTitle('Diary');
  const { data, error } = useDiary();
  const [kind, setKind] = useState<DiaryEntry['id'] | 'all'>('all');
  const [state, setState] = useState<'all' | 'late'>('all');
  const [words, setWords] = useState('');
  const weeks = data ? weeksOf(data.entries, { kind, lateOnly: state === 'late', words }) : [];
  return (
    <Page id="main">
      <Stack>
        <div>
          <Link to="/">Jobs</Link>
          <h1>Diary</h1>
          <p className="quiet">Every clock that runs on the firm’s jobs, by the week it runs out in.</p>
        </div>
        <Row style={{ alignItems: 'end' }}>
          <span style={{ minWidth: '14rem' }}>
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
          <span style={{ minWidth: '14rem' }}>
            <TextInput label="Search the diary" type="search" value={words} onChange={setWords} />
          </span>
          <span style={{ minWidth: '16rem' }}>
            <Choice
              label="Show"
              tile="7rem"
              value={state}
              options={[
                { value: 'all', label: 'All' },
                { value: 'late', label: 'Late' },
              ]}
              onChange={setState}
            />
          </span>
        </Row>
        {error && !data && <Notice kind="act" title="The diary could not be loaded." />}
        {!data && !error && <Waiting />}
        {data && weeks.length === 0 && (
          <p>
            {data.entries.length === 0 ? 'Nothing due. Enter what was sent at a job’s route.' : 'Nothing of that kind.'}
          </p>
        )}
        {weeks.map(({ monday, entries }) => (
          <Panel key={monday} aria-label={`Week of ${dayWords(monday)}`}>
            <h2>Week of {dayWords(monday)}</h2>
            <Stack as="ul" style={{ '--gap': '0.4rem', listStyle: 'none', padding: 0, margin: 0 }}>
              {entries.map((entry) => (
                <li key={`${entry.jobId} ${entry.id}`}>
                  <strong style={entry.state === 'late' ? { color: 'var(--hold)' } : undefined}>
                    {dayWords(entry.dueOn)}
                    {entry.state === 'late' ? ', late' : entry.state === 'today' ? ', today' : ''}
                  </strong>{' '}
                  {entry.title}:{' '}
                  <Link to={`/jobs/${entry.jobId}/route`}>
                    {jobNumber(entry.number)} {entry.place}
                  </Link>
                </li>
              ))}
            </Stack>
          </Panel>
        ))}
        <FeedsPanel />
      </Stack>
    </Page>
  );
}
