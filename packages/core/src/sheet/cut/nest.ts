import { quarterTurned, upsideDown } from './figure.js';
import type { Figure } from './figure.js';

export const nestNames = ['grid', 'rows shifted', 'head to tail'] as const;
export type NestName = (typeof nestNames)[number];

/**
 * How pieces lie beside each other on a sheet, without end: a cell of one piece, or of two of which the second lies upside down,
 * repeated along rows; rows repeated down the sheet, every other one shifted. Lengths in mm.
 */
export type Nest = {
  readonly name: NestName;
  readonly figure: Figure;
  /** The figure was turned by a quarter for this nest. */ readonly quarter: boolean;
  readonly cellMm: number;
  readonly rowMm: number;
  /** Every other row begins this much further in. */ readonly shiftMm: number;
  /** Where the upside-down one of a cell lies; null: cells of one. */ readonly second: {
    readonly dxMm: number;
    readonly dyMm: number;
  } | null;
  /** Height of one row. */ readonly bandMm: number;
};

export type Placed = { readonly xMm: number; readonly yMm: number; readonly upsideDown: boolean };

/** Steps in which a second piece is moved up and down beside the first, and then again round the best. */
const OFFSETS = 10;
/** Whole pieces that fit to the last digit do fit: 240 / 80 is 3, not 2.9999. */
const HAIR = 1e-9;

/**
 * Least distance between the left edges of two figures, the second to the right and `dyMm` lower, so that they do not overlap.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   scan lines at every corner of either outline; a figure counts as filled from its left to its right edge on each line.
 */
export function nestPitch(left: Figure, right: Figure, dyMm: number): number {
  let pitch = -Infinity;
  for (const y of [...left.outline.map((p) => p[1]), ...right.outline.map((p) => p[1] + dyMm)]) {
    const one = edges(left, y);
    const two = edges(right, y - dyMm);
    if (one && two) pitch = Math.max(pitch, one[1] - two[0]);
  }
  return pitch;
}

/** Left and right edge of a figure on a line; null beside it. */
function edges({ outline }: Figure, y: number): readonly [number, number] | null {
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < outline.length; i++) {
    const [x1, y1] = outline[i]!;
    const [x2, y2] = outline[(i + 1) % outline.length]!;
    if ((y1 < y && y2 < y) || (y1 > y && y2 > y)) continue;
    const xs = y1 === y2 ? [x1, x2] : [x1 + ((x2 - x1) * (y - y1)) / (y2 - y1)];
    for (const x of xs) {
      low = Math.min(low, x);
      high = Math.max(high, x);
    }
  }
  return low <= high ? [low, high] : null;
}

/**
 * The ways a shape can lie on a sheet, with a web of dough between pieces.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   rounds: square and hexagonal packing (pi/4 and pi / (2 sqrt 3) of the sheet, textbook); the rest by nestPitch. With a web
 *          an odd figure is nested as if grown by it.
 */
export function nestsOf(kind: string, figure: Figure, webMm: number): Nest[] {
  if (kind === 'round') return roundNests(figure, webMm);
  if (kind === 'hexagon') return hexagonNests(figure, webMm);
  const ways = kind === 'triangle' || kind === 'diamond' || kind === 'heart' ? [figure] : [figure, quarterTurned(figure)];
  return ways.flatMap((one, i) => {
    const quarter = i === 1;
    const plain = grid(one, webMm, quarter);
    if (kind === 'rectangle') return [plain];
    const paired = headToTail(one, webMm, quarter);
    return paired ? [plain, paired] : [plain];
  });
}

const grid = (figure: Figure, webMm: number, quarter: boolean): Nest => ({
  name: 'grid',
  figure,
  quarter,
  // What leans nests in its own row: a diamond's neighbour begins a side further, not a box.
  cellMm: nestPitch(figure, figure, 0) + webMm,
  rowMm: figure.lengthMm + webMm,
  shiftMm: 0,
  second: null,
  bandMm: figure.lengthMm,
});

function roundNests(figure: Figure, webMm: number): Nest[] {
  const pitch = figure.widthMm + webMm;
  const plain = { ...grid(figure, webMm, false), cellMm: pitch };
  const shifted = { ...plain, name: 'rows shifted' as const, rowMm: (pitch * Math.sqrt(3)) / 2, shiftMm: pitch / 2 };
  return [plain, shifted];
}

function hexagonNests(figure: Figure, webMm: number): Nest[] {
  const pitch = figure.widthMm + webMm;
  return [{ ...grid(figure, webMm, false), name: 'rows shifted', cellMm: pitch, rowMm: (pitch * Math.sqrt(3)) / 2, shiftMm: pitch / 2 }];
}

/** The closest pairs of one and one upside down: the offset that takes the least sheet for a pair. */
function headToTail(figure: Figure, webMm: number, quarter: boolean): Nest | null {
  const turned = upsideDown(figure);
  // The next first one may not touch this first one either, nor the two upside-down ones each other.
  const alone = Math.max(nestPitch(figure, figure, 0), nestPitch(turned, turned, 0)) + webMm;
  let best: { nest: Nest; dyMm: number } | null = null;
  const tryAt = (dyMm: number) => {
    const dxMm = nestPitch(figure, turned, dyMm) + webMm;
    const back = nestPitch(turned, figure, -dyMm) + webMm;
    if (!(dxMm > 0 && back > 0)) return;
    const cellMm = Math.max(dxMm + back, alone);
    const bandMm = figure.lengthMm + Math.abs(dyMm);
    if (best && cellMm * (bandMm + webMm) >= best.nest.cellMm * best.nest.rowMm - HAIR) return;
    best = {
      dyMm,
      nest: { name: 'head to tail', figure, quarter, cellMm, rowMm: bandMm + webMm, shiftMm: 0, second: { dxMm, dyMm }, bandMm },
    };
  };
  const step = figure.lengthMm / (2 * OFFSETS);
  for (let i = -OFFSETS; i <= OFFSETS; i++) tryAt(i * step);
  const middle = (best as { dyMm: number } | null)?.dyMm;
  if (middle !== undefined) for (let i = -OFFSETS; i <= OFFSETS; i++) tryAt(middle + (i * step) / OFFSETS);
  return (best as { nest: Nest } | null)?.nest ?? null;
}

