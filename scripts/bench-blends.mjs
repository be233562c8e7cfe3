// Figures of the blend solver and the label decoder, on pantries and labels made up by a seeded draw.
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const core = (path) => import(join(ROOT, 'packages/core/dist', path));
const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1];
const quantile = (values, q) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))];

async function engines() {
  const highs = await createRequire(join(ROOT, 'apps/server/package.json'))('highs')();
  const { fastThenSureEngine, sureEngine } = await import(join(ROOT, 'apps/server/dist/solver/engine.js'));
  /** The sure solver as it comes, presolve and restarts on: the reference. */
  const reference = (model) => {
    const { costAt } = costs;
    return highs.withModel(dataOf(model), (solver) => {
      solver.options.set({ output_flag: false, mip_rel_gap: 0, mip_abs_gap: 1e-9 });
      solver.run();
      if (solver.getModelStatus() !== highs.constants.modelStatus.optimal) return { status: 'infeasible' };
      const values = [...solver.getSolution().colValue];
      return { status: 'optimal', cost: costAt(model, values), values };
    });
  };
  const costs = await core('math/linear-model.js');
  return { fast: fastThenSureEngine(highs), sure: sureEngine(highs), reference };
}

/** The model by rows, written apart from the server's own. */
function dataOf({ columns, rows }) {
  const starts = [0];
  const indices = [];
  const values = [];
  for (const { terms } of rows) {
    const sums = new Map();
    for (const [column, factor] of terms) sums.set(column, (sums.get(column) ?? 0) + factor);
    for (const [column, factor] of sums) {
      indices.push(column);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  return {
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(({ lo }) => lo),
    colUpper: columns.map(({ hi }) => hi),
    rowLower: rows.map(({ lo }) => lo),
    rowUpper: rows.map(({ hi }) => hi),
    matrix: { format: 'csr', numRows: rows.length, numCols: columns.length, starts, indices, values },
    integrality: columns.map(({ integer }) => (integer ? 1 : 0)),
  };
}

/** 40 items of the planning cases' test pantry, jittered, with random wishes: about 35 of them in or out. */
export async function benchBlends(line, count = 200) {
  const { readFileSync } = await import('node:fs');
  const { pantry } = JSON.parse(readFileSync(join(ROOT, 'packages/core/src/worked/planning-cases.json'), 'utf8'));
  const { blendModel } = await core('solve/blends/blend-model.js');
  const { seeded } = await core('math/seeded.js');
  const { fits } = await core('math/linear-model.js');
  const { fast, sure, reference } = await engines();
  /** What an answer costs once its in-or-out is exactly that: an engine may cheat by a millionth of a bag. */
  const exactCost = (model, { values }) => {
    const columns = model.columns.map((column, i) =>
      column.integer ? { ...column, lo: Math.round(values[i]), hi: Math.round(values[i]), integer: undefined } : column,
    );
    const answer = sure({ ...model, columns });
    return answer.status === 'optimal' ? answer.cost : Infinity;
  };
  const next = seeded(20261125);
  const between = (lo, hi) => lo + (hi - lo) * next();
  const specs = Array.from({ length: count }, (_, i) => ({
    items: pantry.map(({ id, comp, cost, minUse, maxUse }) => ({
      id,
      brings: Object.fromEntries(Object.entries({ ...comp, cost }).map(([key, value]) => [key, value * between(0.92, 1.08)])),
      lo: minUse > 0 ? minUse : next() < 0.8 ? 0.02 : 0,
      hi: maxUse,
    })),
    wishes: [
      // Every tenth asks for more protein than its other limits allow.
      i % 10 === 0
        ? { key: 'protein', lo: between(12, 14), hard: true, step: 1, weight: 3 }
        : { key: 'protein', lo: between(6, 11), hi: between(11, 12), step: 1, weight: 3 },
      { key: 'starch', lo: between(60, 70), hi: 72, step: 5, weight: 1 },
      { key: 'fibre', lo: 3, hi: 6, step: 2, weight: 1 },
      { key: 'fat', hi: between(2, 4), step: 1, weight: 1 },
      { key: 'water', lo: between(1.5, 1.9), hi: 2, step: 0.1, weight: 2 },
      { key: 'grit', hi: between(3, 5), hard: true, step: 1, weight: 1 },
      { key: 'flavour', hi: between(2, 4), hard: true, step: 1, weight: 1 },
      { key: 'cost', hi: between(2.6, 6), hard: true, step: 1, weight: 1 },
    ],
    groups: [{ name: 'gums', ids: ['xanthan', 'guar', 'psyllium', 'hpmc', 'citrus_fibre'], lo: 0.005, hi: 0.03 }],
    most: Math.floor(between(4, 9)),
    tie: { key: 'cost', cost: 1e-4 },
  }));
  const models = specs.map((spec) => blendModel(spec).model);
  fast(models[0]);
  reference(models[0]);
  const times = [];
  const referenceTimes = [];
  let same = 0;
  let silent = 0;
  let impossible = 0;
  let gaveUp = 0;
  for (const model of models) {
    let from = performance.now();
    const ours = fast(model);
    times.push(performance.now() - from);
    from = performance.now();
    const theirs = reference(model);
    referenceTimes.push(performance.now() - from);
    if (theirs.status === 'infeasible') impossible++;
    if (ours.status === 'timeLimit') gaveUp++;
    else if (ours.status !== theirs.status) silent++;
    else if (ours.status === 'infeasible') same++;
    else {
      const [a, b] = [exactCost(model, ours), exactCost(model, theirs)];
      if (fits(model, ours.values) && a <= b + 1e-6 * Math.max(1, Math.abs(b))) same++;
      else silent++;
    }
  }
  const binaries = Math.round(
    models.reduce((sum, { columns }) => sum + columns.filter(({ integer }) => integer).length, 0) / models.length,
  );
  line(
    'blend.sameOptimumPct',
    ((100 * same) / count).toFixed(1),
    '%',
    '100',
    `${count} pantries of 40, ${binaries} in or out, ${impossible} impossible; solver as it comes; ${silent} silent non-optima, ${gaveUp} gave up and said so`,
  );
  line(
    'blend.medianMs',
    median(times).toFixed(0),
    'ms',
    '20',
    `the reference takes ${(median(referenceTimes) / median(times)).toFixed(0)} times as long`,
  );
  line(
    'blend.p95Ms',
    quantile(times, 0.95).toFixed(0),
    'ms',
    '1000',
    `reference ${quantile(referenceTimes, 0.95).toFixed(0)} ms; worst of ours ${Math.max(...times).toFixed(0)} ms`,
  );
}

/** Blends of three to six flours and a gum, their panels rounded as the law rounds, read back. */
export async function benchLabels(line, count = 500) {
  const { publishedIngredients } = await core('ingredient/published.js');
  const { isGum, isStarch, isProteinType, isNut } = await core('ingredient/roles.js');
  const { labelItemOf } = await core('label/box.js');
  const { decodeLabel } = await core('label/decode-label.js');
  const { printedValue } = await core('label/rounding.js');
  const { seeded } = await core('math/seeded.js');
  const { sure } = await engines();
  const all = Object.values(publishedIngredients());
  const flours = all.filter(
    (one) => (isProteinType(one) || isStarch(one) || isNut(one)) && one.kind !== 'blend' && one.gluten !== 'contains',
  );
  const gums = all.filter((one) => isGum(one) && one.kind === 'gum');
  const nutrients = ['protein', 'fat', 'fibre', 'carbohydrate', 'energyKcal'];
  const next = seeded(77);
  /** `off`: how far the box's true composition is from the table, at most. */
  const one = (rule, basisG, tolerance, off) => {
    let drawn = null;
    while (!drawn) drawn = draw(rule, basisG, tolerance, off);
    return drawn;
  };
  /** Null where the flours picked cannot stand in the order they were picked in. */
  const draw = (rule, basisG, tolerance, off) => {
    const n = 3 + Math.floor(next() * 4);
    const picked = [];
    while (picked.length < n) {
      const flour = flours[Math.floor(next() * flours.length)];
      if (!picked.includes(flour)) picked.push(flour);
    }
    const gum = gums[Math.floor(next() * gums.length)];
    const items = [...picked.map((flour) => labelItemOf(flour, rule)), labelItemOf(gum, rule)];
    let shares;
    let tries = 0;
    do {
      if (tries++ > 50) return null;
      const gumShare = 0.004 + next() * 0.02;
      const raw = picked.map(() => -Math.log(1 - next()));
      const total = raw.reduce((sum, value) => sum + value, 0);
      shares = [...raw.map((value) => (value / total) * (1 - gumShare)).sort((a, b) => b - a), gumShare];
    } while (shares.some((share, i) => share > items[i].cap || (i > 0 && shares[i - 1] < share)));
    const panel = nutrients.map((nutrient) => {
      const per100 = items.reduce((sum, item, i) => sum + shares[i] * (item.per100G[nutrient] ?? 0) * (1 + off * (2 * next() - 1)), 0);
      return { nutrient, printed: printedValue(rule, nutrient, (per100 * basisG) / 100) };
    });
    return { label: { items, panel, rule, basisG, tolerance }, shares };
  };
  const run = (rule, basisG, tolerance, off, times) => {
    const found = { truth: 0, inBand: 0, values: 0, error: 0, read: 0, ms: [] };
    for (let k = 0; k < times; k++) {
      const { label, shares } = one(rule, basisG, tolerance, off);
      const from = performance.now();
      const reading = decodeLabel(label, sure, k + 1);
      found.ms.push(performance.now() - from);
      if (reading.status !== 'read') continue;
      found.read++;
      if (shares.every((share, i) => share >= reading.ranges[i][0] - 1e-6 && share <= reading.ranges[i][1] + 1e-6)) found.truth++;
      shares.forEach((share, i) => {
        found.values++;
        found.error += Math.abs(share - reading.estimate[i]);
        if (share >= reading.band90[i][0] - 1e-9 && share <= reading.band90[i][1] + 1e-9) found.inBand++;
      });
    }
    return found;
  };
  const half = count / 2;
  run('us', 30, 0.1, 0, 3);
  const us = run('us', 30, 0.1, 0.1, half);
  const eu = run('eu', 100, 0, 0, half);
  const both = (of) => of(us) + of(eu);
  line(
    'label.truthPct',
    ((100 * both((x) => x.truth)) / count).toFixed(1),
    '%',
    '100',
    `${count} made-up labels: ${half} US 30 g with composition up to 10 % off and read so, ${half} EU exact`,
  );
  line(
    'label.band90Pct',
    ((100 * both((x) => x.inBand)) / both((x) => x.values)).toFixed(1),
    '%',
    '88 to 97',
    'true shares within the 90 % band',
  );
  line('label.maePoints', ((100 * us.error) / us.values).toFixed(2), 'points', '3.5', 'US 30 g serving, composition up to 10 % off');
  line('label.maePointsEu', ((100 * eu.error) / eu.values).toFixed(2), 'points', '1.5', 'EU per 100 g, exact composition');
  line(
    'label.medianMs',
    median([...us.ms, ...eu.ms]).toFixed(0),
    'ms',
    '30',
    `95 % within ${quantile([...us.ms, ...eu.ms], 0.95).toFixed(0)} ms`,
  );
}
