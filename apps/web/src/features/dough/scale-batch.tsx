import { useState, type FormEvent } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { editsBetween, factorForShelf, piecesFromMass, rolledG, scaleCautions, scaled, showQuantity, unitOf } from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { useDraft, newKey } from '../formulas/doors';
import { useAnswer, useFormula, useSurroundings } from '../board/doors';
import { t } from '../../platform/words';
import type { Formula } from '@north-leaf/core';
import { type Way, labels, panLabels, factorsOf, cautionWords } from './batch-size';
const ways: readonly { readonly value: Way; readonly name: string }[] = [
  { value: 'times', name: t('dough.soManyTimes') },
  { value: 'pieces', name: t('dough.soManyPieces') },
  { value: 'mass', name: t('dough.soMuchDough') },
  { value: 'ownPan', name: t('dough.anotherPanOfOurs') },
  { value: 'pan', name: t('dough.anyRoundPan') },
  { value: 'loads', name: t('dough.soManyOvenLoads') },
  { value: 'shelf', name: t('dough.whatTheShelfHas') },
];

const trays = (n: number) => t('common.trays', { count: n });

/** The batch made larger or smaller, by whatever the baker counts in. Thickness, chill and oven are of the piece, so they stay. */
export function ScaleBatch({ onClose }: { onClose: () => void }) {
  const voice = useVoice();
  const scaling = useScaling();
  const { factor, filling, way, toPan, worked, text, shelf, next, cautions } = scaling;

  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (factor === null || filling === null) return;
    useDraft.getState().edit(`scale:${newKey()}`, (from) => {
      const grown = scaled(from, factor, filling);
      return editsBetween(from, way === 'ownPan' ? { ...grown, bake: { ...grown.bake, panId: toPan } } : grown);
    });
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="scale-batch">
      <Box component="form" noValidate onSubmit={submit} sx={{ display: 'contents' }}>
        <DialogTitle id="scale-batch">{t('dough.anotherSizeOfBatch')}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 3, gridTemplateColumns: 'minmax(0, 1fr)' }}>
          <ToWhat scaling={scaling} />
          {'problem' in worked && worked.problem !== '' && (text.trim() !== '' || way === 'shelf' || way === 'pan' || way === 'ownPan') && (
            <Alert severity="error">{worked.problem}</Alert>
          )}
          {shelf && <Box sx={{ fontSize: typeSize.small }}>{t('dough.endsfirstEndsFirst', { endsFirst: shelf.endsFirst })}</Box>}
          {next && factor !== null && <NowAndThen scaling={scaling} factor={factor} next={next} />}
          {cautions.length > 0 && (
            <Alert severity="warning">
              {cautions.map((caution) => (
                <Box key={`${caution.kind} ${caution.name}`}>{cautionWords(caution, voice)}</Box>
              ))}
            </Alert>
          )}
        </DialogContent>
        <DialogActions sx={{ p: 4, gap: 2 }}>
          <Button onClick={onClose}>{t('common.leaveIt')}</Button>
          <Button type="submit" variant="contained" disabled={factor === null}>
            {t('dough.makeItThisSize')}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}

/** To what it is scaled, what comes of that, and what to take care of. */
function useScaling() {
  const { evaluation } = useAnswer();
  const formula = useFormula();
  const { pantry, kitchen } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const [way, setWay] = useState<Way>('times');
  const [text, setText] = useState('2');
  const dough = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result;
  const sheet = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result;
  const massG = dough ? rolledG(dough) : 0;
  const [toPan, setToPan] = useState('');
  const [pan, setPan] = useState({ from: '', to: '', wall: '' });
  const shelf = way === 'shelf' ? factorForShelf(formula, pantry) : null;

  const worked = factorsOf({ way, text, pan, toPan }, { formula, evaluation, kitchen, pantry, units });
  const factor = 'factor' in worked ? worked.factor : null;
  const filling = 'factor' in worked ? (worked.filling ?? worked.factor) : null;
  const next = factor === null || filling === null ? null : scaled(formula, factor, filling);
  const cautions = next && factor !== null ? scaleCautions(next, factor, kitchen.scaleStepG, pantry) : [];
  // In the pan it then stands in.
  const grown = next && way === 'ownPan' ? { ...next, bake: { ...next.bake, panId: toPan } } : formula;
  const pieces = (of: number) => (sheet && massG > 0 ? piecesFromMass(of === 1 ? formula : grown, kitchen, massG * of) : null);
  return { factor, filling, way, toPan, setWay, setText, setToPan, pan, setPan, text, worked, shelf, next, pieces, sheet, cautions };
}

