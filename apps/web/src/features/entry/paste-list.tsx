import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { editsBetween, families, formulaFromList, type ListedAmount, type Pantry } from '@north-leaf/core';
import { typeSize, under } from '../../ui/theme/theme';
import { useDraft, newKey } from '../formulas/doors';
import { useSurroundings } from '../board/doors';
import { ListReader, useListReading } from './list-reader';
import { t } from '../../platform/words';

/** A list the way it was found, line by line: what was understood, in grams, with what was assumed; anything doubtful is asked about. */
export function PasteList({ onClose }: { onClose: () => void }) {
  const { kitchen, pantry } = useSurroundings();
  const family = useDraft((state) => state.formula.family);
  const reading = useListReading({ kitchen, pantry, family: families[family]! });
  const { amounts, asking } = reading;
  const use = (how: 'instead' | 'besides') => {
    makeOfList(amounts, pantry, how);
    onClose();
  };
  const notReady = amounts.length === 0 || asking.length > 0;
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="paste-list">
      <DialogTitle id="paste-list">{t('entry.aListTheWayYouFoundIt')}</DialogTitle>
      <DialogContent sx={twoSides}>
        <ListReader reading={reading} placeholder={t('entry.112CupsSorghumFlour80')} />
      </DialogContent>
      <DialogActions sx={{ p: 4, gap: 2 }}>
        {asking.length > 0 && (
          <Box sx={{ mr: 'auto', color: 'warning.main', fontSize: typeSize.small }}>
            {t('common.sayWhatNameIsFirst', { name: asking[0]!.name })}
          </Box>
        )}
        <Button onClick={onClose}>{t('common.leaveIt')}</Button>
        <Button variant="outlined" disabled={notReady} onClick={() => use('besides')}>
          {t('entry.addToThisDough')}
        </Button>
        <Button variant="contained" disabled={notReady} onClick={() => use('instead')}>
          {t('entry.makeItThisDough')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const twoSides = { display: 'grid', gap: 4, gridTemplateColumns: '320px 1fr', [under.phone]: { gridTemplateColumns: '1fr' } };

/** The list as one undo step of the draft. */
function makeOfList(list: readonly ListedAmount[], pantry: Pantry, how: 'instead' | 'besides'): void {
  useDraft.getState().edit(`paste:${newKey()}`, (from) => editsBetween(from, formulaFromList(from, list, pantry, { newKey, how })));
}
