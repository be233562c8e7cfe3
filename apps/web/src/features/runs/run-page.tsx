import { useEffect, useState, type RefObject } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useTheme } from '@mui/material/styles';
import { DateTime } from 'luxon';
import { useNavigate, useParams } from 'react-router';
import { type StepProgress, unitOf } from '@north-leaf/core';
import { stepWords, titleOf } from '@north-leaf/words';
import { typeSize, under } from '../../ui/theme/theme';
import { readMass } from '../../ui/form/typed-mass';
import { ErrorPage } from '../../platform/error-page';
import { usePreferences, useVoice } from '../../platform/preferences';
import { AddSomething } from './steps/add-something';
import { useAlarm } from './bench/alarm';
import { isTyping } from './bench/answers';
import { bench } from './bench/bench-style';
import { Edge } from './bench/edge';
import { HoldButton } from './bench/hold-button';
import { MeasureStep } from './steps/measure-step';
import { useNext, useNextOfStep, type Advance, type NextPress } from './bench/next-press';
import { DoStep, WaitStep } from './steps/do-and-wait-steps';
import { FeelStep } from './steps/feel-step';
import { LookStep } from './steps/look-step';
import { Telling } from './bench/telling';
import { RateStep } from './steps/rate-step';
import { useAwake } from './bench/use-awake';
import { useNow } from '../../platform/use-now';
import { NotStored } from './keeping/not-stored';
import { useRun, type RunInHand } from './keeping/use-run';
import { OwnAlarms, OwnTimers } from './bench/own-timers';
import { Alarms, Shelf, useWaits } from './bench/waits';
import { WeighStep } from './weigh/weigh-step';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

/** One run, one step a screen; no rail. */
export function RunPage() {
  const { bakeId = '' } = useParams();
  const { run, error } = useRun(bakeId);
  if (error) return <ErrorPage error={error} />;
  if (!run)
    return (
      <Box component="main" aria-busy="true" sx={{ p: 6, ...bench.text }}>
        {t('runs.fetchingTheRun')}
      </Box>
    );
  return <Bench key={bakeId} run={run} />;
}

function Bench({ run }: { run: RunInHand }) {
  const navigate = useNavigate();
  const voice = useVoice();
  const waits = useWaits();
  const benchSize = usePreferences((state) => state.benchSize);
  useAwake();
  const { state } = run;
  /** Looking back at a step; null: where the run stands. */
  const [lookedAt, setLookedAt] = useState<number | null>(null);
  const index = lookedAt ?? state.nowIndex;
  const progress = state.steps[index]!;
  const isNow = index === state.nowIndex && !state.allDone;
  const next = useNextOfStep();
  const leave = () => void navigate('/run');
  const back = () => setLookedAt(Math.max(0, index - 1));
  const advance: Advance = {
    set: next.set,
    forward: () => setLookedAt(null),
    back,
    ended: () => void navigate(`/bakes/${run.run.id}`),
  };
  useBenchKeys(next.latest, back);
  const ended = state.state === 'ended';
  const isOver = state.allDone && !ended && lookedAt === null;
  const following = state.steps.slice(index + 1).find((one) => one.state === 'todo');
  return (
    <Box
      sx={{
        // A small screen, or one that stands far off, shows it all larger.
        zoom: benchSize,
        height: `calc(100dvh / ${benchSize})`,
        display: 'grid',
        gridTemplateRows: `${bench.top}px 1fr auto`,
        bgcolor: 'background.default',
        overflow: 'hidden',
      }}
    >
      <Alarms waits={waits} />
      <OwnAlarms />
      <TopBar run={run} index={index} onLeave={leave} />
      <Box sx={{ display: 'flex', minHeight: 0, [under.phone]: { flexDirection: 'column' } }}>
        <Box sx={{ display: 'contents', [under.phone]: { display: 'none' } }}>
          <Edge side="left" label={t('runs.back')} onPress={back} />
        </Box>
        <Box
          component="main"
          sx={{
            flex: 1,
            minWidth: 0,
            overflowY: 'auto',
            p: '20px 30px',
            display: 'grid',
            alignContent: 'start',
            gap: 3,
            [under.phone]: { p: '12px 16px' },
          }}
        >
          <NotStored />
          <Box component="h1" sx={{ m: 0, ...bench.title }}>
            {isOver ? t('runs.allIsDone') : stepWords(progress.step, voice).title}
          </Box>
          {ended ? (
            <Box sx={bench.text}>{t('runs.thisBakeIsEndedWhatHappenedIs')}</Box>
          ) : isOver ? (
            <AllDone run={run} advance={advance} />
          ) : isNow ? (
            <StepBody key={`${progress.step.key}/${progress.weighedG}`} run={run} progress={progress} advance={advance} />
          ) : (
            <Past
              run={run}
              progress={progress}
              advance={advance}
              onOn={() => setLookedAt(index + 1 >= state.nowIndex ? null : index + 1)}
            />
          )}
          <WhatFollows advance={advance} ended={ended} following={following} isNow={isNow} progress={progress} run={run} />
        </Box>
        <Strips back={back} ended={ended} next={next} />
      </Box>
      <Shelf waits={waits} />
    </Box>
  );
}

