import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { InputError } from '@north-leaf/core';
import { log } from './log.js';
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

/** What a use case throws when it cannot do as asked. */
export class ApiError extends Error {
  constructor(
    readonly code: ApiErrorCode,
    message: string,
    readonly problems?: readonly Problem[],
  ) {
    super(message);
  }
}

/** Every answer that is not a success has one shape; what nobody foresaw is logged whole and answered without details. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    const { id } = http.getRequest<Request & { id?: unknown }>();
    const requestId = String(id ?? '');
    const known = asApiError(error);
    if (known.code === 'internal') log.error({ requestId, err: error }, 'unforeseen');
    if (response.headersSent) return;
    const body: ApiErrorBody = {
      code: known.code,
      message: known.message,
      requestId,
      ...(known.problems ? { problems: known.problems } : {}),
    };
    response.status(statusOf[known.code]).json(body);
  }
}

function asApiError(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  if (error instanceof InputError) {
    return new ApiError('invalid', `${error.path}: ${error.message}`, [{ path: error.path, code: 'input', message: error.message }]);
  }
  const status = error instanceof HttpException ? error.getStatus() : ((error as { status?: unknown } | null)?.status ?? 500);
  const type = (error as { type?: unknown } | null)?.type;
  if (type === 'entity.parse.failed' || error instanceof SyntaxError) return new ApiError('invalid', 'The body is not JSON.');
  if (type === 'entity.too.large' || status === 413)
    return new ApiError('invalid', 'The body is larger than is taken: 1 MB, or 12 MB of a picture.');
  if (status === 400 && error instanceof Error && /JSON/.test(error.message)) return new ApiError('invalid', 'The body is not JSON.');
  if (status === 400) return new ApiError('invalid', error instanceof Error ? error.message : 'The request could not be read.');
  if (status === 404) return new ApiError('notFound', 'There is nothing at this address.');
  if (status === 429) return new ApiError('tooMany', 'Too many requests: wait a minute.');
  if (databaseIsGone(error)) return new ApiError('unavailable', 'The database does not answer. Nothing was stored; try again.');
  return new ApiError('internal', 'Something went wrong here. It was logged; try again.');
}

/** Connection refused, cut off, or shutting down: worth another try, unlike a fault of ours. */
function databaseIsGone(error: unknown): boolean {
  const { code, message } = ((error as { driverError?: unknown } | null)?.driverError ?? error ?? {}) as {
    code?: string;
    message?: string;
  };
  return (
    ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', '57P01', '57P02', '57P03', '08006', '08003'].includes(code ?? '') ||
    /Connection terminated|not connected|Cannot use a pool/i.test(message ?? '')
  );
}
