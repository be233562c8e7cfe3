import { Injectable } from '@nestjs/common';
import {
  coreVersion,
  keptEggOf,
  families,
  fromBake,
  fromDough,
  isOfDough,
  portionOf,
  problemsOf,
  stageNames,
  type Evaluation,
  type Formula,
  type Kitchen,
  type LeftOver,
  type Pantry,
  type Portion,
} from '@north-leaf/core';
import { LRUCache } from 'lru-cache';
import { In } from 'typeorm';
import { EvaluatorService } from '../evaluator/evaluator.service.js';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { Clock } from '../platform/clock.js';
import { ApiError, invalid } from '../platform/http/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { NewsService } from '../platform/news/news.js';
import { sameJson } from '../platform/same-json.js';
import { InjectTable, Table } from '../platform/table.js';
import { DraftEntity } from './draft.entity.js';
import { FormulaVersionEntity } from './formula-version.entity.js';
import { FormulaEntity, type Judged } from './formula.entity.js';
import type {
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaListItem,
  FormulaName,
  FormulasPart,
  FormulaVersion,
  NewFormulaBody,
  SavedVersion,
  StageStates,
  Stored,
  VersionBody,
  VersionHead,
} from '@north-leaf/contracts';

type Row = Omit<FormulaEntity, 'kitchenId'> & { readonly draftStoredAt: Date | null };

