import { heardServerTime } from './bench-clock';
import {
  addressOf,
  type AddressOf,
  type AnswerOf,
  type ApiErrorBody,
  type ApiErrorCode,
  type BodyOf,
  type Problem,
  type Route,
} from '@north-leaf/contracts';
import { forgetEarly, takeEarly } from './early';
import { t } from './words';

/** Everything that can go wrong between the page and the server. `offline`: no answer came at all. */
export class ApiError extends Error {
  constructor(
    readonly code: ApiErrorCode | 'offline',
    message: string,
    readonly problems: readonly Problem[] = [],
  ) {
    super(message);
    this.name = 'ApiError';
  }
  /** Nothing is wrong with what was asked: worth asking again. */
  get mayRecover(): boolean {
    return this.code === 'offline' || this.code === 'unavailable' || this.code === 'tooMany';
  }
}

/** Asks by the contracts' own list of routes: what an address names, what it takes and what it answers are checked when this is built. */
export async function request<R extends Route>(
  route: R,
  parts: AddressOf<R>,
  ...[body, signal]: BodyOf<R> extends undefined ? [body?: undefined, signal?: AbortSignal] : [body: BodyOf<R>, signal?: AbortSignal]
): Promise<AnswerOf<R>> {
  const { method, path } = addressOf(route, parts);
  if (method !== 'GET') forgetEarly();
  let response: Response;
  try {
    response = await ((method === 'GET' ? takeEarly(path) : undefined) ??
      fetch(`/api${path}`, {
        method,
        ...(signal ? { signal } : {}),
        ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
      }));
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new ApiError('offline', t('platform.theServerDoesNotAnswerWhatYou'));
  }
  heardServerTime(response.headers.get('date'));
  if (response.status === 204) return undefined as AnswerOf<R>;
  const text = await response.text();
  if (response.ok) return JSON.parse(text) as AnswerOf<R>;
  throw errorOf(text, response.status);
}

/** A file as it is. */
export async function sendBytes(path: string, file: Blob): Promise<void> {
  forgetEarly();
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { method: 'PUT', headers: { 'content-type': file.type || 'image/jpeg' }, body: file });
  } catch {
    throw new ApiError('offline', t('platform.theServerDoesNotAnswerChooseThe'));
  }
  if (!response.ok) throw errorOf(await response.text(), response.status);
}

/** A file as it is kept. */
export async function readBytes(path: string): Promise<Blob> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`);
  } catch {
    throw new ApiError('offline', t('platform.theServerDoesNotAnswer'));
  }
  if (!response.ok) throw errorOf(await response.text(), response.status);
  return response.blob();
}

function errorOf(text: string, status: number): ApiError {
  try {
    const { code, message, problems } = JSON.parse(text) as ApiErrorBody;
    return new ApiError(code, message, problems);
  } catch {
    return status >= 502
      ? new ApiError('offline', t('platform.theServerDoesNotAnswer'))
      : new ApiError('internal', t('platform.theServerAnsweredInAWayThat'));
  }
}
