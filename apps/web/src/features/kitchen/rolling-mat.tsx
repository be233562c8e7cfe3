import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Kitchen } from '@north-leaf/core';
import { outside } from '../../ui/form/limits';
import { Section } from '../../ui/frame/section';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { FieldRow } from '../../ui/form/field-row';
import { QuantityField } from '../../ui/form/quantity-field';
import { useDoInKitchen } from './use-kitchen';
import { t } from '../../platform/words';

const LOW = 100;
const HIGH = 2000;

/** What dough is rolled on: no sheet is larger, so a larger batch is rolled in equal lots. */
export function RollingMat({ kitchen: { mat } }: { kitchen: Kitchen }) {
  const voice = useVoice();
  const act = useDoInKitchen();
  const [typed, setTyped] = useState<{ readonly widthMm?: number; readonly lengthMm?: number }>({});
  const now = { widthMm: typed.widthMm ?? mat?.widthMm ?? 600, lengthMm: typed.lengthMm ?? mat?.lengthMm ?? 400 };
  const wrongOf = (mm: number) => outside(mm, LOW, HIGH, 'size', voice);
  const changed = mat === undefined || typed.widthMm !== undefined || typed.lengthMm !== undefined;
  const store = (next: Kitchen['mat'] | null, name: string) =>
    void act(name, { kind: 'mat', mat: next }).then(
      () => setTyped({}),
      (error: Error) => notify(t('common.notStoredMessage', { message: error.message }), 'error'),
    );
  return (
    <Section title={t('kitchen.matOrBenchToRollOn')} label={t('kitchen.theRollingMat')} sx={{ pb: 3 }}>
      {(['widthMm', 'lengthMm'] as const).map((name) => (
        <FieldRow key={name} label={name === 'widthMm' ? t('kitchen.width') : t('kitchen.length')}>
          <QuantityField
            label={name === 'widthMm' ? t('kitchen.matWidth') : t('kitchen.matLength')}
            kind="length"
            grain={10}
            value={now[name]}
            problem={wrongOf(now[name])}
            onChange={(value) => setTyped({ ...typed, [name]: value })}
          />
        </FieldRow>
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        {changed && !wrongOf(now.widthMm) && !wrongOf(now.lengthMm) && (
          <Button size="small" onClick={() => store(now, t('kitchen.theMatChanged'))}>
            {t('kitchen.storeTheMat')}
          </Button>
        )}
        {mat && (
          <Button size="small" onClick={() => store(null, t('kitchen.theMatForgotten'))}>
            {t('kitchen.noLimit')}
          </Button>
        )}
      </Box>
    </Section>
  );
}
