import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  crispLoss,
  eatenWarm,
  goesRaw,
  goings,
  type KeepResult,
  showDuration,
  showQuantity,
  inUnits,
  unitOf,
  saidFacts,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { Plot } from '../../ui/drawing/plot';
import { useDraft } from '../formulas/doors';
import {
  stageQuestions,
  Board,
  FormulaField,
  OnWholeBoard,
  useAnswer,
  useSurroundings,
  useFormula,
  useSet,
  useWholeBoard,
  Waiting,
  Waits,
} from '../board/doors';
import { Fact } from '../../ui/frame/fact-tile';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

export function KeepBoard() {
  return (
    <Board question={useSnaps() ? stageQuestions.keep : t('board.howLongDoesItKeep')} set={<KeepSettings />}>
      <KeepPicture />
    </Board>
  );
}

/** Whether the question is how long it snaps. */
function useSnaps(): boolean {
  const { evaluation } = useAnswer();
  return evaluation.keep.state === 'waiting' || evaluation.keep.result.meantToSnap;
}

function KeepSettings() {
  const voice = useVoice();
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const set = useSet();
  const { edit } = useDraft.getState();
  /** Left out where nobody says; the cold is then asked for. */
  const setPlace = (placeId: string) => set('/keep/placeId', placeId === '' ? undefined : placeId);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        {t('keep.coolAndPack')}
      </Typography>
      <Waits path="/keep/cool" label={t('keep.cool')} hotTray />
      <FieldRow label={t('keep.howItIsEaten')}>
        <Choice
          label={t('keep.howItIsEaten')}
          value={formula.keep.goes ?? 'kept'}
          onChange={(goes) =>
            goes === 'warm' ? edit(`warm:${Date.now()}`, () => eatenWarm(formula)) : set('/keep/goes', goes === 'kept' ? undefined : goes)
          }
          options={goings.map((value) => ({ value, name: t(goesWords[value]) }))}
        />
      </FieldRow>
      {formula.keep.goes === 'warm' && <Note>{t('keep.warmNeedsNoPack')}</Note>}
      {goesRaw(formula.keep) && <Note>{t('keep.rawIsNotBakedHere')}</Note>}
      <FieldRow label={t('common.pack')}>
        <Choice
          label={t('common.pack')}
          value={formula.keep.pack}
          onChange={(pack) => set('/keep/pack', pack)}
          options={[
            { value: 'openTray', name: t('keep.openTray') },
            { value: 'paperBag', name: t('common.paperBag') },
            { value: 'looseTin', name: t('common.looseTin') },
            { value: 'tightTin', name: t('common.tightTin') },
            { value: 'sealedPouch', name: t('common.sealedPouch') },
          ]}
        />
      </FieldRow>
      <FieldRow label={t('keep.keptIn')}>
        <Choice
          label={t('keep.keptIn')}
          value={formula.keep.placeId ?? ''}
          onChange={(placeId) => setPlace(placeId)}
          options={[
            { value: '', name: t('keep.notDecided') },
            ...kitchen.places.map(({ id, name, atC }) => ({ value: id, name: `${name}, ${voice.show(atC, 'temperature')}` })),
          ]}
        />
      </FieldRow>
      <FieldRow label={t('keep.piecesAPack')}>
        <PlainField path="/keep/piecesPerPack" label={t('keep.piecesAPack')} />
      </FieldRow>
      <FieldRow label={t('keep.sellWithin')}>
        <PlainField path="/keep/sellWithinDays" label={t('keep.sellWithinDays')} /> {t('common.days')}
      </FieldRow>
      <Note size="small" pt={2}>
        {t('keep.roomRoomAirHumidityDamp', {
          room: voice.exact(kitchen.roomC, 'temperature'),
          humidity: Math.round(kitchen.humidityShare * 100),
        })}
      </Note>
    </Box>
  );
}

const goesWords = { warm: 'keep.eatenWarm', kept: 'keep.eatenKept', shaped: 'keep.keptShaped', dough: 'keep.keptAsDough' } as const;

/** A plain count: read as a percent field without its unit. */
function PlainField({ path, label }: { path: string; label: string }) {
  return <FormulaField path={path} label={label} kind="percent" hideUnit digits={0} width={62} />;
}

const eating = { snaps: t('keep.snaps'), bends: t('keep.bends'), soft: t('keep.isSoft') };

