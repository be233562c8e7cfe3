import { editsBetween, families, valueAt, type Edit, type Formula, type Pantry, type Place, type RowUse } from '@north-leaf/core';
import { rowUseWords } from '../../ui/words/words';

const words: readonly [RegExp, string, string][] = [
  [/^\/blendG$/, 'Blend', 'g'],
  [/^\/doughAtC$/, 'Dough', '°C'],
  [/^\/restMin$/, 'Rest', 'min'],
  [/^\/holdBackShare$/, 'Hold back', '%'],
  [/^\/chill\/thicknessMm$/, 'Slab', 'mm'],
  [/^\/chill\/targetC$/, 'Chill target', '°C'],
  [/^\/chill\/waits\/\d+\/min$/, 'Chill', 'min'],
  [/^\/sheet\/parts\/\d+\/thicknessMm$/, 'Thickness', 'mm'],
  [/^\/sheet\/parts\/\d+\/shape\/widthMm$/, 'Piece width', 'mm'],
  [/^\/sheet\/parts\/\d+\/shape\/lengthMm$/, 'Piece length', 'mm'],
  [/^\/sheet\/parts\/\d+\/shape\/acrossMm$/, 'Piece across', 'mm'],
  [/^\/sheet\/parts\/\d+\/shape\/pieceG$/, 'Each', 'g'],
  [/^\/sheet\/parts\/\d+\/shape\/\w+$/, 'Size', 'mm'],
  [/^\/sheet\/parts\/\d+\/window\/\w+$/, 'Window', 'mm'],
  [/^\/sheet\/parts\/\d+\/vents$/, 'Slits', ''],
  [/^\/sheet\/densityGPerMl$/, 'Dough', 'g/ml'],
  [/^\/sheet\/shrink\/\w+$/, 'Shortens', '%'],
  [/^\/sheet\/cut$/, 'Cut', ''],
  [/^\/sheet\/laminate\/lockIn$/, 'Lock in', ''],
  [/^\/sheet\/laminate\/doughMm$/, 'Dough at lock-in', 'mm'],
  [/^\/sheet\/laminate\/borderMm$/, 'Border', 'mm'],
  [/^\/sheet\/laminate\/folds\/\d+\/rollToMm$/, 'Fold rolled to', 'mm'],
  [/^\/sheet\/laminate\/folds\/\d+\/parts$/, 'Folded in', ''],
  [/^\/sheet\/laminate\/folds\/\d+\/waits\/\d+\/min$/, 'Rest', 'min'],
  [/^\/sheet\/bandsMm$/, 'Guide bands', 'mm'],
  [/^\/sheet\/trimMm$/, 'Trim', 'mm'],
  [/^\/sheet\/reroll$/, 'Roll trim again', ''],
  [/^\/sheet\/lots$/, 'Sheets', ''],
  [/^\/bake\/done\/moistureShare$/, 'Done at moisture', '%'],
  [/^\/keep\/sellWithinDays$/, 'Sell within', 'days'],
  [/^\/keep\/piecesPerPack$/, 'Pieces a pack', ''],
  [/^\/keep\/cool\/\d+\/min$/, 'Cool', 'min'],
  [/^\/keep\/pack$/, 'Pack', ''],
  [/^\/bake\/ovenId$/, 'Oven', ''],
  [/^\/bake\/trayId$/, 'Tray', ''],
  [/^\/bake\/layer$/, 'On the tray', ''],
  [/^\/bake\/traysAtOnce$/, 'Trays at once', ''],
  [/^\/bake\/panId$/, 'Pan', ''],
  [/^\/bake\/done\/coreC$/, 'Done at core', '°C'],
  [/^\/bake\/done\/tone$/, 'Done at tone', ''],
  [/^\/chill\/form$/, 'Chilled as', ''],
  [/^\/chill\/wrap$/, 'Wrap', ''],
  [/^\/sheet\/dockPitchMm$/, 'Pricked every', 'mm'],
  [/^\/sheet\/dockPattern$/, 'Rows of holes', ''],
  [/^\/sheet\/trayGapMm$/, 'Between pieces', 'mm'],
  [/^\/sheet\/trayEdgeMm$/, 'From the tray’s edge', 'mm'],
];

