/** Arrows go one way: app → server → core, app → ui → core, workers → core. */
const rooms =
  'changes|add-ons|picture|traits|color|geometry|css|palette|theme|site|elements|generate|livery|edit|resolve|render|uses|sweep|exchange|sync|wide|check|roles|markup|formats|payloads'

module.exports = {
  forbidden: [
    {
      name: 'core-knows-nothing-above-it',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.(test|fixture)\\.ts$' },
      to: { path: '^src/(app|ui|server|workers)|^demo|^tools' },
    },
    {
      name: 'fixtures-are-for-tests',
      severity: 'error',
      from: { path: '^src', pathNot: '\\.(test|fixture)\\.tsx?$' },
      to: { path: '\\.fixture\\.ts$' },
    },
    {
      name: 'core-is-plain-typescript',
      comment: 'No React, no Next, no database, no Node in the core.',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.(test|fixture)\\.ts$' },
      to: {
        path: '(?:^|node_modules/)(react|react-dom|next|sequelize|pg|sharp)(/|$)|^(node:)?(fs|path|crypto)$',
      },
    },
    {
      name: 'only-color-knows-the-colour-library',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/core/color|\\.test\\.ts$' },
      to: {
        path: '(?:^|node_modules/)(@csstools/css-color-parser|@csstools/css-calc|culori)(/|$)',
      },
    },
    {
      name: 'only-color-and-css-know-the-css-libraries',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/core/(color|css)/|\\.test\\.ts$' },
      to: { path: '(?:^|node_modules/)(@csstools|css-tree)(/|$)' },
    },
    {
      name: 'ui-never-imports-server',
      severity: 'error',
      from: { path: '^src/(ui|workers)' },
      to: { path: '^src/(server|app)' },
    },
    {
      name: 'the-browser-parses-no-html',
      comment:
        'Snippets are cleaned where they are stored; their parser is larger than all of the core.',
      severity: 'error',
      from: { path: '^src/(ui|workers|core/(?!markup))', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/core/markup|(?:^|node_modules/)(sanitize-html|parse5|entities)(/|$)' },
    },
    {
      name: 'server-never-imports-ui',
      severity: 'error',
      from: { path: '^src/server' },
      to: { path: '^src/(ui|app|workers)' },
    },
    {
      name: 'rooms-are-entered-by-their-index',
      comment: 'A room of the core exports what others may use from its index.ts.',
      severity: 'error',
      from: { path: `^src/(core/(?:${rooms})|ui|server|app)/`, pathNot: '\\.test\\.tsx?$' },
      to: {
        path: `^src/core/(${rooms})/`,
        pathNot: [`^src/core/(${rooms})/index\\.ts$`, '^src/$1/'],
      },
    },
    {
      name: 'folders-of-the-interface-are-entered-by-their-index',
      comment: 'A folder of the interface exports what others may use from its index.ts.',
      severity: 'error',
      from: { path: '^src/ui/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: '^src/ui/[^/]+/',
        pathNot: ['^src/ui/[^/]+/index\\.tsx?$', '^src/ui/$1/'],
      },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^\\.next|^node_modules/.*/test' },
  },
}
