import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { crispLoss, type KeepResult, showDuration, showQuantity, inUnits, unitOf, saidFacts } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { Plot } from '../../ui/drawing/plot';
import { stageQuestions, Board, FormulaField, useAnswer, useSurroundings, useFormula, useSet, Waiting, Waits } from '../board/doors';
import { Fact } from '../../ui/frame/fact-tile';

export function KeepBoard() {
  return (
    <Board question={stageQuestions.keep} set={<KeepSettings />}>
      <KeepPicture />
    </Board>
  );
}

function KeepSettings() {
  const voice = useVoice();
  const formula = useFormula();
  const { kitchen } = useSurroundings();
  const set = useSet();
  /** Left out where nobody says; the cold is then asked for. */
  const setPlace = (placeId: string) => set('/keep/placeId', placeId === '' ? undefined : placeId);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2" sx={{ height: 32 }}>
        Cool and pack
      </Typography>
      <Waits path="/keep/cool" label="Cool" hotTray />
      <FieldRow label="Pack">
        <Choice
          label="Pack"
          value={formula.keep.pack}
          onChange={(pack) => set('/keep/pack', pack)}
          options={[
            { value: 'openTray', name: 'open tray' },
            { value: 'paperBag', name: 'paper bag' },
            { value: 'looseTin', name: 'loose tin' },
            { value: 'tightTin', name: 'tight tin' },
            { value: 'sealedPouch', name: 'sealed pouch' },
          ]}
        />
      </FieldRow>
      <FieldRow label="Kept in">
        <Choice
          label="Kept in"
          value={formula.keep.placeId ?? ''}
          onChange={(placeId) => setPlace(placeId)}
          options={[
            { value: '', name: 'nobody said' },
            ...kitchen.places.map(({ id, name, atC }) => ({ value: id, name: `${name}, ${voice.show(atC, 'temperature')}` })),
          ]}
        />
      </FieldRow>
      <FieldRow label="Pieces a pack">
        <PlainField path="/keep/piecesPerPack" label="Pieces a pack" />
      </FieldRow>
      <FieldRow label="Sell within">
        <PlainField path="/keep/sellWithinDays" label="Sell within days" /> days
      </FieldRow>
      <Note size="small" pt={2}>
        Room {voice.exact(kitchen.roomC, 'temperature')}, air {Math.round(kitchen.humidityShare * 100)} % damp.
      </Note>
    </Box>
  );
}

/** A plain count: read as a percent field without its unit. */
function PlainField({ path, label }: { path: string; label: string }) {
  return <FormulaField path={path} label={label} kind="percent" hideUnit digits={0} width={62} />;
}

const eating = { snaps: 'snaps', bends: 'bends', soft: 'is soft' };

function KeepPicture() {
  const voice = useVoice();
  const { evaluation } = useAnswer();
  const units = usePreferences((state) => state.units);
  const formula = useFormula();
  if (evaluation.keep.state === 'waiting') return <Waiting stage="keep" />;
  const { result } = evaluation.keep;
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ fontSize: typeSize.small }}>
        Packed today it <b>{eating[result.word]}</b>
        {result.word === 'snaps' && (
          <>
            {' '}
            for{' '}
            <b>
              {result.openEnded
                ? `over ${result.crispDays.value} days`
                : `${Math.floor(result.crispDays.value)} ± ${Math.max(1, Math.round(result.crispDays.sd))} days`}
            </b>
          </>
        )}
        ; on an open tray {result.openTrayHours === null ? 'it stays crisp at this humidity' : `${result.openTrayHours.toFixed(0)} h`}.
      </Box>
      <UptakeCurve result={result} sellWithinDays={formula.keep.sellWithinDays} />
      <CoolingCurve result={result} />
      <ForLater result={result} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2 }}>
        <Fact label="water activity, day 0" value={result.waterActivity.toFixed(2)} />
        <Fact label="soft above, moisture" value={`${(result.softAboveMoistureShare * 100).toFixed(1)} %`} />
        <Fact label="when packed" value={showQuantity(result.packedAtC, 'temperature', units, 0)} />
        <Fact label="each, baked" value={showQuantity(result.bakedPieceG, 'mass', units)} />
      </Box>
      <Note size="small">
        A forecast, not a shelf life: date it by your own tests and local rules. What holds cream, custard, egg or cheese belongs at{' '}
        {voice.show(saidFacts.fridgeC, 'temperature')} or colder and stands out four hours at most. How tight your tin is, is a guess until
        one was weighed over a week.
      </Note>
    </Box>
  );
}

