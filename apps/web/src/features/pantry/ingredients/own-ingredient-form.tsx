import { useState } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSuspenseQuery } from '@tanstack/react-query';
import {
  doesWords,
  isExcluded,
  keysOf,
  ownIngredientFields,
  suits,
  type Ingredient,
  type OwnIngredient,
  type SuitId,
  type WordField,
  type Fields,
} from '@north-leaf/core';
import { typeSize, under } from '../../../ui/theme/theme';
import { ApiError } from '../../../platform/http';
import { changedName } from '../../../ui/words/change-words';
import { FormEnd } from '../../../ui/form/form-end';
import { SearchField } from '../../../ui/form/search-field';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { shownAs } from '../../../ui/form/typed-number';
import { ingredientOptions, pantryQuery } from '../api';
import {
  asOwn,
  behaviour,
  chief,
  doings,
  formOf,
  likeness,
  limits,
  furtherParts,
  numbers,
  ownOfForm,
  panel,
  type OwnForm,
} from './own-ingredient-of-form';
import { labelAllergens } from '../words';
import { useDoInPantry } from '../use-pantry';
import { t } from '../../../platform/words';
import type { Lot, Preparation } from '@north-leaf/core';
import type { Revisions } from '@north-leaf/contracts';
import type { Dispatch, SetStateAction } from 'react';

/** An ingredient that no table has, from its label. What the label leaves open makes up the whole as starch. */
type Props = {
  readonly onClose: () => void;
  /** As it was written in a list. */ readonly name?: string;
  /** One of our own that is changed. */ readonly stored?: Ingredient;
  readonly onStored?: (id: string) => void;
};
const fieldOf = (key: string) => ownIngredientFields[key as keyof typeof ownIngredientFields] as unknown as WordField;

export function OwnIngredientForm({ onClose, name = '', stored, onStored }: Props) {
  const entry = useOwnForm(name, onClose, onStored, stored);
  const { store, form, set, problems, book, id, behaveLike, like, setMore, more, moreSaid, busy } = entry;

  return (
    <SideSheet title={stored ? stored.name : t('pantry.anIngredientOfOurOwn')} onClose={onClose}>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void store();
        }}
        sx={{ display: 'grid', gap: 3 }}
      >
        <TextField
          size="small"
          label={t('common.name')}
          value={form.name}
          onChange={(event) => set({ name: event.target.value })}
          error={problems['name'] !== undefined}
          helperText={problems['name']}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Likeness behaveLike={behaveLike} book={book} id={id} like={like} />
        <Typography variant="h2">{t('pantry.allergensOnTheLabel')}</Typography>
        <FormControlLabel
          control={<Checkbox checked={form.labelRead} onChange={(_, labelRead) => set({ labelRead })} />}
          label={t('pantry.iHaveReadItsLabelWhatIs')}
        />
        {!form.labelRead && <Box sx={{ fontSize: typeSize.caption, color: 'warning.main' }}>{t('pantry.untilItsLabelWasReadItMay')}</Box>}
        <AllergensHeld entry={entry} />
        <Box sx={{ ...pairs, '& > :last-child': { gridColumn: '1 / -1' } }}>
          {chief.map((key) => (
            <WordLine key={key} member={key} choosable={false} entry={entry} />
          ))}
        </Box>
        <Typography variant="h2">{t('pantry.in100GFromTheLabel')}</Typography>
        <Box sx={columns}>
          {panel.map((path) => (
            <NumberLine key={path} path={path} entry={entry} />
          ))}
        </Box>
        <Box sx={quiet}>{t('pantry.whatIsLeftOpenTo100G')}</Box>
        <Typography variant="h2">{t('pantry.howItBehavesWhereYouKnowIt')}</Typography>
        <Box sx={columns}>
          {behaviour.map((path) => (
            <NumberLine key={path} path={path} entry={entry} />
          ))}
        </Box>
        <Does entry={entry} />
        <Unsuited entry={entry} />
        <FormControlLabel
          control={<Checkbox checked={form.unsuitedSaid} onChange={(_, unsuitedSaid) => set({ unsuitedSaid })} />}
          label={t('pantry.nothingBesidesNoMaizeRiceCoconutPotato')}
        />
        <Button onClick={() => setMore(!more)} aria-expanded={more} sx={{ justifySelf: 'start' }}>
          {more
            ? t('common.less')
            : t('pantry.moreThatMayBeKnownLeavensSets', { word: moreSaid === 0 ? '' : t('pantry.moresaidSaid', { moreSaid }) })}
        </Button>
        {more && <Further entry={entry} />}
        <FormEnd
          failed={problems['root'] ?? (Object.keys(problems).length > 0 ? t('pantry.somethingAboveIsNotRightYet') : undefined)}
          busy={busy}
          onLeave={onClose}
        />
      </Box>
    </SideSheet>
  );
}

