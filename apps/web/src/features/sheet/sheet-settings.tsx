import { memo, useDeferredValue, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  editsBetween,
  families,
  isCutShape,
  laminated,
  roundTo,
  type DockPattern,
  type Formula,
  type Sheet,
  isPanShape,
  showFraction,
  showQuantity,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { usePreferences } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { setValue, useDraft, newKey } from '../formulas/doors';
import { FormulaField, OnWholeBoard, useAnswer, useFormula, useSet, useSurroundings, Waits } from '../board/doors';
import { type DrawnSheet } from './sheet-plan';
import { goods, goodsOf, goodsWords, makeOf } from './what-is-cut';
import { Ways } from './cut-ways';
import { PartFields } from './part-fields';
import { More } from './sheet-more';
import { t } from '../../platform/words';

/** How the dough is rolled, what is cut of it, and what becomes of the rest. */
export function SheetSettings({ faces, drawn }: { faces: ReactNode; drawn: DrawnSheet | null }) {
  const formula = useFormula();
  const { sheet } = formula;
  const weighed = sheet.parts.every(({ shape }) => shape.kind === 'portion' || shape.kind === 'slice');
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {faces}
      {sheet.laminate === undefined && <Laminating />}
      <Roll massG={drawn?.massG ?? null} weighed={weighed} />
      <Cut drawn={drawn} />
      {!weighed && <Trim />}
      {sheet.cut === undefined || sheet.cut === 'raw' ? (
        <OnWholeBoard>
          <TrayRoom />
        </OnWholeBoard>
      ) : null}
      <Typography variant="h3" sx={{ pt: 2 }}>
        {t('sheet.afterCutting')}
      </Typography>
      <Waits path="/sheet/waits" label={t('sheet.firm')} />
      <OnWholeBoard>
        <More drawn={drawn} />
      </OnWholeBoard>
    </Box>
  );
}

/** A family of layers without any yet: folds as usual, and the largest solid fat is what is folded in. */
function Laminating() {
  const formula = useFormula();
  const { kitchen, pantry } = useSurroundings();
  const family = families[formula.family];
  if (!family || (family.kind !== 'laminated' && !formula.rows.some(({ use }) => use === 'rollIn'))) return null;
  if (!laminated(formula, family, kitchen, pantry)) return null;
  const laminate = (from: Formula) => editsBetween(from, laminated(from, family, kitchen, pantry) ?? from);
  return (
    <Button
      variant="outlined"
      size="small"
      sx={{ justifySelf: 'start' }}
      onClick={() => useDraft.getState().edit(`laminate:${newKey()}`, laminate)}
    >
      {t('sheet.foldTheFatIntoIt')}
    </Button>
  );
}

