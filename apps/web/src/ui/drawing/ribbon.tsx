import { memo } from 'react';
import { useTheme } from '@mui/material/styles';
import type { Evaluation, Formula } from '@north-leaf/core';
import { crustTones } from '../theme/theme';

const W = 1200;
const H = 52;
const CELL = W / 6;
const FLOOR = H - 2;

/** Heights are square roots of millimetres: a cracker and a slab fit one picture. */
const tall = (mm: number) => Math.min(34, 8.6 * Math.sqrt(Math.max(0, mm)));

/** A steady scatter: the same dots at every draw. */
const scatter = (i: number) => {
  const wave = Math.sin(i * 12.9898 + 4.1414) * 43758.5453;
  return wave - Math.floor(wave);
};

type Props = { readonly formula: Formula; readonly evaluation: Evaluation | null };

/** The same dough, from grains to kept pieces: one silhouette under the Line. A picture only; the numbers above carry the meaning. */
export const Ribbon = memo(function Ribbon({ formula, evaluation }: Props) {
  const { palette } = useTheme();
  const thicknessMm = formula.sheet.parts[0]?.thicknessMm ?? 3;
  const slab = tall(formula.chill.thicknessMm);
  const sheet = tall(thicknessMm);
  const bake = evaluation && evaluation.bake.state !== 'waiting' ? evaluation.bake.result : null;
  const baked = tall(bake?.end.thicknessMm ?? thicknessMm);
  const tone = crustTones[Math.min(7, Math.max(0, Math.round((bake?.end.topTone ?? 1) - 1)))]!;
  const waiting = evaluation === null || evaluation.dough.state === 'waiting';
  const dough = palette.leaf.doughPale;
  const top = (height: number) => FLOOR - height;
  const heap = slab * 1.15;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      width="100%"
      height="100%"
      preserveAspectRatio="none"
      aria-hidden="true"
      style={{ opacity: waiting ? 0.4 : 1 }}
    >
      <defs>
        <linearGradient id="dough-cold" x1="0" x2="1">
          <stop offset="0" stopColor={dough} />
          <stop offset="1" stopColor={palette.leaf.cold} stopOpacity="0.75" />
        </linearGradient>
        <linearGradient id="crust" x1="0" x2="1">
          <stop offset="0" stopColor={dough} />
          <stop offset="1" stopColor={tone} />
        </linearGradient>
      </defs>
      <Grains formula={formula} evaluation={evaluation} />
      <path
        d={`M${CELL * 1.02} ${FLOOR} C ${CELL * 1.05} ${top(heap)} ${CELL * 1.25} ${top(heap)} ${CELL * 1.5} ${top(heap * 0.9)} S ${CELL * 1.9} ${top(slab)} ${CELL * 2} ${top(slab)} V ${FLOOR} Z`}
        fill={dough}
      />
      {Array.from({ length: 26 }, (_, i) => (
        <circle
          key={i}
          cx={CELL * (1.1 + 0.85 * scatter(i + 7))}
          cy={FLOOR - 3 - (slab - 7) * scatter(i + 91)}
          r="1.7"
          fill={i % 3 === 0 ? palette.make.fibre : palette.make.grain}
        />
      ))}
      <path
        d={`M${CELL * 2} ${top(slab)} H ${CELL * 2.85} C ${CELL * 2.95} ${top(slab)} ${CELL * 2.97} ${top(sheet)} ${CELL * 3.06} ${top(sheet)} V ${FLOOR} H ${CELL * 2} Z`}
        fill="url(#dough-cold)"
      />
      {Array.from({ length: 9 }, (_, i) => (
        <rect key={i} x={CELL * 3.06 + (i * CELL * 0.94) / 9} y={top(sheet)} width={(CELL * 0.94) / 9 - 2} height={sheet} fill={dough} />
      ))}
      {formula.sheet.laminate &&
        [0.2, 0.4, 0.6, 0.8].map((at) => (
          <line
            key={at}
            x1={CELL * 3.06}
            x2={CELL * 4}
            y1={top(sheet * at)}
            y2={top(sheet * at)}
            stroke={palette.make.fat}
            strokeWidth="1.6"
          />
        ))}
      <path
        d={`M${CELL * 4} ${top(sheet)} C ${CELL * 4.3} ${top(sheet)} ${CELL * 4.5} ${top(baked)} ${CELL * 4.96} ${top(baked)} V ${FLOOR} H ${CELL * 4} Z`}
        fill="url(#crust)"
      />
      {Array.from({ length: 7 }, (_, i) => (
        <rect
          key={i}
          x={CELL * 5.04 + (i * CELL * 0.92) / 7}
          y={top(baked)}
          width={(CELL * 0.92) / 7 - 5}
          height={baked}
          rx="2"
          fill={tone}
        />
      ))}
      <line x1="0" x2={W} y1={FLOOR} y2={FLOOR} stroke={palette.leaf.edge} strokeWidth="1" />
    </svg>
  );
});

/** A heap of grains, dots in the blend's proportions. */
function Grains({ formula, evaluation }: Props) {
  const { palette } = useTheme();
  if (!evaluation || evaluation.blend.state === 'waiting') return null;
  const fills = {
    grain: palette.make.grain,
    starch: palette.make.starch,
    sticky: palette.leaf.edge,
    gum: palette.make.fibre,
    nut: palette.make.fat,
    other: palette.make.protein,
  };
  const { rows } = evaluation.blend.result;
  const parts = formula.blend.rows.flatMap((row, i) =>
    Array.from({ length: Math.round(Math.min(1, row.share) * 130) || 2 }, () => rows[i]?.role ?? 'grain'),
  );
  return (
    <g>
      {parts.slice(0, 170).map((role, i) => {
        const u = scatter(i * 3 + 1) + scatter(i * 5 + 2) - 1;
        const x = CELL * 0.5 + u * CELL * 0.42;
        const y = FLOOR - 2 - (1 - Math.abs(u) ** 1.5) * 24 * scatter(i * 7 + 3);
        return <circle key={i} cx={x} cy={y} r="1.8" fill={fills[role]} />;
      })}
    </g>
  );
}
