import { useState } from 'react';
import { Form } from 'react-aria-components';
import { useNavigate, useOutletContext } from 'react-router';
import { ServerProblem, type FieldFault } from '../api/client';
import { jobNumber, type Job } from '../api/jobs';
import type { Me } from '../api/me';
import { MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';
import { TextInput } from '../kit/TextInput';
import { startJob } from './start-job';

/** Two lines start a job; everything else is found out on site, or copied from a house like it and then confirmed. */
export default function NewJobSheet({
  isOpen,
  onClose,
  like,
}: {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly like?: Job | undefined;
}) {
  const [place, setPlace] = useState('');
  const [wanted, setWanted] = useState(like?.wanted ?? '');
  const [problem, setProblem] = useState<{ text: string; faults: readonly FieldFault[] }>();
  const [busy, setBusy] = useState(false);
  // One id for as long as the sheet is filled in: pressed twice, or sent again after no answer, it is still one job.
  const [id, setId] = useState(() => crypto.randomUUID());
  const navigate = useNavigate();
  const me = useOutletContext<Me>();
  const faultAt = (path: string): string | undefined => {
    const found = problem?.faults.find((fault) => fault.path === path);
    return found && `It ${found.wrong}; ${found.expected} is expected.`;
  };

  const submit = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const job = await startJob(
        { id, place: place.trim(), wanted: wanted.trim(), ...(like ? { like: like.id } : {}) },
        me.id,
      );
      setId(crypto.randomUUID());
      onClose();
      await navigate(`/jobs/${job.id}`, { replace: true });
    } catch (error) {
      // It was made as it was typed first, and only the answer was lost.
      if (error instanceof ServerProblem && error.status === 409) {
        onClose();
        await navigate(`/jobs/${id}`, { replace: true });
        return;
      }
      const known = error instanceof ServerProblem;
      setProblem({
        text: known
          ? error.detail
          : 'The server cannot be reached, and the house it is to be like is there. What you typed is still here; try again, or start a job of its own.',
        faults: known ? error.faults : [],
      });
    } finally {
      setBusy(false);
    }
  };

  return (
    <Sheet title={like ? 'Duplicate for a house like it' : 'New job'} isOpen={isOpen} onClose={onClose}>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <Stack>
          {like && (
            <p className="quiet">
              Starts from {jobNumber(like.number)} {like.place}: the shape of its supply, its loads and its equipment.
              Ratings, cables and everything else seen, measured or photographed there is asked again.
            </p>
          )}
          <TextInput
            label="Where"
            value={place}
            onChange={setPlace}
            help="Address, or what the customer calls it."
            maxLength={200}
            autoFocus
            fault={faultAt('$.place')}
          />
          <TextInput
            label="Job description"
            value={wanted}
            onChange={setWanted}
            help="For example: vehicle charger on the drive."
            maxLength={200}
            fault={faultAt('$.wanted')}
          />
          {problem && (
            <div role="alert">
              <Notice kind="act" title={problem.text} />
            </div>
          )}
          <MainButton type="submit" isDisabled={busy || place.trim() === '' || wanted.trim() === ''}>
            {busy ? 'Making it …' : 'Start the survey'}
          </MainButton>
        </Stack>
      </Form>
    </Sheet>
  );
}
