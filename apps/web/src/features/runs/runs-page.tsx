import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DateTime } from 'luxon';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { titleOf } from '@north-leaf/words';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { ErrorPage } from '../../platform/error-page';
import { Page } from '../../ui/frame/page';
import { kitchenQuery } from '../kitchen/doors';
import { runningQuery } from '../bakes/doors';
import { leftWords } from './bench/bench-words';
import { useNow } from '../../platform/use-now';
import { useRunning, useRunningNews } from './keeping/use-run';
import { t } from '../../platform/words';
import type { Run } from '@north-leaf/contracts';
import type { Kitchen, RunState, RunStep, RunningWait } from '@north-leaf/core';

/** Runs under way: where each stands, and a way to begin another. */
export function RunsPage() {
  const running = useRunning();
  useRunningNews();
  const asked = useQuery(runningQuery);
  const { data: kitchen } = useQuery(kitchenQuery);
  if (asked.isError && running.length === 0) return <ErrorPage error={asked.error} />;
  return (
    <Page
      title={t('common.run')}
      beside={asked.data ? t('runs.runningUnderWay', { running: running.length }) : ' '}
      actions={
        <Button component={Link} to="/run/new" variant="contained">
          {t('common.startABake')}
        </Button>
      }
    >
      <Box sx={{ display: 'grid', gap: 3 }}>
        {running.map(({ run, state }) => {
          const step = state.steps[state.nowIndex]!.step;
          const [wait] = state.waits;
          return <RunningRow key={run.id} kitchen={kitchen} run={run} state={state} step={step} wait={wait} />;
        })}
        {asked.data && running.length === 0 && (
          <Box sx={{ py: 8, textAlign: 'center' }}>
            {t('runs.aBakeThatIsUnderWayStands')}{' '}
            <Button component={Link} to="/run/new" variant="outlined">
              {t('runs.startOne')}
            </Button>
          </Box>
        )}
      </Box>
    </Page>
  );
}

/** A bake under way, and what it waits for. */
function RunningRow({
  kitchen,
  run,
  state,
  step,
  wait,
}: {
  readonly kitchen: Kitchen | undefined;
  readonly run: Run;
  readonly state: RunState;
  readonly step: RunStep;
  readonly wait: RunningWait | undefined;
}) {
  const voice = useVoice();
  const now = useNow();
  return (
    <Box
      component={Link}
      to={`/run/${run.id}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: '1fr auto auto',
        gap: 4,
        alignItems: 'center',
        minHeight: 72,
        borderBottom: 1,
        borderColor: 'divider',
        color: 'text.primary',
        textDecoration: 'none',
        px: 2,
        '&:hover': { bgcolor: 'action.hover' },
      }}
    >
      <Box>
        <Box sx={{ fontSize: typeSize.action, fontWeight: 680 }}>
          {run.formulaName} v{run.version}
          <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: typeSize.body }}>
            {' '}
            {t('runs.bakeNumberBegunStartedatWord', {
              number: run.number,
              startedAt: DateTime.fromISO(run.startedAt, { zone: kitchen?.zone ?? 'UTC' }).toFormat('HH:mm'),
              word: state.state === 'paused' ? t('runs.paused2') : '',
            })}
          </Box>
        </Box>
        <Box sx={{ fontSize: typeSize.lead }}>
          {t('runs.stepNowindexOfStepsStep', {
            nowIndex: state.nowIndex + 1,
            steps: state.steps.length,
            step: titleOf(step, voice),
          })}
        </Box>
      </Box>
      <Box sx={{ fontSize: typeSize.strip, fontWeight: 700 }}>{wait ? leftWords(wait.endsAt - now) : ''}</Box>
      <Box sx={{ color: 'primary.main', fontWeight: 650 }}>{t('common.open')}</Box>
    </Box>
  );
}
