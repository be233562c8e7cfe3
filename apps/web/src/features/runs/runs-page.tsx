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

/** Runs under way: where each stands, and a way to begin another. */
export function RunsPage() {
  const running = useRunning();
  useRunningNews();
  const asked = useQuery(runningQuery);
  const { data: kitchen } = useQuery(kitchenQuery);
  const voice = useVoice();
  const now = useNow();
  if (asked.isError && running.length === 0) return <ErrorPage error={asked.error} />;
  return (
    <Page
      title="Run"
      beside={asked.data ? `${running.length} under way` : ' '}
      actions={
        <Button component={Link} to="/run/new" variant="contained">
          Start a bake
        </Button>
      }
    >
      <Box sx={{ display: 'grid', gap: 3 }}>
        {running.map(({ run, state }) => {
          const step = state.steps[state.nowIndex]!.step;
          const [wait] = state.waits;
          return (
            <Box
              key={run.id}
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
                    bake {run.number}, begun {DateTime.fromISO(run.startedAt, { zone: kitchen?.zone ?? 'UTC' }).toFormat('HH:mm')}
                    {state.state === 'paused' ? ', paused' : ''}
                  </Box>
                </Box>
                <Box sx={{ fontSize: typeSize.lead }}>
                  Step {state.nowIndex + 1} of {state.steps.length}: {titleOf(step, voice)}
                </Box>
              </Box>
              <Box sx={{ fontSize: typeSize.strip, fontWeight: 700 }}>{wait ? leftWords(wait.endsAt - now) : ''}</Box>
              <Box sx={{ color: 'primary.main', fontWeight: 650 }}>Open</Box>
            </Box>
          );
        })}
        {asked.data && running.length === 0 && (
          <Box sx={{ py: 8, textAlign: 'center' }}>
            A bake that is under way stands here, and each device can go on with it.{' '}
            <Button component={Link} to="/run/new" variant="outlined">
              Start one
            </Button>
          </Box>
        )}
      </Box>
    </Page>
  );
}
