import type { Assessment } from '../assessment';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { changesSince, type PackChange } from './changes';
import { factSections } from './compose';
import type { Section } from './rows';

/**
 * What the survey says by now that a pack signed earlier does not: the facts of its document, not what was decided from them. Empty while the
 * pack still says what the survey says.
 */
export function changedSinceSigning(
  signed: readonly Section[],
  survey: Survey,
  assessment: Assessment,
  rules: Rules,
): PackChange[] {
  const now = factSections(survey, assessment, rules);
  // Packs signed before sections were marked are told by what they are called now.
  const apart = new Set([...OF_THE_SIGNING, ...now.filter(({ derived }) => derived).map(({ title }) => title)]);
  const facts = (sections: readonly Section[]): Section[] =>
    sections.filter(({ title, derived }) => !derived && !apart.has(title));
  return changesSince(facts(signed), facts(now));
}

/** Who signed, and for which firm, is no fact of the survey. */
const OF_THE_SIGNING = ['Installer', 'Answered for when signed'];
