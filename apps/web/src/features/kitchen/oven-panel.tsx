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
import { typeSize, under } from '../../ui/theme/theme';
import { outside } from '../../ui/form/limits';
import { usePreferences, useVoice, useUnits } from '../../platform/preferences';
import { Plot } from '../../ui/drawing/plot';
import { QuantityField } from '../../ui/form/quantity-field';
import { useDoInKitchen } from './use-kitchen';
import { notify } from '../../platform/notices';

type Props = { readonly oven: Oven; readonly kitchen: Kitchen; readonly care: OvenCare };
const WANTS_C = [150, 165, 180, 200, 220];

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
    act(name, { kind: 'thing', list: 'ovens', thing: oven }).catch((error: Error) => notify(`Not stored: ${error.message}`, 'error'));
  };
}

const sideWords: Readonly<Record<HotSpot['side'], string>> = {
  backLeft: 'back left',
  back: 'back',
  backRight: 'back right',
  left: 'left',
  centre: 'centre',
  right: 'right',
  doorLeft: 'door left',
  door: 'door',
  doorRight: 'door right',
};

function HotSpots({ oven }: { oven: Oven }) {
  const voice = useVoice();
  const { palette } = useTheme();
  const store = useStoreOven();
  const [shelf, setShelf] = useState<HotSpot['shelf']>('middle');
  const [typed, setTyped] = useState<Partial<Record<HotSpot['side'], number>> | null>(null);
  const spots = oven.hotSpots ?? [];
  const at = (side: HotSpot['side']) => spots.find((one) => one.shelf === shelf && one.side === side)?.aboveC ?? null;
  const keep = () => {
    const of = (side: HotSpot['side']) => typed?.[side] ?? at(side);
    const others = spots.filter((one) => one.shelf !== shelf);
    const here = ovenSides.flatMap((side): HotSpot[] => (of(side) === null ? [] : [{ shelf, side, aboveC: of(side)! }]));
    store(`Map of ${oven.name} stored`, { ...oven, hotSpots: [...others, ...here] });
    setTyped(null);
  };
  const wrong = Object.values(typed ?? {}).some((value) => Math.abs(value) > 60);
  return (
    <Box component="section" aria-label="Where it is hotter">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, pb: 2, flexWrap: 'wrap' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Where it is hotter
        </Typography>
        <ToggleButtonGroup exclusive size="small" value={shelf} onChange={(_, next) => next && setShelf(next)} aria-label="Shelf">
          {ovenShelves.map((one) => (
            <ToggleButton key={one} value={one}>
              {one}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', display: 'flex', justifyContent: 'space-between', pb: 1 }}>
        <span>back</span>
        <span>{unitOf('difference', voice.units)} above the middle of the middle shelf</span>
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
          return (
            <Box
              key={side}
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
                  label={`${sideWords[side]} above`}
                  kind="difference"
                  hideUnit
                  width={52}
                  value={typed[side] ?? above ?? 0}
                  onChange={(value) => setTyped({ ...typed, [side]: value })}
                  problem={outside(typed[side] ?? 0, -60, 60, 'difference', voice)}
                />
              ) : (
                <span aria-label={`${sideWords[side]}: ${above === null ? 'not measured' : `${voice.show(above, 'difference')} above`}`}>
                  {above === null ? '?' : `${above > 0 ? '+' : ''}${voice.bare(above, 'difference')}`}
                </span>
              )}
            </Box>
          );
        })}
      </Box>
      <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', display: 'flex', justifyContent: 'space-between', pt: 1 }}>
        <span>door</span>
        {typed ? (
          <span>
            <Button size="small" disabled={wrong} onClick={keep}>
              Store the map
            </Button>
            <Button size="small" onClick={() => setTyped(null)}>
              Leave it
            </Button>
          </span>
        ) : (
          <Button size="small" onClick={() => setTyped({})} sx={{ minHeight: 24 }}>
            {spots.some((one) => one.shelf === shelf) ? 'Change the map' : 'Map this shelf'}
          </Button>
        )}
      </Box>
      {typed && (
        <Note>
          Move the thermometer from place to place at one setting; ten minutes each. Or sprinkle white rice flour on a tray, six minutes at{' '}
          {voice.show(saidFacts.flourTestC, 'temperature')}, and see where it browns first.
        </Note>
      )}
    </Box>
  );
}

function SetDial({ oven }: { oven: Oven }) {
  const units = usePreferences((state) => state.units);
  const { palette } = useTheme();
  return (
    <Box component="section" aria-label="Set dial to get">
      <Typography variant="h2" sx={{ pb: 2 }}>
        Set dial to get
      </Typography>
      <Box
        component="table"
        sx={{ width: '100%', borderCollapse: 'collapse', '& td, & th': { py: 1.5, borderBottom: `1px solid ${palette.divider}` } }}
      >
        <thead>
          <tr>
            <th style={{ textAlign: 'left', fontSize: typeSize.caption }}>Want</th>
            <th style={{ textAlign: 'right', fontSize: typeSize.caption }}>Dial</th>
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
      {oven.readings.length === 0 && <Note pt={1}>Never measured: the dial is taken at its word.</Note>}
    </Box>
  );
}

