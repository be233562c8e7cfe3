import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  applyEdits,
  families,
  InputError,
  swapChoices,
  swapRow,
  type Formula,
  type Happened,
  type RowSwap,
  type StepProgress,
} from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { allergenWord } from '../../../ui/words/words';
import { bench } from '../bench/bench-style';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** More than a hand can read through at the bench. */
const MOST_CHOICES = 6;

type Tried =
  { readonly toId: string; readonly swap: RowSwap; readonly formula: Formula } | { readonly toId: string; readonly refused: string };

/** There is none, or not enough: another ingredient, its totals held, with what moves shown before it is taken. */
export function Swap({ run, progress }: { run: RunInHand; progress: StepProgress }) {
  const [open, setOpen] = useState(false);
  const [tried, setTried] = useState<Tried | null>(null);
  const { formula, kitchen, pantry, state } = run;
  const index = formula.rows.findIndex(({ key }) => key === progress.step.rowKey);
  const choices = index < 0 || progress.weighedG > 0 ? [] : swapChoices(progress.step.ingredientId!, pantry).slice(0, MOST_CHOICES);
  if (choices.length === 0) return null;
  const nameOf = (id: string) => (pantry.ingredients[id]?.name ?? id).split(/[,(=]/)[0]!.trim();
  const tryIt = (toId: string) => {
    try {
      let n = 0;
      const swap = swapRow({ formula, family: families[formula.family]!, kitchen, pantry }, index, toId, () => `swap:${Date.now()}${++n}`);
      setTried({ toId, swap, formula: applyEdits(formula, swap.edits) });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setTried({ toId, refused: error.message });
    }
  };
  const take = async (next: Formula) => {
    const before = new Map(formula.rows.map((row) => [row.key, row]));
    const isIn = new Set(state.steps.filter(({ weighedG }) => weighedG > 0).map(({ step }) => step.rowKey));
    const whats = next.rows.flatMap((row): Happened[] => {
      const was = before.get(row.key);
      if (!was) return [{ kind: 'added', ingredientId: row.ingredientId, amountG: row.amountG }];
      const same = was.ingredientId === row.ingredientId && Math.abs(was.amountG - row.amountG) < 0.01;
      // What is in the bowl already cannot be changed any more.
      return same || isIn.has(row.key) ? [] : [{ kind: 'swapped', rowKey: row.key, ingredientId: row.ingredientId, amountG: row.amountG }];
    });
    await run.say(...whats.map((what) => ({ what })));
    setOpen(false);
    setTried(null);
  };
  if (!open)
    return (
      <Button variant="outlined" sx={bench.button} onClick={() => setOpen(true)}>
        {t('common.swap')}
      </Button>
    );
  return (
    <Box role="group" aria-label={t('common.swapFor')} sx={{ flexBasis: '100%', display: 'grid', gap: 2 }}>
      {tried && 'refused' in tried && (
        <Box role="alert" sx={{ ...bench.text, color: 'error.main' }}>
          {nameOf(tried.toId)} {tried.refused}
        </Box>
      )}
      {tried && 'swap' in tried && <WhatItWouldBe formula={formula} nameOf={nameOf} progress={progress} take={take} tried={tried} />}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {choices.map((id) => (
          <Button
            key={id}
            variant={tried?.toId === id ? 'contained' : 'outlined'}
            sx={{ ...bench.button, minHeight: 52, fontSize: typeSize.action, px: 3 }}
            onClick={() => tryIt(id)}
          >
            {pantry.ingredients[id]?.name ?? id}
          </Button>
        ))}
        <Button variant="text" sx={{ ...bench.button, fontSize: typeSize.list }} onClick={() => setOpen(false)}>
          {t('runs.noKeepIt')}
        </Button>
      </Box>
    </Box>
  );
}

/** What the swap changes, before it is done. */
function WhatItWouldBe({
  formula,
  nameOf,
  progress,
  take,
  tried,
}: {
  readonly formula: Formula;
  readonly nameOf: (id: string) => string;
  readonly progress: StepProgress;
  readonly take: (next: Formula) => Promise<void>;
  readonly tried: Extract<Tried, { swap: unknown }>;
}) {
  const voice = useVoice();
  return (
    <Box role="status" sx={{ display: 'grid', gap: 2, justifyItems: 'start', ...bench.text }}>
      <Box>
        <b>
          {voice.show(tried.swap.fromG, 'mass')} {nameOf(progress.step.ingredientId!).toLowerCase()} → {voice.show(tried.swap.toG, 'mass')}{' '}
          {nameOf(tried.toId).toLowerCase()}
        </b>
        {tried.swap.alsoMoves
          .map(
            ({ name, byG }) =>
              `, ${name.split(/[,(]/)[0]!.trim().toLowerCase()} ${byG > 0 ? '+' : '−'}${voice.show(Math.abs(byG), 'mass')}`,
          )
          .join('')}
        .{' '}
        {tried.swap.allergensNew.length > 0 && (
          <b>
            {t('runs.nowWithValue', {
              value: [
                ...new Set(
                  tried.swap.allergensNew.map(({ code, possible }) => `${possible ? t('common.maybe') : ''}${allergenWord(code)}`),
                ),
              ].join(', '),
            })}{' '}
          </b>
        )}
        {tried.formula.rows
          .filter(({ key }) => !formula.rows.some((row) => row.key === key))
          .map(({ ingredientId, amountG }) =>
            t('runs.putAmountIngredientidInWithIt', {
              amount: voice.show(amountG, 'mass'),
              ingredientId: nameOf(ingredientId).toLowerCase(),
            }),
          )
          .join('')}
        {tried.swap.breaks.length > 0 && <b>{t('runs.doesNotSuitBreaks', { breaks: tried.swap.breaks.join(', ') })} </b>}
        {tried.swap.notes.join(' ')}
      </Box>
      <Button variant="contained" sx={bench.button} onClick={() => void take(tried.formula)}>
        {t('runs.swapIt')}
      </Button>
    </Box>
  );
}
