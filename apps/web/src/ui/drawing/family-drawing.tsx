import Box from '@mui/material/Box';
import { useTheme, type Theme } from '@mui/material/styles';
import { crustTones } from '../theme/theme';

/** What lies in or on it, by the colour that its kind has everywhere. */
type Filled = keyof Theme['palette']['make'];

/** One of the good, in a field of 96 by 56: its body, what is in it, lines and dots on it. Not to scale. */
type Drawn = {
  readonly body: string;
  /** Crust tone, 1 to 8. */ readonly tone: number;
  readonly filling?: readonly [of: Filled, path: string];
  readonly lines?: string;
  readonly dots?: string;
};

const circle = (x: number, y: number, r: number) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
const box = (x: number, y: number, w: number, h: number, r = 2) =>
  `M${x + r} ${y}h${w - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${h - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}h${2 * r - w}a${r} ${r} 0 0 1 ${-r} ${-r}v${2 * r - h}a${r} ${r} 0 0 1 ${r} ${-r}z`;
const dots = (at: readonly (readonly [number, number])[], r = 1.6) => at.map(([x, y]) => circle(x, y, r)).join('');
const inRows = (columns: readonly number[], rows: readonly number[]) => columns.flatMap((x) => rows.map((y) => [x, y] as const));
/** Round about a middle. */
const ring = (n: number, r: number, x = 48, y = 28) =>
  Array.from({ length: n }, (_, i) => [x + r * Math.cos((2 * Math.PI * i) / n), y + r * Math.sin((2 * Math.PI * i) / n)] as const);
const scattered = [...ring(6, 13), ...ring(3, 6)];
/** A rim of so many waves. */
const waved = (n: number, r: number, wave: number) =>
  `M${ring(n * 2, r)
    .map(([x, y], i) => {
      const out = i % 2 === 0 ? 1 : (r - wave) / r;
      return `${(48 + (x - 48) * out).toFixed(1)} ${(28 + (y - 28) * out).toFixed(1)}`;
    })
    .join('L')}z`;

const TRAY_OF_SQUARES = [22, 40, 58].flatMap((x) => [10, 29].map((y) => box(x, y, 16, 17))).join('');
const ROUND = circle(48, 28, 21);

