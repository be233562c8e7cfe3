import { celsiusOf, fahrenheitOf, gramsOf, mmOf } from './convert.js';
import fc from 'fast-check';
import { readQuantity } from './read-quantity.js';
import {
  fromUnits,
  imperial,
  inUnits,
  metric,
  showQuantity,
  showStock,
  showValue,
  spoken,
  unitOf,
  unitSets,
  type ShownKind,
  type Units,
} from './show.js';
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

describe('what a baker reads', () => {
  const gas = unitSets[3]!;
  it.each<[number, ShownKind, Units, string, string]>([
    [131.4, 'mass', metric, '131 g', '131.4 g'],
    [3.64, 'mass', metric, '3.6 g', '3.6 g'],
    [100, 'mass', imperial, '3.53 oz', '3.53 oz'],
    [282.4, 'length', metric, '282 mm', '282.4 mm'],
    [2.4, 'length', metric, '2.4 mm', '2.4 mm'],
    [2.4, 'length', imperial, '0.094 in', '0.094 in'],
    [300, 'size', imperial, '11.81 in', '11.81 in'],
    [15.4, 'temperature', metric, '15 °C', '15.4 °C'],
    [15.4, 'temperature', imperial, '60 °F', '60 °F'],
    // Gas marks: common practice, no source.
    [204.4, 'oven', gas, 'mark 6', 'mark 6'],
    [15.4, 'temperature', gas, '15 °C', '15.4 °C'],
    [20, 'difference', imperial, '36 °F', '36 °F'],
    [25.4, 'thin', imperial, '0.001 in', '0.001 in'],
    [0.034, 'share', metric, '3.4 %', '3.4 %'],
    [3.9, 'days', metric, '3 days', '3 days'],
    [1.2, 'days', metric, '1 day', '1 day'],
    [184, 'trace', metric, '180 µg/kg', '184 µg/kg'],
    [95, 'wait', metric, '1 h 35', '1 h 35'],
  ])('%d as %s in %j: said “%s”, held “%s”', (value, kind, units, said, held) => {
    expect([spoken(units)(value, kind), showQuantity(value, kind, units)]).toEqual([said, held]);
  });

  it('what a field shows and a baker leaves reads back as it stood (property)', () => {
    const kinds = ['mass', 'length', 'temperature', 'oven', 'difference', 'minutes'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.constantFrom(...unitSets),
        fc.double({ min: 110, max: 250, noNaN: true }),
        (kind, units, value) => {
          const read = readQuantity(inUnits(value, kind, units).toFixed(9), kind, unitOf(kind, units));
          expect(read.ok && read.value).toBeCloseTo(value, 5);
          expect(fromUnits(inUnits(value, kind, units), kind, units)).toBeCloseTo(value, 6);
        },
      ),
      { seed: 18 },
    );
  });

  it.each([
    ['mark 4', 176.67],
    ['gas mark 4', 176.67],
    ['gas 4½', 183.61],
    ['350F', 176.67],
    ['180 C', 180],
  ])('an oven takes %s', (typed, c) => expect(readQuantity(typed, 'oven', 'C')).toMatchObject({ ok: true, value: expect.closeTo(c, 2) }));

  it('a field of a gas oven shows halves of a mark, whatever its digits', () => {
    expect([180, 183.61, 190.56].map((c) => showValue(c, 'oven', unitSets[3]!, 0))).toEqual(['4', '4.5', '5']);
  });

  it('a shelf label: g to a kilogram, ounces to two pounds (16 oz by definition)', () => {
    expect([640, 3100].map((g) => showStock(g, metric))).toEqual(['640 g', '3.1 kg']);
    expect([640, 3100].map((g) => showStock(g, imperial))).toEqual(['22.6 oz', '6.8 lb']);
  });
});
