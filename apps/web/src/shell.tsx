import BakeryDining from '@mui/icons-material/BakeryDining';
import Search from '@mui/icons-material/Search';
import Tune from '@mui/icons-material/TuneOutlined';
import HelpOutline from '@mui/icons-material/HelpOutlineOutlined';
import Inventory from '@mui/icons-material/Inventory2Outlined';
import KitchenIcon from '@mui/icons-material/MicrowaveOutlined';
import PlayCircle from '@mui/icons-material/PlayCircleOutlined';
import WbTwilight from '@mui/icons-material/WbTwilight';
import Polyline from '@mui/icons-material/PolylineOutlined';
import FormatListBulleted from '@mui/icons-material/FormatListBulleted';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { lazy, Suspense, type ReactNode } from 'react';
import { NavLink, Outlet } from 'react-router';
import { sizes, typeSize, under } from './ui/theme/theme';
import { t } from './platform/words';
import { useAsking } from './features/words/doors';
import { useFind } from './features/find/doors';

const places: readonly { readonly to: string; readonly name: string; readonly icon: ReactNode }[] = [
  { to: '/today', name: t('common.today'), icon: <WbTwilight /> },
  { to: '/formulas', name: t('common.formulas'), icon: <FormatListBulleted /> },
  { to: '/run', name: t('common.run'), icon: <PlayCircle /> },
  { to: '/bakes', name: t('common.bakes'), icon: <BakeryDining /> },
  { to: '/trials', name: t('common.trials'), icon: <Polyline /> },
  { to: '/pantry', name: t('common.pantry'), icon: <Inventory /> },
  { to: '/kitchen', name: t('common.kitchen'), icon: <KitchenIcon /> },
];

/** Said rarely, so not part of what every page waits for. */
const Notices = lazy(async () => ({ default: (await import('./platform/notices-shown')).NoticesShown }));

/** Every wait on every page; the runs it reads are loaded after the page. */
const WaitsBar = lazy(async () => ({ default: (await import('./features/runs/bench/waits')).WaitsBar }));

/** What other devices change, heard on every page. */
const KitchenNews = lazy(async () => ({ default: (await import('./kitchen-news')).KitchenNews }));

/** The rail of places and the page beside it. */
export function Shell() {
  const { palette } = useTheme();
  const item = {
    width: 64,
    minHeight: 54,
    flexDirection: 'column',
    borderRadius: '10px',
    fontSize: typeSize.caption,
    fontWeight: 600,
    gap: '2px',
    color: 'text.primary',
    textDecoration: 'none',
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    '&:hover': { bgcolor: palette.action.hover },
    '&.active': {
      bgcolor: palette.leaf.firSoft,
      color: 'primary.main',
      fontWeight: 700,
      boxShadow: `inset 3px 0 0 ${palette.primary.main}`,
    },
  } as const;
  return (
    <Box sx={{ display: 'flex', minHeight: '100vh', [under.phone]: { flexDirection: 'column-reverse' } }}>
      <Rail item={item} />
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Suspense>
          <KitchenNews />
          <WaitsBar />
        </Suspense>
        <Outlet />
        <Suspense>
          <Notices />
        </Suspense>
      </Box>
    </Box>
  );
}

/** The places, and what is asked from any of them. */
function Rail({
  item,
}: {
  readonly item: {
    readonly width: 64;
    readonly minHeight: 54;
    readonly flexDirection: 'column';
    readonly borderRadius: '10px';
    readonly fontSize: number;
    readonly fontWeight: 600;
    readonly gap: '2px';
    readonly color: 'text.primary';
    readonly textDecoration: 'none';
    readonly display: 'flex';
    readonly alignItems: 'center';
    readonly justifyContent: 'center';
    readonly '&:hover': { readonly bgcolor: string };
    readonly '&.active': {
      readonly bgcolor: string;
      readonly color: 'primary.main';
      readonly fontWeight: 700;
      readonly boxShadow: `inset 3px 0 0 ${string}`;
    };
  };
}) {
  const { palette } = useTheme();
  const { on: asking, ask } = useAsking();
  const { show: find } = useFind();
  return (
    <Box
      component="nav"
      aria-label={t('app.places')}
      sx={{
        width: sizes.rail,
        flex: 'none',
        bgcolor: 'background.paper',
        borderRight: `1px solid ${palette.divider}`,
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        py: 3,
        gap: 1.5,
        position: 'sticky',
        top: 0,
        height: '100vh',
        [under.phone]: {
          width: '100%',
          height: 64,
          flexDirection: 'row',
          py: 1,
          top: 'auto',
          bottom: 0,
          zIndex: 2,
          justifyContent: 'space-around',
        },
      }}
    >
      <Box sx={{ [under.phone]: { display: 'none' } }}>
        <Mark colour={palette.primary.main} />
      </Box>
      {places.map(({ to, name, icon }) => (
        <Box key={to} component={NavLink} to={to} sx={item}>
          {icon}
          {name}
        </Box>
      ))}
      <Box sx={{ flex: 1, [under.phone]: { display: 'none' } }} />
      {/* Plain buttons: the library's own would be part of what every page waits for. */}
      <Box
        component="button"
        type="button"
        onClick={() => find('find')}
        title={t('find.ctrlK')}
        sx={{ ...item, ...plainButton, [under.phone]: { display: 'none' } }}
      >
        <Search />
        {t('find.find')}
      </Box>
      <Box
        component="button"
        type="button"
        onClick={() => ask(!asking)}
        aria-pressed={asking}
        title={t('ask.whatIsThis')}
        sx={{ ...item, ...plainButton, [under.phone]: { display: 'none' } }}
      >
        <HelpOutline />
        {t('app.ask')}
      </Box>
      <Box component={NavLink} to="/setup" sx={item}>
        <Tune />
        {t('app.setup')}
      </Box>
    </Box>
  );
}

const plainButton = {
  border: 0,
  bgcolor: 'transparent',
  font: 'inherit',
  fontSize: typeSize.caption,
  fontWeight: 600,
  cursor: 'pointer',
} as const;

function Mark({ colour }: { colour: string }) {
  return (
    <svg viewBox="0 0 32 44" width="26" height="36" role="img" aria-label={t('app.northLeaf')} style={{ marginBottom: 12 }}>
      <g fill={colour}>
        <path d="M16 1 24 11a24 24 0 0 0-16 0z" />
        <path d="M6 14a25 25 0 0 1 20 0l2 6a28 28 0 0 0-24 0z" />
        <path d="M4 23a28 28 0 0 1 24 0l-1 6a26 26 0 0 0-22 0z" />
        <path d="M6 32a25 25 0 0 1 20 0L16 43z" />
      </g>
    </svg>
  );
}
