import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import {
  celsiusOfDial,
  dialOf,
  dialWords,
  readQuantity,
  type DialUnit,
  type Oven,
  type OvenReading,
  unitOf,
  imperial,
  metric,
} from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { typeSize } from '../../ui/theme/theme';
import { outside } from '../../ui/form/limits';
import { usePreferences, useVoice } from '../../platform/preferences';
import { FieldRow } from '../../ui/form/field-row';
import { FormEnd } from '../../ui/form/form-end';
import { QuantityField } from '../../ui/form/quantity-field';
import { useStoring } from '../../ui/form/use-storing';
import { SideSheet } from '../../ui/frame/side-sheet';
import { useDoInKitchen } from './use-kitchen';
import { t } from '../../platform/words';

/** Settings a measurement begins with: below and above where most is baked. */
const STARTS: Readonly<Record<DialUnit, readonly number[]>> = { C: [160, 200], F: [325, 400], gas: [3, 6] };
const READINGS = 3;
const LOW_C = 60;
const HIGH_C = 320;
/** A thermostat swings; more than this between three readings wants a few more minutes. */
const SWING_C = 15;
/** Further off than this is more often a wrong unit than a wrong oven. */
const FAR_C = 60;

/** `typed` as it stands in the fields; an empty field is a reading not taken. */
type Setting = { readonly dial: number; readonly typed: readonly string[] };

const none = () => Array.from({ length: READINGS }, () => '');

/** What was typed for one reading: nothing yet, a temperature, or why it cannot be one. */
function readingOf(typed: string, voice: Voice): { readonly valueC: number | null; readonly wrong?: string } {
  if (typed.trim() === '') return { valueC: null };
  const read = readQuantity(typed, 'temperature', unitOf('temperature', voice.units));
  if (!read.ok) return { valueC: null, wrong: read.reason };
  if (read.value < LOW_C || read.value > HIGH_C)
    return { valueC: null, wrong: t('common.mustBeFromLow', { low: voice.range(LOW_C, HIGH_C, 'temperature') }) };
  return { valueC: read.value };
}

/** Readings of before at about the same setting give way to the new ones. */
export function withReadings(held: readonly OvenReading[], taken: readonly OvenReading[]): OvenReading[] {
  const near = (a: number, b: number) => Math.abs(a - b) < 8;
  return [...held.filter(({ dialC }) => !taken.some((one) => near(one.dialC, dialC))), ...taken].sort((a, b) => a.dialC - b.dialC);
}

/** Leads through measuring an oven with one thermometer: a setting, a wait, three readings, and again. */
export function MeasureOven({ oven, onClose }: { oven: Oven; onClose: () => void }) {
  const voice = useVoice();
  const act = useDoInKitchen();
  const [settings, setSettings] = useState<readonly Setting[]>(STARTS[oven.dialUnit].map((dial) => ({ dial, typed: none() })));
  const { run, failed, fail, busy } = useStoring(onClose);
  const change = (i: number, patch: Partial<Setting>) => {
    fail(null);
    setSettings((now) => now.map((one, n) => (n === i ? { ...one, ...patch } : one)));
  };

  const store = () => {
    if (settings.some(({ typed }) => typed.some((one) => readingOf(one, voice).wrong))) return fail(t('kitchen.mendTheMarkedReadingFirst'));
    const at = new Date().toISOString();
    const taken = settings.flatMap(({ dial, typed }): OvenReading[] => {
      const values = typed.map((one) => readingOf(one, voice).valueC).filter((value) => value !== null);
      if (values.length === 0) return [];
      return [{ dialC: celsiusOfDial(oven.dialUnit, dial), trueC: values.reduce((sum, one) => sum + one, 0) / values.length, at }];
    });
    if (taken.length === 0) return fail(t('kitchen.typeAtLeastOneReadingFirst'));
    if (taken.some(({ dialC }) => dialC < LOW_C || dialC > HIGH_C))
      return fail(t('kitchen.aDialSettingIsFromLowMend', { low: voice.range(LOW_C, HIGH_C, 'temperature') }));
    return run(() =>
      act(t('kitchen.nameMeasured', { name: oven.name }), {
        kind: 'thing',
        list: 'ovens',
        thing: { ...oven, readings: withReadings(oven.readings, taken) },
      }),
    );
  };

  return (
    <SideSheet title={t('kitchen.measureName', { name: oven.name })} onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 4 }}>
        <Box component="ol" sx={{ m: 0, pl: 5, fontSize: typeSize.body, display: 'grid', gap: 1 }}>
          <li>{t('kitchen.putTheThermometerOnTheMiddleShelf')}</li>
          <li>{t('kitchen.setTheDialAsBelowWaitUntil')}</li>
          <li>{t('kitchen.readItThreeTimesSomeMinutesApart')}</li>
        </Box>
        {settings.map((setting, i) => (
          <SettingFields
            key={i}
            name={t('kitchen.settingI', { i: i + 1 })}
            oven={oven}
            setting={setting}
            onChange={(patch) => change(i, patch)}
          />
        ))}
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          onClick={() => setSettings((now) => [...now, { dial: { C: 230, F: 450, gas: 8 }[oven.dialUnit], typed: none() }])}
        >
          {t('kitchen.anotherSetting')}
        </Button>
        <Note>{t('kitchen.hotMetalAndSteamBurnDryCloths')}</Note>
        <FormEnd failed={failed} busy={busy} onStore={() => void store()} onLeave={onClose} />
      </Box>
    </SideSheet>
  );
}

