import { useMemo, useState } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useNavigate } from 'react-router';
import { typeSize } from '../../ui/theme/theme';
import { t } from '../../platform/words';
import { found, type Findable, type FindKind } from './findable';
import { useFindable } from './use-findable';

const kindWords: Readonly<Record<FindKind, string>> = {
  place: t('find.kind.place'),
  command: t('find.kind.command'),
  formula: t('common.formulas'),
  run: t('find.kind.run'),
  bake: t('common.bakes'),
  lot: t('find.lots'),
  ingredient: t('find.ingredients'),
  thing: t('find.kind.thing'),
  word: t('app.words'),
};

/** One field that finds a formula, a bake, a bag, an ingredient, a thing of the kitchen, a word, or what can be done. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const { all, loading } = useFindable(typed);
  const options = useMemo(() => found(all, typed), [all, typed]);
  const navigate = useNavigate();
  const choose = ({ to, act }: Findable) => {
    onClose();
    act?.();
    if (to !== undefined) void navigate(to);
  };
  return (
    <Dialog
      open
      onClose={onClose}
      aria-label={t('find.find')}
      transitionDuration={0}
      fullWidth
      maxWidth="sm"
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      <Autocomplete<Findable>
        open
        autoHighlight
        disablePortal
        options={[...options]}
        filterOptions={(listed) => listed}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ kind, id }) => `${kind} ${id}`}
        groupBy={({ kind }) => kindWords[kind]}
        inputValue={typed}
        onInputChange={(_, text, why) => why !== 'reset' && setTyped(text)}
        value={null}
        onClose={(_, why) => why === 'escape' && onClose()}
        onChange={(_, one) => one && choose(one)}
        loading={loading}
        noOptionsText={t('find.nothingHas', { typed })}
        loadingText={t('find.looking')}
        renderOption={({ key, ...rest }, one) => (
          <Box component="li" key={key} {...rest} sx={{ display: 'flex', gap: 3, justifyContent: 'space-between !important' }}>
            <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
              {one.name}
            </Box>
            <Box component="span" sx={beside}>
              {one.beside}
            </Box>
          </Box>
        )}
        slotProps={{
          popper: { sx: { position: 'static !important', transform: 'none !important', width: '100% !important' } },
          listbox: { sx: { maxHeight: '60vh', '& .MuiAutocomplete-groupLabel': { lineHeight: '28px', pt: 1 } } },
        }}
        renderInput={(params) => (
          <TextField
            {...params}
            autoFocus
            placeholder={t('find.whatToFind')}
            slotProps={{ ...params.slotProps, htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': t('find.find') } }}
            sx={{ p: 3 }}
          />
        )}
      />
    </Dialog>
  );
}

const beside = {
  color: 'text.secondary',
  fontSize: typeSize.small,
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  whiteSpace: 'nowrap',
} as const;
