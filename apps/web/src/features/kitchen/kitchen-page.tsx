import { useState } from 'react';
import AddIcon from '@mui/icons-material/Add';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { Link, useParams } from 'react-router';
import {
  ovenCare,
  type Cutter,
  type Kitchen,
  type Oven,
  type OvenCare,
  type Pan,
  type Place,
  type Tray,
  type KitchenList,
  type KitchenThings,
  ovenKindWords,
  placeKindWords,
  trayMaterialWords,
  cutterKindWords,
  showQuantity,
  showValue,
  type Units,
  saidFacts,
} from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize, under } from '../../ui/theme/theme';
import { ErrorPage } from '../../platform/error-page';
import { usePreferences, useVoice } from '../../platform/preferences';
import { Leaf } from '../../ui/frame/leaf';
import { Page } from '../../ui/frame/page';
import { UnitToggle } from '../../ui/form/unit-toggle';
import { kitchenQuery } from './api';
import { JudgementsSheet } from './judgements-sheet';
import { LearnedSheet } from './learned-sheet';
import { MeasureOven } from './measure-oven';
import { OvenPanel } from './oven-panel';
import { RollingMat } from './rolling-mat';
import { RoomAir } from './room-air';
import { emptyThing, ThingForm } from './thing-form';
import { useKitchenUndoKey } from './use-kitchen';
import { careWords, lists, nextWords } from './words';
import { t } from '../../platform/words';
import { Sentence } from '../../ui/words/sentence';

type Open = { readonly list: KitchenList; readonly thing: KitchenThings[KitchenList]; readonly isNew: boolean };

/** The kitchen as it is: ovens with what their dials really give, cold places, trays, pans, cutters and the air. */
export function KitchenPage() {
  const { list, id } = useParams();
  const { data: kitchen, error } = useQuery(kitchenQuery);
  const { undo, undoable } = useKitchenUndoKey();
  if (error) return <ErrorPage error={error} />;
  return (
    <Page
      title={t('common.kitchen')}
      beside={
        kitchen
          ? t('kitchen.ovensPlacesTraysOfTraysAndPans', {
              ovens: t('kitchen.countedOvens', { count: kitchen.ovens.length }),
              places: t('kitchen.countedPlaces', { count: kitchen.places.length }),
              trays: t('kitchen.countedKinds', { count: kitchen.trays.length + (kitchen.pans?.length ?? 0) }),
            })
          : ' '
      }
      actions={
        <>
          <IconButton size="small" aria-label={t('common.undo')} disabled={!undoable} onClick={undo} title={t('common.undoCtrlZ')}>
            <UndoIcon fontSize="small" />
          </IconButton>
          <UnitToggle />
        </>
      }
    >
      {kitchen ? (
        <Loaded key={list === 'ovens' ? list : `${list} ${id}`} kitchen={kitchen} ovenId={id} first={thingAt(kitchen, list, id)} />
      ) : (
        <Skeleton height={400} role="status" aria-busy aria-label={t('kitchen.loadingTheKitchen')} />
      )}
    </Page>
  );
}

/** What an address opens: a tray, a pan, a place; an oven stands in the middle of the page. */
function thingAt(kitchen: Kitchen, list: string | undefined, id: string | undefined): Open | null {
  if (list === undefined || !(list in lists) || list === 'ovens') return null;
  const of = list as KitchenList;
  const thing = (kitchen[of] as readonly KitchenThings[KitchenList][] | undefined)?.find((one) => one.id === id);
  return thing ? { list: of, thing, isNew: false } : null;
}

type LoadedProps = { readonly kitchen: Kitchen; readonly ovenId: string | undefined; readonly first: Open | null };

