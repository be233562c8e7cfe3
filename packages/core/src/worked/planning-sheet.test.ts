import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { freeFormOf, latticeOf, lidOf, liningOf, panInside, panToPan, sideStripOf } from '../pan/pan.js';
import { figureOf } from '../sheet/cut/figure.js';
import { fatSlabOf, laminationLayers, layerThickness, sheetRun } from '../sheet/layers/laminate.js';
import { countOn, nestsOf, roundsOn } from '../sheet/cut/nest.js';
import { rollAndReroll } from '../sheet/cut/reroll.js';
import { trayNest } from '../sheet/trays.js';
import type { PanSize } from '../pan/pan.js';

type Case = { id: string; fn: string; input: never; expect: never; how: string };
const { cases } = JSON.parse(readFileSync(join(__dirname, 'planning-cases.json'), 'utf8')) as { cases: Case[] };
const of = (fn: string) => cases.filter((one) => one.fn === fn).map((one): [string, string, Case] => [one.id, one.how, one]);

/** Every number of `wanted` within a share of itself. */
function close(found: Readonly<Record<string, unknown>>, wanted: Readonly<Record<string, number>>, rel: number): void {
  for (const [name, value] of Object.entries(wanted)) {
    expect({
      name,
      off: Math.abs((found[name] as number) - value) / Math.max(1, Math.abs(value)) <= rel,
      found: found[name],
      value,
    }).toMatchObject({ off: true });
  }
}

describe('rounds on a sheet', () => {
  it.each(of('sheet.circleCount'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { W, L, d, web, margin } = input as Record<string, number>;
    const found = roundsOn({ widthMm: W!, lengthMm: L!, acrossMm: d!, webMm: web!, marginMm: margin! });
    const { square, hex, bestAtLeast } = wanted as Record<string, number>;
    expect(found).toMatchObject({ square, hex });
    expect(Math.max(found.square, found.hex, found.stretched)).toBeGreaterThanOrEqual(bestAtLeast!);
  });
});

