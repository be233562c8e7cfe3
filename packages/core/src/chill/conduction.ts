import { fatLatentHeat, fatMeltingS, fatSettingS } from '../facts/fats.js';
import { solveTridiagonal } from '../math/tridiagonal.js';
import { solidFatPercent } from '../matter/solid-fat.js';
import type { ColdTable } from '../matter/cold-enthalpy.js';
import type { SolidFatName } from '../document/pantry.js';

/** One stretch of time at one place: heat transfer and temperature on either face (W/m2 K, C). */
export type Exposure = {
  readonly min: number;
  readonly topWPerM2K: number;
  readonly bottomWPerM2K: number;
  readonly topC: number;
  readonly bottomC: number;
};

export type ConductionForm = 'slab' | 'cylinder' | 'sphere';
export type ConductionInput = {
  /** slab: `sizeMm` is its thickness; cylinder and sphere: its diameter. */ readonly form: ConductionForm;
  readonly sizeMm: number;
  readonly material: ColdTable;
  readonly startC: number;
  readonly exposures: readonly Exposure[];
  readonly fat?: { readonly name: SolidFatName; readonly shareOfDough: number; readonly melted: boolean };
  readonly cells?: number;
};

/** Temperatures and solid fat over time, one entry a step. */
export type Cooling = {
  readonly min: number[];
  readonly middleC: number[];
  /** The face that runs ahead: the warmer or colder of the two. */ readonly rimC: number[];
  /** Percent of the fat that is solid, mean of the piece; 0 without fat. */ readonly solidFatPercent: number[];
};

/** Steps grow and shrink so that no cell moves much more than this in one. */
const STEP_K = 0.4;
const LONGEST_STEP_S = 90;
const FIRST_STEP_S = 10;
const SHORTEST_STEP_S = 1;
/** Days in the freezer are not worth more steps than this: the scheme is stable at any step. */
const MOST_STEPS = 600;
/** Each exposure opens with four quarter steps of backward Euler: damps the jump at its start (Rannacher). */
const EULER_STARTS = 4;

/**
 * Cools or warms a piece of dough by conduction, through one place after another.
 *
 * Heat content, not heat capacity, is stepped, so ice and its latent heat are conserved; fat sets late and melts at once.
 *
 * Units    mm, min, C, W/m2 K.
 * Throws   nothing; callers check sizes and times.
 * Findings none.
 * Source   Crank-Nicolson with Rannacher start (textbook); checked against the series of Carslaw & Jaeger.
 */
export function conduct(input: ConductionInput): Cooling {
  const cells = input.cells ?? 24;
  const grid = gridOf(input.form, input.sizeMm / 1000, cells);
  const state = stateOf(input, cells);
  const out: Cooling = { min: [], middleC: [], rimC: [], solidFatPercent: [] };
  let seconds = 0;
  const first = input.exposures[0];
  if (first) record(out, 0, state, { grid, input, exposure: first });
  for (const exposure of input.exposures) {
    const whole = exposure.min * 60;
    if (whole <= 0) continue;
    const longest = Math.max(LONGEST_STEP_S, whole / MOST_STEPS);
    let dt = Math.min(whole, FIRST_STEP_S, Math.max(SHORTEST_STEP_S, grid.dx * grid.dx * 4e7));
    for (let i = 0; i < EULER_STARTS; i++) advance(state, { grid, input, exposure }, dt / EULER_STARTS, 1);
    let into = dt;
    record(out, (seconds + into) / 60, state, { grid, input, exposure });
    while (into < whole - 1e-6) {
      // Two even steps at the end instead of a long one and a sliver.
      const left = whole - into;
      const step = dt >= left ? left : 2 * dt > left ? 0.5 * left : dt;
      const moved = advance(state, { grid, input, exposure }, step, 0.5);
      into += step;
      record(out, (seconds + into) / 60, state, { grid, input, exposure });
      dt = Math.min(longest, Math.max(SHORTEST_STEP_S, step * Math.min(1.5, Math.max(0.5, STEP_K / Math.max(moved, 1e-3)))));
    }
    seconds += whole;
  }
  return out;
}

type Grid = {
  readonly cells: number;
  readonly dx: number;
  readonly area: Float64Array;
  readonly volume: Float64Array;
  readonly symmetric: boolean;
};

/** Cells from the top face (slab) or from the centre (cylinder, sphere). */
function gridOf(form: ConductionInput['form'], size: number, cells: number): Grid {
  const power = form === 'slab' ? 0 : form === 'cylinder' ? 1 : 2;
  const dx = (power === 0 ? size : size / 2) / cells;
  const area = Float64Array.from({ length: cells + 1 }, (_, i) => (i * dx) ** power);
  const volume = Float64Array.from({ length: cells }, (_, i) => (((i + 1) * dx) ** (power + 1) - (i * dx) ** (power + 1)) / (power + 1));
  return { cells, dx, area, volume, symmetric: power > 0 };
}

type State = {
  readonly c: Float64Array;
  readonly next: Float64Array;
  readonly solid: Float64Array;
  readonly capacity: Float64Array;
  readonly k: Float64Array;
  readonly face: Float64Array;
  readonly below: Float64Array;
  readonly diagonal: Float64Array;
  readonly above: Float64Array;
  readonly right: Float64Array;
};

