import type { Happened } from '@north-leaf/core';
import { measureName, showMeasured, type Voice } from '@north-leaf/words';
import { handWordLabels } from '../../../ui/words/words';
import { t } from '../../../platform/words';

const plain: Partial<Record<Happened['kind'], string>> = {
  began: t('runs.theRunBegan'),
  ended: t('runs.theBakeEnded'),
  paused: t('runs.paused'),
  resumed: t('runs.goneOn'),
  stepBegan: t('runs.aStepBegan'),
  stepEnded: t('runs.aStepEnded'),
  skipped: t('runs.aStepWasSkipped'),
  swapped: t('runs.anIngredientWasSwapped'),
  added: t('runs.somethingWasAdded'),
  scaled: t('runs.theBatchWasScaled'),
  looked: t('runs.aLookIntoTheOven'),
  looksPlanned: t('runs.looksWerePlanned'),
  rated: t('runs.dots'),
  confirmed: t('runs.somethingWasConfirmed'),
  leftOver: t('runs.somethingWasKept'),
  noticed: t('runs.somethingWasNoticed'),
  photographed: t('runs.aPhoto'),
};

/** What happened, in a few words that a baker knows it by. */
export function eventWords(what: Happened, voice: Voice): string {
  if (what.kind === 'weighed') return t('runs.addedWeighed', { added: voice.exact(what.addedG, 'mass') });
  if (what.kind === 'felt') return t('common.feltHandwordlabels', { handWordLabels: handWordLabels[what.word].toLowerCase() });
  if (what.kind === 'measured') return `${measureName(what.what, voice)}: ${showMeasured(what.what, what.value, voice)}`;
  if (what.kind === 'noted') return t('runs.noteText', { text: what.text.slice(0, 60) });
  return plain[what.kind] ?? what.kind;
}