function KeepPicture() {
  const voice = useVoice();
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  const formula = useFormula();
  const whole = useWholeBoard();
  if (evaluation.keep.state === 'waiting') return <Waiting stage="keep" />;
  const { result } = evaluation.keep;
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {result.rawDays !== null && (
        <Box sx={{ fontSize: typeSize.small }}>
          <Sentence
            say={result.rawDays > 0 ? 'keep.rawKeepsDays' : 'keep.rawKeepsNot'}
            values={{ days: t('board.daysKept', { count: result.rawDays }) }}
          />
        </Box>
      )}
      {result.meantToSnap && <HowLongItSnaps result={result} />}
      {result.meantToSnap && <UptakeCurve result={result} sellWithinDays={formula.keep.sellWithinDays} />}
      {(whole || !result.meantToSnap) && <CoolingCurve result={result} />}
      <ForLater result={result} />
      <OnWholeBoard>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
          <Fact label={t('keep.waterActivityDay0')} value={result.waterActivity.toFixed(2)} />
          {result.meantToSnap && (
            <Fact label={t('keep.softAboveMoisture')} value={`${(result.softAboveMoistureShare * 100).toFixed(1)} %`} />
          )}
          <Fact
            label={t(formula.keep.goes === 'warm' ? 'keep.whenEaten' : 'keep.whenPacked')}
            value={showQuantity(result.packedAtC, 'temperature', units, 0)}
          />
          <Fact
            label={t(result.wholePieceG > result.bakedPieceG + 0.05 ? 'keep.eachWhole' : 'keep.eachBaked')}
            value={showQuantity(result.wholePieceG, 'mass', units)}
          />
        </Box>
      </OnWholeBoard>
      <Note size="small">{t('keep.aForecastNotAShelfLifeDate', { fridge: voice.show(saidFacts.fridgeC, 'temperature') })}</Note>
    </Box>
  );
}

/** Crisp for so long in its pack, and on an open tray. */
function HowLongItSnaps({ result }: { readonly result: KeepResult }) {
  return (
    <Box sx={{ fontSize: typeSize.small }}>
      <Sentence say="keep.packedTodayItEating" values={{ eating: eating[result.word] }} />
      {result.word === 'snaps' && (
        <>
          {' '}
          <Sentence
            say="keep.forWord"
            values={{
              word: result.openEnded
                ? t('keep.overValueDays', { value: result.crispDays.value })
                : t('keep.valueSdDays', { value: Math.floor(result.crispDays.value), sd: Math.max(1, Math.round(result.crispDays.sd)) }),
            }}
          />
        </>
      )}
      {t('keep.onAnOpenTrayWord', {
        word: result.openTrayHours === null ? t('keep.itStaysCrispAtThisHumidity') : `${result.openTrayHours.toFixed(0)} h`,
      })}
    </Box>
  );
}

/** From the oven to the pack: the middle against minutes, and when it may be packed. */
function CoolingCurve({ result }: { result: KeepResult }) {
  const voice = useVoice();
  const { cooling, coolMin } = result;
  const { data, layout, columns } = useCoolingTraces(coolMin, cooling);
  return (
    <Box component="section" aria-label={t('keep.cooling')}>
      <Box sx={{ fontSize: typeSize.small }}>
        {cooling.packableMin === null ? (
          t('keep.itDoesNotCoolFarEnoughTo')
        ) : (
          <>
            <Sentence
              say="keep.coolEnoughToPackAfterPackable"
              values={{ packable: showDuration(Math.max(1, Math.round(cooling.packableMin))) }}
            />
          </>
        )}
      </Box>
      <Plot
        summary={t('keep.coolsToPackedatInCoolMin', { packedAt: voice.show(result.packedAtC, 'temperature'), cool: Math.round(coolMin) })}
        data={data}
        layout={layout}
        height={140}
        columns={columns}
      />
    </Box>
  );
}

/** How it cools, and from when it may be packed. */
function useCoolingTraces(coolMin: number, cooling: KeepResult['cooling']) {
  const units = usePreferences((state) => state.units);
  const { palette } = useTheme();
  const { data, layout, columns } = useMemo(() => {
    const shown = (c: number) => inUnits(c, 'temperature', units);
    const { min, middleC } = cooling.curve;
    return {
      data: [
        {
          x: min as number[],
          y: middleC.map(shown),
          mode: 'lines' as const,
          name: t('common.middle'),
          line: { color: palette.leaf.heat, width: 2.4 },
        },
      ],
      layout: {
        margin: { t: 14, r: 12, b: 34, l: 44 },
        xaxis: { title: { text: t('keep.minutesOutOfTheOven'), standoff: 4 }, range: [0, Math.max(min[min.length - 1]!, 1)] },
        yaxis: { ticksuffix: ` ${unitOf('temperature', units)}`, rangemode: 'tozero' as const },
        shapes: [
          {
            type: 'line' as const,
            yref: 'paper' as const,
            x0: coolMin,
            x1: coolMin,
            y0: 0,
            y1: 1,
            line: { color: palette.text.primary, dash: 'dot' as const, width: 1.5 },
          },
        ],
        annotations: [{ x: coolMin, y: 0.9, yref: 'paper' as const, text: t('keep.packed'), showarrow: false, xanchor: 'right' as const }],
      },
      columns: [
        { name: t('common.min'), values: min },
        { name: t('common.middle'), values: middleC.map(shown), digits: 0 },
      ],
    };
  }, [cooling, coolMin, palette, units]);
  return { data, layout, columns };
}