/** Next at the right; on a phone both strips below. */
function Strips({
  back,
  ended,
  next,
}: {
  readonly back: () => void;
  readonly ended: boolean;
  readonly next: ReturnType<typeof useNextOfStep>;
}) {
  return (
    <Box sx={{ display: 'contents', [under.phone]: { display: 'flex', gap: 2, p: '6px 10px' } }}>
      <Box sx={{ display: 'none', [under.phone]: { display: 'contents' } }}>
        <Edge side="left" label={t('runs.back')} onPress={back} />
      </Box>
      {!ended && <Edge side="right" {...next.shown} onPress={() => next.latest.current.press()} />}
    </Box>
  );
}

/** What comes next, and what else can be done at this step. */
function WhatFollows({
  advance,
  ended,
  following,
  isNow,
  progress,
  run,
}: {
  readonly advance: Advance;
  readonly ended: boolean;
  readonly following: StepProgress | undefined;
  readonly isNow: boolean;
  readonly progress: StepProgress;
  readonly run: RunInHand;
}) {
  const { palette } = useTheme();
  const voice = useVoice();
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center', borderTop: `1px solid ${palette.divider}`, pt: 2 }}>
      {following && (
        <Box
          sx={{
            flex: 1,
            minWidth: 200,
            fontSize: typeSize.list,
            color: 'text.secondary',
            [under.phone]: { fontSize: typeSize.large },
          }}
        >
          {t('runs.thenStepWord', {
            step: titleOf(following.step, voice),
            word: following.step.kind === 'weigh' ? `, ${voice.show(following.step.amountG ?? 0, 'mass')}` : '',
          })}
        </Box>
      )}
      {isNow && !ended && (progress.step.stage === 'blend' || progress.step.stage === 'dough') && <AddSomething run={run} />}
      {!ended && <OwnTimers />}
      {isNow && !ended && <LeaveOut run={run} progress={progress} onDone={advance.forward} />}
    </Box>
  );
}

function StepBody(props: { run: RunInHand; progress: StepProgress; advance: Advance }) {
  switch (props.progress.step.kind) {
    case 'weigh':
      return <WeighStep {...props} />;
    case 'feel':
      return <FeelStep {...props} />;
    case 'wait':
      return <WaitStep {...props} />;
    case 'look':
      return <LookStep {...props} />;
    case 'measure':
      return <MeasureStep {...props} />;
    case 'rate':
      return <RateStep {...props} />;
    default:
      return (props.progress.step.measures ?? []).length > 0 ? <MeasureStep {...props} /> : <DoStep {...props} />;
  }
}

/** Nothing is left to do, the last step left out perhaps: the bake is still for somebody to end. */
function AllDone({ run, advance }: { readonly run: RunInHand; readonly advance: Advance }) {
  const end = async () => {
    await run.say({ what: { kind: 'ended' } });
    advance.ended();
  };
  useNext(advance, { label: t('runs.endTheBake'), detail: '', filled: true, press: () => void end() });
  return <Box sx={bench.text}>{t('runs.everyStepIsDoneOrLeftOut')}</Box>;
}

