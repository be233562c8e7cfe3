import { Injectable } from '@nestjs/common';
import {
  coreVersion,
  eggOf,
  evaluate,
  families,
  fromBake,
  fromDough,
  isOfDough,
  needsColdOnceBaked,
  portionOf,
  problemsOf,
  stageNames,
  type Evaluation,
  type Formula,
  type LeftOver,
  type Pantry,
  type Portion,
} from '@north-leaf/core';
import { KitchenService } from '../kitchen/kitchen.service.js';
import { PantryService } from '../pantry/pantry.service.js';
import { ApiError } from '../platform/errors.js';
import { KitchenScope } from '../platform/kitchen-scope.js';
import { sameJson } from '../platform/same-json.js';
import { DraftEntity } from './draft.entity.js';
import { FormulaVersionEntity } from './formula-version.entity.js';
import { FormulaEntity, type Judged } from './formula.entity.js';
import type {
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaListItem,
  FormulaVersion,
  NewFormulaBody,
  SavedVersion,
  StageStates,
  Stored,
  VersionBody,
  VersionHead,
} from '@north-leaf/contracts';
import type { EntityManager } from 'typeorm';

/** A formula in the list, before its bakes are counted. */
export type ListedFormula = Omit<FormulaListItem, 'bakes' | 'liked'>;

@Injectable()
export class FormulasService {
  constructor(
    private readonly scope: KitchenScope,
    private readonly kitchen: KitchenService,
    private readonly pantry: PantryService,
  ) {}

  async list(): Promise<ListedFormula[]> {
    const formulas = await (await this.scope.table(FormulaEntity)).find({ order: { name: 'ASC' } });
    if (formulas.length === 0) return [];
    const [versions, drafts] = await Promise.all([
      (await this.scope.table(FormulaVersionEntity)).find({
        where: formulas.map(({ id, newestVersion }) => ({ formulaId: id, version: newestVersion })),
      }),
      (await this.scope.table(DraftEntity)).find({ select: { formulaId: true, storedAt: true } }),
    ]);
    const judged = await this.judgedAnew(formulas, versions);
    return formulas.flatMap((formula) => {
      const newest = versions.find(({ formulaId }) => formulaId === formula.id);
      if (!newest) return [];
      const draft = drafts.find(({ formulaId }) => formulaId === formula.id);
      return [listed(formula, newest, judged.get(formula.id) ?? null, draft?.storedAt ?? null)];
    });
  }

  /** The newest versions that an older core judged, judged by today's with the kitchen and pantry of now; kept beside what was stored. */
  private async judgedAnew(formulas: readonly FormulaEntity[], versions: readonly FormulaVersionEntity[]): Promise<Map<string, Judged>> {
    const judged = new Map<string, Judged>();
    const stale = versions.filter((one) => one.coreVersion !== coreVersion);
    if (stale.length === 0) return judged;
    const [kitchen, pantry] = [await this.kitchen.current(), await this.pantry.whole()];
    const table = await this.scope.table(FormulaEntity);
    let asked = 0;
    for (const newest of stale) {
      const held = formulas.find(({ id }) => id === newest.formulaId)?.judged;
      if (held?.coreVersion === coreVersion && held.version === newest.version) {
        judged.set(newest.formulaId, held);
        continue;
      }
      // A few at a time: a list of hundreds is judged over several looks at it, and says of the rest that it does not know yet.
      if (asked++ >= MOST_JUDGED) continue;
      const verdict = { coreVersion, version: newest.version, ...verdictOf(evaluate(newest.formula, kitchen, pantry)) };
      await table.update({ id: newest.formulaId }, { judged: verdict as never });
      judged.set(newest.formulaId, verdict);
    }
    return judged;
  }

  /** What is left of a bake of this version may be judged by smell: it was baked dry, and nothing on it needs the cold. */
  async isDryOnceBaked(formulaId: string, version: number, what: LeftOver): Promise<boolean> {
    if (what !== 'baked' && what !== 'crumb') return false;
    const { formula } = await this.version(formulaId, version);
    return !needsColdOnceBaked(formula, await this.kitchen.current(), await this.pantry.whole());
  }

  async detail(id: string): Promise<FormulaDetail> {
    await this.one(id);
    const [versions, draft] = await Promise.all([
      (await this.scope.table(FormulaVersionEntity)).find({
        where: { formulaId: id },
        select: { id: true, version: true, basedOn: true, why: true, savedAt: true },
        order: { version: 'ASC' },
      }),
      (await this.scope.table(DraftEntity)).findOne({ formulaId: id }),
    ]);
    return { id, versions: versions.map(headOf), draft: draft && draftOf(draft) };
  }

