import { demoLots, type Lot } from '@north-leaf/core';
import { asBefore, emptyLot, formOfLot, knownByBarcode, lotOfForm, numberOf } from './lot-of-form';

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

describe('a pack that was here before', () => {
  const lot = (over: Partial<Lot>): Lot => ({ id: 'a', ingredientId: 'sorghum', code: '1', ...over });
  const lots = {
    a: lot({ barcode: '5601234567890', supplier: 'The mill', packG: 1000, packCostMinor: 390 }),
    b: lot({ id: 'b', barcode: '5601234567890', supplier: 'Another mill' }),
    c: lot({ id: 'c' }),
  };
  it('is known by its barcode, the newest of them, and by nothing else', () => {
    expect(knownByBarcode(lots, ' 5601234567890 ')?.id).toBe('b');
    expect(knownByBarcode(lots, '560123')).toBeUndefined();
    expect(knownByBarcode(lots, '')).toBeUndefined();
  });
  it('brings what the next pack has too, over nothing that was typed', () => {
    expect(asBefore({ ...emptyLot, supplier: 'Mine' }, lots.a)).toEqual({ packG: '1000', packCost: '3.9' });
  });
});
