import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
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
import { typeSize } from '../../ui/theme/theme';
import { outside } from '../../ui/form/limits';
import { usePreferences, useVoice } from '../../platform/preferences';
import { FieldRow } from '../../ui/form/field-row';
import { FormEnd } from '../../ui/form/form-end';
import { QuantityField } from '../../ui/form/quantity-field';
import { SideSheet } from '../../ui/frame/side-sheet';
import { useDoInKitchen } from './use-kitchen';

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
    return { valueC: null, wrong: `must be from ${voice.range(LOW_C, HIGH_C, 'temperature')}` };
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
  const [failed, setFailed] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const change = (i: number, patch: Partial<Setting>) => {
    setFailed(null);
    setSettings((now) => now.map((one, n) => (n === i ? { ...one, ...patch } : one)));
  };

  const store = async () => {
    const at = new Date().toISOString();
    if (settings.some(({ typed }) => typed.some((one) => readingOf(one, voice).wrong))) return setFailed('Mend the marked reading first.');
    const taken = settings.flatMap(({ dial, typed }): OvenReading[] => {
      const values = typed.map((one) => readingOf(one, voice).valueC).filter((value) => value !== null);
      if (values.length === 0) return [];
      return [{ dialC: celsiusOfDial(oven.dialUnit, dial), trueC: values.reduce((sum, one) => sum + one, 0) / values.length, at }];
    });
    if (taken.length === 0) return setFailed('Type at least one reading first.');
    if (taken.some(({ dialC }) => dialC < LOW_C || dialC > HIGH_C))
      return setFailed(`A dial setting is from ${voice.range(LOW_C, HIGH_C, 'temperature')}: mend the marked one.`);
    setBusy(true);
    try {
      await act(`${oven.name} measured`, {
        kind: 'thing',
        list: 'ovens',
        thing: { ...oven, readings: withReadings(oven.readings, taken) },
      });
      onClose();
    } catch (error) {
      setFailed((error as Error).message);
    }
    setBusy(false);
  };

  return (
    <SideSheet title={`Measure ${oven.name}`} onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 4 }}>
        <Box component="ol" sx={{ m: 0, pl: 5, fontSize: typeSize.body, display: 'grid', gap: 1 }}>
          <li>Put the thermometer on the middle shelf, in its middle, where you can read it through the door or on a probe.</li>
          <li>Set the dial as below. Wait until the light is off, and ten minutes more.</li>
          <li>Read it three times, some minutes apart: a thermostat swings. Then the next setting.</li>
        </Box>
        {settings.map((setting, i) => (
          <SettingFields key={i} name={`Setting ${i + 1}`} oven={oven} setting={setting} onChange={(patch) => change(i, patch)} />
        ))}
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          onClick={() => setSettings((now) => [...now, { dial: { C: 230, F: 450, gas: 8 }[oven.dialUnit], typed: none() }])}
        >
          Another setting
        </Button>
        <Note>
          Hot metal and steam burn: dry cloths, and open the door away from you. Type C or F after a number to give it in the other unit.
        </Note>
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
    <Box component="section" aria-label={name} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2">{name}</Typography>
      <FieldRow label={`Dial${oven.dialUnit === 'gas' ? ', gas mark' : `, °${oven.dialUnit}`}`}>
        <QuantityField
          label={`${name} dial`}
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
              label={`Reading ${n + 1}, ${unitOf('temperature', units)}`}
              value={text}
              onChange={(event) => onChange({ typed: typed.map((one, m) => (m === n ? event.target.value : one)) })}
              error={wrong !== undefined}
              helperText={wrong}
              slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off', 'aria-label': `${name} reading ${n + 1}` } }}
            />
          );
        })}
      </Box>
      {values.length > 0 && (
        <Box sx={{ fontSize: typeSize.small }} role="status">
          At {dialWords(oven.dialUnit, dialC)} the air is {voice.show(mean, 'temperature')}: {voice.show(Math.abs(off), 'difference')}{' '}
          {off >= 0 ? 'hotter' : 'cooler'} than the dial says
          {dialOf(oven.dialUnit, dialC) === dialC ? '' : ' once both are in °C'}.
        </Box>
      )}
      {swing > SWING_C && (
        <Alert severity="warning">
          It swings by {voice.show(swing, 'difference')}: give it ten minutes more and read at the top and the bottom of a swing.
        </Alert>
      )}
      {Math.abs(off) > FAR_C && (
        <Alert severity="warning">
          That is far off. Is the dial in {unitOf('temperature', oven.dialUnit === 'C' ? imperial : metric)} after all?
        </Alert>
      )}
    </Box>
  );
}
