import { FAULT_NAMES, conditionNotKnown } from '../intake/condition';
import { fuseName } from '../intake/fuse-rating';
import { CHECK_RULES } from '../intake/checks/findings';
import { LOOP_SIGN_NAMES } from '../intake/loop-status';
import { isLikely, READING_FORMS, readingText } from '../intake/readings';
import { unratedNodes } from '../nodes/unrated';
import type { Standing } from '../grounds/verdict-ids';
import type { Survey } from '../survey/survey';
import { CONDITION_GRADES, type Check, type ReadingKind, nodeName } from '../survey/words/words';
import { amperes, onNode } from './changes';
import type { Open, PlausibleAnswer, QuestionEntry, QuestionFacts } from './question';

const surveyor = { askOf: 'surveyor', stop: 'part' } as const;

/** What a reading that cannot be right leaves open. */
const READING_STANDS_ON: Readonly<Record<ReadingKind, Standing>> = {
  'loop-impedance-external': 'earthing',
  'prospective-fault-current': 'earthing',
  voltage: 'intake',
  'clamp-current': 'demand',
  'electrode-resistance': 'earthing',
  'insulation-resistance': 'circuit',
  'loop-impedance-circuit': 'circuit',
  'r1-r2': 'circuit',
  'r1-rn': 'circuit',
  'rcd-time': 'circuit',
};

function withLoop(status: 'not-looped' | 'feeds-next-door') {
  return (s: Survey): Survey => ({
    ...s,
    intake: { ...s.intake, loop: { status, evidence: 'operator-record' } },
  });
}

/** The ratings a part may have, each as the change it makes. */
function ratingsOf({ survey, rules }: QuestionFacts, nodeId: string): PlausibleAnswer[] {
  const node = survey.supply.nodes.find(({ id }) => id === nodeId);
  if (!node) return [];
  return amperes(rules.plausibleRatingsA.value[node.kind], (ratingA) => onNode(nodeId, { ratingA }));
}

/** What looking may come to, or, where a rating is waited for, the ratings it may have. */
function checkAnswers(facts: QuestionFacts, nodeId: string, check: Check, needsFigure: boolean): Pick<Open, 'answers'> {
  const node = facts.survey.supply.nodes.find(({ id }) => id === nodeId);
  if (!node) return {};
  const unrated = ['meter', 'check-meter', 'isolator', 'split-block', 'board', 'rcd'].includes(node.kind);
  if (check === 'tails-size' && needsFigure)
    return {
      answers: Object.keys(facts.rules.tailsLimitA.value).map((size) => ({
        says: `${size} mm²`,
        change: onNode(nodeId, { cable: { ...node.cable, sizeMm2: Number(size) } }),
      })),
    };
  if (needsFigure) return node.ratingA === undefined && unrated ? { answers: ratingsOf(facts, nodeId) } : {};
  const others = (node.checks ?? []).filter(({ id }) => id !== check);
  return {
    answers: (['fine', 'not-fine'] as const).map((answer) => ({
      says: answer === 'fine' ? 'Looked, fine' : 'Not fine',
      change: onNode(nodeId, { checks: [...others, { id: check, answer }] }),
    })),
  };
}

