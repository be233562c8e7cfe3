import { useId, useState } from 'react';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import type { Finding, Outlook } from '@north-leaf/core';
import { findingWords } from '@north-leaf/words';
import { useVoice } from '../../platform/preferences';
import { Leaf } from '../../ui/frame/leaf';
import { Note } from '../../ui/frame/note';
import { typeSize, media, under } from '../../ui/theme/theme';
import { t } from '../../platform/words';

export type BakedPoint = { readonly number: number; readonly version: number; readonly crisp: number; readonly tender: number };
type Props = {
  readonly outlook: Outlook | null;
  readonly savedOutlook: Outlook | null;
  /** Worked out by a model of the oven that is not today's: it is not to be held against the draft. */ readonly savedByAnother: boolean;
  readonly version: number;
  readonly changed: boolean;
  readonly baked: readonly BakedPoint[];
  readonly stale: boolean;
};

const W = 240;
const H = 172;
const X0 = 26;
const Y0 = 6;
const x = (crisp: number) => X0 + (crisp / 10) * W;
const y = (tender: number) => Y0 + H - (tender / 10) * H;
/** 80 % of a normal spread in two directions lies within this many sd. */
const SD80 = Math.sqrt(-2 * Math.log(0.2));
const LEAF = 'M0-11C6-5 7 3 0 11-7 3-6-5 0-11Z';

const termWords: Record<string, string> = {
  fat: t('common.fat2'),
  fatPieces: t('workspace.fatPieces'),
  water: t('common.water'),
  sugar: t('common.sugar'),
  eggWhite: t('workspace.eggWhite'),
  eggYolk: t('workspace.yolk'),
  xanthan: t('workspace.xanthan'),
  psyllium: t('workspace.husk'),
  protein: t('workspace.flourProtein'),
  starch: t('workspace.starch'),
  fibre: t('common.fibre'),
  thickness: t('common.thickness'),
  gas: t('workspace.lift'),
  moisture: t('workspace.moistureLeft'),
  crispness: t('workspace.dryness'),
  raw: t('workspace.rawInTheMiddle'),
  burnt: t('workspace.burnt'),
};

/** Where it lands between soft and crisp, firm and tender: the draft with its spread, the saved version, the real bakes. */
export function OutlookField({ outlook, savedOutlook: stored, savedByAnother, version, changed, baked, stale }: Props) {
  const savedOutlook = savedByAnother ? null : stored;
  const { palette } = useTheme();
  const frame = useId();
  return (
    <Box
      component="section"
      aria-label={t('workspace.outlook')}
      aria-busy={stale}
      data-crisp={outlook?.crisp.value.toFixed(3)}
      data-tender={outlook?.tender.value.toFixed(3)}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', height: 32 }}>
        <Typography variant="h2">{t('workspace.outlook')}</Typography>
        <Note>{t('workspace.aForecastPartJudgement')}</Note>
      </Box>
      <svg viewBox={`0 0 ${W + X0 + 10} ${H + 28}`} width="100%" aria-hidden="true" style={{ opacity: stale ? 0.6 : 1 }}>
        <clipPath id={frame}>
          <rect x={X0} y={Y0} width={W} height={H} rx="6" />
        </clipPath>
        <rect x={X0} y={Y0} width={W} height={H} rx="6" fill={palette.leaf.well} stroke={palette.divider} />
        {[2.5, 5, 7.5].map((at) => (
          <g key={at} stroke={palette.divider}>
            <line x1={x(at)} x2={x(at)} y1={Y0} y2={Y0 + H} />
            <line x1={X0} x2={X0 + W} y1={y(at)} y2={y(at)} />
          </g>
        ))}
        {outlook && <Zone outlook={outlook} />}
        {baked.map((point) => (
          <circle
            key={point.number}
            cx={x(point.crisp)}
            cy={y(point.tender)}
            r="4"
            fill={palette.background.paper}
            stroke={palette.text.primary}
            strokeWidth="1.5"
          >
            <title>{t('workspace.bakeNumberVVersion', { number: point.number, version: point.version })}</title>
          </circle>
        ))}
        {changed && outlook && savedOutlook && <MovedFrom outlook={outlook} savedOutlook={savedOutlook} />}
        {outlook && <Here frame={frame} outlook={outlook} />}
        <g fontSize={typeSize.caption} fontWeight="600" fill={palette.text.primary}>
          <text x={X0} y={Y0 + H + 16}>
            {t('workspace.soft')}
          </text>
          <text x={X0 + W} y={Y0 + H + 16} textAnchor="end">
            {t('common.crisp2')}
          </text>
          <text transform={`translate(16 ${Y0 + 38}) rotate(-90)`}>{t('common.tender2')}</text>
          <text transform={`translate(16 ${Y0 + H}) rotate(-90)`}>{t('workspace.firm')}</text>
        </g>
      </svg>
      <OutlookKey baked={baked} changed={changed} savedByAnother={savedByAnother} version={version} />
      <OutlookWords outlook={outlook} />
    </Box>
  );
}

