import { ingredientFields, numbersOf, publishedIngredients, valueIn, imperial, metric } from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { outside } from './limits';
import { bareNumber, readTyped, shownAs, textOf } from './typed-number';

const fields = numbersOf(ingredientFields);

describe('a number of the registry as it is typed', () => {
  it('reads back what it shows, for every field of every published ingredient', () => {
    for (const one of Object.values(publishedIngredients()).slice(0, 60))
      for (const { path, field } of fields) {
        const value = valueIn(one, path) as number | undefined;
        if (typeof value !== 'number') continue;
        const read = readTyped(field, textOf(field, value));
        expect({ id: one.id, path, ok: read.ok && Math.abs((read.value ?? NaN) - value) <= 1e-9 * Math.max(1, Math.abs(value)) }).toEqual({
          id: one.id,
          path,
          ok: true,
        });
      }
  });

  it('takes its own limits, and says them where it is over', () => {
    for (const { field } of fields) {
      const { times } = shownAs(field);
      const high = Number((field.high * times).toPrecision(6));
      expect(readTyped(field, String(high)).ok).toBe(true);
      const over = readTyped(field, String(high * 1.5 + 1));
      expect(over.ok ? '' : over.problem).toContain(String(high));
    }
  });

  it('is none where nothing is typed, and no number where it is none', () => {
    const { field } = fields[0]!;
    expect(readTyped(field, '  ')).toEqual({ ok: true, value: undefined });
    expect(readTyped(field, 'much')).toMatchObject({ ok: false, problem: expect.stringContaining('much') });
    expect(['12,4', '-3', '0.8', '1e3', ''].map(bareNumber)).toEqual([12.4, -3, 0.8, undefined, undefined]);
  });
});

describe('limits', () => {
  it('are said in the baker’s unit, and only where they are broken', () => {
    expect(outside(30, 0, 45, 'temperature', voiceOf())).toBeUndefined();
    expect(outside(60, 0, 45, 'temperature', voiceOf(metric))).toMatch(/0 to 45 °C/);
    expect(outside(60, 0, 45, 'temperature', voiceOf(imperial))).toMatch(/32 to 113 °F/);
  });
});
