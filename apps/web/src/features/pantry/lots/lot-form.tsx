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
import { notify } from '../../../platform/notices';
import { changedName } from '../../../ui/words/change-words';
import { DayField } from '../../../ui/form/day-field';
import { FormEnd } from '../../../ui/form/form-end';
import { SearchField } from '../../../ui/form/search-field';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { ingredientOptions } from '../api';
import { asBefore, emptyLot, formOfLot, knownByBarcode, lotOfForm, numberOf, type LotTexts as Form } from './lot-of-form';
import { LaterPapers, Papers, useLaterPapers } from '../papers';
import { useDoInPantry } from '../use-pantry';
import { t } from '../../../platform/words';

type Props = { readonly book: PantryBook; readonly kitchen: Kitchen; readonly lot: Lot | null; readonly onClose: () => void };

/** One lot: what the bag and the supplier's paper say, what is left, and what was measured. */
export function LotForm({ book, kitchen, lot, onClose }: Props) {
  const entry = useLotForm(book, lot, onClose);
  const { title, store, ingredient, control, asideOn, errors, isSubmitting, remove } = entry;

  return (
    <SideSheet title={title} onClose={onClose}>
      <Box component="form" noValidate onSubmit={(event) => void store(event)} sx={{ display: 'grid', gap: 3 }}>
        <Barcode entry={entry} />
        {!lot && <WhatIsIn entry={entry} book={book} />}
        <Box sx={twoColumns}>
          <LotText name="code" label={t('pantry.code')} helper={t('pantry.onTheBagOrYourOwn')} entry={entry} />
          <LotText name="supplier" label={t('pantry.supplier')} helper={t('pantry.asYouKnowThem')} entry={entry} />
          <LotText
            name="onHandG"
            label={t('pantry.onHand')}
            helper={t('pantry.gOr31KgEmptyNot')}
            rule={{ low: 0, high: 1e7, unit: 'g' }}
            entry={entry}
          />
          <LotDay name="bestByOn" label={t('pantry.bestBy')} entry={entry} />
          <LotDay name="useByOn" label={t('pantry.useBy')} entry={entry} />
          <LotDay name="openedOn" label={t('pantry.openedOn')} entry={entry} />
          <LotText
            name="moisture"
            label={t('pantry.moisture')}
            helper={t('pantry.measured')}
            rule={{ low: 0, high: 60, unit: '%' }}
            entry={entry}
          />
          <LotText
            name="packG"
            label={t('common.pack')}
            helper={t('pantry.gOrKg')}
            rule={{ low: 0.001, high: 1e7, unit: 'g' }}
            entry={entry}
          />
          <LotText
            name="packCost"
            label={t('pantry.priceOfAPack')}
            helper={kitchen.currency}
            rule={{ low: 0, high: 1e7, unit: '' }}
            entry={entry}
          />
        </Box>
        <Typography variant="h2">{t('pantry.proofOfGluten')}</Typography>
        {ingredient?.gluten === 'free' && <Note size="small">{t('pantry.noGrainIsInItByNature')}</Note>}
        <Proof entry={entry} />
        {lot ? <Papers of="lots" ownerId={lot.id} /> : <LaterPapers later={entry.later} />}
        {kitchen.home && ingredient?.gluten === 'needsProof' && (
          <LotText name="onBag" label={t('pantry.takenOnTheBagsMarkBecause')} helper={t('pantry.atHomeOnlyKeptWithTheLot')} entry={entry} />
        )}
        {ingredient?.gluten === 'free' && (
          <LotText name="accepted" label={t('pantry.acceptWithoutReportBecause')} helper={t('pantry.keptWithTheLot')} entry={entry} />
        )}
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
        {asideOn && (
          <LotText name="setAside" label={t('pantry.setAsideBecause')} helper={t('pantry.smellsPastItsDayReportInDoubt')} entry={entry} />
        )}
        <FormEnd failed={errors.root?.message} busy={isSubmitting} onLeave={onClose} onRemove={lot ? () => void remove() : undefined} />
      </Box>
    </SideSheet>
  );
}

