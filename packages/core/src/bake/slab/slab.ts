import { latentHeatOfSteam, latentHeatOfSteamSlope, sorbedWaterHeatCapacity, vapourConductivity } from '../../facts/thermal.js';
import { liquidDiffusivity } from '../../facts/oven.js';
import { BlockTridiagonal } from './block-tridiagonal.js';
import { poreDiffusivity, STEFAN_BOLTZMANN } from './problem.js';
import {
  ATMOSPHERE_PA,
  drive,
  driveSlope,
  FROM_C,
  KELVINS,
  liquidFactor,
  liquidSlope,
  POTENTIAL_CELLS,
  saturation,
  saturationBend,
  saturationSlope,
  slopeAtBoiling,
} from './steam-tables.js';
import type { BakeProblem, Layer } from './problem.js';

/** What surrounds the piece at one moment. C, W/m2 K, Pa; `vapour` is kg/m2 s per Pa of potential. */
export type Surroundings = {
  airC: number;
  wallC: number;
  convection: number;
  emissivity: number;
  vapour: number;
  airPotential: number;
  covered: boolean;
  /** The piece lies on a rack: its base sees the air, not the tray. */ lifted: boolean;
  /** Vapour may go in as well as out; while a piece cools it only leaves: what it takes up is the pack's doing. */ intake: boolean;
};

/** The shared tables under names of this file: the innermost loops read them, and not every module system makes an import a plain read. */
const ATMOSPHERE = ATMOSPHERE_PA;
const DRIVE = drive;
const DRIVE_SLOPE = driveSlope;
const FROM = FROM_C;
const KNOTS = KELVINS;
const LIQUID = liquidFactor;
const LIQUID_SLOPE = liquidSlope;
const DRIVE_CELLS = POTENTIAL_CELLS;
const SATURATION = saturation;
const SATURATION_BEND = saturationBend;
const SATURATION_SLOPE = saturationSlope;
const BOILING_SLOPE = slopeAtBoiling;
const PORE_DIFFUSIVITY = poreDiffusivity;

const WATER_CP = sorbedWaterHeatCapacity.value;
const STEAM = latentHeatOfSteam.value;
/** Free diffusion in a pore over T, kg/m s Pa K. */
const FREE_DIFFUSION = poreDiffusivity / 373;
const STEAM_FALL = latentHeatOfSteamSlope.value;
/** Heat content of vapour: STEAM + STEAM_SLOPE T. */
const STEAM_SLOPE = WATER_CP + latentHeatOfSteamSlope.value;
const STEFAN = STEFAN_BOLTZMANN;
const KELVIN = 273.15;
const PER_K25 = 1 / 298.15;
const VAPOUR_K = vapourConductivity.value;

/**
 * The piece in the oven, cut into cells through its thickness, on a tray. Unknowns of a cell are heat H (J per kg dry)
 * and water X (kg per kg dry); dry mass stays in its cell, so a rising piece needs no moving mesh. Cells run from 1 at
 * the top to `cells` at the bottom; entry 0 is what lies on the piece (weights, a lid) and entry `cells + 1` the tray,
 * both with their temperature in H and no water.
 *
 * Between cells: heat by conduction, vapour by its potential through the pores, liquid by its gradient, and the heat both carry.
 * Layers of unlike matter (crust, filling) pass heat and vapour to each other, no liquid: fat in the crust bars it while it bakes.
 */
export class Slab {
  readonly mass: Float64Array;
  readonly temperature: Float64Array;
  readonly activity: Float64Array;
  readonly thickness: Float64Array;
  readonly jacobian: BlockTridiagonal;
  /** Heat capacity dH/dT of a cell, J per kg dry and K. */ readonly capacity: Float64Array;
  topC = 0;
  bottomC = 0;
  /** W/m2 into the piece and tray; kg/m2 s and W/m2 of vapour out of it. */
  heatIn = 0;
  vapourOut = 0;
  vapourHeatOut = 0;

