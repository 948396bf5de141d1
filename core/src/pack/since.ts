import type { Assessment } from '../assessment';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { changesSince, type PackChange } from './changes';
import { factSections } from './compose';
import { withIds, type StoredSection } from './former-sections';
import type { SectionId } from './row-ids';

/**
 * What the survey says by now that a pack signed earlier does not: the facts of its document, not what was decided from them. Empty while the
 * pack still says what the survey says.
 */
export function changedSinceSigning(
  signed: readonly StoredSection[],
  survey: Survey,
  assessment: Assessment,
  rules: Rules,
): PackChange[] {
  const now = factSections(survey, assessment, rules);
  // Packs signed before sections were marked have the marks of today's.
  const apart = new Set<string | undefined>(OF_THE_SIGNING);
  for (const { id, derived } of now) if (derived) apart.add(id);
  const isFact = ({ id, derived }: StoredSection): boolean => !derived && !apart.has(id);
  return changesSince(withIds(signed).filter(isFact), now.filter(isFact));
}

/** Who signed, and for which firm, is no fact of the survey. */
const OF_THE_SIGNING: readonly SectionId[] = ['installer', 'answered-for'];
