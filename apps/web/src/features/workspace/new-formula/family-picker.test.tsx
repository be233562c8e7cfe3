import { ThemeProvider } from '@mui/material/styles';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { families, firstMinutes } from '@north-leaf/core';
import { northLeafTheme } from '../../../ui/theme/theme';
import { isDrawn } from '../../../ui/drawing/family-drawing';
import { FamilyPicker } from './family-picker';

describe('families as goods', () => {
  it('every family is drawn and says what it asks of hands and the clock', () => {
    for (const id of Object.keys(families))
      expect({ id, drawn: isDrawn(id), asks: id in firstMinutes }).toEqual({ id, drawn: true, asks: true });
  });
  it('what is soonest ready stands first, and one press takes it', async () => {
    const onChoose = jest.fn();
    render(
      <ThemeProvider theme={northLeafTheme('light')}>
        <FamilyPicker familyId="puff" onChoose={onChoose} />
      </ThemeProvider>,
    );
    const cards = screen.getAllByRole('button');
    expect(cards).toHaveLength(Object.keys(families).length);
    expect(screen.getByRole('button', { pressed: true })).toHaveTextContent(families['puff']!.name);
    await userEvent.click(cards[0]!);
    const soonest = Math.min(...Object.values(firstMinutes).map(({ outMin }) => outMin));
    expect(firstMinutes[onChoose.mock.calls[0]![0] as string]!.outMin).toBe(soonest);
  });
});
