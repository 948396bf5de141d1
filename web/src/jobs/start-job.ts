import { NoAnswer, ServerProblem } from '../api/client';
import { createJob, type Job } from '../api/jobs';
import { keepAnswer } from '../offline/answers';
import { forgetNewJob, keepNewJob, newJob } from '../offline/new-jobs';

export interface Started {
  readonly id: string;
  readonly place: string;
  readonly wanted: string;
  /** The job of a house like it. */
  readonly like?: string;
}

/** Makes a job; without a connection it is made on this device and told to the server at the next contact. Rejects where it is to be like another and the server cannot be asked. */
export async function startJob(job: Started, personId: string): Promise<Job> {
  const revisionId = crypto.randomUUID();
  try {
    return await createJob({ ...job, revisionId });
  } catch (error) {
    if (!(error instanceof NoAnswer) || job.like !== undefined) throw error;
    const { id, place, wanted } = job;
    const madeAt = Date.now();
    await keepNewJob({ id, personId, place, wanted, revisionId, madeAt });
    const made = jobHere({ id, place, wanted, madeAt });
    await keepAnswer(`/jobs/${id}`, made, madeAt);
    // As the server begins it: what is typed from here on stands on the same. The core is fetched when it is needed: the list of jobs is not to wait for it.
    const [{ addressOf }, { blankSurvey }, { keepHead }] = await Promise.all([
      import('@keen-gauge/core/survey/address'),
      import('@keen-gauge/core/survey/blank'),
      import('../api/surveys'),
    ]);
    const survey = { ...blankSurvey(), place: { ...addressOf(place) } };
    await keepHead(id, { survey, revisionId, seq: 1 });
    return made;
  }
}

/** A job the server has not heard of, as the list shows it: it has no number yet, the route of a survey nobody has filled in, and what is open is told once it is sent. */
export const jobHere = ({
  id,
  place,
  wanted,
  madeAt,
}: Pick<Started, 'id' | 'place' | 'wanted'> & { readonly madeAt: number }): Job => ({
  id,
  number: 0,
  state: 'to-survey',
  place,
  wanted,
  customer: null,
  route: 'ask-then-fit',
  nextQuestion: 'Open questions are listed once it is sent',
  changedAt: new Date(madeAt).toISOString(),
  createdBy: '',
  answer: null,
  assignedTo: null,
  nextOn: null,
  nextWhat: null,
  late: false,
  archived: false,
});

/**
 * Tells the server of a job begun without it, if it was: everything else of the job comes after. True where the server knows the job now, or always
 * did; rejects with NoAnswer where it cannot be reached. What the server will not take stays here and says why.
 */
export async function tellOfJob(id: string): Promise<boolean> {
  const begun = await newJob(id);
  if (!begun) return true;
  const { place, wanted, revisionId } = begun;
  try {
    await keepAnswer(`/jobs/${id}`, await createJob({ id, place, wanted, revisionId }));
  } catch (error) {
    if (!(error instanceof ServerProblem) || error.status >= 500 || error.status === 401) throw error;
    // Told before, and only the answer was lost.
    if (error.status !== 409) {
      await keepNewJob({ ...begun, refused: error.detail === '' ? error.title : error.detail });
      return false;
    }
  }
  await forgetNewJob(id);
  return true;
}
