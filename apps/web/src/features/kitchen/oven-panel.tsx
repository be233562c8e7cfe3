import { useMemo, useState } from 'react';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  dialFor,
  dialWords,
  ovenShelves,
  ovenSides,
  type HotSpot,
  type Kitchen,
  type Oven,
  type OvenCare,
  showQuantity,
  saidFacts,
  inUnits,
  unitOf,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { typeSize, under } from '../../ui/theme/theme';
import { outside } from '../../ui/form/limits';
import { usePreferences, useVoice, useUnits } from '../../platform/preferences';
import { Plot } from '../../ui/drawing/plot';
import { QuantityField } from '../../ui/form/quantity-field';
import { useDoInKitchen } from './use-kitchen';
import { notify } from '../../platform/notices';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';
import type { OvenReading } from '@north-leaf/core';
import type { Dispatch, SetStateAction } from 'react';

type Props = { readonly oven: Oven; readonly kitchen: Kitchen; readonly care: OvenCare };
const WANTS_C = [150, 165, 180, 200, 220];

/** What is typed of the map, a side each. */
type TypedSpots = Partial<Record<HotSpot['side'], number>>;

/** What an oven really does: dial against air, where it is hotter, how long it takes to heat, how fast it gives its heat. */
export function OvenPanel({ oven, kitchen, care }: Props) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 190px', gap: 5, [under.split]: { gridTemplateColumns: '1fr' } }}>
      <HotSpots key={oven.id} oven={oven} />
      <SetDial oven={oven} />
      <DialAndTruth oven={oven} />
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Heating oven={oven} />
        <HeatTransfer oven={oven} kitchen={kitchen} care={care} />
      </Box>
    </Box>
  );
}

/** Stores a changed oven; what failed is said in passing. */
function useStoreOven(): (name: string, oven: Oven) => void {
  const act = useDoInKitchen();
  return (name, oven) => {
    act(name, { kind: 'thing', list: 'ovens', thing: oven }).catch((error: Error) =>
      notify(t('common.notStoredMessage', { message: error.message }), 'error'),
    );
  };
}

const sideWords: Readonly<Record<HotSpot['side'], string>> = {
  backLeft: t('kitchen.backLeft'),
  back: t('kitchen.back'),
  backRight: t('kitchen.backRight'),
  left: t('common.left'),
  centre: t('kitchen.centre'),
  right: t('kitchen.right'),
  doorLeft: t('kitchen.doorLeft'),
  door: t('kitchen.door'),
  doorRight: t('kitchen.doorRight'),
};

function HotSpots({ oven }: { oven: Oven }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const store = useStoreOven();
  const [shelf, setShelf] = useState<HotSpot['shelf']>('middle');
  const [typed, setTyped] = useState<TypedSpots | null>(null);
  const spots = oven.hotSpots ?? [];
  const at = (side: HotSpot['side']) => spots.find((one) => one.shelf === shelf && one.side === side)?.aboveC ?? null;
  const keep = () => {
    const of = (side: HotSpot['side']) => typed?.[side] ?? at(side);
    const others = spots.filter((one) => one.shelf !== shelf);
    const here = ovenSides.flatMap((side): HotSpot[] => (of(side) === null ? [] : [{ shelf, side, aboveC: of(side)! }]));
    store(t('kitchen.mapOfNameStored', { name: oven.name }), { ...oven, hotSpots: [...others, ...here] });
    setTyped(null);
  };
  const wrong = Object.values(typed ?? {}).some((value) => Math.abs(value) > 60);
  return (
    <Box component="section" aria-label={t('kitchen.whereItIsHotter')}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, pb: 2, flexWrap: 'wrap' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t('kitchen.whereItIsHotter')}
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={shelf}
          onChange={(_, next) => next && setShelf(next)}
          aria-label={t('kitchen.shelf')}
        >
          {ovenShelves.map((one) => (
            <ToggleButton key={one} value={one}>
              {one}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', display: 'flex', justifyContent: 'space-between', pb: 1 }}>
        <span>{t('kitchen.back')}</span>
        <span>{t('kitchen.valueAboveTheMiddleOfTheMiddle', { value: unitOf('difference', voice.units) })}</span>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(3, 1fr)',
          gap: 1,
          border: `2px solid ${palette.leaf.edge}`,
          borderRadius: '8px',
          p: 1,
        }}
      >
        {ovenSides.map((side) => {
          const above = at(side);
          const depth = above === null ? 0 : Math.max(0, Math.min(1, (above + 4) / 12));
          return <Spot key={side} above={above} depth={depth} setTyped={setTyped} side={side} typed={typed} />;
        })}
      </Box>
      <MapEnd keep={keep} setTyped={setTyped} shelf={shelf} spots={spots} typed={typed} wrong={wrong} />
      {typed && (
        <Note>{t('kitchen.moveTheThermometerFromPlaceToPlace', { flourTest: voice.show(saidFacts.flourTestC, 'temperature') })}</Note>
      )}
    </Box>
  );
}

