import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Rating from '@mui/material/Rating';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import {
  families,
  findingsOf,
  handlingOf,
  handWordOrder,
  type HandWord,
  type RatedWhat,
  unitOf,
  measureKinds,
  fixedMass,
} from '@north-leaf/core';
import type { FormulaVersion } from '@north-leaf/contracts';
import { Controller, useForm } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import { findingWords } from '@north-leaf/words';
import { Wrong } from '../../ui/frame/note';
import { typeSize, under } from '../../ui/theme/theme';
import { readMeasure } from './read-measure';
import { readMass } from '../../ui/form/typed-mass';
import { useVoice } from '../../platform/preferences';
import { ApiError } from '../../platform/http';
import { ErrorPage } from '../../platform/error-page';
import { Leaf } from '../../ui/frame/leaf';
import { Page } from '../../ui/frame/page';
import { handWordsOf } from '../../ui/words/words';
import { versionQuery } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { useRecordBake } from './api';
import type { measuredFields } from './record-form';
import { emptyRecord, eventsOfRecord, rowsToWeigh, type RecordForm } from './record-form';
import { t } from '../../platform/words';

/** What really happened, entered afterwards: a plain form that stores events. */
export function RecordPage() {
  const [search] = useSearchParams();
  const formulaId = search.get('formula') ?? '';
  const version = useQuery(versionQuery(formulaId, Number(search.get('version') ?? 1)));
  const kitchen = useQuery(kitchenQuery);
  const error = version.error ?? kitchen.error;
  if (error) return <ErrorPage error={error} />;
  if (!version.data || !kitchen.data) return <Page title={t('common.recordABake')}>{t('common.loading')}</Page>;
  return <Form version={version.data} roomC={kitchen.data.roomC} humidityShare={kitchen.data.humidityShare} />;
}

function Form({ version, roomC, humidityShare }: { version: FormulaVersion; roomC: number; humidityShare: number }) {
  const entry = useRecordForm(humidityShare, roomC, version);
  const { formula, submit, unsafe, voice, errors, register, planned, record } = entry;

  return (
    <Page title={t('common.recordABake')} beside={`${formula.name} v${version.version}`}>
      <form noValidate onSubmit={(event) => void submit(event)}>
        {unsafe.map((finding) => (
          <Alert key={finding.code} severity="error" icon={<Leaf state="fix" />} sx={{ mb: 3 }}>
            {findingWords(finding, voice).what}. {findingWords(finding, voice).change}
          </Alert>
        ))}
        {unsafe.length > 0 && (
          <TextField
            fullWidth
            label={t('bakes.whyItWasBakedAllTheSame')}
            error={errors.reason !== undefined}
            helperText={errors.reason?.message}
            {...register('reason', { validate: (text: string) => text.trim().length >= 3 || t('common.giveTheReasonInAFewWords') })}
            sx={{ mb: 4 }}
          />
        )}
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8, [under.phone]: { gridTemplateColumns: '1fr' } }}>
          <Box>
            <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', gap: 2 }}>
              <Typography variant="h2">{t('bakes.weighed')}</Typography>
              <Button size="small" onClick={entry.allAsPlanned}>
                {t('bakes.allAsPlanned')}
              </Button>
            </Box>
            <WeighedTable entry={entry} />
            <Typography variant="h2" sx={{ pt: 6, pb: 2 }}>
              {t('bakes.inTheHand')}
            </Typography>
            <FeltChoice entry={entry} />
          </Box>
          <Box>
            <Typography variant="h2">{t('bakes.measured')}</Typography>
            <MeasuredField name="rawMm" label={t('common.rolledTo')} plan={planned.rawMm} entry={entry} />
            <MeasuredField name="bakeMin" label={t('common.inTheOven')} plan={planned.bakeMin} entry={entry} />
            <MeasuredField name="rawG" label={t('bakes.traysLoadBefore')} entry={entry} />
            <MeasuredField
              name="bakedG"
              label={t('bakes.traysLoadAfter')}
              plan={planned.lost && t('bakes.lostLess', { lost: planned.lost })}
              entry={entry}
            />
            <MeasuredField name="topTone" label={t('bakes.toneOfTheTop')} plan={planned.tone} entry={entry} />
            <MeasuredField name="roomC" label={t('common.room')} entry={entry} />
            <Typography variant="h2" sx={{ pt: 4 }}>
              {t('bakes.freshItWas')}
            </Typography>
            <Stars name="crisp" label={t('common.crisp')} entry={entry} />
            <Stars name="tender" label={t('common.tender')} entry={entry} />
            <Stars name="liked" label={t('common.liked')} entry={entry} />
            <TextField
              label={t('common.note')}
              multiline
              minRows={2}
              fullWidth
              {...register('note', { maxLength: { value: 2000, message: t('bakes.atMost2000Letters') } })}
              slotProps={{ htmlInput: { style: { textAlign: 'left' } } }}
              sx={{ mt: 3 }}
            />
          </Box>
        </Box>
        {errors.root && (
          <Alert severity="error" sx={{ mt: 3 }}>
            {errors.root.message}
          </Alert>
        )}
        {record.isPending && record.failureReason instanceof ApiError && (
          <Alert severity="warning" sx={{ mt: 3 }}>
            {t('bakes.theServerDoesNotAnswerStoringAgain')}
          </Alert>
        )}
        <StoreOrLeave record={record} />
      </form>
    </Page>
  );
}