function Loaded({ kitchen, ovenId, first }: LoadedProps) {
  const [open, setOpen] = useState<Open | null>(first);
  const [measuring, setMeasuring] = useState(false);
  const [judging, setJudging] = useState(false);
  const [learning, setLearning] = useState(false);
  const { palette } = useTheme();
  const column = { borderRight: `1px solid ${palette.divider}`, pr: 3, [under.phone]: { border: 0, pr: 0 } } as const;
  const on = DateTime.now().setZone(kitchen.zone).toISODate() ?? '';
  const oven = kitchen.ovens.find((one) => one.id === ovenId) ?? kitchen.ovens[0];
  const care = oven ? ovenCare(oven, kitchen, on) : null;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '250px 1fr 270px',
        gridTemplateRows: 'auto 1fr',
        gridTemplateAreas: '"ovens main side" "rest main side"',
        columnGap: 5,
        [under.desk]: {
          gridTemplateColumns: '250px 1fr',
          gridTemplateRows: 'auto auto 1fr',
          gridTemplateAreas: '"ovens main" "rest main" "rest side"',
        },
        // On a phone the chosen oven stands right under the ovens, the rest of the kitchen below it.
        [under.phone]: {
          gridTemplateColumns: 'minmax(0, 1fr)',
          gridTemplateRows: 'none',
          gridTemplateAreas: '"ovens" "main" "side" "rest"',
          rowGap: 5,
        },
      }}
    >
      <Box component="nav" aria-label={t('kitchen.ovensOfThisKitchen')} sx={{ ...column, gridArea: 'ovens' }}>
        <Things list="ovens" kitchen={kitchen} chosen={oven?.id} on={on} onOpen={setOpen} />
      </Box>
      <Box sx={{ ...column, gridArea: 'rest' }}>
        <RestOfKitchen kitchen={kitchen} on={on} onOpen={setOpen} onJudge={() => setJudging(true)} onLearn={() => setLearning(true)} />
      </Box>
      {oven && care ? (
        <Box sx={{ gridArea: 'main', minWidth: 0 }}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, pb: 3, flexWrap: 'wrap' }}>
            <Typography variant="h1" component="h2">
              {oven.name}
            </Typography>
            <Box sx={{ display: 'inline-flex', alignItems: 'center', gap: 1, fontSize: typeSize.small }}>
              <Leaf state={stateOfCare(care)} size={14} />
              {careWords(care)}
            </Box>
            <Box sx={{ ml: 'auto', display: 'flex', gap: 2 }}>
              <Button variant="outlined" onClick={() => setOpen({ list: 'ovens', thing: oven, isNew: false })}>
                {t('common.change')}
              </Button>
              <Button variant="contained" onClick={() => setMeasuring(true)}>
                {oven.readings.length > 0 ? t('kitchen.measureAgain') : t('kitchen.measure')}
              </Button>
            </Box>
          </Box>
          <OvenPanel oven={oven} kitchen={kitchen} care={care} />
        </Box>
      ) : (
        <Box sx={{ gridArea: 'main' }}>{t('kitchen.anOvenBelongsHereAddTheOne')}</Box>
      )}
      {oven && care && <Sureness oven={oven} care={care} kitchen={kitchen} on={on} onMeasure={() => setMeasuring(true)} />}
      {open && <ThingForm key={open.thing.id} {...open} onClose={() => setOpen(null)} />}
      {learning && <LearnedSheet kitchen={kitchen} onClose={() => setLearning(false)} />}
      {judging && <JudgementsSheet kitchen={kitchen} onClose={() => setJudging(false)} />}
      {oven && measuring && <MeasureOven key={oven.id} oven={oven} onClose={() => setMeasuring(false)} />}
    </Box>
  );
}

/** Cold, table, rack, trays, pans, the room and what was judged. */
function RestOfKitchen({
  kitchen,
  on,
  onOpen,
  onJudge,
  onLearn,
}: {
  readonly kitchen: Kitchen;
  readonly on: string;
  readonly onOpen: (open: Open) => void;
  readonly onJudge: () => void;
  readonly onLearn: () => void;
}) {
  return (
    <>
      {(Object.keys(lists) as KitchenList[])
        .filter((list) => list !== 'ovens')
        .map((list) => (
          <Things key={list} list={list} kitchen={kitchen} chosen={undefined} on={on} onOpen={onOpen} />
        ))}
      <RollingMat kitchen={kitchen} />
      <RoomAir kitchen={kitchen} />
      <Button size="small" onClick={onJudge} sx={{ mt: 2, display: 'block' }}>
        {t('kitchen.judgements')}
      </Button>
      <Button size="small" onClick={onLearn} sx={{ display: 'block' }}>
        {t('kitchen.learnedFromBakes')}
      </Button>
    </>
  );
}

