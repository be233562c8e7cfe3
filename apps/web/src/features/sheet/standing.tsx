import { memo, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { type Pan, type Part, type SheetResult, showQuantity } from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences } from '../../platform/preferences';
import { useAnswer } from '../board/doors';
import { t } from '../../platform/words';

const standsAs: Readonly<Record<SheetResult['body']['form'], string>> = {
  flat: t('sheet.aFlatPiece'),
  rolledUp: t('sheet.rolledUp'),
  wrapped: t('sheet.closedRoundItsFilling'),
  ball: t('sheet.aBall'),
  poured: t('sheet.batterAtItsLevel'),
  inPan: t('sheet.inItsPan'),
  folded: t('sheet.foldedOverItsFilling'),
  sheet: t('sheet.theWholeSheetCutAfterBaking'),
};

/** The section that the oven sees, and what it measures. */
type StandingProps = { readonly result: SheetResult; readonly parts: readonly Part[]; readonly pan: Pan | null };
export const Standing = memo(function Standing({ result, parts, pan }: StandingProps) {
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
        <PanSection pan={pan} parts={parts} doughMm={body.heightMm} filledMm={filling?.heightMm ?? 0} />
      ) : (
        <BodySection body={body} parts={parts} filledMm={filling?.heightMm ?? 0} />
      )}
      <Box sx={{ fontSize: typeSize.small }}>
        <Typography variant="h3" component="h3">
          {t('sheet.whatStandsInTheOven')}
        </Typography>
        {t('sheet.standsasHeightWordWidthAcross', {
          standsAs: standsAs[body.form],
          height: length(body.heightMm),
          word: filling ? t('sheet.ofDoughUnderTheFilling') : t('sheet.high'),
          width: showQuantity(body.widthMm, 'size', units),
        })}
        {filling && t('sheet.filledHeightDeep', { height: length(filling.heightMm) })}
        {filling && filling.roomMm !== null && t('sheet.ofRoomThatThePanLeavesIt', { room: length(filling.roomMm) })}
        {body.lidMm !== null && t('sheet.lidOverIt', { lid: length(body.lidMm) })}
        {spread > 1.01 && t('sheet.spreadToAboutWidth', { width: showQuantity(body.widthMm * spread, 'size', units) })}
        {body.proved > 1 && t('sheet.provedToProvedTimesItsVolume', { proved: body.proved })}
        {t('sheet.bakeReadsThisNotTheSheet')}
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
      aria-label={t('sheet.whatStandsInTheOvenInSection')}
      style={{ flex: 'none' }}
    >
      {children}
      <line x1="0" x2={W} y1={H - 1} y2={H - 1} stroke={palette.leaf.edge} />
    </svg>
  );
}

type BodyProps = { readonly body: SheetResult['body']; readonly parts: readonly Part[]; readonly filledMm: number };
/** A piece without a pan: what is closed or folded over a filling shows it. */
function BodySection({ body, parts, filledMm }: BodyProps) {
  const { palette } = useTheme();
  const { form, heightMm, widthMm } = body;
  const tallMm = heightMm + filledMm + (body.lidMm ?? (form === 'folded' ? heightMm : 0));
  const scale = Math.min((W - 10) / Math.max(20, widthMm), (H - 6) / Math.max(4, tallMm));
  const [w, h] = [widthMm * scale, Math.max(2, tallMm * scale)];
  const thick = heightMm * scale;
  const floor = H - 2;
  const drawn = { fill: palette.leaf.doughPale, stroke: palette.leaf.crust };
  const filling = { fill: palette.make.sugar };
  if (form === 'folded') {
    const fold = parts.map(({ shape }) => (shape.kind === 'freeForm' ? shape.foldMm : 0))[0]! * scale;
    return (
      <Section>
        {filledMm > 0 && <rect x={W / 2 - w / 2} y={floor - thick - filledMm * scale} width={w} height={filledMm * scale} {...filling} />}
        <rect x={W / 2 - w / 2} y={floor - thick} width={w} height={thick} {...drawn} />
        {[W / 2 - w / 2, W / 2 + w / 2 - fold].map((x) => (
          <rect key={x} x={x} y={floor - h} width={fold} height={thick} {...drawn} />
        ))}
      </Section>
    );
  }
  if (form !== 'ball' && form !== 'rolledUp' && form !== 'wrapped')
    return (
      <Section>
        <rect x={W / 2 - w / 2} y={floor - h} width={w} height={h} rx="2" {...drawn} />
      </Section>
    );
  const middle = { cx: W / 2, cy: floor - h / 2 };
  return (
    <Section>
      <ellipse {...middle} rx={w / 2} ry={h / 2} {...drawn} />
      {form === 'wrapped' && filledMm > 0 && (
        <ellipse {...middle} rx={(w / 2) * (filledMm / tallMm)} ry={(filledMm * scale) / 2} {...filling} />
      )}
    </Section>
  );
}