function stateOf({ startC, fat }: ConductionInput, cells: number): State {
  const array = () => new Float64Array(cells + 1);
  const solid = fat && !fat.melted ? solidFatPercent(fat.name, startC) : 0;
  return {
    c: array().fill(startC),
    next: array(),
    solid: array().fill(solid),
    capacity: array(),
    k: array(),
    face: array(),
    below: array(),
    diagonal: array(),
    above: array(),
    right: array(),
  };
}

/** One time step; `implicit` 1 is backward Euler, 0.5 Crank-Nicolson. Two passes settle the temperature-dependent properties. Gives the most any cell moved, K. */
function advance(
  s: State,
  { grid, input, exposure }: { readonly grid: Grid; readonly input: ConductionInput; readonly exposure: Exposure },
  dt: number,
  implicit: number,
): number {
  const { cells } = grid;
  const { material } = input;
  s.next.set(s.c);
  for (let pass = 0; pass < 2; pass++) {
    for (let i = 0; i < cells; i++) {
      const change = s.next[i]! - s.c[i]!;
      s.capacity[i] =
        Math.abs(change) > 1e-3
          ? (material.enthalpyAt(s.next[i]!) - material.enthalpyAt(s.c[i]!)) / change
          : material.heatCapacityAt(s.c[i]!);
      s.k[i] = material.conductivityAt(0.5 * (s.next[i]! + s.c[i]!));
    }
    faceConductances(s, grid, exposure);
    for (let i = 0; i < cells; i++) {
      const mass = (material.density * grid.volume[i]! * s.capacity[i]!) / dt;
      const left = s.face[i]!;
      const right = s.face[i + 1]!;
      const fromLeft = i > 0 ? s.c[i - 1]! : exposure.topC;
      const fromRight = i < cells - 1 ? s.c[i + 1]! : exposure.bottomC;
      s.below[i] = i > 0 ? -implicit * left : 0;
      s.above[i] = i < cells - 1 ? -implicit * right : 0;
      s.diagonal[i] = mass + implicit * (left + right);
      s.right[i] =
        mass * s.c[i]! +
        (1 - implicit) * (left * (fromLeft - s.c[i]!) + right * (fromRight - s.c[i]!)) +
        (i === 0 ? implicit * left * exposure.topC : 0) +
        (i === cells - 1 ? implicit * right * exposure.bottomC : 0);
    }
    solveTridiagonal(s.below, s.diagonal, s.above, s.right, s.next, cells);
  }
  let moved = 0;
  for (let i = 0; i < cells; i++) moved = Math.max(moved, Math.abs(s.next[i]! - s.c[i]!));
  s.c.set(s.next);
  if (input.fat && input.fat.shareOfDough > 0) setFat(s, cells, input.fat, dt);
  return moved;
}

function faceConductances(s: State, { cells, dx, area, symmetric }: Grid, exposure: Exposure): void {
  for (let i = 1; i < cells; i++) s.face[i] = area[i]! / (dx / (2 * s.k[i - 1]!) + dx / (2 * s.k[i]!));
  s.face[0] = symmetric ? 0 : 1 / (1 / exposure.topWPerM2K + dx / (2 * s.k[0]!));
  s.face[cells] = area[cells]! / (1 / exposure.bottomWPerM2K + dx / (2 * s.k[cells - 1]!));
}

/** Fat moves towards its solid share at rest; setting warms the cell, melting cools it. */
function setFat(s: State, cells: number, fat: NonNullable<ConductionInput['fat']>, dt: number): void {
  const setting = 1 - Math.exp(-dt / fatSettingS.value);
  const melting = 1 - Math.exp(-dt / fatMeltingS.value);
  for (let i = 0; i < cells; i++) {
    const atRest = solidFatPercent(fat.name, s.c[i]!);
    const change = (atRest - s.solid[i]!) * (atRest > s.solid[i]! ? setting : melting);
    s.solid[i] = s.solid[i]! + change;
    s.c[i] = s.c[i]! + (fat.shareOfDough * fatLatentHeat.value * change) / 100 / s.capacity[i]!;
  }
}

function record(
  out: Cooling,
  min: number,
  s: State,
  { grid, input, exposure }: { readonly grid: Grid; readonly input: ConductionInput; readonly exposure: Exposure },
): void {
  const { cells, dx, symmetric } = grid;
  const half = cells >> 1;
  // The centre lies between cells (slab) or at the inner face (round forms): a parabola through the nearest cells.
  const middleC = symmetric ? (9 * s.c[0]! - s.c[1]!) / 8 : (9 * (s.c[half - 1]! + s.c[half]!) - s.c[half - 2]! - s.c[half + 1]!) / 16;
  const bottom = surface(s.c[cells - 1]!, exposure.bottomC, exposure.bottomWPerM2K, dx, input.material.conductivityAt(s.c[cells - 1]!));
  const top = symmetric ? bottom : surface(s.c[0]!, exposure.topC, exposure.topWPerM2K, dx, input.material.conductivityAt(s.c[0]!));
  out.min.push(min);
  out.middleC.push(middleC);
  out.rimC.push(Math.abs(top - middleC) > Math.abs(bottom - middleC) ? top : bottom);
  let solid = 0;
  let volume = 0;
  for (let i = 0; i < cells; i++) {
    solid += s.solid[i]! * grid.volume[i]!;
    volume += grid.volume[i]!;
  }
  out.solidFatPercent.push(solid / volume);
}

function surface(cellC: number, outsideC: number, h: number, dx: number, k: number): number {
  const inner = dx / (2 * k);
  return cellC + ((outsideC - cellC) * inner) / (1 / h + inner);
}
