import { coreVersion } from '@north-leaf/core';
import type { ComponentType } from 'react';
import type { Next } from './platform/early';

type Page = {
  readonly path: string;
  readonly load: () => Promise<{ readonly Component: ComponentType }>;
  /** What it asks the server for, beside the kitchen. A page that names what it will not read keeps a connection open for nothing. */ readonly asks?: readonly string[];
  /** What it asks for once it has one of these. */ readonly next?: Next;
};

/** Ingredients and lots, as this core reads them. */
const PANTRY = `/pantry?have=${coreVersion}`;

/** As much of a formula as says which of its versions is worked on. */
type Opened = { readonly draft: { readonly basedOn: number } | null; readonly versions: readonly { readonly version: number }[] };
const versionOf = (path: string, { draft, versions }: Opened) => `${path}/versions/${draft?.basedOn ?? versions.at(-1)?.version}`;

/** The bench has no rail: its whole screen is for the step. */
export const benchPage: Page = {
  path: '/run/:bakeId',
  load: async () => ({ Component: (await import('./features/runs/run-page')).RunPage }),
};

/** Every page is its own piece of code, loaded when it is gone to. */
export const pages: readonly Page[] = [
  {
    path: '/formulas',
    load: async () => ({ Component: (await import('./features/workspace/formulas-page')).FormulasPage }),
    asks: [PANTRY],
  },
  {
    path: '/formulas/:id/:stage?',
    load: async () => ({ Component: (await import('./features/workspace/formula-page')).FormulaPage }),
    asks: ['/formulas/:id', PANTRY],
    next: (path, answer) => (path.startsWith('/formulas/') ? [versionOf(path, answer as Opened)] : []),
  },
  {
    path: '/today',
    load: async () => ({ Component: (await import('./features/today/today-page')).TodayPage }),
    asks: ['/formulas/names', '/bakes/running', PANTRY],
  },
  { path: '/run', load: async () => ({ Component: (await import('./features/runs/runs-page')).RunsPage }) },
  { path: '/run/new', load: async () => ({ Component: (await import('./features/runs/start-page')).StartPage }), asks: [PANTRY] },
  { path: '/bakes', load: async () => ({ Component: (await import('./features/bakes/bakes-page')).BakesPage }), asks: [PANTRY] },
  { path: '/bakes/new', load: async () => ({ Component: (await import('./features/bakes/record-page')).RecordPage }) },
  { path: '/bakes/:id', load: async () => ({ Component: (await import('./features/bakes/bake-page')).BakePage }) },
  { path: '/trials', load: async () => ({ Component: (await import('./features/trials/trials-page')).TrialsPage }) },
  { path: '/pantry/blends', load: async () => ({ Component: (await import('./features/blends/blends-page')).BlendsPage }), asks: [PANTRY] },
  { path: '/pantry/:face', load: async () => ({ Component: (await import('./features/pantry/pantry-page')).PantryPage }), asks: [PANTRY] },
  { path: '/kitchen/:list?/:id?', load: async () => ({ Component: (await import('./features/kitchen/kitchen-page')).KitchenPage }) },
  { path: '/begin', load: async () => ({ Component: (await import('./features/setup/begin-page')).BeginPage }) },
  { path: '/setup', load: async () => ({ Component: (await import('./features/setup/setup-page')).SetupPage }) },
  { path: '/words', load: async () => ({ Component: (await import('./features/words/words-page')).WordsPage }) },
];

/** The page that an address means (what stands in it word for word goes before what takes any word) and what it will ask for. */
export function pageAt(address: string): { readonly page: Page; readonly asks: readonly string[] } | undefined {
  const pattern = (path: string) => new RegExp(`^${path.replace(/\/:(\w+)(\??)/g, '(?:/(?<$1>[^/]+))$2')}/?$`);
  const found = [...pages, benchPage].filter(({ path }) => pattern(path).test(address));
  const page = found.find(({ path }) => path === address) ?? found[0];
  const parts = page && pattern(page.path).exec(address)?.groups;
  return page && { page, asks: (page.asks ?? []).map((path) => path.replace(/:(\w+)/g, (_, name: string) => parts?.[name] ?? '')) };
}