const stateOfCare = ({ state }: OvenCare) =>
  (state === 'measured' ? 'good' : state === 'due' ? 'watch' : 'waiting') as 'good' | 'watch' | 'waiting';

type ThingsProps = {
  readonly list: KitchenList;
  readonly kitchen: Kitchen;
  readonly chosen: string | undefined;
  readonly on: string;
  readonly onOpen: (open: Open) => void;
};
function Things({ list, kitchen, chosen, on, onOpen }: ThingsProps) {
  const voice = useVoice();
  const units = usePreferences((state) => state.units);
  const { palette } = useTheme();
  const { title } = lists[list];
  const things = (kitchen[list] ?? []) as readonly KitchenThings[KitchenList][];
  const line = {
    width: '100%',
    display: 'flex',
    justifyContent: 'flex-start',
    textAlign: 'left',
    alignItems: 'center',
    gap: 2,
    px: 2,
    py: 1.5,
    minHeight: 44,
    borderBottom: `1px solid ${palette.divider}`,
    borderRadius: '6px',
    color: 'text.primary',
  } as const;
  return (
    <Box component="section" aria-label={title} sx={{ pb: 3 }}>
      <ThingsHead list={list} onOpen={onOpen} title={title} />
      {things.map((thing) => {
        const inside = (
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Box sx={{ fontWeight: 650, fontSize: typeSize.body }}>{thing.name}</Box>
            <Note>{about(list, thing, units)}</Note>
          </Box>
        );
        if (list !== 'ovens') {
          return (
            <ButtonBase
              key={thing.id}
              sx={line}
              onClick={() => onOpen({ list, thing, isNew: false })}
              aria-label={t('kitchen.changeName', { name: thing.name })}
            >
              {inside}
            </ButtonBase>
          );
        }
        const care = ovenCare(thing as Oven, kitchen, on);
        return (
          <ButtonBase
            key={thing.id}
            component={Link}
            to={`/kitchen/ovens/${thing.id}`}
            aria-current={thing.id === chosen ? 'page' : undefined}
            sx={{ ...line, bgcolor: thing.id === chosen ? palette.leaf.firSoft : undefined }}
          >
            {inside}
            <Box sx={{ fontWeight: 680 }}>
              {care.offsetC === null ? '?' : `${care.offsetC >= 0 ? '+' : '−'}${voice.bare(Math.abs(care.offsetC), 'difference', 0)}`}
            </Box>
            <Leaf state={stateOfCare(care)} size={14} />
          </ButtonBase>
        );
      })}
      {things.length === 0 && <Note size="small">{t('kitchen.noneYet')}</Note>}
    </Box>
  );
}

/** Its heading, and adding one. */
function ThingsHead({
  list,
  onOpen,
  title,
}: {
  readonly list: KitchenList;
  readonly onOpen: (open: Open) => void;
  readonly title: string;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center' }}>
      <Typography variant="h2" sx={{ flex: 1 }}>
        {title}
      </Typography>
      <IconButton
        size="small"
        aria-label={t(`kitchen.add.${list}`)}
        onClick={() => onOpen({ list, thing: { ...emptyThing[list], id: crypto.randomUUID() } as KitchenThings[KitchenList], isNew: true })}
      >
        <AddIcon fontSize="small" color="primary" />
      </IconButton>
    </Box>
  );
}

