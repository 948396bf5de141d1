import { closedBy, type Owed as OwedTask } from '@keen-gauge/core/after/owed';
import type { EventKind } from '@keen-gauge/core/calendar/job-events';
import { useState } from 'react';
import { Link } from 'react-router';
import { addEvent, useEvents } from '../../api/events';
import { problemWords } from '../../api/problem-words';
import { dayWords } from '../../calendar/day-words';
import { Button, MainButton } from '../../kit/Button';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { useStored } from '../../survey/use-field';
import { useOwed } from '../../survey/use-owed';
import { STATION_NAMES } from '../station-names';

/** As many as are shown before the rest is put away. */
const SHOWN = 6;

function Owed({
  owed,
  jobId,
  from = 1,
}: {
  readonly owed: readonly OwedTask[];
  readonly jobId: string;
  readonly from?: number;
}) {
  return (
    <Stack as="ol" aria-label="Owed" start={from} style={{ '--gap': '0.25rem', margin: 0, paddingLeft: '1.7rem' }}>
      {owed.map(({ id, text, station }, index) => (
        <li key={`${id} ${index}`}>
          {text}
          {station !== 'after' && (
            <>
              {' '}
              <Link to={`/jobs/${jobId}/${station}`}>{STATION_NAMES[station]}</Link>
            </>
          )}
        </li>
      ))}
    </Stack>
  );
}

/** What is still owed, and closing the job: freely when nothing is, otherwise with a reason that stays in the record. */
export function ClosePanel() {
  const { job } = useSurvey();
  const ready = useStored(({ saveState }) => saveState === 'saved');
  const { data, mutate } = useEvents(job.id);
  const owed = useOwed();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  if (!data || !owed) return null;
  const closed = closedBy(data.events);
  const enter = async (kind: EventKind, note: string): Promise<void> => {
    setProblem(null);
    try {
      const day = new Date().toISOString().slice(0, 10);
      const details = note.trim() === '' ? {} : { note: note.trim() };
      await mutate(await addEvent(job.id, { kind, day, details }), false);
      setReason('');
    } catch (failed) {
      setProblem(problemWords(failed));
    }
  };
  return (
    <Panel aria-label="Closing the job">
      <h2>Closing the job</h2>
      {owed.length === 0 ? (
        <p>Nothing is due.</p>
      ) : (
        <>
          <p>
            {owed.length} {owed.length === 1 ? 'task is' : 'tasks are'} still due:
          </p>
          <Owed owed={owed.slice(0, SHOWN)} jobId={job.id} />
          {owed.length > SHOWN && (
            <More label={`${owed.length - SHOWN} more`}>
              <Owed owed={owed.slice(SHOWN)} jobId={job.id} from={SHOWN + 1} />
            </More>
          )}
        </>
      )}
      {closed ? (
        <>
          <Notice kind="note" title={`Closed on ${dayWords(closed.day)} by ${closed.by}.`}>
            {closed.details.note}
          </Notice>
          <div>
            <Button onPress={() => void enter('reopened', '')}>Open it again</Button>
          </div>
        </>
      ) : (
        <>
          {owed.length > 0 && (
            <TextInput
              label="Why close it with tasks still due?"
              lines
              value={reason}
              onChange={setReason}
              maxLength={1000}
              help="Kept in the record of the job."
            />
          )}
          <Row>
            <MainButton
              isDisabled={!ready || (owed.length > 0 && reason.trim() === '')}
              onPress={() => void enter('closed', reason)}
            >
              Close the job
            </MainButton>
            {!ready && <span className="quiet">Waiting until everything is saved.</span>}
          </Row>
        </>
      )}
      {problem !== null && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
    </Panel>
  );
}
