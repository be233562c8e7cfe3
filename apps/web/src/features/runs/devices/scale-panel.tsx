import { useEffect } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { hasBluetooth, hasSerial } from './real';
import { useBench } from './simulated';
import { openScale, setScaleAside, useDevices } from './use-devices';
import { t } from '../../../platform/words';

/** Which scale is read, how it is, and the stand-in's own hands. */
export function ScalePanel({ onTare, canTare }: { onTare: () => void; canTare: boolean }) {
  const { palette } = useTheme();
  const { wanted, scale, scaleName, reading, problem } = useDevices();
  useEffect(() => {
    // Only the stand-in may be opened without a press: browsers ask for the others.
    if (wanted === 'simulated' && useDevices.getState().scale === 'none') void openScale('simulated');
  }, [wanted]);
  const small = { minHeight: 48, fontSize: typeSize.action } as const;
  if (scale === 'none' || scale === 'opening')
    return (
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', fontSize: typeSize.action, color: 'text.secondary' }}>
        {problem ?? t('runs.noScaleIsRead')}
        {hasSerial() && (
          <Button variant="outlined" sx={small} onClick={() => void openScale('serial')}>
            {t('runs.scaleOnACable')}
          </Button>
        )}
        {hasBluetooth() && (
          <Button variant="outlined" sx={small} onClick={() => void openScale('bluetooth')}>
            {t('runs.bluetoothScale')}
          </Button>
        )}
        <Button variant="outlined" sx={small} onClick={() => void openScale('simulated')}>
          {t('runs.simulatedScale')}
        </Button>
      </Box>
    );
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <Box
          role="status"
          sx={{
            flex: 1,
            minWidth: 260,
            fontSize: typeSize.strip,
            lineHeight: '28px',
            fontWeight: 600,
            color: scale === 'lost' || reading?.over ? 'error.main' : 'text.secondary',
          }}
        >
          {scale === 'lost'
            ? t('runs.scaleLostWhatIsInStaysCounted')
            : reading?.over
              ? t('runs.tooHeavyForThisScaleUseA')
              : t('runs.scalenameWordGoesOnByItselfWhen', { scaleName, word: reading?.steady ? t('runs.steady') : t('runs.moving') })}
        </Box>
        {canTare && (
          <Button variant="text" sx={small} onClick={onTare}>
            {t('runs.zeroHere')}
          </Button>
        )}
        <Button variant="text" sx={small} onClick={() => void setScaleAside()}>
          {t('runs.noScale')}
        </Button>
      </Box>
      {wanted === 'simulated' && <Hands edge={palette.leaf.edge} />}
    </Box>
  );
}

/** What hands do at a scale that is not there. */
function Hands({ edge }: { edge: string }) {
  const voice = useVoice();
  const { plugged, pan, pour, put, clear, plug } = useBench();
  const small = { minHeight: 48, fontSize: typeSize.large } as const;
  const pouring = (gPerS: number) => ({
    onPointerDown: () => pour(gPerS),
    onPointerUp: () => pour(0),
    onPointerLeave: () => pour(0),
  });
  return (
    <Box
      role="group"
      aria-label={t('runs.handsOfTheSimulatedScale')}
      sx={{
        border: `1px dashed ${edge}`,
        borderRadius: '10px',
        p: 2,
        display: 'flex',
        gap: 2,
        flexWrap: 'wrap',
        alignItems: 'center',
        fontSize: typeSize.large,
      }}
    >
      <span>{t('runs.loadLieOnIt', { load: voice.exact(pan.loadG, 'mass') })}</span>
      <Button variant="outlined" sx={small} {...pouring(60)} disabled={!plugged}>
        {t('runs.pourHold')}
      </Button>
      <Button variant="outlined" sx={small} onClick={() => put(10)} disabled={!plugged}>
        + {voice.exact(10, 'mass')}
      </Button>
      <Button variant="outlined" sx={small} onClick={() => put(1)} disabled={!plugged}>
        + {voice.exact(1, 'mass')}
      </Button>
      <Button variant="outlined" sx={small} onClick={() => put(0.1)} disabled={!plugged}>
        + {voice.exact(0.1, 'mass')}
      </Button>
      <Button variant="outlined" sx={small} onClick={() => put(-1)} disabled={!plugged}>
        − {voice.exact(1, 'mass')}
      </Button>
      <Button variant="outlined" sx={small} onClick={clear}>
        {t('runs.emptyIt')}
      </Button>
      <Button variant="outlined" sx={small} onClick={() => plug(!plugged)}>
        {plugged ? t('runs.pullThePlug') : t('runs.plugItIn')}
      </Button>
    </Box>
  );
}
