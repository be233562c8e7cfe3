import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { StageState } from '@north-leaf/core';
import { typeSize } from '../theme/theme';
import { t } from '../../platform/words';

export const stateWords: Record<StageState, string> = {
  good: t('ui.good'),
  watch: t('ui.watch'),
  fix: t('ui.fix'),
  waiting: t('common.waiting'),
};

const OUTLINE = 'M10 1C15 6 16 12 10 19 4 12 5 6 10 1Z';

/** Whole, half-filled or torn leaf; dashed while waiting. Shape first, colour after; the word stands beside it or in a key. */
export function Leaf({ state, size = 18, label = false }: { state: StageState; size?: number; label?: boolean }) {
  const { palette } = useTheme();
  const colour = { good: palette.success.main, watch: palette.warning.main, fix: palette.error.main, waiting: palette.text.disabled }[
    state
  ];
  return (
    <Box
      component="span"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 1,
        color: colour,
        fontWeight: 650,
        fontSize: typeSize.small,
        whiteSpace: 'nowrap',
      }}
    >
      <svg width={size} height={size} viewBox="0 0 20 20" role="img" aria-label={label ? undefined : stateWords[state]} aria-hidden={label}>
        {state === 'good' && <path d={OUTLINE} fill={colour} />}
        {state === 'watch' && (
          <>
            <path d={OUTLINE} fill="none" stroke={colour} strokeWidth="1.8" />
            <path d="M10 1C5 6 4 12 10 19Z" fill={colour} />
          </>
        )}
        {state === 'fix' && (
          <>
            <path d="M9 1C13 5 14.5 8 14 11L9.5 8.5 5.5 10C5.5 6.5 7 3.5 9 1Z" fill={colour} transform="translate(-1.5 -0.5)" />
            <path d="M6.2 12 10 10.5 14.6 13C14 15 12.5 17.3 11 19 8.5 16.5 7 14.5 6.2 12Z" fill={colour} transform="translate(1.5 0.5)" />
          </>
        )}
        {state === 'waiting' && <path d={OUTLINE} fill="none" stroke={colour} strokeWidth="1.6" strokeDasharray="3 2.4" />}
      </svg>
      {label && stateWords[state]}
    </Box>
  );
}
