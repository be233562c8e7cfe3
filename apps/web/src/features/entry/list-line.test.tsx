import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { publishedIngredients, readList } from '@north-leaf/core';
import type { ComponentProps } from 'react';
import { ListLine } from './list-line';

const pantry = { ingredients: publishedIngredients(), lots: {} };
type Given = ComponentProps<typeof ListLine>;
const lineOf = (text: string, over: Partial<Given['line']> = {}): Given['line'] =>
  ({ ...readList(text, pantry.ingredients)[0]!, key: `0 ${text}`, leftOut: false, corrected: false, box: null, ...over }) as Given['line'];
function shown(line: Given['line'], over: Partial<Given> = {}) {
  const told = { onCorrect: jest.fn(), onRemember: jest.fn(), onForget: jest.fn(), onMake: jest.fn(), onBox: jest.fn() };
  render(
    <Table>
      <TableBody>
        <ListLine line={line} heading={undefined} slips={[]} asks={false} pantry={pantry} saidBefore={false} {...told} {...over} />
      </TableBody>
    </Table>,
  );
  return told;
}

describe('a line of a pasted list', () => {
  it('shows what was written, what it is taken for, and what it weighs', () => {
    shown(lineOf('120 g white rice flour'));
    expect(screen.getByRole('rowheader').textContent).toBe('120 g white rice flour');
    expect(screen.getByText(/White rice flour/)).toBeTruthy();
    expect(screen.getByText('120.0')).toBeTruthy();
  });

  it('asks which one, and takes the answer', async () => {
    const line = lineOf('100 g white rice flour', { candidates: ['rice_white', 'rice_brown'], why: 'two go by this name' });
    const told = shown(line, { asks: true });
    expect(screen.getByText(/two go by this name/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /Brown rice flour/ }));
    expect(told.onCorrect).toHaveBeenCalledWith({ ingredientId: 'rice_brown', box: null, leftOut: false });
  });

  it('asks what a name is that nobody knows', async () => {
    shown(lineOf('2 cups moonroot', { ingredientId: null }), { slips: [{ kind: 'unknown', line: 0 } as never] });
    expect(screen.getByRole('alert').textContent).toMatch(/nobody knows this name/);
    await userEvent.click(screen.getByRole('button', { name: 'What is 2 cups moonroot' }));
    expect(screen.getByPlaceholderText(/./)).toBeTruthy();
  });

  it('warns of gluten in red, and offers what stands for it', () => {
    shown(lineOf('120 g white rice flour'), { slips: [{ kind: 'gluten', line: 0 } as never] });
    expect(screen.getByRole('alert').textContent).toMatch(/contains gluten: kept out/);
    expect(screen.getByRole('button', { name: 'Choose what stands for it' })).toBeTruthy();
  });

  it('left out, it is taken in again by a press and says nothing else', async () => {
    const told = shown(lineOf('120 g white rice flour', { leftOut: true }), { slips: [{ kind: 'doubled', line: 0 } as never] });
    expect(screen.queryByRole('alert')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take it in' }));
    expect(told.onCorrect).toHaveBeenCalledWith({ leftOut: false });
  });

  it('remembers what was corrected, and forgets what was said before', async () => {
    const told = shown(lineOf('120 g white rice flour', { corrected: true, name: 'white rice flour' }));
    await userEvent.click(screen.getByRole('button', { name: /is always this/ }));
    expect(told.onRemember).toHaveBeenCalledWith('rice_white');
  });

  it('says that it goes by what was said before', async () => {
    const told = shown(lineOf('120 g white rice flour'), { saidBefore: true });
    await userEvent.click(screen.getByRole('button', { name: 'Forget' }));
    expect(told.onForget).toHaveBeenCalledTimes(1);
  });
});
