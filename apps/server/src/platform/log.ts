import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import { pinoHttp } from 'pino-http';
import { config } from './config.js';
import type { LoggerService } from '@nestjs/common';

export const log = pino({ level: config.logLevel, base: null, timestamp: pino.stdTimeFunctions.isoTime });

/** One line a request, with the id that the answer carries. Page files are not worth a line. */
export const requestLog = pinoHttp({
  logger: log,
  genReqId: () => randomUUID(),
  customLogLevel: (_req, res, error) => (error || res.statusCode >= 500 ? 'error' : res.statusCode >= 400 ? 'warn' : 'debug'),
  serializers: {
    req: (req: { method: string; url: string; id: string }) => ({ id: req.id, method: req.method, url: req.url }),
    res: (res: { statusCode: number }) => ({ status: res.statusCode }),
  },
});

/** Nest's own words go through the same log. */
export const nestLog: LoggerService = {
  log: (message: unknown) => log.debug(String(message)),
  warn: (message: unknown) => log.warn(String(message)),
  error: (message: unknown) => log.error(String(message)),
};
