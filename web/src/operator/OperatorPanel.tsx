import { nextStep } from '@keen-gauge/core/calendar/next-step';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useEvents } from '../api/events';
import { useJob } from '../api/jobs';
import { newestOfEach, packNumber, usePacks, useSincePack, type Pack } from '../api/packs';
import { problemWords } from '../api/problem-words';
import { handIn, stopHandingIn, useConversations, type Conversation, type Conversations } from '../api/submissions';
import { BareButton, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { ChangeLines } from '../stations/pack/ChangeLines';
import { STATION_NAMES } from '../stations/station-names';
import { useSurvey } from '../survey/SurveyContext';
import { useStored } from '../survey/use-field';

const STATES: Readonly<Record<Conversation['state'], string>> = {
  waiting: 'Waiting to be handed in',
  'handed-in': 'With the operator',
  answered: 'Answered',
  returned: 'Sent back',
  stopped: 'Stopped',
};
const VOICES = { out: 'We', in: 'The operator', trouble: 'Trouble' } as const;

/** The newest packs handed in over the operator’s link, everything said about them, and what the answer makes the next step. */
export function OperatorPanel() {
  const { job } = useSurvey();
  const { mutate: lookAtJob } = useJob(job.id);
  const { data, error, mutate } = useConversations(job.id);
  const { data: packs } = usePacks(job.id);
  const { data: events, mutate: lookAtEvents } = useEvents(job.id);
  const [problem, setProblem] = useState<string | null>(null);
  const newest = newestOfEach(packs?.packs ?? []);
  const step = events ? nextStep(events.events) : null;

  // The outbox enters what was said as dates of the job: they are looked at again when something new was said.
  const said = data?.conversations.reduce((count, { messages }) => count + messages.length, 0) ?? 0;
  useEffect(() => {
    if (said > 0) void Promise.all([lookAtEvents(), lookAtJob()]);
  }, [said, lookAtEvents, lookAtJob]);

  // Where the newest packs can go is asked anew for each.
  const newestIds = newest.map(({ id }) => id).join();
  useEffect(() => {
    if (newestIds !== '') void mutate();
  }, [newestIds, mutate]);

  const act = async (work: () => Promise<Conversations>): Promise<void> => {
    setProblem(null);
    try {
      await mutate(await work(), false);
    } catch (failed) {
      setProblem(problemWords(failed));
    }
  };
  if (newest.length === 0) return null;
  const linked = data?.linkedPackIds ?? [];
  const mayGo = newest.filter(({ id, route }) => {
    const sent = data?.conversations.find(({ packId }) => packId === id);
    return linked.includes(id) && (!sent || sent.state === 'stopped') && route !== 'hold';
  });
  return (
    <Panel aria-label="With the operator">
      <h2>With the operator</h2>
      {error && !data && <Notice kind="act" title="What was handed in could not be loaded." />}
      {data && linked.length === 0 && data.conversations.length === 0 && (
        <p className="quiet">
          There is no link to the operator of this area. Send the pack by hand, then enter the day and its reference at{' '}
          <Link to={`/jobs/${job.id}/route`}>{STATION_NAMES.route}</Link>.
        </p>
      )}
      {mayGo.length > 0 && (
        <p className="quiet">
          A pack goes to the operator of its area in the background; this page need not stay open. It is handed in once,
          however often the line falls.
        </p>
      )}
      {mayGo.map((pack) => (
        <HandIn key={pack.id} pack={pack} onHandIn={(reason) => void act(() => handIn(job.id, pack.id, reason))} />
      ))}
      {problem !== null && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      {step && data && data.conversations.length > 0 && (
        <Notice kind="act" title="Next step">
          {step.says} <Link to={`/jobs/${job.id}/${step.station}`}>{STATION_NAMES[step.station]}</Link>
        </Notice>
      )}
      <div aria-live="polite">
        {data?.conversations.map((conversation) => (
          <OneConversation
            key={conversation.id}
            conversation={conversation}
            onStop={() => void act(() => stopHandingIn(job.id, conversation.id))}
          />
        ))}
      </div>
    </Panel>
  );
}

/** One pack that can go: what the survey says by now that it does not, and the button. */
function HandIn({ pack, onHandIn }: { readonly pack: Pack; readonly onHandIn: (reason: string) => void }) {
  const { job } = useSurvey();
  const revisionId = useStored(({ head }) => head.revisionId);
  const { data: moved } = useSincePack(job.id, revisionId, pack.supplyId);
  const [reason, setReason] = useState('');
  const stale = moved?.since?.packId === pack.id ? moved.since.lines : [];
  const number = packNumber(pack.number);
  return (
    <Stack style={{ '--gap': '0.4rem' }}>
      {stale.length > 0 && (
        <>
          <Notice kind="act" title={`${number} is older than the survey. Sign again, or say why.`}>
            <ChangeLines lines={stale} />
          </Notice>
          <TextInput label={`Why send ${number} as it is?`} value={reason} onChange={setReason} maxLength={500} />
        </>
      )}
      <Row>
        <MainButton
          isDisabled={!moved || (stale.length > 0 && reason.trim() === '')}
          onPress={() => {
            onHandIn(reason);
          }}
        >
          Hand {number} in
        </MainButton>
        {pack.supplyName != null && <span className="quiet">{pack.supplyName}</span>}
      </Row>
    </Stack>
  );
}

function OneConversation({
  conversation: { packNumber: number, state, answered, reference, attempts, askedBy, askedAt, messages },
  onStop,
}: {
  readonly conversation: Conversation;
  readonly onStop: () => void;
}) {
  const name = packNumber(number);
  return (
    <Stack
      as="section"
      aria-label={`Conversation about ${name}`}
      style={{ '--gap': '0.35rem', paddingBottom: '0.7rem' }}
    >
      <Row>
        <strong className="figures">{name}</strong>
        <span>{STATES[answered ? 'answered' : state]}</span>
        {reference !== null && <span className="figures">{reference}</span>}
        {state === 'waiting' && (
          <>
            {attempts > 1 && <span className="quiet">tried {attempts} times, tried again by itself</span>}
            <BareButton aria-label={`Stop handing in ${name}`} onPress={onStop}>
              Stop
            </BareButton>
          </>
        )}
      </Row>
      <Stack as="ol" style={{ '--gap': '0.25rem', listStyle: 'none', padding: 0, margin: 0 }}>
        <li>
          <span className="quiet">{moment(askedAt)}</span> {askedBy} asked for it to be handed in.
        </li>
        {messages.map(({ at, direction, says }, index) => (
          <li key={index}>
            <span className="quiet">{moment(at)}</span> <strong>{VOICES[direction]}:</strong> {says}
          </li>
        ))}
      </Stack>
    </Stack>
  );
}

function moment(at: string): string {
  return new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'medium' }).format(new Date(at));
}
