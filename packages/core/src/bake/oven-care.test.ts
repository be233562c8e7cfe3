import { coreVersion } from '../core-version.js';
import { kitchen } from '../worked/a-formula.js';
import { ovenCare } from './oven-care.js';
import type { HotSpot, Oven } from '../document/kitchen.js';

const oven = (over: Partial<Oven> = {}): Oven => ({ id: 'o', name: 'O', kind: 'static', dialUnit: 'C', readings: [], ...over });
const reading = (dialC: number, trueC: number, on = '2026-11-20') => ({ dialC, trueC, at: `${on}T06:00:00.000Z` });
const spots = (...above: number[]): HotSpot[] =>
  (['left', 'centre', 'right'] as const).map((side, i) => ({ shelf: 'middle', side, aboveC: above[i]! }));
const care = (over: Partial<Oven>, learned = kitchen.learned) => ovenCare(oven(over), { ...kitchen, learned }, '2026-11-25');

describe('how sure an oven is', () => {
  it('says what to measure next, one thing after another', () => {
    const readings = [reading(160, 152), reading(200, 190)];
    const heat = [{ what: 'ovenHeatFactor' as const, about: 'o', value: 1.1, sd: 0.05, bakeIds: [], coreVersion }];
    expect(care({}).next).toBe('measure');
    expect(care({ readings: [reading(160, 152, '2026-10-01')] }).next).toBe('measure');
    expect(care({ readings: readings.slice(0, 1) }).next).toBe('secondSetting');
    expect(care({ readings }).next).toBe('hotSpots');
    expect(care({ readings, hotSpots: spots(1, 0, 0) }).next).toBe('weigh');
    expect(care({ readings, hotSpots: spots(1, 0, 0) }, heat).next).toBeNull();
  });
  it('never measured strays more than measured, and is due after a month', () => {
    expect(care({})).toMatchObject({ state: 'never', daysSince: null, offsetC: null });
    const measured = care({ readings: [reading(160, 152), reading(200, 190)] });
    expect(measured).toMatchObject({ state: 'measured', daysSince: 5, offsetC: -9, readings: 2 });
    expect(measured.spreadC).toBeLessThan(care({}).spreadC);
    expect(care({ readings: [reading(160, 152, '2026-10-20')] }).state).toBe('due');
  });
  it('asks for turned trays from five kelvin between the sides of one shelf on', () => {
    expect(care({ hotSpots: spots(4, 0, -1) })).toMatchObject({ unevenC: 5, turnTrays: true, hottest: { side: 'left' } });
    expect(care({ hotSpots: spots(2, 0, -1) }).turnTrays).toBe(false);
    expect(care({ hotSpots: spots(2, 0, -1).slice(0, 1) }).unevenC).toBeNull();
  });
});
