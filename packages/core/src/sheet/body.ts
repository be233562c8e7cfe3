import { InputError } from '../errors.js';
import { fillingDensity, pieCrustRimMm } from '../facts/filling.js';
import { proofGrowth } from '../facts/sheet.js';
import { panInside } from '../pan/pan.js';
import { figureOf } from './cut/figure.js';
import { firstPart, isCutShape, isPanShape } from './plan.js';
import type { Formula, Part } from '../document/formula.js';
import type { Kitchen, Pan } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { PartPlan, SheetPlan } from './plan.js';

/** What stands in the oven, as the slab that the bake takes it for. Lengths in mm. */
export type Body = {
  readonly form: 'flat' | 'rolledUp' | 'wrapped' | 'ball' | 'poured' | 'inPan' | 'folded' | 'sheet';
  /** Where it is thickest: dough alone, what lies under a filling. */ readonly heightMm: number;
  /** Width of a round piece that takes as much heat at its edge: four areas over its rim. */ readonly acrossMm: number;
  /** On the tray. */ readonly widthMm: number;
  readonly lengthMm: number;
  readonly areaMm2: number;
  /** Where a filling lies. */ readonly filledMm2: number;
  /** Dough over the filling; null: open. */ readonly lidMm: number | null;
  /** Its volume has grown so many times while it proved; 1 for what has not. */ readonly proved: number;
};

/**
 * What stands in the oven: not the sheet, but what was made of it.
 *
 * Units    mm, mm2.
 * Throws   InputError at bake.panId for batter without a pan, at sheet.parts[0].body for a shape that cannot be rolled up.
 * Findings none.
 * Source   plane and solid geometry. A triangle rolled up is a spindle, thickest in the middle: D2 = 4 L t / pi there; a round body is taken as the slab of its own volume over its own shadow, pi/4 D lying, 2/3 D for a ball. Growth while proving: facts/sheet.
 */
export function bodyOf(formula: Formula, kitchen: Kitchen, dough: DoughResult, plan: SheetPlan): Body {
  const part = firstPart(formula);
  const [first] = plan.parts as readonly [PartPlan];
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId) ?? null;
  const fillingG = dough.filling.baked && plan.pieces > 0 ? dough.filling.baked.massG / plan.pieces : 0;
  const lidMm = lidOver(formula, fillingG);
  const proved = provedBy(formula, kitchen, dough);
  const grown = Math.cbrt(proved);
  const whole = formula.sheet.cut === 'hot' || formula.sheet.cut === 'cold';
  if (whole && plan.layout) return sheetBody(plan, first);
  if (part.shape.kind === 'portion' && part.shape.form === 'poured') return poured(part, pan, plan);
  if (pan && (isPanShape(part.shape) || isCutShape(part.shape))) return inPan(pan, plan, lidMm);
  if (part.body === 'rolledUp') return rolledUp(part, first, grown, proved);
  if (part.body === 'wrapped') return wrapped(plan, first, fillingG, { grown, proved });
  if (part.shape.kind === 'portion' && part.shape.form === 'ball') return ball(plan, grown, proved);
  if (part.shape.kind === 'freeForm') {
    const { filledMm } = part.shape;
    const areaMm2 = (Math.PI / 4) * filledMm ** 2;
    return { form: 'folded', heightMm: first.thicknessMm, acrossMm: filledMm, widthMm: filledMm, lengthMm: filledMm, areaMm2, filledMm2: areaMm2, lidMm, proved: 1 }; // prettier-ignore
  }
  return flat(first, rimOf(part, first), lidMm, { grown, proved });
}

/**
 * A part that bakes by itself, flat on the tray: the tops of a pair that is put together once baked.
 *
 * Units    mm, mm2.
 * Throws   nothing that the plan has not thrown.
 * Findings none.
 * Source   plane geometry, as bodyOf.
 */
