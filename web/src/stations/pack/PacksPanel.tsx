import { Hourglass } from 'lucide-react';
import { useEffect, useState } from 'react';
import { coveringMessage, packNumber, usePackMessage, usePacks, type Pack } from '../../api/packs';
import { Button, ButtonLink } from '../../kit/Button';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { MailForm } from '../../mail/MailForm';
import { useConnection } from '../../offline/connection';
import { useSurvey } from '../../survey/SurveyContext';
import { useStored } from '../../survey/use-field';
import { ChangeLines } from './ChangeLines';

/** What was signed before, newest first, with everything that can be taken of it. */
export function PacksPanel() {
  const { job } = useSurvey();
  const seq = useStored(({ head }) => head.seq);
  const { data, error } = usePacks(job.id);
  const isWithout = useConnection() === 'without';
  return (
    <Panel aria-label="Packs">
      <h2>Packs</h2>
      {error && !data && <Notice kind="act" title="The packs could not be loaded." />}
      {data?.packs.length === 0 && (
        <p className="quiet">None yet. The first appears here when the survey is signed off.</p>
      )}
      {isWithout && (
        <p className="quiet">
          Documents and archives are made and given out by the server: they wait for a connection.
        </p>
      )}
      {data?.packs.map((pack) => (
        <PackLine key={pack.id} pack={pack} seq={seq} />
      ))}
    </Panel>
  );
}

function PackLine({ pack, seq }: { readonly pack: Pack; readonly seq: number }) {
  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(
    new Date(pack.signedAt),
  );
  return (
    <Stack style={{ '--gap': '0.35rem', borderTop: '1px solid var(--line)', paddingTop: '0.7rem' }}>
      <Row>
        <strong className="figures">{packNumber(pack.number)}</strong> {pack.title}
        {pack.supplyName && <>, {pack.supplyName}</>} <RouteMark way={pack.route} size={17} />
      </Row>
      <span className="quiet">
        Signed by {pack.signedBy}, {when}; revision {pack.revisionSeq}
        {seq > pack.revisionSeq && <strong> · the survey has changed since</strong>}; fingerprint{' '}
        <span className="figures">{pack.fingerprint.slice(0, 16)}</span>
        {pack.reason !== null && <> · signed with items missing: {pack.reason}</>}
      </span>
      {!pack.made && <BeingMade since={pack.signedAt} />}
      <Row>
        {pack.made && (
          <>
            <ButtonLink href={`/api/packs/${pack.id}/pack.zip`} download>
              Everything, ZIP
            </ButtonLink>
            <ButtonLink href={`/api/packs/${pack.id}/notice.pdf`} download>
              PDF
            </ButtonLink>
          </>
        )}
        <ButtonLink href={`/api/packs/${pack.id}/survey.json`} download>
          JSON, open format
        </ButtonLink>
        <CoveringMessage packId={pack.id} number={packNumber(pack.number)} />
      </Row>
      <MailThePack packId={pack.id} number={packNumber(pack.number)} />
      <ChangedSince packId={pack.id} />
    </Stack>
  );
}

/** Longer than this a document takes only where something holds it up, ms. */
const USUAL_MS = 60_000;

/** Signed and fixed; the document and the archive follow by themselves. */
function BeingMade({ since }: { readonly since: string }) {
  const [late, setLate] = useState(false);
  useEffect(() => {
    const left = new Date(since).getTime() + USUAL_MS - Date.now();
    const timer = setTimeout(
      () => {
        setLate(true);
      },
      Math.max(0, left),
    );
    return () => {
      clearTimeout(timer);
    };
  }, [since]);
  return (
    <p role="status" style={{ display: 'flex', gap: '0.4rem', alignItems: 'center' }}>
      <Hourglass size={17} aria-hidden />
      <span>
        Signed. Its PDF and archive are being made
        {late ? ', which takes longer than it should: a supervisor sees why under Firm.' : ' …'}
      </span>
    </p>
  );
}

/** The words to send a pack with, fetched and put on the clipboard; shown to be copied by hand where that is not allowed. */
function CoveringMessage({ packId, number }: { readonly packId: string; readonly number: string }) {
  const [said, setSaid] = useState<{ readonly text: string; readonly copied: boolean } | null>(null);
  const copy = async (): Promise<void> => {
    const { message } = await coveringMessage(packId);
    const copied = await navigator.clipboard.writeText(message).then(
      () => true,
      () => false,
    );
    setSaid({ text: message, copied });
  };
  return (
    <>
      <Button
        aria-label={`Copy the covering message of ${number}`}
        onPress={() =>
          void copy().catch(() => {
            setSaid({ text: 'The message could not be fetched.', copied: false });
          })
        }
      >
        {said?.copied ? 'Copied' : 'Copy a covering message'}
      </Button>
      {said && (
        <pre
          tabIndex={0}
          role="group"
          aria-label={`Covering message of ${number}`}
          style={{ width: '100%', whiteSpace: 'pre-wrap', font: 'inherit', margin: 0 }}
        >
          {said.text}
        </pre>
      )}
    </>
  );
}

/** The pack by mail, with its covering message; its document goes with it as soon as it is made. */
function MailThePack({ packId, number }: { readonly packId: string; readonly number: string }) {
  const { job } = useSurvey();
  const { data } = usePackMessage(packId);
  if (!data) return null;
  return (
    <More label={`Mail ${number}`}>
      <MailForm jobId={job.id} kind="to-operator" text={data.message} pack={{ id: packId, number }} />
    </More>
  );
}

/** What this pack says differently from the one before it; nothing for the first. */
function ChangedSince({ packId }: { readonly packId: string }) {
  const { data } = usePackMessage(packId);
  const changed = data?.changed;
  if (!changed) return null;
  return (
    <details>
      <summary style={{ minHeight: 44, display: 'flex', alignItems: 'center', cursor: 'pointer' }}>
        Changed since {changed.since}:{' '}
        {changed.lines.length === 0 ? 'nothing it says' : `${changed.lines.length} lines`}
      </summary>
      <ChangeLines lines={changed.lines} />
    </details>
  );
}
