import { useState, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { currencies, publishedIngredients, type Currency, type Kitchen, type Units } from '@north-leaf/core';
import { Choice } from '../../ui/form/choice';
import { FieldRow } from '../../ui/form/field-row';
import { OneOf } from '../../ui/form/one-of';
import { Note } from '../../ui/frame/note';
import { Page } from '../../ui/frame/page';
import { Section } from '../../ui/frame/section';
import { useCups } from '../../ui/words/cups';
import { under } from '../../ui/theme/theme';
import { ErrorPage } from '../../platform/error-page';
import { notify } from '../../platform/notices';
import { benchSizes, usePreferences, useVoice, type FaceWish } from '../../platform/preferences';
import { t } from '../../platform/words';
import { useFind } from '../find/doors';
import { kitchenQuery, useKitchenChange } from '../kitchen/doors';
import { SoldIn } from '../pantry/doors';
import { ring, useAlarm } from '../runs/doors';
import { Kitchens } from './kitchens';

/** What this screen shows and how, and what the kitchen is called, counts in and sells under. */
export function SetupPage() {
  const kitchen = useQuery(kitchenQuery);
  const { show } = useFind();
  if (kitchen.isError) return <ErrorPage error={kitchen.error} />;
  return (
    <Page title={t('app.setup')}>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 480px))', gap: 10, [under.split]: { gridTemplateColumns: '1fr' } }}
      >
        <OnThisScreen />
        <Box sx={{ display: 'grid', gap: 5, alignContent: 'start' }}>
          {kitchen.data && <ThisKitchen key={kitchen.data.name} kitchen={kitchen.data} />}
          <Kitchens />
          <Section title={t('setup.words')} space={1}>
            <Note>{t('ask.howToAsk')}</Note>
            <Button component={Link} to="/words" sx={{ ml: -2 }}>
              {t('setup.allWords')}
            </Button>
            {/* A phone's rail has no room for it. */}
            <Button onClick={() => show('find')}>{t('find.findAnything')}</Button>
          </Section>
        </Box>
      </Box>
    </Page>
  );
}

const masses: Record<Units['mass'], string> = { g: t('setup.grams'), oz: t('setup.ounces') };
const lengths: Record<Units['length'], string> = { mm: t('setup.millimetres'), in: t('setup.inches') };
const heats: Record<Units['heat'], string> = { C: t('setup.celsius'), F: t('setup.fahrenheit'), gas: t('setup.gasMark') };
const benchNames = [t('setup.bench.usual'), t('setup.bench.larger'), t('setup.bench.largest')];
const faceNames: Record<FaceWish, string> = { device: t('setup.face.device'), light: t('setup.face.light'), dark: t('setup.face.dark') };
const onOff = { on: t('setup.on'), off: t('setup.off') };
const optionsOf = <T extends string>(names: Readonly<Record<T, string>>) =>
  (Object.keys(names) as T[]).map((value) => ({ value, name: names[value] }));

function OnThisScreen() {
  const { units, cups, face, benchSize, letterKeys, wholeBoards, set } = usePreferences();
  return (
    <Section title={t('setup.onThisScreen')} space={2}>
      <FieldRow label={t('setup.weight')}>
        <OneOf
          label={t('setup.weight')}
          value={units.mass}
          options={optionsOf(masses)}
          onChange={(mass) => set({ units: { ...units, mass } })}
        />
      </FieldRow>
      <FieldRow label={t('setup.length')}>
        <OneOf
          label={t('setup.length')}
          value={units.length}
          options={optionsOf(lengths)}
          onChange={(length) => set({ units: { ...units, length } })}
        />
      </FieldRow>
      <FieldRow label={t('setup.heat')}>
        <OneOf
          label={t('setup.heat')}
          value={units.heat}
          options={optionsOf(heats)}
          onChange={(heat) => set({ units: { ...units, heat } })}
        />
      </FieldRow>
      <OnOff label={t('setup.cupsBesideGrams')} note={t('setup.cupsAreNearest')} on={cups} onChange={(on) => set({ cups: on })} />
      <Reading />
      <FieldRow label={t('setup.face')}>
        <OneOf label={t('setup.face')} value={face} options={optionsOf(faceNames)} onChange={(wish) => set({ face: wish })} />
      </FieldRow>
      <OnOff label={t('setup.wholeBoards')} note={t('setup.wholeBoardsAre')} on={wholeBoards} onChange={(on) => set({ wholeBoards: on })} />
      <FieldRow label={t('setup.benchText')}>
        <OneOf
          label={t('setup.benchText')}
          value={benchSize}
          options={benchSizes.map((value, i) => ({ value, name: benchNames[i]! }))}
          onChange={(size) => set({ benchSize: size })}
        />
      </FieldRow>
      <Note>{t('setup.benchTextIsFor')}</Note>
      <Sound />
      <OnOff label={t('setup.letterKeys')} note={t('setup.letterKeysAre')} on={letterKeys} onChange={(on) => set({ letterKeys: on })} />
    </Section>
  );
}

