import { memo, useMemo } from 'react';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import {
  cachedNests,
  docksOf,
  figureOf,
  isCutShape,
  nestOfLayout,
  placedOn,
  placedOnTray,
  standing,
  trayNest,
  upsideDown,
  type CutShape,
  type DockPattern,
  type Figure,
  type Formula,
  type Part,
  type Placed,
  type SheetLayout,
  type SheetResult,
  type Tray,
} from '@north-leaf/core';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { Grip } from '../../ui/drawing/grip';
import { Ruled } from '../../ui/drawing/ruled';
import { setValue, useDraft } from '../formulas/doors';
import { cutWords, type DrawnSheet } from './sheet-plan';
import { t } from '../../platform/words';

/** The first sheet with its cuts, long side lying. The size of a piece can be drawn out at its corner. */
export function SheetToScale({ drawn: { formula, plan } }: { drawn: DrawnSheet }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const part = formula.sheet.parts[0]!;
  const { layout } = plan;
  const { trimMm, dockPitchMm, dockPattern } = formula.sheet;
  const { shape, window } = part;
  const placed = useMemo(() => (layout && isCutShape(shape) ? placedFor(shape, layout, trimMm) : []), [layout, shape, trimMm]);
  if (!layout || !isCutShape(shape))
    return <Box sx={{ py: 8, textAlign: 'center', color: 'text.secondary' }}>{t('sheet.noPieceFitsThisSheet')}</Box>;
  const lying = layout.sheetLengthMm > layout.sheetWidthMm;
  const [w, h] = lying ? [layout.sheetLengthMm, layout.sheetWidthMm] : [layout.sheetWidthMm, layout.sheetLengthMm];
  const holes = formula.sheet.parts.find((one) => one.window)?.window ?? window;
  return (
    <Ruled
      widthMm={w}
      lengthMm={h}
      summary={t('sheet.piecesShapeFromASheetOfW', {
        pieces: layout.pieces,
        shape: cutWords(shape, voice).toLowerCase(),
        w: voice.bare(w, 'size'),
        h: voice.show(h, 'size'),
      })}
      handles={(pxPerMm) => (
        // A piece that lies turned on a sheet that lies turned lies as it is written.
        <SheetGrips parts={formula.sheet.parts} trimMm={trimMm} pxPerMm={pxPerMm} turned={lying !== layout.quarter} />
      )}
    >
      <rect
        width={w}
        height={h}
        rx={3}
        fill={palette.leaf.doughPale}
        stroke={palette.leaf.crust}
        strokeWidth="1.2"
        vectorEffect="non-scaling-stroke"
      />
      {/* The long side lies: the sheet is drawn on its side. */}
      <g transform={lying ? `matrix(0 1 1 0 0 0)` : undefined}>
        <Pieces placed={placed} shape={shape} layout={layout} window={holes} dockMm={dockPitchMm} pattern={dockPattern ?? 'inLine'} />
      </g>
    </Ruled>
  );
}

const placedFor = (shape: CutShape, layout: SheetLayout, trimMm: number): Placed[] =>
  placedOn(nestOfLayout(shape, layout), layout.sheetWidthMm - 2 * trimMm, layout.sheetLengthMm - 2 * trimMm, 2000).map((one) => ({
    ...one,
    xMm: one.xMm + trimMm,
    yMm: one.yMm + trimMm,
  }));

type PiecesProps = {
  readonly placed: readonly Placed[];
  readonly shape: CutShape;
  readonly layout: SheetLayout;
  readonly window: CutShape | undefined;
  readonly dockMm: number | undefined;
  readonly pattern: DockPattern;
};
/** More holes than this are no drawing any more: pieces after them stand without. */
const MOST_HOLES = 8000;

