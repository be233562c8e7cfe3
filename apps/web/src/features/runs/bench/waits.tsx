import { useEffect } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { useNavigate } from 'react-router';
import type { RunningWait } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { titleOf } from '@north-leaf/words';
import { typeSize, media, under } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { useAlarm } from './alarm';
import { bench } from './bench-style';
import { leftWords } from './bench-words';
import { OwnAlarms } from './own-timers';
import { useRinging } from './use-ringing';
import { resume } from '../keeping/run-store';
import { useNow } from '../../../platform/use-now';
import { useRunning } from '../keeping/use-run';
import { t } from '../../../platform/words';

export type ShownWait = { readonly run: Run; readonly wait: RunningWait; readonly key: string };

/** Every wait of every run, soonest first. */
export function useWaits(): readonly ShownWait[] {
  return useRunning()
    .flatMap(({ run, state }) => state.waits.map((wait): ShownWait => ({ run, wait, key: `${run.id}/${wait.step.key}` })))
    .sort((a, b) => a.wait.endsAt - b.wait.endsAt);
}

/** Rings until it is touched, and says which step, not that time is up. */
export function Alarms({ waits }: { waits: readonly ShownWait[] }) {
  const { palette } = useTheme();
  const now = useNow();
  const navigate = useNavigate();
  const voice = useVoice();
  const { answered, muted, answer } = useAlarm();
  const due = waits.filter(({ wait, key }) => wait.endsAt <= now && !answered.includes(key));
  const ringing = due.length > 0;
  const dueKeys = due.map(({ key }) => key).join(' ');
  const first = due[0];
  const said = (one: ShownWait) =>
    `${one.run.formulaName}: ${one.wait.then ? titleOf(one.wait.then, voice) : titleOf(one.wait.step, voice)}`;
  const title = first ? said(first) : null;

  useRinging(muted, ringing, title);

  // A pedal or a key touches it too.
  useEffect(() => {
    if (dueKeys === '') return;
    const touched = () => answer(dueKeys.split(' '));
    window.addEventListener('keydown', touched);
    return () => window.removeEventListener('keydown', touched);
  }, [dueKeys, answer]);

  if (!first) return null;
  return (
    <Box
      role="alert"
      sx={{
        position: 'fixed',
        inset: 0,
        pointerEvents: 'none',
        zIndex: 1400,
        boxShadow: `inset 0 0 0 10px ${palette.leaf.heat}`,
        animation: 'edge 1.4s ease-in-out infinite',
        '@keyframes edge': { '50%': { boxShadow: `inset 0 0 0 3px ${palette.leaf.heat}` } },
      }}
    >
      <Box
        sx={{
          pointerEvents: 'auto',
          ...bench.card,
          top: 76,
          p: 4,
          gap: 3,
        }}
      >
        {due.map((one) => (
          <Box key={one.key} sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
            <Box sx={{ flex: 1, minWidth: 200, ...bench.text, fontWeight: 700 }}>{said(one)}</Box>
            <Button
              variant="contained"
              sx={bench.button}
              onClick={() => {
                answer([one.key]);
                void navigate(`/run/${one.run.id}`);
              }}
            >
              {t('runs.goToIt')}
            </Button>
            <Button variant="outlined" sx={bench.button} onClick={() => answer([one.key])}>
              {t('runs.quiet')}
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** The shelf under a run: up to three waits, soonest first, each with what comes after it. */
export function Shelf({ waits }: { waits: readonly ShownWait[] }) {
  const { palette } = useTheme();
  const shown = waits.slice(0, 3);
  return (
    <Box
      component="section"
      aria-label={t('common.waits')}
      sx={{
        height: bench.shelf,
        borderTop: `1px solid ${palette.divider}`,
        bgcolor: 'background.paper',
        display: 'flex',
        gap: 3,
        p: '10px 16px',
        alignItems: 'stretch',
        [under.phone]: { height: 64, p: '6px 10px' },
      }}
    >
      {shown.length === 0 && (
        <Box sx={{ alignSelf: 'center', fontSize: typeSize.list, color: 'text.secondary' }}>{t('common.nothingWaits')}</Box>
      )}
      {shown.map((one, i) => (
        <ShelfWait key={one.key} run={one.run} wait={one.wait} first={i === 0} />
      ))}
      {waits.length > 3 && <Box sx={{ alignSelf: 'center', fontSize: typeSize.bench, fontWeight: 700 }}>+{waits.length - 3}</Box>}
    </Box>
  );
}

/** One wait, and how far it is. */
function ShelfWait({ run, wait, first }: Pick<ShownWait, 'run' | 'wait'> & { readonly first: boolean }) {
  const navigate = useNavigate();
  const { palette } = useTheme();
  const voice = useVoice();
  const now = useNow();
  const share = Math.min(1, Math.max(0, (now - wait.beganAt) / Math.max(1, wait.endsAt - wait.beganAt)));
  return (
    <Box
      component="button"
      type="button"
      onClick={() => void navigate(`/run/${run.id}`)}
      sx={{
        flex: first ? 1.5 : 1,
        minWidth: 0,
        border: `1px solid ${palette.leaf.edge}`,
        borderRadius: '10px',
        bgcolor: 'background.paper',
        backgroundImage: `linear-gradient(90deg, ${palette.success.main} ${share * 100}%, transparent 0)`,
        backgroundSize: '100% 6px',
        backgroundRepeat: 'no-repeat',
        backgroundPosition: 'bottom',
        color: 'text.primary',
        font: 'inherit',
        textAlign: 'left',
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 3,
        cursor: 'pointer',
        ...(!first ? { [under.phone]: { display: 'none' } } : {}),
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0, overflow: 'hidden' }}>
        <Box
          sx={{
            fontSize: typeSize.strip,
            fontWeight: 650,
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            [under.phone]: { fontSize: typeSize.large },
          }}
        >
          {titleOf(wait.step, voice)}
        </Box>
        <Box
          sx={{
            fontSize: typeSize.large,
            color: 'text.secondary',
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            [under.phone]: { fontSize: typeSize.body },
          }}
        >
          {run.formulaName}
          {first && wait.then ? t('common.thenThen', { then: titleOf(wait.then, voice) }) : ''}
        </Box>
      </Box>
      <Box sx={{ fontSize: typeSize.hour, fontWeight: 700, whiteSpace: 'nowrap', [under.phone]: { fontSize: typeSize.bench } }}>
        {leftWords(wait.endsAt - now)}
      </Box>
    </Box>
  );
}

/** On every other page: the soonest wait, what comes after it, and how many more there are. */
export function WaitsBar() {
  const { palette } = useTheme();
  const waits = useWaits();
  const now = useNow();
  const navigate = useNavigate();
  const voice = useVoice();
  const [first] = waits;
  useEffect(() => void resume(), []);
  return (
    <>
      <Alarms waits={waits} />
      <OwnAlarms />
      {first && (
        <Box
          component="button"
          type="button"
          onClick={() => void navigate(`/run/${first.run.id}`)}
          aria-label={t('runs.waitStepOfFormulaname', { step: titleOf(first.wait.step, voice), formulaName: first.run.formulaName })}
          sx={{
            width: '100%',
            minHeight: 36,
            border: 0,
            borderBottom: `1px solid ${palette.divider}`,
            bgcolor: palette.leaf.okSoft,
            color: 'text.primary',
            font: 'inherit',
            fontSize: typeSize.body,
            textAlign: 'left',
            px: 4,
            cursor: 'pointer',
            [media.coarse]: { minHeight: 48 },
          }}
        >
          <b>{leftWords(first.wait.endsAt - now)}</b> {titleOf(first.wait.step, voice)}, {first.run.formulaName}
          {first.wait.then ? t('common.thenThen', { then: titleOf(first.wait.then, voice) }) : ''}
          {waits.length > 1 && <b> +{waits.length - 1}</b>}
        </Box>
      )}
    </>
  );
}
