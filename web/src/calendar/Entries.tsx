import { CONDITION_NAMES, EVENT_NAMES, standing, type JobEvent } from '@keen-gauge/core/calendar/job-events';
import { OPERATOR_ANSWER_NAMES } from '@keen-gauge/core/calendar/operator-answers';
import { Paperclip } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { addAttachment, attachmentUrl } from '../api/events';
import { problemWords } from '../api/problem-words';
import { BareButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { dayWords } from './day-words';

/** What was entered, newest first, each with who; one entered by mistake is withdrawn, never removed. */
export function Entries({
  jobId,
  events,
  onWithdraw,
  onChanged,
}: {
  readonly jobId: string;
  readonly events: readonly JobEvent[];
  readonly onWithdraw: (id: string) => Promise<void>;
  readonly onChanged: (events: readonly JobEvent[]) => void;
}) {
  if (events.length === 0) return <p className="quiet">Nothing is entered yet.</p>;
  const stands = new Set(standing(events).map(({ id }) => id));
  return (
    <Stack as="ol" aria-label="Entered" style={{ '--gap': '0.3rem', listStyle: 'none', padding: 0, margin: 0 }}>
      {[...events].reverse().map((event) => (
        <Row as="li" key={event.id} style={{ justifyContent: 'space-between' }}>
          <span style={stands.has(event.id) ? undefined : { textDecoration: 'line-through' }}>
            <strong>{dayWords(event.day)}</strong> {EVENT_NAMES[event.kind]}
            {event.details.answer ? `: ${OPERATOR_ANSWER_NAMES[event.details.answer].toLowerCase()}` : ''}
            {event.details.condition
              ? ` (${CONDITION_NAMES[event.details.condition].toLowerCase()}${event.details.limitA === undefined ? '' : `, ${event.details.limitA} A`})`
              : ''}
            {event.details.reference ? `, reference ${event.details.reference}` : ''}
            {event.details.note ? `; ${event.details.note}` : ''}
            <span className="quiet">
              {' '}
              — {event.details.overLink ? 'over the operator’s link, asked for by ' : ''}
              {event.by}
            </span>
            {event.attachments?.map(({ id, name }) => (
              <span key={id}>
                {' '}
                <a href={attachmentUrl(jobId, event.id, id)} download>
                  {name}
                </a>
              </span>
            ))}
          </span>
          {stands.has(event.id) && (
            <Row style={{ '--gap': '0.2rem' }}>
              <Attach jobId={jobId} event={event} onChanged={onChanged} />
              <BareButton
                aria-label={`Withdraw: ${EVENT_NAMES[event.kind]}, ${dayWords(event.day)}`}
                onPress={() => void onWithdraw(event.id)}
              >
                Withdraw
              </BareButton>
            </Row>
          )}
        </Row>
      ))}
    </Stack>
  );
}

/** Puts a letter, an e-mail or a picture of one with an entry. */
function Attach({
  jobId,
  event,
  onChanged,
}: {
  readonly jobId: string;
  readonly event: JobEvent;
  readonly onChanged: (events: readonly JobEvent[]) => void;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const attach = async (files: FileList | null): Promise<void> => {
    setProblem(null);
    try {
      for (const file of files ?? []) onChanged((await addAttachment(jobId, event.id, file)).events);
    } catch (failed) {
      setProblem(problemWords(failed));
    }
  };
  return (
    <>
      <FileTrigger
        acceptedFileTypes={['application/pdf', 'image/jpeg', 'image/png', 'text/plain', 'message/rfc822', '.eml']}
        onSelect={(files) => void attach(files)}
      >
        <BareButton aria-label={`Attach to: ${EVENT_NAMES[event.kind]}, ${dayWords(event.day)}`}>
          <Paperclip size={18} aria-hidden /> Attach
        </BareButton>
      </FileTrigger>
      {problem !== null && <Notice kind="act" title={problem} />}
    </>
  );
}
