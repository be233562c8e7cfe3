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
    <Box component="section" aria-label="Looks" aria-busy={progress !== null} sx={{ pt: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Typography variant="h3">Looks</Typography>
        <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', flex: 1 }}>short door openings, 5 s each</Box>
        {progress !== null && (
          <Button size="small" onClick={stop} sx={{ minHeight: 24 }}>
            Stop
          </Button>
        )}
      </Box>
      {progress !== null && (
        <LinearProgress variant="determinate" value={progress * 100} aria-label="Planning the looks" sx={{ height: 3 }} />
      )}
      {stopped && progress === null && (
        <Box sx={{ fontSize: typeSize.small }}>
          Stopped.{' '}
          <Button size="small" onClick={goOn} sx={{ minHeight: 24 }}>
            Plan them
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
    if (coreC !== null && coldestC < coreC - 1) return `core ${voice.show(coldestC, 'temperature')}, still setting`;
    if (Math.max(topTone, baseTone, rimTone) < goldenFromTone - 0.2) return 'paler than it should be';
    const golden = startsDark ? 'a shade darker' : Math.max(topTone, baseTone) < goldenFromTone - 0.2 ? 'rim golden' : 'golden';
    if (coreC === null && moistureShare > dryBelowShare) return `${golden}, bends when cool`;
    return coreC === null ? `${golden}, snaps when cool` : `${golden}, core ${voice.show(coldestC, 'temperature')}`;
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
            <th>At</th>
            <th>Top</th>
            <th>Base</th>
            <th>You should see</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {looks.map((look) => (
            <tr key={look.atMin}>
              <th scope="row">
                {clock(look.atMin)}
                {look.asSet && <Box sx={{ fontSize: typeSize.caption, fontWeight: 400 }}>as set</Box>}
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
                  aria-label={`Not yet at ${clock(look.atMin)}`}
                  onClick={() => onNotYet(look.atMin)}
                  sx={{ minHeight: 24, minWidth: 0, p: 0 }}
                >
                  not yet
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
      <Note pt={1}>
        {done
          ? `Eight in ten are done between ${clock(round(done.p10))} and ${clock(round(done.p90))}. `
          : 'More than one in ten is never done: see what is found. '}
        {`Of 100 such bakes these looks find ${Math.round(caughtShare * 100)} in time.`}
        {looksCostMin >= 0.05 && ` They cost ${looksCostMin.toFixed(1)} min.`}
      </Note>
    </>
  );
}

/** Looks stand on half minutes: said as such, however late they are. */
const clock = (min: number): string => (min < 60 ? `${Number(min.toFixed(1))} min` : showDuration(min));
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
        Not yet at {clock(since)}:{' '}
        {band ? (
          <>
            likely done in <b>{Math.max(0.5, round(band.p50 - since))} min</b>, between {Math.max(0, round(band.p10 - since))} and{' '}
            {round(band.p90 - since)}.
          </>
        ) : (
          'none of the bakes that were thought of takes so long. Is the oven on, and the thickness right?'
        )}
      </Box>
      {rest.atMin.length > 0 && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <VisibilityIcon fontSize="small" /> Look at{' '}
          {rest.atMin.map((min) => (
            <Button
              key={min}
              size="small"
              variant="outlined"
              onClick={() => onNotYet(min)}
              aria-label={`Not yet at ${clock(min)}`}
              sx={{ minHeight: 26 }}
            >
              {clock(min)}
            </Button>
          ))}
        </Box>
      )}
      <Button size="small" onClick={onBack} sx={{ justifySelf: 'start', minHeight: 24 }}>
        Back to the whole plan
      </Button>
    </Box>
  );
}
