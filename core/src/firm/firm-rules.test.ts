import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { comparePacks, NUMBER_TERMS } from '../rules/terms';
import { ruleSet } from '../rules/catalogue';
import { settledSurvey } from '../testing/settled-survey';
import { rulesFor, type FirmRules } from './firm-rules';
import { HouseRules, operatorRulesFaults, toRules, type OperatorRules } from './operator-rules';
import { FirmChecklists } from './checklists';
import { FirmTerms } from './option-terms';

const hill: OperatorRules = {
  id: 'hill',
  title: 'The hill network',
  basedOn: 'gb-default',
  version: 3,
  source: 'its letter',
  acceptsLimiting: false,
  changes: [{ term: 'askAboveA', value: 80, source: 'its letter, part 2' }],
};
const rules = (house: Partial<HouseRules>, own: readonly OperatorRules[] = [hill]): FirmRules => ({
  house: { ...new HouseRules(), ...house },
  own,
  terms: new FirmTerms(),
  checklists: new FirmChecklists(),
});
/** Area 97; its last digit checks. */
const NUMBER = '9700000012340';

describe('which rules a survey is judged by', () => {
  it('are its area’s where the firm has set some, the default otherwise and while the number does not check', () => {
    const areas = rules({ areas: [{ area: '97', rulesId: 'hill' }] });
    expect(rulesFor(NUMBER, areas).id).toBe('hill');
    expect(rulesFor('9700000012341', areas).id).toBe('gb-default');
    expect(rulesFor(undefined, areas).id).toBe('gb-default');
    expect(rulesFor('9800123456786', areas).id).toBe('gb-default');
  });
  it('fall back to what ships where a set of rules is gone', () => {
    expect(rulesFor(NUMBER, rules({ defaultRulesId: 'gone' }, []))).toBe(gbDefault);
  });
  it('ask first under the house rule, whatever the operator’s; the reason says whose rule it is', () => {
    const { route } = assess(settledSurvey(), rulesFor(NUMBER, rules({ alwaysAsk: true })));
    expect(route.way).toBe('ask-then-fit');
    expect(route.triggers).toMatchObject([
      { id: 'house-rule', evidence: 'The firm’s rule, over the rules gb-default.' },
    ]);
    expect(assess(settledSurvey(), rulesFor(NUMBER, rules({}))).route.way).toBe('fit-then-notify');
  });
});

describe('a firm’s own rules', () => {
  it('is the one beneath with what it changes, named with both versions wherever it is used', () => {
    const made = toRules(hill);
    expect(made.askAboveA).toEqual({ value: 80, source: 'its letter, part 2' });
    expect(made.acceptsLimiting).toBe(false);
    expect(made.siteApplications).toBe('ask');
    expect(toRules({ ...hill, siteApplications: 'each-supply' }).siteApplications).toBe('each-supply');
    expect(made.replyWorkingDays).toEqual(gbDefault.replyWorkingDays);
    expect(assess(settledSurvey(), made).rules).toEqual({
      id: 'hill',
      title: 'The hill network',
      version: `3 over gb-default ${gbDefault.version}`,
    });
  });
  it('is refused with figures out of bounds, twice, or at odds', () => {
    const wrong = (changes: OperatorRules['changes']): string[] =>
      operatorRulesFaults({ ...hill, changes }).map(({ path }) => path);
    expect(wrong(hill.changes)).toEqual([]);
    expect(wrong([{ term: 'askAboveA', value: 0, source: '' }])).toEqual(['$.changes[0].value']);
    expect(wrong([...hill.changes, ...hill.changes])).toEqual(['$.changes[1].term']);
    expect(wrong([{ term: 'fallbackFuseA', value: 200, source: '' }])).toEqual(['$.changes']);
    expect(wrong([{ term: 'sureLogDays', value: 3, source: '' }])).toEqual(['$.changes']);
  });
});

describe('two sets of rules side by side', () => {
  it('differ in just what was changed', () => {
    const differing = comparePacks(gbDefault, toRules(hill)).filter(({ differs }) => differs);
    expect(differing.map(({ title, one, other }) => [title, one, other])).toEqual([
      ['Load limiting accepted in place of a larger fuse', 'yes', 'no'],
      ['Maximum demand from which the operator is asked, each phase', '60 A', '80 A'],
    ]);
    const managed = ruleSet('gb-managed-figure');
    if (!managed) throw new Error('no such rules');
    expect(comparePacks(gbDefault, managed).filter(({ differs }) => differs)).toHaveLength(1);
    expect(comparePacks(gbDefault, gbDefault).some(({ differs }) => differs)).toBe(false);
  });
  it('every figure of the usual rules lies within the bounds it is held to', () => {
    for (const { key, least, most } of NUMBER_TERMS) {
      expect(gbDefault[key].value).toBeGreaterThanOrEqual(least);
      expect(gbDefault[key].value).toBeLessThanOrEqual(most);
      expect(gbDefault[key].source).not.toBe('');
    }
  });
});
