import { FirmChecklists } from '@keen-gauge/core/firm/checklists';
import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { HouseRules } from '@keen-gauge/core/firm/operator-rules';
import { FirmTerms } from '@keen-gauge/core/firm/option-terms';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { failsUnder } from './try-rules';

const rules: FirmRules = {
  house: new HouseRules(),
  own: [],
  terms: new FirmTerms(),
  checklists: new FirmChecklists(),
};

/** What stopped every save of a firm once: no list of terms, whatever its form. */
const broken = { ...rules, terms: { options: [[]], bands: [] } as unknown as FirmTerms };

it('finds nothing wrong with rules under which every survey can be reckoned', () => {
  expect(failsUnder({ surveys: [blankSurvey(), blankSurvey()], rules })).toBeNull();
  expect(failsUnder({ surveys: [], rules: broken })).toBeNull();
});

it('names the first survey that can no longer be reckoned; one that cannot be read is not it', () => {
  expect(failsUnder({ surveys: [{ no: 'survey' }, blankSurvey()], rules: broken })).toBe(1);
});
