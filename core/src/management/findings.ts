import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import { exceeds } from '../worked';
import { equipmentName, isGeneration } from '../survey/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { nodeOf } from '../tree/sets-below';
import { phaseAt, type SupplyTree } from '../tree/supply-tree';
import { commissioningBegun, commissioningSteps } from './commissioning';
import { clampSettings } from './limiter';
import { stepAtMost } from './set-points';

/** What is still to be said about the new equipment and how it is limited. */
export function chargerFindings(survey: Survey, pack: RulePack, tree: SupplyTree): Finding[] {
  if (survey.proposals.length === 0)
    // A request for the supply alone connects nothing.
    return survey.request.upgradeOnly
      ? []
      : [
          {
            id: 'nothing-proposed',
            grade: 'ask',
            station: 'charger',
            title: 'No new equipment is recorded.',
            remedy: 'Add what is to be fitted, or say that only the supply is to be changed.',
            askOf: 'customer',
            field: 'proposals',
          },
        ];
  const apart = clampsDiffer(survey);
  return survey.proposals.flatMap((proposal) => {
    const name = equipmentName(proposal);
    const about = { station: 'charger', subjectId: proposal.id } as const;
    const findings: Finding[] = [];
    if (proposal.ratedA === undefined)
      findings.push({
        ...about,
        id: 'charger-without-rating',
        grade: 'ask',
        title: `${name}: rated current not known.`,
        remedy: 'Take it from the maker’s data.',
        askOf: 'surveyor',
        field: 'proposals.ratedA',
      });
    if (proposal.typeTested === undefined || proposal.typeTested === 'unknown')
      findings.push({
        ...about,
        id: 'register-not-known',
        grade: 'ask',
        title: `${name}: not known to be on the type-tested register.`,
        remedy: 'Look up its register reference.',
        askOf: 'surveyor',
        field: 'proposals.typeTested',
      });
    findings.push(...askedOfKind(proposal));
    if (proposal.kind === 'vehicle-charger' && (proposal.canExport === undefined || proposal.canExport === 'unknown'))
      findings.push({
        ...about,
        id: 'export-not-known',
        grade: 'ask',
        title: `${name}: not known whether it can export.`,
        remedy: 'Take it from the maker’s data.',
        askOf: 'surveyor',
        field: 'proposals.canExport',
      });
    const line = proposal.phase ?? phaseAt(nodeOf(tree, proposal.nodeId));
    if (survey.supply.phases === 3 && proposal.phases !== 3 && line === undefined)
      findings.push({
        ...about,
        id: 'charger-phase-not-known',
        grade: 'ask',
        title: `${name}: phase not chosen, so it counts on all three.`,
        remedy: 'Choose the phase with most headroom.',
        askOf: 'surveyor',
        field: 'proposals.phase',
      });
    const { kind, fixedA } = proposal.limiter;
    const least = pack.leastChargingA.value;
    if (kind !== undefined && kind !== 'none' && fixedA !== undefined && fixedA < least)
      findings.push({
        ...about,
        id: 'setting-below-least',
        grade: 'act',
        title: `${name}: a setting of ${fixedA} A is below ${least} A, the least a vehicle charges at.`,
        remedy: `Set ${least} A or more.`,
        field: 'proposals.limiter.fixedA',
        source: pack.leastChargingA.source,
      });
    findings.push(...settingFindings(proposal));
    if (kind === 'fixed' && fixedA === undefined)
      findings.push({
        ...about,
        id: 'setting-not-known',
        grade: 'ask',
        title: `${name}: held to a fixed current, but no figure is given. Its full rating is used.`,
        remedy: 'Enter the setting.',
        askOf: 'surveyor',
        field: 'proposals.limiter.fixedA',
      });
    const clamp = clampSettings(proposal);
    if (clamp && 'missing' in clamp)
      findings.push({
        ...about,
        id: 'clamp-not-settled',
        grade: 'ask',
        title: `${name}: clamp management without ${clamp.missing}. The unmanaged figure is used.`,
        remedy: 'Complete the clamp’s settings.',
        askOf: 'surveyor',
        field: 'proposals.limiter',
      });
    if (kind === 'clamp' && commissioningBegun(proposal))
      findings.push(
        ...commissioningSteps(proposal, pack)
          .filter(({ state }) => state === 'fails')
          .map((step): Finding => ({
            ...about,
            id: `commissioning-${step.id}`,
            grade: 'act',
            title: `${name}: commissioning failed, “${step.title}”: ${step.says}.`,
            remedy: 'Put it right and do the step again before it is left in use.',
            field: 'proposals.limiter.test',
          })),
      );
    if (clamp && apart)
      findings.push({
        ...about,
        id: 'several-clamps',
        grade: 'act',
        title: `${name}: chargers are managed by clamps or set-points of their own, and each would fill the same room. The unmanaged figure is used.`,
        remedy: 'One controller with the same clamps and set-points for all of them, which share what is left.',
      });
    return findings;
  });
}

