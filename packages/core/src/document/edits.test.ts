import fc from 'fast-check';
import { applyEdits, editsBetween, EditRefused, inverseOf, valueAt } from './edits.js';

const document = { water: 100, rows: [{ g: 1 }, { g: 2 }], keep: { pack: 'tin' } };

describe('edits', () => {
  it('set, add and remove, leaving the document given as it was', () => {
    expect(applyEdits(document, [{ path: '/water', from: 100, to: 90 }])).toMatchObject({ water: 90 });
    expect(applyEdits(document, [{ path: '/rows/2', to: { g: 3 } }]).rows).toHaveLength(3);
    expect(applyEdits(document, [{ path: '/rows/0', from: { g: 1 } }]).rows).toEqual([{ g: 2 }]);
    expect(applyEdits(document, [{ path: '/keep/pack', from: 'tin' }]).keep).toEqual({});
    expect(document.water).toBe(100);
  });

  it('are refused where the place no longer holds what they started from', () => {
    expect(() => applyEdits(document, [{ path: '/water', from: 80, to: 90 }])).toThrow(EditRefused);
    expect(() => applyEdits(document, [{ path: '/nowhere/deep', to: 1 }])).toThrow(EditRefused);
  });

  it('of a list are one whole: a refused one leaves nothing applied', () => {
    expect(() =>
      applyEdits(document, [
        { path: '/water', from: 100, to: 90 },
        { path: '/keep/pack', from: 'bag', to: 'box' },
      ]),
    ).toThrow();
    expect(document.water).toBe(100);
  });

  it('between any two documents lead from one to the other, and back', () => {
    const leaf = fc.oneof(fc.integer(), fc.string(), fc.boolean());
    const doc = fc.record({
      a: leaf,
      rows: fc.array(fc.record({ g: fc.integer(), name: fc.string() }), { maxLength: 5 }),
      'odd/key~': leaf,
    });
    fc.assert(
      fc.property(doc, doc, (from, to) => {
        const edits = editsBetween(from, to);
        expect(applyEdits(from, edits)).toEqual(to);
        expect(applyEdits(to, inverseOf(edits))).toEqual(from);
      }),
    );
  });

  it('reads a place by its pointer (RFC 6901)', () => {
    expect(valueAt({ 'a/b': [{ 'c~d': 5 }] }, '/a~1b/0/c~0d')).toBe(5);
    expect(valueAt(document, '/rows/9/g')).toBeUndefined();
  });
});
