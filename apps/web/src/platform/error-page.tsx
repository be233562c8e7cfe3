import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { Link, useRouteError } from 'react-router';
import { ApiError } from './http';

/** What failed, what is safe, what to press. */
export function ErrorPage({ error }: { error?: unknown }) {
  const routeError = useRouteError();
  const what = error ?? routeError;
  const missing = what instanceof ApiError && what.code === 'notFound';
  return (
    <Stack component="main" sx={{ p: 8, gap: 3, maxWidth: 560 }}>
      <Typography variant="h1">{missing ? 'There is nothing here' : 'This page could not be shown'}</Typography>
      <Typography>{what instanceof Error ? what.message : 'The address leads nowhere.'}</Typography>
      <Typography color="text.secondary">Nothing you stored is lost.</Typography>
      <Stack direction="row" sx={{ gap: 2 }}>
        <Button variant="contained" onClick={() => window.location.reload()}>
          Try again
        </Button>
        <Button component={Link} to="/formulas" variant="outlined">
          Formulas
        </Button>
      </Stack>
    </Stack>
  );
}