function about(list: KitchenList, thing: KitchenThings[KitchenList], units: Units): string {
  if (list === 'ovens') return ovenKindWords[(thing as Oven).kind];
  if (list === 'places') {
    const { kind, atC } = thing as Place;
    return `${placeKindWords[kind]}, ${showQuantity(atC, 'temperature', units)}`;
  }
  if (list === 'trays') {
    const { count, material } = thing as Tray;
    return `× ${count}, ${trayMaterialWords[material]}`;
  }
  if (list === 'cutters') {
    const { kind, acrossMm, lengthMm } = thing as Cutter;
    const long = kind === 'rectangle' ? ` × ${showQuantity(lengthMm ?? acrossMm, 'length', units)}` : '';
    return `${cutterKindWords[kind]}, ${long === '' ? showQuantity(acrossMm, 'length', units) : showValue(acrossMm, 'length', units)}${long}`;
  }
  const { count, topMm, lengthMm, depthMm, cups } = thing as Pan;
  const size =
    lengthMm === undefined
      ? `Ø ${showQuantity(topMm, 'length', units)}`
      : `${showValue(topMm, 'length', units)} × ${showQuantity(lengthMm, 'length', units)}`;
  return t('kitchen.numberWordSizeDepthDeep', {
    number: count,
    word: cups === undefined ? '' : t('kitchen.cupsCupsOf', { cups }),
    size,
    depth: showQuantity(depthMm, 'length', units),
  });
}

type SurenessProps = {
  readonly oven: Oven;
  readonly care: OvenCare;
  readonly kitchen: Kitchen;
  readonly on: string;
  readonly onMeasure: () => void;
};
/** How sure this oven is, what to measure next, and which other oven is due. */
function Sureness({ oven, care, kitchen, on, onMeasure }: SurenessProps) {
  const voice = useVoice();
  const due = kitchen.ovens.filter((one) => one.id !== oven.id && ovenCare(one, kitchen, on).state !== 'measured');
  return (
    <Box
      component="aside"
      aria-label={t('kitchen.howSureAndWhatNext')}
      sx={{ gridArea: 'side', display: 'grid', gap: 3, alignContent: 'start', fontSize: typeSize.body }}
    >
      <Typography variant="h2">{t('kitchen.howSure')}</Typography>
      <Box>
        <Sentence
          say="kitchen.itsAirMayStraySpreadFromWhat"
          values={{
            spread: voice.exact(care.spreadC, 'difference'),
            word:
              care.state === 'never'
                ? t('kitchen.andNothingOfItIsMeasuredHere')
                : t('kitchen.byReadings', { readings: t('kitchen.countedReadings', { count: care.readings }) }),
          }}
        />
      </Box>
      {care.next && (
        <Box sx={{ bgcolor: 'leaf.well', borderRadius: '8px', p: 3, display: 'grid', gap: 1 }}>
          <b>{t('kitchen.nextWhat', { what: nextWords(voice)[care.next].what.toLowerCase() })}</b>
          <Box sx={{ fontSize: typeSize.small }}>{nextWords(voice)[care.next].why}</Box>
          {(care.next === 'measure' || care.next === 'secondSetting') && (
            <Button variant="outlined" size="small" sx={{ justifySelf: 'start' }} onClick={onMeasure}>
              {t('kitchen.measureName', { name: oven.name })}
            </Button>
          )}
        </Box>
      )}
      {care.turnTrays && care.hottest && (
        <Box sx={{ bgcolor: 'leaf.watchSoft', borderRadius: '8px', p: 3, display: 'grid', gap: 1 }}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <Leaf state="watch" size={16} />
            <b>{t('kitchen.turnTraysAtHalfTime')}</b>
          </Box>
          <Box sx={{ fontSize: typeSize.small }}>
            {t('kitchen.oneSideOfAShelfIsUneven', { uneven: voice.show(care.unevenC ?? 0, 'difference') })}
          </Box>
        </Box>
      )}
      {due.map((one) => (
        <Box key={one.id} sx={{ fontSize: typeSize.small }}>
          <Box component={Link} to={`/kitchen/ovens/${one.id}`} sx={{ color: 'primary.main' }}>
            {one.name}
          </Box>
          : {careWords(ovenCare(one, kitchen, on))}.
        </Box>
      ))}
      <Note>{t('kitchen.coldPlacesReadAThermometerInA', { fridge: voice.show(saidFacts.fridgeC, 'temperature') })}</Note>
    </Box>
  );
}
