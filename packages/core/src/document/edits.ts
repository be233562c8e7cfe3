export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** One change at one place of a document (JSON Pointer). No `from`: added. No `to`: removed. */
export type Edit = { readonly path: string; readonly from?: Json; readonly to?: Json };

export class EditRefused extends Error {
  constructor(readonly edit: Edit) {
    super(`${edit.path} no longer holds what this change started from`);
    this.name = 'EditRefused';
  }
}

/**
 * The document after a list of edits, in order; the one given is left as it was.
 *
 * Units    none.
 * Throws   EditRefused where a place no longer holds the edit's `from`; nothing is applied then.
 * Findings none.
 * Source   JSON Pointer, RFC 6901.
 *
 * @example
 * applyEdits({ a: [1, 2] }, [{ path: '/a/0', from: 1, to: 5 }]); // => { a: [5, 2] }
 */
export function applyEdits<T>(document: T, edits: readonly Edit[]): T {
  return edits.reduce<Json>((now, edit) => applyAt(now, keysOf(edit.path), edit), document as Json) as T;
}

/**
 * The edits that take back a list of edits.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * inverseOf([{ path: '/a', from: 1, to: 2 }]); // => [{ path: '/a', from: 2, to: 1 }]
 */
export function inverseOf(edits: readonly Edit[]): Edit[] {
  return [...edits].reverse().map(({ path, from, to }) => ({
    path,
    ...(to === undefined ? {} : { from: to }),
    ...(from === undefined ? {} : { to: from }),
  }));
}

/**
 * What stands at a path, or undefined.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   paths as in RFC 6901.
 *
 * @example
 * valueAt({ a: [1, 2] }, '/a/1'); // => 2
 */
export function valueAt(document: unknown, path: string): Json | undefined {
  let now = document as Json | undefined;
  for (const key of keysOf(path)) {
    if (now === null || typeof now !== 'object') return undefined;
    now = (now as Record<string, Json>)[key];
  }
  return now;
}

/**
 * The edits that lead from one document to another, leaf by leaf; rows added or removed at the end of a list.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   paths as in RFC 6901.
 *
 * @example
 * editsBetween({ a: 1 }, { a: 2 }); // => [{ path: '/a', from: 1, to: 2 }]
 */
export function editsBetween(from: unknown, to: unknown, path = ''): Edit[] {
  if (same(from as Json, to as Json)) return [];
  if (Array.isArray(from) && Array.isArray(to)) {
    const common = Math.min(from.length, to.length);
    const edits = from.slice(0, common).flatMap((item, i) => editsBetween(item, to[i], `${path}/${i}`));
    for (let i = from.length - 1; i >= common; i--) edits.push({ path: `${path}/${i}`, from: from[i] as Json });
    for (let i = common; i < to.length; i++) edits.push({ path: `${path}/${i}`, to: to[i] as Json });
    return edits;
  }
  if (isObject(from) && isObject(to)) {
    return [...new Set([...Object.keys(from), ...Object.keys(to)])].flatMap((key) =>
      editsBetween(from[key], to[key], `${path}/${escape(key)}`),
    );
  }
  return [{ path, ...(from === undefined ? {} : { from: from as Json }), ...(to === undefined ? {} : { to: to as Json }) }];
}

function applyAt(now: Json, keys: readonly string[], edit: Edit): Json {
  const [key, ...rest] = keys;
  if (key === undefined) {
    if (edit.from !== undefined && !same(now, edit.from)) throw new EditRefused(edit);
    return edit.to ?? null;
  }
  if (Array.isArray(now)) return applyInList(now as readonly Json[], Number(key), rest, edit);
  if (!isObject(now)) throw new EditRefused(edit);
  const held = now[key];
  if (rest.length > 0) {
    if (held === undefined) throw new EditRefused(edit);
    return { ...now, [key]: applyAt(held, rest, edit) };
  }
  if (!same(held, edit.from)) throw new EditRefused(edit);
  if (edit.to !== undefined) return { ...now, [key]: edit.to };
  const { [key]: _removed, ...left } = now;
  return left;
}

function applyInList(now: readonly Json[], at: number, rest: readonly string[], edit: Edit): Json {
  const list = [...now];
  if (!Number.isInteger(at) || at < 0 || at > list.length) throw new EditRefused(edit);
  if (rest.length > 0) list[at] = applyAt(list[at] as Json, rest, edit);
  else if (edit.from === undefined) list.splice(at, 0, edit.to as Json);
  else if (!same(list[at] as Json, edit.from)) throw new EditRefused(edit);
  else if (edit.to === undefined) list.splice(at, 1);
  else list[at] = edit.to;
  return list;
}

function keysOf(path: string): string[] {
  return path === ''
    ? []
    : path
        .slice(1)
        .split('/')
        .map((key) => key.replaceAll('~1', '/').replaceAll('~0', '~'));
}

const escape = (key: string) => key.replaceAll('~', '~0').replaceAll('/', '~1');
const isObject = (value: unknown): value is Record<string, Json> => typeof value === 'object' && value !== null && !Array.isArray(value);

function same(a: Json | undefined, b: Json | undefined): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => same(item, b[i]));
  if (isObject(a) && isObject(b)) {
    const keys = Object.keys(a);
    return keys.length === Object.keys(b).length && keys.every((key) => same(a[key], b[key]));
  }
  return false;
}