// What follows is drawn again when its own values change, not at every key that is typed elsewhere on the sheet.
type RollProps = { readonly massG: number | null; readonly weighed: boolean };
const Roll = memo(function Roll({ massG, weighed }: RollProps) {
  const set = useSet();
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  const thicknessMm = useDraft(({ formula }) => formula.sheet.parts[0]!.thicknessMm);
  const bandsMm = useDraft(({ formula }) => formula.sheet.bandsMm);
  const rows = useDraft(({ formula }) => formula.rows);
  const stands = useDraft(({ formula }) => formula.sheet.parts[0]!.body !== undefined);
  const rises = useDraft(({ formula }) => {
    const { shape } = formula.sheet.parts[0]!;
    return shape.kind === 'portion' && (shape.form === 'ball' || shape.form === 'poured');
  });
  const chill = evaluation.chill.state === 'waiting' ? null : evaluation.chill.result;
  const bake = evaluation.bake.state === 'waiting' ? null : evaluation.bake.result;
  const bakedMm = bake?.end.thicknessMm ?? null;
  const dust = rows.filter(({ use }) => use === 'dust').reduce((sum, { amountG }) => sum + amountG, 0);
  return (
    <>
      <Typography variant="h2" sx={{ height: 32 }}>
        {weighed ? t('sheet.divide') : t('sheet.roll2')}
      </Typography>
      {!rises && (
        <FieldRow label={weighed ? t('sheet.stands') : t('common.thickness2')}>
          <Note>{units.length === 'mm' ? t('sheet.thicknessIn', { thickness: showFraction(thicknessMm) }) : ''}</Note>
          <FormulaField path="/sheet/parts/0/thicknessMm" label={t('common.thickness2')} kind="length" grain={0.1} />
        </FieldRow>
      )}
      {bakedMm !== null && !rises && !stands && (
        <FieldRow label={t('sheet.bakedSoHigh')}>
          <QuantityField
            label={t('sheet.heightWhenBaked')}
            kind="length"
            digits={1}
            grain={0.1}
            value={bakedMm}
            onChange={(wanted, visit) =>
              useDraft
                .getState()
                .edit(`baked:${visit}`, setValue('/sheet/parts/0/thicknessMm', roundTo((thicknessMm * wanted) / bakedMm, 0.1)))
            }
          />
        </FieldRow>
      )}
      {!weighed && (
        <FieldRow label={t('sheet.guideBands')}>
          {bandsMm !== undefined && (
            <FormulaField path="/sheet/bandsMm" label={t('sheet.bandHeight')} kind="length" grain={0.1} width={62} />
          )}
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label={t('sheet.guideBands')}
            value={bandsMm === undefined ? 'no' : 'yes'}
            onChange={(_, next: string | null) => next && set('/sheet/bandsMm', next === 'yes' ? thicknessMm : undefined)}
          >
            <ToggleButton value="no">{t('sheet.byEye')}</ToggleButton>
            <ToggleButton value="yes">{t('sheet.bands')}</ToggleButton>
          </ToggleButtonGroup>
        </FieldRow>
      )}
      <Note size="small">
        {massG !== null && showQuantity(massG, 'mass', units, 0)} {t('sheet.ofDough')}
        {chill && t('sheet.atEndmiddle', { endMiddle: showQuantity(chill.endMiddleC, 'temperature', units, 0) })}
        {dust > 0 ? t('sheet.dustOfDustInIt', { dust: showQuantity(dust, 'mass', units) }) : weighed ? '' : t('sheet.rolledBetweenFilm')}
        {chill && !weighed && t('sheet.rollsFor', { over: chill.benchOpenEnded ? t('sheet.over') : '', min: Math.round(chill.benchMin) })}
      </Note>
    </>
  );
});

function Cut({ drawn }: { drawn: DrawnSheet | null }) {
  const later = useDeferredValue(drawn);
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const { edit } = useDraft.getState();
  const what = goodsOf(formula);
  const pan = formula.bake.panId;
  const usesPan = formula.sheet.parts.some(({ shape }) => isPanShape(shape)) || what === 'poured';
  const pieceG = drawn?.plan.pieceDoughG ?? 40;
  return (
    <>
      <Typography variant="h2" sx={{ pt: 2, height: 32 }}>
        {t('sheet.cut')}
      </Typography>
      <Choice
        label={t('sheet.whatIsMadeOfIt')}
        value={what}
        options={goods.map((value) => ({ value, name: goodsWords[value] }))}
        onChange={(next) => next !== what && edit(`goods:${newKey()}`, makeOf(next, pieceG, kitchen))}
        width={336}
      />
      {usesPan && (
        <FieldRow label={t('sheet.for')}>
          <Choice
            label={t('common.pan')}
            value={pan ?? ''}
            options={(kitchen.pans ?? []).map(({ id, name }) => ({ value: id, name }))}
            onChange={(panId) => edit(`pan:${newKey()}`, setValue('/bake/panId', panId))}
            width={220}
          />
        </FieldRow>
      )}
      {formula.sheet.parts.map((part, i) => (
        <PartFields key={part.key} part={part} index={i} what={what} drawn={drawn} />
      ))}
      {what === 'rectangle' || (drawn && isCutShape(formula.sheet.parts[0]!.shape)) ? <Ways drawn={later} /> : null}
    </>
  );
}

