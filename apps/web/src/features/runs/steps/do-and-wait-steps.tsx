import { useCallback, useEffect, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DateTime } from 'luxon';
import { v5 } from 'uuid';
import { evaluate, keptFor, type Happened, type RunStep, type StepProgress } from '@north-leaf/core';
import { benchNow } from '../../../platform/bench-clock';
import { bench } from '../bench/bench-style';
import { leftWords } from '../bench/bench-words';
import { useNow } from '../../../platform/use-now';
import { useNext, type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { titleOf } from '@north-leaf/words';
import { useVoice } from '../../../platform/preferences';
import { StepTimer } from '../bench/own-timers';
import { Telling } from '../bench/telling';
import { t } from '../../../platform/words';

type Props = { readonly run: RunInHand; readonly progress: StepProgress; readonly advance: Advance };

/** Something to do, and done. */
export function DoStep({ run, progress, advance }: Props) {
  const voice = useVoice();
  const { step } = progress;
  const end = async () => {
    const done = { stepKey: step.key, what: { kind: 'stepEnded' as const } };
    // What leaves raw is not bitten: its last step ends the run.
    if (step.what === 'wrap') {
      await run.say(done, { what: { kind: 'ended' } });
      return advance.ended();
    }
    if (step.forGood) {
      const isLast = run.state.steps.every(({ step: one, state }) => state !== 'todo' || one.key === step.key);
      await run.say(
        { stepKey: step.key, what: shareOf(run, step, step.forGood.placeId) },
        done,
        ...(isLast ? [{ what: { kind: 'ended' as const } }] : []),
      );
      return isLast ? advance.ended() : advance.forward();
    }
    await run.say(done);
    advance.forward();
  };
  const labels: Partial<Record<typeof step.what, string>> = {
    putIn: t('runs.itIsIn'),
    ovenOn: t('runs.itIsOn'),
    pack: t('runs.packed'),
    froth: t('runs.itFroths'),
    wrap: t('runs.endTheRun'),
    divide: t('runs.cutOffGoesOn'),
  };
  useNext(advance, { label: labels[step.what] ?? t('common.done'), detail: '', filled: true, press: () => void end() });
  return (
    <>
      <Telling progress={progress} />
      {(step.what === 'mix' || step.what === 'prepare') && step.min !== undefined && (
        <StepTimer about={`${run.run.id}/${step.key}`} label={titleOf(step, voice)} min={step.min} />
      )}
    </>
  );
}

/** The share that was cut off, as a lot: the same however often it is said. */
function shareOf({ run, formula, kitchen, pantry }: RunInHand, step: RunStep, placeId: string): Happened {
  const amountG = step.amountG!;
  const on = DateTime.fromMillis(benchNow(), { zone: kitchen.zone }).toISODate()!;
  const { useByOn } = keptFor({ what: 'dough', amountG, placeId, on }, { formula, kitchen, pantry }, evaluate(formula, kitchen, pantry));
  return { kind: 'leftOver', lotId: v5(`${step.key}/lot`, run.id), what: 'dough', amountG, placeId, useByOn };
}

/** A wait begins when the baker says that it is there, or by itself where there is nothing to carry. */
export function WaitStep({ run, progress, advance }: Props) {
  const now = useNow(250);
  const { step } = progress;
  const [early, setEarly] = useState(false);
  const byItself = step.since !== undefined || step.place === undefined;
  const begun = progress.beganAt !== null;
  const wait = run.state.waits.find((one) => one.step.key === step.key);
  const left = wait ? wait.endsAt - now : null;
  const { say } = run;
  const begin = useCallback(() => void say({ stepKey: step.key, what: { kind: 'stepBegan' } }), [say, step.key]);
  const comesUp = byItself && !begun && progress.state === 'todo';
  // Said again it is the same event: once is enough, twice does no harm.
  useEffect(() => {
    if (comesUp) begin();
  }, [comesUp, begin]);
  const end = async () => {
    await run.say({ stepKey: step.key, what: { kind: 'stepEnded' } });
    advance.forward();
  };
  useNext(
    advance,
    !begun
      ? { label: t('runs.itIsIn'), detail: '', filled: true, press: begin }
      : {
          label: t('runs.next'),
          detail: left !== null && left > 0 ? t('runs.leftLeft', { left: leftWords(left) }) : '',
          filled: left === null || left <= 0,
          press: () => (left === null || left <= 0 || early ? void end() : setEarly(true)),
        },
  );
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {begun && (
        <Box>
          <Box sx={bench.number} role="timer" data-testid="time-left">
            {left === null ? '' : left <= 0 ? t('common.now2') : leftWords(left)}
          </Box>
          {left !== null && left <= 120_000 && left > 0 && <Box sx={bench.text}>{t('common.left')}</Box>}
        </Box>
      )}
      {step.what === 'inOven' && wait && <InOven wait={wait} now={now} />}
      <Telling progress={progress} />
      {early && left !== null && left > 0 && (
        <Box role="status" sx={{ display: 'flex', gap: 3, alignItems: 'center', ...bench.text }}>
          <Button variant="contained" sx={bench.button} onClick={() => void end()}>
            {t('runs.endItNowLeftEarly', { left: leftWords(left) })}
          </Button>
          {t('runs.orPressNextAgain')}
        </Box>
      )}
    </Box>
  );
}

function InOven({ wait, now }: { wait: { readonly beganAt: number; readonly endsAt: number }; now: number }) {
  const inMin = Math.max(0, (now - wait.beganAt) / 60_000);
  const ofMin = (wait.endsAt - wait.beganAt) / 60_000;
  return (
    <Box sx={bench.text}>
      {t('runs.wordNextAtOfMin', {
        word: inMin < 1 ? t('runs.justIn') : t('runs.inMinInTheOven', { in: Math.floor(inMin) }),
        of: Number(ofMin.toFixed(1)),
      })}
    </Box>
  );
}
