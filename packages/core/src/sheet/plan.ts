import { InputError, within } from '../errors.js';
import { doughDensity, sheetProportion } from '../facts/dough.js';
import { isOfDough, panShapes } from '../document/formula.js';
import { rollInFatDensity } from '../facts/laminating.js';
import { cutterWebMm, pieRim, rerollDustShare } from '../facts/sheet.js';
import { baseOf, freeFormOf, latticeOf, lidOf, liningOf, sideStripOf } from '../pan/pan.js';
import { figureOf } from './cut/figure.js';
import { countOn, nestsOf } from './cut/nest.js';
import { rollAndReroll } from './cut/reroll.js';
import type { CutShape, Formula, PanShape, Part, Row, Shape } from '../document/formula.js';
import type { Kitchen, Pan } from '../document/kitchen.js';
import type { Figure } from './cut/figure.js';
import type { Nest } from './cut/nest.js';
import type { Rolls } from './cut/reroll.js';

/** How many cut-outs one sheet gives, and how it is rolled. Lengths in mm. */
export type SheetLayout = Omit<Nest, 'figure'> & {
  readonly pieces: number;
  readonly sheetWidthMm: number;
  readonly sheetLengthMm: number;
};

/** One part of a piece, as it is cut. */
export type PartPlan = {
  readonly key: string;
  readonly perPiece: number;
  readonly kind: Shape['kind'];
  readonly thicknessMm: number;
  /** Of one, its window taken out, g. */ readonly massG: number;
  /** Of one, its window taken out. */ readonly areaMm2: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  /** Strips that make one side or one lattice. */ readonly strips?: number;
  /** Dough that a flat lining has over what it lines, or a fold over what it folds on. */ readonly surplusShare?: number;
  /** Filling that shows through a lattice. */ readonly openShare?: number;
};

export type SheetPlan = Rolls & {
  /** Whole pieces, of all lots. */ readonly pieces: number;
  /** Cut-outs that one piece takes from the sheet. */ readonly cutsPerPiece: number;
  /** Of one piece. */ readonly pieceDoughG: number;
  readonly densityGPerMl: number;
  readonly parts: readonly PartPlan[];
  /** The first sheet of each lot; null for what is not cut side by side from one sheet. */ readonly layout: SheetLayout | null;
  /** Cut-outs that are part of no whole piece. */ readonly oddCuts: number;
  /** Half triangles at the ends of the strips of the first sheets: small pieces, not scrap. */ readonly halves: number;
};

const MOST_ROLLS = { no: 1, once: 2, tillGone: 8 } as const;
const cutKinds: ReadonlySet<string> = new Set(['rectangle', 'diamond', 'round', 'hexagon', 'heart', 'triangle', 'outline']);
/** What a knife or a wheel cuts leaves no dough between pieces. */
const knifeCut: ReadonlySet<string> = new Set(['rectangle', 'diamond', 'triangle', 'hexagon']);
/**
 * Whether a shape is cut from a rolled sheet.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isCutShape({ kind: 'round', acrossMm: 60 }); // => true
 */
export const isCutShape = (shape: Shape): shape is CutShape => cutKinds.has(shape.kind);
const panKinds: ReadonlySet<string> = new Set(panShapes);
/**
 * Whether a shape is made to fit a pan.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * isPanShape({ kind: 'lining', overhangMm: 10 }); // => true
 */
export const isPanShape = (shape: Shape): shape is PanShape => panKinds.has(shape.kind);

/** Fat that is folded in, of all that a sheet is rolled from. */
function rollInShare({ blendG, rows }: Pick<Formula, 'blendG' | 'rows'>): number {
  const sum = (is: (row: Row) => boolean) => rows.reduce((g, row) => g + (is(row) ? row.amountG : 0), 0);
  const all = blendG + sum(isOfDough);
  return all > 0 ? sum(({ use }) => use === 'rollIn') / all : 0;
}

