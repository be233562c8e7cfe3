import { Suspense, useEffect, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import { TimePicker } from '@mui/x-date-pickers/TimePicker';
import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { useNavigate, useSearchParams } from 'react-router';
import { v4 } from 'uuid';
import {
  beginningFor,
  canBegin,
  runTimes,
  scaled,
  type MadeReady,
  type NeededRest,
  type GoodOfDough,
  type PlannedLook,
  type Reply,
  showDuration,
  showQuantity,
} from '@north-leaf/core';
import { findingWords, titleOf, type Voice } from '@north-leaf/words';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { typeSize, under } from '../../ui/theme/theme';
import { bareNumber } from '../../ui/form/typed-number';
import { benchNow } from '../../platform/bench-clock';
import { ErrorPage } from '../../platform/error-page';
import { ApiError } from '../../platform/http';
import { usePreferences, useVoice } from '../../platform/preferences';
import { opened } from '../../platform/worker-kit';
import { Leaf } from '../../ui/frame/leaf';
import { Page } from '../../ui/frame/page';
import { formulaNamesQuery, formulaQuery, versionQuery, waitingDraft, DraftWaits, FormulaSelect } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { useStartRun } from '../bakes/doors';
import { told } from './keeping/run-store';
import { useNow } from '../../platform/use-now';
import { SharedDough } from './shared-dough';
import type { PlanRunApi, RunPlan, Size } from './plan-run.worker';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

type Planned = {
  readonly plan: Reply<RunPlan>;
  readonly rests: readonly NeededRest[] | null;
  readonly looks: readonly PlannedLook[] | null;
};

/** Everything that a run of this size would ask, worked out beside the page. */
type Asked = { readonly formulaId: string; readonly version: number; readonly size: Size };

function usePlan(of: Asked): Planned | null {
  const version = useQuery({ ...versionQuery(of.formulaId, of.version), enabled: of.version > 0 });
  const kitchen = useQuery(kitchenQuery);
  const pantry = useQuery(pantryQuery);
  const [planned, setPlanned] = useState<Planned | null>(null);
  const { data: v } = version;
  useEffect(() => {
    if (!v || !kitchen.data || !pantry.data) return;
    const worker = new Worker(new URL('./plan-run.worker.ts', import.meta.url), { type: 'module', name: 'plan-run' });
    const { api, end } = opened<PlanRunApi>(worker, { kitchen: kitchen.data, pantry: pantry.data });
    void (async () => {
      const plan = await api.plan(v.formula, of.size);
      setPlanned({ plan, rests: null, looks: null });
      if (!plan.ok) return;
      const rests = await api.rests();
      setPlanned((before) => before && { ...before, rests });
      const { looks, steps } = await api.looks();
      setPlanned((before) => before && { ...before, looks, plan: { ok: true, answer: { ...plan.answer, steps, times: runTimes(steps) } } });
    })();
    return end;
  }, [v, kitchen.data, pantry.data, of.size]);
  return planned;
}

/** Before a run begins: how large, how long, when to begin, what comes first. */
export function StartPage() {
  const voice = useVoice();
  const [params, setParams] = useSearchParams();
  const formulas = useQuery(formulaNamesQuery);
  const formulaId = params.get('formula') ?? formulas.data?.[0]?.id ?? '';
  const detail = useQuery({ ...formulaQuery(formulaId), enabled: formulaId !== '' });
  const newest = detail.data?.versions.at(-1)?.version ?? 0;
  const draft = detail.data ? waitingDraft(detail.data) : null;
  const asked = Number(params.get('version'));
  // With a newer draft there, which of the two is baked is for the baker to say.
  const mustChoose = draft !== null && !asked && params.get('lot') === null;
  const version = asked || newest;
  const [factorText, setFactorText] = useState('1');
  const factor = bareNumber(factorText);
  const factorProblem = factor === undefined || factor < 0.01 || factor > 100 ? t('runs.theSizeMustBeANumberFrom', { factorText }) : null;
  const pantry = useQuery(pantryQuery);
  const lotId = params.get('lot');
  const lot = lotId === null ? undefined : pantry.data?.lots[lotId];
  const what = lot?.from?.what;
  const kept = what && canBegin(what) && lot.onHandG !== undefined ? { what, amountG: lot.onHandG, lotId: lot.id } : null;
  const [shared, setShared] = useState<{ readonly of: string; readonly goods: readonly GoodOfDough[] | null }>({ of: '', goods: null });
  const goods = shared.of === `${formulaId} ${version}` ? shared.goods : null;
  const size: Size | null =
    lotId !== null
      ? kept
      : goods !== null
        ? goods.length > 0
          ? { goods }
          : null
        : factor !== undefined && factorProblem === null
          ? { factor }
          : null;
  if (formulas.isError) return <ErrorPage error={formulas.error} />;
  return (
    <Page title={t('common.startABake')} beside={formulas.data?.find(({ id }) => id === formulaId)?.name ?? ' '}>
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', alignItems: 'flex-start', pb: 3 }}>
        <FormulaSelect formulas={formulas.data} id={formulaId} onChoose={(formula) => setParams({ formula })} />
        <TextField
          select
          size="small"
          label={t('common.version')}
          value={detail.data ? version : ''}
          onChange={({ target }) => setParams({ formula: formulaId, version: target.value })}
          sx={{ minWidth: 120 }}
        >
          {(detail.data?.versions ?? []).map(({ version: n }) => (
            <MenuItem key={n} value={n}>
              v{n}
            </MenuItem>
          ))}
        </TextField>
        {lotId !== null ? (
          <Box sx={{ fontSize: typeSize.lead, alignSelf: 'center' }}>
            {kept && lot ? (
              <>
                {t('common.from')} {pantry.data?.ingredients[lot.ingredientId]?.name}
                <Sentence say="runs.lotCodeAmount" values={{ code: lot.code, amount: voice.show(kept.amountG, 'bulk') }} />
              </>
            ) : (
              pantry.data && t('runs.thisLotIsNotHereAnyMore')
            )}
          </Box>
        ) : goods !== null ? null : (
          <TextField
            label={t('runs.timesTheFormula')}
            size="small"
            value={factorText}
            error={factorProblem !== null}
            helperText={factorProblem ?? ' '}
            onChange={({ target }) => setFactorText(target.value)}
            slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
            sx={{ width: 180 }}
          />
        )}
      </Box>
      {lotId === null && version > 0 && !mustChoose && (
        <SharedDough
          key={`${formulaId} ${version}`}
          formulaId={formulaId}
          version={version}
          onGoods={(next) => setShared({ of: `${formulaId} ${version}`, goods: next })}
        />
      )}
      {mustChoose && (
        <Suspense>
          <DraftWaits detail={detail.data!} draft={draft} onVersion={(n) => setParams({ formula: formulaId, version: String(n) })} />
        </Suspense>
      )}
      {version > 0 && size && !mustChoose && (
        <Before key={`${formulaId} ${version} ${JSON.stringify(size)}`} formulaId={formulaId} version={version} size={size} />
      )}
    </Page>
  );
}

function Before({ formulaId, version, size }: Asked) {
  const [of] = useState<Asked>({ formulaId, version, size });
  const planned = usePlan(of);
  if (!planned) return <Skeleton height={240} role="status" aria-busy aria-label={t('runs.workingTheRunOut')} />;
  if (!planned.plan.ok)
    return (
      <Alert severity="error">
        {t('runs.itCannotBeRunAsItIs', { path: planned.plan.refused.path, message: planned.plan.refused.message })}
      </Alert>
    );
  return <Ready of={of} plan={planned.plan.answer} rests={planned.rests} looks={planned.looks} />;
}

function Ready({ of, plan, rests, looks }: { of: Asked; plan: RunPlan; rests: Planned['rests']; looks: Planned['looks'] }) {
  const voice = useVoice();
  const { reason, asked, needsReason, setReason, start, begin } = useBeginning(looks, of, plan);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 6, [under.phone]: { gridTemplateColumns: '1fr' } }}>
      <Box sx={{ display: 'grid', gap: 4, alignContent: 'start' }}>
        <Times plan={plan} />
        <Note size="small">{t('runs.minutesOfHandsAreAJudgementWaits')}</Note>
        <When plan={plan} />
        {plan.unsafe.map((finding) => (
          <Alert key={`${finding.code}${finding.measured?.of ?? ''}`} severity="error" icon={<Leaf state="fix" />}>
            {findingWords(finding, voice).what}. {findingWords(finding, voice).change}
          </Alert>
        ))}
        {plan.unsafe.length > 0 && (
          <TextField
            size="small"
            label={t('runs.whyItIsBakedAllTheSame')}
            value={reason}
            error={asked && needsReason}
            helperText={asked && needsReason ? t('common.giveTheReasonInAFewWords') : ' '}
            onChange={({ target }) => setReason(target.value)}
            fullWidth
          />
        )}
        {start.isError && start.error instanceof ApiError && <Alert severity="error">{start.error.message}</Alert>}
        {start.isPending && start.failureReason && <Alert severity="warning">{t('runs.theServerDoesNotAnswerItBegins')}</Alert>}
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
          <Button
            variant="contained"
            onClick={begin}
            disabled={start.isPending || !looks}
            sx={{ minHeight: 56, fontSize: typeSize.action, px: 5 }}
          >
            {t('runs.start')}
          </Button>
          {!looks && (
            <Box sx={{ flex: 1, fontSize: typeSize.small, color: 'text.secondary' }}>
              {t('runs.planningWhenToLook')}
              <LinearProgress aria-label={t('runs.planningWhenToLook')} />
            </Box>
          )}
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gap: 4, alignContent: 'start' }}>
        <BeforeIt plan={plan} />
        <Rests rests={rests} />
        {plan.pieces !== null && (
          <Section title={t('common.looks')}>
            <Box sx={{ fontSize: typeSize.lead }}>
              {looks ? looks.map(lookWords).join(', ') || t('runs.noLookIsPlanned') : <Skeleton />}
            </Box>
          </Section>
        )}
        <StepList plan={plan} />
      </Box>
    </Box>
  );
}

