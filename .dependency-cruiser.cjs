/**
 * Floors and rooms: core knows nothing of the others, web and server meet only in contract, nothing goes round in a ring,
 * and a room is entered by its index (routes are the server's doors: only app.ts opens them).
 */
const floors = ['core', 'contract', 'words', 'server', 'web', 'demo']
const may = {
  core: [],
  contract: [],
  words: ['core'],
  demo: ['core'],
  server: ['core', 'contract', 'words', 'demo'],
  web: ['core', 'contract', 'words'],
}

module.exports = {
  forbidden: [
    {
      name: 'no-ring',
      comment: 'What goes round in a ring cannot be understood, tested or moved by itself.',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    ...floors.map((floor) => ({
      name: `${floor}-keeps-to-its-floor`,
      severity: 'error',
      from: { path: `^${floor}/src`, pathNot: '\\.test\\.ts$' },
      to: { path: `^(${floors.filter((other) => other !== floor && !may[floor].includes(other)).join('|')})/` },
    })),
    {
      name: 'a-room-by-its-index',
      severity: 'error',
      from: { path: '^(core|server|web)/src/([^/]+)/', pathNot: '\\.test\\.ts$|/testing/' },
      to: { path: '^$1/src/[^/]+/.+', pathNot: '^$1/src/($2/|[^/]+/index\\.ts$|[^/]+/data/)' },
    },
    {
      name: 'only-app-opens-routes',
      severity: 'error',
      from: { path: '^server/src/', pathNot: '^server/src/app\\.ts$|\\.test\\.ts$' },
      to: { path: '^server/src/[^/]+/routes\\.ts$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'node_modules|dist/|\\.css$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.vue', '.js', '.json'],
    },
  },
}
