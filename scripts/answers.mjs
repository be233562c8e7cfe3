// Writes apps/server/src/platform/answers.generated.ts: the answers of every route as JSON Schema, from the contracts' own types.
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const { createGenerator } = createRequire(import.meta.url)('ts-json-schema-generator');

/** Of a type's schema those it points to, in the words of an API's description. */
const inComponents = (schema) =>
  JSON.parse(JSON.stringify(schema), (key, value) =>
    key === '$ref' && typeof value === 'string'
      ? `#/components/schemas/${plain(decodeURIComponent(value.slice('#/definitions/'.length)))}`
      : value,
  );
/** Names of parts of a description are letters, digits, points, dashes and strokes. */
const plain = (name) => name.replace(/[^\w.-]+/g, '_').replace(/_+$/, '');

/** One shape a line. */
const lines = (shapes) =>
  Object.entries(shapes)
    .map(([name, shape]) => `    ${JSON.stringify(name)}: ${JSON.stringify(shape)},`)
    .join('\n');

export function writeAnswers() {
  const of = (type) =>
    createGenerator({
      path: join(ROOT, 'packages/contracts/src/routes.ts'),
      tsconfig: join(ROOT, 'packages/contracts/tsconfig.build.json'),
      type,
      skipTypeCheck: true,
      topRef: false,
      additionalProperties: true,
      encodeRefs: false,
    }).createSchema(type);
  const answers = of('Answers');
  const faults = of('ApiErrorBody');
  const routes = Object.fromEntries(Object.entries(answers.properties).filter(([, schema]) => !('not' in schema)));
  const { definitions: more = {}, ...apiError } = faults;
  delete apiError.$schema;
  const schemas = { ...answers.definitions, ...more, ApiErrorBody: apiError };
  const sorted = Object.fromEntries(Object.entries(schemas).map(([name, schema]) => [plain(name), inComponents(schema)]).sort(([a], [b]) => (a < b ? -1 : 1))); // prettier-ignore
  const text = `// Made by \`npm run docs\` from packages/contracts/src/routes.ts: not written by hand.
/** Answers of the API by route, and the shapes they are made of, as JSON Schema. */
export const described: { readonly routes: Readonly<Record<string, object>>; readonly schemas: Readonly<Record<string, object>> } = {
  routes: {
${lines(inComponents(routes))}
  },
  schemas: {
${lines(sorted)}
  },
};
`;
  writeFileSync(join(ROOT, 'apps/server/src/platform/answers.generated.ts'), text);
}
