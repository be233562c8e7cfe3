import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ThemeProvider } from '@mui/material/styles';
import type { LooksStudy } from '@north-leaf/core';
import { northLeafTheme } from '../../ui/theme/theme';
import { Looks } from './looks';

/** Twenty bakes, done every half minute from 13 on, over four minutes later. */
const samples = Array.from({ length: 20 }, (_, i) => ({ doneMin: 13 + i / 2, overMin: 17 + i / 2 }));
const look = (atMin: number, topTone: number) => ({
  atMin,
  topTone,
  baseTone: topTone - 0.5,
  moistureShare: 0.02,
  coldestC: 120,
  doneShare: 0.5,
});
const study: LooksStudy = {
  samples,
  done: { p10: 13.9, p50: 17.8, p90: 21.6 },
  caughtShare: 0.97,
  looks: [look(16, 2.2), look(19, 3.4), look(22, 4.8)],
  looksCostMin: 0.24,
};
const stop = jest.fn();
const goOn = jest.fn();
const shown = (over: Partial<Parameters<typeof Looks>[0]> = {}) =>
  render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <Looks
        study={study}
        of={null}
        progress={null}
        fresh
        stopped={false}
        stop={stop}
        goOn={goOn}
        goldenFromTone={3}
        coreC={null}
        dryBelowShare={0.03}
        {...over}
      />
    </ThemeProvider>,
  );

describe('looks', () => {
  it('say when, what tone, what to see, how many bakes they find and what they cost', () => {
    shown();
    expect(screen.getAllByRole('row')).toHaveLength(4);
    expect(screen.getByRole('row', { name: /16 min.*paler than it should be/ })).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /19 min.*golden, snaps when cool/ })).toBeInTheDocument();
    expect(
      screen.getByText(
        /Eight in ten are done between 14 min and 21.5 min. Of 100 such bakes these looks find 97 in time. They cost 0.2 min./,
      ),
    ).toBeInTheDocument();
  });

  it('a “not yet” plans the rest from there, again and again, and goes back', async () => {
    shown();
    await userEvent.click(screen.getByRole('button', { name: 'Not yet at 16 min' }));
    expect(screen.getByRole('status')).toHaveTextContent(/Not yet at 16 min: likely done in \d/);
    const later = screen.getAllByRole('button', { name: /^Not yet at/ });
    await userEvent.click(later[later.length - 1]!);
    expect(screen.getByRole('status')).toHaveTextContent(/Not yet at/);
    await userEvent.click(screen.getByRole('button', { name: 'Back to the whole plan' }));
    expect(screen.getAllByRole('row')).toHaveLength(4);
  });

  it('past every bake that was thought of it says so instead of guessing', async () => {
    shown({ study: { ...study, looks: [look(40, 6)] } });
    await userEvent.click(screen.getByRole('button', { name: 'Not yet at 40 min' }));
    expect(screen.getByText(/none of the bakes that were thought of takes so long/)).toBeInTheDocument();
  });

  it('shows how far it is, keeps the last plan meanwhile, and can be stopped and taken up again', async () => {
    const { unmount } = shown({ progress: 0.4 });
    expect(screen.getByRole('progressbar', { name: 'Planning the looks' })).toHaveAttribute('aria-valuenow', '40');
    expect(screen.getAllByRole('row')).toHaveLength(4);
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(stop).toHaveBeenCalled();
    unmount();
    shown({ study: null, stopped: true });
    await userEvent.click(screen.getByRole('button', { name: 'Plan them' }));
    expect(goOn).toHaveBeenCalled();
  });

  it('of thick goods it tells the core; what is never done is led to the minutes that were set', () => {
    const { unmount } = shown({
      coreC: 95,
      study: {
        ...study,
        looks: [
          { ...look(12, 3.2), coldestC: 88 },
          { ...look(16, 4), coldestC: 97 },
        ],
      },
    });
    expect(screen.getByRole('row', { name: /core 88 °C, still setting/ })).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /golden, core 97 °C/ })).toBeInTheDocument();
    unmount();
    shown({ study: { ...study, done: null, looks: [{ ...look(15, 1), asSet: true }] } });
    expect(screen.getByRole('row', { name: /15 min as set/ })).toBeInTheDocument();
    expect(screen.getByText(/More than one in ten is never done/)).toBeInTheDocument();
  });
});
