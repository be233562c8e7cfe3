import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoCrackerV2, demoKitchen, demoLots, evaluate, publishedIngredients, stageNames, type StageName } from '@north-leaf/core';
import { ThemeProvider } from '@mui/material/styles';
import { northLeafTheme } from '../../ui/theme/theme';
import { TheLine } from './the-line';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const evaluation = evaluate(demoCrackerV2, demoKitchen, pantry);
const shown = (stage: StageName, worked = true) => {
  const onStage = jest.fn();
  render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <TheLine formula={demoCrackerV2} evaluation={worked ? evaluation : null} stage={stage} onStage={onStage} />
    </ThemeProvider>,
  );
  return onStage;
};

describe('the Line', () => {
  it('has a tab a stage, in the order of the work, one chosen', () => {
    shown('chill');
    expect(screen.getAllByRole('tab')).toHaveLength(stageNames.length);
    expect(screen.getByRole('tab', { selected: true }).textContent).toMatch(/^Chill/);
    // Only the chosen one is reached by Tab; arrows go on from it.
    expect(screen.getAllByRole('tab').filter((tab) => tab.tabIndex === 0)).toHaveLength(1);
  });

  it('is walked by arrows, round its ends', async () => {
    const onStage = shown('keep');
    act(() => screen.getByRole('tab', { selected: true }).focus());
    await userEvent.keyboard('{ArrowRight}');
    expect(onStage).toHaveBeenLastCalledWith('blend');
    await userEvent.keyboard('{ArrowLeft}');
    expect(onStage).toHaveBeenLastCalledWith('bake');
    await userEvent.keyboard('a');
    expect(onStage).toHaveBeenCalledTimes(2);
  });

  it('is pressed', async () => {
    const onStage = shown('blend');
    await userEvent.click(screen.getByRole('tab', { name: /Sheet/ }));
    expect(onStage).toHaveBeenCalledWith('sheet');
  });

  it('shows a dash in every stage while nothing is worked out', () => {
    shown('blend', false);
    for (const name of stageNames) expect(screen.getByTestId(`ruling-${name}`).textContent).toBe('–');
  });
});
