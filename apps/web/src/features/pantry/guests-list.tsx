import { useState } from 'react';
import { Note } from '../../ui/frame/note';
import { typeSize, under } from '../../ui/theme/theme';
import { FormEnd } from '../../ui/form/form-end';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { patched, suits, type Guest, type Kitchen } from '@north-leaf/core';
import { guestBodySchema, type PantryBook } from '@north-leaf/contracts';
import { Controller, useForm } from 'react-hook-form';
import { checkedBy } from '../../ui/form/checked-by';
import { useKitchenChange } from '../kitchen/doors';
import { notify } from '../../platform/notices';
import { t } from '../../platform/words';

/** For whom the kitchen bakes, and what they cannot have. A formula that names a guest keeps to it, row by row. */
export function GuestsList({ kitchen }: { book: PantryBook; kitchen: Kitchen }) {
  const [open, setOpen] = useState<Guest | null>(null);
  const { palette } = useTheme();
  const change = useKitchenChange();
  const guests = kitchen.guests ?? [];
  const store = (guest: Guest, said: string) => change.mutate({ kind: 'guest', guest }, { onSuccess: () => (setOpen(null), notify(said)) });
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8, [under.phone]: { gridTemplateColumns: '1fr' } }}>
      <Box>
        <Typography variant="h2">{t('pantry.guestsCustomersOrders')}</Typography>
        {guests.map((guest) => (
          <Box key={guest.id} sx={{ borderBottom: `1px solid ${palette.divider}`, py: 2, display: 'flex', gap: 3, alignItems: 'center' }}>
            <Box sx={{ flex: 1 }}>
              <Box sx={{ fontWeight: 680 }}>{guest.name}</Box>
              <Box sx={{ fontSize: typeSize.small }}>
                {guest.suits.map((id) => suits.values[id as keyof typeof suits.values]?.name ?? id).join(', ') || t('pantry.noLimitsYet')}
              </Box>
              {guest.note && <Note size="small">{guest.note}</Note>}
            </Box>
            <Button variant="outlined" size="small" onClick={() => setOpen(guest)}>
              {t('common.change')}
            </Button>
            <Button
              size="small"
              color="error"
              onClick={() =>
                change.mutate(
                  { kind: 'removeGuest', id: guest.id },
                  { onSuccess: () => notify(t('pantry.nameRemoved', { name: guest.name })) },
                )
              }
            >
              {t('common.remove')}
            </Button>
          </Box>
        ))}
        {guests.length === 0 && <Box sx={{ py: 5 }}>{t('pantry.whoeverCannotHaveSomethingBelongsHereA')}</Box>}
        <Button variant="contained" sx={{ mt: 3 }} onClick={() => setOpen({ id: crypto.randomUUID(), name: '', suits: [] })}>
          {t('pantry.addAGuest')}
        </Button>
      </Box>
      {open && <GuestForm key={open.id} guest={open} failed={change.error?.message} onStore={store} onClose={() => setOpen(null)} />}
    </Box>
  );
}

type FormProps = {
  readonly guest: Guest;
  readonly failed: string | undefined;
  readonly onStore: (guest: Guest, said: string) => void;
  readonly onClose: () => void;
};
function GuestForm({ guest, failed, onStore, onClose }: FormProps) {
  const { register, control, handleSubmit, formState } = useForm<GuestTexts>({
    defaultValues: { name: guest.name, note: guest.note ?? '', suits: guest.suits },
    resolver: checkedBy(guestBodySchema, (typed: GuestTexts) => guestOf(guest, typed), { name: t('pantry.giveItANameThursdayOrderWill') }),
  });
  const { errors } = formState;
  const store = handleSubmit((typed) => onStore(guestOf(guest, typed), t('pantry.guestStored', { name: typed.name.trim() })));
  return (
    <Box component="form" noValidate onSubmit={(event) => void store(event)} sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
      <Typography variant="h2">{t('pantry.whatTheyCannotHave')}</Typography>
      <TextField
        size="small"
        label={t('pantry.guestOrderOrLabel')}
        error={errors.name !== undefined}
        helperText={errors.name?.message}
        slotProps={{ htmlInput: { maxLength: 120 } }}
        {...register('name')}
      />
      <Controller control={control} name="suits" render={({ field }) => <SuitButtons held={field.value} onChange={field.onChange} />} />
      <TextField
        size="small"
        label={t('common.note')}
        error={errors.note !== undefined}
        helperText={errors.note?.message}
        slotProps={{ htmlInput: { maxLength: 500 } }}
        {...register('note')}
      />
      <Note>{t('pantry.lactoseFreeIsNotMilkFreeHoney')}</Note>
      <FormEnd failed={failed ?? errors.root?.message} onLeave={onClose} />
    </Box>
  );
}

type GuestTexts = { readonly name: string; readonly note: string; readonly suits: readonly string[] };
const guestOf = (guest: Guest, { name, note, suits: limits }: GuestTexts): Guest =>
  patched(guest, { name: name.trim(), suits: limits, note: note.trim() || undefined });

/** Limits, pressed or not. */
function SuitButtons({ held, onChange }: { readonly held: readonly string[]; readonly onChange: (held: readonly string[]) => void }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
      {Object.entries(suits.values).map(([id, { name }]) => {
        const on = held.includes(id);
        return (
          <Button
            key={id}
            size="small"
            variant={on ? 'contained' : 'outlined'}
            aria-pressed={on}
            onClick={() => onChange(on ? held.filter((one) => one !== id) : [...held, id])}
          >
            {name}
          </Button>
        );
      })}
    </Box>
  );
}
