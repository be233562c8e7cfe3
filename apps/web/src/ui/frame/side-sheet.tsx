import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useId, type ReactNode } from 'react';
import { t } from '../../platform/words';

/** What belongs to one row of a list, beside it. */
export function SideSheet({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  const id = useId();
  return (
    <Drawer
      anchor="right"
      open
      onClose={onClose}
      slotProps={{ paper: { 'aria-labelledby': id, role: 'dialog', sx: { width: 'min(480px, 100vw)', p: 5 } } }}
    >
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 2, pb: 3 }}>
        <Typography id={id} variant="h1" sx={{ flex: 1 }}>
          {title}
        </Typography>
        <IconButton aria-label={t('common.close')} onClick={onClose}>
          <CloseIcon />
        </IconButton>
      </Box>
      {children}
    </Drawer>
  );
}
