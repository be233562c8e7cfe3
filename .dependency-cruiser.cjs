/**
 * Which part may import which. `core <- contracts <- server, web`, `core <- words <- web`; inside core the stages point back along the Line,
 * inside the server each module knows only those before it, in the web a room knows of another what its doors.ts gives.
 */
const coreOrder = [
  ['units', 'facts', 'math', 'document', 'findings', 'errors.ts'],
  ['matter'],
  ['ingredient', 'pan'],
  ['lift.ts'],
  ['entry'],
  ['blend'],
  ['dough'],
  ['chill'],
  ['sheet'],
  ['bake'],
  ['keep'],
  ['outlook'],
  ['demo'],
  ['evaluate.ts'],
  ['devices'],
  ['learn'],
  ['run'],
  ['solve'],
  ['trials'],
  ['label'],
];
const serverOrder = [
  ['platform'],
  ['solver', 'evaluator'],
  ['files'],
  ['kitchen'],
  ['pantry'],
  ['blends'],
  ['formulas'],
  ['bakes'],
  ['installation'],
];
/** A room a stage, in the web as in core. */
const boards = 'blend|dough|chill|sheet|bake|keep';
const tests = '\\.test\\.tsx?$|/worked/';

/** One rule a layer: it must not reach any later one. */
const ordered = (name, base, order) =>
  order.slice(0, -1).map((layer, i) => ({
    name: `${name}: ${layer[0]} reaches forward`,
    severity: 'error',
    from: { path: `^${base}/(${layer.join('|')})`, pathNot: tests },
    to: {
      path: `^${base}/(${order
        .slice(i + 1)
        .flat()
        .join('|')})`,
    },
  }));

module.exports = {
  forbidden: [
    { name: 'ring', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core knows only itself',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: tests },
      to: { pathNot: '^packages/core/src|^node_modules/ml-matrix' },
    },
    { name: 'contracts know core', severity: 'error', from: { path: '^packages/contracts' }, to: { path: '^apps' } },
    { name: 'words know core', severity: 'error', from: { path: '^packages/words' }, to: { path: '^apps|^packages/contracts' } },
    { name: 'server and web do not meet', severity: 'error', from: { path: '^apps/(server|web)' }, to: { path: '^apps/(?!$1)' } },
    ...ordered('core', 'packages/core/src', coreOrder),
    ...ordered('server', 'apps/server/src', serverOrder),
    {
      name: 'web base knows no feature',
      severity: 'error',
      from: { path: '^apps/web/src/(ui|platform)' },
      to: { path: '^apps/web/src/features' },
    },
    {
      name: 'another room by its doors only',
      severity: 'error',
      from: { path: '^apps/web/src/features/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^apps/web/src/features/', pathNot: '^apps/web/src/features/($1/|[^/]+/doors\\.ts$)' },
    },
    {
      name: 'boards do not know each other, nor the workspace they stand in',
      severity: 'error',
      from: { path: `^apps/web/src/features/(${boards})/` },
      to: { path: `^apps/web/src/features/(?!$1/)(${boards}|workspace|runs|today|trials)/` },
    },
    {
      name: 'what boards stand on knows no board',
      severity: 'error',
      from: { path: '^apps/web/src/features/(kitchen|pantry|blends|formulas|board|entry)/' },
      to: { path: `^apps/web/src/features/(${boards.replace('blend|', '')}|workspace|bakes|runs|today|trials)/` },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules/(?!ml-matrix))' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.check.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['north-leaf-source', 'import', 'node', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.json'],
    },
  },
};
