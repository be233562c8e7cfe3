import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';

const keys: readonly [string, string][] = [
  ['1 to 6', 'go to a stage'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['Ctrl S', 'save as a version'],
  ['Alt A', 'use the first finding'],
  ['Up, Down in a field', 'step it; Shift ten times, Alt a tenth'],
  ['U', 'other units first'],
  ['?', 'this list'],
];

/** Every key of the desk. */
export function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys">
      <DialogTitle id="keys">Keys</DialogTitle>
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
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
