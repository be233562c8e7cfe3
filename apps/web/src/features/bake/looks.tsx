import { useState } from 'react';
import VisibilityIcon from '@mui/icons-material/VisibilityOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { doneBand, planLooks, type LooksStudy, showDuration } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { useVoice } from '../../platform/preferences';
import { crustTones, typeSize } from '../../ui/theme/theme';
import type { useLooks } from './bake-study';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

type Props = ReturnType<typeof useLooks> & {
  /** Done by this tone, and by this core where it is thick. */ readonly goldenFromTone: number;
  /** The dough is dark before it bakes. */ readonly startsDark?: boolean;
  readonly coreC: number | null;
  readonly dryBelowShare: number;
};

/** When to open the door, what to expect there, and what is left of the plan after a "not yet". */
export function Looks(props: Props) {
  const { study, fresh, progress, stopped, stop, goOn } = props;
  const [notYet, setNotYet] = useState<{ readonly of: LooksStudy; readonly min: number } | null>(null);
  const since = notYet && notYet.of === study ? notYet.min : null;
  return (
    <Box component="section" aria-label={t('common.looks')} aria-busy={progress !== null} sx={{ pt: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Typography variant="h3">{t('common.looks')}</Typography>
        <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', flex: 1 }}>{t('bake.shortDoorOpenings5SEach')}</Box>
        {progress !== null && (
          <Button size="small" onClick={stop} sx={{ minHeight: 24 }}>
            {t('bake.stop')}
          </Button>
        )}
      </Box>
      {progress !== null && (
        <LinearProgress variant="determinate" value={progress * 100} aria-label={t('bake.planningTheLooks')} sx={{ height: 3 }} />
      )}
      {stopped && progress === null && (
        <Box sx={{ fontSize: typeSize.small }}>
          {t('bake.stopped')}{' '}
          <Button size="small" onClick={goOn} sx={{ minHeight: 24 }}>
            {t('bake.planThem')}
          </Button>
        </Box>
      )}
      {study && (
        <Box sx={{ opacity: fresh ? 1 : 0.6 }}>
          {since === null ? (
            <Plan {...props} study={study} onNotYet={(min) => setNotYet({ of: study, min })} />
          ) : (
            <AfterNotYet study={study} since={since} onNotYet={(min) => setNotYet({ of: study, min })} onBack={() => setNotYet(null)} />
          )}
        </Box>
      )}
    </Box>
  );
}

function Tone({ tone }: { tone: number }) {
  const step = Math.min(8, Math.max(1, Math.round(tone)));
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 1 }}>
      <Box
        component="span"
        sx={{ width: 22, height: 15, borderRadius: '4px', bgcolor: crustTones[step - 1], border: '1px solid', borderColor: 'divider' }}
      />
      {step}
    </Box>
  );
}

function Plan({
  study,
  goldenFromTone,
  startsDark = false,
  coreC,
  dryBelowShare,
  onNotYet,
}: Props & { study: LooksStudy; onNotYet: (min: number) => void }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const { looks, done, caughtShare, looksCostMin } = study;
  const see = ({ topTone, baseTone, rimTone = topTone, moistureShare, coldestC }: LooksStudy['looks'][number]) => {
    if (coreC !== null && coldestC < coreC - 1) return t('bake.coreColdestStillSetting', { coldest: voice.show(coldestC, 'temperature') });
    if (Math.max(topTone, baseTone, rimTone) < goldenFromTone - 0.2) return t('bake.palerThanItShouldBe');
    const golden = startsDark
      ? t('bake.aShadeDarker')
      : Math.max(topTone, baseTone) < goldenFromTone - 0.2
        ? t('bake.rimGolden')
        : 'golden';
    if (coreC === null && moistureShare > dryBelowShare) return t('bake.goldenBendsWhenCool', { golden });
    return coreC === null
      ? t('bake.goldenSnapsWhenCool', { golden })
      : t('bake.goldenCoreColdest', { golden, coldest: voice.show(coldestC, 'temperature') });
  };
  return (
    <>
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          fontSize: typeSize.small,
          '& td, & th': { borderBottom: `1px solid ${palette.divider}`, py: 1, textAlign: 'left' },
        }}
      >
        <thead>
          <tr>
            <th>{t('bake.at')}</th>
            <th>{t('bake.top')}</th>
            <th>{t('common.base2')}</th>
            <th>{t('bake.youShouldSee')}</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {looks.map((look) => (
            <tr key={look.atMin}>
              <th scope="row">
                {clock(look.atMin)}
                {look.asSet && <Box sx={{ fontSize: typeSize.caption, fontWeight: 400 }}>{t('bake.asSet')}</Box>}
              </th>
              <td>
                <Tone tone={look.topTone} />
              </td>
              <td>
                <Tone tone={look.baseTone} />
              </td>
              <td>{see(look)}</td>
              <td>
                <Button
                  size="small"
                  aria-label={t('bake.notYetAtAt', { at: clock(look.atMin) })}
                  onClick={() => onNotYet(look.atMin)}
                  sx={{ minHeight: 24, minWidth: 0, p: 0 }}
                >
                  {t('bake.notYet')}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Note pt={1}>
        {done
          ? t('bake.eightInTenAreDoneBetweenP10', { p10: clock(round(done.p10)), p90: clock(round(done.p90)) })
          : t('bake.moreThanOneInTenIsNever')}
        {t('bake.of100SuchBakesTheseLooksFind', { caught: Math.round(caughtShare * 100) })}
        {looksCostMin >= 0.05 && t('bake.theyCostLookscostMin', { looksCost: looksCostMin.toFixed(1) })}
      </Note>
    </>
  );
}

/** Looks stand on half minutes: said as such, however late they are. */
const clock = (min: number): string => (min < 60 ? t('common.minMin', { min: Number(min.toFixed(1)) }) : showDuration(min));
const round = (min: number) => Math.round(min * 2) / 2;

function AfterNotYet({
  study,
  since,
  onNotYet,
  onBack,
}: {
  study: LooksStudy;
  since: number;
  onNotYet: (min: number) => void;
  onBack: () => void;
}) {
  const setMin = study.looks.find(({ asSet }) => asSet)?.atMin;
  const rest = planLooks(study.samples, { afterMin: since, ...(setMin === undefined ? {} : { setMin }) });
  const band = doneBand(study.samples, since);
  return (
    <Box sx={{ fontSize: typeSize.small, display: 'grid', gap: 1 }} role="status">
      <Box>
        {t('bake.notYetAtSince', { since: clock(since) })}{' '}
        {band ? (
          <>
            <Sentence
              say="bake.likelyDoneInP50MinBetweenP10"
              values={{
                p50: Math.max(0.5, round(band.p50 - since)),
                p10: Math.max(0, round(band.p10 - since)),
                p90: round(band.p90 - since),
              }}
            />
          </>
        ) : (
          t('bake.noneOfTheBakesThatWereThought')
        )}
      </Box>
      {rest.atMin.length > 0 && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <VisibilityIcon fontSize="small" /> {t('bake.lookAt')}{' '}
          {rest.atMin.map((min) => (
            <Button
              key={min}
              size="small"
              variant="outlined"
              onClick={() => onNotYet(min)}
              aria-label={t('bake.notYetAtMin', { min: clock(min) })}
              sx={{ minHeight: 26 }}
            >
              {clock(min)}
            </Button>
          ))}
        </Box>
      )}
      <Button size="small" onClick={onBack} sx={{ justifySelf: 'start', minHeight: 24 }}>
        {t('bake.backToTheWholePlan')}
      </Button>
    </Box>
  );
}
