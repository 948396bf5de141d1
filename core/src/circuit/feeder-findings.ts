import type { Finding } from '../finding';
import type { FeederAssessment } from './feeder';

/** What the questions and answers of the feeders come to, on the feeder each concerns. */
export function feederFindings(feeders: readonly FeederAssessment[]): Finding[] {
  return feeders.flatMap((feeder) => {
    const about = { station: 'circuit', subjectId: feeder.nodeId } as const;
    return [
      ...questionFindings(feeder, about),
      ...uncountedFinding(feeder, about),
      ...loopFinding(feeder, about),
      ...claimFinding(feeder, about),
    ];
  });
}

type About = Pick<Finding, 'station' | 'subjectId'>;

const FIELDS = {
  device: 'supply.nodes.ratingA',
  cable: 'supply.nodes.cable',
  'what-else': 'loads.nodeId',
  'volt-drop': 'supply.nodes.cable',
  'charger-as-well': 'supply.nodes.cable',
} as const;

/** A feeder that carries no new equipment is judged for what is recorded, and asked nothing. */
function questionFindings({ questions, label, answers, proposalId }: FeederAssessment, about: About): Finding[] {
  const [first] = answers;
  return questions.flatMap(({ id, question, answer, state }): Finding[] => {
    if (state === 'holds') return [];
    if (state === 'not-known') {
      // The last question follows from the others: it is not asked beside them.
      if (proposalId === null || id === 'charger-as-well' || id === 'volt-drop') return [];
      return [
        {
          ...about,
          id: `feeder-${id}`,
          grade: 'ask',
          title: `${label}: ${question} ${answer}.`.replace('..', '.'),
          remedy:
            id === 'what-else'
              ? 'Place the loads of the outbuilding on its board, with their sizes.'
              : 'Read it at the device, and along the cable.',
          askOf: 'surveyor',
          field: FIELDS[id],
          ownUse: true,
        },
      ];
    }
    const remedy =
      first?.holds === true
        ? `First of the answers: ${first.title}. ${first.says}`
        : 'None of the answers holds as things stand: less load there, or look at them again with what is missing.';
    return [
      {
        ...about,
        id: `feeder-${id}`,
        grade: 'act',
        title:
          id === 'cable' ? `${label}: its cable does not stand behind its device. ${answer}.` : `${label}: ${answer}.`,
        remedy,
        source: id === 'volt-drop' ? 'BS 7671 525, appendix 4' : 'BS 7671 433.1',
        field: FIELDS[id],
      },
    ];
  });
}

/** The feeder is judged with what is plugged in there; the declared demand of the whole may not hold it. */
function uncountedFinding({ label, uncountedA, proposalId }: FeederAssessment, about: About): Finding[] {
  if (uncountedA <= 1e-9 || proposalId === null) return [];
  return [
    {
      ...about,
      id: 'feeder-uncounted',
      grade: 'ask',
      title: `${label}: judged with ${uncountedA.toFixed(1)} A that the basis declared does not count there.`,
      remedy:
        'Record the socket circuit the appliances are on, or the appliances on the circuits, so that the maximum demand holds them too.',
      askOf: 'surveyor',
      field: 'loads.nodeId',
    },
  ];
}

function loopFinding({ label, loop, loopLimit }: FeederAssessment, about: About): Finding[] {
  if (loop.value === null || loopLimit.value === null || loop.value <= loopLimit.value + 1e-6) return [];
  return [
    {
      ...about,
      id: 'feeder-loop-too-high',
      grade: 'act',
      title: `${label}: loop impedance ${loop.value.toFixed(2)} Ω at its end, ${loopLimit.value.toFixed(2)} Ω at most for its device.`,
      remedy: 'A smaller or faster device, a larger cable, or an RCD before it that the designer declares for it.',
      source: 'BS 7671 411.4.4',
      working: [...loop.working, ...loopLimit.working],
    },
  ];
}

/** “The cable looks thick enough” is tested, not believed. */
function claimFinding({ label, claim }: FeederAssessment, about: About): Finding[] {
  if (!claim) return [];
  const reasons = claim.reasons.join('; ');
  const field = 'supply.nodes.claimedRatingA';
  if (claim.holds === true)
    return [
      {
        ...about,
        id: 'feeder-claim',
        grade: 'note',
        title: `${label}: reckoned again for ${claim.claimedA} A, and it holds: ${reasons}.`,
        remedy: 'Look along the whole of it before its device is changed.',
        field,
      },
    ];
  return [
    {
      ...about,
      id: 'feeder-claim',
      grade: claim.holds === false ? 'act' : 'ask',
      title: `${label}: that its cable would carry ${claim.claimedA} A is ${claim.holds === false ? 'not so' : 'not shown'}: ${reasons}.`,
      remedy: 'Its device stays as it is. A thick cable may have been laid for volt drop or grouping.',
      field,
      ...(claim.holds === null ? { askOf: 'surveyor' as const, ownUse: true } : {}),
    },
  ];
}
