import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import { demoCrackerV2, demoKitchen, demoLotsOn, evaluate, publishedIngredients, type Formula, type Lot } from '@north-leaf/core';
import { northLeafTheme } from '../../ui/theme/theme';
import { AllergenLine } from './allergen-line';
import { BoardProvider } from './board';

const on = '2026-11-20';
const ingredients = publishedIngredients();

function draw(formula: Formula = demoCrackerV2, lots: readonly Lot[] = demoLotsOn(on)) {
  const pantry = { ingredients, lots: Object.fromEntries(lots.map((lot) => [lot.id, lot])), on };
  const evaluation = evaluate(formula, demoKitchen, pantry);
  const { container } = render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <QueryClientProvider client={new QueryClient()}>
        <BoardProvider kitchen={demoKitchen} pantry={pantry} evaluation={evaluation} stale={false}>
          <AllergenLine />
        </BoardProvider>
      </QueryClientProvider>
    </ThemeProvider>,
  );
  return container;
}
const withRow = (ingredientId: string, amountG = 20): Formula => ({
  ...demoCrackerV2,
  rows: [...demoCrackerV2.rows, { key: 'more', ingredientId, amountG, use: 'dough' }],
});

describe('the line of gluten and allergens', () => {
  it('says that all lots are proven, which allergens are in it, and that the label in hand decides', () => {
    const line = draw();
    expect(line).toHaveTextContent('Gluten: all lots that need a report have one');
    expect(line).toHaveTextContent(/Contains sesame/i);
    expect(line).toHaveTextContent(/label in hand and local rules/i);
    expect(screen.getByText(/raw dough is not for tasting/i)).toBeInTheDocument();
  });

  it('a lot without a report is named, never passed over', () => {
    const line = draw(
      demoCrackerV2,
      demoLotsOn(on).map((lot) => (lot.id === 'lot-sorghum-8' ? (({ report: _none, ...rest }) => rest)(lot) : lot)),
    );
    expect(line).toHaveTextContent(/Gluten not proven: Sorghum/);
    expect(line).not.toHaveTextContent('all lots that need a report have one');
  });

  it('wheat is said in so many words', () => expect(draw(withRow('wheat_ap'))).toHaveTextContent(/Contains gluten/));

  it('while it cannot be worked out it waits, and says of no allergen that it is not there', () => {
    const line = draw({ ...demoCrackerV2, rows: demoCrackerV2.rows.map((row) => ({ ...row, amountG: -1 })) });
    expect(line).toHaveTextContent('Gluten: waiting');
    expect(line).toHaveTextContent('Allergens: waiting');
    expect(line).not.toHaveTextContent(/no listed allergen/i);
  });

  it.each([
    ['butter_82', /Contains[^.]*milk/i],
    ['egg_whole', /Contains[^.]*egg/i],
  ])('%s brings its allergen', (id, words) => expect(draw(withRow(id))).toHaveTextContent(words));
});
