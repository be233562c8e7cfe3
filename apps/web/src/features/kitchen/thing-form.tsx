import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import {
  kitchenThings,
  patched,
  type Field,
  type Fields,
  type KitchenList,
  type KitchenThings,
  type NumberField,
  type QuantityKind,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { useVoice } from '../../platform/preferences';
import { outside } from '../../ui/form/limits';
import { changedName } from '../../ui/words/change-words';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { FormEnd } from '../../ui/form/form-end';
import { QuantityField } from '../../ui/form/quantity-field';
import { useStoring } from '../../ui/form/use-storing';
import { SideSheet } from '../../ui/frame/side-sheet';
import { lists } from './words';
import { useDoInKitchen } from './use-kitchen';
import type { KitchenThing } from './api';
import { t } from '../../platform/words';
import type { Oven, Place, Tray, Pan, Cutter } from '@north-leaf/core';

/** What the form asks of each, in the order that it is described in; readings, hot spots and heating have places of their own. */
const askedOf = (list: KitchenList) =>
  Object.entries(kitchenThings[list] as Fields).filter(([key, { is }]) => key !== 'name' && ['number', 'word', 'yesNo'].includes(is));
/** A size or a warmth is typed in the baker's units, anything else as it is. */
const quantityOf = ({ unit }: NumberField): QuantityKind => (unit === 'mm' ? 'length' : unit === 'C' ? 'temperature' : 'percent');

export const emptyThing: { readonly [K in KitchenList]: Omit<KitchenThings[K], 'id'> } = {
  ovens: { name: '', kind: 'static', dialUnit: 'C', readings: [] },
  places: { name: '', kind: 'fridge', atC: 5 },
  trays: { name: '', count: 1, widthMm: 300, lengthMm: 400, material: 'aluminium' },
  pans: { name: '', count: 1, kind: 'plate', topMm: 230, bottomMm: 190, depthMm: 38, material: 'metalPan' },
  cutters: { name: '', kind: 'round', acrossMm: 60 },
};

type Props = {
  readonly list: KitchenList;
  readonly thing: KitchenThings[KitchenList];
  readonly isNew: boolean;
  readonly onClose: () => void;
};

/** One oven, place, tray, pan or cutter: what it is called and what the models need of it. */
export function ThingForm({ list, thing, isNew, onClose }: Props) {
  const entry = useThingForm(isNew, list, onClose, thing);
  const { one, store, name, setName, tried, missing, asked, values, setValues, failed, busy, remove } = entry;

  return (
    <SideSheet title={isNew ? t('kitchen.aNewOne', { one }) : thing.name} onClose={onClose}>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void store();
        }}
        sx={{ display: 'grid', gap: 2 }}
      >
        <TextField
          size="small"
          label={t('common.name')}
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={tried && missing}
          helperText={tried && missing ? t('kitchen.giveItTheNameItHasIn') : undefined}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        {asked.map(([key, field]) =>
          field.is === 'yesNo' ? (
            <FormControlLabel
              key={key}
              control={
                <Checkbox
                  checked={values[key] === true}
                  onChange={(_, on) => setValues((now) => patched(now, { [key]: on ? true : undefined }))}
                />
              }
              label={field.name}
            />
          ) : (
            <ThingField key={key} member={key} field={field} entry={entry} />
          ),
        )}
        <Box sx={{ pt: 3, display: 'grid', gap: 2 }}>
          <FormEnd failed={failed} busy={busy} onLeave={onClose} onRemove={isNew ? undefined : () => void remove()} />
          {!isNew && list !== 'pans' && list !== 'cutters' && <Note>{t('kitchen.aFormulaThatNamesARemovedOne', { one })}</Note>}
        </Box>
      </Box>
    </SideSheet>
  );
}

/** A thing of the kitchen as it is typed, and its way into the kitchen and out of it. */
function useThingForm(isNew: boolean, list: KitchenList, onClose: () => void, thing: Oven | Place | Tray | Pan | Cutter) {
  const voice = useVoice();
  const act = useDoInKitchen();
  const [name, setName] = useState(thing.name);
  const [values, setValues] = useState<Readonly<Record<string, unknown>>>(thing as unknown as Record<string, unknown>);
  const [tried, setTried] = useState(false);
  const [unread, setUnread] = useState<ReadonlySet<string>>(new Set());
  const { failed, busy, run } = useStoring(onClose);
  const { one } = lists[list];
  const set = (key: string, value: unknown) => setValues((now) => ({ ...now, [key]: value }));
  const wrongOf = (key: string, field: Field): string | undefined => {
    const value = values[key] as number | undefined;
    if (field.is !== 'number' || value === undefined) return undefined;
    if (field.whole && !Number.isInteger(value)) return t('kitchen.mustBeAWholeNumber');
    const least = field.atLeast === undefined ? field.low : Math.max(field.low, values[field.atLeast] as number);
    const kind = quantityOf(field);
    if (kind !== 'percent') return outside(value, least, field.high, kind, voice);
    return value < least || value > field.high
      ? t('kitchen.mustBeFromLeastToHighUnit', { least, high: field.high, unit: field.unit }).trim()
      : undefined;
  };
  const asked = askedOf(list).filter(([, field]) => field.is !== 'number' || field.ofKind === undefined || field.ofKind === values['kind']);
  const wrong = asked.some(([key, field]) => wrongOf(key, field) !== undefined) || unread.size > 0;
  const missing = name.trim() === '';

  const store = async () => {
    setTried(true);
    if (missing || wrong) return;
    const stored = { ...values, name: name.trim() };
    const words = isNew
      ? t('common.nameAdded', { name: stored.name })
      : changedName(stored.name, kitchenThings[list] as Fields, [thing, stored]);
    await run(() => act(words, { kind: 'thing', list, thing: stored } as unknown as { kind: 'thing' } & KitchenThing));
  };
  const remove = () => run(() => act(t('common.nameRemoved', { name: thing.name }), { kind: 'removeThing', list, id: thing.id }));
  return { one, store, name, setName, tried, missing, asked, values, setValues, set, setUnread, wrongOf, failed, busy, remove };
}

type Entry = ReturnType<typeof useThingForm>;

/** One field, by what it is. */
function ThingField({ member, field, entry }: { readonly member: string; readonly field: Field; readonly entry: Entry }) {
  const { values, set, setUnread, wrongOf } = entry;
  return (
    <FieldRow label={field.is === 'number' && field.unit.startsWith('W') ? `${field.name}, ${field.unit}` : field.name}>
      {field.is === 'word' ? (
        <Choice
          label={field.name!}
          value={values[member] as string}
          onChange={(value) => set(member, value)}
          options={Object.entries(field.words).map(([value, word]) => ({ value, name: word }))}
          width={230}
        />
      ) : field.is === 'number' && field.without && values[member] === undefined ? (
        <Button size="small" onClick={() => set(member, field.usual ?? field.low)} aria-label={t('kitchen.setName', { name: field.name })}>
          {field.without}
        </Button>
      ) : field.is === 'number' ? (
        <QuantityField
          label={field.name!}
          kind={quantityOf(field)}
          value={values[member] as number}
          onChange={(value) => set(member, value)}
          onTyped={(text) =>
            setUnread((now) => {
              const next = new Set(now);
              if (text === null) next.delete(member);
              else next.add(member);
              return next;
            })
          }
          problem={wrongOf(member, field)}
          hideUnit={quantityOf(field) === 'percent'}
        />
      ) : null}
    </FieldRow>
  );
}