/** A step that was done: what was stored of it, and a weight put right. */
function Past({ run, progress, advance, onOn }: { run: RunInHand; progress: StepProgress; advance: Advance; onOn: () => void }) {
  const voice = useVoice();
  useNext(advance, { label: t('runs.next'), detail: t('runs.backToNow'), filled: false, press: onOn });
  const { step, state, weighedG, reason } = progress;
  const said = run.events.filter(({ stepKey }) => stepKey === step.key).map(({ what }) => what);
  return (
    <Box sx={{ display: 'grid', gap: 2, ...bench.text }}>
      <Telling progress={progress} />
      <Box>
        {state === 'todo' && t('runs.notYet')}
        {state === 'skipped' && t('runs.leftOutReason', { reason })}
        {state === 'done' &&
          (step.kind === 'weigh'
            ? t('runs.inWeighedOfAmountPlanned', { weighed: voice.show(weighedG, 'mass'), amount: voice.show(step.amountG ?? 0, 'mass') })
            : t('runs.done'))}
        {said.some(({ kind }) => kind === 'felt') && t('runs.feltWords', { words: run.state.words.join(', ') })}
      </Box>
      {state === 'done' && step.kind === 'weigh' && <PutRight run={run} progress={progress} />}
    </Box>
  );
}

/** A weight that was noted wrong: the difference is a further event, nothing is written over. */
function PutRight({ run, progress: { step, weighedG } }: { run: RunInHand; progress: StepProgress }) {
  const [text, setText] = useState('');
  const voice = useVoice();
  const { g: value, problem } = readMass(text, voice, {
    of: { ingredient: run.pantry.ingredients[step.ingredientId ?? ''], measures: run.kitchen.measures },
  });
  const store = () => {
    if (value === undefined) return;
    void run.say({ stepKey: step.key, what: { kind: 'weighed', rowKey: step.rowKey!, addedG: value - weighedG } });
    setText('');
  };
  return (
    <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start', flexWrap: 'wrap' }}>
      <TextField
        label={t('runs.itWasInValue', { value: unitOf('mass', voice.units) })}
        value={text}
        error={problem !== null}
        helperText={problem ?? ' '}
        onChange={({ target }) => setText(target.value)}
        slotProps={{
          htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { fontSize: typeSize.field, height: 48, width: 150 } },
        }}
      />
      <Button variant="outlined" sx={bench.button} disabled={value === undefined} onClick={store}>
        {t('runs.putItRight')}
      </Button>
    </Box>
  );
}

const reasons = [t('runs.notNeededToday'), t('runs.noneInTheHouse'), t('runs.doneAlready')] as const;

function LeaveOut({ run, progress, onDone }: { run: RunInHand; progress: StepProgress; onDone: () => void }) {
  const [open, setOpen] = useState(false);
  const skip = async (reason: string) => {
    await run.say({ stepKey: progress.step.key, what: { kind: 'skipped', reason } });
    setOpen(false);
    onDone();
  };
  if (!open)
    return (
      <Button variant="text" sx={{ ...bench.button, fontSize: typeSize.list, color: 'text.secondary' }} onClick={() => setOpen(true)}>
        {t('common.leaveItOut')}
      </Button>
    );
  return (
    <Box role="group" aria-label={t('runs.whyItIsLeftOut')} sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
      {reasons.map((reason) => (
        <Button key={reason} variant="outlined" sx={{ ...bench.button, fontSize: typeSize.list }} onClick={() => void skip(reason)}>
          {reason}
        </Button>
      ))}
      <Button variant="text" sx={{ ...bench.button, fontSize: typeSize.list }} onClick={() => setOpen(false)}>
        {t('runs.noKeepIt')}
      </Button>
    </Box>
  );
}

