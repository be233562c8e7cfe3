import { fact, table } from './fact.js';
import type { TrayLayer } from '../document/formula.js';
import type { TrayMaterial } from '../document/kitchen-words.js';

export const ovenConvection = table(
  { static: 8.5, deck: 8.5, fan: 17 },
  'W/m2 K',
  'judgement',
  'natural and light forced convection in small ovens, 5-10 and 15-30 in the literature (from memory); values calibrated on baking practice. A deck is taken as still air',
);
export const fanDifferenceK = fact(
  20,
  'K',
  'commonPractice',
  'a fan oven is set so much lower than a still one for the same bake; no source',
);
export const productEmissivity = fact(0.8, '-', 'fromMemory', 'baked goods, handbook class value');
export const twoTrayFactors = table({ convection: 0.8, radiation: 0.75 }, 'share', 'judgement', 'two trays at once shade each other');

export type TrayHeat = {
  /** J/m2 K. */ readonly heatCapacity: number;
  readonly emissivity: number;
  /** W/m2 K between tray and dough. */ readonly contact: number;
  /** Share of the top's vapour escape that gets out below. */ readonly vent: number;
  readonly preheated: boolean;
};
export const trayHeat = table<Record<TrayMaterial, TrayHeat>>(
  {
    aluminium: { heatCapacity: 3000, emissivity: 0.45, contact: 125, vent: 0.25, preheated: false },
    darkSteel: { heatCapacity: 3600, emissivity: 0.9, contact: 125, vent: 0.25, preheated: false },
    stone: { heatCapacity: 27000, emissivity: 0.9, contact: 200, vent: 0.15, preheated: true },
    glass: { heatCapacity: 10500, emissivity: 0.9, contact: 90, vent: 0.05, preheated: false },
    ceramic: { heatCapacity: 16000, emissivity: 0.9, contact: 80, vent: 0.05, preheated: false },
    metalPan: { heatCapacity: 2800, emissivity: 0.44, contact: 180, vent: 0.05, preheated: false },
  },
  'J/m2 K, -, W/m2 K, share',
  'judgement',
  'areal heat capacity = density x heat capacity x thickness; emissivity handbook class values from memory; contact and vent judgement',
);
export const layerResistance = table<Record<TrayLayer, number>>(
  { none: 0, paper: 0.0012, mat: 0.0045 },
  'm2 K/W',
  'judgement',
  'paper or mat between tray and dough',
);

export type BakeKind =
  | 'cracker'
  | 'crackerLeavened'
  | 'nutCracker'
  | 'shortbread'
  | 'cookie'
  | 'pieShell'
  | 'biscuit'
  | 'laminated'
  | 'croissant'
  | 'choux'
  | 'scalded'
  | 'filling'
  | 'juicyFilling';
export type BakeKindFacts = {
  /** Largest thickness over raw thickness. */ readonly expansion: number;
  /** Vapour path factor: how open the crumb is to steam. */ readonly vapourPath: number;
  /** Gas share of the raw dough. */ readonly firstPores: number;
  /** Factors on the liquid's path and on conduction, 1 unless it moves. */ readonly liquidPath?: number;
  readonly stir?: number;
  /** Height to the eye over raw thickness where leaves part: about half of the air between them has to be crossed by heat and steam. */
  readonly lift?: number;
  /** Volume over raw volume where steam blows the piece up: it bakes as its wall, both of whose sides let heat in. */
  readonly hollow?: number;
};
/** How a crumb lets steam out: thin dry walls between open pores, some of them closed, or closed cells and dense crusts. */
export const crumbPath = table(
  { open: 0.83, halfOpen: 0.2, closed: 0.07, filling: 0.1, juicyFilling: 0.3 },
  'share of free diffusion',
  'judgement',
  'three kinds of structure in place of a number for each good; open and closed fitted to 38 practice rows, the rest by trial',
);
const { open, halfOpen, closed, filling, juicyFilling } = crumbPath.values;
export const bakeKinds = table<Record<BakeKind, BakeKindFacts>>(
  {
    crackerLeavened: { expansion: 2, vapourPath: open, firstPores: 0.06 },
    cracker: { expansion: 1.35, vapourPath: open, firstPores: 0.05 },
    nutCracker: { expansion: 1.1, vapourPath: open, firstPores: 0.05 },
    shortbread: { expansion: 1.15, vapourPath: open, firstPores: 0.08 },
    cookie: { expansion: 1.3, vapourPath: halfOpen, firstPores: 0.12 },
    pieShell: { expansion: 1.1, vapourPath: closed, firstPores: 0.04 },
    biscuit: { expansion: 1.9, vapourPath: closed, firstPores: 0.1 },
    laminated: { expansion: 3.2, vapourPath: open, firstPores: 0.15, lift: 6 },
    croissant: { expansion: 1.25, vapourPath: closed, firstPores: 0.55 },
    scalded: { expansion: 1.05, vapourPath: closed, firstPores: 0.02 },
    choux: { expansion: 1.3, vapourPath: halfOpen, firstPores: 0.03, hollow: 2.8 },
    filling: { expansion: 1, vapourPath: filling, firstPores: 0.02 },
    juicyFilling: { expansion: 1, vapourPath: juicyFilling, firstPores: 0.02, stir: 1.3 },
  },
  'ratio, -, share',
  'judgement',
  'expansion of a leavened cracker and height of puff from common practice, how much of puff counts as slab by trial on two rows, the rest judgement; volume of choux common practice, 2.2 to 3.5; a scalded dough without gas is closed; paths of vapour: crumbPath',
);
export const leavenedFrom = fact(0.5, 'percent of blend', 'judgement', 'a cracker with this much leavener rises as leavened');
export const settingRange = table({ fromC: 45, toC: 95 }, 'C', 'judgement', 'gas and steam lift the piece, then starch sets it');
export const vapourDiffusivity = fact(2.2e-10, 'kg/m s Pa at 373 K', 'fromMemory', 'water vapour in air over R T / M');
export const liquidDiffusivity = table({ at60C: 3e-10, perK: 0.025 }, 'm2/s, 1/K', 'judgement', 'order of published dough values');
/**
 * In a wet pore water evaporates at the hot wall, diffuses and condenses at the cold one, and runs back through the wall: no water moves
 * on balance, and much heat. The return needs liquid: with bound water it stops, so a drying crust insulates again and can colour.
 */
