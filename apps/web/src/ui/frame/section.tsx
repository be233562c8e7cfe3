import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SxProps, Theme } from '@mui/material/styles';

type Props = {
  readonly title: string;
  /** What it is called where that is not its title. */ readonly label?: string;
  readonly level?: 2 | 3;
  /** Room under the title. */ readonly space?: number;
  readonly busy?: boolean;
  readonly sx?: SxProps<Theme>;
  readonly children: ReactNode;
};

/** A part of a page under its name. */
export const Section = ({ title, label = title, level = 2, space = 0, busy, sx, children }: Props) => (
  <Box component="section" aria-label={label} aria-busy={busy} {...(sx ? { sx } : {})}>
    <Typography variant={level === 2 ? 'h2' : 'h3'} {...(space > 0 ? { sx: { pb: space } } : {})}>
      {title}
    </Typography>
    {children}
  </Box>
);