type PanSectionProps = { readonly pan: Pan; readonly parts: readonly Part[]; readonly doughMm: number; readonly filledMm: number };
/** Wall, lining with what lies on the rim and hangs over it, filling to its level, and the lid or the strips over it. */
function PanSection({ pan, parts, doughMm, filledMm }: PanSectionProps) {
  const { palette } = useTheme();
  const { topMm, bottomMm, depthMm, rimMm = 0 } = pan;
  const over = (kind: 'lining' | 'lid' | 'lattice') =>
    parts.flatMap(({ shape }) => (shape.kind === kind && 'overhangMm' in shape ? [shape.overhangMm] : []))[0] ?? 0;
  const top = parts.find(({ shape }) => shape.kind === 'lid' || shape.kind === 'lattice');
  const domeMm = top?.shape.kind === 'lid' ? top.shape.domeMm : 0;
  const edgeMm = Math.max(over('lining'), over('lid'), over('lattice')) + rimMm;
  const fullMm = doughMm + filledMm;
  const tall = Math.max(depthMm + doughMm + (top?.thicknessMm ?? 0), fullMm + domeMm + (top?.thicknessMm ?? 0));
  const scale = Math.min((W - 10) / (topMm + 2 * edgeMm), (H - 6) / tall);
  const floor = H - 2;
  const y = (mm: number) => floor - mm * scale;
  /** Half the width inside the pan at a height over its floor, mm; the wall goes on upwards where a filling stands over it. */
  const half = (atMm: number) => (bottomMm + ((topMm - bottomMm) * Math.min(atMm, depthMm)) / depthMm) / 2;
  const at = (side: -1 | 1, acrossMm: number, upMm: number) => `${W / 2 + side * acrossMm * scale} ${y(upMm)}`;
  const band = (side: -1 | 1, { fromMm, toMm }: { readonly fromMm: number; readonly toMm: number }, upMm: number, highMm: number) =>
    `M${at(side, fromMm, upMm)}L${at(side, toMm, upMm)}L${at(side, toMm, upMm + highMm)}L${at(side, fromMm, upMm + highMm)}z`;
  const inside = (upMm: number) => half(upMm) - doughMm;
  const [l, r] = [-1, 1] as const;
  const lining = `M${at(l, half(depthMm), depthMm)}L${at(l, half(0), 0)}L${at(r, half(0), 0)}L${at(r, half(depthMm), depthMm)}L${at(r, inside(depthMm), depthMm)}L${at(r, inside(doughMm), doughMm)}L${at(l, inside(doughMm), doughMm)}L${at(l, inside(depthMm), depthMm)}z`;
  const hangs = [l, r]
    .map((side) => band(side, { fromMm: inside(depthMm), toMm: half(depthMm) + rimMm + over('lining') }, depthMm, doughMm))
    .join('');
  const filling = `M${at(l, inside(fullMm), fullMm)}L${at(l, inside(doughMm), doughMm)}L${at(r, inside(doughMm), doughMm)}L${at(r, inside(fullMm), fullMm)}z`;
  const drawn = { fill: palette.leaf.doughPale, stroke: palette.leaf.crust, strokeWidth: 0.8 };
  return (
    <Section>
      {filledMm > 0 && <path d={filling} fill={palette.make.sugar} />}
      <path d={lining + (rimMm + over('lining') > 0 ? hangs : '')} {...drawn} />
      {top?.shape.kind === 'lid' && <path d={lidPath(top.thicknessMm)} {...drawn} />}
      {top?.shape.kind === 'lattice' && <path d={stripsPath(top.thicknessMm, top.shape.stripMm, top.shape.gapMm)} {...drawn} />}
      <path
        d={`M${at(l, half(depthMm) + rimMm, depthMm)}L${at(l, half(depthMm), depthMm)}L${at(l, half(0), 0)}L${at(r, half(0), 0)}L${at(r, half(depthMm), depthMm)}L${at(r, half(depthMm) + rimMm, depthMm)}`}
        fill="none"
        stroke={palette.text.secondary}
        strokeWidth="1.4"
      />
    </Section>
  );

  /** From edge to edge over the lining, and in the middle over the filling and as high as it is domed. */
  function lidPath(thickMm: number): string {
    const edge = half(depthMm) + rimMm + over('lid');
    const rim = depthMm + doughMm;
    // The middle of a quadratic line lies half way to its control point.
    const crown = 2 * Math.max(fullMm + domeMm, rim) - rim;
    const line = (from: -1 | 1, upMm: number) => {
      const to = from === l ? r : l;
      return `${at(from, edge, rim + upMm)}L${at(from, half(depthMm), rim + upMm)}Q${W / 2} ${y(crown + upMm)} ${at(to, half(depthMm), rim + upMm)}L${at(to, edge, rim + upMm)}`;
    };
    return `M${line(l, 0)}L${line(r, thickMm)}z`;
  }
  /** The strips of one direction, cut across. */
  function stripsPath(thickMm: number, stripMm: number, gapMm: number): string {
    const widest = half(depthMm);
    const each = stripMm + gapMm;
    const count = Math.floor((2 * widest + gapMm) / each);
    const first = -((count - 1) * each) / 2;
    return Array.from({ length: count }, (_, i) => first + i * each)
      .map((centreMm) => band(r, { fromMm: centreMm - stripMm / 2, toMm: centreMm + stripMm / 2 }, Math.max(fullMm, depthMm), thickMm))
      .join('');
  }
}
