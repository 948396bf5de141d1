import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import type { SupplyNode } from '../survey/supply';
import type { Evidence } from '../survey/words';
import { figure, reckon, type Figure } from '../worked';

/** The fuse rating everything is held against, and whether it is truly known. */
export interface FuseRating {
  readonly figure: Figure;
  readonly ratingA: number;
  readonly established: boolean;
  readonly evidence: Evidence | null;
  readonly nodeId: string | null;
}

/** Evidence good enough to establish a rating: the rating itself was read, or the operator gave it. */
export const ESTABLISHING: readonly Evidence[] = ['label', 'record', 'attended'];

/**
 * The rating per phase of the limiting device, in amperes. A rating that is only assumed, or read off the holder's
 * moulding, is not known: the pack's fallback stands in for it, or the lower figure where what was seen is lower still.
 */
export function fuseRating(device: SupplyNode | undefined, pack: RulePack): FuseRating {
  const evidence = device?.evidence ?? null;
  // A solid link has no rating: what is written on it limits nothing.
  const stated = device?.head === 'solid-link' ? undefined : device?.ratingA;
  const nodeId = device?.id ?? null;
  if (stated !== undefined && evidence && ESTABLISHING.includes(evidence)) {
    const read = reckon('Fuse rating', stated, 'A', () => ({
      expression: `as read (${evidence})`,
      substituted: `${stated} A`,
    }));
    return { figure: figure(read), ratingA: stated, established: true, evidence, nodeId };
  }
  const { value: fallback, source } = pack.fallbackFuseA;
  const seen = [stated, device?.holderMaximumA].filter((value) => value !== undefined);
  const ratingA = Math.min(fallback, ...seen);
  const inItsPlace = reckon('Fuse rating', ratingA, 'A', () => ({
    expression: 'not established: the least of the fallback and anything seen',
    substituted: seen.length > 0 ? `least of ${[fallback, ...seen].join(', ')} = ${ratingA} A` : `${ratingA} A`,
    source,
  }));
  return {
    figure: figure(inItsPlace, 'exact', 'Fallback: the fuse rating is not established.'),
    ratingA,
    established: false,
    evidence,
    nodeId,
  };
}

/** What is to be asked or put right about the fuse. */
export function fuseFindings(device: SupplyNode | undefined, rating: FuseRating): Finding[] {
  const findings: Finding[] = [];
  if (!rating.established)
    findings.push({
      id: 'fuse-rating-not-established',
      grade: 'ask',
      station: 'cut-out',
      title: unestablishedTitle(device),
      remedy:
        'Look for a rating on a label, tag or window with the seal intact, or ask the operator for the fuse rating.',
      askOf: 'operator',
      field: 'supply.nodes.evidence',
      ...(rating.nodeId === null ? {} : { subjectId: rating.nodeId }),
    });
  if (
    rating.established &&
    device?.ratingA !== undefined &&
    device.holderMaximumA !== undefined &&
    device.ratingA > device.holderMaximumA
  )
    findings.push({
      id: 'fuse-above-holder',
      grade: 'act',
      station: 'cut-out',
      title: `A ${device.ratingA} A fuse is recorded in a holder moulded ${device.holderMaximumA} A at most.`,
      remedy: 'One of the two was misread: read both again, or ask the operator.',
      askOf: 'surveyor',
      subjectId: device.id,
    });
  return findings;
}

function unestablishedTitle(device: SupplyNode | undefined): string {
  if (!device) return 'No cut-out is recorded.';
  if (device.head === 'solid-link') return 'The head holds a solid link, and no switch-fuse after it is recorded.';
  if (device.evidence === 'moulding') return 'The moulding gives the most the holder can take, not the fuse inside.';
  if (device.ratingA === undefined) return 'The fuse rating is not known.';
  if (device.evidence === undefined) return 'Nobody has said how the fuse rating is known.';
  if (device.evidence === 'assumed') return 'The fuse rating is assumed: nothing was seen.';
  return 'The fuse rating is not established.';
}
