import type { PlaceKind } from '../facts/cold.js';
import type { JudgementName } from '../facts/judgements.js';
import type { Market } from '../facts/markets.js';
import type { TrayMaterial } from '../facts/oven.js';

export type Oven = {
  readonly id: string;
  readonly name: string;
  readonly kind: 'static' | 'fan' | 'deck';
  readonly dialUnit: 'C' | 'F' | 'gas';
  /** What the dial said and what the air was. None: the oven was never measured. */
  readonly readings: readonly OvenReading[];
  /** How much warmer than the middle of its middle shelf a place is, K; at most one of each shelf and side. */
  readonly hotSpots?: readonly HotSpot[];
  /** Minutes from cold to ready at a dial setting. */ readonly heating?: readonly { readonly dialC: number; readonly min: number }[];
};
/** Mean of what the thermometer said at one setting of the dial. */
export type OvenReading = { readonly dialC: number; readonly trueC: number; readonly at: string };
export const ovenShelves = ['high', 'middle', 'low'] as const;
export const ovenSides = ['backLeft', 'back', 'backRight', 'left', 'centre', 'right', 'doorLeft', 'door', 'doorRight'] as const;
export type HotSpot = {
  readonly shelf: (typeof ovenShelves)[number];
  readonly side: (typeof ovenSides)[number];
  readonly aboveC: number;
};
export type Place = {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly atC: number;
  readonly fan?: boolean;
  readonly onTray?: boolean;
  /** How fast it takes or gives heat on either face, W/m2 K; left out: as places of its kind do. */ readonly wPerM2K?: number;
};
export type Tray = {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly material: TrayMaterial;
};
export const learnedWhats = ['thirstFactor', 'ovenHeatFactor', 'oven', 'crisp', 'tender', 'lift', 'spread', 'pack', 'layerFloor'] as const;
/** What the kitchen's own bakes have taught; worked out anew from the bakes it names. */
export type Learned = {
  readonly what: (typeof learnedWhats)[number];
  /** What the value is about: a blend's name, an oven's id, a family's id, a pack and a family. */ readonly about: string;
  /** Of `oven` its offset in K. */ readonly value: number;
  readonly sd: number;
  readonly bakeIds: readonly string[];
  /** When the first and the last of those bakes were begun. */ readonly firstAt?: string;
  readonly lastAt?: string;
  /** What was weighed or read, where no bake record holds it. */ readonly from?: string;
  /** What was believed before any of it. */ readonly priorValue?: number;
  readonly priorSd?: number;
  /** Of `oven`: how its offset (K), the log of its heat transfer and the log of its browning are believed together. */
  readonly joint?: { readonly mean: readonly number[]; readonly covariance: readonly (readonly number[])[] };
  /** Kept, but not used: the prior is. */ readonly setAside?: boolean;
  /** Bakes before this moment are not counted: it was reset then. */ readonly since?: string;
};
export const panKinds = ['plate', 'ring', 'rectangle', 'oval'] as const;
/** What a pie, a tart or a cake stands in. A ring or a tart tin has no slope: top and bottom are the same. */
export type Pan = {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  /** Left out: a round plate, or a ring where it has no slope. */ readonly kind?: (typeof panKinds)[number];
  /** Inside, across the top and the bottom; of a long pan, its width. */ readonly topMm: number;
  readonly bottomMm: number;
  readonly depthMm: number;
  /** Flat rim that dough lies on. */ readonly rimMm?: number;
  /** Of a rectangle or an oval, inside along the top. */ readonly lengthMm?: number;
  /** Of a tin of several. */ readonly cups?: number;
  readonly material: TrayMaterial;
};
export const cutterKinds = ['round', 'hexagon', 'heart', 'rectangle'] as const;
/** What takes a piece out of a sheet at one press. */
export type Cutter = {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof cutterKinds)[number];
  /** Of a hexagon across its flats; of a rectangle its width. */ readonly acrossMm: number;
  /** Of a rectangle; left out: a square. */ readonly lengthMm?: number;
};
/** What a guest, a customer or a class cannot have. Roles and words, no person's name is needed. */
export type Guest = { readonly id: string; readonly name: string; readonly suits: readonly string[]; readonly note?: string };
export type Kitchen = {
  readonly id: string;
  readonly name: string;
  readonly zone: string;
  readonly currency: string;
  readonly roomC: number;
  readonly humidityShare: number;
  readonly glutenLimitMgPerKg: number;
  /** Whose rules its goods are sold under; left out: not said yet, and the strictest of them hold. */ readonly market?: Market;
  /** Nothing is sold: what is baked is eaten at home. */ readonly home?: boolean;
  readonly scaleStepG: number;
  readonly ovens: readonly Oven[];
  readonly places: readonly Place[];
  readonly trays: readonly Tray[];
  readonly pans?: readonly Pan[];
  /** None named: pieces are cut of any size. */ readonly cutters?: readonly Cutter[];
  /** The mat, board or table that dough is rolled on: no sheet is larger. */ readonly mat?: {
    readonly widthMm: number;
    readonly lengthMm: number;
  };
  readonly learned: readonly Learned[];
  readonly guests?: readonly Guest[];
  /** What is meant here by a glass (ml), a pinch (g) and the like; asked once. */ readonly measures?: Readonly<Record<string, number>>;
  /** What a name in a list means here, as it was said once: the plain name to an ingredient. */
  readonly names?: Readonly<Record<string, string>>;
  /** Our judgements that this kitchen holds otherwise, by name. */
  readonly judgements?: Readonly<Partial<Record<JudgementName, number>>>;
};

/** What a kitchen has learned of one thing and uses; undefined for nothing, or for what was set aside. */
export const learnedOf = ({ learned }: Pick<Kitchen, 'learned'>, what: Learned['what'], about: string): Learned | undefined =>
  learned.find((one) => one.what === what && one.about === about && one.setAside !== true);
