import { useMemo, useState } from 'react';
import AddIcon from '@mui/icons-material/Add';
import SearchIcon from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { allergenCodes, findIngredients, isExcluded, type Ingredient, type Kitchen, kindWords, basisWords } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { typeSize } from '../../../ui/theme/theme';
import { Choice } from '../../../ui/form/choice';
import { CrumbForm } from '../lots/crumb-form';
import { IngredientSheet } from './ingredient-sheet';
import { OwnIngredientForm } from './own/own-ingredient-form';
import { allergenWords } from '../words';
import { useOpenThing } from '../../../ui/frame/use-open-thing';
import { t } from '../../../platform/words';

const shelves = ['all', 'here', 'corrected', 'own'] as const;
const shelfWords = { all: t('pantry.all'), here: t('pantry.hereNow'), corrected: t('pantry.correctedHere'), own: t('pantry.ourOwn') };

/** Everything that can be weighed, with what is known of it; found by name in several languages or by what it does. */
export function IngredientsList({ book }: { book: PantryBook; kitchen: Kitchen }) {
  const [typed, setTyped] = useState('');
  const [shelf, setShelf] = useState<(typeof shelves)[number]>('all');
  const [open, setOpen] = useOpenThing();
  const [adding, setAdding] = useState<'own' | 'crumb' | null>(null);
  const [whole, setWhole] = useState(false);
  const rows = useMemo(() => rowsOf(book, typed, shelf), [book, typed, shelf]);
  const one = open === null ? undefined : book.ingredients[open];
  return (
    <>
      <Box sx={{ display: 'flex', gap: 3, pb: 3, flexWrap: 'wrap', alignItems: 'center' }}>
        <TextField
          size="small"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          placeholder={t('pantry.fecolaBesanE415BindsDusting')}
          slotProps={{
            htmlInput: { 'aria-label': t('pantry.findAnIngredient') },
            input: { startAdornment: <InputAdornment position="start"><SearchIcon fontSize="small" /></InputAdornment> }, // prettier-ignore
          }}
          sx={{ width: 300 }}
        />
        <Choice
          label={t('pantry.show')}
          value={shelf}
          options={shelves.map((value) => ({ value, name: shelfWords[value] }))}
          onChange={setShelf}
          width={160}
        />
        <Box sx={{ color: 'text.secondary', fontSize: typeSize.small }}>{t('pantry.rowsShown', { rows: rows.length })}</Box>
        <Button variant="outlined" onClick={() => setAdding('crumb')} sx={{ ml: 'auto' }}>
          {t('pantry.addACrumb')}
        </Button>
        <Button variant="contained" startIcon={<AddIcon />} onClick={() => setAdding('own')}>
          {t('pantry.addOurOwn')}
        </Button>
      </Box>
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" sx={{ minWidth: 900 }}>
          <IngredientsHead />
          <TableBody>
            {rows.slice(0, whole ? rows.length : MOST_ROWS).map(({ ingredient, as }) => (
              <IngredientRow key={ingredient.id} ingredient={ingredient} as={as} onOpen={() => setOpen(ingredient.id)} />
            ))}
          </TableBody>
        </Table>
      </Box>
      {!whole && rows.length > MOST_ROWS && (
        <Button sx={{ mt: 2 }} variant="outlined" onClick={() => setWhole(true)}>
          {t('pantry.showTheOtherRows', { rows: rows.length - MOST_ROWS })}
        </Button>
      )}
      {rows.length === 0 && <Box sx={{ py: 8, textAlign: 'center' }}>{t('pantry.nothingByThatNameHereAddIt')}</Box>}
      {one && <IngredientSheet key={one.id} book={book} ingredient={one} onClose={() => setOpen(null)} />}
      {adding === 'own' && <OwnIngredientForm onClose={() => setAdding(null)} />}
      {adding === 'crumb' && <CrumbForm onClose={() => setAdding(null)} />}
    </>
  );
}

