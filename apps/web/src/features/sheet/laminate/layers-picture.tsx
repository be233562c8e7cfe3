import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  families,
  firmnessAt,
  frothWords,
  mostFatLayers,
  judged,
  laminationLayers,
  roundTo,
  type LaminateResult,
  type RolledSlab,
  showQuantity,
  fromUnits,
  inUnits,
  unitOf,
  metric,
} from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { usePreferences, useVoice } from '../../../platform/preferences';
import { Grip } from '../../../ui/drawing/grip';
import { Plot } from '../../../ui/drawing/plot';
import { setValue, useDraft } from '../../formulas/doors';
import { OnWholeBoard, useAnswer, useFormula, useSurroundings, Waiting } from '../../board/doors';
import { foldWords, useLaminate, useShownStep } from './laminate-view';
import { t } from '../../../platform/words';
import { Sentence } from '../../../ui/words/sentence';
import type { Family } from '@north-leaf/core';

/** The cut through the packet or the last sheet, and when fat and dough are equally firm. */
export function LayersPicture() {
  const voice = useVoice();
  const { evaluation } = useAnswer();
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const units = usePreferences((state) => state.units);
  const result = useLaminate();
  const at = useShownStep((state) => state.at);
  if (!result) return <Waiting stage="sheet" />;
  const step = at === null ? undefined : result.steps[at];
  // The last roll is to the sheet that gives most pieces, the one that the other face draws.
  const layout = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result.layout;
  const rolled: RolledSlab = layout
    ? { widthMm: layout.sheetWidthMm, lengthMm: layout.sheetLengthMm, thicknessMm: result.sheet.thicknessMm }
    : result.sheet;
  const lies: RolledSlab = step?.lies ?? rolled;
  const plan = formula.sheet.laminate;
  const { fatLayers: fat, doughLayers } =
    step && plan && at !== null
      ? laminationLayers(
          plan.lockIn,
          plan.folds.slice(0, at).map(({ parts }) => parts),
        )
      : result.layers;
  const fatUm = (1000 * lies.thicknessMm * result.fatVolumeShare) / fat;
  const doughUm = (1000 * lies.thicknessMm * (1 - result.fatVolumeShare)) / Math.max(1, doughLayers);
  const floor = judged(kitchen.judgements, 'doughLayerWatch');
  const most = mostFatLayers(result.sheet.thicknessMm, result.fatVolumeShare, floor);
  const yeast = evaluation.dough.state === 'waiting' ? 0 : evaluation.dough.result.percents.yeast;
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Note size="small">
        {t('sheet.wordLayersAtTheirTrueShareOf', {
          word: step
            ? step.what === 'lockIn'
              ? t('sheet.cutThroughThePacketWithItsFat')
              : t('sheet.cutThroughFoldAt', { at })
            : t('sheet.cutThroughTheLastSheet'),
        })}
      </Note>
      <Section
        lies={lies}
        fatLayers={fat}
        doughLayers={doughLayers}
        fatUm={fatUm}
        doughUm={doughUm}
        inverse={formula.sheet.laminate?.lockIn === 'inverse'}
        floorUm={floor}
        drawn={step === undefined}
      />
      <Box sx={{ fontSize: typeSize.small }}>
        <Sentence
          say="sheet.fatlayersLayersOfFatDoughlayersOfDough"
          values={{
            fatLayers: result.layers.fatLayers,
            doughLayers: result.layers.doughLayers,
            thickness: showQuantity(result.sheet.thicknessMm, 'length', units),
            stacked: result.layers.stacked,
            floor: voice.show(floor, 'thin'),
            most,
          }}
        />
      </Box>
      <OnWholeBoard>
        <Sizes result={result} rolled={rolled} step={at} />
      </OnWholeBoard>
      <Firmness result={result} />
      {yeast > 0 && <Proof result={result} />}
    </Box>
  );
}

const W = 320;
const H = 210;