  /** What is being worked out: the rates asked for, and whether with the Jacobian. */
  private dH: Float64Array;
  private dX: Float64Array;
  private withJacobian = false;
  private airPotential = 0;
  private pressure = ATMOSPHERE_PA;
  private readonly dTdX: Float64Array;
  private readonly potential: Float64Array;
  private readonly dPdH: Float64Array;
  private readonly dPdX: Float64Array;
  private readonly heatR: Float64Array;
  private readonly vapourR: Float64Array;
  private readonly liquidR: Float64Array;
  /** 1 where liquid passes to the next cell, 0 at the face of two layers. */ private readonly wicks: Float64Array;
  private readonly knot: Int32Array;
  /** Last cell of each layer. */ private lasts: number[] = [];

  constructor(readonly cells: number) {
    const a = () => new Float64Array(cells + 2);
    this.mass = a();
    this.temperature = a();
    this.activity = a();
    this.thickness = a();
    this.capacity = a();
    this.dH = this.mass;
    this.dX = this.mass;
    this.dTdX = a();
    this.potential = a();
    this.dPdH = a();
    this.dPdX = a();
    this.heatR = a();
    this.vapourR = a();
    this.liquidR = a();
    this.wicks = a();
    this.knot = new Int32Array(cells + 2);
    this.jacobian = new BlockTridiagonal(cells + 2);
  }

  /** Shares the cells out among the layers; they crowd at every face, where temperature and moisture are steep. */
  layOut(p: BakeProblem, clustering: number): void {
    const { cells, mass, wicks } = this;
    const { layers } = p;
    const edge = Math.tanh(clustering);
    wicks.fill(1);
    this.lasts = layers.map((_, n) => Math.round((cells * (n + 1)) / layers.length));
    layers.forEach(({ dryMass }, n) => {
      const from = this.firstOf(n);
      const count = this.lasts[n]! - from + 1;
      let before = 0;
      for (let i = 1; i <= count; i++) {
        const to = 0.5 * (1 + Math.tanh(clustering * ((2 * i) / count - 1)) / edge);
        mass[from + i - 1] = dryMass * (to - before);
        before = to;
      }
      if (n < layers.length - 1) wicks[this.lasts[n]!] = 0;
    });
    mass[0] = p.coverCapacity;
    mass[cells + 1] = p.trayCapacity;
  }

  firstOf(layer: number): number {
    return layer === 0 ? 1 : this.lasts[layer - 1]! + 1;
  }
  lastOf(layer: number): number {
    return this.lasts[layer]!;
  }

  /** Rates of change times mass, of heat and water; with the Jacobian when asked for. */
  rates(
    p: BakeProblem,
    H: Float64Array,
    X: Float64Array,
    dH: Float64Array,
    dX: Float64Array,
    around: Surroundings,
    withJacobian: boolean,
  ): void {
    const { layers } = p;
    this.pressure = p.pressurePa;
    for (let n = 0; n < layers.length; n++) this.properties(layers[n]!, H, X, this.firstOf(n), this.lasts[n]!);
    dH.fill(0);
    dX.fill(0);
    this.heatIn = 0;
    this.vapourOut = 0;
    this.vapourHeatOut = 0;
    if (withJacobian) this.jacobian.clear(this.cells + 2);
    this.dH = dH;
    this.dX = dX;
    this.withJacobian = withJacobian;
    this.airPotential = around.airPotential;
    this.betweenCells(X);
    if (around.covered) this.coveredFace(p, H, around);
    else this.topC = this.openFace(1, p.recess, around);
    if (around.lifted) this.liftedFace(around);
    else this.bottomFace(p, H, around);
    if (p.acrossM > 0) this.side(p, around);
  }

