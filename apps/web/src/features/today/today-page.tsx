import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { Link } from 'react-router';
import { ahead, leftMin, stageNames, type RunState } from '@north-leaf/core';
import type { FormulaName, Run } from '@north-leaf/contracts';
import { stepWords, titleOf } from '@north-leaf/words';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { typeSize, under } from '../../ui/theme/theme';
import { ErrorPage } from '../../platform/error-page';
import { useVoice } from '../../platform/preferences';
import { Leaf } from '../../ui/frame/leaf';
import { Page } from '../../ui/frame/page';
import { FamilyDrawing } from '../../ui/drawing/family-drawing';
import { Ribbon } from '../../ui/drawing/ribbon';
import { formulaNamesQuery, versionQuery } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { runningQuery } from '../bakes/doors';
import { NotStored, leftWords, useRunning, useRunningNews, useWaits } from '../runs/doors';
import { useNow } from '../../platform/use-now';
import { t } from '../../platform/words';
import { caresOf } from './cares';
import { stageLabels } from '../board/doors';

type Going = { readonly run: Run; readonly state: RunState };

/** What hands do now, where each bake stands, what waits, what comes next, and what needs looking after. */
export function TodayPage() {
  const voice = useVoice();
  const { data: kitchen } = useQuery(kitchenQuery);
  const asked = useQuery(runningQuery);
  const running = useRunning();
  useRunningNews();
  const now = useNow();
  if (asked.isError && running.length === 0) return <ErrorPage error={asked.error} />;
  const here = DateTime.fromMillis(now, { zone: kitchen?.zone ?? 'UTC', locale: 'en-GB' });
  return (
    <Page
      title={t('common.today')}
      beside={
        kitchen
          ? t('today.hereHere2KitchenRoomHumidityDamp', {
              here: here.toFormat('cccc'),
              here2: here.toFormat('HH:mm'),
              room: voice.exact(kitchen.roomC, 'temperature'),
              humidity: Math.round(kitchen.humidityShare * 100),
            })
          : ' '
      }
      actions={
        <Button component={Link} to="/run/new" variant="contained">
          {t('common.startABake')}
        </Button>
      }
    >
      <NotStored />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) 330px',
          gap: 6,
          [under.split]: { gridTemplateColumns: 'minmax(0, 1fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Hands running={running} />
          {(running.length > 0 || asked.data === undefined) && <OnTheLine running={running} now={now} zone={kitchen?.zone ?? 'UTC'} />}
          <GoOnWith />
        </Box>
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Waiting now={now} />
          <Next running={running} now={now} zone={kitchen?.zone ?? 'UTC'} />
          <LookAfter />
        </Box>
      </Box>
    </Page>
  );
}

/** The step of every run that wants hands now; a run that only waits wants none. */
function Hands({ running }: { running: readonly Going[] }) {
  const { palette } = useTheme();
  const voice = useVoice();
  const busy = running.filter(({ state }) => {
    const { step, beganAt } = state.steps[state.nowIndex]!;
    return state.state === 'running' && !state.allDone && !(step.kind === 'wait' && beganAt !== null);
  });
  return (
    <Section title={t('today.toDoNow')} space={2}>
      {busy.length === 0 && (
        <Box sx={{ fontSize: typeSize.lead }}>{running.length > 0 ? t('today.nothingToDoNow') : t('today.noBakeIsUnderWay')}</Box>
      )}
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap' }}>
        {busy.map(({ run, state }) => {
          const { step } = state.steps[state.nowIndex]!;
          const words = stepWords(step, voice);
          return (
            <Box key={run.id} sx={{ flex: '1 1 300px', borderLeft: `3px solid ${palette.primary.main}`, pl: 3 }}>
              <Note size="small">{run.formulaName}</Note>
              <Box sx={{ fontSize: typeSize.strip, lineHeight: '28px', fontWeight: 680 }}>{words.title}</Box>
              <Box sx={{ fontSize: typeSize.lead, pb: 2 }}>{[words.how, words.sign].filter(Boolean).join(' ')}</Box>
              <Button component={Link} to={`/run/${run.id}`} variant="contained" sx={{ minHeight: 48, fontSize: typeSize.large }}>
                {t('today.openSteps')}
              </Button>
            </Box>
          );
        })}
      </Box>
    </Section>
  );
}

