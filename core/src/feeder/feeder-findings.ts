import type { Statement } from '../finding';
import type { FeederAssessment } from './feeder';
import { exceeds } from '../worked';

/** What the questions and answers of the feeders come to, on the feeder each concerns. */
export function feederFindings(feeders: readonly FeederAssessment[]): Statement[] {
  return feeders.flatMap((feeder) => {
    const about = { station: 'circuit', subjectId: feeder.nodeId } as const;
    return [...questionFindings(feeder, about), ...loopFinding(feeder, about), ...claimFinding(feeder, about)];
  });
}

type About = Pick<Statement, 'station' | 'subjectId'>;

export const FEEDER_FIELDS = {
  device: 'supply.nodes.ratingA',
  cable: 'supply.nodes.cable',
  'what-else': 'loads.nodeId',
  'volt-drop': 'supply.nodes.cable',
  'charger-as-well': 'supply.nodes.cable',
} as const;

/** A feeder that carries no new equipment is judged for what is recorded, and asked nothing. */
function questionFindings({ questions, label, answers, proposalId }: FeederAssessment, about: About): Statement[] {
  const [first] = answers;
  return questions.flatMap(({ id, answer, state }): Statement[] => {
    if (state !== 'fails') return [];
    const remedy =
      first?.holds === true
        ? `First of the answers: ${first.title}. ${first.says}`
        : 'None of the answers holds as things stand: less load there, or look at them again with what is missing.';
    return [
      {
        ...about,
        id: `feeder-${id}`,
        grade: 'act',
        on: proposalId === null ? 'workmanship' : 'circuit',
        title:
          id === 'cable' ? `${label}: its cable does not stand behind its device. ${answer}.` : `${label}: ${answer}.`,
        remedy,
        source: id === 'volt-drop' ? 'BS 7671 525, appendix 4' : 'BS 7671 433.1',
        field: FEEDER_FIELDS[id],
      },
    ];
  });
}

function loopFinding({ label, loop, loopLimit, proposalId }: FeederAssessment, about: About): Statement[] {
  if (loop.value === null || loopLimit.value === null || !exceeds(loop.value, loopLimit.value, 'Ω')) return [];
  return [
    {
      ...about,
      id: 'feeder-loop-too-high',
      grade: 'act',
      on: proposalId === null ? 'workmanship' : 'circuit',
      title: `${label}: loop impedance ${loop.value.toFixed(2)} Ω at its end, ${loopLimit.value.toFixed(2)} Ω at most for its device.`,
      remedy: 'A smaller or faster device, a larger cable, or an RCD before it that the designer declares for it.',
      source: 'BS 7671 411.4.4',
      working: [...loop.working, ...loopLimit.working],
    },
  ];
}

/** “The cable looks thick enough” is tested, not believed. */
function claimFinding({ label, claim }: FeederAssessment, about: About): Statement[] {
  if (!claim) return [];
  const reasons = claim.reasons.join('; ');
  const field = 'supply.nodes.claimedRatingA';
  if (claim.holds === true)
    return [
      {
        ...about,
        id: 'feeder-claim',
        grade: 'note',
        title: `${label}: worked out again for ${claim.claimedA} A, and it holds: ${reasons}.`,
        remedy: 'Look along the whole of it before its device is changed.',
        field,
      },
    ];
  if (claim.holds === null) return [];
  return [
    {
      ...about,
      id: 'feeder-claim',
      grade: 'act',
      on: 'workmanship',
      title: `${label}: its cable would not carry ${claim.claimedA} A: ${reasons}.`,
      remedy: 'Its device stays as it is. A thick cable may have been laid for volt drop or grouping.',
      field,
    },
  ];
}
