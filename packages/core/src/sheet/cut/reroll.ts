/** One rolling of the dough: what went under the pin, and what came of it. g. */
export type Roll = {
  readonly massG: number;
  readonly pieces: number;
  readonly scrapG: number;
  /** Dusting flour it took up. */ readonly dustG: number;
};
export type Rolls = {
  readonly rolls: readonly Roll[];
  readonly pieces: number;
  /** Left when the last was cut, dust of the rollings in it. */ readonly scrapG: number;
  readonly dustG: number;
  /** A piece more could be pressed by hand from what is left. */ readonly byHand: boolean;
};

/**
 * Rolls dough and its scraps until they give no piece or may not be rolled again.
 *
 * Units    g; shares 0..1.
 * Throws   nothing.
 * Findings none.
 * Source   bookkeeping: M' = (M - n m)(1 + u). Without whole pieces the sum would be (M/m) y / (1 - (1 - y)(1 + u)): it is never more.
 *
 * @example
 * rollAndReroll({ massG: 800, pieceG: 14, uptakeShare: 0.015, most: 4, piecesOf: (g) => Math.floor((0.72 * g) / 14) }).pieces; // => 56
 */
export function rollAndReroll(input: {
  readonly massG: number;
  readonly pieceG: number;
  readonly uptakeShare: number;
  /** Rollings in all, the first counted. */ readonly most: number;
  readonly piecesOf: (massG: number) => number;
}): Rolls {
  const { pieceG, uptakeShare, most, piecesOf } = input;
  const rolls: Roll[] = [];
  let massG = input.massG;
  let pieces = 0;
  let dustG = 0;
  for (let roll = 0; roll < most; roll++) {
    const taken = roll === 0 ? 0 : massG * uptakeShare;
    // Scraps are only rolled, and dusted, where a piece will come of it.
    const cut = massG + taken < pieceG ? 0 : piecesOf(massG + taken);
    if (cut === 0) break;
    massG += taken;
    dustG += taken;
    pieces += cut;
    rolls.push({ massG, pieces: cut, scrapG: massG - cut * pieceG, dustG: taken });
    massG -= cut * pieceG;
  }
  return { rolls, pieces, scrapG: massG, dustG, byHand: rolls.length > 0 && most > 1 && massG >= pieceG * (1 - 1e-9) };
}
