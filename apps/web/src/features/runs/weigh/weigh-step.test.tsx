import { ThemeProvider } from '@mui/material/styles';
import { act, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  demoCrackerV2,
  demoKitchen,
  demoLotsOn,
  evaluate,
  publishedIngredients,
  runState,
  runSteps,
  type BakeEvent,
  type Happened,
  type Lot,
} from '@north-leaf/core';
import { northLeafTheme } from '../../../ui/theme/theme';
import { useDevices } from '../devices/use-devices';
import type { NextPress } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { WeighStep } from './weigh-step';

const on = '2026-11-20';
const startedAt = `${on}T08:00:00.000Z`;
const ingredients = publishedIngredients();
const at = (n: number) => new Date(Date.parse(startedAt) + n * 1000).toISOString();

let runs = 0;
/** A bake at its first weighing of an ingredient, with what it said kept. A run of its own each time: the bench remembers bags by run. */
function begin(ingredientId: string, { lots = demoLotsOn(on) as readonly Lot[], before = [] as readonly Happened[] } = {}) {
  const pantry = { ingredients, lots: Object.fromEntries(lots.map((lot) => [lot.id, lot])), on };
  const steps = runSteps({ formula: demoCrackerV2, kitchen: demoKitchen, pantry }, evaluate(demoCrackerV2, demoKitchen, pantry));
  const events: BakeEvent[] = before.map((what, i) => ({ id: `before-${i}`, at: at(i), what }));
  const said: Happened[] = [];
  const state = runState(steps, events, demoKitchen.scaleStepG);
  const progress = state.steps.find(({ step }) => step.kind === 'weigh' && step.ingredientId === ingredientId)!;
  const run = {
    run: { id: `run-${(runs += 1)}`, startedAt },
    state,
    events,
    kitchen: demoKitchen,
    pantry,
    formula: demoCrackerV2,
    waitingEvents: 0,
    online: true,
    say: (...what: { what: Happened }[]) => {
      said.push(...what.map((one) => one.what));
      return Promise.resolve();
    },
  } as unknown as RunInHand;
  let next: NextPress | null = null;
  const forward = jest.fn();
  const advance = { set: (one: NextPress) => void (next = one), forward, back: jest.fn(), ended: jest.fn() };
  render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <WeighStep run={run} progress={progress} advance={advance} />
    </ThemeProvider>,
  );
  const press = () => act(async () => next!.press());
  return { said, forward, press, detail: () => next!.detail, amountG: progress.step.amountG!, rowKey: progress.step.rowKey! };
}
const type = async (text: string) => {
  await userEvent.click(screen.getByRole('button', { name: 'Type it' }));
  await userEvent.type(screen.getByRole('textbox', { name: /^Weight/ }), text);
};

beforeEach(() => {
  localStorage.clear();
  useDevices.setState({ scale: 'none', reading: null });
});

