import {
  families,
  showValue,
  valueAt,
  type Edit,
  type Formula,
  type Goes,
  type Pantry,
  type Place,
  type RowUse,
  type ShownKind,
} from '@north-leaf/core';
import { isKey, type Key, type Voice } from './voice.js';

/** Places of a formula that have a name of their own, and the kind of number that stands there; without one it is a word or a thing's id. */
const places: readonly (readonly [pattern: RegExp, name: Key, kind?: ShownKind])[] = [
  [/^\/blendG$/, 'field.blendG', 'mass'],
  [/^\/doughAtC$/, 'field.doughAtC', 'temperature'],
  [/^\/restMin$/, 'field.restMin', 'minutes'],
  [/^\/holdBackShare$/, 'field.holdBackShare', 'share'],
  [/^\/chill\/thicknessMm$/, 'field.slabMm', 'length'],
  [/^\/chill\/targetC$/, 'field.chillTargetC', 'temperature'],
  [/^\/chill\/waits\/\d+\/min$/, 'field.chillMin', 'minutes'],
  [/^\/sheet\/parts\/\d+\/thicknessMm$/, 'field.thicknessMm', 'length'],
  [/^\/sheet\/parts\/\d+\/shape\/widthMm$/, 'field.pieceWidthMm', 'length'],
  [/^\/sheet\/parts\/\d+\/shape\/lengthMm$/, 'field.pieceLengthMm', 'length'],
  [/^\/sheet\/parts\/\d+\/shape\/acrossMm$/, 'field.pieceAcrossMm', 'length'],
  [/^\/sheet\/parts\/\d+\/shape\/pieceG$/, 'field.pieceG', 'mass'],
  [/^\/sheet\/parts\/\d+\/shape\/\w+$/, 'field.pieceMm', 'length'],
  [/^\/sheet\/parts\/\d+\/window\/\w+$/, 'field.windowMm', 'length'],
  [/^\/sheet\/parts\/\d+\/vents$/, 'field.vents', 'count'],
  [/^\/sheet\/densityGPerMl$/, 'field.densityGPerMl', 'density'],
  [/^\/sheet\/shrink\/\w+$/, 'field.shrinkShare', 'share'],
  [/^\/sheet\/cut$/, 'field.cut'],
  [/^\/sheet\/laminate\/lockIn$/, 'field.lockIn'],
  [/^\/sheet\/laminate\/doughMm$/, 'field.lockInMm', 'length'],
  [/^\/sheet\/laminate\/borderMm$/, 'field.borderMm', 'length'],
  [/^\/sheet\/laminate\/folds\/\d+\/rollToMm$/, 'field.foldMm', 'length'],
  [/^\/sheet\/laminate\/folds\/\d+\/parts$/, 'field.foldParts', 'count'],
  [/^\/sheet\/laminate\/folds\/\d+\/waits\/\d+\/min$/, 'field.foldRestMin', 'minutes'],
  [/^\/sheet\/bandsMm$/, 'field.bandsMm', 'length'],
  [/^\/sheet\/trimMm$/, 'field.trimMm', 'length'],
  [/^\/sheet\/reroll$/, 'field.reroll'],
  [/^\/sheet\/lots$/, 'field.lots', 'count'],
  [/^\/bake\/done\/moistureShare$/, 'field.doneShare', 'share'],
  [/^\/keep\/sellWithinDays$/, 'field.sellWithinDays', 'days'],
  [/^\/keep\/piecesPerPack$/, 'field.piecesPerPack', 'count'],
  [/^\/keep\/cool\/\d+\/min$/, 'field.coolMin', 'minutes'],
  [/^\/keep\/pack$/, 'field.pack'],
  [/^\/bake\/ovenId$/, 'field.ovenId'],
  [/^\/bake\/trayId$/, 'field.trayId'],
  [/^\/bake\/layer$/, 'field.layer'],
  [/^\/bake\/traysAtOnce$/, 'field.traysAtOnce', 'count'],
  [/^\/bake\/panId$/, 'field.panId'],
  [/^\/bake\/done\/coreC$/, 'field.doneC', 'temperature'],
  [/^\/bake\/done\/tone$/, 'field.doneTone', 'count'],
  [/^\/chill\/form$/, 'field.chillForm'],
  [/^\/chill\/wrap$/, 'field.wrap'],
  [/^\/sheet\/dockPitchMm$/, 'field.dockMm', 'length'],
  [/^\/sheet\/dockPattern$/, 'field.dockPattern'],
  [/^\/sheet\/trayGapMm$/, 'field.gapMm', 'length'],
  [/^\/sheet\/trayEdgeMm$/, 'field.edgeMm', 'length'],
];

