import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import type { Dash } from 'plotly.js';
import { type BakeResult, type LooksStudy, showDuration, showQuantity, inUnits, unitOf } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { usePreferences, useVoice, useUnits } from '../../platform/preferences';
import { Plot } from '../../ui/drawing/plot';
import { crustTones, typeSize } from '../../ui/theme/theme';
import type { useLooks } from './bake-study';
import { Fact } from '../../ui/frame/fact-tile';
import { OnWholeBoard, useAnswer, Waiting } from '../board/doors';
import { PairMapSection } from './pair-map';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

const causeWords: Record<string, string> = {
  oven: t('bake.oven'),
  thickness: t('common.thickness'),
  water: t('bake.doughWater'),
  start: t('bake.startTemperature'),
  heat: t('bake.heatTransfer'),
  browning: t('bake.browningRate'),
};

/** The centre of the Bake board: the piece through its bake, when it is done, and the map of what else it could be. */
export function BakePicture({ looks }: { looks: ReturnType<typeof useLooks> }) {
  const voice = useVoice();
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  const [temperatures, setTemperatures] = useState(false);
  if (evaluation.bake.state === 'waiting') return <Waiting stage="bake" />;
  const { result } = evaluation.bake;
  const { done, end } = result;
  const cause = result.spreadFrom[0];
  const band = looks.study?.done ?? null;
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ fontSize: typeSize.small }}>
        {done ? (
          <>
            <Sentence
              say="bake.resultAtValueWord"
              values={{
                result: doneWords(result),
                value: showDuration(done.value),
                word:
                  band && looks.fresh
                    ? t('bake.p10ToP90InEightOfTen', { p10: showDuration(half(band.p10)), p90: showDuration(half(band.p90)) })
                    : t('bake.sdMin', { sd: Math.max(0.5, done.sd).toFixed(1) }),
              }}
            />
            {result.darkMin !== null && <>{t('bake.tooDarkFromDark', { dark: showDuration(result.darkMin) })}</>}.{' '}
            {cause && (
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {t('bake.mostOfTheSpreadIs')} {causeWords[cause.cause]}.
              </Box>
            )}
          </>
        ) : (
          t('bake.notResultWithinAnHour', { result: doneWords(result).toLowerCase() })
        )}
      </Box>
      <Slices result={result} />
      <MoistureCurve result={result} looks={looks.fresh ? looks.study : null} />
      <ToneStrip result={result} />
      <OnWholeBoard>
        <Box>
          <Button size="small" onClick={() => setTemperatures(!temperatures)} aria-expanded={temperatures} sx={{ minHeight: 26 }}>
            {temperatures ? t('bake.hideTemperatures') : t('bake.showTemperatures')}
          </Button>
          {temperatures && <TemperatureCurve result={result} />}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
          <Fact
            label={t('bake.moistureSd', { sd: Math.max(0.1, result.endMoisture.sd * 100).toFixed(1) })}
            value={`${(end.moistureShare * 100).toFixed(1)} %`}
          />
          <Fact
            label={t('bake.toneTopRimBase')}
            value={`${end.topTone.toFixed(1)} / ${end.rimTone.toFixed(1)} / ${end.baseTone.toFixed(1)}`}
          />
          {result.spreadRatio > 1.01 ? (
            <Fact label={t('bake.asWideAsItWentIn')} value={`${result.spreadRatio.toFixed(1)} ×`} />
          ) : (
            <Fact
              label={t('bake.fromThickness', { thickness: voice.exact(result.curve.thicknessMm[0]!, 'length') })}
              value={voice.exact(end.thicknessMm, 'length')}
            />
          )}
          {result.coreC === null ? (
            <Fact label={t('bake.weightLost')} value={`${(end.lossShare * 100).toFixed(1)} %`} />
          ) : (
            <Fact label={t('bake.coldestPlace')} value={showQuantity(end.coldestC, 'temperature', units, 0)} />
          )}
        </Box>
        {result.filling && <FillingFacts filling={result.filling} />}
        <PairMapSection />
      </OnWholeBoard>
    </Box>
  );
}

