import { imperial, metric, type CutStep } from '@north-leaf/core';
import { stepWords } from './cut-words';

const steps: readonly (readonly [string, CutStep, string])[] = [
  ['a roll', { kind: 'roll', widthMm: 300, lengthMm: 400, thicknessMm: 2.4, lots: 1 }, 'Roll to 300 mm × 400 mm, 2.4 mm thin'],
  ['rolls', { kind: 'roll', widthMm: 300, lengthMm: 400, thicknessMm: 2.4, lots: 2 }, 'Roll to 300 mm × 400 mm, 2.4 mm thin, 2 sheets'],
  ['a trim', { kind: 'trim', byMm: 5 }, 'Trim 5 mm off each side'],
  ['no line', { kind: 'lines', along: 'width', everyMm: 40, atMm: [] }, 'No cut across'],
  ['a line', { kind: 'lines', along: 'length', everyMm: 40, atMm: [40] }, '1 cut along every 40 mm: at 40 mm'],
  ['lines', { kind: 'lines', along: 'width', everyMm: 40, atMm: [40, 80, 120] }, '3 cuts across every 40 mm: at 40, 80, 120 mm'],
];

describe('how a sheet is cut, in words', () => {
  it.each(steps)('%s', (_, step, says) => expect(stepWords(step, metric)).toBe(says));

  it('leaves out the middle of many lines, never the last', () => {
    const atMm = [40, 80, 120, 160, 200, 240, 280];
    expect(stepWords({ kind: 'lines', along: 'width', everyMm: 40, atMm }, metric)).toBe(
      '7 cuts across every 40 mm: at 40, 80, 120, 160, …, 280 mm',
    );
  });

  it.each<CutStep>([
    { kind: 'slant', everyMm: 40, angleDeg: 60, count: 5 },
    { kind: 'zigzag', everyMm: 80, halfMm: 40, perStrip: 9 },
    { kind: 'cutter', everyMm: 62, rowMm: 54, shiftMm: 31, turned: true },
    { kind: 'window', of: 12 },
    { kind: 'dock', everyMm: 20, pattern: 'staggered', perPiece: 4 },
  ])('$kind says its numbers in the baker’s unit', (step) => {
    expect(stepWords(step, metric)).not.toMatch(/\{\{|undefined|NaN/);
    expect(stepWords(step, imperial)).not.toMatch(/\d mm/);
  });

  it('counts holes', () => {
    const dock = (perPiece: number) => stepWords({ kind: 'dock', everyMm: 20, pattern: 'inLine', perPiece }, metric);
    expect(dock(1)).toMatch(/1 hole a piece/);
    expect(dock(4)).toMatch(/4 holes a piece/);
  });
});
