import { useState } from 'react';
import SwapHorizIcon from '@mui/icons-material/SwapHoriz';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import {
  editsBetween,
  families,
  glutenLimitOf,
  glutenProof,
  InputError,
  isBlendable,
  isExcluded,
  swapFlour,
  withoutRow,
  type FlourSwap,
  type Formula,
  type Lot,
  showQuantity,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { QuantityField } from '../../ui/form/quantity-field';
import { SearchField } from '../../ui/form/search-field';
import { ingredientOptions } from '../pantry/doors';
import { setValue, useDraft } from '../formulas/doors';
import { useFormula, useSet, useSurroundings } from '../board/doors';
import { allergenWord } from '../../ui/words/words';
import { t } from '../../platform/words';

const proofWords: Record<ReturnType<typeof glutenProof>, string> = {
  proven: t('blend.proven'),
  certified: t('blend.certifiedByItsMaker'),
  onBag: t('blend.certifiedOnTheBagAtHome'),
  lookAtBag: t('blend.lookAtTheBag'),
  notInMarket: t('blend.notInGlutenFreeFoodThere'),
  old: t('blend.oldReport'),
  over: t('blend.overYourLimit'),
  noReport: t('common.noReport'),
  noGrain: t('blend.noGrainNoReport'),
  accepted: t('blend.accepted'),
  contains: t('common.containsGluten'),
};

/** What may be done to one row: its lot, its limits, its pin, a swap, taking it out. */
export function BlendRowDetails({ index }: { index: number }) {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const { edit, type } = useDraft.getState();
  const typed = useDraft((state) => state.typed);
  const set = useSet();
  const row = formula.blend.rows[index]!;
  const ingredient = pantry.ingredients[row.ingredientId];
  if (!ingredient) return null;
  const lots = Object.values(pantry.lots).filter(({ ingredientId }) => ingredientId === row.ingredientId);
  const lotName = (lot: Lot) =>
    t('blend.lotCodeWord', {
      code: lot.code,
      word: lot.setAside ? t('common.setAside') : proofWords[glutenProof(ingredient, lot, glutenLimitOf(kitchen), pantry.on)],
    });
  const limit = (name: 'minShare' | 'maxShare', label: string, fallback: number) => {
    const path = `/blend/rows/${index}/${name}`;
    return (
      <QuantityField
        label={`${ingredient.name} ${label}`}
        kind="percent"
        value={(row[name] ?? fallback) * 100}
        typed={typed[path]}
        onTyped={(text) => type(path, text)}
        onChange={(percent, visit) => edit(`${path}:${visit}`, setValue(path, Math.min(1, Math.max(0, percent / 100))))}
        width={52}
      />
    );
  };
  return (
    <TableRow>
      <TableCell colSpan={4} sx={{ boxShadow: 'inset 3px 0 0', color: 'primary.main', py: '10px !important' }}>
        <Box sx={{ display: 'grid', gap: 2, color: 'text.primary' }}>
          {ingredient.note && <Note>{ingredient.note}.</Note>}
          <Box sx={line}>
            <span>{t('common.from')}</span>
            <Choice
              label={t('blend.lotOfName', { name: ingredient.name })}
              value={row.lotId ?? ''}
              options={[{ value: '', name: t('blend.theLotFirstInLine') }, ...lots.map((lot) => ({ value: lot.id, name: lotName(lot) }))]}
              onChange={(lotId) => set(`/blend/rows/${index}/lotId`, lotId === '' ? undefined : lotId)}
              width={220}
            />
          </Box>
          <Box sx={line}>
            <span>{t('blend.findBlendsKeepsIt')}</span>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              {limit('minShare', t('blend.atLeast'), 0)} {t('common.to')} {limit('maxShare', t('blend.atMost'), 1)}
            </Box>
          </Box>
          <Box sx={{ display: 'flex', gap: 2 }}>
            <Button
              size="small"
              variant={row.pinned ? 'contained' : 'outlined'}
              aria-label={row.pinned ? t('blend.unpinName', { name: ingredient.name }) : t('blend.pinName', { name: ingredient.name })}
              aria-pressed={row.pinned === true}
              onClick={() => set(`/blend/rows/${index}/pinned`, row.pinned ? undefined : true)}
            >
              {row.pinned ? t('blend.pinned') : t('blend.pin')}
            </Button>
            <Button
              size="small"
              variant="outlined"
              aria-label={t('common.takeOutName', { name: ingredient.name })}
              disabled={formula.blend.rows.length < 2}
              onClick={() => edit(`out:${Date.now()}`, (from) => takeOut(from, index))}
            >
              {t('common.takeOut')}
            </Button>
          </Box>
          <Swap index={index} />
        </Box>
      </TableCell>
    </TableRow>
  );
}

const line = { display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, fontSize: typeSize.small } as const;

function takeOut(formula: Formula, index: number) {
  try {
    return editsBetween(formula.blend.rows, withoutRow(formula.blend.rows, index), '/blend/rows');
  } catch {
    return [];
  }
}

/** One flour for another: what moves is shown before it is accepted. */
function Swap({ index }: { index: number }) {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const [toId, setToId] = useState<string | null>(null);
  const row = formula.blend.rows[index]!;
  const name = pantry.ingredients[row.ingredientId]!.name;
  let swap: FlourSwap | null = null;
  let refused: string | null = null;
  if (toId !== null) {
    try {
      swap = swapFlour({ formula, family: families[formula.family]!, kitchen, pantry }, index, toId);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      refused = error.message;
    }
  }
  return (
    <>
      <SearchField
        label={t('common.swapNameFor', { name })}
        placeholder={t('blend.swapForAnotherByMass')}
        icon={<SwapHorizIcon fontSize="small" />}
        find={ingredientOptions(pantry.ingredients, (one) => isBlendable(one) && !isExcluded(one) && one.id !== row.ingredientId)}
        onChoose={setToId}
      />
      {refused && (
        <Alert severity="error" onClose={() => setToId(null)}>
          {refused}
        </Alert>
      )}
      {swap && toId !== null && <WhatItMoves name={name} setToId={setToId} swap={swap} toId={toId} />}
    </>
  );
}

/** What the swap moves, before it is done. */
function WhatItMoves({
  name,
  setToId,
  swap,
  toId,
}: {
  readonly name: string;
  readonly setToId: (id: string | null) => void;
  readonly swap: FlourSwap;
  readonly toId: string;
}) {
  const { pantry } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const { edit } = useDraft.getState();
  return (
    <Box role="status" sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 2, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      <b>
        {name} → {pantry.ingredients[toId]!.name}
      </b>
      <span>
        {t('blend.wantsWantsbeforeWantsafterWater', {
          wantsBefore: showQuantity(swap.wantsBeforeG, 'mass', units, 0),
          wantsAfter: showQuantity(swap.wantsAfterG, 'mass', units, 0),
        })}
        {swap.pourByG !== 0 && `: pour ${swap.pourByG > 0 ? '+' : '−'}${showQuantity(Math.abs(swap.pourByG), 'mass', units)}`}
      </span>
      <span>
        {t('blend.bindsBindbeforeBindafterOfTheNeed', {
          bindBefore: Math.round(swap.bindBefore * 100),
          bindAfter: Math.round(swap.bindAfter * 100),
        })}
      </span>
      {swap.allergensNew.length > 0 && (
        <span>
          {t('common.newValue', {
            value: [
              ...new Set(swap.allergensNew.map(({ code, possible }) => `${possible ? t('common.maybe') : ''}${allergenWord(code)}`)),
            ].join(', '),
          })}
        </span>
      )}
      {swap.allergensGone.length > 0 && (
        <span>{t('common.goneValue', { value: [...new Set(swap.allergensGone.map(({ code }) => allergenWord(code)))].join(', ') })}</span>
      )}
      {swap.breaks.length > 0 && (
        <Box sx={{ color: 'error.main', fontWeight: 650 }}>{t('common.doesNotSuitBreaks', { breaks: swap.breaks.join(', ') })}</Box>
      )}
      <Box sx={{ display: 'flex', gap: 2, pt: 1 }}>
        <Button
          size="small"
          variant="contained"
          onClick={() => {
            const { edits } = swap;
            setToId(null);
            edit(`swap:${Date.now()}`, () => edits);
          }}
        >
          {t('common.swap')}
        </Button>
        <Button size="small" variant="outlined" onClick={() => setToId(null)}>
          {t('common.leaveIt')}
        </Button>
      </Box>
    </Box>
  );
}
