import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { judged, judgements, type Judgement, type JudgementName, type Kitchen } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { FormEnd } from '../../ui/form/form-end';
import { QuantityField } from '../../ui/form/quantity-field';
import { useStoring } from '../../ui/form/use-storing';
import { SideSheet } from '../../ui/frame/side-sheet';
import { useDoInKitchen } from './use-kitchen';
import { t } from '../../platform/words';

const names = Object.keys(judgements) as JudgementName[];

/** What is judged and not measured, for who knows better here: each with its source, ours and this kitchen's. */
export function JudgementsSheet({ kitchen, onClose }: { kitchen: Kitchen; onClose: () => void }) {
  const act = useDoInKitchen();
  const [held, setHeld] = useState<Readonly<Partial<Record<JudgementName, number>>>>(kitchen.judgements ?? {});
  const { run, failed, fail, busy } = useStoring(onClose);
  const wrongOf = (name: JudgementName): string | undefined => {
    const { low, high, unit } = judgements[name] as Judgement;
    const value = judged(held, name);
    return value < low || value > high ? t('kitchen.mustBeFromLowToHighUnit', { low, high, unit }) : undefined;
  };
  const store = () =>
    names.some(wrongOf)
      ? fail(t('kitchen.mendTheMarkedNumberFirst'))
      : void run(() => act(t('kitchen.judgementsChanged'), { kind: 'judgements', judgements: held }));
  return (
    <SideSheet title={t('kitchen.judgements')} onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 3 }}>
        <Box sx={{ fontSize: typeSize.small }}>{t('kitchen.numbersThatNoSourceGivesForYour')}</Box>
        {names.map((name) => {
          const one = judgements[name] as Judgement;
          return (
            <Box key={name} sx={{ borderBottom: 1, borderColor: 'divider', pb: 2 }}>
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
                <Box sx={{ flex: 1, fontWeight: 650, fontSize: typeSize.body }}>{one.what}</Box>
                <QuantityField
                  label={one.what}
                  kind="percent"
                  hideUnit
                  digits={one.digits}
                  value={judged(held, name)}
                  onChange={(value) => setHeld({ ...held, [name]: value })}
                  problem={wrongOf(name)}
                  grain={10 ** -one.digits}
                />
                <Box sx={{ fontSize: typeSize.caption, minWidth: 84 }}>{one.unit}</Box>
              </Box>
              <Note>
                {t('kitchen.judgementSource', { source: one.source })}{' '}
                {held[name] !== undefined && (
                  <Button
                    size="small"
                    sx={{ minHeight: 24, p: 0 }}
                    aria-label={t('kitchen.backToOursWhat', { what: one.what })}
                    onClick={() => setHeld(({ [name]: _was, ...rest }) => rest)}
                  >
                    {t('kitchen.backToOursValue', { value: Number(one.value.toFixed(one.digits)) })}
                  </Button>
                )}
              </Note>
            </Box>
          );
        })}
        <FormEnd failed={failed} busy={busy} onStore={store} onLeave={onClose} />
      </Box>
    </SideSheet>
  );
}
