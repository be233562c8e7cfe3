import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  correctableFields,
  doesWhat,
  suitability,
  suits,
  type Correction,
  type Ingredient,
  type IngredientChange,
  type SuitId,
  kindWords,
  basisWords,
  originWords,
  ingredientFields,
  valueIn,
  withCorrections,
  type Fields,
  publishedIngredients,
  replyTo,
} from '@north-leaf/core';
import type { PantryBook } from '@north-leaf/contracts';
import { Note, Wrong } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { changedName } from '../../../ui/words/change-words';
import { Choice } from '../../../ui/form/choice';
import { readTyped, shownAs, textOf } from '../../../ui/form/typed-number';
import { useStoring } from '../../../ui/form/use-storing';
import { SideSheet } from '../../../ui/frame/side-sheet';
import { allergenWords, labelAllergens } from '../words';
import { Papers } from '../papers';
import { OwnIngredientForm } from './own/own-ingredient-form';
import { useDoInPantry } from '../use-pantry';
import { t } from '../../../platform/words';

const sources = ['label', 'measured'] as const;

type Typed = { readonly text: string; readonly basis: (typeof sources)[number] };

/** All that is known of one ingredient, each value with where it comes from; any of it can be corrected from a label in hand. */
export function IngredientSheet({ book, ingredient, onClose }: { book: PantryBook; ingredient: Ingredient; onClose: () => void }) {
  const entry = useCorrections(book, ingredient, onClose);
  const { failed, held, changing, corrected, own, made, lactoseFree, setLactoseFree, source, setSource, users, problems } = entry;

  const { sure, may } = allergenWords(held);
  if (changing) return <OwnIngredientForm stored={ingredient} onClose={onClose} />;
  return (
    <SideSheet title={ingredient.name} onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 3 }}>
        <Note size="small">
          {t('pantry.kindwordsOfOriginwordsIngredient', {
            kindWords: kindWords[ingredient.kind],
            originWords: originWords[ingredient.origin],
            ingredient: doesWhat(ingredient).join(', ') || t('pantry.noRoleOfItsOwn'),
          })}
          <Box>{t('pantry.glutenWords', { words: ingredientFields.gluten.words[ingredient.gluten] })}</Box>
          {ingredient.note && <Box sx={{ color: 'text.primary', pt: 2 }}>{ingredient.note}.</Box>}
        </Note>
        <Table size="small" aria-label={t('pantry.whatIsKnown')}>
          <TableBody>
            {Object.entries(correctableFields).map(([field, about]) => {
              const { name, estimate } = about;
              const { unit } = shownAs(about);
              const value = valueIn(ingredient, field) as number | undefined;
              const known: string = corrected[field]
                ? `${basisWords[corrected[field].basis]}: ${corrected[field].source}`
                : value === undefined
                  ? t('pantry.notKnown')
                  : estimate
                    ? basisWords.judgement
                    : basisWords[ingredient.basis];
              return (
                <FieldLine key={field} entry={entry} about={about} field={field} known={known} name={name} unit={unit} value={value} />
              );
            })}
          </TableBody>
        </Table>
        <Note>{t('pantry.partsAreIn100GStarchTakes', { source: ingredient.source })}</Note>
        {!made && <Papers of="ingredients" ownerId={ingredient.id} />}
        <Typography variant="h2">{t('pantry.allergensOnTheLabel')}</Typography>
        <Box sx={{ fontSize: typeSize.small }}>
          {sure.length > 0 ? t('pantry.containsSure', { sure: sure.join(', ') }) : t('pantry.noneForCertain')}{' '}
          {may.length > 0 && t('pantry.dependsOnTheMakerMay', { may: may.join(', ') })}
        </Box>
        {!own && !made && (
          <>
            <AllergenBoxes entry={entry} />
            {ingredient.origin === 'milk' && (
              <FormControlLabel
                control={<Checkbox checked={lactoseFree} onChange={(_, checked) => setLactoseFree(checked)} />}
                label={t('pantry.theLabelSaysLactoseFreeItIs')}
              />
            )}
            <Note>{t('pantry.aBoxYouTouchHereMeansYou')}</Note>
            <TextField
              size="small"
              label={t('pantry.fromWhichLabelOrMeasurement')}
              value={source}
              onChange={(event) => setSource(event.target.value)}
              slotProps={{ htmlInput: { maxLength: 200 } }}
            />
          </>
        )}
        <Box sx={{ fontSize: typeSize.small }}>
          {t('pantry.suitsIngredient', { ingredient: listed(ingredient, 'yes') })}{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {t('pantry.doesNotSuitIngredient', { ingredient: listed(ingredient, 'no') })}
          </Box>
        </Box>
        {users.length > 0 && (
          <Box sx={{ fontSize: typeSize.small }}>{t('pantry.partOfUsers', { users: users.map(({ name }) => name).join(', ') })}</Box>
        )}
        {(problems['all'] ?? failed) && <Alert severity="error">{problems['all'] ?? failed}</Alert>}
        <WhatToDo entry={entry} ingredient={ingredient} />
      </Box>
    </SideSheet>
  );
}

