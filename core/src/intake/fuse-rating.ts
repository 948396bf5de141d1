import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { SupplyNode } from '../survey/supply';
import type { Survey } from '../survey/survey';
import { type Evidence, nodeName } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { protects, towardsStreet, type SupplyTree } from '../tree/supply-tree';
import { figure, reckon, type Figure } from '../worked';

/** The rating of one fuse that everything behind it is held against, and whether it is truly known. */
export interface FuseRating {
  readonly figure: Figure;
  readonly ratingA: number;
  /** False where what was read contradicts itself, null while it is not known. */
  readonly established: boolean | null;
  readonly evidence: Evidence | null;
  readonly nodeId: string | null;
  /** What is so of it: how it was read, what is missing, or what contradicts it. */
  readonly says: string;
}

/** Evidence good enough to establish a rating: the rating itself was read, or the operator gave it. */
export const ESTABLISHING: readonly Evidence[] = ['label', 'record', 'attended'];

const EVIDENCE_WORDS: Readonly<Record<Evidence, string>> = {
  assumed: 'assumed',
  moulding: 'moulded on the holder',
  label: 'read off a label',
  record: 'from the operator’s record',
  attended: 'read by the operator’s staff',
};

/**
 * The rating per phase of a cut-out or switch-fuse, in amperes. A rating that is only assumed, or read off the holder's
 * moulding, is not known; one above what its holder is moulded for contradicts it. The pack's fallback stands in for it then, or the lower
 * figure where what was seen is lower still.
 */
export function fuseRating(device: SupplyNode | undefined, rules: Rules): FuseRating {
  const evidence = device?.evidence ?? null;
  // A solid link has no rating: what is written on it limits nothing.
  const stated = device?.head === 'solid-link' ? undefined : device?.ratingA;
  const holderA = device?.holderMaximumA;
  const nodeId = device?.id ?? null;
  const contradicted = stated !== undefined && holderA !== undefined && stated > holderA;
  const unusual = device?.kind === 'cut-out' && evidence === 'label' && (stated ?? 0) > rules.largestUsualFuseA.value;
  const read = stated !== undefined && evidence !== null && ESTABLISHING.includes(evidence);
  if (read && !contradicted && !unusual) {
    const asRead = reckon('Fuse rating', stated, 'A', () => ({
      expression: `as read (${evidence})`,
      substituted: `${stated} A`,
    }));
    const says = `${stated} A, ${EVIDENCE_WORDS[evidence]}`;
    return { figure: figure(asRead), ratingA: stated, established: true, evidence, nodeId, says };
  }
  const { value: fallback, source } = rules.fallbackFuseA;
  const seen = [stated, holderA].filter((value) => value !== undefined);
  const ratingA = Math.min(fallback, ...seen);
  const inItsPlace = reckon('Fuse rating', ratingA, 'A', () => ({
    expression: 'not established: the least of the fallback and anything seen',
    substituted: seen.length > 0 ? `least of ${[fallback, ...seen].join(', ')} = ${ratingA} A` : `${ratingA} A`,
    source,
  }));
  return {
    figure: figure(inItsPlace, 'exact', 'Fallback: the fuse rating is not established.'),
    ratingA,
    established: contradicted ? false : null,
    evidence,
    nodeId,
    says: contradicted
      ? `${stated} A is recorded in a holder moulded for ${holderA} A at most`
      : unusual
        ? `${stated} A is more than cut-outs usually hold: the operator has to confirm it`
        : unestablished(device),
  };
}

function unestablished(device: SupplyNode | undefined): string {
  if (!device) return 'no cut-out is recorded';
  if (device.head === 'solid-link') return 'the head holds a solid link, and no switch-fuse after it is recorded';
  if (device.evidence === 'moulding') return 'the moulding gives the most the holder can take, not the fuse inside';
  if (device.ratingA === undefined) return 'not known';
  if (device.evidence === undefined) return 'not recorded how it is known';
  if (device.evidence === 'assumed') return 'assumed; nothing was seen';
  return 'not confirmed';
}

/** What a fuse is called: the cut-out, or a switch-fuse by its name. */
export function fuseName(node: SupplyNode | undefined): string {
  if (!node || (node.kind === 'cut-out' && node.label === undefined)) return 'Cut-out fuse';
  return nodeName(node);
}

/**
 * Every fuse the new equipment's current passes through, street first, the limiting device always among them: each has to be known, not
 * only the first.
 */
export function fusesOnTheWay(survey: Survey, tree: SupplyTree, rules: Rules): FuseRating[] {
  const way = new Set(survey.proposals.flatMap(({ nodeId }) => towardsStreet(nodeOf(tree, nodeId))));
  const fused = tree.nodes.filter(
    (here) =>
      here === tree.device ||
      (way.has(here) && protects(here) && (here.node.kind === 'cut-out' || here.node.kind === 'switch-fuse')),
  );
  return fused.length === 0 ? [fuseRating(undefined, rules)] : fused.map(({ node }) => fuseRating(node, rules));
}

/** What contradicts itself about the fuses. */
export function fuseFindings(survey: Survey, fuses: readonly FuseRating[]): Statement[] {
  return fuses.flatMap(({ established, nodeId, says }): Statement[] => {
    if (established !== false || nodeId === null) return [];
    const node = survey.supply.nodes.find(({ id }) => id === nodeId);
    return [
      {
        id: 'fuse-above-holder',
        grade: 'act',
        on: 'fuse',
        station: 'cut-out',
        title: `${fuseName(node)}: ${says}.`,
        remedy: 'One of the two was misread: read both again, or ask the operator.',
        askOf: 'surveyor',
        subjectId: nodeId,
        field: 'supply.nodes.ratingA',
      },
    ];
  });
}
