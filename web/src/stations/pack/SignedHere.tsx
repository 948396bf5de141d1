import { PenLine } from 'lucide-react';
import useSWR from 'swr';
import { sendEverything } from '../../device/sender';
import { Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Row } from '../../kit/Panel';
import { forgetSignature, keptSignatures } from '../../offline/signatures';
import { useSurvey } from '../../survey/SurveyContext';

const time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** What was signed on this device and has not become a numbered pack yet. */
export function SignedHere() {
  const { job, me } = useSurvey();
  const { data: signed = [], mutate } = useSWR(
    ['signed-here', me.id, job.id],
    async () => (await keptSignatures(me.id)).filter(({ jobId }) => jobId === job.id),
    { refreshInterval: 2000 },
  );
  return signed.map(({ id, at, fingerprint, photos, problem }) => (
    <Notice
      key={id}
      kind={problem === undefined ? 'note' : 'act'}
      title={problem === undefined ? 'Signed on this device.' : 'Signed on this device, and not taken.'}
    >
      <PenLine size={16} aria-hidden /> {time.format(new Date(at))}, fingerprint{' '}
      <span className="figures">{fingerprint.slice(0, 16)}</span>
      {photos.length > 0 &&
        `, with ${photos.length} photograph${photos.length === 1 ? '' : 's'} still to be sent`}.{' '}
      {problem ??
        'It becomes a numbered pack when there is a connection, unless somebody has changed the survey meanwhile.'}
      {problem !== undefined && (
        <Row style={{ marginTop: '0.5rem' }}>
          <Button onPress={() => void forgetSignature(id).then(() => mutate())}>
            Withdraw it, and sign again below
          </Button>
          <Button onPress={() => void sendEverything(me.id, true).then(() => mutate())}>Try again</Button>
        </Row>
      )}
    </Notice>
  ));
}
