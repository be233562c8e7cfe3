import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { typeSize } from '../theme/theme';
import { t } from '../../platform/words';

type Props = {
  readonly label: string;
  readonly value: number;
  /** Both left out: nobody says what is good. */ readonly low?: number;
  readonly high?: number;
  readonly from: number;
  readonly to: number;
  readonly text: string;
  /** Where an answer that is looked at would put it. */ readonly then?: number | undefined;
};

/** A hairline with the draft as a leaf; the good range is the dashed underline, from the model while no bakes speak. */
export function GoodRange({ label, value, low, high, from, to, text, then }: Props) {
  const { palette } = useTheme();
  const at = (v: number) => `${((Math.min(to, Math.max(from, v)) - from) / (to - from)) * 100}%`;
  const ranged = low !== undefined && high !== undefined;
  const inside = !ranged || (value >= low && value <= high);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '118px 1fr 104px', alignItems: 'center', gap: 3, minHeight: 28 }}>
      <Box data-testid="label" sx={{ fontSize: typeSize.small }}>
        {label}
      </Box>
      <Box
        role="img"
        aria-label={`${label} ${text}${ranged ? t('ui.wordItsGoodRange', { word: inside ? t('ui.inside') : t('ui.outside') }) : ''}`}
        sx={{ position: 'relative', height: 24, mx: '8px' }}
      >
        <Box sx={{ position: 'absolute', left: 0, right: 0, top: 11, borderTop: `1px solid ${palette.leaf.edge}` }} />
        {ranged && (
          <Box
            sx={{
              position: 'absolute',
              left: at(low),
              width: `calc(${at(high)} - ${at(low)})`,
              top: 19,
              borderTop: `3px dashed ${palette.primary.main}`,
            }}
          />
        )}
        {then !== undefined && (
          <Box
            sx={{ position: 'absolute', left: at(then), ml: '-2px', top: 2, height: 18, borderLeft: `4px solid ${palette.primary.main}` }}
          />
        )}
        <Box
          component="svg"
          viewBox="-8 -11 16 22"
          sx={{ position: 'absolute', left: at(value), ml: '-8px', top: 0, width: 16, height: 22 }}
        >
          <path d="M0-10C5-5 6 3 0 10-6 3-5-5 0-10Z" fill={inside ? palette.primary.main : palette.error.main} />
        </Box>
      </Box>
      <Box sx={{ fontSize: typeSize.small, fontWeight: 650, textAlign: 'right', color: inside ? 'text.primary' : 'error.main' }}>
        {text}
      </Box>
    </Box>
  );
}