@Injectable()
export class FormulasService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly kitchen: KitchenService,
    private readonly pantry: PantryService,
    private readonly evaluator: EvaluatorService,
    private readonly clock: Clock,
    private readonly news: NewsService,
    @InjectTable(FormulaEntity) private readonly formulas: Table<FormulaEntity>,
    @InjectTable(FormulaVersionEntity) private readonly versions: Table<FormulaVersionEntity>,
    @InjectTable(DraftEntity) private readonly drafts: Table<DraftEntity>,
  ) {}

  /** By name, so many at a time; `after` is the id of the last one seen. */
  async list(after: string | null, limit: number): Promise<FormulasPart> {
    const [rows, total] = [await this.rows(after, limit + 1), await this.total()];
    const shown = rows.slice(0, limit);
    const judged = await this.judged(shown);
    return {
      items: shown.map((row) => listed(row, judged.get(row.id) ?? null)),
      total,
      next: rows.length > limit ? shown.at(-1)!.id : null,
    };
  }

  /** Enough of each to choose one. */
  async names(): Promise<FormulaName[]> {
    return (await this.rows(null, MOST_NAMES)).map((row) => {
      const { id, name, family, familyName, version, savedAt, draftStoredAt, doughOf, doughG } = listed(row, row.judged);
      return { id, name, family, familyName, version, savedAt, draftStoredAt, doughOf, doughG };
    });
  }

  private async rows(after: string | null, limit: number): Promise<Row[]> {
    return this.scope.query<Row>(
      `SELECT f.*, d."storedAt" AS "draftStoredAt" FROM "formulas" f
       LEFT JOIN "formula_drafts" d ON d."kitchenId" = f."kitchenId" AND d."formulaId" = f."id"
       WHERE f."kitchenId" = $1 AND f."newestVersion" > 0 AND ($2::uuid IS NULL OR
         (f."name", f."id") > (SELECT "name", "id" FROM "formulas" WHERE "kitchenId" = $1 AND "id" = $2))
       ORDER BY f."name", f."id" LIMIT $3`,
      [await this.scope.id(), after, limit],
    );
  }

  private async total(): Promise<number> {
    const [{ n }] = (await this.scope.query<{ n: number }>(
      `SELECT count(*)::int AS n FROM "formulas" WHERE "kitchenId" = $1 AND "newestVersion" > 0`,
      [await this.scope.id()],
    )) as [{ n: number }];
    return n;
  }

  /** Today's verdict of each newest version, with the kitchen and pantry of now where the one that stands is an older core's. */
  private async judged(rows: readonly Row[]): Promise<Map<string, Judged>> {
    const isOfToday = ({ judged, newestVersion }: Row) => judged?.coreVersion === coreVersion && judged.version === newestVersion;
    const judged = new Map(rows.flatMap((row) => (isOfToday(row) ? [[row.id, row.judged!] as const] : [])));
    // A few at a time: a list of hundreds is judged over several looks at it, and says of the rest that it does not know yet.
    const stale = rows.filter((row) => !isOfToday(row)).slice(0, MOST_JUDGED);
    if (stale.length === 0) return judged;
    const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole()];
    const versions = await this.versions.find({
      where: { formulaId: In(stale.map(({ id }) => id)) },
      select: { formulaId: true, version: true, formula: true },
    });
    await Promise.all(
      stale.map(async ({ id, newestVersion: version }) => {
        const newest = versions.find((one) => one.formulaId === id && one.version === version);
        if (!newest) return;
        const evaluation = await this.evaluator.run({ kind: 'evaluate', formula: newest.formula, kitchen, pantry });
        judged.set(id, verdictOf(evaluation, version));
      }),
    );
    for (const { id, newestVersion } of stale) {
      const verdict = judged.get(id);
      if (verdict) await this.formulas.update({ id, newestVersion }, { judged: verdict as never });
    }
    return judged;
  }

  /** A bake of it was recorded, or what was said of one changed how it is liked. Within a transaction. */
  async tally(formulaId: string, { bakes, likedSum, likedCount }: Tally): Promise<void> {
    if (bakes === 0 && likedSum === 0 && likedCount === 0) return;
    await this.scope.query(
      `UPDATE "formulas" SET "bakes" = "bakes" + $3, "likedSum" = "likedSum" + $4, "likedCount" = "likedCount" + $5
       WHERE "kitchenId" = $1 AND "id" = $2`,
      [await this.scope.id(), formulaId, bakes, likedSum, likedCount],
    );
  }

  /** What is left of a bake of this version may be judged by smell: it was baked dry, and nothing on it needs the cold. */
  async isDryOnceBaked(formulaId: string, version: number, what: LeftOver): Promise<boolean> {
    if (what !== 'baked' && what !== 'crumb') return false;
    const { formula } = await this.version(formulaId, version);
    const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole()];
    return !(await this.evaluator.run({ kind: 'needsColdOnceBaked', formula, kitchen, pantry }));
  }

  async detail(id: string): Promise<FormulaDetail> {
    await this.one(id);
    const versions = await this.versions.find({
      where: { formulaId: id },
      select: { id: true, version: true, basedOn: true, why: true, savedAt: true },
      order: { version: 'ASC' },
    });
    const draft = await this.drafts.findOne({ formulaId: id });
    return { id, versions: versions.map(headOf), draft: draft && draftOf(draft) };
  }

  async version(formulaId: string, version: number): Promise<FormulaVersion> {
    const found = await this.versions.findOne({ formulaId, version });
    if (!found) throw new ApiError('notFound', `This formula has no version ${version}.`);
    const { coreVersion: by, formula, kitchen, pantry, evaluation, setAside } = found;
    return { ...headOf(found), formulaId, coreVersion: by, formula, kitchen, pantry, evaluation, setAside };
  }

  /** The formula of a version, without all that was read and worked out for it. */
  async formulaOf(formulaId: string, version: number): Promise<Formula> {
    const key = `${await this.scope.id()}/${formulaId}/${version}`;
    const known = this.known.get(key);
    if (known) return known;
    const [found] = await this.versions.find({ where: { formulaId, version }, select: { formula: true } });
    if (!found) throw new ApiError('notFound', `This formula has no version ${version}.`);
    this.known.set(key, found.formula);
    return found.formula;
  }
  // A version never changes: those that are baked from today need not be read for every weighing.
  private readonly known = new LRUCache<string, Formula>({ max: 200 });

  /** Stored with the next revision; refused when another device stored a later one, so that both can be kept and compared. */
  async storeDraft(formulaId: string, body: DraftBody): Promise<Draft> {
    return this.scope.transaction(async () => {
      if (!(await this.formulas.findOneLocked({ id: formulaId }))) throw notHere();
      const held = await this.drafts.findOne({ formulaId });
      const { basedOn, formula, typed } = body;
      const next = { basedOn, formula, typed, revision: body.revision + 1, storedAt: this.clock.now() };
      // The same content again is an answer that got lost, not a second device.
      if (held && held.revision === body.revision + 1 && sameJson(held.formula, formula) && sameJson(held.typed, typed))
        return draftOf(held);
      if (held && held.revision !== body.revision) {
        throw new ApiError(
          'conflict',
          'Another device stored a later draft of this formula. Yours is still here; compare before you choose.',
        );
      }
      if (held) await this.drafts.update({ formulaId }, next as never);
      else await this.drafts.insert({ formulaId, ...next });
      return draftOf({ formulaId, ...next });
    });
  }

  async discardDraft(formulaId: string): Promise<void> {
    await this.drafts.delete({ formulaId });
  }

  /** A new formula with its first version; sent again with the same ids it is still one. */
  async create(id: string, { versionId, why, formula }: NewFormulaBody): Promise<SavedVersion> {
    const again = await this.savedAlready(id, versionId);
    if (again) return again;
    const worked = await this.checked(formula);
    return this.scope.transaction(async () => {
      // Two of the same at once: the lock lets the second find the first.
      await this.scope.lock(`formula:${id}`);
      if (!(await this.formulas.findOne({ id }))) await this.formulas.insert({ id, ...unsaved(formula), createdAt: this.clock.now() });
      return this.store(id, versionId, { basedOn: null, why, formula, setAside: [] }, worked);
    });
  }

  /**
   * Works the formula out again and keeps input, everything read and the result together, never to be changed.
   * The same id again gives the same answer; an older `basedOn` is stored beside the newest, never over it.
   */
  async saveVersion(formulaId: string, versionId: string, body: VersionBody): Promise<SavedVersion> {
    const { newestVersion } = await this.one(formulaId);
    const again = await this.savedAlready(formulaId, versionId);
    if (again) return again;
    if (body.basedOn !== null && body.basedOn > newestVersion)
      throw invalid('basedOn', `must be a version there is: the newest is ${newestVersion}`);
    const worked = await this.checked(body.formula);
    return this.scope.transaction(() => this.store(formulaId, versionId, body, worked));
  }

  private async store(formulaId: string, versionId: string, body: VersionBody, worked: Worked): Promise<SavedVersion> {
    const formula = await this.formulas.findOneLocked({ id: formulaId });
    if (!formula) throw notHere();
    const twin = await this.savedAlready(formulaId, versionId);
    if (twin) return twin;
    const { kitchen, pantry, evaluation } = worked;
    const version = formula.newestVersion + 1;
    const row = {
      id: versionId,
      formulaId,
      version,
      basedOn: body.basedOn,
      why: body.why,
      savedAt: this.clock.now(),
      coreVersion,
      states: statesOf(evaluation),
      formula: body.formula,
      kitchen,
      pantry,
      evaluation,
      setAside: body.setAside,
    };
    await this.versions.insert(row);
    await this.formulas.update({ id: formulaId }, newestOf(row) as never);
    await this.news.tell({ what: 'formula', id: formulaId });
    // Another device's later draft is not this one's to throw away.
    const held = body.draftRevision === undefined ? null : await this.drafts.findOne({ formulaId });
    // What is saved here is no other's, though its answer was not heard before the save.
    const isSavedHere = held !== null && sameJson(held.formula, body.formula) && Object.keys(held.typed).length === 0;
    const draftKept = held !== null && held.revision > body.draftRevision! && !isSavedHere;
    if (!draftKept) await this.drafts.delete({ formulaId });
    return { ...savedOf(row), ...(draftKept ? { draftKept } : {}) };
  }

  /** What a run left, as an ingredient of the pantry: its dough, once baked, ground, or its egg. The same version is the same ingredient. */
  async asLeftOver(formulaId: string, version: number, what: LeftOver): Promise<string> {
    const { formula, pantry, evaluation } = await this.version(formulaId, version);
    if (what === 'egg') {
      const egg = keptEggOf(formula, pantry);
      if (egg === null) throw new ApiError('invalid', 'This version takes no raw egg that could be left.');
      return egg;
    }
    const id = `${what}-${formulaId}-${version}`;
    if ((await this.pantry.whole()).ingredients[id]) return id;
    const names = { dough: 'Dough of', shaped: 'Raw pieces of', baked: 'Baked', crumb: 'Crumb of' } as const;
    const isBaked = what === 'baked' || what === 'crumb';
    const name = `${names[what]} ${formula.name} v${version}`;
    const from = { formulaId, version };
    const dough = portionsOf(formula, pantry);
    if (isBaked && evaluation.bake.state === 'waiting')
      throw new ApiError('invalid', 'This version was never worked out to the end of its bake.');
    const ingredient =
      isBaked && evaluation.bake.state !== 'waiting'
        ? fromBake({ id, name }, from, dough, evaluation.bake.result.end.moistureShare)
        : fromDough(id, name, from, dough);
    await this.pantry.storeOwn(id, 0, ingredient);
    return id;
  }

  /** What a version's dough is once baked and ground, as an ingredient of the pantry. */
  async asCrumb(formulaId: string, version: number, id: string, name: string): Promise<Stored> {
    const { formula, pantry, evaluation } = await this.version(formulaId, version);
    if (evaluation.bake.state === 'waiting') throw new ApiError('invalid', 'This version was never worked out to the end of its bake.');
    const dough = portionsOf(formula, pantry);
    const crumb = fromBake({ id, name }, { formulaId, version }, dough, evaluation.bake.result.end.moistureShare);
    return this.pantry.storeOwn(id, 0, crumb);
  }

  async hasVersion(formulaId: string, version: number): Promise<boolean> {
    return (await this.versions.count({ formulaId, version })) > 0;
  }

  private async one(id: string): Promise<FormulaEntity> {
    const found = await this.formulas.findOne({ id });
    if (!found) throw notHere();
    return found;
  }

  /** The formula worked out with the kitchen and pantry of now; refused where a stage cannot be. */
  private async checked(formula: Formula): Promise<Worked> {
    if (!Object.hasOwn(families, formula.family)) throw invalid('family', 'is not a family that North Leaf knows');
    const kitchen = await this.kitchen.current();
    const pantry = await this.pantry.for(formula);
    const evaluation = await this.evaluator.run({ kind: 'evaluate', formula, kitchen, pantry });
    const problems = problemsOf(evaluation).map(({ path, message }) => ({ path, code: 'input', message }));
    if (problems.length > 0) throw new ApiError('invalid', `${problems[0]!.path}: ${problems[0]!.message}`, problems);
    return { kitchen, pantry, evaluation };
  }

  private async savedAlready(formulaId: string, id: string): Promise<SavedVersion | null> {
    const [found] = await this.versions.find({
      where: { id },
      select: { id: true, formulaId: true, version: true, basedOn: true, why: true, savedAt: true },
    });
    if (found && found.formulaId !== formulaId) throw new ApiError('conflict', 'This id belongs to a version of another formula.');
    return found ? savedOf(found) : null;
  }
}

