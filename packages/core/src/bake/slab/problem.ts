import { InputError } from '../../errors.js';
import { atmosphere, convectionByDensity } from '../../facts/altitude.js';
import { lightness } from '../../facts/colour.js';
import { fatLatentHeat } from '../../facts/fats.js';
import {
  bakeKinds,
  browningWeights,
  covers,
  doorDip,
  edgeShare,
  kitchenConvection,
  layerEmissivity,
  layerResistance,
  ovenConvection,
  ovenVapourPressure,
  poreSteam,
  productEmissivity,
  recessedConvection,
  rimShare,
  settingRange,
  trayFin,
  trayHeat,
  twoTrayFactors,
  vapourDiffusivity,
  wallWater,
} from '../../facts/oven.js';
import { sorptionHeat } from '../../facts/sorption.js';
import { latentHeatOfIce } from '../../facts/thermal.js';
import { freezing, gasConstant } from '../../matter/freezing.js';
import { tabulateIsotherm } from '../../matter/isotherm.js';
import { perDry } from '../../matter/make-up.js';
import { solidFatPercent } from '../../matter/solid-fat.js';
import { solidsOf } from '../../matter/sorption.js';
import { thermalProperties } from '../../matter/thermal.js';
import { FROM_C, KELVINS } from './steam-tables.js';
import type { BakeKind, BakeKindFacts, Cover } from '../../facts/oven.js';
import type { Isotherm } from '../../matter/isotherm.js';
import type { MakeUp } from '../../matter/make-up.js';
import type { SolidFatName } from '../../document/pantry.js';
import type { TrayLayer } from '../../document/formula.js';
import type { TrayMaterial } from '../../document/kitchen.js';

/** One setting of the oven: true air temperature and minutes. */
export type OvenSetting = {
  readonly airC: number;
  readonly min: number;
  readonly air: 'static' | 'deck' | 'fan';
  /** Weights on paper lie on the piece. */ readonly covered?: boolean;
  /** Minutes the tray stands in the kitchen before this setting: weights off, a tray turned. */ readonly handlingMin?: number;
};

/** One layer of what is baked: the dough, or what lies on or in it. */
export type LayerSpec = {
  readonly makeUp: MakeUp;
  readonly kind: BakeKind;
  /** Replaces single facts of the kind. */ readonly kindFacts?: Partial<BakeKindFacts>;
  readonly thicknessMm: number;
  /** Raw height to the eye, where the slab is not as thick as the piece is high. */ readonly standsMm?: number;
  readonly startC: number;
  readonly fat?: SolidFatName | null;
};

/** What one bake is about: a piece of dough on a tray, perhaps under other layers. */
/** What is folded into a dough keeps its water: what the dough itself holds is all of it less that, over the dough's own dry matter. */
export type KeptApart = {
  /** Water that is kept, kg per kg of all dry matter. */ readonly waterX: number;
  /** Of all dry matter, what is dough. */ readonly doughShare: number;
};
/** kg water per kg dry of the dough itself, of those of the whole piece; and back. */
export const doughX = (x: number, apart: KeptApart | undefined): number => (apart ? Math.max(0, x - apart.waterX) / apart.doughShare : x);
export const wholeX = (x: number, apart: KeptApart | undefined): number => (apart ? x * apart.doughShare + apart.waterX : x);

export type BakeSpec = LayerSpec & {
  /** Layers above the dough, the top one first. */ readonly above?: readonly LayerSpec[];
  /** Round pieces pass heat and vapour through their side; 0 leaves it out. */ readonly acrossMm?: number;
  /** Centre to centre of neighbours on the tray; left out: they touch, or the pan is full. */ readonly pitchMm?: number;
  /** The piece lies deep in a pan: less air gets to it. */ readonly recessed?: boolean;
  readonly tray: TrayMaterial;
  /** A pan stands on it: heated first, and hidden from the oven's floor by it. */ readonly under?: TrayMaterial;
  /** A tray that comes hot from the bake before. */ readonly trayStartC?: number;
  readonly layer: TrayLayer;
  readonly traysAtOnce?: 1 | 2;
  /** What lies on it where a setting is covered; weights on paper unless said. */ readonly cover?: Cover;
  /** Of the air, Pa; that at the sea unless said. */ readonly pressurePa?: number;
  readonly browningFactor: number;
  /** CIELAB L* of the raw dough. */ readonly rawLightness?: number;
  /** Pieces folded into the dough, where there are any. */ readonly apart?: KeptApart;
  /** What this oven's heat transfer is over that of its kind; 1 where nothing was weighed. */ readonly heatFactor?: number;
  /** The oven is lit with the tray in it: its air at first, and how fast it heats. */
  readonly coldStart?: { readonly airC: number; readonly recoverS: number };
  readonly settings: readonly OvenSetting[];
};

