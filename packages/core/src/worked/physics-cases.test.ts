import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { independent, updated } from '../math/belief.js';
import { BakeMarch } from '../bake/slab/march.js';
import { compileBake } from '../bake/slab/problem.js';
import { browningOfTone } from '../bake/tone.js';
import { liquidTemperature } from '../dough/temperature.js';
import { conduct } from '../chill/conduction.js';
import { uptake } from '../keep/keep.js';
import { firstReach } from '../math/interpolate.js';
import { constantMaterial } from '../matter/cold-enthalpy.js';
import { freezing } from '../matter/freezing.js';
import { glassTransitionC } from '../matter/glass.js';
import { perDry } from '../matter/make-up.js';
import { bakedSolids, solidsOf, waterActivity } from '../matter/sorption.js';
import { thermalProperties } from '../matter/thermal.js';
import { browning, layerResistance } from '../facts/oven.js';
import type { BakeProblem, BakeSpec } from '../bake/slab/problem.js';
import type { BakeKind } from '../facts/oven.js';
import type { MakeUp } from '../matter/make-up.js';
import type { TrayLayer } from '../document/formula.js';
import type { TrayMaterial } from '../document/kitchen.js';

/** Check cases in SI, each with where its answer comes from (`basis`). */
type Case = {
  id: string;
  call: string;
  input: Record<string, never>;
  expect: Record<string, number>;
  tol: Record<string, number>;
  basis: string;
};
const { cases, referredWith } = JSON.parse(readFileSync(join(__dirname, 'physics-cases.json'), 'utf8')) as {
  cases: Case[];
  referredWith: Record<'contact' | 'panContact' | 'edgeShare' | 'edgeVent' | 'airVapourPa' | 'browningRate', number>;
};

const nothing: MakeUp = { water: 0, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 };
const makeUp = (comp: Partial<MakeUp>): MakeUp => ({ ...nothing, ...comp });

type CaseBake = {
  comp: Partial<MakeUp>;
  family?: string;
  gas0?: number;
  expansion?: number;
  structure?: number;
  thickness: number;
  T0?: number;
  diameter?: number;
  tray?: string;
  layer?: string;
  stages: { minutes: number; T: number; cover?: 1 }[];
  colourFactor?: number;
  fat?: 'butter';
  traysAtOnce?: 1 | 2;
  offset?: number;
};
const trays: Record<string, TrayMaterial> = { aluminium: 'aluminium', 'dark-steel': 'darkSteel', 'metal-pan': 'metalPan' };
const kinds: Record<string, BakeKind> = { 'cracker-leavened': 'crackerLeavened' };

function specOf(input: CaseBake): BakeSpec {
  return {
    makeUp: makeUp(input.comp),
    kind: kinds[input.family ?? ''] ?? 'cracker',
    kindFacts: {
      vapourPath: 1,
      ...(input.gas0 === undefined ? {} : { firstPores: input.gas0 }),
      ...(input.expansion === undefined ? {} : { expansion: input.expansion }),
      ...(input.structure === undefined ? {} : { vapourPath: input.structure }),
    },
    thicknessMm: input.thickness * 1000,
    startC: input.T0 ?? 20,
    acrossMm: (input.diameter ?? 0) * 1000,
    tray: trays[input.tray ?? 'aluminium']!,
    layer: (input.layer === 'parchment' ? 'paper' : 'none') as TrayLayer,
    traysAtOnce: input.traysAtOnce ?? 1,
    fat: input.fat ?? null,
    browningFactor: input.colourFactor ?? 1,
    settings: input.stages.map(({ minutes, T, cover }) => ({
      min: minutes,
      airC: T + (input.offset ?? 0),
      air: 'static',
      covered: cover === 1,
    })),
  };
}

/** The reference ran with the parameters of its day (`referredWith`); the equations are ours, the facts have been fitted since. */
function asReferred(spec: BakeSpec): BakeProblem {
  const problem = compileBake(spec);
  const { contact, panContact, edgeShare, edgeVent, airVapourPa, browningRate } = referredWith;
  return {
    ...problem,
    trayContact: 1 / (1 / (spec.tray === 'metalPan' ? panContact : contact) + layerResistance.values[spec.layer]),
    edgeShare,
    edgeVent,
    browningFactor: (problem.browningFactor * browningRate) / browning.values.rateAtRef,
    settings: problem.settings.map((setting) => ({ ...setting, airVapourPa })),
  };
}

/** Minutes until dry and brown enough, as the direction cases ask. */
function doneMin(input: CaseBake & { done: { mw: number; col: number } }): number {
  const { trajectory } = new BakeMarch(24).run(asReferred(specOf(input)));
  const dry = firstReach(trajectory.min, trajectory.moistureX, input.done.mw / (1 - input.done.mw), 'falling');
  const darker = trajectory.browningTop.map((top, i) => Math.max(top, trajectory.browningBase[i]!));
  return Math.max(dry, firstReach(trajectory.min, darker, input.done.col, 'rising'));
}

const last = (series: readonly number[]) => series[series.length - 1]!;
const near = (value: number, expected: number, tol: Record<string, number>) =>
  expect(Math.abs(value - expected)).toBeLessThanOrEqual(tol['abs'] ?? tol['rel']! * Math.abs(expected));