/** Where the saved version lies, and the way from there. */
function MovedFrom({ outlook, savedOutlook }: { readonly outlook: Outlook; readonly savedOutlook: Outlook }) {
  const { palette } = useTheme();
  return (
    <>
      <line
        x1={x(savedOutlook.crisp.value)}
        y1={y(savedOutlook.tender.value)}
        x2={x(outlook.crisp.value)}
        y2={y(outlook.tender.value)}
        stroke={palette.primary.main}
        strokeDasharray="2 3"
      />
      <path
        d={LEAF}
        transform={`translate(${x(savedOutlook.crisp.value)} ${y(savedOutlook.tender.value)})`}
        fill={palette.background.paper}
        stroke={palette.primary.main}
        strokeWidth="1.5"
      />
    </>
  );
}

/** Where it lies, with its spread. */
function Here({ frame, outlook }: { readonly frame: string; readonly outlook: Outlook }) {
  const { palette } = useTheme();
  return (
    <>
      <ellipse
        cx={x(outlook.crisp.value)}
        cy={y(outlook.tender.value)}
        rx={(outlook.crisp.sd * SD80 * W) / 10}
        ry={(outlook.tender.sd * SD80 * H) / 10}
        fill={palette.primary.main}
        fillOpacity="0.14"
        stroke={palette.primary.main}
        strokeWidth="1"
        clipPath={`url(#${frame})`}
      />
      <path d={LEAF} transform={`translate(${x(outlook.crisp.value)} ${y(outlook.tender.value)})`} fill={palette.primary.main} />
    </>
  );
}

/** What the marks stand for. */
function OutlookKey({
  baked,
  changed,
  savedByAnother,
  version,
}: {
  readonly baked: readonly BakedPoint[];
  readonly changed: boolean;
  readonly savedByAnother: boolean;
  readonly version: number;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 4, fontSize: typeSize.caption, color: 'text.secondary', justifyContent: 'center' }}>
      <span>
        <LeafKey filled /> {changed ? t('workspace.draft') : `v${version}`}
      </span>
      {changed && (
        <span>
          {!savedByAnother ? (
            <>
              <LeafKey /> v{version}
            </>
          ) : (
            t('workspace.vVersionWorkedOutByAnOlder', { version })
          )}
        </span>
      )}
      <span>○ {baked.length === 0 ? t('workspace.noBakesYet') : t('workspace.bakedBaked', { baked: baked.length })}</span>
    </Box>
  );
}

function Zone({ outlook: { zone } }: { outlook: Outlook }) {
  const { palette } = useTheme();
  return (
    <g>
      <rect
        x={x(zone.crisp - zone.halfWidth)}
        y={y(zone.tender + zone.halfWidth)}
        width={(2 * zone.halfWidth * W) / 10}
        height={(2 * zone.halfWidth * H) / 10}
        rx="10"
        fill={palette.leaf.firSoft}
        stroke={palette.primary.main}
        strokeWidth="1.5"
        strokeDasharray="5 4"
      />
      <text
        x={x(zone.crisp)}
        y={y(zone.tender + zone.halfWidth) - 5}
        textAnchor="middle"
        fontSize={typeSize.caption}
        fontWeight="700"
        fill={palette.primary.main}
      >
        {t('common.target')}
      </text>
    </g>
  );
}

/** Where it lands and with what spread, in words. */
const landing = ({ crisp, tender }: Outlook) =>
  t('workspace.crispValueSdTenderValue2Sd2Of', {
    value: crisp.value.toFixed(1),
    sd: crisp.sd.toFixed(1),
    value2: tender.value.toFixed(1),
    sd2: tender.sd.toFixed(1),
  });

