import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { type MeasuredWhat, type StepProgress, unitOf, type Units, measureKinds, inUnits, fixedMass } from '@north-leaf/core';
import { measureName, showMeasured } from '@north-leaf/words';
import { typeSize, under } from '../../../ui/theme/theme';
import { bareNumber } from '../../../ui/form/typed-number';
import { benchNow } from '../../../platform/bench-clock';
import { useVoice } from '../../../platform/preferences';
import { useDevices } from '../devices/use-devices';
import { ProbePanel } from '../devices/probe-panel';
import { readMeasure } from '../../bakes/doors';
import { bench } from '../bench/bench-style';
import { Telling } from '../bench/telling';
import { useNext, type Advance } from '../bench/next-press';
import { ToneChoice } from '../bench/tone-choice';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';
import type { ScaleReading } from '@north-leaf/core';

/** Values that may be read off at a step; every one may be left out. */
export function MeasureStep({ run, progress, advance }: { run: RunInHand; progress: StepProgress; advance: Advance }) {
  const voice = useVoice();
  const { step } = progress;
  const measures = step.measures ?? [];
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const minutesIn = useMinutesIn(run, progress);
  const shownOf = (what: MeasuredWhat) =>
    texts[what] ?? (what === 'bakeMin' && minutesIn !== null && minutesIn >= 0.5 ? minutesIn.toFixed(1) : '');
  const read = measures.map(({ what }) => ({ what, ...readMeasure(what, shownOf(what), voice) }));
  const wrong = read.find(({ problem }) => problem !== null);
  const end = async () => {
    if (wrong) return;
    const stepKey = step.key;
    const said = read.flatMap(({ what, value }) =>
      value === undefined ? [] : [{ stepKey, what: { kind: 'measured' as const, what, value } }],
    );
    await run.say(...said, { stepKey, what: { kind: 'stepEnded' } });
    advance.forward();
  };
  const some = read.some(({ value, what }) => value !== undefined && !(what === 'bakeMin' && texts[what] === undefined));
  useNext(advance, {
    label: t('runs.next'),
    detail: wrong ? t('runs.notAValue') : some || measures.length === 0 ? '' : t('runs.withoutIt'),
    filled: !wrong && some,
    press: () => void end(),
  });
  const set = (what: MeasuredWhat, text: string) => setTexts((before) => ({ ...before, [what]: text }));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Telling progress={progress} />
      {read.map(({ what, problem }, i) => (
        <MeasureRow
          key={what}
          what={what}
          text={shownOf(what)}
          problem={problem}
          planned={measures[i]!.planned}
          onType={(text) => set(what, text)}
          onEnter={() => void end()}
        />
      ))}
      {measures.some(({ what }) => measureKinds[what] === 'temperature') && <ProbePanel run={run} progress={progress} />}
    </Box>
  );
}

/** One value: typed, or taken from scale or thermometer. */
function MeasureRow({
  what,
  text,
  problem,
  planned,
  onType,
  onEnter,
}: {
  readonly what: MeasuredWhat;
  readonly text: string;
  readonly problem: string | null;
  readonly planned: number | undefined;
  readonly onType: (text: string) => void;
  readonly onEnter: () => void;
}) {
  const voice = useVoice();
  const { units } = voice;
  const { probeC, reading, scale } = useDevices();
  const name = measureName(what, voice);
  const kind = measureKinds[what];
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '220px 190px 1fr',
        gap: 3,
        alignItems: 'center',
        ...bench.text,
        [under.phone]: { gridTemplateColumns: '1fr 1fr', gap: 1 },
      }}
    >
      <label htmlFor={`m-${what}`}>{name}</label>
      {kind === 'tone' ? (
        <ToneChoice name={name} value={bareNumber(text)} onChoose={(tone) => onType(String(tone))} />
      ) : (
        <TextField
          id={`m-${what}`}
          value={text}
          error={problem !== null}
          onChange={({ target }) => onType(target.value)}
          onKeyDown={({ key }) => key === 'Enter' && onEnter()}
          slotProps={{
            htmlInput: {
              inputMode: 'decimal',
              autoComplete: 'off',
              'aria-describedby': `m-${what}-why`,
              style: { fontSize: typeSize.reading, height: 48, textAlign: 'right' },
            },
            input: { endAdornment: <Box sx={{ pr: 2, color: 'text.secondary' }}>{unitFor(what, units)}</Box> },
          }}
        />
      )}
      <Box
        id={`m-${what}-why`}
        role={problem ? 'alert' : undefined}
        sx={{
          fontSize: typeSize.action,
          color: problem ? 'error.main' : 'text.secondary',
          [under.phone]: { gridColumn: '1 / 3', fontSize: typeSize.large },
        }}
      >
        {problem ?? (planned === undefined ? '' : t('runs.plannedWhat', { what: showMeasured(what, planned, voice) }))}
        {kind === 'temperature' && probeC !== null && <TakeProbe onType={onType} probeC={probeC} units={units} />}
        {kind === 'mass' && scale === 'on' && reading?.steady && <TakeScale onType={onType} reading={reading} units={units} />}
      </Box>
    </Box>
  );
}

/** What the thermometer says, taken. */
function TakeProbe({ onType, probeC, units }: { readonly onType: (text: string) => void; readonly probeC: number; readonly units: Units }) {
  const voice = useVoice();
  return (
    <Button
      variant="outlined"
      sx={{ ml: 2, minHeight: 48, fontSize: typeSize.action }}
      onClick={() => onType(inUnits(probeC, 'temperature', units).toFixed(1))}
    >
      {t('runs.takeProbe', { probe: voice.show(probeC, 'temperature', 1) })}
    </Button>
  );
}

/** What lies on the scale, taken. */
function TakeScale({
  onType,
  reading,
  units,
}: {
  readonly onType: (text: string) => void;
  readonly reading: ScaleReading;
  readonly units: Units;
}) {
  const voice = useVoice();
  return (
    <Button
      variant="outlined"
      sx={{ ml: 2, minHeight: 48, fontSize: typeSize.action }}
      onClick={() => onType(fixedMass(reading.grams, units))}
    >
      {t('runs.takeGrams', { grams: voice.show(reading.grams, 'mass') })}
    </Button>
  );
}

/** Minutes since the door was shut on this load. */
function useMinutesIn(run: RunInHand, { step }: StepProgress): number | null {
  const [now] = useState(benchNow);
  const door = run.state.steps.find((one) => one.step.key === `in:${step.load}`);
  return step.what === 'out' && door?.endedAt ? (now - door.endedAt) / 60_000 : null;
}

const unitFor = (what: MeasuredWhat, units: Units): string => (measureKinds[what] === 'times' ? '×' : unitOf(measureKinds[what], units));
