import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { FormulaName } from '@north-leaf/contracts';
import { t } from '../../platform/words';

/** Which formula a page is about. */
export function FormulaSelect({
  formulas,
  id,
  onChoose,
}: {
  formulas: readonly FormulaName[] | undefined;
  id: string;
  onChoose: (id: string) => void;
}) {
  return (
    <TextField
      select
      size="small"
      label={t('common.formula')}
      value={formulas ? id : ''}
      onChange={({ target }) => onChoose(target.value)}
      sx={{ minWidth: 260 }}
    >
      {(formulas ?? []).map((one) => (
        <MenuItem key={one.id} value={one.id}>
          {one.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
