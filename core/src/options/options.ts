/** What can be done, each option reckoned as a survey of its own by the same assessment as everything else. */
import { decide } from '../assess';
import type { Decided } from '../assessment';
import { chargerLimitA } from '../management/limiter';
import type { Rules } from '../rules/rules';
import { COST_BANDS, type OptionKind } from '../survey/words/option-words';
import { isCharger } from '../survey/words/kinds';
import type { Survey } from '../survey/survey';
import { chargingTime, type ChargingTime } from './charging-time';
import { charging } from './charging-current';
import type { Draft } from './draft';
import { fits, type Fit } from './fits';
import { fixedLimit, managed, unlimited } from './limits';
import type { Option } from './option';
import { inOrder } from './order';
import { structures } from './structures';
import { shown } from '../rules/rounding';
import { exceeds } from '../worked';

interface Judged {
  readonly draft: Draft;
  readonly assessment: Decided;
  readonly fit: Fit;
  readonly holds: boolean | null;
}

/** Every option for the equipment proposed, those that hold first, then by what the customer cares about most. */
export function options(survey: Survey, rules: Rules): Option[] {
  return judgedOptions(survey, rules).map(({ option }) => option);
}

/** An option with what is said of the survey that is taken over when it is chosen. */
export interface AssessedOption {
  readonly option: Option;
  readonly assessment: Decided;
}

/** The same options, each with its assessment: what is worked out for an option is worked out once. */
export function assessedOptions(survey: Survey, rules: Rules): AssessedOption[] {
  return judgedOptions(survey, rules).map(({ option, judged: { draft, assessment } }) => ({
    option,
    assessment: draft.takes === undefined ? assessment : decide(draft.takes, rules),
  }));
}

function judgedOptions(survey: Survey, rules: Rules): { readonly option: Option; readonly judged: Judged }[] {
  if (survey.proposals.length === 0 || survey.proposals.some(({ ratedA }) => ratedA === undefined)) return [];
  const limits = [fixedLimit(survey, rules), managed(survey, rules)].flatMap((each) =>
    each ? [judge(each, rules)] : [],
  );
  const changes = structures(survey, rules);
  const alone = changes.map((change) => judge(withoutLimit(change), rules));
  const full: Draft = { kind: 'full-rate', title: 'Full rate', survey: unlimited(survey), cautions: [] };
  const singles = [judge(full, rules), ...limits, ...alone];
  const found = [
    ...singles,
    ...together(survey, changes, alone, limits, rules),
    ...heldMeanwhile(limits, alone, rules),
  ];
  const judged = new Map(found.map((each) => [asOption(each, rules), each]));
  return inOrder([...judged.keys()], survey.driver?.priority).flatMap((option) => {
    const of = judged.get(option);
    return of ? [{ option, judged: of }] : [];
  });
}

function judge(draft: Draft, rules: Rules): Judged {
  const assessment = draft.decided ?? decide(draft.survey, rules);
  const fit = fits(assessment);
  // What is wrong already is wrong whatever is open; what would fit waits for it.
  return { draft, assessment, fit, holds: draft.open !== undefined && fit.answer === true ? null : fit.answer };
}

/** A change of the supply by itself: the chargers at full rate on it. Fewer chargers change no supply, and keep the limiter they have. */
function withoutLimit(change: Draft): Draft {
  if (change.kind === 'fewer-chargers') return change;
  const title = change.kind === 'un-loop' ? `${change.title} first, then full rate` : change.title;
  return { ...change, title, survey: unlimited(change.survey) };
}