/** What a baker calls a place of a formula; undefined where there is no word of its own. */
export function placeName(pointer: string, { say }: Voice): string | undefined {
  const known = places.find(([pattern]) => pattern.test(pointer));
  return known && say(known[1]);
}

/** Changes that are said the same whatever they are from and to. */
const whole: readonly (readonly [pattern: RegExp, key: Key | ((edit: Edit) => Key)])[] = [
  [/^\/bake\/fromCold$/, ({ to }) => (to ? 'change.coldOven' : 'change.hotOven')],
  [/^\/bake\/measures/, 'change.acrylamide'],
  [/^\/bake\/panOnTray$/, ({ to }) => (to ? 'change.panOnTray' : 'change.panOnRack')],
  [/^\/bake\/hotTray$/, ({ to }) => (to ? 'change.hotTray' : 'change.coldTray')],
  [/^\/chill\/waits/, 'change.chillWaits'],
  [/^\/sheet\/parts/, 'change.parts'],
  [/^\/sheet\/waits/, 'change.sheetWaits'],
  [/^\/sheet\/shrink$/, ({ to }) => (to === undefined ? 'change.noShrink' : 'change.shrinks')],
  [/^\/sheet\/laminate$/, ({ to }) => (to === undefined ? 'change.notLaminated' : 'change.laminated')],
  [/^\/sheet\/laminate\/mark$/, 'change.mark'],
  [/^\/keep\/cool/, 'change.cooling'],
  [/^\/keep\/goes$/, ({ to }) => goesKeys[(to ?? 'kept') as Goes]],
  [/^\/mix/, 'change.mix'],
  [/^\/doughOf$/, ({ to }) => (to === undefined ? 'change.ownDough' : 'change.othersDough')],
  [/^\/blendEntered/, 'change.asTyped'],
  [/^\/mustSuit/, 'change.mustSuit'],
];
const goesKeys: Readonly<Record<Goes, Key>> = {
  warm: 'change.eatenWarm',
  kept: 'change.packed',
  shaped: 'change.keptShaped',
  dough: 'change.keptAsDough',
};
/** Where nothing smaller has words of its own. */
const sections = ['blend', 'rows', 'chill', 'sheet', 'bake', 'keep', 'aim'] as const;

type Told = { readonly formula: Formula; readonly pantry: Pantry; readonly places: readonly Place[]; readonly voice: Voice };

/**
 * A change in a baker's words and units: `Water 204 → 227 g`.
 *
 * Units    those of the voice.
 * Throws   nothing: what has no words of its own is said by its section.
 * Findings none.
 * Source   the edit; `formula` is the one it starts from, and names rows and steps.
 */
