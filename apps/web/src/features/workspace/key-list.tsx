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

const keys: readonly [string, string][] = [
  ['1 to 6', t('workspace.goToAStage')],
  [t('workspace.ctrlZCtrlShiftZ'), t('workspace.undoRedo')],
  [t('workspace.ctrlS'), t('workspace.saveAsAVersion')],
  [t('workspace.altA'), t('workspace.useTheFirstFinding')],
  [t('workspace.upDownInAField'), t('workspace.stepItShiftTenTimesAltA')],
  ['U', t('workspace.otherUnits')],
  ['?', t('workspace.thisList')],
];

/** Every key of the desk. */
export function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys">
      <DialogTitle id="keys">{t('workspace.keys')}</DialogTitle>
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
