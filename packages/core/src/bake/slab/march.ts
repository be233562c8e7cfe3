import { atmosphere } from '../../facts/altitude.js';
import { browning } from '../../facts/oven.js';
import { gasConstant } from '../../matter/freezing.js';
import { waterMolarMass } from '../../matter/sorption.js';
import { Slab } from './slab.js';
import { FROM_C, KELVINS, vapourPotentialPa } from './steam-tables.js';
import { sorbedWaterHeatCapacity } from '../../facts/thermal.js';
import type { BakeProblem, SettingNumbers } from './problem.js';
import type { Surroundings } from './slab.js';

/** One entry a time step. Browning 0 raw to 1 black; moisture kg water per kg dry, mean of the main layer; middle its middle; coldest of all. */
export type Trajectory = {
  readonly min: number[];
  readonly airC: number[];
  readonly topC: number[];
  readonly middleC: number[];
  readonly coldestC: number[];
  readonly moistureX: number[];
  /** Water left in the layers above the dough, as a share of what they began with; 1 without any. */ readonly aboveLeft: number[];
  readonly browningTop: number[];
  readonly browningBase: number[];
  /** Of the rim of a piece that stands free, which sees the oven on two sides; the top's where none does. */ readonly browningRim: number[];
  readonly thicknessMm: number[];
  /** Of the dough alone, without what lies on or in it. */ readonly doughMm: number[];
};

/** What went in and out, for the laws of conservation: state against summed fluxes, per m2. */
export type Balance = {
  readonly waterLostKg: number;
  readonly waterOutKg: number;
  readonly heatGainedJ: number;
  readonly heatInJ: number;
  readonly heatTakenInJ: number;
};

export type MarchOptions = {
  /** Ends the run early; asked after every step with the trajectory so far. */ readonly enough?: (so: Trajectory) => boolean;
  /** Error allowed a step: K and kg water per kg dry. */ readonly toleranceK?: number;
  readonly toleranceX?: number;
  /** How strongly cells crowd at the faces. */ readonly clustering?: number;
};

const GAMMA = 1 - Math.SQRT1_2;
const SHORTEST_STEP_S = 1e-3;
const LONGEST_STEP_S = 40;
const LEWIS_TO_TWO_THIRDS = 0.905;

/**
 * Marches a bake through time: coupled heat and water through the thickness of a piece on its tray.
 *
 * ROS2, a two-stage linearly implicit step with an embedded error estimate: L-stable, conservative in heat and water,
 * one factored Jacobian a step. Workspaces are kept between runs; nothing is allocated in a step but the trajectory.
 *
 * Units    a compiled problem (SI); trajectory in min, C, mm.
 * Throws   Error when the step shrinks to nothing: a fault of ours, not of the baker's input.
 * Findings none.
 * Source   Verwer, Spee, Blom & Hundsdorfer 1999 (ROS2); Chilton-Colburn for vapour leaving the surface.
 */
export class BakeMarch {
  private readonly slab: Slab;
  private readonly H: Float64Array;
  private readonly X: Float64Array;
  private readonly H1: Float64Array;
  private readonly X1: Float64Array;
  private readonly fH: Float64Array;
  private readonly fX: Float64Array;
  private readonly kH: Float64Array;
  private readonly kX: Float64Array;
  private readonly lH: Float64Array;
  private readonly lX: Float64Array;
  private readonly around: Surroundings = {
    airC: 0,
    wallC: 0,
    convection: 0,
    emissivity: 0,
    vapour: 0,
    airPotential: 0,
    covered: false,
    lifted: false,
    intake: true,
  };
  private aboveStart = 0;
  private dosesTop = 0;
  private dosesBase = 0;
  private dosesRim = 0;
  steps = 0;
  rejected = 0;

  constructor(readonly cells = 24) {
    const a = () => new Float64Array(cells + 2);
    this.slab = new Slab(cells);
    this.H = a();
    this.X = a();
    this.H1 = a();
    this.X1 = a();
    this.fH = a();
    this.fX = a();
    this.kH = a();
    this.kX = a();
    this.lH = a();
    this.lX = a();
  }

