import type { FindingId } from '../finding-ids';
import { ARRANGEMENT_NAMES } from '../earthing/arrangement-names';
import { earthOrigin, isArrangementKnown } from '../earthing/assess-earthing';
import { servicesNotLookedFor } from '../earthing/bonding';
import {
  againstFault,
  apart,
  belowOrigin,
  electrodeNotTaken,
  tooLowForTt,
  zeNotTaken,
  type ReadingDoubt,
} from '../earthing/earth-readings';
import { OPEN_PEN_NAMES, type OpenPenAssessment } from '../earthing/open-pen';
import { rcdsWithoutResidual } from '../earthing/rcd-cover';
import { MISTAKEN_FOR, recognise } from '../earthing/signs';
import type { Rules } from '../rules/rules';
import { BONDED_PART_NAMES } from '../survey/words/earthing-words';
import type { Survey } from '../survey/survey';
import { nodeName } from '../survey/words/words';
import { written } from '../worked';
import { onProposal, yesOrNo } from './changes';
import type { Open, QuestionEntry, QuestionFacts } from './question';

const about = { station: 'earthing', askOf: 'surveyor', stop: 'part', on: 'earthing' } as const;

/** About no node of its own: where the supply comes in. */
function atOrigin({ tree }: QuestionFacts, open: readonly Open[]): readonly Open[] {
  const subjectId = earthOrigin(tree);
  return subjectId === undefined ? open : open.map((each) => ({ subjectId, ...each }));
}

/** A doubt about readings, asked once the arrangement is known. */
const reading = (
  id: FindingId,
  why: string,
  doubt: (survey: Survey, rules: Rules) => ReadingDoubt | null,
  ownUse = false,
): QuestionEntry => ({
  ...about,
  id,
  field: 'readings',
  why,
  ...(ownUse ? { ownUse } : {}),
  open: (facts) => {
    const found = isArrangementKnown(facts.survey) ? doubt(facts.survey, facts.rules) : null;
    return atOrigin(facts, found === null ? [] : [found]);
  },
});

/** Where a vehicle outdoors has to be protected, with the way chosen. */
function penCases({ survey, earthing, rules }: QuestionFacts): {
  readonly of: OpenPenAssessment;
  readonly pen: NonNullable<Survey['proposals'][number]['pen']>;
  readonly source: string;
}[] {
  if (!isArrangementKnown(survey)) return [];
  return earthing.openPen
    .filter(({ need, chosen }) => need === 'needed' && chosen !== null)
    .map((of) => ({
      of,
      pen: survey.proposals.find(({ id }) => id === of.proposalId)?.pen ?? {},
      source: rules.earthing.pen.source,
    }));
}

const pen = { ...about, stop: 'parking', on: 'open-pen', ownUse: true } as const;

