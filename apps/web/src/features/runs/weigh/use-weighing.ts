import { useLot } from './lot-in-hand';
import { useEffect, useRef, useState } from 'react';
import { isFarFromPlanned, roundTo, weighToleranceG, type StepProgress } from '@north-leaf/core';
import { readMass } from '../../../ui/form/typed-mass';
import { useVoice } from '../../../platform/preferences';
import { benchNow } from '../../../platform/bench-clock';
import { useDevices } from '../devices/use-devices';
import { afterReading, isHeld, keepPour, keptPour, newPour, type Pour } from './pour';
import { useNow } from '../../../platform/use-now';
import { useNext, type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

/** What lies on the scale or is typed, against what is wanted, and when it counts as in. */
export function useWeighing(advance: Advance, progress: StepProgress, run: RunInHand) {
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

  const { g: reads, problem: typedProblem } = readMass(typing ?? '', voice, {
    of: { ingredient: run.pantry.ingredients[step.ingredientId!], measures: run.kitchen.measures },
  });
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

export type Weighing = ReturnType<typeof useWeighing>;

/** What the scale showed when the step before it ended is nothing added: a hand that pours on at once loses no gram. */
function begun(stepKey: string): Pour {
  const { scale, reading } = useDevices.getState();
  return scale === 'on' && reading?.steady ? { ...newPour(stepKey), zeroG: reading.grams } : newPour(stepKey);
}
