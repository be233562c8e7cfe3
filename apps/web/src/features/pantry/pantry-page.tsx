import { lazy, Suspense, useState } from 'react';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { glutenLimitOf, type Kitchen } from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { ErrorPage } from '../../platform/error-page';
import { Page } from '../../ui/frame/page';
import { PlaceTabs } from '../../ui/frame/place-tabs';
import { kitchenQuery, useKitchenChange } from '../kitchen/doors';
import { pantryQuery, pantryTabs } from './api';
import { SoldIn } from './sold-in';
import { notify } from '../../platform/notices';
import { usePantryUndoKey } from './use-pantry';
import { t } from '../../platform/words';

const faces = {
  lots: lazy(async () => ({ default: (await import('./lots/lots-list')).LotsList })),
  ingredients: lazy(async () => ({ default: (await import('./ingredients/ingredients-list')).IngredientsList })),
  preparations: lazy(async () => ({ default: (await import('./ingredients/preparations-list')).PreparationsList })),
  guests: lazy(async () => ({ default: (await import('./guests-list')).GuestsList })),
};
/** What the kitchen has, what it knows of it, and for whom it must do. */
export function PantryPage() {
  const { face = 'lots' } = useParams();
  const pantry = useQuery(pantryQuery);
  const kitchen = useQuery(kitchenQuery);
  const { undo, undoable } = usePantryUndoKey();
  const error = pantry.error ?? kitchen.error;
  if (error) return <ErrorPage error={error} />;
  const Face = faces[face as keyof typeof faces];
  if (!Face) return <ErrorPage />;
  const loaded = pantry.data && kitchen.data;
  return (
    <Page
      title={t('common.pantry')}
      beside={
        loaded
          ? t('pantry.ingredientsIngredientsLotsLots', {
              ingredients: Object.keys(pantry.data.ingredients).length,
              lots: Object.keys(pantry.data.lots).length,
            })
          : ' '
      }
      actions={
        <>
          {loaded && <SoldIn kitchen={kitchen.data} />}
          {loaded && <GlutenLimit key={kitchen.data.glutenLimitMgPerKg} limit={kitchen.data.glutenLimitMgPerKg} />}
          <IconButton size="small" aria-label={t('common.undo')} disabled={!undoable} onClick={undo} title={t('common.undoCtrlZ')}>
            <UndoIcon fontSize="small" />
          </IconButton>
          <PlaceTabs label={t('common.pantry')} tabs={pantryTabs} />
        </>
      }
    >
      {loaded ? (
        <Suspense fallback={<Rows />}>
          <Face book={pantry.data} kitchen={kitchen.data} />
        </Suspense>
      ) : (
        <Rows />
      )}
      <Box sx={{ pt: 4, fontSize: typeSize.caption, color: 'text.secondary', maxWidth: 900 }}>
        {loaded && rule(kitchen.data)} {t('pantry.checkYourLocalRulesLabelsLocalLaw')}
      </Box>
    </Page>
  );
}

/** What gluten-free means where these goods are sold. */
function rule(kitchen: Kitchen): string {
  const { name, words, unsaid, limitMgPerKg } = glutenLimitOf(kitchen);
  if (unsaid) return t('pantry.nobodySaidYetWhereTheseGoodsAre');
  return t('pantry.inNameGlutenFreeMeansWordsWith', { name, words, limitMgPer: limitMgPerKg });
}

const Rows = () => (
  <Box role="status" aria-busy="true" aria-label={t('pantry.loadingThePantry')}>
    {[0, 1, 2, 3, 4, 5].map((row) => (
      <Skeleton key={row} height={56} />
    ))}
  </Box>
);

/** The kitchen's own limit: as strict as it likes, never laxer than the law it names. */
function GlutenLimit({ limit }: { limit: number }) {
  const change = useKitchenChange();
  const [text, setText] = useState(String(limit));
  const value = Number(text.replace(',', '.'));
  const wrong = text.trim() === '' || !Number.isFinite(value) || value < 0 || value > 20;
  const set = () => {
    if (wrong || value === limit) return;
    // Not the callbacks of this field: it is drawn anew with its new limit before they would run.
    change.mutateAsync({ kind: 'glutenLimit', mgPerKg: value }).then(
      () => notify(t('pantry.youAcceptUpToValueMgKg', { value })),
      (error: Error) => notify(error.message, 'error'),
    );
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => (event.preventDefault(), set())}
      sx={{ display: 'flex', alignItems: 'center', gap: 1, fontSize: typeSize.small }}
    >
      <span>{t('pantry.youAcceptUpTo')}</span>
      <TextField
        size="small"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={wrong}
        helperText={wrong ? t('pantry.from0To20') : undefined}
        slotProps={{
          htmlInput: {
            'aria-label': t('pantry.glutenLimitMgKg'),
            inputMode: 'decimal',
            autoComplete: 'off',
            style: { width: 34, textAlign: 'right', fontWeight: 650 },
          },
        }}
      />
      <span>{'mg/kg'}</span>
      {!wrong && value !== limit && (
        <Button size="small" type="submit">
          {t('pantry.set')}
        </Button>
      )}
    </Box>
  );
}
