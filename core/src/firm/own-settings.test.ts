import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { options } from '../options/options';
import { OPTION_KINDS } from '../survey/words/option-words';
import { validated } from '../survey/opening/validated';
import { settledSurvey } from '../testing/settled-survey';
import { FirmChecklists, checklistOf } from './checklists';
import { EquipmentProfile } from './equipment';
import { rulesFor } from './firm-rules';
import { HouseRules, OperatorRules, operatorRulesFaults } from './operator-rules';
import { FirmTerms } from './option-terms';

/** Anything a body may hold where a setting belongs. */
const anything = fc.oneof(
  fc.jsonValue({ maxDepth: 4 }),
  fc.constantFrom<unknown>([[]], [[[]]], [{}], [null], [5], ['x'], {}, '', 0, [[{}]], [{ id: [] }]),
);

const MODELS = { FirmTerms, FirmChecklists, HouseRules, OperatorRules, EquipmentProfile };

/** A survey judged under what a firm has set: this is what every save of the firm does. */
function use({ terms, checklists, house, own }: Partial<Parameters<typeof rulesFor>[1]>): void {
  const survey = settledSurvey();
  const rules = rulesFor('1012345678345', {
    house: house ?? new HouseRules(),
    own: own ?? [],
    terms: terms ?? new FirmTerms(),
    checklists: checklists ?? new FirmChecklists(),
  });
  assess(survey, rules);
  options(survey, rules);
  checklistOf('labels', checklists ?? new FirmChecklists());
}

describe('what a firm sets for itself', () => {
  it.each(
    Object.entries(MODELS).flatMap(([name, model]) =>
      ['options', 'bands', 'lists', 'areas', 'changes', 'stepsA', 'failSafesA', 'clamps'].map(
        (field) => [name, field, model] as const,
      ),
    ),
  )('%s: a list within %s is no member of it', (_name, field, model) => {
    for (const list of [[[]], [[[]]], [{}, []], ['x', []]])
      expect(
        validated<object>(model, { id: 'a', name: 'x', title: 'x', source: 'x', basedOn: 'gb-default', [field]: list }),
      ).toHaveProperty('faults');
  });

  it.each([
    ['a kind of equipment', EquipmentProfile, { id: 'a' }],
    ['a set of rules', OperatorRules, { id: 'a', source: 'x', basedOn: 'gb-default' }],
    ['a figure', OperatorRules, { id: 'a', title: 'x', source: 'x', basedOn: 'gb-default', changes: [{}] }],
    ['an item of a list', FirmChecklists, { lists: [{ list: 'labels', items: [{ id: 'a' }] }] }],
    ['an area', HouseRules, { areas: [{}] }],
    ['a cost', FirmTerms, { options: [{ option: OPTION_KINDS[0] }] }],
  ] as const)('%s without what it must have is refused', (_what, model, body) => {
    expect(validated<object>(model, body)).toHaveProperty('faults');
  });

  it('whatever is taken can be worked with', () => {
    fc.assert(
      fc.property(anything, anything, (one, other) => {
        const terms = validated(FirmTerms, { options: one, bands: other });
        if ('value' in terms) use({ terms: terms.value });
        const checklists = validated(FirmChecklists, { lists: one });
        if ('value' in checklists) use({ checklists: checklists.value });
        const house = validated(HouseRules, { areas: one, alwaysAsk: other });
        if ('value' in house) use({ house: house.value });
        const pack = validated(OperatorRules, {
          id: 'a',
          title: 'x',
          source: 'x',
          basedOn: 'gb-default',
          changes: one,
        });
        if ('value' in pack && operatorRulesFaults(pack.value).length === 0) use({ own: [pack.value] });
      }),
      { numRuns: lawRuns(400) },
    );
  });
});
