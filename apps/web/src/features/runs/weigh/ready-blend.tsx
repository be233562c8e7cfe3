import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { unitOf } from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { readMass } from '../../../ui/form/typed-mass';
import { useVoice } from '../../../platform/preferences';
import { bench } from '../bench/bench-style';
import type { Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** A blend that was mixed before is weighed in one; each of its flours is noted by its own key, in its share. */
export function ReadyBlend({ run, advance }: { run: RunInHand; advance: Advance }) {
  const voice = useVoice();
  const [text, setText] = useState<string | null>(null);
  const steps = run.state.steps.filter(({ step, state }) => step.stage === 'blend' && step.kind === 'weigh' && state === 'todo');
  const untouched = run.state.steps.every(({ step, weighedG }) => step.stage !== 'blend' || weighedG === 0);
  const plannedG = steps.reduce((sum, { step }) => sum + (step.amountG ?? 0), 0);
  if (!untouched || steps.length < 2) return null;
  const { g: grams, problem } = readMass(text ?? '', voice, { above0: true });
  const store = async () => {
    if (grams === undefined) return;
    await run.say(
      ...steps.flatMap(({ step }) => [
        { stepKey: step.key, what: { kind: 'weighed' as const, rowKey: step.rowKey!, addedG: (grams * (step.amountG ?? 0)) / plannedG } },
        { stepKey: step.key, what: { kind: 'stepEnded' as const } },
      ]),
    );
    advance.forward();
  };
  if (text === null)
    return (
      <Button variant="outlined" sx={bench.button} onClick={() => setText('')}>
        {t('runs.blendIsReadyPlannedInOne', { planned: voice.show(plannedG, 'mass') })}
      </Button>
    );
  return (
    <Box sx={{ flexBasis: '100%', display: 'flex', gap: 3, alignItems: 'flex-start', flexWrap: 'wrap' }}>
      <TextField
        autoFocus
        label={t('runs.readyBlendInValue', { value: unitOf('mass', voice.units) })}
        value={text}
        error={problem !== null}
        helperText={problem ?? t('runs.plannedPlanned', { planned: voice.show(plannedG, 'mass') })}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={({ key }) => key === 'Enter' && void store()}
        slotProps={{
          htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { fontSize: typeSize.remaining, height: 48, width: 170 } },
        }}
      />
      <Button variant="contained" sx={bench.button} disabled={grams === undefined} onClick={() => void store()}>
        {t('runs.itIsIn')}
      </Button>
    </Box>
  );
}