export function bodyOfPart(formula: Formula, kitchen: Kitchen, dough: DoughResult, part: Part, plan: PartPlan): Body {
  const proved = provedBy(formula, kitchen, dough);
  return flat(plan, rimOf(part, plan), null, { grown: Math.cbrt(proved), proved });
}

/** Something over the filling: a lid, a second part that closes it in, or a lattice as thick as its strips lie over all; a wide one leaves it open. */
function lidOver({ sheet }: Formula, fillingG: number): number | null {
  const last = sheet.parts[sheet.parts.length - 1]!;
  if (last.shape.kind === 'lid') return last.thicknessMm;
  if (last.shape.kind === 'lattice') {
    const strips = last.shape.stripMm / (last.shape.stripMm + last.shape.gapMm);
    // Two directions cross: what neither covers is open.
    return 1 - (1 - strips) ** 2 >= 0.5 ? 2 * strips * last.thicknessMm : null;
  }
  return fillingG > 0 && sheet.parts.length > 1 && isCutShape(last.shape) && last.window === undefined ? last.thicknessMm : null;
}

/** Volume after proving over before: yeast, and long enough in a warm place after cutting. */
function provedBy(formula: Formula, kitchen: Kitchen, dough: DoughResult): number {
  const { ratio, fromC, fromMin } = proofGrowth.values;
  if (dough.percents.yeast <= 0) return 1;
  const warm = formula.sheet.waits.filter(({ placeId }) => (kitchen.places.find(({ id }) => id === placeId)?.atC ?? 0) >= fromC);
  return warm.reduce((sum, { min }) => sum + min, 0) >= fromMin ? ratio : 1;
}

function flat(
  first: PartPlan,
  rimMm: number,
  lidMm: number | null,
  { grown, proved }: { readonly grown: number; readonly proved: number },
): Body {
  const { areaMm2, widthMm, lengthMm, thicknessMm } = first;
  const inside = (side: number) => Math.max(0.6 * side, side - 2 * pieCrustRimMm.value) / side;
  return {
    form: 'flat',
    heightMm: thicknessMm * grown,
    acrossMm: ((4 * areaMm2) / rimMm) * grown,
    widthMm: widthMm * grown,
    lengthMm: lengthMm * grown,
    areaMm2: areaMm2 * grown ** 2,
    filledMm2: areaMm2 * inside(widthMm) * inside(lengthMm),
    lidMm,
    proved,
  };
}

/** Rim of a part's outline, and of a window in it, whose edge takes heat as well. */
function rimOf({ shape, window }: Part, { areaMm2 }: PartPlan): number {
  const round = 2 * Math.sqrt(Math.PI * areaMm2);
  if (!isCutShape(shape)) return round;
  return figureOf(shape, 'shape').rimMm + (window ? figureOf(window, 'window').rimMm : 0);
}

function rolledUp({ shape }: Part, first: PartPlan, grown: number, proved: number): Body {
  const [long, wide] =
    shape.kind === 'triangle'
      ? [shape.heightMm, shape.baseMm]
      : shape.kind === 'rectangle'
        ? [Math.max(shape.widthMm, shape.lengthMm), Math.min(shape.widthMm, shape.lengthMm)]
        : [NaN, NaN];
  if (!Number.isFinite(long)) throw new InputError('sheet.parts[0].body', 'only a triangle or a rectangle can be rolled up');
  const thickMm = Math.sqrt((4 * long * first.thicknessMm) / Math.PI) * grown;
  const lengthMm = wide * grown;
  // The shadow of a spindle whose length of dough falls evenly to its tips: two thirds of its box.
  const areaMm2 = (shape.kind === 'triangle' ? 2 / 3 : 1) * thickMm * lengthMm;
  return {
    form: 'rolledUp',
    heightMm: (Math.PI / 4) * thickMm,
    acrossMm: (2 * thickMm * lengthMm) / (thickMm + lengthMm),
    widthMm: thickMm,
    lengthMm,
    areaMm2,
    filledMm2: areaMm2,
    lidMm: null,
    proved,
  };
}

