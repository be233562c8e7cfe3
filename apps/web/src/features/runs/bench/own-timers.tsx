import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { benchNow } from '../../../platform/bench-clock';
import { useNow } from '../../../platform/use-now';
import { useAlarm } from './alarm';
import { bench } from './bench-style';
import { leftWords } from './bench-words';
import { LONGEST_MIN, sorted, typedMin, useTimers } from './timers';
import { useRinging } from './use-ringing';
import { typeSize } from '../../../ui/theme/theme';
import { t } from '../../../platform/words';

/** A timer for what is done now: its minutes are the formula's. */
export function StepTimer({ about, label, min }: { readonly about: string; readonly label: string; readonly min: number }) {
  const { timers, begin } = useTimers();
  const now = useNow(250);
  const mine = timers.find((one) => one.about === about);
  if (mine)
    return (
      <Box sx={bench.number} role="timer">
        {leftWords(mine.endsAt - now)}
      </Box>
    );
  return (
    <Button
      variant="outlined"
      sx={{ ...bench.button, justifySelf: 'start' }}
      onClick={() => begin({ about, label: label.split(',')[0]!, min }, benchNow())}
    >
      {t('runs.timerOf', { min: Number(min.toFixed(1)) })}
    </Button>
  );
}

/** Timers of one's own: those that run, and one more. */
export function OwnTimers() {
  const { timers, end } = useTimers();
  const now = useNow(1000);
  const [open, setOpen] = useState(false);
  return (
    <Box component="section" aria-label={t('runs.timers')} sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      {sorted(timers, now).running.map(({ id, label, endsAt }) => (
        <Button
          key={id}
          variant="outlined"
          sx={bench.button}
          onClick={() => end(id)}
          aria-label={t('runs.timerStop', { label, left: leftWords(endsAt - now) })}
        >
          {label}: {leftWords(endsAt - now)} ×
        </Button>
      ))}
      {open ? (
        <NewTimer onDone={() => setOpen(false)} />
      ) : (
        <Button variant="text" sx={{ ...bench.button, fontSize: typeSize.list, color: 'text.secondary' }} onClick={() => setOpen(true)}>
          {t('runs.timer')}
        </Button>
      )}
    </Box>
  );
}

function NewTimer({ onDone }: { readonly onDone: () => void }) {
  const begin = useTimers((state) => state.begin);
  const [text, setText] = useState('');
  const [label, setLabel] = useState('');
  const min = typedMin(text);
  const wrong = text.trim() !== '' && min === null;
  const start = () => {
    if (min === null) return;
    begin({ label: label.trim() || t('runs.timer'), min }, benchNow());
    onDone();
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault();
        start();
      }}
      sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start' }}
    >
      <TextField
        autoFocus
        size="small"
        label={t('runs.timerMinutes')}
        value={text}
        error={wrong}
        helperText={wrong ? t('runs.timerWrong', { most: LONGEST_MIN }) : ' '}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={({ key }) => key === 'Escape' && onDone()}
        slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { width: 120 } } }}
      />
      <TextField
        size="small"
        label={t('runs.timerOfWhat')}
        value={label}
        onChange={({ target }) => setLabel(target.value)}
        slotProps={{ htmlInput: { maxLength: 60, autoComplete: 'off', style: { width: 180 } } }}
      />
      <Button type="submit" variant="contained" sx={bench.button} disabled={min === null}>
        {t('runs.timerStart')}
      </Button>
      <Button variant="outlined" sx={bench.button} onClick={onDone}>
        {t('common.leaveIt')}
      </Button>
    </Box>
  );
}

/** Whose time is up: it rings and says which, until it is touched. */
export function OwnAlarms() {
  const { timers, end } = useTimers();
  const now = useNow(1000);
  const muted = useAlarm((state) => state.muted);
  const { due } = sorted(timers, now);
  const [first] = due;
  useRinging(muted, due.length > 0, first ? first.label : null);
  if (!first) return null;
  return (
    <Box
      role="alert"
      sx={{
        ...bench.card,
        bottom: bench.shelf + 16,
        p: 3,
        zIndex: 1400,
        gap: 2,
      }}
    >
      {due.map(({ id, label }) => (
        <Box key={id} sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
          <Box sx={{ flex: 1, ...bench.text, fontWeight: 700 }}>{t('runs.timerUp', { label })}</Box>
          <Button variant="contained" sx={bench.button} onClick={() => end(id)}>
            {t('runs.quiet')}
          </Button>
        </Box>
      ))}
    </Box>
  );
}
