import { BadRequestException, HttpException, NotFoundException } from '@nestjs/common';
import { InputError } from '@north-leaf/core';
import type { ArgumentsHost } from '@nestjs/common';

process.env['LOG_LEVEL'] = 'silent';

async function answerTo(error: unknown): Promise<{ status: number; body: Record<string, unknown> }> {
  const { ErrorFilter } = await import('./platform/http/errors.js');
  const found = { status: 0, body: {} as Record<string, unknown> };
  const response = {
    headersSent: false,
    setHeader() {},
    status(status: number) {
      found.status = status;
      return this;
    },
    json(body: Record<string, unknown>) {
      found.body = body;
    },
  };
  const host = {
    switchToHttp: () => ({ getResponse: () => response, getRequest: () => ({ id: 'request-1' }) }),
  } as unknown as ArgumentsHost;
  new ErrorFilter().catch(error, host);
  return found;
}

describe('what every failure is answered with', () => {
  it.each<[string, unknown, number, string]>([
    ['impossible input', new InputError('rows[0].amountG', 'must be a number'), 400, 'invalid'],
    ['a bad request of the framework', new BadRequestException('no'), 400, 'invalid'],
    ['nothing there', new NotFoundException(), 404, 'notFound'],
    ['too much at once', new HttpException('slow down', 429), 429, 'tooMany'],
    ['a body too large', Object.assign(new Error('big'), { type: 'entity.too.large', status: 413 }), 413, 'invalid'],
    ['a pool that is full', new Error('timeout exceeded when trying to connect'), 503, 'unavailable'],
    ['a statement out of time', Object.assign(new Error('x'), { driverError: { code: '57014' } }), 503, 'unavailable'],
    ['a disk that is full', Object.assign(new Error('x'), { driverError: { code: '53100' } }), 503, 'unavailable'],
    ['a body in a strange code', Object.assign(new Error('unsupported charset'), { status: 415 }), 415, 'invalid'],
    ['a database that refuses', Object.assign(new Error('x'), { code: 'ECONNREFUSED' }), 503, 'unavailable'],
    ['a database shutting down', Object.assign(new Error('x'), { driverError: { code: '57P01' } }), 503, 'unavailable'],
    ['anything else', new Error('secret detail of ours'), 500, 'internal'],
    ['not even an error', 'boom', 500, 'internal'],
  ])('%s', async (_claim, error, status, code) => {
    const { status: answered, body } = await answerTo(error);
    expect(answered).toBe(status);
    expect(body).toMatchObject({ code, message: expect.stringMatching(/\w/), requestId: 'request-1' });
  });

  it('gives nothing of ours away', async () => {
    expect(JSON.stringify(await answerTo(new Error('secret detail of ours')))).not.toContain('secret');
  });

  it('puts impossible input at its field', async () => {
    const { body } = await answerTo(new InputError('rows[0].amountG', 'must be a number'));
    expect(body['problems']).toEqual([{ path: 'rows[0].amountG', code: 'input', message: 'must be a number' }]);
  });
});
