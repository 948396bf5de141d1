import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import { equipmentName } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import { lengthOf } from './capacity';

/** Whether wireless would do at the place of the equipment: good, worth a trial, or not to be relied on. */
export function signalVerdict(signalDbm: number, pack: RulePack): 'good' | 'to-try' | 'poor' {
  const [good, least] = pack.circuit.signalDbm.value;
  return signalDbm >= good ? 'good' : signalDbm >= least ? 'to-try' : 'poor';
}

/** How clamp and network reach the equipment; a clamp the charger cannot hear is no limiter. */
export function dataLinkFindings(proposal: Proposal, pack: RulePack): Finding[] {
  const { id: subjectId, limiter, dataLink, circuit } = proposal;
  const label = equipmentName(proposal);
  const about = { station: 'circuit', subjectId, ownUse: true } as const;
  const { source } = pack.circuit.signalDbm;
  const found: Finding[] = [];
  const { clamp, network, signalDbm } = dataLink ?? {};
  if (limiter.kind === 'clamp' && (clamp === undefined || clamp === 'none'))
    found.push({
      ...about,
      id: 'clamp-link-not-said',
      grade: 'ask',
      title: `${label}: not said how the clamp reaches it.`,
      remedy: 'A twisted pair in the same route is surest; wireless after a reading at the place.',
      askOf: 'surveyor',
      field: 'proposals.dataLink.clamp',
    });
  const uses = [
    limiter.kind === 'clamp' && clamp === 'wireless' ? 'clamp' : '',
    network === 'wireless' ? 'network' : '',
  ].filter((each) => each !== '');
  if (uses.length > 0 && signalDbm === undefined)
    found.push({
      ...about,
      id: 'signal-not-read',
      grade: 'ask',
      title: `${label}: wireless for ${uses.join(' and ')}, and no signal reading at the place.`,
      remedy: 'Read it there, through the real walls, doors shut.',
      askOf: 'surveyor',
      field: 'proposals.dataLink.signalDbm',
    });
  if (uses.length > 0 && signalDbm !== undefined && signalVerdict(signalDbm, pack) !== 'good') {
    const poor = signalVerdict(signalDbm, pack) === 'poor';
    const route = lengthOf(circuit?.segments ?? []);
    found.push({
      ...about,
      id: 'signal-weak',
      grade: poor ? 'act' : 'note',
      title: `${label}: ${signalDbm} dBm at the place is ${poor ? 'too weak to rely on' : 'worth a trial'} for the ${uses.join(' and ')}.`,
      remedy: poor
        ? `A data cable in the same route${route.ok ? `, ${route.value} m` : ''}.`
        : 'Leave it running for a day before relying on it, or run a data cable in the same route.',
      source,
      field: 'proposals.dataLink.signalDbm',
    });
  }
  return found;
}
