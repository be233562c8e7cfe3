import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter, Route, Routes } from 'react-router';
import { demoKitchen, type Kitchen } from '@north-leaf/core';
import { northLeafTheme } from '../../ui/theme/theme';
import { kitchenQuery, type KitchenChange } from './api';
import { KitchenPage } from './kitchen-page';
import { withReadings } from './measure-oven';
import { kitchenInverseOf } from './use-kitchen';

jest.mock('../../ui/drawing/plotly', () => ({ Plotly: { react: jest.fn() } }));
jest.mock('../../platform/notices', () => ({ notify: jest.fn() }));

const sent: { method: string; url: string; body: unknown }[] = [];
let refuse: string | null = null;
beforeEach(() => {
  sent.length = 0;
  refuse = null;
  globalThis.fetch = jest.fn((url: string, init?: RequestInit) => {
    sent.push({ method: init?.method ?? 'GET', url, body: init?.body ? JSON.parse(init.body as string) : null });
    const answer = refuse ? { code: 'invalid', message: refuse, problems: [] } : demoKitchen;
    return Promise.resolve(
      new Response(JSON.stringify(answer), { status: refuse ? 400 : 200, headers: { 'content-type': 'application/json' } }),
    );
  }) as never;
});

function open(path = '/kitchen', kitchen: Kitchen = demoKitchen) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(kitchenQuery.queryKey, kitchen);
  return render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <QueryClientProvider client={client}>
        <MemoryRouter initialEntries={[path]}>
          <Routes>
            <Route path="/kitchen/:list?/:id?" element={<KitchenPage />} />
          </Routes>
        </MemoryRouter>
      </QueryClientProvider>
    </ThemeProvider>,
  );
}
const last = () => sent[sent.length - 1]!;

describe('the kitchen', () => {
  it('shows what it has, which oven is how far off, and what to set the dial to', () => {
    open();
    expect(screen.getByRole('link', { name: /Oven A.*\+6/ })).toHaveAttribute('aria-current', 'page');
    expect(screen.getByRole('link', { name: /Small oven.*\?/ })).toBeInTheDocument();
    expect(screen.getByRole('row', { name: '180 °C 174 °C' })).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Change Fridge' })).toHaveTextContent('fridge, 4.6 °C');
    expect(screen.getByRole('complementary', { name: 'How sure, and what next' })).toHaveTextContent('Turn trays at half time');
  });

  it('an oven that was never measured says so everywhere and asks for a thermometer first', () => {
    open('/kitchen/ovens/small-oven');
    expect(screen.getByRole('button', { name: 'Measure' })).toBeInTheDocument();
    expect(screen.getByText(/Next: measure it with a thermometer/)).toBeInTheDocument();
    expect(screen.getByLabelText('centre: not measured')).toBeInTheDocument();
    expect(screen.getByRole('row', { name: '180 °C 356 °F' })).toBeInTheDocument();
  });

  it('an empty kitchen says what belongs there', () => {
    open('/kitchen', { ...demoKitchen, ovens: [], trays: [], pans: [] });
    expect(screen.getByText(/An oven belongs here/)).toBeInTheDocument();
    expect(screen.getAllByText('None yet.')).toHaveLength(3);
  });

  it('readings are the mean of what was typed, in either unit, and nothing typed is nothing measured', async () => {
    open('/kitchen/ovens/small-oven');
    await userEvent.click(screen.getByRole('button', { name: 'Measure' }));
    const sheet = within(screen.getByRole('dialog'));
    await userEvent.click(sheet.getByRole('button', { name: 'Store' }));
    expect(sheet.getByText('Type at least one reading first.')).toBeInTheDocument();
    await userEvent.type(sheet.getByLabelText('Setting 2 reading 1'), '190');
    await userEvent.type(sheet.getByLabelText('Setting 2 reading 2'), '381.2F');
    await userEvent.click(sheet.getByRole('button', { name: 'Store' }));
    const { readings } = last().body as { readings: { dialC: number; trueC: number }[] };
    expect(readings).toHaveLength(1);
    expect(readings[0]!.dialC).toBeCloseTo(204.4, 1);
    expect(readings[0]!.trueC).toBeCloseTo(192, 1);
  });

  it('a swing and a wrong unit are asked about', async () => {
    open('/kitchen/ovens/small-oven');
    await userEvent.click(screen.getByRole('button', { name: 'Measure' }));
    const sheet = within(screen.getByRole('dialog'));
    await userEvent.type(sheet.getByLabelText('Setting 1 reading 1'), '290');
    await userEvent.type(sheet.getByLabelText('Setting 1 reading 2'), '260');
    expect(sheet.getByText(/It swings by 30 °C/)).toBeInTheDocument();
    expect(sheet.getByText(/That is far off. Is the dial in °C after all/)).toBeInTheDocument();
  });

  it('a thing keeps its form and what was typed when the server says no', async () => {
    open();
    await userEvent.click(screen.getByRole('button', { name: 'Change Bright tray 400 × 300' }));
    const form = within(screen.getByRole('dialog'));
    await userEvent.clear(form.getByLabelText('How many'));
    await userEvent.type(form.getByLabelText('How many'), '2.5');
    await userEvent.click(form.getByRole('button', { name: 'Store' }));
    expect(form.getByText('How many must be a whole number')).toBeInTheDocument();
    expect(sent.filter(({ method }) => method === 'PUT')).toEqual([]);
    await userEvent.clear(form.getByLabelText('How many'));
    await userEvent.type(form.getByLabelText('How many'), '3');
    refuse = 'The server is tired.';
    await userEvent.click(form.getByRole('button', { name: 'Store' }));
    expect(await form.findByText(/The server is tired/)).toBeInTheDocument();
    expect(form.getByLabelText('How many')).toHaveValue('3');
    refuse = null;
    await userEvent.click(form.getByRole('button', { name: 'Store' }));
    expect(last()).toMatchObject({ method: 'PUT', body: { id: 'bright-tray', count: 3 } });
  });

  it('a judgement is set inside its limits and given back', async () => {
    open();
    await userEvent.click(screen.getByRole('button', { name: 'Judgements' }));
    const sheet = within(screen.getByRole('dialog'));
    const field = sheet.getByLabelText('How fast crusts brown, times ours');
    await userEvent.clear(field);
    await userEvent.type(field, '9');
    await userEvent.click(sheet.getByRole('button', { name: 'Store' }));
    expect(sheet.getByText('Mend the marked number first.')).toBeInTheDocument();
    await userEvent.click(sheet.getByRole('button', { name: /^Back to ours: How fast crusts brown/ }));
    await userEvent.click(sheet.getByRole('button', { name: 'Store' }));
    expect(last()).toMatchObject({ method: 'PUT', url: expect.stringContaining('/kitchen/judgements'), body: {} });
  });
});