/** What a row of ingredients says. */
function IngredientsHead() {
  return (
    <TableHead>
      <TableRow>
        <TableCell>{t('common.ingredient')}</TableCell>
        {[t('pantry.water'), t('common.protein'), t('common.fat'), t('pantry.sugars'), t('common.starch'), t('common.fibre2')].map(
          (name) => (
            <TableCell key={name} align="right">
              {name} %
            </TableCell>
          ),
        )}
        <TableCell align="right">{t('pantry.holdsGG')}</TableCell>
        <TableCell align="right">{t('pantry.cupG')}</TableCell>
        <TableCell>{t('pantry.allergens')}</TableCell>
        <TableCell>{t('pantry.knownFrom')}</TableCell>
      </TableRow>
    </TableHead>
  );
}

/** So many are drawn at first: a search is quicker than a walk through all. */
const MOST_ROWS = 100;

function rowsOf(book: PantryBook, typed: string, shelf: (typeof shelves)[number]): { ingredient: Ingredient; as: string | undefined }[] {
  const all = Object.values(book.ingredients);
  const here = new Set(Object.values(book.lots).map(({ ingredientId }) => ingredientId));
  const found =
    typed.trim() === ''
      ? all.map((ingredient) => ({ ingredient, as: undefined }))
      : findIngredients(book.ingredients, typed).map(({ id, as, locale }) => ({
          ingredient: book.ingredients[id]!,
          as: as && (locale ? `${as} (${locale})` : as),
        }));
  return found.filter(({ ingredient }) => {
    if (shelf === 'here') return here.has(ingredient.id);
    if (shelf === 'corrected') return ingredient.corrected !== undefined;
    return shelf === 'all' || (book.revisions.ingredients[ingredient.id] !== undefined && ingredient.corrected === undefined);
  });
}

function IngredientRow({ ingredient, as, onOpen }: { ingredient: Ingredient; as: string | undefined; onOpen: () => void }) {
  const c = ingredient.composition;
  const { sure, may } = allergenWords(allergenCodes(ingredient));
  const percent = (share: number, part: string) => (
    <TableCell
      key={part}
      align="right"
      sx={ingredient.corrected?.[`composition.${part}`] ? { color: 'primary.main', fontWeight: 700 } : {}}
    >
      {(share * 100).toFixed(1)}
    </TableCell>
  );
  return (
    <TableRow hover>
      <TableCell component="th" scope="row">
        <Button
          onClick={onOpen}
          sx={{
            p: 0,
            minHeight: 0,
            color: 'text.primary',
            fontWeight: 650,
            textAlign: 'left',
            whiteSpace: 'normal',
            justifyContent: 'flex-start',
          }}
        >
          {ingredient.name}
        </Button>
        <Box sx={{ fontSize: typeSize.caption, color: isExcluded(ingredient) ? 'error.main' : 'text.secondary' }}>
          {kindWords[ingredient.kind]}
          {as && ` · ${as}`}
        </Box>
      </TableCell>
      {percent(c.waterShare, 'waterShare')}
      {percent(c.proteinShare, 'proteinShare')}
      {percent(c.fatShare, 'fatShare')}
      {percent(c.sugarsShare, 'sugarsShare')}
      {percent(c.starchShare, 'starchShare')}
      {percent(c.fibreShare, 'fibreShare')}
      <TableCell align="right">{ingredient.waterHoldGPerG === undefined ? '–' : ingredient.waterHoldGPerG.toFixed(2)}</TableCell>
      <TableCell align="right">{ingredient.spoonedGPerMl === undefined ? '–' : Math.round(ingredient.spoonedGPerMl * 236.588)}</TableCell>
      <TableCell sx={{ fontSize: typeSize.small }}>
        {ingredient.labelRead === false
          ? [...sure, t('pantry.labelNotReadYet')].join(', ')
          : [...sure, ...may.map((word) => `(${word})`)].join(', ') || '–'}
      </TableCell>
      <TableCell sx={{ fontSize: typeSize.small, color: 'text.secondary' }}>
        {ingredient.corrected
          ? t('pantry.basiswordsCorrected', { basisWords: basisWords[ingredient.basis] })
          : basisWords[ingredient.basis]}
      </TableCell>
    </TableRow>
  );
}
