import type { Statement } from '../finding';
import type { Survey } from '../survey/survey';
import { basisGap, basisShortfall } from './maximum-demand';
import type { Connected } from './connected';

/** What does not go with what was declared. */
export function declarationFindings(survey: Survey, connected: readonly Connected[]): Statement[] {
  const { basis, reason } = survey.declaration;
  const about = { station: 'loads', grade: 'act', on: 'demand', askOf: 'surveyor' } as const;
  if (basis === undefined || basis === 'circuits') return [];
  const gap = basis === 'appliances' ? basisGap(connected, basis) : undefined;
  if (gap !== undefined)
    return [
      {
        ...about,
        id: 'declared-basis-empty',
        title: `Declared by appliances, but: ${gap} The figure by circuits is used.`,
        remedy: 'List the appliances, or declare by circuits.',
        field: 'declaration.basis',
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
  return connected.length === 0 || basisShortfall(connected, 'circuits') === undefined
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
