import { familyRows } from './family-table.js';
import type { Family } from './family.js';

export { schools } from './family.js';
export type { Window, School, FirstFormula, Family } from './family.js';

export const families: Readonly<Record<string, Family>> = Object.fromEntries(familyRows.map((family) => [family.id, family]));