/** All pieces as one line, all holes as another: hundreds of elements would not follow the key. */
function Pieces({ placed, shape, layout, window, dockMm, pattern }: PiecesProps) {
  const { palette } = useTheme();
  const { outlines, windows, holes } = useMemo(() => {
    const figure = cachedNests(shape).find(({ name, quarter }) => name === layout.name && quarter === layout.quarter)!.figure;
    const hole = window ? figureOf(window, 'window') : null;
    // From the piece's corner on by steps: one text for all pieces that lie alike.
    const pricksOf = (of: Figure) =>
      dockMm === undefined || dockMm < 1
        ? []
        : docksOf(of, dockMm, pattern, hole ?? undefined).map(
            ([x, y], i, all) => `m${short(x - (all[i - 1]?.[0] ?? 0))} ${short(y - (all[i - 1]?.[1] ?? 0))}h0`,
          );
    const [docks, turnedDocks] = [pricksOf(figure), pricksOf(upsideDown(figure))];
    const [dots, turnedDots] = [docks.join(''), turnedDocks.join('')];
    return {
      outlines: manyOf(placed, shape, figure),
      windows: hole
        ? manyOf(
            placed.map((one) => ({
              ...one,
              xMm: one.xMm + (figure.widthMm - hole.widthMm) / 2,
              yMm: one.yMm + (figure.lengthMm - hole.lengthMm) / 2,
            })),
            window!,
            hole,
          )
        : '',
      holes: placed
        .slice(0, Math.floor(MOST_HOLES / Math.max(1, docks.length)))
        .map(({ xMm, yMm, upsideDown: turned }) => `M${short(xMm)} ${short(yMm)}${turned ? turnedDots : dots}`)
        .join(''),
    };
  }, [placed, shape, layout, window, dockMm, pattern]);
  return (
    <g fill="none" stroke={palette.leaf.crust}>
      <path d={outlines} strokeWidth="1.3" vectorEffect="non-scaling-stroke" />
      {windows && <path d={windows} strokeDasharray="3 2" vectorEffect="non-scaling-stroke" />}
      {holes && <path d={holes} strokeWidth="1.8" strokeLinecap="round" opacity="0.75" />}
    </g>
  );
}

const short = (mm: number): string => mm.toFixed(2);

/** One path of many pieces: where each begins, then its outline from there on. */
function manyOf(placed: readonly Placed[], shape: CutShape, figure: Figure): string {
  if (shape.kind === 'round') {
    const r = short(figure.widthMm / 2);
    const d = short(figure.widthMm);
    return placed
      .map(({ xMm, yMm }) => `M${short(xMm)} ${short(yMm + figure.widthMm / 2)}a${r} ${r} 0 1 0 ${d} 0a${r} ${r} 0 1 0 -${d} 0`)
      .join('');
  }
  const lines = ({ outline }: Figure) => ({
    first: outline[0]!,
    rest: `l${outline
      .slice(1)
      .map(([x, y], i) => `${short(x - outline[i]![0])} ${short(y - outline[i]![1])}`)
      .join(' ')}z`,
  });
  const [up, down] = [lines(figure), lines(upsideDown(figure))];
  return placed
    .map(({ xMm, yMm, upsideDown: turned }) => {
      const { first, rest } = turned ? down : up;
      return `M${short(xMm + first[0])} ${short(yMm + first[1])}${rest}`;
    })
    .join('');
}

/** The members of a shape that its corner sets, across the sheet and along it; one name twice where it has one size. */
function sizesOf(shape: CutShape): readonly [across: string, along: string] | null {
  switch (shape.kind) {
    case 'rectangle':
      return ['widthMm', 'lengthMm'];
    case 'triangle':
      return ['baseMm', 'heightMm'];
    case 'diamond':
      return ['widthMm', 'widthMm'];
    case 'round':
    case 'hexagon':
    case 'heart':
      return ['acrossMm', 'acrossMm'];
    case 'outline':
      return null;
  }
}

