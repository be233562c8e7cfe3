import { celsiusOf, fahrenheitOf, gramsOf, mmOf } from './convert.js';
import { readQuantity } from './read-quantity.js';
import { roundTo } from './rounding.js';
import type { QuantityKind } from './convert.js';

describe('units', () => {
  it('convert by their definitions (international pound and inch of 1959)', () => {
    expect(gramsOf(16)).toBeCloseTo(453.59237, 8);
    expect(mmOf(1)).toBe(25.4);
    expect(fahrenheitOf(100)).toBe(212);
    expect(celsiusOf(32)).toBe(0);
  });

  it.each<[string, QuantityKind, string, number]>([
    ['62', 'mass', 'g', 62],
    ['62', 'mass', 'oz', 1757.67],
    ['527g', 'mass', 'oz', 527],
    ['18 oz', 'mass', 'g', 510.291],
    ['1 1/2 in', 'length', 'mm', 38.1],
    ['3/8in', 'length', 'mm', 9.525],
    ['350F', 'temperature', 'C', 176.667],
    ['175 °C', 'temperature', '°F', 175],
    ['62%', 'percent', '%', 62],
    ['1h20', 'minutes', 'min', 80],
    ['2,5', 'length', 'mm', 2.5],
    ['-5', 'mass', 'g', -5],
  ])('reads %p as a %s', (typed, kind, bare, value) => {
    expect(readQuantity(typed, kind, bare)).toEqual({ ok: true, value: expect.closeTo(value, 2) });
  });

  it.each<[string, QuantityKind]>([
    ['', 'mass'],
    ['abc', 'mass'],
    ['12 parsec', 'length'],
    ['1/0', 'mass'],
  ])('says why %p cannot be read', (typed, kind) => {
    expect(readQuantity(typed, kind, 'g')).toMatchObject({ ok: false, reason: expect.stringMatching(/\w/) });
  });

  it('round to a step, to the safe side when asked', () => {
    expect(roundTo(12.34, 0.5)).toBe(12.5);
    expect(roundTo(12.01, 1, 'up')).toBe(13);
    expect(roundTo(12.99, 1, 'down')).toBe(12);
    expect(roundTo(13, 1, 'up')).toBe(13);
  });
});