type FieldsProps = {
  readonly name: string;
  readonly oven: Oven;
  readonly setting: Setting;
  readonly onChange: (patch: Partial<Setting>) => void;
};
function SettingFields({ name, oven, setting, onChange }: FieldsProps) {
  const voice = useVoice();
  const units = usePreferences((state) => state.units);
  const { dial, typed } = setting;
  const dialC = celsiusOfDial(oven.dialUnit, dial);
  const values = typed.map((one) => readingOf(one, voice).valueC).filter((value) => value !== null);
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
  const swing = Math.max(...values) - Math.min(...values);
  const off = mean - dialC;
  const wrongDial = (c: number) => outside(c, LOW_C, HIGH_C, 'temperature', voice);
  return (
    <Section title={name} sx={{ display: 'grid', gap: 1 }}>
      <FieldRow label={t('kitchen.dialWord', { word: oven.dialUnit === 'gas' ? t('kitchen.gasMark') : `, °${oven.dialUnit}` })}>
        <QuantityField
          label={t('kitchen.nameDial', { name })}
          kind="percent"
          hideUnit
          value={dial}
          onChange={(value) => onChange({ dial: value })}
          problem={wrongDial(dialC)}
          grain={oven.dialUnit === 'gas' ? 0.5 : 5}
        />
      </FieldRow>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 2 }}>
        {typed.map((text, n) => {
          const { wrong } = readingOf(text, voice);
          return (
            <TextField
              key={n}
              size="small"
              label={t('kitchen.readingNValue', { n: n + 1, value: unitOf('temperature', units) })}
              value={text}
              onChange={(event) => onChange({ typed: typed.map((one, m) => (m === n ? event.target.value : one)) })}
              error={wrong !== undefined}
              helperText={wrong}
              slotProps={{
                htmlInput: { inputMode: 'decimal', autoComplete: 'off', 'aria-label': t('kitchen.nameReadingN', { name, n: n + 1 }) },
              }}
            />
          );
        })}
      </Box>
      {values.length > 0 && (
        <Box sx={{ fontSize: typeSize.small }} role="status">
          {t('kitchen.atDialunitTheAirIsMeanOff', {
            dialUnit: dialWords(oven.dialUnit, dialC),
            mean: voice.show(mean, 'temperature'),
            off: voice.show(Math.abs(off), 'difference'),
            word: off >= 0 ? t('kitchen.hotter') : t('kitchen.cooler'),
            word2: dialOf(oven.dialUnit, dialC) === dialC ? '' : t('kitchen.onceBothAreInC'),
          })}
        </Box>
      )}
      {swing > SWING_C && (
        <Alert severity="warning">{t('kitchen.itSwingsBySwingGiveItTen', { swing: voice.show(swing, 'difference') })}</Alert>
      )}
      {Math.abs(off) > FAR_C && (
        <Alert severity="warning">
          {t('kitchen.thatIsFarOffIsTheDial', { word: unitOf('temperature', oven.dialUnit === 'C' ? imperial : metric) })}
        </Alert>
      )}
    </Section>
  );
}
