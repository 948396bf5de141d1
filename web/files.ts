import type { Plugin } from 'vite';

/** What reckons a survey, and what opens one: the modules of the core that whatever shows a survey begins with. */
const BEGINNINGS = ['core/src/assess.ts', 'core/src/survey/opening/open-stored.ts'];

/** Of the packages the core stands on. */
const STOOD_ON = /[\\/](core[\\/]src|class-validator|class-transformer|validator)[\\/]/;

/**
 * Into which files the application is divided. A request takes as long as 30 kB on a slow telephone, and six go at once: what is always fetched together is one file,
 * and small ones are put to those that are fetched with them.
 */
export function dividedIntoFiles(): Plugin {
  const reckoning = new Set<string>();
  return {
    name: 'divided-into-files',
    apply: 'build',
    buildEnd() {
      for (const id of this.getModuleIds())
        if (BEGINNINGS.some((beginning) => id.endsWith(beginning))) reckoning.add(id);
      if (reckoning.size !== BEGINNINGS.length) this.error(`${BEGINNINGS.join(' or ')} is not where it was`);
      // A set that grows while it is gone through is gone through to its end.
      for (const id of reckoning)
        for (const imported of this.getModuleInfo(id)?.importedIds ?? [])
          if (STOOD_ON.test(imported)) reckoning.add(imported);
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
                  name: 'reckoning',
                  test: (id) => reckoning.has(id),
                  priority: 2,
                  minShareCount: 2,
                  entriesAware: true,
                  entriesAwareMergeThreshold: 12_000,
                },
                // What nearly every view is made of.
                { name: 'kit', priority: 1, minShareCount: 10, entriesAware: true, entriesAwareMergeThreshold: 10_000 },
              ],
            },
          },
        },
      },
    }),
  };
}
