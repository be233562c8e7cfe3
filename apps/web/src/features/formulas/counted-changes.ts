import { editsBetween, type Edit, type Formula } from '@north-leaf/core';

/**
 * The changes a baker would count, to be told, not applied: rows by what they are and not by where they stand, the order of mixing as one,
 * and nothing that only this program calls by a name.
 */
export function countedChanges(saved: Formula, now: Formula): Edit[] {
  const { rows, blend, mix } = now;
  const rest = { ...now, rows: saved.rows, mix: saved.mix, blend: { ...blend, rows: saved.blend.rows } };
  const other = editsBetween(saved, rest).filter(({ path }) => !path.startsWith('/blendEntered') && !path.startsWith('/blend/from'));
  return [
    ...changesByKey(saved.blend.rows, blend.rows, '/blend/rows'),
    ...changesByKey(saved.rows, rows, '/rows'),
    ...other,
    ...(editsBetween(saved.mix, mix).length > 0 ? [{ path: '/mix', from: saved.mix as never, to: mix as never }] : []),
  ];
}

/** What was typed is told by its grams. */
const silent = /\/(?:key|entered|minShare|maxShare)$/;

function changesByKey<R extends { readonly key: string; readonly ingredientId: string }>(
  from: readonly R[],
  to: readonly R[],
  path: string,
): Edit[] {
  // A row of the same thing stands for it where the keys are new: a pasted list gives every row a new one.
  const left = new Map(from.map((row, i) => [row.key, { row, i }]));
  const pairs = to.map((row) => {
    const same =
      left.get(row.key) ??
      [...left.values()].find((one) => one.row.ingredientId === row.ingredientId && !to.some(({ key }) => key === one.row.key));
    if (same) left.delete(same.row.key);
    return { row, same };
  });
  const changed = pairs.flatMap(({ row, same }) =>
    same ? editsBetween({ ...same.row, key: '' }, { ...row, key: '' }, `${path}/${same.i}`) : [],
  );
  return [
    ...changed.filter((edit) => !silent.test(edit.path)),
    ...pairs.flatMap(({ row, same }, i): Edit[] => (same ? [] : [{ path: `${path}/${from.length + i}`, to: row as never }])),
    ...[...left.values()].map(({ row, i }): Edit => ({ path: `${path}/${i}`, from: row as never })),
  ];
}
