import * as binders from './binders.js';
import * as blendLimits from './blend-limits.js';
import * as boxes from './boxes.js';
import * as cups from './cups.js';
import * as markets from './markets.js';
import * as measures from './measures.js';
import * as gluten from './gluten.js';
import * as origins from './origins.js';
import * as suits from './suits.js';
import * as cold from './cold.js';
import * as dough from './dough.js';
import * as fats from './fats.js';
import * as keeping from './keeping.js';
import * as keepingDough from './keeping-dough.js';
import * as mixing from './mixing.js';
import * as sheet from './sheet.js';
import * as learning from './learning.js';
import * as laminating from './laminating.js';
import * as swaps from './swaps.js';
import * as wheat from './wheat.js';
import * as oven from './oven.js';
import * as run from './run.js';
import * as symptoms from './symptoms.js';
import * as sorption from './sorption.js';
import * as texture from './texture.js';
import * as thermal from './thermal.js';
import type { Fact, FactTable } from './fact.js';

type Named = readonly [name: string, fact: Fact | FactTable<unknown>];
const facts: Named[] = Object.entries({
  binders,
  blendLimits,
  boxes,
  markets,
  cups,
  measures,
  gluten,
  origins,
  suits,
  cold,
  dough,
  fats,
  keeping,
  keepingDough,
  mixing,
  sheet,
  laminating,
  learning,
  swaps,
  wheat,
  oven,
  run,
  symptoms,
  sorption,
  texture,
  thermal,
}).flatMap(([group, module]) =>
  Object.entries(module)
    .filter(([, value]) => value !== null && typeof value === 'object' && 'basis' in value)
    .map(([name, value]): Named => [`${group}.${name}`, value as Fact]),
);
const numbersIn = (value: unknown): number[] =>
  typeof value === 'number' ? [value] : value !== null && typeof value === 'object' ? Object.values(value).flatMap(numbersIn) : [];

describe('every number we did not compute', () => {
  it('is there: dozens of them', () => expect(facts.length).toBeGreaterThan(70));

  it.each(facts)('%s has a unit, a basis and a source', (_name, fact) => {
    expect(fact.unit).toMatch(/\S/);
    expect(['published', 'fromMemory', 'commonPractice', 'judgement']).toContain(fact.basis);
    expect(fact.source.length).toBeGreaterThan(8);
  });

  it.each(facts)('%s holds finite numbers only', (_name, fact) => {
    for (const number of numbersIn('value' in fact ? fact.value : fact.values)) expect(Number.isFinite(number)).toBe(true);
  });

  it('a rule of the trade says that it has no source', () => {
    for (const [name, { basis, source }] of facts) {
      if (basis === 'commonPractice') expect({ name, says: /no source|handbooks|practice/.test(source) }).toEqual({ name, says: true });
    }
  });

  it('every texture size is judgement, with a spread as long as no bake has spoken', () => {
    expect(texture.textureWeights.basis).toBe('judgement');
    for (const { firm, crisp, step } of Object.values(texture.textureWeights.values)) {
      expect(firm[1]).toBeGreaterThan(0);
      expect(crisp[1]).toBeGreaterThan(0);
      expect(step).toBeGreaterThan(0);
    }
  });

  it('solid-fat curves only fall as it gets warmer', () => {
    for (const { atC, solidPercent } of Object.values(fats.solidFatCurves.values)) {
      expect(atC).toHaveLength(solidPercent.length);
      for (let i = 1; i < atC.length; i++) {
        expect(atC[i]!).toBeGreaterThan(atC[i - 1]!);
        expect(solidPercent[i]!).toBeLessThanOrEqual(solidPercent[i - 1]!);
      }
    }
  });
});
