import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Note } from '../../ui/frame/note';
import { Page } from '../../ui/frame/page';
import { t } from '../../platform/words';
import { beginKitchen } from '../kitchen/doors';
import { BeginKitchen } from './begin-kitchen';
import { useChangeKitchen } from './use-change-kitchen';

/** A house with no kitchen yet: one of its own, or the demo. */
export function BeginPage() {
  const { busy, change } = useChangeKitchen();
  return (
    <Page title={t('setup.begin')}>
      <Box sx={{ maxWidth: 560, display: 'grid', gap: 4 }}>
        <Note size="small">{t('setup.twoWaysToBegin')}</Note>
        <BeginKitchen />
        <Button variant="outlined" disabled={busy} onClick={() => void change(() => beginKitchen({ from: 'demo' }))}>
          {t('setup.showMeTheDemo')}
        </Button>
      </Box>
    </Page>
  );
}
