import { useRef, useState, type ReactNode } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Skeleton from '@mui/material/Skeleton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { Link, useParams } from 'react-router';
import { v4 } from 'uuid';
import {
  asBaked,
  bakedSymptoms,
  keptFor,
  leftOvers,
  measureWords,
  runState,
  standingEvents,
  symptoms,
  type BakeEvent,
  type Happened,
  type LeftOver,
  type MeasuredWhat,
} from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { benchIso } from '../../platform/bench-clock';
import { ErrorPage } from '../../platform/error-page';
import { usePreferences } from '../../platform/preferences';
import { Page } from '../../ui/page';
import { showDuration, showQuantity, unitOf } from '../../ui/quantity';
import { handWordLabels } from '../../ui/words';
import { versionQuery } from '../formulas/api';
import { kitchenQuery } from '../kitchen/api';
import { pantryQuery } from '../pantry/api';
import { runQuery, useAddEvents, useAddPhoto } from './api';
import { showMeasured, titleOf } from './run/bench-words';
import { readMeasure } from './run/measure-step';

/** One bake on record: what was planned beside what happened, what was said of it since, and its pictures. */
export function BakePage() {
  const { id = '' } = useParams();
  const bake = useQuery(runQuery(id));
  const version = useQuery({ ...versionQuery(bake.data?.formulaId ?? '', bake.data?.version ?? 0), enabled: bake.data !== undefined });
  if (bake.isError) return <ErrorPage error={bake.error} />;
  if (!bake.data || !version.data)
    return (
      <Page title="Bake">
        <Skeleton height={400} aria-label="Loading the bake" />
      </Page>
    );
  return <Record bake={bake.data} version={version.data} />;
}

function Record({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const { data: kitchen } = useQuery(kitchenQuery);
  const zone = kitchen?.zone ?? 'UTC';
  const stood = standingEvents(bake.events);
  const begun = DateTime.fromISO(bake.startedAt, { zone });
  const ended = stood.findLast(({ what }) => what.kind === 'ended');
  return (
    <Page
      title={`Bake ${bake.number}`}
      beside={
        <>
          <Link to={`/formulas/${bake.formulaId}/bake`} style={{ color: 'inherit' }}>
            {bake.formulaName}
          </Link>{' '}
          v{bake.version}
          {bake.begins ? ', from what was kept' : ''}
          {bake.factor === 1 ? '' : ` × ${Number(bake.factor.toFixed(3))}`}, {begun.toFormat('d LLL yyyy HH:mm')}
          {ended ? ` to ${DateTime.fromISO(ended.at, { zone }).toFormat('HH:mm')}` : bake.steps.length > 0 ? ', not ended' : ''}, kitchen{' '}
          {bake.roomC.toFixed(1)} °C, {Math.round(bake.humidityShare * 100)} % damp
        </>
      }
      actions={
        <>
          {bake.steps.length > 0 && !ended && (
            <Button component={Link} to={`/run/${bake.id}`} variant="contained">
              Go on with it
            </Button>
          )}
          <Button component={Link} to={`/trials?formula=${bake.formulaId}&bakes=${bake.id}`} variant="outlined">
            Compare
          </Button>
        </>
      }
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1.2fr) minmax(0, 1fr)',
          gap: 6,
          '@media (max-width: 899px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Weighed bake={bake} version={version} />
          <Kept bake={bake} version={version} />
          <Waited bake={bake} scaleStepG={kitchen?.scaleStepG ?? 0.1} />
        </Box>
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Measured bake={bake} version={version} />
          <Said bake={bake} zone={zone} />
          <Photos bake={bake} />
          <AddTo bake={bake} />
        </Box>
      </Box>
    </Page>
  );
}

const Section = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box component="section" aria-label={title}>
    <Typography variant="h2" sx={{ pb: 1 }}>
      {title}
    </Typography>
    {children}
  </Box>
);

