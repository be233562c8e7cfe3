import { latentHeatOfIce } from '../facts/thermal.js';
import { toolRiseC } from '../facts/mixing.js';
import { makeUpOf } from '../ingredient/mixture.js';
import { isPouredWater, isYeast } from '../ingredient/roles.js';
import { thermalProperties } from '../matter/thermal.js';
import type { Formula, MixTool } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Ingredient } from '../document/pantry.js';
import type { Portion } from '../ingredient/mixture.js';

/** J/kg K. */
const WATER_HEAT = 4180;
const COLDEST_TAP_C = 1;
const HOTTEST_C = 60;
/** Share of the dough from which poured water is a means at all. */
const LEAST_SHARE = 0.05;
const COLD_KINDS = new Set(['fat_solid', 'egg', 'dairy', 'plant_milk']);

/** Something that goes in, for a heat balance. */
export type WarmPart = { readonly massKg: number; /** J/kg K. */ readonly heat: number; readonly atC: number };
export type LiquidTemperature = {
  readonly atC: number;
  /** Share of the liquid that has to be ice at 0 C; 1 is all of it. */ readonly iceShare: number;
  /** False: even all of it as ice is not cold enough, or no liquid is warm enough. */ readonly feasible: boolean;
};

/**
 * Temperature the liquid needs for the dough to end as wanted; below the tap's coldest, part of it as ice.
 *
 * Units    kg, J/kg K, C; friction as K of the whole dough.
 * Throws   nothing; no liquid gives not feasible.
 * Findings none.
 * Source   heat balance at the dough's temperature; ice takes its latent heat (facts/thermal). Solid fat is taken to stay solid.
 *
 * @example
 * liquidTemperature([{ massKg: 0.5, heat: 1750, atC: 22 }, { massKg: 0.1, heat: 2200, atC: 20 }], 0.3, 22, 3); // atC 16.73
 */
export function liquidTemperature(parts: readonly WarmPart[], liquidKg: number, wantedC: number, frictionK: number): LiquidTemperature {
  if (liquidKg <= 0) return { atC: wantedC, iceShare: 0, feasible: false };
  const capacity = liquidKg * WATER_HEAT + parts.reduce((sum, { massKg, heat }) => sum + massKg * heat, 0);
  const surplus = parts.reduce((sum, { massKg, heat, atC }) => sum + massKg * heat * (atC - wantedC), 0) + capacity * frictionK;
  const atC = wantedC - surplus / (liquidKg * WATER_HEAT);
  if (atC > HOTTEST_C) return { atC: HOTTEST_C, iceShare: 0, feasible: false };
  if (atC >= COLDEST_TAP_C) return { atC, iceShare: 0, feasible: true };
  const byTap = WATER_HEAT * (wantedC - COLDEST_TAP_C);
  const iceKg = (surplus - liquidKg * byTap) / (latentHeatOfIce.value + WATER_HEAT * wantedC - byTap);
  const iceShare = iceKg / liquidKg;
  return { atC: COLDEST_TAP_C, iceShare: Math.min(1, iceShare), feasible: iceShare <= 1 };
}

/**
 * Where an ingredient waits before it goes in: the fridge for fats, eggs and dairy, the room for the rest. C.
 *
 * Units    C.
 * Throws   nothing.
 * Findings none.
 * Source   common practice, no source: fats, eggs and dairy come from the fridge.
 *
 * @example
 * storedC(ingredients.butter_unsalted, demoKitchen); // => 4.6
 */
export function storedC(ingredient: Ingredient, kitchen: Kitchen): number {
  const fridge = kitchen.places.find(({ kind }) => kind === 'fridge');
  return COLD_KINDS.has(ingredient.kind) && fridge ? fridge.atC : kitchen.roomC;
}

export type DoughTemperature = LiquidTemperature & {
  readonly wantedC: number;
  /** Poured water and ice, g. */ readonly waterG: number;
  readonly iceG: number;
  readonly frictionK: number;
  readonly tool: MixTool;
  /** It would take water warmer than the room: water as it is will do, and the dough ends colder than it may. */ readonly asItIs: boolean;
  /** Where it ends with the liquid as cold, or as warm, as can be; the wanted temperature where it is feasible. */ readonly reachedC: number;
  /** What to chill where the liquid alone cannot do it: the part that carries most heat, and how cold it would have to be. */
  readonly chillInstead: { readonly name: string; readonly rowKey: string | null; readonly toC: number } | null;
};

/**
 * How cold the poured water has to be for this dough to end at `doughAtC`.
 *
 * Units    g, C, K.
 * Throws   nothing.
 * Findings none: dough-findings judges it.
 * Source   liquidTemperature; heat capacities from composition (Choi & Okos 1986); friction by the warmest tool of the mix (common practice).
 */
