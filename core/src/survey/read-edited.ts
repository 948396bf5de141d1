import { linkFaults } from './links';
import type { Fault } from './plain';
import { readSurvey, type Reading } from './read';
import { Survey } from './survey';
import { validated } from './validated';

/** The lists of a survey, by where they are. */
const LISTS = ['loads', 'proposals', 'readings', 'measurements', 'photos', 'supply.nodes', 'intake.faults'] as const;
type ListPath = (typeof LISTS)[number];

/**
 * As `readSurvey`, for a survey known to be valid before these places in it were changed: only the parts and list
 * members touched are checked again, and the links between all of them. A save then costs what was typed, not what
 * the whole survey holds. The paths are those of the changes: field names, with ids for members of lists.
 */
export function readEdited(survey: Survey, paths: readonly (readonly string[])[]): Reading {
  const touched = new Map<ListPath, Set<string>>();
  const whole = new Set<ListPath>();
  const parts = new Set<string>();
  for (const path of paths) {
    const list = LISTS.find((each) => path.slice(0, each.split('.').length).join('.') === each);
    const depth = list?.split('.').length ?? 0;
    // The whole survey, a part or a list put in another's place: only the full reading copes with that.
    if (!isPart(path[0]) || path.length <= depth || (path.length === 1 && path[0] !== 'notes'))
      return readSurvey(survey);
    parts.add(path[0]);
    const id = path[depth];
    if (list === undefined || id === undefined) continue;
    if (path.length === depth + 1) whole.add(list);
    else touched.set(list, (touched.get(list) ?? new Set()).add(id));
  }
  const only = <T extends { readonly id: string }>(list: ListPath, members: readonly T[]): readonly T[] =>
    whole.has(list) ? members : members.filter(({ id }) => touched.get(list)?.has(id));
  const sparse: Record<string, unknown> = { format: survey.format, version: survey.version };
  for (const part of parts) {
    if (isTopList(part)) sparse[part] = only(part, survey[part] as readonly { readonly id: string }[]);
    else if (part === 'supply') sparse[part] = { ...survey.supply, nodes: only('supply.nodes', survey.supply.nodes) };
    else if (part === 'intake')
      sparse[part] = { ...survey.intake, faults: only('intake.faults', survey.intake.faults) };
    else sparse[part] = survey[part as keyof Survey];
  }
  // Faults are rare: the whole survey is then read once more, for paths that count from its own start.
  if ('faults' in validated(Survey, sparse)) return readSurvey(survey);
  const links: Fault[] = linkFaults(survey);
  return links.length > 0 ? { faults: links } : { survey };
}

const TOP_LISTS = ['loads', 'proposals', 'readings', 'measurements', 'photos'] as const;

function isTopList(part: string): part is (typeof TOP_LISTS)[number] {
  return (TOP_LISTS as readonly string[]).includes(part);
}

const PARTS: readonly string[] = Object.keys(new Survey()).concat('notes', 'driver', 'choice');

function isPart(name: string | undefined): name is string {
  return name !== undefined && PARTS.includes(name) && name !== 'format' && name !== 'version';
}
