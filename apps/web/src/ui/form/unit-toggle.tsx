import { unitOf, unitSets, type Units } from '@north-leaf/core';
import { sameUnits, usePreferences } from '../../platform/preferences';
import { Choice } from './choice';
import { t } from '../../platform/words';

const nameOf = (units: Units) =>
  `${unitOf('mass', units)} · ${unitOf('length', units)} · ${units.heat === 'gas' ? t('ui.gasMark') : unitOf('oven', units)}`;

/** Which units come first. */
export function UnitToggle() {
  const { units, set } = usePreferences();
  // A set of one's own, from Setup, is one more.
  const all = unitSets.some((one) => sameUnits(one, units)) ? unitSets : [units, ...unitSets];
  const choose = (name: string) => set({ units: all.find((one) => nameOf(one) === name)! });
  return (
    <Choice
      label={t('ui.units')}
      value={nameOf(units)}
      options={all.map((one) => ({ value: nameOf(one), name: nameOf(one) }))}
      onChange={choose}
      width={150}
    />
  );
}
