import type { Refusal } from '../errors.js';
import type { Edit } from '../document/edits.js';
import type { Basis } from '../facts/fact.js';

export const stageNames = ['blend', 'dough', 'chill', 'sheet', 'bake', 'keep'] as const;
export type StageName = (typeof stageNames)[number];
/** note: worth knowing; watch: a worse bake is likely; fix: will go wrong, or not possible in this kitchen. */
const levels = ['note', 'watch', 'fix'] as const;
export type Level = (typeof levels)[number];

export const findingCodes = [
  'gluten.contains',
  'gluten.notProven',
  'gluten.overLimit',
  'gluten.reportOld',
  'gluten.notInMarket',
  'gluten.wheatStarch',
  'gluten.onBag',
  'gluten.lookAtBag',
  'suit.broken',
  'suit.mayBreak',
  'lot.setAside',
  'lot.pastBestBy',
  'lot.pastUseBy',
  'lot.short',
  'blend.gritty',
  'blend.starchLow',
  'blend.starchHigh',
  'blend.oneStarchHigh',
  'blend.oneFlourHigh',
  'dough.shortOfWater',
  'dough.tooWet',
  'dough.fatLow',
  'dough.fatHigh',
  'dough.saltLow',
  'dough.saltHigh',
  'dough.sugarLow',
  'dough.sugarHigh',
  'dough.eggLow',
  'dough.eggHigh',
  'dough.nutsLow',
  'dough.nutsHigh',
  'dough.yeastLow',
  'dough.yeastHigh',
  'dough.leavenerLow',
  'dough.binderLow',
  'dough.binderHigh',
  'dough.leavenerHigh',
  'dough.freeSoda',
  'dough.syrupHigh',
  'dough.saltHidden',
  'dough.fatTooSoft',
  'dough.fatTooHard',
  'dough.fatPiecesThick',
  'dough.fatPiecesSmall',
  'dough.spreadFat',
  'dough.oilInPieces',
  'dough.dryGel',
  'dough.rowTwice',
  'dough.belowScale',
  'dough.noHoldBack',
  'dough.restForGrit',
  'dough.stoodLong',
  'dough.waterNotCold',
  'dough.mixForgets',
  'dough.mixTwice',
  'dough.ammonia',
  'dough.tooWarm',
  'dough.rawEgg',
  'dough.goesInHot',
  'dough.coumarin',
  'dough.honey',
  'chill.tooWarm',
  'chill.tooHard',
  'chill.placeTooWarm',
  'chill.shortBench',
  'chill.tooLong',
  'chill.eggTooLong',
  'chill.eggTooWarm',
  'sheet.tooThin',
  'sheet.tooThick',
  'sheet.noPiece',
  'sheet.overfull',
  'sheet.underfull',
  'sheet.shortBatch',
  'sheet.scrapHigh',
  'sheet.traysShort',
  'sheet.offTray',
  'sheet.runTogether',
  'sheet.pansShort',
  'sheet.overMat',
  'sheet.noCutter',
  'sheet.shelvesUneven',
  'sheet.layersLost',
  'sheet.notFolded',
  'sheet.layersThin',
  'sheet.slabUnlike',
  'sheet.noRest',
  'sheet.foldWarm',
  'sheet.foldHard',
  'sheet.proofWarm',
  'sheet.warmTooLong',
  'bake.notDry',
  'bake.notThrough',
  'bake.eggNotSafe',
  'bake.weightsLeftOn',
  'bake.weightsOnFilling',
  'bake.fillingWeeps',
  'bake.fillingOver',
  'bake.pale',
  'bake.tooDark',
  'bake.tooDry',
  'bake.acrylamide',
  'bake.slicedAfter',
  'bake.fewTried',
  'bake.pairApart',
  'bake.darkBeforeDry',
  'bake.ovenNotMeasured',
  'bake.turnTray',
  'bake.baseBlisters',
  'bake.dockedFilled',
  'keep.notCrisp',
  'keep.softBeforeSold',
  'keep.packedWarm',
  'keep.mayMould',
  'keep.crustSoftens',
  'keep.needsCold',
  'keep.coolsSlowly',
  'keep.coldTooLong',
  'keep.rawEgg',
  'keep.rawTooLong',
] as const;
export type FindingCode = (typeof findingCodes)[number];

/** What is off, as numbers; its words live in packages/words. */
export type Finding = {
  readonly code: FindingCode;
  readonly level: Level;
  /** Health is at stake: a reason is asked for before a bake starts. */ readonly unsafe?: true;
  readonly stage: StageName;
  /** `path` in the evaluation; `of` names an ingredient or place where the words need one. */
  readonly measured?: {
    readonly path: string;
    readonly value: number;
    readonly low?: number;
    readonly high?: number;
    readonly of?: string;
  };
  /** What to set, exact enough for one button and one undo step. */
  readonly change?: { readonly of: 'formula'; readonly edits: readonly Edit[] };
};

/** A value with its spread. */
export type Estimate = { readonly value: number; readonly sd: number; readonly basis: Basis };

export type StageState = 'good' | 'watch' | 'fix' | 'waiting';
/** Waiting: this stage could not be worked out, through its own input (`problem`) or an earlier stage's. */
export type Stage<R> =
  | { readonly state: Exclude<StageState, 'waiting'>; readonly result: R; readonly findings: readonly Finding[] }
  | { readonly state: 'waiting'; readonly problem?: Refusal };

/** A stage's state is its worst finding; a note counts as good. */
export function stateOf(findings: readonly Finding[]): Exclude<StageState, 'waiting'> {
  const worst = Math.max(0, ...findings.map((finding) => levels.indexOf(finding.level)));
  return worst === 2 ? 'fix' : worst === 1 ? 'watch' : 'good';
}

/**
 * Worst first, unsafe before all.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * worstFirst([{ level: 'watch' }, { level: 'fix' }]).map(({ level }) => level); // => ['fix', 'watch']
 */
export function worstFirst(findings: readonly Finding[]): Finding[] {
  const weight = (finding: Finding) => levels.indexOf(finding.level) + (finding.unsafe ? 10 : 0);
  return [...findings].sort((a, b) => weight(b) - weight(a));
}