type Worked = { readonly kitchen: Kitchen; readonly pantry: Pantry; readonly evaluation: Evaluation };
export type Tally = Pick<FormulaEntity, 'bakes' | 'likedSum' | 'likedCount'>;
const notHere = () => new ApiError('notFound', 'This formula is not here.');

export function statesOf(evaluation: Evaluation): StageStates {
  return Object.fromEntries(stageNames.map((name) => [name, evaluation[name].state])) as StageStates;
}

/** At most so many verdicts are made for one look at the list. */
const MOST_JUDGED = 12;
/** More than anybody chooses among without looking for one. */
const MOST_NAMES = 2000;
const unknown = Object.fromEntries(stageNames.map((name) => [name, 'waiting'])) as StageStates;

/** What the list says of an evaluation. */
export function verdictOf(evaluation: Evaluation, version: number): Judged {
  const { outlook, sheet, dough } = evaluation;
  const cut = sheet.state === 'waiting' ? null : sheet.result;
  return {
    coreVersion,
    version,
    states: statesOf(evaluation),
    outlook: outlook && { crisp: outlook.crisp.value, tender: outlook.tender.value, zone: outlook.zone },
    pieces: cut && cut.pieces,
    pieceG: cut && cut.pieceG,
    doughG: dough.state === 'waiting' ? null : dough.result.doughG,
  };
}

