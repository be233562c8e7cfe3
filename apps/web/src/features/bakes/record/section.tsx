import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** A part of a record, under its name. */
export const Section = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box component="section" aria-label={title}>
    <Typography variant="h2" sx={{ pb: 1 }}>
      {title}
    </Typography>
    {children}
  </Box>
);
