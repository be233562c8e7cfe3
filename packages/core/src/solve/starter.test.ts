import { families } from '../facts/families.js';
import { evaluate, findingsOf, problemsOf } from '../evaluate.js';
import { kitchen, pantry } from '../worked/a-formula.js';
import { starterFormula } from './starter.js';

const shelf = { ...pantry, lots: {} };

describe('a first formula', () => {
  it.each(Object.values(families).map((family) => [family.name, family] as const))(
    '%s stands in the middle of its windows',
    (_name, family) => {
      let n = 0;
      const formula = starterFormula(family, 'Trial', { kitchen, pantry: shelf }, () => `k${n++}`);
      const worked = evaluate(formula, kitchen, shelf);
      expect(problemsOf(worked)).toEqual([]);
      const dough = worked.dough.state === 'waiting' ? null : worked.dough.result;
      for (const [name, window] of [
        ['fat', family.fatPercent],
        ['sugar', family.sugarPercent],
        ['egg', family.eggPercent],
        ['salt', family.saltPercent],
      ] as const) {
        expect({ name, in: dough!.percents[name] >= window[0] - 0.1 && dough!.percents[name] <= window[2] + 0.1 }).toEqual({
          name,
          in: true,
        });
      }
      const mended = findingsOf(worked).filter(
        ({ stage, level, code }) => stage === 'dough' && level !== 'note' && !code.startsWith('gluten'),
      );
      expect(mended.map(({ code }) => code)).toEqual([]);
      expect(new Set([...formula.rows, ...formula.blend.rows, ...formula.mix].map(({ key }) => key)).size).toBe(
        formula.rows.length + formula.blend.rows.length + formula.mix.length,
      );
    },
  );
});
