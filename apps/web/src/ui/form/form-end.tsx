import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { t } from '../../platform/words';

type Props = {
  /** What went wrong with the whole; a field's own fault stands at the field. */ readonly failed: string | null | undefined;
  readonly busy?: boolean;
  /** Left out where the form sends itself. */ readonly onStore?: () => void;
  readonly onLeave: () => void;
  readonly onRemove?: (() => void) | undefined;
};

/** How every form of the pantry ends: what went wrong, store, leave it, and remove where there is something to remove. */
export function FormEnd({ failed, busy = false, onStore, onLeave, onRemove }: Props) {
  return (
    <>
      {failed && <Alert severity="error">{failed}</Alert>}
      <Box sx={{ display: 'flex', gap: 3 }}>
        <Button type={onStore ? 'button' : 'submit'} variant="contained" disabled={busy} {...(onStore ? { onClick: onStore } : {})}>
          {busy ? t('common.storing') : t('common.store')}
        </Button>
        <Button variant="outlined" onClick={onLeave}>
          {t('common.leaveIt')}
        </Button>
        {onRemove && (
          <Button color="error" onClick={onRemove} sx={{ ml: 'auto' }}>
            {t('common.remove')}
          </Button>
        )}
      </Box>
    </>
  );
}
