import { imperial, metric } from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { readMass } from './typed-mass';

describe('a weight as it is typed', () => {
  it.each([
    ['62', metric, 62],
    ['62,5', metric, 62.5],
    ['2 oz', metric, 56.699],
    // International ounce, by definition.
    ['2', imperial, 56.699],
    ['57 g', imperial, 57],
  ] as const)('%s', (text, units, g) => {
    expect(readMass(text, voiceOf(units)).g).toBeCloseTo(g, 3);
    expect(readMass(text, voiceOf(units)).problem).toBeNull();
  });
  it('nothing typed is neither a weight nor wrong', () => expect(readMass(' ', voiceOf())).toEqual({ g: undefined, problem: null }));
  it.each([
    ['ten', metric, {}, 'A weight is a number, got “ten”'],
    ['-4', metric, {}, 'A weight is from 0 to 100000 g'],
    ['0', metric, { above0: true }, 'A weight is above 0, at most 100000 g'],
    ['9999', imperial, {}, 'A weight is from 0 to 3527.4 oz'],
  ] as const)('%s is refused in the baker’s unit', (text, units, asked, problem) =>
    expect(readMass(text, voiceOf(units), asked)).toEqual({ g: undefined, problem }),
  );
});
