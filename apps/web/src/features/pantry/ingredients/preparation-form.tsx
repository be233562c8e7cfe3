import { useMemo, useState } from 'react';
import CloseIcon from '@mui/icons-material/Close';
import { Wrong, Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { FormEnd } from '../../../ui/form/form-end';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  fromPreparation,
  InputError,
  keepingOf,
  preparationActs,
  type Preparation,
  type PreparationAct,
  type PreparationRow,
  keysOf,
  keptAtWords,
  saidFacts,
} from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { ApiError } from '../../../platform/http';
import { Choice } from '../../../ui/form/choice';
import { QuantityField } from '../../../ui/form/quantity-field';
import { SearchField } from '../../../ui/form/search-field';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { ingredientOptions } from '../api';
import { allergenWords } from '../words';
import { useDoInPantry } from '../use-pantry';

const actWords: Record<PreparationAct['act'], string> = {
  soak: 'Soak',
  warm: 'Warm',
  melt: 'Melt',
  whisk: 'Whisk',
  beat: 'Beat',
  foldIn: 'Fold in',
  boil: 'Boil',
  drain: 'Drain',
  grind: 'Grind',
  stand: 'Let stand',
};
const places = keysOf(keptAtWords).map((value) => ({ value, name: keptAtWords[value] }));