/** Corrections as they are typed, and their way into the pantry. */
function useCorrections(book: PantryBook, ingredient: Ingredient, onClose: () => void) {
  const act = useDoInPantry();
  const corrected = ingredient.corrected ?? {};
  const [typed, setTyped] = useState<Readonly<Record<string, Typed>>>({});
  const [source, setSource] = useState('');
  const [allergens, setAllergens] = useState<readonly string[] | null>(null);
  const [lactoseFree, setLactoseFree] = useState(ingredient.lactoseFree === true);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const { failed, busy, run } = useStoring(onClose);
  const [changing, setChanging] = useState(false);
  const revision = book.revisions.ingredients[ingredient.id] ?? 0;
  const own = revision > 0 && ingredient.corrected === undefined;
  const made = ingredient.madeFrom !== undefined;
  const changed = Object.keys(typed).length > 0 || allergens !== null || lactoseFree !== (ingredient.lactoseFree === true);
  const held = allergens ?? ingredient.allergens;
  const users = Object.values(book.ingredients).filter(({ parts }) => parts?.some(({ ingredientId }) => ingredientId === ingredient.id));

  const changeOf = (): IngredientChange | null => {
    const found: Record<string, string> = {};
    const facts: Record<string, Correction> = { ...corrected };
    for (const [field, { text, basis }] of Object.entries(typed)) {
      const about = correctableFields[field]!;
      const read = readTyped(about, text);
      if (!read.ok) found[field] = read.problem;
      else if (read.value === undefined) delete facts[field];
      else facts[field] = { value: read.value, unit: about.unit, basis, source: source.trim() || t('pantry.enteredHere') };
    }
    setProblems(found);
    if (Object.keys(found).length > 0) return null;
    return {
      corrected: facts,
      ...(allergens || ingredient.corrected ? { allergens: [...held] } : {}),
      ...(lactoseFree ? { lactoseFree: true } : {}),
    };
  };
  const store = async () => {
    const change = changeOf();
    if (!change) return;
    const now = replyTo(() => withCorrections(publishedIngredients()[ingredient.id]!, change));
    if (!now.ok) return setProblems({ [correctableFields[now.refused.path] ? now.refused.path : 'all']: now.refused.message });
    const words = changedName(ingredient.name, ingredientFields as Fields, [ingredient, now.answer], t('pantry.corrected'));
    await run(
      () => act(words, { kind: 'correct', id: ingredient.id, change, revision }),
      ({ problems: [first] }) => {
        if (first && correctableFields[first.path]) setProblems({ [first.path]: first.message });
        return first !== undefined && correctableFields[first.path] !== undefined;
      },
    );
  };
  const back = (name: string) => run(() => act(name, { kind: 'removeIngredient', id: ingredient.id }));
  return {
    failed,
    held,
    changing,
    corrected,
    problems,
    own,
    made,
    typed,
    setTyped,
    setAllergens,
    lactoseFree,
    setLactoseFree,
    source,
    setSource,
    users,
    changed,
    busy,
    store,
    back,
    setChanging,
  };
}

type Entry = ReturnType<typeof useCorrections>;