export const poreSteam = table(
  { poreMm: 0.5, emissivity: 0.9 },
  'mm, -',
  'judgement',
  'steam across wet pores: Krischer 1963, de Vries 1958, from memory; free as the eighth power of the water activity, by trial of 0 to 20 on practice rows; radiation across a pore as between grey walls',
);
export const wallWater = fact(
  0.026,
  'kg per kg of non-fat dry matter',
  'judgement',
  'while it dries a pore wall is wetter inside than at its face: a quasi-steady lag, fitted so that crackers and crusts leave the oven with the 1.5 to 4 % that textbooks give (from memory)',
);
export const boilingSmoothness = fact(0.02, '-', 'judgement', 'width of the turn from diffusion to pressure-driven flow at boiling');
export const ovenVapourPressure = fact(
  8000,
  'Pa',
  'judgement',
  'vented oven with a loaded tray: 0.1 g of steam a second into 1 to 2 l of fresh air',
);
export const doorDip = table(
  { dropC: 25, recoverS: 150, stepS: 400, handlingDropC: 40, lookDropC: 15 },
  'K, s, s, K, K',
  'judgement',
  'the air after the door was open, after a change of setting, after handling and after a look of five seconds',
);
export const trayFin = table(
  { share: 0.55, farthestMm: 25 },
  'share, mm',
  'judgement',
  'the bare tray between pieces as a fin. Metal of 1.5 mm would bring 0.97 of its heat from 12 mm away; loose paper, the shade of the pieces and still air on a cold plate leave about half, fitted to practice rows',
);
export const layerEmissivity = fact(0.9, '-', 'fromMemory', 'paper or mat on the bare tray, handbook class value');
/** What may lie on a piece while it bakes. */
export type Cover = 'weights' | 'tray';
export const covers = table<Record<Cover, { readonly heatCapacity: number; readonly contact: number; readonly vent: number }>>(
  { weights: { heatCapacity: 15000, contact: 35, vent: 0.03 }, tray: { heatCapacity: 4000, contact: 80, vent: 0.1 } },
  'J/m2 K, W/m2 K, share',
  'judgement',
  'about 10 kg/m2 of beans on paper on a blind shell; a bare tray on top, which lies closer and holds less heat',
);
export const recessedConvection = fact(0.8, 'share', 'judgement', 'air that gets into a lined pan; 0.6 to 1 span the practice rows');
export const kitchenConvection = fact(6, 'W/m2 K', 'judgement', 'still kitchen air, radiation apart');
export const handlingMin = table({ weights: 1.2, turn: 0.3 }, 'min', 'commonPractice', 'weights out, or a tray turned; no source');
export const heatUp = fact(14, 'min', 'commonPractice', 'an oven from cold to about 180 C; no source');
export const eggCoreC = fact(
  71,
  'C',
  'fromMemory',
  'least core temperature of a dish with egg, 160 F, consumer advice of the US food agencies',
);
export const edgeShare = fact(
  0.51,
  'share',
  'judgement',
  'heat and vapour through the side of a piece, of what a cylinder of its width would pass',
);

