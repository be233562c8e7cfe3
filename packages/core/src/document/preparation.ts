/** A filling, crumble, frosting, glaze, cream, coating or soaked fruit: rows and acts, no blend base and no stages. */
export type Preparation = {
  readonly schema: 1;
  readonly id: string;
  readonly name: string;
  readonly rows: readonly PreparationRow[];
  readonly acts: readonly PreparationAct[];
  /** Water driven off over all acts. */ readonly boiledOffG: number;
  readonly drainedG: number;
  /** What runs off: water unless said. */ readonly drainedIngredientId?: string;
  /** What its middle came to, C; left out: raw, as far as anybody said. */ readonly cookedToC?: number;
  readonly keepDays: number;
  readonly keepAt: 'room' | 'fridge' | 'freezer';
};
export type PreparationRow = {
  readonly key: string;
  readonly ingredientId: string;
  readonly amountG: number;
  readonly entered?: string;
  readonly lotId?: string;
};
export const preparationActs = ['soak', 'warm', 'melt', 'whisk', 'beat', 'foldIn', 'boil', 'drain', 'grind', 'stand'] as const;
export type PreparationAct = {
  readonly key: string;
  readonly act: (typeof preparationActs)[number];
  readonly min?: number;
  /** The sign to stop at. */ readonly stopAt?: string;
};