function Weighed({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const { units } = usePreferences();
  const { formula, pantry } = version;
  const made = asBaked(formula, bake.events);
  const planned = [
    ...formula.blend.rows.map(({ key, ingredientId, share }) => ({ key, ingredientId, g: share * formula.blendG * bake.factor })),
    ...formula.rows.map(({ key, ingredientId, amountG }) => ({ key, ingredientId, g: amountG * bake.factor })),
    ...made.formula.rows.filter(({ key }) => key.startsWith('added:')).map(({ key, ingredientId }) => ({ key, ingredientId, g: 0 })),
  ];
  const nameOf = (id: string) => pantry.ingredients[id]?.name ?? id;
  const real = new Map([...made.formula.blend.rows, ...made.formula.rows].map((row) => [row.key, row]));
  return (
    <Section title="Weighed">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Ingredient</TableCell>
            <TableCell align="right">Planned</TableCell>
            <TableCell align="right">Went in</TableCell>
            <TableCell align="right">Off by</TableCell>
            <TableCell>Lot</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {planned.map(({ key, ingredientId, g }) => {
            const row = real.get(key);
            const inG = made.weighed[key];
            const swapped = row && row.ingredientId !== ingredientId;
            const off = inG === undefined ? null : inG - g;
            const lot = row?.lotId === undefined ? null : (pantry.lots[row.lotId]?.code ?? row.lotId);
            return (
              <TableRow key={key}>
                <TableCell component="th" scope="row">
                  {nameOf(row?.ingredientId ?? ingredientId)}
                  {swapped && <Box sx={{ fontSize: 12.5 }}>in place of {nameOf(ingredientId)}</Box>}
                </TableCell>
                <TableCell align="right">{g > 0 ? showQuantity(g, 'mass', units) : 'not planned'}</TableCell>
                <TableCell align="right">{inG === undefined ? '–' : <b>{showQuantity(inG, 'mass', units)}</b>}</TableCell>
                <TableCell align="right">
                  {off === null || Math.abs(off) < 0.05 ? '' : `${off > 0 ? '+' : '−'}${showQuantity(Math.abs(off), 'mass', units)}`}
                </TableCell>
                <TableCell>{lot ?? ''}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Section>
  );
}

const leftWords: Readonly<Record<LeftOver, string>> = { dough: 'Dough', shaped: 'Raw pieces', baked: 'Baked pieces' };

/** What the run left: a lot of the pantry each, with where it lies, until when, and what it is enough for. */
function Kept({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const add = useAddEvents(bake.id);
  const { units } = usePreferences();
  const { data: kitchen } = useQuery(kitchenQuery);
  const { data: pantry } = useQuery(pantryQuery);
  const [what, setWhat] = useState<LeftOver>('dough');
  const [text, setText] = useState('');
  const [placeId, setPlaceId] = useState('');
  if (!kitchen || !pantry) return null;
  const place = placeId || kitchen.places.find(({ kind }) => kind === 'freezer')?.id || kitchen.places[0]?.id || '';
  const { value, problem } = readMeasure('rawG', text, units);
  const kept = value === undefined ? null : keptFor(what, value, place, pantry.on, version.formula, kitchen, version.evaluation);
  const left = standingEvents(bake.events).flatMap(({ what: one }) => (one.kind === 'leftOver' ? [one] : []));
  const store = () => {
    if (value === undefined || !kept) return;
    add.mutate(
      [{ id: v4(), at: benchIso(), what: { kind: 'leftOver', lotId: v4(), what, amountG: value, placeId: place, useByOn: kept.useByOn } }],
      {
        onSuccess: () => setText(''),
      },
    );
  };
  return (
    <Section title="Kept from it">
      {left.map((one) => {
        const lot = pantry.lots[one.lotId];
        const enough = keptFor(
          one.what,
          lot?.onHandG ?? one.amountG,
          one.placeId,
          pantry.on,
          version.formula,
          kitchen,
          version.evaluation,
        ).pieces;
        return (
          <Box key={one.lotId} sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', fontSize: 14.5, py: 1 }}>
            <b>{leftWords[one.what]}</b> {showQuantity(lot?.onHandG ?? one.amountG, 'mass', units)}
            {enough === null ? '' : `, enough for ${enough} ${enough === 1 ? 'piece' : 'pieces'}`},{' '}
            {kitchen.places.find(({ id }) => id === one.placeId)?.name}, use by {one.useByOn}
            {one.what !== 'baked' && (lot?.onHandG ?? 0) > 0 && (
              <Button
                component={Link}
                size="small"
                variant="outlined"
                to={`/run/new?formula=${bake.formulaId}&version=${bake.version}&lot=${one.lotId}`}
              >
                Bake from it
              </Button>
            )}
          </Box>
        );
      })}
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start', pt: 2 }}>
        <TextField
          select
          size="small"
          label="What is left"
          value={what}
          onChange={({ target }) => setWhat(target.value as LeftOver)}
          sx={{ minWidth: 140 }}
        >
          {leftOvers.map((one) => (
            <MenuItem key={one} value={one}>
              {leftWords[one]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          label={`How much, ${unitOf('mass', units)}`}
          value={text}
          error={problem !== null}
          helperText={
            problem?.replace('Load before', 'It') ??
            (kept ? `use by ${kept.useByOn}${kept.pieces === null ? '' : `, enough for ${kept.pieces}`}` : ' ')
          }
          onChange={({ target }) => setText(target.value)}
          slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { width: 110 } } }}
        />
        <TextField
          select
          size="small"
          label="Where"
          value={place}
          onChange={({ target }) => setPlaceId(target.value)}
          sx={{ minWidth: 130 }}
        >
          {kitchen.places.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" disabled={value === undefined || problem !== null || add.isPending} onClick={store}>
          Keep it
        </Button>
      </Box>
      {what !== 'baked' && value !== undefined && (
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          Days are a judgement, shorter with raw egg; local rules and your nose win.
        </Box>
      )}
      {add.isError && <Alert severity="error">{add.error.message}</Alert>}
    </Section>
  );
}

/** Waits and looks, planned beside real. */
function Waited({ bake, scaleStepG }: { bake: Run; scaleStepG: number }) {
  const { units } = usePreferences();
  if (bake.steps.length === 0) return null;
  const { steps } = runState(bake.steps, bake.events, scaleStepG);
  const shown = steps.filter(({ step, state, beganAt }) => step.kind === 'wait' && state !== 'todo' && beganAt !== null);
  const skipped = steps.filter(({ state }) => state === 'skipped');
  return (
    <Section title="Waits">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Wait</TableCell>
            <TableCell align="right">Planned</TableCell>
            <TableCell align="right">It was</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.map(({ step, beganAt, endedAt }) => {
            const since = step.since === undefined ? beganAt : (steps.find((one) => one.step.key === step.since)?.endedAt ?? beganAt);
            return (
              <TableRow key={step.key}>
                <TableCell component="th" scope="row">
                  {titleOf(step, units)}
                  {step.since?.startsWith('in:') ? ', until' : ''}
                </TableCell>
                <TableCell align="right">{showDuration(step.min ?? 0)}</TableCell>
                <TableCell align="right">{endedAt && since ? showDuration((endedAt - since) / 60_000) : '–'}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      {skipped.length > 0 && (
        <Box sx={{ fontSize: 13, color: 'text.secondary', pt: 2 }}>
          Left out: {skipped.map(({ step, reason }) => `${titleOf(step, units)} (${reason})`).join(', ')}.
        </Box>
      )}
    </Section>
  );
}

function Measured({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const { units } = usePreferences();
  const add = useAddEvents(bake.id);
  const [correcting, setCorrecting] = useState<string | null>(null);
  const [text, setText] = useState('');
  const planned = plannedOf(bake, version);
  const events = standingEvents(bake.events).filter(
    (one): one is BakeEvent & { what: Extract<Happened, { kind: 'measured' }> } => one.what.kind === 'measured',
  );
  const [raw, baked] = (['rawG', 'bakedG'] as const).map((what) => events.findLast((one) => one.what.what === what)?.what.value);
  const store = (event: BakeEvent, what: MeasuredWhat) => {
    const { value, problem } = readMeasure(what, text, units);
    if (value === undefined || problem) return;
    add.mutate(
      [
        {
          id: v4(),
          at: benchIso(),
          corrects: event.id,
          ...(event.stepKey ? { stepKey: event.stepKey } : {}),
          what: { kind: 'measured', what, value },
        },
      ],
      {
        onSuccess: () => setCorrecting(null),
      },
    );
  };
  if (events.length === 0) return null;
  return (
    <Section title="Measured">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>What</TableCell>
            <TableCell align="right">Planned</TableCell>
            <TableCell align="right">It was</TableCell>
            <TableCell component="td" />
          </TableRow>
        </TableHead>
        <TableBody>
          {events.map((event) => {
            const { what, value } = event.what;
            const open = correcting === event.id;
            const problem = open ? readMeasure(what, text, units).problem : null;
            return (
              <TableRow key={event.id}>
                <TableCell component="th" scope="row">
                  {measureWords[what].name}
                  {/:[2-9]/.test(event.stepKey ?? '') ? `, load ${event.stepKey!.split(':')[1]}` : ''}
                </TableCell>
                <TableCell align="right">{planned.has(what) ? showMeasured(what, planned.get(what)!, units) : ''}</TableCell>
                <TableCell align="right">
                  {open ? (
                    <TextField
                      size="small"
                      autoFocus
                      value={text}
                      error={problem !== null}
                      helperText={problem}
                      onChange={({ target }) => setText(target.value)}
                      onKeyDown={({ key }) => key === 'Enter' && store(event, what)}
                      slotProps={{
                        htmlInput: {
                          'aria-label': `${measureWords[what].name}, corrected`,
                          inputMode: 'decimal',
                          style: { width: 70, textAlign: 'right' },
                        },
                      }}
                    />
                  ) : (
                    <b>{showMeasured(what, value, units)}</b>
                  )}
                </TableCell>
                <TableCell>
                  {open ? (
                    <Button size="small" onClick={() => store(event, what)} disabled={add.isPending}>
                      Store
                    </Button>
                  ) : (
                    <Button
                      size="small"
                      aria-label={`Correct ${measureWords[what].name}`}
                      onClick={() => {
                        setCorrecting(event.id);
                        setText('');
                      }}
                    >
                      Correct
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      {raw !== undefined && baked !== undefined && (
        <Box sx={{ pt: 1, fontSize: 14 }}>Lost {((1 - baked / raw) * 100).toFixed(1)} % of its weight.</Box>
      )}
    </Section>
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

const against = { paler: 'paler than shown', asShown: 'as shown', darker: 'darker than shown' } as const;

function Said({ bake, zone }: { bake: Run; zone: string }) {
  const stood = standingEvents(bake.events);
  const lines = stood.flatMap((event): { id: string; at: string; text: ReactNode }[] => {
    const { what, id, at } = event;
    const line = (text: ReactNode) => [{ id, at, text }];
    switch (what.kind) {
      case 'felt':
        return line(<>Felt: {handWordLabels[what.word].toLowerCase()}</>);
      case 'looked':
        return line(<>Look: {against[what.against]}</>);
      case 'rated':
        return line(
          <>
            {what.after === 'fresh' ? 'Fresh' : `After ${what.after} ${what.after === 1 ? 'day' : 'days'}`}:{' '}
            {(['crisp', 'tender', 'liked'] as const)
              .flatMap((axis) => (what[axis] === undefined ? [] : [`${axis} ${'●'.repeat(what[axis])}${'○'.repeat(5 - what[axis])}`]))
              .join(', ')}
          </>,
        );
      case 'noticed':
        return line(<>Noticed: {symptoms.values[what.symptom]?.toLowerCase()}</>);
      case 'confirmed':
        return line(<b>Confirmed all the same: {what.reason}</b>);
      case 'scaled':
        return line(<>Scaled × {Number(what.factor.toFixed(3))}</>);
      case 'noted':
        return line(what.text);
      default:
        return [];
    }
  });
  return (
    <Section title="Said of it">
      {lines.length === 0 && <Box sx={{ fontSize: 14 }}>Nothing yet.</Box>}
      {lines.map(({ id, at, text }) => (
        <Box key={id} sx={{ display: 'grid', gridTemplateColumns: '96px 1fr', fontSize: 14.5, lineHeight: '24px' }}>
          <Box sx={{ color: 'text.secondary' }}>{DateTime.fromISO(at, { zone }).toFormat('d LLL HH:mm')}</Box>
          <Box>{text}</Box>
        </Box>
      ))}
    </Section>
  );
}

function Photos({ bake }: { bake: Run }) {
  const add = useAddPhoto(bake.id);
  const input = useRef<HTMLInputElement>(null);
  const photos = standingEvents(bake.events).flatMap(({ what }) => (what.kind === 'photographed' ? [what.photoId] : []));
  return (
    <Section title="Photos">
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        {photos.map((photoId, i) => (
          <a key={photoId} href={`/api/bakes/${bake.id}/photos/${photoId}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/bakes/${bake.id}/photos/${photoId}`}
              alt={`Bake ${bake.number}, photo ${i + 1}`}
              width={132}
              height={99}
              style={{ objectFit: 'cover', borderRadius: 8 }}
            />
          </a>
        ))}
        <Button variant="outlined" disabled={add.isPending} onClick={() => input.current?.click()}>
          {add.isPending ? 'Storing' : 'Add a photo'}
        </Button>
        <input
          ref={input}
          hidden
          type="file"
          accept="image/jpeg,image/png,image/webp"
          aria-label="Photo of the bake"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) add.mutate({ photoId: v4(), file });
            target.value = '';
          }}
        />
      </Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary', pt: 1 }}>Stored smaller, without place, camera and date.</Box>
      {add.isError && <Alert severity="error">{add.error.message}</Alert>}
    </Section>
  );
}

const axes = ['crisp', 'tender', 'liked'] as const;

/** A rating after days, what was noticed, a note: each an event of its own. */
function AddTo({ bake }: { bake: Run }) {
  const add = useAddEvents(bake.id);
  const daysSince = Math.max(0, Math.floor(DateTime.now().diff(DateTime.fromISO(bake.startedAt), 'days').days));
  const [days, setDays] = useState(String(daysSince));
  const [dots, setDots] = useState<Readonly<Partial<Record<(typeof axes)[number], number>>>>({});
  const [symptom, setSymptom] = useState('');
  const [note, setNote] = useState('');
  const n = /^\d+$/.test(days.trim()) ? Number(days) : NaN;
  const daysWrong = !(n >= 0 && n <= 365);
  const whats: Happened[] = [
    ...(Object.keys(dots).length > 0 && !daysWrong ? [{ kind: 'rated' as const, after: n === 0 ? ('fresh' as const) : n, ...dots }] : []),
    ...(symptom === '' ? [] : [{ kind: 'noticed' as const, symptom: Number(symptom) }]),
    ...(note.trim() === '' ? [] : [{ kind: 'noted' as const, text: note.trim().slice(0, 2000) }]),
  ];
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
    <Section title="Add to it">
      <Box sx={{ display: 'grid', gap: 3 }}>
        <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
          <TextField
            size="small"
            label="Days after"
            value={days}
            error={daysWrong}
            helperText={daysWrong ? 'Days are a whole number from 0 to 365' : n === 0 ? 'fresh' : ' '}
            onChange={({ target }) => setDays(target.value)}
            slotProps={{ htmlInput: { inputMode: 'numeric', style: { width: 90 } } }}
          />
          {axes.map((axis) => (
            <TextField
              key={axis}
              select
              size="small"
              label={axis[0]!.toUpperCase() + axis.slice(1)}
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
        <TextField select size="small" label="Noticed" value={symptom} onChange={({ target }) => setSymptom(target.value)}>
          <MenuItem value="">Nothing</MenuItem>
          {bakedSymptoms.map((id) => (
            <MenuItem key={id} value={String(id)}>
              {symptoms.values[id]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          label="Note"
          value={note}
          onChange={({ target }) => setNote(target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        {add.isError && <Alert severity="error">{add.error.message}</Alert>}
        <Button variant="outlined" disabled={whats.length === 0 || add.isPending} onClick={store} sx={{ justifySelf: 'start' }}>
          Store it
        </Button>
      </Box>
    </Section>
  );
}
