import { memo, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
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
  traySideMm,
  trayNest,
  upsideDown,
  type CutShape,
  type Figure,
  type Placed,
  type SheetLayout,
  type SheetResult,
  type Tray,
} from '@north-leaf/core';
import { Ruled } from '../../../ui/ruled';
import { setValue, useDraft } from '../draft-store';
import { cutWords, type DrawnSheet } from './sheet-plan';

/** The first sheet with its cuts, long side lying. The size of a piece can be drawn out at its corner. */
export function SheetToScale({ drawn: { formula, plan } }: { drawn: DrawnSheet }) {
  const { palette } = useTheme();
  const part = formula.sheet.parts[0]!;
  const { layout } = plan;
  const { trimMm, dockPitchMm } = formula.sheet;
  const { shape, window } = part;
  const placed = useMemo(() => (layout && isCutShape(shape) ? placedFor(shape, layout, trimMm) : []), [layout, shape, trimMm]);
  if (!layout || !isCutShape(shape))
    return <Box sx={{ py: 8, textAlign: 'center', color: 'text.secondary' }}>No piece fits this sheet.</Box>;
  const lying = layout.sheetLengthMm > layout.sheetWidthMm;
  const [w, h] = lying ? [layout.sheetLengthMm, layout.sheetWidthMm] : [layout.sheetWidthMm, layout.sheetLengthMm];
  const holes = formula.sheet.parts.find((one) => one.window)?.window ?? window;
  return (
    <Ruled
      widthMm={w}
      lengthMm={h}
      summary={`${layout.pieces} ${cutWords(shape).toLowerCase()} from a sheet of ${Math.round(w)} by ${Math.round(h)} mm`}
      handles={(pxPerMm) => (layout.quarter ? null : <SizeHandle shape={shape} trimMm={trimMm} pxPerMm={pxPerMm} lying={lying} />)}
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
        <Pieces placed={placed} shape={shape} layout={layout} window={holes} dockMm={dockPitchMm} />
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
};
/** All pieces as one line, all holes as another: hundreds of elements would not follow the key. */
function Pieces({ placed, shape, layout, window, dockMm }: PiecesProps) {
  const { palette } = useTheme();
  const { outlines, windows, holes } = useMemo(() => {
    const figure = cachedNests(shape).find(({ name, quarter }) => name === layout.name && quarter === layout.quarter)!.figure;
    const hole = window ? figureOf(window, 'window') : null;
    const docks = dockMm === undefined || dockMm < 1 ? [] : docksOf(figure.widthMm, figure.lengthMm, dockMm).slice(0, 200);
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
      holes: placed.flatMap(({ xMm, yMm }) => docks.map(([x, y]) => `M${short(xMm + x)} ${short(yMm + y)}h0`)).join(''),
    };
  }, [placed, shape, layout, window, dockMm]);
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

/** The members of a shape that its corner sets, across the sheet and along it. */
function sizesOf(shape: CutShape): readonly [across: string, along: string] | null {
  switch (shape.kind) {
    case 'rectangle':
      return ['widthMm', 'lengthMm'];
    case 'triangle':
      return ['baseMm', 'heightMm'];
    case 'round':
    case 'hexagon':
    case 'heart':
      return ['acrossMm', 'acrossMm'];
    default:
      return null;
  }
}

type HandleProps = { readonly shape: CutShape; readonly trimMm: number; readonly pxPerMm: number; readonly lying: boolean };
/** The corner of the first piece: dragged, or moved by the arrow keys, it sets the size in whole millimetres. One drag is one step. */
function SizeHandle({ shape, trimMm, pxPerMm, lying }: HandleProps) {
  const { palette } = useTheme();
  const from = useRef<{ x: number; y: number; across: number; along: number; step: string; pxPerMm: number } | null>(null);
  const sizes = sizesOf(shape);
  if (!sizes) return null;
  const { edit } = useDraft.getState();
  const held = shape as unknown as Record<string, number>;
  const [across, along] = [held[sizes[0]]!, held[sizes[1]]!];
  const box = figureOf(shape, 'shape');
  const [x, y] = lying ? [box.lengthMm, box.widthMm] : [box.widthMm, box.lengthMm];
  const set = (nextAcross: number, nextAlong: number, step: string) => {
    const clamp = (mm: number) => Math.min(600, Math.max(5, Math.round(mm)));
    const path = (name: string) => `/sheet/parts/0/shape/${name}`;
    if (sizes[0] === sizes[1]) edit(step, setValue(path(sizes[0]), clamp((nextAcross + nextAlong) / 2)));
    else edit(step, (now) => [...setValue(path(sizes[0]), clamp(nextAcross))(now), ...setValue(path(sizes[1]), clamp(nextAlong))(now)]);
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    const start = from.current;
    if (!start) return;
    const [dx, dy] = [(event.clientX - start.x) / start.pxPerMm, (event.clientY - start.y) / start.pxPerMm];
    const [more, further] = lying ? [dy, dx] : [dx, dy];
    // A shape of one size follows the way that was drawn more.
    if (sizes[0] === sizes[1]) {
      const by = Math.abs(more) > Math.abs(further) ? more : further;
      set(start.across + by, start.across + by, start.step);
    } else set(start.across + more, start.along + further, start.step);
  };
  const press = (event: KeyboardEvent) => {
    const by = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const times = event.shiftKey ? 5 : 1;
    const [dx, dy] = [by[0]! * times, by[1]! * times];
    const [more, further] = sizes[0] === sizes[1] ? [dx + dy, dx + dy] : lying ? [dy, dx] : [dx, dy];
    set(across + more, along + further, `size:${Math.floor(Date.now() / 1500)}`);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Size of a piece; arrow keys change it by a millimetre"
      aria-valuenow={Math.round(across)}
      aria-valuetext={cutWords(shape)}
      style={{ cursor: 'nwse-resize', touchAction: 'none' }}
      transform={`translate(${(trimMm + x) * pxPerMm} ${(trimMm + y) * pxPerMm})`}
      onKeyDown={press}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        // The drawing may be shown smaller than it is drawn.
        const svg = event.currentTarget.ownerSVGElement!;
        const shown = svg.getBoundingClientRect().width / svg.viewBox.baseVal.width || 1;
        from.current = { x: event.clientX, y: event.clientY, across, along, step: `drag:${Date.now()}`, pxPerMm: pxPerMm * shown };
      }}
      onPointerMove={move}
      onPointerUp={() => (from.current = null)}
      onPointerCancel={() => (from.current = null)}
    >
      <rect x="-16" y="-16" width="32" height="32" fill="transparent" />
      <circle r="6" fill={palette.background.paper} stroke={palette.primary.main} strokeWidth="2.4" />
    </g>
  );
}

