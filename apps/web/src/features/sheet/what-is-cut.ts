import {
  fittingCutter,
  panFormOf,
  pieRim,
  type Cutter,
  type CutShape,
  type Formula,
  type Kitchen,
  type Pan,
  type Part,
  type Shape,
  type PortionForm,
} from '@north-leaf/core';
import { newKey } from '../formulas/doors';
import { t } from '../../platform/words';

/** What a baker makes of a sheet: each is a set of parts. */
export const goods = [
  'rectangle',
  'round',
  'hexagon',
  'heart',
  'triangle',
  'diamond',
  'outline',
  'windowed',
  'rolledUp',
  'ball',
  'drop',
  'pressed',
  'wrapped',
  'poured',
  'slice',
  'lining',
  'lidded',
  'latticed',
  'ring',
  'freeForm',
] as const;
export type Goods = (typeof goods)[number];

export const goodsWords: Readonly<Record<Goods, string>> = {
  rectangle: t('sheet.squaresRectanglesSticks'),
  round: t('sheet.rounds2'),
  hexagon: t('sheet.hexagons2'),
  heart: t('sheet.hearts2'),
  triangle: t('sheet.triangles'),
  diamond: t('sheet.diamonds'),
  outline: t('sheet.anOutlineOfYourOwn'),
  windowed: t('sheet.pairsTopsWithAWindow'),
  rolledUp: t('sheet.trianglesRolledUp'),
  ball: t('sheet.ballsEqualByWeight'),
  drop: t('sheet.scoopsEqualByWeight'),
  pressed: t('sheet.pressedFlatEqualByWeight'),
  wrapped: t('sheet.closedRoundAFilling'),
  poured: t('sheet.batterPoured'),
  slice: t('sheet.slicesOfALog'),
  lining: t('sheet.aPanLined'),
  lidded: t('sheet.aPanLinedWithALid'),
  latticed: t('sheet.aPanLinedWithALattice'),
  ring: t('sheet.aDiscAndASideStrip'),
  freeForm: t('sheet.aDiscFoldedOverItsFilling'),
};

/** Which goods these parts are. */
export function goodsOf({ sheet: { parts } }: Formula): Goods {
  const [first, second] = parts;
  if (!first) return 'rectangle';
  const { shape } = first;
  if (first.body === 'rolledUp') return 'rolledUp';
  if (first.body === 'wrapped') return 'wrapped';
  if (parts.some(({ window }) => window)) return 'windowed';
  if (shape.kind === 'portion') return shape.form;
  if (shape.kind === 'base') return 'ring';
  if (shape.kind === 'lining') return second?.shape.kind === 'lid' ? 'lidded' : second?.shape.kind === 'lattice' ? 'latticed' : 'lining';
  return shape.kind as Goods;
}

/** Goods that stand in a pan. */
const panned: ReadonlySet<Goods> = new Set(['poured', 'lining', 'lidded', 'latticed', 'ring']);

