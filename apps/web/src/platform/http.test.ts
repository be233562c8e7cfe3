import type { ApiError } from './http';
import { request } from './http';

const answer = (body: string, status: number) => {
  globalThis.fetch = jest.fn(async () => new Response(status === 204 ? null : body, { status })) as unknown as typeof fetch;
};
const failure = async () => request('GET /kitchen', {}).catch((error: unknown) => error as ApiError);

describe('asking the server', () => {
  it('gives what it answered, and nothing for an empty answer', async () => {
    answer('{"a":1}', 200);
    expect(await request('GET /kitchen', {})).toEqual({ a: 1 });
    answer('', 204);
    expect(await request('DELETE /pantry/lots/:id', { id: 'a' })).toBeUndefined();
  });

  it('throws one kind of error, with its problems', async () => {
    answer(JSON.stringify({ code: 'invalid', message: 'no', problems: [{ path: 'a', code: 'b', message: 'c' }], requestId: '1' }), 400);
    expect(await failure()).toMatchObject({
      name: 'ApiError',
      code: 'invalid',
      message: 'no',
      problems: [{ path: 'a' }],
      mayRecover: false,
    });
  });

  it.each<[string, () => void, string, boolean]>([
    [
      'no answer at all',
      () =>
        (globalThis.fetch = jest.fn(async () => {
          throw new TypeError('refused');
        }) as unknown as typeof fetch),
      'offline',
      true,
    ],
    ['a gateway without the server', () => answer('<html>', 502), 'offline', true],
    ['an answer that is not ours', () => answer('<html>', 500), 'internal', false],
    [
      'a database that is gone',
      () => answer(JSON.stringify({ code: 'unavailable', message: 'gone', requestId: '1' }), 503),
      'unavailable',
      true,
    ],
  ])('%s', async (_claim, set, code, mayRecover) => {
    set();
    const error = (await failure()) as ApiError;
    expect([error.code, error.mayRecover]).toEqual([code, mayRecover]);
    expect(error.message).toMatch(/\w/);
  });
});