/** A formula's row before its first version is saved: no list shows it yet. */
function unsaved(formula: Formula): Omit<FormulaEntity, 'id' | 'kitchenId' | 'createdAt'> {
  const { name, family, blend, doughOf } = formula;
  const none = { newestVersion: 0, judged: null, savedAt: new Date(0), savedBy: coreVersion, bakes: 0, likedSum: 0, likedCount: 0 };
  return { name, family, blendName: blend.name, doughOf: doughOf ?? null, ...none };
}

/** What a formula's own row says of its newest version. */
export function newestOf({
  formula: { name, family, blend, doughOf },
  version,
  savedAt,
  coreVersion: savedBy,
  evaluation,
}: Pick<FormulaVersionEntity, 'formula' | 'version' | 'savedAt' | 'coreVersion' | 'evaluation'>) {
  const judged = verdictOf(evaluation, version);
  return { name, family, newestVersion: version, blendName: blend.name, doughOf: doughOf ?? null, savedAt, savedBy, judged };
}

function listed(row: Row, judged: Judged | null): FormulaListItem {
  const { id, name, family, blendName, newestVersion, savedBy, savedAt, draftStoredAt, doughOf, bakes, likedSum, likedCount } = row;
  return {
    id,
    name,
    family,
    familyName: Object.hasOwn(families, family) ? families[family]!.name : family,
    blendName,
    version: newestVersion,
    states: judged?.states ?? unknown,
    outlook: judged?.outlook ?? null,
    pieces: judged?.pieces ?? null,
    pieceG: judged?.pieceG ?? null,
    savedBy,
    judgedBy: judged ? coreVersion : null,
    savedAt: savedAt.toISOString(),
    draftStoredAt: draftStoredAt && draftStoredAt.toISOString(),
    doughOf: doughOf ?? null,
    doughG: judged?.doughG ?? null,
    bakes,
    liked: likedCount > 0 ? likedSum / likedCount : null,
  };
}