describe('pans', () => {
  it.each(of('pan.piePlate'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { topD, bottomD, depth, rim, overhang, topAllow, rho, t } = input as Record<string, number>;
    const pan: PanSize = { topMm: topD!, bottomMm: bottomD!, depthMm: depth!, rimMm: rim! };
    const [inside, lining, lid] = [panInside(pan), liningOf(pan, overhang!), lidOf(pan, overhang!, topAllow!)];
    const mass = (area: number) => (rho! * area * t!) / 1000;
    close(
      {
        slant: inside.slantMm,
        bottomDisc: lining.widthMm,
        topDisc: lid.widthMm,
        bottomMass: mass(lining.areaMm2),
        topMass: mass(lid.areaMm2),
        bottomShare: lining.areaMm2 / (lining.areaMm2 + lid.areaMm2),
        linedArea: lining.areaMm2 / (1 + lining.surplusShare),
        excess: lining.surplusShare,
        volume_ml: inside.volumeMl,
      },
      wanted,
      1e-6,
    );
  });

  it.each(of('pan.tart'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { D, h, t, rho, overlap, maxStrip } = input as Record<string, number>;
    const side = sideStripOf({ topMm: D!, bottomMm: D!, depthMm: h! }, overlap!, maxStrip!, 'side');
    const mass = ((Math.PI / 4) * D! ** 2 + side.areaMm2) * t! * rho! * 1e-3;
    close({ strips: side.strips, stripLength: side.lengthMm, mass }, wanted, 1e-9);
  });

  it.each(of('pan.lattice'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { D, w, gap, overhang, t, rho } = input as Record<string, number>;
    const lattice = latticeOf({ topMm: D!, bottomMm: D!, depthMm: 30 }, { stripMm: w!, gapMm: gap!, overhangMm: overhang! }, 'lattice');
    const found = {
      perDirection: lattice.along.length,
      totalLength: lattice.totalMm,
      mass: lattice.areaMm2 * t! * rho! * 1e-3,
      openFraction: lattice.openShare,
    };
    close(found, wanted, 1e-5);
  });

  it('the volume of a long, an oval and a round pan is the integral of its sections', () => {
    for (const kind of ['plate', 'rectangle', 'oval'] as const) {
      const pan: PanSize = { kind, topMm: 200, bottomMm: 160, depthMm: 45, ...(kind === 'plate' ? {} : { lengthMm: 300 }) };
      const slices = 20000;
      let ml = 0;
      for (let i = 0; i < slices; i++) {
        const wide = 160 + (40 * (i + 0.5)) / slices;
        const along = kind === 'plate' ? wide : wide + 100;
        ml += ((kind === 'rectangle' ? 1 : Math.PI / 4) * wide * along * (45 / slices)) / 1000;
      }
      expect(panInside(pan).volumeMl).toBeCloseTo(ml, 4);
    }
  });

  it('the wall of a round pan is that of a frustum, of an oval that of its rims summed chord by chord', () => {
    const round = panInside({ topMm: 229, bottomMm: 178, depthMm: 38 });
    expect(round.linedMm2).toBeCloseTo((Math.PI / 4) * 178 ** 2 + Math.PI * ((229 + 178) / 2) * Math.hypot(38, 25.5), 6);
    const rim = (a: number, b: number) => {
      let sum = 0;
      const steps = 40000;
      for (let i = 0; i < steps; i++) {
        const [from, to] = [(2 * Math.PI * i) / steps, (2 * Math.PI * (i + 1)) / steps];
        sum += Math.hypot(a * (Math.cos(to) - Math.cos(from)), b * (Math.sin(to) - Math.sin(from)));
      }
      return sum;
    };
    const oval = panInside({ kind: 'oval', topMm: 180, bottomMm: 150, depthMm: 40, lengthMm: 270 });
    const wall = ((rim(90, 135) + rim(75, 120)) / 2) * Math.hypot(40, 15);
    expect(Math.abs(oval.linedMm2 - (Math.PI / 4) * 150 * 240 - wall) / wall).toBeLessThan(1e-4);
  });

  it('a 9.5 in pan takes 11 % more crust base than a 9 in one (common practice, no source), and more filling than crust when deeper', () => {
    const nine: PanSize = { topMm: 229, bottomMm: 229, depthMm: 0.001 };
    expect(panToPan(nine, { ...nine, topMm: 241.3, bottomMm: 241.3 }).crust).toBeCloseTo(1.11, 2);
    const deep = panToPan({ topMm: 229, bottomMm: 178, depthMm: 38 }, { topMm: 229, bottomMm: 178, depthMm: 51 });
    expect(deep.filling).toBeCloseTo(51 / 38, 9);
    expect(deep.crust).toBeLessThan(deep.filling);
  });

  it('a lattice covers what its open share leaves, whatever the pan: strips summed over a grid of points', () => {
    for (const pan of [
      { kind: 'rectangle', topMm: 110, bottomMm: 104, lengthMm: 350, depthMm: 25 },
      { kind: 'oval', topMm: 180, bottomMm: 150, lengthMm: 270, depthMm: 40 },
    ] as const satisfies readonly PanSize[]) {
      const { along, across } = latticeOf(pan, { stripMm: 12, gapMm: 12, overhangMm: 0 }, 'lattice');
      expect([along.length, across.length]).toEqual([Math.floor((pan.topMm + 12) / 24), Math.floor((pan.lengthMm + 12) / 24)]);
      // No strip ends inside the pan, none runs past the chord under its longer edge.
      const inPan = (x: number, y: number) => (pan.kind === 'rectangle' ? Math.abs(x) <= pan.topMm / 2 && Math.abs(y) <= pan.lengthMm / 2 : (2 * x / pan.topMm) ** 2 + (2 * y / pan.lengthMm) ** 2 <= 1); // prettier-ignore
      for (const { atMm, lengthMm } of along) {
        const near = Math.max(0, Math.abs(atMm) - 6);
        expect(inPan(near, lengthMm / 2 - 1e-6)).toBe(true);
        expect(inPan(near, lengthMm / 2 + 1e-3)).toBe(false);
      }
    }
  });

  it('a free-form disc is its filling and twice its fold; the edge has that much too much dough', () => {
    expect(freeFormOf(220, 45, 'p')).toMatchObject({ widthMm: 310, pleatShare: 310 / 220 - 1 });
  });
});