/** What operators ask of one kind of equipment and not of another. */
function askedOfKind(proposal: Proposal): Finding[] {
  const name = equipmentName(proposal);
  const { id, kind, startingA, harmonics, exportA, ratedA } = proposal;
  const ask = (what: string, title: string, remedy: string): Finding => ({
    id: `${what}-not-known`,
    grade: 'ask',
    station: 'charger',
    subjectId: id,
    title: `${name}: ${title}`,
    remedy,
    askOf: 'surveyor',
    field: `proposals.${what}`,
  });
  const found: Finding[] = [];
  if (kind === 'heat-pump' && startingA === undefined)
    found.push(
      ask('startingA', 'starting current not known.', 'Take it from the maker’s data; with a soft start, that.'),
    );
  if ((kind === 'heat-pump' || kind === 'electric-heating') && (harmonics === undefined || harmonics === 'unknown'))
    found.push(
      ask('harmonics', 'not known which limits of harmonics and flicker it keeps.', 'Its declaration says so.'),
    );
  if (isGeneration(proposal) && exportA === undefined && ratedA === undefined)
    found.push(ask('exportA', 'not known how much it can send back.', 'Take it from the plate of its inverter.'));
  if (kind === 'heat-pump' && startingA !== undefined && ratedA !== undefined && exceeds(ratedA, startingA))
    found.push({
      ...ask(
        'startingA',
        `starts with ${startingA} A and runs with ${ratedA} A.`,
        'One of the two is misread: look again.',
      ),
      id: 'starting-below-running',
      grade: 'act',
    });
  return found;
}

/** Settings the equipment does not have: currents that are none of its steps, management it cannot do. */
function settingFindings(proposal: Proposal): Finding[] {
  const { id, limiter, ratedA, stepsA, failSafesA, clampLinks } = proposal;
  const label = equipmentName(proposal);
  const about = { station: 'charger', subjectId: id, grade: 'act' } as const;
  const found: Finding[] = [];
  const { kind, fixedA, failSafeA } = limiter;
  if (kind === 'fixed' && fixedA !== undefined && fixedA !== ratedA && stepsA?.length && !stepsA.includes(fixedA)) {
    const below = stepAtMost(fixedA, stepsA);
    found.push({
      ...about,
      id: 'setting-no-step',
      title: `${label}: it cannot be set to ${fixedA} A.`,
      remedy:
        below === null ? 'Its least step is higher: other equipment, or a clamp.' : `The step below is ${below} A.`,
      field: 'proposals.limiter.fixedA',
    });
  }
  if (kind === 'clamp' && failSafeA !== undefined && failSafesA && !failSafesA.includes(failSafeA))
    found.push({
      ...about,
      id: 'fail-safe-no-step',
      title: `${label}: its fail-safe cannot be set to ${failSafeA} A.`,
      remedy: failSafesA.length === 0 ? 'It has no fail-safe setting.' : `It has ${failSafesA.join(', ')} A.`,
      field: 'proposals.limiter.failSafeA',
    });
  if (kind === 'clamp' && clampLinks?.length === 0)
    found.push({
      ...about,
      id: 'cannot-manage',
      title: `${label}: this equipment takes no clamp.`,
      remedy: 'A fixed setting, or equipment that manages by clamp.',
      field: 'proposals.limiter.kind',
    });
  return found;
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
