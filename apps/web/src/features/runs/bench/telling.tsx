import Box from '@mui/material/Box';
import { type RunStep, type StepProgress } from '@north-leaf/core';
import { stepWords } from '@north-leaf/words';
import { useVoice } from '../../../platform/preferences';
import { SizeDrawing } from '../../../ui/drawing/size-drawing';
import { bench } from './bench-style';

/** What to do, how far, what it looks like when it is right, and why. */
export function Telling({ progress }: { progress: StepProgress }) {
  const voice = useVoice();
  const { how, sign, why } = stepWords(progress.step, voice);
  return (
    <Box sx={{ display: 'grid', gap: 2, ...bench.text }}>
      {how && <Box sx={{ fontSize: '1.35em', lineHeight: '1.3em', fontWeight: 600 }}>{how}</Box>}
      <Drawn step={progress.step} />
      {sign && <Box>{sign}</Box>}
      {why && <Box sx={{ color: 'text.secondary' }}>{why}</Box>}
    </Box>
  );
}

/** Where a size matters: what is rolled, folded, flattened, pressed or cut out. */
const sized: ReadonlySet<RunStep['what']> = new Set([
  'flattenFat',
  'lockIn',
  'fold',
  'lastRoll',
  'roll',
  'pat',
  'spreadThin',
  'cut',
  'windows',
]);

function Drawn({ step: { what, widthMm, lengthMm, parts, form } }: { readonly step: RunStep }) {
  // A heart or a hexagon is no circle: its cutter says what it is.
  if (!sized.has(what) || widthMm === undefined || (lengthMm === undefined && form !== undefined && form !== 'round')) return null;
  return <SizeDrawing {...{ widthMm, lengthMm, parts }} />;
}
