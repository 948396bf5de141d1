import type { Assessment } from '../assessment';
import { chargerLimitA } from '../management/limiter';
import type { Load } from '../survey/load';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, supplyTree } from '../tree/supply-tree';

/**
 * The survey of one supply of a building by itself, as its own customer, meter point and pack need it: limited by its own fuse, with its own new equipment. The
 * rest of the building stays, since it shares the intake; what is to be connected there counts as there already. `whole` is the assessment of the survey it is made from.
 */
export function surveyOfSupply(survey: Survey, deviceId: string, whole: Pick<Assessment, 'demand'>): Survey {
  const tree = supplyTree(survey);
  const device = tree.byId.get(deviceId);
  if (!device) return survey;
  const own = ({ nodeId }: { readonly nodeId?: string }): boolean => hangsFrom(nodeOf(tree, nodeId), device);
  // What is held by a clamp that sees this supply gives way to it, and counts with its fail-safe: but only where that limiter is known to keep the building.
  const isHeld = whole.demand.limiter.holds === true;
  const besideA = (proposal: Proposal): number | null => {
    const { kind, setPointA, failSafeA, clampNodeId } = proposal.limiter;
    const clamp = tree.byId.get(clampNodeId ?? '');
    const givesWay =
      isHeld && kind === 'clamp' && setPointA !== undefined && clamp !== undefined && hangsFrom(device, clamp);
    return givesWay && failSafeA !== undefined ? failSafeA : chargerLimitA(proposal);
  };
  const said = survey.site?.supplies?.find(({ nodeId }) => nodeId === deviceId);
  const {
    customerName: _name,
    customerPhone: _phone,
    customerEmail: _email,
    meterPointNumber: _point,
    ...place
  } = survey.place;
  const { site: _site, pool, generation, measurements: _logs, ...rest } = survey;
  return {
    ...rest,
    place: {
      ...place,
      ...(said?.customerName === undefined ? {} : { customerName: said.customerName }),
      ...(said?.meterPointNumber === undefined ? {} : { meterPointNumber: said.meterPointNumber }),
    },
    supply: { ...survey.supply, deviceId },
    // A log of the building says nothing of one supply of it.
    measurements: tree.device === device ? survey.measurements : [],
    loads: [
      ...survey.loads,
      ...survey.proposals.filter((each) => !own(each)).flatMap((each) => asLoad(each, besideA(each))),
    ],
    proposals: survey.proposals.filter(own),
    ...(generation ? { generation: generation.filter(own) } : {}),
    ...(pool && own(pool) ? { pool } : {}),
  };
}

/** New equipment of another supply, or beside what is judged, as it draws on what is shared: in full, and not known where its rating is not. */
export function asLoad(proposal: Proposal, currentA = chargerLimitA(proposal)): Load[] {
  if (currentA === 0) return [];
  const { id, label, nodeId, phase, phases } = proposal;
  const line = phases === 3 ? 'all' : phase;
  return [
    {
      id,
      class: 'ev-charging',
      ...(currentA === null ? {} : { currentA }),
      continuous: true,
      ...(label === undefined ? {} : { label }),
      ...(nodeId === undefined ? {} : { nodeId }),
      ...(line === undefined ? {} : { phase: line }),
    },
  ];
}
