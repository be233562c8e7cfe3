import Joi from 'joi';
import {
  bodies,
  chillForms,
  componentFields,
  cutWhens,
  dockPatterns,
  fatStates,
  foldParts,
  goings,
  goesOnBefore,
  goesOnMoments,
  lockIns,
  mixActs,
  mixTools,
  packs,
  portionForms,
  rerolls,
  rowUses,
  trayLayers,
  wraps,
  acrylamideMeasureIds,
  acrossShapes,
  type StageState,
} from '@north-leaf/core';
import { bodyOf, nested, type SchemaKeys } from './check.js';
import { schemaOf } from './of-fields.js';
import { id, revision, uuid, version, type Part } from './fields.js';
import type {
  BakeSettings,
  BakeStep,
  Blend,
  BlendRow,
  Chill,
  Evaluation,
  Fold,
  Formula,
  Keep,
  Kitchen,
  Laminate,
  MixStep,
  Pantry,
  Part as PartOfPiece,
  Row,
  Shape,
  Sheet,
  StageName,
  Wait,
} from '@north-leaf/core';

const text = (longest: number) => Joi.string().allow('').max(longest);
/** As wrong as it may be, a number that a sum can be made of. */
const number = () => Joi.number().unsafe().min(-1e12).max(1e12);
const list = (items: Joi.Schema, most: number) => Joi.array().items(items).max(most);

const wait = nested<Wait>({ placeId: id(), min: number() });
type OfKind<K extends Shape['kind']> = Extract<Shape, { readonly kind: K }>;
const shapeOf = <K extends Shape['kind']>(kind: K | readonly K[], more: Omit<SchemaKeys<OfKind<K>>, 'kind'>): Joi.ObjectSchema =>
  nested<OfKind<K>>({ kind: Joi.valid(...(typeof kind === 'string' ? [kind] : kind)), ...more } as unknown as SchemaKeys<OfKind<K>>);
const cutShapes = [
  shapeOf('rectangle', { widthMm: number(), lengthMm: number() }),
  shapeOf('diamond', { widthMm: number(), angleDeg: number() }),
  shapeOf(acrossShapes, { acrossMm: number() }),
  shapeOf('triangle', { baseMm: number(), heightMm: number() }),
  shapeOf('outline', { pointsMm: list(Joi.array().items(number()).length(2), 200) }),
];
const shapes = [
  ...cutShapes,
  shapeOf('portion', { pieceG: number(), form: Joi.valid(...portionForms) }),
  shapeOf('slice', { acrossMm: number() }),
  shapeOf('lining', { overhangMm: number() }),
  shapeOf('lid', { overhangMm: number(), domeMm: number() }),
  shapeOf('base', {}),
  shapeOf('side', { overlapMm: number() }),
  shapeOf('lattice', { stripMm: number(), gapMm: number(), overhangMm: number() }),
  shapeOf('freeForm', { filledMm: number(), foldMm: number() }),
];

const blendOf = (share: () => Joi.NumberSchema) =>
  nested<Blend>({
    name: text(120),
    rows: list(
      nested<BlendRow>({
        key: id(),
        ingredientId: id(),
        share: share(),
        minShare: share().optional(),
        maxShare: share().optional(),
        pinned: Joi.boolean().optional(),
        lotId: id().optional(),
      }),
      40,
    ),
    from: nested<NonNullable<Blend['from']>>({ blendId: id(), version: version() }).optional(),
    uncertainShare: list(number(), 40).optional(),
  });
export const blendSchema = blendOf(number);
/** A blend that is kept is one that can be weighed; in a draft it may still be anything. */
export const libraryBlendSchema = blendOf(() => Joi.number().min(0).max(1)).required();

