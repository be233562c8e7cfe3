import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { nutrientsOf, type LabelNutrient, type LabelPanelRow, type LabelRule } from '@north-leaf/core';
import { t } from '../../platform/words';

export const nutrientWords: Record<LabelNutrient, string> = {
  energyKcal: t('ui.energyKcal'),
  fat: t('ui.fatG'),
  saturatedFat: t('ui.saturatedG'),
  carbohydrate: t('ui.carbohydrateG'),
  sugars: t('ui.sugarsG'),
  fibre: t('ui.fibreG'),
  protein: t('ui.proteinG'),
  sodiumMg: t('ui.sodiumMg'),
  salt: t('ui.saltG'),
};

export const typedNumber = (typed: string): number => Number(typed.trim().replace(',', '.'));

export type Printed = LabelPanelRow;

/** The panel as it was typed: `< 1` for less than one, units left out or not; what is not there is left out. */
export const printedOf = (rule: LabelRule, panel: Readonly<Partial<Record<LabelNutrient, string>>>): readonly Printed[] =>
  nutrientsOf(rule).flatMap((nutrient) => {
    const typed = (panel[nutrient] ?? '').trim().replace(',', '.');
    const lessThan = typed.startsWith('<');
    const value = Number(
      typed
        .replace(/^</, '')
        .replace(/k?cal|mg|g/gi, '')
        .trim(),
    );
    return typed === '' ? [] : [{ nutrient, printed: value, ...(lessThan ? { lessThan: true as const } : {}) }];
  });

/** A panel as it is being typed. */
export type TypedPanel = {
  readonly rule: LabelRule;
  /** What its numbers are about, g: a serving, or 100. */ readonly basis: string;
  readonly typed: Readonly<Partial<Record<LabelNutrient, string>>>;
};
/** A panel before anything is typed: a US one is about a serving. */
export const emptyPanel = (rule: LabelRule): TypedPanel => ({ rule, basis: rule === 'us' ? '30' : '100', typed: {} });

type Props = {
  readonly panel: TypedPanel;
  readonly onChange: (panel: TypedPanel) => void;
  /** What is wrong with a number of it. */ readonly problem?: { readonly nutrient: LabelNutrient; readonly message: string } | undefined;
};

/** A nutrition panel as it is printed: whose rules, about how much, and every number of it. */
export function NutritionPanel({ panel, onChange, problem }: Props) {
  const { rule, basis, typed } = panel;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', mt: 2 }}>
        <ToggleButtonGroup
          exclusive
          value={rule}
          onChange={(_, next: LabelRule | null) => next && onChange({ ...emptyPanel(next), typed })}
          aria-label={t('ui.whosePanel')}
        >
          <ToggleButton value="us">{t('ui.usPanel')}</ToggleButton>
          <ToggleButton value="eu">{t('ui.euPanel')}</ToggleButton>
        </ToggleButtonGroup>
        <TextField
          size="small"
          label={rule === 'us' ? t('ui.servingG') : t('ui.perG')}
          value={basis}
          onChange={(event) => onChange({ ...panel, basis: event.target.value })}
          sx={{ width: 110 }}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
        {nutrientsOf(rule).map((nutrient) => (
          <TextField
            key={nutrient}
            size="small"
            label={nutrientWords[nutrient]}
            value={typed[nutrient] ?? ''}
            error={problem?.nutrient === nutrient}
            helperText={problem?.nutrient === nutrient ? problem.message : undefined}
            onChange={(event) => onChange({ ...panel, typed: { ...typed, [nutrient]: event.target.value } })}
            slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
          />
        ))}
      </Box>
    </>
  );
}
