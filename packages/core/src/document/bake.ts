import type { StageName } from '../findings/finding.js';
import type { Handling } from './handling.js';
import type { PreparationActName } from './preparation.js';

/** What is read off with a hand, a ruler, a scale or a thermometer; the unit ends the name, `pieces` is a count, tones are 1 to 8. */
export const measuredWhats = [
  'doughC',
  'coreC',
  'ovenC',
  'roomC',
  'humidityShare',
  'rawMm',
  'bakedMm',
  'acrossMm',
  'fatMm',
  'rawG',
  'bakedG',
  'pieceG',
  'fillingG',
  'volumeRatio',
  'pieces',
  'bakeMin',
  'topTone',
  'baseTone',
] as const;
export type MeasuredWhat = (typeof measuredWhats)[number];

export const handWordOrder = ['sandy', 'cracks', 'rollsClean', 'tacky', 'sticks'] as const;
/** What the hand says of a dough, dry to wet. */
export type HandWord = (typeof handWordOrder)[number];

/** Dough before it is rolled, cut or filled pieces before the oven, what is baked, broken pieces ground, the rest of an opened egg. */
export const leftOvers = ['dough', 'shaped', 'baked', 'crumb', 'egg'] as const;
export type LeftOver = (typeof leftOvers)[number];
export const beginnings = ['dough', 'shaped'] as const;
/**
 * A run may begin from what another left: at the table with its dough, or at the oven with its pieces.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * canBegin('dough'); // => true
 */
export const canBegin = (what: LeftOver): what is Begins['what'] => (beginnings as readonly LeftOver[]).includes(what);
/** A good of a dough that is mixed once for several, and its share of that dough. */
export type GoodOfDough = {
  readonly formulaId: string;
  readonly version: number;
  readonly name: string;
  readonly doughG: number;
};
export type Begins = { readonly lotId: string; readonly what: (typeof beginnings)[number] };

/** A look into the oven, and what it should show. */
export type PlannedLook = {
  /** From the door shut. */ readonly atMin: number;
  readonly topTone: number;
  readonly baseTone: number;
  /** Of the rim of a piece that stands free; left out in looks planned before 1.11.0. */ readonly rimTone?: number;
  readonly moistureShare: number;
  readonly coldestC: number;
  /** Of the bakes that could happen, those done by then. */ readonly doneShare: number;
  /** At the minutes that the baker set. */ readonly asSet?: boolean;
};

export const againstWords = ['paler', 'asShown', 'darker'] as const;
export type AgainstWord = (typeof againstWords)[number];
/** What a bite is rated by. */
export const ratedWhats = ['crisp', 'tender', 'liked'] as const;
export type RatedWhat = (typeof ratedWhats)[number];

/** What happened at the bench: only ever added; a correction is an event that names the one it corrects. */
export type Happened =
  | { readonly kind: 'began' | 'ended' | 'paused' | 'resumed' | 'stepBegan' | 'stepEnded' }
  | { readonly kind: 'skipped'; readonly reason: string }
  /** Below zero: taken out again. */
  | { readonly kind: 'weighed'; readonly rowKey: string; readonly addedG: number; readonly lotId?: string }
  /** From now on this row is this ingredient, and so many grams of it for the run as it was planned. */
  | { readonly kind: 'swapped'; readonly rowKey: string; readonly ingredientId: string; readonly amountG: number }
  /** Not in the formula. */
  | { readonly kind: 'added'; readonly ingredientId: string; readonly amountG: number; readonly lotId?: string }
  /** Everything is this many times the run as it was planned. */
  | { readonly kind: 'scaled'; readonly factor: number }
  | { readonly kind: 'felt'; readonly word: HandWord }
  | { readonly kind: 'measured'; readonly what: MeasuredWhat; readonly value: number }
  | { readonly kind: 'looked'; readonly against: AgainstWord; readonly topTone?: number; readonly baseTone?: number }
  /** After the look that it is said at: what is left of the looks of this load. Minutes between which eight in ten are done. */
  | { readonly kind: 'looksPlanned'; readonly looks: readonly PlannedLook[]; readonly doneP10Min?: number; readonly doneP90Min?: number }
  | { readonly kind: 'rated'; readonly after: 'fresh' | number; readonly crisp?: number; readonly tender?: number; readonly liked?: number }
  | { readonly kind: 'confirmed'; readonly code: string; readonly reason: string }
  /** Kept for another day, as a lot of the pantry. */
  | {
      readonly kind: 'leftOver';
      readonly lotId: string;
      readonly what: LeftOver;
      readonly amountG: number;
      readonly placeId: string;
      readonly useByOn: string;
    }
  /** A number of facts/symptoms. */
  | { readonly kind: 'noticed'; readonly symptom: number }
  | { readonly kind: 'photographed'; readonly photoId: string }
  | { readonly kind: 'noted'; readonly text: string };

