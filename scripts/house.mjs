// How the house stands, in figures: `npm run house`. With `-- property` it adds a property of ingredients in two files of a copy, and finds it.
import { cpSync, mkdtempSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import {
  coreDocs,
  functionSizes,
  longComponents,
  namesTwice,
  rooms,
  sentencesOutside,
  sentencesUnsaid,
  spread,
  unitsWritten,
  unusedOfCore,
} from './house-figures.mjs';
import { checkNode, ensureInstalled, node, plainFailures, ROOT, TSC } from './bootstrap.mjs';

plainFailures();
checkNode();
ensureInstalled();
node([TSC, '-b', 'tsconfig.build.json']);
const ts = createRequire(import.meta.url)('typescript');
const isTest = (file) => /\.test\.tsx?$|\/worked\//.test(file);
const sources = ['packages/core/src', 'packages/contracts/src', 'packages/words/src', 'apps/server/src', 'apps/web/src'].flatMap((root) =>
  readdirSync(join(ROOT, root), { recursive: true })
    .map((file) => `${root}/${file}`)
    .filter((file) => /\.tsx?$/.test(file) && !isTest(file) && !file.includes('generated')),
);
const parsed = new Map(
  sources.map((file) => [file, ts.createSourceFile(file, readFileSync(join(ROOT, file), 'utf8'), ts.ScriptTarget.Latest, true)]),
);
const each = (of, told) => {
  told(of);
  ts.forEachChild(of, (child) => each(child, told));
};
const place = (file, at) => `${file}:${parsed.get(file).getLineAndCharacterOfPosition(at.getStart()).line + 1}`;
const print = (name, found, goal) => {
  console.log(`${name.padEnd(34)} ${String(found.length).padStart(4)}   goal ${goal}`);
  for (const one of found) console.log(`    ${one}`);
};

if (process.argv.includes('property')) await propertyInTwoFiles();
else {
  const { publishedIngredients } = await import(join(ROOT, 'packages/core/dist/ingredient/published.js'));
  const ids = new Set(Object.keys(publishedIngredients()));
  // A word that is also a plain word of the trade (water, fat's water, origin honey) is an id only where it is compared with one.
  const plainWords = new Set([
    'xanthan',
    'guar',
    'shortening',
    'water',
    'honey',
    'lard',
    'sesame',
    'lupin',
    'orange',
    'banana',
    'apple',
    'pear',
    'peach',
    'plum',
    'mango',
    'apricot',
  ]);
  const named = [];
  for (const [file, tree] of parsed) {
    if (!file.startsWith('packages/core/src/') || /core\/src\/(facts|demo)\//.test(file)) continue;
    each(tree, (at) => {
      if (!ts.isStringLiteral(at) || ts.isImportDeclaration(at.parent) || ts.isExportDeclaration(at.parent)) return;
      const near = at.parent.getText();
      if (ids.has(at.text) && (!plainWords.has(at.text) || /ingredientId|\.id\b/.test(near))) named.push(`${place(file, at)} ${at.text}`);
      if (/\.id\.startsWith\(|ingredientId\.startsWith\(/.test(near)) named.push(`${place(file, at)} ${near}`);
    });
  }
  print('ids of ingredients in core', named, 0);

  const lists = new Map();
  for (const [file, tree] of parsed)
    // Rows of a table of facts are data: two ingredients may hold the same.
    each(/core\/src\/facts\//.test(file) ? ts.factory.createEmptyStatement() : tree, (at) => {
      const words = ts.isArrayLiteralExpression(at)
        ? at.elements
        : ts.isUnionTypeNode(at)
          ? at.types.map((one) => (ts.isLiteralTypeNode(one) ? one.literal : one))
          : ts.isCallExpression(at) && /\.valid$/.test(at.expression.getText())
            ? at.arguments
            : [];
      if (words.length < 3 || !words.every((one) => ts.isStringLiteral(one) && one.text.length > 1)) return;
      const key = words.map((one) => one.text).sort().join(' '); // prettier-ignore
      lists.set(key, [...(lists.get(key) ?? []), place(file, at)]);
    });
  print(
    'word lists written more than once',
    [...lists].filter(([, at]) => at.length > 1).map(([words, at]) => `${words}: ${at.join(', ')}`),
    0,
  );

  const wide = [];
  for (const [file, tree] of parsed)
    each(tree, (at) => {
      if (!ts.isFunctionLike(at) || !at.body || ts.isConstructorDeclaration(at) || at.parameters.length < 5) return;
      wide.push(`${place(file, at)} ${at.name?.getText() ?? at.parent?.name?.getText?.() ?? ''} ${at.parameters.length}`);
    });
  print('functions of five or more things', wide, 'under 20');
  print('import rings, type-only ones too', rings(), 0);

  const sizes = functionSizes(ts, parsed);
  const inCore = sizes.filter(({ file }) => file.startsWith('packages/core/'));
  const drawn = sizes.filter((one) => one.drawn);
  print(`core functions ${spread(inCore)} lines`, [], 'median / 9 in 10: 7 / 27');
  print(`components ${spread(drawn)} lines`, [], 'median / 9 in 10: 30 / 65');
  print('components over 100 lines', longComponents(sizes), 0);
  const { over, dumb } = rooms(parsed);
  print('folders of over 14 files', over, 0);
  print('rooms of the web without a README', dumb, 0);
  for (const part of ['packages/core', 'apps/server', 'apps/web']) {
    const own = new Map([...parsed].filter(([file]) => file.startsWith(part) && !file.endsWith('index.ts')));
    print(`names exported twice in ${part}`, namesTwice(ts, own), 0);
  }
  print('names of core used nowhere outside', unusedOfCore(ts, parsed), 0);
  const docs = coreDocs(ts, parsed);
  print('functions of core without their block', docs.lacking, 0);
  console.log(`functions of core with an example    ${docs.examples} of ${docs.functions}   goal half`);
  print('units written in the web', unitsWritten(ts, parsed), 0);
  print('sentences of the web in no catalogue', sentencesOutside(ts, parsed), 0);
  print('sentences of the catalogue said nowhere', sentencesUnsaid(parsed), 0);
  await import('./count.mjs');
}

/** Files that reach each other, by whatever kind of import. */
function rings() {
  const reaches = new Map();
  for (const [file, tree] of parsed) {
    const to = [];
    each(tree, (at) => {
      const from = (ts.isImportDeclaration(at) || ts.isExportDeclaration(at)) && at.moduleSpecifier?.text;
      if (typeof from !== 'string' || !from.startsWith('.')) return;
      const bare = join(dirname(file), from).replace(/\.js$/, '');
      const found = [`${bare}.ts`, `${bare}.tsx`, `${bare}/index.ts`].find((one) => parsed.has(one));
      if (found) to.push(found);
    });
    reaches.set(file, to);
  }
  // Tarjan's strongly connected components.
  const [index, low, stack, out] = [new Map(), new Map(), [], []];
  const visit = (file) => {
    index.set(file, index.size);
    low.set(file, index.get(file));
    stack.push(file);
    for (const to of reaches.get(file)) {
      if (!index.has(to)) visit(to);
      if (stack.includes(to)) low.set(file, Math.min(low.get(file), low.get(to)));
    }
    if (low.get(file) !== index.get(file)) return;
    const ring = stack.splice(stack.indexOf(file));
    if (ring.length > 1) out.push(ring.join(' ~ '));
  };
  for (const file of reaches.keys()) if (!index.has(file)) visit(file);
  return out;
}

/** The promise of the registry, kept to: a property is described in one file and its values stand in another. */
async function propertyInTwoFiles() {
  const copy = mkdtempSync(join(tmpdir(), 'house-'));
  process.on('exit', () => rmSync(copy, { recursive: true, force: true }));
  for (const part of ['packages', 'scripts', 'package.json', 'tsconfig.base.json', 'tsconfig.build.json', 'apps/web/src'])
    cpSync(join(ROOT, part), join(copy, part), { recursive: true, filter: (from) => !/node_modules|\/dist(\/|$)|tsbuildinfo/.test(from) });
  mkdirSync(join(copy, 'node_modules/@north-leaf'), { recursive: true });
  for (const one of readdirSync(join(ROOT, 'node_modules')))
    if (one !== '@north-leaf') symlinkSync(join(ROOT, 'node_modules', one), join(copy, 'node_modules', one));
  for (const one of ['core', 'contracts']) symlinkSync(join(copy, 'packages', one), join(copy, 'node_modules/@north-leaf', one));
  const edit = (file, from, to) => {
    const text = readFileSync(join(copy, file), 'utf8');
    if (!text.includes(from)) throw new Error(`${file} has changed: say anew where a property is added`);
    writeFileSync(join(copy, file), text.replace(from, to));
  };
  const described = "  iodineMgPerG: maybe(number('Iodine', 'mg/g', 0, 1, { correctable: true, mixes: true }), '9.9'),\n";
  edit('packages/core/src/document/pantry.ts', "  note: maybe(text('Note'", `${described}  note: maybe(text('Note'`);
  edit('packages/core/src/facts/ingredient-traits.ts', '[] = [\n', "[] = [\n  ['salt_fine', { iodineMgPerG: 0.03 }],\n");
  node([TSC, '-b', join(copy, 'packages/core/tsconfig.build.json'), join(copy, 'packages/contracts/tsconfig.build.json')]);
  const core = await import(pathToFileURL(join(copy, 'packages/core/dist/index.js')));
  const contracts = await import(pathToFileURL(join(copy, 'packages/contracts/dist/index.js')));
  const mixture = await import(pathToFileURL(join(copy, 'packages/core/dist/ingredient/mixture.js')));
  const lift = await import(pathToFileURL(join(copy, 'packages/core/dist/lift.js')));
  // The form's own logic, without its looks.
  for (const file of ['ui/form/typed-number', 'features/pantry/ingredients/own-ingredient-of-form']) {
    const text = readFileSync(join(copy, 'apps/web/src', `${file}.ts`), 'utf8').replace(
      "'../../../ui/form/typed-number'",
      "'../../../ui/form/typed-number.mjs'",
    );
    const { outputText } = ts.transpileModule(text, { compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 } });
    writeFileSync(join(copy, 'apps/web/src', `${file}.mjs`), outputText);
  }
  const form = await import(pathToFileURL(join(copy, 'apps/web/src/features/pantry/ingredients/own-ingredient-of-form.mjs')));
  const salt = core.publishedIngredients().salt_fine;
  const own = form.asOwn(salt);
  const typed = form.ownOfForm({ ...form.formOf(salt), numbers: { ...form.formOf(salt).numbers, iodineMgPerG: '0.04' } }, own);
  const { iodineMgPerG, ...stored } = salt;
  const flour = core.publishedIngredients().sorghum;
  const found = {
    'the pantry has it': iodineMgPerG === 0.03,
    'the sheet corrects it': core.correctableFields.iodineMgPerG?.name === 'Iodine',
    'the form asks it': form.behaviour.includes('iodineMgPerG') && typed.ok && typed.ingredient.iodineMgPerG === 0.04,
    'the API takes it': contracts.check(contracts.ownIngredientBodySchema, { revision: 0, ingredient: own }).ok,
    'a mixture has it': Math.abs(mixture.mixedBehaviour([{ ingredient: salt, amountG: 1 }, { ingredient: flour, amountG: 2 }]).iodineMgPerG - 0.01) < 1e-12, // prettier-ignore
    'undo keeps it': own.iodineMgPerG === 0.03,
    'an older document gets it': lift.liftIngredient(stored).iodineMgPerG === 0.03,
    'the docs say it': core.numbersOf(core.ingredientFields).some(({ path }) => path === 'iodineMgPerG'),
  };
  for (const [claim, holds] of Object.entries(found)) console.log(`${holds ? 'yes' : 'NO '}  ${claim}`);
  console.log(`a property of ingredients, described in ${relative(ROOT, join(ROOT, 'packages/core/src/document/pantry.ts'))}, its values in packages/core/src/facts/ingredient-traits.ts`); // prettier-ignore
  if (!Object.values(found).every(Boolean)) process.exitCode = 1;
}
