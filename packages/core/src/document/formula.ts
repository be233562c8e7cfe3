import type { AcrylamideMeasure } from '../facts/acrylamide.js';
import type { Component } from './preparation.js';

/** One line of a blend. Shares of a blend sum to 1, gums included. `key` is unique in the formula and never reused. */
export type BlendRow = {
  readonly key: string;
  readonly ingredientId: string;
  readonly share: number;
  /** Least and most that Find blends may give it. */ readonly minShare?: number;
  readonly maxShare?: number;
  readonly pinned?: boolean;
  readonly lotId?: string;
};
/** A formula holds its own copy of its blend; `from` says which library blend it began as. */
export type Blend = {
  readonly name: string;
  readonly rows: readonly BlendRow[];
  readonly from?: { readonly blendId: string; readonly version: number };
  /** One standard deviation of each share, in row order, where the shares were read from a label. */ readonly uncertainShare?: readonly number[];
};

export const rowUses = ['dough', 'rollIn', 'foldIn', 'wash', 'topping', 'filling', 'dust'] as const;
export type RowUse = (typeof rowUses)[number];
export const fatStates = ['pieces', 'rubbed', 'creamed', 'melted'] as const;
export type FatState = (typeof fatStates)[number];

export const goesOnMoments = ['shaping', 'hot', 'cooled', 'serving'] as const;
export const goesOnBefore = ['wait', 'bakeStep'] as const;
export type GoesOnMoment = (typeof goesOnMoments)[number];
/** When a wash, filling, topping or dust goes on: in shaping, before a numbered wait after cutting or a bake step, or after the oven. */
export type GoesOn = { readonly at: GoesOnMoment } | { readonly at: (typeof goesOnBefore)[number]; readonly n: number };

/** Every gram outside the blend is a row, for the batch as written. */
export type Row = {
  readonly key: string;
  readonly ingredientId: string;
  readonly amountG: number;
  readonly use: RowUse;
  /** Left out: as its use usually does (`goesOnOf`). */ readonly goesOn?: GoesOn;
  /** A component of the formula that it is part of: all of one go on together. */ readonly component?: string;
  /** As typed, '1 stick'. */ readonly entered?: string;
  readonly pinned?: boolean;
  readonly lotId?: string;
  /** How warm it goes in; left out: as its place in the kitchen is. */ readonly atC?: number;
  readonly fat?: { readonly state: FatState; readonly pieceMm?: number };
  /** A gum or seed that swells in formula water before it meets the flour. */ readonly soakMin?: number;
};

/**
 * Mixed into the dough or folded into it: what a sheet is rolled from.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isOfDough({ use: 'rollIn' }); // => true
 */
export const isOfDough = ({ use }: Pick<Row, 'use'>): boolean => use === 'dough' || use === 'rollIn' || use === 'foldIn';

/** The one way to wait anywhere: chilling, firming, cooling. */
export type Wait = { readonly placeId: string; readonly min: number };
export const mixActs = ['soak', 'warm', 'melt', 'whisk', 'cutIn', 'rub', 'cream', 'beat', 'pour', 'foldIn', 'knead', 'stand'] as const;
export type MixAct = (typeof mixActs)[number];
export const mixTools = ['hand', 'whisk', 'mixer', 'processor', 'pan'] as const;
export type MixTool = (typeof mixTools)[number];
/** In place of a row's key: the whole blend. */
export const BLEND = 'blend';
/** One step of mixing, in order: what is done to which rows (or a share of one), with what, until when. */
export type MixStep = {
  readonly key: string;
  /** Left out: a step in the baker's own words. */ readonly act?: MixAct;
  readonly of?: readonly { readonly rowKey: string; readonly share: number }[];
  readonly tool?: MixTool;
  readonly min?: number;
  readonly pulses?: number;
  /** The sign to stop at: an id of facts/mixing, or own words. */ readonly stopAt?: string;
  readonly does?: string;
};
export const wraps = ['none', 'film', 'paper', 'lid'] as const;
export type Wrap = (typeof wraps)[number];
export const trayLayers = ['none', 'paper', 'mat'] as const;
export type TrayLayer = (typeof trayLayers)[number];
export const packs = ['openTray', 'paperBag', 'looseTin', 'tightTin', 'sealedPouch'] as const;
export type Pack = (typeof packs)[number];
export const chillForms = ['slab', 'disc', 'log', 'ball', 'pieces'] as const;
export type Chill = {
  readonly form: (typeof chillForms)[number];
  /** Slab, disc and pieces: through the thickness; log and ball: across. */ readonly thicknessMm: number;
  readonly wrap: Wrap;
  readonly targetC: number;
  readonly waits: readonly Wait[];
};
/** Cut by one measure, across. */
export const acrossShapes = ['round', 'hexagon', 'heart'] as const;
/** Cut for the pan that the bake names. */
export const panShapes = ['lining', 'lid', 'base', 'side', 'lattice'] as const;
/** What a knife, a wheel or a cutter takes out of a sheet. */
export type CutShape =
  | { readonly kind: 'rectangle'; readonly widthMm: number; readonly lengthMm: number }
  /** Strips of a width, cut across at an angle. */
  | { readonly kind: 'diamond'; readonly widthMm: number; readonly angleDeg: number }
  | { readonly kind: (typeof acrossShapes)[number]; readonly acrossMm: number }
  | { readonly kind: 'triangle'; readonly baseMm: number; readonly heightMm: number }
  /** One closed line, a pair of numbers a point. */
  | { readonly kind: 'outline'; readonly pointsMm: readonly (readonly number[])[] };
