import type { HandWord } from '../document/bake.js';
import type { Composition, SolidFatName } from '../document/pantry.js';
import type { Allergen } from '../ingredient/safety/allergens.js';
import type { Cost } from '../ingredient/cost.js';
import type { MakeUp } from '../matter/make-up.js';
import type { SpreadOfWater, WaterGets, WaterWants } from './water.js';
import type { Binder } from './binders.js';
import type { DoughColours } from './colours.js';
import type { PartOnPiece } from './piece/on-piece.js';
import type { FillingMix } from './piece/filling-mix.js';
import type { WorkedFat } from './fat.js';
import type { SodaBalance } from './leavening.js';
import type { DoughTemperature } from './temperature.js';

/** Percent of the blend, by the words of the family windows. */
export type BakersPercents = {
  readonly fat: number;
  readonly water: number;
  readonly sugar: number;
  readonly egg: number;
  readonly salt: number;
  readonly leavener: number;
  readonly soda: number;
  readonly yeast: number;
  /** Ground nuts beside the blend. */ readonly nuts: number;
};

export type DoughResult = WaterGets & {
  /** As it leaves the bowl. */ readonly doughG: number;
  /** Fat that is folded in; null for none. */ readonly rollIn: {
    readonly massG: number;
    readonly makeUp: MakeUp;
    readonly fat: SolidFatName | null;
  } | null;
  /** Topping and wash that bake. */ readonly toppingG: number;
  readonly dustG: number;
  /** Filling that bakes, and filling that comes after the oven. */ readonly filling: {
    readonly baked: FillingMix | null;
    readonly late: FillingMix | null;
  };
  /** Everything that goes on after the oven. */ readonly lateG: number;
  readonly rows: readonly { readonly key: string; readonly name: string; readonly amountG: number; readonly percent: number }[];
  readonly wants: WaterWants;
  readonly wantsG: number;
  readonly getsOverWants: number;
  readonly handWord: HandWord;
  /** What a hand should say of a dough of this form. */ readonly rightHandWords: readonly HandWord[];
  readonly handWordChances: Readonly<Record<HandWord, number>>;
  /** How far the right water may be off, by cause, one sd; and all of it. */ readonly waterSpread: readonly SpreadOfWater[];
  readonly wantsSdG: number;
  readonly pourG: number;
  readonly spoons: number;
  readonly percents: BakersPercents;
  /** Sum over gums of dose over the family's target for that gum alone. */ readonly binderRatio: number;
  /** Whether this family cannot do without gum or husk; in the others none is a choice. */ readonly needsBinder: boolean;
  readonly binders: readonly Binder[];
  readonly fats: readonly WorkedFat[];
  /** How cold to pour; null without poured water. */ readonly temperature: DoughTemperature | null;
  readonly sodaBalance: SodaBalance;
  /** Of the sugars, what comes in syrup and honey. */ readonly syrupShare: number;
  /** All sodium but that of leaveners as salt, percent of the blend. */ readonly saltInAllPercent: number;
  /** Grit of the flours as they are. */ readonly gritRaw: number;
  /** Grit that is left after the dough has stood. */ readonly gritFelt: number;
  /** And what would be left after a full rest. */ readonly gritRested: number;
  readonly standingMin: number;
  /** Rows that the mix leaves out, or puts in more than once. */ readonly mixGaps: readonly {
    readonly rowKey: string;
    readonly name: string;
    readonly share: number;
  }[];
  readonly composition: Composition;
  /** Of the dough as it leaves the bowl: topping, dust and folded-in fat apart. */ readonly makeUp: MakeUp;
  readonly colours: DoughColours;
  /** Of topping and dust together; null when there is none. */ readonly outsideMakeUp: MakeUp | null;
  readonly leavened: boolean;
  readonly solidFat: SolidFatName | null;
  readonly fatPieces: 0 | 1 | 2 | 3;
  /** Raw egg that meets the oven. */ readonly eggG: number;
  /** Of it, raw egg in the dough. */ readonly doughEggG: number;
  /** What lies in and on the piece, judged as food. */ readonly onPiece: readonly PartOnPiece[];
  readonly eggWhitePerBlend: number;
  readonly eggYolkPerBlend: number;
  readonly xanthanPerBlend: number;
  readonly psylliumPerBlend: number;
  readonly doughAtC: number;
  readonly allergens: readonly Allergen[];
  /** Of everything, dust and topping included. */ readonly cost: Cost;
};
