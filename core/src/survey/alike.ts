import { blankSurvey } from './blank';
import type { Load } from './load';
import type { Cable, SupplyNode } from './supply';
import type { AddressParts } from './address';
import type { PenProtection } from './circuit';
import type { Place } from './place';
import type { Proposal } from './proposal';
import type { Survey } from './survey';
import { assumedLoad } from './assumed';

/**
 * A survey of a house like one surveyed before: its shape, ratings, loads and new equipment are there to start from, and nothing of them counts as seen. What can only
 * be found out at the house itself — customer, meter point, readings, photographs, checks, lengths, the cut-out’s evidence, earth, loop, tests — is open again.
 *
 * @example alikeSurvey(numberSeven, addressOf('9 Hollow Row, Netherby'))
 */
export function alikeSurvey(like: Survey, place: AddressParts): Survey {
  const supply = { ...like.supply, nodes: like.supply.nodes.map(alikeNode) };
  return {
    ...blankSurvey(),
    place: { ...alikePlace(like.place), ...place },
    supply,
    loads: like.loads.map((load): Load => assumedLoad(load)),
    proposals: like.proposals.map(alikeProposal),
  };
}

/** Where it is in the country and who distributes there; not whose it is. */
function alikePlace({
  customerName: _name,
  customerPhone: _phone,
  customerEmail: _email,
  addressLine1: _line1,
  addressLine2: _line2,
  postcode: _postcode,
  meterPointNumber: _number,
  ...rest
}: Place): Place {
  return rest;
}

/** A node with what it is and what it is marked with; how long its cable is and what was seen of it are the other house’s. */
function alikeNode(node: SupplyNode): SupplyNode {
  const { checks: _checks, evidence, evidenceNote: _note, cable, sharedReason: _reason, ...rest } = node;
  return {
    ...rest,
    ...(evidence === undefined ? {} : { evidence: 'assumed' as const }),
    ...(cable ? { cable: alikeCable(cable) } : {}),
  };
}

function alikeCable({ lengthM: _length, terminalsFor90: _terminals, ...rest }: Cable): Cable {
  return rest;
}

/** New equipment as it was chosen and set; its way, its place, its tests and what its maker declares for the site are not copied. */
function alikeProposal(proposal: Proposal): Proposal {
  const { tested: _tested, position: _position, surge: _surge, way: _way, dataLink: _link, pen, ...rest } = proposal;
  const { fit: _fit, test: _test, ...limiter } = proposal.limiter;
  const { segments: _segments, concealed: _concealed, terminalsFor90: _terminals, ...circuit } = proposal.circuit ?? {};
  return {
    ...rest,
    limiter,
    ...(proposal.circuit ? { circuit } : {}),
    ...(pen ? { pen: alikePen(pen) } : {}),
  };
}

/** What the equipment has built in; electrodes and distances are the other house’s. */
function alikePen({
  reason: _reason,
  secondEarthPath: _second,
  islandDistanceM: _distance,
  islandClear: _clear,
  electrodeOhm: _electrode,
  ...rest
}: PenProtection): PenProtection {
  return rest;
}