/** Begins the run, once: a reason first where something is unsafe. */
function useBeginning(looks: readonly PlannedLook[] | null, of: Asked, plan: RunPlan) {
  const navigate = useNavigate();
  const start = useStartRun();
  const version = useQuery(versionQuery(of.formulaId, of.version));
  const kitchen = useQuery(kitchenQuery);
  const pantry = useQuery(pantryQuery);
  const [id] = useState(() => v4());
  const [reason, setReason] = useState('');
  const [asked, setAsked] = useState(false);
  const needsReason = plan.unsafe.length > 0 && reason.trim().length < 3;
  const begin = () => {
    setAsked(true);
    if (needsReason || !looks) return;
    const confirmed = [...new Set(plan.unsafe.map(({ code }) => code))].map((code) => ({ code, reason: reason.trim() }));
    start.mutate(
      {
        id,
        body: {
          formulaId: of.formulaId,
          version: of.version,
          factor: Math.min(100, Math.max(0.01, plan.factor)),
          looks,
          confirmed,
          ...('what' in of.size ? { begins: { lotId: of.size.lotId, what: of.size.what } } : {}),
          ...('goods' in of.size ? { goods: of.size.goods.map(({ formulaId, version, doughG }) => ({ formulaId, version, doughG })) } : {}),
        },
      },
      {
        onSuccess: (run) => {
          if (version.data && kitchen.data && pantry.data)
            told(run, { formula: scaled(version.data.formula, run.factor), kitchen: kitchen.data, pantry: pantry.data });
          void navigate(`/run/${run.id}`);
        },
      },
    );
  };
  return { reason, asked, needsReason, setReason, start, begin };
}

