import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { lengthOf } from '../cable/capacity';

/** Whether wireless would do at the place of the equipment: good, worth a trial, or not to be relied on. */
export function signalVerdict(signalDbm: number, rules: Rules): 'good' | 'to-try' | 'poor' {
  const [good, least] = rules.circuit.signalDbm.value;
  return signalDbm >= good ? 'good' : signalDbm >= least ? 'to-try' : 'poor';
}

/** What reaches the equipment without a wire. */
export function wirelessUses({ limiter, dataLink }: Proposal): ('clamp' | 'network')[] {
  const clamp = limiter.kind === 'clamp' && dataLink?.clamp === 'wireless';
  return [...(clamp ? (['clamp'] as const) : []), ...(dataLink?.network === 'wireless' ? (['network'] as const) : [])];
}

/** A signal too weak for what relies on it; a clamp the charger cannot hear is no limiter. */
export function dataLinkFindings(proposal: Proposal, rules: Rules): Statement[] {
  const { id: subjectId, dataLink, circuit } = proposal;
  const uses = wirelessUses(proposal);
  const { signalDbm } = dataLink ?? {};
  if (uses.length === 0 || signalDbm === undefined) return [];
  const verdict = signalVerdict(signalDbm, rules);
  if (verdict === 'good') return [];
  const poor = verdict === 'poor';
  const route = lengthOf(circuit?.segments ?? []);
  return [
    {
      station: 'circuit',
      subjectId,
      ownUse: true,
      id: 'signal-weak',
      grade: poor ? 'act' : 'note',
      on: uses.includes('clamp') ? 'limiter' : 'workmanship',
      title: `${equipmentName(proposal)}: ${signalDbm} dBm at the place is ${poor ? 'too weak to rely on' : 'worth a trial'} for the ${uses.join(' and ')}.`,
      remedy: poor
        ? `A data cable in the same route${route.ok ? `, ${route.value} m` : ''}.`
        : 'Leave it running for a day before relying on it, or run a data cable in the same route.',
      source: rules.circuit.signalDbm.source,
      field: 'proposals.dataLink.signalDbm',
    },
  ];
}
