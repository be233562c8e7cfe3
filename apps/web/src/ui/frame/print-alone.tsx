import { useCallback, useState, type ReactNode } from 'react';
import GlobalStyles from '@mui/material/GlobalStyles';
import { media } from '../theme/theme';

const ALONE = 'printed-alone';

/** Prints one part of a page without the rest: the class it wears while it is printed, the styles that hide the rest, and the press. */
export function usePrintAlone(): { readonly className: string | undefined; readonly styles: ReactNode; readonly print: () => void } {
  const [printing, setPrinting] = useState(false);
  const print = useCallback(() => {
    setPrinting(true);
    requestAnimationFrame(() => {
      window.print();
      setPrinting(false);
    });
  }, []);
  const styles = printing && (
    <GlobalStyles
      styles={{
        [media.print]: {
          'body *': { visibility: 'hidden' },
          [`.${ALONE}, .${ALONE} *`]: { visibility: 'visible' },
          [`.${ALONE}`]: { position: 'fixed', top: 0, left: 0, right: 0 },
          [`.${ALONE} .not-on-paper, .${ALONE} .not-on-paper *`]: { display: 'none' },
        },
      }}
    />
  );
  return { className: printing ? ALONE : undefined, styles, print };
}
