import { publishedIngredients, readList, type ReadLine } from '@north-leaf/core';
import { putRight } from './put-right';

const pantry = { ingredients: publishedIngredients(), lots: {} };
const how = { filling: 'spooned' as const, own: {} };
const line = (text: string): ReadLine => readList(text, pantry.ingredients)[0]!;

describe('a line that the baker puts right', () => {
  const read = line('1 cup white rice flour');

  it('stays as it was read while nothing is said', () => expect(putRight(read, undefined, pantry, how)).toBe(read));

  it('weighs the same measure of another ingredient', () => {
    const other = putRight(read, { ingredientId: 'butter_unsalted' }, pantry, how);
    expect(other).toMatchObject({ ingredientId: 'butter_unsalted', asks: false });
    expect(other.mass!.massG).toBeGreaterThan(read.mass!.massG);
  });

  it('takes a mass as it is set, without a doubt in it', () => {
    expect(putRight(read, { massG: 120 }, pantry, how).mass).toMatchObject({ massG: 120, sdG: 0 });
  });

  it('keeps what was read where the chosen one is nobody’s', () => {
    expect(putRight(read, { ingredientId: 'nobody' }, pantry, how).ingredientId).toBe(read.ingredientId);
  });

  it('goes on top, or back into the dough, as it is said', () => {
    const onTop = putRight(read, { part: { use: 'topping' } as never }, pantry, how);
    expect(onTop.part).toEqual({ use: 'topping' });
    expect(putRight(onTop, { part: { use: 'dough' } as never }, pantry, how).part).toBeUndefined();
  });
});
