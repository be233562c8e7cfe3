import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useTheme } from '@mui/material/styles';
import {
  docksOfPart,
  figureOf,
  isCutShape,
  latticeOf,
  panInside,
  twoThirdsSplit,
  type Pan,
  type Part,
  type PartPlan,
  type ShapeKind,
  showQuantity,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Ruled } from '../../ui/drawing/ruled';
import { PanGrips } from './pan-grips';
import type { DrawnSheet } from './sheet-plan';
import { t } from '../../platform/words';

/** What one piece is made of, each part to one scale, and how the dough is shared between them. */
export function PanPicture({ drawn, pan }: { drawn: DrawnSheet; pan: Pan | null }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const { formula, plan } = drawn;
  const blanks = plan.parts.flatMap((part) => placedPart(part, pan));
  const laid = sideBySide(blanks);
  const end = laid[laid.length - 1];
  const widthMm = Math.max(40, end ? end.x + end.widthMm : 0);
  const lengthMm = Math.max(20, ...laid.map((one) => one.lengthMm));
  const words = plan.parts.map((part) => `${partWords[part.kind]} ${voice.show(part.widthMm, 'size')}`).join(', ');
  const middleOf = ({ x, widthMm: wide }: (typeof laid)[number]) => ({ xMm: x + wide / 2, yMm: lengthMm / 2, widthMm: wide });
  const grips = (pxPerMm: number) =>
    formula.sheet.parts.map((part, index) => {
      // A lattice lies over its lining.
      const own = laid.find(({ key }) => key === part.key) ?? laid[0];
      return own && <PanGrips key={part.key} part={part} index={index} at={middleOf(own)} pan={pan} pxPerMm={pxPerMm} />;
    });
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Ruled widthMm={widthMm} lengthMm={lengthMm} summary={t('sheet.toScaleWords', { words })} handles={grips}>
        {laid.map((one) => (
          <g key={`${one.key} ${one.x}`} transform={`translate(${one.x} ${(lengthMm - one.lengthMm) / 2})`}>
            <CutOut part={formula.sheet.parts.find(({ key }) => key === one.key)} />
            {isCutOf(formula.sheet.parts, one.key) ? null : one.round ? (
              <ellipse
                cx={one.widthMm / 2}
                cy={one.lengthMm / 2}
                rx={one.widthMm / 2}
                ry={one.lengthMm / 2}
                fill={palette.leaf.doughPale}
                stroke={palette.leaf.crust}
                strokeWidth="1.3"
                vectorEffect="non-scaling-stroke"
              />
            ) : (
              <rect
                width={one.widthMm}
                height={one.lengthMm}
                fill={palette.leaf.doughPale}
                stroke={palette.leaf.crust}
                vectorEffect="non-scaling-stroke"
              />
            )}
            {insideOf(one, formula.sheet.parts.find(({ key }) => key === one.key)?.shape, pan).map((mm) => (
              <circle
                key={mm}
                cx={one.widthMm / 2}
                cy={one.lengthMm / 2}
                r={mm / 2}
                fill="none"
                stroke={palette.leaf.edge}
                strokeDasharray="4 3"
                vectorEffect="non-scaling-stroke"
              />
            ))}
            <Pricks one={one} drawn={drawn} pan={pan} />
          </g>
        ))}
        <Lattice drawn={drawn} pan={pan} at={laid[0] ? [laid[0].x + laid[0].widthMm / 2, lengthMm / 2] : [0, 0]} />
      </Ruled>
      <PartsTable parts={plan.parts} />
      {pan && <PanWords pan={pan} parts={plan.parts} />}
      {plan.parts.some(({ kind, surplusShare }) => kind === 'freeForm' && surplusShare) && (
        <Note size="small">{t('sheet.theFoldedEdgeHasSurplusMoreRound', { surplus: Math.round(plan.parts[0]!.surplusShare! * 100) })}</Note>
      )}
    </Box>
  );
}

const isCutOf = (parts: readonly Part[], key: string) => parts.some((part) => part.key === key && isCutShape(part.shape));