describe('a row that is weighed', () => {
  it('with no scale asks for the amount, and what is typed is what is kept, with its lot', async () => {
    const { said, forward, press, amountG, rowKey, detail } = begin('salt_fine', { lots: [] });
    expect(screen.getByTestId('still-to-add')).toHaveTextContent(String(amountG));
    expect(detail()).toBe('not weighed');
    await type(String(amountG));
    await press();
    expect(said).toEqual([{ kind: 'weighed', rowKey, addedG: amountG }, { kind: 'stepEnded' }]);
    expect(forward).toHaveBeenCalledTimes(1);
  });

  it('Next before anything lies on the scale asks first; pressed again it means it', async () => {
    const { said, press, amountG, rowKey } = begin('salt_fine', { lots: [] });
    await press();
    expect(said).toEqual([]);
    expect(screen.getByRole('button', { name: /^In as planned/ })).toBeInTheDocument();
    await press();
    expect(said[0]).toEqual({ kind: 'weighed', rowKey, addedG: amountG });
  });

  it('a weight far from what was planned is asked about, and nothing is stored until a hand says it is meant', async () => {
    const { said, press, amountG } = begin('water', { lots: [] });
    const far = Math.round(amountG * 4);
    await type(String(far));
    await press();
    expect(said).toEqual([]);
    const asked = screen.getByRole('alert');
    await userEvent.click(within(asked).getByRole('button', { name: /^It is really/ }));
    expect(said[0]).toMatchObject({ kind: 'weighed', addedG: far });
  });

  it('what cannot be a weight is said at the field, and Next does not take it', async () => {
    const { said, press } = begin('salt_fine', { lots: [] });
    await type('abc');
    expect(screen.getByRole('textbox', { name: /^Weight/ })).toBeInvalid();
    await press();
    expect(said).toEqual([]);
  });

  it('on a scale: what is missing, then too much with two ways out', async () => {
    useDevices.setState({ scale: 'on', reading: { grams: 100, steady: true, over: false } as never });
    const { said, amountG, detail } = begin('water', { lots: [] });
    const shows = (grams: number) =>
      act(() => useDevices.setState({ reading: { grams: 100 + grams, steady: true, over: false } as never }));
    shows(amountG - 20);
    expect(detail()).toBe('20 g short');
    shows(amountG + 20);
    expect(detail()).toBe('20 g over');
    await userEvent.click(screen.getByRole('button', { name: /^Scale the rest/ }));
    expect(said.map(({ kind }) => kind)).toEqual(['scaled', 'weighed', 'stepEnded']);
    // All that follows grows as this row did.
    expect((said[0] as { factor: number }).factor).toBeCloseTo((amountG + 20) / amountG, 6);
  });
});

describe('a lot that is not proven', () => {
  // Husk lot 3 came without a report, lot 4 with one.
  const husks = demoLotsOn(on).filter(({ ingredientId }) => ingredientId === 'psyllium_husk');
  const without = husks.filter(({ report }) => !report);

  it('stops the weighing: Next does nothing, and to weigh it all the same is said of it', async () => {
    const { said, press, detail } = begin('psyllium_husk', { lots: without });
    expect(screen.getByRole('alert')).toHaveTextContent(/not proven/i);
    expect(detail()).toBe('lot not proven');
    await press();
    expect(said).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: /not gluten.free/i }));
    expect(said).toEqual([expect.objectContaining({ kind: 'confirmed', code: 'lot:lot-husk-3' })]);
  });

  it('of two bags the formula names the proven one; another is reached for and stops, and leads back', async () => {
    const { said, amountG, press } = begin('psyllium_husk', { lots: husks });
    await userEvent.click(screen.getByRole('button', { name: /lot 4.*another/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Lot 3' }));
    expect(screen.getByRole('alert')).toHaveTextContent(/not proven/i);
    await userEvent.click(screen.getByRole('button', { name: 'Use lot 4' }));
    await type(String(amountG));
    await press();
    expect(said[0]).toMatchObject({ kind: 'weighed', lotId: 'lot-husk-4' });
  });

  it('an empty bag: what it gave is kept as its own, and the rest is wanted from the next', async () => {
    const { said, amountG, forward } = begin('psyllium_husk', { lots: husks });
    await type(String(amountG / 2));
    await userEvent.click(screen.getByRole('button', { name: /bag is empty/ }));
    expect(said).toEqual([expect.objectContaining({ kind: 'weighed', addedG: amountG / 2, lotId: 'lot-husk-4' })]);
    expect(forward).not.toHaveBeenCalled();
    expect(screen.getByRole('group', { name: 'Lot' })).toBeInTheDocument();
  });

  it('once a hand has said so, it is weighed', () => {
    begin('psyllium_husk', { lots: without, before: [{ kind: 'confirmed', code: 'lot:lot-husk-3', reason: 'weighed all the same' }] });
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByTestId('still-to-add')).toBeInTheDocument();
  });
});
