import { useMemo, useState } from 'react';
import AddIcon from '@mui/icons-material/Add';
import SearchIcon from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { useTheme } from '@mui/material/styles';
import {
  costPerG,
  findIngredients,
  glutenLimitOf,
  glutenProof,
  lotsInUse,
  type Kitchen,
  type Lot,
  kindWords,
  type StageState,
  showStock,
} from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { useUnits } from '../../../platform/preferences';
import { GlutenMark } from '../ingredients/gluten-mark';
import { LotForm } from './lot-form';
import { Leaf, stateWords } from '../../../ui/frame/leaf';
import { showDay, showMoney } from '../../../ui/words/money';
import { useOpenThing } from '../../../ui/frame/use-open-thing';
import { t } from '../../../platform/words';

/** Every lot: its proof, what was measured, what is left, what it cost. */
export function LotsList({ book, kitchen }: { book: PantryBook; kitchen: Kitchen }) {
  const [open, setOpen] = useOpenThing();
  const lot = open === null || open === 'new' ? null : book.lots[open];
  const [typed, setTyped] = useState('');
  const rows = useMemo(() => {
    const found = typed.trim() === '' ? null : new Set(findIngredients(book.ingredients, typed).map(({ id }) => id));
    return Object.values(book.lots)
      .filter(({ ingredientId, code }) => !found || found.has(ingredientId) || code === typed.trim())
      .map((lot) => ({ lot, name: book.ingredients[lot.ingredientId]?.name ?? lot.ingredientId }))
      .sort((a, b) => a.name.localeCompare(b.name) || a.lot.code.localeCompare(b.lot.code, 'en', { numeric: true }));
  }, [book, typed]);
  return (
    <>
      <FindOrAdd setOpen={setOpen} setTyped={setTyped} typed={typed} />
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" sx={{ minWidth: 820 }}>
          <TableHead>
            <TableRow>
              <TableCell>{t('common.ingredient')}</TableCell>
              <TableCell>{t('common.lot')}</TableCell>
              <TableCell>{t('pantry.glutenMgKg')}</TableCell>
              <TableCell align="right">{t('pantry.moisture')}</TableCell>
              <TableCell align="right">{t('pantry.onHand')}</TableCell>
              <TableCell align="right">{t('common.perKg')}</TableCell>
              <TableCell align="right">{t('pantry.bestOrUseBy')}</TableCell>
              <TableCell>{t('common.now2')}</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map(({ lot, name }) => (
              <LotRow key={lot.id} lot={lot} name={name} book={book} kitchen={kitchen} onOpen={(one) => setOpen(one.id)} />
            ))}
          </TableBody>
        </Table>
      </Box>
      {rows.length === 0 && (
        <Box sx={{ py: 8, textAlign: 'center' }}>
          {typed ? t('pantry.noLotByTyped', { typed }) : t('pantry.lotsBelongHereEachBagYouOpened')}
        </Box>
      )}
      <GlutenKey />
      {(lot || open === 'new') && <LotForm book={book} kitchen={kitchen} lot={lot ?? null} onClose={() => setOpen(null)} />}
    </>
  );
}

/** One lot: what it is, what is left, how long it may be used. */
function LotRow({
  lot,
  name,
  book,
  kitchen,
  onOpen,
}: {
  readonly lot: Lot;
  readonly name: string;
  readonly book: PantryBook;
  readonly kitchen: Kitchen;
  readonly onOpen: (lot: Lot) => void;
}) {
  const { palette } = useTheme();

  const ingredient = book.ingredients[lot.ingredientId];
  const perG = costPerG(lot);
  const lastDay = lot.useByOn ?? lot.bestByOn;
  const past = lastDay !== undefined && lastDay < book.on;
  const color = past && lot.useByOn !== undefined ? palette.error.main : palette.warning.main;
  const first = lotsInUse(book, lot.ingredientId)[0]?.id === lot.id;
  const units = useUnits();
  return (
    <TableRow hover sx={{ height: 50, opacity: lot.setAside === undefined ? 1 : 0.75 }}>
      <TableCell component="th" scope="row">
        <Button
          onClick={() => onOpen(lot)}
          sx={{
            p: 0,
            minHeight: 0,
            color: 'text.primary',
            fontWeight: 650,
            justifyContent: 'flex-start',
            textAlign: 'left',
            whiteSpace: 'normal',
          }}
        >
          {name}
          <Box component="span" sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}>
            {' '}
            {t('common.lotCode', { code: lot.code })}
          </Box>
        </Button>
        <Note>
          {ingredient ? kindWords[ingredient.kind] : t('pantry.notInThePantryAnyMore')}
          {lot.supplier && ` · ${lot.supplier}`}
        </Note>
      </TableCell>
      <TableCell>{lot.code}</TableCell>
      <TableCell>
        {ingredient && <GlutenMark proof={glutenProof(ingredient, lot, glutenLimitOf(kitchen), book.on)} lot={lot} on={book.on} />}
      </TableCell>
      <TableCell align="right">{lot.moistureShare === undefined ? '–' : `${(lot.moistureShare * 100).toFixed(1)} %`}</TableCell>
      <TableCell align="right">{lot.onHandG === undefined ? t('pantry.notCounted') : showStock(lot.onHandG, units)}</TableCell>
      <TableCell align="right">{perG === undefined ? '–' : showMoney(perG * 1000, kitchen.currency)}</TableCell>
      <LastDay book={book} color={color} lastDay={lastDay} lot={lot} past={past} />
      <WhereItStands book={book} first={first} lot={lot} name={name} />
    </TableRow>
  );
}