/** How far apart pieces lie on the tray: as they spread, until the baker knows better. */
function TrayRoom() {
  const set = useSet();
  const units = usePreferences((state) => state.units);
  const { evaluation } = useAnswer();
  const { trayGapMm, trayEdgeMm } = useDraft(({ formula }) => formula.sheet);
  const result = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result;
  const rows = [
    {
      label: t('sheet.betweenPieces'),
      path: '/sheet/trayGapMm',
      own: trayGapMm,
      usual: result && Math.round(result.gapMm),
      back: t('sheet.asTheySpread'),
    },
    {
      label: t('sheet.edgeOfTheTray'),
      path: '/sheet/trayEdgeMm',
      own: trayEdgeMm,
      usual: result && Math.round(result.edgeMm),
      back: t('sheet.asUsual'),
    },
  ];
  return rows.map(({ label, path, own, usual, back }) => (
    <FieldRow key={path} label={label}>
      {own === undefined ? (
        <Button size="small" disabled={usual === null} onClick={() => set(path, usual!)}>
          {usual === null ? '–' : showQuantity(usual, 'length', units)}
        </Button>
      ) : (
        <>
          <Button size="small" onClick={() => set(path, undefined)}>
            {back}
          </Button>
          <FormulaField path={path} label={label} kind="length" width={62} />
        </>
      )}
    </FieldRow>
  ));
}

const Trim = memo(function Trim() {
  const set = useSet();
  const reroll = useDraft(({ formula }) => formula.sheet.reroll);
  const dockPitchMm = useDraft(({ formula }) => formula.sheet.dockPitchMm);
  const dockPattern = useDraft(({ formula }) => formula.sheet.dockPattern ?? 'inLine');
  return (
    <>
      <FieldRow label={t('sheet.trimEachSide')}>
        <FormulaField path="/sheet/trimMm" label={t('sheet.trim')} kind="length" />
      </FieldRow>
      <FieldRow label={t('sheet.rollTrimAgain')}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('sheet.rollTrimAgain')}
          value={reroll}
          onChange={(_, next: Sheet['reroll'] | null) => next && set('/sheet/reroll', next)}
        >
          <ToggleButton value="no">{t('sheet.no')}</ToggleButton>
          <ToggleButton value="once">{t('sheet.once')}</ToggleButton>
          <ToggleButton value="tillGone">{t('sheet.tillGone')}</ToggleButton>
        </ToggleButtonGroup>
      </FieldRow>
      <FieldRow label={t('sheet.equalSheets')}>
        <FormulaField path="/sheet/lots" label={t('sheet.sheets')} kind="percent" hideUnit digits={0} width={62} />
      </FieldRow>
      <FieldRow label={t('sheet.prick')}>
        {dockPitchMm !== undefined && (
          <>
            {t('sheet.every')} <FormulaField path="/sheet/dockPitchMm" label={t('sheet.prickedEvery')} kind="length" width={62} />
          </>
        )}
        <Button size="small" onClick={() => set('/sheet/dockPitchMm', dockPitchMm === undefined ? 12 : undefined)}>
          {dockPitchMm === undefined ? t('sheet.prickIt') : t('sheet.not')}
        </Button>
      </FieldRow>
      {dockPitchMm !== undefined && (
        <FieldRow label={t('sheet.rowsOfHoles')}>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label={t('sheet.rowsOfHoles')}
            value={dockPattern}
            onChange={(_, next: DockPattern | null) => next && set('/sheet/dockPattern', next)}
          >
            <ToggleButton value="inLine">{t('sheet.inLine')}</ToggleButton>
            <ToggleButton value="staggered">{t('sheet.staggered')}</ToggleButton>
          </ToggleButtonGroup>
        </FieldRow>
      )}
    </>
  );
});
