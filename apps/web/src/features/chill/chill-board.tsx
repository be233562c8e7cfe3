import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  chillWays,
  families,
  isUnderPin,
  madeReadyFor,
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
import { Section } from '../../ui/frame/section';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { Plot } from '../../ui/drawing/plot';
import { useDraft } from '../formulas/doors';
import {
  stageQuestions,
  Board,
  useHandling,
  FormulaField,
  useAnswer,
  useFormula,
  useSet,
  useSurroundings,
  Waiting,
  Waits,
  useWholeBoard,
} from '../board/doors';
import { Fact } from '../../ui/frame/fact-tile';
import { t } from '../../platform/words';

export function ChillBoard() {
  return (
    <Board question={isUnderPin(useHandling()) ? stageQuestions.chill : t('board.coldEnoughToKeepItsShape')} set={<ChillSettings />}>
      <ChillPicture />
    </Board>
  );
}

const forms: readonly { readonly value: Chill['form']; readonly name: string; readonly across: string }[] = [
  { value: 'slab', name: t('chill.aSlab'), across: t('chill.thick') },
  { value: 'disc', name: t('chill.aDisc'), across: t('chill.thick') },
  { value: 'log', name: t('chill.aLog'), across: t('chill.acrossIt') },
  { value: 'ball', name: t('chill.aBall'), across: t('chill.acrossIt') },
  { value: 'pieces', name: t('chill.piecesOnATray'), across: t('chill.thick') },
];

function ChillSettings() {
  const formula = useFormula();
  const set = useSet();
  if (formula.chill.waits.length === 0) return <FromTheBowl />;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        {t('chill.intoTheCold')}
      </Typography>
      <FieldRow label={t('chill.as')}>
        <Choice
          label={t('chill.form')}
          value={formula.chill.form}
          onChange={(form) => set('/chill/form', form)}
          width={150}
          options={forms}
        />
      </FieldRow>
      <FieldRow
        label={t('chill.itIsAcross', { across: forms.find(({ value }) => value === formula.chill.form)?.across ?? t('chill.thick') })}
        ask="thickCold"
      >
        <FormulaField path="/chill/thicknessMm" label={t('chill.slab')} kind="length" />
      </FieldRow>
      <FieldRow label={t('chill.wrappedIn')}>
        <Choice
          label={t('chill.wrap')}
          value={formula.chill.wrap}
          onChange={(wrap) => set('/chill/wrap', wrap)}
          width={130}
          options={[
            { value: 'none', name: t('common.under.nothing') },
            { value: 'film', name: t('common.under.film') },
            { value: 'paper', name: t('common.under.paper') },
            { value: 'lid', name: t('chill.boxWithLid') },
          ]}
        />
      </FieldRow>
      <FieldRow label={t('chill.middleToReach')}>
        <FormulaField path="/chill/targetC" label={t('common.target')} kind="temperature" />
      </FieldRow>
      <Typography variant="h3" sx={{ pt: 3 }}>
        {t('chill.whereAndHowLong')}
      </Typography>
      <Waits path="/chill/waits" label={t('common.wait')} />
      <Ways />
    </Box>
  );
}

/** No wait of its own: what there is to set is a first one. */
function FromTheBowl() {
  const voice = useVoice();
  const { evaluation } = useAnswer();
  const atC = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result.doughAtC;
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        {t('chill.intoTheCold')}
      </Typography>
      {atC !== null && <Box sx={{ fontSize: typeSize.body }}>{t('chill.noCold', { atC: voice.show(atC, 'temperature') })}</Box>}
      <Waits path="/chill/waits" label={t('common.wait')} />
    </Box>
  );
}

