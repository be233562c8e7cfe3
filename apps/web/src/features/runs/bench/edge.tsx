import { useRef, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { typeSize, under } from '../../../ui/theme/theme';
import { bench } from './bench-style';

/** A contact this short is a brush of the sleeve. */
const LEAST_MS = 120;
/** A second press this soon is the same elbow. */
const AGAIN_MS = 600;

/** A whole screen edge to press with an elbow or a knuckle: any size of contact counts, on lifting. */
export function Edge({
  side,
  label,
  detail,
  filled = false,
  onPress,
}: {
  side: 'left' | 'right';
  label: string;
  detail?: ReactNode;
  filled?: boolean;
  onPress: () => void;
}) {
  const { palette } = useTheme();
  const downAt = useRef(0);
  const pressedAt = useRef(-AGAIN_MS);
  const press = () => {
    const now = performance.now();
    if (now - pressedAt.current < AGAIN_MS) return;
    pressedAt.current = now;
    onPress();
  };
  return (
    <Box
      component="button"
      type="button"
      aria-label={typeof detail === 'string' ? `${label}, ${detail}` : label}
      onPointerDown={() => {
        downAt.current = performance.now();
      }}
      onClick={(event) => {
        // A key or a mouse means it at once; a finger has to stay for a moment.
        const touch = (event.nativeEvent as PointerEvent).pointerType === 'touch';
        if (touch && performance.now() - downAt.current < LEAST_MS) return;
        press();
      }}
      sx={{
        width: side === 'left' ? bench.back : bench.next,
        border: 0,
        borderLeft: side === 'right' ? `2px solid ${palette.primary.main}` : 0,
        borderRight: side === 'left' ? `1px solid ${palette.divider}` : 0,
        bgcolor: filled ? 'primary.main' : side === 'left' ? palette.leaf.well : 'background.paper',
        color: filled ? 'primary.contrastText' : 'primary.main',
        font: 'inherit',
        fontSize: typeSize.bench,
        fontWeight: 700,
        lineHeight: '28px',
        cursor: 'pointer',
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        justifyContent: 'center',
        gap: 2,
        touchAction: 'manipulation',
        '&:focus-visible': { outlineOffset: '-6px !important' },
        [under.phone]: {
          width: 'auto',
          flex: side === 'left' ? 1 : 2,
          minHeight: 64,
          flexDirection: 'row',
          fontSize: typeSize.list,
          border: `1px solid ${palette.divider}`,
        },
      }}
    >
      {side === 'left' && <Arrow left />}
      <span>{label}</span>
      {detail && (
        <Box component="span" sx={{ fontSize: typeSize.action, fontWeight: 600, px: 1, textAlign: 'center', lineHeight: '22px' }}>
          {detail}
        </Box>
      )}
      {side === 'right' && <Arrow />}
    </Box>
  );
}

const Arrow = ({ left = false }: { left?: boolean }) => (
  <svg width="30" height="44" viewBox="0 0 30 44" aria-hidden="true">
    <path d={left ? 'M24 4 6 22l18 18' : 'M6 4l18 18L6 40'} fill="none" stroke="currentColor" strokeWidth="4" />
  </svg>
);
