/** Imports point down: app → features → views → ui | data | formats | devices | workers → words → core. */
const layer = (name, from, forbidden) => ({
  name,
  severity: 'error',
  // A test may set the scene with whatever makes it.
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: forbidden },
});

/** The folders of the core, from below to above: each may use those before it, and the files beside them. */
const CORE = [
  ...[
    'coffee',
    'extraction',
    'programme',
    'entity',
    'schema',
    'taste',
    'rest',
    'grinder',
    'trials',
    'start',
  ],
  ...[
    'grinderMemory',
    'patterns',
    'advice',
    'cafes',
    'command',
    'due',
    'ease',
    'fits',
    'packet',
    'panel',
  ],
  ...['simulator', 'practice', 'state', 'trace'],
];

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    ...CORE.map((folder, i) =>
      layer(
        `core-${folder}-looks-down`,
        `^src/core/${folder}/`,
        `^src/core/(${CORE.slice(i + 1).join('|')}|no)/`,
      ),
    ),
    {
      name: 'each-folder-of-the-core-has-its-place',
      severity: 'error',
      from: { path: '^src/core/[^/]+/', pathNot: `^src/core/(${CORE.join('|')})/` },
      to: {},
    },
    {
      name: 'what-all-of-the-core-uses-stands-alone',
      severity: 'error',
      from: { path: '^src/core/[^/]+$', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/[^/]+/' },
    },
    layer(
      'core-knows-nothing-above',
      '^src/core',
      '^(src/(app|features|views|ui|data|formats|devices|workers|words|card|server)|cli|bench)',
    ),
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No interface, no server, no clock in the core.',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: {
        path: 'node_modules/(react|next|styled-components|better-sqlite3)|^(fs|path|crypto|child_process|os)$',
      },
    },
    layer(
      'words-stand-above-the-core',
      '^src/words',
      '^(src/(app|features|views|ui|data|formats|devices|workers|card|server)|cli|bench)',
    ),
    layer('ui-looks-down', '^src/ui', '^src/(app|features|views|data|formats)'),
    layer('devices-look-down', '^src/devices', '^src/(app|features|views|ui|data|formats)'),
    layer('workers-look-down', '^src/workers', '^src/(app|features|views|ui|data|formats|devices)'),
    layer('data-looks-down', '^src/data', '^src/(app|features|views|ui|formats)'),
    layer('formats-look-down', '^src/formats', '^src/(app|features|views|ui|data)'),
    layer('views-look-down', '^src/views', '^src/(app|features)'),
    layer('features-below-app', '^src/features', '^src/app'),
    layer('nothing-above-the-server', '^src/(?!server)', '^src/server'),
    {
      name: 'screens-ask-for-instruments',
      severity: 'error',
      comment: 'linked.ts chooses; no screen constructs a simulated one.',
      from: { path: '^src/(features|ui|app)' },
      to: { path: '^src/devices/simulated', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'verdicts-are-the-cores',
      severity: 'error',
      comment:
        'How far a setting is, what comes next, who is off: read from a view, worked out by no screen. A cup being typed and what a stranger or a bar asks have no view yet.',
      from: { path: '^src/(app|features|ui|formats|server|card)/', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: [
          '^src/core/advice/(?!(types|setting|prep|cardReader|tasteMove)\\.)',
          '^src/core/cafes/(?!(atTheBar|checkState|schedule|signalKey)\\.)',
          '^src/core/state/(cafeState|coffeeLeft|firstDial)\\.',
        ],
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'features-do-not-import-each-other',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/', pathNot: '^src/features/$1/' },
    },
    {
      name: 'only-server-code-opens-the-database',
      severity: 'error',
      comment: 'Components may use the types of data/ and views/, never their code.',
      from: { path: '^src/(features|ui)/.+\\.tsx$', pathNot: '\\.test\\.tsx$' },
      to: { path: '^src/(data|views)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'a-card-is-light',
      severity: 'error',
      comment: 'What runs on a public card takes the core, its words and the recipe document.',
      from: { path: '^src/card' },
      to: { path: '^src/(?!card|core|words|formats/recipe)' },
    },
    {
      name: 'cli-uses-the-core',
      severity: 'error',
      from: { path: '^cli' },
      to: { path: '^src/(app|features|views|ui|data)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'] },
  },
};