/** What is cut has its own outline, and its window. */
function CutOut({ part }: { readonly part: Part | undefined }) {
  const { palette } = useTheme();
  if (!part || !isCutShape(part.shape)) return null;
  const figure = figureOf(part.shape, 'shape');
  const window = part.window ? figureOf(part.window, 'window') : null;
  const line = { stroke: palette.leaf.crust, strokeWidth: 1.3, vectorEffect: 'non-scaling-stroke' } as const;
  return (
    <>
      <path d={figure.path} fill={palette.leaf.doughPale} {...line} />
      {window && (
        <path
          d={window.path}
          transform={`translate(${(figure.widthMm - window.widthMm) / 2} ${(figure.lengthMm - window.lengthMm) / 2})`}
          fill={palette.background.paper}
          {...line}
        />
      )}
    </>
  );
}

/** Where a lining or a disc is pricked, as one line. */
function Pricks({ one, drawn: { formula }, pan }: { one: Blank; drawn: DrawnSheet; pan: Pan | null }) {
  const { palette } = useTheme();
  const part = formula.sheet.parts.find(({ key }) => key === one.key);
  const docks = part ? docksOfPart(part, one, pan, formula.sheet) : [];
  if (docks.length === 0) return null;
  const d = docks.map(([x, y]) => `M${x.toFixed(1)} ${y.toFixed(1)}h0`).join('');
  return <path d={d} stroke={palette.leaf.crust} strokeWidth="2.6" strokeLinecap="round" />;
}

/** Between parts that lie beside each other, mm. */
const GAP = 14;
const sideBySide = (blanks: readonly Blank[]) =>
  blanks.map((blank, i) => ({ ...blank, x: blanks.slice(0, i).reduce((sum, { widthMm }) => sum + widthMm + GAP, 0) }));

export const partWords: Readonly<Record<ShapeKind, string>> = {
  rectangle: t('common.piece'),
  diamond: t('common.piece'),
  round: t('common.piece'),
  hexagon: t('common.piece'),
  heart: t('common.piece'),
  triangle: t('common.piece'),
  outline: t('common.piece'),
  portion: t('sheet.portion'),
  slice: t('sheet.slice'),
  lining: t('sheet.lining'),
  lid: t('sheet.lid'),
  base: t('common.base2'),
  side: t('sheet.sideStrip'),
  lattice: t('sheet.latticeStrips'),
  freeForm: t('sheet.disc'),
};

const flatRound: ReadonlySet<ShapeKind> = new Set(['lining', 'lid', 'base', 'freeForm', 'portion', 'slice']);
const forPan: ReadonlySet<ShapeKind> = new Set(['lining', 'lid', 'base']);
type Blank = {
  readonly key: string;
  readonly kind: ShapeKind;
  readonly round: boolean;
  readonly widthMm: number;
  readonly lengthMm: number;
};

/** Strips lie beside each other, the rest as it is; a lattice is drawn over its lining. */
function placedPart({ key, kind, widthMm, lengthMm, strips = 1 }: PartPlan, pan: Pan | null): Blank[] {
  if (kind === 'lattice') return [];
  return Array.from({ length: kind === 'side' ? strips : 1 }, () => ({
    key,
    kind,
    round: flatRound.has(kind) && !(pan?.kind === 'rectangle' && forPan.has(kind)),
    widthMm,
    lengthMm,
  }));
}

/** Rings to see on a disc: the pan's base and its edge, or the filled middle. */
function insideOf(blank: Blank, shape: DrawnSheet['formula']['sheet']['parts'][number]['shape'] | undefined, pan: Pan | null): number[] {
  if (shape?.kind === 'freeForm') return [shape.filledMm];
  if (!pan || pan.lengthMm !== undefined) return [];
  return blank.kind === 'lining' ? [pan.bottomMm] : blank.kind === 'lid' ? [pan.topMm] : [];
}

