import { useEffect, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useTheme } from '@mui/material/styles';
import {
  glutenLimitOf,
  glutenProof,
  isFarFromPlanned,
  isUnproven,
  lotsInUse,
  roundTo,
  weighToleranceG,
  type StepProgress,
  imperial,
  metric,
  showQuantity,
  unitOf,
} from '@north-leaf/core';
import { typeSize, under } from '../../../ui/theme/theme';
import { readMass } from '../../../ui/form/typed-mass';
import { useVoice } from '../../../platform/preferences';
import { benchNow } from '../../../platform/bench-clock';
import { ScalePanel } from '../devices/scale-panel';
import { useDevices } from '../devices/use-devices';
import { Bowl } from './bowl';
import { ReadyBlend } from './ready-blend';
import { Swap } from './swap';
import { bench } from '../bench/bench-style';
import { afterReading, isHeld, keepPour, keptPour, newPour, type Pour } from './pour';
import { useNow } from '../../../platform/use-now';
import { useNext, type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** Weighing one row: the bowl fills, the number is what is still to add, and it goes on by itself. */
export function WeighStep({ run, progress, advance }: { run: RunInHand; progress: StepProgress; advance: Advance }) {
  const weighing = useWeighing(advance, progress, run);
  const { lot, step, live, pour, shortG, wantedG, toleranceG, typing, asked, inside, far, over, keep, setPour } = weighing;

  if (lot.stop) return <LotStop {...lot.stop} />;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(260px, 460px) 1fr',
        gap: 5,
        alignItems: 'start',
        [under.phone]: { gridTemplateColumns: '1fr', gap: 2 },
      }}
    >
      <Box sx={{ [under.phone]: { display: 'none' } }}>
        <Bowl pantry={run.pantry} steps={run.state.steps} nowKey={step.key} netG={progress.weighedG + (live ? pour.netG : 0)} />
      </Box>
      <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
        <Amount
          live={live}
          shortG={live ? shortG : wantedG}
          netG={progress.weighedG + (live ? pour.netG : 0)}
          ofG={step.amountG ?? 0}
          toleranceG={toleranceG}
        />
        {typing !== null && <TypedWeight weighing={weighing} />}
        {asked && typing === null && !(live && inside) && <PressedTooEarly weighing={weighing} />}
        {far !== null && <FarFromPlanned weighing={weighing} far={far} progress={progress} />}
        {over && <Over run={run} progress={progress} netG={pour.netG} onKeep={() => keep(pour.netG)} />}
        <OtherWays weighing={weighing} advance={advance} progress={progress} run={run} />
      </Box>
      <Box sx={{ gridColumn: '1 / -1' }}>
        <ScalePanel onTare={() => setPour(newPour(step.key))} canTare={Math.abs(pour.netG) <= 2} />
      </Box>
    </Box>
  );
}