/** `airFromC` null: the air goes on from where it was; `wallC` null: walls follow the air. `outside`: on the table. */
export type SettingNumbers = {
  seconds: number;
  airC: number;
  airFromC: number | null;
  readonly airDropC: number;
  readonly lagS: number;
  wallC: number | null;
  convection: number;
  readonly emissivity: number;
  readonly airVapourPa: number;
  readonly covered: boolean;
  readonly outside: boolean;
  /** On a rack, off its tray. */ readonly lifted: boolean;
};

/** A layer as numbers, SI, per kg of its dry matter. */
export type Layer = {
  /** kg water per kg dry at the start. */ readonly startX: number;
  readonly startC: number;
  /** kg dry matter per m2. */ readonly dryMass: number;
  /** m3 per kg dry, raw: solids, one kg of water, and the dough with its first pores. */
  readonly solidVolume: number;
  readonly waterVolume: number;
  readonly rawVolume: number;
  readonly solidConductivity: number;
  readonly waterConductivity: number;
  readonly expansion: number;
  /** Height to the eye over the raw one once it has risen: more than the slab's where leaves part. */ readonly lift: number;
  /** Raw height to the eye, mm. */ readonly standsMm: number;
  readonly setFromC: number;
  readonly setToC: number;
  readonly vapourPath: number;
  /** Conductivity of still radiation across a pore, over T^3, W/m K4. */ readonly poreGlow: number;
  /** Factors on the liquid's path and on conduction: a juicy filling moves. */ readonly liquidPath: number;
  readonly stir: number;
  readonly isotherm: Isotherm;
  /** Net sorption heat over the gas constant (K) at the isotherm's knots. */ readonly sorptionK: Float64Array;
  /** J per kg dry of solids, fat melting and ice, one entry a kelvin from FROM_C. */ readonly dryEnthalpy: Float64Array;
};

/** A bake as numbers, SI: made once for a formula, then run, or nudged and run again without a new isotherm. */
export type BakeProblem = {
  /** Top first. */ readonly layers: readonly Layer[];
  /** Which layer is the dough. */ readonly main: number;
  /** Of the air, Pa. */ readonly pressurePa: number;
  readonly trayCapacity: number;
  /** null: the tray is as hot as the oven. */ readonly trayStartC: number | null;
  readonly trayEmissivity: number;
  /** Of the tray's bare upper side, with its paper. */ readonly bareEmissivity: number;
  readonly trayContact: number;
  /** Bare tray that feeds a piece, over the piece's own area, times the share of its heat that arrives. */ readonly fin: number;
  readonly vent: number;
  readonly coverCapacity: number;
  readonly coverContact: number;
  readonly coverVent: number;
  readonly recess: number;
  readonly acrossM: number;
  /** Heat and vapour through the side, of what a cylinder would pass. */ readonly edgeShare: number;
  readonly edgeVent: number;
  readonly browningFactor: number;
  readonly rawLightness: number;
  readonly apart?: KeptApart;
  /** How far the rim of a piece is on the way from its top's temperature to the air's: it stands free, or above its pan. */ readonly rimShare: number;
  /** Drop of the air when the door is opened for a look, K. */ readonly lookDropC: number;
  readonly settings: readonly SettingNumbers[];
};

const ROOM_TRAY_C = 20;
export const STEFAN_BOLTZMANN = 5.670374e-8;

/**
 * Turns what a bake is about into the numbers its equations need.
 *
 * Units    mm, C, min at the door; SI inside.
 * Throws   InputError at bake.steps when there is no setting.
 * Findings none.
 * Source   facts/oven, facts/sorption, facts/thermal.
 */
