// Figures of `npm run house` on sizes, rooms, names, units and sentences. Reads sources only.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

/** Folders that are a list, not a room: a table or a change each. */
const LISTS = /core\/src\/(facts|demo)$|migrations$|\/src$/;
const MOST_FILES = 14;
const LONG_COMPONENT = 100;

const isDrawn = (ts, at) => {
  let drawn = false;
  const look = (one) => {
    if (ts.isJsxElement(one) || ts.isJsxSelfClosingElement(one) || ts.isJsxFragment(one)) drawn = true;
    else if (!drawn) ts.forEachChild(one, look);
  };
  look(at);
  return drawn;
};
const quantile = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;

/** Lines of every named function at the top of a file; in the web those that draw are components. */
export function functionSizes(ts, parsed) {
  const found = [];
  for (const [file, tree] of parsed)
    for (const one of tree.statements) {
      const functions = ts.isFunctionDeclaration(one)
        ? [[one.name?.text ?? 'default', one]]
        : ts.isVariableStatement(one)
          ? one.declarationList.declarations.flatMap(({ name, initializer }) => {
              const inner = initializer && ts.isCallExpression(initializer) ? initializer.arguments[0] : initializer;
              return inner && (ts.isArrowFunction(inner) || ts.isFunctionExpression(inner)) ? [[name.getText(), inner]] : [];
            })
          : [];
      for (const [name, at] of functions) {
        const line = (pos) => tree.getLineAndCharacterOfPosition(pos).line;
        found.push({ file, name, lines: line(at.end) - line(at.getStart()) + 1, drawn: /^[A-Z]/.test(name) && isDrawn(ts, at) });
      }
    }
  return found;
}

/** Median and nine in ten of some sizes. */
export function spread(sizes) {
  const sorted = sizes.map(({ lines }) => lines).sort((a, b) => a - b);
  return `${quantile(sorted, 0.5)} / ${quantile(sorted, 0.9)} / ${sorted.at(-1) ?? 0}`;
}

export const longComponents = (sizes) =>
  sizes
    .filter(({ drawn, lines }) => drawn && lines > LONG_COMPONENT)
    .sort((a, b) => b.lines - a.lines)
    .map(({ file, name, lines }) => `${file} ${name} ${lines}`);

/** Folders with more files than a newcomer takes in, tests apart; and rooms of the web nobody wrote ten lines about. */
export function rooms(parsed) {
  const files = new Map();
  for (const file of parsed.keys()) files.set(dirname(file), (files.get(dirname(file)) ?? 0) + 1);
  const over = [...files]
    .filter(([folder, count]) => count > MOST_FILES && !LISTS.test(folder))
    .map(([folder, count]) => `${folder} ${count}`);
  const features = join(ROOT, 'apps/web/src/features');
  const dumb = readdirSync(features).filter((room) => !existsSync(join(features, room, 'README.md')));
  return { over, dumb };
}

/** What is exported under one name in two places of one part: two meanings, or one thing twice. */
export function namesTwice(ts, parsed) {
  const places = new Map();
  for (const [file, tree] of parsed) {
    // A room's doors give away what stands in it, loaded when it is opened.
    if (file.endsWith('doors.ts')) continue;
    for (const one of tree.statements) {
      if (!one.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)) continue;
      const names = ts.isVariableStatement(one)
        ? one.declarationList.declarations.map(({ name }) => name.getText())
        : one.name
          ? [one.name.text]
          : [];
      for (const name of names) places.set(name, [...(places.get(name) ?? []), file]);
    }
  }
  return [...places].filter(([, at]) => new Set(at).size > 1).map(([name, at]) => `${name}: ${[...new Set(at)].join(', ')}`);
}

