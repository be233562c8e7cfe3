import { InputError } from '../errors.js';
import { fatLatentHeat } from '../facts/fats.js';
import {
  bakeKinds,
  browningWeights,
  doorDip,
  edgeHeatShare,
  layerResistance,
  ovenConvection,
  ovenVapourPressure,
  productEmissivity,
  settingRange,
  trayHeat,
  twoTrayFactors,
  vapourDiffusivity,
} from '../facts/oven.js';
import { sorptionHeat } from '../facts/sorption.js';
import { latentHeatOfIce } from '../facts/thermal.js';
import { freezing, gasConstant } from '../matter/freezing.js';
import { tabulateIsotherm } from '../matter/isotherm.js';
import { perDry } from '../matter/make-up.js';
import { solidFatPercent } from '../matter/solid-fat.js';
import { solidsOf } from '../matter/sorption.js';
import { thermalProperties } from '../matter/thermal.js';
import { FROM_C, KELVINS } from './steam-tables.js';
import type { BakeKind, BakeKindFacts, TrayLayer, TrayMaterial } from '../facts/oven.js';
import type { SolidFatName } from '../facts/fats.js';
import type { Isotherm } from '../matter/isotherm.js';
import type { MakeUp } from '../matter/make-up.js';

/** One setting of the oven: true air temperature and minutes. */
export type OvenSetting = { readonly airC: number; readonly min: number; readonly air: 'static' | 'deck' | 'fan' };

/** What one bake is about. */
export type BakeSpec = {
  readonly makeUp: MakeUp;
  readonly kind: BakeKind;
  /** Replaces single facts of the kind. */ readonly kindFacts?: Partial<BakeKindFacts>;
  readonly thicknessMm: number;
  /** Round pieces take heat through their side; 0 leaves it out. */ readonly acrossMm?: number;
  readonly startC: number;
  readonly tray: TrayMaterial;
  readonly layer: TrayLayer;
  readonly traysAtOnce?: 1 | 2;
  readonly fat?: SolidFatName | null;
  readonly browningFactor: number;
  readonly settings: readonly OvenSetting[];
};

export type SettingNumbers = { seconds: number; airC: number; convection: number; readonly emissivity: number };

/**
 * A bake as numbers, SI: made once for a formula, then run or nudged and run again. Mutable on purpose: the spread
 * runs nudge single numbers instead of compiling the isotherm anew.
 */
export type BakeProblem = {
  /** kg water per kg dry at the start. */ startX: number;
  startC: number;
  /** kg dry matter per m2. */ dryMass: number;
  /** m3 per kg dry, raw: solids, one kg of water, and the dough with its first pores. */
  readonly solidVolume: number;
  readonly waterVolume: number;
  readonly rawVolume: number;
  readonly solidConductivity: number;
  readonly waterConductivity: number;
  readonly expansion: number;
  readonly setFromC: number;
  readonly setToC: number;
  readonly vapourPath: number;
  readonly isotherm: Isotherm;
  /** Net sorption heat over the gas constant (K) at the isotherm's knots. */ readonly sorptionK: Float64Array;
  /** J per kg dry of solids, fat melting and ice, one entry a kelvin from FROM_C. */ readonly dryEnthalpy: Float64Array;
  readonly trayCapacity: number;
  /** null: the tray is as hot as the oven. */ readonly trayStartC: number | null;
  readonly trayEmissivity: number;
  readonly trayContact: number;
  readonly vent: number;
  readonly airDipC: number;
  readonly airRecoverS: number;
  readonly airStepS: number;
  readonly acrossM: number;
  readonly edgeShare: number;
  readonly airVapourPa: number;
  browningFactor: number;
  readonly settings: SettingNumbers[];
};

const ROOM_TRAY_C = 20;

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
  const dry = perDry(spec.makeUp);
  const startX = dry.water;
  const solids = thermalProperties({ ...dry, water: 0 }, 80);
  const water = thermalProperties({ ...dry, water: 1, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 }, 80);
  const kind = { ...bakeKinds.values[spec.kind], ...spec.kindFacts };
  const solidVolume = 1 / solids.density;
  const waterVolume = 1 / 998;
  const rawVolume = (solidVolume + startX * waterVolume) / (1 - kind.firstPores);
  const isotherm = tabulateIsotherm(solidsOf(dry), Math.max(1.2, startX * 1.15));
  const tray = trayHeat.values[spec.tray];
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
    setFromC: settingRange.values.fromC,
    setToC: settingRange.values.toC,
    vapourPath: kind.vapourPath,
    isotherm,
    sorptionK: sorptionKelvins(isotherm, 1 - dry.fat),
    dryEnthalpy: dryEnthalpyTable(spec, dry),
    trayCapacity: tray.heatCapacity,
    trayStartC: tray.preheated ? null : ROOM_TRAY_C,
    trayEmissivity: tray.emissivity,
    trayContact: 1 / (1 / tray.contact + layerResistance.values[spec.layer]),
    vent: tray.vent,
    airDipC: doorDip.values.dropC,
    airRecoverS: doorDip.values.recoverS,
    airStepS: doorDip.values.stepS,
    acrossM: (spec.acrossMm ?? 0) / 1000,
    edgeShare: edgeHeatShare.value,
    airVapourPa: ovenVapourPressure.value,
    browningFactor: spec.browningFactor,
    settings: spec.settings.map((setting) => settingNumbers(setting, spec.traysAtOnce ?? 1)),
  };
}

/**
 * How fast a dough browns against one of no sugar and no protein... times its soda.
 *
 * Units    make-up as shares of the dough; a factor on the browning rate.
 * Throws   nothing.
 * Findings none.
 * Source   facts/oven browningWeights, judgement.
 */
export function browningFactorOf(makeUp: MakeUp, soda: boolean): number {
  const { base, sugar, protein, soda: sodaFactor } = browningWeights.values;
  const dry = 1 - makeUp.water;
  return (base + (sugar * makeUp.sugar) / dry + (protein * makeUp.protein) / dry) * (soda ? sodaFactor : 1);
}

/** Vapour conductance of open pores at 373 K over the vapour path, kg/m s Pa. */
export const poreDiffusivity = vapourDiffusivity.value;

function settingNumbers({ airC, min, air }: OvenSetting, traysAtOnce: 1 | 2): SettingNumbers {
  const shade = traysAtOnce === 2 ? twoTrayFactors.values : { convection: 1, radiation: 1 };
  return {
    seconds: min * 60,
    airC,
    convection: ovenConvection.values[air] * shade.convection,
    emissivity: productEmissivity.value * shade.radiation,
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
function dryEnthalpyTable({ makeUp, fat }: BakeSpec, dry: MakeUp): Float64Array {
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