export function compileBake(spec: BakeSpec): BakeProblem {
  if (spec.settings.length === 0) throw new InputError('bake.steps', 'needs at least one step with a temperature');
  const tray = trayHeat.values[spec.tray];
  const under = spec.under ? trayHeat.values[spec.under] : undefined;
  const cover = covers.values[spec.cover ?? 'weights'];
  const above = spec.above ?? [];
  const fin = finOf(spec);
  return {
    layers: [...above, spec].map(compileLayer),
    main: above.length,
    pressurePa: spec.pressurePa ?? atmosphere.values.seaPa,
    trayCapacity: (tray.heatCapacity + (under?.heatCapacity ?? 0)) * (1 + fin),
    trayStartC: tray.preheated ? null : (spec.trayStartC ?? coldStartOf(spec)),
    trayEmissivity: (under ?? tray).emissivity,
    bareEmissivity: spec.layer === 'none' ? tray.emissivity : layerEmissivity.value,
    trayContact: 1 / (1 / tray.contact + layerResistance.values[spec.layer]),
    fin,
    vent: tray.vent,
    coverCapacity: cover.heatCapacity,
    coverContact: cover.contact,
    coverVent: cover.vent,
    recess: spec.recessed ? recessedConvection.value : 1,
    acrossM: (spec.acrossMm ?? 0) / 1000,
    edgeShare: edgeShare.value,
    edgeVent: edgeShare.value,
    browningFactor: spec.browningFactor,
    rawLightness: spec.rawLightness ?? lightness.values.raw,
    ...(spec.apart ? { apart: spec.apart } : {}),
    rimShare: (spec.pitchMm && spec.acrossMm) || spec.recessed ? rimShare.value : 0,
    lookDropC: doorDip.values.lookDropC,
    settings: settingsOf(spec),
  };
}

/** A cold pan on a stone that was heated with the oven: between both, by what each holds. */
function coldStartOf({ tray, under, settings }: BakeSpec): number {
  const below = under ? trayHeat.values[under] : undefined;
  if (!below?.preheated) return ROOM_TRAY_C;
  const share = below.heatCapacity / (below.heatCapacity + trayHeat.values[tray].heatCapacity);
  return ROOM_TRAY_C + share * (settings[0]!.airC - ROOM_TRAY_C);
}

/** Pure fat or pure water has no isotherm: every layer is taken to hold this share of neither. */
const LEAST_SOLIDS = 0.02;
function withSolids(of: MakeUp): MakeUp {
  const lack = LEAST_SOLIDS - (1 - of.water - of.fat);
  if (lack <= 0) return of;
  const kept = 1 - lack / (of.water + of.fat);
  return { ...of, water: of.water * kept, fat: of.fat * kept, ash: of.ash + lack };
}

function compileLayer(asMixed: LayerSpec): Layer {
  const spec = { ...asMixed, makeUp: withSolids(asMixed.makeUp) };
  const dry = perDry(spec.makeUp);
  const startX = dry.water;
  const solids = thermalProperties({ ...dry, water: 0 }, 80);
  const water = thermalProperties({ ...dry, water: 1, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 }, 80);
  const kind = { ...bakeKinds.values[spec.kind], ...spec.kindFacts };
  const solidVolume = 1 / solids.density;
  const waterVolume = 1 / 998;
  const rawVolume = (solidVolume + startX * waterVolume) / (1 - kind.firstPores);
  const isotherm = tabulateIsotherm(solidsOf(dry), { toX: Math.max(1.2, startX * 1.15), wallWater: wallWater.value * (1 - dry.fat) });
  return {
    startX,
    startC: spec.startC,
    dryMass: spec.thicknessMm / 1000 / rawVolume,
    solidVolume,
    waterVolume,
    rawVolume,
    solidConductivity: solids.conductivity,
    waterConductivity: water.conductivity,
    expansion: kind.expansion,
    lift: kind.lift ?? kind.expansion,
    standsMm: spec.standsMm ?? spec.thicknessMm,
    setFromC: settingRange.values.fromC,
    setToC: settingRange.values.toC,
    vapourPath: kind.vapourPath,
    poreGlow: (4 * poreSteam.values.emissivity * STEFAN_BOLTZMANN * poreSteam.values.poreMm) / 1000,
    liquidPath: kind.liquidPath ?? 1,
    stir: kind.stir ?? 1,
    isotherm,
    sorptionK: sorptionKelvins(isotherm, 1 - dry.fat),
    dryEnthalpy: dryEnthalpyTable(spec, dry),
  };
}

