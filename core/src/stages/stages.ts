/** One plan of several steps in time: each step a survey of its own, with its settings, its way to the operator and what it adds. */
import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { estimateOf, type Estimate, type TaxLine } from '../estimate/estimate';
import { standingLines } from '../materials/edited';
import type { Line } from '../materials/line';
import { surveyLines } from '../materials/survey-lines';
import { fits, type Fit } from '../options/fits';
import { options } from '../options/options';
import type { Prices } from '../price/at-day';
import type { Task } from '../price/tasks';
import type { Rules } from '../rules/rules';
import type { Stage } from '../survey/stage';
import type { Survey } from '../survey/survey';
import { clampsOf } from '../management/limiter';
import { equipmentName, isCharger } from '../survey/words/kinds';
import { OPTION_NAMES } from '../survey/words/option-words';

/** One step as it stands: the survey at that time and all that is said of it. */
export interface StagePlan {
  readonly stage: Stage;
  readonly name: string;
  readonly survey: Survey;
  readonly assessment: Assessment;
  readonly fit: Fit;
  /** Settings of each charger in this step, in words. */
  readonly settings: readonly string[];
  /** What this step needs that the steps before it have not brought. */
  readonly lines: readonly Line[];
  /** Why there is no such option here; null where there is. */
  readonly gap: string | null;
}

/** The steps of a plan in their order; none where everything is done at once. */
export function stagePlans(
  survey: Survey,
  rules: Rules,
  terms: { readonly wastePercent: number; readonly endM: number },
): StagePlan[] {
  const stages = survey.stages ?? [];
  if (stages.length === 0) return [];
  const found = stages.some(({ option }) => option !== undefined) ? options(survey, rules) : [];
  const brought = new Map<string, number>();
  return stages.map((stage) => {
    const option = found.find(({ kind, also }) => kind === stage.option && also === stage.also);
    const gap =
      stage.option !== undefined && option === undefined
        ? `“${OPTION_NAMES[stage.option]}” is no option of this survey.`
        : null;
    const at = settled(option?.survey ?? survey, stage);
    const assessment = assess(at, rules);
    const lines = onlyNew(surveyLines(at, assessment, terms), brought);
    return {
      stage,
      name: stage.name ?? option?.title ?? 'As recorded',
      survey: at,
      assessment,
      fit: fits(assessment),
      settings: settingsWords(at),
      lines,
      gap,
    };
  });
}

/** The survey of a step, its own limit in place of the option’s where it has one. */
function settled(survey: Survey, { fixedA, plannedOn }: Stage): Survey {
  const request = plannedOn === undefined ? survey.request : { ...survey.request, plannedOn };
  if (fixedA === undefined) return { ...survey, request };
  return {
    ...survey,
    request,
    proposals: survey.proposals.map((each) =>
      isCharger(each) ? { ...each, limiter: { ...each.limiter, kind: 'fixed' as const, fixedA } } : each,
    ),
  };
}

/** Work that every visit takes anew, whatever was there before. */
const EVERY_VISIT: readonly string[] = ['travel', 'test', 'commission'];

/** Of each line what is more than the steps before brought; what they brought is counted by what it is and where it belongs. */
function onlyNew(lines: readonly Line[], brought: Map<string, number>): Line[] {
  return lines.flatMap((line): Line[] => {
    if (line.kind === 'work' && EVERY_VISIT.includes(line.task)) return [line];
    const key = `${line.id} ${line.kind === 'material' ? (line.item ?? '') : line.task}`;
    if (line.quantity === null) return brought.has(key) ? [] : (brought.set(key, 0), [line]);
    const had = brought.get(key) ?? 0;
    brought.set(key, Math.max(had, line.quantity));
    const more = line.quantity - had;
    return more > 0 ? [had === 0 ? line : { ...line, quantity: more }] : [];
  });
}

function settingsWords({ proposals }: Survey): string[] {
  return proposals.filter(isCharger).map((each) => {
    const name = equipmentName(each);
    const { kind, fixedA, failSafeA } = each.limiter;
    if (kind === 'fixed') return `${name}: held to ${fixedA ?? '?'} A`;
    if (kind !== 'clamp') return `${name}: full rate${each.ratedA === undefined ? '' : `, ${each.ratedA} A`}`;
    const points = clampsOf(each).map(({ setPointA }) => `${setPointA ?? '?'} A`);
    return `${name}: managed, set-point ${points.join(' and ')}, fail-safe ${failSafeA ?? '?'} A`;
  });
}

/** The id of a line that somebody added begins so, that it is told from a change of a line the survey has. */
export const OWN_LINE = 'own-';

/** A step in money. A changed line counts in the step that brings it, one that somebody added in the first. */
export function stageEstimate(plan: StagePlan, survey: Survey, prices: Prices, isFirst: boolean): Estimate {
  const ids = new Set(plan.lines.map(({ id }) => id));
  const edits = (survey.works?.lines ?? []).filter(({ id }) => ids.has(id) || (isFirst && id.startsWith(OWN_LINE)));
  return estimateOf(standingLines(plan.lines, edits), prices);
}

/** Every step of a plan as one estimate: its parts are the steps’ own, so that they add up to the penny. */
export function planEstimate(stages: readonly StagePlan[], survey: Survey, prices: Prices): Estimate {
  const parts = stages.map((plan, at) => stageEstimate(plan, survey, prices, at === 0));
  const add = (pick: (part: Estimate) => Estimate['net'], label: string): Estimate['net'] => ({
    label,
    pence: parts.reduce((sum, part) => sum + pick(part).pence, 0),
    working: () => parts.flatMap((part) => pick(part).working()),
  });
  const hours: Partial<Record<Task, number>> = {};
  for (const part of parts)
    for (const [task, each] of Object.entries(part.hoursByTask) as [Task, number][])
      hours[task] = (hours[task] ?? 0) + each;
  const classes = [...new Set(parts.flatMap(({ taxes }) => taxes.map(({ taxClass }) => taxClass)))];
  return {
    day: prices.day,
    lines: parts.flatMap(({ lines }) => lines),
    materials: add((part) => part.materials, 'Materials'),
    work: add((part) => part.work, 'Work'),
    net: add((part) => part.net, 'Without tax'),
    taxes: classes.flatMap((taxClass): TaxLine[] => {
      const of = parts.flatMap(({ taxes }) => taxes.filter((each) => each.taxClass === taxClass));
      const [first] = of;
      if (!first) return [];
      const net = {
        label: first.net.label,
        pence: of.reduce((sum, each) => sum + each.net.pence, 0),
        working: first.net.working,
      };
      if (of.some(({ tax }) => tax === null)) return [{ ...first, net, tax: null }];
      const pence = of.reduce((sum, each) => sum + (each.tax?.pence ?? 0), 0);
      return [
        {
          ...first,
          net,
          tax: { label: first.name, pence, working: () => of.flatMap(({ tax }) => tax?.working() ?? []) },
        },
      ];
    }),
    tax: add((part) => part.tax, 'Tax'),
    total: add((part) => part.total, 'To pay'),
    costPence: parts.reduce((sum, part) => sum + part.costPence, 0),
    hours: parts.reduce((sum, part) => sum + part.hours, 0),
    hoursByTask: hours,
    unpriced: parts.flatMap(({ unpriced }) => unpriced),
    isComplete: parts.every(({ isComplete }) => isComplete),
  };
}
