import type { Rules, SiteApplications } from './rules';
import type { Ruled } from './ruled';

/** A figure of a set of rules that operators differ in and a firm may set, with the bounds of good sense. */
export interface NumberTerm {
  readonly key: NumberTermKey;
  readonly title: string;
  readonly unit: string;
  readonly least: number;
  readonly most: number;
  readonly whole?: boolean;
}

/** The members of a set of rules that are one figure with its source. */
export type NumberTermKey = {
  [K in keyof Rules]: Rules[K] extends Ruled<number> ? K : never;
}[keyof Rules];

const term = (
  key: NumberTermKey,
  title: string,
  unit: string,
  least: number,
  most: number,
  whole = false,
): NumberTerm => ({ key, title, unit, least, most, ...(whole ? { whole } : {}) });

/** In the order they are read out: what the route turns on, waits, what is taken for what is not known, house rules. */
export const NUMBER_TERMS: readonly NumberTerm[] = [
  term('askAboveA', 'Maximum demand from which the operator is asked, each phase', 'A', 1, 1000),
  term('askAboveEquipmentA', 'Equipment from which the operator is asked, each phase', 'A', 1, 1000),
  term('notifyExportUpToA', 'Export that is notified after, each phase, up to', 'A', 0, 1000),
  term('replyWorkingDays', 'Reply within', 'working days', 1, 260, true),
  term('noticeWithinDays', 'Notice after commissioning within', 'days', 1, 365, true),
  term('fallbackFuseA', 'Fuse assumed while its rating is not confirmed', 'A', 5, 400),
  term('largestUsualFuseA', 'Largest fuse a cut-out usually holds', 'A', 5, 1000),
  term('assumedNeighbourDemandA', 'What a neighbour on the same service is taken to draw', 'A', 0, 400),
  term('longestTailsM', 'Longest tails', 'm', 0.1, 30),
  term('leastLogDays', 'Days a log must cover to declare from it', 'days', 1, 365, true),
  term('sureLogDays', 'Days from which nothing is said of its shortness', 'days', 1, 365, true),
  term('leastLogCoveragePercent', 'How much of its span a log must cover', '%', 1, 100),
  term('groupEachKw', 'Group demand, each dwelling', 'kW', 0.1, 50),
  term('groupOnceKw', 'Group demand, once', 'kW', 0, 500),
  term('clampErrorPercent', 'Error of clamps', '%', 0, 20),
  term('commissioningPercent', 'Greatest difference when a limiter is commissioned', '%', 0, 50),
  term('kwhPerMile', 'Energy a mile takes', 'kWh', 0.05, 2),
];

/** How an operator takes a building of several supplies, in words. */
export const SITE_APPLICATION_WORDS: Readonly<Record<SiteApplications, string>> = {
  one: 'one application for the whole building',
  'each-supply': 'one application for each supply',
  ask: 'not known: ask the operator',
};

export const NUMBER_TERM_KEYS: readonly NumberTermKey[] = NUMBER_TERMS.map(({ key }) => key);

/** One line of two sets of rules laid side by side. */
export interface ComparedTerm {
  readonly title: string;
  readonly one: string;
  readonly other: string;
  /** Where each comes from. */
  readonly oneSource: string;
  readonly otherSource: string;
  readonly differs: boolean;
}

/** Everything a firm may set of a set of rules, two of them side by side. Allowances and cable tables are the same in every one. */
export function comparePacks(one: Rules, other: Rules): ComparedTerm[] {
  const line = (title: string, of: (rules: Rules) => Ruled<string>): ComparedTerm => {
    const [a, b] = [of(one), of(other)];
    return {
      title,
      one: a.value,
      other: b.value,
      oneSource: a.source,
      otherSource: b.source,
      differs: a.value !== b.value,
    };
  };
  const plain = (value: string): Ruled<string> => ({ value, source: '' });
  return [
    line('Demand checked against the threshold', ({ triggerDemand }) =>
      plain(triggerDemand === 'managed' ? 'managed: what the limiter guarantees' : 'unmanaged: what could flow'),
    ),
    line('Load limiting accepted in place of a larger fuse', ({ acceptsLimiting }) =>
      plain(acceptsLimiting ? 'yes' : 'no'),
    ),
    line('Several supplies in one building', ({ siteApplications }) => plain(SITE_APPLICATION_WORDS[siteApplications])),
    line('Always ask first', ({ alwaysAsk }) => plain(alwaysAsk ? 'yes' : 'no')),
    ...NUMBER_TERMS.map(({ key, title, unit }) =>
      line(title, (rules) => ({ value: `${rules[key].value} ${unit}`, source: rules[key].source })),
    ),
    line('Emergency line', ({ emergencyNumber }) => emergencyNumber),
    line('Declarations', ({ declarations }) => plain(declarations.join(' '))),
  ];
}