/** Where the Outlook has no column of its own: what it says and the worst finding, in one line above the board, and the way to the rest. */
export function OutlookStrip({ outlook, worst, stale }: { outlook: Outlook; worst: Finding | undefined; stale: boolean }) {
  const { palette } = useTheme();
  const voice = useVoice();
  // Where the column stands, nothing is said twice to whoever hears the page.
  const isNarrow = useMediaQuery(under.desk, { noSsr: true });
  if (!isNarrow) return null;
  return (
    <Box
      sx={{
        display: 'flex',
        gridColumn: '1 / -1',
        alignItems: 'center',
        columnGap: 4,
        flexWrap: 'wrap',
        px: 4,
        py: 2,
        fontSize: typeSize.small,
        borderBottom: `1px solid ${palette.divider}`,
      }}
    >
      <Box component="b" sx={{ opacity: stale ? 0.6 : 1 }}>
        {landing(outlook)}
      </Box>
      {worst && (
        <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 1 }}>
          <Leaf state={worst.level === 'note' ? 'good' : worst.level} size={17} label />
          {findingWords(worst, voice).what}
        </Box>
      )}
      <Link href="#outlook" sx={{ ml: 'auto' }}>
        {t('workspace.outlookAndFindings')}
      </Link>
    </Box>
  );
}

/** Points that one digit shows. */
const SEEN = 0.05;
function OutlookWords({ outlook }: { outlook: Outlook | null }) {
  const [all, setAll] = useState(false);
  if (!outlook) return <Box sx={{ fontSize: typeSize.small, py: 2 }}>{t('workspace.waitingAStageAboveCannotBeWorked')}</Box>;
  const most = outlook.terms.slice(0, 3).flatMap(({ name, crisp, tender }) => {
    const [axis, points] = Math.abs(crisp) > Math.abs(tender) ? (['crisp', crisp] as const) : (['tender', tender] as const);
    return Math.abs(points) < SEEN ? [] : [`${termWords[name] ?? name} ${signed(points)} ${axis}`];
  });
  return (
    <Box sx={{ fontSize: typeSize.caption, lineHeight: '17px', color: 'text.secondary', pt: 2 }}>
      <Box component="span" sx={{ color: 'text.primary', fontWeight: 650 }} data-testid="outlook-words">
        {landing(outlook)}
      </Box>{' '}
      {outlook.underFilling && t('workspace.thisIsTheDoughUnderItsFilling')}
      {most.length > 0 ? t('workspace.movedMostByMost', { most: most.join(', ') }) : t('workspace.asTheFirstFormulaOfItsFamily')}{' '}
      <Box component="button" type="button" aria-expanded={all} onClick={() => setAll(!all)} sx={plainButton}>
        {all ? t('common.less') : t('workspace.whatMovesIt')}
      </Box>
      {all && <Terms outlook={outlook} />}
    </Box>
  );
}
const plainButton = {
  border: 0,
  p: 0,
  bgcolor: 'transparent',
  font: 'inherit',
  fontWeight: 650,
  color: 'primary.main',
  cursor: 'pointer',
  [media.coarse]: { minHeight: 48 },
} as const;

/** What each thing adds to the middle of the family's zone, in rating points; the sums are where the leaf stands. */
function Terms({ outlook }: { outlook: Outlook }) {
  const row = (name: string, crisp: string, tender: string, bold = false) => (
    <TableRow key={name}>
      <TableCell sx={{ fontSize: typeSize.caption, py: 0.5, fontWeight: bold ? 650 : 400 }}>{name}</TableCell>
      <TableCell align="right" sx={{ fontSize: typeSize.caption, py: 0.5, fontWeight: bold ? 650 : 400 }}>
        {crisp}
      </TableCell>
      <TableCell align="right" sx={{ fontSize: typeSize.caption, py: 0.5, fontWeight: bold ? 650 : 400 }}>
        {tender}
      </TableCell>
    </TableRow>
  );
  return (
    <Table size="small" aria-label={t('workspace.whatMovesTheOutlook')} sx={{ mt: 1 }}>
      <TableHead>{row('', t('common.crisp2'), t('common.tender2'))}</TableHead>
      <TableBody>
        {row(t('workspace.middleOfTheFamily'), outlook.zone.crisp.toFixed(1), outlook.zone.tender.toFixed(1))}
        {outlook.terms.map(({ name, crisp, tender }) => row(termWords[name] ?? name, signed(crisp), signed(tender)))}
        {row(t('workspace.landsAt0To10'), outlook.crisp.value.toFixed(1), outlook.tender.value.toFixed(1), true)}
      </TableBody>
    </Table>
  );
}

const signed = (points: number) => `${points < 0 ? '−' : '+'}${Math.abs(points).toFixed(1)}`;

function LeafKey({ filled = false }: { filled?: boolean }) {
  const { palette } = useTheme();
  return (
    <svg width="10" height="14" viewBox="-8 -12 16 24" aria-hidden="true">
      <path d={LEAF} fill={filled ? palette.primary.main : 'none'} stroke={palette.primary.main} strokeWidth="1.8" />
    </svg>
  );
}