/** Soft again, frozen, or kept too long: what to do for another day. */
function ForLater({ result }: { result: KeepResult }) {
  const voice = useVoice();
  const units = usePreferences((state) => state.units);
  const { bringBack, coldBecause, crustSoft, freezing, mouldFreeDays, needsCold } = result;
  return (
    <Box component="ul" aria-label={t('keep.forLater')} sx={{ m: 0, pl: 5, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      {crustSoft && (
        <li>
          {crustSoft.goesOn === 'baked'
            ? t('keep.theFillingBakesWithTheCrustIts')
            : crustSoft.hours === null
              ? t('keep.theFillingIsDryEnoughToLeave')
              : t('keep.onceItIsFilledTheCrustIs', {
                  word: crustSoft.hours < 1 ? t('keep.halfAnHour') : `${Math.round(crustSoft.hours)} h`,
                })}
        </li>
      )}
      {needsCold && (
        <li>
          <Sentence
            say="keep.needsTheColdColdbecauseFridgeOrColder"
            values={{
              coldBecause: coldBecause.map((name) => name.split(/[,(]/)[0]!.trim().toLowerCase()).join(', '),
              fridge: voice.show(saidFacts.fridgeC, 'temperature'),
            }}
          />
        </li>
      )}
      {bringBack && (
        <li>
          {t('keep.goneSoftBackToCrispAtWant', { want: showQuantity(bringBack.wantC, 'temperature', units, 0) })}{' '}
          {bringBack.min === null ? (
            t('keep.moreThan45MinBakeItAnew')
          ) : (
            <b>{t('common.aboutMin', { min: showDuration(Math.max(1, Math.round(bringBack.min))) })}</b>
          )}
          {t('keep.thenCoolItBare')}
        </li>
      )}
      {freezing && freezing.frozenMin !== null && (
        <li>
          {t('keep.toFreezeCoolAndPackItFirst', {
            frozen: showDuration(Math.round(freezing.frozenMin)),
            word:
              freezing.thawedMin === null
                ? t('keep.someHours')
                : t('keep.aboutThawed', { thawed: showDuration(Math.max(5, Math.round(freezing.thawedMin))) }),
          })}
        </li>
      )}
      {!needsCold && (
        <li>{mouldFreeDays === null ? t('keep.tooDryForMouldInItsPack') : t('keep.mouldLikely', { count: Math.floor(mouldFreeDays) })}</li>
      )}
    </Box>
  );
}

function UptakeCurve({ result, sellWithinDays }: { result: KeepResult; sellWithinDays: number }) {
  const { data, layout, columns } = useUptakeTraces(result, sellWithinDays);
  return (
    <Plot
      summary={t('keep.waterActivityRisesFromWateractivityItBends', {
        waterActivity: result.waterActivity.toFixed(2),
        halfAw: crispLoss.values.halfAw,
      })}
      data={data}
      layout={layout}
      height={290}
      columns={columns}
    />
  );
}

/** Water that is taken up over the days, and where it bends. */
function useUptakeTraces(result: KeepResult, sellWithinDays: number) {
  const { palette } = useTheme();
  const { data, layout, columns } = useMemo(() => {
    const { days, activity, moistureShare } = result.curve;
    const { halfAw, width } = crispLoss.values;
    const last = Math.max(days[days.length - 1]!, sellWithinDays * 1.1, 1);
    return {
      data: [
        {
          x: days as number[],
          y: activity as number[],
          mode: 'lines' as const,
          name: t('keep.waterActivity'),
          line: { color: palette.info.main, width: 2.4 },
        },
      ],
      layout: {
        xaxis: { title: { text: t('keep.daysInThePack') }, range: [0, last] },
        yaxis: { range: [0, 0.7] },
        shapes: [
          {
            type: 'rect' as const,
            xref: 'paper' as const,
            x0: 0,
            x1: 1,
            y0: 0,
            y1: halfAw - width,
            fillcolor: palette.leaf.firSoft,
            line: { width: 0 },
            layer: 'below' as const,
          },
          {
            type: 'line' as const,
            xref: 'paper' as const,
            x0: 0,
            x1: 1,
            y0: halfAw,
            y1: halfAw,
            line: { color: palette.error.main, dash: 'dash' as const, width: 1.5 },
          },
          {
            type: 'line' as const,
            yref: 'paper' as const,
            x0: sellWithinDays,
            x1: sellWithinDays,
            y0: 0,
            y1: 1,
            line: { color: palette.text.primary, dash: 'dot' as const, width: 1.5 },
          },
        ],
        annotations: [
          {
            x: 0,
            xref: 'paper' as const,
            y: halfAw,
            text: t('keep.bendsAbove'),
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'bottom' as const,
            font: { color: palette.error.main },
          },
          {
            x: 0,
            xref: 'paper' as const,
            y: halfAw - width,
            text: t('keep.snaps'),
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'top' as const,
            font: { color: palette.primary.main },
          },
          {
            x: sellWithinDays,
            y: 0.98,
            yref: 'paper' as const,
            text: t('keep.lastSold'),
            showarrow: false,
            xanchor: 'right' as const,
            yanchor: 'top' as const,
          },
        ],
      },
      columns: [
        { name: t('common.days'), values: days },
        { name: t('keep.activity'), values: activity, digits: 2 },
        { name: t('common.moisture'), values: moistureShare.map((share) => share * 100) },
      ],
    };
  }, [result, sellWithinDays, palette]);
  return { data, layout, columns };
}
