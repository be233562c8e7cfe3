import { feelWords, spoons } from './feel-words';

describe('words of the feel step', () => {
  it('counts spoons as hands do', () => {
    expect([0.5, 1, 1.5, 2].map(spoons)).toEqual(['half a spoon', '1 spoon', '1½ spoons', '2 spoons']);
  });
  it('tells how to feel by what is right for the dough', () => {
    expect(feelWords(['sticks'])).toMatch(/spoonful/);
    expect(feelWords(['tacky'], 'poured')).toMatch(/ribbon/);
    expect(feelWords(['rollsClean', 'cracks'])).toMatch(/need not bend/);
    expect(feelWords(['rollsClean', 'tacky'])).toMatch(/palms/);
    expect(feelWords(['rollsClean'])).toMatch(/bend it/);
  });
});