type SectionProps = {
  readonly lies: RolledSlab;
  readonly fatLayers: number;
  readonly doughLayers: number;
  readonly fatUm: number;
  readonly doughUm: number;
  readonly inverse: boolean;
  readonly floorUm: number;
  /** The last sheet: its thickness may be drawn out. */ readonly drawn: boolean;
};
function Section({ lies, fatLayers, doughLayers, fatUm, doughUm, inverse, floorUm, drawn }: SectionProps) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const perUm = H / (1000 * lies.thicknessMm);
  // Finer than half a pixel no layer is seen: the magnifier says what is there.
  const bands = useMemo(() => {
    const outer = inverse ? fatUm : doughUm;
    const inner = inverse ? doughUm : fatUm;
    const count = Math.min(400, inverse ? doughLayers : fatLayers);
    return Array.from({ length: count }, (_, i) => ({ y: (outer + i * (outer + inner)) * perUm, h: inner * perUm }));
  }, [inverse, fatUm, doughUm, fatLayers, doughLayers, perUm]);
  const [back, front] = inverse ? [palette.make.fat, palette.leaf.doughPale] : [palette.leaf.doughPale, palette.make.fat];
  const lens = 54;
  const pair = fatUm + doughUm;
  const zoom = (2 * lens) / (1.9 * pair);
  return (
    <svg
      viewBox={`0 0 ${W + 200} ${H + 20}`}
      width="100%"
      role={drawn ? 'group' : 'img'}
      aria-label={t('sheet.layersInSection', {
        count: fatLayers,
        fat: voice.show(fatUm, 'thin'),
        doughLayers,
        dough: voice.show(doughUm, 'thin'),
        thickness: voice.show(lies.thicknessMm, 'length'),
      })}
      style={{ maxHeight: 250 }}
    >
      <g fontSize={typeSize.tiny} fill={palette.text.secondary} stroke={palette.leaf.edge}>
        {Array.from({ length: Math.floor(lies.thicknessMm / stepOf(lies.thicknessMm)) + 1 }, (_, i) => i * stepOf(lies.thicknessMm)).map(
          (mm) => (
            <g key={mm}>
              <line x1="30" x2="36" y1={10 + mm * 1000 * perUm} y2={10 + mm * 1000 * perUm} />
              <text stroke="none" x="26" y={14 + mm * 1000 * perUm} textAnchor="end">
                {mm === 0 ? unitOf('length', metric) : mm}
              </text>
            </g>
          ),
        )}
      </g>
      <g transform="translate(40 10)">
        <rect width={W - 40} height={H} fill={back} />
        {bands.map(({ y, h }, i) => (
          <rect key={i} y={y} width={W - 40} height={Math.max(0.35, h)} fill={front} />
        ))}
        <rect width={W - 40} height={H} fill="none" stroke={palette.leaf.crust} />
        {drawn && <ThicknessGrip thicknessMm={lies.thicknessMm} />}
      </g>
      <line x1={W - 20} y1={H / 2} x2={W + 40} y2={H / 2} stroke={palette.text.primary} />
      <circle cx={W - 24} cy={H / 2} r="6" fill="none" stroke={palette.text.primary} strokeWidth="1.6" />
      <Magnifier doughUm={doughUm} fatUm={fatUm} lens={lens} pair={pair} zoom={zoom} />
      <text x={W + 94} y={H / 2 + lens + 18} fontSize={typeSize.caption} textAnchor="middle" fill={palette.text.secondary}>
        {t('sheet.doughWatchUnderFloor', { floor: showQuantity(floorUm, 'thin', units) })}
      </text>
      <text x={W + 94} y={H / 2 - lens - 10} fontSize={typeSize.caption} textAnchor="middle" fill={palette.text.secondary}>
        {showQuantity(lies.widthMm, 'size', units)} × {showQuantity(lies.lengthMm, 'size', units)}
      </text>
    </svg>
  );
}

/** A pair of layers, seen close. */
function Magnifier({
  doughUm,
  fatUm,
  lens,
  pair,
  zoom,
}: {
  readonly doughUm: number;
  readonly fatUm: number;
  readonly lens: 54;
  readonly pair: number;
  readonly zoom: number;
}) {
  const { palette } = useTheme();
  const voice = useVoice();
  return (
    <g transform={`translate(${W + 94} ${H / 2})`}>
      <clipPath id="lens">
        <circle r={lens} />
      </clipPath>
      <g clipPath="url(#lens)">
        <rect x={-lens} y={-lens} width={2 * lens} height={2 * lens} fill={palette.leaf.doughPale} />
        {[-1, 0, 1].map((i) => (
          <rect
            key={i}
            x={-lens}
            y={i * pair * zoom - (fatUm * zoom) / 2 - 14}
            width={2 * lens}
            height={fatUm * zoom}
            fill={palette.make.fat}
          />
        ))}
      </g>
      <circle r={lens} fill="none" stroke={palette.text.primary} strokeWidth="1.8" />
      <g fontSize={typeSize.caption} fontWeight="650" fill="#14211E" textAnchor="middle">
        <text y={-10}>{t('sheet.fatFat', { fat: thin(fatUm, voice) })}</text>
        <text y={(pair * zoom) / 2 - 10}>{t('sheet.doughDough', { dough: thin(doughUm, voice) })}</text>
      </g>
    </g>
  );
}

