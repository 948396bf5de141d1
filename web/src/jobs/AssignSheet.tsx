import { changeJob, jobNumber, type Job } from '../api/jobs';
import { usePeople } from '../api/people';
import { problemWords } from '../api/problem-words';
import { useState } from 'react';
import { Waiting } from '../app/Waiting';
import { Choice } from '../kit/Choice';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { Sheet } from '../kit/Sheet';

const ROLES = { surveyor: 'Surveyor', office: 'Office', supervisor: 'Supervisor' } as const;

/** Gives a job to somebody of the firm. */
export default function AssignSheet({
  job,
  onDone,
  onClose,
}: {
  readonly job: Job;
  readonly onDone: () => void;
  readonly onClose: () => void;
}) {
  const { data } = usePeople();
  const [problem, setProblem] = useState<string>();
  const give = async (assignedTo: string): Promise<void> => {
    setProblem(undefined);
    try {
      await changeJob(job.id, { assignedTo });
      onDone();
      onClose();
    } catch (failed) {
      setProblem(problemWords(failed));
    }
  };
  return (
    <Sheet title={`Assign ${jobNumber(job.number)}`} isOpen onClose={onClose}>
      <Stack>
        <p className="quiet">{job.place}</p>
        {problem !== undefined && (
          <div role="alert">
            <Notice kind="act" title={problem} />
          </div>
        )}
        {data ? (
          <Choice
            label="Whose is it?"
            tile="14rem"
            value={job.assignedTo?.id ?? 'nobody'}
            options={[
              ...data.people.map(({ id, name, role }) => ({ value: id, label: name, note: ROLES[role] })),
              { value: 'nobody', label: 'Not assigned' },
            ]}
            onChange={(to) => void give(to)}
          />
        ) : (
          <Waiting />
        )}
      </Stack>
    </Sheet>
  );
}
