import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Collapse from '@mui/material/Collapse';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { editsBetween, isCutShape, roundTo, scaled, type Sheet, showQuantity, showValue } from '@north-leaf/core';
import { usePreferences, useVoice } from '../../platform/preferences';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { setValue, useDraft, newKey } from '../formulas/doors';
import { FormulaField, useFormula, useSet } from '../board/doors';
import { type DrawnSheet } from './sheet-plan';
import { t } from '../../platform/words';
import type { PartPlan } from '@north-leaf/core';

/** A sheet of a wanted size: as thick as this dough makes it, or with as much dough as it takes. */
function RollToSize({ drawn }: { drawn: DrawnSheet }) {
  const units = usePreferences((state) => state.units);
  const [size, setSize] = useState({ widthMm: 400, lengthMm: 300 });
  const { edit } = useDraft.getState();
  const { formula, plan, massG } = drawn;
  const mm = formula.sheet.parts[0]!.thicknessMm;
  const lots = formula.sheet.lots;
  const areaMm2 = size.widthMm * size.lengthMm * lots;
  const thick = roundTo((massG * 1000) / (plan.densityGPerMl * areaMm2), 0.1);
  const needG = (plan.densityGPerMl * areaMm2 * mm) / 1000;
  const fits = areaMm2 > 0 && thick >= 0.3 && thick <= 40 && needG / massG < 1000 && needG / massG > 0.001;
  return (
    <>
      <FieldRow label={t('sheet.toASheetOf')}>
        {(['widthMm', 'lengthMm'] as const).map((name) => (
          <QuantityField
            key={name}
            label={name === 'widthMm' ? t('sheet.wantedWidth') : t('sheet.wantedLength')}
            kind="length"
            grain={10}
            width={62}
            hideUnit={name === 'widthMm'}
            value={size[name]}
            onChange={(value) => setSize({ ...size, [name]: value })}
          />
        ))}
      </FieldRow>
      {fits && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button size="small" variant="outlined" onClick={() => edit(`thick:${newKey()}`, setValue('/sheet/parts/0/thicknessMm', thick))}>
            {t('sheet.thicknessMmThick', { mm: showQuantity(mm, 'length', units), thick: showQuantity(thick, 'length', units) })}
          </Button>
          <Button
            size="small"
            variant="outlined"
            onClick={() => edit(`scale:${newKey()}`, (from) => editsBetween(from, scaled(from, needG / massG)))}
          >
            {t('sheet.doughMassNeed', { mass: showQuantity(massG, 'mass', units, 0), need: showQuantity(needG, 'mass', units, 0) })}
          </Button>
        </Box>
      )}
    </>
  );
}

/** What most leave as it is: when it is cut, how much it shortens, what this dough weighs. */
export function More({ drawn }: { drawn: DrawnSheet | null }) {
  const formula = useFormula();
  const set = useSet();
  const { sheet } = formula;
  const [open, setOpen] = useState(sheet.cut !== undefined || sheet.shrink !== undefined || sheet.densityGPerMl !== undefined);
  const cuts = drawn?.plan.layout !== null;
  const [part] = drawn?.plan.parts ?? [];
  return (
    <Box sx={{ pt: 1 }}>
      <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)} sx={{ minHeight: 26 }}>
        {open ? t('common.less') : t('sheet.moreAWantedSheetWhenCutShrink')}
      </Button>
      <Collapse in={open} unmountOnExit>
        <Box sx={{ display: 'grid', gap: 1 }}>
          {cuts && (
            <FieldRow label={t('sheet.cut')}>
              <ToggleButtonGroup
                exclusive
                size="small"
                aria-label={t('sheet.whenItIsCut')}
                value={sheet.cut ?? 'raw'}
                onChange={(_, next: NonNullable<Sheet['cut']> | null) => next && set('/sheet/cut', next === 'raw' ? undefined : next)}
              >
                <ToggleButton value="raw">{t('sheet.raw')}</ToggleButton>
                <ToggleButton value="hot">{t('sheet.hot')}</ToggleButton>
                <ToggleButton value="cold">{t('sheet.cold')}</ToggleButton>
              </ToggleButtonGroup>
            </FieldRow>
          )}
          {drawn && cuts && <RollToSize drawn={drawn} />}
          {sheet.shrink ? (
            <Shortens part={part} sheet={sheet} />
          ) : (
            <Button
              size="small"
              sx={{ justifySelf: 'start' }}
              onClick={() => set('/sheet/shrink', { alongShare: 0.03, acrossShare: 0.02 })}
            >
              {t('sheet.itShortensInTheOven')}
            </Button>
          )}
          {part && <RawPieceWeighs part={part} sheet={sheet} />}
        </Box>
      </Collapse>
    </Box>
  );
}

