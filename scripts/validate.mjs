// Predictions against published values and independent references: the physics check cases, one line each.
// Same kind of lines as the bench: name, value, unit, goal, what it was compared with. Writes docs/validation.md.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, ensureInstalled, node, plainFailures, ROOT, TSC } from './bootstrap.mjs';
import { validateComposition } from './validate-composition.mjs';
import { validateLearning } from './validate-learning.mjs';
import { validatePractice } from './validate-practice.mjs';
import { validateFamilies } from './validate-families.mjs';

plainFailures();
checkNode();
ensureInstalled();
node([TSC, '-b', 'tsconfig.build.json']);
const core = (path) => import(join(ROOT, 'packages/core/dist', path));
const { thermalProperties, vapourPressurePa } = await core('matter/thermal.js');
const { solidsOf, bakedSolids, waterActivity } = await core('matter/sorption.js');
const { perDry } = await core('matter/make-up.js');
const { freezing } = await core('matter/freezing.js');
const { conduct } = await core('chill/conduction.js');
const { constantMaterial } = await core('matter/cold-enthalpy.js');
const { uptake } = await core('keep/keep.js');
const { compileBake } = await core('bake/slab/problem.js');
const { BakeMarch } = await core('bake/slab/march.js');

const { cases } = JSON.parse(readFileSync(join(ROOT, 'packages/core/src/worked/physics-cases.json'), 'utf8'));
const nothing = { water: 0, fat: 0, starch: 0, protein: 0, sugar: 0, fibre: 0, gum: 0, salt: 0, ash: 0 };
const last = (series) => series[series.length - 1];
const rows = [];
const line = (...cells) => {
  console.log(cells.join('\t'));
  rows.push(`| ${cells.join(' | ')} |`);
};
/** What the figures do not say of themselves. */
const STILL_WRONG = `## What is still wrong, and the likely mechanism

- **Fruit that lies open** never comes to 96 C within practice's minutes: its wet surface spends the heat of the top on evaporation. The row is read at 96 C as a lidded pie is (+80 %); at the 85 C that the application asks of open fruit it is 42 min against 32 to 42 (+13 %). Likely besides: a skin of sugar, air between heaped pieces, juice that moves.
- **Lean goods** (crackers, shells, galette) are golden late and by then drier than they should be: nut and savoury crackers, galette and the flaky pie end under their own window of water. The rim of a lined pan stands above it and browns first: that brought shells and muffins half of the way. A base colour with a law of its own did not carry to rows it was not fitted on.
- **Wet goods lose too little**: scooped cookies, drop biscuits, soft fruit cookies and the jam tartlet end one to two points over their window once cooled. More open crumbs do not mend it.
- **Tall narrow pieces** (raised pie): the slab knows its thickness and its side, not the axis of a cylinder; the middle is warm too soon.
- **Ridges and peaks** (piped cookies) are read as smooth slabs: 40 to 50 % late, where the real surface is larger. **Swollen doughs** (oatcake, poured crispbread) dry too fast as their rows are read; the application takes scalded dough for closed, which brings the oatcake from 21 to 25 min (24 to 32); the poured sheet stays at half its time.
- **Choux** bakes as the wall of a hollow ball: two sizes come out right without a number of their own, but its crispness falls steeply in its last minutes.
- **Puff** leaves part; of the air between them about half is counted as something heat has to cross, by trial on two rows.
- **Acrylamide** is an order of magnitude from colour, water, sugars, asparagine by kind and ammonia; nothing was measured.
- The 38 rows were fitted on; their make-up, spacing and ends are ours. The unseen rows are too, but nothing was fitted on them; one of them, choux, is read otherwise since the model knows hollow bodies.
`.split('\n');
const tables = [];
const table = (title, heads, cells) => {
  console.log(`${title}\n${[heads, ...cells].map((row) => row.join('\t')).join('\n')}`);
  tables.push(
    '',
    `## ${title}`,
    '',
    `| ${heads.join(' | ')} |`,
    `|${' --- |'.repeat(heads.length)}`,
    ...cells.map((row) => `| ${row.join(' | ')} |`),
  );
};
const off = (value, wanted) => `${(100 * (value / wanted - 1)).toFixed(3)}`;

