import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { doubtCode, learningDoubts, type LearningDoubt, showDuration } from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { notify } from '../../../platform/notices';
import { useAddEvents } from '../api';

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
        what: { kind: 'confirmed' as const, code, reason: 'The baker says that it was so' },
      })),
      { onSuccess: () => notify('Counted: the kitchen learns from this bake too.') },
    );
  return (
    <Alert
      severity="info"
      sx={{ mb: 4 }}
      action={
        <Button color="inherit" size="small" onClick={itWasSo} disabled={add.isPending}>
          It was so: learn from it
        </Button>
      }
    >
      {doubts.map(doubtWords).join(' ')} So nothing is learned from this bake.
      {add.isError && ` Not stored: ${add.error.message}`}
    </Alert>
  );
}

function doubtWords(doubt: LearningDoubt): string {
  if (doubt.code === 'minutes')
    return `${showDuration(doubt.min)} in the oven, ${showDuration(doubt.plannedMin)} planned: it can hardly have baked so.`;
  return doubt.tookMin < 0.5
    ? `A wait of ${showDuration(doubt.plannedMin)} was skipped.`
    : `A wait of ${showDuration(doubt.plannedMin)} took ${showDuration(doubt.tookMin)}.`;
}
