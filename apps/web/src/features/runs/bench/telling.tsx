import Box from '@mui/material/Box';
import { type StepProgress } from '@north-leaf/core';
import { stepWords } from '@north-leaf/words';
import { useVoice } from '../../../platform/preferences';
import { bench } from './bench-style';

/** What to do, how far, what it looks like when it is right, and why. */
export function Telling({ progress }: { progress: StepProgress }) {
  const voice = useVoice();
  const { how, sign, why } = stepWords(progress.step, voice);
  return (
    <Box sx={{ display: 'grid', gap: 2, ...bench.text }}>
      {how && <Box sx={{ fontSize: '1.35em', lineHeight: '1.3em', fontWeight: 600 }}>{how}</Box>}
      {sign && <Box>{sign}</Box>}
      {why && <Box sx={{ color: 'text.secondary' }}>{why}</Box>}
    </Box>
  );
}