const UNIT = '°C|°F|µm|mm|cm|kg|g|oz|K';
const behind = new RegExp(`^[)]?[ \\u00a0]?(${UNIT})(?![\\w/])`);
const within = new RegExp(`(?:\\d|\\d )(${UNIT})(?![\\w/])`);
const alone = new RegExp(`^ ?(${UNIT})$`);
/** Paper is in millimetres by its nature, a label's panel in 100 g by law, a ruler shows both; registry and readers name units to tell them apart. */
const UNITS_BELONG = /templates\/|ui\/drawing\/ruled|mix-steps|lot-of-form|lot-form|list-reader|paste-list|blend-from-amounts|thing-form/;

/** Units written into the web's own text, beside a number or alone: a baker in other units would read them. */
export function unitsWritten(ts, parsed) {
  const found = [];
  for (const [file, tree] of parsed) {
    if (!file.startsWith('apps/web/') || UNITS_BELONG.test(file)) continue;
    const hit = (at) =>
      /100 g/.test(at.getText()) ||
      found.push(`${file}:${tree.getLineAndCharacterOfPosition(at.getStart()).line + 1} ${at.getText().slice(0, 70)}`);
    const visit = (at) => {
      if (ts.isTemplateExpression(at)) {
        const texts = at.templateSpans.map(({ literal }) => literal.text);
        if (texts.some((text) => behind.test(text) || within.test(text)) || within.test(at.head.text)) hit(at);
      } else if (ts.isJsxText(at)) {
        const before = at.parent.children[at.parent.children.indexOf(at) - 1];
        if ((before && ts.isJsxExpression(before) && behind.test(at.text)) || within.test(at.text)) hit(at);
      } else if (ts.isStringLiteral(at) && (within.test(at.text) || alone.test(at.text))) {
        // `component="g"` is a group of a drawing.
        const isWord =
          ts.isJsxAttribute(at.parent) ||
          ts.isImportDeclaration(at.parent) ||
          ts.isLiteralTypeNode(at.parent) ||
          ts.isBinaryExpression(at.parent);
        if (!isWord && !/^\d+(px|%)/.test(at.text)) hit(at);
      }
      ts.forEachChild(at, visit);
    };
    visit(tree);
  }
  return found;
}

