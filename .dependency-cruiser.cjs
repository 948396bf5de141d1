/** The arrows of the house: web → core, server → core, nothing back, no circles. */
const notInto = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '[.]test[.]ts$' },
  to: { path: to },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      // Imports of types count: a type is where a reader has to look next.
      from: {},
      to: { circular: true },
    },
    notInto('core-stands-alone', '^core/src', '^(server|web|standins|e2e|bench)/'),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/src', pathNot: '[.]test[.]ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-needs-little',
      severity: 'error',
      // What tests are made with may use what tests use.
      from: { path: '^core/src', pathNot: '[.]test[.]ts$|^core/src/testing/' },
      to: { path: 'node_modules', pathNot: 'node_modules/(class-validator|class-transformer|reflect-metadata)/' },
    },
    notInto('standins-stand-alone', '^standins/', '^(server|web)/'),
    notInto('web-not-into-server', '^web/', '^server/'),
    notInto('server-not-into-web', '^server/', '^web/'),
    notInto(
      'survey-is-the-floor',
      '^core/src/(survey|record)/',
      '^core/src/(rules|tree|demand|intake|earthing|circuit|management|route|pack)/',
    ),
    notInto(
      'nothing-below-assess-knows-it',
      '^core/src/(survey|record|rules|tree|demand|intake|earthing|circuit|management|route)/',
      '^core/src/(assess|node-assessments|demand-decision|look-list)[.]ts$|^core/src/options/',
    ),
    notInto('no-orphan-rooms', '.*', '/(utils?|helpers?|common|misc)(/|[.])'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: 'specify',
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
