import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoKitchen, judgements, type Judgement, type JudgementName } from '@north-leaf/core';
import { northLeafTheme } from '../../ui/theme/theme';
import { kitchenQuery } from './api';
import { JudgementsSheet } from './judgements-sheet';

jest.mock('../../platform/notices', () => ({ notify: jest.fn() }));

const [name, one] = Object.entries(judgements)[0] as [JudgementName, Judgement];
let sent: { judgements?: Record<string, number> }[] = [];
let refuse = false;
beforeEach(() => {
  sent = [];
  refuse = false;
  globalThis.fetch = jest.fn((_url: string, init?: RequestInit) => {
    if (init?.body) sent.push(JSON.parse(init.body as string) as (typeof sent)[number]);
    const answer = refuse ? { code: 'invalid', message: 'not in this kitchen', problems: [] } : demoKitchen;
    const response = new Response(JSON.stringify(answer), { status: refuse ? 400 : 200, headers: { 'content-type': 'application/json' } });
    // A server is never as quick as a second press.
    return new Promise((done) => setTimeout(() => done(response), 60));
  }) as never;
});

function open() {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(kitchenQuery.queryKey, demoKitchen);
  const onClose = jest.fn();
  render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <QueryClientProvider client={client}>
        <JudgementsSheet kitchen={demoKitchen} onClose={onClose} />
      </QueryClientProvider>
    </ThemeProvider>,
  );
  return onClose;
}
const type = async (text: string) => {
  const field = screen.getByLabelText(one.what);
  await userEvent.clear(field);
  await userEvent.type(field, text);
  await userEvent.tab();
};

describe('what is judged and not measured', () => {
  it('names each with its source, and stores a number of one’s own once, however fast it is pressed', async () => {
    const onClose = open();
    expect(screen.getAllByText(new RegExp(one.source.slice(0, 30).replace(/[()]/g, '.')))[0]).toBeInTheDocument();
    await type(String(one.high));
    await userEvent.dblClick(screen.getByRole('button', { name: 'Store' }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent).toHaveLength(1);
    expect(JSON.stringify(sent[0])).toContain(`"${name}":${one.high}`);
  });

  it('outside its limits it says them, and is not stored', async () => {
    open();
    await type(String(one.high * 10));
    expect(screen.getByText(new RegExp(`from ${one.low} to ${one.high}`))).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Store' }));
    expect(sent).toEqual([]);
    expect(screen.getByText('Mend the marked number first.')).toBeInTheDocument();
  });

  it('what the server refuses is said, and what was typed stays', async () => {
    refuse = true;
    const onClose = open();
    await type(String(one.high));
    await userEvent.click(screen.getByRole('button', { name: 'Store' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('not in this kitchen');
    expect(screen.getByLabelText(one.what)).toHaveValue(String(one.high));
    expect(onClose).not.toHaveBeenCalled();
  });
});
