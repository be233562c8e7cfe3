import { askEarly, takeEarly } from './early';
import { request } from './http';

const asked: string[] = [];
const signals: (AbortSignal | undefined)[] = [];
beforeEach(() => {
  asked.length = signals.length = 0;
  globalThis.fetch = (async (url: string, { method = 'GET', signal }: RequestInit = {}) => {
    signals.push(signal ?? undefined);
    asked.push(`${method} ${url}`);
    return new Response(JSON.stringify({ answer: asked.length }), { status: 200, headers: { 'content-type': 'application/json' } });
  }) as unknown as typeof fetch;
});

describe('what was asked for early', () => {
  it('is taken once, by whoever asks for it first; the next asks the server', async () => {
    askEarly(['/kitchen']);
    expect(await request('GET /kitchen', {})).toEqual({ answer: 1 });
    expect(await request('GET /kitchen', {})).toEqual({ answer: 2 });
    expect(asked).toEqual(['GET /api/kitchen', 'GET /api/kitchen']);
  });
  it('is old once something is written', async () => {
    askEarly(['/kitchen']);
    await request('DELETE /kitchen/mat', {});
    expect(takeEarly('/kitchen')).toBeUndefined();
    expect(await request('GET /kitchen', {})).toEqual({ answer: 3 });
  });
  it('is old after a while', () => {
    jest.useFakeTimers();
    askEarly(['/kitchen']);
    jest.advanceTimersByTime(11_000);
    expect(takeEarly('/kitchen')).toBeUndefined();
    jest.useRealTimers();
  });
  it('asks on by what an answer says, unless its page has it already', async () => {
    const next = (path: string, answer: unknown) => [`${path}/${(answer as { answer: number }).answer}`];
    askEarly(['/formulas'], next);
    await new Promise((done) => setTimeout(done, 10));
    expect(asked).toEqual(['GET /api/formulas', 'GET /api/formulas/1']);
    expect(await (await takeEarly('/formulas')!).json()).toEqual({ answer: 1 });
    askEarly(['/blends'], next);
    void takeEarly('/blends');
    await new Promise((done) => setTimeout(done, 10));
    expect(asked).toEqual(['GET /api/formulas', 'GET /api/formulas/1', 'GET /api/blends']);
  });
  it('holds no connection open: what nobody took is stopped, what was taken is not', () => {
    jest.useFakeTimers();
    askEarly(['/kitchen', '/pantry']);
    void takeEarly('/kitchen');
    jest.advanceTimersByTime(11_000);
    expect(signals.map((signal) => signal!.aborted)).toEqual([false, true]);
    jest.useRealTimers();
  });
});
