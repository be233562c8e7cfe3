import { unitOf, unitSets, type Units } from '@north-leaf/core';
import { usePreferences } from '../../platform/preferences';
import { Choice } from './choice';
import { t } from '../../platform/words';

const nameOf = (units: Units) =>
  `${unitOf('mass', units)} · ${unitOf('length', units)} · ${units.heat === 'gas' ? t('ui.gasMark') : unitOf('oven', units)}`;
const sets = unitSets.map((units) => ({ value: nameOf(units), name: nameOf(units) }));

/** Which units come first. */
export function UnitToggle() {
  const { units, setUnits } = usePreferences();
  const choose = (name: string) => setUnits(unitSets.find((one) => nameOf(one) === name)!);
  return <Choice label={t('ui.units')} value={nameOf(units)} options={sets} onChange={choose} width={150} />;
}