const benchWords = ({ benchMin, benchFromMin }: ChillWay) =>
  benchMin <= 0
    ? 'none'
    : benchFromMin > 1
      ? t('chill.benchMinAfterBenchfrom', { bench: Math.round(benchMin), benchFrom: Math.round(benchFromMin) })
      : t('chill.benchMin', { bench: Math.round(benchMin) });

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
    <Section title={t('chill.waysToGetThere')} level={3} sx={{ pt: 2 }}>
      {found.ways.length === 0 && <Box sx={{ fontSize: typeSize.small }}>{t('chill.noPlaceOfThisKitchenIsColder')}</Box>}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: typeSize.caption, color: 'text.secondary' }}>
        <span>{t('chill.whereAndHowLong2')}</span>
        <span>{t('chill.thenOnTheTable')}</span>
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
              {way.waits.map(({ name, min }) => `${name} ${showDuration(min)}`).join(t('chill.then'))}
              {way.thicknessMm !== chill.thicknessMm && t('chill.pressedToThickness', { thickness: voice.show(way.thicknessMm, 'length') })}
            </span>
            <span>{benchWords(way)}</span>
          </ButtonBase>
        );
      })}
      {found.frozen && (
        <Note pt={1}>
          {t('chill.forAnotherDayFrozenThroughInWord', {
            word: found.frozen.frozenMin === null ? t('chill.moreThanADay') : showDuration(found.frozen.frozenMin),
            word2: found.frozen.fridgeMin === null ? t('chill.moreThanADay') : showDuration(found.frozen.fridgeMin),
          })}
          {found.frozen.tableMin !== null && t('chill.orTableOnTheTable', { table: showDuration(found.frozen.tableMin) })}
          {t('chill.thawItWrapped')}
        </Note>
      )}
    </Section>
  );
}

const readyWordsOf = ({ show }: Voice): Readonly<Record<ReadyThing, string>> => ({
  cutButter: t('chill.butterInSmallCubesHard'),
  butterBends: t('chill.aShowBlockOfButterUntilIt', { show: show(250, 'bulk') }),
  butterCreams: t('chill.butterInFingerThickSlicesUntilIt'),
  coldFlour: t('chill.aKilogramOfFlourAndItsBowl'),
  ballIn: t('chill.aBallOfThisDoughForTwo'),
  ballOut: t('chill.theSameBallOutAgainThawed'),
  pieIn: t('chill.aFilledRawPieFrozen'),
  pieOut: t('chill.theSamePieOutAgainThawed'),
});

