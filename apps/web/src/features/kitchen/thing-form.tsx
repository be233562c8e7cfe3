import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { QuantityKind } from '@north-leaf/core';
import type { KitchenList, KitchenThings } from '@north-leaf/contracts';
import { Choice } from '../../ui/choice';
import { FieldRow } from '../../ui/field-row';
import { FormEnd } from '../../ui/form-end';
import { QuantityField } from '../../ui/quantity-field';
import { SideSheet } from '../../ui/side-sheet';
import { ovenKinds } from '../../ui/words';
import { cutterKindNames, dialUnits, lists, materials, panKindNames, placeKinds } from './words';
import { useDoInKitchen } from './use-kitchen';
import type { KitchenThing } from './api';

type NumberField = {
  readonly key: string;
  readonly label: string;
  readonly of: 'number';
  readonly kind: QuantityKind;
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  readonly plain?: boolean;
  /** May be left out: what is taken then. */ readonly usual?: string;
  /** Asked only of things of this kind. */ readonly ofKind?: string;
};
type Field =
  | { readonly key: string; readonly label: string; readonly of: 'choice'; readonly options: Readonly<Record<string, string>> }
  | { readonly key: string; readonly label: string; readonly of: 'flag' }
  | NumberField;

const size = (key: string, label: string): NumberField => ({ key, label, of: 'number', kind: 'length', low: 20, high: 2000, unit: 'mm' });
const count: Field = { key: 'count', label: 'How many', of: 'number', kind: 'percent', low: 1, high: 500, unit: '', plain: true };
const material: Field = { key: 'material', label: 'Made of', of: 'choice', options: materials };

const fields: Readonly<Record<KitchenList, readonly Field[]>> = {
  ovens: [
    { key: 'kind', label: 'Heat', of: 'choice', options: ovenKinds },
    { key: 'dialUnit', label: 'Dial in', of: 'choice', options: dialUnits },
  ],
  places: [
    { key: 'kind', label: 'Kind', of: 'choice', options: placeKinds },
    { key: 'atC', label: 'Temperature', of: 'number', kind: 'temperature', low: -40, high: 60, unit: '°C' },
    { key: 'fan', label: 'A fan moves its air', of: 'flag' },
    { key: 'onTray', label: 'On a tray that waits in it, cold', of: 'flag' },
    {
      key: 'wPerM2K',
      label: 'Heat it takes on a face, W/m² K',
      of: 'number',
      kind: 'percent',
      low: 2,
      high: 80,
      unit: 'W/m² K',
      plain: true,
      usual: 'as its kind',
    },
  ],
  trays: [count, size('widthMm', 'Width'), size('lengthMm', 'Length'), material],
  pans: [
    count,
    { key: 'kind', label: 'Form', of: 'choice', options: panKindNames },
    size('topMm', 'Across the top'),
    size('bottomMm', 'Across the bottom'),
    { ...size('lengthMm', 'Length, where it is long'), usual: 'as wide' },
    { key: 'depthMm', label: 'Depth', of: 'number', kind: 'length', low: 3, high: 300, unit: 'mm' },
    { key: 'rimMm', label: 'Flat rim', of: 'number', kind: 'length', low: 0, high: 60, unit: 'mm', usual: 'none' },
    { key: 'cups', label: 'Cups in one tin', of: 'number', kind: 'percent', low: 1, high: 60, unit: '', plain: true, usual: 'one' },
    material,
  ],
  cutters: [
    { key: 'kind', label: 'Form', of: 'choice', options: cutterKindNames },
    { ...size('acrossMm', 'Across'), low: 5, high: 600 },
    { ...size('lengthMm', 'Length, where it is long'), low: 5, high: 600, usual: 'as wide', ofKind: 'rectangle' },
  ],
};

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
  const act = useDoInKitchen();
  const [name, setName] = useState(thing.name);
  const [values, setValues] = useState<Readonly<Record<string, unknown>>>(thing as unknown as Record<string, unknown>);
  const [tried, setTried] = useState(false);
  const [unread, setUnread] = useState<ReadonlySet<string>>(new Set());
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const { one } = lists[list];
  const set = (key: string, value: unknown) => setValues((now) => ({ ...now, [key]: value }));
  const wrongOf = (field: Field): string | undefined => {
    if (field.of !== 'number') return undefined;
    const value = values[field.key] as number | undefined;
    if (value === undefined) return undefined;
    if (field.plain && !field.usual && !Number.isInteger(value)) return 'must be a whole number';
    return value < field.low || value > field.high ? `must be from ${field.low} to ${field.high} ${field.unit}`.trim() : undefined;
  };
  const asked = fields[list].filter((field) => field.of !== 'number' || field.ofKind === undefined || field.ofKind === values['kind']);
  const wrong = asked.some((field) => wrongOf(field) !== undefined) || unread.size > 0;
  const missing = name.trim() === '';

  const store = async () => {
    setTried(true);
    if (missing || wrong) return;
    setBusy(true);
    try {
      const stored = { ...values, name: name.trim() };
      await act(isNew ? `${name.trim()} added` : `${name.trim()} changed`, {
        kind: 'thing',
        list,
        thing: stored,
      } as unknown as { kind: 'thing' } & KitchenThing);
      onClose();
    } catch (error) {
      setFailed((error as Error).message);
    }
    setBusy(false);
  };
  const remove = async () => {
    try {
      await act(`${thing.name} removed`, { kind: 'removeThing', list, id: thing.id });
      onClose();
    } catch (error) {
      setFailed((error as Error).message);
    }
  };

  return (
    <SideSheet title={isNew ? `A new ${one}` : thing.name} onClose={onClose}>
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
          label="Name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={tried && missing}
          helperText={tried && missing ? 'Give it the name it has in the kitchen' : undefined}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        {asked.map((field) =>
          field.of === 'flag' ? (
            <FormControlLabel
              key={field.key}
              control={
                <Checkbox
                  checked={values[field.key] === true}
                  onChange={(_, on) => setValues(({ [field.key]: _was, ...rest }) => (on ? { ...rest, [field.key]: true } : rest))}
                />
              }
              label={field.label}
            />
          ) : (
            <FieldRow key={field.key} label={field.label}>
              {field.of === 'choice' ? (
                <Choice
                  label={field.label}
                  value={values[field.key] as string}
                  onChange={(value) => set(field.key, value)}
                  options={Object.entries(field.options).map(([value, word]) => ({ value, name: word }))}
                  width={230}
                />
              ) : field.usual && values[field.key] === undefined ? (
                <Button size="small" onClick={() => set(field.key, field.low < 9 ? 9 : field.low)} aria-label={`Set ${field.label}`}>
                  {field.usual}
                </Button>
              ) : (
                <QuantityField
                  label={field.label}
                  kind={field.kind}
                  value={values[field.key] as number}
                  onChange={(value) => set(field.key, value)}
                  onTyped={(text) =>
                    setUnread((now) => {
                      const next = new Set(now);
                      if (text === null) next.delete(field.key);
                      else next.add(field.key);
                      return next;
                    })
                  }
                  problem={wrongOf(field)}
                  hideUnit={field.plain ?? false}
                />
              )}
            </FieldRow>
          ),
        )}
        <Box sx={{ pt: 3, display: 'grid', gap: 2 }}>
          <FormEnd failed={failed} busy={busy} onLeave={onClose} onRemove={isNew ? undefined : () => void remove()} />
          {!isNew && list !== 'pans' && list !== 'cutters' && (
            <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
              A formula that names a removed {one} says so and waits until you choose another.
            </Box>
          )}
        </Box>
      </Box>
    </SideSheet>
  );
}
