/** Which schemes of money help a job meets, what is missing, and the sum. */
import { money, pence, pounds, share, type Money, type Pence } from '../money/pence';
import type { Survey } from '../survey/survey';
import { isCharger } from '../survey/words/kinds';
import { APPLICANT_NAMES } from '../survey/words/works-words';
import { NATION_NAMES, PREMISES_NAMES } from '../survey/words/words';
import type { Scheme } from './scheme';

/** One condition of a scheme, and whether the job meets it; null while that is not known. */
export interface Condition {
  readonly says: string;
  readonly met: boolean | null;
}

export interface SchemeVerdict {
  readonly scheme: Scheme;
  readonly conditions: readonly Condition[];
  /** Null while something that decides it is not known. */
  readonly met: boolean | null;
  readonly missingEvidence: readonly { readonly id: string; readonly text: string }[];
  /** What it gives for the outlets and bays of the job, if it is met; null where it is not. */
  readonly sum: Money | null;
}

/** What the job comes to, tax included, and when it is done. */
export interface HelpFacts {
  readonly survey: Survey;
  readonly totalPence: Pence;
  readonly day: string;
}

/** Outlets and prepared bays of a job: as recorded for the claim, else those of the row, else the chargers. */
export function baysOf({ help, pool, proposals }: Survey): { readonly outlets: number; readonly prepared: number } {
  const row = pool?.outlets ?? [];
  const chargers = proposals.filter(isCharger).length;
  const prepared = row.filter((each) => each.prepared).length;
  return {
    outlets: help?.outlets ?? (row.length > 0 ? row.length - prepared : chargers),
    prepared: help?.preparedBays ?? prepared,
  };
}

export function judgeScheme(scheme: Scheme, facts: HelpFacts): SchemeVerdict {
  const { survey, day } = facts;
  const { help = {}, place } = survey;
  const { outlets, prepared } = baysOf(survey);
  const conditions: Condition[] = [];
  const oneOf = <T extends string>(
    wanted: readonly T[] | undefined,
    found: T | undefined,
    names: Readonly<Record<T, string>>,
    what: string,
  ): void => {
    if (wanted === undefined || wanted.length === 0) return;
    const list = wanted.map((each) => names[each].toLowerCase()).join(', ');
    conditions.push({
      says: `${what}: ${list}${found === undefined ? '' : `; here: ${names[found].toLowerCase()}`}`,
      met: found === undefined ? null : wanted.includes(found),
    });
  };
  oneOf(scheme.who, help.applicant, APPLICANT_NAMES, 'Who may claim');
  oneOf(scheme.premises, place.premises, PREMISES_NAMES, 'Premises');
  oneOf(scheme.nations, place.nation, NATION_NAMES, 'Where');
  if (scheme.what !== 'anything')
    conditions.push({
      says: 'For vehicle chargers',
      met: survey.proposals.length === 0 ? null : outlets + prepared > 0,
    });
  if (scheme.offStreet)
    conditions.push({
      says: 'Parking of their own, off the street',
      met: help.offStreet === 'yes' ? true : help.offStreet === 'no' ? false : null,
    });
  if (scheme.leastBays !== undefined)
    conditions.push({
      says: `At least ${scheme.leastBays} bays; here ${outlets + prepared}`,
      met: outlets + prepared >= scheme.leastBays,
    });
  if (scheme.from !== undefined || scheme.to !== undefined)
    conditions.push({
      says: `Open ${scheme.from === undefined ? '' : `from ${scheme.from} `}${scheme.to === undefined ? '' : `to ${scheme.to}`}`.trim(),
      met: (scheme.from ?? '') <= day && day <= (scheme.to ?? '9999-12-31'),
    });
  const met = conditions.some((each) => each.met === false)
    ? false
    : conditions.some((each) => each.met === null)
      ? null
      : true;
  const there = new Set((help.evidence ?? []).filter((each) => each.there).map(({ id }) => id));
  return {
    scheme,
    conditions,
    met,
    missingEvidence: scheme.evidence.filter(({ id }) => !there.has(evidenceId(scheme.id, id))),
    sum: met === false ? null : sumOf(scheme, outlets, prepared, facts.totalPence),
  };
}

/** Under which id a survey keeps that a piece of evidence is there: two schemes may want the same. */
export function evidenceId(schemeId: string, id: string): string {
  return `${schemeId}-${id}`.slice(0, 64);
}

/** Share of the cost, within the cap of each outlet; so much for each prepared bay; within the cap of the building, and never more than the job costs. */
function sumOf(scheme: Scheme, outlets: number, prepared: number, totalPence: Pence): Money {
  const { sharePercent = 100, outletCapPence, preparedPence = 0, buildingCapPence, mostOutlets } = scheme;
  const counted = Math.min(outlets, mostOutlets ?? outlets);
  const shared = share(totalPence, sharePercent);
  const cap = outletCapPence === undefined ? shared : outletCapPence * counted;
  const ofOutlets = counted === 0 ? 0 : Math.min(shared, cap);
  const ofBays = pence(prepared * preparedPence);
  const within = Math.min(ofOutlets + ofBays, buildingCapPence ?? Infinity, totalPence);
  return money(scheme.name, within, () => ({
    expression: `the lesser of ${sharePercent} % of the cost and the cap of ${counted} outlet${counted === 1 ? '' : 's'}, and for each prepared bay, within what a building may have`,
    substituted: `min(${pounds(shared)}, ${pounds(cap)}) + ${prepared} × ${pounds(preparedPence)}${buildingCapPence === undefined ? '' : `, at most ${pounds(buildingCapPence)}`} = ${pounds(within)}`,
    ...(scheme.source === undefined ? {} : { source: scheme.source }),
  }));
}
