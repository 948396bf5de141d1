import { saysWords } from '@keen-gauge/core/customer/answer';
import { meterPoint } from '@keen-gauge/core/route/meter-point';
import { effectsOf, subjectOf, takeAnswer, type CustomerAnswer } from '@keen-gauge/core/customer/take';
import { Check, RotateCcw } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { customerPictureUrl, decideAnswer, type CustomerReply } from '../api/customer';
import { Field } from '../fields/Field';
import { BareButton, Button, MainButton } from '../kit/Button';
import { More } from '../kit/More';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { ReadMeterPoint } from '../ocr/ReadMeterPoint';
import { useSubmit } from '../api/use-submit';
import { BoundNumber } from '../stations/bound';
import { useSet, useSurvey } from '../survey/SurveyContext';
import type { Act } from './act';

const Pictures = styled.div`
  display: grid;
  gap: 0.6rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 15rem), 1fr));
  & a {
    display: block;
    border: 1.5px solid var(--line);
    border-radius: var(--corner);
    overflow: hidden;
  }
  & img {
    display: block;
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: contain;
    background: var(--raised);
  }
`;

const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** One answer beside what it would fill: taken, asked again with a reason, or set aside. */
export function ReplyPanel({
  reply,
  canAskAgain,
  onAct,
}: {
  readonly reply: CustomerReply;
  /** It came by a link that is still open. */
  readonly canAskAgain: boolean;
  readonly onAct: Act;
}) {
  const { job, me, store, survey, uploads } = useSurvey();
  const set = useSet();
  const [isAsking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const { isBusy, problem, submit } = useSubmit();
  const { id, asked, says, pictures, cameAt, round } = reply;
  const answer: CustomerAnswer = { id, step: asked, says, pictures: pictures.length, at: cameAt };
  const effects = effectsOf(survey, answer);
  const words = saysWords(asked, says, 0) || (pictures.length > 0 ? '' : 'Nothing said');
  // A label or a number on a picture is what the surveyor reads on it, not what the customer says of it.
  const head = reply.step === 'cut-out-label' ? survey.supply.nodes.find(({ kind }) => kind === 'cut-out') : undefined;

  const take = async (): Promise<void> => {
    const files = await Promise.all(pictures.map((picture) => fileOf(job.id, picture, reply.step)));
    // Kept on this device first, and in the survey: only then does the server let go of its copies.
    await uploads.add(files, {
      ...subjectOf(survey, reply.step),
      caption: `From the customer: ${asked.ask}`.slice(0, 300),
      fromCustomer: true,
    });
    store.edit(takeAnswer(store.get().survey, answer, me.name, new Date().toISOString()));
    await onAct(() => decideAnswer(job.id, id, 'take'));
  };

  return (
    <Panel aria-label={asked.ask}>
      <div>
        <h2>{asked.ask}</h2>
        <p className="quiet">
          {WHEN.format(new Date(cameAt))}
          {round > 1 ? ', asked again' : ''}
        </p>
      </div>
      {words !== '' && (
        <p style={{ overflowWrap: 'anywhere' }}>
          <strong>{words}</strong>
        </p>
      )}
      {reply.step === 'danger' && says.choice !== undefined && says.choice !== 'no' && (
        <Notice kind="danger" title="Ring the customer now. They were told to keep away and to ring 105.">
          {survey.place.customerPhone ?? 'No telephone number is recorded.'}
        </Notice>
      )}
      {pictures.length > 0 && (
        <Pictures>
          {pictures.map((picture, at) => (
            <a
              key={picture}
              href={customerPictureUrl(job.id, picture, 'full')}
              target="_blank"
              rel="noreferrer"
              aria-label={`Photograph ${at + 1}, large, in a page of its own`}
            >
              <img src={customerPictureUrl(job.id, picture, 'thumb')} alt="" loading="lazy" />
            </a>
          ))}
        </Pictures>
      )}
      {head && pictures.length > 0 && (
        <Stack>
          <p>
            What does the photograph show? The customer’s word establishes no rating; a label that you can read does.
          </p>
          <BoundNumber
            path={['supply', 'nodes', head.id, 'ratingA']}
            label="Fuse rating, each phase"
            usual={[60, 80, 100]}
          />
          <More label="How is it known?">
            <Field path={['supply', 'nodes', head.id, 'evidence']} hideLabel />
          </More>
        </Stack>
      )}
      {(reply.step === 'bill' || reply.step === 'meter') &&
        pictures[0] !== undefined &&
        meterPoint(survey.place.meterPointNumber).state !== 'good' && (
          <ReadMeterPoint
            picture={() => fileOf(job.id, pictures[0] ?? '', reply.step)}
            onChoose={(core) => {
              set(['place', 'meterPointNumber'], core);
            }}
          />
        )}
      {effects.length > 0 ? (
        <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
          {effects.map(({ says: words }) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      ) : (
        <p className="quiet">
          {pictures.length > 0
            ? 'Taken, the photographs are the survey’s, and the answer stands in it as the customer’s word.'
            : 'Taken, it stands in the survey as the customer’s word; no field changes.'}
        </p>
      )}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      {isAsking ? (
        <Stack>
          <TextInput
            label="What should be different? The customer reads this."
            value={reason}
            onChange={setReason}
            maxLength={500}
            lines
          />
          <Row>
            <MainButton
              isDisabled={isBusy || reason.trim() === ''}
              onPress={() => void submit(() => onAct(() => decideAnswer(job.id, id, 'again', reason.trim())))}
            >
              Ask again
            </MainButton>
            <BareButton
              onPress={() => {
                setAsking(false);
              }}
            >
              Cancel
            </BareButton>
          </Row>
        </Stack>
      ) : (
        <Row>
          <MainButton isDisabled={isBusy} onPress={() => void submit(take)}>
            <Check size={18} aria-hidden /> {effects.length > 0 ? 'Take it into the survey' : 'Take it'}
          </MainButton>
          {canAskAgain && (
            <Button
              isDisabled={isBusy}
              onPress={() => {
                setAsking(true);
              }}
            >
              <RotateCcw size={18} aria-hidden /> Ask again …
            </Button>
          )}
          <BareButton
            isDisabled={isBusy}
            onPress={() => void submit(() => onAct(() => decideAnswer(job.id, id, 'set-aside')))}
          >
            Set aside
          </BareButton>
        </Row>
      )}
    </Panel>
  );
}

/** The customer’s picture as a file of ours. */
async function fileOf(jobId: string, picture: string, step: string): Promise<File> {
  const response = await fetch(customerPictureUrl(jobId, picture, 'full'));
  if (!response.ok) throw new Error('The photographs could not be fetched. Try again.');
  return new File([await response.blob()], `${step}.jpg`, { type: 'image/jpeg' });
}
