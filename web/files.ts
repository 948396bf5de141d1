import type { Plugin } from 'vite';

const SURVEY = 'web/src/survey/SurveyPage.tsx';

/** Where every view of a survey is asked for: each is opened on that page only. */
const VIEWS = 'web/src/survey/view-parts.tsx';

/** Parts that nobody needs who is not about to open a survey, or to send one. */
const WITH_A_SURVEY = ['core/src/survey/blank.ts', 'web/src/survey/send-kept.ts'];

/**
 * Into which files the application is divided. On a slow telephone a request takes as long as 30 kB, and six go at once: what is always fetched together is one file. That is
 * all of the first view; and of what the page of a survey stands on, all that no other part of the application needs, and all that the very same other parts need. What a
 * module imports is needed by whatever needs the module, so that no two of these files can wait for each other.
 */
export function dividedIntoFiles(): Plugin {
  let fileOf: ReadonlyMap<string, string> = new Map();
  return {
    name: 'divided-into-files',
    apply: 'build',
    buildEnd() {
      const ids = [...this.getModuleIds()];
      const at = (end: string): string =>
        ids.find((id) => id.endsWith(end)) ?? this.error(`${end} is not where it was`);
      const reachedFrom = (...starts: readonly string[]): ReadonlySet<string> => {
        const reached = new Set(starts);
        // A set that grows while it is gone through is gone through to its end.
        for (const id of reached)
          for (const imported of this.getModuleInfo(id)?.importedIds ?? []) reached.add(imported);
        return reached;
      };
      const asksFor = (id: string): readonly string[] => this.getModuleInfo(id)?.dynamicallyImportedIds ?? [];

      const own = new Set([at(SURVEY), ...asksFor(at(VIEWS)), ...WITH_A_SURVEY.map(at)]);
      const first = reachedFrom(...ids.filter((id) => this.getModuleInfo(id)?.isEntry));
      const within = reachedFrom(...own);
      const elsewhere = new Set(
        ids
          .filter((id) => first.has(id) || !within.has(id))
          .flatMap((id) => asksFor(id).filter((part) => !own.has(part))),
      );
      const page = [...reachedFrom(at(SURVEY))].filter((id) => !first.has(id));
      fileOf = byWhoShares(
        page,
        [...elsewhere].map((part) => reachedFrom(part)),
      );
    },
    config: () => ({
      build: {
        rolldownOptions: {
          output: {
            // A shared file is called after its group, and not after all that share it.
            chunkFileNames: ({ name }) => `assets/${name.split('~')[0] ?? name}-[hash:7].js`,
            codeSplitting: {
              groups: [
                { name: 'app', tags: ['$initial'], priority: 3 },
                {
                  name: (id) => fileOf.get(id),
                  debugName: 'what a survey stands on',
                  priority: 2,
                  includeDependenciesRecursively: false,
                },
                // Each is small, and stands on nothing but the first view.
                { name: 'icons', test: /lucide/, priority: 1.5 },
                // What nearly every view is made of.
                { name: 'kit', priority: 1, minShareCount: 10, entriesAware: true, entriesAwareMergeThreshold: 20_000 },
              ],
            },
          },
        },
      },
    }),
  };
}

/** Modules under the name of their file: one for each set of parts that stand on them. */
function byWhoShares(modules: readonly string[], parts: readonly ReadonlySet<string>[]): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  return new Map(
    modules.map((id) => {
      const sharers = parts.map((part) => (part.has(id) ? '1' : '0')).join('');
      const name = names.get(sharers) ?? (sharers.includes('1') ? `shared~${names.size}` : 'SurveyPage');
      names.set(sharers, name);
      return [id, name];
    }),
  );
}
