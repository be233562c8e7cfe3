import Box from '@mui/material/Box';
import { crustTones, typeSize } from '../../../ui/theme/theme';

/** One of the eight tones of a crust, by its colour and its number. */
export function ToneChoice({ name, value, onChoose }: { name: string; value: number | undefined; onChoose: (tone: number) => void }) {
  return (
    <Box
      role="group"
      aria-label={name}
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(8, 1fr)', gap: '4px', gridColumn: 'span 1', minWidth: 180 }}
    >
      {crustTones.map((colour, i) => (
        <Box
          key={colour}
          component="button"
          type="button"
          aria-pressed={value === i + 1}
          aria-label={`${name} ${i + 1}`}
          onClick={() => onChoose(i + 1)}
          sx={{
            height: 56,
            minWidth: 20,
            border: value === i + 1 ? 4 : 1,
            borderColor: value === i + 1 ? 'text.primary' : 'divider',
            borderRadius: '6px',
            bgcolor: colour,
            cursor: 'pointer',
            p: 0,
            fontSize: typeSize.small,
            color: i < 5 ? '#14211E' : '#FFFFFF',
            fontWeight: 700,
          }}
        >
          {i + 1}
        </Box>
      ))}
    </Box>
  );
}
