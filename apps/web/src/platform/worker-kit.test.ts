import { demoKitchen } from '@north-leaf/core';
import { atOnce, inTurns, surroundings } from './worker-kit';

function* counting(to: number): Generator<number, string> {
  for (let i = 1; i <= to; i++) yield i;
  return 'done';
}
function* slowly(ms: number, each: () => void): Generator<number, string> {
  for (let i = 0; ; i++) {
    const until = performance.now() + ms;
    while (performance.now() < until);
    each();
    yield i;
  }
}

describe('work in a worker', () => {
  it('goes on to its end, step by step', async () => {
    const seen: number[] = [];
    expect(await inTurns().run(counting(5), (value) => seen.push(value))).toBe('done');
    expect(seen).toEqual([1, 2, 3, 4, 5]);
    expect(atOnce(counting(5))).toBe('done');
  });

  it('ends with nothing when a newer question overtakes it', async () => {
    const turns = inTurns();
    let steps = 0;
    const older = turns.run(
      slowly(12, () => (steps += 1)),
      () => undefined,
    );
    const newer = turns.run(counting(3), () => undefined);
    expect(await newer).toBe('done');
    expect(await older).toBeNull();
    const then = steps;
    await new Promise((go) => setTimeout(go, 60));
    expect(steps).toBe(then);
  });

  it('can be stopped', async () => {
    const turns = inTurns();
    const working = turns.run(
      slowly(12, () => undefined),
      () => undefined,
    );
    turns.stop();
    expect(await working).toBeNull();
  });

  it('is asked only after it was told of which kitchen', () => {
    const { surround, here } = surroundings();
    expect(here).toThrow(/before it was told/);
    surround({ kitchen: demoKitchen, pantry: { ingredients: {}, lots: {} } });
    expect(here().kitchen).toBe(demoKitchen);
  });
});
