import { memo, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import type { Pan, SheetResult } from '@north-leaf/core';
import { usePreferences } from '../../../platform/preferences';
import { showQuantity } from '../../../ui/quantity';
import { useAnswer } from './board';

const standsAs: Readonly<Record<SheetResult['body']['form'], string>> = {
  flat: 'A flat piece',
  rolledUp: 'Rolled up',
  wrapped: 'Closed round its filling',
  ball: 'A ball',
  poured: 'Batter at its level',
  inPan: 'In its pan',
  folded: 'Folded over its filling',
  sheet: 'The whole sheet, cut after baking',
};

/** The section that the oven sees, and what it measures. */
export const Standing = memo(function Standing({ result, pan }: { result: SheetResult; pan: Pan | null }) {
  const units = usePreferences((state) => state.units);
  const { body } = result;
  const { evaluation } = useAnswer();
  const bake = evaluation.bake.state === 'waiting' ? null : evaluation.bake.result;
  const spread = bake?.spreadRatio ?? 1;
  const filling = bake?.filling ?? null;
  const length = (mm: number, digits?: number) => showQuantity(mm, 'length', units, digits);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
      {pan && body.form === 'inPan' ? (
        <PanSection pan={pan} doughMm={body.heightMm} lidMm={body.lidMm} filledMm={filling?.heightMm ?? 0} />
      ) : (
        <BodySection body={body} />
      )}
      <Box sx={{ fontSize: 13 }}>
        <Typography variant="h3" component="h3">
          What stands in the oven
        </Typography>
        {standsAs[body.form]}: {length(body.heightMm)} {filling ? 'of dough under the filling' : 'high'},{' '}
        {length(body.widthMm, units === 'metric' ? 0 : 2)} across
        {filling && `, filled ${length(filling.heightMm)} deep`}
        {filling && filling.roomMm !== null && ` of ${length(filling.roomMm)} that the pan leaves it`}
        {body.lidMm !== null && `, ${length(body.lidMm)} over it`}
        {spread > 1.01 && `, spread to about ${length(body.widthMm * spread, units === 'metric' ? 0 : 2)}`}
        {body.proved > 1 && `, proved to ${body.proved} times its volume`}. Bake reads this, not the sheet.
      </Box>
    </Box>
  );
});

const W = 160;
const H = 52;

function Section({ children }: { children: ReactNode }) {
  const { palette } = useTheme();
  return (
    <svg
      width={W}
      height={H}
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label="What stands in the oven, in section, to scale"
      style={{ flex: 'none' }}
    >
      {children}
      <line x1="0" x2={W} y1={H - 1} y2={H - 1} stroke={palette.leaf.edge} />
    </svg>
  );
}

function BodySection({ body }: { body: SheetResult['body'] }) {
  const { palette } = useTheme();
  const scale = Math.min((W - 10) / Math.max(20, body.widthMm), (H - 6) / Math.max(4, body.heightMm + (body.lidMm ?? 0)));
  const [w, h] = [body.widthMm * scale, Math.max(2, body.heightMm * scale)];
  const round = body.form === 'ball' || body.form === 'rolledUp' || body.form === 'wrapped';
  const drawn = { fill: palette.leaf.doughPale, stroke: palette.leaf.crust };
  return (
    <Section>
      {round ? (
        <ellipse cx={W / 2} cy={H - 2 - h / 2} rx={w / 2} ry={h / 2} {...drawn} />
      ) : (
        <rect x={W / 2 - w / 2} y={H - 2 - h} width={w} height={h} rx="2" {...drawn} />
      )}
    </Section>
  );
}

type PanSectionProps = { readonly pan: Pan; readonly doughMm: number; readonly lidMm: number | null; readonly filledMm: number };
/** Wall, lining, filling to its level and the lid over it. */
function PanSection({ pan, doughMm, lidMm, filledMm }: PanSectionProps) {
  const { palette } = useTheme();
  const { topMm, bottomMm, depthMm } = pan;
  const tall = Math.max(depthMm, doughMm + filledMm + (lidMm ?? 0));
  const scale = Math.min((W - 10) / (topMm + 2 * doughMm), (H - 6) / tall);
  const floor = H - 2;
  /** Half the width inside the pan at a height over its floor, px; the wall goes on upwards where a filling stands over it. */
  const half = (atMm: number) => ((bottomMm + ((topMm - bottomMm) * Math.min(atMm, depthMm)) / depthMm) / 2) * scale;
  const at = (side: -1 | 1, mm: number, inMm = 0) => `${W / 2 + side * (half(mm) - inMm * scale)} ${floor - mm * scale}`;
  const between = (lowMm: number, highMm: number, inMm: number) =>
    `M${at(-1, highMm, inMm)}L${at(-1, lowMm, inMm)}L${at(1, lowMm, inMm)}L${at(1, highMm, inMm)}z`;
  const lining = `M${at(-1, depthMm)}L${at(-1, 0)}L${at(1, 0)}L${at(1, depthMm)}L${at(1, depthMm, doughMm)}L${at(1, doughMm, doughMm)}L${at(-1, doughMm, doughMm)}L${at(-1, depthMm, doughMm)}z`;
  const drawn = { fill: palette.leaf.doughPale, stroke: palette.leaf.crust, strokeWidth: 0.8 };
  return (
    <Section>
      {filledMm > 0 && <path d={between(doughMm, doughMm + filledMm, doughMm)} fill={palette.make.sugar} />}
      <path d={lining} {...drawn} />
      {lidMm !== null && <path d={between(doughMm + filledMm, doughMm + filledMm + lidMm, 0)} {...drawn} />}
      <path
        d={`M${at(-1, depthMm)}L${at(-1, 0)}L${at(1, 0)}L${at(1, depthMm)}`}
        fill="none"
        stroke={palette.text.secondary}
        strokeWidth="1.4"
      />
    </Section>
  );
}
