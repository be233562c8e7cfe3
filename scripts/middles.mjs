// Writes packages/core/src/outlook/middles.ts: where each family's first formula comes out today. Run it when the core's physics change.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, ensureInstalled, node, plainFailures, ROOT, TSC } from './bootstrap.mjs';

plainFailures();
checkNode();
ensureInstalled();
node([TSC, '-b', 'tsconfig.build.json']);
const { referenceMiddles } = await import(join(ROOT, 'packages/core/dist/solve/reference.js'));
const rows = Object.entries(referenceMiddles()).map(([id, features]) => {
  const values = Object.entries(features).map(([name, value]) => `${name}: ${value}`);
  const cut = Math.ceil(values.length / 2);
  return `  ${id}: {\n    ${values.slice(0, cut).join(', ')},\n    ${values.slice(cut).join(', ')},\n  },`;
});
writeFileSync(
  join(ROOT, 'packages/core/src/outlook/middles.ts'),
  `import type { MiddleFeature } from '../facts/texture.js';

// Made by \`npm run middles\`; outlook.test holds it against the core. Layout as written there.
/**
 * Every family's first formula as it comes out of the reference kitchen: the middle of its zone on the Outlook (see solve/reference).
 *
 * Units    as facts/texture textureWeights.
 */
export const middles: Readonly<Record<string, Readonly<Record<MiddleFeature, number>>>> = {
${rows.join('\n')}
};
`,
);
node([join(ROOT, 'node_modules/prettier/bin/prettier.cjs'), '--write', '--log-level', 'warn', 'packages/core/src/outlook/middles.ts']);
