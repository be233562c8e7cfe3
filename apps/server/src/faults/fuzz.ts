import { randomUUID } from 'node:crypto';
import { seeded } from '@north-leaf/core';

/** What was asked and could not be answered as it must be. */
export type Flaw = { readonly what: string; readonly request: string; readonly status: number; readonly body: string };
export type FuzzReport = {
  readonly asked: number;
  readonly byStatus: Readonly<Record<number, number>>;
  readonly flaws: readonly Flaw[];
  readonly slowestMs: number;
  readonly slowest: string;
};

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
type Asked = { readonly method: string; readonly path: string; readonly body?: Json; readonly headers?: Readonly<Record<string, string>> };
type Random = () => number;

const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)]!;

const deep = (levels: number): Json => {
  let so: Json = 1;
  for (let i = 0; i < levels; i++) so = [so];
  return so;
};
const NASTY: readonly (() => Json)[] = [
  () => null,
  () => true,
  () => '',
  () => ' ',
  () => '\u0000',
  () => 'a\u0000b',
  () => '\ud800',
  () => 'x'.repeat(5000),
  () => 'constructor',
  () => '__proto__',
  () => 'toString',
  () => 'hasOwnProperty',
  () => "'; DROP TABLE bakes; --",
  () => '%00',
  () => '../../etc/passwd',
  () => '{0B6F0C52-9F0E-4D1F-8A53-0D4C7A2F9E10}',
  () => '0B6F0C52-9F0E-4D1F-8A53-0D4C7A2F9E10',
  () => '-271821-04-20T00:00:00Z',
  () => '2026-02-31',
  () => '9999-99-99',
  () => 0,
  () => -1,
  () => 0.5,
  () => 1e308,
  () => -1e308,
  () => 5e-324,
  () => 2147483648,
  () => 9007199254740992,
  () => [],
  () => ({}),
  () => [null],
  () => ({ a: {} }),
  () => deep(30),
  () => Array.from({ length: 600 }, () => ({})),
  () => Array.from({ length: 3000 }, () => 0),
];

/** Every place in a document. */
function placesIn(document: Json, at: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (document === null || typeof document !== 'object') return [at];
  const inside = Array.isArray(document)
    ? document.flatMap((value, i) => placesIn(value, [...at, i]))
    : Object.entries(document).flatMap(([key, value]) => placesIn(value, [...at, key]));
  return [at, ...inside];
}

function mutated(random: Random, document: Json): Json {
  const copy = structuredClone(document);
  const places = placesIn(copy).filter((at) => at.length > 0);
  if (places.length === 0) return pick(random, NASTY)();
  const at = pick(random, places);
  let holder = copy as Record<string | number, Json>;
  for (const key of at.slice(0, -1)) holder = holder[key] as Record<string | number, Json>;
  const last = at.at(-1)!;
  const kind = random();
  if (kind < 0.6) holder[last] = pick(random, NASTY)();
  else if (kind < 0.75) delete holder[last];
  else if (kind < 0.9) {
    const key = pick(random, ['extra', 'constructor', '__proto__', 'a\u0000', 'x'.repeat(300)]);
    Object.defineProperty(holder, key, { value: pick(random, NASTY)(), enumerable: true, configurable: true, writable: true });
  } else if (Array.isArray(holder[last]))
    holder[last] = Array.from({ length: 700 }, () => structuredClone((holder[last] as Json[])[0] ?? null));
  else holder[last] = pick(random, NASTY)();
  return copy;
}

/** Ids as an address may name them, most of them wrong. */
const strangeId = (random: Random): string =>
  encodeURIComponent(
    pick(random, [
      randomUUID(),
      randomUUID().toUpperCase(),
      'constructor',
      '__proto__',
      'toString',
      'x'.repeat(90),
      '\u0000',
      'lot-sorghum-8',
      '0',
    ]),
  );

