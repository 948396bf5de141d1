import { brought } from './brought';
import { entriesOf, type Kept } from './kept';

/** Typing left behind for a job by this tab before a reload, or by tabs that have since closed, brought to the present. Apart from what keeps it: the list of jobs keeps and counts, and needs no models. */
export async function leftBehind(personId: string, jobId: string, ownTabId: string): Promise<Kept[]> {
  return (await entriesOf(personId, jobId, ownTabId)).flatMap((entry) => brought(entry) ?? []);
}