/** What lies on the scale or is typed, against what is wanted, and when it counts as in. */
function useWeighing(advance: Advance, progress: StepProgress, run: RunInHand) {
  const voice = useVoice();
  const { step } = progress;
  const { reading, scale } = useDevices();
  // A scale that stands still may say nothing more: time goes on all the same.
  useNow(500);
  const wantedG = (step.amountG ?? 0) - progress.weighedG;
  const toleranceG = weighToleranceG(step.amountG ?? 0, run.kitchen.scaleStepG);
  const [pour, setPour] = useState<Pour>(() => keptPour(run.run.id, step.key) ?? begun(step.key));
  const [typing, setTyping] = useState<string | null>(null);
  const [asked, setAsked] = useState(false);
  const done = useRef(false);
  const live = scale === 'on' || scale === 'lost' || pour.netG > toleranceG;
  const shortG = wantedG - pour.netG;
  const inside = Math.abs(shortG) <= toleranceG;
  const over = live && shortG < -toleranceG && pour.steady;
  /** A weight far from what was planned, until a hand says that it is meant. */
  const [far, setFar] = useState<number | null>(null);
  /** Of one bag what it gave, the step not ended: the rest is wanted from the next. */
  const fromThisBag = async (addedG: number, lotId: string | undefined) => {
    await run.say({
      stepKey: step.key,
      what: { kind: 'weighed', rowKey: step.rowKey!, addedG: roundTo(addedG, 0.01), ...(lotId ? { lotId } : {}) },
    });
    keepPour(run.run.id, null);
    setPour(begun(step.key));
    setTyping(null);
    setAsked(false);
  };
  const lot = useLot(run, step.rowKey!, step.ingredientId!, (left) => {
    if (live && pour.netG > toleranceG) void fromThisBag(pour.netG, left);
  });

  useEffect(() => {
    if (done.current) return;
    setPour((before) => {
      const next = afterReading(before, scale === 'on' ? reading : null, benchNow(), { wantedG, toleranceG });
      if (next !== before) keepPour(run.run.id, next);
      return next;
    });
  }, [reading, scale, wantedG, toleranceG, run.run.id]);

  const keep = async (addedG: number) => {
    if (far !== addedG && isFarFromPlanned(progress.weighedG + addedG, step.amountG ?? 0, run.kitchen.scaleStepG)) return setFar(addedG);
    await keepNow(addedG);
  };
  const keepNow = async (addedG: number) => {
    if (done.current) return;
    done.current = true;
    const lotId = lot.chosen?.id;
    await run.say(
      { stepKey: step.key, what: { kind: 'weighed', rowKey: step.rowKey!, addedG: roundTo(addedG, 0.01), ...(lotId ? { lotId } : {}) } },
      { stepKey: step.key, what: { kind: 'stepEnded' } },
    );
    keepPour(run.run.id, null);
    advance.forward();
  };

  const stopped = lot.stop !== null;
  useEffect(() => {
    if (!stopped && live && isHeld(pour, benchNow())) void keepNow(pour.netG);
  });

  const { g: reads, problem: typedProblem } = readMass(typing ?? '', voice);
  const takeTyped = () => {
    if (reads !== undefined && typedProblem === null) void keep(reads);
  };

  // The strip: outlined with what is missing until the weight is right; a press too early asks, a second one means it.
  useNext(advance, {
    label: t('runs.next'),
    detail: stopped
      ? t('runs.lotNotProven')
      : typing !== null
        ? reads === undefined
          ? t('runs.typeIt')
          : voice.show(reads, 'mass')
        : live
          ? inside
            ? ''
            : shortG > 0
              ? t('runs.shortShort', { short: voice.show(shortG, 'mass') })
              : t('runs.shortOver', { short: voice.show(-shortG, 'mass') })
          : t('runs.notWeighed'),
    filled: !stopped && (typing === null ? live && inside : reads !== undefined),
    press: () => {
      if (stopped) return;
      if (typing !== null) return takeTyped();
      if (live && inside) return void keep(pour.netG);
      if (asked) return void keep(live ? Math.max(0, pour.netG) : wantedG);
      setAsked(true);
    },
    digit: (digit) => setTyping((before) => (before ?? '') + digit),
  });
  return {
    lot,
    step,
    live,
    pour,
    shortG,
    wantedG,
    toleranceG,
    typing,
    typedProblem,
    setTyping,
    takeTyped,
    reads,
    fromThisBag,
    asked,
    inside,
    keep,
    far,
    setFar,
    over,
    setPour,
  };
}

type Weighing = ReturnType<typeof useWeighing>;

