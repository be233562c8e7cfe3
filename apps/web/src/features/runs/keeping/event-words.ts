import type { Happened } from '@north-leaf/core';
import { measureName, showMeasured, type Voice } from '@north-leaf/words';
import { handWordLabels } from '../../../ui/words/words';

const plain: Partial<Record<Happened['kind'], string>> = {
  began: 'The run began',
  ended: 'The bake ended',
  paused: 'Paused',
  resumed: 'Gone on',
  stepBegan: 'A step began',
  stepEnded: 'A step ended',
  skipped: 'A step was skipped',
  swapped: 'An ingredient was swapped',
  added: 'Something was added',
  scaled: 'The batch was scaled',
  looked: 'A look into the oven',
  looksPlanned: 'Looks were planned',
  rated: 'Dots',
  confirmed: 'Something was confirmed',
  leftOver: 'Something was kept',
  noticed: 'Something was noticed',
  photographed: 'A photo',
};

/** What happened, in a few words that a baker knows it by. */
export function eventWords(what: Happened, voice: Voice): string {
  if (what.kind === 'weighed') return `${voice.exact(what.addedG, 'mass')} weighed`;
  if (what.kind === 'felt') return `Felt: ${handWordLabels[what.word].toLowerCase()}`;
  if (what.kind === 'measured') return `${measureName(what.what, voice)}: ${showMeasured(what.what, what.value, voice)}`;
  if (what.kind === 'noted') return `Note “${what.text.slice(0, 60)}”`;
  return plain[what.kind] ?? what.kind;
}
