import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

/** One of two or three, all of them seen. */
export function OneOf<T extends string | number>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly name: string }[];
  readonly onChange: (value: T) => void;
}) {
  return (
    <ToggleButtonGroup
      size="small"
      exclusive
      aria-label={label}
      value={value}
      onChange={(_, next: T | null) => next !== null && onChange(next)}
    >
      {options.map((option) => (
        <ToggleButton key={option.value} value={option.value} sx={{ textTransform: 'none', px: 3 }}>
          {option.name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