/** Any two ways that together do what neither does alone: two changes of the supply, or one of them and a limit. */
function together(
  survey: Survey,
  changes: readonly Draft[],
  alone: readonly Judged[],
  limits: readonly Judged[],
  rules: Rules,
): Judged[] {
  const open = changes.filter(({ kind }, at) => kind !== 'other-supply' && alone[at]?.holds !== true);
  const holds = (kind: OptionKind): boolean | null => alone.find(({ draft }) => draft.kind === kind)?.holds ?? null;
  const better = (made: Judged, parts: readonly (boolean | null)[]): boolean =>
    made.holds === true || (made.holds === null && parts.every((part) => part === false));
  const found: Judged[] = [];
  for (const [at, change] of open.entries()) {
    for (const [kind, limit] of [
      ['fixed-limit', fixedLimit],
      ['managed', managed],
    ] as const) {
      const by = limits.find(({ draft }) => draft.kind === kind);
      if (!by || by.holds === true) continue;
      const made = limit(change.survey, rules);
      if (made === null || made.open !== undefined) continue;
      const judged = judge(joined(change, made), rules);
      if (better(judged, [holds(change.kind), by.holds])) found.push(judged);
    }
    const seconds = open.length > at + 1 ? structures(change.survey, rules) : [];
    for (const other of open.slice(at + 1)) {
      const second = seconds.find(({ kind }) => kind === other.kind);
      if (!second) continue;
      const judged = judge(joined(change, { ...second, survey: unlimited(second.survey) }), rules);
      if (better(judged, [holds(change.kind), holds(other.kind)])) found.push(judged);
    }
  }
  return survey.proposals.some(isCharger) ? found : found.filter(({ draft }) => draft.also !== 'managed');
}

function joined(first: Draft, second: Draft): Draft {
  return {
    ...second,
    kind: first.kind,
    also: second.kind,
    title: `${first.title}, and ${second.title.charAt(0).toLowerCase()}${second.title.slice(1)}`,
    cautions: [...first.cautions, ...second.cautions],
  };
}

/** Held to what the feeder carries until it is laid anew: charging soon, and full rate later, where both hold. */
function heldMeanwhile(limits: readonly Judged[], alone: readonly Judged[], rules: Rules): Judged[] {
  const held = limits.find(({ draft }) => draft.kind === 'fixed-limit');
  const anew = alone.find(({ draft }) => draft.kind === 'new-feeder');
  if (held?.holds !== true || anew?.holds !== true) return [];
  const draft: Draft = {
    ...held.draft,
    also: 'new-feeder',
    title: `${held.draft.title} now, full rate once the feeder is laid anew`,
    cautions: [...held.draft.cautions, ...anew.draft.cautions],
  };
  return [judge(draft, rules)];
}

function asOption({ draft, assessment, fit, holds }: Judged, rules: Rules): Option {
  const { kind, also } = draft;
  const terms = [kind, ...(also === undefined ? [] : [also])].map((each) => rules.optionTerms.value[each]);
  const costBand = COST_BANDS[Math.max(...terms.map((each) => COST_BANDS.indexOf(each.costBand)))] ?? 'high';
  // Held now and changed later is there as soon as the first of them is.
  const waits = kind === 'fixed-limit' ? terms.slice(0, 1) : terms;
  const weakest = assessment.nodes.find(({ id }) => id === assessment.weakest?.nodeId);
  return {
    id: also === undefined ? kind : `${kind}+${also}`,
    kind,
    ...(also === undefined ? {} : { also }),
    title: draft.title,
    holds,
    why: holds === null && fit.answer === true ? (draft.open ?? fit.why) : fit.why,
    grounds: fit.grounds,
    already: fit.already.map(({ says }) => says),
    weakest: weakest && assessment.weakest ? weakestWords(weakest.label, assessment.weakest.headroomA) : null,
    route: assessment.route.way,
    charging: chargingOf(draft, assessment, rules),
    whoMustAgree: [...new Set(terms.map(({ whoMustAgree }) => whoMustAgree))].join('; '),
    waitWeeks: [
      Math.max(...waits.map((each) => each.waitWeeks[0])),
      Math.max(...waits.map((each) => each.waitWeeks[1])),
    ],
    costBand,
    costWords: rules.costBandWords[costBand],
    cautions: draft.cautions,
    survey: draft.takes ?? draft.survey,
  };
}

function chargingOf({ survey, kind, takes }: Draft, assessment: Decided, rules: Rules): ChargingTime | null {
  // On another supply it charges at its rating, if that supply carries it.
  const on = kind === 'other-supply' && takes ? unlimited(takes) : survey;
  const charger = on.proposals.find(isCharger);
  if (!charger || chargerLimitA(charger) === null) return null;
  const { current, morningsShort } = charging(on, charger, kind === 'other-supply' ? null : assessment, rules);
  return chargingTime(survey.driver, current, rules, morningsShort);
}

function weakestWords(label: string, headroomA: number): string {
  return `${label}, ${shown(Math.abs(headroomA))} A ${exceeds(0, headroomA) ? 'over' : 'left'}`;
}