  run(p: BakeProblem, options: MarchOptions = {}): { trajectory: Trajectory; balance: Balance } {
    const { slab, H, X, H1, X1, fH, fX, kH, kX, lH, lX, around, cells } = this;
    const size = cells + 2;
    const { mass } = slab;
    const toleranceK = options.toleranceK ?? 1.6;
    const toleranceX = options.toleranceX ?? 6e-3;
    const so = emptyTrajectory();
    this.start(p, options.clustering ?? 2.8);
    const { covered } = p.settings[0]!;
    const before = this.totals(covered);
    let waterOut = 0;
    let heatIn = 0;
    let heatTakenIn = 0;
    let t = 0;
    let dt = 0.5;
    let airC = p.settings[0]!.airC;
    for (let g = 0; g < p.settings.length; g++) {
      const setting = p.settings[g]!;
      const from = t;
      const until = t + setting.seconds;
      const airFrom = (setting.airFromC ?? airC) - setting.airDropC;
      const airAt = (at: number) => setting.airC + (airFrom - setting.airC) * Math.exp(-(at - from) / setting.lagS);
      const surround = (at: number) => {
        airC = airAt(at);
        around.airC = airC;
        around.wallC = setting.wallC ?? airC;
      };
      enter(around, setting, p.pressurePa);
      const first = setting.covered ? 0 : 1;
      dt = Math.min(dt, g === 0 ? 0.5 : 2);
      surround(t);
      slab.rates(p, H, X, fH, fX, around, true);
      if (g === 0) this.note(so, p, t, airC);
      let rateTop = this.browningRate(p, slab.topC, slab.activity[1]!);
      let rateBase = this.browningRate(p, slab.bottomC, slab.activity[cells]!);
      let rateRim = this.browningRate(p, rimOf(p, slab.topC, airC), slab.activity[1]!);
      let [out0, net0, in0] = [slab.vapourOut, slab.heatIn - slab.vapourHeatOut, slab.heatIn];
      while (t < until - 1e-9) {
        if (t + dt > until) dt = until - t;
        else if (t + 2 * dt > until) dt = 0.5 * (until - t);
        slab.jacobian.factor(mass, size, GAMMA * dt, first);
        slab.jacobian.solve(fH, fX, kH, kX, size, first);
        for (let i = first; i < size; i++) {
          H1[i] = H[i]! + dt * kH[i]!;
          X1[i] = X[i]! + dt * kX[i]!;
        }
        surround(t + dt);
        slab.rates(p, H1, X1, fH, fX, around, false);
        for (let i = first; i < size; i++) {
          fH[i] = fH[i]! - 2 * mass[i]! * kH[i]!;
          fX[i] = fX[i]! - 2 * mass[i]! * kX[i]!;
        }
        slab.jacobian.solve(fH, fX, lH, lX, size, first);
        const error = this.stepError(dt, toleranceK, toleranceX);
        if (!(error <= 1) && dt > SHORTEST_STEP_S) {
          dt *= error > 0 ? Math.max(0.2, 0.85 / Math.sqrt(error)) : 0.2;
          if (++this.rejected > 20000) throw new Error('the bake did not advance');
          surround(t);
          slab.rates(p, H, X, fH, fX, around, true);
          continue;
        }
        if (Number.isNaN(error)) throw new Error('the bake lost its numbers');
        for (let i = first; i < size; i++) {
          H[i] = H[i]! + dt * (1.5 * kH[i]! + 0.5 * lH[i]!);
          X[i] = X[i]! + dt * (1.5 * kX[i]! + 0.5 * lX[i]!);
        }
        t += dt;
        this.steps++;
        surround(t);
        slab.rates(p, H, X, fH, fX, around, true);
        const nowTop = this.browningRate(p, slab.topC, slab.activity[1]!);
        const nowBase = this.browningRate(p, slab.bottomC, slab.activity[cells]!);
        this.dosesTop += 0.5 * dt * (rateTop + nowTop);
        this.dosesBase += 0.5 * dt * (rateBase + nowBase);
        const nowRim = this.browningRate(p, rimOf(p, slab.topC, airC), slab.activity[1]!);
        this.dosesRim += 0.5 * dt * (rateRim + nowRim);
        [rateTop, rateBase, rateRim] = [nowTop, nowBase, nowRim];
        const net1 = slab.heatIn - slab.vapourHeatOut;
        waterOut += 0.5 * dt * (out0 + slab.vapourOut);
        heatIn += 0.5 * dt * (net0 + net1);
        heatTakenIn += 0.5 * dt * (in0 + slab.heatIn);
        [out0, net0, in0] = [slab.vapourOut, net1, slab.heatIn];
        this.note(so, p, t, airC);
        if (options.enough?.(so)) {
          const after = this.totals(covered);
          return { trajectory: so, balance: balanceOf({ before, after }, waterOut, heatIn, heatTakenIn) };
        }
        dt = Math.min(LONGEST_STEP_S, dt * Math.min(2.5, Math.max(0.3, 0.85 / Math.sqrt(Math.max(error, 1e-4)))));
      }
    }
    return { trajectory: so, balance: balanceOf({ before, after: this.totals(covered) }, waterOut, heatIn, heatTakenIn) };
  }

