import { memo } from 'react';
import PrintIcon from '@mui/icons-material/Print';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { cutOrder, type CutStep, type SheetLayout, showQuantity, showValue, unitOf, type Units } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences } from '../../platform/preferences';
import type { DrawnSheet } from './sheet-plan';

type Props = { readonly drawn: DrawnSheet; readonly layout: SheetLayout; readonly onPrint: () => void };
/** What to do on the sheet, one after the other, with the places on the ruler. */
export const CutOrder = memo(function CutOrder({ drawn: { formula }, layout, onPrint }: Props) {
  const units = usePreferences((state) => state.units);
  const cut = formula.sheet.cut ?? 'raw';
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
        <Typography variant="h3">Order of cuts</Typography>
        <IconButton size="small" className="not-on-paper" aria-label="Print the sheet with its cuts and trays" onClick={onPrint}>
          <PrintIcon fontSize="inherit" />
        </IconButton>
      </Box>
      <Box component="ol" sx={{ m: 0, pl: 5, fontSize: typeSize.small }}>
        {cutOrder(formula, layout).map((step, i) => (
          <li key={i}>{stepWords(step, units)}</li>
        ))}
        {cut !== 'raw' && <li>Bake the whole sheet, then cut it {cut === 'hot' ? 'hot, within minutes' : 'cold'}</li>}
      </Box>
      <Note pt={1}>
        Mark both edges before the first cut; straight down, no twist.
        {formula.sheet.laminate && ' Sharp cuts: a blunt knife seals the layers. Stack the offcuts, never ball them up.'}
      </Note>
    </Box>
  );
});

function stepWords(step: CutStep, units: Units): string {
  const length = (mm: number) => showQuantity(mm, 'length', units);
  switch (step.kind) {
    case 'roll':
      return `Roll to ${length(step.widthMm)} × ${length(step.lengthMm)}, ${length(step.thicknessMm)} thin${step.lots > 1 ? `, ${step.lots} sheets` : ''}`;
    case 'trim':
      return `Trim ${length(step.byMm)} off each side`;
    case 'lines': {
      const side = step.along === 'width' ? 'across' : 'along';
      if (step.atMm.length === 0) return `No cut ${side}`;
      const at = [...step.atMm.slice(0, 4), ...(step.atMm.length > 4 ? [step.atMm[step.atMm.length - 1]!] : [])].map((mm) =>
        showValue(mm, 'length', units),
      );
      if (step.atMm.length > 5) at.splice(4, 0, '…');
      return `${step.atMm.length} cut${step.atMm.length > 1 ? 's' : ''} ${side} every ${length(step.everyMm)}: at ${at.join(', ')} ${unitOf('length', units)}`;
    }
    case 'slant':
      return `Slanted at ${step.angleDeg}°, ${step.count} a strip, every ${length(step.everyMm)} along the edge`;
    case 'zigzag':
      return `Mark every ${length(step.everyMm)} on one edge, on the other from ${length(step.halfMm)} on; cut from mark to mark, ${step.perStrip} a strip`;
    case 'cutter':
      return `Cutter every ${length(step.everyMm)}, rows every ${length(step.rowMm)}${step.shiftMm > 0 ? `, each second row ${length(step.shiftMm)} further in` : ''}${step.turned ? ', every other one head to tail' : ''}`;
    case 'window':
      return `Cut the window out of ${step.of} of them; the middles go back to the scraps`;
    case 'dock':
      return `Prick every ${length(step.everyMm)}, ${step.pattern === 'staggered' ? 'each second row between, ' : ''}${step.perPiece} hole${step.perPiece === 1 ? '' : 's'} a piece, through to the paper`;
  }
}