/** What a baker calls a place of a formula; undefined where there is no word of its own. */
export const placeWords = (pointer: string): string | undefined => words.find(([pattern]) => pattern.test(pointer))?.[1];

/**
 * A change in a baker's words: `Water 204 → 227 g`.
 * `formula` is the one the edit starts from; it names rows and steps.
 */
export function describeEdit({ path, from, to }: Edit, formula: Formula, pantry: Pantry, places: readonly Place[] = []): string {
  const nameOf = (ingredientId: unknown) =>
    typeof ingredientId === 'string' ? (pantry.ingredients[ingredientId]?.name ?? ingredientId) : 'row';
  const row = /^\/rows\/(\d+)(?:\/(\w+))?(?:\/\w+)?$/.exec(path);
  if (row) {
    if (row[2] === undefined) return addedOrRemoved(nameOf(idOf(to) ?? idOf(from)), from, to);
    const name = nameOf(valueAt(formula, `/rows/${row[1]}/ingredientId`));
    if (row[2] === 'lotId') return lotChange(name, from, to, pantry);
    const unit = { amountG: 'g', atC: '°C', soakMin: 'min' }[row[2]!] ?? '';
    if (row[2] === 'goesOn') return `${name}: goes on ${momentOf(to)}`;
    if (row[2] === 'fat') return `${name}: goes in otherwise`;
    if (row[2] === 'ingredientId') return `${nameOf(from)} → ${nameOf(to)}`;
    if (row[2] === 'use') return `${name}: ${rowUseWords[to as RowUse] ?? 'goes elsewhere'}`;
    return unit === '' ? `${name} changed` : old2new(name, from, to, unit);
  }
  const share = /^\/blend\/rows\/(\d+)(?:\/(\w+))?$/.exec(path);
  if (share) {
    if (share[2] === undefined) return addedOrRemoved(nameOf(idOf(to) ?? idOf(from)), from, to);
    const name = nameOf(valueAt(formula, `/blend/rows/${share[1]}/ingredientId`));
    if (share[2] === 'lotId') return lotChange(name, from, to, pantry);
    if (share[2] === 'ingredientId') return `${nameOf(from)} → ${nameOf(to)}`;
    return share[2] === 'share'
      ? old2new(name, from, to, '%')
      : `${name}: ${share[2] === 'pinned' ? (to ? 'pinned' : 'unpinned') : 'changed'}`;
  }
  const step = /^\/bake\/steps\/(\d+)\/(wantC|min)$/.exec(path);
  if (step) {
    const name = String(valueAt(formula, `/bake/steps/${step[1]}/name`) ?? 'Step');
    return step[2] === 'min' ? old2new(name, from, to, 'min') : old2new(`${name} want`, from, to, '°C');
  }
  const known = words.find(([pattern]) => pattern.test(path));
  if (known) return old2new(known[1], from, to, known[2]);
  const whole = /^\/bake\/steps\/\d+$/.exec(path);
  if (whole) return addedOrRemoved(nameOfStep(to) ?? nameOfStep(from) ?? 'Step', from, to);
  const turned = /^\/bake\/steps\/(\d+)\/(turn|weighted)$/.exec(path);
  if (turned) {
    const name = nameOfStep(valueAt(formula, `/bake/steps/${turned[1]}`)) ?? 'Step';
    return `${name}: ${turned[2] === 'turn' ? (to ? 'turned first' : 'not turned') : to ? 'under weights' : 'without weights'}`;
  }
  if (path === '/bake/fromCold') return to ? 'Into a cold oven' : 'Into a hot oven';
  if (path.startsWith('/bake/measures')) return 'Against acrylamide';
  if (path === '/bake/panOnTray') return to ? 'The pan on a tray' : 'The pan on the rack';
  if (path === '/bake/hotTray') return to ? 'On a hot tray' : 'On a cold tray';
  if (path.startsWith('/chill/waits')) return 'Places and minutes in the cold';
  const fold = /^\/sheet\/laminate\/folds\/(\d+)$/.exec(path);
  if (fold) return to === undefined ? `Fold ${Number(fold[1]) + 1} taken out` : `Fold ${Number(fold[1]) + 1} added`;
  const rest = /^\/sheet\/laminate\/folds\/(\d+)\/waits/.exec(path);
  if (rest) return `Rest after fold ${Number(rest[1]) + 1}`;
  if (path.startsWith('/sheet/parts')) return 'What is cut';
  if (path.startsWith('/sheet/waits')) return 'After cutting';
  if (path === '/sheet/shrink') return to === undefined ? 'Does not shorten' : 'Shortens in the oven';
  if (path === '/sheet/laminate') return to === undefined ? 'Not laminated' : 'Laminated';
  if (path === '/sheet/laminate/mark') return 'Mark on the far edge';
  if (path.startsWith('/keep/cool')) return 'Places and minutes of cooling';
  if (path === '/family') return `Family ${familyName(from)} → ${familyName(to)}`;
  if (path.startsWith('/mix')) return 'Order of mixing';
  if (path === '/doughOf') return to === undefined ? 'A dough of its own' : 'The dough of another formula';
  if (path.startsWith('/blendEntered')) return 'As typed';
  if (path.startsWith('/mustSuit')) return 'What it must suit';
  if (path === '/keep/placeId') {
    const place = places.find(({ id }) => id === to);
    return place ? `Kept in ${place.name}, ${Math.round(place.atC)} °C` : 'Where it is kept';
  }
  if (path === '/name') return `Name ${String(from)} → ${String(to)}`;
  if (path === '/blend/name') return `Blend ${String(from)} → ${String(to)}`;
  return sections.find(([start]) => path.startsWith(start))?.[1] ?? 'Something else';
}

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

