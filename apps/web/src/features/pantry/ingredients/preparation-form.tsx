import { useMemo, useState } from 'react';
import CloseIcon from '@mui/icons-material/Close';
import { Wrong, Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { FormEnd } from '../../../ui/form/form-end';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  fromPreparation,
  InputError,
  keepingOf,
  type Preparation,
  type PreparationRow,
  keysOf,
  keptAtWords,
  saidFacts,
  unitOf,
  type Kitchen,
} from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Choice } from '../../../ui/form/choice';
import { QuantityField } from '../../../ui/form/quantity-field';
import { SearchField } from '../../../ui/form/search-field';
import { useStoring } from '../../../ui/form/use-storing';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { ingredientOptions } from '../api';
import { allergenWords } from '../words';
import { asEntered, readRowMass } from '../../../ui/form/typed-mass';
import { Batches } from './batches';
import { PasteRows } from './paste-rows';
import { MakingFields, type MakingEntry } from './making-fields';
import { useDoInPantry } from '../use-pantry';
import { t } from '../../../platform/words';
import { Sentence } from '../../../ui/words/sentence';

const places = keysOf(keptAtWords).map((value) => ({ value, name: keptAtWords[value] }));

/** Rows, acts, what is lost on the way and how long it may stand; what comes out is worked out as one types. */
export function PreparationForm({
  book,
  kitchen,
  preparation,
  onClose,
}: {
  book: PantryBook;
  kitchen: Kitchen;
  preparation: Preparation;
  onClose: () => void;
}) {
  const voice = useVoice();
  const entry = usePreparationDraft(book, onClose, preparation);
  const { draft, set, keeping, failed, busy, store, revision, remove } = entry;

  return (
    <SideSheet title={preparation.name || t('pantry.aNewPreparation')} onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 3 }}>
        <TextField
          size="small"
          label={t('common.name')}
          value={draft.name}
          onChange={(event) => set({ name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Typography variant="h2">{t('common.whatGoesIn')}</Typography>
        {draft.rows.map((row, i) => (
          <RowLine key={row.key} entry={entry} book={book} kitchen={kitchen} i={i} row={row} />
        ))}
        <SearchField
          label={t('pantry.addToThePreparation')}
          placeholder={t('common.addAnIngredient')}
          find={ingredientOptions(book.ingredients, (one) => one.kind !== 'excluded' && one.id !== draft.id)}
          onChoose={(ingredientId) => set({ rows: [...draft.rows, { key: crypto.randomUUID().slice(0, 8), ingredientId, amountG: 50 }] })}
        />
        <PasteRows book={book} kitchen={kitchen} onRows={(rows) => set({ rows: [...draft.rows, ...rows] })} />
        <MakingFields making={entry.making} />
        <Keeps entry={entry} />
        {keeping !== null && keeping.mostDays !== null && draft.keepDays > keeping.mostDays && (
          <NeedsTheCold entry={entry} keeping={keeping} />
        )}
        <WhatComesOut entry={entry} />
        <Note>
          {t('pantry.withEggOrDairyFridgeOrColder', {
            fridge: voice.show(saidFacts.fridgeC, 'temperature'),
            jamFrom: voice.range(saidFacts.jamFromC, saidFacts.jamToC, 'temperature'),
          })}
        </Note>
        <FormEnd
          failed={failed}
          busy={busy}
          onStore={() => void store()}
          onLeave={onClose}
          onRemove={revision > 0 ? () => void remove() : undefined}
        />
        {revision > 0 && <Batches book={book} kitchen={kitchen} preparation={preparation} />}
      </Box>
    </SideSheet>
  );
}

/** A preparation as it is typed, what comes of it, and its way into the pantry and out of it. */
function usePreparationDraft(book: PantryBook, onClose: () => void, preparation: Preparation) {
  const act = useDoInPantry();
  const [draft, setDraft] = useState(preparation);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const { failed, fail, busy, run } = useStoring(onClose);
  const revision = book.revisions.preparations[preparation.id] ?? 0;
  const set = (patch: Partial<Preparation>) => setDraft((now) => ({ ...now, ...patch }));
  const setRow = (i: number, { entered, ...patch }: { readonly amountG: number; readonly entered: string | undefined }) =>
    set({
      rows: draft.rows.map((row, k) => {
        if (k !== i) return row;
        const { entered: _was, ...rest } = row;
        return { ...rest, ...patch, ...(entered === undefined ? {} : { entered }) };
      }),
    });
  const type = (place: string) => (text: string | null) =>
    setTyped(({ [place]: _old, ...rest }) => (text === null ? rest : { ...rest, [place]: text }));

  const outcome = useMemo(() => {
    try {
      return { made: fromPreparation(draft, book), keeping: keepingOf(draft, book), problem: null };
    } catch (error) {
      if (error instanceof InputError) return { made: null, keeping: null, problem: error };
      throw error;
    }
  }, [draft, book]);
  const { made, keeping, problem } = outcome;
  const at = (path: string) => (problem?.path === path ? problem.message : undefined);
  const rawG = draft.rows.reduce((sum, { amountG }) => sum + amountG, 0);
  const unread = Object.keys(typed).length > 0;
  const reason =
    draft.name.trim() === ''
      ? t('pantry.giveItAName2')
      : unread
        ? t('pantry.aFieldHoldsWhatCannotBeRead')
        : problem
          ? problem.message
          : null;

  const making: MakingEntry = {
    making: draft,
    // An act or a heat that is taken back is not there any more.
    set: (patch) =>
      setDraft((now) => Object.fromEntries(Object.entries({ ...now, ...patch }).filter(([, value]) => value !== undefined)) as Preparation),
    typed,
    type,
    at,
    newKey: () => crypto.randomUUID().slice(0, 8),
    rawEgg: draft.cookedToC === undefined && keeping !== null && keeping.rawEggG > 0,
  };

  const store = async () => {
    if (reason) return fail(reason);
    const named = { ...draft, name: draft.name.trim() };
    await run(() => act(t('pantry.nameStored', { name: named.name }), { kind: 'preparation', preparation: named, revision }));
  };
  const remove = () =>
    run(() => act(t('common.nameRemoved', { name: preparation.name }), { kind: 'removePreparation', id: preparation.id }));
  return { draft, set, setRow, typed, type, at, making, keeping, made, rawG, problem, failed, busy, store, revision, remove };
}

type Entry = ReturnType<typeof usePreparationDraft>;

/** One ingredient of it, and how much. */
function RowLine({
  entry,
  book,
  kitchen,
  i,
  row,
}: {
  readonly entry: Entry;
  readonly book: PantryBook;
  readonly kitchen: Kitchen;
  readonly i: number;
  readonly row: PreparationRow;
}) {
  const voice = useVoice();
  const { setRow, typed, type, at, set, draft } = entry;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr auto 34px', gap: 2, alignItems: 'center' }}>
      <span>
        {book.ingredients[row.ingredientId]?.name ?? row.ingredientId}
        {row.entered && <Note>“{row.entered}”</Note>}
      </span>
      <QuantityField
        label={t('pantry.nameInIt', { name: book.ingredients[row.ingredientId]?.name ?? row.ingredientId })}
        kind="mass"
        value={row.amountG}
        read={(text) => readRowMass(text, unitOf('mass', voice.units), book.ingredients[row.ingredientId], kitchen.measures)}
        onChange={(amountG, _visit, text) => setRow(i, { amountG, entered: asEntered(text) })}
        typed={typed[`row:${row.key}`]}
        onTyped={type(`row:${row.key}`)}
        problem={at(`rows[${i}].amountG`)}
      />
      <IconButton
        size="small"
        aria-label={t('common.takeOutName', { name: book.ingredients[row.ingredientId]?.name ?? t('pantry.row') })}
        onClick={() => set({ rows: draft.rows.filter((_, k) => k !== i) })}
      >
        <CloseIcon fontSize="inherit" />
      </IconButton>
    </Box>
  );
}

