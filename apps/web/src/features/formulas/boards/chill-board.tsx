import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { fahrenheitOf, type ChillResult } from '@north-leaf/core';
import { usePreferences } from '../../../platform/preferences';
import { Choice } from '../../../ui/choice';
import { FieldRow } from '../../../ui/field-row';
import { Plot } from '../../../ui/plot';
import { showDuration, showQuantity } from '../../../ui/quantity';
import { stageQuestions } from '../stages';
import { Fact } from '../../../ui/fact-tile';
import { Board, FormulaField, useAnswer, useFormula, useSet, Waiting } from './board';
import { Waits } from './waits';

export function ChillBoard() {
  return (
    <Board question={stageQuestions.chill} set={<ChillSettings />}>
      <ChillPicture />
    </Board>
  );
}

function ChillSettings() {
  const formula = useFormula();
  const set = useSet();
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        Into the cold
      </Typography>
      <FieldRow label="Pressed to a slab of">
        <FormulaField path="/chill/thicknessMm" label="Slab" kind="length" />
      </FieldRow>
      <FieldRow label="Wrapped in">
        <Choice
          label="Wrap"
          value={formula.chill.wrap}
          onChange={(wrap) => set('/chill/wrap', wrap)}
          width={130}
          options={[
            { value: 'none', name: 'nothing' },
            { value: 'film', name: 'film' },
            { value: 'paper', name: 'paper' },
            { value: 'lid', name: 'box with lid' },
          ]}
        />
      </FieldRow>
      <FieldRow label="Middle to reach">
        <FormulaField path="/chill/targetC" label="Target" kind="temperature" />
      </FieldRow>
      <Typography variant="h3" sx={{ pt: 3 }}>
        Where, and how long
      </Typography>
      <Waits path="/chill/waits" label="Wait" least={1} />
    </Box>
  );
}

function ChillPicture() {
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  if (evaluation.chill.state === 'waiting') return <Waiting stage="chill" />;
  const { result } = evaluation.chill;
  const bench = result.benchOpenEnded ? 'over 60 min' : showDuration(Math.round(result.benchMin));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <ChillCurve result={result} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
        <Fact label="middle, out of the cold" value={showQuantity(result.endMiddleC, 'temperature', units, 0)} />
        <Fact label="rim, out of the cold" value={showQuantity(result.endRimC, 'temperature', units, 0)} />
        <Fact label="on the table as a slab" value={bench} />
        <Fact label="of its fat is solid" value={`${Math.round(result.endSolidFatPercent)} %`} />
      </Box>
      <Box sx={{ fontSize: 13, color: 'text.secondary' }}>
        It rolls between {showQuantity(result.rollLowC, 'temperature', units, 0)} and{' '}
        {showQuantity(result.rollHighC, 'temperature', units, 0)}
        {result.benchFromMin > 1 ? `, from ${showDuration(Math.round(result.benchFromMin))} after it came out` : ''}. Once rolled thin it
        warms in minutes. The slab’s edges are left out: a real slab cools a little sooner.
      </Box>
    </Box>
  );
}

function ChillCurve({ result }: { result: ChillResult }) {
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const { data, layout, columns } = useMemo(() => {
    const shown = (c: number) => (units === 'metric' ? c : fahrenheitOf(c));
    const { min, middleC, rimC } = result.curve;
    const until = min.findIndex((at) => at > result.outMin + 30);
    const end = until === -1 ? min.length : until;
    const x = min.slice(0, end);
    const middle = middleC.slice(0, end).map(shown);
    const rim = rimC.slice(0, end).map(shown);
    const line = { width: 2.4, color: palette.text.primary };
    return {
      data: [
        { x, y: middle, mode: 'lines' as const, name: 'middle', line },
        { x, y: rim, mode: 'lines' as const, name: 'rim', line: { ...line, color: palette.info.main, dash: 'dash' as const } },
      ],
      layout: {
        xaxis: { title: { text: 'minutes after mixing' }, range: [0, x[x.length - 1]!] },
        yaxis: { ticksuffix: units === 'metric' ? ' °C' : ' °F' },
        shapes: [
          {
            type: 'rect' as const,
            xref: 'paper' as const,
            x0: 0,
            x1: 1,
            y0: shown(result.rollLowC),
            y1: shown(result.rollHighC),
            fillcolor: palette.leaf.firSoft,
            line: { width: 0 },
            layer: 'below' as const,
          },
          {
            type: 'line' as const,
            yref: 'paper' as const,
            x0: result.outMin,
            x1: result.outMin,
            y0: 0,
            y1: 1,
            line: { color: palette.leaf.edge, dash: 'dot' as const, width: 1.5 },
          },
        ],
        annotations: [
          {
            x: result.outMin,
            y: 1,
            yref: 'paper' as const,
            text: ' out of the cold',
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'top' as const,
          },
          {
            x: 0,
            xref: 'paper' as const,
            y: shown(result.rollHighC),
            text: ' rolls',
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'top' as const,
            font: { color: palette.primary.main },
          },
          {
            x: x[Math.floor(x.length * 0.85)]!,
            y: middle[Math.floor(x.length * 0.85)]!,
            text: 'middle',
            showarrow: false,
            yshift: -14,
            xshift: 10,
          },
          {
            x: x[Math.floor(x.length * 0.3)]!,
            y: rim[Math.floor(x.length * 0.3)]!,
            text: 'rim',
            showarrow: false,
            yshift: -12,
            xshift: -14,
            font: { color: palette.info.main },
          },
        ],
      },
      columns: [
        { name: 'min', values: x },
        { name: 'middle', values: middle },
        { name: 'rim', values: rim },
      ],
    };
  }, [result, palette, units]);
  return (
    <Plot
      summary={`Middle of the dough at ${result.endMiddleC.toFixed(0)} °C when it comes out after ${Math.round(result.waitMin)} min.`}
      data={data}
      layout={layout}
      height={300}
      columns={columns}
    />
  );
}
