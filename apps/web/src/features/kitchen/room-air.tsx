import { useState } from 'react';
import Button from '@mui/material/Button';
import { boilsAtC, pressureAt, type Kitchen, showQuantity } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { outside } from '../../ui/form/limits';
import { notify } from '../../platform/notices';
import { usePreferences, useVoice } from '../../platform/preferences';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { useDoInKitchen } from './use-kitchen';
import { t } from '../../platform/words';

/** The air everything stands in: tables and racks are as warm as it, flour and crackers as damp. */
export function RoomAir({ kitchen }: { kitchen: Kitchen }) {
  const voice = useVoice();
  const act = useDoInKitchen();
  const units = usePreferences((state) => state.units);
  const [typed, setTyped] = useState<{ readonly room?: number; readonly humidity?: number; readonly altitude?: number }>({});
  const room = typed.room ?? kitchen.roomC;
  const humidity = typed.humidity ?? kitchen.humidityShare * 100;
  const altitude = typed.altitude ?? kitchen.altitudeM ?? 0;
  const wrong = {
    room: outside(room, 0, 45, 'temperature', voice),
    humidity: outside(humidity, 5, 98, 'percent', voice),
    altitude: outside(altitude, 0, 5000, 'height', voice),
  };
  const changed = Object.keys(typed).length > 0;
  return (
    <Section title={t('kitchen.theRoom')}>
      <FieldRow label={t('kitchen.air')}>
        <QuantityField
          label={t('common.room')}
          kind="temperature"
          value={room}
          problem={wrong.room}
          onChange={(value) => setTyped({ ...typed, room: value })}
        />
      </FieldRow>
      <FieldRow label={t('kitchen.humidity')}>
        <QuantityField
          label={t('kitchen.humidity')}
          kind="percent"
          digits={0}
          grain={5}
          value={humidity}
          problem={wrong.humidity}
          onChange={(value) => setTyped({ ...typed, humidity: value })}
        />
      </FieldRow>
      <FieldRow label={t('kitchen.aboveTheSea')}>
        <QuantityField
          label={t('kitchen.aboveTheSea')}
          kind="height"
          digits={0}
          grain={50}
          value={altitude}
          problem={wrong.altitude}
          onChange={(value) => setTyped({ ...typed, altitude: value })}
        />
      </FieldRow>
      {altitude > 0 && !wrong.altitude && (
        <Note pb={1}>
          {t('kitchen.waterBoilsAtAltitudeHereMiddlesAre', {
            altitude: showQuantity(boilsAtC(pressureAt(altitude)), 'temperature', units, 1),
          })}
        </Note>
      )}
      {changed && !wrong.room && !wrong.humidity && !wrong.altitude && (
        <Button
          size="small"
          onClick={() =>
            void act(t('kitchen.theRoomChanged'), { kind: 'air', roomC: room, humidityShare: humidity / 100, altitudeM: altitude }).then(
              () => setTyped({}),
              (error: Error) => notify(t('common.notStoredMessage', { message: error.message }), 'error'),
            )
          }
        >
          {t('kitchen.storeTheRoom')}
        </Button>
      )}
    </Section>
  );
}
