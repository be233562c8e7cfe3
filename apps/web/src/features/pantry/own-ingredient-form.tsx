import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Controller, useForm } from 'react-hook-form';
import { ingredientKinds, origins, type IngredientKind, type Origin } from '@north-leaf/core';
import { ApiError } from '../../platform/http';
import { FormEnd } from '../../ui/form-end';
import { SideSheet } from '../../ui/side-sheet';
import { numberOf } from './lot-of-form';
import { kindWords, labelAllergens, originWords } from './words';
import { useDoInPantry } from './use-pantry';

const parts = [
  ['waterShare', 'Water'],
  ['proteinShare', 'Protein'],
  ['fatShare', 'Fat'],
  ['saturatedFatShare', 'of it saturated'],
  ['sugarsShare', 'Sugars'],
  ['starchShare', 'Starch'],
  ['fibreShare', 'Fibre'],
  ['ashShare', 'Ash'],
  ['otherShare', 'Other'],
] as const;
const known = [
  ['spoonedCupG', 'Spooned cup, g', 1 / 236.588, 'spoonedGPerMl'],
  ['pieceG', 'One piece, g', 1, 'pieceG'],
  ['waterHoldGPerG', 'Water hold, g/g', 1, 'waterHoldGPerG'],
  ['setsAtC', 'Starch sets from, °C', 1, 'setsAtC'],
  ['xanthanPerG', 'Binds like xanthan, g/g', 1, 'xanthanPerG'],
  ['grit', 'Grit, 0 to 3', 1, 'grit'],
  ['flavour', 'Flavour, 0 to 3', 1, 'flavour'],
] as const;
type Form = { name: string; kind: IngredientKind; origin: Origin; gluten: 'free' | 'needsProof'; sodiumMg: string } & Record<
  string,
  string
>;

