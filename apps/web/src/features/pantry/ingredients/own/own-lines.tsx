import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { ownIngredientFields, type WordField } from '@north-leaf/core';
import { t } from '../../../../platform/words';
import { shownAs } from '../../../../ui/form/typed-number';
import { typeSize } from '../../../../ui/theme/theme';
import { labelAllergens } from '../../words';
import { doings, numbers } from './own-ingredient-of-form';
import type { Entry } from './use-own-form';

const fieldOf = (key: string) => ownIngredientFields[key as keyof typeof ownIngredientFields] as unknown as WordField;
/** One number of the label. */
export function NumberLine({ path, entry }: { readonly path: string; readonly entry: Entry }) {
  const { form, set, problems } = entry;

  const field = numbers.get(path)!;
  const { unit } = shownAs(field);
  return (
    <TextField
      size="small"
      label={`${field.name}, ${unit}`}
      value={form.numbers[path]}
      onChange={(event) => set({ numbers: { ...form.numbers, [path]: event.target.value } })}
      error={problems[path] !== undefined}
      helperText={problems[path]}
      slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' }, inputLabel: { shrink: true } }}
    />
  );
}

/** One text of the label. */
export function TextLine({ member, entry }: { readonly member: string; readonly entry: Entry }) {
  const { form, set, problems } = entry;
  return (
    <TextField
      size="small"
      label={fieldOf(member).name}
      value={form.texts[member]}
      onChange={(event) => set({ texts: { ...form.texts, [member]: event.target.value } })}
      error={problems[member] !== undefined}
      helperText={problems[member]}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}

/** One choice. */
export function WordLine({ member, choosable, entry }: { readonly member: string; readonly choosable: boolean; readonly entry: Entry }) {
  const { form, set } = entry;

  const { name: label, words } = fieldOf(member);
  return (
    <TextField
      select
      size="small"
      label={label}
      value={form.words[member] ?? ''}
      onChange={(event) => set({ words: { ...form.words, [member]: event.target.value } })}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {choosable && <MenuItem value="">{t('pantry.notSaid')}</MenuItem>}
      {Object.entries(words).map(([word, said]) => (
        <MenuItem key={word} value={word}>
          {said}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** Which allergens the label names. */
export function AllergensHeld({ entry }: { readonly entry: Entry }) {
  const { form, set } = entry;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
      {labelAllergens.map(({ name: allergen, codes }) => {
        const on = codes.every((code) => form.allergens.includes(code));
        return (
          <Button
            key={allergen}
            size="small"
            variant={on ? 'contained' : 'outlined'}
            aria-pressed={on}
            onClick={() => set({ allergens: on ? form.allergens.filter((code) => !codes.includes(code)) : [...form.allergens, ...codes] })}
          >
            {allergen}
          </Button>
        );
      })}
    </Box>
  );
}

/** What it does, yes or no. */
export function Flags({ entry }: { readonly entry: Entry }) {
  const { form, set } = entry;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, 1fr)' }}>
      {doings.flags.map((key) => (
        <FormControlLabel
          key={key}
          control={
            <Checkbox
              size="small"
              checked={form.flags.includes(key)}
              onChange={(_, on) => set({ flags: on ? [...form.flags, key] : form.flags.filter((one) => one !== key) })}
            />
          }
          label={fieldOf(key).name}
          sx={{ '& .MuiFormControlLabel-label': { fontSize: typeSize.small } }}
        />
      ))}
    </Box>
  );
}
