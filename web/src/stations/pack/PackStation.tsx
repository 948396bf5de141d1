import { missingItems } from '@keen-gauge/core/pack/missing';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { ServerProblem } from '../../api/client';
import { coveringMessage, packNumber, signOff, usePacks, type Pack } from '../../api/packs';
import { Button, ButtonLink, MainButton } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { RouteMark } from '../../kit/RouteMark';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { fieldUrl } from '../arrival';
import { ASK_WORDS, STATION_NAMES } from '../station-names';
import { StationFrame } from '../StationFrame';

const TITLES = {
  'fit-then-notify': 'a notice, to be sent after commissioning',
  'ask-then-fit': 'an application, to be sent before fitting',
  hold: 'a report of a dangerous intake',
} as const;

const MissingList = styled.ol`
  margin: 0;
  padding-left: 1.3rem;
  display: grid;
  gap: 0.3rem;
`;

/** Signing off: what is missing, who signs, and what was frozen before. */
export default function PackStation() {
  const { survey, assessment, job } = useSurvey();
  const missing = missingItems(survey, assessment);
  return (
    <StationFrame
      station="pack"
      lead="Signing off freezes this survey as a numbered pack. Later edits never change it."
    >
      <Panel aria-label="What it will be">
        <p>
          <RouteMark way={assessment.route.way} /> This will be <strong>{TITLES[assessment.route.way]}</strong>.
        </p>
        {missing.length === 0 ? (
          <p>Nothing is missing.</p>
        ) : (
          <>
            <h2>Missing, in the order to fix it</h2>
            <MissingList>
              {missing.map((item, index) => (
                <li key={index}>
                  {item.text} <Link to={fieldUrl(job.id, item.station, item.field)}>{STATION_NAMES[item.station]}</Link>
                  <span className="quiet"> ({ASK_WORDS[item.askOf]})</span>
                </li>
              ))}
            </MissingList>
          </>
        )}
        <SignOff missing={missing.length} />
      </Panel>
      <Packs />
    </StationFrame>
  );
}

function SignOff({ missing }: { readonly missing: number }) {
  const { job, me, state } = useSurvey();
  const { mutate } = usePacks(job.id);
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (!me.maySignOff)
    return <Notice kind="note" title="You may not sign surveys off. Ask someone in the firm who may." />;
  const ready = state.saveState === 'saved' && state.conflicts.length === 0;

  const sign = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      await signOff(job.id, state.head.revisionId, reason);
      setReason('');
    } catch (error) {
      setProblem(
        error instanceof ServerProblem
          ? `${error.title}. ${error.detail}`
          : 'The server did not answer. Look below before signing again.',
      );
    } finally {
      await mutate().catch(() => undefined);
      setBusy(false);
    }
  };

  return (
    <Stack>
      {missing > 0 && (
        <TextInput
          label="Why sign it with items missing?"
          lines
          value={reason}
          onChange={setReason}
          maxLength={1000}
          help="Printed in the pack."
        />
      )}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      <p className="quiet">
        Signed for by {me.name}
        {me.registration && `, ${me.registration}`}, {me.firm}. It supports a competent person’s judgement and does not
        replace it.
      </p>
      <Row>
        <MainButton onPress={() => void sign()} isDisabled={busy || !ready || (missing > 0 && reason.trim() === '')}>
          {busy ? 'Making the pack …' : 'Sign off and freeze'}
        </MainButton>
        {!ready && <span className="quiet">Waiting until everything is saved.</span>}
      </Row>
    </Stack>
  );
}

function Packs() {
  const { job, state } = useSurvey();
  const { data, error } = usePacks(job.id);
  return (
    <Panel aria-label="Packs">
      <h2>Packs</h2>
      {error && !data && <Notice kind="act" title="The packs could not be loaded." />}
      {data?.packs.length === 0 && (
        <p className="quiet">None yet. The first appears here when the survey is signed off.</p>
      )}
      {data?.packs.map((pack) => (
        <PackLine key={pack.id} pack={pack} seq={state.head.seq} />
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
        <strong className="figures">{packNumber(pack.number)}</strong> {pack.title}{' '}
        <RouteMark way={pack.route} size={17} />
      </Row>
      <span className="quiet">
        Signed by {pack.signedBy}, {when}; revision {pack.revisionSeq}
        {seq > pack.revisionSeq && <strong> · the survey has changed since</strong>}; fingerprint{' '}
        <span className="figures">{pack.fingerprint.slice(0, 16)}</span>
        {pack.reason !== null && <> · signed with items missing: {pack.reason}</>}
      </span>
      <Row>
        <ButtonLink href={`/api/packs/${pack.id}/pack.zip`} download>
          Everything, ZIP
        </ButtonLink>
        <ButtonLink href={`/api/packs/${pack.id}/notice.pdf`} download>
          PDF
        </ButtonLink>
        <ButtonLink href={`/api/packs/${pack.id}/survey.json`} download>
          JSON, open format
        </ButtonLink>
        <CoveringMessage packId={pack.id} number={packNumber(pack.number)} />
      </Row>
    </Stack>
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
