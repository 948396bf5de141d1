import { KIND_NAMES, type ProposalKind } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { freshId } from '../bound';

/** New equipment of a kind, of which nothing is known yet but a name that no other has. */
export function freshProposal(kind: ProposalKind, others: readonly Proposal[]): Proposal {
  const before = others.filter((each) => each.kind === kind).length;
  const label = before === 0 ? KIND_NAMES[kind] : `${KIND_NAMES[kind]} ${before + 1}`;
  return { id: freshId(kind === 'vehicle-charger' ? 'charger' : kind), kind, label, limiter: {} };
}
