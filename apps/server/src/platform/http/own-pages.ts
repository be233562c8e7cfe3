import { timingSafeEqual } from 'node:crypto';
import { config, LOOPBACK } from '../config.js';
import { ApiError, answerWith } from './errors.js';
import type { NextFunction, Request, Response } from 'express';

/**
 * A page of somebody else's must not reach the kitchen through the baker's browser: neither under a name of its own that leads to this
 * machine, nor by sending what only our own pages send.
 */
export function ownPagesOnly(request: Request, response: Response, next: NextFunction): void {
  const refusal = refusalOf(request);
  if (refusal === null) return next();
  if (refusal.status === 401) response.setHeader('WWW-Authenticate', 'Basic realm="North Leaf", charset="UTF-8"');
  answerWith(refusal, request, response);
}

function refusalOf({ headers, method }: Request): ApiError | null {
  const host = nameIn(headers.host ?? '');
  if (host === null || !names.has(host)) {
    const message = 'This North Leaf is not known under that name. HOST_NAMES lists the names it answers to.';
    return new ApiError('forbidden', message, [{ path: 'Host', code: 'input', message }], 421);
  }
  if (config.secret !== '' && !isAllowed(headers.authorization)) return new ApiError('unauthenticated', 'A password is needed here.');
  const { origin } = headers;
  const foreign =
    (origin !== undefined && origin !== 'null' && hostOf(origin) !== (headers.host ?? '')) ||
    origin === 'null' ||
    headers['sec-fetch-site'] === 'cross-site';
  if (foreign && !['GET', 'HEAD', 'OPTIONS'].includes(method)) {
    const message = 'Only the pages of this North Leaf may change anything in it.';
    return new ApiError('forbidden', message, [{ path: 'Origin', code: 'input', message }]);
  }
  return null;
}

const names = new Set([...LOOPBACK, config.host, ...config.hostNames]);
/** `[::1]:4310` is `[::1]`. */
const nameIn = (host: string): string | null => /^(\[[0-9a-f:]+\]|[a-z0-9.-]+)(:\d+)?$/i.exec(host)?.[1]?.toLowerCase() ?? null;
const hostOf = (origin: string): string | null => {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
};
/** By a password that the browser asks for, whatever name is given with it. */
function isAllowed(authorization = ''): boolean {
  const [, encoded = ''] = /^Basic ([A-Za-z0-9+/=]+)$/.exec(authorization) ?? [];
  const given = Buffer.from(encoded, 'base64').toString('utf8');
  const password = Buffer.from(given.slice(given.indexOf(':') + 1));
  const wanted = Buffer.from(config.secret);
  return password.length === wanted.length && timingSafeEqual(password, wanted);
}