/** Height to the eye of a layer whose slab is so high, mm: air between leaves or within a wall is not crossed by heat and steam. */
export function heightOf({ dryMass, rawVolume, expansion, lift, standsMm }: Layer, slabMm: number): number {
  const rawMm = 1000 * dryMass * rawVolume;
  return lift === expansion ? slabMm : standsMm * (1 + ((slabMm / rawMm - 1) * (lift - 1)) / (expansion - 1));
}

/**
 * The same bake with one uncertain number moved.
 *
 * Units    K on the oven; shares and points as named.
 * Throws   nothing.
 * Findings none.
 * Source   what each spread means: facts/oven bakeSpread.
 */
export function nudged(p: BakeProblem, by: BakeNudge): BakeProblem {
  const { ovenC = 0, thicknessShare = 0, waterOfDough = 0, startC = 0, heatLog = 0, browningLog = 0 } = by;
  const wetter = (x: number) => {
    const share = Math.min(0.95, Math.max(0.01, x / (1 + x) + waterOfDough));
    return share / (1 - share);
  };
  const plus = (c: number | null) => (c === null ? null : c + ovenC);
  const heat = Math.exp(heatLog);
  return {
    ...p,
    layers: p.layers.map((layer, n) =>
      n === p.main
        ? {
            ...layer,
            dryMass: layer.dryMass * Math.max(0.5, 1 + thicknessShare),
            startX: wetter(layer.startX),
            startC: layer.startC + startC,
          }
        : layer,
    ),
    settings: p.settings.map((setting) =>
      setting.outside
        ? setting
        : {
            ...setting,
            airC: setting.airC + ovenC,
            airFromC: plus(setting.airFromC),
            wallC: plus(setting.wallC),
            convection: setting.convection * heat,
          },
    ),
    browningFactor: p.browningFactor * Math.exp(browningLog),
  };
}
/** The same bake with its first setting wanted so much hotter: what is known of the oven stays as it is. */
export function firstHotter(p: BakeProblem, byC: number): BakeProblem {
  return {
    ...p,
    settings: p.settings.map((setting, i) =>
      i === 0
        ? {
            ...setting,
            airC: setting.airC + byC,
            airFromC: setting.airFromC === null ? null : setting.airFromC + byC,
            wallC: setting.wallC === null ? null : setting.wallC + byC,
          }
        : setting,
    ),
  };
}

export type BakeNudge = {
  readonly ovenC?: number;
  readonly thicknessShare?: number;
  readonly waterOfDough?: number;
  readonly startC?: number;
  readonly heatLog?: number;
  readonly browningLog?: number;
};

/** Bare tray a piece draws on, as a share of its own area: half the way to its neighbours, as far as the tray carries heat. */
function finOf({ pitchMm, acrossMm, tray }: BakeSpec): number {
  if (!pitchMm || !acrossMm || trayHeat.values[tray].preheated) return 0;
  const gapMm = Math.min(Math.max(0, pitchMm - acrossMm), trayFin.values.farthestMm);
  return trayFin.values.share * ((1 + gapMm / acrossMm) ** 2 - 1);
}

/**
 * How fast a dough browns, as a factor on the rate of its surface.
 *
 * Units    make-up as shares of the dough.
 * Throws   nothing.
 * Findings none.
 * Source   facts/oven browningWeights, judgement.
 */
export function browningFactorOf(makeUp: MakeUp, { soda = 0, wash = false, reducingShare = 0 }: Browners): number {
  const weights = browningWeights.values;
  const dry = 1 - makeUp.water;
  const rate = weights.base + (weights.sugar * makeUp.sugar + weights.protein * makeUp.protein) / dry + weights.reducing * reducingShare;
  return rate * weights.soda ** soda * (wash ? weights.wash : 1);
}
/** What else browns: free soda (0 none, 1 in full), a wash of egg or milk, reducing sugars (share of the dry matter). */
export type Browners = { readonly soda?: number; readonly wash?: boolean; readonly reducingShare?: number };

