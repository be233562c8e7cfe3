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

const proofWords: Record<ReturnType<typeof glutenProof>, string> = {
  proven: 'proven',
  certified: 'certified by its maker',
  onBag: 'certified on the bag, at home',
  notInMarket: 'not in gluten-free food there',
  old: 'old report',
  over: 'over your limit',
  noReport: 'no report',
  noGrain: 'no grain, no report',
  accepted: 'accepted',
  contains: 'contains gluten',
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
    `Lot ${lot.code}, ${lot.setAside ? 'set aside' : proofWords[glutenProof(ingredient, lot, glutenLimitOf(kitchen), pantry.on)]}`;
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
            <span>From</span>
            <Choice
              label={`Lot of ${ingredient.name}`}
              value={row.lotId ?? ''}
              options={[{ value: '', name: 'the lot first in line' }, ...lots.map((lot) => ({ value: lot.id, name: lotName(lot) }))]}
              onChange={(lotId) => set(`/blend/rows/${index}/lotId`, lotId === '' ? undefined : lotId)}
              width={220}
            />
          </Box>
          <Box sx={line}>
            <span>Find blends keeps it</span>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              {limit('minShare', 'at least', 0)} to {limit('maxShare', 'at most', 1)}
            </Box>
          </Box>
          <Box sx={{ display: 'flex', gap: 2 }}>
            <Button
              size="small"
              variant={row.pinned ? 'contained' : 'outlined'}
              aria-label={row.pinned ? `Unpin ${ingredient.name}` : `Pin ${ingredient.name}`}
              aria-pressed={row.pinned === true}
              onClick={() => set(`/blend/rows/${index}/pinned`, row.pinned ? undefined : true)}
            >
              {row.pinned ? 'Pinned' : 'Pin'}
            </Button>
            <Button
              size="small"
              variant="outlined"
              aria-label={`Take out ${ingredient.name}`}
              disabled={formula.blend.rows.length < 2}
              onClick={() => edit(`out:${Date.now()}`, (from) => takeOut(from, index))}
            >
              Take out
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
  const units = usePreferences((state) => state.units);
  const { edit } = useDraft.getState();
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
        label={`Swap ${name} for`}
        placeholder="Swap for another, by mass"
        icon={<SwapHorizIcon fontSize="small" />}
        find={ingredientOptions(pantry.ingredients, (one) => isBlendable(one) && !isExcluded(one) && one.id !== row.ingredientId)}
        onChoose={setToId}
      />
      {refused && (
        <Alert severity="error" onClose={() => setToId(null)}>
          {refused}
        </Alert>
      )}
      {swap && toId !== null && (
        <Box role="status" sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 2, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
          <b>
            {name} → {pantry.ingredients[toId]!.name}
          </b>
          <span>
            Wants {showQuantity(swap.wantsBeforeG, 'mass', units, 0)} → {showQuantity(swap.wantsAfterG, 'mass', units, 0)} water
            {swap.pourByG !== 0 && `: pour ${swap.pourByG > 0 ? '+' : '−'}${showQuantity(Math.abs(swap.pourByG), 'mass', units)}`}
          </span>
          <span>
            Binds {Math.round(swap.bindBefore * 100)} → {Math.round(swap.bindAfter * 100)} % of the need
          </span>
          {swap.allergensNew.length > 0 && (
            <span>
              New:{' '}
              {[...new Set(swap.allergensNew.map(({ code, possible }) => `${possible ? 'maybe ' : ''}${allergenWord(code)}`))].join(', ')}
            </span>
          )}
          {swap.allergensGone.length > 0 && (
            <span>Gone: {[...new Set(swap.allergensGone.map(({ code }) => allergenWord(code)))].join(', ')}</span>
          )}
          {swap.breaks.length > 0 && <Box sx={{ color: 'error.main', fontWeight: 650 }}>Does not suit: {swap.breaks.join(', ')}</Box>}
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
              Swap
            </Button>
            <Button size="small" variant="outlined" onClick={() => setToId(null)}>
              Leave it
            </Button>
          </Box>
        </Box>
      )}
    </>
  );
}