describe('taking a change of the kitchen back', () => {
  const [oven] = demoKitchen.ovens;
  it.each<[string, KitchenChange, object | null]>([
    ['a changed oven is put back', { kind: 'thing', list: 'ovens', thing: { ...oven!, name: 'New' } }, { kind: 'thing', thing: oven }],
    [
      'a new pan is removed',
      { kind: 'thing', list: 'pans', thing: { id: 'new' } as never },
      { kind: 'removeThing', list: 'pans', id: 'new' },
    ],
    [
      'a removed place comes back',
      { kind: 'removeThing', list: 'places', id: 'fridge' },
      { kind: 'thing', list: 'places', thing: demoKitchen.places[0] },
    ],
    [
      'the room is as it was',
      { kind: 'air', roomC: 30, humidityShare: 0.9 },
      { kind: 'air', roomC: 23.5, humidityShare: 0.61, altitudeM: 0 },
    ],
    [
      'what an oven learned is forgotten',
      { kind: 'ovenHeat', ovenId: 'oven-a', heat: { value: 1, sd: 0.1, from: '' } },
      { kind: 'ovenHeat', heat: null },
    ],
    ['judgements are as they were', { kind: 'judgements', judgements: { lookDrop: 30 } }, { kind: 'judgements', judgements: {} }],
    ['a guest is no matter of this page', { kind: 'removeGuest', id: 'g' }, null],
  ])('%s', (_claim, change, back) => {
    const inverse = kitchenInverseOf(change, demoKitchen);
    if (back === null) expect(inverse).toBeNull();
    else expect(inverse).toMatchObject(back);
  });
});

describe('readings', () => {
  const at = '2026-11-25T06:00:00.000Z';
  it('of about the same setting give way to the new one, the others stay, in order of the dial', () => {
    const held = [150, 180, 210].map((dialC) => ({ dialC, trueC: dialC + 6, at: '2026-11-01T06:00:00.000Z' }));
    const taken = [{ dialC: 183, trueC: 180, at }];
    expect(withReadings(held, taken).map(({ dialC, trueC }) => [dialC, trueC])).toEqual([
      [150, 156],
      [183, 180],
      [210, 216],
    ]);
  });
});