/** Vapour conductance of open pores at 373 K over the vapour path, kg/m s Pa. */
export const poreDiffusivity = vapourDiffusivity.value;

/** The settings with what the door does: the first dip, the lag of a change, and the minutes on the table between two. */
function settingsOf({
  settings,
  traysAtOnce = 1,
  heatFactor = 1,
  coldStart,
  pressurePa = atmosphere.values.seaPa,
}: BakeSpec): SettingNumbers[] {
  const thinAir = (pressurePa / atmosphere.values.seaPa) ** convectionByDensity.value;
  const shade = traysAtOnce === 2 ? twoTrayFactors.values : { convection: 1, radiation: 1 };
  const { dropC, recoverS, stepS, handlingDropC } = doorDip.values;
  return settings.flatMap(({ airC, min, air, covered = false, handlingMin = 0 }, i) => {
    const before = settings[i - 1];
    const handled = handlingMin > 0 && before !== undefined;
    const inside: SettingNumbers = {
      seconds: min * 60,
      airC,
      airFromC: i === 0 ? (coldStart?.airC ?? airC - dropC) : handled ? airC - handlingDropC : null,
      airDropC: 0,
      lagS: i === 0 ? (coldStart?.recoverS ?? recoverS) : handled ? recoverS : stepS,
      wallC: i === 0 ? (coldStart ? null : airC) : handled ? 0.5 * (airC + before.airC) : null,
      convection: ovenConvection.values[air] * shade.convection * heatFactor * thinAir,
      emissivity: productEmissivity.value * shade.radiation,
      airVapourPa: ovenVapourPressure.value,
      covered,
      outside: false,
      lifted: false,
    };
    return handled ? [outOfOven(handlingMin), inside] : [inside];
  });
}

/** Where a piece stands when it is not in the oven. */
export type Outside = { readonly airC: number; readonly vapourPa: number; readonly convection: number; readonly lifted: boolean };

/** Minutes out of the oven: on a table in the kitchen, unless said where. */
export function outOfOven(
  min: number,
  { airC, vapourPa, convection, lifted }: Outside = { airC: 25, vapourPa: 1500, convection: kitchenConvection.value, lifted: false },
): SettingNumbers {
  return {
    seconds: min * 60,
    airC,
    airFromC: airC,
    airDropC: 0,
    lagS: 1,
    wallC: airC,
    convection,
    emissivity: productEmissivity.value,
    airVapourPa: vapourPa,
    covered: false,
    outside: true,
    lifted,
  };
}

function sorptionKelvins(isotherm: Isotherm, nonFat: number): Float64Array {
  const { jPerMol, decayPerNonFat } = sorptionHeat.values;
  return Float64Array.from(
    { length: isotherm.cells + 2 },
    (_, i) => (jPerMol / gasConstant) * Math.exp(-((i * isotherm.stepU) ** 2) / (decayPerNonFat * nonFat)),
  );
}

/** Heat of the dry matter with what its fat and ice take to melt; heat capacity is held above 150 C. */
function dryEnthalpyTable({ makeUp, fat }: LayerSpec, dry: MakeUp): Float64Array {
  const { firstIceC, iceShareAt } = freezing(makeUp);
  const solids = { ...dry, water: 0 };
  const capacityAt = (atC: number) => thermalProperties(solids, Math.min(150, atC)).heatCapacity;
  const latent = (atC: number) => {
    const melted = fat ? -(dry.fat * fatLatentHeat.value * solidFatPercent(fat, atC)) / 100 : 0;
    const ice = atC < firstIceC ? iceShareAt(atC) / (1 - makeUp.water) : 0;
    return melted - ice * (latentHeatOfIce.value + 2100 * atC);
  };
  const table = new Float64Array(KELVINS + 1);
  let sensible = 0;
  let before = capacityAt(FROM_C);
  table[0] = latent(FROM_C);
  for (let i = 1; i <= KELVINS; i++) {
    const now = capacityAt(FROM_C + i);
    sensible += 0.5 * (now + before);
    before = now;
    table[i] = sensible + latent(FROM_C + i);
  }
  return table;
}