/** The parts of other goods, as thick and about as large as what was there. */
function partsFor(what: Goods, formula: Formula, pieceG: number, cutters: readonly Cutter[]): Part[] {
  const first = formula.sheet.parts[0]!;
  const wide = widthOf(first.shape);
  const part = (shape: Shape, more: Partial<Part> = {}): Part => ({
    key: newKey(),
    perPiece: 1,
    thicknessMm: first.thicknessMm,
    shape,
    ...more,
  });
  const { overhangMm, stripOverlapMm, stripMm, gapMm } = pieRim.values;
  const lining = () => part({ kind: 'lining', overhangMm });
  const portion = (form: PortionForm, more: Partial<Part> = {}) =>
    part({ kind: 'portion', pieceG: Math.max(1, Math.round(pieceG)), form }, more);
  switch (what) {
    case 'rectangle':
      return [part({ kind: 'rectangle', widthMm: wide, lengthMm: wide })];
    case 'round':
    case 'hexagon':
    case 'heart':
      return [part(withCutter({ kind: what, acrossMm: wide }, cutters))];
    case 'triangle':
      return [part({ kind: 'triangle', baseMm: wide, heightMm: Math.min(600, Math.round(1.5 * wide)) })];
    case 'diamond':
      return [part({ kind: 'diamond', widthMm: wide, angleDeg: 60 })];
    case 'outline':
      return [part({ kind: 'outline', pointsMm: leafOf(wide) })];
    case 'windowed': {
      const kind = first.shape.kind === 'heart' || first.shape.kind === 'hexagon' ? first.shape.kind : 'round';
      const shape = withCutter({ kind, acrossMm: Math.max(20, wide) }, cutters);
      return [part(shape), part(shape, { window: { kind, acrossMm: Math.max(5, Math.round(0.45 * shape.acrossMm)) } })];
    }
    case 'rolledUp':
      return [part({ kind: 'triangle', baseMm: 80, heightMm: 180 }, { body: 'rolledUp' })];
    case 'ball':
    case 'drop':
    case 'pressed':
    case 'poured':
      return [portion(what)];
    case 'wrapped':
      return [portion('ball', { body: 'wrapped' })];
    case 'slice':
      return [part({ kind: 'slice', acrossMm: Math.min(300, wide) })];
    case 'lining':
      return [lining()];
    case 'lidded':
      return [lining(), part({ kind: 'lid', overhangMm: 0, domeMm: 6 }, { vents: 4 })];
    case 'latticed':
      return [lining(), part({ kind: 'lattice', stripMm, gapMm, overhangMm: 8 })];
    case 'ring':
      return [part({ kind: 'base' }), part({ kind: 'side', overlapMm: stripOverlapMm })];
    case 'freeForm':
      return [part({ kind: 'freeForm', filledMm: 220, foldMm: 45 })];
  }
}

/** Edits that make other goods of the same dough: new parts, and a pan under what stands in one. */
export function makeOf(what: Goods, pieceG: number, kitchen: Kitchen) {
  return (formula: Formula) => {
    const parts = partsFor(what, formula, pieceG, kitchen.cutters ?? []);
    // A side strip stands against a straight side; batter goes into cups where there are some.
    const fits = (pan: Pan) =>
      what === 'ring' ? panFormOf(pan) === 'ring' : what === 'poured' ? pan.cups !== undefined : panFormOf(pan) !== 'ring';
    const pans = kitchen.pans ?? [];
    const known = pans.find(({ id }) => id === formula.bake.panId);
    const pan = panned.has(what) ? (known && fits(known) ? known : (pans.find(fits) ?? known ?? pans[0])) : undefined;
    const { panId: _was, ...bake } = formula.bake;
    return [
      { path: '/sheet/parts', from: formula.sheet.parts as never, to: parts as never },
      ...(pan?.id === formula.bake.panId
        ? []
        : [{ path: '/bake', from: formula.bake as never, to: { ...bake, ...(pan ? { panId: pan.id } : {}) } as never }]),
    ];
  };
}

/** The kitchen's nearest cutter of the kind where there is one near enough, else the size as it was. */
function withCutter<S extends CutShape & { readonly acrossMm: number }>(shape: S, cutters: readonly Cutter[]): S {
  const cutter = fittingCutter(shape, cutters);
  return cutter ? { ...shape, acrossMm: cutter.acrossMm } : shape;
}

function widthOf(shape: Shape): number {
  if ('widthMm' in shape) return Math.round(shape.widthMm);
  if ('acrossMm' in shape) return Math.round(shape.acrossMm);
  if ('baseMm' in shape) return Math.round(shape.baseMm);
  return 60;
}

/** A leaf to begin with, until an outline of one's own is read. */
function leafOf(wide: number): number[][] {
  const side = (sign: number) =>
    Array.from({ length: 12 }, (_, i) => {
      const t = i / 12;
      return [wide / 2 + sign * (wide / 2) * Math.sin(Math.PI * t) ** 0.8, 1.5 * wide * (sign > 0 ? t : 1 - t)].map((value) =>
        Number(value.toFixed(2)),
      );
    });
  return [...side(1), ...side(-1)];
}
