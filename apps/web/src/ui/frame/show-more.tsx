import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

type Props = { readonly shown: number; readonly total: number; readonly onMore: (() => void) | null; readonly loading: boolean };

/** Below a list that comes in parts: how much of it is here, and the next part. Nothing where all of it is. */
export function ShowMore({ shown, total, onMore, loading }: Props) {
  if (!onMore) return null;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, py: 3 }}>
      <Button variant="outlined" onClick={onMore} disabled={loading}>
        {loading ? 'Loading' : 'Show more'}
      </Button>
      <Box sx={{ color: 'text.secondary' }} role="status">
        {shown} of {total}
      </Box>
    </Box>
  );
}
