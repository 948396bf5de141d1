import type { Finding } from '../finding';
import { highestReading } from '../intake/readings';
import type { RulePack } from '../rules/rule-pack';
import type { Survey } from '../survey/survey';
import { exceeds } from '../worked';

/** Names as the trade says them. */
export const ARRANGEMENT_NAMES = { 'tn-c-s': 'TN-C-S (PME)', 'tn-s': 'TN-S', tt: 'TT', unknown: 'Not known' } as const;

/** What the arrangement, its reading and a vehicle outdoors ask for. */
export function earthingFindings(survey: Survey, pack: RulePack): Finding[] {
  const { arrangement, recognisedBy } = survey.earthing;
  const zeOhm = highestReading(survey, 'loop-impedance-external', survey.earthing.zeOhm);
  const electrodeOhm = highestReading(survey, 'electrode-resistance', survey.earthing.electrodeOhm);
  if (arrangement === undefined || arrangement === 'unknown')
    return [
      {
        id: 'earthing-not-known',
        grade: 'ask',
        station: 'earthing',
        title: 'The earthing arrangement is not known.',
        remedy: 'See where the earthing conductor goes: to the cut-out’s neutral, the cable’s sheath, or an electrode.',
        askOf: 'surveyor',
        field: 'earthing.arrangement',
      },
    ];
  const findings: Finding[] = [];
  if (!recognisedBy)
    findings.push({
      id: 'earthing-recognition-missing',
      grade: 'ask',
      station: 'earthing',
      title: `${ARRANGEMENT_NAMES[arrangement]}: nobody has said how it was recognised.`,
      remedy: 'Note what was seen.',
      askOf: 'surveyor',
      field: 'earthing.recognisedBy',
    });
  if (arrangement !== 'tt') {
    const limit = pack.largestZeOhm.value[arrangement];
    if (zeOhm !== undefined && exceeds(zeOhm, limit))
      findings.push({
        id: 'ze-above-declared',
        grade: 'act',
        station: 'earthing',
        title: `Ze ${zeOhm} Ω is above ${limit} Ω, the most an operator declares for ${ARRANGEMENT_NAMES[arrangement]}.`,
        remedy: 'Query it with the operator before relying on it.',
        askOf: 'operator',
        source: pack.largestZeOhm.source,
      });
  } else if (electrodeOhm !== undefined && exceeds(electrodeOhm, pack.unstableElectrodeOhm.value))
    findings.push({
      id: 'electrode-unstable',
      grade: 'act',
      station: 'earthing',
      title: `An electrode of ${electrodeOhm} Ω is above ${pack.unstableElectrodeOhm.value} Ω and may not stay steady.`,
      remedy: 'Improve the electrode, whatever the touch-voltage sum allows.',
      source: pack.unstableElectrodeOhm.source,
    });
  return [...findings, ...openPenFindings(survey)];
}

/** A vehicle charging outdoors on TN-C-S needs a decided protection against an open PEN conductor. */
function openPenFindings(survey: Survey): Finding[] {
  if (survey.earthing.arrangement !== 'tn-c-s') return [];
  return survey.proposals
    .filter((proposal) => proposal.parking !== 'indoors-only' && proposal.openPen === undefined)
    .map((proposal) => ({
      id: 'open-pen-undecided',
      grade: 'act',
      station: 'charger',
      title: 'On TN-C-S a vehicle outdoors needs protection against an open PEN conductor; none is chosen.',
      remedy: 'Choose built-in detection, a separate device, a TT island, or record that charging is indoors only.',
      askOf: 'surveyor',
      subjectId: proposal.id,
      field: 'proposals.openPen',
      source: 'BS 7671 722.411.4.1',
    }));
}
