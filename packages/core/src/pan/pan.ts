import { InputError, within } from '../errors.js';
import type { Kitchen, Pan, Tray } from '../document/kitchen.js';

/** What of a pan's size the dough is cut by, mm. */
export type PanSize = Pick<Pan, 'topMm' | 'bottomMm' | 'depthMm'> & Partial<Pick<Pan, 'kind' | 'rimMm' | 'lengthMm' | 'cups'>>;
export type PanForm = NonNullable<Pan['kind']>;

/**
 * A pan without slope is a ring: its side is lined with a strip.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: under 2 mm of slope nothing is pressed against it.
 *
 * @example
 * panFormOf({ topMm: 200, bottomMm: 200 }); // => 'ring'
 */
export const panFormOf = ({ kind, topMm, bottomMm }: PanSize): PanForm => kind ?? (topMm - bottomMm < 2 ? 'ring' : 'plate');

/** How much longer than wide: 1 for what is round. */
const longerBy = ({ topMm, lengthMm }: PanSize): number => (lengthMm === undefined ? 0 : Math.max(0, lengthMm - topMm));

/** The pan a formula names; null for none. InputError at bake.panId for one the kitchen does not have. */
export function panOf(kitchen: Kitchen, panId: string | undefined): Pan | null {
  if (panId === undefined) return null;
  const pan = kitchen.pans?.find(({ id }) => id === panId);
  if (!pan) throw new InputError('bake.panId', 'is not a pan of this kitchen');
  return pan;
}

/** The tray a formula names. InputError at bake.trayId for one the kitchen does not have. */
export function trayOf(kitchen: Kitchen, trayId: string): Tray {
  const tray = kitchen.trays.find(({ id }) => id === trayId);
  if (!tray) throw new InputError('bake.trayId', 'is not a tray of this kitchen');
  return tray;
}

/**
 * What a pan holds and what lines it, inside.
 *
 * Units    mm, mm2; ml of one cup.
 * Throws   nothing; sizes are checked where a pan is stored.
 * Findings none.
 * Source   frustum of a cone, of a rectangle, of an oval with one wall all round; wall of an oval by Ramanujan's ellipse (from memory).
 *
 * @example
 * panInside({ topMm: 230, bottomMm: 190, depthMm: 38 }).volumeMl; // => 1320.15
 */
export function panInside(pan: PanSize): {
  readonly slantMm: number;
  readonly topAreaMm2: number;
  readonly baseAreaMm2: number;
  /** Base and wall. */ readonly linedMm2: number;
  readonly volumeMl: number;
} {
  const { topMm, bottomMm, depthMm } = pan;
  const lean = (topMm - bottomMm) / 2;
  const slantMm = Math.hypot(depthMm, lean);
  const long = longerBy(pan);
  const area = (wide: number): number => {
    const along = wide + long;
    return panFormOf(pan) === 'rectangle' ? wide * along : (Math.PI / 4) * wide * along;
  };
  const rim = (wide: number): number => {
    const along = wide + long;
    return panFormOf(pan) === 'rectangle' ? 2 * (wide + along) : ellipseRim(wide / 2, along / 2);
  };
  const [top, base, middle] = [area(topMm), area(bottomMm), area((topMm + bottomMm) / 2)];
  return {
    slantMm,
    topAreaMm2: top,
    baseAreaMm2: base,
    linedMm2: base + ((rim(topMm) + rim(bottomMm)) / 2) * slantMm,
    // Simpson's rule is exact: area runs with the square of the depth.
    volumeMl: (depthMm * (top + 4 * middle + base)) / 6 / 1000,
  };
}

const ellipseRim = (a: number, b: number): number => {
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
};

/** A flat piece of dough that a pan asks for: a disc, an oval or a rectangle of one size. mm, mm2. */
export type Blank = {
  readonly form: 'disc' | 'oval' | 'rectangle';
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly areaMm2: number;
};

function blankOf(pan: PanSize, widthMm: number): Blank {
  const lengthMm = widthMm + longerBy(pan);
  if (panFormOf(pan) === 'rectangle') return { form: 'rectangle', widthMm, lengthMm, areaMm2: widthMm * lengthMm };
  return { form: lengthMm > widthMm ? 'oval' : 'disc', widthMm, lengthMm, areaMm2: (Math.PI / 4) * widthMm * lengthMm };
}

/**
 * The lining that covers base, wall, rim and overhang in one piece.
 *
 * Units    mm, mm2; surplusShare is the dough that a flat piece has over the surface it lines: it thickens or pleats the wall.
 * Throws   nothing.
 * Findings none.
 * Source   the flat piece follows the section of the pan: bottom + 2 slant + 2 (rim + overhang).
 */
export function liningOf(pan: PanSize, overhangMm: number): Blank & { readonly surplusShare: number } {
  const { slantMm, linedMm2 } = panInside(pan);
  const edge = (pan.rimMm ?? 0) + overhangMm;
  const blank = blankOf(pan, pan.bottomMm + 2 * slantMm + 2 * edge);
  const lies = linedMm2 + blankOf(pan, pan.topMm + 2 * edge).areaMm2 - blankOf(pan, pan.topMm).areaMm2;
  return { ...blank, surplusShare: blank.areaMm2 / lies - 1 };
}