/** Several changes in one line, for the "why" of a version. */
export function describeEdits(
  edits: readonly Edit[],
  formula: Formula,
  pantry: Pantry,
  { most = 4, places = [] }: { readonly most?: number; readonly places?: readonly Place[] } = {},
): string {
  const said = edits.slice(0, most).map((edit) => describeEdit(edit, formula, pantry, places));
  const more = edits.length - said.length;
  return said.join(', ') + (more > 0 ? ` and ${more} more` : '');
}

function old2new(name: string, from: unknown, to: unknown, unit: string): string {
  const show = (value: unknown) => {
    if (typeof value === 'number') return String(Number((unit === '%' ? value * 100 : value).toFixed(1)));
    return value === undefined ? 'none' : value === null ? 'off' : String(value);
  };
  return `${name} ${show(from)} → ${show(to)}${unit ? ` ${unit}` : ''}`;
}

/** Where nothing smaller has words of its own. */
const sections: readonly (readonly [start: string, words: string])[] = [
  ['/blend', 'The blend'],
  ['/rows', 'A row'],
  ['/chill', 'In the cold'],
  ['/sheet', 'What is cut'],
  ['/bake', 'In the oven'],
  ['/keep', 'Cool and pack'],
  ['/aim', 'What it aims at'],
];

const familyName = (id: unknown) => families[String(id)]?.name ?? String(id);

function lotChange(name: string, from: unknown, to: unknown, pantry: Pantry): string {
  const lot = (id: unknown) => (typeof id === 'string' ? `lot ${pantry.lots[id]?.code ?? id}` : 'the lot first in line');
  return from === undefined ? `${name}: use ${lot(to)}` : `${name}: ${lot(from)} → ${lot(to)}`;
}

const nameOfStep = (step: unknown): string | undefined =>
  step !== null && typeof step === 'object' && 'name' in step && typeof step.name === 'string' ? step.name : undefined;

const moments: Readonly<Record<string, string>> = { shaping: 'in shaping', hot: 'hot', cooled: 'once cooled', serving: 'at serving' };
function momentOf(goesOn: unknown): string {
  const { at, n } = (goesOn ?? {}) as { at?: string; n?: number };
  if (n !== undefined) return at === 'wait' ? `before wait ${n + 1}` : `before step ${n + 1}`;
  return moments[at ?? ''] ?? 'as its use does';
}

const addedOrRemoved = (name: string, from: unknown, to: unknown) =>
  to === undefined ? `${name} taken out` : from === undefined ? `${name} added` : `${name} changed`;
const idOf = (value: unknown) => (value as { ingredientId?: unknown } | undefined)?.ingredientId;
