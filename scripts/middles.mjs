// Writes what is known of each family's first formula today, packages/core/src/outlook/middles.ts and run/first-minutes.ts. Run it when the core's physics change.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, ensureInstalled, node, plainFailures, ROOT, TSC } from './bootstrap.mjs';

plainFailures();
checkNode();
ensureInstalled();
node([TSC, '-b', 'tsconfig.build.json']);
const { referenceFeatures, referenceFormulas, referenceMinutes } = await import(join(ROOT, 'packages/core/dist/solve/reference.js'));
const values = (of) => Object.entries(of).map(([name, value]) => `${name}: ${value}`);
const firsts = referenceFormulas();
const middles = firsts.map(([id, formula]) => {
  const all = values(referenceFeatures(formula));
  const cut = Math.ceil(all.length / 2);
  return `  ${id}: {\n    ${all.slice(0, cut).join(', ')},\n    ${all.slice(cut).join(', ')},\n  },`;
});
const minutes = firsts.map(([id, formula]) => `  ${id}: { ${values(referenceMinutes(formula)).join(', ')} },`);

function write(path, text) {
  writeFileSync(join(ROOT, path), text);
  node([join(ROOT, 'node_modules/prettier/bin/prettier.cjs'), '--write', '--log-level', 'warn', path]);
}
write(
  'packages/core/src/outlook/middles.ts',
  `import type { MiddleFeature } from '../facts/texture.js';

// Made by \`npm run middles\`; outlook.test holds it against the core. Layout as written there.
/**
 * Every family's first formula as it comes out of the reference kitchen: the middle of its zone on the Outlook (see solve/reference).
 *
 * Units    as facts/texture textureWeights.
 */
export const middles: Readonly<Record<string, Readonly<Record<MiddleFeature, number>>>> = {
${middles.join('\n')}
};
`,
);
write(
  'packages/core/src/run/first-minutes.ts',
  `export type FirstMinutes = {
  /** Minutes of hands, to the last step. */ readonly handsMin: number;
  /** From the first weighing until the last of it is out of the oven, waits with it; cooling comes after. */ readonly outMin: number;
  readonly pieces: number;
};

// Made by \`npm run middles\`; outlook.test holds it against the core.
/**
 * What every family's first formula asks of hands and of the clock in the reference kitchen (see solve/reference).
 *
 * Units    min; pieces. Minutes of hands are judgement (facts/run).
 */
export const firstMinutes: Readonly<Record<string, FirstMinutes>> = {
${minutes.join('\n')}
};
`,
);
