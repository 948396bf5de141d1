import type { Finding } from '../finding';
import type { Survey } from '../survey/survey';
import { basisGap, basisShortfall, CLASS_NAMES } from './maximum-demand';
import type { Connected } from './connected';

/** What is still to be asked about the loads, and the assumptions made meanwhile. */
export function loadFindings(survey: Survey, connected: readonly Connected[]): Finding[] {
  const findings: Finding[] = [];
  const gap = basisGap(connected, 'circuits');
  if (gap !== undefined)
    findings.push({
      id: 'no-loads',
      grade: 'ask',
      station: 'loads',
      title: gap,
      remedy: 'Start from a usual set for this kind of home and correct it.',
      askOf: 'surveyor',
      field: 'loads',
    });
  for (const load of survey.loads) {
    const name = load.label ?? CLASS_NAMES[load.class];
    const about = { station: 'loads', askOf: 'surveyor', subjectId: load.id } as const;
    if (connected.find(({ id }) => id === load.id)?.currentA === null)
      findings.push({
        ...about,
        id: 'load-without-size',
        grade: 'ask',
        title: `${name}: no size given, so it is missing from the sum.`,
        remedy: 'Enter watts or amperes from its plate.',
        field: 'loads.powerW',
      });
    if (load.class === 'cooking' && load.controlUnitsWithSocket === undefined)
      findings.push({
        ...about,
        id: 'control-socket-not-known',
        grade: 'ask',
        title: `${name}: not said whether its control unit has a socket; one is counted.`,
        remedy: 'Look at the cooker switch.',
        field: 'loads.controlUnitsWithSocket',
      });
    if (load.phase === undefined && (connected.find(({ id }) => id === load.id)?.phases.length ?? 0) > 1)
      findings.push({
        ...about,
        id: 'phase-not-known',
        grade: 'ask',
        title: `${name}: phase not known, so it counts on all three.`,
        remedy: 'See which phase its device is on.',
        field: 'loads.phase',
      });
  }
  if (
    gap === undefined &&
    !survey.loads.some(({ class: kind }) => kind === 'socket-circuit' || kind === 'socket-appliance')
  )
    findings.push({
      id: 'no-sockets',
      grade: 'ask',
      station: 'loads',
      title: 'No socket circuits are listed.',
      remedy: 'Few homes have none: check the board.',
      askOf: 'surveyor',
      field: 'loads',
    });
  return [...findings, ...declarationFindings(survey, connected)];
}

function declarationFindings(survey: Survey, connected: readonly Connected[]): Finding[] {
  const { basis, reason } = survey.declaration;
  const about = { station: 'loads', grade: 'act', askOf: 'surveyor' } as const;
  if (basis === undefined || basis === 'circuits') return [];
  const gap = basis === 'appliances' ? basisGap(connected, basis) : undefined;
  if (gap !== undefined)
    return [
      {
        ...about,
        id: 'declared-basis-empty',
        title: `Declared by appliances, but: ${gap} The figure by circuits is used.`,
        remedy: 'List the appliances, or declare by circuits.',
      },
    ];
  if (!reason || reason.trim() === '')
    return [
      {
        ...about,
        id: 'declaration-without-reason',
        title: `Declared by ${basis} without a reason. The figure by circuits is used.`,
        remedy: 'Say why it is nearer to life here.',
        field: 'declaration.reason',
      },
    ];
  return basisShortfall(connected, 'circuits') === undefined
    ? []
    : [
        {
          ...about,
          grade: 'note',
          id: 'circuits-incomplete',
          title: 'The figure by circuits is not complete.',
          remedy: 'List the socket circuits to compare the two.',
        },
      ];
}
