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
import { t } from '../../platform/words';

const units = [
  { value: 'part', name: t('blend.parts') },
  { value: 'g', name: 'g' },
  { value: 'cup', name: t('blend.usCups') },
  { value: 'tablespoon', name: t('blend.tbsp') },
  { value: 'teaspoon', name: t('blend.tsp') },
] as const;
const fillings = [
  { value: 'spooned', name: t('blend.spooned') },
  { value: 'dipped', name: t('blend.dipped') },
  { value: 'packed', name: t('blend.packed') },
  { value: 'sifted', name: t('blend.sifted') },
  { value: 'unknown', name: t('blend.whoKnows') },
] as const;
type Line = { readonly ingredientId: string; readonly text: string; readonly unit: BlendUnit; readonly filling: CupFilling };

/** A blend as it was found: in parts, grams, cups or spoons; what cups leave open is shown beside each share. */
export function BlendFromAmountsDialog({ onClose }: { onClose: () => void }) {
  const { pantry } = useSurroundings();
  const amounts = useAmounts(onClose);
  const { name, setName, lines, problem, setLines, spread, blend, use } = amounts;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="from-amounts">
      <DialogTitle id="from-amounts">{t('blend.aBlendFromPartsGramsOrCups')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3 }}>
        <TextField
          size="small"
          label={t('common.name')}
          value={name}
          onChange={(event) => setName(event.target.value)}
          sx={{ mt: 2, maxWidth: 320 }}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        {lines.length > 0 && (
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>{t('blend.flourStarchGum')}</TableCell>
                <TableCell align="right">{t('blend.amount')}</TableCell>
                <TableCell>{t('blend.in')}</TableCell>
                <TableCell>{t('blend.cupFilled')}</TableCell>
                <TableCell align="right">{t('common.grams')}</TableCell>
                <TableCell align="right">{t('common.share')}</TableCell>
                <TableCell component="td" />
              </TableRow>
            </TableHead>
            <TableBody>
              {lines.map((line, i) => (
                <AmountLine key={line.ingredientId} amounts={amounts} i={i} line={line} />
              ))}
            </TableBody>
          </Table>
        )}
        <SearchField
          label={t('blend.addToTheseAmounts')}
          placeholder={t('blend.addAFlourStarchOrGum')}
          find={ingredientOptions(
            pantry.ingredients,
            (one) => isBlendable(one) && !isExcluded(one) && !lines.some(({ ingredientId }) => ingredientId === one.id),
          )}
          onChoose={(ingredientId) => setLines([...lines, { ingredientId, text: '1', unit: lines[0]?.unit ?? 'part', filling: 'spooned' }])}
        />
        {spread && <Note size="small">{t('blend.isOneStandardDeviation4FromCup')}</Note>}
        {problem && !problem.path.startsWith('amounts[') && lines.length > 0 && <Alert severity="error">{problem.message}</Alert>}
      </DialogContent>
      <DialogActions sx={{ p: 4 }}>
        <Button onClick={onClose}>{t('common.leaveIt')}</Button>
        <Button variant="contained" disabled={!blend} onClick={use}>
          {t('blend.useThisBlend')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Amounts as they are typed, and the blend they make. */
function useAmounts(onClose: () => void) {
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
  return { name, setName, lines, problem, set, setLines, gramsOf, blend, spread, use };
}

type Amounts = ReturnType<typeof useAmounts>;

/** One flour, starch or gum: how much, in what. */
function AmountLine({ amounts, i, line }: { readonly amounts: Amounts; readonly i: number; readonly line: Line }) {
  const { pantry } = useSurroundings();
  const { blend, gramsOf, lines, problem, set, setLines } = amounts;

  const one = pantry.ingredients[line.ingredientId]!;
  const wrong = problem?.path.startsWith(`amounts[${i}]`) ? problem.message : undefined;
  return (
    <TableRow>
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
              'aria-label': t('blend.nameAmount', { name: one.name }),
              inputMode: 'decimal',
              autoComplete: 'off',
              style: { width: 60, textAlign: 'right' },
            },
          }}
        />
      </TableCell>
      <TableCell>
        <Choice
          label={t('blend.nameIn', { name: one.name })}
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
            label={t('blend.nameCupFilled', { name: one.name })}
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
          aria-label={t('common.takeOutName', { name: one.name })}
          onClick={() => setLines(lines.filter((_, k) => k !== i))}
        >
          <CloseIcon fontSize="inherit" />
        </IconButton>
      </TableCell>
    </TableRow>
  );
}