const SAID = /^(label|title|aria-label|placeholder|helperText|question|alt|heading|caption|hint|unit|words?|text)$/;
/** Styles, paths, patterns of days and markup are no sentences. */
const NO_SENTENCE =
  /^(auto|none|inherit|solid|dashed|north-leaf|color-mix)|\d(px|fr|em|ch|vh|vw|mm|%)\b|\b1fr\b|^minmax|!important|^[&.#@*:<"]|translate|rgba?\(|gradient|^calc|^scale|^inset|^repeat|^span \d|^flex|ease-in|^all |^url|^input,|sans-serif|^d LLL|HH:mm|^https?:|^\/[a-z]|^[A-Z]+ \/|^[a-zA-Z]+[:.\-[]/;
const spoken = (text) => /[A-Za-z’]{2,} [A-Za-z]|^ ?[,;:.] [A-Za-z]|[A-Za-z] $|^ [A-Za-z]/.test(text) && !NO_SENTENCE.test(text.trim());

/** Text of the web that stands in its components and not in a catalogue of packages/words. */
export function sentencesOutside(ts, parsed) {
  const found = [];
  for (const [file, tree] of parsed) {
    if (!file.startsWith('apps/web/') || file.includes('/ui/theme/')) continue;
    const hit = (at) =>
      found.push(`${file}:${tree.getLineAndCharacterOfPosition(at.getStart()).line + 1} ${at.getText().trim().slice(0, 60)}`);
    const visit = (at) => {
      const fault = ts.isNewExpression(at.parent ?? at) && at.parent.expression.getText().endsWith('Error');
      if (ts.isJsxText(at) && /[A-Za-z’]{2,}/.test(at.text)) hit(at);
      else if (ts.isJsxAttribute(at) && SAID.test(at.name.getText()) && at.initializer && ts.isStringLiteral(at.initializer)) hit(at);
      else if (ts.isStringLiteral(at) && spoken(at.text) && !ts.isImportDeclaration(at.parent) && !fault) hit(at);
      else if (ts.isTemplateExpression(at)) {
        const texts = [at.head.text, ...at.templateSpans.map(({ literal }) => literal.text)];
        if (
          texts.some((text) => /[A-Za-z’]{2,} |(^| )[A-Za-z’]{3,}/.test(text)) &&
          !texts.some((text) => NO_SENTENCE.test(text.trim())) &&
          !/px|solid|fr\b/.test(at.getText())
        )
          hit(at);
      }
      ts.forEachChild(at, visit);
    };
    visit(tree);
  }
  return found;
}

/** Sentences of the catalogue of pages that no page says. */
export function sentencesUnsaid(parsed) {
  const web = [...parsed].flatMap(([file, tree]) => (/^(apps\/web|packages\/words)\//.test(file) ? [tree.text] : [])).join('\n');
  const folder = join(ROOT, 'packages/words/src/en/pages');
  const keys = readdirSync(folder).flatMap((file) => Object.keys(JSON.parse(readFileSync(join(folder, file), 'utf8'))));
  // A key may be put together from a code: `common.axis.${axis}`.
  return keys.filter((key) => {
    const stem = key.replace(/_(zero|one|other)$/, '');
    return !web.includes(`'${stem}'`) && !web.includes(`"${stem}"`) && !web.includes(`\`${stem.replace(/[^.]+$/, '')}\${`);
  });
}

/** Names the core gives away that no other part takes. */
export function unusedOfCore(ts, parsed) {
  const index = parsed.get('packages/core/src/index.ts');
  const given = index.statements.flatMap((one) =>
    ts.isExportDeclaration(one) && one.exportClause ? one.exportClause.elements.map(({ name }) => name.text) : [],
  );
  const outside = ['packages/contracts', 'packages/words', 'apps', 'scripts', 'e2e'].flatMap((root) =>
    readdirSync(join(ROOT, root), { recursive: true })
      .filter((file) => /\.(tsx?|mjs)$/.test(file) && !/node_modules|dist\//.test(file))
      .map((file) => readFileSync(join(ROOT, root, file), 'utf8')),
  );
  const words = new Set(outside.join('\n').match(/\w+/g));
  return given.filter((name) => !words.has(name));
}

/** Functions the core gives away: those whose words lack their units, errors or source; and how many show an example. */
export function coreDocs(ts, parsed) {
  const index = parsed.get('packages/core/src/index.ts');
  const named = new Set();
  const whole = new Set();
  for (const one of index.statements) {
    if (!ts.isExportDeclaration(one) || one.isTypeOnly) continue;
    if (!one.exportClause) whole.add(`packages/core/src/${one.moduleSpecifier.text.replace('./', '').replace(/\.js$/, '.ts')}`);
    else for (const { name, propertyName } of one.exportClause.elements) named.add((propertyName ?? name).text);
  }
  const found = { functions: 0, examples: 0, lacking: [] };
  for (const [file, tree] of parsed) {
    if (!file.startsWith('packages/core/src/')) continue;
    for (const one of tree.statements) {
      if (!one.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)) continue;
      const declared = ts.isVariableStatement(one) ? one.declarationList.declarations[0] : one;
      const isFunction = ts.isFunctionDeclaration(one) || (declared?.initializer && ts.isArrowFunction(declared.initializer));
      const name = declared?.name?.getText();
      if (!isFunction || !(named.has(name) || whole.has(file))) continue;
      const said = tree.text.slice(one.getFullStart(), one.getStart());
      found.functions += 1;
      if (said.includes('@example')) found.examples += 1;
      if (
        !/Docs as|Source as|Source as|Findings, Source as/.test(said) &&
        !['Units', 'Throws', 'Source'].every((word) => said.includes(` * ${word}`))
      )
        found.lacking.push(`${file} ${name}`);
    }
  }
  return found;
}