/** What it does in a dough. */
function Does({ entry }: { readonly entry: Entry }) {
  const { form, set } = entry;
  return (
    <Autocomplete
      multiple
      size="small"
      options={keysOf(doesWords)}
      getOptionLabel={(act) => doesWords[act]}
      value={[...form.does]}
      onChange={(_, does) => set({ does })}
      renderInput={(params) => <TextField {...params} label={t('pantry.whatItDoes')} />}
    />
  );
}

/** What it does not suit, beside its allergens. */
function Unsuited({ entry }: { readonly entry: Entry }) {
  const { form, set } = entry;
  return (
    <Autocomplete
      multiple
      size="small"
      options={limits}
      getOptionLabel={(suit) => suits.values[suit].name}
      value={form.unsuited.filter((mark): mark is SuitId => mark in suits.values)}
      onChange={(_, chosen) => set({ unsuited: [...form.unsuited.filter((mark) => !(mark in suits.values)), ...chosen] })}
      renderInput={(params) => <TextField {...params} label={t('pantry.doesNotSuitBesideItsAllergens')} />}
    />
  );
}

/** What is seldom known, folded away. */
function Further({
  entry,
}: {
  readonly entry: {
    form: OwnForm;
    set: (patch: Partial<OwnForm>) => void;
    problems: Readonly<Record<string, string>>;
    store: () => Promise<void>;
    book: {
      ingredients: { [x: string]: Ingredient };
      lots: Readonly<Record<string, Lot>>;
      on: string;
      preparations: readonly Preparation[];
      revisions: { readonly lots: Revisions; readonly ingredients: Revisions; readonly preparations: Revisions };
      broken: Readonly<Record<string, string>>;
    };
    id: string;
    behaveLike: (twinId: string) => void;
    like: string | null;
    setMore: Dispatch<SetStateAction<boolean>>;
    more: boolean;
    moreSaid: number;
    busy: boolean;
  };
}) {
  return (
    <>
      <Box sx={pairs}>
        {doings.words.map((key) => (
          <WordLine key={key} member={key} choosable entry={entry} />
        ))}
        {doings.numbers.map((path) => (
          <NumberLine key={path} path={path} entry={entry} />
        ))}
      </Box>
      <Flags entry={entry} />
      <Typography variant="h2">{t('pantry.furtherOnTheLabelIn100G')}</Typography>
      <Box sx={pairs}>
        {furtherParts.map((path) => (
          <NumberLine key={path} path={path} entry={entry} />
        ))}
      </Box>
      <Box sx={pairs}>
        {doings.texts.map((key) => (
          <TextLine key={key} member={key} entry={entry} />
        ))}
      </Box>
    </>
  );
}

/** Like which published ingredient it behaves. */
function Likeness({
  behaveLike,
  book,
  id,
  like,
}: {
  readonly behaveLike: (twinId: string) => void;
  readonly book: {
    ingredients: { [x: string]: Ingredient };
    lots: Readonly<Record<string, Lot>>;
    on: string;
    preparations: readonly Preparation[];
    revisions: { readonly lots: Revisions; readonly ingredients: Revisions; readonly preparations: Revisions };
    broken: Readonly<Record<string, string>>;
  };
  readonly id: string;
  readonly like: string | null;
}) {
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <SearchField
        label={t('pantry.behavesLike')}
        placeholder={t('pantry.behavesLikeFillsInTheRest')}
        find={ingredientOptions(book.ingredients, (one) => !isExcluded(one) && one.id !== id)}
        onChoose={behaveLike}
      />
      <Box sx={quiet}>{like ? t('pantry.filledInFromLikeCorrectWhatYour', { like }) : t('pantry.fillsInWhatItDoesAndWhat')}</Box>
    </Box>
  );
}