for (const { id, call, input, expect: wanted, tol, basis } of cases) {
  const makeUp = input.comp ? { ...nothing, ...input.comp } : nothing;
  if (call === 'thermo')
    line(id, off(thermalProperties(makeUp, input.T).heatCapacity, wanted.cp), '% of heat capacity', `${tol.rel * 100}`, basis);
  else if (call === 'waterActivity')
    line(
      id,
      (waterActivity(solidsOf(makeUp, input.dissolved), makeUp.water) - wanted.aw).toFixed(5),
      'water activity',
      `${tol.abs}`,
      basis,
    );
  else if (call === 'freezing') line(id, (freezing(makeUp).firstIceC - wanted.Tf).toFixed(4), 'K', `${tol.abs}`, basis);
  else if (call === 'chillConstant') {
    const exposures = [{ min: input.seconds / 60, topWPerM2K: input.h, bottomWPerM2K: input.h, topC: input.Tair, bottomC: input.Tair }];
    const cooled = conduct({
      form: input.geometry,
      sizeMm: input.size * 1000,
      material: constantMaterial(input.rho, input.cp, input.k),
      startC: input.T0,
      exposures,
    });
    line(id, (last(cooled.middleC) - wanted.Tcore).toFixed(3), 'K', `${tol.abs}`, basis);
  } else if (call === 'storageSealed') {
    // The reference knows sugar as a solution only.
    const solids = { ...bakedSolids(solidsOf(perDry(makeUp))), glassySugar: false };
    const { softAfterDays } = uptake({
      solids,
      startX: input.X0,
      humidity: input.RH,
      roomC: input.T,
      conductance: input.permeance / input.dryMass,
      endActivity: input.awEnd,
    });
    line(id, off(softAfterDays, wanted.days), '% of days', `${tol.rel * 100}`, basis);
  }
}
const ovenCases = JSON.parse(readFileSync(join(ROOT, 'packages/core/src/worked/oven-cases.json'), 'utf8')).cases;
for (const { id, spec, browningFactor, at, tolerance } of ovenCases) {
  const problem = compileBake({ ...spec, browningFactor });
  const { trajectory } = new BakeMarch(24).run(problem);
  const { startX } = problem.layers[problem.main];
  const end = at[at.length - 1];
  const against = 'independent method of lines, scipy BDF rtol 1e-6, 120 cells; it shares the equations';
  if (end.X !== undefined)
    line(
      `oven: ${id}`,
      ((100 * (end.X - last(trajectory.moistureX))) / (startX - end.X)).toFixed(3),
      '% of water loss',
      `${tolerance.lossRel * 100}`,
      against,
    );
  else line(`oven: ${id}`, (last(trajectory.middleC) - end.middleC).toFixed(2), 'K in the middle', `${tolerance.middleK}`, against);
}
for (const [atC, pascal] of [
  [20, 2339],
  [60, 19946],
  [100, 101418],
  [150, 476160],
]) {
  line(`vapour-pressure-${atC}`, off(vapourPressurePa(atC), pascal), '%', '1.2', 'steam tables, IAPWS-95 saturation, from memory');
}
await validateReader();
await validateComposition(line);
await validatePractice(line, table);
await validateFamilies(line, table);
await validateLearning(line, table);
/** Names that hide a hazard, and lines of everyday recipes in six languages: what was answered silently, and what was asked in vain. */
async function validateReader() {
  const { readLine } = await core('entry/read-line.js');
  const { hazardsOf } = await core('ingredient/safety/allergens.js');
  const ingredients = (await core('ingredient/published.js')).publishedIngredients();
  const linesOf = (name) => JSON.parse(readFileSync(join(ROOT, `packages/core/src/worked/${name}-cases.json`), 'utf8')).lines;
  const ours = 'of ours, by those who wrote the reader: weak';
  const hazards = linesOf('hazard-names');
  const carries = (id, hides) => hides.every((hazard) => hazardsOf(ingredients[id]).includes(hazard));
  const hazardSilent = hazards.filter(({ name, hides }) => {
    const { ingredientId, asks } = readLine(`100 g ${name}`, ingredients);
    return ingredientId !== null && !asks && !carries(ingredientId, hides);
  });
  line(
    'reader.hazardSilent',
    String(hazardSilent.length),
    'names',
    '0',
    `${hazards.length} names that hide gluten or an allergen, ${ours}`,
  );
  const everyday = linesOf('everyday-lines').map((one) => ({ ...one, read: readLine(one.line, ingredients) }));
  const pct = (of) => ((100 * everyday.filter(of).length) / everyday.length).toFixed(1);
  const silentlyWrong = everyday.filter(
    ({ read, right }) =>
      read.ingredientId !== null &&
      !read.asks &&
      !right.includes(read.ingredientId) &&
      ingredients[read.ingredientId].gluten !== 'contains',
  );
  line('reader.silentlyWrong', String(silentlyWrong.length), 'lines', '0', `${everyday.length} everyday lines in six languages, ${ours}`);
  line(
    'reader.unknownPct',
    pct(({ read }) => read.ingredientId === null && !read.asks),
    '%',
    '3',
    `nobody knows the name; ${ours}`,
  );
  line(
    'reader.askedInVainPct',
    pct(({ read, ask }) => read.asks && read.exact && ask === undefined),
    '%',
    '5',
    `an exact name that asks; ${ours}`,
  );
}
writeFileSync(
  join(ROOT, 'docs/validation.md'),
  [
    '# Validation',
    '',
    'Made by `npm run validate`. Bake references share the model’s equations and run with the parameters of their day: they prove the numerics, not the physics. The practice rows are what bakers say, and the oven’s parameters were fitted on them: a consistency of what is believed, not a proof. Composition: `wheat_ap` is there for reading other recipes only.',
    '',
    '| case | off by | unit | allowed | compared with |',
    '| --- | --- | --- | --- | --- |',
    ...rows,
    ...tables,
    '',
    ...STILL_WRONG,
  ].join('\n'),
);