/** What can be unknown of the intake, the loop, the chain behind the fuse and the readings. */
export const INTAKE_QUESTIONS: readonly QuestionEntry[] = [
  {
    ...surveyor,
    id: 'fuse-rating-not-established',
    station: 'cut-out',
    field: 'supply.nodes.evidence',
    askOf: 'operator',
    on: 'fuse',
    why: 'Everything is checked against it; a holder’s moulding says only what it could take.',
    photo: 'The label or tag on the cut-out, legible, its seal in view',
    open: ({ survey, fuses, rules }) =>
      fuses
        .filter(({ established }) => established === null)
        .map(({ nodeId, says }) => {
          const node = survey.supply.nodes.find(({ id }) => id === nodeId);
          const most = node?.holderMaximumA ?? rules.largestUsualFuseA.value;
          const sizes = rules.plausibleRatingsA.value[node?.kind ?? 'cut-out'].filter((size) => size <= most);
          return {
            title: `${fuseName(node)}: what is its rating?`,
            remedy: `${says === 'not known' ? '' : `${says.charAt(0).toUpperCase()}${says.slice(1)}. `}${
              node?.kind === 'switch-fuse'
                ? 'Whoever is responsible for it may read its fuse; otherwise ask the operator.'
                : 'Look for a rating on a label, tag or window with the seal intact, or ask the operator for the fuse rating.'
            }`,
            ...(nodeId === null
              ? {}
              : {
                  subjectId: nodeId,
                  answers: amperes(sizes, (ratingA) => onNode(nodeId, { ratingA, evidence: 'attended' })),
                }),
          };
        }),
  },
  {
    ...surveyor,
    id: 'condition-not-looked',
    station: 'cut-out',
    field: 'intake.look',
    on: 'intake',
    why: 'A damaged intake has to be made safe before any load is added.',
    photo: 'The whole meter position, and the cut-out close up',
    open: ({ survey, condition }) =>
      condition === 'not-known'
        ? [
            {
              title: conditionNotKnown(survey.intake),
              remedy: 'Look at the cut-out, its seal, the cable and the board it is on; touch nothing.',
              answers: [
                {
                  says: 'Fine',
                  change: (s) => ({ ...s, intake: { loop: s.intake.loop, look: 'fine', faults: s.intake.faults } }),
                },
                {
                  says: 'Something to repair first',
                  change: (s) => ({
                    ...s,
                    intake: {
                      ...s.intake,
                      look: 'not-fine',
                      faults: [...s.intake.faults, { id: 'supposed', fault: 'other', grade: 'before-load-added' }],
                    },
                  }),
                },
              ],
            },
          ]
        : [],
  },
  {
    ...surveyor,
    id: 'fault-not-graded',
    station: 'cut-out',
    field: 'intake.faults.grade',
    on: 'intake',
    why: 'How serious a fault is decides whether all work stops.',
    photo: 'The fault, close up',
    open: ({ survey }) =>
      survey.intake.faults
        .filter(({ grade }) => grade === undefined)
        .map(({ id, fault }) => ({
          subjectId: id,
          title: `${FAULT_NAMES[fault]}: how serious is it?`,
          remedy: 'Make safe now, before any load is added, or note. Until then no load is added.',
          answers: CONDITION_GRADES.map((grade) => ({
            says: grade.replaceAll('-', ' '),
            change: (s) => ({
              ...s,
              intake: {
                ...s.intake,
                faults: s.intake.faults.map((each) => (each.id === id ? { ...each, grade } : each)),
              },
            }),
          })),
        })),
  },
  {
    ...surveyor,
    id: 'loop-not-known',
    station: 'loop',
    field: 'intake.loop.status',
    on: 'loop',
    why: 'A looped service carries a neighbour’s demand as well: the operator has to be asked first.',
    photo: 'The cable or cables into the cut-out, and where each goes',
    open: ({ survey: { intake }, loop }) => {
      if (loop !== 'not-known' || intake.loop.status === 'not-looped') return [];
      const signs = (intake.loop.signs ?? []).filter(({ answer }) => answer === 'not-fine');
      const seen = signs.map(({ id }) => LOOP_SIGN_NAMES[id].toLowerCase()).join('; ');
      return [
        {
          title: `Is the service looped?${seen === '' ? '' : ` Seen: ${seen}.`}`,
          remedy: 'Count the service cables at the cut-out and trace them, or ask for the operator’s record.',
          askOf: intake.loop.status === 'unknown' ? 'operator' : 'surveyor',
          answers: [
            { says: 'Its own', change: withLoop('not-looped') },
            { says: 'Looped', change: withLoop('feeds-next-door') },
          ],
        },
      ];
    },
  },
  {
    ...surveyor,
    id: 'loop-evidence-missing',
    station: 'loop',
    field: 'intake.loop.evidence',
    on: 'loop',
    why: 'Outward signs alone do not show that a service is not looped.',
    photo: 'The cable traced from the cut-out to where it leaves the building',
    open: ({ survey: { intake } }) => {
      const { status, evidence } = intake.loop;
      if (status !== 'not-looped' || evidence === 'cable-traced' || evidence === 'operator-record') return [];
      return [
        {
          title:
            evidence === undefined
              ? 'Recorded as not looped: how is that known?'
              : 'Recorded as not looped on outward signs alone: can the cable be traced?',
          remedy: 'Record that one cable was seen and traced, or that the operator’s record says so.',
          answers: [
            { says: 'Its own', change: withLoop('not-looped') },
            { says: 'Looped', change: withLoop('feeds-next-door') },
          ],
        },
      ];
    },
  },
  {
    ...surveyor,
    id: 'shared-rating-not-known',
    station: 'loop',
    field: 'intake.loop.sharedRatingA',
    askOf: 'operator',
    on: 'loop',
    why: 'Both properties’ demand has to stay within it.',
    open: ({ shared, rules }) =>
      shared?.known && shared.rating.value === null
        ? [
            {
              title: 'What may the shared service carry?',
              remedy: 'Ask the operator, together with the un-looping.',
              answers: amperes(rules.plausibleRatingsA.value.service, (sharedRatingA) => (s) => ({
                ...s,
                intake: { ...s.intake, loop: { ...s.intake.loop, sharedRatingA } },
              })),
            },
          ]
        : [],
  },
  ...CHECK_RULES.map((rule): QuestionEntry => ({
    ...surveyor,
    id: `check-${rule.id}`,
    station: 'line-up',
    field: 'supply.nodes.checks',
    askOf: rule.askOf,
    on: rule.on,
    why: rule.question,
    ...(rule.ownUse ? { ownUse: true } : {}),
    open: (facts) =>
      facts.checks
        .filter((each) => each.rule === rule)
        .map(({ nodeId, title, remedy, field, onWay, needsFigure }) => ({
          subjectId: nodeId,
          title,
          remedy,
          source: rule.source,
          check: rule.id,
          ...(field === undefined ? {} : { field }),
          // Where the new equipment's current does not pass, it stops nothing.
          ...(onWay || facts.survey.proposals.length === 0 ? {} : { on: 'workmanship' as const }),
          ...checkAnswers(facts, nodeId, rule.id, needsFigure),
        })),
  })),
  {
    ...surveyor,
    id: 'node-rating-not-known',
    station: 'line-up',
    field: 'supply.nodes.ratingA',
    on: 'nodes',
    why: 'Without it nothing can be checked against it.',
    photo: 'The face of the device, its rating legible',
    open: (facts) =>
      unratedNodes(facts.survey, facts.tree).map(({ here: { node }, onWay }) => ({
        subjectId: node.id,
        answers: ratingsOf(facts, node.id),
        title: `${nodeName(node)}: what is its rating?`,
        remedy: 'Read it off the device; where it cannot be read, say so in the notes.',
        ...(onWay ? {} : { on: 'workmanship' as const }),
      })),
  },
  {
    ...surveyor,
    id: 'reading-unlikely',
    station: 'tests',
    field: 'readings.confirmed',
    on: 'workmanship',
    why: 'A slip of unit or of a lead is more likely than such a value.',
    open: ({ survey }) =>
      survey.readings
        .filter((reading) => reading.value !== undefined && !isLikely(reading) && reading.confirmed !== true)
        .map((reading) => ({
          subjectId: reading.id,
          on: READING_STANDS_ON[reading.kind],
          station: READING_FORMS[reading.kind].station,
          title: `${READING_FORMS[reading.kind].name} of ${readingText(reading)} is unlikely: ${READING_FORMS[reading.kind].why}.`,
          remedy: 'Take it again; if it stands, say so.',
        })),
  },
  {
    ...surveyor,
    id: 'reading-without-value',
    station: 'tests',
    field: 'readings.value',
    on: 'workmanship',
    ownUse: true,
    why: 'A reading without a value says nothing.',
    open: ({ survey }) =>
      survey.readings
        .filter(({ value }) => value === undefined)
        .map(({ id, kind }) => ({
          subjectId: id,
          on: READING_STANDS_ON[kind],
          station: READING_FORMS[kind].station,
          title: `${READING_FORMS[kind].name}: what was the value?`,
          remedy: 'Enter what the instrument showed, or remove the reading.',
        })),
  },
  {
    ...surveyor,
    id: 'reading-without-instrument',
    station: 'tests',
    field: 'readings.instrument',
    on: 'form',
    ownUse: true,
    why: 'A reading is as good as the instrument it was taken with.',
    open: ({ survey }) =>
      survey.readings
        .filter(({ instrument }) => instrument === undefined)
        .map(({ id, kind }) => ({
          subjectId: id,
          station: READING_FORMS[kind].station,
          title: `${READING_FORMS[kind].name}: which instrument was it taken with?`,
          remedy: 'Choose the instrument.',
        })),
  },
];
