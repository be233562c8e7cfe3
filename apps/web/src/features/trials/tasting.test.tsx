import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Tasting } from './tasting';

const status = () => screen.getByRole('status').textContent;
const people = () => screen.getByLabelText('People');

describe('a blind tasting', () => {
  it('says how many have to be right, as the published tables do', async () => {
    render(<Tasting />);
    // Triangle, 12 tasters, 5 %: 8 correct (ISO 4120 table, from memory).
    expect(status()).toMatch(/8 of 12 have to be right/);
    await userEvent.clear(people());
    await userEvent.type(people(), '24');
    // 24 tasters: 13 correct.
    expect(status()).toMatch(/13 of 24/);
  });

  it('says what those who tasted have shown', async () => {
    render(<Tasting />);
    await userEvent.type(screen.getByLabelText('Right'), '8');
    expect(status()).toMatch(/8 of 12: they can be told apart/);
    await userEvent.clear(screen.getByLabelText('Right'));
    await userEvent.type(screen.getByLabelText('Right'), '7');
    expect(status()).toMatch(/not shown to differ/);
  });

  it('says that too few people are no proof', async () => {
    render(<Tasting />);
    await userEvent.clear(people());
    await userEvent.type(people(), '2');
    expect(status()).toMatch(/even all of them are no proof/);
  });

  it('refuses what is no number of people, with its limits, and keeps it', async () => {
    render(<Tasting />);
    await userEvent.clear(people());
    await userEvent.type(people(), '0');
    expect(screen.getByText(/from 1 to 200/)).toBeTruthy();
    expect((people() as HTMLInputElement).value).toBe('0');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Blind sheet' }).disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('Right'), '3');
    expect(screen.getByText(/whole number from 0/)).toBeTruthy();
  });

  it('gives each taster three cups with codes of their own, and other numbers on demand', async () => {
    render(<Tasting />);
    await userEvent.click(screen.getByRole('button', { name: 'Blind sheet' }));
    const table = () => screen.getByRole('table', { name: 'Blind sheet' });
    expect(within(table()).getAllByRole('rowheader')).toHaveLength(12);
    const cups = within(table())
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell')[0]!.textContent);
    for (const codes of cups) expect(new Set(codes.trim().split(/\s+/)).size).toBe(3);
    const before = table().textContent;
    await userEvent.click(screen.getByRole('button', { name: 'Other numbers' }));
    expect(table().textContent).not.toBe(before);
  });

  it('asks another question for another test', async () => {
    render(<Tasting />);
    fireEvent.keyDown(screen.getByRole('combobox', { name: 'Test' }), { key: 'ArrowDown' });
    await userEvent.click(screen.getByRole('option', { name: /crisper/ }));
    // Two-sided: no side was named before.
    expect(status()).toMatch(/have to agree/);
    expect(screen.getByLabelText('Say the one')).toBeTruthy();
  });
});