/** Storing it, or leaving it. */
function StoreOrLeave({ record }: { readonly record: ReturnType<typeof useRecordBake> }) {
  const navigate = useNavigate();
  return (
    <Box sx={{ display: 'flex', gap: 3, pt: 5 }}>
      <Button type="submit" variant="contained" disabled={record.isPending}>
        {record.isPending ? t('common.storing') : t('bakes.storeThisBake')}
      </Button>
      <Button variant="outlined" onClick={() => void navigate(-1)}>
        {t('common.leaveIt')}
      </Button>
    </Box>
  );
}

/** What happened, as it is typed, and the bake that is stored of it. */
function useRecordForm(humidityShare: number, roomC: number, version: FormulaVersion) {
  const navigate = useNavigate();
  const voice = useVoice();
  const record = useRecordBake();
  // One id for this page: pressed twice or sent again after a cut, it is still one bake.
  const [id] = useState(() => crypto.randomUUID());
  const { formula, evaluation, pantry } = version;
  const unsafe = findingsOf(evaluation).filter((finding) => finding.unsafe);
  const { register, control, handleSubmit, formState, setError, setValue, getValues } = useForm<RecordForm>({ defaultValues: emptyRecord });
  const { errors } = formState;
  const bake = evaluation.bake.state === 'waiting' ? null : evaluation.bake.result;
  const planned = {
    rawMm: formula.sheet.parts[0] && voice.bare(formula.sheet.parts[0].thicknessMm, 'length'),
    bakeMin: bake?.totalMin.toFixed(1),
    lost: bake && `${(bake.end.lossShare * 100).toFixed(1)} %`,
    tone: bake?.end.topTone.toFixed(1),
  };

  const submit = handleSubmit((form) => {
    const events = eventsOfRecord(
      form,
      formula,
      unsafe.map(({ code }) => code),
      { newId: () => crypto.randomUUID(), now: new Date(), voice, pantry },
    );
    if (events.length === 0) return setError('root', { message: t('bakes.nothingIsFilledInYetEnterAt') });
    record.mutate(
      {
        id,
        body: {
          formulaId: version.formulaId,
          version: version.version,
          factor: 1,
          roomC: readMeasure('roomC', form.roomC, voice).value ?? roomC,
          humidityShare,
          events,
        },
      },
      {
        onSuccess: () => void navigate(`/formulas/${version.formulaId}/bake`),
        onError: (error) => setError('root', { message: error.message }),
      },
    );
  });
  /** What was typed stays. */
  const allAsPlanned = () => {
    for (const { key, plannedG } of rowsToWeigh(formula))
      if (!getValues(`weighed.${key}`)?.trim()) setValue(`weighed.${key}`, fixedMass(plannedG, voice.units));
  };
  const family = families[formula.family];
  const words = handWordsOf(family ? handlingOf(formula, family) : undefined);
  return { words, voice, errors, register, control, formula, submit, unsafe, pantry, planned, record, navigate, allAsPlanned };
}

type Entry = ReturnType<typeof useRecordForm>;

/** One measured value with its plan beside it. */
function MeasuredField({
  name,
  label,
  plan,
  entry,
}: {
  readonly name: (typeof measuredFields)[number];
  readonly label: string;
  readonly plan?: string | null | undefined;
  readonly entry: Entry;
}) {
  const voice = useVoice();
  const { errors, register } = entry;

  const unit = name === 'topTone' ? t('bakes.of8') : unitOf(measureKinds[name], voice.units);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '150px 130px 1fr', gap: 3, alignItems: 'center', minHeight: 44 }}>
      <label htmlFor={name}>{label}</label>
      <TextField
        id={name}
        size="small"
        error={errors[name] !== undefined}
        slotProps={{
          htmlInput: { inputMode: 'decimal', autoComplete: 'off', 'aria-describedby': `${name}-why`, style: { textAlign: 'right' } },
        }}
        {...register(name, {
          validate: (text: string) => readMeasure(name, text, voice, label).problem ?? true,
        })}
      />
      <Box
        id={`${name}-why`}
        role={errors[name] ? 'alert' : undefined}
        sx={{ fontSize: typeSize.small, color: errors[name] ? 'error.main' : 'text.secondary' }}
      >
        {errors[name]?.message ?? `${unit}${plan ? t('bakes.plannedPlan', { plan }) : ''}`}
      </Box>
    </Box>
  );
}

