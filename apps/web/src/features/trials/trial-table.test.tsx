import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import { demoCrackerV2, demoKitchen, imperial, metric, publishedIngredients, type Formula, type Happened } from '@north-leaf/core';
import { usePreferences } from '../../platform/preferences';
import type { Link } from './links';
import { TrialTable } from './trial-table';

const pantry = { ingredients: publishedIngredients(), lots: {} };
/** A bake of a formula, with what was noted of it. */
function aLink(number: number, whats: readonly Happened[], formula: Formula = demoCrackerV2, version = 2): Link {
  const events = whats.map((what, i) => ({ id: `${number}-${i}`, at: `2026-11-1${number}T08:0${i}:00.000Z`, what }));
  const bake = { id: `b${number}`, number, events, steps: [], factor: 1, roomC: 22, humidityShare: 0.5 };
  return { bake, version: { formula, version, pantry, kitchen: demoKitchen } } as unknown as Link;
}
const shown = (links: readonly Link[], every = false) =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { enabled: false } } })}>
      <TrialTable links={links} every={every} />
    </QueryClientProvider>,
  );
const row = (name: string | RegExp) =>
  within(screen.getByRole('row', { name }))
    .getAllByRole('cell')
    .map(({ textContent }) => textContent);
beforeEach(() => usePreferences.setState({ units: metric }));

describe('bakes side by side', () => {
  const first = aLink(1, [
    { kind: 'felt', word: 'tacky' },
    { kind: 'measured', what: 'bakeMin', value: 15 },
    { kind: 'rated', after: 'fresh', crisp: 3, tender: 4, liked: 3 },
  ]);
  const second = aLink(2, [
    { kind: 'felt', word: 'rollsClean' },
    { kind: 'measured', what: 'bakeMin', value: 17 },
    { kind: 'rated', after: 'fresh', crisp: 5, tender: 4, liked: 5 },
  ]);

  it('show only what differs, unless all is asked for', () => {
    shown([first, second]);
    expect(row(/^Felt/)).toEqual(['Tacky', 'Rolls clean']);
    expect(row(/^Crisp /)).toEqual(['●●●○○', '●●●●●']);
    // Alike in both: not shown.
    expect(screen.queryByRole('row', { name: /^Tender/ })).toBeNull();
    expect(screen.queryByRole('row', { name: /^Oven/ })).toBeNull();
  });

  it('show every row that says something', () => {
    shown([first, second], true);
    expect(row(/^Tender/)).toEqual(['●●●●○', '●●●●○']);
    expect(row(/^Oven /)).toHaveLength(2);
    expect(screen.queryByRole('row', { name: /^Note/ })).toBeNull();
  });

  it('are in the baker’s units', () => {
    const warm = { ...second, bake: { ...second.bake, roomC: 25 } } as Link;
    usePreferences.setState({ units: imperial });
    shown([first, warm]);
    expect(row(/^Kitchen/)[1]).toMatch(/77 °F/);
  });

  it('say how the weight fell, where both ends were weighed', () => {
    const weighed = aLink(3, [
      { kind: 'measured', what: 'rawG', value: 400 },
      { kind: 'measured', what: 'bakedG', value: 300 },
    ]);
    shown([first, weighed]);
    expect(row(/^Weight lost/)).toEqual(['–', '25 %']);
  });

  it('name what the version set otherwise', () => {
    const thicker = { ...demoCrackerV2, sheet: { ...demoCrackerV2.sheet, parts: demoCrackerV2.sheet.parts.map((part) => ({ ...part, thicknessMm: 3 })) } }; // prettier-ignore
    shown([first, aLink(4, [], thicker, 3)]);
    expect(row(/^Set otherwise/)[1]).toMatch(/2\.4.*3/);
    expect(row(/^Version/)).toEqual(['v2', 'v3']);
  });

  it('are nothing where nothing differs', () => {
    const { container } = shown([aLink(1, []), aLink(1, [])]);
    expect(container.textContent).toBe('');
  });
});
