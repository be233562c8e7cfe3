import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { typeSize } from '../theme/theme';
import { useVoice } from '../../platform/preferences';
import { t } from '../../platform/words';

/** Longest side on the screen, CSS px. */
const LONGEST = 340;
const SPACE = 40;
/** So large a thing is drawn as large as it is, mm. */
const TRUE_TO_MM = 60;
const PX_PER_MM = 96 / 25.4;

type Props = {
  readonly widthMm: number;
  /** Left out: round, `widthMm` across. */ readonly lengthMm?: number | undefined;
  /** Folded into so many parts, along its length. */ readonly parts?: number | undefined;
};

/** How large something is to be, in proportion, its sides beside it; what is small is drawn as large as it is. */
export function SizeDrawing({ widthMm, lengthMm, parts }: Props) {
  const voice = useVoice();
  const { palette } = useTheme();
  const longMm = Math.max(widthMm, lengthMm ?? widthMm);
  const isTrue = longMm <= TRUE_TO_MM;
  const scale = isTrue ? PX_PER_MM : LONGEST / longMm;
  // The long side lies along the screen, as it lies before the baker.
  const [across, down] = lengthMm === undefined ? [widthMm, widthMm] : [Math.max(widthMm, lengthMm), Math.min(widthMm, lengthMm)];
  const [w, h] = [across * scale, Math.max(8, down * scale)];
  const size = lengthMm === undefined ? voice.show(widthMm, 'length') : `${voice.show(across, 'length')} × ${voice.show(down, 'length')}`;
  const folds = parts !== undefined && parts > 1 ? Array.from({ length: parts - 1 }, (_, i) => ((i + 1) * w) / parts) : [];
  const line = { stroke: palette.text.primary, strokeWidth: 1.5, fill: palette.leaf.well };
  return (
    <Box
      component="svg"
      role="img"
      aria-label={isTrue ? t('ui.sizeTrue', { size }) : t('ui.sizeInProportion', { size })}
      viewBox={`0 0 ${w + 2 * SPACE + 60} ${h + SPACE}`}
      sx={{ width: w + 2 * SPACE + 60, maxWidth: '100%', fontSize: typeSize.strip, fill: palette.text.primary, display: 'block' }}
    >
      {lengthMm === undefined ? (
        <circle cx={w / 2 + 1} cy={h / 2 + 1} r={w / 2} {...line} />
      ) : (
        <rect x={1} y={1} width={w} height={h} {...line} />
      )}
      {folds.map((x) => (
        <line key={x} x1={x} x2={x} y1={1} y2={h} stroke={palette.text.secondary} strokeDasharray="5 4" />
      ))}
      <text x={w / 2} y={h + 24} textAnchor="middle">
        {voice.show(across, 'length')}
      </text>
      {lengthMm !== undefined && (
        <text x={w + 8} y={h / 2 + 6}>
          {voice.show(down, 'length')}
        </text>
      )}
    </Box>
  );
}
