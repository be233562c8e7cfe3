import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { t } from '../../platform/words';

const keys: readonly (readonly [key: string, does: string])[] = [
  [t('find.ctrlK'), t('find.findAnything')],
  [t('find.f1'), t('ask.whatIsThis')],
  [t('find.gAndALetter'), t('find.goToAPlace')],
  [t('find.ctrlZCtrlShiftZ'), t('find.undoRedo')],
  [t('find.ctrlS'), t('find.saveAsAVersion')],
  [t('find.oneToSix'), t('find.goToAStage')],
  [t('find.altA'), t('find.useTheFirstFinding')],
  [t('find.upDownInAField'), t('find.stepItShiftTenTimesAltA')],
  [t('find.letterU'), t('find.otherUnits')],
  [t('find.questionMark'), t('find.thisList')],
];

/** Every key of the desk. */
export function KeyList({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys">
      <DialogTitle id="keys">{t('find.keys')}</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {keys.map(([key, does]) => (
              <TableRow key={key}>
                <TableCell component="th" scope="row" sx={{ fontWeight: 650 }}>
                  {key}
                </TableCell>
                <TableCell>{does}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('common.close')}</Button>
      </DialogActions>
    </Dialog>
  );
}
