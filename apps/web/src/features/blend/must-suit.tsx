import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { suitName, suits } from '@north-leaf/core';
import { useFormula, useSet, useSurroundings } from '../board/doors';
import { t } from '../../platform/words';

/** What the formula has to suit: single limits, or a guest with theirs. Solver and swaps keep to it. */
export function MustSuit() {
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const set = useSet();
  const guests = kitchen.guests ?? [];
  const options = [...guests.map(({ id }) => `guest:${id}`), ...Object.keys(suits.values)];
  const name = (id: string) =>
    id.startsWith('guest:') ? (guests.find((guest) => `guest:${guest.id}` === id)?.name ?? t('blend.aGuestThatIsGone')) : suitName(id);
  return (
    <Box sx={{ pt: 3 }}>
      <Autocomplete
        multiple
        size="small"
        value={[...(formula.mustSuit ?? [])]}
        options={options}
        groupBy={(id) => (id.startsWith('guest:') ? t('common.guests') : t('blend.limits'))}
        getOptionLabel={name}
        onChange={(_, chosen) => set('/mustSuit', chosen.length === 0 ? undefined : chosen)}
        renderInput={(params) => (
          <TextField
            {...params}
            placeholder={formula.mustSuit?.length ? '' : t('blend.mustSuitVeganNoNutsAGuest')}
            slotProps={{ ...params.slotProps, htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': t('blend.mustSuit') } }}
          />
        )}
      />
    </Box>
  );
}
