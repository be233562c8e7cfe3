import { InputError } from '@north-leaf/core';

/** What comes back from a thread: the answer, or which field of the question was wrong. */
export type Reply<A> = { readonly ok: true; readonly answer: A } | { readonly ok: false; readonly path: string; readonly message: string };

/** Answers a question in a thread; anything but a wrong field ends in an error of ours. */
export function replyTo<A>(work: () => A): Reply<A> {
  try {
    return { ok: true, answer: work() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ok: false, path: error.path, message: error.message };
  }
}
