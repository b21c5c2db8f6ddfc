/**
 * Arrows point one way. Inside core: base; colour, text, print; drawings, markup; values; kinds/properties; model; kinds; migrate, load;
 * resolve; links; edit, layout; advice; output; check; formats, starters.
 */
const floor = [
  'base',
  'colour',
  'text',
  'print',
  'drawings',
  'markup',
  'values',
  'kinds/properties',
  'model',
];
const below = {
  base: [],
  colour: ['base'],
  text: ['base'],
  print: ['base'],
  drawings: ['base', 'colour', 'print'],
  markup: ['base'],
  values: ['base', 'colour', 'text', 'print'],
  'kinds/properties': ['base', 'values'],
  model: ['base', 'colour', 'text', 'drawings', 'markup', 'values', 'kinds/properties'],
  kinds: floor,
  migrate: ['base'],
  load: ['base', 'values', 'model', 'kinds', 'migrate'],
  resolve: [...floor, 'kinds'],
  links: ['base', 'values', 'model', 'kinds'],
  edit: [...floor, 'kinds', 'load', 'resolve', 'links'],
  layout: [...floor, 'kinds', 'resolve', 'links'],
  advice: [...floor, 'kinds', 'resolve', 'links', 'edit', 'layout'],
  output: [...floor, 'kinds', 'resolve', 'links', 'layout'],
  check: [...floor, 'kinds', 'resolve', 'links', 'edit', 'layout', 'advice', 'output'],
  formats: [...floor, 'kinds', 'load', 'resolve', 'links', 'edit', 'layout', 'output'],
  foreign: ['base', 'colour', 'print', 'kinds/behaviours'],
  starters: [...floor, 'kinds', 'migrate', 'edit', 'layout', 'advice'],
};

const layerRules = Object.entries(below).map(([layer, allowed]) => ({
  name: `core-${layer.replace('/', '-')}`,
  severity: 'error',
  comment: `core/${layer} uses only ${allowed.join(', ') || 'nothing'} beneath it`,
  from: {
    path: `^core/src/${layer}/`,
    pathNot: layer === 'kinds' ? '\\.test\\.ts$|^core/src/kinds/properties/' : '\\.test\\.ts$',
  },
  to: { path: '^core/src/', pathNot: `^core/src/(${[layer, ...allowed].join('|')})/` },
}));

/** Inside web: places stand beside one another; everything they share lies beneath them. */
const webRules = [
  {
    name: 'web-places-apart',
    severity: 'error',
    comment: 'a place imports no other place',
    from: { path: '^web/src/places/([^/]+)/' },
    to: { path: '^web/src/places/', pathNot: '^web/src/places/$1/' },
  },
  {
    name: 'web-floor',
    severity: 'error',
    comment: 'stores, media and words know nothing of the interface',
    from: { path: '^web/src/(store|media|words)/' },
    to: { path: '^web/src/(app|ui|stage|places)/' },
  },
  {
    name: 'web-shared',
    severity: 'error',
    comment: 'controls and the stage know no place',
    from: { path: '^web/src/(ui|stage|workers)/' },
    to: { path: '^web/src/places/' },
  },
];

module.exports = {
  forbidden: [
    ...layerRules,
    ...webRules,
    {
      name: 'no-cycles',
      severity: 'error',
      comment: 'types may know one another: what a kind is and what a site holds are one definition',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
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
      from: { path: '^(web|server|cli|fetching)/' },
      to: { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
    },
    {
      name: 'web-and-server-apart',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|cli|fetching)/' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^(server|cli)/' },
      to: { path: '^web/' },
    },
    {
      name: 'fetching-below',
      severity: 'error',
      comment: 'fetching knows neither the server nor the command line',
      from: { path: '^fetching/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(server|cli|web)/' },
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
