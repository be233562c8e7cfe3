import { useWeighing } from './use-weighing';
import { FarFromPlanned, OtherWays, Over, PressedTooEarly, TypedWeight } from './weigh-otherwise';
import { LotStop } from './lot-in-hand';
import Box from '@mui/material/Box';
import { type StepProgress, imperial, metric, showQuantity, unitOf } from '@north-leaf/core';
import { typeSize, under } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { ScalePanel } from '../devices/scale-panel';
import { Bowl } from './bowl';
import { bench } from '../bench/bench-style';
import { newPour } from './pour';
import { type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';
import { useCups } from '../../../ui/words/cups';

/** Weighing one row: the bowl fills, the number is what is still to add, and it goes on by itself. */
export function WeighStep({ run, progress, advance }: { run: RunInHand; progress: StepProgress; advance: Advance }) {
  const weighing = useWeighing(advance, progress, run);
  const { lot, step, live, pour, shortG, wantedG, toleranceG, typing, asked, inside, far, over, keep, setPour } = weighing;

  const inCups = useCups()(step.amountG ?? 0, run.pantry.ingredients[step.ingredientId!]);

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
          inCups={inCups}
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

type AmountProps = {
  readonly live: boolean;
  readonly shortG: number;
  readonly netG: number;
  readonly ofG: number;
  readonly toleranceG: number;
  /** For whoever reads cups beside weights. */ readonly inCups: string | null;
};

function Amount({ live, shortG, netG, ofG, toleranceG, inCups }: AmountProps) {
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
          {inCups && `, ${inCups}`}
        </Box>
      </Box>
    </Box>
  );
}
