import { type ReactNode } from 'react';
import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { type Fold, type Laminate, type LaminateStep, showDuration, showQuantity } from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { usePreferences } from '../../../platform/preferences';
import { Choice } from '../../../ui/form/choice';
import { FieldRow } from '../../../ui/form/field-row';
import { useDraft, newKey } from '../../formulas/doors';
import { FormulaField, useFormula, useSet, useSurroundings, Waits } from '../../board/doors';
import { foldWords, useLaminate, useShownStep } from './laminate-view';
import { t } from '../../../platform/words';
import { Sentence } from '../../../ui/words/sentence';
import type { LaminateResult } from '@north-leaf/core';

const lockInWords: Readonly<Record<Laminate['lockIn'], string>> = {
  envelope: t('sheet.envelope'),
  halfBook: t('sheet.halfBook'),
  twoThirds: t('sheet.fatOnTwoThirds'),
  inverse: t('sheet.inverseFatOutside'),
};
/** Lock-in, folds and rests, in the order of the hands. */
export function FoldTable({ faces }: { faces: ReactNode }) {
  const formula = useFormula();
  const set = useSet();
  const result = useLaminate();
  const shown = useShownStep((state) => state.at);
  const { edit } = useDraft.getState();
  const { kitchen } = useSurroundings();
  const plan = formula.sheet.laminate!;
  const add = () => {
    const last = plan.folds[plan.folds.length - 1];
    const cold = kitchen.places.find(({ kind }) => kind === 'fridge');
    const fold: Fold = last ?? { parts: 3, rollToMm: 6, waits: cold ? [{ placeId: cold.id, min: 30 }] : [] };
    edit(`fold:${newKey()}`, () => [{ path: `/sheet/laminate/folds/${plan.folds.length}`, to: fold as never }]);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {faces}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', height: 32 }}>
        <Typography variant="h2">{t('sheet.folds')}</Typography>
        <Button size="small" variant="outlined" startIcon={<AddIcon />} disabled={plan.folds.length >= 8} onClick={add}>
          {t('sheet.fold')}
        </Button>
      </Box>
      <FieldRow label={t('sheet.lockIn')}>
        <Choice
          label={t('sheet.lockIn')}
          value={plan.lockIn}
          options={Object.entries(lockInWords).map(([value, name]) => ({ value: value as Laminate['lockIn'], name }))}
          onChange={(lockIn) => set('/sheet/laminate/lockIn', lockIn)}
          width={170}
        />
      </FieldRow>
      <StepLine step={result?.steps[0]} title={t('sheet.lockIn')} chosen={shown === 0} onChoose={() => useShownStep.setState({ at: 0 })}>
        <Profile layers={result?.steps[0]?.fatLayers ?? 1} parts={1} />
      </StepLine>
      {plan.folds.map((fold, i) => (
        <OneFold key={i} fold={fold} i={i} />
      ))}
      <LastRoll />
      <FieldRow label={t('sheet.doughWhenFatGoesIn')}>
        <FormulaField path="/sheet/laminate/doughMm" label={t('sheet.doughThickness')} kind="length" width={62} />
      </FieldRow>
      <FieldRow label={t('sheet.bareBorder')}>
        <FormulaField path="/sheet/laminate/borderMm" label={t('sheet.border')} kind="length" width={62} />
      </FieldRow>
      <FieldRow label={t('sheet.markTheFarEdge')}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('sheet.markTheFarEdge')}
          value={plan.mark ? 'yes' : 'no'}
          onChange={(_, next: string | null) => next && set('/sheet/laminate/mark', next === 'yes' ? true : undefined)}
        >
          <ToggleButton value="yes">{t('sheet.yes')}</ToggleButton>
          <ToggleButton value="no">{t('sheet.no')}</ToggleButton>
        </ToggleButtonGroup>
      </FieldRow>
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => set('/sheet/laminate', undefined)}>
        {t('sheet.notLaminated')}
      </Button>
      {result && <InAll result={result} />}
    </Box>
  );
}

/** One fold: its parts, how thin it is rolled, its rests. */
function OneFold({ fold, i }: { readonly fold: Fold; readonly i: number }) {
  const step = useLaminate()?.steps[i + 1];
  const shown = useShownStep((state) => state.at);
  const { palette } = useTheme();
  const { edit } = useDraft.getState();
  const set = useSet();
  return (
    <Box sx={{ borderTop: `1px solid ${palette.divider}`, pt: 1 }}>
      <StepLine
        step={step}
        title={t('sheet.foldI', { i: i + 1 })}
        chosen={shown === i + 1}
        onChoose={() => useShownStep.setState({ at: i + 1 })}
        onRemove={() => edit(`unfold:${newKey()}`, () => [{ path: `/sheet/laminate/folds/${i}`, from: fold as never }])}
      >
        <Profile layers={step?.fatLayers ?? 1} parts={fold.parts} />
      </StepLine>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', py: 0.5, fontSize: typeSize.small }}>
        <Choice
          label={t('sheet.foldIParts', { i: i + 1 })}
          value={fold.parts}
          options={([2, 3, 4] as const).map((value) => ({ value, name: foldWords[value] }))}
          onChange={(parts) => set(`/sheet/laminate/folds/${i}/parts`, parts)}
          width={132}
        />
        {t('sheet.rolledTo')}
        <FormulaField
          path={`/sheet/laminate/folds/${i}/rollToMm`}
          label={t('sheet.foldIRolledTo', { i: i + 1 })}
          kind="length"
          grain={0.5}
          width={54}
        />
      </Box>
      <Waits path={`/sheet/laminate/folds/${i}/waits`} label={t('sheet.restI', { i: i + 1 })} />
    </Box>
  );
}

