import { useState } from 'react';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { type Kitchen, type Lot, isPouredWater, lotFields } from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Note } from '../../../ui/frame/note';
import { typeSize, under } from '../../../ui/theme/theme';
import { ApiError } from '../../../platform/http';
import { changedName } from '../../../ui/words/change-words';
import { DayField } from '../../../ui/form/day-field';
import { FormEnd } from '../../../ui/form/form-end';
import { SearchField } from '../../../ui/form/search-field';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { ingredientOptions } from '../api';
import { emptyLot, formOfLot, lotOfForm, numberOf, type LotTexts as Form } from './lot-of-form';
import { useDoInPantry } from '../use-pantry';

type Props = { readonly book: PantryBook; readonly kitchen: Kitchen; readonly lot: Lot | null; readonly onClose: () => void };

/** One lot: what the bag and the supplier's paper say, what is left, and what was measured. */
export function LotForm({ book, kitchen, lot, onClose }: Props) {
  const act = useDoInPantry();
  const [ingredientId, setIngredientId] = useState(lot?.ingredientId ?? '');
  const [id] = useState(() => lot?.id ?? crypto.randomUUID());
  const form = useForm<Form>({ defaultValues: lot ? formOfLot(lot) : emptyLot });
  const { register, control, handleSubmit, formState, setError } = form;
  const { errors, isSubmitting, dirtyFields } = formState;
  const asideOn = useWatch({ control, name: 'asideOn' });
  const ingredient = book.ingredients[ingredientId];
  const title = lot ? `${ingredient?.name ?? lot.ingredientId}, lot ${lot.code}` : 'A new lot';
  const revision = book.revisions.lots[id] ?? 0;

  const store = handleSubmit(async (values) => {
    if (!ingredient) return setError('root', { message: 'Choose what is in the bag first.' });
    try {
      const recounted = !lot || dirtyFields.onHandG === true;
      const next = lotOfForm(values, id, ingredientId, lot);
      await act(lot ? changedName(title, lotFields, [lot, next]) : `${ingredient.name}, lot ${values.code} added`, {
        kind: 'lot',
        lot: next,
        revision,
        recounted,
      });
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setError('root', { message: error.message });
    }
  });
  const remove = async () => {
    try {
      await act(`${title} removed`, { kind: 'removeLot', id });
      onClose();
    } catch (error) {
      setError('root', { message: (error as Error).message });
    }
  };

  const text = (
    name: keyof Form & string,
    label: string,
    helper: string,
    rule?: { readonly low: number; readonly high: number; readonly unit: string },
  ) => (
    <TextField
      size="small"
      label={label}
      fullWidth
      error={errors[name] !== undefined}
      helperText={errors[name]?.message ?? helper}
      slotProps={{ htmlInput: { inputMode: rule ? 'decimal' : 'text', autoComplete: 'off' } }}
      {...register(name, {
        validate: (value) => {
          const typed = String(value ?? '').trim();
          if (typed === '') return name !== 'code' || 'Give the lot its code: the one on the bag, or your own number';
          if (!rule) return true;
          const read = numberOf(typed, rule.unit);
          if (read === undefined) return `“${typed}” is not a number`;
          return (read >= rule.low && read <= rule.high) || `must be from ${rule.low} to ${rule.high} ${rule.unit}`;
        },
      })}
    />
  );
  const day = (name: 'bestByOn' | 'useByOn' | 'openedOn' | 'reportOn' | 'certUntil', label: string) => (
    <Controller
      control={control}
      name={name}
      rules={{
        validate: (value, values) => {
          if (value !== '') return /^\d{4}-\d\d-\d\d$/.test(value) || 'is not a whole day yet';
          if (name === 'certUntil') return values.certNumber.trim() === '' || 'A certificate has a last day';
          return name !== 'reportOn' || values.mgPerKg.trim() === '' || 'A report has a day';
        },
      }}
      render={({ field }) => <DayField label={label} value={field.value} onChange={field.onChange} error={errors[name]?.message} />}
    />
  );

  return (
    <SideSheet title={title} onClose={onClose}>
      <Box component="form" noValidate onSubmit={(event) => void store(event)} sx={{ display: 'grid', gap: 3 }}>
        {!lot && (
          <Box>
            {ingredient && <Box sx={{ fontWeight: 680, fontSize: typeSize.large, pb: 1 }}>{ingredient.name}</Box>}
            <SearchField
              label="What is in the bag"
              placeholder={ingredient ? 'Something else' : 'What is in the bag'}
              find={ingredientOptions(book.ingredients, (one) => one.kind !== 'excluded' && !isPouredWater(one))}
              onChoose={setIngredientId}
            />
            {ingredient?.note && (
              <Note size="small" pt={1}>
                {ingredient.note}
              </Note>
            )}
          </Box>
        )}
        <Box sx={twoColumns}>
          {text('code', 'Code', 'on the bag, or your own')}
          {text('supplier', 'Supplier', 'as you know them')}
          {text('onHandG', 'On hand', 'g, or 3.1 kg; empty: not counted', { low: 0, high: 1e7, unit: 'g' })}
          {day('bestByOn', 'Best by')}
          {day('useByOn', 'Use by')}
          {day('openedOn', 'Opened on')}
          {text('moisture', 'Moisture', '%, measured', { low: 0, high: 60, unit: '%' })}
          {text('packG', 'Pack', 'g, or kg', { low: 0.001, high: 1e7, unit: 'g' })}
          {text('packCost', 'Price of a pack', kitchen.currency, { low: 0, high: 1e7, unit: '' })}
        </Box>
        <Typography variant="h2">Proof of gluten</Typography>
        {ingredient?.gluten === 'free' && (
          <Note size="small">No grain is in it by nature. That is a belief, not a proof: take it on record, or enter a report.</Note>
        )}
        <Box sx={twoColumns}>
          {text('mgPerKg', 'Found', 'mg/kg; “< 5” for below', { low: 0, high: 100000, unit: 'mg/kg' })}
          {text('method', 'Method', 'as on the report, e.g. R5 ELISA')}
          {day('reportOn', 'Day of the report')}
          {text('certNumber', 'Or certificate', 'its number, as the maker gives it')}
          {text('certBy', 'Certified by', 'as on the certificate')}
          {day('certUntil', 'Holds until')}
        </Box>
        {kitchen.home &&
          ingredient?.gluten === 'needsProof' &&
          text('onBag', 'Taken on the bag’s mark, because', 'at home only; kept with the lot')}
        {ingredient?.gluten === 'free' && text('accepted', 'Accept without report, because', 'kept with the lot')}
        <Controller
          control={control}
          name="asideOn"
          render={({ field }) => (
            <FormControlLabel
              control={<Checkbox checked={field.value} onChange={(_, checked) => field.onChange(checked)} />}
              label="Set this lot aside"
            />
          )}
        />
        {asideOn && text('setAside', 'Set aside, because', 'smells, past its day, report in doubt')}
        <FormEnd failed={errors.root?.message} busy={isSubmitting} onLeave={onClose} onRemove={lot ? () => void remove() : undefined} />
      </Box>
    </SideSheet>
  );
}

const twoColumns = {
  display: 'grid',
  gridTemplateColumns: '1fr 1fr',
  gap: 3,
  alignItems: 'start',
  [under.slim]: { gridTemplateColumns: '1fr' },
} as const;
