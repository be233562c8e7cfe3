import 'fake-indexeddb/auto';
import {
  demoCrackerV2,
  demoKitchen,
  demoLots,
  evaluate,
  publishedIngredients,
  runSteps,
  type BakeEvent,
  type Happened,
} from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { eventId } from './event-id';
import { stillRefused, stillWaiting } from './run-keeping';
import { eventsOfRun, recall, resume, say, send, sendAgain, stateOfRun, told, useRuns } from './run-store';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const steps = runSteps({ formula: demoCrackerV2, kitchen: demoKitchen, pantry }, evaluate(demoCrackerV2, demoKitchen, pantry));
const around = { formula: demoCrackerV2, kitchen: demoKitchen, pantry };
const ID = '5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b01';
const aRun = (events: readonly BakeEvent[] = [], id = ID): Run => ({
  id,
  number: 7,
  formulaId: 'f',
  version: 2,
  factor: 1,
  roomC: 22,
  humidityShare: 0.5,
  startedAt: '2026-11-26T05:00:00.000Z',
  formulaName: 'Crackers',
  steps,
  events,
});

/** A server that stores each id once; dead for the next so many requests, or refusing what a test names. */
let stored: BakeEvent[] = [];
let deadFor = 0;
let refuse: (event: BakeEvent) => boolean = () => false;
const answer = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const server = jest.fn(async (_url: string, init: RequestInit = {}) => {
  if (deadFor-- > 0) throw new TypeError('refused');
  const events = JSON.parse(String(init.body)) as BakeEvent[];
  const bad = events.findIndex(refuse);
  if (bad >= 0)
    return answer(400, {
      code: 'invalid',
      message: 'no',
      problems: [{ path: `[${bad}].what`, code: 'x', message: 'is not a thing' }],
      requestId: '',
    });
  for (const event of events) if (!stored.some(({ id }) => id === event.id)) stored.push(event);
  return answer(200, stored);
});

const weighed = (addedG: number, rowKey = 'b1') => ({ stepKey: `weigh:${rowKey}`, what: { kind: 'weighed' as const, rowKey, addedG } });
const ended = (key: string) => ({ stepKey: key, what: { kind: 'stepEnded' as const } });
const state = () => {
  const { kept, waiting } = useRuns.getState();
  return stateOfRun(kept[ID]!, waiting);
};
const settled = async (has: () => boolean = () => true) => {
  for (let i = 0; i < 500 && (useRuns.getState().waiting.length > 0 || !has()); i++) {
    await new Promise((go) => setTimeout(go, 10));
    await send();
  }
};

beforeEach(async () => {
  globalThis.fetch = server as unknown as typeof fetch;
  stored = [];
  deadFor = 0;
  refuse = () => false;
  const { heardBack } = await import('./run-keeping');
  await heardBack((await stillWaiting()).map(({ event }) => event.id));
  useRuns.setState({ kept: {}, waiting: [], refused: [], online: true });
  told(aRun(), around);
});

