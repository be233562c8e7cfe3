import { publishedIngredients, readIngredientList } from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { printedOf } from '../../ui/form/nutrition-panel';
import { labelOf, reasonNot, rowsOfBox } from './label-of-box';

const ingredients = publishedIngredients();
const list = readIngredientList('White rice flour, potato starch (32 %), tapioca flour, contains 2 % or less of xanthan gum', ingredients);
const rows = rowsOfBox(list, {});
const voice = voiceOf();

describe('a box as it is typed', () => {
  it('takes every name it knows, with what the list declares', () => {
    expect(rows.every(({ sure, id }) => sure && id !== null)).toBe(true);
    expect(rows[1]).toMatchObject({ declaredShare: 0.32 });
    expect(rows.at(-1)).toMatchObject({ id: 'xanthan', inTail: true });
  });

  it('asks about a name nobody knows until it is said', () => {
    const unknown = readIngredientList('White rice flour, moonroot powder', ingredients);
    const open = rowsOfBox(unknown, {});
    expect(reasonNot({ rows: open, printed: [], basisG: 30 }, voice)).toMatch(/moonroot/);
    const said = rowsOfBox(unknown, { [open[1]!.written]: 'xanthan' });
    expect(reasonNot({ rows: said, printed: [], basisG: 30 }, voice)).toBeNull();
  });

  it('reads a panel as it is printed: units, a comma, less than one; leaves out what is not there', () => {
    expect(printedOf('us', { fat: '1.5 g', protein: '< 1', sodiumMg: '5 mg', fibre: ' ', energyKcal: '110 kcal' })).toEqual(
      expect.arrayContaining([
        { nutrient: 'fat', printed: 1.5 },
        { nutrient: 'protein', printed: 1, lessThan: true },
        { nutrient: 'sodiumMg', printed: 5 },
        { nutrient: 'energyKcal', printed: 110 },
      ]),
    );
    expect(printedOf('eu', { fat: '1,5' })).toEqual([{ nutrient: 'fat', printed: 1.5 }]);
  });

  it('says what is missing, one thing at a time, and the limit of the serving', () => {
    expect(reasonNot({ rows: [], printed: [], basisG: 30 }, voice)).toMatch(/Paste/);
    expect(reasonNot({ rows, printed: printedOf('us', { fat: 'some' }), basisG: 30 }, voice)).toMatch(/Fat/);
    expect(reasonNot({ rows, printed: [], basisG: 2000 }, voice)).toMatch(/1 to 1000/);
    expect(reasonNot({ rows, printed: [], basisG: NaN }, voice)).toMatch(/number/);
  });

  it('is sent as the server takes it', () => {
    const label = labelOf({ rows, printed: printedOf('us', { fat: '1' }), basisG: 30 }, 'us');
    expect(label.items[0]).toEqual({ ingredientId: rows[0]!.id });
    expect(label.items.at(-1)).toEqual({ ingredientId: 'xanthan', inTail: true });
    expect(label).toMatchObject({ rule: 'us', basisG: 30, panel: [{ nutrient: 'fat', printed: 1 }] });
  });
});