/** One place of the shelf, measured or not. */
function Spot({
  above,
  depth,
  setTyped,
  side,
  typed,
}: {
  readonly above: number | null;
  readonly depth: number;
  readonly setTyped: (typed: TypedSpots) => void;
  readonly side: HotSpot['side'];
  readonly typed: TypedSpots | null;
}) {
  const { palette } = useTheme();
  const voice = useVoice();
  return (
    <Box
      sx={{
        minHeight: 48,
        display: 'grid',
        placeItems: 'center',
        borderRadius: '6px',
        fontWeight: 680,
        bgcolor:
          above === null
            ? palette.leaf.well
            : `color-mix(in srgb, ${palette.leaf.heat} ${Math.round(depth * 45)}%, ${palette.background.paper})`,
      }}
    >
      {typed ? (
        <QuantityField
          label={t('kitchen.sidewordsAbove', { sideWords: sideWords[side] })}
          kind="difference"
          hideUnit
          width={52}
          value={typed[side] ?? above ?? 0}
          onChange={(value) => setTyped({ ...typed, [side]: value })}
          problem={outside(typed[side] ?? 0, -60, 60, 'difference', voice)}
        />
      ) : (
        <span
          aria-label={`${sideWords[side]}: ${above === null ? t('common.notMeasured') : t('kitchen.aboveAbove', { above: voice.show(above, 'difference') })}`}
        >
          {above === null ? '?' : `${above > 0 ? '+' : ''}${voice.bare(above, 'difference')}`}
        </span>
      )}
    </Box>
  );
}

/** The door, and storing the map. */
function MapEnd({
  keep,
  setTyped,
  shelf,
  spots,
  typed,
  wrong,
}: {
  readonly keep: () => void;
  readonly setTyped: Dispatch<SetStateAction<TypedSpots | null>>;
  readonly shelf: HotSpot['shelf'];
  readonly spots: readonly HotSpot[];
  readonly typed: TypedSpots | null;
  readonly wrong: boolean;
}) {
  return (
    <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', display: 'flex', justifyContent: 'space-between', pt: 1 }}>
      <span>{t('kitchen.door')}</span>
      {typed ? (
        <span>
          <Button size="small" disabled={wrong} onClick={keep}>
            {t('kitchen.storeTheMap')}
          </Button>
          <Button size="small" onClick={() => setTyped(null)}>
            {t('common.leaveIt')}
          </Button>
        </span>
      ) : (
        <Button size="small" onClick={() => setTyped({})} sx={{ minHeight: 24 }}>
          {spots.some((one) => one.shelf === shelf) ? t('kitchen.changeTheMap') : t('kitchen.mapThisShelf')}
        </Button>
      )}
    </Box>
  );
}