/** What can be unknown of the earth, of bonding, and of the protection against an open PEN conductor. */
export const EARTHING_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...about,
    id: 'earthing-not-known',
    field: 'earthing.arrangement',
    why: 'Protection of the new circuit, and of a vehicle outdoors, follows from it.',
    photo: 'Where the earthing conductor goes, from the main terminal to its end',
    open: (facts) => {
      if (isArrangementKnown(facts.survey)) return [];
      const { pointsTo } = recognise(facts.survey.earthing);
      return atOrigin(facts, [
        {
          title:
            pointsTo === null
              ? 'Which earthing arrangement is it?'
              : `Which earthing arrangement is it? The signs point to ${ARRANGEMENT_NAMES[pointsTo]}.`,
          remedy:
            'See where the earthing conductor goes: to the cut-out’s neutral, the cable’s sheath, or an electrode.',
          answers: (['tn-s', 'tn-c-s', 'tt'] as const).map((arrangement) => ({
            says: ARRANGEMENT_NAMES[arrangement],
            change: (s) => ({ ...s, earthing: { ...s.earthing, arrangement, recognisedBy: 'supposed', signs: [] } }),
          })),
        },
      ]);
    },
  },
  {
    ...about,
    id: 'earthing-signs-contradict',
    field: 'earthing.signs',
    why: 'Of two signs that exclude each other one is misread.',
    photo: 'Where the earthing conductor goes, from the main terminal to its end',
    open: (facts) =>
      recognise(facts.survey.earthing).contradicts
        ? atOrigin(facts, [
            {
              title: 'The signs of the earthing arrangement contradict each other.',
              remedy: 'Follow the earthing conductor itself from the main terminal to where it ends.',
            },
          ])
        : [],
  },
  {
    ...about,
    id: 'earthing-signs-differ',
    field: 'earthing.arrangement',
    why: 'One arrangement is easily mistaken for another.',
    photo: 'Where the earthing conductor goes, from the main terminal to its end',
    open: (facts) => {
      const { earthing } = facts.survey;
      const { arrangement } = earthing;
      const { pointsTo, sure, contradicts } = recognise(earthing);
      if (arrangement === undefined || arrangement === 'unknown' || sure || contradicts) return [];
      if (pointsTo === null || pointsTo === arrangement) return [];
      return atOrigin(facts, [
        {
          title: `${ARRANGEMENT_NAMES[arrangement]} is recorded, and the signs point to ${ARRANGEMENT_NAMES[pointsTo]}: which is it?`,
          remedy: MISTAKEN_FOR[arrangement],
        },
      ]);
    },
  },
  {
    ...about,
    id: 'earthing-recognition-missing',
    field: 'earthing.recognisedBy',
    why: 'An arrangement is only as sure as what it was told by.',
    photo: 'Where the earthing conductor goes, from the main terminal to its end',
    open: (facts) => {
      const { earthing } = facts.survey;
      const { arrangement, recognisedBy } = earthing;
      const { pointsTo, sure } = recognise(earthing);
      if (arrangement === undefined || arrangement === 'unknown') return [];
      if (recognisedBy || (sure && pointsTo === arrangement)) return [];
      return atOrigin(facts, [
        {
          title: `${ARRANGEMENT_NAMES[arrangement]}: how was it recognised?`,
          remedy: 'Follow the earthing conductor and say what was seen.',
        },
      ]);
    },
  },
  reading('electrode-not-measured', 'On TT it is the whole earth path.', electrodeNotTaken, true),
  reading('ze-not-measured', 'The loop of every circuit begins with it.', zeNotTaken, true),
  reading('ze-too-low-for-tt', 'A low loop shows that the earth is not the electrode’s alone.', tooLowForTt),
  reading('ze-readings-apart', 'Two readings of one thing that lie apart: one is wrong.', apart),
  reading('fault-current-against-ze', 'Fault current and loop say the same thing twice.', againstFault),
  reading('zs-below-ze', 'A circuit’s loop holds the supply’s in it.', belowOrigin),
  {
    ...about,
    id: 'earthing-conductor-not-known',
    field: 'earthing.conductor.sizeMm2',
    ownUse: true,
    why: 'It carries the whole fault current.',
    photo: 'The main earthing terminal, the marking on the conductor legible',
    open: (facts) => {
      const { conductor } = facts.earthing;
      if (!isArrangementKnown(facts.survey) || conductor.holds !== null) return [];
      const least = conductor.least.value;
      return atOrigin(facts, [
        conductor.recordedMm2 === null
          ? {
              answers: [6, 10, 16].map((sizeMm2) => ({
                says: `${sizeMm2} mm²`,
                change: (s) => ({
                  ...s,
                  earthing: { ...s.earthing, conductor: { ...s.earthing.conductor, sizeMm2 } },
                }),
              })),
              title: 'What size is the earthing conductor?',
              remedy: `Read or measure it at the main earthing terminal${least === null ? '' : `; ${written(least)} mm² at least`}.`,
            }
          : {
              title: 'The least size of the earthing conductor can’t be worked out yet: needs the size of the tails.',
              remedy: 'Record the size of the tails.',
              field: 'supply.nodes.cable.sizeMm2',
            },
      ]);
    },
  },
  {
    ...about,
    id: 'bonding-not-looked',
    stop: 'entries',
    field: 'earthing.services',
    ownUse: true,
    why: 'A metal service that is not bonded brings a potential in.',
    photo: 'Where gas and water come in',
    open: (facts) => {
      const missing = isArrangementKnown(facts.survey) ? servicesNotLookedFor(facts.earthing.bonding) : [];
      return missing.length === 0
        ? []
        : atOrigin(facts, [
            {
              title: `What comes in: ${missing.map((id) => BONDED_PART_NAMES[id].toLowerCase()).join(', ')}; oil and structural steel, if any?`,
              remedy: 'Look at each entry: metal, plastic or none.',
            },
          ]);
    },
  },
  {
    ...about,
    id: 'bonding-not-known',
    stop: 'entries',
    field: 'earthing.services',
    ownUse: true,
    why: 'A metal service that is not bonded brings a potential in.',
    photo: 'The bonding clamp at the service’s entry',
    open: (facts) => {
      if (!isArrangementKnown(facts.survey)) return [];
      const { services, least } = facts.earthing.bonding;
      return services
        .filter(({ state }) => state === 'not-known')
        .flatMap(({ id, name, need, why }) => {
          const bonded = facts.survey.earthing.services?.find((each) => each.id === id)?.bonded === 'yes';
          const asks =
            need === 'not-known'
              ? 'See whether it is metal or plastic where it comes in.'
              : bonded
                ? least.value === null
                  ? `Its least size cannot be said: ${least.why ?? 'not known'}`
                  : 'Read the size of its bonding conductor.'
                : 'See whether it is bonded.';
          return atOrigin(facts, [
            { title: `${name}: ${need === 'not-known' ? why : 'bonding not known in full'}.`, remedy: asks },
          ]);
        });
    },
  },
  {
    ...about,
    id: 'tt-rcd-not-recorded',
    field: 'supply.nodes',
    ownUse: true,
    why: 'On TT every circuit needs an RCD.',
    photo: 'Everything between the meter and the boards',
    open: ({ earthing }) =>
      earthing.rcdCover
        .filter(({ state }) => state === 'not-known')
        .map(({ boardId, label }) => ({
          subjectId: boardId,
          title: `${label}: is there an RCD before it? On TT every circuit needs one.`,
          remedy: 'Look for one at the origin or on every circuit, and add it to the line-up.',
        })),
  },
  {
    ...about,
    id: 'rcd-residual-not-known',
    field: 'supply.nodes.residualMa',
    ownUse: true,
    why: 'What the electrode may have follows from it.',
    photo: 'The face of the RCD',
    open: ({ survey, tree }) =>
      rcdsWithoutResidual(survey, tree).map((here) => ({
        subjectId: here.node.id,
        title: `${nodeName(here.node)}: what is its residual current?`,
        remedy: 'Read I∆n off its face, and whether it is time-delayed (S).',
      })),
  },
  {
    ...pen,
    id: 'open-pen-not-settled',
    field: 'proposals.pen',
    why: 'A way that is chosen protects nobody until it is shown to work here.',
    photo: 'The page of the maker’s data that declares it',
    open: (facts) =>
      penCases(facts).flatMap(({ of, source }) => {
        const way = of.ways.find(({ method }) => method === of.chosen);
        if (!way || way.byItself !== 'not-known' || way.state === 'does-not') return [];
        return [
          {
            subjectId: of.proposalId,
            source,
            title: `${of.label}: ${OPEN_PEN_NAMES[way.method].toLowerCase()} is chosen, and not yet shown to suit. ${way.reasons[0] ?? ''}`,
            remedy: 'Take it from the maker’s data, or measure it on site.',
          },
        ];
      }),
  },
  {
    ...pen,
    id: 'second-earth-path-not-known',
    field: 'proposals.pen.secondEarthPath',
    why: 'A second path to earth goes on holding the frame live after the disconnection.',
    photo: 'The gland at the charger, and what it is screwed to',
    open: (facts) =>
      penCases(facts)
        .filter(({ of, pen: { secondEarthPath } }) => {
          return of.chosen !== 'low-electrode' && secondEarthPath !== 'yes' && secondEarthPath !== 'no';
        })
        .map(({ of, source }) => ({
          subjectId: of.proposalId,
          source,
          title: `${of.label}: does anything else join its frame to the installation’s earth?`,
          remedy: 'Think of the armour’s gland at the charger, and of metal it is screwed to that is bonded indoors.',
          answers: yesOrNo((secondEarthPath) =>
            onProposal(of.proposalId, (each) => ({ ...each, pen: { ...each.pen, secondEarthPath } })),
          ),
        })),
  },
  {
    ...pen,
    id: 'open-pen-without-reason',
    stop: 'desk',
    on: 'form',
    field: 'proposals.pen.reason',
    why: 'The next electrician has to know why.',
    open: (facts) =>
      penCases(facts)
        .filter(({ pen: { reason } }) => !reason)
        .map(({ of, source }) => ({
          subjectId: of.proposalId,
          source,
          title: `${of.label}: why was ${OPEN_PEN_NAMES[of.chosen ?? 'built-in'].toLowerCase()} chosen?`,
          remedy: 'A line will do.',
        })),
  },
  {
    ...pen,
    id: 'parking-not-said',
    station: 'charger',
    askOf: 'customer',
    field: 'proposals.parking',
    taken: 'at-worst',
    why: 'A vehicle that charges indoors only needs no protection against an open PEN conductor.',
    open: ({ survey }) =>
      survey.earthing.arrangement !== 'tn-c-s'
        ? []
        : survey.proposals
            .filter((each) => each.kind === 'vehicle-charger' && each.parking === undefined)
            .map(({ id }) => ({
              subjectId: id,
              title: 'Where will vehicles charge, outdoors or indoors only?',
              remedy: 'Outdoors is used until that is recorded.',
              answers: [
                { says: 'Outdoors', change: onProposal(id, (each) => ({ ...each, parking: 'outdoors' })) },
                { says: 'Indoors only', change: onProposal(id, (each) => ({ ...each, parking: 'indoors-only' })) },
              ],
            })),
  },
];
