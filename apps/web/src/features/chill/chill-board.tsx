import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  chillWays,
  families,
  madeReady,
  type Chill,
  type ChillResult,
  type ChillWay,
  type ReadyThing,
  showDuration,
  showQuantity,
  inUnits,
  unitOf,
} from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { Plot } from '../../ui/drawing/plot';
import { useDraft } from '../formulas/doors';
import { stageQuestions, Board, FormulaField, useAnswer, useFormula, useSet, useSurroundings, Waiting, Waits } from '../board/doors';
import { Fact } from '../../ui/frame/fact-tile';

export function ChillBoard() {
  return (
    <Board question={stageQuestions.chill} set={<ChillSettings />}>
      <ChillPicture />
    </Board>
  );
}

const forms: readonly { readonly value: Chill['form']; readonly name: string; readonly across: string }[] = [
  { value: 'slab', name: 'a slab', across: 'thick' },
  { value: 'disc', name: 'a disc', across: 'thick' },
  { value: 'log', name: 'a log', across: 'across' },
  { value: 'ball', name: 'a ball', across: 'across' },
  { value: 'pieces', name: 'pieces on a tray', across: 'thick' },
];

function ChillSettings() {
  const formula = useFormula();
  const set = useSet();
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        Into the cold
      </Typography>
      <FieldRow label="As">
        <Choice label="Form" value={formula.chill.form} onChange={(form) => set('/chill/form', form)} width={150} options={forms} />
      </FieldRow>
      <FieldRow label={`It is ${forms.find(({ value }) => value === formula.chill.form)?.across ?? 'thick'}`}>
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
      <Ways />
    </Box>
  );
}

const benchWords = ({ benchMin, benchFromMin }: ChillWay) =>
  benchMin <= 0
    ? 'none'
    : benchFromMin > 1
      ? `${Math.round(benchMin)} min, after ${Math.round(benchFromMin)}`
      : `${Math.round(benchMin)} min`;

/** Every way this kitchen has to get there, with the minutes the table gives afterwards; one press takes one. */
function Ways() {
  const voice = useVoice();
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const { evaluation } = useAnswer();
  const { palette } = useTheme();
  const { edit } = useDraft.getState();
  const dough = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result;
  const chilled = evaluation.chill.state !== 'waiting';
  const found = useMemo(() => {
    const family = families[formula.family];
    return dough && family && chilled ? chillWays(formula, family, kitchen, dough) : null;
  }, [formula, kitchen, dough, chilled]);
  if (!found) return null;
  const { chill } = formula;
  const editsTo = ({ thicknessMm, waits }: ChillWay) => [
    ...(thicknessMm === chill.thicknessMm ? [] : [{ path: '/chill/thicknessMm', from: chill.thicknessMm, to: thicknessMm }]),
    { path: '/chill/waits', from: chill.waits as never, to: waits.map(({ placeId, min }) => ({ placeId, min })) as never },
  ];
  const isTaken = (way: ChillWay) =>
    way.thicknessMm === chill.thicknessMm &&
    way.waits.length === chill.waits.length &&
    way.waits.every(({ placeId, min }, i) => chill.waits[i]!.placeId === placeId && chill.waits[i]!.min === min);
  return (
    <Box component="section" aria-label="Ways to get there" sx={{ pt: 2 }}>
      <Typography variant="h3">Ways to get there</Typography>
      {found.ways.length === 0 && <Box sx={{ fontSize: typeSize.small }}>No place of this kitchen is colder than the target.</Box>}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: typeSize.caption, color: 'text.secondary' }}>
        <span>where, and how long</span>
        <span>then on the table</span>
      </Box>
      {found.ways.map((way) => {
        const taken = isTaken(way);
        return (
          <ButtonBase
            key={`${way.thicknessMm} ${way.waits.map(({ placeId, min }) => placeId + min).join()}`}
            onClick={() => edit(`way:${Date.now()}`, () => editsTo(way))}
            aria-pressed={taken}
            sx={{
              width: '100%',
              minHeight: 34,
              px: 1.5,
              display: 'flex',
              justifyContent: 'space-between',
              textAlign: 'left',
              fontSize: typeSize.small,
              borderBottom: `1px solid ${palette.divider}`,
              bgcolor: taken ? palette.leaf.firSoft : undefined,
            }}
          >
            <span>
              {way.waits.map(({ name, min }) => `${name} ${showDuration(min)}`).join(', then ')}
              {way.thicknessMm !== chill.thicknessMm && `, pressed to ${voice.show(way.thicknessMm, 'length')}`}
            </span>
            <span>{benchWords(way)}</span>
          </ButtonBase>
        );
      })}
      {found.frozen && (
        <Note pt={1}>
          For another day: frozen through in {found.frozen.frozenMin === null ? 'more than a day' : showDuration(found.frozen.frozenMin)};
          out of the freezer it rolls after {found.frozen.fridgeMin === null ? 'more than a day' : showDuration(found.frozen.fridgeMin)} in
          the fridge
          {found.frozen.tableMin !== null && ` or ${showDuration(found.frozen.tableMin)} on the table`}. Thaw it wrapped.
        </Note>
      )}
    </Box>
  );
}

const readyWordsOf = ({ show }: Voice): Readonly<Record<ReadyThing, string>> => ({
  cutButter: 'Butter in small cubes, hard',
  butterBends: `A ${show(250, 'bulk')} block of butter, until it bends`,
  butterCreams: 'Butter in finger-thick slices, until it creams',
  coldFlour: 'A kilogram of flour and its bowl, cold',
  ballIn: 'A ball of this dough for two shells, frozen',
  ballOut: 'The same ball out again, thawed',
  pieIn: 'A filled raw pie, frozen',
  pieOut: 'The same pie out again, thawed',
});

