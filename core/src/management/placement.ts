import type { Finding } from '../finding';
import type { Connected } from '../demand/connected';
import { sourcesOn } from './sources';
import { equipmentName } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { NODE_NAMES, type NodeKind } from '../survey/words';
import { nodeOf } from '../tree/sets-below';
import { below, hangsFrom, phaseAt, type SupplyTree, type TreeNode } from '../tree/supply-tree';

/** A load or new equipment that a clamp cannot see, and where it hangs. */
export interface BlindLoad {
  readonly id: string;
  readonly label: string;
  readonly at: string;
}

function nameOf({ node }: TreeNode): string {
  return node.label ?? NODE_NAMES[node.kind];
}

/** Everything below the limiting device that a clamp on a node’s incoming conductor does not see. */
export function blindTo(clamp: TreeNode, things: readonly Connected[], tree: SupplyTree): BlindLoad[] {
  return things.flatMap(({ id, label, nodeId }) => {
    const at = nodeOf(tree, nodeId);
    if (!at || hangsFrom(at, clamp)) return [];
    if (tree.device && !hangsFrom(at, tree.device)) return [];
    return [{ id, label, at: nameOf(at) }];
  });
}

/** Whether a clamp sits where its charger’s current passes, sees what it should, and is put on the right way. */
export function placementFindings(survey: Survey, tree: SupplyTree, existing: readonly Connected[]): Finding[] {
  return survey.proposals
    .filter(({ limiter }) => limiter.kind === 'clamp')
    .flatMap((proposal) => [...whereFindings(proposal, tree, existing), ...fitFindings(proposal, survey, tree)]);
}

/** Nodes whose incoming conductor is the operator’s or the meter operator’s. */
const BEFORE_THE_METER: readonly NodeKind[] = ['service', 'cut-out', 'meter'];

function whereFindings(proposal: Proposal, tree: SupplyTree, existing: readonly Connected[]): Finding[] {
  const clamp = tree.byId.get(proposal.limiter.clampNodeId ?? '');
  const charger = nodeOf(tree, proposal.nodeId);
  if (!clamp || !charger) return [];
  const name = equipmentName(proposal);
  const about = { station: 'charger', subjectId: clamp.node.id, field: 'proposals.limiter.clampNodeId' } as const;
  const seesIt = [clamp.node.id, ...(proposal.limiter.moreClamps ?? []).map(({ nodeId }) => nodeId)].some((id) => {
    const at = id === undefined ? undefined : tree.byId.get(id);
    return at !== undefined && hangsFrom(charger, at);
  });
  if (!seesIt)
    return [
      {
        ...about,
        id: 'clamp-wrong-side',
        grade: 'act',
        title: `${nameOf(clamp)}: the clamp here does not carry ${name}’s own current, so its controller reckons with a false figure.`,
        remedy: 'On the line tail after the meter and before any split, where it carries the charger and every board.',
      },
    ];
  const found: Finding[] = BEFORE_THE_METER.includes(clamp.node.kind)
    ? [
        {
          ...about,
          id: 'clamp-before-meter',
          grade: 'act',
          title: `${nameOf(clamp)}: the clamp here sits before the meter, on conductors that are not the customer’s.`,
          remedy: 'On the line tail after the meter and before any split: it sees the same there.',
        },
      ]
    : [];
  const blind = blindTo(clamp, existing, tree);
  if (blind.length === 0) return found;
  const places = [...new Set(blind.map(({ at }) => at))].join(', ');
  return [
    ...found,
    {
      ...about,
      id: 'clamp-blind',
      grade: 'note',
      title: `${nameOf(clamp)}: the clamp here is blind to ${blind.length} load${blind.length === 1 ? '' : 's'} at ${places}.`,
      remedy: 'What it cannot see comes on top of the set-point. Before the split it would see every board.',
    },
  ];
}