/** Rows, acts, what is lost on the way and how long it may stand; what comes out is worked out as one types. */
export function PreparationForm({ book, preparation, onClose }: { book: PantryBook; preparation: Preparation; onClose: () => void }) {
  const voice = useVoice();
  const act = useDoInPantry();
  const [draft, setDraft] = useState(preparation);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [failed, setFailed] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const revision = book.revisions.preparations[preparation.id] ?? 0;
  const set = (patch: Partial<Preparation>) => setDraft((now) => ({ ...now, ...patch }));
  const setRow = (i: number, patch: Partial<PreparationRow>) =>
    set({ rows: draft.rows.map((row, k) => (k === i ? { ...row, ...patch } : row)) });
  const setAct = (i: number, patch: Partial<PreparationAct>) =>
    set({ acts: draft.acts.map((one, k) => (k === i ? { ...one, ...patch } : one)) });
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
      ? 'Give it a name.'
      : unread
        ? 'A field holds what cannot be read as a number.'
        : problem
          ? problem.message
          : null;

  const store = async () => {
    if (reason) return setFailed(reason);
    setBusy(true);
    try {
      await act(`${draft.name.trim()} stored`, { kind: 'preparation', preparation: { ...draft, name: draft.name.trim() }, revision });
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setFailed(error.message);
    } finally {
      setBusy(false);
    }
  };
  const remove = async () => {
    try {
      await act(`${preparation.name} removed`, { kind: 'removePreparation', id: preparation.id });
      onClose();
    } catch (error) {
      setFailed((error as Error).message);
    }
  };

  return (
    <SideSheet title={preparation.name || 'A new preparation'} onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 3 }}>
        <TextField
          size="small"
          label="Name"
          value={draft.name}
          onChange={(event) => set({ name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Typography variant="h2">What goes in</Typography>
        {draft.rows.map((row, i) => (
          <Box key={row.key} sx={{ display: 'grid', gridTemplateColumns: '1fr auto 34px', gap: 2, alignItems: 'center' }}>
            <span>{book.ingredients[row.ingredientId]?.name ?? row.ingredientId}</span>
            <QuantityField
              label={`${book.ingredients[row.ingredientId]?.name ?? row.ingredientId} in it`}
              kind="mass"
              value={row.amountG}
              onChange={(amountG) => setRow(i, { amountG })}
              typed={typed[`row ${row.key}`]}
              onTyped={type(`row ${row.key}`)}
              problem={at(`rows[${i}].amountG`)}
            />
            <IconButton
              size="small"
              aria-label={`Take out ${book.ingredients[row.ingredientId]?.name ?? 'row'}`}
              onClick={() => set({ rows: draft.rows.filter((_, k) => k !== i) })}
            >
              <CloseIcon fontSize="inherit" />
            </IconButton>
          </Box>
        ))}
        <SearchField
          label="Add to the preparation"
          placeholder="Add an ingredient"
          find={ingredientOptions(book.ingredients, (one) => one.kind !== 'excluded' && one.id !== draft.id)}
          onChoose={(ingredientId) => set({ rows: [...draft.rows, { key: crypto.randomUUID().slice(0, 8), ingredientId, amountG: 50 }] })}
        />
        <Typography variant="h2">What is done</Typography>
        {draft.acts.map((one, i) => (
          <Box key={one.key} sx={{ display: 'grid', gridTemplateColumns: '120px auto 1fr 34px', gap: 2, alignItems: 'center' }}>
            <Choice
              label={`Act ${i + 1}`}
              value={one.act}
              options={preparationActs.map((value) => ({ value, name: actWords[value] }))}
              onChange={(next) => setAct(i, { act: next })}
              width={120}
            />
            <QuantityField
              label={`Act ${i + 1} minutes`}
              kind="minutes"
              value={one.min ?? 0}
              onChange={(min) => setAct(i, { min })}
              typed={typed[`act ${one.key}`]}
              onTyped={type(`act ${one.key}`)}
              width={52}
            />
            <TextField
              size="small"
              placeholder="until"
              value={one.stopAt ?? ''}
              onChange={(event) => setAct(i, { stopAt: event.target.value })}
              slotProps={{ htmlInput: { 'aria-label': `Act ${i + 1} until`, maxLength: 200 } }}
            />
            <IconButton
              size="small"
              aria-label={`Take out act ${i + 1}`}
              onClick={() => set({ acts: draft.acts.filter((_, k) => k !== i) })}
            >
              <CloseIcon fontSize="inherit" />
            </IconButton>
          </Box>
        ))}
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() => set({ acts: [...draft.acts, { key: crypto.randomUUID().slice(0, 8), act: 'whisk', min: 2 }] })}
        >
          Add an act
        </Button>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <FormControlLabel
            control={
              <Checkbox
                checked={draft.cookedToC !== undefined}
                onChange={(_, cooked) => {
                  const { cookedToC: _was, ...rest } = draft;
                  setDraft(cooked ? { ...rest, cookedToC: 85 } : rest);
                }}
              />
            }
            label="Cooked: its middle reached"
          />
          {draft.cookedToC !== undefined && (
            <QuantityField
              label="Middle reached"
              kind="temperature"
              value={draft.cookedToC}
              onChange={(cookedToC) => set({ cookedToC })}
              typed={typed['cookedToC']}
              onTyped={type('cookedToC')}
              problem={at('cookedToC')}
            />
          )}
          {draft.cookedToC === undefined && keeping !== null && keeping.rawEggG > 0 && (
            <Box role="alert" sx={{ color: 'warning.main', fontSize: typeSize.small }}>
              Raw egg is in it, and nobody said that it is cooked: it counts as raw. Egg is safe from{' '}
              {voice.show(saidFacts.safeEggC, 'temperature')}.
            </Box>
          )}
        </Box>
        <Typography variant="h2">What is lost</Typography>
        <Box sx={{ display: 'flex', gap: 5, flexWrap: 'wrap' }}>
          {(
            [
              ['boiledOffG', 'Boiled off'],
              ['drainedG', 'Drained'],
            ] as const
          ).map(([name, label]) => (
            <Box key={name} sx={{ display: 'grid', gap: 1 }}>
              <span>{label}</span>
              <QuantityField
                label={label}
                kind="mass"
                value={draft[name]}
                onChange={(value) => set({ [name]: value })}
                typed={typed[name]}
                onTyped={type(name)}
                problem={at(name)}
              />
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <span>Keeps</span>
          <TextField
            size="small"
            value={String(draft.keepDays)}
            onChange={(event) => set({ keepDays: Math.max(0, Math.min(730, Number(event.target.value.replace(/\D/g, '')) || 0)) })}
            slotProps={{ htmlInput: { 'aria-label': 'Keeps days', inputMode: 'numeric', style: { width: 40, textAlign: 'right' } } }}
          />
          <span>days</span>
          <Choice label="Keeps where" value={draft.keepAt} options={places} onChange={(keepAt) => set({ keepAt })} />
        </Box>
        {keeping !== null && keeping.mostDays !== null && draft.keepDays > keeping.mostDays && (
          <Wrong size="small">
            It needs the cold{keeping.because.length > 0 && `: ${keeping.because.join(', ')}`}.{' '}
            {draft.keepAt === 'room'
              ? `Keep it in a fridge of ${voice.show(saidFacts.fridgeC, 'temperature')} or colder`
              : `At ${voice.show(saidFacts.fridgeC, 'temperature')} it keeps ${keeping.mostDays} days at most`}
            , or freeze it. Local rules win.
          </Wrong>
        )}
        <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 3, fontSize: typeSize.body }} role="status">
          {made ? (
            <>
              Makes <b>{voice.show(rawG - draft.boiledOffG - draft.drainedG, 'bulk')}</b>: water{' '}
              {(made.composition.waterShare * 100).toFixed(0)} %, sugars {(made.composition.sugarsShare * 100).toFixed(0)} %, fat{' '}
              {(made.composition.fatShare * 100).toFixed(0)} %.{' '}
              {allergenWords(made.allergens).sure.length > 0
                ? `Contains ${allergenWords(made.allergens).sure.join(', ')}.`
                : 'No listed allergen for certain.'}
            </>
          ) : (
            <Box sx={{ color: 'error.main' }}>{problem?.message}</Box>
          )}
        </Box>
        <Note>
          With egg or dairy: {voice.show(saidFacts.fridgeC, 'temperature')} or colder, and only as long as local rules allow. Hot sugar and
          jam burn at {voice.range(saidFacts.jamFromC, saidFacts.jamToC, 'temperature')}.
        </Note>
        <FormEnd
          failed={failed}
          busy={busy}
          onStore={() => void store()}
          onLeave={onClose}
          onRemove={revision > 0 ? () => void remove() : undefined}
        />
      </Box>
    </SideSheet>
  );
}
