import fc from 'fast-check';
import { applyEdits } from '../document/edits.js';
import { aFilling, aFormula, aStarter, kitchen, resultOf, WATER, worked } from '../worked/a-formula.js';
import { cutOrder } from './cut/cut-order.js';
import { planSheet, piecesFromMass } from './plan.js';
import { templatesOf } from './cut/templates.js';
import { fittingCutter } from './cut/cutters.js';
import { waysToCut } from './ways.js';
import type { Json } from '../document/edits.js';
import type { CutShape, Formula, Part, Shape } from '../document/formula.js';

const sheet = (set: Record<string, Json> = {}, itsKitchen = kitchen) => resultOf(worked(aFormula(set), itsKitchen), 'sheet');
const shape = (one: Shape): Record<string, Json> => ({ '/sheet/parts/0/shape': one as unknown as Json });
const withParts = (parts: readonly Partial<Part>[], set: Record<string, Json> = {}): Formula =>
  applyEdits(aFormula(set), [
    {
      path: '/sheet/parts',
      from: aFormula(set).sheet.parts as never,
      to: parts.map((part, i) => ({ key: `q${i}`, perPiece: 1, thicknessMm: 3, ...part })) as never,
    },
  ]);
const shapes: CutShape[] = [
  { kind: 'rectangle', widthMm: 45, lengthMm: 60 },
  { kind: 'round', acrossMm: 50 },
  { kind: 'hexagon', acrossMm: 48 },
  { kind: 'heart', acrossMm: 60 },
  { kind: 'triangle', baseMm: 60, heightMm: 90 },
  { kind: 'diamond', widthMm: 40, angleDeg: 55 },
];