/**
 * Density of a sheet: weighed, else of raw pastry dough and of the fat that is folded into it.
 *
 * Units    g/ml.
 * Throws   InputError at sheet.densityGPerMl out of 0.4..1.8.
 * Findings none.
 * Source   facts/dough doughDensity (judgement), facts/laminating rollInFatDensity (from memory); volumes add.
 */
export function densityOf(formula: Formula): number {
  const { densityGPerMl } = formula.sheet;
  if (densityGPerMl !== undefined) return within('sheet.densityGPerMl', densityGPerMl, 0.4, 1.8, 'g/ml');
  const share = rollInShare(formula);
  return 1 / ((1 - share) / doughDensity.value + share / rollInFatDensity.value);
}

/** Of the dough alone, as it comes from the bowl: what a weighed sheet leaves once its fat is taken off. g/ml. */
export function bowlDensityOf(formula: Formula): number {
  const share = rollInShare(formula);
  return (1 - share) / (1 / densityOf(formula) - share / rollInFatDensity.value);
}

export const webOf = (shape: CutShape): number => (knifeCut.has(shape.kind) ? 0 : cutterWebMm.value);

/** The first part, whose size rules the sheet. InputError at sheet.parts for none. */
export function firstPart({ sheet }: Pick<Formula, 'sheet'>): Part {
  const part = sheet.parts[0];
  if (!part) throw new InputError('sheet.parts', 'needs one shape to cut');
  return part;
}

/**
 * What a mass of dough gives: parts, cut-outs of every rolling, whole pieces, what is left.
 *
 * Units    g, mm.
 * Throws   InputError at sheet.parts (none), sheet.parts[i].thicknessMm out of 0.3..40, .perPiece, .shape and .window, sheet.trimMm, sheet.dockPitchMm out of 3..100, sheet.lots, sheet.densityGPerMl, bake.panId where a part is cut for a pan that is not there.
 * Findings none.
 * Source   mass = density x area x thickness; nests and re-rolling as their own functions say.
 *
 * @example
 * planSheet(demoCrackerV2, demoKitchen, 400).pieces; // => 67
 */
export function planSheet(formula: Formula, kitchen: Pick<Kitchen, 'pans' | 'mat'>, massG: number): SheetPlan {
  const { sheet } = formula;
  firstPart(formula);
  const lots = within('sheet.lots', sheet.lots, 1, 50, 'sheets');
  if (!Number.isInteger(lots)) throw new InputError('sheet.lots', 'must be a whole number');
  within('sheet.trimMm', sheet.trimMm, 0, 100, 'mm');
  if (sheet.dockPitchMm !== undefined) within('sheet.dockPitchMm', sheet.dockPitchMm, 3, 100, 'mm');
  const densityGPerMl = densityOf(formula);
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId) ?? null;
  const sized = sheet.parts.map((part, i) => sizedPart(part, `sheet.parts[${i}]`, { pan, densityGPerMl, trimMm: sheet.trimMm }));
  const parts = sized.map(({ plan }) => plan);
  const pieceDoughG = parts.reduce((sum, part) => sum + part.perPiece * part.massG, 0);
  const cutter = sharedCut(sheet.parts);
  const cutsPerPiece = cutter ? parts.reduce((sum, { perPiece }) => sum + perPiece, 0) : 1;
  const cutG = pieceDoughG / cutsPerPiece;
  const perMm2 = (densityGPerMl * firstPart(formula).thicknessMm) / 1000;
  const nests = cutter ? cachedNests(cutter) : null;
  const layoutOf = (g: number) => bestLayout(g / perMm2, nests!, sheet.trimMm);
  // Parts of several sizes are rolled each for itself: what of a sheet they fill is their yield.
  const yieldShare = sized.reduce((sum, { plan }) => sum + plan.perPiece * plan.areaMm2 * plan.thicknessMm, 0) / sized.reduce((sum, { plan, rolledMm2 }) => sum + plan.perPiece * rolledMm2 * plan.thicknessMm, 0); // prettier-ignore
  const weighed = parts.every(({ kind }) => kind === 'portion' || kind === 'slice');
  const piecesOf = nests
    ? (g: number) => layoutOf(g)?.pieces ?? 0
    : (g: number) => Math.floor((weighed ? 1 : yieldShare) * (g / cutG) + 1e-9);
  const whole = sheet.cut === 'hot' || sheet.cut === 'cold';
  const rolls = rollAndReroll({
    massG: massG / lots,
    pieceG: cutG,
    uptakeShare: hasDust(formula) ? rerollDustShare.value : 0,
    most: weighed || whole ? 1 : MOST_ROLLS[sheet.reroll],
    piecesOf,
  });
  const cuts = rolls.pieces * lots;
  const pieces = Math.floor(cuts / cutsPerPiece);
  const dustG = rolls.dustG * lots;
  const layout = nests ? withoutFigure(layoutOf(massG / lots)) : null;
  return {
    ...rolls,
    pieces,
    dustG,
    scrapG: massG + dustG - pieces * pieceDoughG,
    byHand: rolls.byHand && !weighed,
    cutsPerPiece,
    oddCuts: cuts - pieces * cutsPerPiece,
    halves: layout && cutter?.kind === 'triangle' ? halvesOf(layout, sheet.trimMm) * lots : 0,
    pieceDoughG,
    densityGPerMl,
    parts,
    layout,
  };
}

