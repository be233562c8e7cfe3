// Every family's first formula in the reference kitchen against the family's own windows, and whether the Outlook has cliffs or is flat.
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const core = (path) => import(join(ROOT, 'packages/core/dist', path));

export async function validateFamilies(line, table) {
  const { evaluate, findingsOf } = await core('evaluate.js');
  const { families } = await core('facts/families.js');
  const { referenceFormula, referencePantry: pantry } = await core('solve/reference.js');
  const { referenceKitchen: kitchen } = await core('solve/reference-kitchen.js');
  const { runSteps } = await core('run/plan/steps.js');
  const { runTimes } = await core('run/times.js');
  const inside = ([low, , high], value) => value >= low - 1e-9 && value <= high + 1e-9;
  const mark = (window, value, text) => (inside(window, value) ? text : `**${text}**`);
  const read = Object.values(families).map((family) => {
    const first = referenceFormula(family);
    const at = (times) => {
      const steps = first.bake.steps.map((step) => ({ ...step, min: step.min * times }));
      return evaluate({ ...first, bake: { ...first.bake, steps } }, kitchen, pantry);
    };
    const now = at(1);
    const course = Array.from({ length: 31 }, (_, i) => at(0.7 + 0.02 * i));
    const steps = course.slice(1).map(({ outlook: b }, i) => {
      const { outlook: a } = course[i];
      return Math.max(Math.abs(b.crisp.value - a.crisp.value), Math.abs(b.tender.value - a.tender.value));
    });
    const raw = at(0.35).outlook;
    const planned = runSteps({ formula: first, kitchen, pantry }, now);
    return {
      family,
      steps: planned.length,
      handsMin: runTimes(planned).handsMin,
      wantC: first.bake.steps[0].wantC,
      min: first.bake.steps.reduce((sum, step) => sum + step.min, 0),
      moisture: 100 * now.keep.result.curve.moistureShare[0],
      aw: now.keep.result.waterActivity,
      cliff: Math.max(...steps),
      depth: family.zone.crisp - raw.crisp.value,
      rawOff: Math.max(Math.abs(raw.crisp.value - family.zone.crisp), Math.abs(raw.tender.value - family.zone.tender)),
      bad: findingsOf(now)
        .filter(({ level, code }) => level !== 'note' && !code.startsWith('gluten.'))
        .map(({ code }) => code),
    };
  });
  table(
    'First formulas in the reference kitchen, against their own windows (outside in bold); moisture and water activity once cooled',
    ['family', 'oven, C', 'min', 'moisture, %', 'water activity', 'steepest 2 % of time, points', 'crisp lost when raw', 'says'],
    read.map(({ family, wantC, min, moisture, aw, cliff, depth, bad }) => [
      family.id,
      mark(family.ovenC, wantC, `${wantC}`),
      mark(family.bakeMin, min, `${min}`),
      mark(family.finalMoisturePercent, moisture, `${moisture.toFixed(1)} of ${family.finalMoisturePercent.join('/')}`),
      mark(family.finalAw, aw, `${aw.toFixed(2)} of ${family.finalAw.join('/')}`),
      cliff.toFixed(2),
      depth.toFixed(1),
      bad.join(', ') || '-',
    ]),
  );
  const all = read.length;
  const within = (window, value) => read.filter((one) => inside(one.family[window], one[value])).length;
  const counts = [within('finalMoisturePercent', 'moisture'), within('finalAw', 'aw'), within('bakeMin', 'min'), within('ovenC', 'wantC')];
  line(
    'families.insideOwnWindows',
    `${counts.join(' / ')}`,
    `families of ${all}`,
    'all',
    'moisture, water activity, minutes, oven of the first formula, once cooled; windows of minutes, oven and moisture are common practice',
  );
  line(
    'families.clean',
    `${read.filter(({ bad }) => bad.length === 0).length}`,
    `families of ${all}`,
    'all',
    'no finding but notes and proof of gluten',
  );
  line('outlook.cliff', Math.max(...read.map(({ cliff }) => cliff)).toFixed(2), 'points', '0.5', `largest change of crisp or tender for 2 % of the bake, 70 to 130 % of it; over half a point: ${read.filter(({ cliff }) => cliff > 0.5).map(({ family }) => family.id).join(', ') || 'none'}`); // prettier-ignore
  line('outlook.depth', `${read.filter(({ depth, family }) => depth >= Math.min(4, family.zone.crisp)).length}`, `families of ${all}`, 'all', 'taken out raw, at 35 % of the bake, crisp falls 4 points or to nothing'); // prettier-ignore
  line(
    'outlook.rawInZone',
    `${read.filter(({ rawOff, family }) => rawOff <= family.zone.halfWidth).length}`,
    'families',
    '0',
    'a raw piece that the Outlook would call right',
  );
  const middle = (of) => [...read].sort((a, b) => of(a) - of(b))[Math.floor(all / 2)];
  const largest = (of) => read.reduce((most, one) => (of(one) > of(most) ? one : most));
  for (const [name, of, unit] of [
    ['run.steps', ({ steps: n }) => n, 'steps'],
    ['run.handsMin', ({ handsMin }) => handsMin, 'min'],
  ]) {
    const most = largest(of);
    line(
      name,
      `${of(middle(of)).toFixed(0)} / ${of(most).toFixed(0)}`,
      unit,
      '–',
      `median and largest over first formulas of all families; the largest is ${most.family.id}; minutes of hands are judgement`,
    );
  }
}
