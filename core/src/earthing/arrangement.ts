import type { Statement } from '../finding';
import type { Survey } from '../survey/survey';
import { ARRANGEMENT_NAMES } from './arrangement-names';
import { MISTAKEN_FOR, recognise } from './signs';

/** What was recorded of the arrangement against what its signs surely show. */
export function arrangementFindings(survey: Survey): Statement[] {
  const { arrangement } = survey.earthing;
  const { pointsTo, sure, contradicts } = recognise(survey.earthing);
  if (arrangement === undefined || arrangement === 'unknown' || !sure || contradicts) return [];
  if (pointsTo === null || pointsTo === arrangement) return [];
  return [
    {
      id: 'earthing-against-signs',
      grade: 'act',
      on: 'earthing',
      station: 'earthing',
      askOf: 'surveyor',
      title: `${ARRANGEMENT_NAMES[arrangement]} is recorded, and the signs point to ${ARRANGEMENT_NAMES[pointsTo]}.`,
      remedy: MISTAKEN_FOR[arrangement],
      field: 'earthing.arrangement',
    },
  ];
}