/** At the foot of the section: drawn down the sheet is thicker, and so is each of its layers. */
function ThicknessGrip({ thicknessMm }: { thicknessMm: number }) {
  const voice = useVoice();
  const pxPerMm = H / thicknessMm;
  return (
    <Grip
      xMm={(W - 40) / 2 / pxPerMm}
      yMm={thicknessMm}
      pxPerMm={pxPerMm}
      label={t('sheet.thicknessOfTheLastSheet')}
      valueMm={thicknessMm}
      valueText={voice.show(thicknessMm, 'length')}
      cursor="ns-resize"
      stepMm={0.1}
      grasp={() => (_right, down, stepKey) =>
        useDraft
          .getState()
          .edit(stepKey, setValue('/sheet/parts/0/thicknessMm', Math.min(20, Math.max(1, roundTo(thicknessMm + down, 0.1)))))
      }
    />
  );
}

const stepOf = (mm: number): number => (mm <= 6 ? 1 : mm <= 14 ? 2 : mm <= 30 ? 5 : 10);
const thin = (um: number, { show }: Voice): string => (um >= 1000 ? show(um / 1000, 'length') : show(um, 'thin'));

/** Dough, fat and each roll: how large, which way. */
function Sizes({ result, rolled, step }: { result: LaminateResult; rolled: RolledSlab; step: number | null }) {
  const units = usePreferences((state) => state.units);
  const formula = useFormula();
  const size = ({ widthMm, lengthMm, thicknessMm }: RolledSlab) =>
    t('sheet.widthLengthThicknessThick', {
      width: showQuantity(widthMm, 'size', units),
      length: showQuantity(lengthMm, 'size', units),
      thickness: showQuantity(thicknessMm, 'length', units),
    });
  const turn = step === null ? undefined : result.steps[step]?.turn;
  return (
    <Box component="ul" sx={{ m: 0, pl: 4, fontSize: typeSize.small }}>
      <li>{t('sheet.doughDoughFatSlabFat', { dough: size(result.dough), fat: size(result.fat) })}</li>
      <li>{t('sheet.withTheFatInItLocked', { locked: size(result.locked) })}</li>
      {turn && (
        <li>
          {t('sheet.rollAwayFromYouOnlyToRolled', {
            rolled: size(turn.rolled),
            foldWords: foldWords[turn.parts as 2 | 3 | 4],
            folded: size(turn.folded),
          })}
        </li>
      )}
      {step === null && (
        <li>
          {t('sheet.lastRollRolled', { rolled: size(rolled) })}
          {formula.sheet.lots > 1 && t('sheet.eachOfLots', { lots: formula.sheet.lots })}
          {t('sheet.foldedEdgesAtTheSides')}
        </li>
      )}
      <li>{t('sheet.thenAQuarterTurnWordFatShowing', { word: formula.sheet.laminate?.mark ? t('sheet.theMarkThatWasOnTheFar') : '' })}</li>
    </Box>
  );
}

/** Both curves over temperature: where they meet, neither breaks through the other. */
function Firmness({ result }: { result: LaminateResult }) {
  const units = usePreferences((state) => state.units);
  const family = families[useFormula().family];
  const { windowC } = result;
  const made = useFirmnessTraces(family, result);
  if (!made) return <Note size="small">{t('sheet.noCurveOfThisFatIsKnown')}</Note>;
  return (
    <Box>
      <Typography variant="h3">{t('sheet.fatAndDoughShouldBeEquallyFirm')}</Typography>
      <Plot
        summary={t('sheet.fatAndDoughCanBothBeRolled', {
          window: showQuantity(windowC[0], 'temperature', units),
          window2: showQuantity(windowC[1], 'temperature', units),
        })}
        data={made.data}
        layout={made.layout}
        height={190}
        columns={made.columns}
      />
      <Note>{t('sheet.solidFatFromMemoryWithin5Points')}</Note>
    </Box>
  );
}

