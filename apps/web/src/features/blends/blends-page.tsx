import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Skeleton from '@mui/material/Skeleton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { blendBehaviour, families, type BlendResult, type Kitchen, metric, showQuantity } from '@north-leaf/core';
import type { LibraryBlend, PantryBook } from '@north-leaf/contracts';
import { useQuery } from '@tanstack/react-query';
import { type Voice } from '@north-leaf/words';
import { Note } from '../../ui/frame/note';
import { typeSize } from '../../ui/theme/theme';
import { useVoice } from '../../platform/preferences';
import { notify } from '../../platform/notices';
import { ErrorPage } from '../../platform/error-page';
import { Choice } from '../../ui/form/choice';
import { showMoney } from '../../ui/words/money';
import { Page } from '../../ui/frame/page';
import { PlaceTabs } from '../../ui/frame/place-tabs';
import { kitchenQuery } from '../kitchen/doors';
import { pantryQuery, pantryTabs } from '../pantry/doors';
import { blendsQuery, useReadyBlend } from './api';
import { t } from '../../platform/words';

/** The library: blends kept from formulas and labels, any two side by side, any of them a ready blend of the pantry. */
export function BlendsPage() {
  const blends = useQuery(blendsQuery);
  const pantry = useQuery(pantryQuery);
  const kitchen = useQuery(kitchenQuery);
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [family, setFamily] = useState(Object.keys(families)[0]!);
  const error = blends.error ?? pantry.error ?? kitchen.error;
  if (error) return <ErrorPage error={error} />;
  const loaded = blends.data && pantry.data && kitchen.data;
  const two = (blends.data ?? []).filter(({ id }) => picked.includes(id));
  return (
    <Page
      title={t('common.pantry')}
      beside={blends.data ? t('blends.dataBlends', { data: blends.data.length }) : ' '}
      actions={<PlaceTabs label={t('common.pantry')} tabs={pantryTabs} />}
    >
      {!loaded && [0, 1, 2].map((row) => <Skeleton key={row} height={56} />)}
      {loaded && <BlendTable blends={blends.data} pantry={pantry.data} picked={picked} onPick={setPicked} />}
      {loaded && blends.data.length === 0 && <Box sx={{ py: 8, textAlign: 'center' }}>{t('blends.blendsBelongHereKeepOneFromA')}</Box>}
      {loaded && two.length > 0 && (
        <Box sx={{ pt: 5 }}>
          <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', pb: 2 }}>
            <Typography variant="h2">{two.length === 2 ? t('blends.sideBySide') : t('blends.chooseAnotherToCompare')}</Typography>
            <Choice
              label={t('blends.forWhichFamily')}
              value={family}
              options={Object.values(families).map(({ id, name }) => ({ value: id, name }))}
              onChange={setFamily}
              width={260}
            />
          </Box>
          <SideBySide blends={two} family={family} pantry={pantry.data} kitchen={kitchen.data} />
        </Box>
      )}
    </Page>
  );
}

