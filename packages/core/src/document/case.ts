import type { Family } from '../facts/families.js';
import type { Formula } from './formula.js';
import type { Kitchen } from './kitchen.js';
import type { Pantry } from './pantry.js';

/** What every stage works on: a formula, of a family, in a kitchen, from its pantry. */
export type Case = { readonly formula: Formula; readonly family: Family; readonly kitchen: Kitchen; readonly pantry: Pantry };