/** Two a strip, where triangles lie head to tail from edge to edge. */
const halvesOf = ({ second, sheetLengthMm, bandMm, rowMm }: SheetLayout, trimMm: number): number =>
  second?.dyMm === 0 ? 2 * (Math.floor((sheetLengthMm - 2 * trimMm - bandMm) / rowMm + 1e-9) + 1) : 0;

/**
 * Pieces that a mass of dough gives, over all lots and rollings. g.
 *
 * Units    massG g; pieces.
 * Throws   InputError as `planSheet`.
 * Findings none.
 * Source   `planSheet`.
 *
 * @example
 * piecesFromMass(demoCrackerV2, demoKitchen, 400); // => 67
 */
export const piecesFromMass = (formula: Formula, kitchen: Pick<Kitchen, 'pans' | 'mat'>, massG: number): number =>
  planSheet(formula, kitchen, massG).pieces;

const hasDust = ({ rows }: Formula) => rows.some(({ use, amountG }) => use === 'dust' && amountG > 0);

/** The one shape that all parts are cut in, side by side from one sheet; null where they differ. */
function sharedCut(parts: readonly Part[]): CutShape | null {
  const [first] = parts;
  if (!first || !isCutShape(first.shape)) return null;
  const same = parts.every(
    ({ shape, thicknessMm }) => JSON.stringify(shape) === JSON.stringify(first.shape) && thicknessMm === first.thicknessMm,
  );
  return same ? first.shape : null;
}

/** Nests of one shape, kept: they are asked for at every keystroke and change only with the shape. */
const kept = new Map<string, Nest[]>();
const MOST_KEPT = 64;
/**
 * The ways to lay a shape, worked out once and kept.
 *
 * Units    mm.
 * Throws   InputError as `nestsOf`.
 * Findings none.
 * Source   none.
 *
 * @example
 * cachedNests({ kind: 'rectangle', widthMm: 40, lengthMm: 40 }).map(({ name }) => name); // => ['grid', 'grid']
 */
export function cachedNests(shape: CutShape, webMm = webOf(shape)): Nest[] {
  const key = `${webMm} ${JSON.stringify(shape)}`;
  const known = kept.get(key);
  if (known) return known;
  const nests = nestsOf(shape.kind, figureOf(shape, 'sheet.parts[0].shape'), webMm);
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(key, nests);
  return nests;
}

/** A frame that is narrower breaks when it is lifted. */
const LEAST_RIM_MM = 3;

type Sized = { readonly plan: PartPlan; readonly rolledMm2: number };