/** No scale: the weight by hand. */
function TypedWeight({ weighing }: { readonly weighing: Weighing }) {
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
function PressedTooEarly({ weighing }: { readonly weighing: Weighing }) {
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
function FarFromPlanned({
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
function OtherWays({
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

/** What the scale showed when the step before it ended is nothing added: a hand that pours on at once loses no gram. */
function begun(stepKey: string): Pour {
  const { scale, reading } = useDevices.getState();
  return scale === 'on' && reading?.steady ? { ...newPour(stepKey), zeroG: reading.grams } : newPour(stepKey);
}

function Amount({ live, shortG, netG, ofG, toleranceG }: { live: boolean; shortG: number; netG: number; ofG: number; toleranceG: number }) {
  const voice = useVoice();
  const over = shortG < -toleranceG;
  // Rounded to whole grams, what is over would not be seen: "28 of 28 g".
  const alike = over && voice.bare(netG, 'mass') === voice.bare(ofG, 'mass');
  const digits = alike && voice.units.mass === 'g' ? 1 : undefined;
  // A scale is read in grams; who thinks in ounces, or grams, sees the other beside it.
  const other = voice.units.mass === 'g' ? imperial : metric;
  return (
    <Box>
      <Box
        sx={{ ...bench.number, color: over ? 'error.main' : 'text.primary', whiteSpace: 'nowrap' }}
        aria-live="off"
        data-testid="still-to-add"
      >
        {voice.bare(Math.abs(shortG) <= toleranceG / 2 && live ? 0 : Math.abs(shortG), 'mass')}
        <Box component="span" sx={{ fontSize: '0.36em', pl: 2 }}>
          {unitOf('mass', voice.units)} {over ? t('common.over') : live ? t('runs.toAdd') : ''}
        </Box>
      </Box>
      <Box
        sx={{
          fontSize: typeSize.planned,
          lineHeight: '54px',
          fontWeight: 600,
          color: 'text.secondary',
          [under.phone]: { fontSize: typeSize.reading, lineHeight: '36px' },
        }}
      >
        {live
          ? t('runs.netOfOf', { net: voice.bare(netG, 'mass', digits), of: voice.show(ofG, 'mass', digits) })
          : showQuantity(ofG, 'mass', other)}
        <Box component="span" sx={{ fontSize: '0.55em', pl: 2 }}>
          ± {voice.show(toleranceG, 'mass')}
        </Box>
      </Box>
    </Box>
  );
}

/** Too much is in: take it out again, or make the rest fit. */
function Over({ run, progress, netG, onKeep }: { run: RunInHand; progress: StepProgress; netG: number; onKeep: () => Promise<void> }) {
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

/** The bag that a hand reached for, by run and row: the step is drawn anew when one bag is empty and the next begun. */
const lotInHand = new Map<string, string>();

/** The lot that is reached for, others of the ingredient, and a stop where it is not proven. */
function useLot(run: RunInHand, rowKey: string, ingredientId: string, onLeave: (lotId: string | undefined) => void) {
  const { palette } = useTheme();
  const { pantry, kitchen, formula, events } = run;
  const lots = lotsInUse(pantry, ingredientId);
  const named = [...formula.blend.rows, ...formula.rows].find(({ key }) => key === rowKey)?.lotId;
  const at = `${run.run.id}/${rowKey}/${ingredientId}`;
  const [id, choose] = useState<string | null>(() => lotInHand.get(at) ?? named ?? lots[0]?.id ?? null);
  const setId = (lotId: string) => {
    lotInHand.set(at, lotId);
    choose(lotId);
  };
  const [open, setOpen] = useState(false);
  const chosen = lots.find((lot) => lot.id === id) ?? null;
  const ingredient = pantry.ingredients[ingredientId];
  const proofOf = (lot: (typeof lots)[number] | null) =>
    ingredient ? glutenProof(ingredient, lot ?? undefined, glutenLimitOf(kitchen), pantry.on) : 'proven';
  const unproven = isUnproven;
  const confirmed = events.some(
    ({ what }) => what.kind === 'confirmed' && (what.code.startsWith('gluten.') || what.code === `lot:${id ?? ingredientId}`),
  );
  const proof = proofOf(chosen);
  const stop =
    unproven(proof) && !confirmed
      ? {
          name: ingredient?.name ?? ingredientId,
          code: chosen?.code ?? null,
          others: lots.filter((lot) => !unproven(proofOf(lot))).map((lot) => ({ code: lot.code, take: () => setId(lot.id) })),
          onWeigh: () =>
            void run.say({
              what: { kind: 'confirmed', code: `lot:${id ?? ingredientId}`, reason: t('runs.weighedAllTheSame') },
            }),
        }
      : null;
  const lotWords = t('runs.lotCodeWord', { code: chosen?.code ?? '–', word: proof === 'proven' ? t('runs.proven') : '' });
  const choice =
    lots.length === 0 ? null : lots.length === 1 ? (
      <Box sx={{ ...bench.text, alignSelf: 'center', color: palette.text.secondary, px: 2 }}>{lotWords}</Box>
    ) : open ? (
      <Box role="group" aria-label={t('common.lot')} sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        {lots.map((lot) => (
          <Button
            key={lot.id}
            variant={lot.id === id ? 'contained' : 'outlined'}
            sx={bench.button}
            onClick={() => {
              if (lot.id !== id) onLeave(id ?? undefined);
              setId(lot.id);
              setOpen(false);
            }}
          >
            {t('runs.lotCode', { code: lot.code })}
          </Button>
        ))}
      </Box>
    ) : (
      <Button variant="outlined" sx={bench.button} onClick={() => setOpen(true)}>
        {t('runs.lotwordsAnother', { lotWords })}
      </Button>
    );
  return { chosen, stop, choice, more: lots.length > 1 ? () => setOpen(true) : null };
}

function LotStop({
  name,
  code,
  others,
  onWeigh,
}: {
  name: string;
  code: string | null;
  others: readonly { code: string; take: () => void }[];
  onWeigh: () => void;
}) {
  return (
    <Box role="alert" sx={{ display: 'grid', gap: 4, justifyItems: 'start' }}>
      <Box sx={{ ...bench.title, color: 'error.main' }}>
        {t('runs.notProvenNameWord', { name, word: code ? t('runs.lotCode2', { code }) : '' })}
      </Box>
      <Box sx={bench.text}>{t('runs.noReportShowsThatItIsUnder')}</Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        {others.map((lot) => (
          <Button key={lot.code} variant="contained" sx={bench.button} onClick={lot.take}>
            {t('runs.useLotCode', { code: lot.code })}
          </Button>
        ))}
        <Button variant="outlined" color="error" sx={bench.button} onClick={onWeigh}>
          {t('runs.weighItNotGlutenFree')}
        </Button>
      </Box>
    </Box>
  );
}