/** An ingredient of one's own as it is typed, likened to another, and stored. */
function useOwnForm(name: string, onClose: () => void, onStored: ((id: string) => void) | undefined, stored: Ingredient | undefined) {
  const act = useDoInPantry();
  const { data: book } = useSuspenseQuery(pantryQuery);
  const [id] = useState(() => stored?.id ?? crypto.randomUUID());
  const [base, setBase] = useState<Partial<OwnIngredient>>(() => (stored && asOwn(stored)) ?? {});
  const [form, setForm] = useState<OwnForm>(() => formOf(stored ?? { name }));
  const [like, setLike] = useState<string | null>(null);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [busy, setBusy] = useState(false);
  const [more, setMore] = useState(false);
  const set = (patch: Partial<OwnForm>) => setForm((now) => ({ ...now, ...patch }));

  const behaveLike = (twinId: string) => {
    const twin = book.ingredients[twinId]!;
    setBase(likeness(twin));
    setLike(twin.name);
    setForm((now) => ({
      ...formOf(likeness(twin) as Partial<Ingredient>),
      name: now.name,
      allergens: now.allergens,
      labelRead: now.labelRead,
    }));
  };
  const store = async () => {
    const read = ownOfForm(form, base);
    setProblems(read.ok ? {} : read.problems);
    // What is wrong is never folded away.
    if (!read.ok && Object.keys(read.problems).some((path) => doings.numbers.includes(path) || furtherParts.includes(path))) setMore(true);
    if (!read.ok) return;
    setBusy(true);
    try {
      const revision = book.revisions.ingredients[id] ?? 0;
      await act(
        stored
          ? changedName(stored.name, ownIngredientFields as Fields, [stored, read.ingredient])
          : t('common.nameAdded', { name: read.ingredient.name }),
        { kind: 'own', id, ingredient: read.ingredient, revision },
      );
      onStored?.(id);
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      const told = Object.fromEntries((error.problems ?? []).map(({ path, message }) => [path.replace(/^ingredient\./, ''), message]));
      setProblems({ ...told, root: error.message });
    } finally {
      setBusy(false);
    }
  };

  const moreSaid =
    form.flags.length +
    [...doings.words.map((key) => form.words[key]), ...doings.texts.map((key) => form.texts[key])].filter(Boolean).length +
    [...doings.numbers, ...furtherParts].filter((path) => form.numbers[path] !== '').length;
  return { form, set, problems, store, book, id, behaveLike, like, setMore, more, moreSaid, busy };
}

type Entry = ReturnType<typeof useOwnForm>;

/** One number of the label. */
function NumberLine({ path, entry }: { readonly path: string; readonly entry: Entry }) {
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
function TextLine({ member, entry }: { readonly member: string; readonly entry: Entry }) {
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
function WordLine({ member, choosable, entry }: { readonly member: string; readonly choosable: boolean; readonly entry: Entry }) {
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
function AllergensHeld({ entry }: { readonly entry: Entry }) {
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
function Flags({ entry }: { readonly entry: Entry }) {
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

const quiet = { fontSize: typeSize.caption, color: 'text.secondary' } as const;
const pairs = { display: 'grid', gridTemplateColumns: 'repeat(2, 1fr)', gap: 3, alignItems: 'start' } as const;
const columns = {
  display: 'grid',
  gridTemplateColumns: 'repeat(3, 1fr)',
  gap: 3,
  alignItems: 'start',
  [under.slim]: { gridTemplateColumns: '1fr 1fr' },
} as const;
