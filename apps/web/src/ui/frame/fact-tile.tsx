import Box from '@mui/material/Box';
import { Note } from './note';
import { typeSize } from '../theme/theme';

/** One number of a board, large, with what it is beneath. */
export function Fact({ label, value }: { label: string; value: string }) {
  return (
    <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', px: 2.5, py: 2 }}>
      <Box sx={{ fontWeight: 680, fontSize: typeSize.large, whiteSpace: 'nowrap' }}>{value}</Box>
      <Box data-testid="label">
        <Note>{label}</Note>
      </Box>
    </Box>
  );
}
