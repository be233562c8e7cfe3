import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { publishedIngredients } from '@north-leaf/core';
import { ingredientOptions } from '../api';
import { SearchField } from '../../../ui/form/search-field';

const find = ingredientOptions(publishedIngredients(), (one) => one.kind !== 'excluded');
const field = () => {
  const chosen: string[] = [];
  render(<SearchField label="Add" placeholder="" find={find} onChoose={(id) => chosen.push(id)} />);
  return chosen;
};

describe('finding an ingredient', () => {
  it('by another language’s name takes what can mean one thing only', async () => {
    const chosen = field();
    await userEvent.type(screen.getByRole('combobox', { name: 'Add' }), 'polvilho azedo');
    await userEvent.click(screen.getByRole('option', { name: /polvilho azedo \(pt-BR\)/ }));
    expect(chosen).toEqual(['tapioca_sour']);
  });
  it('asks which one where two are easily confused, and takes nothing until it is said', async () => {
    const chosen = field();
    await userEvent.type(screen.getByRole('combobox', { name: 'Add' }), 'potato flour');
    await userEvent.click(screen.getAllByRole('option')[0]!);
    expect(chosen).toEqual([]);
    expect(await screen.findByText(/potato starch is raw and takes 0.45/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'None of these' }));
    expect(chosen).toEqual([]);
  });
  it('takes a whole name that means one thing, though it is often confused, without a word', async () => {
    const chosen = field();
    await userEvent.type(screen.getByRole('combobox', { name: 'Add' }), 'potato starch');
    await userEvent.click(screen.getAllByRole('option')[0]!);
    expect(chosen).toEqual(['potato_starch']);
  });
  it('never offers what is not allowed there', () => {
    expect(find('wheat').map(({ id }) => id)).not.toContain('wheat_ap');
    expect(find('').length).toBeGreaterThan(100);
  });
});
