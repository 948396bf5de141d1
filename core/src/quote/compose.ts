/** A quotation out of a finished survey: choices, sums, assumptions, and what would change the price. */
import type { Assessment } from '../assessment';
import { addDays } from '../calendar/days';
import { estimateSurvey, operatorCharge } from '../estimate/of-survey';
import type { Estimate } from '../estimate/estimate';
import { quantityWords, type Line } from '../materials/line';
import { pounds, type Pence } from '../money/pence';
import type { Option } from '../options/option';
import type { Prices } from '../price/at-day';
import type { Rules } from '../rules/rules';
import { assess } from '../assess';
import { judgeScheme } from '../schemes/meets';
import { personHours } from '../price/at-day';
import type { Task } from '../price/tasks';
import type { Scheme } from '../schemes/scheme';
import { planEstimate, stageEstimate, stagePlans, type StagePlan } from '../stages/stages';
import { equipmentInText, equipmentName, isCharger } from '../survey/words/kinds';
import { DISRUPTION_NAMES } from '../survey/words/works-words';
import type { OptionKind } from '../survey/words/option-words';
import type { Survey } from '../survey/survey';
import { ASK_STATION_WORDS, OPERATOR_STEP_WORDS, OPTION_PLAIN_WORDS } from './plain-words';
import type { Quote, QuoteBasis, QuoteChoice } from './quote';

/** The choice that is the survey as it is recorded. */
export const AS_RECORDED = 'as-recorded';

export interface QuoteFacts {
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly rules: Rules;
  /** Options to choose from beside, or in place of, the survey as it is recorded. */
  readonly options: readonly Option[];
  /** Ids of the choices offered, in their order; the survey as recorded is `as-recorded`. */
  readonly offered: readonly string[];
  readonly prices: Prices;
  readonly schemes: readonly Scheme[];
  readonly number: string;
  readonly revision: number;
  readonly date: string;
  readonly firm: Quote['firm'];
  readonly about: string;
  /** Ids of photographs of the survey that go with it; one that is not there is left out. */
  readonly pictures?: readonly string[];
}

/** Why a quotation cannot be made yet, in sentences; none where it can. */
export interface QuoteMade {
  readonly quote: Quote;
  readonly basis: QuoteBasis;
  readonly faults: readonly string[];
}

interface Choice {
  readonly id: string;
  readonly kinds: readonly OptionKind[];
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly estimate: Estimate;
  readonly stages: readonly StagePlan[];
}

export function composeQuote(facts: QuoteFacts): QuoteMade {
  const choices = facts.offered.flatMap((id) => choiceOf(id, facts) ?? []);
  const { survey, prices, date } = facts;
  const { place } = survey;
  const faults = [
    ...(choices.length === 0 ? ['Nothing is offered: choose at least one way of doing it.'] : []),
    ...choices.flatMap(({ id, estimate, stages }) => [
      ...(estimate.unpriced.length > 0
        ? [
            `${titleOf(id, facts)}: ${estimate.unpriced.length} line${estimate.unpriced.length === 1 ? ' has' : 's have'} no price.`,
          ]
        : []),
      ...estimate.taxes
        .filter(({ tax }) => tax === null)
        .map(({ name }) => `No rate of tax “${name}” holds on ${date}.`),
      ...stages.flatMap(({ gap }) => gap ?? []),
    ]),
  ];
  const quote: Quote = {
    format: 'keen-gauge-quotation',
    version: 1,
    number: facts.number,
    revision: facts.revision,
    date,
    validUntil: addDays(date, prices.terms.validDays),
    firm: facts.firm,
    to: {
      name: place.customerName ?? '',
      address: [place.addressLine1, place.addressLine2, place.town, place.postcode].filter(Boolean).join(', '),
    },
    about: facts.about,
    choices: choices.map((choice) => choiceWords(choice, facts)),
    assumes: unique(choices.flatMap(({ estimate }) => assumptions(estimate))),
    wouldChange: unique(choices.flatMap(({ assessment }) => wouldChange(assessment))),
    excluded: excluded(choices),
    disruption: disruption(survey),
    conditions: prices.terms.conditions ?? '',
    pictures: (facts.pictures ?? []).flatMap((id) => {
      const photo = survey.photos.find((each) => each.id === id);
      return photo ? [{ id, caption: photo.caption ?? '' }] : [];
    }),
  };
  return { quote, basis: basisOf(choices, prices), faults: unique(faults) };
}

