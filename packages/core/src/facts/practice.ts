import { table } from './fact.js';

/**
 * Families whose minutes in practice the oven's numbers were fitted on (worked/practice-rows). Of the others only rows stand that were
 * never fitted (worked/practice-unseen-rows): there the spread is wider, and the board says so.
 */
const practised: ReadonlySet<string> = new Set([
  'biscuit_drop',
  'biscuit_rubbed',
  'cookie_filled',
  'cookie_nut_butter',
  'cookie_rolled',
  'cookie_sandwich',
  'cookie_scooped',
  'cracker_nut',
  'cracker_savoury',
  'cracker_sweet',
  'croissant',
  'crumb_crust',
  'galette',
  'muffin',
  'nut_tart',
  'pie_flaky',
  'press_in_oil',
  'puff',
  'sheet_shortcake',
  'shortbread',
  'starch_meltaway',
  'tartlet',
]);
/** What is not known of the oven's numbers on a kind of goods they were not fitted on, besides what is not known of the kitchen. */
export const untriedSpread = table(
  { heatLog: 0.3, browningLog: 0.35 },
  'one standard deviation: log, log',
  'judgement',
  'widened until fourteen of the twenty rows that were never fitted lie within P10 to P90 of a kitchen nobody measured; the kitchen alone holds nine of twenty',
);
export const isPractised = (familyId: string): boolean => practised.has(familyId);