function DialAndTruth({ oven }: { oven: Oven }) {
  const units = useUnits();
  const voice = useVoice();
  const { palette } = useTheme();
  const store = useStoreOven();
  const { readings } = oven;
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
          name: 'dial is true',
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
                name: 'read',
                marker: { size: 10, color: palette.background.paper, line: { color: palette.text.primary, width: 2 } },
              },
            ]
          : []),
      ],
      layout: {
        xaxis: { title: { text: `dial, ${unit}` }, range: [shown(115), shown(245)] },
        yaxis: { range: [shown(115), shown(255)], ticksuffix: ` ${unit}` },
        annotations: [
          { x: shown(226), y: shown(200), text: 'dial is true', showarrow: false, font: { color: palette.text.secondary } },
          ...(readings.length > 0
            ? [{ x: shown(140), y: shown(175), text: oven.name, showarrow: false, font: { color: palette.leaf.heat } }]
            : [{ x: shown(180), y: shown(205), text: 'no readings yet', showarrow: false, font: { color: palette.text.secondary } }]),
        ],
      },
      columns: [
        { name: `dial ${unit}`, values: byDial.map(({ dialC }) => shown(dialC)), digits: 0 },
        { name: `air ${unit}`, values: byDial.map(({ trueC }) => shown(trueC)), digits: 0 },
      ],
    };
  }, [oven, readings, palette, units]);
  return (
    <Box component="section" aria-label="Dial and truth">
      <Typography variant="h2">Dial and truth</Typography>
      <Plot
        summary={
          readings.length > 0 ? `${readings.length} readings of ${oven.name} against its dial.` : `${oven.name} has no readings yet.`
        }
        data={data}
        layout={layout}
        height={230}
        columns={columns}
      />
      {readings.map((reading) => (
        <Box key={`${reading.dialC} ${reading.at}`} sx={{ display: 'flex', alignItems: 'center', gap: 2, fontSize: typeSize.small }}>
          <span>
            {dialWords(oven.dialUnit, reading.dialC)} on the dial, {voice.show(reading.trueC, 'temperature')} in the oven,{' '}
            {reading.at.slice(0, 10)}
          </span>
          <IconButton
            size="small"
            aria-label={`Remove the reading at ${dialWords(oven.dialUnit, reading.dialC)}`}
            onClick={() => store(`Reading of ${oven.name} removed`, { ...oven, readings: readings.filter((one) => one !== reading) })}
          >
            <CloseIcon fontSize="inherit" />
          </IconButton>
        </Box>
      ))}
    </Box>
  );
}

function Heating({ oven }: { oven: Oven }) {
  const store = useStoreOven();
  const held = oven.heating?.[0];
  const [min, setMin] = useState<number | null>(null);
  const wrong = min !== null && (min < 1 || min > 180);
  return (
    <Box component="section" aria-label="Time to heat">
      <Typography variant="h2">Time to heat</Typography>
      <Note size="small" pb={1}>
        From cold to {dialWords(oven.dialUnit, held?.dialC ?? 180)} on the dial, light off.{' '}
        {held ? '' : 'Not timed yet: 14 min are assumed.'}
      </Note>
      <QuantityField
        label="Minutes to heat"
        kind="minutes"
        value={min ?? held?.min ?? 14}
        onChange={setMin}
        problem={wrong ? 'must be from 1 to 180 min' : undefined}
      />
      {min !== null && !wrong && (
        <Button
          size="small"
          onClick={() => {
            store(`Heating of ${oven.name} stored`, { ...oven, heating: [{ dialC: held?.dialC ?? 180, min }] });
            setMin(null);
          }}
        >
          Store
        </Button>
      )}
    </Box>
  );
}

function HeatTransfer({ oven, kitchen, care }: Props) {
  const act = useDoInKitchen();
  const from = kitchen.learned.find(({ what, about }) => what === 'ovenHeatFactor' && about === oven.id)?.from;
  return (
    <Box component="section" aria-label="How fast it gives its heat">
      <Typography variant="h2">How fast it gives its heat</Typography>
      {care.heat ? (
        <>
          <Box sx={{ fontSize: typeSize.body }}>
            <b>
              {care.heat.value.toFixed(2)} ± {care.heat.sd.toFixed(2)}
            </b>{' '}
            times an oven of its kind
          </Box>
          {from && <Note>{from}</Note>}
          <Button
            size="small"
            onClick={() =>
              void act(`What was weighed for ${oven.name} forgotten`, { kind: 'ovenHeat', ovenId: oven.id, heat: null }).catch(
                (error: Error) => notify(`Not forgotten: ${error.message}`, 'error'),
              )
            }
          >
            Forget it
          </Button>
        </>
      ) : (
        <Note size="small">Not known yet. Weigh one tray before and after, on the Bake board of a formula.</Note>
      )}
    </Box>
  );
}
