import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { batchOf, replyTo, type Kitchen, type Lot, type Preparation } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Choice } from '../../../ui/form/choice';
import { QuantityField } from '../../../ui/form/quantity-field';
import { useStoring } from '../../../ui/form/use-storing';
import { Note, Wrong } from '../../../ui/frame/note';
import { showDay } from '../../../ui/words/money';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { useDoInPantry } from '../use-pantry';
import { t } from '../../../platform/words';

type Props = { readonly book: PantryBook; readonly kitchen: Kitchen; readonly preparation: Preparation };

/** What stands of a preparation, by the day it was made; and one more batch, out of the lots there are. */
export function Batches({ book, kitchen, preparation }: Props) {
  const batches = Object.values(book.lots)
    .filter(({ ingredientId }) => ingredientId === preparation.id)
    .sort((a, b) => (b.madeOn ?? '').localeCompare(a.madeOn ?? ''));
  return (
    <Box component="section" aria-label={t('pantry.batches')} sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h2">{t('pantry.batches')}</Typography>
      {batches.length === 0 && <Note>{t('pantry.noBatchMadeAsNeeded')}</Note>}
      {batches.map((lot) => (
        <Batch key={lot.id} lot={lot} book={book} preparation={preparation} />
      ))}
      <MakeBatch book={book} kitchen={kitchen} preparation={preparation} />
    </Box>
  );
}

function Batch({ lot, book, preparation }: { readonly lot: Lot; readonly book: PantryBook; readonly preparation: Preparation }) {
  const voice = useVoice();
  const act = useDoInPantry();
  const { failed, busy, run } = useStoring(() => undefined);
  const past = lot.useByOn !== undefined && lot.useByOn < book.on;
  const of = (lot.madeOf ?? []).map(({ ingredientId, lotId }) =>
    t('pantry.nameLotCode', { name: book.ingredients[ingredientId]?.name ?? ingredientId, code: book.lots[lotId]?.code ?? '–' }),
  );
  return (
    <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 2, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
        <b>{lot.code}</b>
        <span>{lot.onHandG === undefined ? '' : t('pantry.gLeft', { g: voice.show(lot.onHandG, 'bulk') })}</span>
      </Box>
      <Box sx={past ? { color: 'error.main', fontWeight: 650 } : {}}>
        {lot.madeOn && t('pantry.madeOnDay', { day: showDay(lot.madeOn, book.on) })}
        {lot.useByOn &&
          (past
            ? t('pantry.pastItsDay', { day: showDay(lot.useByOn, book.on) })
            : t('pantry.useByDay', { day: showDay(lot.useByOn, book.on) }))}
      </Box>
      {of.length > 0 && <Note>{t('pantry.madeOfLots', { of: of.join(', ') })}</Note>}
      {lot.madeOf && (
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          disabled={busy}
          onClick={() =>
            void run(() =>
              act(t('pantry.batchTakenBack', { code: lot.code }), { kind: 'unmakeBatch', id: lot.id, preparationId: preparation.id }),
            )
          }
        >
          {t('pantry.itWasNeverMade')}
        </Button>
      )}
      {failed && <Wrong size="small">{failed}</Wrong>}
    </Box>
  );
}

function MakeBatch({ book, kitchen, preparation }: Props) {
  const voice = useVoice();
  const act = useDoInPantry();
  const onceG = preparation.rows.reduce((sum, { amountG }) => sum + amountG, 0) - preparation.boiledOffG - preparation.drainedG;
  const [open, setOpen] = useState(false);
  const [makesG, setMakesG] = useState(onceG);
  const [typed, setTyped] = useState<string | undefined>();
  const [code, setCode] = useState(book.on);
  const [placeId, setPlaceId] = useState(kitchen.places.find(({ kind }) => kind === preparation.keepAt)?.id ?? '');
  // Its days are those of where it is kept: nowhere warmer.
  const cold = kitchen.places.filter(({ kind }) => preparation.keepAt === 'room' || kind === 'freezer' || kind === preparation.keepAt);
  const { failed, fail, busy, run } = useStoring(() => setOpen(false));
  const tried = replyTo(() => batchOf(preparation, { id: 'batch', code: code.trim(), times: makesG / onceG }, book));
  if (!open)
    return (
      <Button variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => setOpen(true)}>
        {t('pantry.makeABatch')}
      </Button>
    );
  const store = () => {
    if (typed !== undefined) return fail(t('pantry.aFieldHoldsWhatCannotBeRead'));
    if (code.trim() === '') return fail(t('pantry.aBatchWantsACode'));
    if (!tried.ok) return fail(tried.refused.message);
    return run(() =>
      act(t('pantry.batchMade', { name: preparation.name }), {
        kind: 'batch',
        id: crypto.randomUUID(),
        preparationId: preparation.id,
        body: { times: makesG / onceG, code: code.trim(), ...(placeId === '' ? {} : { placeId }) },
      }),
    );
  };
  return (
    <Box
      role="group"
      aria-label={t('pantry.makeABatch')}
      sx={{ display: 'grid', gap: 2, p: 2, border: 1, borderColor: 'divider', borderRadius: '8px' }}
    >
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
        <span>{t('pantry.makes')}</span>
        <QuantityField
          label={t('pantry.theBatchMakes')}
          kind="mass"
          value={makesG}
          onChange={setMakesG}
          typed={typed}
          onTyped={(text) => setTyped(text ?? undefined)}
          problem={tried.ok ? undefined : tried.refused.message}
        />
        <TextField
          size="small"
          label={t('pantry.code')}
          value={code}
          onChange={(event) => setCode(event.target.value)}
          sx={{ width: 130 }}
          slotProps={{ htmlInput: { maxLength: 40, style: { textAlign: 'left' } } }}
        />
        <Choice
          label={t('pantry.whereItStands')}
          value={placeId}
          options={[{ value: '', name: t('pantry.notDecided') }, ...cold.map(({ id, name }) => ({ value: id, name }))]}
          onChange={setPlaceId}
          width={150}
        />
      </Box>
      <Note>
        {tried.ok && t('pantry.keepsUntilDay', { day: showDay(tried.answer.useByOn!, book.on) })}{' '}
        {tried.ok && tried.answer.madeOf!.length > 0
          ? t('pantry.takesFrom', {
              of: tried.answer
                .madeOf!.map(({ ingredientId, usedG }) =>
                  t('pantry.gOfName', { g: voice.show(usedG, 'bulk'), name: book.ingredients[ingredientId]?.name ?? ingredientId }),
                )
                .join(', '),
            })
          : t('pantry.nothingOfItIsCounted')}
      </Note>
      {failed && <Wrong size="small">{failed}</Wrong>}
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Button variant="contained" size="small" disabled={busy} onClick={() => void store()}>
          {t('pantry.itIsMade')}
        </Button>
        <Button size="small" onClick={() => setOpen(false)}>
          {t('common.leaveIt')}
        </Button>
      </Box>
    </Box>
  );
}
