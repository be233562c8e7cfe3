import type { ReactNode } from 'react';
import Button from '@mui/material/Button';
import ExpandLessIcon from '@mui/icons-material/ExpandLess';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import { usePreferences } from '../../platform/preferences';
import { t } from '../../platform/words';

/** Whether a board shows all it has, or only its answer: the ruling number, the picture and the first finding. */
export const useWholeBoard = (): boolean => usePreferences((state) => state.wholeBoards);

/** What explains the answer or is set once in a while: on a whole board only. What keeps somebody safe never stands in here. */
export const OnWholeBoard = ({ children }: { readonly children: ReactNode }) => (useWholeBoard() ? children : null);

/** Opens all of every board, or folds them to their answers again; kept in this browser. */
export function AllOfIt() {
  const whole = useWholeBoard();
  return (
    <Button
      size="small"
      aria-expanded={whole}
      endIcon={whole ? <ExpandLessIcon /> : <ExpandMoreIcon />}
      onClick={() => usePreferences.getState().set({ wholeBoards: !whole })}
      sx={{ flex: 'none', minHeight: 28 }}
    >
      {whole ? t('board.lessOfIt') : t('board.allOfIt')}
    </Button>
  );
}
