import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { NavLink } from 'react-router';
import { typeSize, media } from '../theme/theme';

/** The faces of a place, side by side in its heading row. */
export function PlaceTabs({ label, tabs }: { label: string; tabs: readonly { readonly to: string; readonly name: string }[] }) {
  const { palette } = useTheme();
  return (
    <Box
      component="nav"
      aria-label={label}
      sx={{ display: 'flex', border: `1px solid ${palette.leaf.edge}`, borderRadius: '8px', overflowX: 'auto', maxWidth: '100%' }}
    >
      {tabs.map(({ to, name }) => (
        <Box
          key={to}
          component={NavLink}
          to={to}
          sx={{
            px: 3,
            height: 30,
            lineHeight: '30px',
            [media.coarse]: { height: 48, lineHeight: '48px' },
            fontSize: typeSize.small,
            fontWeight: 600,
            color: 'text.secondary',
            textDecoration: 'none',
            bgcolor: 'background.paper',
            '& + &': { borderLeft: `1px solid ${palette.leaf.edge}` },
            '&.active': {
              bgcolor: palette.leaf.firSoft,
              color: 'primary.main',
              fontWeight: 700,
              boxShadow: `inset 0 3px 0 ${palette.primary.main}`,
            },
          }}
        >
          {name}
        </Box>
      ))}
    </Box>
  );
}