/** An ingredient that no table has, from its label. What the label leaves open makes up the whole as starch. */
type Props = {
  readonly onClose: () => void;
  /** As it was written in a list. */ readonly name?: string;
  readonly onStored?: (id: string) => void;
};
export function OwnIngredientForm({ onClose, name = '', onStored }: Props) {
  const act = useDoInPantry();
  const [allergens, setAllergens] = useState<readonly string[]>([]);
  const [labelRead, setLabelRead] = useState(false);
  const [id] = useState(() => crypto.randomUUID());
  const { register, control, handleSubmit, setError, formState } = useForm<Form>({
    defaultValues: { name, kind: 'flour_grain', origin: 'plant', gluten: 'needsProof', sodiumMg: '' } as Form,
  });
  const { errors, isSubmitting } = formState;
  const number = (high: number) => (text: string | undefined) => {
    if (!text || text.trim() === '') return true;
    const value = numberOf(text, '');
    if (value === undefined) return `“${text}” is not a number`;
    return (value >= 0 && value <= high) || `from 0 to ${high}`;
  };
  const store = handleSubmit(async (form) => {
    const read = (name: string) => numberOf(form[name] ?? '', '') ?? 0;
    const given = Object.fromEntries(parts.map(([part]) => [part, read(part) / 100])) as Record<(typeof parts)[number][0], number>;
    const { saturatedFatShare, ...whole } = given;
    const sum = Object.values(whole).reduce((total, share) => total + share, 0);
    if (sum > 1.02) return setError('root', { message: `The parts sum to ${(sum * 100).toFixed(1)} g in 100 g: at most 100.` });
    if (sum === 0) return setError('root', { message: 'Give at least one part: the panel on the label has them.' });
    const composition = {
      ...whole,
      saturatedFatShare,
      starchShare: whole.starchShare + Math.max(0, 1 - sum),
      sodiumShare: read('sodiumMg') / 100000,
    };
    const more = Object.fromEntries(
      known.flatMap(([name, , times, field]) => {
        const value = numberOf(form[name] ?? '', '');
        return value === undefined ? [] : [[field, value * times]];
      }),
    );
    try {
      const ingredient = {
        name: form.name.trim(),
        kind: form.kind,
        origin: form.origin,
        gluten: form.gluten,
        composition,
        allergens: [...allergens],
        labelRead,
        ...more,
      };
      await act(`${ingredient.name} added`, { kind: 'own', id, ingredient, revision: 0 });
      onStored?.(id);
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setError('root', { message: error.message });
    }
  });
  const field = (name: string, label: string, high: number) => (
    <TextField
      key={name}
      size="small"
      label={label}
      error={errors[name] !== undefined}
      helperText={errors[name]?.message as string | undefined}
      slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
      {...register(name, { validate: number(high) })}
    />
  );
  const choice = <K extends 'kind' | 'origin' | 'gluten'>(name: K, label: string, options: readonly (readonly [string, string])[]) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange } }) => (
        <TextField select size="small" label={label} value={value} onChange={onChange}>
          {options.map(([id, word]) => (
            <MenuItem key={id} value={id}>
              {word}
            </MenuItem>
          ))}
        </TextField>
      )}
    />
  );
  return (
    <SideSheet title="An ingredient of our own" onClose={onClose}>
      <Box component="form" noValidate onSubmit={(event) => void store(event)} sx={{ display: 'grid', gap: 3 }}>
        <TextField
          size="small"
          label="Name"
          error={errors.name !== undefined}
          helperText={errors.name?.message}
          {...register('name', {
            validate: (text) => text.trim() !== '' || 'Give it a name',
            maxLength: { value: 120, message: 'at most 120 letters' },
          })}
        />
        <Typography variant="h2">Allergens on the label</Typography>
        <FormControlLabel
          control={<Checkbox checked={labelRead} onChange={(_, checked) => setLabelRead(checked)} />}
          label="I have read its label; what is not marked here is not in it"
        />
        {!labelRead && (
          <Box sx={{ fontSize: 12.5, color: 'warning.main' }}>
            Until its label was read it may hold anything: no guest’s limit counts as met.
          </Box>
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
          {labelAllergens.map(({ name, codes }) => {
            const on = codes.every((code) => allergens.includes(code));
            return (
              <Button
                key={name}
                size="small"
                variant={on ? 'contained' : 'outlined'}
                aria-pressed={on}
                onClick={() => setAllergens(on ? allergens.filter((code) => !codes.includes(code)) : [...allergens, ...codes])}
              >
                {name}
              </Button>
            );
          })}
        </Box>
        <Box sx={columns}>
          {choice(
            'kind',
            'What it is',
            ingredientKinds.filter((kind) => kind !== 'excluded').map((kind) => [kind, kindWords[kind]]),
          )}
          {choice(
            'origin',
            'It comes from',
            origins.map((origin) => [origin, originWords[origin]]),
          )}
          {choice('gluten', 'Gluten', [
            ['needsProof', 'needs a report for every lot'],
            ['free', 'no grain can be in it'],
          ])}
        </Box>
        <Typography variant="h2">In 100 g, from the label</Typography>
        <Box sx={columns}>
          {parts.map(([name, label]) => field(name, `${label}, g`, 100))}
          {field('sodiumMg', 'Sodium, mg', 100000)}
        </Box>
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>What is left open to 100 g counts as starch.</Box>
        <Typography variant="h2">How it behaves, where you know it</Typography>
        <Box sx={columns}>
          {known.map(([name, label]) => field(name, label, name === 'pieceG' ? 10000 : name === 'spoonedCupG' ? 700 : 110))}
        </Box>
        <FormEnd failed={errors.root?.message} busy={isSubmitting} onLeave={onClose} />
      </Box>
    </SideSheet>
  );
}

const columns = {
  display: 'grid',
  gridTemplateColumns: 'repeat(3, 1fr)',
  gap: 3,
  alignItems: 'start',
  '@media (max-width: 479px)': { gridTemplateColumns: '1fr 1fr' },
} as const;
