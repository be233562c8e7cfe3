import { useEffect } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { evaluate, hiddenKitchen, type Course, type StepProgress } from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { benchNow } from '../../../platform/bench-clock';
import type { RunInHand } from '../keeping/use-run';
import { hasBluetooth } from './real';
import { simulatedProbe } from './simulated';
import { closeProbe, openProbe, useDevices } from './use-devices';
import { t } from '../../../platform/words';

/** Which thermometer is read. The stand-in lives in a kitchen whose oven and flour are not quite what was planned. */
export function ProbePanel({ run, progress }: { run: RunInHand; progress: StepProgress }) {
  const voice = useVoice();
  const { probe, probeC, problem } = useDevices();
  const small = { minHeight: 48, fontSize: typeSize.action } as const;
  useEffect(() => () => void closeProbe(), [progress.step.key]);
  const simulate = () => {
    const course = courseOf(run, progress);
    void openProbe(simulatedProbe(() => course));
  };
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', fontSize: typeSize.action, color: 'text.secondary' }}>
      {problem ??
        (probe === 'on' && probeC !== null
          ? t('runs.probeProbe', { probe: voice.exact(probeC, 'temperature') })
          : probe === 'lost'
            ? t('runs.thermometerLost')
            : t('runs.noThermometerIsRead'))}
      {hasBluetooth() && probe !== 'on' && (
        <Button variant="outlined" sx={small} onClick={() => void openProbe()}>
          {t('runs.bluetoothThermometer')}
        </Button>
      )}
      {probe !== 'on' && (
        <Button variant="outlined" sx={small} onClick={simulate}>
          {t('runs.simulatedProbe')}
        </Button>
      )}
      {probe === 'on' && (
        <Button variant="text" sx={small} onClick={() => void closeProbe()}>
          {t('runs.takeItOut')}
        </Button>
      )}
    </Box>
  );
}

/** A number of its own for each run, so that the same run hides the same kitchen after a reload. */
const seedOf = (id: string): number => [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 2147483647, 7);

/** Where the probe is along what really happens, by the hidden kitchen. */
function courseOf(run: RunInHand, { step }: StepProgress): { course: Course; atMin: number; roomC: number } {
  const { kitchen } = hiddenKitchen(run.kitchen, run.formula.blend.name, seedOf(run.run.id));
  const roomC = run.kitchen.roomC;
  const evaluation = evaluate(run.formula, kitchen, run.pantry);
  const flat = (atC: number) => ({ course: { min: [0], atC: [atC] }, atMin: 0, roomC });
  if (step.stage === 'chill' && evaluation.chill.state !== 'waiting') {
    const { curve, outMin } = evaluation.chill.result;
    return { course: { min: curve.min, atC: curve.middleC }, atMin: outMin, roomC };
  }
  if (step.stage === 'bake' && evaluation.bake.state !== 'waiting') {
    const { curve } = evaluation.bake.result;
    const door = run.state.steps.find((one) => one.step.key === `in:${step.load}`)?.endedAt;
    return { course: { min: curve.min, atC: curve.coldestC }, atMin: door ? (benchNow() - door) / 60_000 : curve.min.at(-1)!, roomC };
  }
  return flat(run.formula.doughAtC);
}