describe('what is said at the bench', () => {
  it('counts at once, is kept on this device, and reaches the server once', async () => {
    await say(ID, [weighed(134.4), ended('weigh:b1')]);
    expect(state().nowIndex).toBe(1);
    await settled();
    expect(stored.map(({ what }) => what.kind)).toEqual(['weighed', 'stepEnded']);
    expect(await stillWaiting()).toEqual([]);
    expect(state().nowIndex).toBe(1);
  });

  it('a share cut off is cut off once and a run ends once, however often Next is pressed', async () => {
    const cut = {
      stepKey: 'divide:0',
      what: { kind: 'leftOver', lotId: ID, what: 'dough', amountG: 300, placeId: 'fridge', useByOn: '2026-11-29' },
    } as const;
    const press = () => say(ID, [cut, ended('divide:0'), { what: { kind: 'ended' } }]);
    await Promise.all([press(), press()]);
    await settled();
    await press();
    await settled();
    const told = (kind: Happened['kind']) => stored.filter(({ what }) => what.kind === kind).length;
    expect([told('leftOver'), told('ended')]).toEqual([1, 1]);
  });

  it('goes on without a server, survives the page, and catches up without doubling', async () => {
    deadFor = 3;
    await say(ID, [weighed(134.4), ended('weigh:b1')]);
    await send();
    expect(useRuns.getState().online).toBe(false);
    expect(await stillWaiting()).toHaveLength(2);
    // The page is loaded again: memory is gone, the browser's own database is not.
    useRuns.setState({ kept: {}, waiting: [], online: true });
    expect(await recall(ID)).toBe(true);
    expect(state().nowIndex).toBe(1);
    deadFor = 0;
    await settled();
    await say(ID, [weighed(28.8, 'b2')]);
    await settled();
    expect(stored).toHaveLength(3);
    expect(useRuns.getState().online).toBe(true);
  });

  it('what a server will never take is put aside and said, and the rest goes on', async () => {
    refuse = ({ what }) => what.kind === 'noted';
    await say(ID, [{ what: { kind: 'noted', text: 'bad' } }, weighed(134.4)]);
    await settled();
    expect(stored.map(({ what }) => what.kind)).toEqual(['weighed']);
    expect(useRuns.getState().waiting).toEqual([]);
    // Still on this device, after the page is loaded again too; mended, it is stored.
    expect(useRuns.getState().refused).toMatchObject([{ why: 'is not a thing', event: { what: { kind: 'noted', text: 'bad' } } }]);
    useRuns.setState({ kept: {}, waiting: [], refused: [] });
    await resume();
    const [held] = useRuns.getState().refused;
    refuse = () => false;
    await sendAgain({ bakeId: ID, event: { ...held!.event, what: { kind: 'noted', text: 'good' } } });
    await settled(() => stored.length === 2);
    expect(stored.map(({ what }) => (what.kind === 'noted' ? what.text : what.kind))).toEqual(['weighed', 'good']);
    expect(useRuns.getState().refused).toEqual([]);
    expect(await stillRefused()).toEqual([]);
  });

  it('one device, whose words come back in another order, disagrees with nobody', async () => {
    await say(ID, [{ what: { kind: 'weighed', rowKey: 'b1', addedG: 195, lotId: 'lot-a' }, stepKey: 'weigh:b1' }]);
    const sent = stored.length;
    await settled();
    // As a database gives it back: its keys in an order of its own.
    stored = stored.map((event) => ({ ...event, what: Object.fromEntries(Object.entries(event.what).reverse()) as Happened }));
    useRuns.setState({ waiting: stored.map((event) => ({ bakeId: ID, event: { ...event, what: { ...event.what } } })) });
    await settled();
    expect(stored.filter(({ what }) => what.kind === 'noted')).toEqual([]);
    expect(sent).toBeLessThanOrEqual(1);
  });

  it('two devices that weighed the same step: one weight is kept, and the other is said', async () => {
    const mine = { what: { kind: 'weighed' as const, rowKey: 'b1', addedG: 130 }, stepKey: 'weigh:b1' };
    const theirs: BakeEvent = {
      id: eventId(ID, 'weigh:b1', mine.what, []),
      at: '2026-11-26T05:01:00.000Z',
      stepKey: 'weigh:b1',
      what: { kind: 'weighed', rowKey: 'b1', addedG: 134 },
    };
    stored = [theirs];
    await say(ID, [mine]);
    // What is said of it comes after the answer.
    await settled(() => stored.some(({ what }) => what.kind === 'noted'));
    expect(state().steps[0]!.weighedG).toBe(134);
    const notes = stored.flatMap(({ what }) => (what.kind === 'noted' ? [what.text] : []));
    expect(notes).toEqual(['Two devices weighed the same step: 134 g is kept, 130 g is left out.']);
  });

  it('what waits is sent from any page, its run opened or not', async () => {
    deadFor = 1;
    await say(ID, [weighed(134.4)]);
    await send();
    useRuns.setState({ kept: {}, waiting: [], online: true });
    deadFor = 0;
    await resume();
    await settled();
    expect(stored.map(({ what }) => what.kind)).toEqual(['weighed']);
    expect(await stillWaiting()).toEqual([]);
  });

  it('what is taken and not stored is not sent for ever', async () => {
    const calls = server.mock.calls.length;
    server.mockImplementationOnce(async () => answer(200, []));
    await say(ID, [weighed(134.4)]);
    await settled();
    expect(server.mock.calls.length - calls).toBe(1);
    expect(useRuns.getState().waiting).toEqual([]);
  });

  it('an answer that left earlier takes no event away', async () => {
    await say(ID, [weighed(134.4), ended('weigh:b1')]);
    await settled();
    told(aRun());
    expect(state().nowIndex).toBe(1);
  });

  it('a run that nobody here knows is told by nothing', async () => {
    expect(await recall('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b99')).toBe(false);
    await say('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b99', [weighed(1)]);
    expect(useRuns.getState().waiting).toEqual([]);
  });
});

describe('the id of an event', () => {
  const what = { kind: 'weighed' as const, rowKey: 'b1', addedG: 5 };
  const one = (id: string): BakeEvent => ({ id, at: '', stepKey: 'weigh:b1', what });
  it('is the same on two devices for the same thing, another for the next', () => {
    const first = eventId(ID, 'weigh:b1', what, []);
    expect(eventId(ID, 'weigh:b1', { ...what, addedG: 9 }, [])).toBe(first);
    expect(eventId(ID, 'weigh:b1', what, [one(first)])).not.toBe(first);
    expect(eventId(ID, 'weigh:b2', what, [])).not.toBe(first);
    expect(eventId('5b1f0d3c-6a0e-4f7d-8f43-6a1f0c2d9b02', 'weigh:b1', what, [])).not.toBe(first);
  });
  it('of what belongs to no step is a thing of its own', () => {
    expect(eventId(ID, undefined, what, [])).not.toBe(eventId(ID, undefined, what, []));
  });
  it('waiting events stand beside what the server told, once', () => {
    const run = aRun([one('a')]);
    expect(eventsOfRun({ run, ...around }, [{ bakeId: ID, event: one('a') }, { bakeId: ID, event: one('b') }, { bakeId: 'x', event: one('c') }]).map(({ id }) => id)).toEqual(['a', 'b']); // prettier-ignore
  });
});
