import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { Link, useRouteError } from 'react-router';
import { ApiError } from './http';
import { t } from './words';

/** What failed, what is safe, what to press. */
export function ErrorPage({ error }: { error?: unknown }) {
  const routeError = useRouteError();
  const what = error ?? routeError;
  const missing = what instanceof ApiError && what.code === 'notFound';
  return (
    <Stack component="main" sx={{ p: 8, gap: 3, maxWidth: 560 }}>
      <Typography variant="h1">{missing ? t('platform.thereIsNothingHere') : t('platform.thisPageCouldNotBeShown')}</Typography>
      <Typography>{what instanceof Error ? what.message : t('platform.theAddressLeadsNowhere')}</Typography>
      <Typography color="text.secondary">{t('platform.nothingYouStoredIsLost')}</Typography>
      <Stack direction="row" sx={{ gap: 2 }}>
        <Button variant="contained" onClick={() => window.location.reload()}>
          {t('platform.tryAgain')}
        </Button>
        <Button component={Link} to="/formulas" variant="outlined">
          {t('common.formulas')}
        </Button>
      </Stack>
    </Stack>
  );
}