describe('sheet stage', () => {
  it('sums the demo cracker by hand', () => {
    const { pieceG, pieces, rolls, scrapG, rerollDustG } = sheet();
    // 1.2 g/ml x 45 x 45 x 2.4 mm = 5.832 g; (413.9 + 6 of dust) g in, 66 pieces from the first sheet; 34.988 g of trim take up
    // 1.5 % of dust and give 4 more.
    expect(pieceG).toBeCloseTo(5.832, 9);
    expect(pieces).toBe(70);
    expect(rolls.map((roll) => roll.pieces)).toEqual([66, 4]);
    expect(rerollDustG).toBeCloseTo(0.015 * (419.9 - 66 * 5.832), 9);
    expect(scrapG).toBeCloseTo(419.9 + rerollDustG - 70 * 5.832, 6);
  });

  it('half the thickness gives twice the pieces, within a row', () => {
    const thin = sheet({ '/sheet/parts/0/thicknessMm': 1.2 }).pieces;
    expect(Math.abs(thin - 2 * sheet().pieces)).toBeLessThanOrEqual(12);
  });

  it('thicker is never more pieces, in any shape, and no gram is lost', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.double({ min: 150, max: 3000, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('no', 'once', 'tillGone'),
        (cut, thicknessMm, massG, lots, reroll) => {
          const of = (mm: number) =>
            planSheet(
              aFormula({ ...shape(cut), '/sheet/parts/0/thicknessMm': mm, '/sheet/lots': lots, '/sheet/reroll': reroll }),
              kitchen,
              massG,
            );
          const plan = of(thicknessMm);
          expect(plan.pieces * plan.pieceDoughG + plan.scrapG).toBeCloseTo(massG + plan.dustG, 6);
          expect(plan.scrapG).toBeGreaterThanOrEqual(-1e-9);
          // Re-rolling floors at every roll: only the first sheet is held to it.
          if (reroll === 'no') expect(of(thicknessMm * 1.25).pieces).toBeLessThanOrEqual(plan.pieces);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('rolling the trim again gives at least as many, till gone the most', () => {
    const of = (reroll: string) => sheet({ '/sheet/reroll': reroll, '/sheet/trimMm': 12 }).pieces;
    expect(of('once')).toBeGreaterThanOrEqual(of('no'));
    expect(of('tillGone')).toBeGreaterThanOrEqual(of('once'));
  });

  it('each roll takes up dust and is drier; between film none is taken', () => {
    const dusted = sheet({ '/sheet/reroll': 'tillGone', '/sheet/trimMm': 15 });
    expect(dusted.rolls.length).toBeGreaterThan(1);
    expect(dusted.rolls[0]!.dustG).toBe(0);
    for (const roll of dusted.rolls.slice(1)) expect(roll.dustG / (roll.massG - roll.dustG)).toBeCloseTo(0.015, 9);
    expect(sheet({ '/sheet/reroll': 'tillGone', '/sheet/trimMm': 15, '/rows/7/amountG': 0 }).rerollDustG).toBe(0);
  });

  it('topping goes on the pieces and weighs on them; dust goes into the sheet', () => {
    const topped = sheet({ '/rows/8': { key: 't', ingredientId: 'poppy', amountG: 14, use: 'topping' } });
    expect(topped.pieceG).toBeCloseTo(5.832 + 14 / 70, 6);
    expect(sheet({ '/rows/7/amountG': 30 }).pieces).toBeGreaterThan(sheet({ '/rows/7/amountG': 0 }).pieces);
  });

  it('a piece waits at the table, then firms where it is put', () => {
    expect(sheet().pieceC).toBeGreaterThan(resultOf(worked(aFormula()), 'chill').endMiddleC);
    expect(sheet().pieceC).toBeLessThanOrEqual(kitchen.roomC);
    expect(sheet({ '/sheet/waits': [{ placeId: 'freezer', min: 10 }] }).pieceC).toBeLessThan(0);
  });

  it('a weighed piece sets the density of the dough, and all that follows from it', () => {
    const light = sheet({ '/sheet/densityGPerMl': 1 });
    expect(light.pieceDoughG).toBeCloseTo(45 * 45 * 2.4 * 1e-3, 9);
    expect(light.pieces).toBeGreaterThan(sheet().pieces);
  });

  it('counts the trays it fills, evenly, and the loads of the oven', () => {
    expect(sheet()).toMatchObject({ piecesPerTray: 35, traysNeeded: 2, trays: [35, 35], loads: 2 });
    expect(sheet({ '/bake/traysAtOnce': 2 }).loads).toBe(1);
    const more = sheet({ '/blendG': 720, [WATER]: 306 });
    expect(more.traysNeeded).toBeGreaterThan(2);
    expect(Math.max(...more.trays) - Math.min(...more.trays)).toBeLessThanOrEqual(1);
    expect(more.trays.reduce((sum, n) => sum + n, 0)).toBe(more.pieces);
  });

  it('cut after baking, the sheet is what bakes: one a tray, and its skeleton is left over', () => {
    const whole = sheet({ '/sheet/cut': 'hot', ...shape({ kind: 'round', acrossMm: 50 }), '/sheet/lots': 2 });
    expect(whole.body.form).toBe('sheet');
    expect(whole).toMatchObject({ traysNeeded: 2 });
    expect(whole.rolls).toHaveLength(1);
    expect(whole.acrossMm).toBeGreaterThan(150);
    // Rounds leave at least the tenth that the closest packing leaves.
    expect(whole.scrapShare).toBeGreaterThan(1 - Math.PI / (2 * Math.sqrt(3)));
  });
});

describe('room on the tray', () => {
  it('squares of 45 mm on a tray: counted by hand', () => {
    // In a row n pieces and n - 1 gaps between two bare edges.
    const { widthMm, lengthMm } = kitchen.trays.find(({ id }) => id === aFormula().bake.trayId)!;
    const along = (mm: number, gap: number, edge: number) => Math.floor((mm - 2 * edge + gap) / (45 + gap));
    for (const [gap, edge] of [
      [0, 0],
      [6, 10],
      [20, 10],
      [6, 40],
    ] as const)
      // prettier-ignore
      expect(sheet({ '/sheet/trayGapMm': gap, '/sheet/trayEdgeMm': edge })).toMatchObject({
        gapMm: gap,
        edgeMm: edge,
        piecesPerTray: along(widthMm, gap, edge) * along(lengthMm, gap, edge),
      });
  });
  it('of what spreads is as it spreads until it is said otherwise; the oven sees what is said', () => {
    const cookie = resultOf(worked(aStarter('cookie_scooped')), 'sheet');
    expect(cookie.spreadsMm).toBeGreaterThan(10);
    expect(cookie.gapMm).toBeGreaterThan(cookie.spreadsMm);
    const wide = worked(aFormula({ '/sheet/trayGapMm': 60 }));
    // More bare tray a piece draws on: its base browns faster (see worked/practice, bare tray).
    expect(resultOf(wide, 'bake').end.baseTone).toBeGreaterThan(resultOf(worked(aFormula()), 'bake').end.baseTone);
  });
  it.each([
    ['/sheet/trayGapMm', 201, /from 0 to 200 mm/],
    ['/sheet/trayGapMm', -1, /from 0 to 200 mm/],
    ['/sheet/trayEdgeMm', 150, /from 0 to 100 mm/],
  ] as const)(
    // prettier-ignore
    '%s of %s is refused with its limits',
    (path, value, words) => expect(JSON.stringify(worked(aFormula({ [path]: value })).sheet)).toMatch(words),
  );
});

describe('parts', () => {
  const mass = (formula: Formula, g = 1200) => planSheet(formula, kitchen, g);

  it('a window cookie takes two cut-outs, its windows go back, and an odd one is said', () => {
    const cut: CutShape = { kind: 'round', acrossMm: 60 };
    const plan = mass(withParts([{ shape: cut }, { shape: cut, window: { kind: 'heart', acrossMm: 28 } }], { '/sheet/reroll': 'no' }), 600);
    const [bottom, top] = plan.parts;
    expect(bottom!.massG).toBeCloseTo((1.2 * Math.PI * 900 * 3) / 1000, 9);
    expect(bottom!.massG - top!.massG).toBeCloseTo((1.2 * 3 * 28 ** 2 * 0.6127) / 1000, 3);
    expect(plan.pieces).toBe(Math.floor(plan.layout!.pieces / 2));
    expect(plan.oddCuts).toBe(plan.layout!.pieces % 2);
    expect(() => mass(withParts([{ shape: cut, window: { kind: 'round', acrossMm: 58 } }]))).toThrow(/3 mm on every side/);
  });

  it('a pie with a lid weighs its two discs (public case CP06: 317.5 and 277 mm of a 229 mm plate)', () => {
    const plates = {
      pans: [{ id: 'p', name: 'Plate', count: 4, topMm: 229, bottomMm: 178, depthMm: 38, rimMm: 12, material: 'glass' as const }],
    };
    const pie = withParts([{ shape: { kind: 'lining', overhangMm: 12 } }, { shape: { kind: 'lid', overhangMm: 12, domeMm: 0 } }], {
      '/bake/panId': 'p',
      '/sheet/trimMm': 0,
    });
    const plan = planSheet(pie, plates, 1200);
    expect(plan.parts.map(({ widthMm }) => widthMm)).toEqual([expect.closeTo(317.526, 3), expect.closeTo(277, 9)]);
    expect(plan.parts.map(({ massG }) => massG)).toEqual([expect.closeTo(285.07, 2), expect.closeTo(216.946, 3)]);
    // 57 to 43, not two thirds to one third.
    expect(plan.parts[0]!.massG / plan.pieceDoughG).toBeCloseTo(0.568, 3);
    expect(plan.pieces).toBe(2);
  });

  it('strips of a lattice are cut side by side from one sheet as long as the longest, a trim all round', () => {
    const lattice: Shape = { kind: 'lattice', stripMm: 20, gapMm: 15, overhangMm: 8 };
    const pie = (trimMm: number) =>
      withParts([{ shape: { kind: 'lining', overhangMm: 12 } }, { shape: lattice }], { '/bake/panId': 'pie-230', '/sheet/trimMm': trimMm });
    const [lining, strips] = planSheet(pie(0), kitchen, 800).parts;
    for (const trimMm of [0, 6]) {
      const disc = lining!.areaMm2 + 4 * trimMm * lining!.widthMm + 4 * trimMm ** 2;
      const sheetMm2 = (strips!.lengthMm + 2 * trimMm) * (14 * 20 + 2 * trimMm);
      const needG = (1.2 * 3 * (disc + sheetMm2)) / 1000;
      expect(piecesFromMass(pie(trimMm), kitchen, needG * 0.999)).toBe(0);
      expect(piecesFromMass(pie(trimMm), kitchen, needG * 1.001)).toBe(1);
    }
  });

  it('a part for a pan asks for the pan', () => {
    expect(() => mass(withParts([{ shape: { kind: 'lining', overhangMm: 12 } }]))).toThrow(/choose the pan/);
  });

  it('portions are equal to the gram, and what is left is no piece', () => {
    const plan = mass(withParts([{ shape: { kind: 'portion', pieceG: 35, form: 'drop' }, thicknessMm: 18 }]), 400);
    expect(plan).toMatchObject({ pieces: 11, pieceDoughG: expect.closeTo(35, 9) as number });
    expect(plan.scrapG).toBeCloseTo(15, 9);
  });

  it.each<[string, Partial<Part>[], Record<string, Json>, RegExp]>([
    ['a crossed outline', [{ shape: { kind: 'outline', pointsMm: [[0, 0], [50, 50], [50, 0], [0, 50]] } }], {}, /crosses itself/], // prettier-ignore
    ['an outline of two points', [{ shape: { kind: 'outline', pointsMm: [[0, 0], [50, 50]] } }], {}, /at least three points/], // prettier-ignore
    ['a fourth of a part', [{ shape: shapes[0]!, perPiece: 1.25 }], {}, /whole number/],
    ['a flat diamond', [{ shape: { kind: 'diamond', widthMm: 40, angleDeg: 5 } }], {}, /from 20 to 90/],
    ['a dough of lead', [{ shape: shapes[0]! }], { '/sheet/densityGPerMl': 11 }, /from 0.4 to 1.8/],
    ['a shrink of a half and more', [{ shape: shapes[0]! }], { '/sheet/shrink': { alongShare: 0.6, acrossShare: 0 } }, /from -0.5 to 0.5/],
  ])('%s is refused with the way to mend it', (_name, parts, set, says) => {
    const { sheet: stage } = worked(withParts(parts, set));
    expect(stage.state === 'waiting' && stage.problem?.message).toMatch(says);
  });
});

describe('what stands in the oven', () => {
  const bodyOf = (formula: Formula) => resultOf(worked(formula), 'sheet').body;

  it('a triangle rolled up is a spindle: its volume is that of the flat triangle', () => {
    const triangle: Shape = { kind: 'triangle', baseMm: 90, heightMm: 200 };
    const { heightMm, widthMm, lengthMm, areaMm2 } = bodyOf(withParts([{ shape: triangle, body: 'rolledUp', thicknessMm: 6 }]));
    // The integral of pi/4 D(x)2 over the base, D2 falling evenly to the tips: half of its middle section times the base.
    expect(((Math.PI / 4) * widthMm ** 2 * lengthMm) / 2).toBeCloseTo((90 * 200 * 6) / 2, 6);
    expect(heightMm).toBeCloseTo((Math.PI / 4) * widthMm, 9);
    let shadow = 0;
    for (let i = 0; i < 20000; i++) shadow += (widthMm * Math.sqrt(1 - Math.abs((2 * (i + 0.5)) / 20000 - 1)) * lengthMm) / 20000;
    expect(areaMm2).toBeCloseTo(shadow, 0);
    expect(heightMm).toBeGreaterThan(25);
  });

  it('so it is not baked as a 6 mm slab', () => {
    const flat = withParts([{ shape: { kind: 'triangle', baseMm: 90, heightMm: 200 }, thicknessMm: 6 }], { '/family': 'croissant' });
    const rolled = applyEdits(flat, [{ path: '/sheet/parts/0/body', to: 'rolledUp' }]);
    const [thin, thick] = [flat, rolled].map((formula) => resultOf(worked(formula), 'bake'));
    expect(thick!.curve.thicknessMm[0]).toBeGreaterThan(4 * thin!.curve.thicknessMm[0]!);
    expect(thick!.end.moistureShare).toBeGreaterThan(thin!.end.moistureShare);
  });

  it('a proved one has grown by its volume; the practice row of a croissant (35 mm, 65 across) is near', () => {
    const { proved, heightMm, acrossMm } = bodyOf(aStarter('croissant'));
    expect(proved).toBe(1.5);
    expect(Math.abs(heightMm - 35)).toBeLessThan(4);
    expect(Math.abs(acrossMm - 65)).toBeLessThan(12);
  });

  it('and wants room on the tray to go on growing; what was not proved lies closer', () => {
    const gap = (formula: Formula) => resultOf(worked(formula), 'sheet').gapMm;
    expect(gap(aStarter('croissant'))).toBe(25);
    expect(gap(aStarter('puff'))).toBe(6);
  });

  it('a ball is as large as its grams: 60 g at 1.2 g/ml is 45.7 mm (hand sum)', () => {
    const { acrossMm, heightMm } = bodyOf(withParts([{ shape: { kind: 'portion', pieceG: 60, form: 'ball' } }]));
    expect(acrossMm).toBeCloseTo(45.71, 2);
    expect(heightMm).toBeCloseTo((2 / 3) * acrossMm, 9);
  });

  it('dough closed round a filling has a wall under and over it', () => {
    const formula = withParts([{ shape: { kind: 'portion', pieceG: 40, form: 'ball' }, body: 'wrapped' }], {
      '/rows/8': aFilling('jam', 100, 'f'),
    });
    const { form, heightMm, lidMm } = bodyOf(formula);
    expect(form).toBe('wrapped');
    expect(lidMm).toBeCloseTo(heightMm, 12);
    expect(resultOf(worked(formula), 'bake').filling).not.toBeNull();
  });

  it('batter stands at its level: 60 g in a cup of 84.7 ml fills it to 0.59 of its depth', () => {
    const formula = withParts([{ shape: { kind: 'portion', pieceG: 60, form: 'poured' } }], { '/bake/panId': 'muffin-12' });
    // Frustum by hand: pi 30 / 12 (70^2 + 70 x 50 + 50^2) = 85.6 ml.
    expect(bodyOf(formula)).toMatchObject({ form: 'poured', heightMm: expect.closeTo((30 * 50) / 85.61, 2) as number });
  });

  it('a lid bakes over its filling, and shields it', () => {
    const open = withParts([{ shape: { kind: 'lining', overhangMm: 10 } }], {
      '/family': 'pie_flaky',
      '/bake/panId': 'pie-230',
      '/blendG': 480,
      [WATER]: 204,
      '/rows/8': aFilling('blueberries', 500, 'f'),
    });
    const lidded = applyEdits(open, [
      { path: '/sheet/parts/1', to: { key: 'lid', perPiece: 1, thicknessMm: 3, shape: { kind: 'lid', overhangMm: 0, domeMm: 5 } } },
    ]);
    expect(bodyOf(open).lidMm).toBeNull();
    expect(bodyOf(lidded).lidMm).toBe(3);
    const [bare, covered] = [open, lidded].map((formula) => resultOf(worked(formula), 'bake'));
    // An open rim is not modelled, so only under a lid is a pie asked to be golden.
    expect(bare!.goldenFromTone).toBe(1);
    expect(covered!.goldenFromTone).toBeGreaterThan(1);
    expect(covered!.end.lossShare).toBeLessThan(bare!.end.lossShare);
  });
});

describe('ways to cut', () => {
  const { cutters = [], ...bare } = kitchen;
  const ways = waysToCut(aFormula(), bare, 419.9);

  it('begins with the formula’s own, and every other way weighs about as much a piece', () => {
    expect(ways[0]).toMatchObject({ own: true, pieces: 70, fromScraps: 4 });
    for (const { pieceG } of ways) expect(Math.abs(pieceG / ways[0]!.pieceG - 1)).toBeLessThan(0.06);
    expect(ways.length).toBeGreaterThan(5);
  });

  it('what fits edge to edge leaves least', () => {
    const left = (kind: string) => Math.min(...ways.filter(({ shape: one }) => one.kind === kind).map(({ scrapG }) => scrapG));
    expect(left('rectangle')).toBeLessThan(left('round'));
    expect(left('rectangle')).toBeLessThan(left('heart'));
  });

  it('where cutters are named, what only a cutter cuts is one of them, the nearest first; a knife cuts any size', () => {
    const [own, ...others] = waysToCut(aFormula(), kitchen, 419.9);
    expect(own!.cutter).toBeUndefined();
    expect(others.slice(0, 3).map(({ cutter }) => cutter)).toEqual(['Hexagon cutter 48', 'Round cutter 50', 'Round cutter 65']);
    expect(others.slice(3).map(({ shape: { kind } }) => kind)).toEqual(['rectangle', 'diamond', 'triangle']);
    const rounds = waysToCut(aFormula(shape({ kind: 'round', acrossMm: 50 })), kitchen, 419.9);
    expect(rounds.filter(({ cutter }) => cutter === 'Round cutter 50')).toEqual([expect.objectContaining({ own: true })]);
  });

  it('a cutter fits what is within a quarter of its size, and its own kind', () => {
    const fits = (one: CutShape) => fittingCutter(one, cutters)?.id;
    expect(fits({ kind: 'round', acrossMm: 56 })).toBe('round-50');
    expect(fits({ kind: 'round', acrossMm: 59 })).toBe('round-65');
    expect(fits({ kind: 'round', acrossMm: 90 })).toBeUndefined();
    expect(fits({ kind: 'heart', acrossMm: 50 })).toBeUndefined();
    const oblong = { id: 'o', name: 'Oblong', kind: 'rectangle' as const, acrossMm: 40, lengthMm: 70 };
    expect(fittingCutter({ kind: 'rectangle', widthMm: 70, lengthMm: 40 }, [oblong])).toBe(oblong);
  });

  it('says nothing where the piece has several parts or is rolled up', () => {
    expect(waysToCut(aStarter('croissant'), kitchen, 800)).toEqual([]);
    expect(waysToCut(withParts([{ shape: shapes[1]! }, { shape: shapes[1]! }]), kitchen, 800)).toEqual([]);
  });
});

describe('order of cuts', () => {
  const order = (cut: CutShape, set: Record<string, Json> = {}) => {
    const formula = aFormula({ ...shape(cut), ...set });
    return cutOrder(formula, planSheet(formula, kitchen, 419.9).layout!);
  };

  it('squares: roll, trim, across, along, prick, with every place on the ruler', () => {
    const steps = order({ kind: 'rectangle', widthMm: 45, lengthMm: 45 });
    expect(steps.map(({ kind }) => kind)).toEqual(['roll', 'trim', 'lines', 'lines', 'dock']);
    expect(steps[2]).toMatchObject({ along: 'width', everyMm: 45, atMm: [45, 90, 135, 180, 225] });
    expect((steps[3] as { atMm?: number[] } | undefined)?.atMm).toHaveLength(10);
  });

  it('triangles zigzag, diamonds slant, the rest is cut by a cutter', () => {
    expect(order(shapes[4]!).map(({ kind }) => kind)).toContain('zigzag');
    expect(order(shapes[5]!).find(({ kind }) => kind === 'slant')).toMatchObject({
      angleDeg: 55,
      everyMm: expect.closeTo(40 / Math.sin((55 * Math.PI) / 180), 9) as number,
    });
    expect(order(shapes[1]!).find(({ kind }) => kind === 'cutter')).toBeDefined();
  });

  it('9 x 12 in gives twelve squares of 3 in, 380 mm twenty-five (common practice, no source)', () => {
    const on = (w: number, l: number, side: number) => piecesFromMass(aFormula({ ...shape({ kind: 'rectangle', widthMm: side, lengthMm: side }), '/sheet/trimMm': 0, '/sheet/reroll': 'no' }), kitchen, 1.2 * w * l * 2.4 * 1e-3); // prettier-ignore
    expect(on(228.6, 304.8, 76.2)).toBe(12);
    expect(on(380, 380, 76)).toBe(25);
  });
});

describe('templates', () => {
  const boxOf = (path: string) => {
    const numbers = [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)(?=[LMZAa]|$)/g)].map(([, x, y]) => [Number(x), Number(y)]);
    return numbers;
  };

  it('a ring tart: its disc and one strip, two of them', () => {
    const formula = withParts([{ shape: { kind: 'base' } }, { shape: { kind: 'side', overlapMm: 10 } }], { '/bake/panId': 'ring-220' });
    const [base, side] = templatesOf(formula, kitchen, 800);
    expect(base).toMatchObject({ name: 'Base', widthMm: 220, lengthMm: 220 });
    expect(side).toMatchObject({
      name: 'Side strip',
      widthMm: 30,
      count: 2,
      lengthMm: expect.closeTo((Math.PI * 220 + 20) / 2, 6) as number,
    });
    expect(boxOf(side!.cut[0]!)).toContainEqual([30, Number(((Math.PI * 220 + 20) / 2).toFixed(3))]);
  });

  it('a lattice: one template a length, as many as both directions take', () => {
    const formula = withParts(
      [{ shape: { kind: 'lining', overhangMm: 10 } }, { shape: { kind: 'lattice', stripMm: 20, gapMm: 15, overhangMm: 10 } }],
      { '/bake/panId': 'pie-230' },
    );
    const strips = templatesOf(formula, kitchen, 800).slice(1);
    expect(strips.map(({ count }) => count).reduce((sum, n) => sum + n, 0)).toBe(14);
    expect(new Set(strips.map(({ lengthMm }) => lengthMm)).size).toBe(strips.length);
  });

  it('a window stands in the middle of its piece', () => {
    const cut: CutShape = { kind: 'rectangle', widthMm: 60, lengthMm: 40 };
    const [, top] = templatesOf(
      withParts([{ shape: cut }, { shape: cut, window: { kind: 'rectangle', widthMm: 20, lengthMm: 10 } }]),
      kitchen,
      800,
    );
    expect(boxOf(top!.cut[1]!)).toEqual([[20, 15], [40, 15], [40, 25], [20, 25]]); // prettier-ignore
  });
});
