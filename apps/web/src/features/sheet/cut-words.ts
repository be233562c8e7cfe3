import { type CutStep, showQuantity, showValue, unitOf, type Units } from '@north-leaf/core';
import { t } from '../../platform/words';

export function stepWords(step: CutStep, units: Units): string {
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
