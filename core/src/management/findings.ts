import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { phaseAt, type SupplyTree } from '../tree/supply-tree';
import { exceeds } from '../worked';
import { commissioningSteps } from './commissioning';
import { clampSettings, limitFaults, type LimitFault } from './limiter';
import { stepAtMost } from './set-points';

/** What is wrong about the new equipment and how it is limited. */
export function chargerFindings(survey: Survey, rules: Rules, tree: SupplyTree): Statement[] {
  const apart = clampsDiffer(survey);
  return survey.proposals.flatMap((proposal): Statement[] => {
    const name = equipmentName(proposal);
    const about = { station: 'limit', subjectId: proposal.id, grade: 'act' } as const;
    const { kind, fixedA } = proposal.limiter;
    const least = rules.leastChargingA.value;
    const findings: Statement[] = [];
    if (kind !== undefined && kind !== 'none' && fixedA !== undefined && fixedA < least)
      findings.push({
        ...about,
        id: 'setting-below-least',
        on: 'limiter',
        title: `${name}: a setting of ${fixedA} A is below ${least} A, the least a vehicle charges at.`,
        remedy: `Set ${least} A or more.`,
        field: 'proposals.limiter.fixedA',
        source: rules.leastChargingA.source,
      });
    findings.push(...limitFaults(proposal).map((fault) => limitFinding(proposal, fault)));
    if (kind === 'clamp')
      findings.push(
        ...commissioningSteps(proposal, survey, rules, tree)
          .filter(({ state }) => state === 'fails')
          .map((step): Statement => ({
            ...about,
            id: `commissioning-${step.id}`,
            station: 'commissioning',
            on: 'limiter',
            title: `${name}: commissioning failed, “${step.title}”: ${step.says}.`,
            remedy: 'Put it right and do the step again before it is left in use.',
            field: 'proposals.limiter.test',
          })),
      );
    if (clampSettings(proposal) && apart)
      findings.push({
        ...about,
        id: 'several-clamps',
        on: 'limiter',
        title: `${name}: chargers are managed by clamps or set-points of their own, and each would fill the same room. The unmanaged figure is used.`,
        remedy: 'One controller with the same clamps and set-points for all of them, which share what is left.',
      });
    findings.push(...lineFindings(proposal, survey, tree));
    const { kind: what, startingA, ratedA } = proposal;
    if (what === 'heat-pump' && startingA !== undefined && ratedA !== undefined && exceeds(ratedA, startingA))
      findings.push({
        ...about,
        id: 'starting-below-running',
        station: 'charger',
        on: 'registered',
        title: `${name}: starts with ${startingA} A and runs with ${ratedA} A.`,
        remedy: 'One of the two is misread: look again.',
        field: 'proposals.startingA',
      });
    return findings;
  });
}

function limitFinding(proposal: Proposal, { id, says }: LimitFault): Statement {
  const { stepsA = [], failSafesA = [], limiter } = proposal;
  const below = stepAtMost(limiter.fixedA ?? 0, stepsA);
  const remedies: Readonly<Record<LimitFault['id'], string>> = {
    'cannot-be-limited': 'Record the settings its maker gives it, or count it in full.',
    'setting-no-step':
      below === null ? 'Its least step is higher: other equipment, or a clamp.' : `The step below is ${below} A.`,
    'cannot-manage': 'A fixed setting, or equipment that manages by clamp.',
    'fail-safe-no-step':
      failSafesA.length === 0 ? 'It has no fail-safe setting.' : `It has ${failSafesA.join(', ')} A.`,
  };
  const fields = {
    'cannot-be-limited': 'proposals.stepsA',
    'setting-no-step': 'proposals.limiter.fixedA',
    'cannot-manage': 'proposals.limiter.kind',
    'fail-safe-no-step': 'proposals.limiter.failSafeA',
  } as const;
  return {
    id,
    grade: 'act',
    on: 'limiter',
    station: 'limit',
    subjectId: proposal.id,
    title: `${equipmentName(proposal)}: ${says}.`,
    remedy: remedies[id],
    field: fields[id],
  };
}

/** Equipment on lines its board has not: three phases from a board on one, or a line that is not the board's. */
function lineFindings(proposal: Proposal, survey: Survey, tree: SupplyTree): Statement[] {
  const board = survey.supply.phases === 3 ? phaseAt(nodeOf(tree, proposal.nodeId)) : undefined;
  if (board === undefined) return [];
  const { phases, phase } = proposal;
  const other = phases === 3 ? 'three phases' : phase !== undefined && phase !== board ? phase : undefined;
  if (other === undefined) return [];
  return [
    {
      id: 'equipment-on-other-lines',
      grade: 'act',
      on: 'circuit',
      station: 'charger',
      subjectId: proposal.id,
      title: `${equipmentName(proposal)}: it is on ${other === 'all' ? 'three phases' : other}, and what feeds it is on ${board} alone.`,
      remedy: 'Feed it from where those lines are, or correct which lines the board or the equipment is on.',
      field: phases === 3 ? 'proposals.phases' : 'proposals.phase',
    },
  ];
}

/** Whether chargers are managed by clamps that are not the same, so that no one controller shares what is left. */
function clampsDiffer({ proposals }: Survey): boolean {
  const clamps = proposals
    .filter(({ limiter }) => limiter.kind === 'clamp')
    .map(({ limiter: { clampNodeId, setPointA, moreClamps = [] } }) =>
      [
        `${clampNodeId ?? ''} ${setPointA ?? ''}`,
        ...moreClamps.map((more) => `${more.nodeId ?? ''} ${more.setPointA ?? ''}`),
      ]
        .sort()
        .join(', '),
    );
  return new Set(clamps).size > 1;
}