const RICE = publishedIngredients()['rice_white_fine'];

/** What the choices make of one of each kind. */
function Reading() {
  const voice = useVoice();
  const cups = useCups();
  const flour = [voice.show(240, 'mass'), cups(240, RICE)].filter(Boolean).join(', ');
  const values = { flour, thick: voice.show(3, 'length'), oven: voice.show(190, 'oven'), dough: voice.show(18, 'temperature') };
  return (
    <Box sx={{ pb: 3 }}>
      <Note size="small">{t('setup.readsLike', values)}</Note>
      <Note>{t('setup.anyUnitIsRead')}</Note>
    </Box>
  );
}

function Sound() {
  const { muted, setMuted } = useAlarm();
  return (
    <FieldRow label={t('setup.sound')}>
      <Button size="small" onClick={ring}>
        {t('setup.hearIt')}
      </Button>
      <OneOf
        label={t('setup.sound')}
        value={muted ? 'off' : 'on'}
        options={optionsOf(onOff)}
        onChange={(sound) => setMuted(sound === 'off')}
      />
    </FieldRow>
  );
}

const prices = currencies.map((value) => ({ value, name: value }));

/** What everybody in the kitchen sees: stored with it. */
function ThisKitchen({ kitchen }: { readonly kitchen: Kitchen }) {
  const { mutateAsync } = useKitchenChange();
  const [name, setName] = useState(kitchen.name);
  const wrong = name.trim() === '' || name.trim().length > 120;
  const store = (currency: Currency) => {
    if (wrong || (name.trim() === kitchen.name && currency === kitchen.currency)) return;
    mutateAsync({ kind: 'about', name: name.trim(), currency }).then(
      () => notify(t('setup.stored')),
      (error: Error) => notify(error.message, 'error'),
    );
  };
  return (
    <Section title={t('setup.thisKitchen')} space={2}>
      <FieldRow label={t('setup.name')}>
        <TextField
          size="small"
          value={name}
          error={wrong}
          helperText={wrong ? t('setup.giveItAName') : undefined}
          onChange={(event) => setName(event.target.value)}
          onBlur={() => store(kitchen.currency as Currency)}
          onKeyDown={(event) => event.key === 'Enter' && store(kitchen.currency as Currency)}
          slotProps={{ htmlInput: { 'aria-label': t('setup.name') } }}
          sx={{ width: 260 }}
        />
      </FieldRow>
      <FieldRow label={t('setup.currency')}>
        <Choice label={t('setup.currency')} value={kitchen.currency as Currency} options={prices} onChange={store} width={110} />
      </FieldRow>
      <Note>{t('setup.currencyChanges')}</Note>
      <FieldRow label={t('setup.whereItIsSold')}>
        <SoldIn kitchen={kitchen} />
      </FieldRow>
    </Section>
  );
}

function OnOff({
  label,
  note,
  on,
  onChange,
}: {
  readonly label: string;
  readonly note: ReactNode;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}) {
  return (
    <>
      <FieldRow label={label}>
        <Switch checked={on} onChange={(_, next) => onChange(next)} slotProps={{ input: { 'aria-label': label } }} />
      </FieldRow>
      <Note pb={2}>{note}</Note>
    </>
  );
}
