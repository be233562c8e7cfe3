import { useMemo, useState } from 'react';
import CloseIcon from '@mui/icons-material/Close';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import IconButton from '@mui/material/IconButton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import {
  blendFromAmounts,
  editsBetween,
  InputError,
  isBlendable,
  isExcluded,
  readQuantity,
  type BlendUnit,
  type CupFilling,
} from '@north-leaf/core';
import { Wrong, Note } from '../../ui/frame/note';
import { Choice } from '../../ui/form/choice';
import { SearchField } from '../../ui/form/search-field';
import { ingredientOptions } from '../pantry/doors';
import { useDraft, newKey } from '../formulas/doors';
import { useSurroundings } from '../board/doors';

const units = [
  { value: 'part', name: 'parts' },
  { value: 'g', name: 'g' },
  { value: 'cup', name: 'US cups' },
  { value: 'tablespoon', name: 'tbsp' },
  { value: 'teaspoon', name: 'tsp' },
] as const;
const fillings = [
  { value: 'spooned', name: 'spooned' },
  { value: 'dipped', name: 'dipped' },
  { value: 'packed', name: 'packed' },
  { value: 'sifted', name: 'sifted' },
  { value: 'unknown', name: 'who knows' },
] as const;
type Line = { readonly ingredientId: string; readonly text: string; readonly unit: BlendUnit; readonly filling: CupFilling };

/** A blend as it was found: in parts, grams, cups or spoons; what cups leave open is shown beside each share. */
export function BlendFromAmountsDialog({ onClose }: { onClose: () => void }) {
  const { pantry } = useSurroundings();
  const { edit } = useDraft.getState();
  const [lines, setLines] = useState<readonly Line[]>([]);
  const [name, setName] = useState('');
  const set = (i: number, patch: Partial<Line>) => setLines(lines.map((line, k) => (k === i ? { ...line, ...patch } : line)));
  const read = useMemo(() => {
    const amounts = lines.map(({ ingredientId, text, unit, filling }) => {
      // Fractions as bakers write them: 1 1/2.
      const number = readQuantity(text, 'percent', '%');
      return { ingredientId, amount: number.ok ? number.value : NaN, unit, filling };
    });
    try {
      return { blend: blendFromAmounts(amounts, pantry.ingredients), problem: null };
    } catch (error) {
      if (error instanceof InputError) return { blend: null, problem: error };
      throw error;
    }
  }, [lines, pantry]);
  const { blend, problem } = read;
  const spread = blend?.sdShares.some((sd) => sd > 0) ?? false;
  const gramsOf = (i: number) => blend?.grams[i]?.toFixed(0) ?? '–';
  const use = () => {
    if (!blend) return;
    const stem = newKey();
    edit(`amounts:${Date.now()}`, (from) => {
      const rows = lines.map(({ ingredientId }, i) => ({ key: `${stem}${i}`, ingredientId, share: blend.shares[i]! }));
      const next = { name: name.trim() || from.blend.name, rows, ...(spread ? { uncertainShare: blend.sdShares } : {}) };
      return editsBetween(from, { ...from, blend: next, blendG: blend.totalG === null ? from.blendG : Number(blend.totalG.toFixed(1)) });
    });
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="from-amounts">
      <DialogTitle id="from-amounts">A blend from parts, grams or cups</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3 }}>
        <TextField
          size="small"
          label="Name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          sx={{ mt: 2, maxWidth: 320 }}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        {lines.length > 0 && (
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Flour, starch, gum</TableCell>
                <TableCell align="right">Amount</TableCell>
                <TableCell>In</TableCell>
                <TableCell>Cup filled</TableCell>
                <TableCell align="right">Grams</TableCell>
                <TableCell align="right">Share</TableCell>
                <TableCell component="td" />
              </TableRow>
            </TableHead>
            <TableBody>
              {lines.map((line, i) => {
                const one = pantry.ingredients[line.ingredientId]!;
                const wrong = problem?.path.startsWith(`amounts[${i}]`) ? problem.message : undefined;
                return (
                  <TableRow key={line.ingredientId}>
                    <TableCell component="th" scope="row">
                      {one.name}
                      {wrong && <Wrong>{wrong}</Wrong>}
                    </TableCell>
                    <TableCell align="right">
                      <TextField
                        size="small"
                        value={line.text}
                        error={wrong !== undefined}
                        onChange={(event) => set(i, { text: event.target.value })}
                        slotProps={{
                          htmlInput: {
                            'aria-label': `${one.name} amount`,
                            inputMode: 'decimal',
                            autoComplete: 'off',
                            style: { width: 60, textAlign: 'right' },
                          },
                        }}
                      />
                    </TableCell>
                    <TableCell>
                      <Choice
                        label={`${one.name} in`}
                        value={line.unit}
                        options={units}
                        onChange={(unit) =>
                          setLines(
                            unit === 'part' || line.unit === 'part'
                              ? lines.map((other) => ({ ...other, unit }))
                              : lines.map((other, k) => (k === i ? { ...other, unit } : other)),
                          )
                        }
                        width={104}
                      />
                    </TableCell>
                    <TableCell>
                      {line.unit === 'cup' ? (
                        <Choice
                          label={`${one.name} cup filled`}
                          value={line.filling}
                          options={fillings}
                          onChange={(filling) => set(i, { filling })}
                          width={118}
                        />
                      ) : (
                        '–'
                      )}
                    </TableCell>
                    <TableCell align="right">{gramsOf(i)}</TableCell>
                    <TableCell align="right">
                      {blend ? `${(blend.shares[i]! * 100).toFixed(1)} %` : '–'}
                      {blend && blend.sdShares[i]! > 0 && <Note>± {(blend.sdShares[i]! * 100).toFixed(1)}</Note>}
                    </TableCell>
                    <TableCell sx={{ width: 34 }}>
                      <IconButton
                        size="small"
                        aria-label={`Take out ${one.name}`}
                        onClick={() => setLines(lines.filter((_, k) => k !== i))}
                      >
                        <CloseIcon fontSize="inherit" />
                      </IconButton>
                    </TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        )}
        <SearchField
          label="Add to these amounts"
          placeholder="Add a flour, starch or gum"
          find={ingredientOptions(
            pantry.ingredients,
            (one) => isBlendable(one) && !isExcluded(one) && !lines.some(({ ingredientId }) => ingredientId === one.id),
          )}
          onChoose={(ingredientId) => setLines([...lines, { ingredientId, text: '1', unit: lines[0]?.unit ?? 'part', filling: 'spooned' }])}
        />
        {spread && (
          <Note size="small">
            ± is one standard deviation: 4 % from cup to cup, 5 % between this bag and the table, more where nobody knows how the cup was
            filled (judgement). Your hand’s own habit is the same for all and cancels. Weigh once, and it is gone.
          </Note>
        )}
        {problem && !problem.path.startsWith('amounts[') && lines.length > 0 && <Alert severity="error">{problem.message}</Alert>}
      </DialogContent>
      <DialogActions sx={{ p: 4 }}>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" disabled={!blend} onClick={use}>
          Use this blend
        </Button>
      </DialogActions>
    </Dialog>
  );
}