function OnTheLine({ running, now, zone }: { running: readonly Going[]; now: number; zone: string }) {
  const names: Readonly<Record<string, string>> = stageLabels;
  return (
    <Section title={t('today.onTheLine')}>
      {running.length > 0 && (
        <Box
          aria-hidden
          sx={{
            display: 'grid',
            gridTemplateColumns: '210px 1fr 84px',
            fontSize: typeSize.caption,
            color: 'text.secondary',
            fontWeight: 600,
            [under.phone]: { display: 'none' },
          }}
        >
          <span />
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(6, 1fr)' }}>
            {stageNames.map((name) => (
              <span key={name}>{names[name]}</span>
            ))}
          </Box>
          <Box sx={{ textAlign: 'right' }}>{t('today.readyAbout')}</Box>
        </Box>
      )}
      {running.map((one) => (
        <OneOnTheLine key={one.run.id} {...one} now={now} zone={zone} stage={names} />
      ))}
    </Section>
  );
}

/** Not all of them: there is a page for that. */
const SHOWN = 5;
/** The formulas last worked on: where a day without a bake goes on. */
function GoOnWith() {
  const { palette } = useTheme();
  const { data: formulas } = useQuery(formulaNamesQuery);
  if (!formulas) return null;
  const touched = ({ savedAt, draftStoredAt }: FormulaName) => (draftStoredAt && draftStoredAt > savedAt ? draftStoredAt : savedAt);
  const lately = [...formulas].sort((a, b) => touched(b).localeCompare(touched(a))).slice(0, SHOWN);
  return (
    <Section title={t('today.goOnWith')} space={1}>
      {lately.map(({ id, name, version, family, familyName, draftStoredAt }) => (
        <Box
          key={id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 3,
            minHeight: 64,
            borderBottom: `1px solid ${palette.divider}`,
            flexWrap: 'wrap',
          }}
        >
          <FamilyDrawing familyId={family} size={82} />
          <Box sx={{ flex: 1, minWidth: 160 }}>
            <Box component={Link} to={`/formulas/${id}/dough`} sx={{ color: 'text.primary', fontSize: typeSize.lead, fontWeight: 650 }}>
              {name}
            </Box>
            <Note size="small">
              v{version} · {familyName}
              {draftStoredAt && t('common.draftStored')}
            </Note>
          </Box>
          <Button component={Link} to={`/run/new?formula=${id}`} variant="outlined" aria-label={t('today.bakeName', { name })}>
            {t('today.bakeIt')}
          </Button>
        </Box>
      ))}
      {formulas.length === 0 && (
        <Button component={Link} to="/formulas?open=new" variant="contained">
          {t('today.makeTheFirstFormula')}
        </Button>
      )}
    </Section>
  );
}

function OneOnTheLine({ run, state, now, zone, stage }: Going & { now: number; zone: string; stage: Readonly<Record<string, string>> }) {
  const { palette } = useTheme();
  const voice = useVoice();
  const { data: version } = useQuery(versionQuery(run.formulaId, run.version));
  const { step } = state.steps[state.nowIndex]!;
  const at = stageNames.indexOf(step.stage);
  const ofStage = state.steps.filter((one) => one.step.stage === step.stage);
  const share = ofStage.filter((one) => one.state !== 'todo').length / Math.max(1, ofStage.length);
  const place = ((at + Math.min(0.95, Math.max(0.05, share))) / 6) * 100;
  const ready = DateTime.fromMillis(now + leftMin(state, now) * 60_000, { zone }).toFormat('HH:mm');
  return (
    <Box
      component={Link}
      to={`/run/${run.id}`}
      aria-label={t('today.formulanameStageStepReadyAboutReady', {
        formulaName: run.formulaName,
        stage: stage[step.stage],
        step: titleOf(step, voice),
        ready,
      })}
      sx={{
        display: 'grid',
        gridTemplateColumns: '210px 1fr 84px',
        alignItems: 'center',
        borderBottom: `1px solid ${palette.divider}`,
        minHeight: 84,
        color: 'text.primary',
        textDecoration: 'none',
        [under.phone]: { gridTemplateColumns: '1fr 84px' },
      }}
    >
      <Box sx={{ pr: 2 }}>
        <Box sx={{ fontSize: typeSize.large, fontWeight: 680 }}>{run.formulaName}</Box>
        <Note size="small">{titleOf(step, voice)}</Note>
      </Box>
      <Box sx={{ position: 'relative', height: 62, [under.phone]: { gridRow: 2, gridColumn: '1 / 3' } }}>
        {version && <Ribbon formula={version.formula} evaluation={version.evaluation} />}
        <Box sx={{ position: 'absolute', inset: `0 0 0 ${place}%`, bgcolor: 'background.paper', opacity: 0.72 }} />
        <Box
          sx={{
            position: 'absolute',
            left: `calc(${place}% - 2px)`,
            top: -2,
            bottom: -4,
            width: 4,
            borderRadius: 2,
            bgcolor: 'text.primary',
          }}
        />
      </Box>
      <Box sx={{ textAlign: 'right', fontSize: typeSize.list, fontWeight: 700 }}>{ready}</Box>
    </Box>
  );
}

