import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { t } from '../../platform/words';

type Props = { readonly shown: number; readonly total: number; readonly onMore: (() => void) | null; readonly loading: boolean };

/** Below a list that comes in parts: how much of it is here, and the next part. Nothing where all of it is. */
export function ShowMore({ shown, total, onMore, loading }: Props) {
  if (!onMore) return null;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, py: 3 }}>
      <Button variant="outlined" onClick={onMore} disabled={loading}>
        {loading ? t('common.loading') : t('ui.showMore')}
      </Button>
      <Box sx={{ color: 'text.secondary' }} role="status">
        {t('ui.shownOfTotal', { shown, total })}
      </Box>
    </Box>
  );
}