/** A version as its saving is answered, the first time and every time the answer was lost. */
const savedOf = (row: Parameters<typeof headOf>[0]): SavedVersion => ({
  ...headOf(row),
  beside: row.basedOn !== null && row.basedOn < row.version - 1 ? row.version - 1 : null,
});

const headOf = ({
  id,
  version,
  basedOn,
  why,
  savedAt,
}: Pick<FormulaVersionEntity, 'id' | 'version' | 'basedOn' | 'why' | 'savedAt'>): VersionHead => ({
  id,
  version,
  basedOn,
  why,
  savedAt: savedAt.toISOString(),
});

const draftOf = ({ formulaId, basedOn, revision, formula, typed, storedAt }: Omit<DraftEntity, 'kitchenId'>): Draft => ({
  formulaId,
  basedOn,
  revision,
  formula,
  typed,
  storedAt: storedAt.toISOString(),
});

/** Everything that a formula's dough is made of. */
const portionsOf = (formula: Formula, pantry: Pantry): Portion[] => [
  ...formula.blend.rows.map(({ ingredientId, share, lotId }) => portionOf(pantry, 'blend', ingredientId, share * formula.blendG, lotId)),
  ...formula.rows.filter(isOfDough).map((row) => portionOf(pantry, 'rows', row.ingredientId, row.amountG, row.lotId)),
];