describe('cuts', () => {
  it.each(of('sheet.triangles'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { W, L, base, height } = input as Record<string, number>;
    const figure = figureOf({ kind: 'triangle', baseMm: base!, heightMm: height! }, 'shape');
    const paired = nestsOf('triangle', figure, 0).find(({ name }) => name === 'head to tail')!;
    expect(countOn(paired, L!, W!)).toBe((wanted as { n: number }).n);
  });

  it.each(of('sheet.heart'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { lengthMm, areaMm2 } = figureOf({ kind: 'heart', acrossMm: (input as { width: number }).width }, 'shape');
    close({ height: lengthMm, area: areaMm2 }, wanted, 1e-3);
  });

  it('hearts head to tail fill 0.922 of their band, 38 % more than upright', () => {
    const figure = figureOf({ kind: 'heart', acrossMm: 70 }, 'shape');
    const [plain, paired] = nestsOf('heart', figure, 0);
    const share = (nest: typeof plain, each: number) => (each * figure.areaMm2) / (nest!.cellMm * nest!.rowMm);
    expect(share(plain, 1)).toBeCloseTo(0.67, 2);
    expect(share(paired, 2)).toBeCloseTo(0.922, 2);
  });

  it.each(of('sheet.reroll'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { mass, pieceMass, yieldFrac, uptake, maxRerolls } = input as Record<string, number>;
    const { total, perRoll, scrap, flour } = wanted as { total: number; perRoll: number[]; scrap: number; flour: number };
    const found = rollAndReroll({
      massG: mass!,
      pieceG: pieceMass!,
      uptakeShare: uptake!,
      most: maxRerolls! + 1,
      piecesOf: (g) => Math.floor((yieldFrac! * g) / pieceMass!),
    });
    expect(found.pieces).toBe(total);
    expect(found.rolls.map(({ pieces }) => pieces)).toEqual(perRoll);
    // Where rolling once more gives nothing, the case dusts the scraps all the same; a baker who knows does not.
    const idle = perRoll.length <= maxRerolls! ? found.scrapG * uptake! : 0;
    expect(found.scrapG + idle).toBeCloseTo(scrap, 9);
    expect(found.dustG + idle).toBeCloseTo(flour, 9);
    expect(found.pieces).toBeLessThanOrEqual(((mass! / pieceMass!) * yieldFrac!) / (1 - (1 - yieldFrac!) * (1 + uptake!)));
  });

  it.each(of('tray.plan'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { N, trayW, trayL, d, spread, gap, margin, trays } = input as Record<string, number>;
    const { perAtLeast, trays: most, loads } = wanted as Record<string, number>;
    const per = trayNest({ widthMm: trayW!, lengthMm: trayL! }, { kind: 'round', acrossMm: d! * (1 + spread!) }, gap!, margin!).pieces;
    expect(per).toBeGreaterThanOrEqual(perAtLeast!);
    expect(Math.ceil(N! / per)).toBeLessThanOrEqual(most!);
    expect(Math.ceil(Math.ceil(N! / per) / trays!)).toBeLessThanOrEqual(loads!);
  });
});

const parts: Record<string, 2 | 3 | 4> = { single: 2, letter: 3, book: 4 };
const locks: Record<string, 'envelope' | 'twoThirds' | 'inverse'> = { envelope: 'envelope', letter: 'twoThirds', inverse: 'inverse' };

