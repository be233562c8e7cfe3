import { useCallback, useEffect, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { bowlDough, feelAnswer, handWordOrder, stepWords, type FeelAnswer, type HandWord, type StepProgress } from '@north-leaf/core';
import { usePreferences } from '../../../platform/preferences';
import { crustTones } from '../../../ui/theme';
import { handWordLabels } from '../../../ui/words';
import { Answers } from './answers';
import { bench } from './bench-style';
import { benchGrams, benchShow, leftWords } from './bench-words';
import { Palm } from './feel-pictures';
import { HoldButton } from './hold-button';
import { useNow } from './use-now';
import { useNext, type Advance } from './next-press';
import type { RunInHand } from './use-run';

type Props = { readonly run: RunInHand; readonly progress: StepProgress; readonly advance: Advance };

/** What to do, how far, what it looks like when it is right, and why. */
export function Telling({ progress }: { progress: StepProgress }) {
  const { units } = usePreferences();
  const { how, sign, why } = stepWords(progress.step, benchShow(units));
  return (
    <Box sx={{ display: 'grid', gap: 2, ...bench.text }}>
      {how && <Box sx={{ fontSize: '1.35em', lineHeight: '1.3em', fontWeight: 600 }}>{how}</Box>}
      {sign && <Box>{sign}</Box>}
      {why && <Box sx={{ color: 'text.secondary' }}>{why}</Box>}
    </Box>
  );
}

export function DoStep({ run, progress, advance }: Props) {
  const { step } = progress;
  const end = async () => {
    await run.say({ stepKey: step.key, what: { kind: 'stepEnded' } });
    advance.forward();
  };
  const labels: Partial<Record<typeof step.what, string>> = { putIn: 'It is in', ovenOn: 'It is on', pack: 'Packed' };
  useNext(advance, { label: labels[step.what] ?? 'Done', detail: '', filled: true, press: () => void end() });
  return <Telling progress={progress} />;
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
      ? { label: 'It is in', detail: '', filled: true, press: begin }
      : {
          label: 'Next',
          detail: left !== null && left > 0 ? `${leftWords(left)} left` : '',
          filled: left === null || left <= 0,
          press: () => (left === null || left <= 0 || early ? void end() : setEarly(true)),
        },
  );
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {begun && (
        <Box>
          <Box sx={bench.number} role="timer" data-testid="time-left">
            {left === null ? '' : left <= 0 ? 'Now' : leftWords(left)}
          </Box>
          {left !== null && left <= 120_000 && left > 0 && <Box sx={bench.text}>left</Box>}
        </Box>
      )}
      {step.what === 'inOven' && wait && <InOven wait={wait} now={now} />}
      <Telling progress={progress} />
      {early && left !== null && left > 0 && (
        <Box role="status" sx={{ display: 'flex', gap: 3, alignItems: 'center', ...bench.text }}>
          <Button variant="contained" sx={bench.button} onClick={() => void end()}>
            End it now, {leftWords(left)} early
          </Button>
          or press Next again
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
      {inMin < 1 ? 'Just in' : `${Math.floor(inMin)} min in the oven`}, next at {Number(ofMin.toFixed(1))} min
    </Box>
  );
}

export function FeelStep({ run, progress, advance }: Props) {
  const { step } = progress;
  const [word, setWord] = useState<HandWord | null>(null);
  const [busy, setBusy] = useState(false);
  const water = run.formula.rows.find(({ ingredientId }) => ingredientId === 'water');
  const bowl = bowlDough(run.formula, run.run.steps, run.events, run.kitchen, run.pantry);
  const doses = run.events.filter(
    ({ stepKey, what }) => stepKey === step.key && what.kind === 'weighed' && what.rowKey === (water?.key ?? 'b1'),
  ).length;
  const wetDoses = run.events.filter(
    ({ stepKey, what }) => stepKey === step.key && what.kind === 'weighed' && what.rowKey === run.formula.blend.rows[0]?.key,
  ).length;
  const dosesGiven = Math.max(doses, wetDoses);
  const answer: FeelAnswer =
    word && bowl
      ? feelAnswer(word, bowl.dough, { getsG: bowl.dough.getsG, heldG: bowl.heldG, dosesGiven }, bowl.formula, run.kitchen, run.pantry)
      : null;
  const take = useCallback((key: string) => setWord(key as HandWord), []);

  const said = async (then: 'dose' | 'end') => {
    if (!word || busy) return;
    setBusy(true);
    const stepKey = step.key;
    const events: Parameters<RunInHand['say']> = [{ stepKey, what: { kind: 'felt', word } }];
    if (then === 'dose' && answer?.adds === 'water' && water)
      events.push({ stepKey, what: { kind: 'weighed', rowKey: water.key, addedG: answer.doseG } });
    if (then === 'dose' && answer?.adds === 'blend') {
      for (const row of run.formula.blend.rows)
        events.push({ stepKey, what: { kind: 'weighed', rowKey: row.key, addedG: row.share * answer.doseG } });
      for (const dose of answer.withIt) {
        const row = run.formula.rows.find(({ ingredientId }) => run.pantry.ingredients[ingredientId]?.name === dose.name);
        if (row) events.push({ stepKey, what: { kind: 'weighed', rowKey: row.key, addedG: dose.amountG } });
      }
    }
    if (then === 'end') events.push({ stepKey, what: { kind: 'stepEnded' } });
    await run.say(...events);
    setWord(null);
    setBusy(false);
    if (then === 'end') advance.forward();
  };

  const dosing = answer !== null && !(answer.adds === 'water' && !water);
  const button = !word
    ? null
    : word === 'rollsClean'
      ? 'Go on'
      : !dosing
        ? 'Leave it, go on'
        : answer.adds === 'water'
          ? `${capital(spoons(answer.spoons ?? 0))} in`
          : `${benchGrams(answer.doseG)} g of blend in`;
  const press = () => (word ? void said(dosing && word !== 'rollsClean' ? 'dose' : 'end') : undefined);
  useNext(advance, {
    label: button ?? 'Next',
    detail: word ? '' : 'say how it feels',
    filled: word !== null,
    press,
  });
  return (
    <Box sx={{ display: 'grid', gap: 4 }}>
      <Box sx={bench.text}>
        Squeeze a fistful, bend it, look at your palm.{' '}
        {bowl &&
          `${benchGrams(bowl.dough.pouredWaterG)} g of water is in${bowl.heldG > 0.5 ? `, ${benchGrams(bowl.heldG)} g is held back` : ''}.`}
      </Box>
      <Answers
        label="How the dough feels"
        answers={handWordOrder.map((key) => ({ key, label: handWordLabels[key], picture: <Palm word={key} /> }))}
        chosen={word}
        onTake={take}
        onAgain={press}
        onBack={advance.back}
      />
      <Box aria-live="polite" sx={{ display: 'grid', gap: 3 }}>
        {word && <FeelSaid word={word} answer={dosing ? answer : null} dosesGiven={dosesGiven} wantedThirst={run.formula.blend.name} />}
        {button && (
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
            <Button
              variant="contained"
              disabled={busy}
              sx={bench.button}
              onClick={() => void said(dosing && word !== 'rollsClean' ? 'dose' : 'end')}
            >
              {button}
            </Button>
            {dosing && word !== 'rollsClean' && (
              <Button variant="outlined" disabled={busy} sx={bench.button} onClick={() => void said('end')}>
                Leave it, go on
              </Button>
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
}

const spoons = (n: number) => `${n === 0.5 ? 'half a' : n % 1 === 0.5 ? `${Math.floor(n)}½` : n} ${n > 1 ? 'spoons' : 'spoon'}`;

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function FeelSaid({
  word,
  answer,
  dosesGiven,
  wantedThirst,
}: {
  word: HandWord;
  answer: FeelAnswer;
  dosesGiven: number;
  wantedThirst: string;
}) {
  if (word === 'rollsClean') return <Box sx={bench.title}>It is right.</Box>;
  if (!answer)
    return (
      <Box sx={bench.text}>
        <b>Stop here.</b>{' '}
        {dosesGiven >= 2 ? 'Two doses are in: a third chases the hand. The cold will firm it.' : 'Nothing in this formula mends it.'}
      </Box>
    );
  const drinks = (answer.impliedThirst - 1) * 100;
  return (
    <Box>
      <Box sx={bench.title}>
        {answer.adds === 'water'
          ? `Add ${spoons(answer.spoons ?? 0)} of water, ${benchGrams(answer.doseG)} g. Mix 20 seconds, feel again.`
          : `Add ${benchGrams(answer.doseG)} g of the blend${answer.withIt.map(({ name, amountG }) => `, ${benchGrams(amountG)} g ${name.split(',')[0]!.toLowerCase()}`).join('')}. Mix, feel again.`}
      </Box>
      <Box sx={{ ...bench.text, color: 'text.secondary' }}>
        {answer.dose === 1 ? 'First of two doses: half of ' : 'Second and last dose: the rest of '}
        about {benchGrams(answer.totalG)} ± {benchGrams(answer.sdG)} g.{' '}
        {answer.orStarch.length > 0 &&
          `Or ${answer.orStarch.map(({ name, amountG }) => `${benchGrams(amountG)} g ${name.split(/[,(]/)[0]!.trim().toLowerCase()}`).join(', ')}. `}
        If it makes it right, {wantedThirst} drinks about {Math.abs(drinks).toFixed(0)} % {drinks >= 0 ? 'more' : 'less'} than its record.
      </Box>
    </Box>
  );
}

export function LookStep({ run, progress, advance }: Props) {
  const now = useNow(250);
  const { units } = usePreferences();
  const { step } = progress;
  const door = run.state.steps.find((one) => one.step.key === step.since);
  const at = (door?.endedAt ?? door?.beganAt ?? now) + (step.min ?? 0) * 60_000;
  const early = at - now > 30_000;
  const { sign, why } = stepWords(step, benchShow(units));
  const tell = async (against: 'paler' | 'asShown' | 'darker') => {
    await run.say({ stepKey: step.key, what: { kind: 'looked', against } }, { stepKey: step.key, what: { kind: 'stepEnded' } });
    advance.forward();
  };
  const out = async () => {
    const left = run.state.steps.filter(
      (one) =>
        one.state === 'todo' &&
        one.step.load === step.load &&
        (one.step.what === 'inOven' || one.step.what === 'look' || one.step.what === 'nextSetting'),
    );
    await run.say(...left.map((one) => ({ stepKey: one.step.key, what: { kind: 'skipped' as const, reason: 'done before it' } })));
    advance.forward();
  };
  useNext(advance, { label: 'Next', detail: 'say what you see', filled: false, press: () => undefined });
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 4, alignItems: 'center', flexWrap: 'wrap' }}>
        <Tone name="top" tone={step.topTone ?? 1} />
        <Tone name="base" tone={step.baseTone ?? 1} />
        <Box sx={{ ...bench.text, flex: 1, minWidth: 220 }}>
          You should see this. {sign} {why}
        </Box>
      </Box>
      {early && <Box sx={bench.text}>Planned in {leftWords(at - now)}: it may look paler than this now.</Box>}
      <Answers
        label="What you see"
        answers={[
          { key: 'paler', label: 'Paler' },
          { key: 'asShown', label: 'As shown' },
          { key: 'darker', label: 'Darker' },
        ]}
        chosen={null}
        onTake={(key) => void tell(key as 'paler')}
        onBack={advance.back}
      />
      <HoldButton holdMs={500} onHeld={() => void out()} sx={{ width: '100%' }}>
        Out now, hold
      </HoldButton>
    </Box>
  );
}

export function Tone({ name, tone }: { name: string; tone: number }) {
  const n = Math.min(8, Math.max(1, Math.round(tone)));
  return (
    <Box sx={{ textAlign: 'center', fontSize: 22 }}>
      <Box
        sx={{
          width: 150,
          height: 84,
          borderRadius: '10px',
          bgcolor: crustTones[n - 1],
          border: 1,
          borderColor: 'divider',
          [bench.phone]: { width: 120, height: 64 },
        }}
      />
      <b>{n}</b> {name}
    </Box>
  );
}
