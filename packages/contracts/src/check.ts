import Joi from 'joi';
import type { ArraySchema, NumberSchema, ObjectSchema, Schema, StringSchema } from 'joi';

/** One thing wrong with a request: where (as in the formula: 'rows[2].amountG'), a code, and a sentence. */
export type Problem = { readonly path: string; readonly code: string; readonly message: string };

/** The one shape of every answer that is not a success. */
export type ApiErrorBody = {
  readonly code: ApiErrorCode;
  readonly message: string;
  readonly problems?: readonly Problem[];
  readonly requestId: string;
};
export const apiErrorCodes = [
  'invalid',
  'unauthenticated',
  'forbidden',
  'notFound',
  'conflict',
  'tooMany',
  'unavailable',
  'internal',
] as const;
export type ApiErrorCode = (typeof apiErrorCodes)[number];

export type Checked<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** All problems at once, nothing converted, everything required unless its schema says optional. */
export function check<T>(schema: Schema<T>, body: unknown): Checked<T> {
  if (body === undefined || body === null)
    return { ok: false, problems: [{ path: '', code: 'any.required', message: 'the body is missing' }] };
  const { error, value } = schema.validate(body, {
    abortEarly: false,
    convert: false,
    presence: 'required',
    errors: { wrap: { label: false } },
  });
  if (!error) return { ok: true, value: value as T };
  return {
    ok: false,
    problems: error.details
      .slice(0, 50)
      .map(({ path, type, message }) => ({ path: dotted(path), code: type, message: message.slice(0, 300) })),
  };
}

/** ['rows', 2, 'amountG'] as 'rows[2].amountG'. */
export function dotted(path: readonly (string | number)[]): string {
  return path.reduce<string>((so, key) => (typeof key === 'number' ? `${so}[${key}]` : so === '' ? key : `${so}.${key}`), '');
}

/** A schema for every key of T, of its kind; the library's own strict form does not know readonly lists. */
type SchemaKeys<T> = {
  readonly [K in keyof T]-?: Exclude<T[K], undefined | null> extends readonly unknown[]
    ? ArraySchema
    : Exclude<T[K], undefined | null> extends string
      ? StringSchema | Schema<T[K]>
      : Exclude<T[K], undefined | null> extends number
        ? NumberSchema | Schema<T[K]>
        : Schema;
};

/**
 * The schema of a body: no key of T may be missing, none added. Keys are marked required one by one, though `check` would
 * require them anyway, so that the API's description says so too.
 */
export function bodyOf<T>(keys: SchemaKeys<T>): ObjectSchema<T> {
  const marked = Object.entries<Schema>(keys as Record<string, Schema>).map(([key, schema]) => [
    key,
    schema.$_getFlag('presence') === undefined ? schema.required() : schema,
  ]);
  return Joi.object<T>(Object.fromEntries(marked)).required();
}