/** What a page of ours would send, to be sent wrong. */
async function wellFormed(base: string): Promise<(random: Random) => Asked> {
  const get = async <T>(path: string) => (await (await fetch(`${base}/api${path}`)).json()) as T;
  const FORMULA = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
  const { formula } = await get<{ formula: Json }>(`/formulas/${FORMULA}/versions/2`);
  const kitchen = await get<Record<string, Json[]>>('/kitchen');
  const { lots, preparations } = await get<{ lots: Record<string, Json>; preparations: Json[] }>('/pantry');
  const lot = Object.values(lots)[0]!;
  const at = '2026-11-24T05:12:00.000Z';
  const what: Json[] = [
    { kind: 'weighed', rowKey: 'r1', addedG: 99 },
    { kind: 'felt', word: 'tacky' },
    { kind: 'measured', what: 'topTone', value: 4 },
    { kind: 'rated', after: 'fresh', crisp: 5, tender: 3, liked: 5 },
    { kind: 'swapped', rowKey: 'b1', ingredientId: 'teff', amountG: 10 },
    { kind: 'leftOver', lotId: randomUUID(), what: 'dough', amountG: 20, placeId: 'freezer', useByOn: '2027-01-20' },
    { kind: 'noted', text: 'as it was' },
  ];
  const event = (random: Random): Json => ({ id: randomUUID(), at, what: pick(random, what) });
  const ingredient: Json = {
    name: 'Own flour',
    kind: 'flour',
    composition: {
      waterShare: 0.1,
      proteinShare: 0.1,
      fatShare: 0.05,
      saturatedFatShare: 0.01,
      sugarsShare: 0.05,
      starchShare: 0.6,
      fibreShare: 0.05,
      ashShare: 0.05,
      otherShare: 0,
      sodiumShare: 0,
    },
    allergens: [],
    gluten: 'free',
    origin: 'plant',
  };
  const bake = (random: Random): Json => ({
    formulaId: FORMULA,
    version: 2,
    factor: 1,
    roomC: 22,
    humidityShare: 0.6,
    events: [event(random), event(random)],
  });
  const search: Json = { goals: [], mostFlours: 3, reach: 'here' };
  const asks: readonly ((random: Random) => Asked)[] = [
    () => ({ method: 'PUT', path: `/formulas/${FORMULA}/draft`, body: { basedOn: 2, revision: 0, formula, typed: {} } }),
    () => ({ method: 'PUT', path: `/formulas/${FORMULA}/versions/${randomUUID()}`, body: { basedOn: 2, why: '', formula, setAside: [] } }),
    () => ({ method: 'PUT', path: `/formulas/${randomUUID()}`, body: { versionId: randomUUID(), why: '', formula } }),
    (random) => ({
      method: 'GET',
      path: `/formulas/${FORMULA}/versions/${pick(random, ['2', '0', '99999999999', '-1', '2.5', 'x', '2147483648'])}`,
    }),
    (random) => ({ method: 'PUT', path: `/bakes/${randomUUID()}`, body: bake(random) }),
    (random) => ({
      method: 'PUT',
      path: `/bakes/${randomUUID()}/run`,
      body: { formulaId: FORMULA, version: 2, factor: 1 + random(), looks: [], confirmed: [] },
    }),
    (random) => ({ method: 'POST', path: '/bakes/c0ffee00-0000-4000-8000-000000000001/events', body: [event(random), event(random)] }),
    (random) => ({
      method: 'GET',
      path: `/bakes?${pick(random, ['lotId=%00', 'before=0', 'before=99999999999', 'limit=0', 'limit=500', 'formulaId=x', `lotId=${strangeId(random)}`])}`,
    }),
    (random) => ({ method: 'GET', path: `/bakes/${strangeId(random)}` }),
    () => ({ method: 'PUT', path: `/pantry/lots/${(lot as { id: string }).id}`, body: { revision: 1, recounted: false, lot } }),
    () => ({
      method: 'PUT',
      path: '/pantry/ingredients/sorghum/change',
      body: { revision: 0, change: { corrected: { spoonedGPerMl: { value: 0.6, unit: 'g/ml', basis: 'measured', source: 'here' } } } },
    }),
    (random) => ({ method: 'PUT', path: `/pantry/ingredients/${strangeId(random)}/own`, body: { revision: 0, ingredient } }),
    (random) => ({
      method: 'PUT',
      path: `/pantry/ingredients/${strangeId(random)}/change`,
      body: { revision: 0, change: { corrected: {} } },
    }),
    () => ({
      method: 'PUT',
      path: `/pantry/preparations/${(preparations[0] as { id: string }).id}`,
      body: { revision: 1, preparation: preparations[0]! },
    }),
    (random) => ({ method: 'DELETE', path: `/pantry/lots/${pick(random, ['%00', 'constructor', '__proto__', 'none'])}` }),
    (random) => ({
      method: 'DELETE',
      path: `/kitchen/${pick(random, ['constructor', '__proto__', 'toString', 'ovens'])}/${pick(random, ['x', '__proto__', '%00'])}`,
    }),
    () => ({ method: 'PUT', path: `/kitchen/ovens/${(kitchen['ovens']![0] as { id: string }).id}`, body: kitchen['ovens']![0]! }),
    () => ({ method: 'PUT', path: `/kitchen/trays/${(kitchen['trays']![0] as { id: string }).id}`, body: kitchen['trays']![0]! }),
    () => ({ method: 'PUT', path: '/kitchen/air', body: { humidityShare: 0.6, roomC: 22 } }),
    (random) => ({ method: 'PUT', path: `/kitchen/names/${strangeId(random)}`, body: { ingredientId: 'teff' } }),
    () => ({ method: 'PUT', path: '/kitchen/judgements', body: {} }),
    () => ({ method: 'PUT', path: '/kitchen/learned', body: { what: 'oven', about: 'oven-a', do: 'setAside' } }),
    () => ({ method: 'PUT', path: `/blends/${randomUUID()}`, body: { basedOn: null, blend: (formula as { blend: Json }).blend } }),
    () => ({ method: 'POST', path: '/blends/find', body: { formula, search } }),
    () => ({
      method: 'POST',
      path: '/blends/read-label',
      body: {
        items: [{ ingredientId: 'rice_brown' }, { ingredientId: 'starch_tapioca' }],
        panel: [{ nutrient: 'fat', printed: 1 }],
        rule: 'eu',
        basisG: 100,
        tolerance: 0.2,
      },
    }),
  ];
  return (random) => pick(random, asks)(random);
}