/** The filling of one piece: how high it stands, and where its juice goes. */
function FillingFacts({ filling }: { filling: NonNullable<BakeResult['filling']> }) {
  const units = usePreferences((state) => state.units);
  const grams = (g: number) => showQuantity(g, 'mass', units, 0);
  return (
    <Section title={t('bake.filling')} level={3} sx={{ fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      <Box>
        {t('bake.massAPieceHeightHigh', { mass: grams(filling.massG), height: showQuantity(filling.heightMm, 'length', units) })}
        {filling.roomMm !== null && t('bake.ofRoomThatThePanLeavesIt', { room: showQuantity(filling.roomMm, 'length', units) })};{' '}
        {filling.setsC === null
          ? t('bake.itNeedNotSet')
          : t('bake.setOrHotThroughAtSets', { sets: showQuantity(filling.setsC, 'temperature', units, 0) })}
        .
      </Box>
      {filling.bubblesC !== null && (
        <Box>
          {t('bake.fruitIsDoneWhenItBubblesIn', {
            bubbles: showQuantity(filling.bubblesC, 'temperature', units, 0),
            word:
              filling.setsC !== null && filling.setsC < filling.bubblesC
                ? t('bake.theMinutesHereAreThoseToSets', { sets: showQuantity(filling.setsC, 'temperature', units, 0) })
                : '.',
          })}
        </Box>
      )}
      {filling.juiceG > 0.5 && (
        <Box>
          {filling.stoodG > 0.5 && t('bake.halfAnHourWithItsSugarAnd', { stood: grams(filling.stoodG) })}
          {t('bake.inTheOvenItsFruitHasGiven', {
            juice: grams(filling.juiceG),
            boiled: grams(filling.boiledG),
            held: grams(filling.heldG),
          })}{' '}
          {filling.weepsG > 0.5 ? <b>{t('bake.weepsRun', { weeps: grams(filling.weepsG) })}</b> : t('bake.nothingRuns')}.
        </Box>
      )}
      <Box sx={{ color: 'text.secondary' }}>{t('bake.itsRimBrownsSoonerThanTheBase')}</Box>
    </Section>
  );
}

/** What being done asks of this piece. */
const doneWords = ({ coreC, mustDry }: BakeResult): string =>
  coreC === null ? t('bake.dryAndGolden') : mustDry ? t('bake.throughDryAndGolden') : t('bake.throughAndGolden');
const half = (min: number) => Math.round(min * 2) / 2;

/** The piece drawn at five moments: height and colour from the model, wetness as dots that fade out. */
function Slices({ result }: { result: BakeResult }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const { curve, totalMin } = result;
  const moments = [0, 0.25, 0.5, 0.75, 1].map((part) => part * totalMin);
  const at = (series: readonly number[], min: number) =>
    series[Math.min(series.length - 1, Math.round((min / curve.min[curve.min.length - 1]!) * (series.length - 1)))]!;
  const wettest = curve.moistureShare[0]!;
  const tallest = Math.max(...curve.thicknessMm);
  return (
    <svg
      viewBox="0 0 470 74"
      width="100%"
      role="img"
      aria-label={t('bake.thePieceRisesFromThicknessToThickness2', {
        thickness: voice.bare(curve.thicknessMm[0]!, 'length'),
        thickness2: voice.show(result.end.thicknessMm, 'length'),
        moisture: (result.end.moistureShare * 100).toFixed(1),
      })}
    >
      {moments.map((min, i) => {
        const high = (at(curve.thicknessMm, min) / tallest) * 34;
        const tone = crustTones[Math.min(7, Math.max(0, Math.round(at(curve.topTone, min) - 1)))]!;
        const wet = at(curve.moistureShare, min) / wettest;
        const x = 8 + i * 93;
        return (
          <g key={min}>
            <rect x={x} y={44 - high} width="80" height={high} rx="4" fill={palette.leaf.doughPale} stroke={tone} strokeWidth="3" />
            {Array.from({ length: Math.round(wet * 24) }, (_, n) => (
              <circle
                key={n}
                cx={x + 8 + (n % 8) * 9}
                cy={44 - high * (0.25 + 0.25 * Math.floor(n / 8))}
                r="1.6"
                fill={palette.make.water}
                fillOpacity={0.35 + 0.65 * wet}
              />
            ))}
            <text x={x + 40} y="60" textAnchor="middle" fontSize={typeSize.caption} fontWeight="650" fill={palette.text.primary}>
              {showDuration(Math.round(min * 2) / 2)}
            </text>
            <text x={x + 40} y="73" textAnchor="middle" fontSize={typeSize.tiny} fill={palette.text.secondary}>
              {(at(curve.moistureShare, min) * 100).toFixed(1)} %
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function MoistureCurve({ result, looks }: { result: BakeResult; looks: LooksStudy | null }) {
  const { data, layout, columns } = useMoistureTraces(looks, result);
  return (
    <Plot
      summary={t('bake.moistureFallsToMoisturePercentAtTotal', {
        moisture: (result.end.moistureShare * 100).toFixed(1),
        total: showDuration(result.totalMin),
      })}
      data={data}
      layout={layout}
      height={200}
      columns={columns}
    />
  );
}

/** Moisture with its spread, the looks, and where it is done. */
function useMoistureTraces(looks: LooksStudy | null, result: BakeResult) {
  const { palette } = useTheme();
  const units = useUnits();
  const { data, layout, columns } = useMemo(() => {
    const { curve, done, dryBelowShare, totalMin } = result;
    const y = curve.moistureShare.map((share) => share * 100);
    const spread = curve.moistureSd.map((sd) => sd * 100);
    const water = palette.info.main;
    const last = curve.min[curve.min.length - 1]!;
    const at = (looks?.looks ?? []).map(({ atMin }) => atMin).filter((min) => min <= last);
    return {
      data: [
        {
          x: [...curve.min, ...[...curve.min].reverse()],
          y: [...y.map((v, i) => v + spread[i]!), ...y.map((v, i) => Math.max(0, v - spread[i]!)).reverse()],
          fill: 'toself' as const,
          fillcolor: `${water}26`,
          line: { width: 0 },
          mode: 'lines' as const,
          hoverinfo: 'skip' as const,
        },
        { x: curve.min as number[], y, mode: 'lines' as const, name: t('common.moisture'), line: { color: water, width: 2.4 } },
        {
          x: at,
          y: at.map(() => 0),
          mode: 'markers' as const,
          name: t('bake.look'),
          marker: { size: 13, symbol: 'circle-dot', color: palette.background.paper, line: { color: palette.text.primary, width: 1.8 } },
          cliponaxis: false,
          hoverinfo: 'x+name' as const,
        },
      ],
      layout: {
        margin: { t: 18, r: 12, b: 34, l: 40 },
        xaxis: { title: { text: t('bake.minutesFromDoorShut'), standoff: 4 }, range: [0, curve.min[curve.min.length - 1]!] },
        yaxis: { ticksuffix: ' %', rangemode: 'tozero' as const },
        shapes: [
          ...(done
            ? [
                {
                  type: 'rect' as const,
                  yref: 'paper' as const,
                  x0: done.value - done.sd,
                  x1: done.value + done.sd,
                  y0: 0,
                  y1: 1,
                  fillcolor: palette.leaf.firSoft,
                  line: { width: 0 },
                  layer: 'below' as const,
                },
              ]
            : []),
          {
            type: 'line' as const,
            xref: 'paper' as const,
            x0: 0,
            x1: 1,
            y0: dryBelowShare * 100,
            y1: dryBelowShare * 100,
            line: { color: palette.primary.main, dash: 'dash' as const, width: 1.5 },
          },
          {
            type: 'line' as const,
            yref: 'paper' as const,
            x0: totalMin,
            x1: totalMin,
            y0: 0,
            y1: 1,
            line: { color: palette.text.primary, dash: 'dot' as const, width: 1.5 },
          },
        ],
        annotations: [
          ...(done
            ? [
                {
                  x: done.value,
                  y: 1,
                  yref: 'paper' as const,
                  text: t('bake.done'),
                  showarrow: false,
                  yanchor: 'bottom' as const,
                  font: { color: palette.primary.main },
                },
              ]
            : []),
          { x: totalMin, y: 0.86, yref: 'paper' as const, text: t('bake.out'), showarrow: false, xanchor: 'left' as const },
          {
            x: 0,
            xref: 'paper' as const,
            y: dryBelowShare * 100,
            text: t('bake.wantDrybelow', { dryBelow: (dryBelowShare * 100).toFixed(1) }),
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'bottom' as const,
            font: { color: palette.primary.main },
          },
        ],
      },
      columns: [
        { name: t('common.min'), values: curve.min },
        { name: t('common.moisture'), values: y },
        { name: t('bake.points'), values: spread },
        { name: t('bake.topTone'), values: curve.topTone },
        {
          name: unitOf('length', units),
          values: curve.thicknessMm.map((mm) => inUnits(mm, 'length', units)),
          digits: units.length === 'mm' ? 1 : 3,
        },
      ],
    };
  }, [result, looks, palette, units]);
  return { data, layout, columns };
}

/** Crust tone through the bake, in eight numbered steps. */
function ToneStrip({ result }: { result: BakeResult }) {
  const { curve } = result;
  const steps = 16;
  const row = (name: string, series: readonly number[]) => (
    <Box sx={{ display: 'grid', gridTemplateColumns: '40px 1fr', alignItems: 'center' }}>
      <Note>{name}</Note>
      <Box sx={{ display: 'flex', gap: '1.5px' }}>
        {Array.from({ length: steps }, (_, i) => {
          const tone = Math.round(series[Math.round(((i + 0.5) / steps) * (series.length - 1))]!);
          return (
            <Box
              key={i}
              sx={{
                flex: 1,
                height: 20,
                bgcolor: crustTones[tone - 1],
                color: tone > 4 ? '#FFFFFF' : '#14211E',
                fontSize: typeSize.tiny,
                textAlign: 'center',
                lineHeight: '20px',
              }}
            >
              {tone}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
  return (
    <Box
      role="img"
      aria-label={t('bake.toneOfTheTopToptoneAndOf', { topTone: result.end.topTone.toFixed(1), baseTone: result.end.baseTone.toFixed(1) })}
      sx={{ display: 'grid', gap: '3px' }}
    >
      {row(t('common.top'), curve.topTone)}
      {row(t('common.base'), curve.baseTone)}
    </Box>
  );
}

function TemperatureCurve({ result }: { result: BakeResult }) {
  const { palette } = useTheme();
  const units = useUnits();
  const { data, layout, columns } = useMemo(() => {
    const { curve } = result;
    const shown = (c: number) => inUnits(c, 'temperature', units);
    const line = (color: string, dash: Dash = 'solid') => ({ color, width: 2.2, dash });
    const x = curve.min as number[];
    return {
      data: [
        { x, y: curve.airC.map(shown), name: t('bake.ovenAir'), mode: 'lines' as const, line: line(palette.leaf.heat) },
        { x, y: curve.topC.map(shown), name: t('bake.surface'), mode: 'lines' as const, line: line(palette.text.primary) },
        { x, y: curve.middleC.map(shown), name: t('common.middle'), mode: 'lines' as const, line: line(palette.text.secondary, 'dash') },
      ],
      layout: {
        showlegend: true,
        legend: { orientation: 'h' as const, y: 1.2 },
        yaxis: { ticksuffix: ` ${unitOf('temperature', units)}` },
        xaxis: { title: { text: t('bake.minutesFromDoorShut') } },
      },
      columns: [
        { name: t('common.min'), values: curve.min },
        { name: t('bake.airValue', { value: unitOf('temperature', units) }), values: curve.airC.map(shown), digits: 0 },
        { name: t('bake.surfaceValue', { value: unitOf('temperature', units) }), values: curve.topC.map(shown), digits: 0 },
        { name: t('bake.middleValue', { value: unitOf('temperature', units) }), values: curve.middleC.map(shown), digits: 0 },
      ],
    };
  }, [result, palette, units]);
  return <Plot summary={t('bake.temperaturesOfOvenAirSurfaceAndMiddle')} data={data} layout={layout} height={200} columns={columns} />;
}
