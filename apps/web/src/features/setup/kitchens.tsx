import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import { Note } from '../../ui/frame/note';
import { Section } from '../../ui/frame/section';
import { t } from '../../platform/words';
import { beginKitchen, kitchensQuery, openKitchen } from '../kitchen/doors';
import { BeginKitchen } from './begin-kitchen';
import { useChangeKitchen } from './use-change-kitchen';

/** The kitchens of this house: which stands open, another one opened, begun, or the demo put back. */
export function Kitchens() {
  const { data: kitchens = [] } = useQuery(kitchensQuery);
  const { busy, change } = useChangeKitchen();
  const [beginning, setBeginning] = useState(false);
  return (
    <Section title={t('setup.kitchens')} space={1}>
      <Note>{t('setup.oneStandsOpen')}</Note>
      {kitchens.map(({ id, name, open, formulas, bakes }) => (
        <Box key={id} sx={{ display: 'flex', alignItems: 'center', gap: 3, minHeight: 40 }}>
          <Box sx={{ fontWeight: open ? 650 : 400 }}>{name}</Box>
          <Box sx={{ flex: 1 }}>
            <Note>{t('setup.formulasAndBakes', { formulas, bakes })}</Note>
          </Box>
          {open ? (
            <Note>{t('setup.openNow')}</Note>
          ) : (
            <Button
              size="small"
              aria-label={t('setup.openName', { name })}
              disabled={busy}
              onClick={() => void change(() => openKitchen(id))}
            >
              {t('setup.open')}
            </Button>
          )}
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', pt: 2 }}>
        <Button variant="outlined" onClick={() => setBeginning(true)}>
          {t('setup.beginWithAnEmptyKitchen')}
        </Button>
        <Button disabled={busy} onClick={() => void change(() => beginKitchen({ from: 'demo' }))}>
          {t('setup.putTheDemoBack')}
        </Button>
      </Box>
      <Dialog open={beginning} onClose={() => setBeginning(false)} aria-labelledby="an-empty-kitchen" fullWidth maxWidth="sm">
        <DialogTitle id="an-empty-kitchen">{t('setup.anEmptyKitchen')}</DialogTitle>
        <DialogContent>
          <BeginKitchen />
        </DialogContent>
      </Dialog>
    </Section>
  );
}