function choiceOf(id: string, facts: QuoteFacts): Choice | null {
  const { survey, rules, prices } = facts;
  if (id === AS_RECORDED) {
    const { wastePercent, endM } = prices.terms;
    const stages = stagePlans(survey, rules, { wastePercent, endM });
    const last = stages.at(-1);
    return {
      id,
      kinds: stages.flatMap(({ stage }) => stage.option ?? []),
      survey: last?.survey ?? survey,
      assessment: last?.assessment ?? facts.assessment,
      estimate:
        stages.length === 0 ? estimateSurvey(survey, facts.assessment, prices) : planEstimate(stages, survey, prices),
      stages,
    };
  }
  const option = facts.options.find((each) => each.id === id);
  if (!option) return null;
  const assessment = assess(option.survey, rules);
  return {
    id,
    kinds: [option.kind, ...(option.also === undefined ? [] : [option.also])],
    survey: option.survey,
    assessment,
    estimate: estimateSurvey(option.survey, assessment, prices),
    stages: [],
  };
}

function titleOf(id: string, { options, survey }: Pick<QuoteFacts, 'options' | 'survey'>): string {
  if (id !== AS_RECORDED) return options.find((each) => each.id === id)?.title ?? id;
  const names = survey.proposals.map(equipmentName);
  return names.length === 0 ? 'As recorded' : names.join(' and ');
}

function choiceWords(choice: Choice, facts: QuoteFacts): QuoteChoice {
  const { id, kinds, estimate, stages, assessment } = choice;
  const { prices, survey, schemes, date } = facts;
  const operatorPence = operatorCharge(kinds, prices);
  return {
    id,
    title: titleOf(id, facts),
    does: doesWords(choice),
    lines:
      prices.terms.detail === 'lines'
        ? estimate.lines.flatMap(({ standing, line, price }) =>
            standing.isStruck || price === null
              ? []
              : [{ text: line.text, quantity: quantityWords(line), pence: price.pence }],
          )
        : [],
    netPence: estimate.net.pence,
    taxes: estimate.taxes.flatMap(({ name, percent, tax }) =>
      percent === null || tax === null ? [] : [{ name, percent, pence: tax.pence }],
    ),
    totalPence: estimate.total.pence,
    operatorPence,
    operatorWords: operatorWords(assessment, operatorPence),
    help: schemes
      .map((scheme) => judgeScheme(scheme, { survey: choice.survey, totalPence: estimate.total.pence, day: date }))
      .flatMap(({ scheme, met, sum, missingEvidence }) =>
        met === true && sum !== null && sum.pence > 0
          ? [{ name: scheme.name, pence: sum.pence, missing: missingEvidence.map(({ text }) => text) }]
          : [],
      ),
    stages: stages.map((plan, at) => ({
      name: plan.name,
      when: plan.stage.plannedOn ?? '',
      settings: plan.settings,
      operator: OPERATOR_STEP_WORDS[plan.assessment.route.way],
      totalPence: stageEstimate(plan, survey, prices, at === 0).total.pence,
    })),
  };
}

