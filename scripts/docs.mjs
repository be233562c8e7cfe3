// Writes docs/facts.md, docs/findings.md, docs/ingredients.md and the glossary of docs/concept.md from the core itself. Deterministic: CI fails when they are stale.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeAnswers } from './answers.mjs';
import { checkNode, ensureInstalled, node, plainFailures, ROOT, TSC } from './bootstrap.mjs';

plainFailures();
checkNode();
ensureInstalled();
node([TSC, '-b', 'tsconfig.build.json']);
const core = (path) => import(join(ROOT, 'packages/core/dist', path));
writeAnswers(await Promise.all(['kitchen', 'pantry', 'preparation'].map((name) => core(`document/${name}.js`))));
node([TSC, '-b', 'tsconfig.build.json']);

const groups = [
  'thermal',
  'sorption',
  'fats',
  'cold',
  'dough',
  'mixing',
  'sheet',
  'laminating',
  'learning',
  'swaps',
  'wheat',
  'measures',
  'binders',
  'boxes',
  'markets',
  'blend-limits',
  'cups',
  'gluten',
  'origins',
  'suits',
  'oven',
  'run',
  'symptoms',
  'filling',
  'keeping',
  'keeping-dough',
  'texture',
];
const lines = [
  '# Facts',
  '',
  'Every number North Leaf did not compute, made by `npm run docs` from `packages/core/src/facts`. “fromMemory” is a published value recalled, not re-read;',
  '“judgement” has no source and is meant to be moved by a kitchen’s own bakes.',
];
for (const group of groups) {
  lines.push('', `## ${group}`, '', '| name | value | unit | basis | source |', '| --- | --- | --- | --- | --- |');
  for (const [name, fact] of Object.entries(await core(`facts/${group}.js`)).sort(([a], [b]) => (a < b ? -1 : 1))) {
    if (fact === null || typeof fact !== 'object' || !('basis' in fact)) continue;
    const value = 'value' in fact ? String(fact.value) : short(fact.values);
    lines.push(`| ${name} | ${value} | ${fact.unit} | ${fact.basis} | ${fact.source} |`);
  }
}
const { families } = await core('facts/families.js');
lines.push('', '## families', '', '| family | window | low | target | high |', '| --- | --- | --- | --- | --- |');
for (const family of Object.values(families)) {
  for (const [name, value] of Object.entries(family))
    if (Array.isArray(value)) lines.push(`| ${family.name} | ${name} | ${value.join(' | ')} |`);
  lines.push('', `Source: ${family.source}.`);
}
write('facts.md', lines);

const { findingCodes } = await core('findings/finding.js');
const { findingWords, voiceOf } = await import(join(ROOT, 'packages/words/dist/index.js'));
const found = [
  '# Findings',
  '',
  'Made by `npm run docs`. Numbers below are placeholders: 0 stands where a kitchen’s own number will.',
  '',
  '| code | what | why | what to do |',
  '| --- | --- | --- | --- |',
];
for (const code of findingCodes) {
  const { what, why, change } = findingWords(
    { code, level: 'watch', stage: 'blend', measured: { path: '', value: 0, low: 0, high: 0, of: '…' } },
    voiceOf(),
  );
  found.push(`| ${code} | ${what} | ${why} | ${change} |`);
}
write('findings.md', found);

const { ingredientFields } = await core('document/pantry.js');
const { numbersOf } = await core('document/field.js');
const { publishedIngredients } = await core('ingredient/published.js');
const { at } = await core('document/field.js');
/** Every member of an ingredient but its composition, as the registry describes it. */
const all = Object.values(publishedIngredients());
const numbers = new Map(numbersOf(ingredientFields).map(({ path, field }) => [path, field]));
const members = [...numbers, ...Object.entries(ingredientFields).filter(([, { is }]) => is !== 'number' && is !== 'group')];
const describe = ([path, { name = '', unit = '', low, high, of, words, correctable, mixes, since }]) =>
  `| ${path} | ${name} | ${low === undefined ? (words ? of.join(', ') : '') : `${low} to ${high} ${unit}`} | ${[correctable && 'corrected', mixes && 'mixed by mass'].filter(Boolean).join(', ')} | ${since ?? ''} | ${all.filter((one) => at(one, path) !== undefined).length} |`; // prettier-ignore
const { ingredientRows } = await core('facts/ingredient-table.js');
const basisCount = {};
for (const row of ingredientRows) basisCount[row[15]] = (basisCount[row[15]] ?? 0) + 1;
write('ingredients.md', [
  '# Ingredients',
  '',
  `${ingredientRows.length} ingredients, made by \`npm run docs\`. Basis of composition: ${Object.entries(basisCount)
    .map(([basis, n]) => `${basis} ${n}`)
    .join(', ')}. Water hold, grit and binder strength are estimates on every row.`,
  '',
  '| ingredient | kind | water | protein | fat | sugars | starch | fibre | water hold g/g | gluten | basis |',
  '| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |',
  ...ingredientRows.map(
    ([, name, kind, g, , , , , hold, , , , , , gluten, basis]) =>
      `| ${name} | ${kind} | ${g[0]} | ${g[1]} | ${g[2]} | ${g[4]} | ${g[5]} | ${g[6]} | ${hold ?? '–'} | ${gluten} | ${basis} |`,
  ),
  '',
  '## What an ingredient may say of itself',
  '',
  'From the registry `packages/core/src/document/pantry.ts`: types, the API’s limits, corrections, mixtures, forms, undo and older documents all read it.',
  '“Known of” counts the published ingredients that say it.',
  '',
  '| member | on the screen | limits or words | a kitchen’s own value, a mixture’s | since core | known of |',
  '| --- | --- | --- | --- | --- | --- |',
  ...members.map(describe),
]);

const { terms, termWords } = await import(join(ROOT, 'packages/words/dist/terms.js'));
const concept = readFileSync(join(ROOT, 'docs/concept.md'), 'utf8');
const glossary = terms.map((term) => termWords(term, voiceOf())).sort((a, b) => a.name.localeCompare(b.name, 'en'));
write('concept.md', [
  concept.slice(0, concept.indexOf('## Glossary')).trimEnd(),
  '',
  '## Glossary',
  'Made by `npm run docs` from `packages/words/src/en/terms.json`, the words that any page explains.',
  '',
  '| word | means | from |',
  '| --- | --- | --- |',
  ...glossary.map(({ name, says, from }) => `| ${name} | ${says} | ${from} |`),
]);

function short(value) {
  const text = JSON.stringify(value).replaceAll('"', '').replaceAll('|', '/');
  return text.length > 160 ? `${text.slice(0, 157)}…` : text;
}
function write(name, content) {
  writeFileSync(join(ROOT, 'docs', name), `${content.join('\n')}\n`);
}