function describeEdit(edit: Edit, told: Told): string {
  const { path, from, to } = edit;
  const { formula, pantry, voice } = told;
  const { say } = voice;
  const row = /^\/rows\/(\d+)(?:\/(\w+))?(?:\/\w+)?$/.exec(path);
  if (row) return rowChange(edit, row[2], valueAt(formula, `/rows/${row[1]}/ingredientId`), told);
  const share = /^\/blend\/rows\/(\d+)(?:\/(\w+))?$/.exec(path);
  if (share) return blendRowChange(edit, share[2], valueAt(formula, `/blend/rows/${share[1]}/ingredientId`), told);
  const step = /^\/bake\/steps\/(\d+)(?:\/(\w+))?$/.exec(path);
  if (step) return bakeStepChange(edit, step[2], valueAt(formula, `/bake/steps/${step[1]}`), voice);
  const component = /^\/components(?:\/(\d+)(\/\w+)?)?/.exec(path);
  if (component) return componentChange(edit, component[2], valueAt(formula, `/components/${component[1] ?? 0}/name`), voice);
  const known = places.find(([pattern]) => pattern.test(path));
  if (known) return fromTo(say(known[1]), edit, known[2], voice);
  const fold = /^\/sheet\/laminate\/folds\/(\d+)(\/waits)?/.exec(path);
  if (fold) return say(fold[2] ? 'change.foldRest' : to === undefined ? 'change.foldOut' : 'change.foldIn', { n: Number(fold[1]) + 1 });
  const one = whole.find(([pattern]) => pattern.test(path));
  if (one) return say(typeof one[1] === 'function' ? one[1](edit) : one[1]);
  if (path === '/keep/placeId') {
    const place = told.places.find(({ id }) => id === to);
    return place ? say('change.keptIn', { place: place.name, atC: place.atC }) : say('change.keptSomewhere');
  }
  if (path === '/family') return say('change.family', { from: familyName(from), to: familyName(to) });
  if (path === '/name' || path === '/blend/name')
    return say(path === '/name' ? 'change.name' : 'change.blendName', { from: String(from), to: String(to) });
  const section = sections.find((start) => path.startsWith(`/${start}`));
  return say(section ? `section.${section}` : 'change.else');

  function familyName(id: unknown) {
    return families[String(id)]?.name ?? nameOf(id, pantry, voice);
  }
}

/** The change of a row: what it is, how much, where it goes. */
function rowChange(edit: Edit, part: string | undefined, ingredientId: unknown, { formula, pantry, voice }: Told): string {
  const { from, to } = edit;
  const { say } = voice;
  if (part === undefined) return inOrOut(nameOf(idOf(to) ?? idOf(from), pantry, voice), edit, voice);
  const name = nameOf(ingredientId, pantry, voice);
  const kind = ({ amountG: 'mass', atC: 'temperature', soakMin: 'minutes' } as const)[part];
  if (kind) return fromTo(name, edit, kind, voice);
  if (part === 'lotId') return lotChange(name, edit, pantry, voice);
  if (part === 'goesOn') return say('change.goesOn', { name, when: momentOf(to, voice) });
  if (part === 'fat') return say('change.goesInOtherwise', { name });
  if (part === 'ingredientId') return say('change.swapped', { from: nameOf(from, pantry, voice), to: nameOf(to, pantry, voice) });
  if (part === 'component') {
    const one = formula.components?.find(({ key }) => key === to);
    return one ? say('change.partOf', { name, component: one.name }) : say('change.partOfNone', { name });
  }
  if (part === 'use') return say('change.use', { name, use: say(`use.${to as RowUse}`) });
  return say('change.changed', { name });
}

/** A component comes, goes, is named anew or made otherwise. */
function componentChange({ from, to }: Edit, part: string | undefined, name: unknown, { say }: Voice): string {
  const named = (one: unknown) =>
    (one as readonly { readonly name?: string }[] | undefined)?.[0]?.name ?? (one as { readonly name?: string } | undefined)?.name;
  if (part === '/name') return say('change.componentName', { from: String(from), to: String(to) });
  if (part !== undefined) return say('change.component', { name: String(name ?? '') });
  return from === undefined
    ? say('change.componentIn', { name: named(to) ?? '' })
    : say('change.componentOut', { name: named(from) ?? '' });
}

function blendRowChange(edit: Edit, part: string | undefined, ingredientId: unknown, { pantry, voice }: Told): string {
  const { from, to } = edit;
  const { say } = voice;
  if (part === undefined) return inOrOut(nameOf(idOf(to) ?? idOf(from), pantry, voice), edit, voice);
  const name = nameOf(ingredientId, pantry, voice);
  if (part === 'lotId') return lotChange(name, edit, pantry, voice);
  if (part === 'ingredientId') return say('change.swapped', { from: nameOf(from, pantry, voice), to: nameOf(to, pantry, voice) });
  if (part === 'share') return fromTo(name, edit, 'share', voice);
  return say(part !== 'pinned' ? 'change.rowChanged' : to ? 'change.pinned' : 'change.unpinned', { name });
}

