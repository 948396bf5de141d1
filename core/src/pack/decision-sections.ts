import type { Assessment } from '../assessment';
import { commissioningBegun, commissioningSteps } from '../management/commissioning';
import type { Rules } from '../rules/rules';
import { OPTION_NAMES, PRIORITY_NAMES } from '../survey/words/option-words';
import { equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import type { TrialSpread } from '../survey/trial';
import { TRIAL_FAULT_NAMES } from '../survey/words/trial-words';
import { trialPlan } from '../trial/plan';
import { stillTrue } from '../trial/record';
import { NOT_KNOWN, row, rowOf, type Section } from './rows';

/** What the packs say of how the charger is run: the trial played, the limiter commissioned, the option decided on. */

/** The record of commissioning the limiter, once it was begun. */
export function commissioningSections(proposal: Proposal, survey: Survey, rules: Rules): Section[] {
  if (proposal.limiter.kind !== 'clamp' || !commissioningBegun(proposal)) return [];
  const { doneBy, doneAt, note } = proposal.limiter.test ?? {};
  const words = { holds: 'Passed', fails: 'Failed', 'not-known': NOT_KNOWN };
  return [
    {
      id: 'commissioned',
      subject: proposal.id,
      title: `Limiter commissioned: ${equipmentName(proposal)}`,
      rows: [
        ...commissioningSteps(proposal, survey, rules).map(({ id, title, state, says, overLink }) =>
          rowOf(
            'commissioning-step',
            id,
            title,
            words[state],
            overLink ? `${says}; read over its link ${overLink.readAt.slice(0, 16).replace('T', ' ')}` : says,
          ),
        ),
        row('by', 'By', doneBy, [doneAt?.slice(0, 16).replace('T', ' '), note].filter(Boolean).join('; ')),
      ],
    },
  ];
}

/** The option decided on, by whom and why; nothing where none was. */
export function choiceSection({ choice, driver }: Survey): Section {
  if (choice?.option === undefined) return { id: 'choice', title: 'Option chosen', rows: [] };
  return {
    id: 'choice',
    title: 'Option chosen',
    rows: [
      row(
        'option',
        'Option',
        [choice.option, choice.also].flatMap((each) => (each === undefined ? [] : OPTION_NAMES[each])).join(' and '),
        [choice.reason, choice.chosenBy && `chosen by ${choice.chosenBy}`].filter(Boolean).join('; '),
      ),
      ...(driver?.priority === undefined
        ? []
        : [row('what-matters-most', 'What matters most', PRIORITY_NAMES[driver.priority])]),
    ],
  };
}

/** The trial that was kept: what it was played from, and each way in a row; whether the survey still says so. */
export function trialSections(proposal: Proposal, survey: Survey, assessment: Assessment, rules: Rules): Section[] {
  const record = survey.trials?.find(({ id }) => id === proposal.id);
  if (!record) return [];
  const { seed = 1, measurementId, fault, years = 0, source, ratingA, kwhPerDay } = record;
  const plan = trialPlan(survey, assessment, proposal, rules, { seed, measurementId, fault });
  const from = source === 'log' ? 'days of the log' : 'the appliances listed and plain habits';
  const fresh = stillTrue(record, plan);
  return [
    {
      id: 'trial',
      subject: proposal.id,
      title: `Trial, indicative: ${equipmentName(proposal)}`,
      rows: [
        row(
          'played',
          'Played',
          `${years} household-years from ${from}, seed ${seed}`,
          [
            `${kwhPerDay ?? '?'} kWh a day against a fuse of ${ratingA ?? '?'} A`,
            (record.loads ?? []).some(({ assumed }) => assumed) ? 'some of its loads assumed' : '',
            fault === undefined ? '' : `${TRIAL_FAULT_NAMES[fault].toLowerCase()} on some days`,
            fresh ? '' : 'the survey has changed since it was played',
          ]
            .filter((part) => part !== '')
            .join('; '),
        ),
        ...(record.ways ?? []).map(({ name, id, minutesOver, longestOverMin, morningsShort, pauses, parts = [] }) =>
          rowOf(
            'way-run',
            id,
            name ?? id,
            `${spreadText(minutesOver)} minutes a year over, longest run ${spreadText(longestOverMin)} min`,
            [
              `${spreadText(morningsShort)} mornings short, ${spreadText(pauses)} pauses`,
              ...parts.map((part) => `${part.label ?? part.id}: ${spreadText(part.minutesOver)} minutes over`),
            ].join('; '),
          ),
        ),
      ],
    },
  ];
}

/** The middle household, and what nineteen in twenty stay under. */
function spreadText(spread: TrialSpread | undefined): string {
  return spread?.median === undefined || spread.p95 === undefined
    ? '?'
    : `${spread.median} (nineteen in twenty under ${spread.p95})`;
}