/** Its rim: a piece that stands free sees the oven on two sides there. */
export const rimShare = fact(0.14, 'share', 'judgement', 'how far the rim is on the way from the top to the air; fitted to practice rows');

export const browning = table(
  { rateAtRef: 0.00193, refC: 150, activationJPerMol: 64000, slowsAtAw: 0.66, slowPower: 4, peaksFromAw: 0.11, dryShare: 0.45 },
  '1/s, C, J/mol, -, -, -, share',
  'judgement',
  'first-order loss of lightness; activation energy: order of Purlis & Salvadori 2009 (bread crust) and Zanoni 1995, from memory; sugar and amino acids react fastest at middle water activity and slow in bone dry and in wet matter (direction published, from memory); numbers fitted to practice rows',
);
export const browningWeights = table(
  { base: 0.46, sugar: 1.2, protein: 2.5, reducing: 6.6, soda: 1.39, wash: 1.3, sodaFull: 0.005 },
  'per share of dry matter; factors; share of the blend',
  'judgement',
  'sugars and protein brown, reducing sugars (milk, honey, syrups) most, soda that no acid took and a wash help; fitted to practice rows. Soda counts in full from half a percent of the blend on',
);
export const lookAgainMin = fact(3, 'min', 'judgement', 'the next look, where a bake takes longer than any that was thought of');

export const bakeSpread = table(
  {
    ovenC: 6,
    ovenMeasuredC: 2.5,
    thicknessShare: 0.1,
    thicknessBandsShare: 0.04,
    waterOfDough: 0.008,
    startC: 2,
    heatTransferLog: 0.1,
    browningLog: 0.2,
  },
  'one standard deviation: K, K, share, share, share of dough, K, log, log',
  'judgement',
  'how far an unmeasured kitchen strays; refitted by its own bakes later',
);
export const dayToDay = table(
  { ovenC: 1, heatLog: 0.02, browningLog: 0.05 },
  'one standard deviation from bake to bake: K, log, log',
  'judgement',
  'what an oven that is known still strays: load, door, place on the shelf, day',
);
export const bakeReadings = table(
  { lossShare: 0.004, tone: 0.6, doneMin: 0.8, measuredThicknessShare: 0.03 },
  'one standard deviation: share of the mass, tone, min, share',
  'judgement',
  'a kitchen scale and what cools off on the way to it; an eye for one of eight tones; when a baker calls it done',
);
export const ovenCareDays = fact(30, 'd', 'judgement', 'an oven drifts: measured again after a month');
export const ovenSideLimit = fact(5, 'K', 'judgement', 'trays are turned from this difference between the sides of a shelf on');
export const doneTolerance = table(
  { moistureShare: 1.1, moisturePoints: 0.002, wetFix: 2, dryFix: 0.5, paleTones: 0.25, darkFixTones: 1, coreC: 1, rawFixC: 6 },
  'factor, share, factor, factor, tones, tones, K, K',
  'judgement',
  'how far a bake may miss dry, through and golden before it is said, and before it is a fix',
);
export const softFrom = fact(0.09, 'share of moisture', 'judgement', 'what is moister than this when it is right is soft, not crisp');
export const cookieSpread = table(
  { usual: 0.4, perFat: 0.6, perSugar: 0.7, perK: 0.03, atC: 12, perBinder: 0.5, early: 0.7 },
  'ratio less one; powers; 1/K; C; per dose over target; share',
  'judgement',
  'a scooped cookie of the family target grows by two fifths (common practice, no source); more with warm dough, fat and sugar, less with gum',
);
export const sliceWarmC = table(
  { from: 35, to: 55 },
  'C',
  'commonPractice',
  'a log is sliced while its middle is warm, not hot: no source',
);
export const dialOffK = table({ often: 10, far: 20 }, 'K', 'commonPractice', 'how far a domestic dial is often off; no source');
export const flourTestC = fact(
  200,
  'C',
  'commonPractice',
  'white rice flour on a tray browns first where an oven is hotter, six minutes: no source',
);
export const boilingJamC = table({ from: 100, to: 110 }, 'C', 'commonPractice', 'jam and syrup at the boil: no source');

export const hollowDrying = table(
  { min: 10 },
  'min',
  'commonPractice',
  'hollow pieces are pierced and dry in the oven, switched off, its door ajar, so that steam inside does not soften the shell again; no source',
);
