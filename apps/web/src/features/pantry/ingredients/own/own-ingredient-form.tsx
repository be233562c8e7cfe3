import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { doesWords, isExcluded, keysOf, suits, type Ingredient, type SuitId } from '@north-leaf/core';
import { typeSize, under } from '../../../../ui/theme/theme';
import { FormEnd } from '../../../../ui/form/form-end';
import { SearchField } from '../../../../ui/form/search-field';
import { SideSheet } from '../../../../ui/frame/side-sheet';
import { t } from '../../../../platform/words';
import { ingredientOptions } from '../../api';
import { LaterPapers, Papers } from '../../papers';
import { FromItsPanel } from './from-its-panel';
import { AllergensHeld, Flags, NumberLine, TextLine, WordLine } from './own-lines';
import { behaviour, chief, doings, furtherParts, limits, panel } from './own-ingredient-of-form';
import { useOwnForm, type Entry } from './use-own-form';

/** An ingredient that no table has, from its label. What the label leaves open makes up the whole as starch. */
type Props = {
  readonly onClose: () => void;
  /** As it was written in a list. */ readonly name?: string;
  /** One of our own that is changed. */ readonly stored?: Ingredient;
  readonly onStored?: (id: string) => void;
};
export function OwnIngredientForm({ onClose, name = '', stored, onStored }: Props) {
  const entry = useOwnForm(name, onClose, onStored, stored);
  const { store, form, set, problems, setMore, more, moreSaid, busy } = entry;

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
        <Likeness entry={entry} />
        {stored ? <Papers of="ingredients" ownerId={stored.id} /> : <LaterPapers later={entry.later} />}
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
        {entry.byParts ? <ByParts entry={entry} /> : <FromItsPanel {...entry.label} />}
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

/** Every part of it, for who has more than a label. */
function ByParts({ entry }: { readonly entry: Entry }) {
  return (
    <>
      <Typography variant="h2">{t('pantry.in100GAllItsParts')}</Typography>
      <Box sx={columns}>
        {panel.map((path) => (
          <NumberLine key={path} path={path} entry={entry} />
        ))}
      </Box>
      <Box sx={quiet}>{t('pantry.whatIsLeftOpenTo100G')}</Box>
    </>
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
function Further({ entry }: { readonly entry: Entry }) {
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
function Likeness({ entry }: { readonly entry: Entry }) {
  const { behaveLike, book, id, like } = entry;
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

const quiet = { fontSize: typeSize.caption, color: 'text.secondary' } as const;
const pairs = { display: 'grid', gridTemplateColumns: 'repeat(2, 1fr)', gap: 3, alignItems: 'start' } as const;
const columns = {
  display: 'grid',
  gridTemplateColumns: 'repeat(3, 1fr)',
  gap: 3,
  alignItems: 'start',
  [under.slim]: { gridTemplateColumns: '1fr 1fr' },
} as const;
