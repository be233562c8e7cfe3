import { families } from '../facts/families.js';
import { familyAt } from './family-at.js';
import { bakeCaseFor } from '../evaluate.js';
import { bakeUntilOver } from '../bake/doneness.js';
import { BakeMarch } from '../bake/slab/march.js';
import { referenceFormula, referencePantry } from '../solve/reference.js';
import { referenceKitchen } from '../solve/reference-kitchen.js';
import { boilsAtC, pressureAt } from './pressure.js';

describe('a kitchen above the sea', () => {
  // ICAO standard atmosphere, Doc 7488: 1 000 m 89 875 Pa, 2 000 m 79 495 Pa, 3 000 m 70 109 Pa (from memory).
  it.each([
    [0, 101325],
    [1000, 89875],
    [2000, 79495],
    [3000, 70109],
  ])('%d m: the air weighs %d Pa', (altitudeM, pascal) => expect(pressureAt(altitudeM) / pascal).toBeCloseTo(1, 3));
  // Steam tables, saturation (from memory): 89.88 kPa 96.7 C, 79.50 kPa 93.3 C, 70.11 kPa 90.0 C.
  it.each([
    [0, 100],
    [1000, 96.7],
    [2000, 93.3],
    [3000, 90.0],
  ])('%d m: water boils at %d C', (altitudeM, celsius) => expect(Math.abs(boilsAtC(pressureAt(altitudeM)) - celsius)).toBeLessThan(0.15));

  const first = referenceFormula(families['muffin']!);
  const at = (altitudeM: number) => bakeCaseFor(first, { ...referenceKitchen, altitudeM }, referencePantry)!;
  it('no middle is asked to be hotter than water can be there, and gets as hot as is asked', () => {
    expect(at(0).limits.coreC).toBe(families['muffin']!.doneCoreC);
    for (const altitudeM of [1500, 3000]) {
      const { limits, problem, rule } = at(altitudeM);
      expect(limits.coreC!).toBeLessThanOrEqual(boilsAtC(pressureAt(altitudeM)) - 1.9);
      expect(bakeUntilOver(new BakeMarch(24), problem, rule, { longestMin: 90 }).times.throughMin).not.toBeNull();
    }
  });
  it('its middle stays under the boiling point of its height, at the sea too', () => {
    for (const altitudeM of [0, 3000]) {
      const { problem, rule } = at(altitudeM);
      const { trajectory } = bakeUntilOver(new BakeMarch(24), problem, { ...rule, dark: 2 }, { longestMin: 5, atLeastMin: 35 });
      // Sugar and salt in it raise that by a kelvin or two.
      expect(Math.max(...trajectory.middleC)).toBeLessThan(boilsAtC(pressureAt(altitudeM)) + 4);
    }
  });
  it('takes less leavener as the air thins, by as much as gas swells; at the sea nothing changes', () => {
    const { leavenerPercent } = families['muffin']!;
    expect(familyAt(families['muffin']!, 0)).toBe(families['muffin']);
    familyAt(families['muffin']!, 2000).leavenerPercent.forEach((percent, i) =>
      expect(percent).toBeCloseTo(0.7846 * leavenerPercent[i]!, 3),
    );
  });
});