function TopBar({ run, index, onLeave }: { run: RunInHand; index: number; onLeave: () => void }) {
  const { palette } = useTheme();
  const now = useNow();
  const { muted, setMuted } = useAlarm();
  const { state, online, waitingEvents } = run;
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 3,
        px: 2,
        bgcolor: 'background.paper',
        borderBottom: `1px solid ${palette.divider}`,
        minWidth: 0,
      }}
    >
      <HoldButton holdMs={1000} onHeld={onLeave} aria-label={t('runs.leaveHold')} sx={{ minHeight: 52, fontSize: typeSize.action, px: 3 }}>
        {t('runs.leave')}
      </HoldButton>
      <Box
        sx={{
          minWidth: 0,
          flex: 1,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          fontSize: typeSize.strip,
          fontWeight: 680,
          [under.phone]: { fontSize: typeSize.large },
        }}
      >
        {run.run.formulaName}{' '}
        <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.85em' }}>
          v{run.run.version}
          {run.run.factor * state.factor === 1 ? '' : ` × ${Number((run.run.factor * state.factor).toFixed(3))}`}
        </Box>
      </Box>
      {(!online || waitingEvents > 0) && <NotYetStored online={online} waitingEvents={waitingEvents} />}
      {state.state === 'paused' ? (
        <Button
          variant="contained"
          sx={{ minHeight: 52, fontSize: typeSize.action }}
          onClick={() => void run.say({ what: { kind: 'resumed' } })}
        >
          {t('runs.goOn')}
        </Button>
      ) : (
        <Button
          variant="text"
          sx={{ minHeight: 52, fontSize: typeSize.action, [under.phone]: { display: 'none' } }}
          onClick={() => void run.say({ what: { kind: 'paused' } })}
        >
          {t('runs.pause')}
        </Button>
      )}
      <Button
        variant="text"
        aria-pressed={muted}
        sx={{ minHeight: 52, fontSize: typeSize.action, [under.phone]: { display: 'none' } }}
        onClick={() => setMuted(!muted)}
      >
        {muted ? t('runs.soundOff') : t('runs.soundOn')}
      </Button>
      <Box sx={{ fontSize: typeSize.action, whiteSpace: 'nowrap', [under.phone]: { fontSize: typeSize.lead } }}>
        <Sentence say="runs.stepIndexOfSteps" values={{ index: index + 1, steps: state.steps.length }} />
      </Box>
      <Box sx={{ fontSize: typeSize.field, fontWeight: 700, [under.phone]: { display: 'none' } }}>
        {DateTime.fromMillis(now, { zone: run.kitchen.zone }).toFormat('HH:mm')}
      </Box>
    </Box>
  );
}

/** What is said here only, for now. */
function NotYetStored({ online, waitingEvents }: { readonly online: boolean; readonly waitingEvents: number }) {
  const { palette } = useTheme();
  return (
    <Box
      role="status"
      sx={{
        bgcolor: palette.leaf.watchSoft,
        color: 'warning.main',
        fontWeight: 650,
        fontSize: typeSize.large,
        borderRadius: '8px',
        p: '6px 12px',
      }}
    >
      {online
        ? t('common.storing2')
        : t('runs.workingFromThisDeviceWord', { word: waitingEvents > 0 ? t('runs.waitingeventsWait', { waitingEvents }) : '' })}
    </Box>
  );
}

/** Space, Right and PageDown go on, Left and PageUp back; digits type a weight; M is the sound. */
function useBenchKeys(next: RefObject<NextPress>, back: () => void): void {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const onButton = event.target instanceof HTMLButtonElement;
      if (event.key === 'PageDown' || event.key === 'ArrowRight' || (event.key === ' ' && !onButton)) {
        event.preventDefault();
        if (!event.repeat) next.current.press();
      } else if (event.key === 'PageUp' || event.key === 'ArrowLeft') {
        event.preventDefault();
        if (!event.repeat) back();
      } else if (/^[0-9]$/.test(event.key) && next.current.digit) {
        event.preventDefault();
        next.current.digit(event.key);
      } else if (event.key === 'm' || event.key === 'M') {
        const { muted, setMuted } = useAlarm.getState();
        setMuted(!muted);
      }
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  });
}
