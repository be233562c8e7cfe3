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
import { t } from '../../platform/words';

type Props = { readonly drawn: DrawnSheet; readonly layout: SheetLayout; readonly onPrint: () => void };
/** What to do on the sheet, one after the other, with the places on the ruler. */
export const CutOrder = memo(function CutOrder({ drawn: { formula }, layout, onPrint }: Props) {
  const units = usePreferences((state) => state.units);
  const cut = formula.sheet.cut ?? 'raw';
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
        <Typography variant="h3">{t('sheet.orderOfCuts')}</Typography>
        <IconButton size="small" className="not-on-paper" aria-label={t('sheet.printTheSheetWithItsCutsAnd')} onClick={onPrint}>
          <PrintIcon fontSize="inherit" />
        </IconButton>
      </Box>
      <Box component="ol" sx={{ m: 0, pl: 5, fontSize: typeSize.small }}>
        {cutOrder(formula, layout).map((step, i) => (
          <li key={i}>{stepWords(step, units)}</li>
        ))}
        {cut !== 'raw' && (
          <li>{t('sheet.bakeTheWholeSheetThenCutIt', { word: cut === 'hot' ? t('sheet.hotWithinMinutes') : t('sheet.cold') })}</li>
        )}
      </Box>
      <Note pt={1}>
        {t('sheet.markBothEdgesBeforeTheFirstCut')}
        {formula.sheet.laminate && t('sheet.sharpCutsABluntKnifeSealsThe')}
      </Note>
    </Box>
  );
});

function stepWords(step: CutStep, units: Units): string {
  const length = (mm: number) => showQuantity(mm, 'length', units);
  switch (step.kind) {
    case 'roll':
      return t('sheet.rollToWidthLengthThicknessThinWord', {
        width: length(step.widthMm),
        length: length(step.lengthMm),
        thickness: length(step.thicknessMm),
        word: step.lots > 1 ? t('sheet.lotsSheets', { lots: step.lots }) : '',
      });
    case 'trim':
      return t('sheet.trimByOffEachSide', { by: length(step.byMm) });
    case 'lines': {
      const side = step.along === 'width' ? t('sheet.sideAcross') : t('sheet.sideAlong');
      if (step.atMm.length === 0) return t('sheet.noCutSide', { side });
      const at = [...step.atMm.slice(0, 4), ...(step.atMm.length > 4 ? [step.atMm[step.atMm.length - 1]!] : [])].map((mm) =>
        showValue(mm, 'length', units),
      );
      if (step.atMm.length > 5) at.splice(4, 0, '…');
      return t('sheet.cutsEvery', {
        count: step.atMm.length,
        side,
        every: length(step.everyMm),
        at: at.join(', '),
        unit: unitOf('length', units),
      });
    }
    case 'slant':
      return t('sheet.slantedAtAngledegNumberAStripEvery', { angleDeg: step.angleDeg, number: step.count, every: length(step.everyMm) });
    case 'zigzag':
      return t('sheet.markEveryEveryOnOneEdgeOn', { every: length(step.everyMm), half: length(step.halfMm), perStrip: step.perStrip });
    case 'cutter':
      return t('sheet.cutterEveryEveryRowsEveryRowWord', {
        every: length(step.everyMm),
        row: length(step.rowMm),
        word: step.shiftMm > 0 ? t('sheet.eachSecondRowShiftFurtherIn', { shift: length(step.shiftMm) }) : '',
        word2: step.turned ? t('sheet.everyOtherOneHeadToTail') : '',
      });
    case 'window':
      return t('sheet.cutTheWindowOutOfOfOf', { of: step.of });
    case 'dock':
      return t('sheet.prickEvery', {
        every: length(step.everyMm),
        staggered: step.pattern === 'staggered' ? t('sheet.eachSecondRowBetween') : '',
        count: step.perPiece,
      });
  }
}
