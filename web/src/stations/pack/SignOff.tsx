import type { Missing } from '@keen-gauge/core/pack/missing';
import type { Signature } from '@keen-gauge/core/pack/signature';
import { useMemo, useState } from 'react';
import { ServerProblem } from '../../api/client';
import { signOff, usePacks } from '../../api/packs';
import { MainButton } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Row, Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { useConnection } from '../../offline/connection';
import { useSurvey } from '../../survey/SurveyContext';
import { useStored } from '../../survey/use-field';
import { MissingList } from './MissingList';
import { signHere } from './sign-here';
import { SignatureField } from './SignatureField';

/** Shorter than this says nothing of why; the server asks for the same. */
const LEAST_REASON = 10;

/** Signing the survey off: why, where something is missing, and the signature of whoever answers for it. */
export function SignOff({
  missing,
  supplyId,
}: {
  readonly missing: readonly Missing[];
  /** Of one supply of a building only. */
  readonly supplyId?: string | undefined;
}) {
  const { job, me, survey } = useSurvey();
  const saveState = useStored((state) => state.saveState);
  const revisionId = useStored(({ head }) => head.revisionId);
  const hasConflicts = useStored(({ conflicts }) => conflicts.length > 0);
  const isWithout = useConnection() === 'without' || saveState === 'offline';
  const { mutate } = usePacks(job.id);
  const [reason, setReason] = useState('');
  const [reasons, setReasons] = useState<Readonly<Record<string, string>>>({});
  const [signature, setSignature] = useState<Signature | null>(null);
  const [sheet, setSheet] = useState(0);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  // One id for one signature of one revision: pressed again after no answer, it is still one pack.
  const packId = useMemo(() => crypto.randomUUID(), [revisionId, sheet, supplyId]); // oxlint-disable-line react/exhaustive-deps
  if (!me.maySignOff)
    return (
      <>
        <MissingList missing={missing} />
        <Notice kind="note" title="You may not sign surveys off. Ask someone in the firm who may." />
      </>
    );
  const safety = missing.filter((item) => item.safety);
  const others = missing.length > safety.length;
  const unanswered = safety.filter(({ key }) => (reasons[key]?.trim().length ?? 0) < LEAST_REASON).length;
  const ready = (isWithout ? supplyId === undefined : saveState === 'saved') && !hasConflicts;

  const sign = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const given = safety.map(({ key }) => ({ key, reason: reasons[key] ?? '' }));
      const why = { reason, reasons: given };
      if (!isWithout) await signOff(job.id, { id: packId, revisionId, supplyId }, why, signature);
      else if (signature) await signHere({ packId, jobId: job.id, personId: me.id, survey }, why, signature);
      setReason('');
      setReasons({});
      setSignature(null);
      // A fresh field: a signature is for one pack.
      setSheet(sheet + 1);
    } catch (error) {
      setProblem(
        error instanceof ServerProblem
          ? `${error.title}. ${error.detail}`
          : isWithout
            ? 'This device could not keep what was signed. It is not signed.'
            : 'The server did not answer. Look below before signing again.',
      );
    } finally {
      await mutate().catch(() => undefined);
      setBusy(false);
    }
  };

  return (
    <Stack>
      <MissingList
        missing={missing}
        reasons={reasons}
        onReason={(key, next) => {
          setReasons((now) => ({ ...now, [key]: next }));
        }}
      />
      {others && (
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
      <SignatureField key={sheet} name={me.name} onChange={setSignature} />
      <p className="quiet">
        Signed for by {me.name}
        {me.registration && `, ${me.registration}`}, {me.firm}. It supports a competent person’s judgement and does not
        replace it.
      </p>
      <Row>
        <MainButton
          onPress={() => void sign()}
          isDisabled={busy || !ready || signature === null || unanswered > 0 || (others && reason.trim() === '')}
        >
          {busy ? 'Making the pack …' : isWithout ? 'Sign on this device' : 'Sign off and freeze'}
        </MainButton>
        {!ready && (
          <span className="quiet">
            {isWithout && supplyId !== undefined
              ? 'A pack for one supply needs a connection.'
              : 'Waiting until everything is saved.'}
          </span>
        )}
        {unanswered > 0 && (
          <span className="quiet">
            {unanswered} of {safety.length} question{safety.length === 1 ? '' : 's'} of safety still need
            {unanswered === 1 ? 's' : ''} a reason of {LEAST_REASON} letters or more.
          </span>
        )}
      </Row>
    </Stack>
  );
}
