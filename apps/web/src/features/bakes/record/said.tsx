import { useState, type ReactNode } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { DateTime } from 'luxon';
import { v4 } from 'uuid';
import { bakedSymptoms, standingEvents, symptoms, type Happened, ratedWhats } from '@north-leaf/core';
import type { Run } from '@north-leaf/contracts';
import { typeSize } from '../../../ui/theme/theme';
import { benchIso } from '../../../platform/bench-clock';
import { handWordLabels } from '../../../ui/words/words';
import { useAddEvents } from '../api';
import { Section } from '../../../ui/frame/section';
import { t } from '../../../platform/words';

const against = { paler: t('bakes.palerThanShown'), asShown: t('bakes.asShown'), darker: t('bakes.darkerThanShown') } as const;

/** Words, dots and notes, in the order they came. */
export function Said({ bake, zone }: { bake: Run; zone: string }) {
  const stood = standingEvents(bake.events);
  const lines = stood.flatMap((event): { id: string; at: string; text: ReactNode }[] => {
    const { what, id, at } = event;
    const line = (text: ReactNode) => [{ id, at, text }];
    switch (what.kind) {
      case 'felt':
        return line(<>{t('common.feltHandwordlabels', { handWordLabels: handWordLabels[what.word].toLowerCase() })}</>);
      case 'looked':
        return line(
          <>
            {t('bakes.lookAgainstWord', {
              against: against[what.against],
              word: what.topTone === undefined ? '' : t('bakes.topToneToptone', { topTone: what.topTone }),
            })}
          </>,
        );
      case 'rated':
        return line(
          <>
            {what.after === 'fresh' ? t('bakes.fresh') : t('bakes.afterDays', { count: what.after })}:{' '}
            {ratedWhats
              .flatMap((axis) =>
                what[axis] === undefined ? [] : [`${t(`common.axis.${axis}`)} ${'●'.repeat(what[axis])}${'○'.repeat(5 - what[axis])}`],
              )
              .join(', ')}
          </>,
        );
      case 'noticed':
        return line(
          <>
            {t('bakes.noticed')} {symptoms.values[what.symptom]?.toLowerCase()}
          </>,
        );
      case 'confirmed':
        return line(<b>{t('bakes.confirmedAllTheSameReason', { reason: what.reason })}</b>);
      case 'scaled':
        return line(<>{t('bakes.scaledFactor', { factor: Number(what.factor.toFixed(3)) })}</>);
      case 'noted':
        return line(what.text);
      default:
        return [];
    }
  });
  return (
    <Section title={t('bakes.saidOfIt')} space={1}>
      {lines.length === 0 && <Box sx={{ fontSize: typeSize.body }}>{t('bakes.nothingYet')}</Box>}
      {lines.map(({ id, at, text }) => (
        <Box key={id} sx={{ display: 'grid', gridTemplateColumns: '96px 1fr', fontSize: typeSize.body, lineHeight: '24px' }}>
          <Box sx={{ color: 'text.secondary' }}>{DateTime.fromISO(at, { zone }).toFormat('d LLL HH:mm')}</Box>
          <Box>{text}</Box>
        </Box>
      ))}
    </Section>
  );
}

/** A rating after days, what was noticed, a note: each an event of its own. */
export function AddTo({ bake }: { bake: Run }) {
  const adding = useAdding(bake);
  const { add, whats, setDots, setSymptom, setNote, symptom, note } = adding;
  const store = () => {
    const at = Date.parse(benchIso());
    add.mutate(
      whats.map((what, i) => ({ id: v4(), at: new Date(at + i).toISOString(), what })),
      {
        onSuccess: () => {
          setDots({});
          setSymptom('');
          setNote('');
        },
      },
    );
  };
  return (
    <Section title={t('bakes.addToIt')} space={1}>
      <Box sx={{ display: 'grid', gap: 3 }}>
        <Rated adding={adding} />
        <TextField select size="small" label={t('bakes.noticed2')} value={symptom} onChange={({ target }) => setSymptom(target.value)}>
          <MenuItem value="">{t('bakes.nothing')}</MenuItem>
          {bakedSymptoms.map((id) => (
            <MenuItem key={id} value={String(id)}>
              {symptoms.values[id]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          label={t('common.note')}
          value={note}
          onChange={({ target }) => setNote(target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        {add.isError && <Alert severity="error">{add.error.message}</Alert>}
        <Button variant="outlined" disabled={whats.length === 0 || add.isPending} onClick={store} sx={{ justifySelf: 'start' }}>
          {t('bakes.storeIt')}
        </Button>
      </Box>
    </Section>
  );
}

/** What is added to a bake afterwards, and when it was. */
function useAdding(bake: Run) {
  const add = useAddEvents(bake.id);
  const daysSince = Math.max(0, Math.floor(DateTime.now().diff(DateTime.fromISO(bake.startedAt), 'days').days));
  const [days, setDays] = useState(String(daysSince));
  const [dots, setDots] = useState<Readonly<Partial<Record<(typeof ratedWhats)[number], number>>>>({});
  const [symptom, setSymptom] = useState('');
  const [note, setNote] = useState('');
  const n = /^\d+$/.test(days.trim()) ? Number(days) : NaN;
  const daysWrong = !(n >= 0 && n <= 365);
  const whats: Happened[] = [
    ...(Object.keys(dots).length > 0 && !daysWrong ? [{ kind: 'rated' as const, after: n === 0 ? ('fresh' as const) : n, ...dots }] : []),
    ...(symptom === '' ? [] : [{ kind: 'noticed' as const, symptom: Number(symptom) }]),
    ...(note.trim() === '' ? [] : [{ kind: 'noted' as const, text: note.trim().slice(0, 2000) }]),
  ];
  return { add, whats, setDots, setSymptom, setNote, days, daysWrong, n, setDays, dots, symptom, note };
}

type Adding = ReturnType<typeof useAdding>;

/** How many days after, and how it was then. */
function Rated({ adding }: { readonly adding: Adding }) {
  const { days, daysWrong, n, setDays, dots, setDots } = adding;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
      <TextField
        size="small"
        label={t('bakes.daysAfter')}
        value={days}
        error={daysWrong}
        helperText={daysWrong ? t('bakes.daysAreAWholeNumberFrom0') : n === 0 ? t('bakes.fresh2') : ' '}
        onChange={({ target }) => setDays(target.value)}
        slotProps={{ htmlInput: { inputMode: 'numeric', style: { width: 90 } } }}
      />
      {ratedWhats.map((axis) => (
        <TextField
          key={axis}
          select
          size="small"
          label={t(`common.rated.${axis}`)}
          value={dots[axis] ?? ''}
          onChange={({ target }) => setDots((before) => ({ ...before, [axis]: Number(target.value) }))}
          sx={{ minWidth: 104 }}
        >
          {[1, 2, 3, 4, 5].map((d) => (
            <MenuItem key={d} value={d}>
              {'●'.repeat(d)}
              {'○'.repeat(5 - d)}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </Box>
  );
}
