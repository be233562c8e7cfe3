import { unitOf, unitSets, type Units } from '@north-leaf/core';
import { usePreferences } from '../../platform/preferences';
import { Choice } from './choice';

const nameOf = (units: Units) =>
  `${unitOf('mass', units)} · ${unitOf('length', units)} · ${units.heat === 'gas' ? 'gas mark' : unitOf('oven', units)}`;
const sets = unitSets.map((units) => ({ value: nameOf(units), name: nameOf(units) }));

/** Which units come first. */
export function UnitToggle() {
  const { units, setUnits } = usePreferences();
  const choose = (name: string) => setUnits(unitSets.find((one) => nameOf(one) === name)!);
  return <Choice label="Units" value={nameOf(units)} options={sets} onChange={choose} width={150} />;
}
