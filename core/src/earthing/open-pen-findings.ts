import type { Finding } from '../finding';
import type { RulePack } from '../rules/rule-pack';
import type { Survey } from '../survey/survey';
import { OPEN_PEN_NAMES, type OpenPenAssessment } from './open-pen';

/** A vehicle charging outdoors on TN-C-S needs a decided protection against an open PEN conductor. */
export function openPenFindings(survey: Survey, assessed: readonly OpenPenAssessment[], pack: RulePack): Finding[] {
  const { source } = pack.earthing.pen;
  return assessed
    .filter(({ need }) => need === 'needed')
    .flatMap(({ proposalId, label, chosen, ways }): Finding[] => {
      const pen = survey.proposals.find(({ id }) => id === proposalId)?.pen;
      const about = { station: 'earthing', subjectId: proposalId, source } as const;
      const findings: Finding[] = [];
      const way = ways.find(({ method }) => method === chosen);
      if (chosen === null || !way)
        findings.push({
          ...about,
          id: 'open-pen-undecided',
          grade: 'act',
          title: `${label}: on TN-C-S a vehicle outdoors needs protection against an open PEN conductor; none is chosen.`,
          remedy: 'Choose built-in detection, a separate device, a TT island, or record that charging is indoors only.',
          askOf: 'surveyor',
          field: 'proposals.openPen',
        });
      else if (way.state === 'does-not')
        findings.push({
          ...about,
          id: 'open-pen-does-not-suit',
          grade: 'act',
          title: `${label}: ${OPEN_PEN_NAMES[chosen].toLowerCase()} does not suit here. ${way.reasons[0] ?? ''}`,
          remedy: 'Choose another of the four ways.',
          field: 'proposals.openPen',
        });
      else if (way.state === 'not-known')
        findings.push({
          ...about,
          id: 'open-pen-not-settled',
          grade: 'ask',
          title: `${label}: ${OPEN_PEN_NAMES[chosen].toLowerCase()} is chosen, and not yet shown to suit. ${way.reasons[0] ?? ''}`,
          remedy: 'Take it from the maker’s data, or measure it on site.',
          askOf: 'surveyor',
          field: 'proposals.pen',
          ownUse: true,
        });
      if (chosen !== null && !pen?.reason)
        findings.push({
          ...about,
          id: 'open-pen-without-reason',
          grade: 'ask',
          title: `${label}: not said why ${OPEN_PEN_NAMES[chosen].toLowerCase()} was chosen.`,
          remedy: 'A line will do.',
          askOf: 'surveyor',
          field: 'proposals.pen.reason',
          ownUse: true,
        });
      if (chosen !== null && chosen !== 'low-electrode')
        findings.push(...secondPath(about, label, pen?.secondEarthPath));
      return findings;
    });
}

/** A gland or a fixing that joins the frame to the installation’s earth goes on holding it live after disconnection. */
function secondPath(
  about: Pick<Finding, 'station' | 'subjectId' | 'source'>,
  label: string,
  answer: 'yes' | 'no' | 'unknown' | undefined,
): Finding[] {
  if (answer === 'no') return [];
  const known = answer === 'yes';
  return [
    {
      ...about,
      id: known ? 'second-earth-path' : 'second-earth-path-not-known',
      grade: known ? 'act' : 'ask',
      title: known
        ? `${label}: its frame is joined to the installation’s earth by a second path, which defeats the disconnection.`
        : `${label}: not said whether anything else joins its frame to the installation’s earth.`,
      remedy: known
        ? 'Take it away: an insulated gland, the armour earthed at the supply end only, fixings clear of bonded metal.'
        : 'Think of the armour’s gland at the charger, and of metal it is screwed to that is bonded indoors.',
      askOf: 'surveyor',
      field: 'proposals.pen.secondEarthPath',
      ...(known ? {} : { ownUse: true }),
    },
  ];
}