function sizedPart(
  part: Part,
  path: string,
  { pan, densityGPerMl, trimMm }: { readonly pan: Pan | null; readonly densityGPerMl: number; readonly trimMm: number },
): Sized {
  const { key, shape, thicknessMm } = part;
  within(`${path}.thicknessMm`, thicknessMm, 0.3, 40, 'mm');
  const perPiece = within(`${path}.perPiece`, part.perPiece, 1, 20, 'a piece');
  if (!Number.isInteger(perPiece)) throw new InputError(`${path}.perPiece`, 'must be a whole number');
  if (part.vents !== undefined) within(`${path}.vents`, part.vents, 0, 24, 'slits');
  const flat = flatSize(shape, `${path}.shape`, { pan, thicknessMm, densityGPerMl });
  const hole = part.window ? figureOf(part.window, `${path}.window`) : null;
  const left = hole ? Math.min(flat.widthMm - hole.widthMm, flat.lengthMm - hole.lengthMm) / 2 : Infinity;
  if (hole && (left < LEAST_RIM_MM || hole.areaMm2 > 0.8 * flat.areaMm2)) {
    throw new InputError(`${path}.window`, `leaves too little round it: keep ${LEAST_RIM_MM} mm on every side and a fifth of the piece`);
  }
  const areaMm2 = flat.areaMm2 - (hole?.areaMm2 ?? 0);
  return {
    plan: { key, perPiece, kind: shape.kind, thicknessMm, massG: (densityGPerMl * areaMm2 * thicknessMm) / 1000, ...flat, areaMm2 },
    rolledMm2: shape.kind === 'portion' || shape.kind === 'slice' ? flat.areaMm2 : rolledFor(flat, trimMm),
  };
}

/** The sheet that a blank is cut from, a trim larger all round; strips lie side by side in one sheet, as long as the longest. mm2. */
function rolledFor({ areaMm2, widthMm, lengthMm, strips = 1 }: Flat, trimMm: number): number {
  if (strips > 1) return (lengthMm + 2 * trimMm) * (strips * widthMm + 2 * trimMm);
  return areaMm2 + 2 * trimMm * (widthMm + lengthMm) + 4 * trimMm ** 2;
}

type Flat = Pick<PartPlan, 'areaMm2' | 'widthMm' | 'lengthMm' | 'strips' | 'surplusShare' | 'openShare'>;

function flatSize(
  shape: Shape,
  path: string,
  { pan, thicknessMm, densityGPerMl }: { readonly pan: Pan | null; readonly thicknessMm: number; readonly densityGPerMl: number },
): Flat {
  if (isCutShape(shape)) {
    const { areaMm2, widthMm, lengthMm } = figureOf(shape, path);
    return { areaMm2, widthMm, lengthMm };
  }
  if (isPanShape(shape)) {
    if (!pan) throw new InputError('bake.panId', 'this part is cut for a pan: choose the pan it stands in');
    return forPan(shape, path, pan);
  }
  switch (shape.kind) {
    case 'portion': {
      const g = within(`${path}.pieceG`, shape.pieceG, 1, 5000, 'g');
      const areaMm2 = (g / densityGPerMl / thicknessMm) * 1000;
      const acrossMm = 2 * Math.sqrt(areaMm2 / Math.PI);
      return { areaMm2, widthMm: acrossMm, lengthMm: acrossMm };
    }
    case 'slice': {
      const acrossMm = within(`${path}.acrossMm`, shape.acrossMm, 5, 300, 'mm');
      return { areaMm2: (Math.PI / 4) * acrossMm ** 2, widthMm: acrossMm, lengthMm: acrossMm };
    }
    case 'freeForm': {
      const { areaMm2, widthMm, pleatShare } = freeFormOf(shape.filledMm, shape.foldMm, path);
      return { areaMm2, widthMm, lengthMm: widthMm, surplusShare: pleatShare };
    }
  }
}

