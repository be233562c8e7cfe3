import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { compositionFields, type Composition, type NumberField } from '@north-leaf/core';
import { NutritionPanel, type TypedPanel } from '../../../../ui/form/nutrition-panel';
import { Note } from '../../../../ui/frame/note';
import { typeSize } from '../../../../ui/theme/theme';
import { t } from '../../../../platform/words';
import type { ReadPanel } from './of-panel';

type Props = {
  readonly panel: TypedPanel;
  readonly onChange: (panel: TypedPanel) => void;
  /** null: nothing is typed yet. */ readonly read: ReadPanel | null;
  /** Whether to say what is wrong: once somebody tried to store it. */ readonly tried: boolean;
  /** What what is not printed is taken from. */ readonly usualOf: string;
  readonly onByParts: () => void;
};

/** What the label prints; what it does not print is worked out and shown. */
export function FromItsPanel({ panel, onChange, read, tried, usualOf, onByParts }: Props) {
  const problem = tried && read && !read.ok ? read : null;
  return (
    <Box component="section" aria-label={t('pantry.fromItsPanel')} sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h2">{t('pantry.fromItsPanel')}</Typography>
      <NutritionPanel
        panel={panel}
        onChange={onChange}
        problem={problem?.nutrient ? { nutrient: problem.nutrient, message: problem.message } : undefined}
      />
      {problem && !problem.nutrient && <Alert severity="error">{problem.message}</Alert>}
      {read?.ok ? <WorkedOut read={read} usualOf={usualOf} /> : <Note>{t('pantry.panelAsPrinted')}</Note>}
      <Button onClick={onByParts} sx={{ justifySelf: 'start' }}>
        {t('pantry.iKnowItsParts')}
      </Button>
    </Box>
  );
}

/** `Fat, of it saturated` */
function nameOf(part: keyof Composition): string {
  const { name = part, within }: NumberField = compositionFields[part];
  return within === undefined ? name : `${compositionFields[within as keyof Composition].name}, ${name}`;
}

/** What no label prints, and whether its energy agrees with the rest. */
function WorkedOut({ read: { guessed, energy }, usualOf }: { readonly read: ReadPanel & { readonly ok: true }; readonly usualOf: string }) {
  const shown = (share: number) => `${(share * 100).toFixed(1)} %`;
  return (
    <Box role="status" sx={{ display: 'grid', gap: 1, fontSize: typeSize.small }}>
      <b>{t('pantry.workedOutNotOnTheLabel')}</b>
      <Box component="ul" sx={{ m: 0, pl: 5 }}>
        {guessed
          .filter(({ share }) => share >= 0.0005)
          .map(({ part, share, from, offShare }) => (
            <li key={part}>
              {nameOf(part)} {shown(share)}:{' '}
              {from === 'leftOver' ? t('pantry.whatIsLeftOver', { off: shown(offShare ?? 0) }) : t('pantry.asUsualOf', { usualOf })}
            </li>
          ))}
      </Box>
      {energy && !energy.fits && (
        <Alert severity="warning">
          {t('pantry.energyDoesNotFit', { printed: Math.round(energy.printedKcal), worked: Math.round(energy.workedKcal) })}
        </Alert>
      )}
    </Box>
  );
}