  /** Temperature, vapour potential, thickness and half-cell resistances of every cell, with the derivatives the Jacobian needs. */
  private properties(p: Layer, H: Float64Array, X: Float64Array, from: number, to: number): void {
    const { mass, temperature, capacity, activity, thickness, dTdX, potential, dPdH, dPdX, heatR, vapourR, liquidR, knot } = this;
    const { dryEnthalpy, isotherm, sorptionK, solidVolume, waterVolume, rawVolume, setFromC } = p;
    const { logRatio, cells: knots } = isotherm;
    const { pressure } = this;
    /** The tables are in atmospheres at the sea; thin air lets vapour diffuse faster. */
    const thin = ATMOSPHERE / pressure;
    const perU = 1 / isotherm.stepU;
    const perSet = 1 / (p.setToC - setFromC);
    const rise = p.expansion - 1;
    const solidVK = solidVolume * p.solidConductivity;
    const waterVK = waterVolume * p.waterConductivity;
    const halfOverVapour = (0.5 * 373) / (PORE_DIFFUSIVITY * thin * p.vapourPath);
    const halfOverLiquid = 0.5 / (liquidDiffusivity.values.at60C * p.liquidPath);
    const { stir, poreGlow } = p;
    for (let i = from; i <= to; i++) {
      const x = X[i]! < 1e-7 ? 1e-7 : X[i]!;
      const h = H[i]!;
      let k = knot[i]!;
      while (k > 0 && dryEnthalpy[k]! + x * WATER_CP * (FROM + k) > h) k--;
      while (k < KNOTS - 1 && dryEnthalpy[k + 1]! + x * WATER_CP * (FROM + k + 1) <= h) k++;
      knot[i] = k;
      const cp = dryEnthalpy[k + 1]! - dryEnthalpy[k]! + x * WATER_CP;
      const past = (h - dryEnthalpy[k]! - x * WATER_CP * (FROM + k)) / cp;
      const t = FROM + k + past;
      const tX = (-WATER_CP * t) / cp;
      temperature[i] = t;
      capacity[i] = cp;
      dTdX[i] = tX;

      // Water activity at this moisture and temperature, and its log-derivatives.
      const inverseK = 1 / (t + KELVIN);
      const u = Math.sqrt(x);
      const z = u * perU;
      const j = z < knots ? Math.floor(z) : knots;
      const f = z - j;
      const dLog = logRatio[j + 1]! - logRatio[j]!;
      const dQ = sorptionK[j + 1]! - sorptionK[j]!;
      const q = sorptionK[j]! + dQ * f;
      const warmer = PER_K25 - inverseK;
      let a = x * Math.exp(logRatio[j]! + dLog * f + q * warmer);
      let aT = 0;
      let aX = 0;
      if (a >= 1) a = 1;
      else {
        aT = q * inverseK * inverseK;
        aX = 1 / x + ((dLog + dQ * warmer) * 0.5 * perU) / u;
      }
      activity[i] = a;

      // Vapour potential and its derivatives by heat and water.
      const sat = SATURATION[k]! + past * (SATURATION_SLOPE[k]! + past * SATURATION_BEND[k]!);
      const satT = (SATURATION_SLOPE[k]! + 2 * past * SATURATION_BEND[k]!) / sat;
      const y = a * sat * thin;
      let slope: number;
      if (y < 1) {
        const zy = y * DRIVE_CELLS;
        const n = Math.floor(zy);
        const part = zy - n;
        const bend = DRIVE_SLOPE[n + 1]! - DRIVE_SLOPE[n]!;
        slope = DRIVE_SLOPE[n]! + part * bend;
        potential[i] = pressure * (DRIVE[n]! + (part * (DRIVE_SLOPE[n]! + 0.5 * part * bend)) / DRIVE_CELLS);
      } else {
        slope = BOILING_SLOPE;
        potential[i] = pressure * (DRIVE[DRIVE_CELLS]! + (y - 1) * BOILING_SLOPE);
      }
      const pa = y * pressure * slope;
      const pT = pa * (aT + satT);
      dPdH[i] = pT / cp;
      dPdX[i] = pa * aX + pT * tX;

      // Thickness, pores and half-cell resistances.
      let risen = (t - setFromC) * perSet;
      risen = risen < 0 ? 0 : risen > 1 ? 1 : risen * risen * (3 - 2 * risen);
      const volume = rawVolume * (1 + rise * risen);
      const dense = solidVolume + x * waterVolume;
      let pores = 1 - dense / volume;
      if (pores < 0.02) pores = 0.02;
      const depth = mass[i]! * volume;
      thickness[i] = depth;
      const solid = (solidVK + x * waterVK) / dense;
      // Steam from the hot wall of a pore to its cold one, as far as its water is free to run back: activity to the eighth power.
      const a2 = a * a;
      const a4 = a2 * a2;
      const kelvin = t + KELVIN;
      const gas = VAPOUR_K + poreGlow * kelvin * kelvin * kelvin + a4 * a4 * FREE_DIFFUSION * thin * kelvin * (STEAM + STEAM_FALL * t) * pT;
      const gap = solid - gas;
      const conductivity = (solid * (2 * solid + gas - 2 * pores * gap)) / (2 * solid + gas + pores * gap);
      heatR[i] = (0.5 * depth) / (conductivity * stir);
      vapourR[i] = (depth * halfOverVapour * inverseK) / (pores * Math.sqrt(pores));
      liquidR[i] = depth * volume * halfOverLiquid * (LIQUID[k]! + past * LIQUID_SLOPE[k]!);
    }
  }