/** Every blend that is kept. */
function BlendTable({
  blends,
  pantry,
  picked,
  onPick,
}: {
  readonly blends: readonly LibraryBlend[];
  readonly pantry: PantryBook;
  readonly picked: readonly string[];
  readonly onPick: (picked: readonly string[]) => void;
}) {
  const ready = useReadyBlend();
  return (
    <>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{t('blends.sideBySide')}</TableCell>
            <TableCell>{t('common.blend')}</TableCell>
            <TableCell>{t('common.madeOf')}</TableCell>
            <TableCell align="right">{t('blends.kept')}</TableCell>
            <TableCell>{t('blends.asAnIngredient')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {blends.map((one) => (
            <TableRow key={one.id} sx={{ height: 50 }}>
              <TableCell sx={{ width: 96 }}>
                <Checkbox
                  checked={picked.includes(one.id)}
                  onChange={(_, on) => onPick(on ? [...picked.slice(-1), one.id] : picked.filter((id) => id !== one.id))}
                  slotProps={{ input: { 'aria-label': t('blends.compareName', { name: one.blend.name }) } }}
                />
              </TableCell>
              <TableCell component="th" scope="row" sx={{ fontWeight: 650 }}>
                {one.blend.name}
                <Box sx={{ fontSize: typeSize.caption, color: 'text.secondary', fontWeight: 400 }}>
                  {t('blends.versionVersion', { version: one.version })}
                  {one.blend.uncertainShare && t('blends.readFromALabel')}
                </Box>
              </TableCell>
              <TableCell sx={{ fontSize: typeSize.small }}>{madeOf(one, pantry)}</TableCell>
              <TableCell align="right">{new Date(one.savedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}</TableCell>
              <TableCell>
                {pantry.ingredients[one.id] ? (
                  <Note size="small">{t('blends.inThePantry')}</Note>
                ) : (
                  <Button
                    size="small"
                    variant="outlined"
                    disabled={ready.isPending}
                    onClick={() =>
                      ready.mutate(
                        { id: one.id, version: one.version, revision: 0 },
                        { onSuccess: () => void notify(t('blends.nameCanBeWeighedByOneKey', { name: one.blend.name })) },
                      )
                    }
                  >
                    {t('blends.keepItReady')}
                  </Button>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {ready.error && <Alert severity="error">{ready.error.message}</Alert>}
    </>
  );
}

const madeOf = ({ blend }: LibraryBlend, pantry: PantryBook) =>
  blend.rows
    .map(
      ({ ingredientId, share }) =>
        `${pantry.ingredients[ingredientId]?.name ?? ingredientId} ${(share * 100).toFixed(share < 0.02 ? 1 : 0)}`,
    )
    .join(', ');

const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
/** Name of each behaviour, and how its number reads. */
const measures: readonly (readonly [name: string, show: (of: BlendResult, kitchen: Kitchen, voice: Voice) => string])[] = [
  [t('blends.waterHold'), ({ waterHoldGPerG }) => showQuantity(waterHoldGPerG, 'held', metric)],
  [t('blend.bend'), ({ bendIndex }) => bendIndex.toFixed(2)],
  [t('blends.bindsOfTheNeed'), ({ binderRatio }) => percent(binderRatio)],
  [t('common.grainAndPulse'), ({ proteinTypeShare }) => percent(proteinTypeShare)],
  [t('common.starch'), ({ starchShare }) => percent(starchShare)],
  [t('blends.ofItSticky'), ({ stickyStarchShare }) => percent(stickyStarchShare)],
  [t('common.nut'), ({ nutShare }) => percent(nutShare)],
  [t('common.protein'), ({ composition }) => percent(composition.proteinShare)],
  [t('common.fibre2'), ({ composition }) => percent(composition.fibreShare)],
  [t('common.fat'), ({ composition }) => percent(composition.fatShare)],
  [t('blends.grit'), ({ gritIndex }) => gritIndex.toFixed(2)],
  [t('blends.taste'), ({ flavourIndex }) => flavourIndex.toFixed(2)],
  [
    t('blends.starchesSet'),
    ({ setsFromC, setsToC }, _, voice) => (setsFromC === null ? '–' : voice.range(setsFromC, setsToC ?? setsFromC, 'temperature')),
  ],
  [t('common.perKg'), ({ costMinorPerKg }, { currency }) => (costMinorPerKg === null ? '–' : showMoney(costMinorPerKg, currency))],
];

type SideProps = {
  readonly blends: readonly LibraryBlend[];
  readonly family: string;
  readonly pantry: PantryBook;
  readonly kitchen: Kitchen;
};
function SideBySide({ blends, family, pantry, kitchen }: SideProps) {
  const voice = useVoice();
  const results = blends.map(({ blend }) => blendBehaviour(blend, families[family]!, pantry));
  const failed = results.find((result) => 'problem' in result);
  if (failed && 'problem' in failed) return <Alert severity="warning">{failed.problem}</Alert>;
  const both = results as readonly BlendResult[];
  return (
    <Table size="small" sx={{ maxWidth: 760 }}>
      <TableHead>
        <TableRow>
          <TableCell component="td" />
          {blends.map(({ id, blend }) => (
            <TableCell key={id} align="right">
              {blend.name}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {measures.map(([name, show]) => {
          const said = both.map((result) => show(result, kitchen, voice));
          const differ = said.length === 2 && said[0] !== said[1];
          return (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {name}
              </TableCell>
              {said.map((text, i) => (
                <TableCell
                  key={blends[i]!.id}
                  align="right"
                  sx={differ ? { fontWeight: 700, textDecoration: 'underline', textDecorationThickness: 2 } : {}}
                >
                  {text}
                </TableCell>
              ))}
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}