  private start(p: BakeProblem, clustering: number): void {
    const { slab, H, X, H1, X1, cells } = this;
    slab.layOut(p, clustering);
    p.layers.forEach(({ startC, startX, dryEnthalpy: table }, n) => {
      const k = Math.max(0, Math.min(KELVINS - 1, Math.floor(startC - FROM_C)));
      const heat = table[k]! + (table[k + 1]! - table[k]!) * (startC - FROM_C - k) + startX * sorbedWaterHeatCapacity.value * startC;
      H.fill(heat, slab.firstOf(n), slab.lastOf(n) + 1);
      X.fill(startX, slab.firstOf(n), slab.lastOf(n) + 1);
    });
    this.aboveStart = p.layers.slice(0, p.main).reduce((sum, { dryMass, startX }) => sum + dryMass * startX, 0);
    H[0] = p.layers[0]!.startC;
    X[0] = 0;
    H1[0] = H[0];
    X1[0] = 0;
    H[cells + 1] = p.trayStartC ?? p.settings[0]!.airC;
    X[cells + 1] = 0;
    this.dosesTop = 0;
    this.dosesBase = 0;
    this.dosesRim = 0;
    this.steps = 0;
    this.rejected = 0;
  }

  private stepError(dt: number, toleranceK: number, toleranceX: number): number {
    const { kH, kX, lH, lX, cells } = this;
    const { capacity } = this.slab;
    let worst = 0;
    for (let i = 1; i <= cells; i++) {
      const heat = Math.abs((0.5 * dt * (kH[i]! + lH[i]!)) / (capacity[i]! * toleranceK));
      const water = Math.abs((0.5 * dt * (kX[i]! + lX[i]!)) / toleranceX);
      // Written so that a NaN is caught instead of passing a comparison.
      if (!(heat <= worst)) worst = heat;
      if (!(water <= worst)) worst = water;
      if (Number.isNaN(worst)) return NaN;
    }
    return worst;
  }

  /** First-order loss of lightness: faster when hot, fastest at middle water activity, nearly stopped while wet. 1/s. */
  private browningRate(p: BakeProblem, surfaceC: number, activity: number): number {
    const { rateAtRef, refC, activationJPerMol, slowsAtAw, peaksFromAw, dryShare } = browning.values;
    const hotter = 1 / (refC + 273.15) - 1 / (surfaceC + 273.15);
    const wet = (activity / slowsAtAw) ** 2;
    const moist = dryShare + ((1 - dryShare) * activity) / (activity + peaksFromAw);
    return (rateAtRef * p.browningFactor * Math.exp((activationJPerMol / gasConstant) * hotter) * moist) / (1 + wet * wet);
  }

