import type { Formula, Part, Row, Wait } from '@north-leaf/core';

/** What a baker changed from one version to the next; other goods by id, as they stand at the end of their own histories. */
export type Change = (formula: Formula, goods: ReadonlyMap<string, Formula>) => Formula;

const rows = (formula: Formula, change: (row: Row) => Row): Formula => ({ ...formula, rows: formula.rows.map(change) });

export const all =
  (...changes: readonly Change[]): Change =>
  (formula, goods) =>
    changes.reduce((now, change) => change(now, goods), formula);

/** So many grams of what is there already. */
export const grams =
  (ingredientId: string, amountG: number): Change =>
  (formula) =>
    rows(formula, (row) => (row.ingredientId === ingredientId ? { ...row, amountG } : row));

/** So many grams more or less of what is there already. */
export const more =
  (ingredientId: string, byG: number): Change =>
  (formula) =>
    rows(formula, (row) => (row.ingredientId === ingredientId ? { ...row, amountG: Math.round(10 * (row.amountG + byG)) / 10 } : row));

export const instead =
  (ingredientId: string, byIngredientId: string): Change =>
  (formula) =>
    rows(formula, (row) => (row.ingredientId === ingredientId ? { ...row, ingredientId: byIngredientId } : row));

/** A row more, folded in at the end where `act` says so, else whisked in with the first act that whisks. */
export const add =
  (ingredientId: string, amountG: number, act: 'whisk' | 'foldIn' = 'whisk'): Change =>
  (formula) => {
    const key = `s${formula.rows.length + 1}`;
    const of = [{ rowKey: key, share: 1 }];
    const at = formula.mix.findIndex((step) => step.act === 'whisk');
    return {
      ...formula,
      rows: [...formula.rows, { key, ingredientId, amountG, use: 'dough' }],
      mix:
        act === 'foldIn' || at < 0
          ? [...formula.mix, { key: `${key}m`, act: 'foldIn', of, tool: 'hand' }]
          : formula.mix.map((step, i) => (i === at ? { ...step, of: [...(step.of ?? []), ...of] } : step)),
    };
  };

/** A flour's share of the blend; the others keep their shares of what is left. One that is not there yet comes to it. */
export const share =
  (ingredientId: string, to: number): Change =>
  (formula) => {
    const now = formula.blend.rows.find((row) => row.ingredientId === ingredientId);
    const left = (1 - to) / (1 - (now?.share ?? 0));
    const others = formula.blend.rows.map((row) => (row === now ? { ...row, share: to } : { ...row, share: row.share * left }));
    return {
      ...formula,
      blend: {
        ...formula.blend,
        rows: now ? others : [...others, { key: `f${others.length + 1}`, ingredientId, share: to }],
      },
    };
  };

/** The lot that a flour of the blend is weighed from. */
export const fromLot =
  (ingredientId: string, lotId: string): Change =>
  (formula) => ({
    ...formula,
    blend: { ...formula.blend, rows: formula.blend.rows.map((row) => (row.ingredientId === ingredientId ? { ...row, lotId } : row)) },
  });

export const blendNamed =
  (name: string): Change =>
  (formula) => ({ ...formula, blend: { ...formula.blend, name } });

export const thickness =
  (thicknessMm: number, bandsMm?: number): Change =>
  (formula) => ({
    ...formula,
    sheet: {
      ...formula.sheet,
      ...(bandsMm === undefined ? {} : { bandsMm }),
      parts: formula.sheet.parts.map((part) => ({ ...part, thicknessMm })),
    },
  });

export const shape =
  (of: Part['shape']): Change =>
  (formula) => ({ ...formula, sheet: { ...formula.sheet, parts: formula.sheet.parts.map((part) => ({ ...part, shape: of })) } });

export const rest =
  (min: number, targetC?: number): Change =>
  (formula) => ({
    ...formula,
    chill: {
      ...formula.chill,
      ...(targetC === undefined ? {} : { targetC }),
      waits: formula.chill.waits.map((wait, i) => (i === 0 ? { ...wait, min } : wait)),
    },
  });

/** How long a fold lies in the cold before the next. */
export const foldRest =
  (fold: number, min: number): Change =>
  (formula) => {
    const { laminate } = formula.sheet;
    if (!laminate) return formula;
    const waits = (of: readonly Wait[]) => of.map((wait, i) => (i === 0 ? { ...wait, min } : wait));
    const folds = laminate.folds.map((one, i) => (i === fold ? { ...one, waits: waits(one.waits) } : one));
    return { ...formula, sheet: { ...formula.sheet, laminate: { ...laminate, folds } } };
  };

export const heat =
  (step: number, wantC: number, min: number): Change =>
  (formula) => ({
    ...formula,
    bake: { ...formula.bake, steps: formula.bake.steps.map((one, i) => (i === step ? { ...one, wantC, min } : one)) },
  });

export const oven =
  (ovenId: string, trayId?: string): Change =>
  (formula) => ({ ...formula, bake: { ...formula.bake, ovenId, ...(trayId ? { trayId } : {}) } });

export const docked =
  (pitchMm: number): Change =>
  (formula) => ({ ...formula, sheet: { ...formula.sheet, dockPitchMm: pitchMm } });

export const sold =
  (withinDays: number, piecesPerPack: number): Change =>
  (formula) => ({ ...formula, keep: { ...formula.keep, sellWithinDays: withinDays, piecesPerPack } });

/** The dough of another good: blend, rows, mixing and cold are a copy of that version's. */
export const doughOf =
  (formulaId: string, version: number): Change =>
  (formula, goods) => {
    const { blend, blendG, rows: itsRows, mix, doughAtC, restMin, holdBackShare, chill } = goods.get(formulaId)!;
    return { ...formula, doughOf: { formulaId, version }, blend, blendG, rows: itsRows, mix, doughAtC, restMin, holdBackShare, chill };
  };

/** So many minutes more of the first heat. */
export const longer =
  (byMin: number): Change =>
  (formula) => ({
    ...formula,
    bake: {
      ...formula.bake,
      steps: formula.bake.steps.map((one, i) => (i === 0 && one.min !== null ? { ...one, min: one.min + byMin } : one)),
    },
  });
