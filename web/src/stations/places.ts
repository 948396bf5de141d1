import type { Survey } from '@keen-gauge/core/survey/survey';
import { type NodeKind, nodeName } from '@keen-gauge/core/survey/words/words';

/** Kinds of node a load or new equipment is connected to. */
const CARRIES: readonly NodeKind[] = ['board', 'rcd', 'device', 'feeder', 'switch-fuse'];

/** Where in the line-up a load or new equipment may hang from, to choose from. */
export function placesToHang(survey: Survey): { value: string; label: string }[] {
  return survey.supply.nodes
    .filter(({ kind }) => CARRIES.includes(kind))
    .map(({ id, label, kind }) => ({ value: id, label: nodeName({ label, kind }) }));
}
