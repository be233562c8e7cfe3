import { useState } from 'react';
import { ThemeProvider } from '@mui/material/styles';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { showDuration, showQuantity, imperial, metric } from '@north-leaf/core';
import { usePreferences } from '../../platform/preferences';
import { QuantityField } from './quantity-field';
import { northLeafTheme } from '../theme/theme';

function Field({ start, problem }: { start: number; problem?: string }) {
  const [value, setValue] = useState(start);
  const [typed, setTyped] = useState<string | undefined>();
  return (
    <ThemeProvider theme={northLeafTheme('light')}>
      <QuantityField
        label="Water"
        kind="mass"
        value={value}
        was={100}
        typed={typed}
        problem={problem}
        onTyped={(text) => setTyped(text ?? undefined)}
        onChange={setValue}
      />
      <output>{value.toFixed(2)}</output>
    </ThemeProvider>
  );
}
const field = () => screen.getByLabelText('Water');
const held = () => screen.getByRole('status').textContent;

describe('a quantity field', () => {
  beforeEach(() => usePreferences.setState({ units: metric }));

  it('takes other units as they are typed and shows its own afterwards', async () => {
    render(<Field start={100} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '4 oz');
    await userEvent.tab();
    expect(held()).toBe('113.40');
    expect(field()).toHaveValue('113.4');
    expect(screen.getByText('was 100')).toBeInTheDocument();
  });

  it('keeps letters as they were typed, says why, and leaves the value alone', async () => {
    render(<Field start={100} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'lots');
    await userEvent.tab();
    expect(field()).toHaveValue('lots');
    expect(field()).toHaveAttribute('aria-invalid', 'true');
    expect(screen.getByRole('alert')).toHaveTextContent('Water “lots” is not a number');
    expect(held()).toBe('100.00');
  });

  it('steps with Up and Down, ten times with Shift', async () => {
    render(<Field start={100} />);
    await userEvent.click(field());
    await userEvent.keyboard('{ArrowUp}{Shift>}{ArrowDown}{/Shift}');
    expect(held()).toBe('91.00');
  });

  it('never clips: what the core refuses stays, with the core’s reason', () => {
    render(<Field start={-5} problem="must be from 0 to 100000 g, got -5" />);
    expect(field()).toHaveValue('-5');
    expect(screen.getByRole('alert')).toHaveTextContent('Water must be from 0 to 100000 g');
  });

  it('shows ounces first when the baker thinks in them', () => {
    usePreferences.setState({ units: imperial });
    render(<Field start={100} />);
    expect(field()).toHaveValue('3.53');
  });
});

describe('showing', () => {
  it('a duration is never a clock', () => {
    expect([showDuration(18), showDuration(62), showDuration(4.5)]).toEqual(['18 min', '1 h 02', '4.5 min']);
  });
  it('a quantity carries its unit', () => {
    expect(showQuantity(180, 'temperature', imperial)).toBe('356 °F');
    expect(showQuantity(2.4, 'length', metric)).toBe('2.4 mm');
  });
});
