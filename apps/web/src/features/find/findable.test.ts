import { bakeNumberIn, found, type Findable } from './findable';

const one = (kind: Findable['kind'], name: string, over: Partial<Findable> = {}): Findable => ({
  id: `${kind} ${name}`,
  kind,
  name,
  ...over,
});
const all: readonly Findable[] = [
  one('place', 'Today'),
  one('command', 'New formula'),
  one('formula', 'Seeded sorghum crackers', { beside: 'Savoury cracker, v2' }),
  one('formula', 'Teff puff sticks'),
  one('bake', 'Bake 12', { beside: 'Seeded sorghum crackers', also: ['12'] }),
  one('lot', 'Lot of Sorghum flour', { beside: '8', also: ['8', 'Sorghum flour'] }),
  one('ingredient', 'Sorghum flour'),
  one('ingredient', 'Crème fraîche'),
  one('word', 'Water hold', { beside: 'Grams of cold water that a gram of this blend binds.' }),
];
const names = (typed: string) => found(all, typed).map(({ name }) => name);

describe('what a text finds', () => {
  it('nothing typed: places and what may be done', () => expect(names(' ')).toEqual(['Today', 'New formula']));
  it('what begins with it first, its kinds together, others after', () => {
    expect(names('sorghum')).toEqual(['Sorghum flour', 'Seeded sorghum crackers', 'Lot of Sorghum flour', 'Bake 12']);
  });
  it('letters without their accents', () => expect(names('creme')).toEqual(['Crème fraîche']));
  it('a sentence that has it comes last of all', () => {
    expect(names('gram')).toEqual(['Water hold']);
    expect(names('zzz')).toEqual([]);
  });
  it('many of one kind do not hide the others', () => {
    const many = Array.from({ length: 200 }, (_, i) => one('ingredient', `Rice ${i}`));
    expect(found([...many, one('formula', 'Plain rice pie')], 'rice').map(({ kind }) => kind)).toContain('formula');
  });
});

describe('a bake by its number', () => {
  it.each([
    ['12', 12],
    ['bake 12', 12],
    ['Bake #31', 31],
    ['sorghum', null],
    ['12 g of salt', null],
    ['', null],
  ])('%p is %p', (typed, number) => expect(bakeNumberIn(typed)).toBe(number));
});