  private betweenCells(X: Float64Array): void {
    const { dH, dX, withJacobian, cells, temperature, capacity, dTdX, potential, dPdH, dPdX, heatR, vapourR, liquidR, wicks } = this;
    const { d11, d12, d21, d22, u11, u12, u21, u22, l11, l12, l21, l22 } = this.jacobian;
    for (let i = 1; i < cells; i++) {
      const n = i + 1;
      const k = 1 / (heatR[i]! + heatR[n]!);
      const v = 1 / (vapourR[i]! + vapourR[n]!);
      const l = wicks[i]! / (liquidR[i]! + liquidR[n]!);
      const mean = 0.5 * (temperature[i]! + temperature[n]!);
      const vapourHeat = STEAM + STEAM_SLOPE * mean;
      const liquidHeat = WATER_CP * mean;
      const vapour = v * (potential[i]! - potential[n]!);
      const liquid = l * (X[i]! - X[n]!);
      const water = vapour + liquid;
      const heat = k * (temperature[i]! - temperature[n]!) + vapourHeat * vapour + liquidHeat * liquid;
      dX[i] = dX[i]! - water;
      dX[n] = dX[n]! + water;
      dH[i] = dH[i]! - heat;
      dH[n] = dH[n]! + heat;
      if (!withJacobian) continue;
      // Derivatives of water and heat flow by the near (i) and the far (n) cell's heat and water.
      const nearWH = v * dPdH[i]!;
      const nearWX = v * dPdX[i]! + l;
      const farWH = -v * dPdH[n]!;
      const farWX = -v * dPdX[n]! - l;
      const nearHH = k / capacity[i]! + vapourHeat * nearWH;
      const nearHX = k * dTdX[i]! + vapourHeat * v * dPdX[i]! + liquidHeat * l;
      const farHH = -k / capacity[n]! + vapourHeat * farWH;
      const farHX = -k * dTdX[n]! - vapourHeat * v * dPdX[n]! - liquidHeat * l;
      d11[i] = d11[i]! - nearHH;
      d12[i] = d12[i]! - nearHX;
      d21[i] = d21[i]! - nearWH;
      d22[i] = d22[i]! - nearWX;
      u11[i] = -farHH;
      u12[i] = -farHX;
      u21[i] = -farWH;
      u22[i] = -farWX;
      l11[n] = nearHH;
      l12[n] = nearHX;
      l21[n] = nearWH;
      l22[n] = nearWX;
      d11[n] = d11[n]! + farHH;
      d12[n] = d12[n]! + farHX;
      d21[n] = d21[n]! + farWH;
      d22[n] = d22[n]! + farWX;
    }
  }

