import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { glutenRules, markets, type Kitchen, type Market } from '@north-leaf/core';
import { notify } from '../../platform/notices';
import { t } from '../../platform/words';
import { typeSize } from '../../ui/theme/theme';
import { useKitchenChange } from '../kitchen/doors';

/** Whose law says what gluten-free means; asked until it is said. */
export function SoldIn({ kitchen }: { kitchen: Kitchen }) {
  const change = useKitchenChange();
  const set = (market: Market, home: boolean) =>
    change.mutateAsync({ kind: 'market', market, home }).then(
      () =>
        notify(
          home
            ? t('pantry.bakedAtHomeByTheRulesOf', { name: glutenRules.values[market].name })
            : t('pantry.soldInName', { name: glutenRules.values[market].name }),
        ),
      (error: Error) => notify(error.message, 'error'),
    );
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, fontSize: typeSize.small }}>
      <TextField
        select
        size="small"
        value={kitchen.market ?? ''}
        error={kitchen.market === undefined}
        onChange={(event) => void set(event.target.value as Market, kitchen.home ?? false)}
        slotProps={{
          htmlInput: { 'aria-label': t('pantry.whereItIsSold') },
          select: {
            displayEmpty: true,
            renderValue: (value) => (value ? glutenRules.values[value as Market].name : t('pantry.soldInSayWhere')),
          },
        }}
      >
        {markets.map((market) => (
          <MenuItem key={market} value={market}>
            {glutenRules.values[market].name}
          </MenuItem>
        ))}
      </TextField>
      {kitchen.market !== undefined && (
        <FormControlLabel
          sx={{ mr: 0, '& .MuiFormControlLabel-label': { fontSize: typeSize.small } }}
          control={<Checkbox size="small" checked={kitchen.home ?? false} onChange={(_, home) => void set(kitchen.market!, home)} />}
          label={t('pantry.atHomeOnly')}
        />
      )}
    </Box>
  );
}