  async version(formulaId: string, version: number): Promise<FormulaVersion> {
    const found = await (await this.scope.table(FormulaVersionEntity)).findOne({ formulaId, version });
    if (!found) throw new ApiError('notFound', `This formula has no version ${version}.`);
    const { coreVersion: by, formula, kitchen, pantry, evaluation, setAside } = found;
    return { ...headOf(found), formulaId, coreVersion: by, formula, kitchen, pantry, evaluation, setAside };
  }

  /** Stored with the next revision; refused when another device stored a later one, so that both can be kept and compared. */
  async storeDraft(formulaId: string, body: DraftBody): Promise<Draft> {
    await this.one(formulaId);
    return this.scope.transaction(async (manager) => {
      const drafts = await this.scope.table(DraftEntity, manager);
      const formulas = await this.scope.table(FormulaEntity, manager);
      await formulas.findOneLocked({ id: formulaId });
      const held = await drafts.findOne({ formulaId });
      const { basedOn, formula, typed } = body;
      const next = { basedOn, formula, typed, revision: body.revision + 1, storedAt: new Date() };
      // The same content again is an answer that got lost, not a second device.
      if (held && held.revision === body.revision + 1 && sameJson(held.formula, formula) && sameJson(held.typed, typed))
        return draftOf(held);
      if (held && held.revision !== body.revision) {
        throw new ApiError(
          'conflict',
          'Another device stored a later draft of this formula. Yours is still here; compare before you choose.',
        );
      }
      if (held) await drafts.update({ formulaId }, next);
      else await drafts.insert({ formulaId, ...next });
      return draftOf({ formulaId, ...next });
    });
  }

  async discardDraft(formulaId: string): Promise<void> {
    await (await this.scope.table(DraftEntity)).delete({ formulaId });
  }

  /** A new formula with its first version; sent again with the same ids it is still one. */
  async create(id: string, body: NewFormulaBody): Promise<SavedVersion> {
    await this.scope.transaction(async (manager) => {
      const formulas = await this.scope.table(FormulaEntity, manager);
      // Two of the same at once: the lock lets the second find the first.
      await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`formula:${id}`]);
      if (await formulas.findOne({ id })) return;
      await this.checked(body.formula);
      await formulas.insert({
        id,
        name: body.formula.name,
        family: body.formula.family,
        newestVersion: 0,
        judged: null,
        createdAt: new Date(),
      });
    });
    return this.saveVersion(id, body.versionId, { basedOn: null, why: body.why, formula: body.formula, setAside: [] });
  }

  /**
   * Works the formula out again and keeps input, everything read and the result together, never to be changed.
   * The same id again gives the same answer; an older `basedOn` is stored beside the newest, never over it.
   */
  async saveVersion(formulaId: string, versionId: string, body: VersionBody): Promise<SavedVersion> {
    await this.one(formulaId);
    const again = await this.savedAlready(formulaId, versionId);
    if (again) return again;
    const { kitchen, pantry, evaluation } = await this.checked(body.formula);
    return this.scope.transaction(async (manager) => {
      const formulas = await this.scope.table(FormulaEntity, manager);
      const formula = await formulas.findOneLocked({ id: formulaId });
      if (!formula) throw new ApiError('notFound', 'This formula is not here.');
      const twin = await this.savedAlready(formulaId, versionId, manager);
      if (twin) return twin;
      const version = formula.newestVersion + 1;
      const row = {
        id: versionId,
        formulaId,
        version,
        basedOn: body.basedOn,
        why: body.why,
        savedAt: new Date(),
        coreVersion,
        states: statesOf(evaluation),
        formula: body.formula,
        kitchen,
        pantry,
        evaluation,
        setAside: body.setAside,
      };
      await (await this.scope.table(FormulaVersionEntity, manager)).insert(row);
      await formulas.update({ id: formulaId }, { newestVersion: version, name: body.formula.name, family: body.formula.family });
      await (await this.scope.table(DraftEntity, manager)).delete({ formulaId });
      return { ...headOf(row), beside: body.basedOn !== null && body.basedOn < formula.newestVersion ? formula.newestVersion : null };
    });
  }

  /** What a run left, as an ingredient of the pantry: its dough, once baked, ground, or its egg. The same version is the same ingredient. */
  async asLeftOver(formulaId: string, version: number, what: LeftOver): Promise<string> {
    const { formula, pantry, evaluation } = await this.version(formulaId, version);
    if (what === 'egg') {
      const egg = eggOf(formula, pantry);
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
        ? fromBake(id, name, from, dough, evaluation.bake.result.end.moistureShare)
        : fromDough(id, name, from, dough);
    await this.pantry.storeOwn(id, 0, ingredient);
    return id;
  }

  /** What a version's dough is once baked and ground, as an ingredient of the pantry. */
  async asCrumb(formulaId: string, version: number, id: string, name: string): Promise<Stored> {
    const { formula, pantry, evaluation } = await this.version(formulaId, version);
    if (evaluation.bake.state === 'waiting') throw new ApiError('invalid', 'This version was never worked out to the end of its bake.');
    const dough = portionsOf(formula, pantry);
    const crumb = fromBake(id, name, { formulaId, version }, dough, evaluation.bake.result.end.moistureShare);
    return this.pantry.storeOwn(id, 0, crumb);
  }

  async hasVersion(formulaId: string, version: number, manager?: EntityManager): Promise<boolean> {
    return (await (await this.scope.table(FormulaVersionEntity, manager)).count({ formulaId, version })) > 0;
  }

  private async one(id: string): Promise<FormulaEntity> {
    const found = await (await this.scope.table(FormulaEntity)).findOne({ id });
    if (!found) throw new ApiError('notFound', 'This formula is not here.');
    return found;
  }

  /** The formula worked out with the kitchen and pantry of now; refused where a stage cannot be. */
  private async checked(formula: Formula) {
    const [kitchen, pantry] = await Promise.all([this.kitchen.current(), this.pantry.for(formula)]);
    const evaluation = evaluate(formula, kitchen, pantry);
    const problems = problemsOf(evaluation).map(({ path, message }) => ({ path, code: 'input', message }));
    if (problems.length > 0) throw new ApiError('invalid', `${problems[0]!.path}: ${problems[0]!.message}`, problems);
    return { kitchen, pantry, evaluation };
  }

  private async savedAlready(formulaId: string, id: string, manager?: EntityManager): Promise<SavedVersion | null> {
    const found = await (await this.scope.table(FormulaVersionEntity, manager)).findOne({ id });
    if (found && found.formulaId !== formulaId) throw new ApiError('conflict', 'This id belongs to a version of another formula.');
    return found && { ...headOf(found), beside: null };
  }
}

