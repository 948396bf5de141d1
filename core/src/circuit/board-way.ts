import type { Statement } from '../finding';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { nodeOf } from '../tree/sets-below';
import { circuitStart } from './charger-circuit';
import { type CircuitFacts } from './circuit-facts';
import { nodeName } from '../survey/words/words';
import { sharedWays } from './shared-ways';

/** Where the new circuit's device goes, where the board has no way for it: what can be done, in order of preference. */
export function boardWayFindings(proposal: Proposal, facts: CircuitFacts): Statement[] {
  const { from } = circuitStart(proposal, facts);
  const at = nodeOf(facts.tree, proposal.nodeId);
  // A device that is there already has its way.
  // A board to be fitted with the work is made for the circuit.
  if (!from || from.node.kind !== 'board' || at !== from || from.node.planned === true) return [];
  const { spareWays, acceptsNewDevice } = from.node;
  const plan = proposal.way?.plan;
  const about = {
    station: 'circuit',
    on: 'workmanship',
    subjectId: from.node.id,
    field: 'proposals.way.plan',
    ownUse: true,
  } as const;
  const full = spareWays === 0;
  const refused = acceptsNewDevice === 'no';
  const pairs = full ? sharedWays(from, facts) : [];
  if (plan === undefined) {
    if (!full && !refused) return [];
    const sharing = pairs.length > 0 && !refused ? `Circuits that could share a way: ${pairs[0]?.why ?? ''} ` : '';
    return [
      {
        ...about,
        id: 'way-not-decided',
        grade: 'act',
        title: `${nodeName(from.node)}: ${full ? 'no spare way' : 'its maker does not allow the new device'}, and not decided where the new device goes.`,
        remedy: `${sharing}A small board of its own beside it comes next, then a larger board; a board outdoors is the last resort.`,
      },
    ];
  }
  const against: string[] = [];
  if (plan === 'spare-way' && full) against.push('there is no spare way');
  if ((plan === 'spare-way' || plan === 'share-ways') && refused)
    against.push('its maker does not allow the new device');
  if (plan === 'share-ways' && full && pairs.length === 0)
    against.push('no two circuits recorded there are shown to fit one way');
  const findings: Statement[] = against.map((why) => ({
    ...about,
    id: 'way-plan-does-not-work',
    grade: 'act',
    title: `${nodeName(from.node)}: the plan for the new device does not work: ${why}.`,
    remedy:
      'A small board of its own beside it, or record the circuits that are to share, with their loads and cables.',
  }));
  if (plan === 'outdoor-board')
    findings.push({
      ...about,
      id: 'way-outdoors',
      grade: 'note',
      title: `${equipmentName(proposal)}: a board outdoors is a last resort.`,
      remedy: 'They corrode: say in the note why nothing indoors will do, and have it looked at every year.',
    });
  return findings;
}
