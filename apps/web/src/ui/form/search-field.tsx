import { useMemo, useState, type ReactNode } from 'react';
import AddIcon from '@mui/icons-material/Add';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { typeSize } from '../theme/theme';
import { t } from '../../platform/words';

export type SearchOption = {
  readonly id: string;
  readonly name: string;
  /** The name it was found by, or what it is. */ readonly beside?: string;
  /** It may mean something else: the baker is asked which before it is taken. */
  readonly asks?: { readonly why: string; readonly among: readonly { readonly id: string; readonly name: string }[] };
};
type Props = {
  readonly label: string;
  readonly placeholder: string;
  readonly find: (typed: string) => readonly SearchOption[];
  readonly onChoose: (id: string) => void;
  readonly icon?: ReactNode;
};

const MOST = 60;

/** Something found by name, in any language, or by what it does. What is easily confused is asked about, never taken silently. */
export function SearchField({ label, placeholder, find, onChoose, icon = <AddIcon fontSize="small" /> }: Props) {
  const [typed, setTyped] = useState('');
  const [asked, setAsked] = useState<SearchOption | null>(null);
  // Nobody looks at what a closed list holds.
  const [open, setOpen] = useState(false);
  const options = useMemo(() => (open ? find(typed).slice(0, MOST) : []), [open, find, typed]);
  const choose = (id: string) => {
    setAsked(null);
    onChoose(id);
  };
  return (
    <>
      <Autocomplete<SearchOption>
        size="small"
        value={null}
        blurOnSelect
        clearOnBlur
        open={open}
        onOpen={() => setOpen(true)}
        onClose={() => setOpen(false)}
        options={[...options]}
        filterOptions={(all) => all}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ id }) => id}
        inputValue={typed}
        onInputChange={(_, text) => setTyped(text)}
        noOptionsText={t('ui.nothingByThatName')}
        onChange={(_, chosen) => {
          setTyped('');
          if (chosen?.asks) setAsked(chosen);
          else if (chosen) choose(chosen.id);
        }}
        renderOption={({ key, ...rest }, option) => (
          <Box component="li" key={key} {...rest} sx={{ display: 'flex', gap: 2, justifyContent: 'space-between !important' }}>
            <span>{option.name}</span>
            {option.beside && (
              <Box component="span" sx={{ color: 'text.secondary', fontSize: typeSize.small }}>
                {option.beside}
              </Box>
            )}
          </Box>
        )}
        renderInput={(params) => (
          <TextField
            {...params}
            placeholder={placeholder}
            slotProps={{
              ...params.slotProps,
              htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': label },
              input: { ...params.slotProps?.input, startAdornment: icon },
            }}
          />
        )}
      />
      <Dialog open={asked !== null} onClose={() => setAsked(null)} aria-labelledby="which-one">
        <DialogTitle id="which-one">{t('ui.whichOneIsIt')}</DialogTitle>
        <DialogContent sx={{ maxWidth: 440 }}>{asked?.asks?.why}</DialogContent>
        <DialogActions sx={{ flexDirection: 'column', alignItems: 'stretch', gap: 2, p: 4, '& > *': { ml: '0 !important' } }}>
          {asked?.asks?.among.map(({ id, name }) => (
            <Button key={id} variant="outlined" onClick={() => choose(id)}>
              {name}
            </Button>
          ))}
          <Button onClick={() => setAsked(null)}>{t('ui.noneOfThese')}</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
