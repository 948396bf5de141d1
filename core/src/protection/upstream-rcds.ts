import type { Statement } from '../finding';
import type { CircuitRules } from '../rules/circuit-rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import { nodeName } from '../survey/words/words';
import type { TreeRcd } from './rcds-above';

/** What stands before a charger’s own RCD: blinding by direct current, and no discrimination in series. */
export function upstreamRcdFindings(above: readonly TreeRcd[], proposal: Proposal, { rcd }: CircuitRules): Statement[] {
  const name = equipmentName(proposal);
  const ownMa = proposal.rcd?.residualMa ?? rcd.value.residualMa;
  // Type B without 6 mA detection lets up to 60 mA of smooth direct current pass.
  const passesDc = proposal.rcd?.rcdType === 'B' && proposal.rcd.dcDetection !== 'yes';
  return above.flatMap(({ here, rcdType, residualMa, timeDelayed }): Statement[] => {
    const about = { station: 'circuit', on: 'circuit', subjectId: here.node.id, source: rcd.source } as const;
    const findings: Statement[] = [];
    if (rcdType === 'AC' || (passesDc && rcdType !== undefined && rcdType !== 'B'))
      findings.push({
        ...about,
        id: 'upstream-rcd-blinded',
        grade: 'act',
        title:
          rcdType === 'AC'
            ? `${nodeName(here.node)}: type AC before a charger, whose direct current blinds it.`
            : `${nodeName(here.node)}: type ${rcdType} before a charger that relies on type B: up to 60 mA of direct current blinds it.`,
        remedy:
          rcdType === 'AC'
            ? 'Type A at least, or feed the charger from before it.'
            : 'Feed the charger from before it, or choose equipment with 6 mA detection.',
        field: 'supply.nodes.rcdType',
      });
    if (!timeDelayed && residualMa !== undefined && residualMa <= ownMa)
      findings.push({
        ...about,
        id: 'rcds-in-series',
        grade: 'act',
        title: `${nodeName(here.node)}: ${residualMa} mA without delay before ${name}’s own RCD; either may trip first.`,
        remedy: 'A time-delayed one before it, or feed the charger from before it.',
        field: 'supply.nodes.timeDelayed',
      });
    return findings;
  });
}
