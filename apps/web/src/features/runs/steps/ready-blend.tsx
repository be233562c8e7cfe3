import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { benchGrams } from '@north-leaf/core';
import { readNumber } from '../../bakes/doors';
import { bench } from '../bench/bench-style';
import type { Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';

/** A blend that was mixed before is weighed in one; each of its flours is noted by its own key, in its share. */
export function ReadyBlend({ run, advance }: { run: RunInHand; advance: Advance }) {
  const [text, setText] = useState<string | null>(null);
  const steps = run.state.steps.filter(({ step, state }) => step.stage === 'blend' && step.kind === 'weigh' && state === 'todo');
  const untouched = run.state.steps.every(({ step, weighedG }) => step.stage !== 'blend' || weighedG === 0);
  const plannedG = steps.reduce((sum, { step }) => sum + (step.amountG ?? 0), 0);
  if (!untouched || steps.length < 2) return null;
  const grams = text === null ? undefined : readNumber(text);
  const wrong = text !== null && text.trim() !== '' && (grams === undefined || grams <= 0 || grams > 100000);
  const store = async () => {
    if (grams === undefined || wrong) return;
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
        Blend is ready, {benchGrams(plannedG)} g in one
      </Button>
    );
  return (
    <Box sx={{ flexBasis: '100%', display: 'flex', gap: 3, alignItems: 'flex-start', flexWrap: 'wrap' }}>
      <TextField
        autoFocus
        label="Ready blend in g"
        value={text}
        error={wrong}
        helperText={wrong ? 'A weight is a number above 0, at most 100000 g' : `planned ${benchGrams(plannedG)} g`}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={({ key }) => key === 'Enter' && void store()}
        slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { fontSize: 30, height: 48, width: 170 } } }}
      />
      <Button variant="contained" sx={bench.button} disabled={grams === undefined || wrong} onClick={() => void store()}>
        It is in
      </Button>
    </Box>
  );
}
