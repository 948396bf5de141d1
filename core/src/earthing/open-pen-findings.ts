import type { Statement } from '../finding';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { OPEN_PEN_NAMES, type OpenPenAssessment } from './open-pen';

/** A vehicle charging outdoors on TN-C-S needs a protection against an open PEN conductor that does its work here. */
export function openPenFindings(survey: Survey, assessed: readonly OpenPenAssessment[], rules: Rules): Statement[] {
  const { source } = rules.earthing.pen;
  return assessed
    .filter(({ need }) => need === 'needed')
    .flatMap(({ proposalId, label, chosen, ways }): Statement[] => {
      const pen = survey.proposals.find(({ id }) => id === proposalId)?.pen;
      const about = { station: 'earthing', on: 'open-pen', grade: 'act', subjectId: proposalId, source } as const;
      const way = ways.find(({ method }) => method === chosen);
      if (chosen === null || !way)
        return [
          {
            ...about,
            id: 'open-pen-undecided',
            title: `${label}: on TN-C-S a vehicle outdoors needs protection against an open PEN conductor; none is chosen.`,
            remedy:
              'Choose built-in detection, a separate device, a TT island, or record that charging is indoors only.',
            askOf: 'surveyor',
            field: 'proposals.openPen',
          },
        ];
      if (way.state !== 'does-not') return [];
      if (chosen !== 'low-electrode' && pen?.secondEarthPath === 'yes')
        return [
          {
            ...about,
            id: 'second-earth-path',
            title: `${label}: its frame is joined to the installation’s earth by a second path, which defeats the disconnection.`,
            remedy:
              'Take it away: an insulated gland, the armour earthed at the supply end only, fixings clear of bonded metal.',
            askOf: 'surveyor',
            field: 'proposals.pen.secondEarthPath',
          },
        ];
      return [
        {
          ...about,
          id: 'open-pen-does-not-suit',
          title: `${label}: ${OPEN_PEN_NAMES[chosen].toLowerCase()} does not suit here. ${way.reasons[0] ?? ''}`,
          remedy: 'Choose another of the four ways.',
          field: 'proposals.openPen',
        },
      ];
    });
}
