import { Suspense } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import { useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { Link, useParams } from 'react-router';
import { standingEvents } from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { under } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { ErrorPage } from '../../platform/error-page';
import { Page } from '../../ui/frame/page';
import { versionQuery, TakeAsMade } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { eventsOfRun, useRuns, type KeptRun, type WaitingEvent } from '../runs/doors';
import { runQuery } from './api';
import { Doubted } from './record/doubted';
import { Kept } from './record/kept';
import { Measured } from './record/measured';
import { Photos } from './record/photos';
import { AddTo, Said } from './record/said';
import { Waited, Weighed } from './record/weighed';
import { t } from '../../platform/words';

/** One bake on record: what was planned beside what happened, what was said of it since, and its pictures. */
export function BakePage() {
  const { id = '' } = useParams();
  const bake = useQuery(runQuery(id));
  const version = useQuery({ ...versionQuery(bake.data?.formulaId ?? '', bake.data?.version ?? 0), enabled: bake.data !== undefined });
  const kept = useRuns((state) => state.kept[id]);
  const waiting = useRuns((state) => state.waiting);
  if (bake.isError) return <ErrorPage error={bake.error} />;
  if (!bake.data || !version.data)
    return (
      <Page title={t('common.bake')}>
        <Skeleton height={400} role="status" aria-busy aria-label={t('bakes.loadingTheBake')} />
      </Page>
    );
  return <Record bake={heard(bake.data, kept, waiting)} version={version.data} />;
}

/** With what this device has said of it since: a bake that was just ended is ended, whatever the last answer knew. */
function heard(bake: Run, kept: KeptRun | undefined, waiting: readonly WaitingEvent[]): Run {
  const ids = new Set(bake.events.map(({ id }) => id));
  const more = eventsOfRun({ run: kept?.run ?? bake }, waiting).filter(({ id }) => !ids.has(id));
  return more.length === 0 ? bake : { ...bake, events: [...bake.events, ...more] };
}

function Record({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const voice = useVoice();
  const { data: kitchen } = useQuery(kitchenQuery);
  const zone = kitchen?.zone ?? 'UTC';
  const stood = standingEvents(bake.events);
  const begun = DateTime.fromISO(bake.startedAt, { zone });
  const ended = stood.findLast(({ what }) => what.kind === 'ended');
  return (
    <Page
      title={t('common.bakeNumber', { number: bake.number })}
      beside={
        <>
          <Link to={`/formulas/${bake.formulaId}/bake`} style={{ color: 'inherit' }}>
            {bake.formulaName}
          </Link>{' '}
          {t('bakes.vVersionWordWord2BegunWord3Kitchen', {
            version: bake.version,
            word: bake.begins ? t('bakes.fromWhatWasKept') : '',
            word2: bake.factor === 1 ? '' : ` × ${Number(bake.factor.toFixed(3))}`,
            begun: begun.toFormat('d LLL yyyy HH:mm'),
            word3: ended
              ? t('bakes.toAt', { at: DateTime.fromISO(ended.at, { zone }).toFormat('HH:mm') })
              : bake.steps.length > 0
                ? t('bakes.notEnded')
                : '',
            room: voice.exact(bake.roomC, 'temperature'),
            humidity: Math.round(bake.humidityShare * 100),
          })}
        </>
      }
      actions={
        <>
          {bake.steps.length > 0 && !ended && (
            <Button component={Link} to={`/run/${bake.id}`} variant="contained">
              {t('bakes.goOnWithIt')}
            </Button>
          )}
          <Button component={Link} to={`/trials?formula=${bake.formulaId}&bakes=${bake.id}`} variant="outlined">
            {t('bakes.compare')}
          </Button>
        </>
      }
    >
      {ended !== undefined && <Doubted bake={bake} version={version} />}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1.2fr) minmax(0, 1fr)',
          gap: 6,
          [under.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          <Weighed bake={bake} version={version} />
          {(ended !== undefined || bake.steps.length === 0) && (
            <Suspense>
              <TakeAsMade bake={bake} version={version} />
            </Suspense>
          )}
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
