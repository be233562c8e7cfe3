import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { v4 } from 'uuid';
import { standingEvents, type BakeEvent, type Happened, type MeasuredWhat } from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { measureName, showMeasured } from '@north-leaf/words';
import { typeSize } from '../../../ui/theme/theme';
import { readMeasure } from '../read-measure';
import { benchIso } from '../../../platform/bench-clock';
import { useVoice } from '../../../platform/preferences';
import { useAddEvents } from '../api';
import { Section } from '../../../ui/frame/section';
import { t } from '../../../platform/words';

type MeasuredEvent = BakeEvent & { readonly what: Extract<Happened, { kind: 'measured' }> };

/** Everything that was read off, each to be corrected by a further event. */
export function Measured({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const planned = plannedOf(bake, version);
  const events = standingEvents(bake.events).filter((one): one is MeasuredEvent => one.what.kind === 'measured');
  const [raw, baked] = (['rawG', 'bakedG'] as const).map((what) => events.findLast((one) => one.what.what === what)?.what.value);
  if (events.length === 0) return null;
  return (
    <Section title={t('bakes.measured')} space={1}>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('bakes.what')}</TableCell>
            <TableCell align="right">{t('bakes.planned')}</TableCell>
            <TableCell align="right">{t('bakes.itWas')}</TableCell>
            <TableCell component="td" />
          </TableRow>
        </TableHead>
        <TableBody>
          {events.map((event) => (
            <MeasuredRow key={event.id} bakeId={bake.id} event={event} planned={planned.get(event.what.what)} />
          ))}
        </TableBody>
      </Table>
      {raw !== undefined && baked !== undefined && (
        <Box sx={{ pt: 1, fontSize: typeSize.body }}>
          {t('bakes.lostValueOfItsWeight', { value: ((1 - baked / raw) * 100).toFixed(1) })}
        </Box>
      )}
    </Section>
  );
}

/** One measured value, and its correction. */
function MeasuredRow({
  bakeId,
  event,
  planned,
}: {
  readonly bakeId: string;
  readonly event: MeasuredEvent;
  readonly planned: number | undefined;
}) {
  const voice = useVoice();
  const add = useAddEvents(bakeId);
  const [text, setText] = useState<string | null>(null);
  const open = text !== null;
  const { what, value } = event.what;
  const { value: read, problem } = readMeasure(what, text ?? '', voice);
  const store = () => {
    if (read === undefined || problem) return;
    const stepKey = event.stepKey ? { stepKey: event.stepKey } : {};
    add.mutate([{ id: v4(), at: benchIso(), corrects: event.id, ...stepKey, what: { kind: 'measured', what, value: read } }], {
      onSuccess: () => setText(null),
    });
  };
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {measureName(what, voice)}
        {/:[2-9]/.test(event.stepKey ?? '') ? t('bakes.loadStepkey', { stepKey: event.stepKey!.split(':')[1] }) : ''}
      </TableCell>
      <TableCell align="right">{planned === undefined ? '' : showMeasured(what, planned, voice)}</TableCell>
      <TableCell align="right">
        {open ? (
          <TextField
            size="small"
            autoFocus
            value={text}
            error={problem !== null}
            helperText={problem}
            onChange={({ target }) => setText(target.value)}
            onKeyDown={({ key }) => key === 'Enter' && store()}
            slotProps={{
              htmlInput: {
                'aria-label': t('bakes.whatCorrected', { what: measureName(what, voice) }),
                inputMode: 'decimal',
                style: { width: 70, textAlign: 'right' },
              },
            }}
          />
        ) : (
          <b>{showMeasured(what, value, voice)}</b>
        )}
      </TableCell>
      <TableCell>
        {open ? (
          <Button size="small" onClick={() => store()} disabled={add.isPending}>
            {t('common.store')}
          </Button>
        ) : (
          <Button size="small" aria-label={t('bakes.correctWhat', { what: measureName(what, voice) })} onClick={() => setText('')}>
            {t('bakes.correct')}
          </Button>
        )}
      </TableCell>
    </TableRow>
  );
}

/** By the run's own plan; of a bake written down afterwards, by its version. */
function plannedOf({ steps }: Run, { formula, evaluation }: FormulaVersion): ReadonlyMap<MeasuredWhat, number> {
  if (steps.length > 0)
    return new Map(
      steps.flatMap(({ measures }) =>
        (measures ?? []).flatMap(({ what, planned }) => (planned === undefined ? [] : [[what, planned] as const])),
      ),
    );
  const { bake } = evaluation;
  return new Map<MeasuredWhat, number>([
    ['rawMm', formula.sheet.parts[0]!.thicknessMm],
    ...(bake.state === 'waiting'
      ? []
      : ([
          ['bakeMin', bake.result.totalMin],
          ['topTone', bake.result.end.topTone],
          ['bakedMm', bake.result.end.thicknessMm],
        ] as const)),
  ]);
}