const checks: Record<string, (one: Case) => void> = {
  thermo: ({ input, expect: wanted, tol }) => {
    const { comp, T } = input as unknown as { comp: Partial<MakeUp>; T: number };
    const { density, conductivity, heatCapacity } = thermalProperties(makeUp(comp), T);
    near(density, wanted['rho']!, tol);
    near(conductivity, wanted['k']!, tol);
    near(heatCapacity, wanted['cp']!, tol);
  },
  waterActivity: ({ input, expect: wanted, tol }) => {
    const { comp, dissolved } = input as unknown as { comp: Partial<MakeUp>; dissolved: number };
    near(waterActivity(solidsOf(makeUp(comp), dissolved), comp.water!), wanted['aw']!, tol);
  },
  freezing: ({ input, expect: wanted, tol }) => {
    const { comp, T } = input as unknown as { comp: Partial<MakeUp>; T: number };
    const { firstIceC, iceShareAt } = freezing(makeUp(comp));
    near(firstIceC, wanted['Tf']!, tol);
    near(iceShareAt(T), wanted['ice']!, tol);
  },
  chillConstant: ({ input, expect: wanted, tol }) => {
    const i = input as unknown as {
      geometry: 'slab' | 'cylinder' | 'sphere';
      size: number;
      rho: number;
      k: number;
      cp: number;
      T0: number;
      Tair: number;
      h: number;
      seconds: number;
    };
    const cooling = conduct({
      form: i.geometry,
      sizeMm: i.size * 1000,
      material: constantMaterial(i.rho, i.cp, i.k),
      startC: i.T0,
      exposures: [{ min: i.seconds / 60, topWPerM2K: i.h, bottomWPerM2K: i.h, topC: i.Tair, bottomC: i.Tair }],
    });
    near(last(cooling.middleC), wanted['Tcore']!, tol);
    near(last(cooling.rimC), wanted['Tsurface']!, tol);
  },
  storageSealed: ({ input, expect: wanted, tol }) => {
    const i = input as unknown as {
      comp: Partial<MakeUp>;
      X0: number;
      RH: number;
      T: number;
      permeance: number;
      dryMass: number;
      awEnd: number;
    };
    // The reference knows sugar as a solution only.
    const solids = { ...bakedSolids(solidsOf(perDry(makeUp(i.comp)))), glassySugar: false };
    const { softAfterDays, endX } = uptake({
      solids,
      startX: i.X0,
      humidity: i.RH,
      roomC: i.T,
      conductance: i.permeance / i.dryMass,
      endActivity: i.awEnd,
    });
    near(softAfterDays, wanted['days']!, tol);
    near(endX, wanted['Xend']!, tol);
  },
  liquidTemperature: ({ input, expect: wanted, tol }) => {
    const i = input as unknown as {
      parts: { m: number; cp: number; T: number }[];
      liquid: { m: number };
      target: number;
      frictionK: number;
    };
    const parts = i.parts.map(({ m, cp, T }) => ({ massKg: m, heat: cp, atC: T }));
    near(liquidTemperature(parts, i.liquid.m, i.target, i.frictionK).atC, wanted['liquidT']!, tol);
  },
  bayes: ({ input, expect: wanted, tol }) => {
    const i = input as unknown as { priorMean: number[]; priorSd: number[]; X: number[][]; y: number[]; noise: number; x: number[] };
    const noise = i.y.map((_, a) => i.y.map((__, b) => (a === b ? i.noise ** 2 : 0)));
    const after = updated(independent(i.priorMean, i.priorSd), i.X, i.y, noise);
    (wanted['mean'] as unknown as number[]).forEach((mean, n) => near(after.mean[n]!, mean, tol));
    near(
      i.x.reduce((sum, x, n) => sum + x * after.mean[n]!, 0),
      wanted['predMean']!,
      tol,
    );
    const variance = i.x.reduce((sum, x, a) => sum + i.x.reduce((of, z, b) => of + x * after.covariance[a]![b]! * z, 0), 0);
    near(Math.sqrt(variance), wanted['predSd']!, tol);
  },
  glass: ({ input, expect: wanted, tol }) => {
    const { comp, moistureWet } = input as unknown as { comp: Partial<MakeUp>; moistureWet: number };
    near(glassTransitionC(solidsOf(perDry(makeUp(comp))), moistureWet / (1 - moistureWet)), wanted['Tg']!, tol);
  },
  compareBake: ({ input, expect: wanted }) => {
    const { base, change } = input as unknown as { base: CaseBake & { done: { mw: number; col: number } }; change: Partial<CaseBake> };
    const change01 = doneMin({ ...base, ...change }) / doneMin(base) - 1;
    expect(change01 * wanted['sign']!).toBeGreaterThanOrEqual(wanted['minRel']!);
  },
  balance: ({ input, expect: wanted }) => {
    const { balance } = new BakeMarch(24).run(asReferred(specOf((input as unknown as { base: CaseBake }).base)));
    expect(Math.abs(balance.waterOutKg / balance.waterLostKg - 1)).toBeLessThan(wanted['mass']!);
    expect(Math.abs(balance.heatInJ - balance.heatGainedJ) / balance.heatTakenInJ).toBeLessThan(wanted['energy']!);
  },
};

describe('physics check cases', () => {
  it.each(cases.map((one) => [`${one.id} (${one.basis})`, one] as const))('%s', (_title, one) => {
    expect(checks[one.call]).toBeDefined();
    checks[one.call]!(one);
  });

  it('has browning begin at the palest tone', () => expect(browningOfTone(1)).toBe(0));
});