function bakeStepChange(edit: Edit, part: string | undefined, step: unknown, voice: Voice): string {
  const { from, to } = edit;
  const { say } = voice;
  const name = stepName(step) ?? stepName(to) ?? stepName(from) ?? say('change.step');
  if (part === undefined) return inOrOut(name, edit, voice);
  if (part === 'min') return fromTo(name, edit, 'minutes', voice);
  if (part === 'wantC') return fromTo(say('change.stepWant', { name }), edit, 'oven', voice);
  if (part === 'turn') return say(to ? 'change.turned' : 'change.notTurned', { name });
  if (part === 'weighted') return say(to ? 'change.weighted' : 'change.notWeighted', { name });
  return say('section.bake');
}

/** Several changes in one line, for the "why" of a version. Docs as `describeEdit`. */
export function describeEdits(
  edits: readonly Edit[],
  formula: Formula,
  pantry: Pantry,
  voice: Voice,
  { most = 4, places: known = [] }: { readonly most?: number; readonly places?: readonly Place[] } = {},
): string {
  const told = { formula, pantry, places: known, voice };
  const said = edits.slice(0, most).map((edit) => describeEdit(edit, told)).join(', '); // prettier-ignore
  const more = edits.length - most;
  return more > 0 ? voice.say('change.more', { said, more }) : said;
}

function fromTo(name: string, { from, to }: Edit, kind: ShownKind | undefined, voice: Voice): string {
  const { say } = voice;
  const ids = [from, to].some((one) => typeof one === 'string' && !isKey(`word.${one}`) && !isKey(`form.${one}`) && !isKey(`pack.${one}`));
  if (ids) return say('change.changed', { name });
  // The unit stands once, behind the last number; a mark of gas is named before its number, each time.
  const each = kind === 'oven' && voice.units.heat === 'gas';
  const last = typeof to === 'number' ? to : from;
  const words = (value: unknown, isLast: boolean) => valueWords(value, kind, voice, each || isLast);
  return say('change.of', { name, from: words(from, from === last && from !== to), to: words(to, to === last) });
}

function valueWords(value: unknown, kind: ShownKind | undefined, voice: Voice, withUnit: boolean): string {
  const { say, units } = voice;
  if (typeof value === 'number') return withUnit ? voice.exact(value, kind ?? 'count') : showValue(value, kind ?? 'count', units);
  if (value === undefined || value === null) return say(value === null ? 'change.off' : 'change.none');
  const key = ['word', 'form', 'pack'].map((group) => `${group}.${String(value)}`).find(isKey);
  return key ? say(key) : String(value);
}

function lotChange(name: string, { from, to }: Edit, pantry: Pantry, { say }: Voice): string {
  const lot = (id: unknown) => (typeof id === 'string' ? say('change.lot', { code: pantry.lots[id]?.code ?? id }) : say('change.lotFirst'));
  return from === undefined ? say('change.useLot', { name, lot: lot(to) }) : say('change.otherLot', { name, from: lot(from), to: lot(to) });
}

function momentOf(goesOn: unknown, { say }: Voice): string {
  const { at = '', n } = (goesOn ?? {}) as { at?: string; n?: number };
  if (n !== undefined) return say(at === 'wait' ? 'moment.wait' : 'moment.step', { n: n + 1 });
  const key = `moment.${at}`;
  return say(isKey(key) ? key : 'moment.usual');
}

const inOrOut = (name: string, { from, to }: Edit, { say }: Voice) =>
  say(to === undefined ? 'change.removed' : from === undefined ? 'change.added' : 'change.changed', { name });
const nameOf = (ingredientId: unknown, pantry: Pantry, { say }: Voice): string =>
  typeof ingredientId === 'string' ? (pantry.ingredients[ingredientId]?.name ?? ingredientId) : say('change.row');
const idOf = (value: unknown) => (value as { ingredientId?: unknown } | undefined)?.ingredientId;
const stepName = (step: unknown): string | undefined =>
  step !== null && typeof step === 'object' && 'name' in step && typeof step.name === 'string' ? step.name : undefined;