/** What has to be in its place before. */
function BeforeIt({ plan }: { readonly plan: RunPlan }) {
  const voice = useVoice();
  return (
    <Section title={t('runs.beforeTheFirstStep')}>
      {plan.ready.length === 0 ? (
        <Box sx={{ fontSize: typeSize.body }}>{t('runs.nothingHasToGoIntoTheCold')}</Box>
      ) : (
        plan.ready.map((one) => (
          <Box key={one.thing} sx={{ fontSize: typeSize.lead, py: 1 }}>
            {readyWords(one, voice)}
          </Box>
        ))
      )}
    </Section>
  );
}

/** Rests that cannot be cut short, and what would be wrong without. */
function Rests({ rests }: { readonly rests: readonly NeededRest[] | null }) {
  const voice = useVoice();
  return (
    <Section title={t('runs.restsThatCannotBeLeftOut')} busy={rests === null}>
      {rests === null && <Skeleton />}
      {rests?.length === 0 && <Box sx={{ fontSize: typeSize.body }}>{t('runs.noneEveryRestHereMayBeCut')}</Box>}
      {rests?.map((rest) => (
        <Box key={rest.key} sx={{ fontSize: typeSize.lead, py: 1, display: 'flex', gap: 3 }}>
          <b style={{ whiteSpace: 'nowrap' }}>
            {rest.place}, {showDuration(rest.min)}
          </b>
          <span>{t('runs.withoutItWhat', { what: findingWords(rest.without, voice).what.toLowerCase() })}</span>
        </Box>
      ))}
    </Section>
  );
}

/** All steps, by name. */
function StepList({ plan }: { readonly plan: RunPlan }) {
  const voice = useVoice();
  const { units } = usePreferences();
  return (
    <Section title={t('runs.steps')}>
      <Box component="ol" sx={{ m: 0, pl: 6, fontSize: typeSize.body, maxHeight: 220, overflowY: 'auto' }} tabIndex={0}>
        {plan.steps.map((step) => (
          <li key={step.key}>
            {titleOf(step, voice)}
            {step.kind === 'weigh' ? `, ${showQuantity(step.amountG ?? 0, 'mass', units)}` : ''}
            {step.kind === 'wait' ? `, ${showDuration(step.min ?? 0)}` : ''}
          </li>
        ))}
      </Box>
    </Section>
  );
}

