import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Kitchen } from '@north-leaf/core';
import { notify } from '../../platform/notices';
import { FieldRow } from '../../ui/field-row';
import { QuantityField } from '../../ui/quantity-field';
import { useDoInKitchen } from './use-kitchen';

/** The air everything stands in: tables and racks are as warm as it, flour and crackers as damp. */
export function RoomAir({ kitchen }: { kitchen: Kitchen }) {
  const act = useDoInKitchen();
  const [typed, setTyped] = useState<{ readonly room?: number; readonly humidity?: number }>({});
  const room = typed.room ?? kitchen.roomC;
  const humidity = typed.humidity ?? kitchen.humidityShare * 100;
  const wrong = {
    room: room < 0 || room > 45 ? 'must be from 0 to 45 °C' : undefined,
    humidity: humidity < 5 || humidity > 98 ? 'must be from 5 to 98 %' : undefined,
  };
  const changed = typed.room !== undefined || typed.humidity !== undefined;
  return (
    <Box component="section" aria-label="The room">
      <Typography variant="h2">The room</Typography>
      <FieldRow label="Air">
        <QuantityField
          label="Room"
          kind="temperature"
          value={room}
          problem={wrong.room}
          onChange={(value) => setTyped({ ...typed, room: value })}
        />
      </FieldRow>
      <FieldRow label="Humidity">
        <QuantityField
          label="Humidity"
          kind="percent"
          digits={0}
          grain={5}
          value={humidity}
          problem={wrong.humidity}
          onChange={(value) => setTyped({ ...typed, humidity: value })}
        />
      </FieldRow>
      {changed && !wrong.room && !wrong.humidity && (
        <Button
          size="small"
          onClick={() =>
            void act('The room changed', { kind: 'air', roomC: room, humidityShare: humidity / 100 }).then(
              () => setTyped({}),
              (error: Error) => notify(`Not stored: ${error.message}`, 'error'),
            )
          }
        >
          Store the room
        </Button>
      )}
    </Box>
  );
}
