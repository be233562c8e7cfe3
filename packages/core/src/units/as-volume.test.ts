import fc from 'fast-check';
import { publishedIngredients } from '../ingredient/published.js';
import { asVolume } from './as-volume.js';
import { massOfVolume } from './volume.js';
import { readWant } from './read-want.js';

const WHITE_RICE = { spoonedGPerMl: 0.5114 };

describe('a weight given back in cups', () => {
  // A cup of water is 236.6 g, a tablespoon 14.8 g, a teaspoon 4.93 g: US measures by NIST Handbook 44, appendix C, and 1 g/ml (at 4 C).
  it.each([
    [236.6, '1', 'cup'],
    [118.3, '½', 'cup'],
    [315.5, '1⅓', 'cup'],
    [59.1, '¼', 'cup'],
    [44.4, '3', 'tablespoon'],
    [22.2, '1½', 'tablespoon'],
    [14.8, '1', 'tablespoon'],
    [4.93, '1', 'teaspoon'],
    [2.46, '½', 'teaspoon'],
    [0.62, '⅛', 'teaspoon'],
  ])('%p g of water is %s %s', (g, written, unit) => {
    expect(asVolume(g, { spoonedGPerMl: 1 })).toMatchObject({ written, unit });
    expect(Math.abs(asVolume(g, { spoonedGPerMl: 1 })!.offShare)).toBeLessThan(0.01);
  });

  it('says nothing where no measure is small enough, or nobody knows what a cup of it weighs', () => {
    expect(asVolume(0.2, { spoonedGPerMl: 1 })).toBeNull();
    expect(asVolume(0, WHITE_RICE)).toBeNull();
    expect(asVolume(100, { spoonedGPerMl: null })).toBeNull();
  });

  it('law: it is what the table says such measures weigh, and never further off than half a step of them', () => {
    const known = Object.values(publishedIngredients()).filter(({ spoonedGPerMl }) => spoonedGPerMl);
    fc.assert(
      fc.property(fc.constantFrom(...known), fc.double({ min: 0.5, max: 2000, noNaN: true }), ({ spoonedGPerMl, teaspoonG }, g) => {
        const of = asVolume(g, { spoonedGPerMl, teaspoonG });
        if (!of) return;
        const { massG } = massOfVolume({ unit: of.unit, count: of.count, filling: 'spooned', spoonedGPerMl: spoonedGPerMl!, teaspoonG });
        expect(massG / g - 1).toBeCloseTo(of.offShare, 9);
        // Widest: between an eighth and a quarter of a teaspoon.
        expect(Math.abs(of.offShare)).toBeLessThanOrEqual(1 / 3 + 1e-9);
      }),
    );
  });
});

describe('an oven as recipes write it', () => {
  it.each([
    ['180 fan', 'still', 200, 'fan'],
    ['180 fan', 'fan', 180, undefined],
    ['200 no fan', 'fan', 180, 'still'],
    ['200C conventional', 'fan', 180, 'still'],
    ['180 °C fan oven', 'still', 200, 'fan'],
    ['350F convection', 'still', 196.7, 'fan'],
    ['gas 6', 'still', 204.4, undefined],
    ['180', 'still', 180, undefined],
  ] as const)('%s in an oven with %s air is %p C', (typed, here, atC, meantFor) => {
    const read = readWant(typed, 'C', here);
    expect(read).toMatchObject({ ok: true, ...(meantFor && { meantFor }) });
    expect(read.ok && read.value).toBeCloseTo(atC, 1);
    if (!meantFor) expect(read).not.toHaveProperty('meantFor');
  });
  it('what is no temperature is refused, its reason about the number', () => {
    expect(readWant('hot fan', 'C', 'fan')).toMatchObject({ ok: false });
    expect(readWant('', 'C', 'fan')).toMatchObject({ ok: false, reason: 'is empty: type a number' });
  });
});
