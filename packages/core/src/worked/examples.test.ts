import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as core from '../index.js';

const ROOT = join(__dirname, '..');
type Example = { readonly file: string; readonly call: string; readonly says: string };

/** Every `call; // => what comes` behind an @example of the core's own words. */
const examples: readonly Example[] = readdirSync(ROOT, { recursive: true })
  .map(String)
  .filter((file) => file.endsWith('.ts') && !/\.test\.ts$|worked/.test(file))
  .flatMap((file) =>
    [...readFileSync(join(ROOT, file), 'utf8').matchAll(/@example\n((?: \* .*\n)+)/g)].flatMap(([, block]) => {
      const lines = block!.split('\n').map((line) => line.replace(/^ \* ?/, '').trim());
      return lines.flatMap((line) => {
        const [, call, says] = /^(.*?);?\s*\/\/ => (.*)$/.exec(line) ?? [];
        return call && says ? [{ file, call, says }] : [];
      });
    }),
  );

/** What examples call things they do not say. */
const ingredients = core.publishedIngredients();
const given: Readonly<Record<string, unknown>> = { ...core, ingredients };

/** The value that is told, or undefined where it is told in prose. */
function told(says: string): unknown {
  const value = says
    .replace(/\(shown rounded\)|^about |: .*does not pass$|\.\.\. }$/g, (cut) => (cut.startsWith('...') ? '}' : ''))
    .replace(/, (?:mark|a city) .*$/, '')
    .replace(/(\d)\.\.\.$/, '$1')
    .trim();
  try {
    return new Function(`return (${value})`)() as unknown;
  } catch {
    return undefined;
  }
}

/** As close as the digits that are told, or a hundredth where it is rounded. */
function expectClose(got: unknown, want: unknown, says: string): void {
  if (typeof want === 'number') {
    const digits = /\.(\d+)/.exec(says)?.[1]?.length ?? 0;
    const near = /about|rounded|\.\.\./.test(says) ? Math.abs(want) * 0.01 : 0.6 * 10 ** -digits;
    expect(Math.abs((got as number) - want)).toBeLessThanOrEqual(Math.max(near, 1e-9));
  } else if (want !== null && typeof want === 'object')
    for (const [key, value] of Object.entries(want)) expectClose((got as Record<string, unknown>)[key], value, says);
  else expect(got).toEqual(want);
}

const run = ({ file, call }: Example): unknown => {
  const scope = { ...given, ...(jest.requireActual(join(ROOT, file)) as object) };
  return new Function(...Object.keys(scope), `return (${call.replaceAll('!.', '.')})`)(...Object.values(scope)) as unknown;
};
/** Examples with a made-up argument (`a40mmSquare`, `cracker`) are read, not run. */
const runs = examples.filter((example) => {
  if (told(example.says) === undefined) return false;
  try {
    run(example);
    return true;
  } catch (error) {
    return !(error instanceof ReferenceError);
  }
});

describe('examples in the core’s own words', () => {
  it.each(runs)('$file: $call', (example) => expectClose(run(example), told(example.says), example.says));
  it('most of them are run', () => expect(runs.length / examples.length).toBeGreaterThan(0.6));
});
