import Joi from 'joi';
import type { DocumentOf, Field, Fields } from '@north-leaf/core';
import { day, id, instant, uuid } from './fields.js';

/** What the API takes for one member of a document, from its description in core. */
const schemaOfField = (field: Field): Joi.Schema => (field.optional ? bare(field).optional() : bare(field).required());

function bare(field: Field): Joi.Schema {
  switch (field.is) {
    case 'number': {
      const from = field.above ? Joi.number().greater(field.low) : Joi.number().min(field.low);
      const ranged = field.atLeast ? from.max(field.high).min(Joi.ref(field.atLeast)) : from.max(field.high);
      return field.whole ? ranged.integer() : ranged;
    }
    case 'exactly':
      return Joi.number().valid(field.value);
    case 'word':
      return Joi.valid(...field.of);
    case 'flag':
      return Joi.valid(true);
    case 'yesNo':
      return Joi.boolean();
    case 'text':
      return field.empty ? Joi.string().allow('').max(field.longest) : Joi.string().trim().min(1).max(field.longest);
    case 'id':
      return id(field.longest);
    case 'uuid':
      return uuid();
    case 'day':
      return day();
    case 'instant':
      return instant();
    case 'allergen':
      return Joi.string().pattern(/^(us|eu)\.[a-z_]+(:[a-z_]+){0,2}$/);
    case 'list': {
      const items = Joi.array()
        .items(bare(field.of as Field))
        .max(field.most);
      const { apartBy } = field;
      return apartBy ? items.unique((a: Item, b: Item) => apartBy.every((key) => a?.[key] === b?.[key])) : items;
    }
    case 'group':
      return objectOf(field.fields as Fields);
    case 'either':
      return Joi.alternatives(...(field.of as readonly Fields[]).map(objectOf));
    case 'byName':
      return Joi.object()
        .pattern(id(80), bare(field.of as Field))
        .max(field.most);
  }
}
type Item = Readonly<Record<string, unknown>> | null;

const objectOf = (fields: Fields): Joi.ObjectSchema =>
  Joi.object(Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, schemaOfField(field)])));

/**
 * The schema of a document that the registry describes.
 *
 * Keys are marked required one by one, though `check` would require them anyway, so that the API's description says so too.
 */
export const schemaOf = <const F extends Fields>(fields: F): Joi.ObjectSchema<DocumentOf<F>> => objectOf(fields).required() as never;