type Scaling = ReturnType<typeof useScaling>;

/** Which way, and how much by it. */
function ToWhat({ scaling }: { readonly scaling: Scaling }) {
  const { kitchen } = useSurroundings();
  const formula = useFormula();
  const units = usePreferences((state) => state.units);
  const { way, setWay, setText, toPan, setToPan, pan, setPan, text, worked } = scaling;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', pt: 2, flexWrap: 'wrap' }}>
      <Choice
        label={t('dough.scaleTo')}
        value={way}
        options={ways}
        onChange={(to) => (setWay(to), setText(to === 'times' ? '2' : ''))}
        width={190}
      />
      {way === 'ownPan' && (
        <Choice
          label={t('dough.toThePan')}
          value={toPan}
          options={(kitchen.pans ?? []).filter(({ id }) => id !== formula.bake.panId).map(({ id, name }) => ({ value: id, name }))}
          onChange={setToPan}
          width={220}
        />
      )}
      {way === 'pan' &&
        (['from', 'to', 'wall'] as const).map((name) => (
          <TextField
            key={name}
            size="small"
            label={panLabels[name]}
            placeholder={unitOf('length', units)}
            value={pan[name]}
            onChange={(event) => setPan({ ...pan, [name]: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
            sx={{ width: 92 }}
          />
        ))}
      {way !== 'shelf' && way !== 'pan' && way !== 'ownPan' && (
        <TextField
          autoFocus
          size="small"
          label={labels[way]}
          value={text}
          error={'problem' in worked && text.trim() !== ''}
          onChange={(event) => setText(event.target.value)}
          onFocus={(event) => event.target.select()}
          slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
          sx={{ width: 140 }}
        />
      )}
      {way === 'mass' && <span>{unitOf('mass', units)}</span>}
      {way === 'times' &&
        ['1/2', '2', '3'].map((one) => (
          <Button key={one} size="small" variant="outlined" onClick={() => setText(one)}>
            × {one === '1/2' ? '½' : one}
          </Button>
        ))}
    </Box>
  );
}

/** Each row as it is and as it would be. */
function NowAndThen({ scaling, factor, next }: { readonly scaling: Scaling; readonly factor: number; readonly next: Formula }) {
  const formula = useFormula();
  const { pantry } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const { filling, pieces, sheet } = scaling;
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>
            × {Number(factor.toFixed(3))}
            {filling !== null &&
              Math.abs(filling - factor) > 1e-6 &&
              formula.rows.some(({ use }) => use === 'filling') &&
              t('dough.fillingFilling', { filling: Number(filling.toFixed(3)) })}
          </TableCell>
          <TableCell align="right">{t('common.now2')}</TableCell>
          <TableCell align="right">{t('dough.then')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {[
          { key: 'blend', name: formula.blend.name, from: formula.blendG, to: next.blendG },
          ...formula.rows.map(({ key, ingredientId, amountG }, i) => ({
            key,
            name: pantry.ingredients[ingredientId]?.name ?? ingredientId,
            from: amountG,
            to: next.rows[i]!.amountG,
          })),
        ].map(({ key, name, from, to }) => (
          <TableRow key={key}>
            <TableCell>{name}</TableCell>
            <TableCell align="right">{showQuantity(from, 'mass', units)}</TableCell>
            <TableCell align="right" sx={{ fontWeight: 650 }}>
              {showQuantity(to, 'mass', units, to < 1 ? 2 : undefined)}
            </TableCell>
          </TableRow>
        ))}
        <TableRow>
          <TableCell sx={{ fontWeight: 650 }}>{t('dough.pieces')}</TableCell>
          <TableCell align="right">{pieces(1) ?? '–'}</TableCell>
          <TableCell align="right" sx={{ fontWeight: 650 }}>
            {pieces(factor) ?? '–'}
            {sheet &&
              sheet.piecesPerTray > 0 &&
              pieces(factor) !== null &&
              t('dough.onFactor', { factor: trays(Math.ceil(pieces(factor)! / sheet.piecesPerTray)) })}
          </TableCell>
        </TableRow>
      </TableBody>
    </Table>
  );
}
