import type { Cooling } from './conduction.js';

export type ChillResult = {
  /** All waits together, min. */ readonly waitMin: number;
  /** Until the middle is at the target, from the first wait; null when these waits never get there. */ readonly toTargetMin: number | null;
  readonly endMiddleC: number;
  readonly endRimC: number;
  readonly endSolidFatPercent: number;
  /** Workable minutes on the table as it is: middle and rim inside the roll window. */ readonly benchMin: number;
  /** Minutes on the table before it may be rolled (too hard when it comes out). */ readonly benchFromMin: number;
  /** The table never gets warm enough to end it within the hour that was looked at. */ readonly benchOpenEnded: boolean;
  readonly rollLowC: number;
  readonly rollHighC: number;
  /** Rest, waits and table, for the picture: min from the end of mixing. */ readonly curve: {
    readonly min: readonly number[];
    readonly middleC: readonly number[];
    readonly rimC: readonly number[];
  };
  /** Where in the curve the dough leaves the cold, min. */ readonly outMin: number;
};

export type DoughCooling = Cooling & { readonly startMin: number; readonly outMin: number };