const goods: Readonly<Record<string, Drawn>> = {
  pie_flaky: { body: waved(18, 25, 3), tone: 4, filling: ['sugar', circle(48, 28, 18)], lines: 'M33 22h30M30 30h36M35 38h26M40 13v30M56 13v30' },
  short_savoury: { body: waved(22, 25, 2), tone: 3, filling: ['fat', circle(48, 28, 20)], dots: dots(scattered) },
  short_sweet: { body: waved(22, 25, 2), tone: 4, filling: ['sugar', circle(48, 28, 20)], dots: dots(ring(8, 14), 3) },
  press_in_oil: { body: 'M16 22h64l-7 22a3 3 0 0 1-3 2H26a3 3 0 0 1-3-2z', tone: 4, filling: ['fat', 'M22 24h52l-5 15H27z'] },
  galette: { body: 'M30 8l22-4 20 8 6 18-12 18-24 4-18-10-4-20z', tone: 4, filling: ['sugar', circle(48, 28, 13)], dots: dots(ring(6, 8), 2.4) },
  puff: { body: 'M14 40l4-22h60l4 22z', tone: 4, lines: 'M17 22h62M16 26h64M16 30h64M15 34h66M14 38h68' },
  croissant: { body: 'M12 42C12 18 30 8 48 8s36 10 36 34c-6 2-12-2-14-8-4-8-12-12-22-12s-18 4-22 12c-2 6-8 10-14 8z', tone: 5, lines: 'M26 15l5 13M40 9l3 13M56 9l-3 13M70 15l-5 13' }, // prettier-ignore
  cookie_scooped: { body: ROUND, tone: 4, filling: ['fibre', dots(scattered, 3)] },
  cookie_rolled: { body: waved(14, 22, 2), tone: 3, dots: dots(ring(6, 10), 1.4) },
  shortbread: { body: [18, 40, 62].map((x) => box(x, 6, 16, 44)).join(''), tone: 2, dots: dots(inRows([26, 48, 70], [14, 23, 32, 41]), 1.5) },
  cookie_filled: { body: ROUND, tone: 3, filling: ['sugar', circle(48, 28, 9)] },
  cookie_sandwich: { body: box(20, 12, 56, 12, 5) + box(20, 34, 56, 12, 5), tone: 3, filling: ['fat', box(22, 24, 52, 10, 3)] },
  nut_tart: { body: 'M12 20h72l-8 24a3 3 0 0 1-3 2H23a3 3 0 0 1-3-2z', tone: 4, filling: ['grain', 'M17 22h62l-5 15H22z'], dots: dots(inRows([28, 38, 48, 58, 68], [19]), 4) },
  cracker_sweet: { body: box(20, 8, 56, 40, 3), tone: 4, lines: 'M48 10v36', dots: dots(inRows([28, 38, 58, 68], [18, 28, 38]), 1.3) },
  cracker_nut: { body: TRAY_OF_SQUARES, tone: 4, dots: dots(inRows([30, 48, 66], [18.5, 37.5]), 1.6) },
  cracker_savoury: { body: TRAY_OF_SQUARES, tone: 3, filling: ['fibre', dots(inRows([26, 34, 44, 52, 62, 70], [15, 22, 34, 41]), 1.2)] },
  starch_meltaway: { body: [circle(28, 28, 12), circle(54, 20, 12), circle(68, 40, 12)].join(''), tone: 1, lines: 'M20 28h16M46 20h16M60 40h16' },
  biscuit_rubbed: { body: 'M22 46V24c0-10 10-14 26-14s26 4 26 14v22z', tone: 4, lines: 'M22 30q13 4 26 0t26 0' },
  biscuit_drop: { body: 'M16 46c-2-10 8-14 12-22 6-10 14-4 20-10 8-4 12 8 18 10 8 4 16 12 14 22z', tone: 4 },
  tartlet: { body: circle(28, 28, 16) + circle(68, 28, 16), tone: 4, lines: 'M22 28h12M28 22v12M62 28h12M68 22v12' },
  crumb_crust: { body: 'M12 14h8v24h56V14h8v32H12z', tone: 5, filling: ['fat', box(21, 18, 54, 19, 1)] },
  muffin: { body: 'M24 28C20 12 36 6 48 6s28 6 24 22l-5 20H29z', tone: 4, lines: 'M24 28h48M35 30l2 17M48 30v17M61 30l-2 17' },
  cookie_nut_butter: { body: ROUND, tone: 4, lines: 'M36 16v24M44 14v28M52 14v28M60 16v24M34 22h28M34 30h28' },
  cookie_soft_fruit: { body: ROUND, tone: 3, filling: ['sugar', dots(scattered, 2.4)] },
  sheet_shortcake: { body: box(12, 8, 72, 40), tone: 3, lines: 'M36 8v40M60 8v40M12 28h72' },
  twice_baked: { body: 'M20 44c-6-14 2-32 18-34l6 0c-14 4-20 20-12 34zM42 44c-6-14 2-32 18-34l14 0c6 2 4 6 0 10-6 8-8 16-6 24z', tone: 4, dots: dots([[54, 20], [52, 32], [62, 28], [60, 16]], 2.2) }, // prettier-ignore
  bar_traybake: { body: box(12, 8, 34, 18) + box(50, 8, 34, 18) + box(12, 30, 34, 18) + box(50, 30, 34, 18), tone: 6 },
  wafer_spread: { body: 'M14 40c0-22 14-30 34-30s34 8 34 30c-10-8-22-10-34-10s-24 2-34 10z', tone: 4, lines: 'M30 16l4 15M48 11v19M66 16l-4 15' },
  gingerbread: { body: 'M48 50C30 38 22 30 22 20c0-8 6-12 12-12 6 0 11 3 14 8 3-5 8-8 14-8 6 0 12 4 12 12 0 10-8 18-26 30z', tone: 6, lines: 'M48 43C35 34 28 28 28 20M48 43c13-9 20-15 20-23' }, // prettier-ignore
  oatcake_crispbread: { body: 'M48 28L22 8a33 33 0 0 0-6 26zM48 28L24 50h48zM48 28L74 8a33 33 0 0 1 6 26z', tone: 3, dots: dots([[26, 24], [42, 44], [54, 44], [70, 24]], 1.5) }, // prettier-ignore
  hot_water_crust: { body: 'M20 14c0-3 3-4 6-4h44c3 0 6 1 6 4l-2 32a3 3 0 0 1-3 2H25a3 3 0 0 1-3-2z', tone: 5, lines: 'M20 18h56', dots: dots([[48, 14]], 2) },
  cookie_piped: { body: waved(8, 22, 7), tone: 3, lines: 'M48 28m-9 0a9 9 0 1 1 9 9a6 6 0 1 1 4-10' },
  choux: { body: 'M18 46c-6-16 6-20 10-26 6-12 18-12 24-10 12-2 16 4 20 12 6 8 10 14 6 24z', tone: 4, lines: 'M34 18c4 6 2 10 6 14M58 16c-4 6 0 10-4 16' },
}; // prettier-ignore

export const isDrawn = (familyId: string): boolean => familyId in goods;

/** A family by what comes of it. */
export function FamilyDrawing({ familyId, size = 96 }: { readonly familyId: string; /** How wide, px. */ readonly size?: number }) {
  const { palette } = useTheme();
  const good = goods[familyId];
  const height = (size * 56) / 96;
  if (!good) return <Box sx={{ width: size, height }} />;
  const ink = crustTones[Math.min(7, good.tone + 2)];
  return (
    <svg viewBox="0 0 96 56" width={size} height={height} aria-hidden>
      <path d={good.body} fill={crustTones[good.tone - 1]} stroke={ink} strokeWidth={1.2} strokeLinejoin="round" />
      {good.filling && <path d={good.filling[1]} fill={palette.make[good.filling[0]]} fillOpacity={0.8} />}
      {good.lines && <path d={good.lines} fill="none" stroke={ink} strokeWidth={1.4} strokeLinecap="round" />}
      {good.dots && <path d={good.dots} fill={ink} />}
    </svg>
  );
}
