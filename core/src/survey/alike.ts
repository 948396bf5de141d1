import { blankSurvey } from './blank';
import type { Load } from './load';
import type { SupplyNode } from './supply';
import type { AddressParts } from './address';
import type { PenProtection } from './circuit';
import type { Place } from './place';
import type { Proposal } from './proposal';
import type { Survey } from './survey';
import { assumedLoad } from './assumed';

/**
 * A survey of a house like one surveyed before: the shape of its supply, its loads and its new equipment are there to start from; each load is assumed until it is
 * confirmed. What can only be found out at the house itself is open again: customer, meter point, phases, ratings, cables, readings, photographs, checks, earth, loop, tests.
 *
 * @example alikeSurvey(numberSeven, addressOf('9 Hollow Row, Netherby'))
 */
export function alikeSurvey(like: Survey, place: AddressParts): Survey {
  return {
    ...blankSurvey(),
    place: { ...alikePlace(like.place), ...place },
    supply: { nodes: like.supply.nodes.map(alikeNode) },
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

/**
 * A node as part of the shape: what it is, what it hangs from, what it is called, and what is planned there. Ratings, cables and whatever else was read or
 * seen at the other house are asked for again: a rating that nobody has read here would count as known.
 */
function alikeNode({ id, kind, fedFrom, label, phase, planned }: SupplyNode): SupplyNode {
  return {
    id,
    kind,
    ...(fedFrom === undefined ? {} : { fedFrom }),
    ...(label === undefined ? {} : { label }),
    ...(phase === undefined ? {} : { phase }),
    ...(planned === undefined ? {} : { planned }),
  };
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