/** What is made ready before the mixing, or kept for another day: each with its place and minutes. */
function MadeReadyList() {
  const voice = useVoice();
  const readyWords = readyWordsOf(voice);
  const { kitchen, pantry } = useSurroundings();
  const { evaluation } = useAnswer();
  const formula = useFormula();
  const [open, setOpen] = useState(false);
  const makeUp = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result.makeUp;
  const list = useMemo(() => {
    const family = families[formula.family];
    if (!open || !makeUp || !family) return [];
    const { before, also } = madeReadyFor({ formula, family, kitchen, pantry }, makeUp);
    return [...before, ...also];
  }, [open, kitchen, pantry, makeUp, formula]);
  return (
    <Box component="section" aria-label={t('chill.madeReadyBeforehand')}>
      <Button size="small" onClick={() => setOpen(!open)} aria-expanded={open} sx={{ minHeight: 26 }}>
        {open ? t('chill.hideWhatIsMadeReadyBeforehand') : t('chill.madeReadyBeforehandColdButterFlourFrozen')}
      </Button>
      {open && list.length === 0 && <Note>{t('chill.nothingIsMadeReady')}</Note>}
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
                  {one.min === null ? t('chill.neverThere') : t('common.aboutMin', { min: showDuration(rounded(one.min)) })}
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
  const rolled = isUnderPin(useHandling());
  const whole = useWholeBoard();
  const units = usePreferences((state) => state.units);
  if (evaluation.chill.state === 'waiting') return <Waiting stage="chill" />;
  const { result } = evaluation.chill;
  const cold = result.waitMin > 0;
  const bench = result.benchOpenEnded ? t('chill.overAnHour') : showDuration(Math.round(result.benchMin));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {cold && <ChillCurve result={result} />}
      {cold && whole && <Slices result={result} />}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
        <Fact
          label={cold ? t('chill.middleOutOfTheCold') : t('board.fromTheBowl')}
          value={showQuantity(result.endMiddleC, 'temperature', units, 0)}
        />
        {cold && <Fact label={t('chill.rimOutOfTheCold')} value={showQuantity(result.endRimC, 'temperature', units, 0)} />}
        <Fact label={rolled ? t('chill.onTheTableAsASlab') : t('chill.bowlOnTheTable')} value={bench} />
        <Fact label={t('chill.ofItsFatIsSolid')} value={`${Math.round(result.endSolidFatPercent)} %`} />
      </Box>
      <Note size="small">
        {t(rolled ? 'chill.itRollsBetweenRolllowAndRollhighWord' : 'chill.bowlIsShapedBetween', {
          rollLow: showQuantity(result.rollLowC, 'temperature', units, 0),
          rollHigh: showQuantity(result.rollHighC, 'temperature', units, 0),
          word:
            result.benchFromMin > 1
              ? t('chill.fromBenchfromAfterItCameOut', { benchFrom: showDuration(Math.round(result.benchFromMin)) })
              : '',
        })}
      </Note>
      {whole && <MadeReadyList />}
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
      aria-label={t('chill.cutThroughMoments', {
        moments: moments
          .map((when) =>
            t('chill.middleInTheMiddleAfterWhenMin', {
              middle: voice.show(at(middleC, when), 'temperature'),
              when: Math.round(when - startMin),
            }),
          )
          .join(', '),
      })}
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
          <Note>{t('chill.whenMin', { when: Math.round(when - startMin) })}</Note>
        </Box>
      ))}
    </Box>
  );
}

function ChillCurve({ result }: { result: ChillResult }) {
  const voice = useVoice();
  const { data, layout, columns } = useChillTraces(result);
  return (
    <Plot
      summary={t('chill.middleOfTheDoughAtEndmiddleWhen', {
        endMiddle: voice.show(result.endMiddleC, 'temperature'),
        wait: Math.round(result.waitMin),
      })}
      data={data}
      layout={layout}
      height={250}
      columns={columns}
    />
  );
}

/** Temperatures of rim, middle and fat through the waits. */
function useChillTraces(result: ChillResult) {
  const rolled = isUnderPin(useHandling());
  const units = usePreferences((state) => state.units);
  const { palette } = useTheme();
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
        { x, y: middle, mode: 'lines' as const, name: t('common.middle'), line },
        { x, y: rim, mode: 'lines' as const, name: t('chill.rim'), line: { ...line, color: palette.info.main, dash: 'dash' as const } },
      ],
      layout: {
        xaxis: { title: { text: t('chill.minutesAfterMixing') }, range: [0, x[x.length - 1]!] },
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
            text: t('chill.outOfTheCold'),
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'top' as const,
          },
          {
            x: 0,
            xref: 'paper' as const,
            y: shown(result.rollHighC),
            text: rolled ? t('chill.rolls') : t('chill.bowlShapes'),
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'top' as const,
            font: { color: palette.primary.main },
          },
          {
            x: x[Math.floor(x.length * 0.85)]!,
            y: middle[Math.floor(x.length * 0.85)]!,
            text: t('common.middle'),
            showarrow: false,
            yshift: -14,
            xshift: 10,
          },
          {
            x: x[Math.floor(x.length * 0.3)]!,
            y: rim[Math.floor(x.length * 0.3)]!,
            text: t('chill.rim'),
            showarrow: false,
            yshift: -12,
            xshift: -14,
            font: { color: palette.info.main },
          },
        ],
      },
      columns: [
        { name: t('common.min'), values: x },
        { name: t('common.middle'), values: middle },
        { name: t('chill.rim'), values: rim },
      ],
    };
  }, [result, palette, units, rolled]);
  return { data, layout, columns };
}
