/** Arrows point one way: base; colour, text; document; migrate, load, edit, resolve, links; layout; compile; check; exchange, starters. */
const below = {
  base: [],
  colour: ['base'],
  text: ['base'],
  document: ['base', 'colour', 'text'],
  migrate: ['base'],
  load: ['base', 'document', 'migrate'],
  links: ['base', 'document'],
  resolve: ['base', 'colour', 'text', 'document'],
  edit: ['base', 'colour', 'text', 'document', 'load', 'resolve', 'links'],
  layout: ['base', 'colour', 'text', 'document', 'resolve', 'links'],
  compile: ['base', 'colour', 'text', 'document', 'resolve', 'links', 'layout'],
  check: ['base', 'colour', 'text', 'document', 'resolve', 'links', 'edit', 'layout', 'compile'],
  exchange: ['base', 'colour', 'text', 'document', 'load', 'resolve', 'links', 'layout', 'compile'],
  starters: ['base', 'document', 'migrate', 'edit'],
};

const layerRules = Object.entries(below).map(([layer, allowed]) => ({
  name: `core-${layer}`,
  severity: 'error',
  comment: `core/${layer} uses only ${allowed.join(', ') || 'nothing'} beneath it`,
  from: { path: `^core/src/${layer}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^core/src/', pathNot: `^core/src/(${[layer, ...allowed].join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...layerRules,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-alone',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(web|server|cli|fonts|e2e|scripts)/' },
    },
    {
      name: 'core-needs-no-platform',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'one-door-into-core',
      severity: 'error',
      from: { path: '^(web|server|cli)/' },
      to: { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
    },
    {
      name: 'web-and-server-apart',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|cli)/' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^(server|cli)/' },
      to: { path: '^web/' },
    },
    {
      name: 'nothing-missing',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(vite/client)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    exclude: { path: '(^|/)dist/|\\.css$' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
};