/** The shape of a formula, however wrong its numbers: what a draft may hold. */
export const formulaSchema: Joi.ObjectSchema<Formula> = bodyOf<Formula>({
  schema: Joi.number().valid(1),
  name: Joi.string().trim().min(1).max(120),
  family: id(),
  aim: nested<NonNullable<Formula['aim']>>({ crisp: number(), tender: number() }).optional(),
  mustSuit: list(id(), 30).optional(),
  blend: blendSchema,
  blendG: number(),
  blendEntered: nested<NonNullable<Formula['blendEntered']>>({ text: text(400), g: number() }).optional(),
  doughOf: nested<NonNullable<Formula['doughOf']>>({ formulaId: uuid(), version: version() }).optional(),
  rows: list(
    nested<Row>({
      key: id(),
      ingredientId: id(),
      amountG: number(),
      use: Joi.valid(...rowUses),
      goesOn: Joi.object({
        at: Joi.valid(...goesOnMoments, ...goesOnBefore),
        n: Joi.when('at', { is: Joi.valid(...goesOnBefore), then: number().required(), otherwise: Joi.forbidden() }),
      }).optional(),
      component: id().optional(),
      entered: text(60).optional(),
      pinned: Joi.boolean().optional(),
      lotId: id().optional(),
      atC: number().optional(),
      soakMin: number().optional(),
      fat: nested<NonNullable<Row['fat']>>({ state: Joi.valid(...fatStates), pieceMm: number().optional() }).optional(),
    }),
    80,
  ),
  components: list(schemaOf(componentFields), 12).optional(),
  mix: list(
    nested<MixStep>({
      key: id(),
      act: Joi.valid(...mixActs).optional(),
      of: list(nested<NonNullable<MixStep['of']>[number]>({ rowKey: id(), share: number() }), 80).optional(),
      tool: Joi.valid(...mixTools).optional(),
      min: number().optional(),
      pulses: number().optional(),
      stopAt: text(120).optional(),
      does: text(300).optional(),
    }).or('act', 'does'),
    40,
  ),
  doughAtC: number(),
  restMin: number(),
  holdBackShare: number(),
  chill: nested<Chill>({
    form: Joi.valid(...chillForms),
    thicknessMm: number(),
    wrap: Joi.valid(...wraps),
    targetC: number(),
    waits: list(wait, 10),
  }),
  sheet: nested<Sheet>({
    parts: list(
      nested<PartOfPiece>({
        key: id(),
        perPiece: number(),
        thicknessMm: number(),
        shape: Joi.alternatives(...shapes),
        window: Joi.alternatives(...cutShapes).optional(),
        vents: number().optional(),
        body: Joi.valid(...bodies).optional(),
      }),
      8,
    ),
    laminate: nested<Laminate>({
      lockIn: Joi.valid(...lockIns),
      doughMm: number(),
      borderMm: number(),
      folds: list(nested<Fold>({ parts: Joi.valid(...foldParts), rollToMm: number(), waits: list(wait, 10) }), 8),
      mark: Joi.boolean().optional(),
    }).optional(),
    densityGPerMl: number().optional(),
    shrink: nested<NonNullable<Sheet['shrink']>>({ alongShare: number(), acrossShare: number() }).optional(),
    cut: Joi.valid(...cutWhens).optional(),
    bandsMm: number().optional(),
    trimMm: number(),
    reroll: Joi.valid(...rerolls),
    dockPitchMm: number().optional(),
    dockPattern: Joi.valid(...dockPatterns).optional(),
    lots: number(),
    trayGapMm: number().optional(),
    trayEdgeMm: number().optional(),
    waits: list(wait, 10),
  }),
  bake: nested<BakeSettings>({
    ovenId: id(),
    trayId: id(),
    panId: id().optional(),
    traysAtOnce: Joi.valid(1, 2),
    layer: Joi.valid(...trayLayers),
    fromCold: Joi.boolean().optional(),
    hotTray: Joi.boolean().optional(),
    panOnTray: Joi.boolean().optional(),
    measures: list(Joi.valid(...acrylamideMeasureIds), acrylamideMeasureIds.length).optional(),
    steps: list(
      nested<BakeStep>({
        name: text(60),
        wantC: number().allow(null),
        min: number(),
        weighted: Joi.boolean().optional(),
        turn: Joi.boolean().optional(),
      }),
      10,
    ),
    done: nested<BakeSettings['done']>({ moistureShare: number().optional(), tone: number().optional(), coreC: number().optional() }),
  }),
  keep: nested<Keep>({
    goes: Joi.valid(...goings).optional(),
    cool: list(wait, 10),
    pack: Joi.valid(...packs),
    piecesPerPack: number(),
    sellWithinDays: number(),
    placeId: Joi.string().max(60).optional(),
  }),
});