/** From the oven to the pack: the middle against minutes, and when it may be packed. */
function CoolingCurve({ result }: { result: KeepResult }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const units = usePreferences((state) => state.units);
  const { cooling, coolMin } = result;
  const { data, layout, columns } = useMemo(() => {
    const shown = (c: number) => inUnits(c, 'temperature', units);
    const { min, middleC } = cooling.curve;
    return {
      data: [
        {
          x: min as number[],
          y: middleC.map(shown),
          mode: 'lines' as const,
          name: 'middle',
          line: { color: palette.leaf.heat, width: 2.4 },
        },
      ],
      layout: {
        margin: { t: 14, r: 12, b: 34, l: 44 },
        xaxis: { title: { text: 'minutes out of the oven', standoff: 4 }, range: [0, Math.max(min[min.length - 1]!, 1)] },
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
        annotations: [{ x: coolMin, y: 0.9, yref: 'paper' as const, text: 'packed ', showarrow: false, xanchor: 'right' as const }],
      },
      columns: [
        { name: 'min', values: min },
        { name: 'middle', values: middleC.map(shown), digits: 0 },
      ],
    };
  }, [cooling, coolMin, palette, units]);
  return (
    <Box component="section" aria-label="Cooling">
      <Box sx={{ fontSize: typeSize.small }}>
        {cooling.packableMin === null ? (
          'It does not cool far enough to be packed within four hours more.'
        ) : (
          <>
            Cool enough to pack after <b>{showDuration(Math.max(1, Math.round(cooling.packableMin)))}</b>.
          </>
        )}
      </Box>
      <Plot
        summary={`Cools to ${voice.show(result.packedAtC, 'temperature')} in ${Math.round(coolMin)} min.`}
        data={data}
        layout={layout}
        height={140}
        columns={columns}
      />
    </Box>
  );
}

/** Soft again, frozen, or kept too long: what to do for another day. */
function ForLater({ result }: { result: KeepResult }) {
  const voice = useVoice();
  const units = usePreferences((state) => state.units);
  const { bringBack, coldBecause, crustSoft, freezing, mouldFreeDays, needsCold } = result;
  return (
    <Box component="ul" aria-label="For later" sx={{ m: 0, pl: 5, fontSize: typeSize.small, display: 'grid', gap: 1 }}>
      {crustSoft && (
        <li>
          {crustSoft.goesOn === 'baked'
            ? 'The filling bakes with the crust: its base is soft from the start, its rim longer crisp.'
            : crustSoft.hours === null
              ? 'The filling is dry enough to leave the crust crisp.'
              : `Once it is filled, the crust is soft after about ${crustSoft.hours < 1 ? 'half an hour' : `${Math.round(crustSoft.hours)} h`}: fill it at serving.`}
        </li>
      )}
      {needsCold && (
        <li>
          <b>Needs the cold:</b> {coldBecause.map((name) => name.split(/[,(]/)[0]!.trim().toLowerCase()).join(', ')}.{' '}
          {voice.show(saidFacts.fridgeC, 'temperature')} or colder, four hours out at most. Local rules win.
        </li>
      )}
      {bringBack && (
        <li>
          Gone soft: back to crisp at {showQuantity(bringBack.wantC, 'temperature', units, 0)} in{' '}
          {bringBack.min === null ? (
            'more than 45 min: bake it anew instead'
          ) : (
            <b>about {showDuration(Math.max(1, Math.round(bringBack.min)))}</b>
          )}
          , then cool it bare.
        </li>
      )}
      {freezing && freezing.frozenMin !== null && (
        <li>
          To freeze: cool and pack it first, frozen through in about {showDuration(Math.round(freezing.frozenMin))}; thawed in its closed
          pack in {freezing.thawedMin === null ? 'some hours' : `about ${showDuration(Math.max(5, Math.round(freezing.thawedMin)))}`}, so
          that dew falls on the pack.
        </li>
      )}
      {!needsCold && (
        <li>
          {mouldFreeDays === null
            ? 'Too dry for mould in its pack, or frozen, as long as it stays so.'
            : `By its wettest part mould is likely after about ${Math.floor(mouldFreeDays)} ${Math.floor(mouldFreeDays) === 1 ? 'day' : 'days'} where it is kept; half of that is safer.`}
        </li>
      )}
    </Box>
  );
}

function UptakeCurve({ result, sellWithinDays }: { result: KeepResult; sellWithinDays: number }) {
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
          name: 'water activity',
          line: { color: palette.info.main, width: 2.4 },
        },
      ],
      layout: {
        xaxis: { title: { text: 'days in the pack' }, range: [0, last] },
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
            text: ' bends above',
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'bottom' as const,
            font: { color: palette.error.main },
          },
          {
            x: 0,
            xref: 'paper' as const,
            y: halfAw - width,
            text: ' snaps',
            showarrow: false,
            xanchor: 'left' as const,
            yanchor: 'top' as const,
            font: { color: palette.primary.main },
          },
          {
            x: sellWithinDays,
            y: 0.98,
            yref: 'paper' as const,
            text: 'last sold ',
            showarrow: false,
            xanchor: 'right' as const,
            yanchor: 'top' as const,
          },
        ],
      },
      columns: [
        { name: 'days', values: days },
        { name: 'activity', values: activity, digits: 2 },
        { name: 'moisture %', values: moistureShare.map((share) => share * 100) },
      ],
    };
  }, [result, sellWithinDays, palette]);
  return (
    <Plot
      summary={`Water activity rises from ${result.waterActivity.toFixed(2)}; it bends above ${crispLoss.values.halfAw}.`}
      data={data}
      layout={layout}
      height={290}
      columns={columns}
    />
  );
}