type GripsProps = { readonly parts: readonly Part[]; readonly trimMm: number; readonly pxPerMm: number; readonly turned: boolean };
/** The corner of the first piece sets the size in whole millimetres, the edge of its window that of the window. */
function SheetGrips({ parts, trimMm, pxPerMm, turned }: GripsProps) {
  const voice = useVoice();
  const { shape } = parts[0]!;
  const sizes = isCutShape(shape) ? sizesOf(shape) : null;
  if (!isCutShape(shape) || !sizes) return null;
  const { edit } = useDraft.getState();
  const held = shape as unknown as Record<string, number>;
  const [across, along] = [held[sizes[0]]!, held[sizes[1]]!];
  const box = figureOf(shape, 'shape');
  const onDrawing = (acrossMm: number, alongMm: number) => (turned ? [alongMm, acrossMm] : [acrossMm, alongMm]) as [number, number];
  const [xMm, yMm] = onDrawing(trimMm + box.widthMm, trimMm + box.lengthMm);
  // Bottoms and tops of a pair are cut with one cutter.
  const set = (now: Formula, name: string, mm: number) =>
    now.sheet.parts.flatMap((_, i) => setValue(`/sheet/parts/${i}/shape/${name}`, Math.min(600, Math.max(5, Math.round(mm))))(now));
  const cutter = (right: number, down: number, step: string) => {
    const [more, further] = onDrawing(right, down);
    // A shape of one size follows the way that was drawn more.
    if (sizes[0] === sizes[1]) edit(step, (now) => set(now, sizes[0], across + (Math.abs(more) > Math.abs(further) ? more : further)));
    else edit(step, (now) => [...set(now, sizes[0], across + more), ...set(now, sizes[1], along + further)]);
  };
  const windowed = parts.findIndex(({ window }) => window !== undefined && 'acrossMm' in window);
  const window = parts[windowed]?.window;
  return (
    <>
      <Grip
        xMm={xMm}
        yMm={yMm}
        pxPerMm={pxPerMm}
        label={t('sheet.sizeOfAPiece')}
        valueMm={across}
        valueText={cutWords(shape, voice)}
        cursor="nwse-resize"
        grasp={() => cutter}
      />
      {window && 'acrossMm' in window && (
        <WindowGrip
          index={windowed}
          window={window}
          middleMm={onDrawing(trimMm + box.widthMm / 2, trimMm + box.lengthMm / 2)}
          pxPerMm={pxPerMm}
        />
      )}
    </>
  );
}

type WindowProps = {
  readonly index: number;
  readonly window: CutShape & { readonly acrossMm: number };
  readonly middleMm: readonly [number, number];
  readonly pxPerMm: number;
};
function WindowGrip({ index, window, middleMm: [xMm, yMm], pxPerMm }: WindowProps) {
  const voice = useVoice();
  const { acrossMm } = window;
  return (
    <Grip
      xMm={xMm + acrossMm / 2}
      yMm={yMm}
      pxPerMm={pxPerMm}
      label={t('sheet.sizeOfTheWindow')}
      valueMm={acrossMm}
      valueText={cutWords(window, voice)}
      cursor="ew-resize"
      // Drawn from one side, it grows on both.
      grasp={() => (right, _down, step) =>
        useDraft.getState().edit(step, setValue(`/sheet/parts/${index}/window/acrossMm`, Math.max(5, Math.round(acrossMm + 2 * right))))
      }
    />
  );
}

/** Pixels a millimetre of a tray is drawn with. */
const TRAY_PX = 0.3;