/** How long and where it may stand. */
function Keeps({ entry }: { readonly entry: Entry }) {
  const { draft, set } = entry;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
      <span>{t('pantry.keeps')}</span>
      <TextField
        size="small"
        value={String(draft.keepDays)}
        onChange={(event) => set({ keepDays: Math.max(0, Math.min(730, Number(event.target.value.replace(/\D/g, '')) || 0)) })}
        slotProps={{
          htmlInput: { 'aria-label': t('pantry.keepsDays'), inputMode: 'numeric', style: { width: 40, textAlign: 'right' } },
        }}
      />
      <span>{t('common.days')}</span>
      <Choice label={t('pantry.keepsWhere')} value={draft.keepAt} options={places} onChange={(keepAt) => set({ keepAt })} />
    </Box>
  );
}

/** What it is once made. */
function WhatComesOut({ entry }: { readonly entry: Entry }) {
  const voice = useVoice();
  const { made, rawG, draft, problem } = entry;
  return (
    <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 3, fontSize: typeSize.body }} role="status">
      {made ? (
        <>
          <Sentence
            say="pantry.makesRawWaterWaterSugarsSugarsFat"
            values={{
              raw: voice.show(rawG - draft.boiledOffG - draft.drainedG, 'bulk'),
              water: (made.composition.waterShare * 100).toFixed(0),
              sugars: (made.composition.sugarsShare * 100).toFixed(0),
              fat: (made.composition.fatShare * 100).toFixed(0),
              word:
                allergenWords(made.allergens).sure.length > 0
                  ? t('pantry.containsSure', { sure: allergenWords(made.allergens).sure.join(', ') })
                  : t('common.noListedAllergenForCertain'),
            }}
          />
        </>
      ) : (
        <Box sx={{ color: 'error.main' }}>{problem?.message}</Box>
      )}
    </Box>
  );
}

/** It is to be kept longer, or warmer, than it may. */
function NeedsTheCold({ entry, keeping }: { readonly entry: Entry; readonly keeping: NonNullable<Entry['keeping']> }) {
  const voice = useVoice();
  const { draft } = entry;
  return (
    <Wrong size="small">
      {t('pantry.itNeedsTheCold')}
      {keeping.because.length > 0 && `: ${keeping.because.join(', ')}`}
      {t('pantry.wordOrFreezeItLocalRulesWin', {
        word:
          draft.keepAt === 'room'
            ? t('pantry.keepItInAFridgeOfFridge', { fridge: voice.show(saidFacts.fridgeC, 'temperature') })
            : t('pantry.atFridgeItKeepsMostdaysDaysAt', {
                fridge: voice.show(saidFacts.fridgeC, 'temperature'),
                mostDays: keeping.mostDays,
              }),
      })}
    </Wrong>
  );
}
