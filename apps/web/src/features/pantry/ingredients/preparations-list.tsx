import { useState } from 'react';
import AddIcon from '@mui/icons-material/Add';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { DateTime } from 'luxon';
import { costOf, leavesOf, portionOf, type Kitchen, type Lot, type Preparation, keptAtWords } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { showMoney } from '../../../ui/words/money';
import { PreparationForm } from './preparation-form';
import { allergenWords } from '../words';
import { t } from '../../../platform/words';

const emptyPreparation = (): Preparation => ({
  schema: 1,
  id: crypto.randomUUID(),
  name: '',
  rows: [],
  acts: [],
  boiledOffG: 0,
  drainedG: 0,
  keepDays: 2,
  keepAt: 'fridge',
});

/** Fillings, crumbles, glazes, soaked fruit: made here, used like any ingredient. */
export function PreparationsList({ book, kitchen }: { book: PantryBook; kitchen: Kitchen }) {
  const voice = useVoice();
  const [open, setOpen] = useState<Preparation | null>(null);
  return (
    <>
      <Box sx={{ display: 'flex', pb: 3 }}>
        <Button variant="contained" startIcon={<AddIcon />} onClick={() => setOpen(emptyPreparation())} sx={{ ml: 'auto' }}>
          {t('pantry.addAPreparation')}
        </Button>
      </Box>
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" sx={{ minWidth: 760 }}>
          <TableHead>
            <TableRow>
              <TableCell>{t('pantry.preparation')}</TableCell>
              <TableCell>{t('common.madeOf')}</TableCell>
              <TableCell align="right">{t('pantry.makes')}</TableCell>
              <TableCell align="right">{t('pantry.onHand')}</TableCell>
              <TableCell align="right">{t('pantry.water')}</TableCell>
              <TableCell align="right">{t('pantry.sugars')}</TableCell>
              <TableCell align="right">{t('pantry.per100G')}</TableCell>
              <TableCell>{t('pantry.allergens')}</TableCell>
              <TableCell>{t('pantry.keeps')}</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {book.preparations.map((preparation) => {
              const { id, name, rows, boiledOffG, drainedG, keepDays, keepAt } = preparation;
              const made = book.ingredients[id];
              const makesG = rows.reduce((sum, { amountG }) => sum + amountG, 0) - boiledOffG - drainedG;
              const cost = made ? costOf([portionOf(book, '', id, 100)], book) : null;
              return (
                <TableRow key={id} hover sx={{ height: 50 }}>
                  <TableCell component="th" scope="row">
                    <Button
                      onClick={() => setOpen(preparation)}
                      sx={{ p: 0, minHeight: 0, minWidth: 0, color: 'text.primary', fontWeight: 650, textAlign: 'left' }}
                    >
                      {name}
                    </Button>
                    {book.broken[id] && <Box sx={{ fontSize: typeSize.caption, color: 'error.main' }}>{book.broken[id]}</Box>}
                  </TableCell>
                  <TableCell sx={{ fontSize: typeSize.small }}>
                    {made
                      ? [...new Set(leavesOf(book, portionOf(book, '', id, 100)).map(({ ingredient }) => ingredient.name))].join(', ')
                      : rows.map(({ ingredientId }) => ingredientId).join(', ')}
                  </TableCell>
                  <TableCell align="right">{voice.show(makesG, 'bulk')}</TableCell>
                  <TableCell align="right">
                    <OnHand lots={Object.values(book.lots).filter(({ ingredientId }) => ingredientId === id)} on={book.on} />
                  </TableCell>
                  <TableCell align="right">{made ? `${(made.composition.waterShare * 100).toFixed(0)} %` : '–'}</TableCell>
                  <TableCell align="right">{made ? `${(made.composition.sugarsShare * 100).toFixed(0)} %` : '–'}</TableCell>
                  <TableCell align="right">
                    {cost && cost.pricedShare > 0.99
                      ? showMoney(cost.costMinor, kitchen.currency)
                      : cost && cost.pricedShare > 0
                        ? t('pantry.fromCostminor', { costMinor: showMoney(cost.costMinor, kitchen.currency) })
                        : '–'}
                  </TableCell>
                  <TableCell sx={{ fontSize: typeSize.small }}>
                    {made ? allergenWords(made.allergens).sure.join(', ') || t('pantry.noneCertain') : '–'}
                  </TableCell>
                  <TableCell sx={{ fontSize: typeSize.small }}>
                    {t('pantry.keepdaysDaysKeptatwords', { keepDays, keptAtWords: keptAtWords[keepAt] })}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Box>
      {book.preparations.length === 0 && <Box sx={{ py: 8, textAlign: 'center' }}>{t('pantry.aFillingACrumbleAGlazeBelongs')}</Box>}
      {open && <PreparationForm key={open.id} book={book} kitchen={kitchen} preparation={open} onClose={() => setOpen(null)} />}
    </>
  );
}

/** What is left of its batches, and when the first of them has to be used. */
function OnHand({ lots, on }: { readonly lots: readonly Lot[]; readonly on: string }) {
  const voice = useVoice();
  const left = lots.filter(({ onHandG = 0, setAside }) => onHandG > 0 && setAside === undefined);
  if (left.length === 0) return <>–</>;
  const [first] = left.flatMap(({ useByOn }) => (useByOn === undefined ? [] : [useByOn])).sort();
  return (
    <>
      {voice.show(
        left.reduce((sum, { onHandG = 0 }) => sum + onHandG, 0),
        'bulk',
      )}
      {first !== undefined && (
        <Note>
          <Box component="span" sx={first < on ? { color: 'error.main' } : {}}>
            {t('pantry.useByDay', { day: DateTime.fromISO(first, { locale: 'en-GB' }).toFormat('d LLL') })}
          </Box>
        </Note>
      )}
    </>
  );
}
