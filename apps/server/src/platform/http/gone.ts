import type { Response } from 'express';

/** Aborts when whoever asked has closed the connection before the answer was written. */
export function goneSignal(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => {
    if (!response.writableEnded) gone.abort();
  });
  return gone.signal;
}