export function doughTemperature(
  formula: Formula,
  kitchen: Kitchen,
  flour: readonly Portion[],
  rows: readonly { readonly key: string; readonly atC: number | undefined; readonly portion: Portion }[],
): DoughTemperature | null {
  const water = rows.filter(({ portion }) => isPouredWater(portion.ingredient));
  const waterG = water.reduce((sum, { portion }) => sum + portion.amountG, 0);
  const doughG = [...flour, ...rows.map(({ portion }) => portion)].reduce((sum, { amountG }) => sum + amountG, 0);
  // A spoon of water moves nothing.
  if (waterG < LEAST_SHARE * doughG || waterG <= 0) return null;
  const tool = hottestTool(formula);
  const frictionK = toolRiseC.values[tool];
  const parts = [
    { name: 'The blend', rowKey: null, ...warmPart(flour, kitchen.roomC) },
    ...rows
      .filter(({ portion }) => !isPouredWater(portion.ingredient) && portion.amountG > 0)
      .map(({ key, atC, portion }) => ({
        name: portion.ingredient.name,
        rowKey: key,
        ...warmPart([portion], atC ?? storedC(portion.ingredient, kitchen)),
      })),
  ];
  const wantedC = formula.doughAtC;
  const needed = liquidTemperature(parts, waterG / 1000, wantedC, frictionK);
  // A cold dough may end colder than it has to; nobody warms water for one. Yeast alone wants warmth.
  const asItIs = needed.atC > kitchen.roomC && !rows.some(({ portion }) => isYeast(portion.ingredient));
  const liquid = asItIs ? { atC: kitchen.roomC, iceShare: 0, feasible: true } : needed;
  const reachedC = liquid.feasible && !asItIs ? wantedC : endOf(parts, waterG / 1000, liquid, frictionK);
  return {
    ...liquid,
    asItIs,
    wantedC,
    waterG,
    iceG: liquid.iceShare * waterG,
    frictionK,
    tool,
    reachedC,
    chillInstead:
      liquid.feasible || reachedC < wantedC ? null : chillInstead(parts, { liquidKg: waterG / 1000, wantedC, frictionK }, kitchen),
  };
}

function warmPart(portions: readonly Portion[], atC: number): WarmPart {
  const massKg = portions.reduce((sum, { amountG }) => sum + amountG, 0) / 1000;
  return { massKg, heat: thermalProperties(makeUpOf(portions), 20).heatCapacity, atC };
}

/** The warmest way of mixing sets the friction; a formula without structured steps is mixed by hand. */
export function hottestTool(formula: Formula): MixTool {
  const tools = formula.mix.flatMap(({ tool }) => tool ?? []);
  return tools.reduce<MixTool>((most, tool) => (toolRiseC.values[tool] > toolRiseC.values[most] ? tool : most), 'hand');
}

/** Where the dough ends with all the liquid as ice, or as hot as it may be. */
function endOf(parts: readonly WarmPart[], liquidKg: number, liquid: LiquidTemperature, frictionK: number): number {
  const capacity = liquidKg * WATER_HEAT + parts.reduce((sum, { massKg, heat }) => sum + massKg * heat, 0);
  const heat = parts.reduce((sum, { massKg, heat: each, atC }) => sum + massKg * each * atC, 0);
  const iceJ = liquid.iceShare * liquidKg * latentHeatOfIce.value;
  const waterJ = liquid.iceShare >= 1 ? 0 : liquidKg * WATER_HEAT * liquid.atC;
  return (heat + waterJ - iceJ) / capacity + frictionK;
}

/** The part that carries most heat above the fridge, made as cold as the dough then needs with iced water. */
function chillInstead(
  parts: readonly (WarmPart & { readonly name: string; readonly rowKey: string | null })[],
  { liquidKg, wantedC, frictionK }: { readonly liquidKg: number; readonly wantedC: number; readonly frictionK: number },
  kitchen: Kitchen,
): DoughTemperature['chillInstead'] {
  const fridgeC = kitchen.places.find(({ kind }) => kind === 'fridge')?.atC ?? 5;
  const most = [...parts].sort((a, b) => b.massKg * b.heat * (b.atC - fridgeC) - a.massKg * a.heat * (a.atC - fridgeC))[0];
  if (!most) return null;
  const capacity = liquidKg * WATER_HEAT + parts.reduce((sum, { massKg, heat }) => sum + massKg * heat, 0);
  const others = parts.filter((part) => part !== most).reduce((sum, { massKg, heat, atC }) => sum + massKg * heat * (atC - wantedC), 0);
  const iced = liquidKg * WATER_HEAT * (COLDEST_TAP_C - wantedC);
  const toC = wantedC - (others + iced + capacity * frictionK) / (most.massKg * most.heat);
  return { name: most.name, rowKey: most.rowKey, toC: Math.floor(toC) };
}