const HEADERS: readonly Readonly<Record<string, string>>[] = [
  {},
  {},
  {},
  {},
  {},
  {},
  { 'content-type': 'application/json; charset=foo' },
  { 'content-encoding': 'foo' },
  { 'content-type': 'text/plain' },
  { 'if-match': '"x"', range: 'bytes=9999999-' },
];

/**
 * Sends what our pages send, each a little wrong, and says what was not answered as it must be: no 5xx, every refusal names its field,
 * and whatever was taken leaves every list, a save and a search working.
 */
export async function fuzz(base: string, { seed, count }: { seed: number; count: number }): Promise<FuzzReport> {
  const random = seeded(seed);
  const next = await wellFormed(base);
  const flaws: Flaw[] = [];
  const byStatus: Record<number, number> = {};
  let [slowestMs, slowest] = [0, ''];
  const ask = async ({ method, path, body, headers = {} }: Asked) => {
    const from = performance.now();
    const answer = await fetch(`${base}/api${path}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await answer.text();
    const ms = performance.now() - from;
    if (ms > slowestMs) [slowestMs, slowest] = [ms, `${method} ${path}`];
    byStatus[answer.status] = (byStatus[answer.status] ?? 0) + 1;
    return { status: answer.status, text };
  };
  const flaw = (what: string, { method, path, body }: Asked, status: number, text: string) =>
    flaws.push({ what, request: `${method} ${path} ${JSON.stringify(body)?.slice(0, 2000) ?? ''}`, status, body: text.slice(0, 300) });

  for (let i = 0; i < count; i++) {
    const plain = next(random);
    const asked: Asked = {
      ...plain,
      ...(plain.body === undefined ? {} : { body: mutated(random, plain.body) }),
      headers: plain.body === undefined ? {} : pick(random, HEADERS),
    };
    const { status, text } = await ask(asked);
    if (status >= 500) flaw('an answer of 5xx', asked, status, text);
    else if (status === 400 && !namesItsField(text)) flaw('a refusal without its field', asked, status, text);
    if (i % 100 === 99 || i === count - 1) await wholeKitchen();
  }
  return { asked: count, byStatus, flaws, slowestMs, slowest };

  async function wholeKitchen(): Promise<void> {
    for (const path of ['/formulas', '/formulas/names', '/bakes', '/bakes/running', '/pantry', '/kitchen', '/blends', '/health']) {
      const asked = { method: 'GET', path };
      const { status, text } = await ask(asked);
      if (status !== 200) flaw('a list that no longer opens', asked, status, text);
    }
  }
}

function namesItsField(text: string): boolean {
  const { message, problems } = JSON.parse(text) as { message: string; problems?: { path: string; code: string }[] };
  if (/not JSON/.test(message)) return true;
  return (
    (problems?.length ?? 0) > 0 &&
    problems!.every(
      ({ path, code }) =>
        path !== '' || code === 'any.required' || code.endsWith('.base') || code.startsWith('array.') || code === 'unsound',
    )
  );
}
