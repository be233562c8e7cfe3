import { useState } from 'react';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useTheme } from '@mui/material/styles';
import { type StepProgress, unitOf } from '@north-leaf/core';
import { measureName, showMeasured } from '@north-leaf/words';
import { typeSize, under } from '../../../ui/theme/theme';
import { readMeasure } from '../../bakes/doors';
import { usePreferences, useVoice } from '../../../platform/preferences';
import { bench } from '../bench/bench-style';
import { useNext, type Advance } from '../bench/next-press';
import type { RunInHand } from '../keeping/use-run';
import { t } from '../../../platform/words';

const asked = [
  ['crisp', t('common.crisp'), 'soft', 'snaps'],
  ['tender', t('common.tender'), 'firm', 'melts'],
  ['liked', t('common.liked'), t('runs.notAgain'), t('runs.makeItAgain')],
] as const;
type Rated = Partial<Record<(typeof asked)[number][0], number>>;

/** Five dots each; whatever is left out is left out. Ends the bake. */
export function RateStep({ run, progress, advance }: { run: RunInHand; progress: StepProgress; advance: Advance }) {
  const { units } = usePreferences();
  const voice = useVoice();
  const { step } = progress;
  const [rated, setRated] = useState<Rated>({});
  const [note, setNote] = useState('');
  const [sizes, setSizes] = useState<Readonly<Record<string, string>>>({});
  const measures = (step.measures ?? []).map(({ what, planned }) => ({ what, planned, ...readMeasure(what, sizes[what] ?? '', voice) }));
  const wrong = measures.some(({ problem }) => problem !== null);
  const some = Object.keys(rated).length > 0;
  const end = async () => {
    if (wrong) return;
    const stepKey = step.key;
    await run.say(
      ...(some ? [{ stepKey, what: { kind: 'rated' as const, after: 'fresh' as const, ...rated } }] : []),
      ...measures.flatMap(({ what, value }) =>
        value === undefined ? [] : [{ stepKey, what: { kind: 'measured' as const, what, value } }],
      ),
      ...(note.trim() === '' ? [] : [{ stepKey, what: { kind: 'noted' as const, text: note.trim().slice(0, 2000) } }]),
      { stepKey, what: { kind: 'stepEnded' } },
      { what: { kind: 'ended' } },
    );
    advance.ended();
  };
  useNext(advance, {
    label: t('runs.endTheBake'),
    detail: wrong ? t('runs.notASize') : some ? '' : t('runs.withoutARating'),
    filled: some,
    press: () => void end(),
  });
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {asked.map(([key, name, low, high]) => (
        <RateRow
          key={key}
          {...{ name, low, high }}
          value={rated[key] ?? 0}
          onRate={(n) => setRated((before) => ({ ...before, [key]: n }))}
        />
      ))}
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap' }}>
        {measures.map(({ what, planned, problem }) => (
          <TextField
            key={what}
            label={`${measureName(what, voice)}, ${unitOf('length', units)}`}
            value={sizes[what] ?? ''}
            error={problem !== null}
            helperText={problem ?? (planned === undefined ? ' ' : t('runs.plannedWhat', { what: showMeasured(what, planned, voice) }))}
            onChange={({ target }) => setSizes((before) => ({ ...before, [what]: target.value }))}
            slotProps={{
              htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { fontSize: typeSize.bench, height: 48, width: 190 } },
            }}
          />
        ))}
        <TextField
          label={t('common.note')}
          value={note}
          onChange={({ target }) => setNote(target.value)}
          slotProps={{ htmlInput: { maxLength: 2000, style: { fontSize: typeSize.strip, height: 48 } } }}
          sx={{ flex: 1, minWidth: 240 }}
        />
      </Box>
    </Box>
  );
}

/** Five dots, from little to much. */
function RateRow({
  name,
  low,
  high,
  value,
  onRate,
}: {
  readonly name: string;
  readonly low: string;
  readonly high: string;
  readonly value: number;
  readonly onRate: (n: number) => void;
}) {
  const { palette } = useTheme();
  return (
    <Box
      role="group"
      aria-label={name}
      sx={{
        display: 'grid',
        gridTemplateColumns: '120px 1fr',
        alignItems: 'center',
        gap: 3,
        ...bench.text,
        [under.phone]: { gridTemplateColumns: '70px 1fr', gap: 1 },
      }}
    >
      <b>{name}</b>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', [under.phone]: { gap: '4px' } }}>
        <Box sx={{ fontSize: typeSize.action, width: 76, textAlign: 'right', color: 'text.secondary', [under.phone]: { display: 'none' } }}>
          {low}
        </Box>
        {[1, 2, 3, 4, 5].map((n) => (
          <Box
            key={n}
            component="button"
            type="button"
            aria-label={t('runs.nameNOf5', { name, n })}
            aria-pressed={value === n}
            onClick={() => onRate(n)}
            sx={{
              width: 64,
              height: 64,
              border: 0,
              bgcolor: 'transparent',
              p: 0,
              cursor: 'pointer',
              color: 'primary.main',
              [under.phone]: { width: 52, height: 52 },
            }}
          >
            <svg viewBox="0 0 64 64" width="100%" height="100%" aria-hidden="true">
              <circle
                cx="32"
                cy="32"
                r="22"
                fill={value >= n ? 'currentColor' : palette.background.paper}
                stroke="currentColor"
                strokeWidth="4"
              />
            </svg>
          </Box>
        ))}
        <Box sx={{ fontSize: typeSize.action, color: 'text.secondary', [under.phone]: { display: 'none' } }}>{high}</Box>
      </Box>
    </Box>
  );
}