function Waiting({ now }: { now: number }) {
  const { palette } = useTheme();
  const voice = useVoice();
  const waits = useWaits();
  return (
    <Section title={t('common.waiting')} space={1}>
      {waits.length === 0 && <Box sx={{ fontSize: typeSize.lead }}>{t('common.nothingWaits')}</Box>}
      {waits.map(({ run, wait, key }) => (
        <Box
          key={key}
          component={Link}
          to={`/run/${run.id}`}
          sx={{
            display: 'flex',
            gap: 2,
            alignItems: 'center',
            py: 2,
            borderBottom: `1px solid ${palette.divider}`,
            color: 'text.primary',
            textDecoration: 'none',
          }}
        >
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Box sx={{ fontSize: typeSize.lead, fontWeight: 650 }}>{titleOf(wait.step, voice)}</Box>
            <Note size="small">
              {run.formulaName}
              {wait.then ? t('common.thenThen', { then: titleOf(wait.then, voice) }) : ''}
            </Note>
          </Box>
          <Box sx={{ fontSize: typeSize.strip, fontWeight: 700, whiteSpace: 'nowrap' }}>{leftWords(wait.endsAt - now)}</Box>
        </Box>
      ))}
    </Section>
  );
}

/** More than that is not today's worry yet. */
const MOST_NEXT = 6;

/** What hands will be wanted for, of all bakes, in the order of the clock. */
function Next({ running, now, zone }: { running: readonly Going[]; now: number; zone: string }) {
  const voice = useVoice();
  const steps = running
    .filter(({ state }) => state.state === 'running')
    .flatMap(({ run, state }) =>
      ahead(state, now)
        .slice(1)
        .filter(({ step }) => step.kind !== 'wait' && step.kind !== 'weigh' && step.kind !== 'measure')
        .map((one) => ({ ...one, run })),
    )
    .sort((a, b) => a.beginMin - b.beginMin)
    .slice(0, MOST_NEXT);
  if (steps.length === 0) return null;
  return (
    <Section title={t('today.nextToDo')} space={1}>
      {steps.map(({ run, step, beginMin }) => (
        <Box key={`${run.id} ${step.key}`} sx={{ display: 'grid', gridTemplateColumns: '64px 1fr', fontSize: typeSize.body, py: '3px' }}>
          <b>{DateTime.fromMillis(now + beginMin * 60_000, { zone }).toFormat('HH:mm')}</b>
          <span>
            {titleOf(step, voice)}{' '}
            <Box component="span" sx={{ color: 'text.secondary', fontSize: typeSize.small }}>
              {run.formulaName}
            </Box>
          </span>
        </Box>
      ))}
    </Section>
  );
}

/** Lots that end, lots without proof, ovens not measured for long. */
function LookAfter() {
  const { data: kitchen } = useQuery(kitchenQuery);
  const { data: pantry } = useQuery(pantryQuery);
  const cares = kitchen && pantry ? caresOf(kitchen, pantry) : [];
  return (
    <Section title={t('today.lookAfter')} space={1}>
      {kitchen && pantry && cares.length === 0 && <Box sx={{ fontSize: typeSize.lead }}>{t('today.nothingToday')}</Box>}
      {cares.map(({ key, state, text, to }) => (
        <Box
          key={key}
          component={Link}
          to={to}
          sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1, fontSize: typeSize.body, color: 'text.primary' }}
        >
          <Leaf state={state} size={16} />
          {text}
        </Box>
      ))}
    </Section>
  );
}