/** The lattice over the middle of its lining. */
function Lattice({ drawn: { formula }, pan, at }: { drawn: DrawnSheet; pan: Pan | null; at: readonly [number, number] }) {
  const { palette } = useTheme();
  const shape = formula.sheet.parts.find((part) => part.shape.kind === 'lattice')?.shape;
  if (!pan || shape?.kind !== 'lattice') return null;
  const { along, across } = latticeOf(pan, { stripMm: shape.stripMm, gapMm: shape.gapMm, overhangMm: shape.overhangMm }, 'lattice');
  const { stripMm } = shape;
  return (
    <g transform={`translate(${at[0]} ${at[1]})`} fill={palette.make.grain} fillOpacity="0.75" stroke={palette.leaf.crust}>
      {along.map(({ atMm, lengthMm }) => (
        <rect
          key={`l ${atMm}`}
          x={atMm - stripMm / 2}
          y={-lengthMm / 2}
          width={stripMm}
          height={lengthMm}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {across.map(({ atMm, lengthMm }) => (
        <rect
          key={`w ${atMm}`}
          x={-lengthMm / 2}
          y={atMm - stripMm / 2}
          width={lengthMm}
          height={stripMm}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
}

function PartsTable({ parts }: { parts: readonly PartPlan[] }) {
  const units = usePreferences((state) => state.units);
  const length = (mm: number) => showQuantity(mm, 'size', units);
  const sumG = parts.reduce((sum, { massG, perPiece }) => sum + massG * perPiece, 0);
  return (
    <Table
      size="small"
      aria-label={t('sheet.partsOfAPiece')}
      sx={{ '& td, & th': { px: 1 }, '& td[class*=alignRight]': { whiteSpace: 'nowrap' } }}
    >
      <TableHead>
        <TableRow>
          <TableCell>{t('sheet.part')}</TableCell>
          <TableCell>{t('sheet.cut')}</TableCell>
          <TableCell align="right">{t('sheet.thick')}</TableCell>
          <TableCell align="right">{t('common.dough')}</TableCell>
          <TableCell align="right">{t('common.share')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {parts.map((part) => (
          <TableRow key={part.key}>
            <TableCell component="th" scope="row" sx={{ fontWeight: 650 }}>
              {partWords[part.kind]}
              {part.perPiece > 1 && ` × ${part.perPiece}`}
            </TableCell>
            <TableCell>
              {part.strips
                ? t('sheet.stripsStripsOfWidthWordLength', {
                    strips: part.strips,
                    width: length(part.widthMm),
                    word: part.kind === 'lattice' ? t('sheet.upTo') : '',
                    length: length(part.lengthMm),
                  })
                : Math.abs(part.widthMm - part.lengthMm) < 0.5
                  ? `Ø ${length(part.widthMm)}`
                  : `${length(part.widthMm)} × ${length(part.lengthMm)}`}
            </TableCell>
            <TableCell align="right">{showQuantity(part.thicknessMm, 'length', units)}</TableCell>
            <TableCell align="right">{showQuantity(part.massG * part.perPiece, 'bulk', units)}</TableCell>
            <TableCell align="right">{Math.round((part.massG * part.perPiece * 100) / sumG)} %</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

/** What the pan holds, what a flat lining has too much of, and the common split beside the computed one. */
function PanWords({ pan, parts }: { pan: Pan; parts: readonly PartPlan[] }) {
  const units = usePreferences((state) => state.units);
  const { volumeMl } = panInside(pan);
  const lining = parts.find(({ kind }) => kind === 'lining');
  const lid = parts.find(({ kind }) => kind === 'lid');
  const lattice = parts.find(({ kind }) => kind === 'lattice');
  const shared = lining && lid ? lining.massG + lid.massG : 0;
  // At two thirds to one third, how thick each would be rolled to the same size.
  const thick = lining && lid ? [(lining.thicknessMm * twoThirdsSplit.value * shared) / lining.massG, (lid.thicknessMm * (1 - twoThirdsSplit.value) * shared) / lid.massG] : null; // prettier-ignore
  return (
    <Note size="small">
      {t('sheet.nameHoldsVolumeMlToItsRim', { name: pan.name, volume: Math.round(volumeMl) })}{' '}
      {lining?.surplusShare !== undefined && t('sheet.aFlatLiningHasSurplusMoreDough', { surplus: Math.round(lining.surplusShare * 100) })}
      {lattice?.openShare !== undefined && t('sheet.openOfTheFillingShowsThroughThe', { open: Math.round(lattice.openShare * 100) })}
      {thick &&
        t('sheet.theCommonTwoThirdsForTheBase', {
          thick: showQuantity(thick[0]!, 'length', units),
          thick2: showQuantity(thick[1]!, 'length', units),
        })}
    </Note>
  );
}
