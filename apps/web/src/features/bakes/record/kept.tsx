import type { PantryBook } from '@north-leaf/contracts';
import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { v4 } from 'uuid';
import { canBegin, keptEggOf, keptFor, leftOvers, standingEvents, type LeftOver, showQuantity, unitOf } from '@north-leaf/core';
import type { FormulaVersion, Run } from '@north-leaf/contracts';
import { Note } from '../../../ui/frame/note';
import { typeSize } from '../../../ui/theme/theme';
import { readMeasure } from '../read-measure';
import { benchIso } from '../../../platform/bench-clock';
import { usePreferences, useVoice } from '../../../platform/preferences';
import { kitchenQuery } from '../../kitchen/doors';
import { pantryQuery } from '../../pantry/doors';
import { useAddEvents } from '../api';
import { Section } from '../../../ui/frame/section';
import { t } from '../../../platform/words';
import type { Lot, Happened, Kitchen, RunStep } from '@north-leaf/core';

const leftWords: Readonly<Record<LeftOver, string>> = {
  dough: t('common.dough'),
  shaped: t('bakes.rawPieces'),
  baked: t('bakes.bakedPieces'),
  crumb: t('bakes.crumbGround'),
  egg: t('bakes.restOfAnEgg'),
};

/** What the run left: a lot of the pantry each, with where it lies, until when, and what it is enough for. */
export function Kept({ bake, version }: { bake: Run; version: FormulaVersion }) {
  const { data: kitchen } = useQuery(kitchenQuery);
  const { data: pantry } = useQuery(pantryQuery);
  if (!kitchen || !pantry) return null;
  const left = standingEvents(bake.events).flatMap(({ what: one, stepKey }) =>
    one.kind === 'leftOver' ? [{ one, share: bake.steps.find(({ key, forGood }) => key === stepKey && forGood !== undefined) }] : [],
  );
  return (
    <Section title={t('bakes.keptFromIt')} space={1}>
      {left.map(({ one, share }) => {
        const lot = pantry.lots[one.lotId];
        const enough = keptFor(
          { what: one.what, amountG: lot?.onHandG ?? one.amountG, placeId: one.placeId, on: pantry.on },
          { formula: version.formula, kitchen, pantry },
          version.evaluation,
        ).pieces;
        return <KeptLot key={one.lotId} bake={bake} enough={enough} kitchen={kitchen} lot={lot} one={one} share={share} />;
      })}
      <KeepMore bake={bake} version={version} kitchen={kitchen} pantry={pantry} />
    </Section>
  );
}

/** What is left, how much, and where it goes. */
function KeepMore({
  bake,
  version,
  kitchen,
  pantry,
}: {
  readonly bake: Run;
  readonly version: FormulaVersion;
  readonly kitchen: Kitchen;
  readonly pantry: PantryBook;
}) {
  const keeping = useKeeping(bake, kitchen, pantry, version);
  const { value, kept, add, what, place, setText, setWhat, possible, text, problem, setPlaceId } = keeping;
  const store = () => {
    if (value === undefined || !kept) return;
    add.mutate(
      [{ id: v4(), at: benchIso(), what: { kind: 'leftOver', lotId: v4(), what, amountG: value, placeId: place, useByOn: kept.useByOn } }],
      {
        onSuccess: () => setText(''),
      },
    );
  };
  const { units } = usePreferences();
  return (
    <>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start', pt: 2 }}>
        <TextField
          select
          size="small"
          label={t('bakes.whatIsLeft')}
          value={what}
          onChange={({ target }) => setWhat(target.value as LeftOver)}
          sx={{ minWidth: 140 }}
        >
          {possible.map((one) => (
            <MenuItem key={one} value={one}>
              {leftWords[one]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          label={t('bakes.howMuchValue', { value: unitOf('mass', units) })}
          value={text}
          error={problem !== null}
          helperText={
            problem ??
            (kept
              ? t('bakes.useByUsebyonWord', {
                  useByOn: kept.useByOn,
                  word: kept.pieces === null ? '' : t('bakes.enoughForPieces', { pieces: kept.pieces }),
                })
              : ' ')
          }
          onChange={({ target }) => setText(target.value)}
          slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off', style: { width: 110 } } }}
        />
        <TextField
          select
          size="small"
          label={t('bakes.where')}
          value={place}
          onChange={({ target }) => setPlaceId(target.value)}
          sx={{ minWidth: 130 }}
        >
          {kitchen.places.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" disabled={value === undefined || problem !== null || add.isPending} onClick={store}>
          {t('bakes.keepIt')}
        </Button>
      </Box>
      {(canBegin(what) || what === 'egg') && value !== undefined && <Note>{t('bakes.daysAreAJudgementShorterWithRaw')}</Note>}
      {add.isError && <Alert severity="error">{add.error.message}</Alert>}
    </>
  );
}

/** What is left, how much of it, where it goes, and until when it may be used. */
function useKeeping(bake: Run, kitchen: Kitchen, pantry: PantryBook, version: FormulaVersion) {
  const voice = useVoice();
  const add = useAddEvents(bake.id);
  const [what, setWhat] = useState<LeftOver>('dough');
  const [text, setText] = useState('');
  const [placeId, setPlaceId] = useState('');
  const place = placeId || kitchen.places.find(({ kind }) => kind === 'freezer')?.id || kitchen.places[0]?.id || '';
  const { value, problem } = readMeasure('rawG', text, voice, t('bakes.it'));
  const kept =
    value === undefined
      ? null
      : keptFor({ what, amountG: value, placeId: place, on: pantry.on }, { formula: version.formula, kitchen, pantry }, version.evaluation);
  const possible = leftOvers.filter((one) => one !== 'egg' || keptEggOf(version.formula, version.pantry) !== null);
  return { value, kept, add, what, place, setText, setWhat, possible, text, problem, setPlaceId };
}

/** What is left of it, and what can be made of that. */
function KeptLot({
  bake,
  enough,
  kitchen,
  lot,
  one,
  share,
}: {
  readonly bake: Run;
  readonly enough: number | null;
  readonly kitchen: Kitchen;
  readonly lot: Lot | undefined;
  readonly one: Extract<Happened, { kind: 'leftOver' }>;
  /** The step that cut it off for a good. */ readonly share: RunStep | undefined;
}) {
  const { units } = usePreferences();
  const of = share?.forGood ?? bake;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', fontSize: typeSize.body, py: 1 }}>
      <b>{leftWords[one.what]}</b> {showQuantity(lot?.onHandG ?? one.amountG, 'mass', units)}
      {share ? t('bakes.forName', { name: share.name }) : enough === null ? '' : t('bakes.enoughFor', { count: enough })},{' '}
      {kitchen.places.find(({ id }) => id === one.placeId)?.name}
      {t('bakes.useByUsebyon', { useByOn: one.useByOn })}
      {canBegin(one.what) && (lot?.onHandG ?? 0) > 0 && (
        <Button
          component={Link}
          size="small"
          variant="outlined"
          to={`/run/new?formula=${of.formulaId}&version=${of.version}&lot=${one.lotId}`}
        >
          {share ? t('bakes.beginName', { name: share.name }) : t('bakes.bakeFromIt')}
        </Button>
      )}
    </Box>
  );
}