function forPan(shape: PanShape, path: string, pan: Pan): Flat {
  const overhang = (mm: number) => within(`${path}.overhangMm`, mm, 0, 60, 'mm');
  switch (shape.kind) {
    case 'lining':
      return sizeOf(liningOf(pan, overhang(shape.overhangMm)));
    case 'lid':
      return sizeOf(lidOf(pan, overhang(shape.overhangMm), within(`${path}.domeMm`, shape.domeMm, 0, 60, 'mm')));
    case 'base':
      return sizeOf(baseOf(pan));
    case 'side': {
      const { strips, lengthMm, heightMm, areaMm2 } = sideStripOf(pan, shape.overlapMm, pieRim.values.longestStripMm, path);
      return { areaMm2, widthMm: heightMm, lengthMm, strips };
    }
    case 'lattice': {
      const lattice = latticeOf(pan, { stripMm: shape.stripMm, gapMm: shape.gapMm, overhangMm: shape.overhangMm }, path);
      const longest = Math.max(0, ...[...lattice.along, ...lattice.across].map(({ lengthMm }) => lengthMm));
      return {
        areaMm2: lattice.areaMm2,
        widthMm: shape.stripMm,
        lengthMm: longest,
        strips: lattice.along.length + lattice.across.length,
        openShare: lattice.openShare,
      };
    }
  }
}

const sizeOf = ({ areaMm2, widthMm, lengthMm, surplusShare }: Flat): Flat => ({
  areaMm2,
  widthMm,
  lengthMm,
  ...(surplusShare === undefined ? {} : { surplusShare }),
});

type Laid = { readonly nest: Nest; readonly pieces: number; readonly sheetWidthMm: number; readonly sheetLengthMm: number };

/**
 * The sheet that gives most pieces from an area: rolled to a whole multiple of the cut-out plus a trim all round, not too long and thin.
 *
 * Units    mm and mm2.
 * Throws   nothing; no room for one piece gives null.
 * Findings none.
 * Source   counting: every number of columns is tried, with the longest sheet that it leaves; ties go to the squarer sheet.
 *
 * @example
 * bestLayout(10000, nestsOf('rectangle', a40mmSquare, 0), 0)?.pieces; // => 6
 */
export function bestLayout(areaMm2: number, nests: readonly Nest[], trimMm: number): Laid | null {
  let best: Laid | null = null;
  for (const nest of nests) {
    const { figure, cellMm, rowMm, shiftMm, second, bandMm } = nest;
    for (let columns = 0; columns < 200; columns++) {
      let fitted = false;
      // A row ends with a whole cell, with its first piece, or where the shifted row's last piece ends.
      for (const more of second ? [0, second.dxMm] : shiftMm > 0 ? [0, shiftMm] : [0]) {
        const inside = figure.widthMm + columns * cellMm + more;
        const sheetWidthMm = inside + 2 * trimMm;
        const rows = Math.floor((areaMm2 / sheetWidthMm - 2 * trimMm - bandMm) / rowMm + 1e-9) + 1;
        if (rows < 1) continue;
        fitted = true;
        const along = bandMm + (rows - 1) * rowMm;
        const sheetLengthMm = along + 2 * trimMm;
        const laid = { nest, pieces: countOn(nest, inside, along), sheetWidthMm, sheetLengthMm };
        if (proportion(laid) > sheetProportion.value && laid.pieces > 4) continue;
        if (!best || laid.pieces > best.pieces || (laid.pieces === best.pieces && proportion(laid) < proportion(best) - 1e-9)) best = laid;
      }
      if (!fitted) break;
    }
  }
  return best;
}

const proportion = ({ sheetWidthMm, sheetLengthMm }: Pick<Laid, 'sheetWidthMm' | 'sheetLengthMm'>) =>
  Math.max(sheetWidthMm, sheetLengthMm) / Math.min(sheetWidthMm, sheetLengthMm);

function withoutFigure(laid: Laid | null): SheetLayout | null {
  if (!laid) return null;
  const { nest, ...rest } = laid;
  const { figure: _figure, ...how } = nest;
  return { ...how, ...rest };
}

/**
 * The nest of a layout with its figure again, as the shape draws it.
 *
 * Units    mm.
 * Throws   nothing for a layout that `planSheet` made of the same shape.
 * Findings none.
 * Source   none.
 */
export function nestOfLayout(shape: CutShape, layout: SheetLayout): Nest {
  const figure: Figure = cachedNests(shape).find(({ name, quarter }) => name === layout.name && quarter === layout.quarter)!.figure;
  return { ...layout, figure };
}