export const portionForms = ['ball', 'drop', 'pressed', 'poured'] as const;
export type PortionForm = (typeof portionForms)[number];
/** What is weighed and not cut. A ball stands as high as it is; what is dropped or pressed as its part's thickness; batter to a level in its pan. */
export type PortionShape = { readonly kind: 'portion'; readonly pieceG: number; readonly form: PortionForm };
/** What is cut for the pan that the bake names. */
export type PanShape =
  | { readonly kind: 'lining'; readonly overhangMm: number }
  | { readonly kind: 'lid'; readonly overhangMm: number; readonly domeMm: number }
  | { readonly kind: 'base' }
  | { readonly kind: 'side'; readonly overlapMm: number }
  | { readonly kind: 'lattice'; readonly stripMm: number; readonly gapMm: number; readonly overhangMm: number };
export type Shape =
  | CutShape
  | PortionShape
  | PanShape
  /** A log, sliced. */
  | { readonly kind: 'slice'; readonly acrossMm: number }
  /** A disc folded in over its filling, without a pan. */
  | { readonly kind: 'freeForm'; readonly filledMm: number; readonly foldMm: number };
export type ShapeKind = Shape['kind'];
export const bodies = ['flat', 'rolledUp', 'wrapped'] as const;
/** A piece is made of parts: a cracker has one, a pie a lining and a lid, a window cookie a bottom and a top. */
export type Part = {
  readonly key: string;
  readonly perPiece: number;
  readonly thicknessMm: number;
  readonly shape: Shape;
  /** Cut out of it; goes back to the scraps. */ readonly window?: CutShape;
  /** Slits for steam. */ readonly vents?: number;
  /** How it stands in the oven; left out: flat, as cut. */ readonly body?: (typeof bodies)[number];
};
export const lockIns = ['envelope', 'halfBook', 'twoThirds', 'inverse'] as const;
/** One turn: rolled to a thickness, folded into so many parts, then rested. */
export type Fold = { readonly parts: (typeof foldParts)[number]; readonly rollToMm: number; readonly waits: readonly Wait[] };
export type Laminate = {
  /** Envelope and half book hold one sheet of fat, two thirds makes two, inverse has the fat outside. */ readonly lockIn: (typeof lockIns)[number];
  /** Of the dough when the fat goes in. */ readonly doughMm: number;
  /** Dough left bare round the fat, to seal. */ readonly borderMm: number;
  readonly folds: readonly Fold[];
  /** The far edge is marked, so that the quarter turn is known after the cold. */ readonly mark?: boolean;
};
export const dockPatterns = ['inLine', 'staggered'] as const;
/** How rows of prick holes stand to each other. */
export type DockPattern = (typeof dockPatterns)[number];
export const rerolls = ['no', 'once', 'tillGone'] as const;
export const cutWhens = ['raw', 'hot', 'cold'] as const;
export const foldParts = [2, 3, 4] as const;
export type Sheet = {
  readonly parts: readonly Part[];
  readonly laminate?: Laminate;
  /** Guide bands beside the sheet hold its thickness. */ readonly bandsMm?: number;
  /** Of this dough, weighed; left out: as raw pastry dough usually is. */ readonly densityGPerMl?: number;
  /** How much a piece shortens from cut to baked, along the last roll and across it; below 0: grows. */
  readonly shrink?: { readonly alongShare: number; readonly acrossShare: number };
  readonly trimMm: number;
  readonly reroll: (typeof rerolls)[number];
  readonly dockPitchMm?: number;
  /** Left out: in line. */ readonly dockPattern?: DockPattern;
  /** Sheets the dough is divided into. */ readonly lots: number;
  /** Between neighbours on the tray, and from its edge; left out: as they spread, and as usual. */ readonly trayGapMm?: number;
  readonly trayEdgeMm?: number;
  /** When pieces are cut; left out: raw. Hot or cold, the whole sheet goes into the oven. */ readonly cut?: (typeof cutWhens)[number];
  /** After cutting: firming, freezing, proving. */ readonly waits: readonly Wait[];
};
/** `wantC` is the wanted air temperature; null is oven off. The dial is worked out from the oven. */
export type BakeStep = {
  readonly name: string;
  readonly wantC: number | null;
  readonly min: number;
  /** Weights on paper lie on the piece; they come off when a step without them follows. */ readonly weighted?: boolean;
  /** The tray is turned, or the pieces are, before this step. */ readonly turn?: boolean;
};
export type BakeSettings = {
  readonly ovenId: string;
  readonly trayId: string;
  /** What a pie or tart stands in; left out: flat on the tray. */ readonly panId?: string;
  /** The pan stands on the tray; left out: on the rack. */ readonly panOnTray?: boolean;
  readonly traysAtOnce: 1 | 2;
  readonly layer: TrayLayer;
  /** The oven is lit with the tray in it. */ readonly fromCold?: boolean;
  /** The tray comes hot from the bake before. */ readonly hotTray?: boolean;
  readonly steps: readonly BakeStep[];
  readonly done: { readonly moistureShare?: number; readonly tone?: number; /** Coldest place, C. */ readonly coreC?: number };
  /** Taken against acrylamide. */ readonly measures?: readonly AcrylamideMeasure[];
};
/** What becomes of it: eaten warm once baked, cooled and packed, or kept raw: as pieces, or as a dough or block. */
export const goings = ['warm', 'kept', 'shaped', 'dough'] as const;
export type Goes = (typeof goings)[number];
/**
 * Whether it leaves raw: nothing is baked in this kitchen, or not on this day.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * goesRaw({ goes: 'dough' }); // => true
 */