/** Until when it may be used. */
function LastDay({
  book,
  color,
  lastDay,
  lot,
  past,
}: {
  readonly book: PantryBook;
  readonly color: string;
  readonly lastDay: string | undefined;
  readonly lot: Lot;
  readonly past: boolean;
}) {
  return (
    <TableCell align="right" sx={past || lastDay === book.on ? { color, fontWeight: 700 } : {}}>
      {lot.useByOn !== undefined && t('pantry.use')}
      {lastDay === undefined
        ? '–'
        : past
          ? t('pantry.pastLastday', { lastDay: showDay(lastDay, book.on) })
          : lastDay === book.on
            ? t('pantry.today')
            : showDay(lastDay, book.on)}
    </TableCell>
  );
}

/** First in line or not, open since when, where it came from. */
function WhereItStands({
  book,
  first,
  lot,
  name,
}: {
  readonly book: PantryBook;
  readonly first: boolean;
  readonly lot: Lot;
  readonly name: string;
}) {
  return (
    <TableCell sx={{ fontSize: typeSize.small, color: 'text.secondary' }}>
      {lot.setAside !== undefined
        ? t('pantry.setAsideSetaside', { setAside: lot.setAside })
        : lot.onHandG === 0
          ? t('pantry.empty')
          : first
            ? t('pantry.firstInLine')
            : t('pantry.waitsItsTurn')}
      {lot.openedOn && lot.setAside === undefined && t('pantry.openSinceOpenedon', { openedOn: showDay(lot.openedOn, book.on) })}
      {lot.from && (
        <>
          ,{' '}
          <Link to={`/bakes/${lot.from.bakeId}`} style={{ color: 'inherit' }}>
            {t('pantry.leftByABake')}
          </Link>
        </>
      )}
      <Box>
        <Link
          to={`/bakes?lot=${encodeURIComponent(lot.id)}`}
          style={{ color: 'inherit' }}
          aria-label={t('pantry.bakesWithNameLotCode', { name, code: lot.code })}
        >
          {t('pantry.itsBakes')}
        </Link>
      </Box>
    </TableCell>
  );
}

/** Finding a lot and adding one. */
function FindOrAdd({
  setOpen,
  setTyped,
  typed,
}: {
  readonly setOpen: (what: 'new') => void;
  readonly setTyped: (text: string) => void;
  readonly typed: string;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 3, pb: 3, flexWrap: 'wrap' }}>
      <TextField
        size="small"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        placeholder={t('pantry.findALotByNameOrCode')}
        slotProps={{
          htmlInput: { 'aria-label': t('pantry.findALot') },
          input: { startAdornment: <InputAdornment position="start"><SearchIcon fontSize="small" /></InputAdornment> }, // prettier-ignore
        }}
        sx={{ width: 280 }}
      />
      <Button variant="contained" startIcon={<AddIcon />} onClick={() => setOpen('new')} sx={{ ml: 'auto' }}>
        {t('pantry.addALot')}
      </Button>
    </Box>
  );
}

/** What the marks of gluten mean. */
function GlutenKey() {
  return (
    <Box sx={{ display: 'flex', gap: 5, pt: 3, flexWrap: 'wrap', fontSize: typeSize.small }} aria-label={t('common.key')}>
      {(Object.keys(stateWords) as StageState[]).slice(0, 3).map((state) => (
        <Leaf key={state} state={state} label />
      ))}
      <span>{t('pantry.hollowRingNoGrainInItBut')}</span>
    </Box>
  );
}
