import { lazy, Suspense, useState } from 'react';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { ErrorPage } from '../../platform/error-page';
import { Page } from '../../ui/page';
import { PlaceTabs } from '../../ui/place-tabs';
import { kitchenQuery, useKitchenChange } from '../kitchen/api';
import { pantryQuery, pantryTabs } from './api';
import { notify } from '../../platform/notices';
import { usePantryUndoKey } from './use-pantry';

const faces = {
  lots: lazy(async () => ({ default: (await import('./lots-list')).LotsList })),
  ingredients: lazy(async () => ({ default: (await import('./ingredients-list')).IngredientsList })),
  preparations: lazy(async () => ({ default: (await import('./preparations-list')).PreparationsList })),
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
      title="Pantry"
      beside={loaded ? `${Object.keys(pantry.data.ingredients).length} ingredients · ${Object.keys(pantry.data.lots).length} lots` : ' '}
      actions={
        <>
          {loaded && <GlutenLimit key={kitchen.data.glutenLimitMgPerKg} limit={kitchen.data.glutenLimitMgPerKg} />}
          <IconButton size="small" aria-label="Undo" disabled={!undoable} onClick={undo} title="Undo (Ctrl Z)">
            <UndoIcon fontSize="small" />
          </IconButton>
          <PlaceTabs label="Pantry" tabs={pantryTabs} />
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
      <Box sx={{ pt: 4, fontSize: 12.5, color: 'text.secondary', maxWidth: 900 }}>
        Gluten-free means at most 20 mg/kg as sold (Codex CXS 118-1979; US 21 CFR 101.91; Reg. (EU) 828/2014). Australia and New Zealand ask
        for none detectable and no oats. Check your local rules: labels, local law and licensed practice always win over this page.
      </Box>
    </Page>
  );
}

const Rows = () => (
  <Box aria-busy="true" aria-label="Loading the pantry">
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
      () => notify(`You accept up to ${value} mg/kg.`),
      (error: Error) => notify(error.message, 'error'),
    );
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => (event.preventDefault(), set())}
      sx={{ display: 'flex', alignItems: 'center', gap: 1, fontSize: 13.5 }}
    >
      <span>you accept up to</span>
      <TextField
        size="small"
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={wrong}
        helperText={wrong ? 'from 0 to 20' : undefined}
        slotProps={{
          htmlInput: {
            'aria-label': 'Gluten limit, mg/kg',
            inputMode: 'decimal',
            autoComplete: 'off',
            style: { width: 34, textAlign: 'right', fontWeight: 650 },
          },
        }}
      />
      <span>mg/kg</span>
      {!wrong && value !== limit && (
        <Button size="small" type="submit">
          Set
        </Button>
      )}
    </Box>
  );
}
