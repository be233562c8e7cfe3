import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { ListedBake } from '@north-leaf/contracts';
import { DateTime } from 'luxon';
import { Link, useSearchParams } from 'react-router';
import { showQuantity } from '@north-leaf/core';
import { Note } from '../../ui/frame/note';
import { under } from '../../ui/theme/theme';
import { ErrorPage } from '../../platform/error-page';
import { usePreferences } from '../../platform/preferences';
import { Page } from '../../ui/frame/page';
import { handWordLabels } from '../../ui/words/words';
import { formulaNamesQuery } from '../formulas/doors';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery } from '../pantry/doors';
import { ShowMore } from '../../ui/frame/show-more';
import { bakesQuery, last, measured, together } from './api';
import { t } from '../../platform/words';

const dots = (n: number | undefined) => (n === undefined ? '–' : `${'●'.repeat(n)}${'○'.repeat(5 - n)}`);

/** Every bake that was recorded, newest first. */
export function BakesPage() {
  const [params] = useSearchParams();
  const lotId = params.get('lot');
  const bakes = useInfiniteQuery(bakesQuery(lotId === null ? {} : { lotId }));
  const shown = together(bakes.data);
  const total = bakes.data?.pages[0]?.total ?? 0;
  const { data: pantry } = useQuery(pantryQuery);
  const lot = lotId === null ? undefined : pantry?.lots[lotId];
  const formulas = useQuery(formulaNamesQuery);
  const kitchen = useQuery(kitchenQuery);
  if (bakes.isError) return <ErrorPage error={bakes.error} />;
  const first = formulas.data?.[0];
  return (
    <Page
      title={t('common.bakes')}
      beside={
        bakes.data
          ? lotId === null
            ? t('bakes.totalRecorded', { total })
            : t('bakes.totalWithLotLotCode', {
                total,
                lot: (lot && pantry?.ingredients[lot.ingredientId]?.name) ?? 'this',
                code: lot?.code ?? lotId,
              })
          : ' '
      }
      actions={
        first && (
          <Button component={Link} to={`/bakes/new?formula=${first.id}&version=${first.version}`} variant="contained">
            {t('common.recordABake')}
          </Button>
        )
      }
    >
      <Table size="small" sx={onPhone}>
        <BakesHead />
        <TableBody>
          {bakes.isPending && (
            <TableRow>
              <TableCell colSpan={12}>
                <Skeleton height={120} />
              </TableCell>
            </TableRow>
          )}
          {shown?.map((bake) => (
            <BakeRow key={bake.id} bake={bake} zone={kitchen.data?.zone ?? 'UTC'} />
          ))}
        </TableBody>
      </Table>
      <ShowMore
        shown={shown?.length ?? 0}
        total={total}
        loading={bakes.isFetchingNextPage}
        onMore={bakes.hasNextPage ? () => void bakes.fetchNextPage() : null}
      />
      {shown?.length === 0 && (
        <Box sx={{ py: 8, textAlign: 'center' }}>
          {lotId === null ? t('bakes.whatReallyHappenedBelongsHereRecordYour') : t('bakes.noBakeTookFromThisLot')}
        </Box>
      )}
    </Page>
  );
}

/** On a phone: which bake, of what, how it felt and was liked; the rest stands on the bake's own page. */
const onPhone = {
  [under.phone]: {
    '& td, & th': { px: 1 },
    '& tr > :nth-child(3), & tr > :nth-child(n+5):nth-child(-n+8), & tr > :nth-child(12)': { display: 'none' },
  },
} as const;

/** What a row of bakes says. */
function BakesHead() {
  return (
    <TableHead>
      <TableRow>
        {[
          t('common.bake'),
          t('common.formula'),
          t('bakes.waterIn'),
          t('common.felt'),
          t('bakes.rolled'),
          t('bakes.minutes'),
          t('common.weightLost'),
          t('bakes.tone'),
          t('common.crisp'),
          t('common.tender'),
          t('common.liked'),
          t('common.note'),
        ].map((name) => (
          <TableCell key={name}>{name}</TableCell>
        ))}
      </TableRow>
    </TableHead>
  );
}

function BakeRow({ bake, zone }: { bake: ListedBake; zone: string }) {
  const units = usePreferences((state) => state.units);
  const rating = last(bake, (one) => (one.kind === 'rated' && one.after === 'fresh' ? one : undefined));
  const waterG = last(bake, (one) => (one.kind === 'weighed' && bake.waterKeys.includes(one.rowKey) ? one.addedG : undefined));
  const felt = last(bake, (one) => (one.kind === 'felt' ? handWordLabels[one.word].toLowerCase() : undefined));
  const [rawG, bakedG] = [measured(bake, 'rawG'), measured(bake, 'bakedG')];
  const shown = (value: number | undefined, kind: 'mass' | 'length' | 'minutes') =>
    value === undefined ? '–' : showQuantity(value, kind, units);
  return (
    <TableRow sx={{ height: 52 }}>
      <TableCell component="th" scope="row">
        <Link to={`/bakes/${bake.id}`} style={{ color: 'inherit' }} aria-label={t('common.bakeNumber', { number: bake.number })}>
          <b>{bake.number}</b>
        </Link>
        <Note>{DateTime.fromISO(bake.startedAt, { zone }).toFormat('d LLL yyyy')}</Note>
      </TableCell>
      <TableCell>
        <Link to={`/formulas/${bake.formulaId}/bake`} style={{ color: 'inherit' }}>
          {bake.formulaName}
        </Link>{' '}
        v{bake.version}
      </TableCell>
      <TableCell>{shown(waterG, 'mass')}</TableCell>
      <TableCell>{felt ?? '–'}</TableCell>
      <TableCell>{shown(measured(bake, 'rawMm'), 'length')}</TableCell>
      <TableCell>{shown(measured(bake, 'bakeMin'), 'minutes')}</TableCell>
      <TableCell>{rawG && bakedG ? `${((1 - bakedG / rawG) * 100).toFixed(1)} %` : '–'}</TableCell>
      <TableCell>{measured(bake, 'topTone')?.toFixed(1) ?? '–'}</TableCell>
      <TableCell aria-label={t('bakes.crispCrisp', { crisp: rating?.crisp ?? t('common.notRated') })}>{dots(rating?.crisp)}</TableCell>
      <TableCell aria-label={t('bakes.tenderTender', { tender: rating?.tender ?? t('common.notRated') })}>{dots(rating?.tender)}</TableCell>
      <TableCell aria-label={t('bakes.likedLiked', { liked: rating?.liked ?? t('common.notRated') })}>{dots(rating?.liked)}</TableCell>
      <TableCell sx={{ maxWidth: 200, lineHeight: '17px' }}>{last(bake, (one) => (one.kind === 'noted' ? one.text : undefined))}</TableCell>
    </TableRow>
  );
}
