import { ThemeProvider } from '@mui/material/styles';
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { northLeafTheme } from '../../../ui/theme/theme';
import { Answers } from './answers';
import { leftWords } from './bench-words';
import { Edge } from './edge';
import { HoldButton } from './hold-button';

const draw = (what: React.ReactNode) => render(<ThemeProvider theme={northLeafTheme('light')}>{what}</ThemeProvider>);

describe('words of the bench', () => {
  it.each([
    [-130_000, '2 min over'],
    [-500, 'now'],
    [61_000, '1:01'],
    [120_000, '2:00'],
    [121_500, '3 min'],
    [1080_000, '18 min'],
    [1080_900, '18 min'],
    [3_720_000, '1 h 02'],
  ])('%d ms left: %s', (ms, words) => expect(leftWords(ms)).toBe(words));
});

describe('an edge of the screen', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const press = (edge: HTMLElement, heldMs: number, pointerType = 'touch') => {
    fireEvent.pointerDown(edge);
    act(() => void jest.advanceTimersByTime(heldMs));
    const click = new MouseEvent('click', { bubbles: true });
    Object.defineProperty(click, 'pointerType', { value: pointerType });
    fireEvent(edge, click);
  };
  it('takes an elbow that stays, not a sleeve that brushes, and one press of two', () => {
    const pressed = jest.fn();
    draw(<Edge side="right" label="Next" detail="115 g short" onPress={pressed} />);
    const edge = screen.getByRole('button', { name: 'Next, 115 g short' });
    press(edge, 40);
    expect(pressed).toHaveBeenCalledTimes(0);
    press(edge, 200);
    expect(pressed).toHaveBeenCalledTimes(1);
    press(edge, 200);
    expect(pressed).toHaveBeenCalledTimes(1);
    act(() => void jest.advanceTimersByTime(700));
    press(edge, 200);
    expect(pressed).toHaveBeenCalledTimes(2);
  });
  it('a mouse or a key means it at once', () => {
    const pressed = jest.fn();
    draw(<Edge side="left" label="Back" onPress={pressed} />);
    press(screen.getByRole('button', { name: 'Back' }), 1, 'mouse');
    expect(pressed).toHaveBeenCalledTimes(1);
  });
  it('a button to be held does nothing when it is only touched', () => {
    const held = jest.fn();
    draw(<HoldButton holdMs={1000} onHeld={held}>Leave</HoldButton>); // prettier-ignore
    const button = screen.getByRole('button', { name: 'Leave' });
    fireEvent.pointerDown(button);
    act(() => void jest.advanceTimersByTime(400));
    fireEvent.pointerUp(button);
    act(() => void jest.advanceTimersByTime(2000));
    expect(held).not.toHaveBeenCalled();
    fireEvent.pointerDown(button);
    act(() => void jest.advanceTimersByTime(1200));
    expect(held).toHaveBeenCalledTimes(1);
    fireEvent.keyDown(button, { key: 'Enter' });
    expect(held).toHaveBeenCalledTimes(2);
  });
});

describe('answers', () => {
  const answers = ['Paler', 'As shown', 'Darker'].map((label) => ({ key: label, label }));
  const open = (chosen: string | null = null) => {
    const took = jest.fn();
    const again = jest.fn();
    const back = jest.fn();
    draw(<Answers label="What you see" answers={answers} chosen={chosen} onTake={took} onAgain={again} onBack={back} />);
    return { took, again, back };
  };
  it('none is chosen at first, and a press takes one', async () => {
    const { took } = open();
    for (const button of within(screen.getByRole('group')).getAllByRole('button')) expect(button).toHaveAttribute('aria-pressed', 'false');
    await userEvent.click(screen.getByRole('button', { name: 'As shown' }));
    expect(took).toHaveBeenCalledWith('As shown');
  });
  it('a pedal walks, and Space takes what it stands on', () => {
    const { took, back } = open();
    const tap = (key: string) => {
      fireEvent.keyDown(document.body, { key });
      fireEvent.keyUp(document.body, { key });
    };
    tap('PageUp');
    expect(back).toHaveBeenCalledTimes(1);
    tap('PageDown');
    tap('PageDown');
    tap(' ');
    expect(took).toHaveBeenCalledWith('As shown');
  });
  it('held on what is chosen it goes on', () => {
    jest.useFakeTimers();
    const { took, again } = open('Paler');
    fireEvent.keyDown(document.body, { key: 'PageDown' });
    fireEvent.keyUp(document.body, { key: 'PageDown' });
    fireEvent.keyDown(document.body, { key: 'PageDown' });
    act(() => void jest.advanceTimersByTime(900));
    fireEvent.keyDown(document.body, { key: 'PageDown', repeat: true });
    fireEvent.keyUp(document.body, { key: 'PageDown' });
    expect([took.mock.calls.length, again.mock.calls.length]).toEqual([0, 1]);
    jest.useRealTimers();
  });
});
