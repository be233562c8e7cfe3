import { imperial, metric } from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { readMeasure } from './read-measure';

describe('a value read off', () => {
  it('is taken in the baker’s unit and kept in the core’s', () => {
    expect(readMeasure('doughC', '15,4', voiceOf())).toEqual({ value: 15.4, problem: null });
    expect(readMeasure('doughC', '59', voiceOf(imperial)).value).toBeCloseTo(15, 1);
    expect(readMeasure('rawG', '10', voiceOf(imperial)).value).toBeCloseTo(283.5, 1);
    expect(readMeasure('humidityShare', '61', voiceOf()).value).toBeCloseTo(0.61, 9);
    expect(readMeasure('doughC', '15 C', voiceOf(imperial)).value).toBe(15);
    expect(readMeasure('rawMm', '', voiceOf())).toEqual({ value: undefined, problem: null });
  });
  it.each([
    ['doughC', 'warm', /Dough must be a number, got “warm”/, metric],
    ['doughC', '90', /Dough must be from -25 to 60 °C/, metric],
    ['roomC', '150', /Room must be from 14 to 140 °F/, imperial],
    ['topTone', '9', /Tone of the top must be from tone 1.0 to tone 8.0/, metric],
  ] as const)('%s %s is refused with its limit', (what, text, words, units) =>
    expect(readMeasure(what, text, voiceOf(units)).problem).toMatch(words),
  );
});
