import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { typeSize } from '../theme/theme';

/** One of a short list. */
export function Choice<T extends string | number>({
  label,
  value,
  options,
  onChange,
  width = 190,
  placeholder = 'choose',
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly name: string }[];
  onChange: (value: T) => void;
  width?: number;
  placeholder?: string;
}) {
  const known = options.some((option) => option.value === value);
  return (
    <Select
      size="small"
      value={known ? value : ''}
      onChange={(event) => onChange(event.target.value as T)}
      inputProps={{ 'aria-label': label }}
      displayEmpty
      renderValue={(held) => options.find((option) => option.value === held)?.name ?? placeholder}
      sx={{ width, height: 30, fontSize: typeSize.body, '& .MuiSelect-select': { py: 0 } }}
    >
      {options.map((option) => (
        <MenuItem key={option.value} value={option.value}>
          {option.name}
        </MenuItem>
      ))}
    </Select>
  );
}
