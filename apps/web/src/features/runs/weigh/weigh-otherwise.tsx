import type { Weighing } from './use-weighing';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { type StepProgress, unitOf } from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { ReadyBlend } from './ready-blend';
import { Swap } from './swap';
import { bench } from '../bench/bench-style';
import { type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** No scale: the weight by hand. */
export function TypedWeight({ weighing }: { readonly weighing: Weighing }) {
  const voice = useVoice();
  const { typing, typedProblem, setTyping, takeTyped, reads, lot, wantedG, fromThisBag } = weighing;
  return (
    <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
      <TextField
        autoFocus
        label={t('runs.weightInValue', { value: unitOf('mass', voice.units) })}
        value={typing}
        error={typedProblem !== null}
        helperText={typedProblem ?? ' '}
        onChange={({ target }) => setTyping(target.value)}
        onKeyDown={({ key }) => {
          if (key === 'Enter') takeTyped();
          if (key === 'Escape') setTyping(null);
        }}
        slotProps={{
          htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { fontSize: typeSize.remaining, height: 48, width: 150 } },
        }}
      />
      <Button variant="contained" sx={bench.button} disabled={reads === undefined || typedProblem !== null} onClick={takeTyped}>
        {t('runs.itIsIn')}
      </Button>
      {lot.more && (
        <Button
          variant="outlined"
          sx={bench.button}
          disabled={reads === undefined || typedProblem !== null || reads >= wantedG}
          onClick={() => {
            void fromThisBag(reads!, lot.chosen?.id);
            lot.more!();
          }}
        >
          {t('runs.thisBagIsEmpty')}
        </Button>
      )}
    </Box>
  );
}

/** Next was pressed before the weight was right: a second press means it. */
export function PressedTooEarly({ weighing }: { readonly weighing: Weighing }) {
  const voice = useVoice();
  const { keep, live, pour, wantedG } = weighing;
  return (
    <Box role="status" sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap', ...bench.text }}>
      <Button variant="contained" sx={bench.button} onClick={() => void keep(live ? Math.max(0, pour.netG) : wantedG)}>
        {live
          ? t('runs.keepNet', { net: voice.show(Math.max(0, pour.netG), 'mass') })
          : t('runs.inAsPlannedWanted', { wanted: voice.show(wantedG, 'mass') })}
      </Button>
      {t('runs.orPressNextAgain')}
    </Box>
  );
}

/** So far off that it may be a slip. */
export function FarFromPlanned({
  weighing,
  far,
  progress,
}: {
  readonly weighing: Weighing;
  readonly far: number;
  readonly progress: StepProgress;
}) {
  const voice = useVoice();
  const { step, wantedG, setFar, keep } = weighing;
  return (
    <Box role="alert" sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap', ...bench.text }}>
      <b>
        {t('runs.weighedOfAmountWord', {
          weighed: voice.bare(progress.weighedG + far, 'mass'),
          amount: voice.show(step.amountG ?? 0, 'mass'),
          word: far < wantedG ? t('runs.wasItForgotten') : t('runs.soMuchMore'),
        })}
      </b>
      <Button variant="contained" sx={bench.button} onClick={() => setFar(null)}>
        {t('runs.weighItAgain')}
      </Button>
      <Button variant="outlined" sx={bench.button} onClick={() => void keep(far)}>
        {t('runs.itIsReallyWeighed', { weighed: voice.show(progress.weighedG + far, 'mass') })}
      </Button>
    </Box>
  );
}

/** What else can be done at this row. */
export function OtherWays({
  weighing,
  advance,
  progress,
  run,
}: {
  readonly weighing: Weighing;
  readonly advance: Advance;
  readonly progress: StepProgress;
  readonly run: RunInHand;
}) {
  const { setTyping, live, pour, wantedG, toleranceG, step, lot } = weighing;
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
      <Button variant="outlined" sx={bench.button} onClick={() => setTyping((before) => (before === null ? '' : null))}>
        {t('runs.typeIt2')}
      </Button>
      {live && <ScaleToThis run={run} progress={progress} netG={pour.netG} wantedG={wantedG} toleranceG={toleranceG} />}
      {step.stage === 'blend' && <ReadyBlend run={run} advance={advance} />}
      <Swap run={run} progress={progress} />
      {lot.choice}
    </Box>
  );
}

/** Too much is in: take it out again, or make the rest fit. */
export function Over({
  run,
  progress,
  netG,
  onKeep,
}: {
  run: RunInHand;
  progress: StepProgress;
  netG: number;
  onKeep: () => Promise<void>;
}) {
  const planned = (progress.step.amountG ?? 0) / run.state.factor;
  const factor = (progress.weighedG + netG) / planned;
  return (
    <Box role="status" sx={{ display: 'grid', gap: 2, ...bench.text }}>
      <b>{t('runs.takeItOutOrMakeTheRest')}</b>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          sx={bench.button}
          onClick={async () => {
            await run.say({ what: { kind: 'scaled', factor } });
            await onKeep();
          }}
        >
          {t('runs.scaleTheRestFactor', { factor: factor.toFixed(3) })}
        </Button>
        <Button variant="outlined" sx={bench.button} onClick={() => void onKeep()}>
          {t('runs.leaveItIn')}
        </Button>
      </Box>
    </Box>
  );
}

/** There is no more of it: the batch gets as large as this allows. Only as long as nothing else was weighed for more. */
function ScaleToThis({
  run,
  progress,
  netG,
  wantedG,
  toleranceG,
}: {
  run: RunInHand;
  progress: StepProgress;
  netG: number;
  wantedG: number;
  toleranceG: number;
}) {
  const others = run.state.steps.some(({ step, weighedG }) => step.key !== progress.step.key && weighedG > 0);
  if (others || netG <= 0 || wantedG - netG <= toleranceG) return null;
  const factor = ((progress.weighedG + netG) / (progress.step.amountG ?? 1)) * run.state.factor;
  return (
    <Button variant="outlined" sx={bench.button} onClick={() => void run.say({ what: { kind: 'scaled', factor } })}>
      {t('runs.scaleToWhatIHave')}
    </Button>
  );
}
