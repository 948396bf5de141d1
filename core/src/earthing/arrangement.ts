import type { Finding } from '../finding';
import type { Survey } from '../survey/survey';
import { ARRANGEMENT_NAMES } from './arrangement-names';
import { MISTAKEN_FOR, recognise } from './signs';

/** What is still open of the arrangement itself: whether it is known, how, and whether what was seen agrees with it. */
export function arrangementFindings(survey: Survey): Finding[] {
  const { arrangement, recognisedBy } = survey.earthing;
  const { pointsTo, sure, contradicts } = recognise(survey.earthing);
  const about = { station: 'earthing', askOf: 'surveyor' } as const;
  const contradiction: Finding[] = contradicts
    ? [
        {
          ...about,
          id: 'earthing-signs-contradict',
          grade: 'ask',
          title: 'The signs of the earthing arrangement contradict each other.',
          remedy: 'Follow the earthing conductor itself from the main terminal to where it ends.',
          field: 'earthing.signs',
        },
      ]
    : [];
  if (arrangement === undefined || arrangement === 'unknown')
    return [
      {
        ...about,
        id: 'earthing-not-known',
        grade: 'ask',
        title:
          pointsTo === null
            ? 'The earthing arrangement is not known.'
            : `The earthing arrangement is not settled; the signs point to ${ARRANGEMENT_NAMES[pointsTo]}.`,
        remedy: 'See where the earthing conductor goes: to the cut-out’s neutral, the cable’s sheath, or an electrode.',
        field: 'earthing.arrangement',
      },
      ...contradiction,
    ];
  const findings = [...contradiction];
  if (pointsTo !== null && pointsTo !== arrangement && !contradicts)
    findings.push({
      ...about,
      id: 'earthing-against-signs',
      grade: sure ? 'act' : 'ask',
      title: `${ARRANGEMENT_NAMES[arrangement]} is recorded, and the signs point to ${ARRANGEMENT_NAMES[pointsTo]}.`,
      remedy: MISTAKEN_FOR[arrangement],
      field: 'earthing.arrangement',
    });
  if (!recognisedBy && !(sure && pointsTo === arrangement))
    findings.push({
      ...about,
      id: 'earthing-recognition-missing',
      grade: 'ask',
      title: `${ARRANGEMENT_NAMES[arrangement]}: nobody has said how it was recognised.`,
      remedy: 'Follow the earthing conductor and say what was seen.',
      field: 'earthing.recognisedBy',
    });
  return findings;
}
