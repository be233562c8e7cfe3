import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { gunzipSync } from 'node:zlib';
import type { Kitchen } from '@north-leaf/core';
import type { EntityManager } from 'typeorm';

/** Made by `npm run demo:make`: what the story became in a database, told as of one day. */
export type KeptStory = { readonly on: string; readonly coreVersion: string; readonly rows: readonly KeptRow[] };
export type KeptRow = { readonly table: (typeof keptTables)[number]; readonly row: Readonly<Record<string, unknown>> };
/** In the order that they can be put in. */
export const keptTables = ['lots', 'formulas', 'formula_versions', 'bakes', 'bake_events'] as const;

export const storyFile = fileURLToPath(new URL('../../../demo/story.json.gz', import.meta.url));
export const keptStory = (): KeptStory => JSON.parse(gunzipSync(readFileSync(storyFile)).toString('utf8')) as KeptStory;

const DAY = /\b20\d\d-\d\d-\d\d/g;
const UUID = /[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}/g;
/** Every day of a text so many days later. */
export const daysLater = (text: string, days: number): string =>
  text.replace(DAY, (day) => new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10));

/** What a formula's row says of its newest version and of how it was liked: the small demo's is behind the story's. */
const told = ['name', 'family', 'newestVersion', 'blendName', 'doughOf', 'savedAt', 'savedBy', 'bakes', 'likedSum', 'likedCount', 'judged'];

/** Puts the story beside the small demo of a kitchen, told as of a day. `idOf` is how that demo's ids are written in this kitchen. */
export async function putStory(manager: EntityManager, kitchen: Kitchen, on: string, idOf: (id: string) => string): Promise<void> {
  const kitchenId = kitchen.id;
  const story = keptStory();
  const days = Math.round((Date.parse(on) - Date.parse(story.on)) / 86_400_000);
  const own = new Set(story.rows.flatMap(({ table, row }) => (table === 'lots' ? [] : [row['id'] as string])));
  for (const table of keptTables) {
    const rows = story.rows.flatMap((one) => {
      if (one.table !== table) return [];
      const text = JSON.stringify({ ...one.row, kitchenId }).replace(UUID, (id) => (own.has(id) ? idOf(id) : id));
      // The kitchen of every version is the demo's as it is: it is not kept forty times, and its own days stay.
      return [{ ...(JSON.parse(daysLater(text, days)) as object), ...(table === 'formula_versions' ? { kitchen } : {}) }];
    });
    const known = told.map((column) => `"${column}" = excluded."${column}"`).join(', ');
    await manager.query(
      `INSERT INTO "${table}" SELECT (jsonb_populate_record(NULL::"${table}", one)).* FROM jsonb_array_elements($1::jsonb) one
       ${table === 'formulas' ? `ON CONFLICT ("id", "kitchenId") DO UPDATE SET ${known}` : ''}`,
      [JSON.stringify(rows)],
    );
  }
}
