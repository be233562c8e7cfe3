import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fits } from '../math/linear-model.js';
import { blendModel } from '../solve/blends/blend-model.js';
import { findBlends } from '../solve/blends/find-blend.js';
import { wholeSteps } from '../solve/blends/whole-steps.js';
import { anEngine } from './an-engine.js';
import type { LinearEngine } from '../math/linear-model.js';
import type { BlendSpec, BlendWish } from '../solve/blends/blend-spec.js';

/** Cases whose answers come from scipy.optimize.milp with a matrix built apart from ours (each says how). */
type CaseSpec = {
  batch: number;
  exclude: string[];
  maxCount: number;
  groups: { name: string; ids: string[]; lo: number; hi: number }[];
  attrs: { key: string; target?: number; lo?: number; hi?: number; hard?: boolean; scale: number; weight?: number }[];
  tieCost: number;
};
type Case = { id: string; fn: string; input: never; expect: never; tol: never };
type PantryItem = { id: string; comp: Record<string, number>; cost: number; allergens: string[]; minUse: number; maxUse: number };
const { cases, pantry } = JSON.parse(readFileSync(join(__dirname, 'planning-cases.json'), 'utf8')) as {
  cases: Case[];
  pantry: PantryItem[];
};
const of = (fn: string) => cases.filter((one) => one.fn === fn).map((one): [string, Case] => [one.id, one]);

function specOf(input: { ids: string[]; spec: CaseSpec }): BlendSpec {
  const { ids, spec } = input;
  const items = pantry
    .filter(({ id, allergens }) => ids.includes(id) && !allergens.some((allergen) => spec.exclude.includes(allergen)))
    .map(({ id, comp, cost, minUse, maxUse }) => ({ id, brings: { ...comp, cost }, lo: minUse, hi: maxUse }));
  return {
    items,
    wishes: spec.attrs.map(({ key, target, lo, hi, hard, scale, weight = 1 }): BlendWish => ({
      key,
      ...(target === undefined ? {} : { lo: target, hi: target }),
      ...(lo === undefined ? {} : { lo }),
      ...(hi === undefined ? {} : { hi }),
      ...(hard ? { hard } : {}),
      step: scale,
      weight,
    })),
    groups: spec.groups.map(({ name, ids: members, lo, hi }) => ({ name, ids: members, lo, hi })),
    most: spec.maxCount,
    tie: { key: 'cost', cost: spec.tieCost },
  };
}

let engine: LinearEngine;
beforeAll(async () => {
  engine = await anEngine();
});

describe('blends found', () => {
  it.each(of('blend.solve'))('%s has the optimum that scipy finds', (_id, one) => {
    const {
      input,
      expect: wanted,
      tol,
    } = one as {
      input: { ids: string[]; spec: CaseSpec };
      expect: { obj: number };
      tol: { obj_rel: number; obj_abs: number };
    };
    const spec = specOf(input);
    const answer = findBlends(spec, engine);
    if (answer.status !== 'found') throw new Error(answer.status);
    const [best] = answer.answers;
    expect(Math.abs(best!.cost - wanted.obj)).toBeLessThan(tol.obj_rel * wanted.obj + tol.obj_abs + 1e-9);
    const { model } = blendModel(spec);
    const solved = engine(model);
    expect(solved.status === 'optimal' && fits(model, solved.values)).toBe(true);
  });

  it.each(of('blend.explain'))('%s is impossible, and each limit alone gives as scipy says', (_id, one) => {
    const { input, expect: wanted } = one as {
      input: { ids: string[]; spec: CaseSpec };
      expect: { alone: Record<string, number> };
    };
    const answer = findBlends(specOf(input), engine);
    if (answer.status !== 'impossible') throw new Error(answer.status);
    const alone = Object.fromEntries(answer.conflict.alone.map(({ name, needed }) => [name, needed]));
    expect(Object.keys(alone).sort()).toEqual(Object.keys(wanted.alone).sort());
    for (const [name, value] of Object.entries(wanted.alone)) expect(Math.abs(alone[name]! - value)).toBeLessThan(1e-4);
    expect(answer.conflict.clash.length).toBeGreaterThan(1);
    // Leaving any one limit of the clash out makes the others possible.
    const names = answer.conflict.clash.map(({ name }) => name);
    const spec = specOf(input);
    for (const name of names) {
      const rest = {
        ...spec,
        wishes: spec.wishes.filter(({ key, hard }) => !hard || names.some((n) => n !== name && n.startsWith(`${key}.`))),
      };
      const { model } = blendModel({
        ...rest,
        groups: spec.groups.filter((group) => names.some((n) => n !== name && n.startsWith(`${group.name}.`))),
      });
      expect(engine(model).status).toBe('optimal');
    }
  });
});

describe('whole steps', () => {
  it.each(of('blend.roundGrams'))('%s', (_id, one) => {
    const { input, expect: wanted } = one as {
      input: { x: Record<string, number>; batch: number; step: number };
      expect: Record<string, number>;
    };
    expect(wholeSteps(Object.values(input.x), input.batch, input.step)).toEqual(Object.values(wanted));
  });
});