export const goesRaw = ({ goes }: Pick<Keep, 'goes'>): boolean => goes === 'shaped' || goes === 'dough';
export type Keep = {
  /** Left out: cooled and packed. */ readonly goes?: Goes;
  readonly cool: readonly Wait[];
  readonly pack: Pack;
  readonly piecesPerPack: number;
  readonly sellWithinDays: number;
  /** Where it stands until it is sold, a place of the kitchen; left out: nobody said. */ readonly placeId?: string;
};

/** One formula: six settings, every gram a row. Plain JSON; every change to it is a list of edits. */
export type Formula = {
  readonly schema: 1;
  readonly name: string;
  /** An id of facts/families. */ readonly family: string;
  /** What it has to suit: ids of facts/suits, or 'guest:<id>' of the kitchen. */ readonly mustSuit?: readonly string[];
  /** Blend, dough rows, mix and chill are a copy of that version's: one dough, several goods. */
  readonly doughOf?: { readonly formulaId: string; readonly version: number };
  readonly aim?: { readonly crisp: number; readonly tender: number };
  readonly blend: Blend;
  /** B: the blend as weighed, gums included. Every baker's percent is of it. */ readonly blendG: number;
  /** The flours as they were typed, '; ' between lines; true as long as the blend weighs `g`. */
  readonly blendEntered?: { readonly text: string; readonly g: number };
  readonly rows: readonly Row[];
  /** Fillings, frostings and the like that are made here from rows; left out: none. */ readonly components?: readonly Component[];
  readonly mix: readonly MixStep[];
  readonly doughAtC: number;
  readonly restMin: number;
  readonly holdBackShare: number;
  readonly chill: Chill;
  readonly sheet: Sheet;
  readonly bake: BakeSettings;
  readonly keep: Keep;
};
