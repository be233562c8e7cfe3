import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyEdits, demoCrackerV2, demoKitchen, demoLots, evaluate, publishedIngredients, type Formula } from '@north-leaf/core';
import type { BakeBody } from '@north-leaf/contracts';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { northLeafTheme } from '../../ui/theme/theme';
import { RecordPage } from './record-page';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const sent: { url: string; body: BakeBody }[] = [];
let deadFor = 0;

function open(formula: Formula = demoCrackerV2) {
  const version = {
    id: 'v',
    formulaId: 'f',
    version: 2,
    basedOn: 1,
    why: '',
    savedAt: '',
    coreVersion: '1',
    formula,
    kitchen: demoKitchen,
    pantry,
    evaluation: evaluate(formula, demoKitchen, pantry),
    setAside: [],
  };
  globalThis.fetch = jest.fn(async (url: string, init: RequestInit = {}) => {
    if (url.includes('/versions/')) return new Response(JSON.stringify(version));
    if (url.includes('/kitchen')) return new Response(JSON.stringify(demoKitchen));
    if (deadFor-- > 0) throw new TypeError('refused');
    sent.push({ url, body: JSON.parse(String(init.body)) as BakeBody });
    return new Response(JSON.stringify({}));
  }) as unknown as typeof fetch;
  const router = createMemoryRouter(
    [
      { path: '/bakes/new', Component: RecordPage },
      { path: '/formulas/:id/bake', element: <p>the formula</p> },
    ],
    { initialEntries: ['/bakes/new?formula=f&version=2'] },
  );
  render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ThemeProvider>,
  );
  return screen.findByRole('button', { name: 'Store this bake' });
}

beforeEach(() => {
  sent.length = 0;
  deadFor = 0;
});

describe('recording a bake', () => {
  it('shows what was planned beside every field', async () => {
    await open();
    expect(screen.getByText('mm, planned 2.4')).toBeInTheDocument();
    expect(screen.getByText('min, planned 15.0')).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /^Water 102\.0/ })).toBeInTheDocument();
  });

  it('sends what was filled in, as events of the version, and goes back to the formula', async () => {
    const button = await open();
    await userEvent.type(screen.getByLabelText('Water weighed'), '99');
    await userEvent.click(screen.getByRole('button', { name: 'Tacky' }));
    await userEvent.type(screen.getByLabelText('Tone of the top'), '4,5');
    await userEvent.click(button);
    expect(await screen.findByText('the formula')).toBeInTheDocument();
    expect(sent[0]!.url).toMatch(/^\/api\/bakes\/[0-9a-f-]{36}$/);
    expect(sent[0]!.body).toMatchObject({ formulaId: 'f', version: 2, roomC: 23.5, humidityShare: 0.61 });
    expect(sent[0]!.body.events.map(({ what }) => what)).toEqual([
      { kind: 'weighed', rowKey: 'r1', addedG: 99 },
      { kind: 'felt', word: 'tacky' },
      { kind: 'measured', what: 'topTone', value: 4.5 },
    ]);
  });

  it('tries again with the same id while the server is dead', async () => {
    deadFor = 1;
    const button = await open();
    await userEvent.type(screen.getByLabelText('Note'), 'still here');
    await userEvent.click(button);
    expect(await screen.findByText(/The server does not answer/)).toBeInTheDocument();
    await waitFor(() => expect(sent).toHaveLength(1), { timeout: 4000 });
    const urls = (globalThis.fetch as jest.Mock).mock.calls.map(([url]) => url as string).filter((url) => url.includes('/bakes/'));
    expect(new Set(urls).size).toBe(1);
  });

  it.each<[string, string, RegExp]>([
    ['Rolled to', 'thin', /Rolled to must be a number, got “thin”/],
    ['Rolled to', '900', /Rolled to must be from 0\.2 to 60 mm/],
    ['Room', '99', /Room must be from -10 to 60 °C/],
  ])('%s “%s” is refused at its field and stays', async (label, text, message) => {
    const button = await open();
    await userEvent.type(screen.getByLabelText(label), text);
    await userEvent.click(button);
    expect(await screen.findByText(message)).toBeInTheDocument();
    expect(screen.getByLabelText(label)).toHaveValue(text);
    expect(sent).toHaveLength(0);
  });

  it('asks for a reason before an unproven lot is baked, and keeps it with the bake', async () => {
    const button = await open(applyEdits(demoCrackerV2, [{ path: '/rows/2/ingredientId', from: 'sesame', to: 'oats_rolled' }]));
    expect(screen.getByText(/Not proven: Rolled oats/)).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText('Note'), 'test');
    await userEvent.click(button);
    expect(await screen.findByText('Give the reason in a few words')).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText(/Why it was baked all the same/), 'own lunch, not sold');
    await userEvent.click(button);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body.events[0]!.what).toEqual({ kind: 'confirmed', code: 'gluten.notProven', reason: 'own lunch, not sold' });
  });
});
