import { useForm, useWatch } from 'react-hook-form';
import { crumbBodySchema } from '@north-leaf/contracts';
import { checkedBy } from '../../../ui/form/checked-by';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Note } from '../../../ui/frame/note';
import { request } from '../../../platform/http';
import { Choice } from '../../../ui/form/choice';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { formulaNamesQuery } from '../../formulas/doors';
import { pantryKeys } from '../api';
import { notify } from '../../../platform/notices';
import { pantrySteps } from '../pantry-undo';
import { t } from '../../../platform/words';

/** What a formula's newest version is once baked and ground, kept as an ingredient with everything that went into it. */
export function CrumbForm({ onClose }: { onClose: () => void }) {
  const formulas = useQuery(formulaNamesQuery);
  const client = useQueryClient();
  const { register, control, setValue, handleSubmit, formState } = useForm<{ formulaId: string; name: string }>({
    defaultValues: { formulaId: '', name: '' },
    resolver: checkedBy(crumbBodySchema, ({ name }) => ({ name: name.trim() }), { name: t('pantry.giveItAName2') }),
  });
  const formulaId = useWatch({ control, name: 'formulaId' });
  const { errors } = formState;
  const chosen = formulas.data?.find(({ id }) => id === formulaId);
  const make = useMutation({
    mutationFn: ({ id, version, called }: { id: string; version: number; called: string }) =>
      request('PUT /formulas/:id/versions/:version/crumb/:ingredientId', { id: formulaId, version, ingredientId: id }, { name: called }),
    onSuccess: async ({ id }, { called }) => {
      await client.invalidateQueries({ queryKey: pantryKeys.all });
      pantrySteps.push({ name: t('pantry.calledAdded', { called }), change: { kind: 'removeIngredient', id } });
      notify(t('pantry.calledAddedCtrlZTakesItBack', { called }));
      onClose();
    },
  });
  const store = handleSubmit(({ name }) => {
    if (chosen) make.mutate({ id: crypto.randomUUID(), version: chosen.version, called: name.trim() });
  });
  return (
    <SideSheet title={t('pantry.aCrumbOfABake')} onClose={onClose}>
      <Box component="form" noValidate onSubmit={(event) => void store(event)} sx={{ display: 'grid', gap: 3 }}>
        <Choice
          label={t('pantry.ofWhichFormula')}
          value={formulaId}
          options={(formulas.data ?? []).map(({ id, name: called, version }) => ({ value: id, name: `${called} v${version}` }))}
          onChange={(id) => {
            setValue('formulaId', id);
            setValue('name', t('pantry.crumbOf', { name: formulas.data?.find((one) => one.id === id)?.name ?? '' }));
          }}
          width={320}
        />
        <TextField
          size="small"
          label={t('common.name')}
          error={errors.name !== undefined}
          helperText={errors.name?.message}
          slotProps={{ htmlInput: { maxLength: 120 }, inputLabel: { shrink: true } }}
          {...register('name')}
        />
        <Note size="small">{t('pantry.itsDryMatterIsTheDoughsIts')}</Note>
        {(formulas.error ?? make.error) && <Alert severity="error">{(formulas.error ?? make.error)!.message}</Alert>}
        <Button type="submit" variant="contained" disabled={!chosen || make.isPending} sx={{ justifySelf: 'start' }}>
          {make.isPending ? t('common.storing') : t('common.store')}
        </Button>
      </Box>
    </SideSheet>
  );
}
