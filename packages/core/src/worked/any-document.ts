import fc from 'fast-check';
import type { DocumentOf, Field, Fields, NumberField } from '../document/field.js';

/** Any number that a field takes, with the digits that a form can show. */
function anyNumber({ low, high, above, whole, shown }: NumberField): fc.Arbitrary<number> {
  const times = shown?.times ?? 1;
  if (whole) return fc.integer({ min: low, max: high });
  const steps = 1000;
  return fc
    .integer({ min: above ? 1 : 0, max: steps })
    .map((step) => Number((((low + ((high - low) * step) / steps) * times).toPrecision(6) as unknown as number) / times))
    .map((value) => Number(Math.min(high, Math.max(above ? low + 1e-9 : low, value)).toPrecision(12)));
}

function anyValue(field: Field): fc.Arbitrary<unknown> {
  switch (field.is) {
    case 'number':
      return anyNumber(field);
    case 'exactly':
      return fc.constant(field.value);
    case 'word':
      return fc.constantFrom(...field.of);
    case 'flag':
      return fc.constant(true);
    case 'yesNo':
      return fc.boolean();
    case 'text':
      return fc.stringMatching(/^[a-zé][a-z0-9 é’-]{0,20}[a-z0-9]$/);
    case 'id':
      return fc.stringMatching(/^[a-z]{3,8}_[a-z0-9]{1,6}$/);
    case 'uuid':
      return fc.uuid();
    case 'day':
      return fc.integer({ min: 0, max: 3650 }).map((days) => new Date(Date.UTC(2024, 0, 1 + days)).toISOString().slice(0, 10));
    case 'instant':
      return fc.integer({ min: 0, max: 300_000_000 }).map((s) => new Date(Date.UTC(2024, 0, 1) + s * 1000).toISOString());
    case 'allergen':
      return fc.constantFrom('us.milk', 'eu.milk', 'eu.nuts:almond', 'us.soy:possible', 'eu.gluten_cereal:oats');
    case 'list': {
      const key = (one: unknown) =>
        JSON.stringify(field.apartBy ? field.apartBy.map((name) => (one as Record<string, unknown>)[name]) : one);
      return fc.uniqueArray(anyValue(field.of as Field), { maxLength: Math.min(3, field.most), selector: key });
    }
    case 'group':
      return anyDocument(field.fields as Fields);
    case 'either':
      return fc.oneof(...(field.of as readonly Fields[]).map((fields) => anyDocument(fields)));
    case 'byName':
      return fc.dictionary(fc.stringMatching(/^[a-z]{3,9}_[a-z]$/), anyValue(field.of as Field), { maxKeys: 3 });
  }
}

/** Any document that the registry describes: every member that may be left out now is there and now is not. */
export function anyDocument<const F extends Fields>(fields: F): fc.Arbitrary<DocumentOf<F>> {
  const members = Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, anyValue(field)]));
  const required = Object.entries(fields).flatMap(([key, { optional }]) => (optional ? [] : [key]));
  const document = fc.record(members, { requiredKeys: required, noNullPrototype: true }) as fc.Arbitrary<Record<string, unknown>>;
  // A member that must not be less than another is made so.
  return document.map((one) => {
    for (const [key, field] of Object.entries(fields)) {
      if (field.is === 'number' && field.atLeast && key in one) one[key] = Math.max(one[key] as number, one[field.atLeast] as number);
    }
    return one as DocumentOf<F>;
  });
}