/** Hands, waits and pieces. */
function Times({ plan }: { readonly plan: RunPlan }) {
  const { times } = plan;
  return (
    <Box sx={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}>
      <Figure value={showDuration(times.handsMin)} label={t('runs.handsOn')} />
      <Figure value={showDuration(times.waitMin)} label={t('runs.waiting')} />
      <Figure value={showDuration(times.totalMin)} label={t('runs.inAll')} />
      {plan.pieces !== null && (
        <Figure
          value={`${plan.pieces}`}
          label={plan.loads > 1 ? t('runs.piecesInLoadsOvenLoads', { loads: plan.loads }) : t('runs.piecesMade', { count: plan.pieces })}
        />
      )}
    </Box>
  );
}

const lookWords = ({ atMin, asSet }: PlannedLook) =>
  t('runs.atMinWord', { at: Number(atMin.toFixed(1)), word: asSet ? t('runs.asSet') : '' });

const Figure = ({ value, label }: { value: string; label: string }) => (
  <Box>
    <Box sx={{ fontSize: typeSize.remaining, lineHeight: '36px', fontWeight: 700 }}>{value}</Box>
    <Note size="small">{label}</Note>
  </Box>
);

const readyNames: Readonly<Record<MadeReady['thing'], string>> = {
  cutButter: t('runs.cutButter'),
  butterBends: t('runs.theBlockOfButter'),
  butterCreams: t('runs.butterInSlices'),
  coldFlour: t('runs.flour'),
  ballIn: t('common.dough'),
  ballOut: t('runs.frozenDough'),
  pieIn: t('runs.aFilledPie'),
  pieOut: t('runs.aFrozenPie'),
};
const readyWords = ({ thing, from, to, min, untilC }: MadeReady, voice: Voice): string =>
  min === null
    ? t('runs.readynamesNeverGetsToUntilInName', {
        readyNames: readyNames[thing],
        until: voice.show(untilC, 'temperature'),
        name: to.name.toLowerCase(),
      })
    : t('runs.readynamesFromNameToName2MinBefore', {
        readyNames: readyNames[thing],
        name: from.name.toLowerCase(),
        name2: to.name.toLowerCase(),
        min: showDuration(min),
        until: voice.show(untilC, 'temperature'),
      });

/** When to begin to be ready at a time, or where it stands when the baker has to leave. */
function When({ plan }: { plan: RunPlan }) {
  const now = useNow(30_000);
  const { data: kitchen } = useQuery(kitchenQuery);
  const voice = useVoice();
  const [readyBy, setReadyBy] = useState<DateTime | null>(null);
  const [leaveAt, setLeaveAt] = useState<DateTime | null>(null);
  const zone = kitchen?.zone ?? 'UTC';
  const here = DateTime.fromMillis(now, { zone });
  /** The next time that the clock says so. */
  const inMin = (time: DateTime) => {
    const at = here.set({ hour: time.hour, minute: time.minute, second: 0, millisecond: 0 });
    return (at < here ? at.plus({ days: 1 }) : at).diff(here, 'minutes').minutes;
  };
  const clock = (min: number) => here.plus({ minutes: min }).toFormat('HH:mm');
  const { totalMin } = plan.times;
  const slack = readyBy?.isValid ? inMin(readyBy) - totalMin : null;
  const leaving = leaveAt?.isValid ? beginningFor(plan.steps, inMin(leaveAt)) : null;
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale="en-GB">
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <TimePicker label={t('runs.readyBy')} value={readyBy} onChange={setReadyBy} ampm={false} timezone={zone} sx={{ width: 150 }} />
        <TimePicker
          label={t('runs.iHaveToLeaveAt')}
          value={leaveAt}
          onChange={setLeaveAt}
          ampm={false}
          timezone={zone}
          sx={{ width: 180 }}
        />
      </Box>
      <Box role="status" sx={{ fontSize: typeSize.lead, display: 'grid', gap: 1 }}>
        <span>
          {t('runs.begunNowItIsReadyAboutValue', {
            value: DateTime.fromMillis(benchNow(), { zone }).plus({ minutes: totalMin }).toFormat('HH:mm'),
          })}
        </span>
        {slack !== null && (
          <b>
            {slack >= 0
              ? t('runs.beginAtSlackToBeReadyBy', { slack: clock(slack) })
              : t('runs.itIsSlackTooLateToBe', { slack: showDuration(-slack) })}
          </b>
        )}
        {leaving &&
          (leaving.under ? (
            <b>
              {t('runs.whenYouLeaveItStandsAtStep', {
                step: titleOf(leaving.under.step, voice),
                left: showDuration(leaving.under.leftMin),
                word:
                  leaving.under.step.kind === 'wait' && leaving.under.step.place
                    ? `. It may wait in the ${leaving.under.step.place.toLowerCase()} longer.`
                    : t('runs.doNotBeginItNow'),
              })}
            </b>
          ) : (
            <b>{t('runs.allIsDoneBeforeYouLeave')}</b>
          ))}
      </Box>
    </LocalizationProvider>
  );
}
