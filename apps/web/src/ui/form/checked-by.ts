import { joiResolver } from '@hookform/resolvers/joi';
import type { FieldValues, Resolver } from 'react-hook-form';
import type { ObjectSchema } from 'joi';

/**
 * A form is checked by the very schema the server checks its body with. `bodyOf` makes the body of what is typed; `said` gives a
 * field the words a baker understands, where the schema's own are not enough.
 */
export function checkedBy<Values extends FieldValues, Body>(
  schema: ObjectSchema<Body>,
  bodyOf: (values: Values) => Body,
  said: Readonly<Record<string, string>> = {},
): Resolver<Values> {
  const check = joiResolver(schema, { abortEarly: false, convert: false }) as unknown as Resolver<Values>;
  return async (values, context, options) => {
    const found = await check(bodyOf(values) as never, context, options);
    if (Object.keys(found.errors).length === 0) return { values, errors: {} };
    const errors = Object.fromEntries(
      Object.entries(found.errors).map(([field, error]) => [field, said[field] ? { ...error, message: said[field] } : error]),
    );
    return { values: {}, errors } as never;
  };
}