/** Reversed arrow, neutral for line, wrong phase, sealed equipment, export taken for import. */
function fitFindings(proposal: Proposal, survey: Survey, tree: SupplyTree): Finding[] {
  const { id, limiter, phases, phase, nodeId } = proposal;
  const label = equipmentName(proposal);
  const { fit } = limiter;
  const passing = generationPassing(survey, tree, limiter.clampNodeId);
  const seesExport = passing ?? fit?.seesExport;
  const about = { station: 'charger', subjectId: id } as const;
  const act = (name: string, title: string, remedy: string): Finding => ({
    ...about,
    id: `clamp-${name}`,
    grade: 'act',
    title: `${label}: ${title}`,
    remedy,
    field: 'proposals.limiter.fit',
  });
  const found: Finding[] = [];
  const reversed = fit?.conductor === 'neutral' ? fit.arrowAlong === 'yes' : fit?.arrowAlong === 'no';
  if (reversed)
    found.push(
      act(
        'reversed',
        fit?.conductor === 'neutral'
          ? 'the clamp is on the neutral with its arrow along the line’s current: it reads what comes in as going out.'
          : 'the clamp’s arrow points against the current: it reads what comes in as going out.',
        'Turn it round: the more the house took, the more the charger would be given.',
      ),
    );
  if (fit?.insideSealed === 'yes')
    found.push(
      act(
        'inside-sealed',
        'the clamp would sit inside sealed equipment.',
        'Not allowed: on the tails after the meter, in a small box beside the cupboard.',
      ),
    );
  const line = phase ?? phaseAt(nodeOf(tree, nodeId));
  if (
    survey.supply.phases === 3 &&
    fit?.phase !== undefined &&
    phases !== 3 &&
    line !== undefined &&
    line !== 'all' &&
    line !== fit.phase
  )
    found.push(
      act('wrong-phase', `the clamp is on ${fit.phase} and the charger on ${line}.`, `On the tail of ${line}.`),
    );
  if (survey.supply.phases === 3 && fit?.phase !== undefined && phases === 3)
    found.push(
      act('one-phase-only', `one clamp, on ${fit.phase}, for a charger on three phases.`, 'One on each phase.'),
    );
  if (passing !== undefined && (fit?.seesExport === 'yes' || fit?.seesExport === 'no') && fit.seesExport !== passing)
    found.push({
      ...about,
      id: 'clamp-export-disagrees',
      grade: 'ask',
      title: `${label}: generation is said ${fit.seesExport === 'yes' ? '' : 'not '}to pass the clamp, but as recorded it does${passing === 'yes' ? '' : ' not'}.`,
      remedy: 'Look where it is connected, and put one of the two right.',
      askOf: 'surveyor',
      field: 'proposals.limiter.fit',
    });
  if (seesExport === 'yes' && fit?.signedReading === 'no')
    found.push(
      act(
        'export-as-import',
        'export passes the clamp, and its controller cannot tell it from import.',
        'On the side of the generation where only import passes, or a controller that reads the sign.',
      ),
    );
  const open = [
    fit?.conductor === undefined ? 'on line or neutral' : '',
    fit?.arrowAlong === undefined || fit.arrowAlong === 'unknown' ? 'which way its arrow points' : '',
    fit?.insideSealed === undefined || fit.insideSealed === 'unknown' ? 'whether it stays out of sealed equipment' : '',
    seesExport === undefined || seesExport === 'unknown' ? 'whether generation passes it' : '',
    seesExport === 'yes' && (fit?.signedReading === undefined || fit.signedReading === 'unknown')
      ? 'whether its controller tells export from import'
      : '',
  ].filter((part) => part !== '');
  if (open.length > 0)
    found.push({
      ...about,
      id: 'clamp-fit-not-said',
      grade: 'ask',
      title: `${label}: of its clamp not said ${open.join(', ')}.`,
      remedy: 'Look at the tails where it is to sit; a known load switched on shows size and sign.',
      askOf: 'surveyor',
      field: 'proposals.limiter.fit',
      ownUse: true,
    });
  return found;
}

/** Whether generation passes a clamp, from where it is recorded; undefined while nobody has said whether there is any. */
function generationPassing(
  survey: Survey,
  tree: SupplyTree,
  clampNodeId: string | undefined,
): 'yes' | 'no' | undefined {
  const clamp = clampNodeId === undefined ? undefined : tree.byId.get(clampNodeId);
  if (!clamp || survey.generation === undefined) return undefined;
  return sourcesOn(survey, tree).some(({ node }) => hangsFrom(node, clamp)) ? 'yes' : 'no';
}

/** What a clamp sees, for the line-up to light up: every node below it. */
export function seenBy(clampNodeId: string | undefined, tree: SupplyTree): ReadonlySet<string> {
  const clamp = clampNodeId === undefined ? undefined : tree.byId.get(clampNodeId);
  return new Set(clamp ? below(clamp).map(({ node }) => node.id) : []);
}
