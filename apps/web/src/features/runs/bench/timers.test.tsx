import { ThemeProvider } from '@mui/material/styles';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { northLeafTheme } from '../../../ui/theme/theme';
import { OwnAlarms, OwnTimers, StepTimer } from './own-timers';
import { sorted, typedMin, useTimers } from './timers';

jest.mock('./alarm', () => ({ ...jest.requireActual<object>('./alarm'), ring: jest.fn() }));

const draw = (what: React.ReactNode) => render(<ThemeProvider theme={northLeafTheme('light')}>{what}</ThemeProvider>);
beforeEach(() => useTimers.setState({ timers: [] }));

describe('minutes as they are typed', () => {
  it.each([
    ['2', 2],
    ['2.5', 2.5],
    ['2,5', 2.5],
    ['2:30', 2.5],
    ['90', 90],
    ['0', null],
    ['-3', null],
    ['2:75', null],
    ['1441', null],
    ['soon', null],
    ['', null],
  ])('%p is %p', (text, min) => expect(typedMin(text)).toBe(min));
});

describe('timers of one’s own', () => {
  it('runs until its time, then is due, soonest first', () => {
    const [a, b] = [
      { id: 'a', label: 'later', endsAt: 2000 },
      { id: 'b', label: 'sooner', endsAt: 1000 },
    ];
    expect(sorted([a, b], 500)).toEqual({ running: [b, a], due: [] });
    expect(sorted([a, b], 1500)).toEqual({ running: [a], due: [b] });
  });

  it('any number of them: begun with a name, said, and stopped by a press', async () => {
    draw(<OwnTimers />);
    for (const [min, name] of [
      ['3', 'beans in'],
      ['10:00', 'phone'],
    ] as const) {
      await userEvent.click(screen.getByRole('button', { name: 'Timer' }));
      await userEvent.type(screen.getByLabelText('Minutes'), min);
      await userEvent.type(screen.getByLabelText('What for'), name);
      await userEvent.click(screen.getByRole('button', { name: 'Start it' }));
    }
    expect(useTimers.getState().timers).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: /^Stop the timer: beans in/ }));
    expect(useTimers.getState().timers.map(({ label }) => label)).toEqual(['phone']);
  });

  it('what is no time is said at the field, and begins nothing', async () => {
    draw(<OwnTimers />);
    await userEvent.click(screen.getByRole('button', { name: 'Timer' }));
    await userEvent.type(screen.getByLabelText('Minutes'), '2:99');
    expect(screen.getByText(/at most 1440/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Start it' })).toBeDisabled();
  });

  it('a mixing act has its own minutes, begun by one press', async () => {
    draw(
      <StepTimer about="run/mix" label="Cream butter and sugar, in the mixer, 3 min, until pale, no grain of sugar left to see" min={3} />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Timer, 3 min' }));
    expect(screen.getByRole('timer')).toHaveTextContent('3 min');
    expect(useTimers.getState().timers).toEqual([expect.objectContaining({ about: 'run/mix', label: 'Cream butter and sugar' })]);
  });

  it('says whose time is up until it is touched', async () => {
    draw(<OwnAlarms />);
    expect(screen.queryByRole('alert')).toBeNull();
    act(() => useTimers.getState().begin({ label: 'beans in', min: 0.001 }, Date.now() - 60_000));
    expect(await screen.findByRole('alert')).toHaveTextContent('Time is up: beans in');
    expect(document.title).toContain('beans in');
    await userEvent.click(screen.getByRole('button', { name: 'Quiet' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
