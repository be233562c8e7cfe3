import { useTheme } from '@mui/material/styles';
import type { HandWord } from '@north-leaf/core';

/** A palm after the squeeze: what stays on it says how wet the dough is. */
export function Palm({ word }: { word: HandWord }) {
  const { palette } = useTheme();
  const dough = palette.leaf.crust;
  const skin = palette.leaf.doughPale;
  const line = palette.text.primary;
  return (
    <svg viewBox="0 0 120 92" width="120" height="92" aria-hidden="true" style={{ maxWidth: '100%' }}>
      <path
        d="M22 88C16 70 14 58 18 48c2-5 7-4 8 1l2 10 2-40c0-6 8-6 8 0l2 32 4-40c1-6 9-5 9 1l0 39 6-34c1-6 9-4 8 2l-4 36 8-18c3-6 10-3 8 3L76 68c-3 10-6 14-10 20Z"
        fill={skin}
        stroke={line}
        strokeWidth="2.5"
      />
      {word === 'sandy' &&
        [
          [30, 70],
          [44, 64],
          [58, 74],
          [50, 80],
          [38, 80],
          [66, 62],
          [92, 84],
          [100, 78],
          [86, 76],
          [108, 86],
        ].map(([x, y]) => <circle key={`${x}`} cx={x} cy={y} r="4" fill={dough} />)}
      {word === 'cracks' && (
        <g>
          <path d="M82 84c0-16 28-16 34 0Z" fill={dough} />
          <path d="M96 72l-4 7 6 5M106 73l3 6-4 5" fill="none" stroke={skin} strokeWidth="3" />
        </g>
      )}
      {word === 'rollsClean' && <path d="M82 84c0-16 28-16 34 0Z" fill={dough} />}
      {word === 'tacky' && (
        <g>
          <path d="M82 84c0-16 28-16 34 0Z" fill={dough} />
          <path d="M34 62c10-6 26-4 32 4s-8 14-20 12-20-12-12-16Z" fill={dough} opacity="0.45" />
        </g>
      )}
      {word === 'sticks' && (
        <path
          d="M28 56c8-10 20-4 28-8s18 2 18 12-6 20-20 20-20 4-26-6-4-14 0-18Zm4-26c4-4 8 2 6 8s-8 4-6-8Zm30-4c6-2 6 8 2 12s-6-8-2-12Z"
          fill={dough}
        />
      )}
    </svg>
  );
}
