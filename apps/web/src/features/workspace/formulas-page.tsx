import { lazy, Suspense } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useTheme } from '@mui/material/styles';
import { stageNames, type StageState, showQuantity } from '@north-leaf/core';
import type { FormulaListItem } from '@north-leaf/contracts';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { typeSize, under } from '../../ui/theme/theme';
import { ErrorPage } from '../../platform/error-page';
import { usePreferences } from '../../platform/preferences';
import { FamilyDrawing } from '../../ui/drawing/family-drawing';
import { Leaf, stateWords } from '../../ui/frame/leaf';
import { Page } from '../../ui/frame/page';
import { UnitToggle } from '../../ui/form/unit-toggle';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { formulasQuery } from '../formulas/doors';
import { stageLabels } from '../board/doors';
import { ShowMore } from '../../ui/frame/show-more';
import { useOpenThing } from '../../ui/frame/use-open-thing';
import { t } from '../../platform/words';

const NewFormula = lazy(async () => ({ default: (await import('./new-formula/new-formula')).NewFormula }));

/** All formulas: the state of each stage, where it lands, how it was liked. */
export function FormulasPage() {
  const formulas = useInfiniteQuery(formulasQuery);
  const kitchen = useQuery(kitchenQuery);
  const pantry = useQuery(pantryQuery);
  const [open, setOpen] = useOpenThing();
  const list = formulas.data?.pages.flatMap(({ items }) => items) ?? [];
  const total = formulas.data?.pages[0]?.total ?? 0;
  if (formulas.isError) return <ErrorPage error={formulas.error} />;
  return (
    <Page
      title={t('common.formulas')}
      beside={formulas.data ? t('workspace.totalInUse', { total }) : ' '}
      actions={
        <Box sx={{ display: 'flex', gap: 2 }}>
          <UnitToggle />
          <Button variant="contained" disabled={!kitchen.data || !pantry.data} onClick={() => setOpen('new')}>
            {t('workspace.newFormula')}
          </Button>
        </Box>
      }
    >
      <Table size="small" sx={onPhone}>
        <TableHead>
          <TableRow>
            <TableCell>{t('common.formula')}</TableCell>
            <TableCell>{t('common.blend')}</TableCell>
            {stageNames.map((stage) => (
              <TableCell key={stage} align="center">
                {stageLabels[stage]}
              </TableCell>
            ))}
            <TableCell align="center">{t('workspace.outlook')}</TableCell>
            <TableCell align="right">{t('common.piece')}</TableCell>
            <TableCell align="right">{t('common.liked')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {formulas.isPending &&
            [0, 1, 2].map((row) => (
              <TableRow key={row}>
                <TableCell colSpan={11}>
                  <Skeleton height={72} />
                </TableCell>
              </TableRow>
            ))}
          {list.map((formula) => (
            <FormulaRow key={formula.id} formula={formula} />
          ))}
        </TableBody>
      </Table>
      <ShowMore
        shown={list.length}
        total={total}
        loading={formulas.isFetchingNextPage}
        onMore={formulas.hasNextPage ? () => void formulas.fetchNextPage() : null}
      />
      {formulas.data && list.length === 0 && (
        <Box sx={{ py: 8, display: 'grid', justifyItems: 'center', gap: 3 }}>
          {t('workspace.yourFormulasBelongHereMakeTheFirst')}
          <Button variant="contained" disabled={!kitchen.data || !pantry.data} onClick={() => setOpen('new')}>
            {t('workspace.makeTheFirst')}
          </Button>
          <Button component={Link} to="/setup">
            {t('workspace.lookAtTheDemo')}
          </Button>
        </Box>
      )}
      <Suspense>
        {open === 'new' && kitchen.data && pantry.data && (
          <NewFormula kitchen={kitchen.data} pantry={pantry.data} onClose={() => setOpen(null)} />
        )}
      </Suspense>
      <Box sx={{ display: 'flex', gap: 5, pt: 3 }} aria-label={t('common.key')}>
        {(Object.keys(stateWords) as StageState[]).slice(0, 3).map((state) => (
          <Leaf key={state} state={state} label />
        ))}
      </Box>
    </Page>
  );
}

/** On a phone: the name and its six marks in the order of the work; the rest stands on the formula's own page. */
const onPhone = {
  [under.phone]: {
    '& td, & th': { px: 0.75 },
    '& thead th': { writingMode: 'vertical-rl', fontWeight: 500 },
    '& thead th:first-of-type': { writingMode: 'horizontal-tb' },
    '& tr > :nth-child(2), & tr > :nth-child(n+9)': { display: 'none' },
  },
} as const;

function FormulaRow({ formula }: { formula: FormulaListItem }) {
  const navigate = useNavigate();
  const units = usePreferences((state) => state.units);
  const to = `/formulas/${formula.id}/dough`;
  return (
    <TableRow hover onClick={() => void navigate(to)} sx={{ cursor: 'pointer', height: 76 }}>
      <TableCell component="th" scope="row">
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <Box sx={{ flex: 'none', [under.desk]: { display: 'none' } }}>
            <FamilyDrawing familyId={formula.family} size={72} />
          </Box>
          <Box sx={{ minWidth: 0 }}>
            <Box component={Link} to={to} sx={{ color: 'text.primary', textDecoration: 'none', fontWeight: 680, fontSize: typeSize.lead }}>
              {formula.name}
            </Box>
            <Box sx={{ color: 'text.secondary', fontSize: typeSize.small }}>
              v{formula.version} · {formula.familyName}
              {formula.draftStoredAt && t('common.draftStored')}
              {formula.judgedBy === null
                ? t('workspace.notJudgedYetByTodaysRules')
                : formula.judgedBy !== formula.savedBy
                  ? t('workspace.judgedAnew')
                  : ''}
            </Box>
          </Box>
        </Box>
      </TableCell>
      <TableCell>{formula.blendName}</TableCell>
      {stageNames.map((stage) => (
        <TableCell key={stage} align="center">
          <Leaf state={formula.states[stage]} />
        </TableCell>
      ))}
      <TableCell align="center">
        <SmallOutlook outlook={formula.outlook} />
      </TableCell>
      <TableCell align="right">{formula.pieceG === null ? '–' : showQuantity(formula.pieceG, 'mass', units)}</TableCell>
      <TableCell align="right">
        <Box sx={{ fontWeight: 680 }}>{formula.liked === null ? '–' : formula.liked.toFixed(1)}</Box>
        <Box sx={{ color: 'text.secondary', fontSize: typeSize.small }}>
          {formula.bakes === 0 ? t('workspace.noBakesYet') : t('workspace.bakesBakes', { count: formula.bakes })}
        </Box>
      </TableCell>
    </TableRow>
  );
}

function SmallOutlook({ outlook }: { outlook: FormulaListItem['outlook'] }) {
  const { palette } = useTheme();
  if (!outlook) return <Leaf state="waiting" />;
  const x = (crisp: number) => 4 + crisp * 7.6;
  const y = (tender: number) => 50 - tender * 4.6;
  const { zone } = outlook;
  return (
    <svg
      width="84"
      height="54"
      role="img"
      aria-label={t('workspace.crispCrispTenderTenderOf10', { crisp: outlook.crisp.toFixed(1), tender: outlook.tender.toFixed(1) })}
    >
      <rect x="0.5" y="0.5" width="83" height="53" rx="4" fill={palette.leaf.well} stroke={palette.divider} />
      <rect
        x={x(zone.crisp - zone.halfWidth)}
        y={y(zone.tender + zone.halfWidth)}
        width={15.2 * zone.halfWidth}
        height={9.2 * zone.halfWidth}
        rx="4"
        fill={palette.leaf.firSoft}
        stroke={palette.primary.main}
        strokeDasharray="3 2"
      />
      <path
        d="M0-7C4-3 4.5 2 0 7-4.5 2-4-3 0-7Z"
        fill={palette.primary.main}
        transform={`translate(${x(outlook.crisp)} ${y(outlook.tender)})`}
      />
    </svg>
  );
}
