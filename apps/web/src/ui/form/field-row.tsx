import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { typeSize } from '../theme/theme';

/** A setting: its name left, its field right. */
export function FieldRow({ label, children }: { label: ReactNode; children: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, minHeight: 34 }}>
      <Box sx={{ fontSize: typeSize.body }}>{label}</Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>{children}</Box>
    </Box>
  );
}
