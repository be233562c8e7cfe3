import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { InputError } from '@north-leaf/core';
import { log } from '../log.js';
import type { ApiErrorBody, ApiErrorCode, Problem } from '@north-leaf/contracts';
import type { Request, Response } from 'express';

const statusOf: Record<ApiErrorCode, number> = {
  invalid: 400,
  unauthenticated: 401,
  forbidden: 403,
  notFound: 404,
  conflict: 409,
  tooMany: 429,
  unavailable: 503,
  internal: 500,
};
/** When it is worth asking again, s. */
const AGAIN_S: Partial<Record<ApiErrorCode, number>> = { unavailable: 2, tooMany: 30 };

/** What a use case throws when it cannot do as asked. */
export class ApiError extends Error {
  constructor(
    readonly code: ApiErrorCode,
    message: string,
    readonly problems?: readonly Problem[],
    /** In place of the one that its code has: of what is HTTP's own. */ readonly status = statusOf[code],
  ) {
    super(message);
  }
}

/** One field of what was sent cannot be taken. */
export const invalid = (path: string, message: string): ApiError =>
  new ApiError('invalid', `${path}: ${message}`, [{ path, code: 'input', message }]);

/** Every answer that is not a success has one shape; what nobody foresaw is logged whole and answered without details. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    answerWith(error, http.getRequest<Request>(), http.getResponse<Response>());
  }
}

/** What a middleware threw, before any route was asked, is answered in the same words. */
export function answerWith(error: unknown, request: Request, response: Response): void {
  const requestId = String((request as { id?: unknown }).id ?? '');
  const known = asApiError(error);
  if (known.code === 'internal') log.error({ requestId, err: withoutTexts(error) }, 'unforeseen');
  if (response.headersSent) return;
  const again = AGAIN_S[known.code];
  if (again !== undefined) response.setHeader('Retry-After', again);
  const body: ApiErrorBody = {
    code: known.code,
    message: known.message,
    requestId,
    ...(known.problems ? { problems: known.problems } : {}),
  };
  response.status(known.status).json(body);
}

/** A failed statement carries what the baker wrote: the log gets the fault, not the texts. */
function withoutTexts(error: unknown): unknown {
  if (!(error instanceof Error) || !('parameters' in error)) return error;
  const { name, message, stack } = error;
  return { name, message: message.slice(0, 500), stack: stack?.slice(0, 4000) };
}

export function asApiError(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  if (error instanceof InputError) return invalid(error.path, error.message);
  const status = Number(error instanceof HttpException ? error.getStatus() : ((error as { status?: unknown } | null)?.status ?? 500));
  const type = (error as { type?: unknown } | null)?.type;
  const message = error instanceof Error ? error.message : '';
  if (type === 'entity.parse.failed' || (status === 400 && /JSON/.test(message))) return new ApiError('invalid', 'The body is not JSON.');
  if (status === 413) return new ApiError('invalid', 'The body is larger than is taken here.', undefined, 413);
  if (status === 415) return new ApiError('invalid', 'The body must be JSON in UTF-8, not compressed.', undefined, 415);
  if (status === 400) return new ApiError('invalid', message || 'The request could not be read.');
  if (status === 404) return new ApiError('notFound', 'There is nothing at this address.');
  if (status === 429) return new ApiError('tooMany', 'Too many requests: wait a minute.');
  if (status > 400 && status < 500) return new ApiError('invalid', message || 'This cannot be asked.', undefined, status);
  const gone = databaseIsGone(error);
  if (gone) return new ApiError('unavailable', gone);
  return new ApiError('internal', 'Something went wrong here. It was logged; try again.');
}

/** Cut off, shutting down, too busy, out of time or out of room: worth another try, unlike a fault of ours. */
function databaseIsGone(error: unknown): string | null {
  const { code = '', message = '' } = ((error as { driverError?: unknown } | null)?.driverError ?? error ?? {}) as {
    code?: string;
    message?: string;
  };
  if (['53100', '58030'].includes(code) || /No space left on device/i.test(message))
    return 'The disk of this North Leaf is full. Nothing is stored until there is room; what you typed is safe on your device.';
  if (/timeout exceeded when trying to connect/i.test(message) || code === '53300')
    return 'Too much is asked at once just now; nothing was stored. Try again.';
  // 57014 a statement out of time, 55P03 a lock not had in time, 40P01 and 40001 two that waited for each other.
  if (['57014', '55P03', '40P01', '40001'].includes(code) || /Query read timeout/i.test(message))
    return 'The database is busy and gave up; nothing was stored. Try again.';
  const cut =
    ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', '57P01', '57P02', '57P03', '08006', '08003', '25P03'].includes(code) ||
    /Connection terminated|not connected|Cannot use a pool|not queryable|already released/i.test(message);
  // Where the cut fell in the very moment of storing, nobody can know: sent again with its id, it is still stored once.
  return cut ? 'The database does not answer. It may not have been stored; try again.' : null;
}
