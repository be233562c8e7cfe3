import { useState } from 'react';
import Box from '@mui/material/Box';
import { Wrong } from '../../ui/frame/note';
import { useVoice } from '../../platform/preferences';
import { outside } from '../../ui/form/limits';
import { QuantityField } from '../../ui/form/quantity-field';
import { useKitchenChange } from '../kitchen/doors';
import { useSurroundings } from '../board/doors';
import { FieldRow } from '../../ui/form/field-row';
import { t } from '../../platform/words';

/** Typed air is sent when the baker pauses: every keystroke would store half a number. */
const PAUSE_MS = 400;

/** Today's air: of the kitchen, not of the formula, so it is no change of the draft. Flour is as damp as it, dough as warm. */
export function AirToday() {
  const voice = useVoice();
  const { kitchen } = useSurroundings();
  const change = useKitchenChange();
  const [typed, setTyped] = useState<{ humidity?: number; room?: number }>({});
  const [timer, setTimer] = useState<ReturnType<typeof setTimeout>>();
  const air = { humidity: typed.humidity ?? kitchen.humidityShare * 100, room: typed.room ?? kitchen.roomC };
  const wrong = {
    humidity: outside(air.humidity, 5, 98, 'percent', voice),
    room: outside(air.room, 0, 45, 'temperature', voice),
  };
  const set = (next: typeof typed) => {
    const now = { ...typed, ...next };
    setTyped(now);
    clearTimeout(timer);
    const humidity = now.humidity ?? kitchen.humidityShare * 100;
    const roomC = now.room ?? kitchen.roomC;
    if (humidity < 5 || humidity > 98 || roomC < 0 || roomC > 45) return;
    setTimer(
      setTimeout(() => change.mutate({ kind: 'air', humidityShare: humidity / 100, roomC }, { onSuccess: () => setTyped({}) }), PAUSE_MS),
    );
  };
  return (
    <Box component="section" aria-label={t('dough.airInTheKitchenToday')}>
      <FieldRow label={t('dough.airToday')}>
        <QuantityField
          label={t('dough.humidityToday')}
          kind="percent"
          value={air.humidity}
          problem={wrong.humidity}
          width={50}
          grain={5}
          onChange={(humidity) => set({ humidity })}
          digits={0}
        />
        <QuantityField
          label={t('dough.roomToday')}
          kind="temperature"
          value={air.room}
          problem={wrong.room}
          width={56}
          onChange={(room) => set({ room })}
        />
      </FieldRow>
      {change.error && <Wrong>{t('common.notStoredMessage', { message: change.error.message })}</Wrong>}
    </Box>
  );
}