const across = (ml: number): number => 10 * Math.cbrt((6 * ml) / Math.PI);

function ball(plan: SheetPlan, grown: number, proved: number): Body {
  const acrossMm = across(plan.pieceDoughG / plan.densityGPerMl) * grown;
  const areaMm2 = (Math.PI / 4) * acrossMm ** 2;
  return { form: 'ball', heightMm: (2 / 3) * acrossMm, acrossMm, widthMm: acrossMm, lengthMm: acrossMm, areaMm2, filledMm2: areaMm2, lidMm: null, proved }; // prettier-ignore
}

/** Dough closed round a centre: its wall under and over the filling. */
function wrapped(
  plan: SheetPlan,
  first: PartPlan,
  fillingG: number,
  { grown, proved }: { readonly grown: number; readonly proved: number },
): Body {
  if (fillingG <= 0) return ball(plan, grown, proved);
  const fillingMl = fillingG / fillingDensity.value;
  const outerMm = across(fillingMl + (plan.pieceDoughG / plan.densityGPerMl) * proved);
  const wallMm = (outerMm - across(fillingMl)) / 2;
  const areaMm2 = (Math.PI / 4) * outerMm ** 2;
  // As a slab of the same volume over the same shadow: two thirds of each height.
  return { form: 'wrapped', heightMm: (2 / 3) * wallMm, acrossMm: outerMm, widthMm: outerMm, lengthMm: outerMm, areaMm2, filledMm2: areaMm2, lidMm: (2 / 3) * wallMm, proved }; // prettier-ignore
}

function poured({ shape }: Part, pan: Pan | null, plan: SheetPlan): Body {
  if (!pan) throw new InputError('bake.panId', 'batter is poured into something: choose the pan it stands in');
  const ml = shape.kind === 'portion' ? shape.pieceG / plan.densityGPerMl : 0;
  const { volumeMl } = panInside(pan);
  const acrossMm = (pan.topMm + pan.bottomMm) / 2;
  const levelMm = pan.depthMm * Math.min(1.5, ml / volumeMl);
  const areaMm2 = (ml * 1000) / levelMm;
  return { form: 'poured', heightMm: levelMm, acrossMm, widthMm: pan.topMm, lengthMm: pan.lengthMm ?? pan.topMm, areaMm2, filledMm2: areaMm2, lidMm: null, proved: 1 }; // prettier-ignore
}

function inPan(pan: Pan, plan: SheetPlan, lidMm: number | null): Body {
  const [first] = plan.parts as readonly [PartPlan];
  const acrossMm = (pan.topMm + pan.bottomMm) / 2;
  const insideMm = Math.max(20, acrossMm - 2 * first.thicknessMm);
  const long = Math.max(0, (pan.lengthMm ?? pan.topMm) - pan.topMm);
  const shape = pan.kind === 'rectangle' ? 1 : Math.PI / 4;
  const rim = 2 * (pan.rimMm ?? 0);
  return {
    form: 'inPan',
    heightMm: first.thicknessMm,
    acrossMm,
    widthMm: pan.topMm + rim,
    lengthMm: pan.topMm + long + rim,
    // What lines the pan, side strips with it; what lies over a filling is no part of it.
    areaMm2: plan.parts.reduce((sum, { kind, areaMm2 }) => sum + (kind === 'lid' || kind === 'lattice' ? 0 : areaMm2), 0),
    filledMm2: shape * insideMm * (insideMm + long),
    lidMm,
    proved: 1,
  };
}

function sheetBody({ layout }: SheetPlan, first: PartPlan): Body {
  const [w, l] = [layout!.sheetWidthMm, layout!.sheetLengthMm];
  return { form: 'sheet', heightMm: first.thicknessMm, acrossMm: (2 * w * l) / (w + l), widthMm: w, lengthMm: l, areaMm2: w * l, filledMm2: w * l, lidMm: null, proved: 1 }; // prettier-ignore
}
