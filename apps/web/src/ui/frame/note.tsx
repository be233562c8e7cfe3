import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import { typeSize } from '../theme/theme';

type Props = {
  readonly size?: 'caption' | 'small';
  readonly pt?: number;
  readonly pb?: number;
  readonly children?: ReactNode;
};

/** What is said quietly beside what matters: where a number comes from, what a field asks, what a rule is. */
export const Note = ({ size = 'caption', pt = 0, pb = 0, children }: Props) => (
  <Box sx={{ fontSize: typeSize[size], color: 'text.secondary', pt, pb }}>{children}</Box>
);

/** What is wrong, said where it is and read out at once. */
export const Wrong = ({ size = 'caption', children }: Props) => (
  <Box role="alert" sx={{ color: 'error.main', fontSize: typeSize[size] }}>
    {children}
  </Box>
);