describe('lamination', () => {
  it.each(of('laminate.layers'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { lock, folds } = input as { lock: string; folds: string[] };
    const found = laminationLayers(
      locks[lock]!,
      folds.map((fold) => parts[fold]!),
    );
    const { fat, dough, total, stackedTotal, doughPlies } = wanted as Record<string, number>;
    expect(found).toEqual({ fatLayers: fat, doughLayers: dough, stacked: stackedTotal, doughPlies });
    expect(found.fatLayers + found.doughLayers).toBe(total);
  });

  it('counts what folding a string of layers counts, for every list of up to six folds and every lock-in', () => {
    const starts = { envelope: 'DFD', halfBook: 'DFD', twoThirds: 'DFDFD', inverse: 'FDF' } as const;
    let checked = 0;
    const walk = (lock: keyof typeof starts, stack: string, folds: number[]): void => {
      const { fatLayers, doughLayers } = laminationLayers(lock, folds);
      checked++;
      const count = (layer: string) => stack.split(layer).length - 1;
      if (count('F') !== fatLayers || count('D') !== doughLayers)
        throw new Error(`${lock} ${folds.join()}: ${count('F')} F, ${count('D')} D`);
      if (folds.length === 6) return;
      for (const k of [2, 3, 4]) {
        // Copies alternate face up and face down; a string of this kind reads the same both ways round, so equal faces meet.
        const flipped = [...stack].reverse().join('');
        const folded = Array.from({ length: k }, (_, i) => (i % 2 === 0 ? stack : flipped)).reduce((all, next) =>
          all.endsWith(next[0]!) ? all + next.slice(1) : all + next,
        );
        if (folded.length < 20000) walk(lock, folded, [...folds, k]);
      }
    };
    for (const lock of Object.keys(starts) as (keyof typeof starts)[]) walk(lock, starts[lock], []);
    expect(checked).toBe(4 * (1 + 3 + 9 + 27 + 81 + 243 + 729));
  });

  it.each(of('laminate.thickness'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { lock, folds, t, fatMass, doughMass, rhoDough } = input as {
      lock: string;
      folds: string[];
      t: number;
      fatMass: number;
      doughMass: number;
      rhoDough: number;
    };
    const layers = laminationLayers(
      locks[lock]!,
      folds.map((fold) => parts[fold]!),
    );
    const { fatUm, doughUm, fatVolumeShare } = layerThickness(layers, t, { fatG: fatMass, doughG: doughMass, doughGPerMl: rhoDough });
    close(
      {
        phi: fatVolumeShare,
        fatLayer: fatUm / 1000,
        doughLayerMean: doughUm / 1000,
        rollInOfDough: fatMass / doughMass,
        rollInOfTotal: fatMass / (fatMass + doughMass),
      },
      wanted,
      1e-9,
    );
  });

  it.each(of('laminate.slab'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { style, doughL, doughW, border, fatMass } = input as {
      style: string;
      doughL: number;
      doughW: number;
      border: number;
      fatMass: number;
    };
    const lock = style === 'letter' ? 'twoThirds' : 'envelope';
    const slab = fatSlabOf(lock, { widthMm: doughW!, lengthMm: doughL! }, border!, fatMass!);
    close({ l: slab.lengthMm, w: slab.widthMm, t: slab.thicknessMm }, wanted, 1e-9);
  });

  it.each(of('laminate.sheetRun'))('%s: %s', (_id, _how, { input, expect: wanted }) => {
    const { volume_ml, width, steps } = input as {
      volume_ml: number;
      width: number;
      steps: { roll?: number; fold?: number; width?: number }[];
    };
    const folds = steps.flatMap((step, i) => (step.fold ? [{ parts: step.fold, rollToMm: steps[i - 1]!.roll! }] : []));
    const turns = sheetRun(volume_ml * 1000, width, folds);
    expect(turns[0]!.rolled.lengthMm).toBeCloseTo((volume_ml * 1000) / (width * folds[0]!.rollToMm), 9);
    // The last roll of the case is to a width of its own: the volume is what it is.
    const last = steps[steps.length - 1]!;
    const { finalL, finalW, finalT } = wanted as Record<string, number>;
    const { folded } = turns[turns.length - 1]!;
    expect(folded.widthMm * folded.lengthMm * folded.thicknessMm).toBeCloseTo(volume_ml * 1000, 6);
    expect((volume_ml * 1000) / (last.width! * last.roll!)).toBeCloseTo(finalL!, 9);
    expect([last.width, last.roll]).toEqual([finalW, finalT]);
  });

  it('the handbook table of butter layers: 3 letter folds 27, 4 81, 5 243, 6 729 from one sheet; twice that from two thirds (common practice, no source)', () => {
    const letters = (n: number) => Array.from({ length: n }, () => 3);
    expect([3, 4, 5, 6].map((n) => laminationLayers('envelope', letters(n)).fatLayers)).toEqual([27, 81, 243, 729]);
    expect(laminationLayers('twoThirds', letters(3)).fatLayers).toBe(54);
  });
});