  /** A face in the open air gets heat from air and walls and gives vapour off; `share` of the air reaches it. Gives its surface, C. */
  private openFace(i: number, share: number, around: Surroundings): number {
    const t = this.temperature[i]!;
    const convection = around.convection * share;
    const radiation = radiant(around.emissivity, around.wallC, t);
    const h = convection + radiation;
    const g = 1 / (1 / h + this.heatR[i]!);
    const heat = g * ((convection * around.airC + radiation * around.wallC) / h - t);
    this.heatIn += heat;
    this.pass(i, heat, g, passing(around, around.vapour * share, this.potential[i]!));
    return t + heat * this.heatR[i]!;
  }

  /** Weights on paper: they take the oven's heat, pass it on by contact, and let little vapour by. */
  private coveredFace(p: BakeProblem, H: Float64Array, around: Surroundings): void {
    const { dH, withJacobian, capacity, dTdX } = this;
    const t = this.temperature[1]!;
    const cover = H[0]!;
    const radiation = radiant(around.emissivity, around.wallC, cover);
    const intoCover = around.convection * (around.airC - cover) + radiation * (around.wallC - cover);
    const g = 1 / (1 / p.coverContact + this.heatR[1]!);
    const heat = g * (cover - t);
    dH[0] = intoCover - heat;
    this.topC = t + heat * this.heatR[1]!;
    this.heatIn += intoCover;
    const escape = this.potential[1]! > around.airPotential ? around.vapour * p.coverVent : 0;
    this.pass(1, heat, g, escape);
    if (!withJacobian) return;
    const { d11, u11, u12, u21, u22, l11, l12, l21, l22 } = this.jacobian;
    d11[0] = d11[0]! - (around.convection + radiation + g);
    u11[0] = g / capacity[1]!;
    u12[0] = g * dTdX[1]!;
    u21[0] = 0;
    u22[0] = 0;
    l11[1] = g;
    l12[1] = 0;
    l21[1] = 0;
    l22[1] = 0;
  }

  /**
   * The tray takes heat from below and gives it to the piece; what lies bare between the pieces takes heat on both
   * sides and carries it in, as a fin. A part of the vapour escapes under the piece.
   */
  private bottomFace(p: BakeProblem, H: Float64Array, around: Surroundings): void {
    const { dH, withJacobian, cells, capacity, dTdX, heatR } = this;
    const at = cells + 1;
    const tray = H[at]!;
    const t = this.temperature[cells]!;
    const radiation = radiant(1, around.wallC, tray) * (p.trayEmissivity + p.fin * (p.trayEmissivity + p.bareEmissivity));
    const convection = around.convection * (1 + 2 * p.fin);
    const g = 1 / (1 / p.trayContact + heatR[cells]!);
    const intoPiece = g * (tray - t);
    const intoTray = convection * (around.airC - tray) + radiation * (around.wallC - tray);
    dH[at] = dH[at]! + intoTray - intoPiece;
    this.bottomC = t + intoPiece * heatR[cells]!;
    this.heatIn += intoTray;
    this.pass(cells, intoPiece, g, passing(around, around.vapour * p.vent, this.potential[cells]!));
    if (!withJacobian) return;
    const { d11, u11, u12, u21, u22, l11, l12, l21, l22 } = this.jacobian;
    d11[at] = d11[at]! - (convection + radiation + g);
    u11[cells] = g;
    u12[cells] = 0;
    u21[cells] = 0;
    u22[cells] = 0;
    l11[at] = g / capacity[cells]!;
    l12[at] = g * dTdX[cells]!;
    l21[at] = 0;
    l22[at] = 0;
  }

  /** On a rack the base is as open to the air as the top, and the tray is gone. */
  private liftedFace(around: Surroundings): void {
    const { cells } = this;
    this.bottomC = this.openFace(cells, 1, around);
    if (!this.withJacobian) return;
    const { u11, u12, u21, u22, l11, l12, l21, l22 } = this.jacobian;
    for (const block of [u11, u12, u21, u22]) block[cells] = 0;
    for (const block of [l11, l12, l21, l22]) block[cells + 1] = 0;
  }