/** How firm fat and dough are, and where one works. */
function useFirmnessTraces(family: Family | undefined, { fatName, steps, windowC }: LaminateResult) {
  const units = usePreferences((state) => state.units);
  const { palette } = useTheme();
  return useMemo(() => {
    if (!fatName || !family) return null;
    const shown = (c: number) => inUnits(c, 'temperature', units);
    const at = Array.from({ length: 53 }, (_, i) => 2 + i * 0.5);
    const both = at.map((c) => firmnessAt(fatName, family, c));
    const x = at.map(shown);
    const fat = both.map((one) => Math.min(4, one.fat));
    const dough = both.map((one) => one.dough);
    const works = steps.slice(1);
    const curveC = (atX: number) => firmnessAt(fatName, family, fromUnits(atX, 'temperature', units)).fat;
    return {
      data: [
        { x, y: fat, mode: 'lines' as const, name: t('common.fat2'), line: { width: 3, color: palette.leaf.fatLine } },
        {
          x,
          y: dough,
          mode: 'lines' as const,
          name: t('sheet.dough'),
          line: { width: 2.4, color: palette.leaf.crust, dash: 'dash' as const },
        },
        {
          x: works.flatMap(({ fromC, toC }) => [shown(fromC), shown(toC), NaN]),
          y: works.flatMap(({ fromC, toC }) => [Math.min(4, curveC(shown(fromC))), Math.min(4, curveC(shown(toC))), NaN]),
          mode: 'lines+markers' as const,
          name: t('sheet.whileYouWork'),
          line: { color: palette.text.primary, width: 1.5 },
          marker: { size: 7, color: palette.text.primary },
          text: works.flatMap(({ what }, i) => {
            const name = what === 'fold' ? t('sheet.foldI2', { i: i + 1 }) : t('sheet.lastRoll2');
            return [t('sheet.nameBegins', { name }), t('sheet.nameEnds', { name }), ''];
          }),
        },
      ],
      layout: {
        xaxis: { ticksuffix: ` ${unitOf('temperature', units)}`, range: [x[0]!, x[x.length - 1]!] },
        yaxis: { title: { text: t('sheet.softerFirmer') }, range: [0, 4], tickvals: [1], ticktext: [t('sheet.asDough')] },
        shapes: [
          {
            type: 'rect' as const,
            yref: 'paper' as const,
            x0: shown(windowC[0]),
            x1: shown(windowC[1]),
            y0: 0,
            y1: 1,
            fillcolor: palette.leaf.firSoft,
            line: { width: 0 },
            layer: 'below' as const,
          },
        ],
        annotations: [
          {
            x: shown((windowC[0] + windowC[1]) / 2),
            y: 1.02,
            yref: 'paper' as const,
            text: t('sheet.roll'),
            showarrow: false,
            yanchor: 'bottom' as const,
            font: { color: palette.primary.main },
          },
          { x: shown(5), y: 2.4, text: t('sheet.fatBreaks'), showarrow: false },
          { x: shown(25), y: 1.3, text: t('sheet.fatSmears'), showarrow: false },
        ],
      },
      columns: [
        { name: unitOf('temperature', units), values: x },
        { name: t('common.fat2'), values: fat, digits: 2 },
        { name: t('sheet.dough'), values: dough, digits: 2 },
      ],
    };
  }, [fatName, family, steps, windowC, units, palette]);
}

/** Yeast: froth or stop, proof by volume, firm before the oven. */
function Proof({ result }: { result: LaminateResult }) {
  const units = usePreferences((state) => state.units);
  const { liquidC, mostC, min } = frothWords.values;
  return (
    <Box>
      <Typography variant="h3">{t('sheet.yeast')}</Typography>
      <Box component="ol" sx={{ m: 0, pl: 5, fontSize: typeSize.small }}>
        <li>
          {t('sheet.yeastAndAPinchOfSugarIn', {
            liquid: showQuantity(liquidC, 'temperature', units, 0),
            most: showQuantity(mostC, 'temperature', units, 0),
            min,
          })}
        </li>
        <li>
          {t('sheet.cutAndShapedProveUnderOiledFilm')}
          {result.proofMostC !== null &&
            t('sheet.atMostAtProofmostForThisFat', { proofMost: showQuantity(result.proofMostC, 'temperature', units, 0) })}
        </li>
        <li>{t('sheet.fridgeUntilTheFatIsFirmThen')}</li>
      </Box>
    </Box>
  );
}