type TraysProps = { readonly drawn: DrawnSheet; readonly result: SheetResult; readonly tray: Tray };
/** Trays as they are filled, to one scale; on the first the second piece is drawn nearer or further. */
export const TraysToScale = memo(function TraysToScale({ drawn: { formula }, result, tray }: TraysProps) {
  const voice = useVoice();
  const { palette } = useTheme();
  const { body, gapMm, edgeMm } = result;
  const stands = standing(formula, body);
  const lies = trayNest(tray, stands, gapMm, edgeMm);
  const whole = body.form === 'sheet';
  const [w, h] = tray.widthMm >= tray.lengthMm ? [tray.widthMm, tray.lengthMm] : [tray.lengthMm, tray.widthMm];
  const figure = lies.nest?.figure ?? figureOf(stands, 'shape');
  const shownTrays = result.trays.slice(0, 4);
  // Parts that are put together later lie side by side.
  const per = result.piecesPerTray > 0 && lies.pieces > 0 ? lies.pieces / result.piecesPerTray : 1;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
      {shownTrays.map((count, i) => {
        const things = Math.round(count * per);
        const turned = lies.turned !== tray.widthMm < tray.lengthMm;
        const lying = whole ? [] : placedOnTray(tray, lies, edgeMm, things).slice(0, things);
        // In the middle of the tray, not in its corner.
        const [trayW, trayL] = turned ? [h, w] : [w, h];
        const dx = (trayW - Math.max(0, ...lying.map(({ xMm }) => xMm + figure.widthMm)) - edgeMm) / 2;
        const dy = (trayL - Math.max(0, ...lying.map(({ yMm }) => yMm + figure.lengthMm)) - edgeMm) / 2;
        const placed = lying.map((one) => ({ ...one, xMm: one.xMm + dx, yMm: one.yMm + dy }));
        return (
          <Box key={i} sx={{ flex: '0 1 118px' }}>
            <svg
              viewBox={`0 0 ${w * TRAY_PX} ${h * TRAY_PX}`}
              width="100%"
              role={i === 0 ? 'group' : 'img'}
              aria-label={t('sheet.trayIWithNumberPieces', { i: i + 1, number: Math.round(count) })}
              style={{ display: 'block' }}
            >
              <g transform={`scale(${TRAY_PX})`}>
                <rect width={w} height={h} rx={10} fill={palette.text.secondary} />
                <g transform={turned ? 'matrix(0 1 1 0 0 0)' : undefined} fill={palette.leaf.doughPale}>
                  {whole && <rect x={10} y={10} width={Math.min(h, body.widthMm)} height={Math.min(w, body.lengthMm)} rx={3} />}
                  <path d={manyOf(placed, stands, figure)} />
                </g>
              </g>
              {i === 0 && placed[1] && <GapGrip second={placed[1]} lengthMm={figure.lengthMm} gapMm={gapMm} turned={turned} />}
            </svg>
            <Box sx={{ fontSize: typeSize.small, pt: 1 }}>
              <b>{t('sheet.trayI', { i: i + 1 })}</b> {Math.round(count)}
              {!whole && t('sheet.ofPiecespertrayGapGaps', { piecesPerTray: result.piecesPerTray, gap: voice.show(gapMm, 'size') })}
            </Box>
          </Box>
        );
      })}
      {result.trays.length > shownTrays.length && (
        <Box sx={{ alignSelf: 'center', fontSize: typeSize.small, color: 'text.secondary' }}>
          {t('sheet.andTraysMore', { trays: result.trays.length - shownTrays.length })}
        </Box>
      )}
    </Box>
  );
});

type GapProps = { readonly second: Placed; readonly lengthMm: number; readonly gapMm: number; readonly turned: boolean };
/** The near side of the second piece: drawn away from the first, the gap grows; a key of either way does it, however the tray lies. */
function GapGrip({ second, lengthMm, gapMm, turned }: GapProps) {
  const voice = useVoice();
  const [x, y] = [second.xMm, second.yMm + lengthMm / 2];
  return (
    <Grip
      xMm={turned ? y : x}
      yMm={turned ? x : y}
      pxPerMm={TRAY_PX}
      label={t('sheet.betweenPiecesOnTheTray')}
      valueMm={gapMm}
      valueText={voice.show(gapMm, 'size')}
      cursor={turned ? 'ns-resize' : 'ew-resize'}
      grasp={() => (right, down, step) =>
        useDraft
          .getState()
          .edit(
            step,
            setValue('/sheet/trayGapMm', Math.min(200, Math.max(0, Math.round(gapMm + (Math.abs(down) > Math.abs(right) ? down : right))))),
          )
      }
    />
  );
}
