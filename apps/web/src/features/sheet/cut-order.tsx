import { memo } from 'react';
import PrintIcon from '@mui/icons-material/Print';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { cutOrder, type SheetLayout } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences } from '../../platform/preferences';
import type { DrawnSheet } from './sheet-plan';
import { t } from '../../platform/words';
import { stepWords } from './cut-words';

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