/** Five dots of one kind. */
function Stars({ name, label, entry }: { readonly name: RatedWhat; readonly label: string; readonly entry: Entry }) {
  const { control } = entry;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '150px 1fr', alignItems: 'center', minHeight: 40 }}>
      <Box id={`${name}-label`}>{label}</Box>
      <Controller
        control={control}
        name={name}
        render={({ field: { value, onChange } }) => (
          <Rating
            name={name}
            aria-labelledby={`${name}-label`}
            value={value}
            onChange={(_, next) => onChange(next)}
            icon={<Dot full />}
            emptyIcon={<Dot />}
            getLabelText={(n) => t('bakes.labelNOf5', { label, n })}
          />
        )}
      />
    </Box>
  );
}

/** What went in of each row: the blend's flours first, under its name. */
function WeighedTable({ entry }: { readonly entry: Entry }) {
  const { formula, voice } = entry;
  const unit = unitOf('mass', voice.units);
  const rows = rowsToWeigh(formula);
  const flours = formula.blend.rows.length;
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>{t('common.ingredient')}</TableCell>
          <TableCell align="right">{t('bakes.plannedG', { unit })}</TableCell>
          <TableCell align="right">{t('bakes.wentInG', { unit })}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        <PartName>{formula.blend.name}</PartName>
        {rows.slice(0, flours).map((row) => (
          <WeighedRow key={row.key} row={row} entry={entry} />
        ))}
        <PartName>{t('bakes.besideTheBlend')}</PartName>
        {rows.slice(flours).map((row) => (
          <WeighedRow key={row.key} row={row} entry={entry} />
        ))}
      </TableBody>
    </Table>
  );
}

const PartName = ({ children }: { readonly children: string }) => (
  <TableRow>
    <TableCell component="th" scope="rowgroup" colSpan={3} sx={{ color: 'text.secondary', fontSize: typeSize.small, pt: 3 }}>
      {children}
    </TableCell>
  </TableRow>
);

/** One row: what was planned, and what went in. */
function WeighedRow({ row, entry }: { readonly row: ReturnType<typeof rowsToWeigh>[number]; readonly entry: Entry }) {
  const voice = useVoice();
  const { pantry, errors, register } = entry;
  const ingredient = pantry.ingredients[row.ingredientId];
  const name = ingredient?.name ?? row.ingredientId;
  const wrong = errors.weighed?.[row.key];
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {name}
        {wrong && <Wrong>{wrong.message}</Wrong>}
      </TableCell>
      <TableCell align="right">{fixedMass(row.plannedG, voice.units)}</TableCell>
      <TableCell align="right">
        <TextField
          size="small"
          error={wrong !== undefined}
          slotProps={{
            htmlInput: {
              'aria-label': t('bakes.nameWeighed', { name }),
              inputMode: 'decimal',
              autoComplete: 'off',
              style: { textAlign: 'right', width: 80 },
            },
          }}
          {...register(`weighed.${row.key}`, {
            validate: (text: string | undefined) => {
              if (!text || text.trim() === '') return true;
              return readMass(text, voice, { of: { ingredient } }).problem ?? true;
            },
          })}
        />
      </TableCell>
    </TableRow>
  );
}

/** What the hand said. */
function FeltChoice({ entry }: { readonly entry: Entry }) {
  const { control, words } = entry;
  return (
    <Controller
      control={control}
      name="felt"
      render={({ field: { value, onChange } }) => (
        <ToggleButtonGroup
          exclusive
          value={value}
          onChange={(_, next: HandWord | null) => onChange(next)}
          aria-label={t('bakes.feelOfTheDough')}
        >
          {handWordOrder.map((word) => (
            <ToggleButton key={word} value={word}>
              {words[word]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
    />
  );
}

function Dot({ full = false }: { full?: boolean }) {
  return (
    <Box component="svg" viewBox="0 0 20 20" sx={{ width: 26, height: 26, color: 'primary.main' }}>
      <circle cx="10" cy="10" r="7" fill={full ? 'currentColor' : 'none'} stroke="currentColor" strokeWidth="1.8" />
    </Box>
  );
}
