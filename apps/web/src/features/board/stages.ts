import { type Evaluation, type Formula, type StageName, showDuration, unitOf } from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';

export const stageLabels: Record<StageName, string> = {
  blend: 'Blend',
  dough: 'Dough',
  chill: 'Chill',
  sheet: 'Sheet',
  bake: 'Bake',
  keep: 'Keep',
};

export const stageQuestions: Record<StageName, string> = {
  blend: 'What does this blend bring?',
  dough: 'How much water will it take today?',
  chill: 'Cold enough to roll, soft enough to bend?',
  sheet: 'What comes out of this sheet?',
  bake: 'When is it dry before it is dark?',
  keep: 'How long will it snap?',
};

const piecesWord = (count: number) => `${count} ${count === 1 ? 'piece' : 'pieces'}`;

/** The boards of layers and of portions ask their own. */
export const portionQuestion = 'How many come out of this dough?';
export const layerQuestion = 'Do the layers stay apart?';

/** What a stage is called for this formula: what is laminated has its own word. */
export const stageLabelOf = (stage: StageName, formula: Pick<Formula, 'sheet'>): string =>
  stage === 'sheet' && formula.sheet.laminate ? 'Laminate' : stageLabels[stage];

/** The one number that rules a stage, with its unit and a caption. */
export type Ruling = { readonly number: string; readonly unit: string };

export function rulingOf(stage: StageName, evaluation: Evaluation, voice: Voice): Ruling {
  const none = { number: '–', unit: '' };
  switch (stage) {
    case 'blend':
      return evaluation.blend.state === 'waiting'
        ? none
        : { number: voice.bare(evaluation.blend.result.waterHoldGPerG, 'held'), unit: `${unitOf('held', voice.units)} water hold` };
    case 'dough':
      return evaluation.dough.state === 'waiting'
        ? none
        : { number: voice.show(evaluation.dough.result.getsOverWants, 'share', 0), unit: 'of its water' };
    case 'chill': {
      if (evaluation.chill.state === 'waiting') return none;
      const { toTargetMin, endMiddleC } = evaluation.chill.result;
      if (toTargetMin === null) return { number: voice.show(endMiddleC, 'temperature'), unit: 'when it comes out' };
      return { number: showDuration(Math.round(toTargetMin)), unit: 'to target' };
    }
    case 'sheet': {
      if (evaluation.sheet.state === 'waiting') return none;
      const { thicknessMm, pieces, laminate } = evaluation.sheet.result;
      if (laminate) return { number: String(laminate.layers.fatLayers), unit: `layers · ${piecesWord(pieces)}` };
      return { number: voice.bare(thicknessMm, 'length'), unit: `${unitOf('length', voice.units)} · ${piecesWord(pieces)}` };
    }
    case 'bake': {
      if (evaluation.bake.state === 'waiting') return none;
      const { totalMin, end } = evaluation.bake.result;
      return { number: showDuration(totalMin), unit: `to ${voice.show(end.moistureShare, 'share')} wet` };
    }
    case 'keep': {
      if (evaluation.keep.state === 'waiting') return none;
      const { crispDays, openEnded } = evaluation.keep.result;
      return { number: `${Math.floor(crispDays.value)}${openEnded ? '+' : ''} days`, unit: 'crisp' };
    }
  }
}
