import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { inchesOf, type Sheet, type SheetResult } from '@north-leaf/core';
import { usePreferences } from '../../../platform/preferences';
import { FieldRow } from '../../../ui/field-row';
import { showQuantity } from '../../../ui/quantity';
import { stageQuestions } from '../stages';
import { Fact } from '../../../ui/fact-tile';
import { Board, FormulaField, useAnswer, useFormula, useSet, Waiting } from './board';
import { Waits } from './waits';

export function SheetBoard() {
  return (
    <Board question={stageQuestions.sheet} set={<SheetSettings />}>
      <SheetPicture />
    </Board>
  );
}

function SheetSettings() {
  const formula = useFormula();
  const set = useSet();
  const thicknessMm = formula.sheet.parts[0]?.thicknessMm ?? 0;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        Roll and cut
      </Typography>
      <FieldRow label="Thickness">
        <FormulaField path="/sheet/parts/0/thicknessMm" label="Thickness" kind="length" grain={0.1} />
      </FieldRow>
      <FieldRow label="Guide bands">
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Guide bands"
          value={formula.sheet.bandsMm === undefined ? 'no' : 'yes'}
          onChange={(_, next: string | null) => next && set('/sheet/bandsMm', next === 'yes' ? thicknessMm : undefined)}
        >
          <ToggleButton value="no">by eye</ToggleButton>
          <ToggleButton value="yes">bands</ToggleButton>
        </ToggleButtonGroup>
      </FieldRow>
      <FieldRow label="Piece, across">
        <FormulaField path="/sheet/parts/0/shape/widthMm" label="Piece width" kind="length" />
      </FieldRow>
      <FieldRow label="Piece, along">
        <FormulaField path="/sheet/parts/0/shape/lengthMm" label="Piece length" kind="length" />
      </FieldRow>
      <FieldRow label="Trim each side">
        <FormulaField path="/sheet/trimMm" label="Trim" kind="length" />
      </FieldRow>
      <FieldRow label="Roll trim again">
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Roll trim again"
          value={formula.sheet.reroll}
          onChange={(_, next: Sheet['reroll'] | null) => next && set('/sheet/reroll', next)}
        >
          <ToggleButton value="no">no</ToggleButton>
          <ToggleButton value="once">once</ToggleButton>
          <ToggleButton value="tillGone">till gone</ToggleButton>
        </ToggleButtonGroup>
      </FieldRow>
      <FieldRow label="Sheets">
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Sheets"
          value={formula.sheet.lots}
          onChange={(_, next: number | null) => next && set('/sheet/lots', next)}
        >
          {[1, 2, 3, 4].map((lots) => (
            <ToggleButton key={lots} value={lots}>
              {lots}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </FieldRow>
      <Typography variant="h3" sx={{ pt: 2 }}>
        After cutting
      </Typography>
      <Waits path="/sheet/waits" label="Firm" />
    </Box>
  );
}

function SheetPicture() {
  const { evaluation } = useAnswer();
  const formula = useFormula();
  const units = usePreferences((state) => state.units);
  if (evaluation.sheet.state === 'waiting') return <Waiting stage="sheet" />;
  const { result } = evaluation.sheet;
  const { layout } = result;
  const more = result.piecesByRoll.slice(1).reduce((sum, n) => sum + n, 0);
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <SheetToScale result={result} dockMm={formula.sheet.dockPitchMm} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
        <Fact label={`pieces${more > 0 ? `, ${more * result.lots} from trim` : ''}`} value={String(result.pieces)} />
        <Fact label="each, raw" value={showQuantity(result.pieceG, 'mass', units)} />
        <Fact label="left over" value={showQuantity(result.scrapG, 'mass', units)} />
        <Fact label={`trays of ${result.piecesPerTray}`} value={String(result.traysNeeded)} />
      </Box>
      {result.pieces > 0 && (
        <Box>
          <Typography variant="h3">Order of cuts</Typography>
          <Box component="ol" sx={{ m: 0, pl: 5, fontSize: 13.5 }}>
            <li>
              Roll to {showQuantity(layout.sheetWidthMm, 'length', units)} × {showQuantity(layout.sheetLengthMm, 'length', units)}
              {result.lots > 1 ? `, ${result.lots} sheets` : ''}
            </li>
            {formula.sheet.trimMm > 0 && <li>Trim {showQuantity(formula.sheet.trimMm, 'length', units)} off each side</li>}
            <li>
              {Math.max(0, layout.across - 1)} cuts across every {showQuantity(layout.pieceWidthMm, 'length', units)},{' '}
              {Math.max(0, layout.along - 1)} along every {showQuantity(layout.pieceLengthMm, 'length', units)}
            </li>
            {formula.sheet.dockPitchMm !== undefined && (
              <li>Prick every {showQuantity(formula.sheet.dockPitchMm, 'length', units)}, through to the paper</li>
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
}

const BOX_W = 520;
const BOX_H = 300;

/** The first sheet with its cuts, rulers in mm and inches on its edges; long side lying. */
function SheetToScale({ result, dockMm }: { result: SheetResult; dockMm: number | undefined }) {
  const { palette } = useTheme();
  const { layout } = result;
  if (layout.pieces === 0) return <Box sx={{ py: 8, textAlign: 'center', color: 'text.secondary' }}>No piece fits this sheet.</Box>;
  const lying = layout.sheetLengthMm >= layout.sheetWidthMm;
  const [w, h] = lying ? [layout.sheetLengthMm, layout.sheetWidthMm] : [layout.sheetWidthMm, layout.sheetLengthMm];
  const [pw, ph] = lying ? [layout.pieceLengthMm, layout.pieceWidthMm] : [layout.pieceWidthMm, layout.pieceLengthMm];
  const [nx, ny] = lying ? [layout.along, layout.across] : [layout.across, layout.along];
  const scale = Math.min((BOX_W - 40) / w, (BOX_H - 40) / h);
  const left = 34;
  const topY = 26;
  const trimX = (w - nx * pw) / 2;
  const trimY = (h - ny * ph) / 2;
  const ticks = (length: number, step: number) => Array.from({ length: Math.floor(length / step) + 1 }, (_, i) => i * step);
  return (
    <Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary', textAlign: 'right' }}>
        to scale: {Math.round(w)} × {Math.round(h)} mm, {inchesOf(w).toFixed(1)} × {inchesOf(h).toFixed(1)} in
      </Box>
      <svg
        viewBox={`0 0 ${BOX_W} ${topY + h * scale + 22}`}
        width="100%"
        role="img"
        aria-label={`${layout.pieces} pieces: ${nx} by ${ny} from a sheet of ${Math.round(w)} by ${Math.round(h)} mm`}
        style={{ maxHeight: 340 }}
      >
        <g fontSize="11.5" fill={palette.text.secondary} stroke="none">
          {ticks(w, 50).map((mm) => (
            <g key={mm}>
              <line x1={left + mm * scale} x2={left + mm * scale} y1={topY - 6} y2={topY - 1} stroke={palette.leaf.edge} />
              <text x={left + mm * scale} y={topY - 9} textAnchor="middle">
                {mm === 0 ? 'mm' : mm}
              </text>
            </g>
          ))}
          {ticks(h, 25.4).map((mm) => (
            <g key={mm}>
              <line x1={left - 6} x2={left - 1} y1={topY + mm * scale} y2={topY + mm * scale} stroke={palette.leaf.edge} />
              <text x={left - 9} y={topY + mm * scale + 4} textAnchor="end">
                {mm === 0 ? 'in' : Math.round(mm / 25.4)}
              </text>
            </g>
          ))}
          {ticks(w, 25.4).map((mm) => (
            <g key={mm}>
              <line
                x1={left + mm * scale}
                x2={left + mm * scale}
                y1={topY + h * scale + 1}
                y2={topY + h * scale + 6}
                stroke={palette.leaf.edge}
              />
              <text x={left + mm * scale} y={topY + h * scale + 17} textAnchor="middle">
                {mm === 0 ? 'in' : Math.round(mm / 25.4)}
              </text>
            </g>
          ))}
        </g>
        <rect x={left} y={topY} width={w * scale} height={h * scale} rx="5" fill={palette.leaf.doughPale} stroke={palette.leaf.crust} />
        {Array.from({ length: nx * ny }, (_, i) => {
          const x = left + (trimX + (i % nx) * pw) * scale;
          const y = topY + (trimY + Math.floor(i / nx) * ph) * scale;
          return (
            <g key={i}>
              <rect
                x={x + 0.7}
                y={y + 0.7}
                width={pw * scale - 1.4}
                height={ph * scale - 1.4}
                fill="none"
                stroke={palette.leaf.crust}
                strokeWidth="1"
              />
              {dockMm !== undefined &&
                i < 400 &&
                docks(pw, ph, dockMm).map(([dx, dy]) => (
                  <circle key={`${dx}-${dy}`} cx={x + dx * scale} cy={y + dy * scale} r="0.9" fill={palette.leaf.crust} />
                ))}
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

function docks(widthMm: number, heightMm: number, pitchMm: number): [number, number][] {
  const n = (length: number) => Math.max(1, Math.min(6, Math.floor(length / pitchMm)));
  const [nx, ny] = [n(widthMm), n(heightMm)];
  return Array.from({ length: nx * ny }, (_, i) => [((i % nx) + 0.5) * (widthMm / nx), (Math.floor(i / nx) + 0.5) * (heightMm / ny)]);
}