/** The lid over the rim, with room for a filling that stands higher. mm, mm2. */
export const lidOf = (pan: PanSize, overhangMm: number, domeMm: number): Blank =>
  blankOf(pan, pan.topMm + 2 * ((pan.rimMm ?? 0) + overhangMm) + 2 * domeMm);

/** The piece that covers the base alone. mm, mm2. */
export const baseOf = (pan: PanSize): Blank => blankOf(pan, pan.bottomMm);

export type SideStrip = { readonly strips: number; readonly lengthMm: number; readonly heightMm: number; readonly areaMm2: number };

/**
 * The strip that stands along the side of a ring, in as many pieces as a hand can lift.
 *
 * Units    mm, mm2.
 * Throws   InputError at `path`.overlapMm out of 0..40.
 * Findings none.
 * Source   pi D and a lap a strip; k is the least for which k times the longest strip goes round.
 *
 * @example
 * sideStripOf({ topMm: 240, bottomMm: 240, depthMm: 25 }, 10, 400, 'side'); // => 2 strips of 387 mm
 */
export function sideStripOf(pan: PanSize, overlapMm: number, longestMm: number, path: string): SideStrip {
  within(`${path}.overlapMm`, overlapMm, 0, 40, 'mm');
  const long = longerBy(pan);
  const round =
    panFormOf(pan) === 'rectangle'
      ? 2 * (2 * pan.topMm + long)
      : long > 0
        ? ellipseRim(pan.topMm / 2, (pan.topMm + long) / 2)
        : Math.PI * pan.topMm;
  let strips = 1;
  while (strips * longestMm < round + strips * overlapMm) strips++;
  const lengthMm = (round + strips * overlapMm) / strips;
  const { slantMm } = panInside(pan);
  return { strips, lengthMm, heightMm: slantMm, areaMm2: strips * lengthMm * slantMm };
}

export type LatticeStrip = { readonly atMm: number; readonly lengthMm: number };
export type Lattice = {
  /** Strips that run along the pan's length: where each one's middle lies from the pan's, and how long it is. */
  readonly along: readonly LatticeStrip[];
  /** Strips that run across it. */ readonly across: readonly LatticeStrip[];
  /** Of all strips. */ readonly totalMm: number;
  readonly areaMm2: number;
  readonly openShare: number;
};

/**
 * A lattice over a pan, in both directions.
 *
 * Units    mm, mm2; openShare of the filling that shows.
 * Throws   InputError at `path`.stripMm out of 3..100, .gapMm out of 0..100, .overhangMm out of 0..60.
 * Findings none.
 * Source   n = floor((D + gap) / (strip + gap)), strips spaced evenly; a strip is as long as the chord under its longer edge.
 */
export function latticeOf(
  pan: PanSize,
  { stripMm, gapMm, overhangMm }: { readonly stripMm: number; readonly gapMm: number; readonly overhangMm: number },
  path: string,
): Lattice {
  within(`${path}.stripMm`, stripMm, 3, 100, 'mm');
  within(`${path}.gapMm`, gapMm, 0, 100, 'mm');
  within(`${path}.overhangMm`, overhangMm, 0, 60, 'mm');
  const [wide, long] = [pan.topMm, pan.topMm + longerBy(pan)];
  const straight = panFormOf(pan) === 'rectangle';
  const strips = (spread: number, run: number): LatticeStrip[] => {
    const count = Math.floor((spread + gapMm) / (stripMm + gapMm) + 1e-9);
    return Array.from({ length: count }, (_, i) => {
      const atMm = (i - (count - 1) / 2) * (stripMm + gapMm);
      const nearest = Math.max(0, Math.abs(atMm) - stripMm / 2);
      const chord = straight ? run : run * Math.sqrt(Math.max(0, 1 - (nearest / (spread / 2)) ** 2));
      return { atMm, lengthMm: chord + 2 * overhangMm };
    });
  };
  const [along, across] = [strips(wide, long), strips(long, wide)];
  const totalMm = [...along, ...across].reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  return { along, across, totalMm, areaMm2: totalMm * stripMm, openShare: (gapMm / (stripMm + gapMm)) ** 2 };
}

/** A disc folded in over its filling; pleatShare is the dough that the fold has too much of. mm, mm2. */
export function freeFormOf(filledMm: number, foldMm: number, path: string): Blank & { readonly pleatShare: number } {
  within(`${path}.filledMm`, filledMm, 20, 600, 'mm');
  within(`${path}.foldMm`, foldMm, 0, 150, 'mm');
  const widthMm = filledMm + 2 * foldMm;
  return { form: 'disc', widthMm, lengthMm: widthMm, areaMm2: (Math.PI / 4) * widthMm ** 2, pleatShare: widthMm / filledMm - 1 };
}

/** From one pan to another: crust by the area that it lines, filling by what the pan holds. Never one factor for both. */
export function panToPan(from: PanSize, to: PanSize): { readonly crust: number; readonly filling: number } {
  const [one, two] = [panInside(from), panInside(to)];
  const cups = (to.cups ?? 1) / (from.cups ?? 1);
  return { crust: (cups * two.linedMm2) / one.linedMm2, filling: (cups * two.volumeMl) / one.volumeMl };
}
