import { randomUUID } from 'node:crypto';
import { Ajv } from 'ajv';
import { anApp, type AnApp } from './testing/an-app.js';
import { routeOf } from './platform/answers/answers.js';
import type { FormulaVersion } from '@north-leaf/contracts';

const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
type Operation = { readonly 'x-route'?: string; readonly responses: Record<string, { content?: Record<string, { schema: object }> }> };
type Described = {
  readonly paths: Record<string, Record<string, Operation>>;
  readonly components: { readonly schemas: Record<string, object> };
};

let the: AnApp;
let document: Described;
beforeAll(async () => {
  the = await anApp();
  document = (await the.http().get('/api/docs/openapi.json').expect(200)).body as Described;
}, 60_000);
afterAll(() => the?.app.close());

/** What is no JSON: a picture, and a stream of news. */
const notJson = ['GET /bakes/:id/photos/:photoId', 'GET /pantry/:kind/:id/papers/:paperId', 'GET /news'];
const schemaOf = ({ responses }: Operation) =>
  Object.values(responses).find(({ content }) => content)?.content!['application/json']!.schema;

describe('the description of the API', () => {
  it('says of every route what it answers; each route is checked against the contracts’ word of it', () => {
    const wrong = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.entries(methods).flatMap(([method, operation]) => {
        const route = routeOf(method, path);
        if (notJson.includes(route)) return [];
        const [status] = Object.keys(operation.responses);
        const told = operation.responses[status!]?.content !== undefined || status === '204';
        return operation['x-route'] === route && told
          ? []
          : [`${route}: ${operation['x-route'] ?? 'not checked'}, ${told ? '' : 'no answer'}`];
      }),
    );
    expect(wrong).toEqual([]);
  });

  it('points at nothing that is not there', () => {
    const pointed = JSON.stringify(document).matchAll(/"\$ref":"#\/components\/schemas\/([^"]+)"/g);
    expect([...pointed].map(([, name]) => name!).filter((name) => !(name in document.components.schemas))).toEqual([]);
  });

  it('is true of what the server answers', async () => {
    const ajv = new Ajv({ strict: false, allErrors: false });
    ajv.addSchema({ $id: 'api', ...document });
    const checked: string[] = [];
    const isTrue = async (route: string, path: string, body?: object) => {
      const [method, template] = route.split(' ') as [string, string];
      const operation = document.paths[`/api${template.replace(/:(\w+)/g, '{$1}')}`]![method.toLowerCase()]!;
      const http = the.http();
      const ask =
        method === 'GET'
          ? http.get(`/api${path}`)
          : method === 'PUT'
            ? http.put(`/api${path}`).send(body)
            : http.post(`/api${path}`).send(body);
      const { body: answer } = await ask.expect(200);
      const schema = JSON.parse(JSON.stringify(schemaOf(operation)).replaceAll('#/components', 'api#/components')) as object;
      const ok = ajv.compile(schema);
      expect([route, ok(answer), ok.errors]).toEqual([route, true, null]);
      checked.push(route);
      return answer as unknown;
    };
    const bake = randomUUID();
    const { formula } = (await isTrue('GET /formulas/:id/versions/:version', `/formulas/${FORMULA}/versions/2`)) as FormulaVersion;
    await isTrue('GET /health', '/health');
    await isTrue('GET /formulas', '/formulas');
    await isTrue('GET /formulas/names', '/formulas/names');
    await isTrue('PUT /formulas/:id/draft', `/formulas/${FORMULA}/draft`, { basedOn: 2, formula, typed: {}, revision: 0 });
    await isTrue('GET /formulas/:id', `/formulas/${FORMULA}`);
    await isTrue('PUT /formulas/:id/versions/:versionId', `/formulas/${FORMULA}/versions/${randomUUID()}`, {
      basedOn: 2,
      why: '',
      formula,
      setAside: [],
    });
    await isTrue('PUT /bakes/:id/run', `/bakes/${bake}/run`, { formulaId: FORMULA, version: 2, factor: 1, looks: [], confirmed: [] });
    const event = {
      id: randomUUID(),
      at: new Date().toISOString(),
      stepKey: 'weigh:b2',
      what: { kind: 'weighed', rowKey: 'b2', addedG: 12 },
    };
    await isTrue('POST /bakes/:id/events', `/bakes/${bake}/events`, [event]);
    await isTrue('GET /bakes', '/bakes');
    await isTrue('GET /bakes/running', '/bakes/running');
    await isTrue('GET /bakes/:id', `/bakes/${bake}`);
    await isTrue('GET /kitchen', '/kitchen');
    await isTrue('PUT /kitchen/air', '/kitchen/air', { roomC: 22, humidityShare: 0.5 });
    await isTrue('GET /pantry', '/pantry');
    await isTrue('GET /blends', '/blends');
    // What is not as described is found out.
    const kitchen = ajv.compile({ $ref: 'api#/components/schemas/Kitchen' });
    expect(kitchen({ ...(await the.http().get('/api/kitchen')).body, roomC: 'warm' })).toBe(false);
    expect(checked.length).toBe(16);
  }, 60_000);
});