  private note(so: Trajectory, p: BakeProblem, t: number, airC: number): void {
    const { slab, X, cells } = this;
    const { mass, temperature, thickness } = slab;
    let water = 0;
    let depth = 0;
    let coldest = Infinity;
    const from = slab.firstOf(p.main);
    // The wet skin of an open filling stays as cool as its evaporation: a probe reads below it.
    const below = p.main > 0 ? 1 + (slab.lastOf(0) >> 2) : 1;
    for (let i = 1; i <= cells; i++) {
      depth += thickness[i]!;
      if (i >= below && temperature[i]! < coldest) coldest = temperature[i]!;
    }
    const to = slab.lastOf(p.main);
    let dough = 0;
    for (let i = from; i <= to; i++) {
      water += mass[i]! * X[i]!;
      dough += thickness[i]!;
    }
    const half = (from + to) >> 1;
    so.min.push(t / 60);
    so.airC.push(airC);
    so.topC.push(slab.topC);
    so.middleC.push(0.5 * (temperature[half]! + temperature[half + 1]!));
    so.coldestC.push(coldest);
    so.moistureX.push(water / p.layers[p.main]!.dryMass);
    let above = 0;
    for (let i = 1; i < from; i++) above += mass[i]! * X[i]!;
    so.aboveLeft.push(this.aboveStart > 0 ? above / this.aboveStart : 1);
    so.browningTop.push(1 - Math.exp(-this.dosesTop));
    so.browningBase.push(1 - Math.exp(-this.dosesBase));
    so.browningRim.push(1 - Math.exp(-this.dosesRim));
    so.thicknessMm.push(depth * 1000);
    so.doughMm.push(dough * 1000);
  }

  /** Sums over the piece, its tray and what lies on it as long as it does. */
  private totals(covered: boolean): { water: number; heat: number } {
    const { slab, H, X, cells } = this;
    let water = 0;
    let heat = slab.mass[cells + 1]! * H[cells + 1]! + (covered ? slab.mass[0]! * H[0]! : 0);
    for (let i = 1; i <= cells; i++) {
      water += slab.mass[i]! * X[i]!;
      heat += slab.mass[i]! * H[i]!;
    }
    return { water, heat };
  }
}

/** Heat reaches the rim of a free piece from above and from the side. */
const rimOf = ({ rimShare }: BakeProblem, topC: number, airC: number): number => topC + rimShare * Math.max(0, airC - topC);

function enter(around: Surroundings, setting: SettingNumbers, pressurePa: number): void {
  around.covered = setting.covered;
  around.lifted = setting.lifted;
  around.intake = !setting.outside;
  around.convection = setting.convection;
  around.emissivity = setting.emissivity;
  const filmK = 0.5 * (setting.airC + 90) + 273.15;
  const airDensity = (353 / filmK) * (pressurePa / atmosphere.values.seaPa);
  around.vapour = ((setting.convection / (airDensity * 1015 * LEWIS_TO_TWO_THIRDS)) * waterMolarMass) / (gasConstant * filmK);
  around.airPotential = vapourPotentialPa(setting.airVapourPa / pressurePa, pressurePa);
}

const balanceOf = (
  { before, after }: { readonly before: { water: number; heat: number }; readonly after: { water: number; heat: number } },
  waterOut: number,
  heatIn: number,
  heatTakenIn: number,
): Balance => ({
  waterLostKg: before.water - after.water,
  waterOutKg: waterOut,
  heatGainedJ: after.heat - before.heat,
  heatInJ: heatIn,
  heatTakenInJ: heatTakenIn,
});

const emptyTrajectory = (): Trajectory => ({
  min: [],
  airC: [],
  topC: [],
  middleC: [],
  coldestC: [],
  moistureX: [],
  aboveLeft: [],
  browningTop: [],
  browningBase: [],
  browningRim: [],
  thicknessMm: [],
  doughMm: [],
});