function SetDial({ oven }: { oven: Oven }) {
  const units = usePreferences((state) => state.units);
  const { palette } = useTheme();
  return (
    <Section title={t('kitchen.setDialToGet')} space={2}>
      <Box
        component="table"
        sx={{ width: '100%', borderCollapse: 'collapse', '& td, & th': { py: 1.5, borderBottom: `1px solid ${palette.divider}` } }}
      >
        <thead>
          <tr>
            <th style={{ textAlign: 'left', fontSize: typeSize.caption }}>{t('common.want')}</th>
            <th style={{ textAlign: 'right', fontSize: typeSize.caption }}>{t('common.dial')}</th>
          </tr>
        </thead>
        <tbody>
          {WANTS_C.map((want) => (
            <tr key={want}>
              <td>{showQuantity(want, 'temperature', units, 0)}</td>
              <td style={{ textAlign: 'right', fontWeight: 680 }}>{dialWords(oven.dialUnit, dialFor(oven, want))}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      {oven.readings.length === 0 && <Note pt={1}>{t('kitchen.neverMeasuredTheDialIsTakenAt')}</Note>}
    </Section>
  );
}

function DialAndTruth({ oven }: { oven: Oven }) {
  const voice = useVoice();
  const store = useStoreOven();
  const { readings } = oven;
  const { data, layout, columns } = useDialTraces(oven, readings);
  return (
    <Section title={t('kitchen.dialAndTruth')}>
      <Plot
        summary={
          readings.length > 0
            ? t('kitchen.readingsReadingsOfNameAgainstItsDial', { readings: readings.length, name: oven.name })
            : t('kitchen.nameHasNoReadingsYet', { name: oven.name })
        }
        data={data}
        layout={layout}
        height={230}
        columns={columns}
      />
      {readings.map((reading) => (
        <Box key={`${reading.dialC} ${reading.at}`} sx={{ display: 'flex', alignItems: 'center', gap: 2, fontSize: typeSize.small }}>
          <span>
            {t('kitchen.dialunitOnTheDialTrueInThe', {
              dialUnit: dialWords(oven.dialUnit, reading.dialC),
              true: voice.show(reading.trueC, 'temperature'),
              at: reading.at.slice(0, 10),
            })}
          </span>
          <IconButton
            size="small"
            aria-label={t('kitchen.removeTheReadingAtDialunit', { dialUnit: dialWords(oven.dialUnit, reading.dialC) })}
            onClick={() =>
              store(t('kitchen.readingOfNameRemoved', { name: oven.name }), {
                ...oven,
                readings: readings.filter((one) => one !== reading),
              })
            }
          >
            <CloseIcon fontSize="inherit" />
          </IconButton>
        </Box>
      ))}
    </Section>
  );
}

/** What the oven gives against its dial, and the dial that is true. */
function useDialTraces(oven: Oven, readings: readonly OvenReading[]) {
  const units = useUnits();
  const { palette } = useTheme();
  const { data, layout, columns } = useMemo(() => {
    const unit = unitOf('temperature', units);
    const shown = (c: number) => inUnits(c, 'temperature', units);
    const x = [120, 240];
    const byDial = [...readings].sort((a, b) => a.dialC - b.dialC);
    // The dial that gives an air temperature, read the other way round, is the line of this oven.
    const line = Array.from({ length: 13 }, (_, i) => 120 + 10 * i).map((trueC) => ({ trueC, dialC: dialFor(oven, trueC) }));
    return {
      data: [
        {
          x,
          y: x,
          mode: 'lines' as const,
          name: t('kitchen.dialIsTrue'),
          line: { color: palette.text.secondary, width: 1.5, dash: 'dash' as const },
        },
        ...(readings.length > 0
          ? [
              {
                x: line.map(({ dialC }) => shown(dialC)),
                y: line.map(({ trueC }) => shown(trueC)),
                mode: 'lines' as const,
                name: oven.name,
                line: { color: palette.leaf.heat, width: 2.4 },
              },
              {
                x: byDial.map(({ dialC }) => shown(dialC)),
                y: byDial.map(({ trueC }) => shown(trueC)),
                mode: 'markers' as const,
                name: t('kitchen.read'),
                marker: { size: 10, color: palette.background.paper, line: { color: palette.text.primary, width: 2 } },
              },
            ]
          : []),
      ],
      layout: {
        xaxis: { title: { text: t('kitchen.dialUnit', { unit }) }, range: [shown(115), shown(245)] },
        yaxis: { range: [shown(115), shown(255)], ticksuffix: ` ${unit}` },
        annotations: [
          { x: shown(226), y: shown(200), text: t('kitchen.dialIsTrue'), showarrow: false, font: { color: palette.text.secondary } },
          ...(readings.length > 0
            ? [{ x: shown(140), y: shown(175), text: oven.name, showarrow: false, font: { color: palette.leaf.heat } }]
            : [
                {
                  x: shown(180),
                  y: shown(205),
                  text: t('kitchen.noReadingsYet'),
                  showarrow: false,
                  font: { color: palette.text.secondary },
                },
              ]),
        ],
      },
      columns: [
        { name: t('kitchen.dialUnit2', { unit }), values: byDial.map(({ dialC }) => shown(dialC)), digits: 0 },
        { name: t('kitchen.airUnit', { unit }), values: byDial.map(({ trueC }) => shown(trueC)), digits: 0 },
      ],
    };
  }, [oven, readings, palette, units]);
  return { data, layout, columns };
}

function Heating({ oven }: { oven: Oven }) {
  const store = useStoreOven();
  const held = oven.heating?.[0];
  const [min, setMin] = useState<number | null>(null);
  const wrong = min !== null && (min < 1 || min > 180);
  return (
    <Section title={t('kitchen.timeToHeat')}>
      <Note size="small" pb={1}>
        {t('kitchen.fromColdToDialunitOnTheDial', {
          dialUnit: dialWords(oven.dialUnit, held?.dialC ?? 180),
          word: held ? '' : t('kitchen.notTimedYet14MinAreAssumed'),
        })}
      </Note>
      <QuantityField
        label={t('kitchen.minutesToHeat')}
        kind="minutes"
        value={min ?? held?.min ?? 14}
        onChange={setMin}
        problem={wrong ? t('kitchen.mustBeFrom1To180Min') : undefined}
      />
      {min !== null && !wrong && (
        <Button
          size="small"
          onClick={() => {
            store(t('kitchen.heatingOfNameStored', { name: oven.name }), { ...oven, heating: [{ dialC: held?.dialC ?? 180, min }] });
            setMin(null);
          }}
        >
          {t('common.store')}
        </Button>
      )}
    </Section>
  );
}

function HeatTransfer({ oven, kitchen, care }: Props) {
  const act = useDoInKitchen();
  const from = kitchen.learned.find(({ what, about }) => what === 'ovenHeatFactor' && about === oven.id)?.from;
  return (
    <Section title={t('kitchen.howFastItGivesItsHeat')}>
      {care.heat ? (
        <>
          <Box sx={{ fontSize: typeSize.body }}>
            <Sentence say="kitchen.valueSdTimesAnOvenOfIts" values={{ value: care.heat.value.toFixed(2), sd: care.heat.sd.toFixed(2) }} />
          </Box>
          {from && <Note>{from}</Note>}
          <Button
            size="small"
            onClick={() =>
              void act(t('kitchen.whatWasWeighedForNameForgotten', { name: oven.name }), {
                kind: 'ovenHeat',
                ovenId: oven.id,
                heat: null,
              }).catch((error: Error) => notify(t('kitchen.notForgottenMessage', { message: error.message }), 'error'))
            }
          >
            {t('kitchen.forgetIt')}
          </Button>
        </>
      ) : (
        <Note size="small">{t('kitchen.notKnownYetWeighOneTrayBefore')}</Note>
      )}
    </Section>
  );
}
