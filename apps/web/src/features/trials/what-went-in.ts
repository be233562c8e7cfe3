import { asBaked, rowsLeftOut, type BakeEvent, type Formula, type RunStep } from '@north-leaf/core';

export type OfTrial = {
  readonly formula: Formula;
  readonly events: readonly BakeEvent[];
  readonly steps: readonly RunStep[];
  readonly factor: number;
};
/** One ingredient where it goes; grams in each bake at the size of its formula, undefined where it is not in. */
export type LineIn = { readonly ingredientId: string; readonly part: string; readonly amountsG: readonly (number | undefined)[] };

/** Everything that went into a chain of bakes, flours of the blend too, by ingredient: one that was swapped is a line of its own. */
export function whatWentIn(bakes: readonly OfTrial[]): LineIn[] {
  const lines = new Map<string, { ingredientId: string; part: string; amountsG: (number | undefined)[] }>();
  bakes.forEach(({ formula, events, steps, factor }, i) => {
    const made = asBaked(formula, events);
    const leftOut = rowsLeftOut(events, steps);
    const put = (part: string, key: string, ingredientId: string, plannedG: number) => {
      if (leftOut.has(key)) return;
      const id = `${part} ${ingredientId}`;
      const line = lines.get(id) ?? { ingredientId, part, amountsG: bakes.map(() => undefined) };
      const weighedG = made.weighed[key];
      line.amountsG[i] = (line.amountsG[i] ?? 0) + (weighedG === undefined ? plannedG : weighedG / factor);
      lines.set(id, line);
    };
    for (const { key, ingredientId, share } of made.formula.blend.rows) put('blend', key, ingredientId, share * formula.blendG);
    for (const { key, ingredientId, amountG, use } of made.formula.rows) put(use, key, ingredientId, amountG);
  });
  return [...lines.values()];
}