/** How much it shortens, along and across. */
function Shortens({ part, sheet }: { readonly part: PartPlan | undefined; readonly sheet: Sheet }) {
  return (
    <>
      <FieldRow label={t('sheet.shortensAlong')}>
        <FormulaField path="/sheet/shrink/alongShare" label={t('sheet.shortensAlong')} kind="percent" times={100} width={62} />
      </FieldRow>
      <FieldRow label={t('sheet.andAcross')}>
        <FormulaField path="/sheet/shrink/acrossShare" label={t('sheet.shortensAcross')} kind="percent" times={100} width={62} />
      </FieldRow>
      {part && isCutShape(sheet.parts[0]!.shape) && <WantedBaked />}
    </>
  );
}

/** What a raw piece weighs, where that was weighed. */
function RawPieceWeighs({ part, sheet }: { readonly part: PartPlan; readonly sheet: Sheet }) {
  const { edit } = useDraft.getState();
  const set = useSet();
  return (
    <FieldRow
      label={
        sheet.densityGPerMl === undefined
          ? t('sheet.aRawPieceWeighs')
          : t('sheet.weighedDensitygperGMl', { densityGPer: sheet.densityGPerMl.toFixed(2) })
      }
    >
      <QuantityField
        label={t('sheet.weightOfARawPiece')}
        kind="mass"
        value={part.massG}
        onChange={(g, visit) =>
          edit(`density:${visit}`, setValue('/sheet/densityGPerMl', Number(((g * 1000) / (part.areaMm2 * part.thicknessMm)).toFixed(3))))
        }
      />
      {sheet.densityGPerMl !== undefined && (
        <Button size="small" onClick={() => set('/sheet/densityGPerMl', undefined)}>
          {t('sheet.usual')}
        </Button>
      )}
    </FieldRow>
  );
}

/** Cuts the piece so much larger that it comes out of the oven as it is now cut. */
function WantedBaked() {
  const voice = useVoice();
  const formula = useFormula();
  const { shape } = formula.sheet.parts[0]!;
  const { shrink } = formula.sheet;
  if (!shrink || shape.kind !== 'rectangle') return null;
  const { acrossShare, alongShare } = shrink;
  if (acrossShare >= 0.5 || alongShare >= 0.5) return null;
  const [w, l] = [shape.widthMm / (1 - acrossShare), shape.lengthMm / (1 - alongShare)].map((mm) => Number(mm.toFixed(1))) as [
    number,
    number,
  ];
  return (
    <Button
      size="small"
      variant="outlined"
      sx={{ justifySelf: 'start' }}
      onClick={() =>
        useDraft
          .getState()
          .edit(`wanted:${newKey()}`, (now) => [
            ...setValue('/sheet/parts/0/shape/widthMm', w)(now),
            ...setValue('/sheet/parts/0/shape/lengthMm', l)(now),
          ])
      }
    >
      {t('sheet.pieceWidthLengthWLBakedAs', {
        width: showValue(shape.widthMm, 'length', voice.units),
        length: showValue(shape.lengthMm, 'length', voice.units),
        w: showValue(w, 'length', voice.units),
        l: voice.exact(l, 'length'),
      })}
    </Button>
  );
}
