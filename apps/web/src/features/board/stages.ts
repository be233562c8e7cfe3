import { saidFacts, type Evaluation, type Formula, type StageName, showDuration, unitOf } from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { t } from '../../platform/words';

export const stageLabels: Record<StageName, string> = {
  blend: t('common.blend'),
  dough: t('common.dough'),
  chill: t('common.chill'),
  sheet: t('common.sheet'),
  bake: t('common.bake'),
  keep: t('common.keep'),
};

export const stageQuestions: Record<StageName, string> = {
  blend: t('board.whatDoesThisBlendBring'),
  dough: t('board.howMuchWaterWillItTakeToday'),
  chill: t('board.coldEnoughToRollSoftEnoughTo'),
  sheet: t('board.whatComesOutOfThisSheet'),
  bake: t('board.whenIsItDryBeforeItIs'),
  keep: t('board.howLongWillItSnap'),
};

const piecesWord = (count: number) => t('common.countedPieces', { count });

/** The boards of layers and of portions ask their own. */
export const portionQuestion = t('board.howManyComeOutOfThisDough');
export const layerQuestion = t('board.doTheLayersStayApart');

/** What a stage is called for this formula: what is laminated has its own word. */
export const stageLabelOf = (stage: StageName, formula: Pick<Formula, 'sheet'>): string =>
  stage === 'sheet' && formula.sheet.laminate ? t('board.laminate') : stageLabels[stage];

/** The one number that rules a stage, with its unit and a caption. */
export type Ruling = { readonly number: string; readonly unit: string };

export function rulingOf(stage: StageName, evaluation: Evaluation, voice: Voice): Ruling {
  const none = { number: '–', unit: '' };
  switch (stage) {
    case 'blend':
      return evaluation.blend.state === 'waiting'
        ? none
        : {
            number: voice.bare(evaluation.blend.result.waterHoldGPerG, 'held'),
            unit: t('board.valueWaterHold', { value: unitOf('held', voice.units) }),
          };
    case 'dough':
      return evaluation.dough.state === 'waiting'
        ? none
        : { number: voice.show(evaluation.dough.result.getsOverWants, 'share', 0), unit: t('board.ofItsWater') };
    case 'chill': {
      if (evaluation.chill.state === 'waiting') return none;
      const { toTargetMin, endMiddleC, waitMin } = evaluation.chill.result;
      if (waitMin === 0) return { number: voice.show(endMiddleC, 'temperature'), unit: t('board.fromTheBowl') };
      if (toTargetMin === null) return { number: voice.show(endMiddleC, 'temperature'), unit: t('board.whenItComesOut') };
      return { number: showDuration(Math.round(toTargetMin)), unit: t('board.toTarget') };
    }
    case 'sheet': {
      if (evaluation.sheet.state === 'waiting') return none;
      const { pieces, laminate, body } = evaluation.sheet.result;
      // Batter stands as high as its pan makes it, a ball as high as it is.
      const thicknessMm = body.form === 'poured' || body.form === 'ball' ? body.heightMm : evaluation.sheet.result.thicknessMm;
      if (laminate) return { number: String(laminate.layers.fatLayers), unit: t('board.layersPieces', { pieces: piecesWord(pieces) }) };
      return { number: voice.bare(thicknessMm, 'length'), unit: `${unitOf('length', voice.units)} · ${piecesWord(pieces)}` };
    }
    case 'bake': {
      if (evaluation.bake.state === 'waiting') return none;
      const { totalMin, end } = evaluation.bake.result;
      return { number: showDuration(totalMin), unit: t('board.toMoistureWet', { moisture: voice.show(end.moistureShare, 'share') }) };
    }
    case 'keep': {
      if (evaluation.keep.state === 'waiting') return none;
      const { crispDays, openEnded, meantToSnap, mouldFreeDays, needsCold, rawDays } = evaluation.keep.result;
      if (rawDays !== null) return { number: t('board.daysKept', { count: rawDays }), unit: t('board.keepsRaw') };
      if (needsCold) return { number: voice.show(saidFacts.fridgeC, 'temperature'), unit: t('board.orColder') };
      if (!meantToSnap && mouldFreeDays !== null)
        return {
          number: mouldFreeDays < 1 ? t('board.underADay') : t('board.daysKept', { count: Math.floor(mouldFreeDays) }),
          unit: t('board.keeps'),
        };
      return {
        number: t('board.valueWordDays', { value: Math.floor(crispDays.value), word: openEnded ? '+' : '' }),
        unit: t('common.crisp2'),
      };
    }
  }
}
