import { demoLots, type Lot } from '@north-leaf/core';
import { emptyLot, formOfLot, lotOfForm, numberOf } from './lot-of-form';

describe('a lot and its form', () => {
  it.each(demoLots.map((lot): [string, Lot] => [lot.id, lot]))('%s comes back as it went in', (_id, lot) => {
    expect(lotOfForm(formOfLot(lot), lot.id, lot.ingredientId)).toEqual(lot);
  });
  it('reads numbers as a baker types them', () => {
    const form = {
      ...emptyLot,
      code: ' 7 ',
      onHandG: '3.1 kg',
      packCost: '12,40',
      packG: '2 lb',
      mgPerKg: '< 5',
      reportOn: '2026-10-01',
      moisture: '11.9 %',
    };
    expect(lotOfForm(form, 'x', 'teff')).toEqual({
      id: 'x',
      ingredientId: 'teff',
      code: '7',
      onHandG: 3100,
      packG: expect.closeTo(907.18474, 4),
      packCostMinor: 1240,
      moistureShare: 0.119,
      report: { mgPerKg: 5, below: true, method: 'not said', on: '2026-10-01' },
    });
  });
  it.each([
    ['12 parsec', 'g'],
    ['a few', '%'],
  ])('%s is no number of %s', (text, unit) => expect(numberOf(text, unit)).toBeUndefined());
});
