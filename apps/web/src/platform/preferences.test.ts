import { imperial, metric, unitSets } from '@north-leaf/core';
import { nextUnits, usePreferences } from './preferences';

const KEPT = 'north-leaf-preferences';

describe('what a baker sees first', () => {
  it.each([
    ['imperial', imperial],
    ['metric', metric],
  ])('units kept as one word (%s) are the set they meant, and the face stays', async (word, units) => {
    localStorage.setItem(KEPT, JSON.stringify({ state: { units: word, face: 'early' }, version: 0 }));
    await usePreferences.persist.rehydrate();
    expect(usePreferences.getState()).toMatchObject({ units, face: 'dark', language: 'en', cups: false, wholeBoards: true });
  });

  it.each([0, 1, 2, 3])('kept in part, by release %i, the rest is as for everybody', async (version) => {
    const all = usePreferences.getInitialState();
    for (const [name, value] of Object.entries(all).filter(([, kept]) => typeof kept !== 'function')) {
      usePreferences.setState(all, true);
      localStorage.setItem(KEPT, JSON.stringify({ state: { [name]: value }, version }));
      await usePreferences.persist.rehydrate();
      expect({ ...usePreferences.getState(), wholeBoards: false }).toEqual({ ...all, wholeBoards: false });
    }
  });

  it('units of today come back as they were kept', async () => {
    const gas = unitSets[3]!;
    localStorage.setItem(KEPT, JSON.stringify({ state: { units: gas, language: 'en', face: 'light' }, version: 1 }));
    await usePreferences.persist.rehydrate();
    expect(usePreferences.getState().units).toEqual(gas);
  });

  it('one key goes through every set and comes back', () => {
    const round = unitSets.reduce<(typeof unitSets)[number][]>((seen) => [...seen, nextUnits(seen.at(-1)!)], [metric]);
    expect(round).toEqual([...unitSets, metric]);
  });
});
