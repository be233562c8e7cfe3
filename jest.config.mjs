/** Jest, TypeScript through SWC. Every project compiles to CommonJS inside Jest, whatever the packages are outside:
 *  on Node 20 Jest cannot require() an ES module, and some CommonJS Nest packages require the ESM ones. */
const swc = (kind) => [
  '@swc/jest',
  {
    sourceMaps: 'inline',
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: kind === 'web', decorators: kind === 'server' },
      transform:
        kind === 'server'
          ? { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false }
          : kind === 'web'
            ? { react: { runtime: 'automatic' } }
            : {},
    },
    module: { type: 'commonjs' },
  },
];
const swcJs = [
  '@swc/jest',
  { sourceMaps: false, jsc: { target: 'es2022', parser: { syntax: 'ecmascript' } }, module: { type: 'commonjs' } },
];
const project = (displayName, root, kind, esmPackages = []) => ({
  displayName,
  rootDir: root,
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  transform: { '\\.tsx?$': swc(kind), ...(esmPackages.length ? { '\\.m?js$': swcJs } : {}) },
  transformIgnorePatterns: [`/node_modules/${esmPackages.length ? `(?!(${esmPackages.join('|')})/)` : ''}`, '\\.pnp\\.[^\\/]+$'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1', '\\.(css|woff2)$': '<rootDir>/../../scripts/empty.cjs' },
  testEnvironment: kind === 'web' ? '<rootDir>/../../scripts/jsdom-env.cjs' : 'node',
  testEnvironmentOptions: {
    customExportConditions: kind === 'web' ? ['north-leaf-source', 'browser'] : ['north-leaf-source', 'node', 'node-addons'],
  },
  clearMocks: true,
  // A test file runs in a context of its own, where every look at a global is slow; those of the inner loops are handed in.
  sandboxInjectedGlobals: ['Math', 'Float64Array', 'Number', 'Object', 'Infinity'],
});
export default {
  // A test is never timed: on a machine with other work, a seeded database or a search takes several times as long.
  testTimeout: 60_000,
  projects: [
    project('core', '<rootDir>/packages/core', 'plain'),
    project('contracts', '<rootDir>/packages/contracts', 'plain'),
    project('words', '<rootDir>/packages/words', 'plain'),
    project('server', '<rootDir>/apps/server', 'server', ['@nestjs/[^/]+', 'file-type', 'es-toolkit', 'p-limit', 'yocto-queue', 'uuid']),
    { ...project('web', '<rootDir>/apps/web', 'web', ['uuid']), setupFilesAfterEnv: ['<rootDir>/src/test-setup.ts'] },
  ],
  coverageProvider: 'v8',
  collectCoverageFrom: [
    'packages/*/src/**/*.ts',
    'apps/*/src/**/*.{ts,tsx}',
    '!**/*.test.*',
    '!**/main.ts*',
    '!**/migrations/**',
    '!**/*.worker.ts',
    '!**/*.d.ts',
  ],
  coverageDirectory: 'coverage',
  coverageReporters: ['text-summary', 'lcov'],
};
