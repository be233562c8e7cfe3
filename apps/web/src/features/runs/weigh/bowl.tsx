import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { type Pantry, type StepProgress, isFat } from '@north-leaf/core';
import { typeSize } from '../../../ui/theme/theme';
import { useVoice } from '../../../platform/preferences';
import { t } from '../../../platform/words';

const W = 500;
/** The middle of the bowl; the names stand to its right. */
const MIDDLE = 170;
const H = 330;
/** The bowl's inside: an ellipse cut off at the rim. */
const HALF = 150;
const DEEP = 230;
const TOP = 70;
const FLOOR = TOP + DEEP;

/** Half the width at a height above the floor. */
const halfAt = (up: number) => HALF * Math.sqrt(Math.max(0, 1 - (1 - up / DEEP) ** 2));

type Layer = { readonly key: string; readonly name: string; readonly g: number; readonly of: number; readonly ingredientId: string };

/**
 * The bowl in section: what is in lies in layers, what is being weighed rises to its own line. Heights go with the root of the mass, so
 * that a pinch is still seen.
 */
export function Bowl({ steps, nowKey, netG, pantry }: { steps: readonly StepProgress[]; nowKey: string; netG: number; pantry: Pantry }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const { drawn, now } = useLayers(netG, nowKey, pantry, steps);
  const band = (from: number, to: number) => {
    const n = 14;
    const at = Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n);
    const right = at.map((h) => `${MIDDLE + halfAt(h)},${FLOOR - h}`);
    const left = [...at].reverse().map((h) => `${MIDDLE - halfAt(h)},${FLOOR - h}`);
    return `M${[...right, ...left].join('L')}Z`;
  };
  const shown = drawn.slice(-4);
  return (
    <Box
      component="figure"
      sx={{ m: 0 }}
      role="img"
      aria-label={
        now
          ? t('runs.gOfOfOfNameInThe', { g: voice.bare(now.g, 'mass'), of: voice.show(now.of, 'mass'), name: now.name })
          : t('runs.theBowl')
      }
    >
      <svg viewBox={`0 0 ${W} ${H}`} width="100%" style={{ maxHeight: 330 }} aria-hidden="true">
        {drawn.map(
          ({ key, from, to, fill }) =>
            to > from && <path key={key} d={band(from, to)} fill={fill} stroke={palette.background.paper} strokeWidth="1.5" />,
        )}
        {drawn
          .filter(({ key }) => key === nowKey)
          .map(({ key, line }) => (
            <line
              key={key}
              x1={MIDDLE - halfAt(line) - 6}
              x2={MIDDLE + halfAt(line) + 6}
              y1={FLOOR - line}
              y2={FLOOR - line}
              stroke={palette.primary.main}
              strokeWidth="3"
              strokeDasharray="9 6"
            />
          ))}
        <path
          d={`M${MIDDLE - HALF - 8} ${TOP}C${MIDDLE - HALF} ${FLOOR - 20} ${MIDDLE - HALF * 0.55} ${FLOOR + 8} ${MIDDLE} ${FLOOR + 8}S${MIDDLE + HALF} ${FLOOR - 20} ${MIDDLE + HALF + 8} ${TOP}`}
          fill="none"
          stroke={palette.text.secondary}
          strokeWidth="5"
          strokeLinecap="round"
        />
        {shown.map(({ key, name, from, line, g }, i) => {
          const y = Math.min(FLOOR - 6, FLOOR - (from + line) / 2);
          const textY = FLOOR - 20 - i * 52;
          return (
            <g key={key}>
              <path
                d={`M${MIDDLE + halfAt((from + line) / 2)} ${y}L${MIDDLE + 172} ${textY - 6}`}
                stroke={palette.leaf.edge}
                strokeWidth="1.2"
                fill="none"
              />
              <text
                x={MIDDLE + 177}
                y={textY - 8}
                fontSize={typeSize.large}
                fontWeight={key === nowKey ? 700 : 500}
                fill={palette.text.primary}
              >
                {short(name)}
              </text>
              <text x={MIDDLE + 177} y={textY + 11} fontSize={typeSize.large} fill={palette.text.secondary}>
                {voice.show(g, 'mass')}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

/** What lies in the bowl, from the floor up. */
function useLayers(netG: number, nowKey: string, pantry: Pantry, steps: readonly StepProgress[]) {
  const { palette } = useTheme();
  const layers: Layer[] = steps
    .filter(({ step, state }) => step.kind === 'weigh' && (step.key === nowKey || state === 'done'))
    .map(({ step, weighedG }) => ({
      key: step.key,
      name: step.name ?? '',
      g: step.key === nowKey ? Math.max(0, netG) : weighedG,
      of: step.amountG ?? 0,
      ingredientId: step.ingredientId ?? '',
    }));
  const now = layers.find(({ key }) => key === nowKey);
  const wanted = layers.reduce((sum, { g, of, key }) => sum + Math.sqrt(key === nowKey ? Math.max(of, g) : g), 0);
  const scale = (DEEP - 26) / Math.max(20, wanted);
  const heights = layers.map(({ key, of, g }) => Math.sqrt(key === nowKey ? Math.max(of, g) : g) * scale);
  const drawn = layers.map((layer, i) => {
    const from = heights.slice(0, i).reduce((sum, height) => sum + height, 0);
    const isIn = layer.key === nowKey && layer.of > 0 ? heights[i]! * Math.min(1, layer.g / layer.of) : heights[i]!;
    return { ...layer, from, to: from + isIn, line: from + heights[i]!, fill: palette.make[make(pantry, layer.ingredientId)] };
  });
  return { drawn, now };
}

const short = (name: string) =>
  name.split(/[,(=]/)[0]!.trim().length > 16 ? `${name.split(/[,(=]/)[0]!.trim().slice(0, 15)}…` : name.split(/[,(=]/)[0]!.trim();

/** Which of the make-up colours an ingredient wears. */
function make({ ingredients }: Pantry, id: string): 'grain' | 'starch' | 'fat' | 'water' | 'fibre' | 'protein' | 'sugar' {
  const one = ingredients[id];
  const kind = one?.kind;
  if (one && isFat(one)) return 'fat';
  if (kind === 'starch') return 'starch';
  if (kind === 'gum' || kind === 'binder_seed' || kind === 'fibre') return 'fibre';
  if (kind === 'sugar' || kind === 'syrup') return 'sugar';
  if (kind === 'egg' || kind === 'flour_nut') return 'protein';
  if (kind === 'dairy' || kind === 'plant_milk' || kind === 'liquid') return 'water';
  if (kind === 'salt' || kind === 'leavener') return 'starch';
  return 'grain';
}
