import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { doubtCode, learningDoubts, type LearningDoubt, showDuration } from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { notify } from '../../../platform/notices';
import { useAddEvents } from '../api';
import { t } from '../../../platform/words';

/** What of a bake cannot be as it stands: nothing is learned from it until its baker says that it was so. Nothing where there is none. */
export function Doubted({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const add = useAddEvents(bake.id);
  const doubts = learningDoubts(version.formula, bake.events, bake.steps);
  if (doubts.length === 0) return null;
  const itWasSo = () =>
    add.mutate(
      [...new Set(doubts.map(doubtCode))].map((code) => ({
        id: crypto.randomUUID(),
        at: new Date().toISOString(),
        what: { kind: 'confirmed' as const, code, reason: t('bakes.theBakerSaysSo') },
      })),
      { onSuccess: () => notify(t('bakes.countedTheKitchenLearnsFromThisBake')) },
    );
  return (
    <Alert
      severity="info"
      sx={{ mb: 4 }}
      action={
        <Button color="inherit" size="small" onClick={itWasSo} disabled={add.isPending}>
          {t('bakes.itWasSoLearnFromIt')}
        </Button>
      }
    >
      {t('bakes.doubtsSoNothingIsLearnedFromThis', { doubts: doubts.map(doubtWords).join(' ') })}
      {add.isError && t('bakes.notStoredMessage', { message: add.error.message })}
    </Alert>
  );
}

function doubtWords(doubt: LearningDoubt): string {
  if (doubt.code === 'minutes')
    return t('bakes.minInTheOvenPlannedPlannedIt', { min: showDuration(doubt.min), planned: showDuration(doubt.plannedMin) });
  return doubt.tookMin < 0.5
    ? t('bakes.aWaitOfPlannedWasSkipped', { planned: showDuration(doubt.plannedMin) })
    : t('bakes.aWaitOfPlannedTookTook', { planned: showDuration(doubt.plannedMin), took: showDuration(doubt.tookMin) });
}