/** Pieces in one row that is `widthMm` wide. */
function inRow(nest: Nest, widthMm: number): number {
  const { figure, cellMm, second } = nest;
  const room = (from: number) => Math.max(0, Math.floor((widthMm - from - figure.widthMm) / cellMm + HAIR) + 1);
  return room(0) + (second ? room(second.dxMm) : 0);
}

/**
 * Pieces of a nest that fit on a rectangle.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   counting; checked against placement by coordinates.
 */
export function countOn(nest: Nest, widthMm: number, lengthMm: number): number {
  const rows = Math.max(0, Math.floor((lengthMm - nest.bandMm) / nest.rowMm + HAIR) + 1);
  const even = inRow(nest, widthMm);
  const odd = nest.shiftMm > 0 ? inRow(nest, widthMm - nest.shiftMm) : even;
  return Math.ceil(rows / 2) * even + Math.floor(rows / 2) * odd;
}

/**
 * Every piece of a nest on a rectangle, row by row: where its box begins. At most `most` of them.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   geometry.
 *
 * @example
 * placedOn(cachedNests({ kind: 'rectangle', widthMm: 40, lengthMm: 40 })[0], 90, 45).length; // => 2
 */
export function placedOn(nest: Nest, widthMm: number, lengthMm: number, most = 10000): Placed[] {
  const { figure, second, shiftMm, cellMm, rowMm, bandMm } = nest;
  const placed: Placed[] = [];
  const lift = second ? Math.max(0, -second.dyMm) : 0;
  for (let row = 0; bandMm + row * rowMm <= lengthMm + HAIR * rowMm; row++) {
    const from = row % 2 === 1 ? shiftMm : 0;
    const top = row * rowMm + lift;
    for (let cell = 0; from + cell * cellMm + figure.widthMm <= widthMm + HAIR * cellMm; cell++) {
      const x = from + cell * cellMm;
      if (placed.length >= most) return placed;
      placed.push({ xMm: x, yMm: top, upsideDown: false });
      if (second && x + second.dxMm + figure.widthMm <= widthMm + HAIR * cellMm) {
        placed.push({ xMm: x + second.dxMm, yMm: top + second.dyMm, upsideDown: true });
      }
    }
  }
  return placed;
}

/** A rectangle and rounds of one size on it, mm. */
export type RoundsOn = {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly acrossMm: number;
  readonly webMm: number;
  readonly marginMm: number;
};

/**
 * Rounds on a rectangle: square, hexagonal both ways round, and hexagonal stretched to fill the width so that its rows close up.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none.
 * Source   counting; the stretched rows keep every centre a pitch apart: py = max(sqrt(p2 - (px/2)2), p/2).
 *
 * @example
 * roundsOn({ widthMm: 400, lengthMm: 300, acrossMm: 60, webMm: 3, marginMm: 0 }); // => { square: 24, hex: 28, stretched: 28, ... }
 */
export function roundsOn({ widthMm, lengthMm, acrossMm, webMm, marginMm }: RoundsOn): {
  readonly square: number;
  readonly hex: number;
  readonly stretched: number;
  /** How the stretched rows lie; `turned`: along the other side. */
  readonly stretch: { readonly cellMm: number; readonly rowMm: number; readonly turned: boolean } | null;
} {
  const [w, l] = [widthMm - 2 * marginMm, lengthMm - 2 * marginMm];
  const p = acrossMm + webMm;
  const fit = (room: number, pitch: number) => (room < acrossMm - HAIR ? 0 : Math.floor((room - acrossMm) / pitch + HAIR) + 1);
  const hexOf = (across: number, along: number, cell: number, row: number) => {
    const rows = fit(along, row);
    return Math.ceil(rows / 2) * fit(across, cell) + Math.floor(rows / 2) * fit(across - cell / 2, cell);
  };
  let stretched = 0;
  let stretch: { cellMm: number; rowMm: number; turned: boolean } | null = null;
  for (const turned of [false, true]) {
    const [across, along] = turned ? [l, w] : [w, l];
    const columns = fit(across, p);
    // Columns spread over the width, with or without half a cell for the shifted rows.
    for (let n = 1; n <= columns; n++) {
      for (const half of [0, 0.5]) {
        if (n - 1 + half === 0) continue;
        const cellMm = Math.min(2 * p, (across - acrossMm) / (n - 1 + half));
        if (cellMm < p - HAIR) continue;
        const rowMm = Math.max(Math.sqrt(Math.max(0, p * p - (cellMm / 2) ** 2)), p / 2);
        const count = hexOf(across, along, cellMm, rowMm);
        if (count > stretched) {
          stretched = count;
          stretch = { cellMm, rowMm, turned };
        }
      }
    }
  }
  const row = (p * Math.sqrt(3)) / 2;
  return { square: fit(w, p) * fit(l, p), hex: Math.max(hexOf(w, l, p, row), hexOf(l, w, p, row)), stretched, stretch };
}
