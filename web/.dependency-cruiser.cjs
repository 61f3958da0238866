/**
 * The rooms of the pages and what each may use, from the bottom up. A room not named by another can't be used by it;
 * docs/architecture.md draws the same ladder.
 */
const LADDER = {
  api: [],
  core: [],
  ui: ['core'],
  drawing: ['core', 'ui'],
  shell: ['api', 'ui'],
  picture: ['core', 'ui'],
  scenes: ['core', 'picture'],
  instruments: ['core', 'ui', 'picture'],
  bench: ['core', 'ui', 'drawing', 'shell', 'picture', 'scenes', 'instruments'],
  films: ['core', 'ui', 'picture', 'scenes', 'instruments'],
  notebook: ['api', 'core', 'ui', 'instruments'],
  graph: ['core', 'ui', 'notebook'],
  classroom: ['api', 'core', 'ui', 'shell', 'picture', 'scenes'],
  marking: ['api', 'core', 'ui'],
  live: ['api', 'core', 'ui', 'shell'],
  voice: ['api', 'ui'],
  blocks: ['api', 'core', 'ui', 'drawing', 'notebook', 'graph', 'voice'],
  maker: ['api', 'core', 'ui', 'shell', 'scenes', 'bench', 'films', 'drawing', 'notebook', 'blocks'],
  sheet: [
    'api',
    'core',
    'ui',
    'drawing',
    'shell',
    'picture',
    'scenes',
    'instruments',
    'bench',
    'films',
    'notebook',
    'graph',
    'classroom',
    'marking',
    'live',
    'voice',
    'blocks',
  ],
  app: ['api', 'core', 'ui', 'shell', 'bench', 'classroom', 'live', 'maker', 'sheet'],
};

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-circles-of-rooms', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
    {
      name: 'every-room-has-its-place',
      severity: 'error',
      from: { path: '^src/[^/]+/', pathNot: `^src/(${Object.keys(LADDER).join('|')})/` },
      to: {},
    },
    ...Object.entries(LADDER).map(([room, below]) => ({
      name: `${room}-uses-what-is-below`,
      severity: 'error',
      from: { path: `^src/${room}/` },
      to: { path: '^src/', pathNot: `^src/(${[room, ...below].join('|')})/` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['^src/core/generated', 'node_modules', '\\.test\\.tsx?$', 'fixture\\.tsx$'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default'] },
  },
};
