import Joi from 'joi';
import { pathOf, unsound } from './sound.js';
import type { Problem } from './sound.js';
import type { ArraySchema, NumberSchema, ObjectSchema, Schema, StringSchema } from 'joi';

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

/** Problems that one answer tells. */
const MOST_TOLD = 50;
/** In a body of more values than this, all of its problems could be more than anybody reads, and take seconds to find: the first is told. */
const ALL_TOLD_UNDER = 4000;

/**
 * Everything wrong at once, nothing converted, everything required unless its schema says optional.
 * The first fault is looked for alone: only a body of a reasonable size is asked for the rest.
 */
export function check<T>(schema: Schema<T>, body: unknown): Checked<T> {
  if (body === undefined || body === null)
    return { ok: false, problems: [{ path: '', code: 'any.required', message: 'the body is missing' }] };
  const hurt = unsound(body);
  if (hurt) return { ok: false, problems: [hurt] };
  const first = validated(schema, body, true);
  if (!first.error) return { ok: true, value: first.value as T };
  const { error } = sizeOf(body, ALL_TOLD_UNDER) < ALL_TOLD_UNDER ? validated(schema, body, false) : first;
  return {
    ok: false,
    problems: error!.details
      .slice(0, MOST_TOLD)
      .map(({ path, type, message }) => ({ path: pathOf(path), code: type, message: message.slice(0, 300) })),
  };
}

const validated = (schema: Schema, body: unknown, abortEarly: boolean) =>
  schema.validate(body, { abortEarly, convert: false, presence: 'required', errors: { wrap: { label: false } } });

/** Values in a body, counted no further than asked. */
function sizeOf(body: unknown, most: number): number {
  const left = [body];
  let seen = 0;
  for (; left.length > 0 && seen < most; seen++) {
    const value = left.pop();
    if (value !== null && typeof value === 'object') left.push(...(Object.values(value) as unknown[]));
  }
  return seen;
}

/** A schema for every key of T, of its kind; the library's own strict form does not know readonly lists. */
export type SchemaKeys<T> = {
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
export const bodyOf = <T>(keys: SchemaKeys<T>): ObjectSchema<T> => nested<T>(keys).required();

/** The same within a body, of an item of a list or a member that may be left out. */
export function nested<T>(keys: SchemaKeys<T>): ObjectSchema<T> {
  const marked = Object.entries<Schema>(keys as Record<string, Schema>).map(([key, schema]) => [
    key,
    schema.$_getFlag('presence') === undefined ? schema.required() : schema,
  ]);
  return Joi.object<T>(Object.fromEntries(marked));
}