/** Trays as they are filled, to one scale. */
export const TraysToScale = memo(function TraysToScale({
  drawn: { formula },
  result,
  tray,
}: {
  drawn: DrawnSheet;
  result: SheetResult;
  tray: Tray;
}) {
  const { palette } = useTheme();
  const { body, gapMm } = result;
  const stands = standing(formula, body);
  const lies = trayNest(tray, stands, gapMm, traySideMm.value);
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
        const placed = whole ? [] : placedOnTray(tray, lies, traySideMm.value, things).slice(0, things);
        // In the middle of the tray, not in its corner.
        const [trayW, trayL] = turned ? [h, w] : [w, h];
        const dx = (trayW - Math.max(0, ...placed.map(({ xMm }) => xMm + figure.widthMm)) - traySideMm.value) / 2;
        const dy = (trayL - Math.max(0, ...placed.map(({ yMm }) => yMm + figure.lengthMm)) - traySideMm.value) / 2;
        return (
          <Box key={i} sx={{ flex: '0 1 118px' }}>
            <svg
              viewBox={`0 0 ${w} ${h}`}
              width="100%"
              role="img"
              aria-label={`Tray ${i + 1} with ${Math.round(count)} pieces`}
              style={{ display: 'block' }}
            >
              <rect width={w} height={h} rx={10} fill={palette.text.secondary} />
              <g transform={turned ? 'matrix(0 1 1 0 0 0)' : undefined} fill={palette.leaf.doughPale}>
                {whole && <rect x={10} y={10} width={Math.min(h, body.widthMm)} height={Math.min(w, body.lengthMm)} rx={3} />}
                <path
                  d={manyOf(
                    placed.map((one) => ({ ...one, xMm: one.xMm + dx, yMm: one.yMm + dy })),
                    stands,
                    figure,
                  )}
                />
              </g>
            </svg>
            <Box sx={{ fontSize: 13, pt: 1 }}>
              <b>Tray {i + 1}</b> {Math.round(count)}
              {!whole && ` of ${result.piecesPerTray}, ${Number(gapMm.toFixed(0))} mm gaps`}
            </Box>
          </Box>
        );
      })}
      {result.trays.length > shownTrays.length && (
        <Box sx={{ alignSelf: 'center', fontSize: 13, color: 'text.secondary' }}>and {result.trays.length - shownTrays.length} more</Box>
      )}
    </Box>
  );
});
