import { IsIn, IsNumber, IsString, Matches, MaxLength } from 'class-validator';
import { RULE_SETS, ruleSet } from '../rules/catalogue';
import { SITE_APPLICATIONS, type Rules, type SiteApplications, type TriggerDemand } from '../rules/rules';
import { NUMBER_TERM_KEYS, NUMBER_TERMS, type NumberTermKey } from '../rules/terms';
import { Count, Day, Id, ListOf, OneOf, RequiredText, Text, YesNo } from '../survey/fields';
import type { Fault } from '../survey/opening/plain';

/** A figure an operator sets differently, and where it says so. */
export class ChangedTerm {
  @IsIn([...NUMBER_TERM_KEYS], { message: `one of ${NUMBER_TERM_KEYS.join(', ')}` }) term: NumberTermKey;
  @IsNumber({ allowInfinity: false, allowNaN: false }, { message: 'a number' }) value: number;
  @RequiredText(200, 'where it comes from') source: string;
}

/** A set of rules as a firm keeps it: one that ships, and what differs from it. Each saving is a version of its own. */
export class OperatorRules {
  @Id() id: string;
  @RequiredText(100, 'a name') title: string;
  @IsIn(RULE_SETS.map(({ id }) => id), { message: `one of ${RULE_SETS.map(({ id }) => id).join(', ')}` })
  basedOn: string;
  /** Counted up by the server. */
  @Count(1, 100_000) version?: number;
  /** The day the operator's terms bear. */
  @Day() date?: string;
  /** Where the operator says so. */
  @RequiredText(300, 'where its terms come from') source: string;
  @OneOf(['unmanaged', 'managed']) triggerDemand?: TriggerDemand;
  @YesNo() acceptsLimiting?: boolean;
  @OneOf([...SITE_APPLICATIONS]) siteApplications?: SiteApplications;
  @Text(20) emergencyNumber?: string;
  @ListOf(() => ChangedTerm, NUMBER_TERM_KEYS.length) changes: ChangedTerm[] = [];
  /** Kept for the packs signed under it, and offered no more. */
  @YesNo() retired?: boolean;
}

/** Which rules hold in one area. */
export class AreaRules {
  @Matches(/^\d{2}$/, { message: 'the first two digits of a meter point number' }) area: string;
  @IsString({ message: 'the id of a set of rules' })
  @MaxLength(64, { message: 'the id of a set of rules' })
  rulesId: string;
}

/** What a firm says of its rules as a whole. */
export class HouseRules {
  /** The rules where no area says otherwise. */
  @IsString({ message: 'the id of a set of rules' })
  @MaxLength(64, { message: 'the id of a set of rules' })
  defaultRulesId: string = 'gb-default';
  /** Ask the operator first, whatever the arithmetic says. */
  @YesNo() alwaysAsk?: boolean;
  @ListOf(() => AreaRules, 100) areas: AreaRules[] = [];
}

/** What is wrong with the figures of a firm's own rules besides their form: out of bounds, twice, or at odds with one another. */
export function operatorRulesFaults(own: OperatorRules): Fault[] {
  const faults: Fault[] = [];
  const seen = new Set<string>();
  own.changes.forEach(({ term, value }, index) => {
    const path = `$.changes[${index}]`;
    const form = NUMBER_TERMS.find(({ key }) => key === term);
    if (seen.has(term))
      faults.push({ path: `${path}.term`, wrong: `is "${term}" again`, expected: 'each figure once' });
    seen.add(term);
    if (form && (value < form.least || value > form.most || (form.whole && !Number.isInteger(value))))
      faults.push({
        path: `${path}.value`,
        wrong: `is ${value}`,
        expected: `${form.whole ? 'a whole number' : 'a number'} from ${form.least} to ${form.most} ${form.unit}`,
      });
  });
  const made = toRules(own);
  if (made.sureLogDays.value < made.leastLogDays.value)
    faults.push({
      path: '$.changes',
      wrong: `has logs sure from ${made.sureLogDays.value} days but declared from ${made.leastLogDays.value}`,
      expected: 'as many days or more',
    });
  if (made.fallbackFuseA.value > made.largestUsualFuseA.value)
    faults.push({
      path: '$.changes',
      wrong: `takes ${made.fallbackFuseA.value} A for a fuse nobody knows, and ${made.largestUsualFuseA.value} A for the largest`,
      expected: 'the largest to be the larger',
    });
  return faults;
}

/** The rules a firm's own one amounts to. Its version names both: the firm's, and that of the rules they are laid over. */
export function toRules(own: OperatorRules): Rules {
  const base = ruleSet(own.basedOn) ?? RULE_SETS[0];
  if (!base) throw new Error('no set of rules ships');
  const changed = Object.fromEntries(own.changes.map(({ term, value, source }) => [term, { value, source }]));
  return {
    ...base,
    ...changed,
    id: own.id,
    title: own.title,
    version: `${own.version ?? 1} over ${base.id} ${base.version}`,
    date: own.date ?? base.date,
    source: own.source,
    triggerDemand: own.triggerDemand ?? base.triggerDemand,
    acceptsLimiting: own.acceptsLimiting ?? base.acceptsLimiting,
    siteApplications: own.siteApplications ?? base.siteApplications,
    ...(own.emergencyNumber ? { emergencyNumber: { value: own.emergencyNumber, source: own.source } } : {}),
  };
}
