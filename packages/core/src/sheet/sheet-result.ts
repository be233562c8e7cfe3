import type { MakeUp } from '../matter/make-up.js';
import type { Body } from './body.js';
import type { LaminateResult } from './layers/lamination.js';
import type { PartPlan, SheetLayout } from './plan.js';
import type { Roll } from './cut/reroll.js';

export type SheetResult = {
  readonly pieces: number;
  readonly pieceG: number;
  /** Of one piece, without topping and filling. */ readonly pieceDoughG: number;
  /** Dough and dust that end in no piece. */ readonly scrapG: number;
  readonly scrapShare: number;
  readonly thicknessMm: number;
  readonly densityGPerMl: number;
  /** Width of a round piece that takes as much heat at its edge: four areas over its rim. */ readonly acrossMm: number;
  /** Between neighbours on the tray, and what of it they fill as they spread. */ readonly gapMm: number;
  readonly spreadsMm: number;
  /** Of the tray, left bare. */ readonly edgeMm: number;
  readonly parts: readonly PartPlan[];
  /** The first sheet of each lot, to scale; null for what is not cut side by side. */ readonly layout: SheetLayout | null;
  /** Each rolling of one lot: the first, then its scraps. */ readonly rolls: readonly Roll[];
  /** Flour that rolling again took up, all lots. */ readonly rerollDustG: number;
  /** A last piece could be pressed by hand from what is left of a lot. */ readonly lastByHand: boolean;
  readonly oddCuts: number;
  /** Half triangles that are baked as small pieces, not scrap. */ readonly halves: number;
  readonly lots: number;
  readonly body: Body;
  /** Pieces of each tray, shared evenly. */ readonly trays: readonly number[];
  readonly traysNeeded: number;
  readonly piecesPerTray: number;
  /** Times the oven is filled. */ readonly loads: number;
  readonly laminate: LaminateResult | null;
  /** Of a piece as it goes into the oven: dough, roll-in, dust and topping. */ readonly makeUp: MakeUp;
  /** When it goes into the oven. */ readonly pieceC: number;
  /** The batch is short of one piece: so many times it is enough, and all here is of that batch; null where it is not short. */
  readonly shortFactor: number | null;
  /** Grams in, for the law that none is lost: pieces and scrap. */ readonly massInG: number;
};