/** The last roll of all. */
function LastRoll() {
  const result = useLaminate();
  const shown = useShownStep((state) => state.at);
  const { palette } = useTheme();
  return (
    <Box sx={{ borderTop: `1px solid ${palette.divider}`, pt: 1 }}>
      <StepLine
        step={result?.steps[result.steps.length - 1]}
        title={t('sheet.lastRoll')}
        chosen={shown === null}
        onChoose={() => useShownStep.setState({ at: null })}
      >
        <Profile layers={result?.layers.fatLayers ?? 1} parts={1} />
      </StepLine>
      <FieldRow label={t('common.rolledTo')}>
        <FormulaField path="/sheet/parts/0/thicknessMm" label={t('sheet.lastSheet')} kind="length" grain={0.1} />
      </FieldRow>
    </Box>
  );
}

/** Hours, hands and fat of the whole lamination. */
function InAll({ result }: { readonly result: LaminateResult }) {
  const units = usePreferences((state) => state.units);
  return (
    <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 2, display: 'flex', gap: 3, flexWrap: 'wrap', fontSize: typeSize.small }}>
      <span>
        <Sentence say="sheet.totalInAll" values={{ total: showDuration(result.totalMin) }} />
      </span>
      <span>
        <Sentence say="sheet.handsOn" values={{ hands: showDuration(result.handsMin) }} />
      </span>
      <span>
        <Sentence
          say="sheet.fatFatOfblendOfTheBlendOfdough"
          values={{
            fat: showQuantity(result.fatG, 'mass', units, 0),
            ofBlend: Math.round(result.rollIn.ofBlend * 100),
            ofDough: Math.round(result.rollIn.ofDough * 100),
            ofAll: Math.round(result.rollIn.ofAll * 100),
          }}
        />
      </span>
    </Box>
  );
}

type StepLineProps = {
  readonly step: LaminateStep | undefined;
  readonly title: string;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onRemove?: () => void;
  readonly children: ReactNode;
};
function StepLine({ step, title, chosen, onChoose, onRemove, children }: StepLineProps) {
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '58px 1fr 40px auto 28px',
        alignItems: 'center',
        gap: 1,
        minHeight: 38,
        borderRadius: '6px',
        bgcolor: chosen ? palette.leaf.firSoft : undefined,
        fontSize: typeSize.small,
      }}
    >
      {children}
      <Button
        size="small"
        onClick={onChoose}
        aria-pressed={chosen}
        sx={{ justifyContent: 'flex-start', minHeight: 30, p: 0, fontWeight: 650, color: 'text.primary' }}
      >
        {title}
      </Button>
      <Box title={t('sheet.layersOfFat')} sx={{ fontWeight: 680, textAlign: 'right' }}>
        {step?.fatLayers ?? '–'}
      </Box>
      <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap', color: 'text.secondary', fontSize: typeSize.caption }}>
        {step && `${showQuantity(step.fromC, 'temperature', units, 0)} → ${showQuantity(step.toC, 'temperature', units, 0)}`}
        <br />
        {step && t('sheet.atAt', { at: showDuration(step.atMin) })}
      </Box>
      {onRemove ? (
        <IconButton size="small" aria-label={t('sheet.removeTitle', { title })} onClick={onRemove}>
          <CloseIcon fontSize="inherit" />
        </IconButton>
      ) : (
        <span />
      )}
    </Box>
  );
}

/** How the packet is folded, seen from its end. Not to scale. */
function Profile({ layers, parts }: { layers: number; parts: number }) {
  const { palette } = useTheme();
  const each = Math.max(1, Math.min(4, Math.round(layers / parts)));
  const H = 30;
  const ply = (H - 4) / parts;
  return (
    <svg width="54" height={H} viewBox={`0 0 54 ${H}`} aria-hidden="true">
      {Array.from({ length: parts }, (_, i) => (
        <g key={i} transform={`translate(0 ${2 + i * ply})`}>
          <rect x="8" width="38" height={ply - 1} fill={palette.leaf.doughPale} />
          {Array.from({ length: each }, (_, k) => (
            <rect
              key={k}
              x="8"
              y={((k + 0.6) * (ply - 1)) / each}
              width="38"
              height={Math.max(0.8, (ply - 1) / each / 2.6)}
              fill={palette.make.fat}
            />
          ))}
          {i < parts - 1 && (
            <path
              d={i % 2 === 0 ? `M46 ${ply / 2} a6 ${ply / 2} 0 0 1 0 ${ply}` : `M8 ${ply / 2} a6 ${ply / 2} 0 0 0 0 ${ply}`}
              fill="none"
              stroke={palette.leaf.edge}
              strokeWidth="1.6"
            />
          )}
        </g>
      ))}
    </svg>
  );
}
