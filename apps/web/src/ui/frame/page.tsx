import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { typeSize } from '../theme/theme';

/** A page's heading row and its paper. */
export function Page({
  title,
  beside,
  actions,
  children,
}: {
  title: string;
  beside?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Box component="main" sx={{ px: 4, pb: 4 }}>
      <Box sx={{ minHeight: 52, display: 'flex', alignItems: 'center', gap: 3, flexWrap: 'wrap' }}>
        <Typography variant="h1">{title}</Typography>
        <Box sx={{ color: 'text.secondary', fontSize: typeSize.small }}>{beside}</Box>
        <Box sx={{ ml: 'auto', display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>{actions}</Box>
      </Box>
      <Box sx={{ bgcolor: 'background.paper', borderRadius: '12px', p: 4 }}>{children}</Box>
    </Box>
  );
}