/** `at` is the bench's clock as the server has it. */
export type BakeEvent = {
  readonly id: string;
  readonly at: string;
  readonly stepKey?: string;
  readonly corrects?: string;
  readonly what: Happened;
};

export const stepKinds = ['weigh', 'do', 'feel', 'measure', 'wait', 'look', 'rate'] as const;
export type StepKind = (typeof stepKinds)[number];

/** What a step is about: its words are in packages/words. */
export const stepWhats = [
  'weigh',
  'mix',
  'froth',
  'prepare',
  'foldIn',
  'feel',
  'doughTemperature',
  'rest',
  'shape',
  'cold',
  'lockIn',
  'fold',
  'foldRest',
  'lastRoll',
  'roll',
  'cut',
  'portion',
  'drop',
  'pipe',
  'pour',
  'divide',
  'pressIn',
  'pat',
  'spreadThin',
  'windows',
  'line',
  'pan',
  'prick',
  'weightsIn',
  'fill',
  'close',
  'rollUp',
  'foldOver',
  'lid',
  'crimp',
  'slits',
  'lattice',
  'flattenFat',
  'brush',
  'strew',
  'dust',
  'sandwich',
  'cutBaked',
  'firm',
  'proof',
  'ovenOn',
  'load',
  'putIn',
  'inOven',
  'nextSetting',
  'look',
  'partOut',
  'dialBack',
  'laterCold',
  'out',
  'slice',
  'pierce',
  'secondIn',
  'drying',
  'turnSlices',
  'secondOut',
  'cool',
  'pack',
  'wrap',
  'rate',
] as const;
export type StepWhat = (typeof stepWhats)[number];

/**
 * One thing to do in a run, as it was planned at the start. Numbers only; words are made where it is read. Masses are for the run as
 * planned, and follow a later `scaled` event in the state of the run.
 */
export type RunStep = {
  readonly key: string;
  readonly stage: StageName;
  readonly kind: StepKind;
  readonly what: StepWhat;
  /** Minutes that hands are on it. */ readonly handsMin: number;
  /** Weigh: the row ('b1' of the blend, 'r1'), its ingredient, and how much. */ readonly rowKey?: string;
  readonly ingredientId?: string;
  readonly name?: string;
  /** The component that it is weighed for, or that is made. */ readonly into?: string;
  /** What is done to it. */ readonly act?: PreparationActName;
  readonly amountG?: number;
  /** Of the whole row: part of a row that goes in at several steps. */ readonly shareOfRow?: number;
  /** Kept back in spoons; they follow at the feel. */ readonly heldG?: number;
  readonly atC?: number;
  /** Wait: minutes from its beginning, or from the beginning of the wait or step `since`. */ readonly min?: number;
  readonly since?: string;
  readonly place?: string;
  /** In the oven: eight in ten bakes like this one are done between these. */ readonly doneP10Min?: number;
  readonly doneP90Min?: number;
  /** Aim of a wait in the cold, middle of the dough. */ readonly targetC?: number;
  /** Mix steps in the baker's words or made from the formula. */ readonly does?: string;
  readonly thicknessMm?: number;
  readonly widthMm?: number;
  readonly lengthMm?: number;
  readonly bandsMm?: number;
  readonly dockMm?: number;
  readonly dockStaggered?: boolean;
  /** How hands shape this dough, where the words hang on it. */ readonly handling?: Handling;
  /** What goes on or in, by name. */ readonly names?: readonly string[];
  /** Of the pan or cup that it is poured into. */ readonly depthMm?: number;
  /** Strips of a lattice, longest first. */ readonly lengthsMm?: readonly number[];
  /** The good that a share of the dough is for, and where the share waits. */
  readonly forGood?: { readonly formulaId: string; readonly version: number; readonly placeId: string };
  readonly parts?: number;
  /** Which fold or look, of how many. */ readonly n?: number;
  readonly of?: number;
  readonly pieces?: number;
  readonly lots?: number;
  readonly oven?: string;
  /** The dial as it is marked, in words: `dial 174 °C`. */ readonly dial?: string;
  readonly turn?: boolean;
  readonly weightsOff?: boolean;
  /** Oven load, from 1; and of how many. */ readonly load?: number;
  readonly loads?: number;
  readonly form?: string;
  /** What a look should show. */ readonly topTone?: number;
  readonly baseTone?: number;
  readonly coldestC?: number;
  readonly moistureShare?: number;
  /** Share of bakes like it that are done by this look. */ readonly doneShare?: number;
  /** A look at the minutes that the baker set. */ readonly asSet?: boolean;
  /** What may be measured here, and what was planned. */ readonly measures?: readonly {
    readonly what: MeasuredWhat;
    readonly planned?: number;
  }[];
};