  /** Heat in and vapour out through the side of a round piece, a share of what a cylinder would pass. */
  private side(p: BakeProblem, around: Surroundings): void {
    const { dH, dX, withJacobian, cells, temperature, capacity, dTdX, thickness, heatR, vapourR, potential, dPdH, dPdX } = this;
    const radiation = radiant(around.emissivity, around.wallC, temperature[1]!);
    const h = around.convection + radiation;
    const effective = (around.convection * around.airC + radiation * around.wallC) / h;
    const middle = (cells >> 1) + 1;
    const inner = (p.acrossM * heatR[middle]!) / (4 * thickness[middle]!);
    const perDepth = (p.edgeShare * 4) / p.acrossM / (1 / h + inner);
    const vapourPerDepth = (p.edgeVent * 4) / p.acrossM;
    const { d11, d12, d21, d22 } = this.jacobian;
    // Written out, not by `pass`: it runs for every cell at every step.
    for (let i = 1; i <= cells; i++) {
      const depth = thickness[i]!;
      const g = perDepth * depth;
      const t = temperature[i]!;
      const heat = g * (effective - t);
      const escape = passing(
        around,
        (vapourPerDepth * depth) / (1 / around.vapour + (p.acrossM * vapourR[i]!) / (4 * depth)),
        potential[i]!,
      );
      const vapour = escape * (potential[i]! - around.airPotential);
      const vapourHeat = STEAM + STEAM_SLOPE * t;
      dH[i] = dH[i]! + heat - vapourHeat * vapour;
      dX[i] = dX[i]! - vapour;
      this.heatIn += heat;
      this.vapourOut += vapour;
      this.vapourHeatOut += vapourHeat * vapour;
      if (!withJacobian) continue;
      const byH = escape * dPdH[i]!;
      const byX = escape * dPdX[i]!;
      d11[i] = d11[i]! - (g / capacity[i]! + vapourHeat * byH);
      d12[i] = d12[i]! - (g * dTdX[i]! + vapourHeat * byX);
      d21[i] = d21[i]! - byH;
      d22[i] = d22[i]! - byX;
    }
  }

  /** Heat into a cell and vapour out of it, and what both add to the cell's own block of the Jacobian. */
  private pass(i: number, heat: number, conductance: number, escape: number): void {
    const { dH, dX, withJacobian } = this;
    const vapour = escape * (this.potential[i]! - this.airPotential);
    const vapourHeat = STEAM + STEAM_SLOPE * this.temperature[i]!;
    dH[i] = dH[i]! + heat - vapourHeat * vapour;
    dX[i] = dX[i]! - vapour;
    this.vapourOut += vapour;
    this.vapourHeatOut += vapourHeat * vapour;
    if (!withJacobian) return;
    const { d11, d12, d21, d22 } = this.jacobian;
    const byH = escape * this.dPdH[i]!;
    const byX = escape * this.dPdX[i]!;
    d11[i] = d11[i]! - (conductance / this.capacity[i]! + vapourHeat * byH);
    d12[i] = d12[i]! - (conductance * this.dTdX[i]! + vapourHeat * byX);
    d21[i] = d21[i]! - byH;
    d22[i] = d22[i]! - byX;
  }
}

/** The conductance, or none where vapour would go in and may not. */
const passing = ({ intake, airPotential }: Surroundings, conductance: number, potential: number): number =>
  intake || potential > airPotential ? conductance : 0;

/** Linearised radiation coefficient between a wall and a surface, W/m2 K. */
function radiant(emissivity: number, wallC: number, surfaceC: number): number {
  const wall = wallC + KELVIN;
  const surface = surfaceC + KELVIN;
  return emissivity * STEFAN * (wall * wall + surface * surface) * (wall + surface);
}
