import type { Assessment } from '../assessment';
import type { Finding } from '../finding';
import type { Survey } from '../survey/survey';
import { supplyTree } from '../tree/supply-tree';

/** Every finding by the node it concerns; one about new equipment is on the node that it hangs from. */
export function findingsOn(survey: Survey, { findings }: Assessment): ReadonlyMap<string, readonly Finding[]> {
  const unplaced = supplyTree(survey).unplaced?.node.id;
  const hangsOn = new Map(survey.proposals.map(({ id, nodeId = unplaced }) => [id, nodeId]));
  const found = new Map<string, Finding[]>();
  for (const finding of findings) {
    if (finding.subjectId === undefined) continue;
    const nodeId = hangsOn.get(finding.subjectId) ?? finding.subjectId;
    const here = found.get(nodeId);
    if (here) here.push(finding);
    else found.set(nodeId, [finding]);
  }
  return found;
}
