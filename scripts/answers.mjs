// Writes apps/server/src/platform/answers/answers.generated.ts: the answers of every route as JSON Schema, from the contracts' own types.
import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const require = createRequire(import.meta.url);
const ts = require('typescript');
const { BaseType, createFormatter, createParser, createProgram, SchemaGenerator } = require('ts-json-schema-generator');

/** A document of the registry: its shape is read from the registry itself, not from the type that is made of it. */
class Registered extends BaseType {
  constructor(name) {
    super();
    this.name = name;
  }
  getId() {
    return `registered-${this.name}`;
  }
}
const registered = {
  supportsNode: (node) =>
    ts.isTypeReferenceNode(node) && node.typeName.getText() === 'DocumentOf' && ts.isTypeQueryNode(node.typeArguments?.[0]),
  createType: (node) => new Registered(node.typeArguments[0].exprName.getText()),
};
const registeredShape = (fieldsOf) => ({
  supportsType: (type) => type instanceof Registered,
  getDefinition: ({ name }) => shapeOf(fieldsOf(name)),
  getChildren: () => [],
});
/** JSON Schema of a document that the registry describes. */
const shapeOf = (fields) => ({
  type: 'object',
  properties: Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, shapeOfField(field)])),
  required: Object.entries(fields).flatMap(([key, { optional }]) => (optional ? [] : [key])),
});
function shapeOfField(field) {
  const said = { ...(field.name ? { title: field.name } : {}), ...(field.unit ? { description: field.unit } : {}) };
  switch (field.is) {
    case 'number':
      return { ...said, type: 'number' };
    case 'exactly':
      return { type: 'number', const: field.value };
    case 'word':
      return { ...said, enum: field.of };
    case 'flag':
      return { ...said, type: 'boolean', const: true };
    case 'yesNo':
      return { ...said, type: 'boolean' };
    case 'list':
      return { ...said, type: 'array', items: shapeOfField(field.of) };
    case 'group':
      return shapeOf(field.fields);
    case 'either':
      return { anyOf: field.of.map(shapeOf) };
    case 'byName':
      return { ...said, type: 'object', additionalProperties: shapeOfField(field.of) };
    default:
      return { ...said, type: 'string' };
  }
}

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

/** `documents` are the registry's modules of core. */
export function writeAnswers(documents) {
  const fieldsOf = (name) => documents.find((module) => name in module)[name];
  const of = (type) => {
    const config = {
      path: join(ROOT, 'packages/contracts/src/routes.ts'),
      tsconfig: join(ROOT, 'packages/contracts/tsconfig.build.json'),
      type,
      skipTypeCheck: true,
      topRef: false,
      additionalProperties: true,
      encodeRefs: false,
    };
    const program = createProgram(config);
    const parser = createParser(program, config, (chain) => chain.addNodeParser(registered));
    const formatter = createFormatter(config, (chain) => chain.addTypeFormatter(registeredShape(fieldsOf)));
    return new SchemaGenerator(program, parser, formatter, config).createSchema(type);
  };
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
  writeFileSync(join(ROOT, 'apps/server/src/platform/answers/answers.generated.ts'), text);
}
