import { latentHeatOfSteam, latentHeatOfSteamSlope, sorbedWaterHeatCapacity, vapourConductivity } from '../facts/thermal.js';
import { liquidDiffusivity } from '../facts/oven.js';
import { BlockTridiagonal } from './block-tridiagonal.js';
import { poreDiffusivity } from './problem.js';
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
import type { BakeProblem } from './problem.js';

/** What surrounds the piece at one moment. C, W/m2 K, Pa; `vapour` is kg/m2 s per Pa of potential. */
export type Surroundings = { airC: number; wallC: number; convection: number; emissivity: number; vapour: number; airPotential: number };

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
/** Heat content of vapour: STEAM + STEAM_SLOPE T. */
const STEAM_SLOPE = WATER_CP + latentHeatOfSteamSlope.value;
const STEFAN_BOLTZMANN = 5.670374e-8;
const KELVIN = 273.15;
const PER_K25 = 1 / 298.15;
const VAPOUR_K = vapourConductivity.value;

/**
 * The piece in the oven, cut into cells through its thickness, on a tray. Unknowns of a cell are heat H (J per kg dry)
 * and water X (kg per kg dry); dry mass stays in its cell, so a rising piece needs no moving mesh. Cell 0 is the top,
 * cell `cells - 1` the bottom, entry `cells` the tray (H is its temperature, X unused).
 *
 * Between cells: heat by conduction, vapour by its potential through the pores, liquid by its gradient, and the heat both carry.
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

  private readonly dTdX: Float64Array;
  private readonly potential: Float64Array;
  private readonly dPdH: Float64Array;
  private readonly dPdX: Float64Array;
  private readonly heatR: Float64Array;
  private readonly vapourR: Float64Array;
  private readonly liquidR: Float64Array;
  private readonly knot: Int32Array;

  constructor(readonly cells: number) {
    const a = () => new Float64Array(cells + 1);
    this.mass = a();
    this.temperature = a();
    this.activity = a();
    this.thickness = a();
    this.capacity = a();
    this.dTdX = a();
    this.potential = a();
    this.dPdH = a();
    this.dPdX = a();
    this.heatR = a();
    this.vapourR = a();
    this.liquidR = a();
    this.knot = new Int32Array(cells + 1);
    this.jacobian = new BlockTridiagonal(cells + 1);
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
    this.properties(p, H, X);
    dH.fill(0);
    dX.fill(0);
    if (withJacobian) this.jacobian.clear(this.cells + 1);
    this.betweenCells(X, dH, dX, withJacobian);
    this.topFace(dH, dX, around, withJacobian);
    this.bottomFace(p, H, dH, dX, around, withJacobian);
    if (p.acrossM > 0) this.side(p, dH, around, withJacobian);
  }

  /** Temperature, vapour potential, thickness and half-cell resistances of every cell, with the derivatives the Jacobian needs. */
  private properties(p: BakeProblem, H: Float64Array, X: Float64Array): void {
    const { cells, mass, temperature, capacity, activity, thickness, dTdX, potential, dPdH, dPdX, heatR, vapourR, liquidR, knot } = this;
    const { dryEnthalpy, isotherm, sorptionK, solidVolume, waterVolume, rawVolume, setFromC } = p;
    const { logRatio, cells: knots } = isotherm;
    const perU = 1 / isotherm.stepU;
    const perSet = 1 / (p.setToC - setFromC);
    const rise = p.expansion - 1;
    const solidVK = solidVolume * p.solidConductivity;
    const waterVK = waterVolume * p.waterConductivity;
    const halfOverVapour = (0.5 * 373) / (PORE_DIFFUSIVITY * p.vapourPath);
    const halfOverLiquid = 0.5 / liquidDiffusivity.values.at60C;
    for (let i = 0; i < cells; i++) {
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
      const y = a * sat;
      let slope: number;
      if (y < 1) {
        const zy = y * DRIVE_CELLS;
        const n = Math.floor(zy);
        const part = zy - n;
        const bend = DRIVE_SLOPE[n + 1]! - DRIVE_SLOPE[n]!;
        slope = DRIVE_SLOPE[n]! + part * bend;
        potential[i] = ATMOSPHERE * (DRIVE[n]! + (part * (DRIVE_SLOPE[n]! + 0.5 * part * bend)) / DRIVE_CELLS);
      } else {
        slope = BOILING_SLOPE;
        potential[i] = ATMOSPHERE * (DRIVE[DRIVE_CELLS]! + (y - 1) * BOILING_SLOPE);
      }
      const pa = y * ATMOSPHERE * slope;
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
      const gap = solid - VAPOUR_K;
      const conductivity = (solid * (2 * solid + VAPOUR_K - 2 * pores * gap)) / (2 * solid + VAPOUR_K + pores * gap);
      heatR[i] = (0.5 * depth) / conductivity;
      vapourR[i] = (depth * halfOverVapour * inverseK) / (pores * Math.sqrt(pores));
      liquidR[i] = depth * volume * halfOverLiquid * (LIQUID[k]! + past * LIQUID_SLOPE[k]!);
    }
  }

  private betweenCells(X: Float64Array, dH: Float64Array, dX: Float64Array, withJacobian: boolean): void {
    const { cells, temperature, capacity, dTdX, potential, dPdH, dPdX, heatR, vapourR, liquidR } = this;
    const { d11, d12, d21, d22, u11, u12, u21, u22, l11, l12, l21, l22 } = this.jacobian;
    for (let i = 0; i < cells - 1; i++) {
      const n = i + 1;
      const k = 1 / (heatR[i]! + heatR[n]!);
      const v = 1 / (vapourR[i]! + vapourR[n]!);
      const l = 1 / (liquidR[i]! + liquidR[n]!);
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

  private topFace(dH: Float64Array, dX: Float64Array, around: Surroundings, withJacobian: boolean): void {
    const { temperature, capacity, dTdX, potential, dPdH, dPdX, heatR } = this;
    const t = temperature[0]!;
    const radiation = radiant(around.emissivity, around.wallC, t);
    const h = around.convection + radiation;
    const effective = (around.convection * around.airC + radiation * around.wallC) / h;
    const g = 1 / (1 / h + heatR[0]!);
    const heat = g * (effective - t);
    const vapour = around.vapour * (potential[0]! - around.airPotential);
    const vapourHeat = STEAM + STEAM_SLOPE * t;
    dH[0] = dH[0]! + heat - vapourHeat * vapour;
    dX[0] = dX[0]! - vapour;
    this.topC = t + heat * heatR[0]!;
    this.heatIn = heat;
    this.vapourOut = vapour;
    this.vapourHeatOut = vapourHeat * vapour;
    if (!withJacobian) return;
    const { d11, d12, d21, d22 } = this.jacobian;
    const byH = around.vapour * dPdH[0]!;
    const byX = around.vapour * dPdX[0]!;
    d11[0] = d11[0]! - (g / capacity[0]! + vapourHeat * byH);
    d12[0] = d12[0]! - (g * dTdX[0]! + vapourHeat * byX);
    d21[0] = d21[0]! - byH;
    d22[0] = d22[0]! - byX;
  }

  /** The tray takes heat from below and gives it to the piece; a part of the vapour escapes under the piece. */
  private bottomFace(
    p: BakeProblem,
    H: Float64Array,
    dH: Float64Array,
    dX: Float64Array,
    around: Surroundings,
    withJacobian: boolean,
  ): void {
    const { cells, temperature, capacity, dTdX, potential, dPdH, dPdX, heatR } = this;
    const last = cells - 1;
    const tray = H[cells]!;
    const t = temperature[last]!;
    const radiation = radiant(p.trayEmissivity, around.wallC, tray);
    const g = 1 / (1 / p.trayContact + heatR[last]!);
    const intoPiece = g * (tray - t);
    const intoTray = around.convection * (around.airC - tray) + radiation * (around.wallC - tray);
    const escape = around.vapour * p.vent;
    const vapour = escape * (potential[last]! - around.airPotential);
    const vapourHeat = STEAM + STEAM_SLOPE * t;
    dH[cells] = dH[cells]! + intoTray - intoPiece;
    dH[last] = dH[last]! + intoPiece - vapourHeat * vapour;
    dX[last] = dX[last]! - vapour;
    this.bottomC = t + intoPiece * heatR[last]!;
    this.heatIn += intoTray;
    this.vapourOut += vapour;
    this.vapourHeatOut += vapourHeat * vapour;
    if (!withJacobian) return;
    const { d11, d12, d21, d22, u11, u12, u21, u22, l11, l12, l21, l22 } = this.jacobian;
    const byH = escape * dPdH[last]!;
    const byX = escape * dPdX[last]!;
    d11[last] = d11[last]! - (g / capacity[last]! + vapourHeat * byH);
    d12[last] = d12[last]! - (g * dTdX[last]! + vapourHeat * byX);
    d21[last] = d21[last]! - byH;
    d22[last] = d22[last]! - byX;
    u11[last] = g;
    u12[last] = 0;
    u21[last] = 0;
    u22[last] = 0;
    l11[cells] = g / capacity[last]!;
    l12[cells] = g * dTdX[last]!;
    l21[cells] = 0;
    l22[cells] = 0;
    d11[cells] = d11[cells]! - (around.convection + radiation + g);
  }

  /** Heat through the side of a round piece, a share of what a cylinder would take. */
  private side(p: BakeProblem, dH: Float64Array, around: Surroundings, withJacobian: boolean): void {
    const { cells, temperature, capacity, dTdX, thickness, heatR } = this;
    const radiation = radiant(around.emissivity, around.wallC, temperature[0]!);
    const h = around.convection + radiation;
    const effective = (around.convection * around.airC + radiation * around.wallC) / h;
    const middle = cells >> 1;
    const inner = (p.acrossM * heatR[middle]!) / (4 * thickness[middle]!);
    const perDepth = (p.edgeShare * 4) / p.acrossM / (1 / h + inner);
    const { d11, d12 } = this.jacobian;
    for (let i = 0; i < cells; i++) {
      const g = perDepth * thickness[i]!;
      const heat = g * (effective - temperature[i]!);
      dH[i] = dH[i]! + heat;
      this.heatIn += heat;
      if (!withJacobian) continue;
      d11[i] = d11[i]! - g / capacity[i]!;
      d12[i] = d12[i]! - g * dTdX[i]!;
    }
  }
}

/** Linearised radiation coefficient between a wall and a surface, W/m2 K. */
function radiant(emissivity: number, wallC: number, surfaceC: number): number {
  const wall = wallC + KELVIN;
  const surface = surfaceC + KELVIN;
  return emissivity * STEFAN_BOLTZMANN * (wall * wall + surface * surface) * (wall + surface);
}
