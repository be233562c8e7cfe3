import type { Estimate } from '../findings/finding.js';
import type { Acrylamide } from './acrylamide.js';
import type { BakeTimes } from './doneness.js';
import type { FillingInPiece } from './filling.js';

/** A piece at the end of the bake. */
export type BakedPiece = {
  readonly moistureShare: number;
  /** kg water per kg dry matter. */ readonly moistureX: number;
  readonly topTone: number;
  readonly baseTone: number;
  /** Of the rim, where it stands free; the top's where it does not. */ readonly rimTone: number;
  /** Browning index of the darker face, 0 raw to 1 black. */ readonly faceBrowning: number;
  /** Of top, base and rim together. */ readonly meanBrowning: number;
  readonly topLightness: number;
  readonly middleC: number;
  readonly coldestC: number;
  readonly thicknessMm: number;
  /** Of its dough alone, without a filling on or in it. */ readonly doughMm: number;
  /** Gas share of the dough's volume. */ readonly poresShare: number;
  readonly lossShare: number;
};

export type BakeResult = BakeTimes & {
  readonly done: Estimate | null;
  readonly totalMin: number;
  readonly end: BakedPiece;
  readonly endMoisture: Estimate;
  readonly endTone: Estimate;
  /** Aim and limits the times are read by. */ readonly dryBelowShare: number;
  readonly mustDry: boolean;
  /** Drier than its kind ever is. */ readonly tooDryShare: number;
  readonly coreC: number | null;
  /** As this dough shows them. */ readonly goldenFromTone: number;
  readonly darkFromTone: number;
  readonly darkFromBrowning: number;
  /** The dough is as dark raw as others are golden: core or dryness tell, colour does not. */ readonly startsDark: boolean;
  readonly steps: readonly { readonly name: string; readonly wantC: number | null; readonly dialC: number | null; readonly min: number }[];
  /** Width when it is set over width when it goes in; 1 where nothing runs. */ readonly spreadRatio: number;
  readonly filling: BakedFilling | null;
  /** Tops of a pair that bake beside their bottoms and otherwise; null where there are none. */ readonly second: BakedSecond | null;
  readonly acrylamide: Acrylamide;
  readonly ovenMeasured: boolean;
  /** Share of the doneness spread each cause brings, largest first. */ readonly spreadFrom: readonly {
    readonly cause: SpreadCause;
    readonly share: number;
  }[];
  readonly curve: {
    readonly min: readonly number[];
    readonly airC: readonly number[];
    readonly topC: readonly number[];
    readonly middleC: readonly number[];
    readonly coldestC: readonly number[];
    readonly moistureShare: readonly number[];
    /** One sd of the moisture at each minute. */ readonly moistureSd: readonly number[];
    readonly topTone: readonly number[];
    readonly baseTone: readonly number[];
    readonly thicknessMm: readonly number[];
  };
};

/** The second part of a pair at the end of the written steps, and when it is done. */
export type BakedSecond = { readonly key: string; readonly doneMin: number | null; readonly end: BakedPiece };

/** A filling when it comes out: what boiled away, and what is left to run. Grams for one piece. */
export type BakedFilling = FillingInPiece & { readonly boiledG: number; readonly weepsG: number };

export type SpreadCause = 'oven' | 'thickness' | 'water' | 'start' | 'heat' | 'browning';