/** One value: what it is, where it comes from, and its correction. */
function FieldLine({
  entry,
  about,
  field,
  known,
  name,
  unit,
  value,
}: {
  readonly entry: Entry;
  readonly about: (typeof correctableFields)[string];
  readonly field: string;
  readonly known: string;
  readonly name: string | undefined;
  readonly unit: string;
  readonly value: number | undefined;
}) {
  const { problems, own, made, typed, setTyped, corrected } = entry;
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {name}
        {problems[field] && <Wrong>{problems[field]}</Wrong>}
      </TableCell>
      <TableCell align="right">
        <TextField
          size="small"
          disabled={own || made}
          error={problems[field] !== undefined}
          value={typed[field]?.text ?? textOf(about, value, 4)}
          onChange={(event) => setTyped({ ...typed, [field]: { text: event.target.value, basis: typed[field]?.basis ?? 'label' } })}
          slotProps={{
            htmlInput: {
              'aria-label': `${name}, ${unit}`,
              inputMode: 'decimal',
              autoComplete: 'off',
              style: { width: 58, textAlign: 'right' },
            },
          }}
        />
      </TableCell>
      <TableCell sx={{ fontSize: typeSize.caption, color: 'text.secondary', width: 66 }}>{unit}</TableCell>
      <TableCell sx={{ fontSize: typeSize.caption, color: corrected[field] ? 'primary.main' : 'text.secondary' }}>
        {typed[field] ? (
          <Choice
            label={t('pantry.nameKnownFrom', { name })}
            value={typed[field].basis}
            options={sources.map((basis) => ({ value: basis, name: basisWords[basis] }))}
            onChange={(basis) => setTyped({ ...typed, [field]: { ...typed[field]!, basis } })}
            width={120}
          />
        ) : (
          known
        )}
      </TableCell>
    </TableRow>
  );
}

/** Allergens by the label in hand. */
function AllergenBoxes({ entry }: { readonly entry: Entry }) {
  const { held, setAllergens } = entry;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap' }}>
      {labelAllergens.map(({ name, codes }) => {
        const on = codes.some((code) => held.some((one) => !one.endsWith(':possible') && (one === code || one.startsWith(`${code}:`))));
        return (
          <FormControlLabel
            key={name}
            control={<Checkbox size="small" checked={on} onChange={(_, checked) => setAllergens(withAllergen(held, codes, checked))} />}
            label={name}
            sx={{ width: 118, '& .MuiFormControlLabel-label': { fontSize: typeSize.small } }}
          />
        );
      })}
    </Box>
  );
}

/** Store, take back, change, remove. */
function WhatToDo({ entry, ingredient }: { readonly entry: Entry; readonly ingredient: Ingredient }) {
  const { own, made, changed, busy, store, back, setChanging } = entry;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
      {!own && !made && (
        <Button variant="contained" disabled={!changed || busy} onClick={() => void store()}>
          {busy ? t('common.storing') : t('pantry.storeCorrections')}
        </Button>
      )}
      {ingredient.corrected && (
        <Button variant="outlined" onClick={() => void back(t('pantry.nameIsAsInTheTableAgain', { name: ingredient.name }))}>
          {t('pantry.backToTheTable')}
        </Button>
      )}
      {own && !made && (
        <Button variant="contained" onClick={() => setChanging(true)}>
          {t('common.change')}
        </Button>
      )}
      {own && (
        <Button color="error" variant="outlined" onClick={() => void back(t('common.nameRemoved', { name: ingredient.name }))}>
          {t('common.remove')}
        </Button>
      )}
    </Box>
  );
}

/** The label in hand speaks for all codes of that name, possible ones too. */
function withAllergen(held: readonly string[], codes: readonly string[], on: boolean): string[] {
  const others = held.filter((one) => !codes.some((code) => one === code || one.startsWith(`${code}:`)));
  return on ? [...others, ...codes] : others;
}

const listed = (ingredient: Ingredient, answer: 'yes' | 'no') =>
  (Object.keys(suits.values) as SuitId[])
    .filter((suit) => suitability(ingredient, suit) === answer)
    .map((suit) => suits.values[suit].name)
    .join(', ') || 'none';
