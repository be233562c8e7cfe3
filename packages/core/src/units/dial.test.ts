import fc from 'fast-check';
import { celsiusOfDial, dialOf, dialWords } from './dial.js';

describe('oven dials', () => {
  it.each<[number, number]>([
    [0.25, 225],
    [0.5, 250],
    [1, 275],
    [4, 350],
    [6, 400],
    [9, 475],
  ])('gas mark %d is %d F (common practice, no source)', (mark, fahrenheit) => {
    expect(celsiusOfDial('gas', mark)).toBeCloseTo(((fahrenheit - 32) * 5) / 9, 9);
  });
  it('mark 6 is about 200 C, as bakers say (common practice, no source)', () => {
    expect(Math.abs(celsiusOfDial('gas', 6) - 200)).toBeLessThan(5);
    expect(dialWords('gas', 200)).toBe('mark 5½');
    expect(dialWords('gas', 107)).toBe('mark ¼');
    expect(dialWords('gas', 121)).toBe('mark ½');
  });
  it('says degrees in the dial’s own unit', () => {
    expect([dialWords('C', 180.4), dialWords('F', 180)]).toEqual(['180 °C', '356 °F']);
  });
  it('there and back again, whatever the dial', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('C' as const, 'F' as const, 'gas' as const),
        fc.double({ min: 110, max: 280, noNaN: true }),
        (unit, c) => {
          expect(celsiusOfDial(unit, dialOf(unit, c))).toBeCloseTo(c, 6);
        },
      ),
      { seed: 3 },
    );
  });
});
