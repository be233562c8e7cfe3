import type { AcrylamideClass } from './acrylamide.js';
import type { Basis } from './fact.js';
import type { Part, Shape } from '../document/formula.js';
import type { GumName } from '../document/pantry.js';
import type { BakeKind } from './oven.js';

/** Lowest, aimed at, highest. */
export type Window = readonly [low: number, target: number, high: number];

/** How fat usually goes in: the first of several schools, each a choice with a reason. */
export const schools = ['cutIn', 'rub', 'cream', 'melt', 'oil', 'allInOne', 'cook'] as const;
export type School = (typeof schools)[number];

/** Shape and pan of a family's first formula, and rows that its windows do not name. Left out: a piece cut of its sheet, flat on the tray. */
export type FirstFormula = {
  /** In the kitchen's first pan, its first tin of cups, or its first with corners, poured to the family's height. */ readonly stands?:
    'pan' | 'cups' | 'tin';
  /** Over what it is filled with. */ readonly lid?: 'lattice';
  /** In place of the flours that most families begin with. */ readonly flours?: readonly string[];
  readonly shape?: Shape;
  readonly body?: Part['body'];
  /** As much dough as makes whole ones. */ readonly whole?: true;
  /** g a 100 g of blend. */ readonly rows?: readonly { readonly ingredientId: string; readonly percent: number }[];
};

/**
 * What a family of products needs: the windows its findings judge by. Percent is grams per 100 g of blend.
 * `waterPercent` counts all water but the flours' own, after the gum term is taken off; `fatPercent` counts all fat, the flours' own too.
 */
export type Family = {
  readonly id: string;
  readonly name: string;
  readonly kind: 'pastry' | 'laminated' | 'cookie' | 'cracker' | 'quick';
  /** What the blend is made of; nuts and crumb count in B only here. */ readonly base: 'flour' | 'nut' | 'crumb';
  readonly school: School;
  /** What its first formula is closed round, and grams a piece; left out: nothing. */ readonly centre?: {
    readonly ingredientId: string;
    readonly gramsEach: number;
  };
  /** What sets its first formula apart from the middle of its windows. */ readonly first?: FirstFormula;
  /** Which lift and vapour path the oven model takes. */ readonly bakesAs: BakeKind;
  readonly fatPercent: Window;
  readonly waterPercent: Window;
  readonly sugarPercent: Window;
  readonly eggPercent: Window;
  readonly saltPercent: Window;
  /** Baking powder and soda together. */ readonly leavenerPercent: Window;
  readonly sodaPercent?: Window;
  readonly yeastPercent?: Window;
  /** Ground nuts beside the blend. */ readonly nutPercent?: Window;
  /** Window of each gum when it is alone; several are summed as dose over target. */
  readonly gumPercent: Readonly<Partial<Record<GumName, Window>>>;
  readonly proteinTypePercent: Window;
  readonly starchPercent: Window;
  /** Grams of water a gram of blend takes, over its cold water hold (k of the water rule). */
  readonly waterFactor: number;
  /** Share of its full water hold that a gum takes here (f of the water rule). */ readonly gumWaterShare: number;
  readonly ingredientsC: Window;
  readonly doughMaxC: number;
  /** Whether it goes under a pin; scooped, pressed and poured doughs do not. */ readonly rolled: boolean;
  /** What its dropped or flat pieces are shaped with, where that is no spoon and no palm: a bag, or the back of a spoon. */ readonly handled?:
    'piped' | 'spread';
  /** Rolls between these; for what is not rolled, can be scooped or pressed between these. */ readonly rollC: Window;
  readonly chillMin: Window;
  /** Pieces of fat when they go in; none where it is creamed, melted or oil. */ readonly fatPieceMm?: Window;
  readonly thicknessMm: Window;
  /** How high it stands in the oven, where that is not its sheet's thickness: rolled up and proved. */ readonly standsMm?: number;
  /** One piece, where it is weighed and not cut. */ readonly pieceG?: Window;
  readonly ovenC: Window;
  readonly bakeMin: Window;
  /** What the rules on acrylamide call it, where that is not said by its kind. */ readonly acrylamideAs?: AcrylamideClass;
  /** What is sliced once it has cooled and baked again, dry: thickness, oven, minutes and what it ends with. */ readonly slicedAfter?: {
    readonly sliceMm: number;
    readonly ovenC: number;
    readonly min: Window;
    readonly moisturePercent: Window;
  };
  /** Coldest place of a done piece, where it is thick: set crumb, not dryness, ends its bake. */ readonly doneCoreC?: number;
  readonly dockPitchMm: Window;
  readonly lightness: Window;
  readonly finalMoisturePercent: Window;
  readonly finalAw: Window;
  /** Middle of the family's zone on the Outlook, 0 to 10. */
  readonly zone: { readonly crisp: number; readonly tender: number; readonly halfWidth: number };
  readonly basis: Basis;
  readonly source: string;
};