/** What is typed but not yet a number, by the place in the formula it was typed for. */
export type Typed = Readonly<Record<string, string>>;
const typedSchema = Joi.object().pattern(Joi.string().max(200), Joi.string().allow('').max(200)).max(200);

export type DraftBody = { readonly basedOn: number | null; readonly revision: number; readonly formula: Formula; readonly typed: Typed };
/** `revision` is the one this draft was written on top of; 0 for the first. */
export const draftBodySchema: Joi.ObjectSchema<DraftBody> = bodyOf<DraftBody>({
  basedOn: version().allow(null),
  revision: revision(),
  formula: formulaSchema,
  typed: typedSchema,
});

export type SetAside = { readonly code: string; readonly reason: string };
export type VersionBody = {
  readonly basedOn: number | null;
  readonly why: string;
  readonly formula: Formula;
  readonly setAside: readonly SetAside[];
  /** The revision of the stored draft that this device knows of: a later one is another device's, and is kept. */ readonly draftRevision?: number;
};
export const versionBodySchema: Joi.ObjectSchema<VersionBody> = bodyOf<VersionBody>({
  basedOn: version().allow(null),
  why: Joi.string().allow('').max(500),
  formula: formulaSchema,
  setAside: Joi.array()
    .items(nested<SetAside>({ code: Joi.string().max(60), reason: Joi.string().trim().min(1).max(300) }))
    .max(50),
  draftRevision: revision().optional(),
});

/** A formula and the id of its first version, both made by whoever makes it. */
export type NewFormulaBody = { readonly versionId: string; readonly why: string; readonly formula: Formula };
export const newFormulaBodySchema: Joi.ObjectSchema<NewFormulaBody> = bodyOf<NewFormulaBody>({
  versionId: uuid(),
  why: Joi.string().allow('').max(500),
  formula: formulaSchema,
});

export type CrumbBody = { readonly name: string };
export const crumbBodySchema: Joi.ObjectSchema<CrumbBody> = bodyOf<CrumbBody>({ name: Joi.string().trim().min(1).max(120) });

export type Draft = DraftBody & { readonly formulaId: string; readonly storedAt: string };
export type VersionHead = {
  readonly id: string;
  readonly version: number;
  readonly basedOn: number | null;
  readonly why: string;
  readonly savedAt: string;
};
export type FormulaDetail = { readonly id: string; readonly versions: readonly VersionHead[]; readonly draft: Draft | null };
export type FormulaVersion = VersionHead & {
  readonly formulaId: string;
  readonly coreVersion: string;
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly evaluation: Evaluation;
  readonly setAside: readonly SetAside[];
};
/** `beside` names the newest version when this one began from an older one. */
export type SavedVersion = VersionHead & {
  readonly beside: number | null;
  /** A later draft of another device is still there. */ readonly draftKept?: true;
};

export type StageStates = Readonly<Record<StageName, StageState>>;
export type FormulaListItem = {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly familyName: string;
  readonly blendName: string;
  readonly version: number;
  /** By today's core. All waiting where it was not asked yet. */ readonly states: StageStates;
  /** The core that the newest version was saved under, and the one whose verdict this is; null: not judged yet. */
  readonly savedBy: string;
  readonly judgedBy: string | null;
  readonly outlook: {
    readonly crisp: number;
    readonly tender: number;
    readonly zone: { readonly crisp: number; readonly tender: number; readonly halfWidth: number };
  } | null;
  readonly pieces: number | null;
  readonly pieceG: number | null;
  readonly bakes: number;
  readonly liked: number | null;
  readonly savedAt: string;
  readonly draftStoredAt: string | null;
  /** Whose dough it takes, and how much dough it needs, g. */ readonly doughOf: {
    readonly formulaId: string;
    readonly version: number;
  } | null;
  readonly doughG: number | null;
};

export type FormulasPart = Part<FormulaListItem>;
/** As much of a formula as choosing one asks for. */
export type FormulaName = Pick<
  FormulaListItem,
  'id' | 'name' | 'family' | 'familyName' | 'version' | 'savedAt' | 'draftStoredAt' | 'doughOf' | 'doughG'
>;
