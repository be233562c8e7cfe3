import { useState, type ReactNode } from 'react';
import AddIcon from '@mui/icons-material/Add';
import RemoveIcon from '@mui/icons-material/Remove';
import PrintIcon from '@mui/icons-material/Print';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { useTheme } from '@mui/material/styles';
import { inchesOf } from '@north-leaf/core';
import { typeSize } from '../theme/theme';
import { usePrintAlone } from '../frame/print-alone';
import { t } from '../../platform/words';

type Props = {
  readonly widthMm: number;
  readonly lengthMm: number;
  /** One sentence that says what the picture shows. */ readonly summary: string;
  /** Drawn in millimetres from the top left corner; strokes keep their width. */ readonly children: ReactNode;
  /** What may be grasped, over the picture. Gets pixels per millimetre. */ readonly handles?: (pxPerMm: number) => ReactNode;
  readonly box?: readonly [widthPx: number, heightPx: number];
};

const LEFT = 40;
const TOP = 26;
const RIGHT = 30;
const BOTTOM = 24;
const ZOOMS = [1, 1.5, 2, 3, 4.5] as const;
const INCH = 25.4;

/** A drawing to scale with rulers in millimetres and inches on its edges; it can be drawn larger, and printed alone. */
export function Ruled({ widthMm, lengthMm, summary, children, handles, box = [540, 300] }: Props) {
  const { palette } = useTheme();
  const [zoom, setZoom] = useState(0);
  const { className, styles, print } = usePrintAlone();
  const scale = Math.min((box[0] - LEFT - RIGHT) / widthMm, (box[1] - TOP - BOTTOM) / lengthMm) * ZOOMS[zoom]!;
  const [w, h] = [widthMm * scale, lengthMm * scale];
  const [allW, allH] = [w + LEFT + RIGHT, h + TOP + BOTTOM];
  return (
    <Box className={className}>
      {styles}
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'flex-end', fontSize: typeSize.caption, color: 'text.secondary' }}>
        {t('ui.toScaleWidthLengthMmWidth2Length2', {
          width: Math.round(widthMm),
          length: Math.round(lengthMm),
          width2: inchesOf(widthMm).toFixed(1),
          length2: inchesOf(lengthMm).toFixed(1),
        })}
        <Box component="span" className="not-on-paper" sx={{ whiteSpace: 'nowrap' }}>
          <IconButton size="small" aria-label={t('ui.smaller')} disabled={zoom === 0} onClick={() => setZoom(zoom - 1)}>
            <RemoveIcon fontSize="inherit" />
          </IconButton>
          <IconButton size="small" aria-label={t('ui.larger')} disabled={zoom === ZOOMS.length - 1} onClick={() => setZoom(zoom + 1)}>
            <AddIcon fontSize="inherit" />
          </IconButton>
          <IconButton size="small" aria-label={t('ui.printTheDrawing')} onClick={print}>
            <PrintIcon fontSize="inherit" />
          </IconButton>
        </Box>
      </Box>
      <Box sx={{ overflow: 'auto', maxHeight: zoom > 0 ? 420 : undefined }} tabIndex={zoom > 0 ? 0 : undefined}>
        <svg
          viewBox={`0 0 ${allW} ${allH}`}
          width={zoom > 0 ? allW : '100%'}
          height={zoom > 0 ? allH : undefined}
          style={zoom > 0 ? undefined : { maxHeight: box[1], display: 'block', marginInline: 'auto' }}
          role={handles ? 'group' : 'img'}
          aria-label={summary}
        >
          <g fontSize={typeSize.tiny} fill={palette.text.secondary} stroke={palette.leaf.edge} strokeWidth="1">
            <Ruler side="top" length={widthMm} scale={scale} across={h} />
            <Ruler side="bottom" length={widthMm} scale={scale} across={h} />
            <Ruler side="left" length={lengthMm} scale={scale} across={w} />
            <Ruler side="right" length={lengthMm} scale={scale} across={w} />
          </g>
          <g transform={`translate(${LEFT} ${TOP}) scale(${scale})`} strokeLinejoin="round">
            {children}
          </g>
          {handles && <g transform={`translate(${LEFT} ${TOP})`}>{handles(scale)}</g>}
        </svg>
      </Box>
    </Box>
  );
}

type RulerProps = {
  readonly side: 'top' | 'bottom' | 'left' | 'right';
  readonly length: number;
  readonly scale: number;
  readonly across: number;
};
/** Millimetres above and at the left, inches below and at the right. */
function Ruler({ side, length, scale, across }: RulerProps) {
  const metric = side === 'top' || side === 'left';
  // A label every 50 mm or inch, or rarer where they would touch.
  const unit = metric
    ? [10, 20, 50, 100, 200].find((step) => step * scale >= 30)!
    : INCH * ([1, 2, 4].find((n) => n * INCH * scale >= 16) ?? 8);
  const marks = Array.from({ length: Math.floor(length / unit + 1e-9) + 1 }, (_, i) => i * unit);
  const minor = metric ? unit / 5 : unit / 4;
  const minors = minor * scale >= 3.5 ? Array.from({ length: Math.floor(length / minor + 1e-9) + 1 }, (_, i) => i * minor) : [];
  const flat = side === 'top' || side === 'bottom';
  const edge = side === 'top' ? TOP : side === 'bottom' ? TOP + across : side === 'left' ? LEFT : LEFT + across;
  const out = side === 'top' || side === 'left' ? -1 : 1;
  const tick = (mm: number, long: number) => {
    const at = mm * scale + (flat ? LEFT : TOP);
    return flat
      ? { x1: at, x2: at, y1: edge + out * 2, y2: edge + out * (2 + long) }
      : { y1: at, y2: at, x1: edge + out * 2, x2: edge + out * (2 + long) };
  };
  return (
    <g>
      {minors.map((mm) => (
        <line key={mm} {...tick(mm, 3)} opacity="0.6" />
      ))}
      {marks.map((mm) => {
        const at = mm * scale + (flat ? LEFT : TOP);
        const text = mm === 0 ? (metric ? 'mm' : 'in') : metric ? Math.round(mm) : Math.round(mm / INCH);
        return (
          <g key={mm}>
            <line {...tick(mm, 6)} />
            <text
              stroke="none"
              x={flat ? at : edge + out * 11}
              y={flat ? edge + (out < 0 ? -11 : 19) : at + 4}
              textAnchor={flat ? 'middle' : out < 0 ? 'end' : 'start'}
            >
              {text}
            </text>
          </g>
        );
      })}
    </g>
  );
}
