import { useEffect } from 'react';
import { enqueueSnackbar, SnackbarProvider } from 'notistack';
import { showNoticesWith } from './notices';

/** Where notices appear. */
export function NoticesShown() {
  useEffect(() => {
    showNoticesWith((message, kind) => enqueueSnackbar(message, kind === 'error' ? { variant: 'error' } : {}));
  }, []);
  return <SnackbarProvider maxSnack={2} autoHideDuration={6000} />;
}
