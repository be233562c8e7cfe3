import type { PlaceKind } from '../facts/cold.js';
import type { TrayMaterial } from '../facts/oven.js';

export type Oven = {
  readonly id: string;
  readonly name: string;
  readonly kind: 'static' | 'fan' | 'deck';
  readonly dialUnit: 'C' | 'F';
  /** What the dial said and what the air was. None: the oven was never measured. */
  readonly readings: readonly { readonly dialC: number; readonly trueC: number; readonly at: string }[];
};
export type Place = {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly atC: number;
  readonly fan?: boolean;
  readonly onTray?: boolean;
};
export type Tray = {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly material: TrayMaterial;
};
/** What the kitchen's own bakes have taught; worked out anew from the bakes it names. */
export type Learned = {
  readonly what: 'thirstFactor';
  /** Blend name the value is about. */ readonly about: string;
  readonly value: number;
  readonly sd: number;
  readonly bakeIds: readonly string[];
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
  readonly scaleStepG: number;
  readonly ovens: readonly Oven[];
  readonly places: readonly Place[];
  readonly trays: readonly Tray[];
  readonly learned: readonly Learned[];
  readonly guests?: readonly Guest[];
  /** What is meant here by a glass (ml), a pinch (g) and the like; asked once. */ readonly measures?: Readonly<Record<string, number>>;
};
