import Box from '@mui/material/Box';

/** One number of a board, large, with what it is beneath. */
export function Fact({ label, value }: { label: string; value: string }) {
  return (
    <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', px: 2.5, py: 2 }}>
      <Box sx={{ fontWeight: 680, fontSize: 16, whiteSpace: 'nowrap' }}>{value}</Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>{label}</Box>
    </Box>
  );
}