/** What is made ready before the mixing, or kept for another day: each with its place and minutes. */
function MadeReadyList() {
  const voice = useVoice();
  const readyWords = readyWordsOf(voice);
  const { kitchen } = useSurroundings();
  const { evaluation } = useAnswer();
  const [open, setOpen] = useState(false);
  const makeUp = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result.makeUp;
  const list = useMemo(() => (open && makeUp ? madeReady(kitchen, makeUp) : []), [open, kitchen, makeUp]);
  return (
    <Box component="section" aria-label="Made ready beforehand">
      <Button size="small" onClick={() => setOpen(!open)} aria-expanded={open} sx={{ minHeight: 26 }}>
        {open ? 'Hide what is made ready beforehand' : 'Made ready beforehand: cold butter, flour, frozen dough and pies'}
      </Button>
      {open && (
        <Box component="table" sx={{ width: '100%', fontSize: typeSize.small, '& td, & th': { textAlign: 'left', py: 0.5 } }}>
          <tbody>
            {list.map((one) => (
              <tr key={one.thing}>
                <th scope="row" style={{ fontWeight: 600 }}>
                  {readyWords[one.thing]}
                </th>
                <td>
                  {one.from.name}, {voice.show(one.from.atC, 'temperature')} → {one.to.name}
                </td>
                <td style={{ textAlign: 'right', fontWeight: 650, whiteSpace: 'nowrap' }}>
                  {one.min === null ? 'never there' : `about ${showDuration(rounded(one.min))}`}
                </td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
    </Box>
  );
}

/** Minutes as far as they can be meant: fives under an hour, quarters above. */
const rounded = (min: number) => (min < 20 ? Math.max(1, Math.round(min)) : min < 60 ? Math.round(min / 5) * 5 : Math.round(min / 15) * 15);

function ChillPicture() {
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  if (evaluation.chill.state === 'waiting') return <Waiting stage="chill" />;
  const { result } = evaluation.chill;
  const bench = result.benchOpenEnded ? 'over 60 min' : showDuration(Math.round(result.benchMin));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <ChillCurve result={result} />
      <Slices result={result} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
        <Fact label="middle, out of the cold" value={showQuantity(result.endMiddleC, 'temperature', units, 0)} />
        <Fact label="rim, out of the cold" value={showQuantity(result.endRimC, 'temperature', units, 0)} />
        <Fact label="on the table as a slab" value={bench} />
        <Fact label="of its fat is solid" value={`${Math.round(result.endSolidFatPercent)} %`} />
      </Box>
      <Note size="small">
        It rolls between {showQuantity(result.rollLowC, 'temperature', units, 0)} and{' '}
        {showQuantity(result.rollHighC, 'temperature', units, 0)}
        {result.benchFromMin > 1 ? `, from ${showDuration(Math.round(result.benchFromMin))} after it came out` : ''}. Once rolled thin it
        warms in minutes. The slab’s edges are left out: a real slab cools a little sooner.
      </Note>
      <MadeReadyList />
    </Box>
  );
}

/** The dough cut through at four moments: from its faces to its middle, as cold as the curve says. */
function Slices({ result }: { result: ChillResult }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const { min, middleC, rimC } = result.curve;
  const startMin = result.outMin - result.waitMin;
  const moments = [0, 1 / 3, 2 / 3, 1].map((part) => startMin + part * result.waitMin);
  const at = (series: readonly number[], when: number) =>
    series[
      Math.max(
        0,
        min.findIndex((m) => m >= when - 1e-6),
      )
    ] ?? series[series.length - 1]!;
  const warmest = Math.max(...middleC.slice(0, 2), result.rollHighC + 4);
  const coldest = Math.min(...rimC, result.rollLowC - 6);
  const tint = (c: number) =>
    `color-mix(in srgb, ${palette.info.main} ${Math.round(75 * Math.min(1, Math.max(0, (warmest - c) / (warmest - coldest))))}%, ${palette.make.fat})`;
  return (
    <Box
      role="img"
      aria-label={`Cut through: ${moments.map((when) => `${voice.show(at(middleC, when), 'temperature')} in the middle after ${Math.round(when - startMin)} min`).join(', ')}`}
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}
    >
      {moments.map((when) => (
        <Box key={when} sx={{ textAlign: 'center' }}>
          <Box
            sx={{
              height: 44,
              borderRadius: '6px',
              display: 'grid',
              placeItems: 'center',
              fontWeight: 680,
              color: '#14211E',
              background: `linear-gradient(${tint(at(rimC, when))}, ${tint(at(middleC, when))} 50%, ${tint(at(rimC, when))})`,
            }}
          >
            {showQuantity(at(middleC, when), 'temperature', units, 0)}
          </Box>
          <Note>{Math.round(when - startMin)} min</Note>
        </Box>
      ))}
    </Box>
  );
}

function ChillCurve({ result }: { result: ChillResult }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const { data, layout, columns } = useMemo(() => {
    const shown = (c: number) => inUnits(c, 'temperature', units);
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
        yaxis: { ticksuffix: ` ${unitOf('temperature', units)}` },
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
      summary={`Middle of the dough at ${voice.show(result.endMiddleC, 'temperature')} when it comes out after ${Math.round(result.waitMin)} min.`}
      data={data}
      layout={layout}
      height={250}
      columns={columns}
    />
  );
}