export function statesOf(evaluation: Evaluation): StageStates {
  return Object.fromEntries(stageNames.map((name) => [name, evaluation[name].state])) as StageStates;
}

/** At most so many verdicts are made for one look at the list. */
const MOST_JUDGED = 12;
const unknown = Object.fromEntries(stageNames.map((name) => [name, 'waiting'])) as StageStates;

/** What the list says of an evaluation. */
function verdictOf(evaluation: Evaluation): Omit<Judged, 'coreVersion' | 'version'> {
  const { outlook, sheet, dough } = evaluation;
  const cut = sheet.state === 'waiting' ? null : sheet.result;
  return {
    states: statesOf(evaluation),
    outlook: outlook && { crisp: outlook.crisp.value, tender: outlook.tender.value, zone: outlook.zone },
    pieces: cut && cut.pieces,
    pieceG: cut && cut.pieceG,
    doughG: dough.state === 'waiting' ? null : dough.result.doughG,
  };
}

function listed(formula: FormulaEntity, newest: FormulaVersionEntity, judged: Judged | null, draftStoredAt: Date | null): ListedFormula {
  const stored = newest.coreVersion === coreVersion;
  const { states, ...verdict } = judged ?? verdictOf(newest.evaluation);
  return {
    id: formula.id,
    name: formula.name,
    familyName: families[formula.family]?.name ?? formula.family,
    blendName: newest.formula.blend.name,
    version: formula.newestVersion,
    // An older core's verdict is not shown as today's.
    states: judged || stored ? states : unknown,
    outlook: judged || stored ? verdict.outlook : null,
    pieces: verdict.pieces,
    pieceG: verdict.pieceG,
    savedBy: newest.coreVersion,
    judgedBy: judged || stored ? coreVersion : null,
    savedAt: newest.savedAt.toISOString(),
    draftStoredAt: draftStoredAt && draftStoredAt.toISOString(),
    doughOf: newest.formula.doughOf ?? null,
    doughG: verdict.doughG,
  };
}

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
