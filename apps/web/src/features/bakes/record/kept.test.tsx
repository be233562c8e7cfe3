import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoCrackerV2, demoKitchen, demoLotsOn, evaluate, publishedIngredients, type BakeEvent, type Formula } from '@north-leaf/core';
import { MemoryRouter } from 'react-router';
import { northLeafTheme } from '../../../ui/theme/theme';
import { kitchenQuery } from '../../kitchen/doors';
import { pantryQuery } from '../../pantry/doors';
import { Kept } from './kept';
import { AddTo, Said } from './said';

const on = '2026-11-20';
const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLotsOn(on).map((lot) => [lot.id, lot])), on };
const withEgg: Formula = {
  ...demoCrackerV2,
  rows: [...demoCrackerV2.rows, { key: 'egg', ingredientId: 'egg_whole', amountG: 30, use: 'dough' }],
};

let sent: BakeEvent[][] = [];
let refuse = false;
beforeEach(() => {
  sent = [];
  refuse = false;
  globalThis.fetch = jest.fn((url: string, init?: RequestInit) => {
    if (url.endsWith('/kitchen')) return Promise.resolve(new Response(JSON.stringify(demoKitchen)));
    if (url.endsWith('/pantry')) return Promise.resolve(new Response(JSON.stringify(pantry)));
    if (init?.body) sent.push(JSON.parse(init.body as string) as BakeEvent[]);
    const answer = refuse ? { code: 'invalid', message: 'events/0: not on that day', problems: [] } : {};
    return Promise.resolve(
      new Response(JSON.stringify(answer), { status: refuse ? 400 : 201, headers: { 'content-type': 'application/json' } }),
    );
  }) as never;
});

function open(what: (bake: never) => React.ReactNode, events: readonly BakeEvent[] = []) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(kitchenQuery.queryKey, demoKitchen);
  client.setQueryData(pantryQuery.queryKey, pantry as never);
  const bake = { id: 'b', formulaId: 'f', version: 2, number: 7, startedAt: `${on}T08:00:00.000Z`, events };
  return render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <QueryClientProvider client={client}>
        <MemoryRouter>{what(bake as never)}</MemoryRouter>
      </QueryClientProvider>
    </ThemeProvider>,
  );
}
const kept = (formula: Formula) => {
  const version = { formula, pantry, kitchen: demoKitchen, evaluation: evaluate(formula, demoKitchen, pantry) };
  return (bake: never) => <Kept bake={bake} version={version as never} />;
};
const lastDayShown = () => /use by (\d{4}-\d{2}-\d{2})/i.exec(document.body.textContent!)![1]!;
const choose = async (box: string, option: string) => {
  await userEvent.click(screen.getByRole('combobox', { name: box }));
  await userEvent.click(screen.getByRole('option', { name: option }));
};

describe('what a bake left', () => {
  it('is kept as a lot with its place and last day, and the field is empty again', async () => {
    open(kept(demoCrackerV2));
    await userEvent.type(screen.getByLabelText(/^How much/), '120');
    await choose('Where', 'Fridge');
    const day = lastDayShown();
    expect(screen.getByText(/judgement/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]![0]!.what).toMatchObject({ kind: 'leftOver', what: 'dough', amountG: 120, useByOn: day });
    await waitFor(() => expect(screen.getByLabelText(/^How much/)).toHaveValue(''));
  });

  it('with raw egg in it ends no later in the fridge than without, and sooner than frozen', async () => {
    const lastDay = async (formula: Formula, place: string) => {
      const { unmount } = open(kept(formula));
      await userEvent.type(screen.getByLabelText(/^How much/), '100');
      await choose('Where', place);
      const day = lastDayShown();
      unmount();
      return day;
    };
    const egg = await lastDay(withEgg, 'Fridge');
    expect(egg <= (await lastDay(demoCrackerV2, 'Fridge'))).toBe(true);
    expect(egg < (await lastDay(withEgg, 'Freezer'))).toBe(true);
  });

  it('what cannot be an amount is said at the field, and what the server refuses beneath; nothing typed is lost', async () => {
    refuse = true;
    open(kept(demoCrackerV2));
    const field = screen.getByLabelText(/^How much/);
    await userEvent.type(field, 'some');
    expect(field).toBeInvalid();
    expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
    await userEvent.clear(field);
    await userEvent.type(field, '120');
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('not on that day');
    expect(field).toHaveValue('120');
  });
});

describe('what is said of a bake afterwards', () => {
  const add = (bake: never) => <AddTo bake={bake} />;
  it('stores a rating after days, a symptom and a note as events of their own, in that order', async () => {
    open(add);
    expect(screen.getByRole('button', { name: 'Store it' })).toBeDisabled();
    const days = screen.getByLabelText(/^Days after/);
    await userEvent.clear(days);
    await userEvent.type(days, '2');
    await choose('Crisp', '●●●●○');
    await userEvent.type(screen.getByLabelText('Note'), 'snaps still');
    await userEvent.click(screen.getByRole('button', { name: 'Store it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.map(({ what }) => what)).toEqual([
      { kind: 'rated', after: 2, crisp: 4 },
      { kind: 'noted', text: 'snaps still' },
    ]);
    expect(sent[0]![0]!.at < sent[0]![1]!.at).toBe(true);
  });

  it('days that are none are said at the field, and a rating of them is not stored', async () => {
    open(add);
    const days = screen.getByLabelText(/^Days after/);
    await userEvent.clear(days);
    await userEvent.type(days, '400');
    await choose('Crisp', '●●○○○');
    expect(screen.getByText(/whole number from 0/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Store it' })).toBeDisabled();
  });

  it('shows words, dots and notes in the order they came, as plain text', () => {
    const event = (id: string, what: BakeEvent['what'], minute: number): BakeEvent => ({ id, at: `${on}T08:${minute}:00.000Z`, what });
    open(
      (bake) => <Said bake={bake} zone="UTC" />,
      [
        event('1', { kind: 'felt', word: 'tacky' }, 10),
        event('2', { kind: 'rated', after: 'fresh', crisp: 4, tender: 2 } as never, 20),
        event('3', { kind: 'noted', text: '<b>less</b> salt & {{more}} oil' }, 30),
      ],
    );
    const text = document.body.textContent!;
    expect(text).toContain('●●●●○');
    expect(text).toContain('<b>less</b> salt & {{more}} oil');
    expect(text.indexOf('tacky')).toBeLessThan(text.indexOf('●●●●○'));
  });
});
