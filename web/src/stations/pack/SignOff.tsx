import type { Signature } from '@keen-gauge/core/pack/signature';
import { useState } from 'react';
import { ServerProblem } from '../../api/client';
import { signOff, usePacks } from '../../api/packs';
import { MainButton } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Row, Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { SignatureField } from './SignatureField';

/** Signing the survey off: why, where something is missing, and the signature of whoever answers for it. */
export function SignOff({ missing }: { readonly missing: number }) {
  const { job, me, state } = useSurvey();
  const { mutate } = usePacks(job.id);
  const [reason, setReason] = useState('');
  const [signature, setSignature] = useState<Signature | null>(null);
  const [sheet, setSheet] = useState(0);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (!me.maySignOff)
    return <Notice kind="note" title="You may not sign surveys off. Ask someone in the firm who may." />;
  const ready = state.saveState === 'saved' && state.conflicts.length === 0;

  const sign = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      await signOff(job.id, state.head.revisionId, reason, signature);
      setReason('');
      setSignature(null);
      // A fresh field: a signature is for one pack.
      setSheet(sheet + 1);
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
      <SignatureField key={sheet} name={me.name} onChange={setSignature} />
      <p className="quiet">
        Signed for by {me.name}
        {me.registration && `, ${me.registration}`}, {me.firm}. It supports a competent person’s judgement and does not
        replace it.
      </p>
      <Row>
        <MainButton
          onPress={() => void sign()}
          isDisabled={busy || !ready || signature === null || (missing > 0 && reason.trim() === '')}
        >
          {busy ? 'Making the pack …' : 'Sign off and freeze'}
        </MainButton>
        {!ready && <span className="quiet">Waiting until everything is saved.</span>}
      </Row>
    </Stack>
  );
}
