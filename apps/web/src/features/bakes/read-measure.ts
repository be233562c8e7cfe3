import { measureKinds, readQuantity, unitOf, type MeasuredWhat, type Units } from '@north-leaf/core';
import { measureLimits } from '@north-leaf/contracts';
import { measureName, showMeasured, type Voice } from '@north-leaf/words';
import { bareNumber } from '../../ui/form/typed-number';
import { t } from '../../platform/words';

/** What was typed, as the core has it, or what is wrong with it. */
export function readMeasure(
  what: MeasuredWhat,
  text: string,
  voice: Voice,
  name = measureName(what, voice),
): { readonly value: number | undefined; readonly problem: string | null } {
  if (text.trim() === '') return { value: undefined, problem: null };
  const value = toCore(what, text, voice.units);
  if (value === undefined) return { value, problem: t('bakes.nameMustBeANumberGotText', { name, text }) };
  const [low, high] = measureLimits[what];
  if (value < low || value > high) {
    const limits =
      measureKinds[what] === 'tone'
        ? t('bakes.whatToWhat2', { what: showMeasured(what, low, voice), what2: showMeasured(what, high, voice) })
        : voice.range(low, high, measureKinds[what]);
    return { value: undefined, problem: t('bakes.nameMustBeFromLimits', { name, limits }) };
  }
  return { value, problem: null };
}

function toCore(what: MeasuredWhat, text: string, units: Units): number | undefined {
  const kind = measureKinds[what];
  if (kind === 'mass' || kind === 'length' || kind === 'temperature' || kind === 'minutes') {
    const read = readQuantity(text, kind, unitOf(kind, units));
    return read.ok ? read.value : undefined;
  }
  const number = bareNumber(text.replace('%', ''));
  return number !== undefined && kind === 'share' ? number / 100 : number;
}