/** What is done, in words a customer uses: what is fitted, how it is run, how far the cable goes, what is dug and taken out. */
function doesWords({ survey, kinds, estimate }: Choice): string[] {
  const standing = estimate.lines.filter((each) => !each.standing.isStruck).map(({ line }) => line);
  const metres = (pick: (line: Line) => boolean): number =>
    standing.filter(pick).reduce((sum, { quantity }) => sum + (quantity ?? 0), 0);
  const cable = metres((line) => line.kind === 'work' && line.task === 'run-cable');
  const dug = metres((line) => line.kind === 'work' && line.task === 'dig');
  const removed = standing.filter((line) => line.kind === 'work' && line.task === 'remove');
  return [
    ...survey.proposals.map((each) => {
      const { makeAndModel, profile, ratedA, phases } = each;
      const what = makeAndModel ?? profile;
      const size = ratedA === undefined ? '' : `, ${phases === 3 ? `three-phase, ${ratedA} A` : `${ratedA} A`}`;
      return `${isCharger(each) ? 'Supply and fit' : 'Wire up'} ${equipmentInText(each)}${what === undefined ? '' : ` (${what})`}${size}.`;
    }),
    ...unique(kinds.map((kind) => OPTION_PLAIN_WORDS[kind])),
    ...(cable > 0 ? [`Run about ${Math.round(cable)} m of cable and fix it.`] : []),
    ...(dug > 0 ? [`Dig and fill about ${Math.round(dug)} m of trench.`] : []),
    ...removed.map(({ text }) => `${text}.`),
    'Test everything and leave you the certificate.',
  ];
}

function operatorWords({ route }: Assessment, charge: Pence | null): string {
  const step = OPERATOR_STEP_WORDS[route.way];
  if (charge === null) return `${step} What the operator charges is not known yet, and is paid to the operator.`;
  return charge === 0 ? step : `${step} The operator charges about ${pounds(charge)}, paid to the operator.`;
}

function assumptions(estimate: Estimate): string[] {
  return estimate.lines.flatMap(({ standing, line }) => (standing.isStruck ? [] : (line.assumes ?? [])));
}

/** The same unknowns that change the answer, a sentence for each part of the survey that has any. */
function wouldChange({ questions }: Assessment): string[] {
  return unique(
    questions.filter(({ taken }) => taken === undefined).map(({ station }) => ASK_STATION_WORDS[station]),
  ).filter((words) => words !== '');
}

function excluded(choices: readonly Choice[]): string[] {
  const kinds = unique(choices.flatMap(({ kinds }) => kinds));
  const digs = choices.some(({ estimate }) =>
    estimate.lines.some(({ line }) => line.kind === 'work' && line.task === 'lay-in-duct'),
  );
  return [
    ...(kinds.some((kind) => kind === 'fuse-upgrade' || kind === 'un-loop' || kind === 'three-phase')
      ? ['Work by the network operator, which it charges for itself.']
      : []),
    ...(digs ? ['Rock, old foundations and services in the ground that nobody knows of.'] : []),
    'Faults in the installation that come to light only when it is opened.',
    'Redecorating, where it is not named above.',
  ];
}

function disruption({ works }: Survey): string[] {
  return [
    ...(works?.rooms ?? []).map(
      ({ room, disrupts = [] }) =>
        `${room ?? 'A room'}: ${disrupts.map((each) => DISRUPTION_NAMES[each].toLowerCase()).join(', ') || 'work there'}.`,
    ),
    ...(works?.powerOffH === undefined ? [] : [`The power is off for about ${works.powerOffH} h.`]),
  ];
}

function basisOf(choices: readonly Choice[], prices: Prices): QuoteBasis {
  return {
    choices: choices.map(({ id, estimate }) => ({
      id,
      netPence: estimate.net.pence,
      costPence: estimate.costPence,
      hours: estimate.hoursByTask,
      rates: personHours(Object.keys(estimate.hoursByTask) as Task[], prices.rate),
      materials: estimate.lines.flatMap(({ standing, line }) =>
        line.kind !== 'material' || standing.isStruck || line.quantity === null
          ? []
          : [{ id: line.id, item: line.item, quantity: line.quantity }],
      ),
    })),
  };
}

function unique<T>(values: readonly T[]): T[] {
  return [...new Set(values)];
}
