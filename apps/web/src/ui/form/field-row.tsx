import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { typeSize } from '../theme/theme';

type Props = {
  readonly label: ReactNode;
  /** The word of ours that explains it, where its label is not one. */ readonly ask?: string;
  readonly children: ReactNode;
};

/** A setting: its name left, its field right. */
export function FieldRow({ label, ask, children }: Props) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2, minHeight: 34 }}>
      <Box data-testid="label" data-ask={ask} sx={{ fontSize: typeSize.body }}>
        {label}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>{children}</Box>
    </Box>
  );
}
