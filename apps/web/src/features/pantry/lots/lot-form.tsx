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
import { t } from '../../../platform/words';

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
  const title = lot ? t('pantry.nameLotCode', { name: ingredient?.name ?? lot.ingredientId, code: lot.code }) : t('pantry.aNewLot');
  const revision = book.revisions.lots[id] ?? 0;

  const store = handleSubmit(async (values) => {
    if (!ingredient) return setError('root', { message: t('pantry.chooseWhatIsInTheBagFirst') });
    try {
      const recounted = !lot || dirtyFields.onHandG === true;
      const next = lotOfForm(values, id, ingredientId, lot);
      await act(
        lot ? changedName(title, lotFields, [lot, next]) : t('pantry.nameLotCodeAdded', { name: ingredient.name, code: values.code }),
        {
          kind: 'lot',
          lot: next,
          revision,
          recounted,
        },
      );
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setError('root', { message: error.message });
    }
  });
  const remove = async () => {
    try {
      await act(t('pantry.titleRemoved', { title }), { kind: 'removeLot', id });
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
          if (typed === '') return name !== 'code' || t('pantry.giveTheLotItsCodeTheOne');
          if (!rule) return true;
          const read = numberOf(typed, rule.unit);
          if (read === undefined) return t('pantry.typedIsNotANumber', { typed });
          return (read >= rule.low && read <= rule.high) || t('pantry.mustBeFrom', rule);
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
          if (value !== '') return /^\d{4}-\d\d-\d\d$/.test(value) || t('pantry.isNotAWholeDayYet');
          if (name === 'certUntil') return values.certNumber.trim() === '' || t('pantry.aCertificateHasALastDay');
          return name !== 'reportOn' || values.mgPerKg.trim() === '' || t('pantry.aReportHasADay');
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
              label={t('pantry.whatIsInTheBag')}
              placeholder={ingredient ? t('common.somethingElse') : t('pantry.whatIsInTheBag')}
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
          {text('code', t('pantry.code'), t('pantry.onTheBagOrYourOwn'))}
          {text('supplier', t('pantry.supplier'), t('pantry.asYouKnowThem'))}
          {text('onHandG', t('pantry.onHand'), t('pantry.gOr31KgEmptyNot'), { low: 0, high: 1e7, unit: 'g' })}
          {day('bestByOn', t('pantry.bestBy'))}
          {day('useByOn', t('pantry.useBy'))}
          {day('openedOn', t('pantry.openedOn'))}
          {text('moisture', t('pantry.moisture'), t('pantry.measured'), { low: 0, high: 60, unit: '%' })}
          {text('packG', t('common.pack'), t('pantry.gOrKg'), { low: 0.001, high: 1e7, unit: 'g' })}
          {text('packCost', t('pantry.priceOfAPack'), kitchen.currency, { low: 0, high: 1e7, unit: '' })}
        </Box>
        <Typography variant="h2">{t('pantry.proofOfGluten')}</Typography>
        {ingredient?.gluten === 'free' && <Note size="small">{t('pantry.noGrainIsInItByNature')}</Note>}
        <Box sx={twoColumns}>
          {text('mgPerKg', t('pantry.found'), t('pantry.mgKg5ForBelow'), { low: 0, high: 100000, unit: 'mg/kg' })}
          {text('method', t('pantry.method'), t('pantry.asOnTheReportEGR5'))}
          {day('reportOn', t('pantry.dayOfTheReport'))}
          {text('certNumber', t('pantry.orCertificate'), t('pantry.itsNumberAsTheMakerGivesIt'))}
          {text('certBy', t('pantry.certifiedBy'), t('pantry.asOnTheCertificate'))}
          {day('certUntil', t('pantry.holdsUntil'))}
        </Box>
        {kitchen.home &&
          ingredient?.gluten === 'needsProof' &&
          text('onBag', t('pantry.takenOnTheBagsMarkBecause'), t('pantry.atHomeOnlyKeptWithTheLot'))}
        {ingredient?.gluten === 'free' && text('accepted', t('pantry.acceptWithoutReportBecause'), t('pantry.keptWithTheLot'))}
        <Controller
          control={control}
          name="asideOn"
          render={({ field }) => (
            <FormControlLabel
              control={<Checkbox checked={field.value} onChange={(_, checked) => field.onChange(checked)} />}
              label={t('pantry.setThisLotAside')}
            />
          )}
        />
        {asideOn && text('setAside', t('pantry.setAsideBecause'), t('pantry.smellsPastItsDayReportInDoubt'))}
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
