import fc from 'fast-check';
import { bestLayout, piecesOnTray } from './layout.js';

describe('sheet layout', () => {
  it('fills a sheet with whole pieces: 10000 mm2 gives six of 40 mm', () => {
    expect(bestLayout(10000, 40, 40, 0)).toMatchObject({ pieces: 6 });
  });

  it('gives nothing where not one piece fits', () => {
    expect(bestLayout(900, 40, 40, 0).pieces).toBe(0);
  });

  it('never lays out more dough than there is', () => {
    const mm = fc.double({ min: 10, max: 120, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 1000, max: 400000, noNaN: true }),
        mm,
        mm,
        fc.double({ min: 0, max: 15, noNaN: true }),
        (area, width, length, trim) => {
          const { pieces, across, along, sheetWidthMm, sheetLengthMm } = bestLayout(area, width, length, trim);
          expect(pieces).toBe(across * along);
          expect(sheetWidthMm * sheetLengthMm).toBeLessThanOrEqual(area * (1 + 1e-6));
        },
      ),
    );
  });

  it('takes the better way round on a tray: 45 mm squares with 6 mm gaps, 35 on 400 x 300', () => {
    // (400 - 6) / 51 = 7.7 and (300 - 6) / 51 = 5.8: seven by five (hand sum).
    expect(piecesOnTray(400, 300, 45, 45, 6)).toBe(35);
    expect(piecesOnTray(400, 300, 20, 190, 6)).toBe(piecesOnTray(400, 300, 190, 20, 6));
  });
});
