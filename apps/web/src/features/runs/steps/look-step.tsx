import { useState } from 'react';
import Box from '@mui/material/Box';
import { type StepProgress, type AgainstWord } from '@north-leaf/core';
import { stepWords } from '@north-leaf/words';
import { useVoice } from '../../../platform/preferences';
import { crustTones, typeSize, under } from '../../../ui/theme/theme';
import { Answers } from '../bench/answers';
import { bench } from '../bench/bench-style';
import { leftWords } from '../bench/bench-words';
import { HoldButton } from '../bench/hold-button';
import { planLooksLeft } from './looks-left';
import { ToneChoice } from '../bench/tone-choice';
import { useNow } from '../../../platform/use-now';
import { useNext, type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

type Props = { readonly run: RunInHand; readonly progress: StepProgress; readonly advance: Advance };

/** The door is opened: is it as it should be? */
export function LookStep({ run, progress, advance }: Props) {
  const now = useNow(250);
  const voice = useVoice();
  const { step } = progress;
  const [tone, setTone] = useState<number | undefined>(undefined);
  const door = run.state.steps.find((one) => one.step.key === step.since);
  const at = (door?.endedAt ?? door?.beganAt ?? now) + (step.min ?? 0) * 60_000;
  const early = at - now > 30_000;
  const { sign, why } = stepWords(step, voice);
  const tell = async (against: AgainstWord) => {
    await run.say(
      { stepKey: step.key, what: { kind: 'looked', against, ...(tone === undefined ? {} : { topTone: tone }) } },
      { stepKey: step.key, what: { kind: 'stepEnded' } },
    );
    void planLooksLeft(run, step, against, tone);
    advance.forward();
  };
  const out = async () => {
    const left = run.state.steps.filter(
      (one) =>
        one.state === 'todo' &&
        one.step.load === step.load &&
        (one.step.what === 'inOven' || one.step.what === 'look' || one.step.what === 'nextSetting'),
    );
    await run.say(...left.map((one) => ({ stepKey: one.step.key, what: { kind: 'skipped' as const, reason: t('runs.doneBeforeIt') } })));
    advance.forward();
  };
  useNext(advance, { label: t('runs.next'), detail: t('runs.sayWhatYouSee'), filled: false, press: () => undefined });
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'center', flexWrap: 'wrap' }}>
        <Tone name={t('common.top')} tone={step.topTone ?? 1} />
        <Tone name={t('common.base')} tone={step.baseTone ?? 1} />
        <Box sx={{ ...bench.text, flex: 1, minWidth: 220 }}>{t('runs.youShouldSeeThisSignWhy', { sign, why })}</Box>
      </Box>
      {early && <Box sx={bench.text}>{t('runs.plannedInAtItMayLookPaler', { at: leftWords(at - now) })}</Box>}
      <Answers
        label={t('runs.whatYouSee')}
        answers={[
          { key: 'paler', label: t('runs.paler') },
          { key: 'asShown', label: t('runs.asShown') },
          { key: 'darker', label: t('runs.darker') },
        ]}
        chosen={null}
        onTake={(key) => void tell(key as 'paler')}
        onBack={advance.back}
      />
      <Box sx={bench.text}>{t('runs.notDoneYetWhatYouSeePlans')}</Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto minmax(0, 420px)',
          gap: 3,
          alignItems: 'center',
          ...bench.text,
          [under.phone]: { gridTemplateColumns: 'minmax(0, 1fr)', gap: 1, fontSize: typeSize.action },
        }}
      >
        {t('runs.topYouSeeIfYouLike')}
        <ToneChoice name={t('runs.topYouSee')} value={tone} onChoose={setTone} />
      </Box>
      <HoldButton holdMs={500} onHeld={() => void out()} sx={{ width: '100%' }}>
        {t('runs.outNowHold')}
      </HoldButton>
    </Box>
  );
}

export function Tone({ name, tone }: { name: string; tone: number }) {
  const n = Math.min(8, Math.max(1, Math.round(tone)));
  return (
    <Box sx={{ textAlign: 'center', fontSize: typeSize.strip }}>
      <Box
        sx={{
          width: 150,
          height: 84,
          borderRadius: '10px',
          bgcolor: crustTones[n - 1],
          border: 1,
          borderColor: 'divider',
          [under.phone]: { width: 120, height: 64 },
        }}
      />
      <b>{n}</b> {name}
    </Box>
  );
}
