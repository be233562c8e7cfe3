import Joi from 'joi';

/** Names that every object answers to: as an id each of them would seem to be there already. */
const INHERITED = [...Object.getOwnPropertyNames(Object.prototype), 'prototype'];
export const isInherited = (name: string): boolean => INHERITED.includes(name);
/** The largest whole number that a column of the database holds. */
const LARGEST = 2_147_483_647;

/** A name that something is looked up by. */
export const id = (longest = 60) =>
  Joi.string()
    .min(1)
    .max(longest)
    .invalid(...INHERITED)
    .messages({ 'any.invalid': '{#label} must not be a name that every object has' });
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
export const isUuid = (text: string): boolean => UUID.test(text);
export const uuid = () =>
  Joi.string()
    .pattern(UUID)
    .messages({ 'string.pattern.base': '{#label} must be a UUID in lower case, like 0b6f0c52-9f0e-4d1f-8a53-0d4c7a2f9e10' });

/** A count that is kept in a column of whole numbers. */
export const whole = (least: number) => Joi.number().integer().min(least).max(LARGEST);
export const version = () => whole(1);
export const revision = () => whole(0);

/** A calendar day that exists, of this century: 2026-02-30 does not. */
export const day = () =>
  Joi.string()
    .custom((value: string, helpers) => {
      if (!/^\d{4}-\d{2}-\d{2}$/.test(value)) return helpers.error('day.written');
      const read = new Date(`${value}T00:00:00Z`);
      if (Number.isNaN(read.getTime()) || read.toISOString().slice(0, 10) !== value) return helpers.error('day.none');
      return isOfOurTime(value) ? value : helpers.error('day.far');
    })
    .messages({
      'day.written': '{#label} must be a day like 2026-11-25',
      'day.none': '{#label} is not a day of the calendar',
      'day.far': '{#label} must be a day between 2000 and 2099',
    });
/** A moment in UTC, of this century. */
export const instant = () =>
  Joi.string()
    .custom((value: string, helpers) => {
      if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,9})?)?(Z|[+-]\d{2}:\d{2})$/.test(value)) return helpers.error('instant.written');
      const read = Date.parse(value);
      // The calendar carries the 31st of February over into March: what was written is then another day than what is read.
      const written = Date.parse(`${value.slice(0, 10)}T00:00:00Z`);
      if (Number.isNaN(read) || new Date(written).toISOString().slice(0, 10) !== value.slice(0, 10)) return helpers.error('instant.none');
      return isOfOurTime(new Date(read).toISOString()) ? value : helpers.error('instant.far');
    })
    .messages({
      'instant.written': '{#label} must be a moment like 2026-11-25T06:10:00Z',
      'instant.none': '{#label} is not a moment of the calendar',
      'instant.far': '{#label} must be between 2000 and 2099',
    });
const isOfOurTime = (iso: string) => iso >= '2000' && iso < '2100';

/** Part of a list, and where the next part begins; null: this was the last. */
export type Part<T> = { readonly items: readonly T[]; readonly total: number; readonly next: string | null };
