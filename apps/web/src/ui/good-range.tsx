import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';

type Props = {
  readonly label: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly from: number;
  readonly to: number;
  readonly text: string;
};

const WIDTH = 240;

/** A hairline with the draft as a leaf; the good range is the dashed underline, from the model while no bakes speak. */
export function GoodRange({ label, value, low, high, from, to, text }: Props) {
  const { palette } = useTheme();
  const at = (v: number) => 4 + ((Math.min(to, Math.max(from, v)) - from) / (to - from)) * (WIDTH - 8);
  const inside = value >= low && value <= high;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '130px 1fr 96px', alignItems: 'center', gap: 3, minHeight: 26 }}>
      <Box sx={{ fontSize: 13.5 }}>{label}</Box>
      <svg
        viewBox={`0 0 ${WIDTH} 22`}
        width="100%"
        height="22"
        preserveAspectRatio="none"
        role="img"
        aria-label={`${label} ${text}, good from ${low} to ${high}: ${inside ? 'inside' : 'outside'}`}
      >
        <line x1="4" x2={WIDTH - 4} y1="11" y2="11" stroke={palette.leaf.edge} strokeWidth="1" />
        <line x1={at(low)} x2={at(high)} y1="18" y2="18" stroke={palette.primary.main} strokeWidth="3" strokeDasharray="6 3" />
        <path
          d="M0-9C5-4 6 3 0 9-6 3-5-4 0-9Z"
          transform={`translate(${at(value)} 11)`}
          fill={inside ? palette.primary.main : palette.error.main}
        />
      </svg>
      <Box sx={{ fontSize: 13.5, fontWeight: 650, textAlign: 'right', color: inside ? 'text.primary' : 'error.main' }}>{text}</Box>
    </Box>
  );
}