/** What shows that it is under the limit: a report or a certificate. */
function Proof({ entry }: { readonly entry: Entry }) {
  return (
    <Box sx={twoColumns}>
      <LotText
        name="mgPerKg"
        label={t('pantry.found')}
        helper={t('pantry.mgKg5ForBelow')}
        rule={{ low: 0, high: 100000, unit: 'mg/kg' }}
        entry={entry}
      />
      <LotText name="method" label={t('pantry.method')} helper={t('pantry.asOnTheReportEGR5')} entry={entry} />
      <LotDay name="reportOn" label={t('pantry.dayOfTheReport')} entry={entry} />
      <LotText name="certNumber" label={t('pantry.orCertificate')} helper={t('pantry.itsNumberAsTheMakerGivesIt')} entry={entry} />
      <LotText name="certBy" label={t('pantry.certifiedBy')} helper={t('pantry.asOnTheCertificate')} entry={entry} />
      <LotDay name="certUntil" label={t('pantry.holdsUntil')} entry={entry} />
    </Box>
  );
}

/** A lot as it is typed, and its way into the pantry and out of it. */
function useLotForm(book: PantryBook, lot: Lot | null, onClose: () => void) {
  const later = useLaterPapers();
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
      await later
        .send({ of: 'lots', ownerId: id })
        .catch((error: Error) => notify(t('pantry.storedWithoutItsPhoto', { message: error.message }), 'error'));
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
  const scanned = useWatch({ control, name: 'barcode' });
  const known = lot ? undefined : knownByBarcode(book.lots, scanned);
  /** A scanner ends with Enter: what the pack is known for is filled in, and nothing is stored yet. */
  const scan = () => {
    if (!known) return;
    setIngredientId(known.ingredientId);
    for (const [name, value] of Object.entries(asBefore(form.getValues(), known))) form.setValue(name as keyof Form, value);
  };
  const knownAs = known && (book.ingredients[known.ingredientId]?.name ?? known.ingredientId);
  return {
    errors,
    register,
    control,
    title,
    store,
    ingredient,
    setIngredientId,
    asideOn,
    isSubmitting,
    remove,
    scan,
    scanned,
    knownAs,
    later,
  };
}

type Entry = ReturnType<typeof useLotForm>;

/** One line of the form; a number has its limits. */
function LotText({
  name,
  label,
  helper,
  rule,
  entry,
}: {
  readonly name: keyof Form & string;
  readonly label: string;
  readonly helper: string;
  readonly rule?: { readonly low: number; readonly high: number; readonly unit: string } | undefined;
  readonly entry: Entry;
}) {
  const { errors, register } = entry;
  return (
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
}

/** The code of the pack, typed or scanned. */
function Barcode({ entry }: { readonly entry: Entry }) {
  const { register, scan, scanned, knownAs } = entry;
  const { onBlur, ...field } = register('barcode', { maxLength: { value: 48, message: t('pantry.barcodeTooLong') } });
  return (
    <TextField
      size="small"
      label={t('pantry.barcode')}
      error={entry.errors.barcode !== undefined}
      helperText={
        entry.errors.barcode?.message ??
        (knownAs
          ? t('pantry.knownHereAs', { name: knownAs })
          : scanned.trim() === ''
            ? t('pantry.scanOrLeaveEmpty')
            : t('pantry.newToThisKitchen'))
      }
      slotProps={{ htmlInput: { inputMode: 'numeric', autoComplete: 'off' } }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        scan();
      }}
      onBlur={(event) => {
        scan();
        void onBlur(event);
      }}
      {...field}
    />
  );
}

/** One day of the form. */
function LotDay({
  name,
  label,
  entry,
}: {
  readonly name: 'bestByOn' | 'useByOn' | 'openedOn' | 'reportOn' | 'certUntil';
  readonly label: string;
  readonly entry: Entry;
}) {
  const { control, errors } = entry;
  return (
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
}

/** Which ingredient a new lot is of. */
function WhatIsIn({ entry, book }: { readonly entry: Entry; readonly book: PantryBook }) {
  const { ingredient, setIngredientId } = entry;
  return (
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
  );
}

const twoColumns = {
  display: 'grid',
  gridTemplateColumns: '1fr 1fr',
  gap: 3,
  alignItems: 'start',
  [under.slim]: { gridTemplateColumns: '1fr' },
} as const;
