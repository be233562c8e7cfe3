import { useEffect, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { BakeEvent, Happened } from '@north-leaf/core';
import { useVoice } from '../../../platform/preferences';
import { eventWords } from './event-words';
import { letGo, resume, sendAgain, useRuns } from './run-store';
import type { Refused } from './run-keeping';
import { t } from '../../../platform/words';

/** What the server would not take: still here, to be mended and sent, saved as a file, or let go. Nothing where there is none. */
export function NotStored() {
  const refused = useRuns((state) => state.refused);
  useEffect(() => void resume(), []);
  if (refused.length === 0) return null;
  return (
    <Alert severity="error" sx={{ mb: 4, '& .MuiAlert-message': { display: 'grid', gap: 3, width: '100%' } }}>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
        <b>{t('runs.notStoredHere', { count: refused.length })}</b>
        <Button size="small" onClick={() => saveAsFile(refused)}>
          {t('runs.saveAsAFile')}
        </Button>
      </Box>
      {refused.map((one) => (
        <OneRefused key={one.event.id} one={one} />
      ))}
    </Alert>
  );
}

function OneRefused({ one }: { one: Refused }) {
  const voice = useVoice();
  const { event, why } = one;
  const field = fieldOf(event.what);
  const [text, setText] = useState(field?.text ?? '');
  const mended = field ? field.mend(text) : event.what;
  return (
    <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
      <span>
        {eventWords(event.what, voice)}: {why}
      </span>
      {field && (
        <TextField
          size="small"
          label={field.label}
          value={text}
          error={mended === null}
          helperText={mended === null ? t('runs.gotText', { text }) : undefined}
          onChange={({ target }) => setText(target.value)}
        />
      )}
      <Button
        size="small"
        variant="outlined"
        disabled={mended === null}
        onClick={() => void sendAgain({ bakeId: one.bakeId, event: { ...event, what: mended! } as BakeEvent })}
      >
        {t('runs.sendAgain')}
      </Button>
      <Button size="small" onClick={() => void letGo(event.id)}>
        {t('runs.letItGo')}
      </Button>
    </Box>
  );
}

type Mendable = { readonly label: string; readonly text: string; readonly mend: (text: string) => Happened | null };
/** What can be put right in one field. */
function fieldOf(what: Happened): Mendable | null {
  const number = (text: string) => (/^-?\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.trim().replace(',', '.')) : null);
  if (what.kind === 'noted')
    return { label: t('common.note'), text: what.text, mend: (text) => (text.trim() === '' ? null : { ...what, text: text.trim() }) };
  if (what.kind === 'measured')
    return {
      label: t('runs.value'),
      text: String(what.value),
      mend: (text) => (number(text) === null ? null : { ...what, value: number(text)! }),
    };
  if (what.kind === 'weighed')
    return {
      label: t('runs.gramsThatItShouldBe'),
      text: String(what.addedG),
      mend: (text) => (number(text) === null ? null : { ...what, addedG: number(text)! }),
    };
  return null;
}

function saveAsFile(refused: readonly Refused[]): void {
  const url = URL.createObjectURL(new Blob([JSON.stringify(refused, null, 2)], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = 'north-leaf-not-stored.json';
  link.click();
  URL.revokeObjectURL(url);
}
